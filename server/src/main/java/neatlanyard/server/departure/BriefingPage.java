package neatlanyard.server.departure;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import neatlanyard.core.briefing.Briefing;
import neatlanyard.core.briefing.Line;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.units.Words;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.print.PrintedPage;

/** The briefing and the figures on one page, to be clipped where it is seen. */
final class BriefingPage {
  private static final PrintedPage PAGE = PrintedPage.named("briefing");
  private static final int A_ROW = 3;
  private static final int MINUTE = 60;

  private final DepartureState d;
  private final Picture picture;
  private final ZoneId zone;

  BriefingPage(Departure departure, ZoneId zone) {
    this.d = departure.state();
    this.picture = departure.picture();
    this.zone = zone;
  }

  private record Content(
      String title, String route, String crew, String report, String standing, List<FigureRow> figures,
      List<String> limits, String length, List<BriefedLine> lines, String at, long number) {}

  private record FigureRow(List<FigureOnPage> cells) {}

  private record FigureOnPage(String name, String value) {}

  private record BriefedLine(String name, String words, boolean differs) {}

  byte[] pdf(Instant now) {
    Flight flight = d.opened().flight();
    String crew = flight.crew().stream().map(r -> "%s %s".formatted(Names.family(d, r.who()), Doc.written(r.seat())))
        .collect(Collectors.joining(", "));
    List<Line> lines = picture.briefing();
    long seconds = Briefing.seconds(lines);
    return PAGE.pdf(new Content(
        "%s, %s".formatted(flight.number(), d.opened().tail().id()),
        "%s \u2013 %s, %s".formatted(flight.from(), flight.to(), PrintedPage.time(flight.departs(), zone)), crew,
        d.card().map(c -> c.day().report().text()).orElse(""), standing(lines), figures(),
        d.entries().worked().notHeld().stream().map(l -> l.words()).toList(),
        "%d:%02d at 150 words a minute".formatted(seconds / MINUTE, seconds % MINUTE),
        lines.stream().map(l -> new BriefedLine(l.title(), together(l.words()), l.kind() == Line.Kind.DIFFERS))
            .toList(), PrintedPage.time(now, zone), d.lastNumber()));
  }

  /** No number parted from itself or from its unit at the end of a line. */
  private static String together(String words) {
    return words.replaceAll("(\\d) (?=\\d|ft\\b|kt\\b|m\\b|kg\\b|\u00b0)", "$1\u00a0");
  }

  /** What is not settled is said at the top: a page outlives what it was printed from. */
  private String standing(List<Line> lines) {
    List<String> open = new ArrayList<>();
    List<String> figures = d.entering().stream().flatMap(i -> i.step().enters().stream())
        .filter(f -> !d.entries().standing(f).settled() && !d.entries().notToday(f)).map(CriticalFigure::words)
        .toList();
    if (!figures.isEmpty()) {
      open.add("Not agreed: %s.".formatted(String.join(", ", figures)));
    }
    long unread = lines.stream().filter(l -> d.briefing().read(l.step()).filter(r -> r.words().equals(l.words()))
        .isEmpty()).count();
    if (unread > 0) {
      open.add("%d of %d lines not read as they stand here.".formatted(unread, lines.size()));
    }
    return String.join(" ", open);
  }

  /** Only what is agreed or taken: what one has entered alone is on no page. */
  private List<FigureRow> figures() {
    List<FigureOnPage> all = d.entering().stream().flatMap(i -> i.step().enters().stream())
        .flatMap(f -> d.entries().agreed(f).stream().map(v -> new FigureOnPage(Words.first(f.words()),
        "%s %s".formatted(f.shown(v), f.unit()).strip()))).toList();
    List<FigureRow> rows = new ArrayList<>();
    for (int i = 0; i < all.size(); i += A_ROW) {
      rows.add(new FigureRow(all.subList(i, Math.min(i + A_ROW, all.size()))));
    }
    return rows;
  }
}

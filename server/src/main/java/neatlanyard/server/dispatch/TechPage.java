package neatlanyard.server.dispatch;

import static neatlanyard.server.print.PrintedPage.time;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import neatlanyard.server.dispatch.TechViews.DefectView;
import neatlanyard.server.dispatch.TechViews.TechLogView;
import neatlanyard.server.dispatch.TechViews.TermsView;
import neatlanyard.server.print.PrintedPage;
import org.jspecify.annotations.Nullable;

/** A technical log as a page to print. */
final class TechPage {
  private static final PrintedPage PAGE = PrintedPage.named("tech-log");

  private TechPage() {}

  private record Content(String tail, String list, String at, List<Part> parts) {}

  /** Defects of one kind. */
  private record Part(String name, boolean any, List<Line> defects) {}

  private record Line(String raised, String by, List<String> lines, @Nullable TermsView terms) {}

  static byte[] pdf(TechLogView log, Instant at, ZoneId zone) {
    return PAGE.pdf(new Content(log.tail(), log.list(), time(at, zone), List.of(
        part("Open, not deferred", log.open(), zone), part("Deferred", log.deferred(), zone),
        part("Cleared", log.cleared(), zone))));
  }

  private static Part part(String name, List<DefectView> defects, ZoneId zone) {
    return new Part(name, !defects.isEmpty(), defects.stream().map(d -> line(d, zone)).toList());
  }

  private static Line line(DefectView d, ZoneId zone) {
    return new Line(time(d.raisedAt(), zone), d.raisedBy(), d.lines().stream().map(l -> l.words()).toList(),
        d.terms().orElse(null));
  }
}

package neatlanyard.formats.dispatch;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.units.Plausible;
import neatlanyard.formats.text.Cells;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A technical log as CSV (RFC 4180), one line of the log a row; see docs/formats/tech-log.md. */
public final class TechLogCsv {
  private static final List<String> COLUMNS =
      List.of("tail", "defect", "at", "by", "name", "act", "flight", "place", "step", "entry", "count", "last-day",
      "words");
  private static final UUID NO_DEFECT = new UUID(0, 0);

  private TechLogCsv() {}

  /**
   * Reads lines of technical logs.
   *
   * @param lists by tail, to work out a last day that is left empty
   * @param now what a time given as a span counts from
   * @param zone the operator's
   */
  public static Read<List<TechEntry>> read(String text, java.util.function.Function<TailId, DispatchList> lists,
      Instant now, ZoneId zone) {
    Map<UUID, Instant> raised = new HashMap<>();
    return Rows.read(text, COLUMNS, r -> {
      TailId tail = r.of("tail", TailId::new, new TailId("XX"));
      UUID defect = r.of("defect", UUID::fromString, NO_DEFECT);
      Instant at = r.time("at", now);
      raised.putIfAbsent(defect, at);
      TechAct act = switch (r.text("act")) {
        case "raised" -> new TechAct.Raised(
            defect, some(r, "flight", FlightId::new), some(r, "place", PlaceId::new), some(r, "step", StepId::new),
                r.text("words"));
        case "deferred" -> {
          EntryId entry = r.of("entry", EntryId::new, new EntryId("x"));
          int count = r.of("count", t -> t.isEmpty() ? 1 : Integer.parseInt(t), 1);
          yield new TechAct.Deferred(defect, entry, count,
              lastDay(r, lists.apply(tail), entry, raised.get(defect), zone, now), r.text("words"));
        }
        case "extended" -> new TechAct.Extended(defect,
            r.of("last-day", t -> Plausible.checked(LocalDate.parse(t), now), LocalDate.EPOCH), r.text("words"));
        case "cleared" -> new TechAct.Cleared(defect, r.text("words"));
        default -> {
          r.fault("'act' is '%s'; it is raised, deferred, extended or cleared.".formatted(r.text("act")));
          yield new TechAct.Cleared(defect, "");
        }
      };
      return new TechEntry(tail, at, r.of("by", CrewId::new, new CrewId("xx")), r.text("name"), act);
    });
  }

  private static <T> Optional<T> some(Rows.Row r, String column, java.util.function.Function<String, T> type) {
    return r.text(column).isEmpty() ? Optional.empty()
        : r.of(column, t -> Optional.of(type.apply(t)), Optional.empty());
  }

  private static LocalDate lastDay(Rows.Row r, DispatchList list, EntryId id, Instant raised, ZoneId zone,
      Instant now) {
    if (!r.text("last-day").isEmpty()) {
      return r.of("last-day", t -> Plausible.checked(LocalDate.parse(t), now), LocalDate.EPOCH);
    }
    Optional<DispatchList.Entry> entry = list.entry(id);
    if (entry.isEmpty()) {
      r.fault("No 'last-day', and the list has no entry %s to work it out from.".formatted(id));
      return LocalDate.EPOCH;
    }
    return entry.get().lastDay(raised, zone);
  }

  public static String write(List<TechEntry> lines) {
    StringBuilder out = new StringBuilder();
    try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180.builder().setHeader(COLUMNS.toArray(String[]::new))
        .get())) {
      for (TechEntry e : lines) {
        switch (e.act()) {
          case TechAct.Raised a -> row(csv, e, "raised", a.departure().map(FlightId::value).orElse(""), a.place()
              .map(PlaceId::value).orElse(""),
              a.step().map(StepId::value).orElse(""), "", "", "", a.what());
          case TechAct.Deferred a -> row(csv, e, "deferred", "", "", "", a.entry().value(),
              Integer.toString(a.count()), a.lastDay().toString(), a.words());
          case TechAct.Extended a -> row(csv, e, "extended", "", "", "", "", "", a.lastDay().toString(), a.words());
          case TechAct.Cleared a -> row(csv, e, "cleared", "", "", "", "", "", "", a.words());
        }
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return out.toString();
  }

  private static void row(CSVPrinter csv, TechEntry e, String act, String... rest) throws IOException {
    csv.print(e.tail());
    csv.print(e.act().defect());
    csv.print(e.at());
    csv.print(e.by());
    csv.print(Cells.written(e.name()));
    csv.print(act);
    for (String cell : rest) {
      csv.print(Cells.written(cell));
    }
    csv.println();
  }
}

package neatlanyard.formats.timeline;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.units.Numbers;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;
import neatlanyard.formats.text.YesNo;

/** What crews took for what, as CSV; see docs/formats/task-times.md. */
public final class TookCsv {
  private static final List<String> COLUMNS =
      List.of("flight", "type", "procedure", "at", "dark", "cold", "estimated-s", "took-s");
  private static final double DAY_S = 86_400;

  private TookCsv() {}

  private record Row(FlightId flight, Took took) {}

  /** @param now what a time given as a span counts from */
  public static Read<Map<FlightId, List<Took>>> read(String text, Instant now) {
    Read<List<Row>> rows = Rows.read(text, COLUMNS, r -> new Row(
        r.of("flight", FlightId::new, new FlightId("x")),
        new Took(r.of("type", TypeId::new, new TypeId("xx")),
        r.of("procedure", ProcedureId::new, new ProcedureId("x")), r.time("at", now),
        r.of("dark", YesNo::read, false), r.of("cold", YesNo::read, false),
        r.of("estimated-s", TookCsv::seconds, Duration.ofSeconds(1)),
        r.of("took-s", TookCsv::seconds, Duration.ofSeconds(1)))));
    return switch (rows) {
      case Read.Bad<List<Row>> bad -> new Read.Bad<>(bad.faults());
      case Read.Good<List<Row>> good -> {
        Map<FlightId, List<Took>> all = new LinkedHashMap<>();
        good.value().forEach(r -> all.computeIfAbsent(r.flight(), f -> new ArrayList<>()).add(r.took()));
        yield new Read.Good<>(all);
      }
    };
  }

  /** Times to a tenth of a second. */
  public static String write(Map<FlightId, List<Took>> all) {
    return Rows.write(COLUMNS, all.entrySet().stream().flatMap(e -> e.getValue().stream().map(t -> List.of(
        e.getKey().value(), t.type().value(), t.procedure().value(), t.at().toString(), YesNo.written(t.dark()),
        YesNo.written(t.cold()), seconds(t.estimated()), seconds(t.took())))));
  }

  private static String seconds(Duration d) {
    return Numbers.plain(Math.max(0.1, d.toMillis() / 1_000.0), 1);
  }

  private static Duration seconds(String text) {
    double s = Double.parseDouble(text);
    if (!(s >= 0.1 && s <= DAY_S)) {
      throw new IllegalArgumentException("no time that somebody takes");
    }
    return Duration.ofMillis(Math.round(s * 1_000));
  }
}

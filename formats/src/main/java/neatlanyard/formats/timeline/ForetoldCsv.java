package neatlanyard.formats.timeline;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.timeline.learned.Foretold;
import neatlanyard.core.units.Numbers;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;
import neatlanyard.formats.text.YesNo;

/** What was said of departures that are over, and when they were, as CSV; see docs/formats/foretold.md. */
public final class ForetoldCsv {
  private static final List<String> COLUMNS =
      List.of("flight", "type", "at", "wanted", "likely", "by-clock", "over");
  private static final int DECIMALS = 3;

  private ForetoldCsv() {}

  /** @param now what a time given as a span counts from */
  public static Read<List<Foretold>> read(String text, Instant now) {
    return Rows.read(text, COLUMNS, r -> new Foretold(
        r.of("flight", FlightId::new, new FlightId("x")), r.of("type", TypeId::new, new TypeId("xx")),
        r.time("at", now), r.time("wanted", now), r.of("likely", ForetoldCsv::likely, 0.0),
        r.of("by-clock", YesNo::read, false), Optional.of(r.time("over", now))));
  }

  /** Those that are over. */
  public static String write(List<Foretold> all) {
    return Rows.write(COLUMNS, all.stream().flatMap(f -> f.over().stream().map(over -> List.of(f.flight().value(),
        f.type().value(), f.at().toString(), f.wanted().toString(), Numbers.plain(f.likely(), DECIMALS),
        YesNo.written(f.byClock()), over.toString()))));
  }

  private static double likely(String text) {
    double d = Double.parseDouble(text);
    if (!(d >= 0 && d <= 1)) {
      throw new IllegalArgumentException("it is from 0 to 1");
    }
    return d;
  }
}

package neatlanyard.formats.dispatch;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.dispatch.ReadingHistory.Reading;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;

/** What was read on tails before, as CSV; see docs/formats/readings.md. */
public final class ReadingsCsv {
  private static final List<String> COLUMNS = List.of("tail", "quantity", "at", "landings", "hours", "value");

  private ReadingsCsv() {}

  /** @param now what a time given as a span counts from */
  public static Read<List<Reading>> read(String text, Instant now) {
    return Rows.read(text, COLUMNS, r -> new Reading(
        r.of("tail", TailId::new, new TailId("XX")), r.of("quantity", QuantityId::new, new QuantityId("x")),
        r.time("at", now),
        r.of("landings", ReadingsCsv::amount, 0.0), r.of("hours", ReadingsCsv::amount, 0.0),
        r.of("value", ReadingsCsv::finite, 0.0)));
  }

  private static double finite(String text) {
    double v = Double.parseDouble(text);
    if (!(Math.abs(v) <= 1e6)) {
      throw new IllegalArgumentException("not a value anybody reads");
    }
    return v;
  }

  private static double amount(String text) {
    double v = finite(text);
    if (v < 0) {
      throw new IllegalArgumentException("less than nothing");
    }
    return v;
  }
}

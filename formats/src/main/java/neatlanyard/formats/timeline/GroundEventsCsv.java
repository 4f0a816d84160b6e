package neatlanyard.formats.timeline;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvents.OfFlight;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;

/** What others do for departures, as CSV; see docs/formats/ground-events.md. */
public final class GroundEventsCsv {
  private static final List<String> COLUMNS = List.of("flight", "event", "begins", "ends");

  private GroundEventsCsv() {}

  /**
   * @param base what a time given as a span counts from
   * @param source who says so
   */
  public static Read<List<OfFlight>> read(String text, Instant base, String source, boolean simulated) {
    return Rows.read(text, COLUMNS, r -> {
      FlightId flight = r.of("flight", FlightId::new, new FlightId("x"));
      GroundEvent.Kind kind = r.of("event", e -> Doc.named(GroundEvent.Kind.class, e),
          GroundEvent.Kind.SLOT);
      Instant begins = r.time("begins", base);
      Instant given = r.time("ends", base);
      Instant ends = r.of("ends", e -> after(begins, given), begins);
      return new OfFlight(flight, new GroundEvent(kind, begins, ends, source, simulated));
    });
  }

  public static String write(List<OfFlight> events) {
    return Rows.write(COLUMNS, events.stream().map(e -> List.of(e.flight().value(), Doc.written(e.event().kind()),
        e.event().begins().toString(), e.event().ends().toString())));
  }

  private static Instant after(Instant begins, Instant ends) {
    if (ends.isBefore(begins)) {
      throw new IllegalArgumentException("it ends before it begins");
    }
    return ends;
  }
}

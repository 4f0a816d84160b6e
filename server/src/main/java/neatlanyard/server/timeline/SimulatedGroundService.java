package neatlanyard.server.timeline;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvents.OfFlight;
import neatlanyard.formats.timeline.GroundEventsCsv;
import neatlanyard.server.settings.Settings;
import org.springframework.stereotype.Component;

/**
 * A stand-in that expects what the demo's file says, counted from the departure, and is late with some of it: two in
 * five slip by one to four minutes, which it says from five minutes before the beginning on.
 */
@Component
class SimulatedGroundService implements GroundService {
  private static final Duration SAID_BEFORE = Duration.ofMinutes(5);
  private static final double SLIPS = 0.4;
  private static final int MOST_MINUTES = 4;

  private record Of(FlightId flight, Instant departs) {}

  private final Settings settings;
  /** The file is asked for often, and does not change. */
  private final Map<Of, List<GroundEvent>> read = new ConcurrentHashMap<>();

  SimulatedGroundService(Settings settings) {
    this.settings = settings;
  }

  @Override
  public List<GroundEvent> expects(Flight flight, Instant now) {
    return read.computeIfAbsent(new Of(flight.id(), flight.departs()), f -> read(flight)).stream()
        .map(e -> slipped(e, flight, now)).toList();
  }

  private List<GroundEvent> read(Flight flight) {
    Path file = settings.demoFolder().resolve("ground-events.csv");
    if (!settings.demo() || !Files.exists(file)) {
      return List.of();
    }
    try {
      return GroundEventsCsv.read(Files.readString(file), flight.departs(), name(), true)
          .orThrow(file.getFileName().toString()).stream()
          .filter(e -> e.flight().equals(flight.id())).map(OfFlight::event).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The same flight and kind always slip alike. */
  private static GroundEvent slipped(GroundEvent e, Flight flight, Instant now) {
    SplittableRandom chance = new SplittableRandom(31L * flight.id().value().hashCode() + e.kind().ordinal());
    boolean slips = chance.nextDouble() < SLIPS;
    Duration by = Duration.ofMinutes(chance.nextInt(1, MOST_MINUTES + 1));
    boolean fixed = e.kind() == GroundEvent.Kind.SLOT;
    return !slips || fixed || now.isBefore(e.begins().minus(SAID_BEFORE)) ? e
        : new GroundEvent(e.kind(), e.begins().plus(by), e.ends().plus(by), e.source(), true);
  }

  @Override
  public String name() {
    return "simulated ground service";
  }

  @Override
  public boolean simulated() {
    return true;
  }
}

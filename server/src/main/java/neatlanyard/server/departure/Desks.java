package neatlanyard.server.departure;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Scheduler;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import neatlanyard.core.fleet.FlightId;
import org.jspecify.annotations.Nullable;

/**
 * The desks of departures that somebody works at, listens to or did a while ago. Whoever has a departure's desk in
 * hand keeps it here, so that there are never two of one; once nobody has, it goes, and comes back from its log.
 */
final class Desks {
  private final Cache<FlightId, DepartureDesk> all = Caffeine.newBuilder().weakValues().build();
  private final Cache<FlightId, DepartureDesk> asked;

  /** @param kept how long a desk stays that nobody has asked for */
  Desks(Duration kept) {
    this.asked = Caffeine.newBuilder().expireAfterAccess(kept).scheduler(Scheduler.systemScheduler()).build();
  }

  /** A departure's desk; empty where it is not here. */
  Optional<DepartureDesk> find(FlightId id) {
    Optional<DepartureDesk> desk = Optional.ofNullable(all.getIfPresent(id));
    desk.ifPresent(d -> asked.put(id, d));
    return desk;
  }

  /** A departure's desk, made where it is not here; whoever asks meanwhile waits and gets the same. */
  Optional<DepartureDesk> get(FlightId id, Function<FlightId, @Nullable DepartureDesk> made) {
    Optional<DepartureDesk> desk = Optional.ofNullable(all.get(id, made));
    desk.ifPresent(d -> asked.put(id, d));
    return desk;
  }

  /** How many are here; those that are due to go have gone first. */
  long size() {
    asked.cleanUp();
    all.cleanUp();
    return all.estimatedSize();
  }

  /** Those that are here, without keeping them. */
  Collection<DepartureDesk> here() {
    return List.copyOf(all.asMap().values());
  }

  /** The same of one. */
  Optional<DepartureDesk> peek(FlightId id) {
    return Optional.ofNullable(all.getIfPresent(id));
  }
}

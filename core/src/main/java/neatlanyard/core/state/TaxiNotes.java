package neatlanyard.core.state;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Event;
import neatlanyard.core.taxi.Clearance;

/**
 * What a crew has said of taxiing.
 *
 * @param heard the clearance as each pilot heard it last
 * @param before the one that was agreed before this; empty where this is the first
 * @param brakes as they were read last
 */
public record TaxiNotes(Map<Seat, Recorded<Event.TaxiCleared>> heard, Optional<Clearance> before,
    Optional<Recorded<Event.BrakesRead>> brakes) {
  public static final TaxiNotes NONE = new TaxiNotes(Map.of(), Optional.empty(), Optional.empty());

  public TaxiNotes {
    heard = Map.copyOf(heard);
  }

  /** How the clearance stands. */
  public enum Standing { NONE, BY_ONE, DIFFERS, AGREED }

  public Standing standing() {
    if (heard.size() < 2) {
      return heard.isEmpty() ? Standing.NONE : Standing.BY_ONE;
    }
    return differences().isEmpty() ? Standing.AGREED : Standing.DIFFERS;
  }

  /** In what the two differ, each in words; none where they do not, or one has not said it. */
  public List<String> differences() {
    Recorded<Event.TaxiCleared> left = heard.get(Seat.LEFT);
    Recorded<Event.TaxiCleared> right = heard.get(Seat.RIGHT);
    return left == null || right == null ? List.of()
        : left.event().clearance().against(right.event().clearance());
  }

  /** What both heard; empty while they have not. */
  public Optional<Clearance> agreed() {
    return standing() == Standing.AGREED
        ? heard.values().stream().map(h -> h.event().clearance()).findFirst() : Optional.empty();
  }

  /** Whether what the entry of a number says must not be seen yet: the other pilot has still to say it alone. */
  public boolean covers(long number) {
    return standing() == Standing.BY_ONE && heard.values().stream().anyMatch(h -> h.number() == number);
  }

  /** One more word of it. Another than was agreed is a new clearance, which the other pilot has not said yet. */
  TaxiNotes heard(Seat seat, Recorded<Event.TaxiCleared> now) {
    Optional<Clearance> was = agreed();
    if (was.filter(now.event().clearance()::equals).isPresent()) {
      return this;
    }
    Map<Seat, Recorded<Event.TaxiCleared>> all = new EnumMap<>(Seat.class);
    if (was.isEmpty()) {
      all.putAll(heard);
    }
    all.put(seat, now);
    return new TaxiNotes(all, was.or(() -> before), brakes);
  }

  TaxiNotes read(Recorded<Event.BrakesRead> now) {
    return new TaxiNotes(heard, before, Optional.of(now));
  }
}

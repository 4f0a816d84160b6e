package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.weather.Forecast;
import neatlanyard.core.weather.LandingForecast;

/**
 * What waiting costs at the other end of a flight: for each departure that might still be, what is lost by it.
 *
 * @param out from the departure to the take-off
 * @param flies from there to the landing
 * @param wanted when it should have landed
 * @param losses in the order in which they begin, those that are over at {@code now} left out
 */
public record OtherEnd(Duration out, Duration flies, Optional<Instant> wanted, List<Loss> losses) {
  public OtherEnd {
    losses = List.copyOf(losses);
  }

  /** What is lost. */
  public enum Kind {
    /** Each minute is a minute late there. */
    LATE,
    SLOT,
    /** The forecast is below what a landing wants. */
    WEATHER,
    /** It is so at times, or perhaps. */
    PERHAPS;

    /** Whether it is lost for certain, if what is known holds. */
    public boolean certain() {
      return this != PERHAPS;
    }
  }

  /**
   * Something that is lost by whoever departs within a time.
   *
   * @param from the first departure that loses it
   * @param to the first one after that no longer does; empty where none does
   */
  public record Loss(Instant from, Optional<Instant> to, Kind kind, String words) {
    /** Whether a departure loses it. */
    public boolean by(Instant departs) {
      return !departs.isBefore(from) && to.filter(t -> !departs.isBefore(t)).isEmpty();
    }
  }

  /** @param slot no departure after it ends @param limits of a landing there; empty where nobody gave them */
  public static OtherEnd of(Duration out, Duration flies, Optional<Instant> wanted, Optional<GroundEvent> slot,
      Optional<Forecast> forecast, Optional<LandingLimits> limits, Instant now) {
    List<Loss> all = new ArrayList<>();
    Duration way = out.plus(flies);
    wanted.ifPresent(w -> all.add(new Loss(w.minus(way), Optional.empty(), Kind.LATE,
        "each minute more is a minute late there")));
    slot.ifPresent(s -> all.add(new Loss(s.ends(), Optional.empty(), Kind.SLOT, "the slot is over")));
    forecast.flatMap(f -> limits.map(l -> LandingForecast.against(f, l))).orElse(List.of()).forEach(s ->
        all.add(new Loss(s.begins().minus(way), Optional.of(s.ends().minus(way)),
        s.always() ? Kind.WEATHER : Kind.PERHAPS, s.words())));
    all.removeIf(l -> l.to().filter(t -> !t.isAfter(now)).isPresent());
    all.sort(Comparator.comparing(Loss::from).thenComparing(Loss::kind));
    return new OtherEnd(out, flies, wanted, all);
  }

  public Instant lands(Instant departs) {
    return departs.plus(out).plus(flies);
  }

  /** The last departure that loses nothing for certain; before {@code now} where all of them do. Empty without end. */
  public Optional<Instant> until() {
    return losses.stream().filter(l -> l.kind().certain()).map(Loss::from).min(Comparator.naturalOrder());
  }

  /** What a departure loses. */
  public List<Loss> lost(Instant departs) {
    return losses.stream().filter(l -> l.by(departs)).toList();
  }
}

package neatlanyard.server.timeline;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.learned.Foretold;
import neatlanyard.core.timeline.learned.ForetoldPlans;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.timeline.learned.TookTimes;
import neatlanyard.server.timeline.PlanFinder.Found;
import neatlanyard.server.timeline.PlanTrials.Choices;
import neatlanyard.server.work.HeavyWork;
import neatlanyard.store.db.NotKept;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Plans departures when somebody looks, away from everybody's presses. What was planned a moment ago and nothing has
 * changed since is told again; the people of the plan before keep what they had where nothing is lost by it.
 */
@Service
class PlanDesk {
  private static final Logger LOG = LoggerFactory.getLogger(PlanDesk.class);
  private static final Duration WITHIN = Duration.ofSeconds(1);
  private static final Duration TRIAL_WITHIN = Duration.ofMillis(500);
  private static final Duration FRESH = Duration.ofSeconds(15);
  private static final Duration KEPT = Duration.ofHours(2);
  private static final int MOST_KEPT = 200;
  /** What is said of a departure counts for calibration from so long before it should be over until so long. */
  private static final Duration SAID_FROM = Duration.ofMinutes(30);
  private static final Duration SAID_TO = Duration.ofMinutes(10);
  private static final Duration LEARNED_ANEW = Duration.ofMinutes(10);
  /** Of a type; older ones say nothing of how it is done today. */
  private static final int MOST_TIMES = 4_000;

  private final HeavyWork heavy;
  private final InstantSource clock;
  private final TookTimes times;
  private final ForetoldPlans foretold;
  private final Cache<TypeId, Learned> learned = Caffeine.newBuilder().maximumSize(MOST_KEPT)
      .expireAfterWrite(LEARNED_ANEW).build();
  private final Cache<FlightId, Current> plans = Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterAccess(KEPT)
      .build();

  /**
   * A plan as it was worked out.
   *
   * @param number of the entry after which it was
   * @param found empty where there is nothing to plan
   */
  record Current(long number, List<GroundEvent> ground, Instant at, Optional<Found> found) {}

  PlanDesk(HeavyWork heavy, InstantSource clock, TookTimes times, ForetoldPlans foretold) {
    this.times = times;
    this.foretold = foretold;
    this.heavy = heavy;
    this.clock = clock;
  }

  /** The plan as it is now. */
  Current plan(String asker, Departure d, List<GroundEvent> ground) {
    return fresh(d, ground).orElseGet(() -> heavy.run(asker, HeavyWork.Kind.PLAN, stop ->
        fresh(d, ground).orElseGet(() -> worked(d, ground))));
  }

  /** What was worked out last, however long ago; empty before. */
  Optional<Current> known(Departure d) {
    return Optional.ofNullable(plans.getIfPresent(id(d)));
  }

  private static FlightId id(Departure d) {
    return d.state().opened().flight().id();
  }

  private Optional<Current> fresh(Departure d, List<GroundEvent> ground) {
    return Optional.ofNullable(plans.getIfPresent(id(d))).filter(c -> c.number() >= d.state().lastNumber()
        && c.ground().equals(ground) && lately(c.at()));
  }

  /** Not long ago; what lies ahead was told by a clock that has been put back since. */
  private boolean lately(Instant at) {
    Instant now = clock.instant();
    return !at.isAfter(now) && at.plus(FRESH).isAfter(now);
  }

  private Current worked(Departure d, List<GroundEvent> ground) {
    Optional<Current> before = Optional.ofNullable(plans.getIfPresent(id(d)));
    Instant now = clock.instant();
    Current current = new Current(d.state().lastNumber(), ground, now,
        Ahead.of(d, ground, learned(d), now)
        .map(a -> PlanFinder.found(a, before.flatMap(b -> moved(b, now)), WITHIN)));
    plans.put(id(d), current);
    current.found().ifPresent(f -> foretell(d, f, before.flatMap(Current::found)));
    return current;
  }

  /** What is said first within the time that calibration looks at is kept, to be held against what came of it. */
  private void foretell(Departure d, Found found, Optional<Found> before) {
    Duration left = left(found);
    boolean first = before.map(PlanDesk::left).filter(l -> l.compareTo(SAID_FROM) <= 0).isEmpty();
    if (first && left.compareTo(SAID_FROM) <= 0 && left.compareTo(SAID_TO) >= 0) {
      found.likelihood().ifPresent(l -> keep(new Foretold(id(d), d.state().opened().tail().type(),
          found.ahead().begins(), found.ahead().wanted(), l.onTime(), found.ahead().byClock(), Optional.empty())));
    }
  }

  /** A full disk keeps nobody from the plan. */
  private void keep(Foretold said) {
    try {
      foretold.keep(List.of(said));
    } catch (NotKept e) {
      LOG.warn("What was said of {} is not kept", said.flight(), e);
    }
  }

  private static Duration left(Found found) {
    return Duration.between(found.ahead().begins(), found.ahead().wanted());
  }

  /** Brings in what crews took elsewhere. */
  void keep(Map<FlightId, List<Took>> took) {
    times.keep(took);
    learned.invalidateAll();
  }

  private Learned learned(Departure d) {
    return learned.get(d.state().opened().tail().type(), t -> Learned.of(times.of(t, MOST_TIMES)));
  }

  /** The plan before, told from another moment on; what is past of it begins now. */
  private static Optional<Timeline> moved(Current before, Instant now) {
    Duration by = Duration.between(before.at(), now);
    return before.found().flatMap(Found::timeline).map(t -> {
      Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
      t.slots().forEach((id, s) -> slots.put(id, new Timeline.Slot(
          later(s.begins().minus(by)), later(s.ends().minus(by)), s.who())));
      return new Timeline(slots);
    });
  }

  private static Duration later(Duration d) {
    return d.isNegative() ? Duration.ZERO : d;
  }

  /** What would buy time, the most first, and what it costs to wait, each alone tried by the solver. */
  Choices choices(String asker, Departure d, List<GroundEvent> ground) {
    Current current = plan(asker, d, ground);
    return current.found().filter(f -> f.timeline().isPresent())
        .map(f -> heavy.run(asker, HeavyWork.Kind.PLAN, stop ->
            new PlanTrials(d, current.ground(), learned(d), f, TRIAL_WITHIN, stop).choices()))
        .orElse(new Choices(List.of(), List.of()));
  }

  /** The plan as it would be if something began at another moment; empty where it is no task of it. */
  Optional<Current> beginning(String asker, Departure d, List<GroundEvent> ground, ActivityId what, Instant at) {
    Current current = plan(asker, d, ground);
    return current.found().filter(f -> f.ahead().task(what).filter(t -> !t.over()).isPresent())
        .map(f -> heavy.run(asker, HeavyWork.Kind.PLAN, stop -> new Current(current.number(), current.ground(),
        current.at(), Optional.of(new PlanTrials(d, current.ground(), learned(d), f, TRIAL_WITHIN, stop)
        .beginning(what, at)))));
  }
}

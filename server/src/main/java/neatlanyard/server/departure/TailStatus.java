package neatlanyard.server.departure;

import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.dispatch.Defect;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.DispatchCase;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.ReadingHistory;
import neatlanyard.core.dispatch.ReadingHistory.Reading;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.dispatch.TechLog;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.gauge.Usage;
import neatlanyard.core.log.EarlierReadings;
import neatlanyard.core.log.Facts;
import neatlanyard.core.log.HeldLists;
import neatlanyard.core.log.TechState;
import neatlanyard.core.log.TechState.FoundBefore;
import neatlanyard.core.log.TechState.Settled;
import neatlanyard.core.sop.LaterList;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Find;
import neatlanyard.core.trend.Schedule;
import neatlanyard.server.dispatch.TechDesk;
import neatlanyard.server.fleet.FleetDesk;
import org.springframework.stereotype.Component;

/** Brings what is known of a tail into a departure, and what the departure decides back into the tail's log. */
@Component
class TailStatus {
  /** Readings of one quantity that a departure is given. */
  private static final int MOST_READINGS = 40;

  private static final int MOST_FINDS = 30;

  private final TechDesk tech;
  private final ReadingHistory readings;
  private final Flights flights;
  private final FleetDesk fleet;
  private final InstantSource clock;
  private final HeldLists held;

  TailStatus(TechDesk tech, ReadingHistory readings, Flights flights, FleetDesk fleet, InstantSource clock,
      HeldLists held) {
    this.held = held;
    this.tech = tech;
    this.readings = readings;
    this.flights = flights;
    this.fleet = fleet;
    this.clock = clock;
  }

  /** How the log stands for a departure. @param others departures of the same tail before it, the newest first */
  TechState state(DepartureState d, List<DepartureState> others) {
    TailId tail = d.opened().tail().id();
    DispatchList list = tech.list(d.opened().tail().type());
    TechLog log = tech.log(tail);
    List<Deferral> deferrals = DispatchCase.standing(
        list, d.pack().policy(), d.situation(), log.deferrals(list, tech.zone()), d.opened().flight().departs());
    List<Settled> settled = d.finds().stream().flatMap(f -> log.defect(f.id()).stream())
        .flatMap(x -> settled(d, x).stream()).toList();
    Stream<FoundBefore> crews = others.stream().flatMap(o -> o.finds().stream().map(f -> found(o, f)));
    Stream<FoundBefore> atDesk = log.all().stream().filter(x -> x.raised().departure().isEmpty())
        .map(TailStatus::found);
    List<FoundBefore> finds = Stream.concat(crews, atDesk).sorted(Comparator.comparing(FoundBefore::at).reversed())
        .limit(MOST_FINDS).toList();
    return new TechState(deferrals, settled, finds);
  }

  /** What somebody other than the crew has done about a find since. */
  private static Optional<Settled> settled(DepartureState d, Defect defect) {
    TechEntry last = defect.lines().getLast();
    boolean crew = d.opened().flight().place(last.by()).isPresent();
    return crew || last.act() instanceof TechAct.Raised ? Optional.empty()
        : Optional.of(new Settled(defect.id(), defect.cleared(), last.act().told()));
  }

  private static FoundBefore found(DepartureState d, Find f) {
    return new FoundBefore(
        f.id(), d.step(f.step()).map(Step::place), Optional.of(f.step()), f.note(),
        Names.whole(d, f.by()), f.at(),
        f.decision().map(v -> v.verdict().words()).orElse(""), f.what().photos());
  }

  private static FoundBefore found(Defect x) {
    TechAct last = x.lines().getLast().act();
    String how = last instanceof TechAct.Raised ? "Open" : last.told();
    return new FoundBefore(x.id(), x.raised().place(), x.raised().step(), x.raised().what(), x.first().name(),
        x.first().at(), how, List.of());
  }

  /** What the fleet's files give for a flight. @param before departures of the same tail, the newest first */
  Facts facts(Flight flight, List<DepartureState> before) {
    List<Facts.Elevation> elevations = Stream.of(flight.from(), flight.to()).distinct()
        .flatMap(a -> fleet.fleet().airfield(a).stream())
        .map(a -> new Facts.Elevation(a.id(), a.name(), a.elevationFt())).toList();
    Map<String, Facts.LastUse> last = new LinkedHashMap<>();
    before.forEach(d -> DayValues.uses(d).forEach(u -> last.putIfAbsent(u.memory(), u)));
    return new Facts(elevations, List.copyOf(last.values()),
        fleet.fleet().airfield(flight.from()).map(this::departing),
        fleet.fleet().airfield(flight.from()).flatMap(Airfield::ground), left(before),
        fleet.fleet().airfield(flight.from()).stream().flatMap(Airfield::ends).map(e ->
        new Facts.Run(e.name(), e.declared().toraM(), e.intersections())).toList(),
        fleet.fleet().airfield(flight.from()).map(Airfield::latitudeDeg));
  }

  /** By the lists of the last departure before, where its securing was read; an older one says nothing any more. */
  private Optional<Facts.Left> left(List<DepartureState> before) {
    return before.stream().findFirst().flatMap(d -> {
      List<HeldLists.Held> lists = held.of(d.opened().flight().id());
      return lists.stream().filter(h -> h.phase() == LaterList.Phase.SECURING).findFirst().map(h -> new Facts.Left(
          Names.whole(d, h.by()), d.opened().flight().number(), h.at(), leaves(lists)));
    });
  }

  /** What the shutdown left stands, where the securing says nothing else. */
  private static List<State> leaves(List<HeldLists.Held> lists) {
    Map<PointId, State> last = new LinkedHashMap<>();
    Stream.of(LaterList.Phase.SHUTDOWN, LaterList.Phase.SECURING)
        .flatMap(p -> lists.stream().filter(h -> h.phase() == p))
        .flatMap(h -> h.left().stream()).forEach(s -> last.put(s.point(), s));
    return List.copyOf(last.values());
  }

  private Facts.Departing departing(Airfield from) {
    List<Facts.ClimbOut> climbOuts = from.ends().map(e -> {
      Optional<Runway.Obstacle> highest = e.obstacles().stream()
          .max(Comparator.comparing(Runway.Obstacle::heightFt));
      return new Facts.ClimbOut(e.name(), e.bearingTrueDeg(), e.firstTurn(), e.engineOut(),
          highest.map(Runway.Obstacle::name).orElse(""), highest.map(Runway.Obstacle::heightFt).orElse(0));
    }).toList();
    return new Facts.Departing(from.variationDeg(), from.outbound(), from.outbound().alternate()
        .map(a -> fleet.fleet().airfield(a).map(Airfield::name).orElse(a.value())).orElse(""), climbOuts);
  }

  /** What was read on a tail before now, with its plan. */
  EarlierReadings before(TailId tail) {
    Instant now = clock.instant();
    ZoneId zone = tech.zone();
    List<Reading> all = readings.of(tail, MOST_READINGS);
    Map<QuantityId, List<Readings.EarlierReading>> rows = new LinkedHashMap<>();
    all.forEach(r -> rows.computeIfAbsent(r.quantity(), q -> new ArrayList<>()).add(past(r)));
    List<LocalDate> planned = flights(tail).filter(f -> f.departs().isAfter(now))
        .map(f -> LocalDate.ofInstant(f.departs(), zone)).toList();
    double perDay = all.isEmpty() ? 0
        : Usage.perDay(past(all.getFirst()), all.getFirst().at(), past(all.getLast()), all.getLast().at());
    return new EarlierReadings(
        rows.entrySet().stream().map(e -> new EarlierReadings.Row(e.getKey(), e.getValue())).toList(),
        usage(tail, all, now),
        new Schedule(LocalDate.ofInstant(now, zone), planned, perDay));
  }

  private Optional<Usage> usage(TailId tail, List<Reading> all, Instant now) {
    int since = all.isEmpty() ? 0
        : (int) flights(tail).filter(f -> f.departs().isAfter(all.getLast().at()) && f.departs().isBefore(now))
        .count();
    return Usage.of(all.stream().map(TailStatus::past).toList(), since);
  }

  private Stream<Flight> flights(TailId tail) {
    return flights.all().stream().filter(f -> f.tail().equals(tail));
  }

  private static Readings.EarlierReading past(Reading r) {
    return new Readings.EarlierReading(r.landings(), r.hours(), r.value());
  }

  /** Keeps what was read in a departure that is tied off, once. */
  void keepReadings(DepartureState d) {
    TailId tail = d.opened().tail().id();
    d.tiedOff().ifPresent(t -> {
      List<Reading> all = readings.of(tail, MOST_READINGS);
      boolean kept = all.stream().anyMatch(r -> r.at().toEpochMilli() == t.at().toEpochMilli());
      Usage usage = usage(tail, all, t.at()).orElse(new Usage(0, 0));
      List<Reading> now = d.pack().quantities().stream()
          .filter(q -> q.gauge().isPresent() && d.measured().containsKey(q.id()))
          .map(q -> new Reading(tail, q.id(), t.at(), usage.landings(), usage.hours(), d.measured()
          .getOrDefault(q.id(), 0.0))).toList();
      if (!kept && !now.isEmpty()) {
        readings.add(now);
      }
    });
  }

  /** Lines of the technical log that the commander's decisions ask for and that are not in it. */
  List<TechEntry> missing(DepartureState d) {
    TailId tail = d.opened().tail().id();
    TechLog log = tech.log(tail);
    List<TechEntry> lines = new ArrayList<>();
    for (Find f : d.finds()) {
      f.decision().filter(v -> v.verdict() != Verdict.NOTHING_TO_ENTER).ifPresent(v -> {
        Optional<Defect> there = log.defect(f.id());
        if (there.isEmpty()) {
          TechAct raised = new TechAct.Raised(
              f.id(), Optional.of(d.opened().flight().id()), d.step(f.step()).map(Step::place),
              Optional.of(f.step()), f.note());
          lines.add(line(d, f.by(), f.at(), raised));
        }
        boolean open = there.map(x -> !x.cleared() && x.deferred().isEmpty()).orElse(true);
        if (open && v.verdict() == Verdict.FLY_WITH_ENTRY) {
          v.proposed().flatMap(c -> c.entry().flatMap(e -> c.lastDay().map(day ->
              line(d, v.by(), v.at(), new TechAct.Deferred(f.id(), e, f.what().count(), day, v.words())))))
                  .ifPresent(lines::add);
        }
      });
    }
    return lines;
  }

  private static TechEntry line(DepartureState d, CrewId by, Instant at, TechAct act) {
    return new TechEntry(d.opened().tail().id(), at, by, Names.whole(d, by), act);
  }
}

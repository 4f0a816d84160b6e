package neatlanyard.server.timeline;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Place;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Likelihood;
import neatlanyard.core.timeline.Order;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.Task;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.timeline.PlanCalendar;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.timeline.PlanDesk.Current;
import neatlanyard.server.timeline.PlanFinder.Found;
import neatlanyard.server.timeline.PlanTrials.Slip;
import neatlanyard.server.timeline.PlanTrials.Tried;
import neatlanyard.server.timeline.PlanViews.BlockView;
import neatlanyard.server.timeline.PlanViews.BuysView;
import neatlanyard.server.timeline.PlanViews.DecidesView;
import neatlanyard.server.timeline.PlanViews.FoundView;
import neatlanyard.server.timeline.PlanViews.GroundEventView;
import neatlanyard.server.timeline.PlanViews.HangsView;
import neatlanyard.server.timeline.PlanViews.LaterThanWantedView;
import neatlanyard.server.timeline.PlanViews.MovedView;
import neatlanyard.server.timeline.PlanViews.PersonPlanView;
import neatlanyard.server.timeline.PlanViews.PlanLineView;
import neatlanyard.server.timeline.PlanViews.PlanState;
import neatlanyard.server.timeline.PlanViews.PlanView;
import neatlanyard.server.timeline.PlanViews.PlanWaitView;
import neatlanyard.server.timeline.PlanViews.SayView;
import neatlanyard.server.timeline.PlanViews.SlipView;
import org.springframework.stereotype.Component;

/** Puts a plan into what the screens show. */
@Component
class PlanViewer {
  private static final int MOST_DECIDING = 3;

  private static final Pattern MINUTE = Pattern.compile("by minute (\\d+)(?::(\\d\\d))?");
  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");

  private final OtherEndDesk otherEnd;
  private final FleetDesk fleet;

  PlanViewer(OtherEndDesk otherEnd, FleetDesk fleet) {
    this.otherEnd = otherEnd;
    this.fleet = fleet;
  }

  PlanView view(Departure d, Current plan) {
    PlanView by = alone(d, plan);
    return new PlanView(by.state(), by.at(), by.number(), by.wanted(), by.found(), by.clash(), by.smallest(),
        by.ground(), otherEnd.view(d.state(), plan.ground(), by.found().map(FoundView::departs).orElse(by.wanted())));
  }

  /** Without its other end, which is looked up. */
  private PlanView alone(Departure d, Current plan) {
    Instant wanted = d.state().opened().flight().departs();
    List<GroundEventView> ground = plan.ground().stream().map(PlanViewer::ground).toList();
    Optional<Outcome> outcome = plan.found().map(Found::outcome);
    PlanState as = outcome.map(o -> switch (o) {
      case Outcome.Planned p -> PlanState.PLANNED;
      case Outcome.Clash c -> PlanState.CLASH;
      case Outcome.NoTime n -> PlanState.NO_TIME;
    }).orElse(PlanState.NOTHING);
    Optional<Outcome.Clash> clash = outcome.filter(Outcome.Clash.class::isInstance).map(Outcome.Clash.class::cast);
    Optional<FoundView> found = plan.found().flatMap(f -> f.likelihood().map(l -> new Drawn(d, f, l).view()));
    return new PlanView(as, plan.at(), plan.number(), wanted, found,
        clash.map(c -> c.demands().stream().map(s -> clocked(s, d, plan.at())).toList()).orElse(List.of()),
        clash.map(Outcome.Clash::smallest).orElse(false), ground,
        Optional.empty());
  }

  /** What cannot be so counts minutes from the beginning of the plan; people have clocks. */
  private String clocked(String sentence, Departure d, Instant begins) {
    ZoneId zone = fleet.fleet().airfield(d.state().opened().flight().from()).map(Airfield::zone)
        .orElse(ZoneOffset.UTC);
    return MINUTE.matcher(sentence).replaceAll(m -> "by %s".formatted(CLOCK.withZone(zone).format(begins
        .plus(Duration.ofMinutes(Long.parseLong(m.group(1))))
        .plusSeconds(m.group(2) == null ? 0 : Long.parseLong(m.group(2))))));
  }

  /** Empty where nothing is planned. */
  Optional<PlanLineView> line(Departure d, Current plan) {
    PlanView view = alone(d, plan);
    String id = d.state().opened().flight().id().value();
    return view.state() == PlanState.NOTHING ? Optional.empty() : Optional.of(view.found().map(f -> new PlanLineView(
        id, view.state(), plan.at(), Math.max(0, Duration.between(view.wanted(), f.departs()).toSeconds()),
        f.strips().stream().flatMap(s -> s.blocks().stream()).mapToLong(BlockView::slackS).min().orElse(0),
        f.likely())).orElseGet(() -> new PlanLineView(id, view.state(), plan.at(), 0, 0, 0)));
  }

  /** A line for each seat and task, and one for each thing others do. */
  static List<PlanCalendar.Line> lines(PlanView view) {
    return view.found().stream().flatMap(f -> f.strips().stream()).flatMap(s -> s.blocks().stream().map(b ->
        new PlanCalendar.Line(b.id(), s.seat().map(x -> "%s seat".formatted(Doc.written(x))).orElse("others"),
        b.what(), b.begins(), b.ends()))).toList();
  }

  static GroundEventView ground(GroundEvent e) {
    return new GroundEventView(e.kind(), e.kind().words(), e.begins(), e.ends(), e.source(), e.simulated());
  }

  static BuysView buys(Tried t) {
    return new BuysView(t.choice().words(), t.gain().toSeconds(), t.likelihood().onTime(), t.choice().by(),
        Stream.concat(Stream.of(new Event.PlanChosen(t.choice().words(), Math.toIntExact(t.gain().toSeconds()))),
        t.choice().says().stream()).map(PlanViewer::say).toList());
  }

  static SlipView slip(Slip s) {
    return new SlipView(s.what(), s.seat(), s.later().toSeconds(), s.slips().map(Duration::toSeconds),
        s.other().map(o -> new MovedView(o.what(), o.seat(), o.later().toSeconds())));
  }

  private static SayView say(Event event) {
    return switch (event) {
      case Event.PlanChosen e -> new SayView("plan-chosen", Map.of("words", e.words(), "earlier-s", e.earlierS()));
      case Event.PanelHandedOver e -> new SayView("panel-handed-over",
          Map.of("panel", e.panel().value(), "to", Doc.written(e.to())));
      case Event.StepNotToday e -> new SayView("step-not-today",
          Map.of("step", e.step().value(), "reason", e.reason()));
      default -> throw new IllegalArgumentException("%s is not part of a choice".formatted(event));
    };
  }

  /** One plan that was found. */
  private static final class Drawn {
    private final Departure departure;
    private final Ahead ahead;
    private final Outcome.Planned planned;
    private final Likelihood likelihood;
    private final Map<ActivityId, Order.Room> rooms;
    private final List<Order.Link> chain;
    private final Set<ActivityId> hangs;

    Drawn(Departure departure, Found found, Likelihood likelihood) {
      this.departure = departure;
      this.ahead = found.ahead();
      this.planned = (Outcome.Planned) found.outcome();
      this.likelihood = likelihood;
      Order order = Order.of(ahead.demands(), planned.timeline());
      this.rooms = new HashMap<>(order.rooms());
      // Others are not moved by the crew; how much later they may be without moving the departure is theirs to know.
      Map<ActivityId, Order.Room> later =
          Order.of(ahead.demands().endless(ahead.ground().keySet()), planned.timeline()).rooms();
      ahead.ground().keySet().forEach(id -> rooms.put(id, Optional.ofNullable(later.get(id)).orElseThrow()));
      this.chain = order.criticalChain();
      this.hangs = chain.stream().map(Order.Link::activity).collect(Collectors.toSet());
    }

    /** What lies between the end of the plan and the departure lies between any of its moments and theirs. */
    private Instant departs(Duration over) {
      return ahead.at(over).plus(ahead.departs());
    }

    FoundView view() {
      List<PersonPlanView> strips = new ArrayList<>();
      departure.state().opened().flight().crew().stream().sorted(Comparator.comparing(Rostered::seat)).forEach(r ->
          strips.add(new PersonPlanView(Optional.of(r.seat()), name(r), blocks(Optional.of(Ahead.person(r.seat()))))));
      strips.add(new PersonPlanView(Optional.empty(), "Others", blocks(Optional.empty())));
      return new FoundView(
          departs(planned.timeline().departs(ahead.demands())), departs(planned.bound()), planned.earliest(),
          likelihood.onTime(), likelihood.runs(), departs(likelihood.departs()), departs(likelihood.late()), strips,
          waits(), hangs(), likelihood.decides().stream().limit(MOST_DECIDING)
          .map(x -> new DecidesView(ahead.demands().activity(x.activity()).what(), x.share())).toList(),
          ahead.learned(), monitoring());
    }

    private List<LaterThanWantedView> monitoring() {
      return ahead.monitoring().stream().map(m -> new LaterThanWantedView(m.what(), ahead.at(m.tasks().stream()
          .map(id -> planned.timeline().of(id).ends()).max(Comparator.naturalOrder()).orElse(Duration.ZERO)),
          m.wanted())).filter(v -> v.done().isAfter(v.wanted())).toList();
    }

    private String name(Rostered r) {
      return departure.state().opened().crew().stream().filter(m -> m.id().equals(r.who())).map(CrewMember::name)
          .findFirst().orElse(r.who().value());
    }

    /** Pieces of one procedure that follow each other are one. */
    private List<HangsView> hangs() {
      List<HangsView> all = new ArrayList<>();
      for (Order.Link l : chain) {
        HangsView next = new HangsView(ahead.demands().activity(l.activity()).what(), ahead.at(l.begins()),
            ahead.at(l.ends()), l.because());
        Optional<HangsView> last = all.isEmpty() ? Optional.empty() : Optional.of(all.getLast());
        if (last.filter(h -> h.what().equals(next.what()) && h.ends().equals(next.begins())).isPresent()) {
          all.set(all.size() - 1,
              new HangsView(next.what(), last.orElseThrow().begins(), next.ends(), last.orElseThrow().because()));
        } else if (!l.begins().equals(l.ends())) {
          all.add(next);
        }
      }
      return all;
    }

    private List<PlanWaitView> waits() {
      return ahead.demands().waits().stream().filter(w -> !w.because().isEmpty() && !w.least().isZero()).map(w -> {
        Instant begins = ahead.at(planned.timeline().of(w.after()).ends());
        return new PlanWaitView(w.because(), begins, begins.plus(w.least()));
      }).distinct().toList();
    }

    /** What somebody does; of nobody, what others do. Pieces of one procedure that follow each other are one. */
    private List<BlockView> blocks(Optional<PersonId> who) {
      List<Activity> theirs = ahead.demands().activities().stream()
          .filter(a -> !slot(a).begins().equals(slot(a).ends()))
          .filter(a -> who.map(slot(a).who()::contains).orElse(slot(a).who().isEmpty()))
          .sorted(Comparator.comparing(a -> slot(a).begins())).toList();
      List<BlockView> all = new ArrayList<>();
      List<Activity> run = new ArrayList<>();
      for (Activity a : theirs) {
        if (!run.isEmpty() && !goesOn(run.getLast(), a)) {
          all.add(block(run, who));
          run.clear();
        }
        run.add(a);
      }
      if (!run.isEmpty()) {
        all.add(block(run, who));
      }
      return all;
    }

    private Timeline.Slot slot(Activity a) {
      return planned.timeline().of(a.id());
    }

    private boolean goesOn(Activity one, Activity next) {
      Optional<Task> first = ahead.task(one.id());
      return first.isPresent() && ahead.task(next.id()).filter(t -> t.procedure().equals(first.get().procedure()))
          .isPresent() && slot(one).ends().equals(slot(next).begins()) && slot(one).who().equals(slot(next).who());
    }

    private BlockView block(List<Activity> run, Optional<PersonId> who) {
      Activity first = run.getFirst();
      List<Task> tasks = run.stream().flatMap(a -> ahead.task(a.id()).stream()).toList();
      Duration slack = run.stream().map(a -> room(a).slack()).min(Comparator.naturalOrder()).orElseThrow();
      Set<Seat> with = EnumSet.noneOf(Seat.class);
      for (Seat s : Seat.values()) {
        if (slot(first).who().contains(Ahead.person(s)) && who.filter(Ahead.person(s)::equals).isEmpty()) {
          with.add(s);
        }
      }
      boolean moment = Optional.ofNullable(ahead.ground().get(first.id())).filter(GroundEvent::moment).isPresent();
      List<String> places = tasks.stream().flatMap(t -> t.open().stream()).map(i -> i.step().place()).distinct()
          .flatMap(p -> departure.state().pack().place(p).stream()).map(Place::name).toList();
      return new BlockView(first.id().value(), first.what(), tasks.stream().map(Task::stage).findFirst(),
          ahead.at(moment ? slot(first).ends() : slot(first).begins()), ahead.at(slot(run.getLast()).ends()),
          List.copyOf(with),
          ahead.at((moment ? slot(first).ends() : slot(first).begins()).plus(slack)), slack.toSeconds(),
          run.stream().map(Activity::id).anyMatch(hangs::contains),
          tasks.stream().anyMatch(Task::outside), tasks.stream().mapToInt(t -> t.open().size()).sum(), places);
    }

    private Order.Room room(Activity a) {
      return Optional.ofNullable(rooms.get(a.id())).orElseThrow();
    }
  }
}

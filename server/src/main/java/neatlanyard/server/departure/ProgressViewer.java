package neatlanyard.server.departure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.departure.Cases;
import neatlanyard.core.departure.DayValues.Known;
import neatlanyard.core.departure.DayValues;
import neatlanyard.core.departure.Departure.Said;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.departure.Event;
import neatlanyard.core.departure.Find;
import neatlanyard.core.departure.Gates;
import neatlanyard.core.departure.Interruption;
import neatlanyard.core.departure.Mark;
import neatlanyard.core.departure.Reading;
import neatlanyard.core.departure.Standing;
import neatlanyard.core.departure.Status;
import neatlanyard.core.departure.Takeoff;
import neatlanyard.core.dispatch.Case;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.gauge.Allowed;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card.Part;
import neatlanyard.core.sop.DayValue;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.controls.JudgementWords;
import neatlanyard.server.departure.DepartureViews.AircraftView;
import neatlanyard.server.departure.DepartureViews.AllowedView;
import neatlanyard.server.departure.DepartureViews.BeadView;
import neatlanyard.server.departure.DepartureViews.CaseView;
import neatlanyard.server.departure.DepartureViews.ControlsView;
import neatlanyard.server.departure.DepartureViews.DeferralView;
import neatlanyard.server.departure.DepartureViews.FindView;
import neatlanyard.server.departure.DepartureViews.FoundBeforeView;
import neatlanyard.server.departure.DepartureViews.GateView;
import neatlanyard.server.departure.DepartureViews.MarkView;
import neatlanyard.server.departure.DepartureViews.PartProgress;
import neatlanyard.server.departure.DepartureViews.Progress;
import neatlanyard.server.departure.DepartureViews.ReadingView;
import neatlanyard.server.departure.DepartureViews.SeatView;
import neatlanyard.server.departure.DepartureViews.SpotView;
import neatlanyard.server.departure.DepartureViews.StepView;
import neatlanyard.server.departure.DepartureViews.TagView;
import neatlanyard.server.departure.DepartureViews.TakeoffView;
import neatlanyard.server.departure.DepartureViews.TechView;
import neatlanyard.server.departure.DepartureViews.TiedOffView;
import neatlanyard.server.departure.DepartureViews.ValueView;
import neatlanyard.server.departure.DepartureViews.WaitView;
import neatlanyard.server.dispatch.TechDesk;
import org.springframework.stereotype.Component;

/** Puts a departure's state into what the screens show. */
@Component
class ProgressViewer {
  private final TechDesk tech;

  ProgressViewer(TechDesk tech) {
    this.tech = tech;
  }

  Progress progress(Departure d) {
    List<Tag> tags = d.tags();
    Standing standing = new Standing(d, tags);
    Map<StepId, Status> statuses = standing.statuses();
    List<BeadView> beads = beads(d, statuses);
    Stage current = beads.stream()
        .filter(b -> b.state().equals("current"))
        .map(b -> Stage.valueOf(b.stage().toUpperCase(java.util.Locale.ROOT).replace('-', '_')))
        .findFirst()
        .orElse(Stage.TIE_OFF);
    return new Progress(
        d.lastNumber(),
        d.cardNumber(),
        beads,
        steps(d, standing, statuses),
        parts(d, statuses),
        tags.stream().map(t -> tag(d, t, current)).toList(),
        d.inTheWay().stream().map(t -> tag(d, t, current)).toList(),
        seats(d, statuses, current),
        d.finds().stream().map(f -> find(d, f)).toList(),
        tech(d),
        gates(d, statuses, tags),
        d.beside().passed().stream().map(StepId::value).sorted().toList(),
        waits(d),
        values(d),
        allowed(d),
        Takeoff.of(d).stream().map(c -> new TakeoffView(c.name(), c.wanted().value(), c.words(), c.so())).toList(),
        aircraft(d),
        d.controls().map(c -> controls(d, c)),
        d.tiedOff().map(t -> tiedOff(d, t)));
  }

  static String name(Departure d, CrewId who) {
    return d.opened().crew().stream().filter(m -> m.id().equals(who)).map(CrewMember::name).findFirst()
        .orElse(who.value());
  }

  /** The family name, which is what one reads fastest on a tag. */
  private static String shortName(Departure d, CrewId who) {
    String name = name(d, who);
    return name.substring(name.lastIndexOf(' ') + 1);
  }

  private static List<BeadView> beads(Departure d, Map<StepId, Status> statuses) {
    List<Stage> stages = Stream.of(Stage.values())
        .filter(s -> s == Stage.DAY || s == Stage.CONTROLS || s == Stage.TIE_OFF
            || d.pack().procedures().stream().anyMatch(p -> p.stage() == s))
        .toList();
    List<BeadView> beads = new ArrayList<>();
    boolean currentGiven = false;
    for (Stage stage : stages) {
      int[] count = count(d, statuses, stage);
      boolean done = count[1] > 0 && count[0] == count[1];
      String state = done ? "done" : currentGiven ? "ahead" : "current";
      currentGiven |= !done;
      Optional<Instant> due = Optional.ofNullable(d.pack().due().get(stage)).map(d.opened().flight().departs()::minus);
      beads.add(new BeadView(Doc.written(stage), stage.title(), count[0], count[1], state, due));
    }
    return beads;
  }

  /** Done, and all. */
  private static int[] count(Departure d, Map<StepId, Status> statuses, Stage stage) {
    return switch (stage) {
      case DAY -> new int[] {d.seats().size() + (d.card().isPresent() ? 1 : 0), d.opened().flight().crew().size() + 1};
      case TIE_OFF -> new int[] {d.tiedOff().isPresent() ? 1 : 0, 1};
      case CONTROLS -> {
        int passed = d.controls().filter(c -> c.event().judgement().passed()).isPresent() ? 1 : 0;
        List<Item> items = parts(d).filter(p -> p.procedure().stage() == stage).flatMap(p -> p.items().stream())
            .toList();
        yield new int[] {passed + settled(items, statuses), 1 + items.size()};
      }
      default -> {
        List<Item> items = parts(d).filter(p -> p.procedure().stage() == stage).flatMap(p -> p.items().stream())
            .toList();
        yield new int[] {settled(items, statuses), items.size()};
      }
    };
  }

  private static Stream<Part> parts(Departure d) {
    return d.card().stream().flatMap(c -> c.parts().stream());
  }

  private static int settled(List<Item> items, Map<StepId, Status> statuses) {
    return (int) items.stream().filter(i -> statuses.getOrDefault(i.step().id(), Status.OPEN).settled()).count();
  }

  private static Map<String, StepView> steps(Departure d, Standing standing, Map<StepId, Status> statuses) {
    Map<String, StepView> steps = new LinkedHashMap<>();
    parts(d).flatMap(p -> p.items().stream()).forEach(i -> {
      StepId id = i.step().id();
      Status status = statuses.getOrDefault(id, Status.OPEN);
      if (status != Status.OPEN) {
        List<MarkView> marks = d.marks(id).stream().map(m -> mark(d, m)).toList();
        steps.put(id.value(), new StepView(
            Doc.written(status), status.settled(), standing.owes(i).stream().map(Doc::written).toList(),
            standing.because(i), d.disagreed(id), marks,
            Reading.of(d, id).map(ProgressViewer::reading)));
      }
    });
    return steps;
  }

  private static Map<String, List<GateView>> gates(Departure d, Map<StepId, Status> statuses, List<Tag> tags) {
    Map<String, List<GateView>> gates = new LinkedHashMap<>();
    Map<Stage, List<Gates.Gate>> ofStages = new EnumMap<>(Stage.class);
    parts(d).flatMap(p -> p.items().stream())
        .filter(i -> !statuses.getOrDefault(i.step().id(), Status.OPEN).settled() && d.beside().override(i.step().id())
        .isEmpty())
        .forEach(i -> {
          List<Gates.Gate> ofStage = ofStages.computeIfAbsent(i.procedure().stage(), stage ->
              Gates.ofStage(d, stage, tags));
          List<Gates.Gate> closed = Gates.all(d, i, ofStage);
          if (!closed.isEmpty()) {
            gates.put(i.step().id().value(), closed.stream().map(ProgressViewer::gate).toList());
          }
        });
    return gates;
  }

  private static GateView gate(Gates.Gate g) {
    return new GateView(g.words(), g.before().map(b -> b.step().id().value()).orElse(""), g.waits(), g.ofStage(),
        g.until());
  }

  private static List<WaitView> waits(Departure d) {
    Stream<WaitView> ofSteps = d.waits().stream()
        .map(w -> new WaitView(w.item().step().id().value(), "", w.words(), w.since(), w.until()));
    Stream<WaitView> ofTags = d.beside().hung().stream().flatMap(h -> h.event().calls().stream()
        .map(at -> new WaitView("", h.event().tag().toString(), h.event().words(), h.at(), at)));
    return Stream.concat(ofSteps, ofTags).toList();
  }

  private static Map<String, ValueView> values(Departure d) {
    Map<String, ValueView> values = new LinkedHashMap<>();
    parts(d).flatMap(p -> p.items().stream()).forEach(i -> {
      Optional<Known> known = DayValues.of(d, i)
          .or(() -> i.step().value().isPresent() ? Optional.empty() : DayValues.turn(d, i));
      boolean back = i.step().value().filter(DayValue::back).isPresent();
      if (known.isPresent() || i.step().value().isPresent()) {
        values.put(i.step().id().value(), new ValueView(
            known.map(Known::shown).orElse("not known today"), known.map(Known::from).orElse(""),
            known.map(Known::accepted).orElse(List.of()),
            DayValues.choices(d, i), back));
      }
    });
    return values;
  }

  private static Map<String, AllowedView> allowed(Departure d) {
    Map<String, AllowedView> allowed = new LinkedHashMap<>();
    parts(d).flatMap(p -> p.items().stream()).map(Item::step)
        .forEach(s -> s.measures().ifPresent(m -> Reading.allowed(d, s.id())
        .filter(a -> !a.equals(Allowed.ANY))
        .ifPresent(a -> allowed.put(s.id().value(), new AllowedView(end(a.least()), end(a.most()), m.words(a))))));
    return allowed;
  }

  private static Optional<Double> end(double end) {
    return Optional.of(end).filter(Double::isFinite);
  }

  private static Optional<AircraftView> aircraft(Departure d) {
    List<Said<Event.AircraftRead>> read = d.beside().aircraft();
    return read.stream().reduce((a, b) -> b).map(a -> new AircraftView(
        a.event().source(), a.at(), Gates.foundSo(d, a.event().states()).map(i -> i.step().id().value()).toList()));
  }

  private static MarkView mark(Departure d, Mark m) {
    return new MarkView(
        Doc.written(m.outcome()), shortName(d, m.by()), m.seat().map(Doc::written).orElse(""), m.at(), m.number(),
        m.words());
  }

  private static Map<String, PartProgress> parts(Departure d, Map<StepId, Status> statuses) {
    Map<String, PartProgress> parts = new LinkedHashMap<>();
    parts(d).forEach(p -> {
      Procedure procedure = p.procedure();
      Optional<Item> next = d.next(procedure, statuses);
      String stopped = d.stop(procedure.id())
          .map(s -> "Stopped by %s%s".formatted(shortName(d, s.by()), next.map(n -> " at " + n.step().challenge())
          .orElse("")))
          .orElse("");
      Optional<Instant> finished = next.isPresent() ? Optional.empty() : lastWord(d, p);
      parts.put(procedure.id().value(), new PartProgress(
          settled(p.items(), statuses), p.items().size(), next.map(n -> n.step().id().value()).orElse(""), stopped,
          finished));
    });
    return parts;
  }

  private static Optional<Instant> lastWord(Departure d, Part p) {
    return p.items().stream().flatMap(i -> d.marks(i.step().id()).stream()).map(Mark::at).max(Instant::compareTo);
  }

  private static TagView tag(Departure d, Tag t, Stage current) {
    List<Item> closers = t.closedBy().stream().flatMap(s -> d.card().flatMap(c -> c.item(s)).stream()).toList();
    return new TagView(
        t.key(), t.title(), t.detail(), t.sinceNumber() == 0 ? "" : shortName(d, t.hungBy()),
        t.sinceNumber() == 0 ? Optional.empty() : Optional.of(t.since()),
        Doc.written(t.due()), t.due().title(), go(d, t, closers),
        about(d, t).map(i -> List.of(i.step().id().value()))
        .orElseGet(() -> t.closedBy().stream().map(StepId::value).toList()),
        closes(t, closers), t.kind().mayStay(), current.compareTo(t.due()) > 0, outside(d, t, closers),
        t.kind().hangsOn() == TagKind.Trigger.BY_HAND ? subject(t) : "", t.open(), t.all());
  }

  private static String subject(Tag t) {
    return t.key().substring(t.key().indexOf('/') + 1);
  }

  /** The step whose wait or override it is. */
  private static Optional<Item> about(Departure d, Tag t) {
    boolean ofStep = t.kind().hangsOn() == TagKind.Trigger.WAIT || t.kind().hangsOn() == TagKind.Trigger.OVERRIDE;
    return ofStep ? d.card().flatMap(c -> c.item(new StepId(subject(t)))) : Optional.empty();
  }

  /** Opened on the walk, or put aside there. */
  private static boolean outside(Departure d, Tag t, List<Item> closers) {
    return t.kind().hangsOn() == TagKind.Trigger.STEP
        ? parts(d).filter(p -> p.procedure().kind() == Procedure.Kind.WALKAROUND).flatMap(p -> p.items().stream())
            .anyMatch(i -> i.step().opens().stream().anyMatch(h -> h.tag().equals(t.kind().id())))
        : closers.stream().anyMatch(i -> i.procedure().kind() == Procedure.Kind.WALKAROUND);
  }

  /** The screen on which it is closed: the stage of a step that does, or the finds, which the commander decides. */
  private static String go(Departure d, Tag t, List<Item> closers) {
    return switch (t.kind().hangsOn()) {
      case FIND, STANDING_VERDICT -> "finds";
      case DEFERRAL, OTHER_LOG -> "day";
      case WAIT, OVERRIDE -> Doc.written(about(d, t).map(i -> i.procedure().stage()).orElse(t.due()));
      case STEP, LOOK_AGAIN, DISAGREEMENT, STOPPED_CHECKLIST, CONTROLS, BY_HAND, INTERRUPTED, UNFINISHED ->
          Doc.written(closers.stream().findFirst().map(i -> i.procedure().stage()).orElse(t.due()));
    };
  }

  private static String closes(Tag t, List<Item> closers) {
    return t.kind().hangsOn() == TagKind.Trigger.STEP && !closers.isEmpty()
        ? closers.stream().map(i -> "%s: %s".formatted(i.step().challenge(), i.step().response()))
        .collect(Collectors.joining("; "))
        : t.kind().hangsOn().closes();
  }

  private static List<SeatView> seats(Departure d, Map<StepId, Status> statuses, Stage current) {
    List<SeatView> seats = new ArrayList<>();
    for (Seat seat : Seat.values()) {
      Optional<CrewId> rostered =
          d.opened().flight().crew().stream().filter(r -> r.seat() == seat).map(Rostered::who).findFirst();
      if (rostered.isEmpty()) {
        continue;
      }
      Optional<Part> part = parts(d)
          .filter(p -> p.items().stream().allMatch(i -> i.seats().contains(seat)) && d.next(p.procedure(), statuses)
          .isPresent())
          .findFirst()
          .or(() -> parts(d).filter(p -> p.procedure().stage() == current).findFirst());
      String doing = part.map(p -> doing(d, p, statuses))
          .orElse(d.card().isPresent() ? current.title() : "Status and day");
      String place = part.flatMap(p -> d.next(p.procedure(), statuses)).map(i -> i.step().place().value()).orElse("");
      seats.add(new SeatView(
          Doc.written(seat), rostered.map(r -> name(d, r)).orElse(""), rostered.map(CrewId::value).orElse(""),
          d.seats().containsKey(seat), doing, place, part.map(p -> settled(p.items(), statuses)).orElse(0),
          part.map(p -> p.items().size()).orElse(0),
          rostered.flatMap(who -> d.beside().interrupted(who)).map(Interruption::from)));
    }
    return seats;
  }

  private static String doing(Departure d, Part p, Map<StepId, Status> statuses) {
    String where = d.next(p.procedure(), statuses)
        .flatMap(i -> d.pack().place(i.step().place()))
        .map(place -> ", " + place.name())
        .orElse("");
    return p.procedure().title() + where;
  }

  private static ReadingView reading(Reading r) {
    return new ReadingView(
        r.value(), r.quantity().unit().words(r.value()), Doc.written(r.judged().level()), r.judged().words(),
        r.judged().arithmetic(),
        r.judged().source());
  }

  private static TechView tech(Departure d) {
    Instant departs = d.opened().flight().departs();
    return new TechView(
        d.tech().deferrals().stream().map(x -> new DeferralView(
            x.defect().toString(), x.entry().value(), x.title(), x.note(), x.place().map(PlaceId::value).orElse(""),
            x.lastDay(),
            Deferral.left(x.daysLeft(departs)), x.runOut(departs), x.operating(), x.placard(), x.bars())).toList(),
        d.tech().finds().stream().map(f -> new FoundBeforeView(
            f.find().toString(), f.place().map(PlaceId::value).orElse(""), f.step().map(StepId::value).orElse(""),
            f.what(), f.by(), f.at(),
            f.verdict(), f.photos().stream().map(UUID::toString).toList())).toList(),
        d.log().map(l -> l.event().tail().value()).orElse(""));
  }

  private FindView find(Departure d, Find f) {
    Optional<Item> item = d.card().flatMap(c -> c.item(f.step()));
    String challenge = item.map(i -> i.step().challenge()).orElse(f.step().value());
    Optional<Case> proposed = f.decision().flatMap(Find.Decision::proposed)
        .filter(c -> d.tech().settled().stream().noneMatch(s -> s.find().equals(f.id())))
        .or(() -> Cases.of(d, f, tech.list(d.opened().tail().type()), f.at(), tech.zone()));
    return new FindView(
        f.id().toString(), f.step().value(), item.map(i -> i.step().place().value()).orElse(""), challenge, f.note(),
        f.what().severity().words(), f.what().count(), f.what().entry().map(EntryId::value).orElse(""),
        f.what().spot().map(s -> new SpotView(s.x(), s.y())), f.what().photos().stream().map(UUID::toString).toList(),
        f.measured(),
        shortName(d, f.by()), f.at(), f.decision().map(v -> v.verdict().words()).orElse(""),
        f.decision().map(Find.Decision::words).orElse(""), f.decision().map(v -> shortName(d, v.by())).orElse(""),
        proposed.map(ProgressViewer::proposed));
  }

  private static CaseView proposed(Case c) {
    return new CaseView(
        c.verdict().words(),
        Stream.of(Verdict.values()).filter(v -> !v.milderThan(c.verdict()))
        .map(v -> v.name().toLowerCase(java.util.Locale.ROOT)).toList(),
        c.entry().map(EntryId::value).orElse(""), c.because(), c.lastDay(), c.todo(), c.list());
  }

  private static ControlsView controls(Departure d, Said<Event.ControlsChecked> c) {
    return new ControlsView(
        c.event().source(), c.at(), shortName(d, c.by()), c.event().traceSha256(),
        JudgementWords.view(c.event().judgement()));
  }

  private static TiedOffView tiedOff(Departure d, Said<Event.TiedOff> t) {
    return new TiedOffView(t.at(), name(d, t.by()), t.event().accepted().stream()
        .map(a -> new DepartureViews.AcceptedView(a.what(), a.reason())).toList());
  }
}

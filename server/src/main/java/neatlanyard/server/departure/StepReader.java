package neatlanyard.server.departure;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.flow.DayValues.TodaysValue;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.FoundSo;
import neatlanyard.core.flow.Gates.Gate;
import neatlanyard.core.flow.Reading;
import neatlanyard.core.gauge.Allowed;
import neatlanyard.core.lanyard.Standing;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Status;
import neatlanyard.server.departure.DepartureViews.AircraftView;
import neatlanyard.server.departure.DepartureViews.AllowedView;
import neatlanyard.server.departure.DepartureViews.GateView;
import neatlanyard.server.departure.DepartureViews.MarkView;
import neatlanyard.server.departure.DepartureViews.ReadingView;
import neatlanyard.server.departure.DepartureViews.StepView;
import neatlanyard.server.departure.DepartureViews.TakeoffView;
import neatlanyard.server.departure.DepartureViews.ValueView;
import neatlanyard.server.departure.DepartureViews.WaitView;

/** Puts how the steps stand, what keeps them closed and what today gives them into what the screens show. */
final class StepReader {
  private final DepartureState d;
  private final Picture picture;

  StepReader(DepartureState state, Picture picture) {
    this.d = state;
    this.picture = picture;
  }

  /** The steps of which something was said. */
  Map<String, StepView> steps() {
    Map<String, StepView> steps = new LinkedHashMap<>();
    Standing standing = picture.standing();
    for (Item item : d.items()) {
      Status status = standing.of(item.step().id());
      if (status != Status.OPEN) {
        steps.put(item.step().id().value(), step(item, status, standing));
      }
    }
    return steps;
  }

  private StepView step(Item item, Status status, Standing standing) {
    StepId id = item.step().id();
    return new StepView(
        status, status.settled(), List.copyOf(standing.owes(item)),
        standing.because(item), d.disagreed(id), d.marks(id).stream().map(this::mark).toList(),
        Reading.of(d, item.step()).map(StepReader::reading),
        Optional.of(d.notes(id).waitSeen()).filter(number -> number > 0));
  }

  private MarkView mark(Mark m) {
    return new MarkView(
        m.outcome(), Names.family(d, m.by()), m.by().value(), m.device(), m.seat(), m.at(), m.number(), m.words());
  }

  private static ReadingView reading(Reading r) {
    return new ReadingView(
        r.value(), r.quantity().unit().words(r.value()), r.judged().level(), r.judged().words(),
        r.judged().arithmetic(), r.judged().source());
  }

  /** What keeps the open steps closed that nobody has given words to go past. */
  Map<String, List<GateView>> gates() {
    Map<String, List<GateView>> gates = new LinkedHashMap<>();
    for (Item item : d.items()) {
      StepId id = item.step().id();
      if (!picture.standing().of(id).settled() && d.notes(id).override().isEmpty()) {
        List<Gate> closed = picture.gates(item);
        if (!closed.isEmpty()) {
          gates.put(id.value(), closed.stream().map(StepReader::gate).toList());
        }
      }
    }
    return gates;
  }

  private static GateView gate(Gate g) {
    return new GateView(g.words(), g.before().map(b -> b.step().id().value()).orElse(""), g.waits(), g.ofStage(),
        g.until());
  }

  /** The steps that somebody has given words to go past what keeps them closed. */
  List<String> passed() {
    return d.notes().entrySet().stream().filter(n -> n.getValue().override().isPresent())
        .map(n -> n.getKey().value()).sorted().toList();
  }

  List<WaitView> waits() {
    Stream<WaitView> ofSteps = picture.waits().stream()
        .map(w -> new WaitView(w.item().step().id().value(), "", w.words(), w.since(), w.until(),
        Optional.empty(), Optional.empty()));
    Stream<WaitView> ofTags = d.hung().stream().flatMap(h -> h.event().calls().stream()
        .map(at -> new WaitView("", h.event().tag().toString(), h.event().words(), h.at(), at,
        Optional.empty(), Optional.empty())));
    return Stream.of(ofSteps, ofTags, holdover()).flatMap(w -> w).toList();
  }

  /** As long as its tag hangs. */
  private Stream<WaitView> holdover() {
    return picture.tags().stream().filter(t -> t.kind().hangsOn() == Trigger.HOLDOVER)
        .flatMap(t -> d.entries().worked().protection().stream().flatMap(p -> p.least().stream()
        .map(least -> new WaitView("", "", p.words(), p.began(), least, p.most(),
        t.closedBy().stream().findFirst().map(StepId::value)))));
  }

  /** What today gives the steps that want a value, or that use one of two in turn. */
  Map<String, ValueView> values() {
    Map<String, ValueView> values = new LinkedHashMap<>();
    for (Item item : d.items()) {
      boolean wants = item.step().value().isPresent();
      if (wants || item.step().alternates().isPresent()) {
        Optional<TodaysValue> today = wants ? DayValues.of(d, item) : DayValues.turn(d, item);
        values.put(item.step().id().value(), new ValueView(
            today.map(TodaysValue::shown).orElse("not known today"), today.map(TodaysValue::from).orElse(""),
            today.map(TodaysValue::accepted).orElse(List.of()), DayValues.choices(d, item),
            DayValues.askedBack(item)));
      }
    }
    return values;
  }

  /** What the steps that measure may read and need no find, as far as the rest is known now. */
  Map<String, AllowedView> allowed() {
    Map<String, AllowedView> allowed = new LinkedHashMap<>();
    for (Item item : d.items()) {
      item.step().measures().ifPresent(m -> {
        Allowed a = Reading.allowed(d, m);
        if (!a.equals(Allowed.ANY)) {
          allowed.put(item.step().id().value(), new AllowedView(end(a.least()), end(a.most()), m.words(a)));
        }
      });
    }
    return allowed;
  }

  private static Optional<Double> end(double end) {
    return Optional.of(end).filter(Double::isFinite);
  }

  /** What the aircraft's own data said last. */
  Optional<AircraftView> aircraft() {
    return d.aircraft().isEmpty() ? Optional.empty() : Optional.of(d.aircraft().getLast()).map(a -> new AircraftView(
        a.event().source(), a.at(), FoundSo.by(d, a.event().states()).map(i -> i.step().id().value()).toList()));
  }

  List<TakeoffView> takeoff() {
    return picture.takeoff().stream()
        .map(c -> new TakeoffView(c.name(), c.wanted().value(), c.words(), c.so())).toList();
  }
}

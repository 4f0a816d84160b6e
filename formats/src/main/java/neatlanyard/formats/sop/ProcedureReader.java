package neatlanyard.formats.sop;

import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.sop.Alternation;
import neatlanyard.core.sop.DayFigure;
import neatlanyard.core.sop.DayValue;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.sop.Wait;
import neatlanyard.core.sop.Wording;
import neatlanyard.formats.text.Doc;
import org.jspecify.annotations.Nullable;

/** Reads the procedures of a pack, against the places, points and tags it declares. */
final class ProcedureReader {
  private static final Set<Stage> THE_PRODUCTS_OWN = Set.of(Stage.DAY, Stage.TIE_OFF);

  /** More than any fleet writes for one type; beyond it the pack check would take too long for somebody who waits. */
  private static final int MOST_STEPS = 4_000;

  /** A step with the place it was read from, for faults that show only once all has been read. */
  private record Placed(Step what, Doc at) {}

  private final Set<PlaceId> places;
  private final Map<PointId, Point> points;
  private final Map<TagId, TagKind> tags;
  private final ConditionReader conditions;
  private final Map<StepId, Placed> steps = new LinkedHashMap<>();
  /** The controls whose position a figure says, each where it is said first. */
  private final Map<PointId, Doc> byFigure = new LinkedHashMap<>();
  private final Set<ProcedureId> procedures = new HashSet<>();
  private final Map<TagId, Set<String>> opened = new HashMap<>();
  /** The numbers of the procedure being read. */
  private final Set<Integer> numbers = new HashSet<>();
  private int lastNumber;
  private final Set<CriticalFigure> entered = EnumSet.noneOf(CriticalFigure.class);

  ProcedureReader(Set<PlaceId> places, Map<PointId, Point> points, Map<TagId, TagKind> tags,
      ConditionReader conditions) {
    this.places = places;
    this.points = points;
    this.tags = tags;
    this.conditions = conditions;
  }

  List<Procedure> read(Doc doc) {
    List<Procedure> all = doc.list("procedures", this::procedure);
    if (all.isEmpty()) {
      doc.fault("procedures", "A pack needs at least one procedure.");
    }
    if (steps.size() > MOST_STEPS) {
      doc.fault("procedures", "They have %d steps; %d is the most.".formatted(steps.size(), MOST_STEPS));
    }
    steps.values().forEach(s -> s.what.opens().forEach(h ->
        opened.computeIfAbsent(h.tag(), t -> new HashSet<>()).addAll(h.items())));
    steps.values().forEach(this::references);
    needsInARound().forEach(s -> placed(s).at.fault("needs", "'%s' needs itself, by way of its needs.".formatted(s)));
    return all;
  }

  private Procedure procedure(Doc doc) {
    ProcedureId id = doc.of("id", ProcedureId::new, "x");
    if (!procedures.add(id)) {
      doc.fault("id", "A procedure '%s' exists already.".formatted(id));
    }
    Stage stage = doc.one("stage", Stage.class);
    if (THE_PRODUCTS_OWN.contains(stage)) {
      doc.fault("stage",
          "The product does the stage '%s' itself; a procedure cannot stand there.".formatted(Doc.written(stage)));
    }
    Procedure.Kind kind = doc.one("kind", Procedure.Kind.class);
    Owner owner = doc.one("owner", Owner.class, Owner.BOTH);
    boolean owned = doc.has("owner");
    List<State> leaves = states(doc, "leaves");
    numbers.clear();
    List<Step> list = doc.list("steps", d -> step(d, kind, owner, owned));
    if (list.isEmpty()) {
      doc.fault("steps", "A procedure needs at least one step.");
    }
    return new Procedure(id, doc.text("title"), stage, kind, leaves, list,
        doc.has("takes-s") ? Optional.of(Duration.ofSeconds(doc.whole("takes-s", 1, 7_200))) : Optional.empty(),
        doc.has("monitoring-done-min")
            ? Optional.of(Duration.ofMinutes(doc.whole("monitoring-done-min", 0, 120))) : Optional.empty());
  }

  private static Duration wait(Doc doc) {
    return Duration.ofSeconds(doc.whole("seconds", 1, 7_200));
  }

  /** Each latitude once. */
  private static List<Wait.From> nearerPoles(Doc doc) {
    List<Wait.From> all = doc.list("nearer-poles", d -> new Wait.From(d.whole("from-deg", 1, 90), wait(d)));
    if (all.stream().map(Wait.From::latitudeDeg).distinct().count() < all.size()) {
      doc.fault("nearer-poles", "A latitude stands there twice.");
    }
    return all;
  }

  private Step step(Doc doc, Procedure.Kind kind, Owner procedureOwner, boolean owned) {
    Step step = new Step(
        doc.of("id", StepId::new, "x"),
        doc.of("at", PlaceId::new, "x"),
        doc.text("challenge"),
        doc.text("response"),
        owned ? doc.one("owner", Owner.class, procedureOwner) : doc.one("owner", Owner.class),
        conditions.read(doc),
        doc.text("caution", ""),
        states(doc, "sets"),
        states(doc, "expects"),
        states(doc, "verifies"),
        doc.values("needs", StepId::new, "x"),
        hooks(doc, "opens"),
        hooks(doc, "closes"),
        optional(doc, "waits", d -> new Wait(wait(d), d.text("before"), nearerPoles(d))),
        doc.values("after-wait", StepId::new, "x"),
        optional(doc, "measures", this::measure),
        doc.values("enters", ProcedureReader::figure, Doc.written(CriticalFigure.V1)),
        doc.list("only", d -> new Step.Only(d.one("figure", CriticalFigure.class), conditions.read(d),
            d.values("values", s -> s, "x"), d.text("because"))),
        doc.has("says") ? Optional.of(doc.of("says", Wording::of, "")) : Optional.empty(),
        optional(doc, "alternates", d -> new Alternation(d.values("choices", s -> s, "x"), d.text("memory", ""))),
        optional(doc, "value", this::value),
        doc.list("course", d -> new Step.Beat(d.text("act"), d.text("see"))),
        doc.list("messages", d -> new Step.Message(d.text("shows"), d.text("expected", ""))),
        doc.text("why", ""),
        optional(doc, "looks", d -> new Step.Looks(d.values("right", s -> s, "x"), d.values("wrong", s -> s, "x")))
            .orElse(Step.Looks.NONE),
        doc.has("number") ? OptionalInt.of(doc.whole("number", 1, 9_999)) : OptionalInt.empty(),
        doc.yes("changes-trim", false),
        doc.yes("tests-lights", false),
        doc.yes("not-while-fuelling", false),
        doc.yes("critical", false),
        doc.yes("alerted", false),
        doc.yes("below-line", false));
    if (step.belowLine() && kind != Procedure.Kind.CHECKLIST) {
      doc.fault("below-line", "Only a checklist has a line.");
    }
    step.sets().stream().filter(s -> Optional.ofNullable(points.get(s.point())).filter(p -> !p.control()).isPresent())
        .forEach(s ->
        doc.fault("sets", "'%s' is an indication; it is expected, not set.".formatted(s.point())));
    step.alternates().filter(a -> a.choices().size() < 2).ifPresent(a ->
        doc.fault("alternates", "'choices' wants at least two."));
    step.value().ifPresent(v -> sourced(doc, step, v));
    if (step.measures().isPresent() && step.value().isPresent()) {
      doc.fault("value", "A step measures or has a value of today, not both.");
    }
    entered(doc, step);
    numbered(doc, step);
    if (step.says().isPresent() && kind != Procedure.Kind.BRIEFING) {
      doc.fault("says", "Only a step of a briefing says something.");
    }
    if (steps.put(step.id(), new Placed(step, doc)) != null) {
      doc.fault("id", "A step '%s' exists already.".formatted(step.id()));
    }
    return step;
  }

  private static CriticalFigure figure(String name) {
    return Doc.named(CriticalFigure.class, name);
  }

  /**
   * A number is said aloud, so that within one procedure it stands for one step, or for neighbours
   * that differ by the day.
   */
  private void numbered(Doc doc, Step step) {
    step.number().ifPresent(n -> {
      if (!numbers.add(n) && n != lastNumber) {
        doc.fault("number", "Another step of this procedure has the number %d.".formatted(n));
      }
      lastNumber = n;
    });
  }

  /** A figure has one step, which two pilots answer and nothing else is said of. */
  private void entered(Doc doc, Step step) {
    step.only().stream().filter(o -> !step.enters().contains(o.figure()) || o.values().isEmpty()).forEach(o ->
        doc.fault("only", "'only' names a figure the step enters, and at least one value."));
    if (step.enters().isEmpty()) {
      return;
    }
    if (step.owner() != Owner.BOTH) {
      doc.fault("enters", "Each pilot enters a figure alone; the step belongs to both.");
    }
    if (step.measures().isPresent() || step.value().isPresent()) {
      doc.fault("enters", "A step that enters figures neither measures nor has a value of today.");
    }
    step.enters().stream().filter(f -> !entered.add(f)).forEach(f ->
        doc.fault("enters", "The %s is entered twice.".formatted(f.words())));
  }

  private static <T> Optional<T> optional(Doc doc, String field, java.util.function.Function<Doc, T> reader) {
    return doc.has(field) ? doc.inner(field, reader) : Optional.empty();
  }

  private Measure measure(Doc doc) {
    Quantity quantity = conditions.quantity(doc);
    Measure measure = new Measure(quantity, limit(doc, "least"), limit(doc, "most"));
    if (measure.least().isPresent() && measure.most().isPresent() && measure.least().getAsDouble() > measure.most()
        .getAsDouble()) {
      doc.fault("least", "The least lies above the most.");
    }
    return measure;
  }

  private DayValue value(Doc doc) {
    boolean back = doc.yes("back", false);
    if (doc.has("position")) {
      PointId point = doc.of("position", PointId::new, "x");
      return new DayValue(new DayValue.Source.Position(point), back);
    }
    if (doc.yes("turn", false)) {
      return new DayValue(new DayValue.Source.Turn(), back);
    }
    if (doc.has("agreed")) {
      List<CriticalFigure> figures =
          doc.oneOrMore("agreed", ProcedureReader::figure, Doc.written(CriticalFigure.V1));
      if (figures.isEmpty() || back && figures.size() > 1) {
        doc.fault("agreed", back ? "One figure can be asked back." : "It names no figure.");
      }
      return new DayValue(new DayValue.Source.Agreed(figures), back);
    }
    return new DayValue(
        new DayValue.Source.Figure(doc.one("of", DayFigure.class), doc.has("plus")
        ? doc.whole("plus", -10_000, 10_000) : 0), back);
  }

  /** What a value comes from must be there. */
  private static void sourced(Doc doc, Step step, DayValue value) {
    switch (value.source()) {
      case DayValue.Source.Position p -> {
        if (step.wanted(p.point()).isEmpty()) {
          doc.fault("value", "The step neither sets, expects nor verifies '%s'.".formatted(p.point()));
        }
      }
      case DayValue.Source.Turn t -> {
        if (step.alternates().isEmpty()) {
          doc.fault("value", "The step uses nothing in turn.");
        }
      }
      case DayValue.Source.Figure f -> { }
      case DayValue.Source.Agreed a -> { }
    }
  }

  private static OptionalDouble limit(Doc doc, String field) {
    return doc.has(field) ? OptionalDouble.of(doc.number(field, -1e6, 1e6)) : OptionalDouble.empty();
  }

  List<State> states(Doc doc, String field) {
    return doc.has(field) ? doc.inner(field, this::states).orElse(List.of()) : List.of();
  }

  private List<State> states(Doc doc) {
    List<State> states = new ArrayList<>();
    for (String name : doc.names()) {
      String value = doc.text(name);
      Optional<Point> point = known(name);
      if (point.isEmpty()) {
        doc.fault(name, "There is no control or indication '%s'.".formatted(name));
      } else if (value.equals(State.AGREED) && point.get().agreed().isPresent()) {
        byFigure.computeIfAbsent(point.get().id(), p -> doc);
        states.add(new State(point.get().id(), value));
      } else if (!point.get().states().contains(value)) {
        doc.fault(name, "'%s' cannot be '%s'; known are: %s.".formatted(name, value,
            String.join(", ", point.get().states())));
      } else {
        states.add(new State(point.get().id(), value));
      }
    }
    return states;
  }

  /** What counts while nothing is agreed must be said, and is a position. */
  List<State> takeoff(Doc doc) {
    Map<PointId, Doc> steps = Map.copyOf(byFigure);
    Set<String> named = new HashSet<>();
    List<State> takeoff = !doc.has("takeoff") ? List.of() : doc.inner("takeoff", d -> {
      d.names().forEach(named::add);
      return states(d);
    }).orElse(List.of());
    takeoff.stream().filter(State::byFigure).forEach(s -> doc.fault("takeoff",
        "'%s': a position that counts while nothing is agreed.".formatted(s.point())));
    steps.forEach((point, at) -> {
      if (!named.contains(point.value())) {
        at.fault(point.value(), "'takeoff' says nothing of '%s', which counts while nothing is agreed."
            .formatted(point));
      }
    });
    return takeoff;
  }

  private Optional<Point> known(String name) {
    try {
      return Optional.ofNullable(points.get(new PointId(name)));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static List<Step.Hook> hooks(Doc doc, String field) {
    return doc.either(
        field,
        name -> new Step.Hook(tagId(doc, field, name), List.of()),
        d -> new Step.Hook(d.of("tag", TagId::new, "x"), d.values("items", s -> s, "")));
  }

  private static TagId tagId(Doc doc, String field, String name) {
    try {
      return new TagId(name);
    } catch (IllegalArgumentException e) {
      doc.fault(field, "'%s': %s.".formatted(field, e.getMessage()));
      return new TagId("x");
    }
  }

  private Placed placed(StepId id) {
    return Optional.ofNullable(steps.get(id)).orElseThrow();
  }

  /** Faults that show only once the whole pack is known. */
  private void references(Placed placed) {
    Step step = placed.what;
    if (!places.contains(step.place())) {
      placed.at.fault("at", "There is no station or panel '%s'.".formatted(step.place()));
    }
    step.needs().stream().filter(n -> !steps.containsKey(n)).forEach(n ->
        placed.at.fault("needs", "There is no step '%s'.".formatted(n)));
    step.afterWait().forEach(n -> {
      if (!steps.containsKey(n)) {
        placed.at.fault("after-wait", "There is no step '%s'.".formatted(n));
      } else if (placed(n).what.waits().isEmpty()) {
        placed.at.fault("after-wait", "The step '%s' starts no wait.".formatted(n));
      }
    });
    hooked(placed, "opens", step.opens());
    hooked(placed, "closes", step.closes());
    for (Step.Hook hook : step.closes()) {
      if (clock(tags.get(hook.tag()))) {
        continue;
      }
      hook.items().stream().filter(i -> !opened.getOrDefault(hook.tag(), Set.of()).contains(i)).forEach(i ->
          placed.at.fault("closes", "Nothing opens '%s' of the tag '%s'.".formatted(i, hook.tag())));
    }
  }

  /** A step may close it, though none opens it. */
  private static boolean clock(@Nullable TagKind kind) {
    return kind != null && kind.hangsOn() == Trigger.HOLDOVER;
  }

  private void hooked(Placed placed, String field, List<Step.Hook> hooks) {
    for (Step.Hook hook : hooks) {
      TagKind kind = tags.get(hook.tag());
      if (kind == null) {
        placed.at.fault(field, "There is no tag '%s'.".formatted(hook.tag()));
      } else if (kind.hangsOn() != Trigger.STEP && !(clock(kind) && field.equals("closes"))) {
        placed.at.fault(field, "The tag '%s' hangs on %s, not on steps.".formatted(hook.tag(),
            Doc.written(kind.hangsOn())));
      }
    }
  }

  /**
   * The steps whose needs go round: what is left when steps that need nothing left, and steps that nothing left needs,
   * are taken away again and again (Kahn 1962, from both ends). Linear, and without recursion, whatever is brought in.
   */
  private List<StepId> needsInARound() {
    Map<StepId, Set<StepId>> needs = new LinkedHashMap<>();
    Map<StepId, Set<StepId>> neededBy = new HashMap<>();
    steps.keySet().forEach(s -> {
      needs.put(s, new HashSet<>());
      neededBy.put(s, new HashSet<>());
    });
    steps.forEach((id, placed) -> placed.what.needs().stream().filter(steps::containsKey).forEach(n -> {
      needs.computeIfAbsent(id, i -> new HashSet<>()).add(n);
      neededBy.computeIfAbsent(n, i -> new HashSet<>()).add(id);
    }));
    takeAway(needs, neededBy);
    takeAway(neededBy, needs);
    return List.copyOf(needs.keySet());
  }

  private static void takeAway(Map<StepId, Set<StepId>> out, Map<StepId, Set<StepId>> in) {
    Deque<StepId> free = new ArrayDeque<>(out.keySet().stream().filter(s -> out.getOrDefault(s, Set.of()).isEmpty())
        .toList());
    while (!free.isEmpty()) {
      StepId gone = free.pop();
      out.remove(gone);
      for (StepId other : Optional.ofNullable(in.remove(gone)).orElse(Set.of())) {
        Set<StepId> left = out.get(other);
        if (left != null && left.remove(gone) && left.isEmpty()) {
          free.push(other);
        }
      }
    }
  }
}

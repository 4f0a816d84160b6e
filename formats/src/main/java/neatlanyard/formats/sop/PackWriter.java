package neatlanyard.formats.sop;

import java.time.Duration;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.sop.DayValue;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.TagKind;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.YamlText;
import tools.jackson.databind.json.JsonMapper;

/** Writes a pack; what {@link PackReader} reads of it is equal to what was written. */
public final class PackWriter {
  private static final JsonMapper JSON = new JsonMapper();

  private PackWriter() {}

  public static String yaml(Pack pack) {
    return YamlText.write(tree(pack));
  }

  public static String json(Pack pack) {
    return JSON.writeValueAsString(tree(pack));
  }

  /** The pack as maps, lists and single values, fields in the order in which people read them. */
  static Map<String, Object> tree(Pack p) {
    Map<String, Object> tree = new LinkedHashMap<>();
    tree.put("format", PackReader.FORMAT);
    tree.put("id", p.id().value());
    tree.put("revision", p.revision());
    tree.put("title", p.title());
    tree.put("type", p.type().value());
    tree.put("policy", policy(p));
    some(tree, "equipment", p.equipment(), Object::toString);
    some(tree, "sub-types", p.subTypes(), s -> {
      Map<String, Object> m = fields("id", s.id().value(), "name", s.name());
      some(m, "equipment", sorted(s.equipment()), x -> x);
      return m;
    });
    some(tree, "tails", p.tails(), t -> {
      Map<String, Object> m = fields("id", t.id().value());
      t.subType().ifPresent(s -> m.put("sub-type", s.value()));
      some(m, "equipment", sorted(t.equipment()), x -> x);
      return m;
    });
    some(tree, "quantities", p.quantities(), q -> {
      Map<String, Object> m = fields("id", q.id().value(), "name", q.name(), "unit", Doc.written(q.unit()));
      q.gauge().ifPresent(g -> m.put("gauge", GaugeWriter.tree(g)));
      return m;
    });
    if (!p.due().isEmpty()) {
      tree.put("due", due(p.due()));
    }
    tree.put("planform", planform(p.planform()));
    some(tree, "stations", p.places().stream().filter(Place::station).toList(), s -> station(p, s));
    some(tree, "panels", p.places().stream().filter(s -> !s.station()).toList(), s -> panel(p, s));
    some(tree, "tags", p.tags(), PackWriter::tag);
    some(tree, "procedures", p.procedures(), PackWriter::procedure);
    states(tree, "takeoff", p.takeoff());
    tree.put("flight-controls", ControlSpecWriter.tree(p.flightControls()));
    some(tree, "later", p.later(), l -> {
      Map<String, Object> list = fields("phase", Doc.written(l.phase()), "title", l.title());
      some(list, "items", l.items(), i -> {
        Map<String, Object> item = fields("challenge", i.challenge(), "response", i.response());
        ConditionWriter.tree(i.when()).ifPresent(w -> item.put("when", w));
        states(item, "sets", i.sets());
        return item;
      });
      return list;
    });
    some(tree, "drawings", p.drawings(), d -> d.photo().isEmpty()
        ? fields("id", d.id(), "title", d.title(), "svg", DrawingReader.svg(d))
        : fields("id", d.id(), "title", d.title(), "photo", d.photo()));
    some(tree, "waivers", p.waivers(), w -> fields("rule", w.rule(), "at", w.at(), "reason", w.reason()));
    return tree;
  }

  static Map<String, Object> fields(Object... namesAndValues) {
    Map<String, Object> fields = new LinkedHashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2) {
      fields.put(namesAndValues[i].toString(), number(namesAndValues[i + 1]));
    }
    return fields;
  }

  /** A whole number is written without a point. */
  static Object number(Object value) {
    return value instanceof Double d && d == Math.rint(d) && Math.abs(d) < 1e9 ? (Object) d.longValue() : value;
  }

  static <T> void some(Map<String, Object> tree, String field, Collection<T> of, Function<T, Object> written) {
    if (!of.isEmpty()) {
      tree.put(field, of.stream().map(written).toList());
    }
  }

  static void unless(Map<String, Object> tree, String field, boolean usual, Object value) {
    if (!usual) {
      tree.put(field, value);
    }
  }

  private static List<String> sorted(Set<?> of) {
    return of.stream().map(Object::toString).sorted().toList();
  }

  private static Map<String, Object> policy(Pack p) {
    Map<String, Object> policy = new LinkedHashMap<>();
    for (Matter matter : Matter.values()) {
      policy.put(Doc.written(matter), Doc.written(p.policy().of(matter)));
    }
    return policy;
  }

  private static Map<String, Object> due(Map<Stage, Duration> due) {
    Map<String, Object> written = new LinkedHashMap<>();
    for (Stage stage : Stage.values()) {
      Optional.ofNullable(due.get(stage)).ifPresent(d -> written.put(Doc.written(stage), d.toMinutes()));
    }
    return written;
  }

  private static Map<String, Object> planform(Planform p) {
    Map<String, Object> m = fields(
        "length-m", p.lengthM(), "fuselage-width-m", p.fuselageWidthM(), "wing", aerofoil(p.wing()), "tailplane",
        aerofoil(p.tailplane()));
    if (p.seating() != Seating.ABREAST) {
      m.put("seating", Doc.written(p.seating()));
    }
    some(m, "engines", p.engines(), e ->
        fields("kind", Doc.written(e.kind()), "x", e.x(), "y", e.y(), "diameter-m", e.diameterM()));
    some(m, "gear", p.gear(), g -> fields("x", g.x(), "y", g.y(), "wheels", g.wheels()));
    some(m, "doors", p.doors(), d -> fields("name", d.name(), "x", d.x(), "y", d.y(), "length-m", d.lengthM()));
    some(m, "hazards", p.hazards(), h -> {
      Map<String, Object> hazard = fields(
          "kind", Doc.written(h.kind()), "name", h.name(), "x", h.x(), "y", h.y(), "width-m", h.widthM(), "length-m",
          h.lengthM());
      h.during().ifPresent(t -> hazard.put("during", t.value()));
      return hazard;
    });
    p.ground().ifPresent(g -> m.put("ground", ground(g)));
    return m;
  }

  private static Map<String, Object> ground(Planform.Ground g) {
    Map<String, Object> m = fields("eye-y", g.eyeY(), "steering-deg", g.steeringDeg(), "radius-m", g.radiusM(),
        "speeds-kt", fields("apron", g.speeds().apronKt(), "turn", g.speeds().turnKt(), "straight",
        g.speeds().straightKt(), "backtrack", g.speeds().backtrackKt()));
    if (!g.cooling().isEmpty()) {
      m.put("brakes", g.cooling().stream().map(c ->
          fields("up-to-c", c.upToC(), "minutes", c.minutes(), "fan-minutes", c.fanMinutes())).toList());
    }
    return m;
  }

  private static Map<String, Object> aerofoil(Planform.Aerofoil a) {
    return fields("span-m", a.spanM(), "root-y", a.rootY(), "root-chord-m", a.rootChordM(), "tip-y", a.tipY(),
        "tip-chord-m", a.tipChordM());
  }

  private static Map<String, Object> station(Pack pack, Place p) {
    Map<String, Object> m = fields("id", p.id().value(), "name", p.name(), "x", p.x(), "y", p.y());
    unless(m, "glance", p.glance().isEmpty(), p.glance());
    points(m, pack, p);
    return m;
  }

  private static Map<String, Object> panel(Pack pack, Place p) {
    Map<String, Object> m = fields(
        "id", p.id().value(), "name", p.name(), "x", p.x(), "y", p.y(), "width", p.width(), "height", p.height(),
        "half", Doc.written(p.half()));
    unless(m, "shared", !p.shared(), true);
    unless(m, "glance", p.glance().isEmpty(), p.glance());
    points(m, pack, p);
    return m;
  }

  private static void points(Map<String, Object> m, Pack pack, Place place) {
    some(m, "controls", PackReader.at(pack.points(), place.id(), true), p -> point(p, "positions"));
    some(m, "indications", PackReader.at(pack.points(), place.id(), false), p -> point(p, "states"));
  }

  private static Map<String, Object> point(Point p, String states) {
    Map<String, Object> m = fields("id", p.id().value(), "name", p.name(), states, p.states());
    unless(m, "lights-test", p.lightsTested(), false);
    p.agreed().ifPresent(f -> m.put("agreed", Doc.written(f)));
    return m;
  }

  private static Map<String, Object> tag(TagKind t) {
    Map<String, Object> m = fields("id", t.id().value(), "title", t.title());
    unless(m, "hangs-on", t.hangsOn() == TagKind.Trigger.STEP, Doc.written(t.hangsOn()));
    m.put("due", Doc.written(t.due()));
    unless(m, "may-stay", t.mayStay(), false);
    t.most().ifPresent(most -> m.put("most-min", most.toMinutes()));
    return m;
  }

  private static Map<String, Object> procedure(Procedure p) {
    Map<String, Object> m = fields(
        "id", p.id().value(), "title", p.title(), "stage", Doc.written(p.stage()), "kind", Doc.written(p.kind()));
    Owner owner = p.steps().getFirst().owner();
    boolean one = p.steps().stream().allMatch(s -> s.owner() == owner);
    unless(m, "owner", !one, Doc.written(owner));
    states(m, "leaves", p.leaves());
    p.takes().ifPresent(t -> m.put("takes-s", t.toSeconds()));
    p.monitoringDone().ifPresent(t -> m.put("monitoring-done-min", t.toMinutes()));
    m.put("steps", p.steps().stream().map(s -> step(s, one)).toList());
    return m;
  }

  private static Map<String, Object> step(Step s, boolean ownedByAll) {
    Map<String, Object> m = fields("id", s.id().value(), "at", s.place().value());
    unless(m, "owner", ownedByAll, Doc.written(s.owner()));
    m.put("challenge", s.challenge());
    m.put("response", s.response());
    ConditionWriter.tree(s.when()).ifPresent(w -> m.put("when", w));
    unless(m, "caution", s.caution().isEmpty(), s.caution());
    unless(m, "critical", !s.critical(), true);
    unless(m, "alerted", !s.alerted(), true);
    unless(m, "not-while-fuelling", !s.notWhileFuelling(), true);
    states(m, "sets", s.sets());
    states(m, "expects", s.expects());
    states(m, "verifies", s.verifies());
    some(m, "needs", s.needs(), Object::toString);
    some(m, "opens", s.opens(), PackWriter::hook);
    some(m, "closes", s.closes(), PackWriter::hook);
    s.waits().ifPresent(w -> {
      Map<String, Object> wait = fields("seconds", w.time().toSeconds(), "before", w.before());
      some(wait, "nearer-poles", w.nearerPoles(), f ->
          fields("from-deg", f.latitudeDeg(), "seconds", f.time().toSeconds()));
      m.put("waits", wait);
    });
    some(m, "after-wait", s.afterWait(), Object::toString);
    s.measures().ifPresent(x -> {
      Map<String, Object> measure = fields("quantity", x.quantity().id().value(), "unit",
          Doc.written(x.quantity().unit()));
      x.least().ifPresent(v -> measure.put("least", number(v)));
      x.most().ifPresent(v -> measure.put("most", number(v)));
      m.put("measures", measure);
    });
    some(m, "enters", s.enters(), Doc::written);
    some(m, "only", s.only(), o -> {
      Map<String, Object> only = fields("figure", Doc.written(o.figure()), "values", o.values(), "because",
          o.because());
      ConditionWriter.tree(o.when()).ifPresent(w -> only.put("when", w));
      return only;
    });
    s.says().ifPresent(x -> m.put("says", x.toString()));
    s.alternates().ifPresent(a -> {
      Map<String, Object> alternates = fields("choices", a.choices());
      unless(alternates, "memory", a.memory().isEmpty(), a.memory());
      m.put("alternates", alternates);
    });
    s.value().ifPresent(v -> {
      Map<String, Object> value = switch (v.source()) {
        case DayValue.Source.Figure f -> fields("of", Doc.written(f.figure()));
        case DayValue.Source.Agreed a -> fields("agreed", a.figures().size() == 1
            ? Doc.written(a.figures().getFirst()) : a.figures().stream().map(Doc::written).toList());
        case DayValue.Source.Position x -> fields("position", x.point().value());
        case DayValue.Source.Turn t -> fields("turn", true);
      };
      if (v.source() instanceof DayValue.Source.Figure f && f.plus() != 0) {
        value.put("plus", f.plus());
      }
      unless(value, "back", !v.back(), true);
      m.put("value", value);
    });
    some(m, "course", s.course(), b -> fields("act", b.act(), "see", b.see()));
    some(m, "messages", s.messages(), x -> {
      Map<String, Object> message = fields("shows", x.shows());
      unless(message, "expected", x.expected().isEmpty(), x.expected());
      return message;
    });
    unless(m, "why", s.why().isEmpty(), s.why());
    if (!s.looks().equals(Step.Looks.NONE)) {
      Map<String, Object> looks = new LinkedHashMap<>();
      some(looks, "right", s.looks().right(), x -> x);
      some(looks, "wrong", s.looks().wrong(), x -> x);
      m.put("looks", looks);
    }
    s.number().ifPresent(n -> m.put("number", n));
    unless(m, "changes-trim", !s.changesTrim(), true);
    unless(m, "tests-lights", !s.testsLights(), true);
    unless(m, "below-line", !s.belowLine(), true);
    return m;
  }

  private static void states(Map<String, Object> m, String field, List<State> states) {
    if (!states.isEmpty()) {
      Map<String, Object> written = new LinkedHashMap<>();
      states.forEach(s -> written.put(s.point().value(), s.value()));
      m.put(field, written);
    }
  }

  private static Object hook(Step.Hook h) {
    return h.items().equals(List.of(h.tag().value())) ? h.tag().value()
        : fields("tag", h.tag().value(), "items", h.items());
  }
}

package neatlanyard.formats.sop;

import java.time.Duration;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads a procedure pack; see docs/formats/pack.md. */
public final class PackReader {
  /** What a pack says of itself in its first field. */
  public static final String FORMAT = "neat-lanyard/pack/1";

  private record Placed<T>(T what, Doc.Place at) {}

  private final Map<StepId, Placed<Step>> steps = new HashMap<>();
  private final Set<PlaceId> places = new HashSet<>();
  private final Set<ProcedureId> procedures = new HashSet<>();
  private final Map<TagId, TagKind> tags = new HashMap<>();

  private PackReader() {}

  public static Read<Pack> read(String text) {
    return Doc.read(text, doc -> new PackReader().pack(doc));
  }

  private Pack pack(Doc doc) {
    String format = doc.text("format");
    if (!format.isEmpty() && !format.equals(FORMAT)) {
      doc.fault("format", "'format' is '%s'; '%s' is read here.".formatted(format, FORMAT));
    }
    List<Place> stations = doc.list("stations", this::station);
    List<Place> panels = doc.list("panels", this::panel);
    List<TagKind> kinds = doc.list("tags", this::tag);
    List<Procedure> all = doc.list("procedures", this::procedure);
    if (all.isEmpty()) {
      doc.fault("procedures", "A pack needs at least one procedure.");
    }
    steps.values().forEach(this::references);
    return new Pack(
        doc.of("id", PackId::new, "x1"),
        doc.text("revision"),
        doc.text("title"),
        doc.of("type", TypeId::new, "x1"),
        doc.has("policy") ? doc.inner("policy", PackReader::policy).orElse(Policy.DEFAULT) : Policy.DEFAULT,
        doc.has("due") ? doc.inner("due", PackReader::due).orElse(Map.of()) : Map.of(),
        doc.inner("planform", PackReader::planform).orElse(NO_PLANFORM),
        java.util.stream.Stream.concat(stations.stream(), panels.stream()).toList(),
        kinds,
        all,
        doc.inner("controls", ControlSpecReader::read).orElse(ControlSpecReader.NONE));
  }

  private static final Planform.Aerofoil NO_WING = new Planform.Aerofoil(1, 0, 1, 0, 1);
  private static final Planform NO_PLANFORM = new Planform(1, 1, NO_WING, NO_WING, List.of());

  private static Policy policy(Doc doc) {
    return new Policy(
        doc.one("checklist-voice", Policy.ChecklistVoice.class, Policy.DEFAULT.checklistVoice()),
        doc.one("control-check", Policy.ControlCheckWhen.class, Policy.DEFAULT.controlCheckWhen()));
  }

  private static Map<Stage, Duration> due(Doc doc) {
    Map<Stage, Duration> due = new EnumMap<>(Stage.class);
    for (Stage stage : Stage.values()) {
      String name = Doc.written(stage);
      if (doc.has(name)) {
        due.put(stage, Duration.ofMinutes(doc.whole(name, -120, 600)));
      }
    }
    return due;
  }

  private static Planform planform(Doc doc) {
    return new Planform(
        doc.number("length-m", 1, 120),
        doc.number("fuselage-width-m", 0.5, 12),
        doc.inner("wing", PackReader::aerofoil).orElse(NO_WING),
        doc.inner("tailplane", PackReader::aerofoil).orElse(NO_WING),
        doc.list("propellers", p -> new Planform.Disc(
            p.number("x", -60, 60), p.number("y", 0, 120), p.number("diameter-m", 0.5, 10))));
  }

  private static Planform.Aerofoil aerofoil(Doc doc) {
    return new Planform.Aerofoil(
        doc.number("span-m", 1, 120), doc.number("root-y", 0, 120), doc.number("root-chord-m", 0.1, 30),
        doc.number("tip-y", 0, 120), doc.number("tip-chord-m", 0.1, 30));
  }

  private Place station(Doc doc) {
    return new Place(placeId(doc), doc.text("name"), doc.number("x", -80, 80), doc.number("y", -20, 140), 0, 0);
  }

  private Place panel(Doc doc) {
    return new Place(
        placeId(doc), doc.text("name"), doc.number("x", 0, 100), doc.number("y", 0, 100),
        doc.number("width", 0.5, 100), doc.number("height", 0.5, 100));
  }

  private PlaceId placeId(Doc doc) {
    PlaceId id = doc.of("id", PlaceId::new, "x");
    if (!places.add(id)) {
      doc.fault("id", "A station or panel '%s' exists already.".formatted(id));
    }
    return id;
  }

  private TagKind tag(Doc doc) {
    Trigger hangsOn = doc.one("hangs-on", Trigger.class, Trigger.STEP);
    TagKind kind = new TagKind(
        doc.of("id", TagId::new, "x"), doc.text("title"), hangsOn, doc.one("due", Stage.class),
        doc.yes("may-stay", true));
    if (tags.put(kind.id(), kind) != null) {
      doc.fault("id", "A tag '%s' exists already.".formatted(kind.id()));
    }
    if (kind.mayStay() && (hangsOn == Trigger.STANDING_VERDICT || hangsOn == Trigger.CONTROLS)) {
      doc.fault("may-stay", "A tag that hangs on %s can never stay; say may-stay: false.".formatted(Doc.written(hangsOn)));
    }
    return kind;
  }

  private Procedure procedure(Doc doc) {
    ProcedureId id = doc.of("id", ProcedureId::new, "x");
    if (!procedures.add(id)) {
      doc.fault("id", "A procedure '%s' exists already.".formatted(id));
    }
    Stage stage = doc.one("stage", Stage.class);
    if (stage == Stage.DAY || stage == Stage.CONTROLS || stage == Stage.TIE_OFF) {
      doc.fault("stage", "The product does the stage '%s' itself; a procedure cannot stand there.".formatted(Doc.written(stage)));
    }
    Procedure.Kind kind = doc.one("kind", Procedure.Kind.class);
    Owner owner = doc.one("owner", Owner.class, Owner.BOTH);
    boolean owned = doc.has("owner");
    List<Step> list = doc.list("steps", d -> step(d, kind, owner, owned));
    if (list.isEmpty()) {
      doc.fault("steps", "A procedure needs at least one step.");
    }
    return new Procedure(id, doc.text("title"), stage, kind, list);
  }

  private Step step(Doc doc, Procedure.Kind kind, Owner procedureOwner, boolean owned) {
    Step step = new Step(
        doc.of("id", StepId::new, "x"),
        doc.of("at", PlaceId::new, "x"),
        doc.text("challenge"),
        doc.text("response"),
        owned ? doc.one("owner", Owner.class, procedureOwner) : doc.one("owner", Owner.class),
        ConditionReader.read(doc),
        doc.text("caution", ""),
        doc.values("needs", StepId::new, "x"),
        hooks(doc, "opens"),
        hooks(doc, "closes"),
        doc.yes("below-line", false));
    if (step.belowLine() && kind != Procedure.Kind.CHECKLIST) {
      doc.fault("below-line", "Only a checklist has a line.");
    }
    if (steps.put(step.id(), new Placed<>(step, doc.place())) != null) {
      doc.fault("id", "A step '%s' exists already.".formatted(step.id()));
    }
    return step;
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

  /** Faults that show only once the whole pack is known. */
  private void references(Placed<Step> placed) {
    Step step = placed.what;
    if (!places.contains(step.place())) {
      placed.at.fault("at", "There is no station or panel '%s'.".formatted(step.place()));
    }
    step.needs().stream().filter(n -> !steps.containsKey(n)).forEach(n ->
        placed.at.fault("needs", "There is no step '%s'.".formatted(n)));
    if (reaches(step.id(), step.id(), new HashSet<>())) {
      placed.at.fault("needs", "'%s' needs itself, by way of its needs.".formatted(step.id()));
    }
    hooked(placed, "opens", step.opens());
    hooked(placed, "closes", step.closes());
  }

  private void hooked(Placed<Step> placed, String field, List<Step.Hook> hooks) {
    for (Step.Hook hook : hooks) {
      TagKind kind = tags.get(hook.tag());
      if (kind == null) {
        placed.at.fault(field, "There is no tag '%s'.".formatted(hook.tag()));
      } else if (kind.hangsOn() != Trigger.STEP) {
        placed.at.fault(field, "The tag '%s' hangs on %s, not on steps.".formatted(hook.tag(), Doc.written(kind.hangsOn())));
      }
    }
    if (field.equals("closes")) {
      hooks.forEach(hook -> hook.items().stream().filter(i -> !opened(hook.tag(), i)).forEach(i ->
          placed.at.fault(field, "Nothing opens '%s' of the tag '%s'.".formatted(i, hook.tag()))));
    }
  }

  private boolean opened(TagId tag, String item) {
    return steps.values().stream()
        .flatMap(s -> s.what.opens().stream())
        .anyMatch(h -> h.tag().equals(tag) && h.items().contains(item));
  }

  private boolean reaches(StepId from, StepId target, Set<StepId> seen) {
    List<StepId> needs = Optional.ofNullable(steps.get(from)).map(p -> p.what.needs()).orElse(List.of());
    return needs.stream().anyMatch(n -> n.equals(target) || (seen.add(n) && reaches(n, target, seen)));
  }
}

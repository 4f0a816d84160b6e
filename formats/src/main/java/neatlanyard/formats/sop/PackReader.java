package neatlanyard.formats.sop;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.SubType;
import neatlanyard.core.fleet.SubTypeId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Drawing;
import neatlanyard.core.sop.LaterList;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Pack.PackTail;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.sop.Waiver;
import neatlanyard.core.units.Unit;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads a procedure pack; see docs/formats/pack.md. */
public final class PackReader {
  /** What a pack says of itself in its first field. */
  public static final String FORMAT = "neat-lanyard/pack/2";

  private final Map<PlaceId, Place> places = new LinkedHashMap<>();
  private final Map<PointId, Point> points = new LinkedHashMap<>();
  private final Map<TagId, TagKind> tags = new HashMap<>();

  private PackReader() {}

  public static Read<Pack> read(String text) {
    return Doc.read(text, doc -> new PackReader().pack(doc));
  }

  private Pack pack(Doc doc) {
    doc.format(FORMAT);
    List<Equipment> equipment = doc.values("equipment", Equipment::new, "x1");
    Set<Equipment> fits = Set.copyOf(equipment);
    List<SubType> subTypes = doc.list("sub-types", d -> new SubType(
        d.of("id", SubTypeId::new, "x"), d.text("name"), fitted(d, fits)));
    Set<SubTypeId> known = subTypes.stream().map(SubType::id).collect(Collectors.toSet());
    List<PackTail> tails = doc.list("tails", d -> tail(d, known, fits));
    twice(doc, "sub-types", subTypes.stream().map(SubType::id).toList());
    twice(doc, "tails", tails.stream().map(PackTail::id).toList());
    if (tails.isEmpty()) {
      doc.fault("tails", "A pack covers at least one tail.");
    }
    List<Quantity> quantities = doc.list("quantities", d -> new Quantity(
        d.of("id", QuantityId::new, "x"), d.text("name"), d.one("unit", Unit.class), d.has("gauge")
        ? d.inner("gauge", GaugeReader::read) : Optional.empty()));
    GaugeReader.known(doc, quantities);
    twice(doc, "quantities", quantities.stream().map(Quantity::id).toList());
    doc.list("stations", this::station).forEach(this::keep);
    panels(doc.list("panels", this::panel)).forEach(this::keep);
    List<TagKind> kinds = doc.list("tags", this::tag);
    Map<QuantityId, Quantity> byId = new HashMap<>();
    quantities.forEach(q -> byId.put(q.id(), q));
    ConditionReader conditions = new ConditionReader(
        fits, known, tails.stream().map(PackTail::id).collect(Collectors.toSet()), byId);
    ProcedureReader reader = new ProcedureReader(places.keySet(), points, tags, conditions);
    List<Procedure> procedures = reader.read(doc);
    List<Drawing> drawings = drawings(doc, procedures);
    return new Pack(
        doc.of("id", PackId::new, "x1"),
        doc.text("revision"),
        doc.text("title"),
        doc.of("type", TypeId::new, "x1"),
        doc.has("policy") ? doc.inner("policy", PackReader::policy).orElse(Policy.DEFAULT) : Policy.DEFAULT,
        equipment,
        subTypes,
        tails,
        quantities,
        doc.has("due") ? doc.inner("due", PackReader::due).orElse(Map.of()) : Map.of(),
        doc.inner("planform", d -> PlanformReader.read(d, tags.keySet())).orElse(PlanformReader.NONE),
        List.copyOf(places.values()),
        List.copyOf(points.values()),
        kinds,
        procedures,
        reader.takeoff(doc),
        doc.inner("flight-controls", ControlSpecReader::read).orElse(ControlSpecReader.NONE),
        doc.list("waivers", d -> new Waiver(d.text("rule"), d.text("at"), d.text("reason"))),
        drawings,
        later(doc, conditions, reader));
  }

  private static List<LaterList> later(Doc doc, ConditionReader conditions, ProcedureReader steps) {
    List<LaterList> later = doc.list("later", d -> new LaterList(
        d.one("phase", LaterList.Phase.class), d.text("title"),
        d.list("items", i -> new LaterList.Item(i.text("challenge"), i.text("response"), conditions.read(i),
            steps.states(i, "sets")))));
    twice(doc, "later", later.stream().map(LaterList::phase).toList());
    later.stream().filter(l -> l.items().isEmpty()).forEach(l ->
        doc.fault("later", "%s has no items.".formatted(l.title())));
    return later;
  }

  /** Steps name them by their ids. */
  private static List<Drawing> drawings(Doc doc, List<Procedure> procedures) {
    List<Drawing> drawings = doc.list("drawings", DrawingReader::read);
    twice(doc, "drawings", drawings.stream().map(Drawing::id).toList());
    if (drawings.size() > DrawingReader.MOST_DRAWINGS) {
      doc.fault("drawings", "A pack has at most %d drawings.".formatted(DrawingReader.MOST_DRAWINGS));
    }
    if (drawings.stream().filter(d -> !d.photo().isEmpty()).count() > DrawingReader.MOST_PHOTOS) {
      doc.fault("drawings", "A pack has at most %d photos.".formatted(DrawingReader.MOST_PHOTOS));
    }
    Set<String> known = drawings.stream().map(Drawing::id).collect(Collectors.toSet());
    procedures.stream().flatMap(p -> p.steps().stream()).forEach(s -> Stream.concat(s.looks().right().stream(),
        s.looks().wrong().stream()).filter(l -> !known.contains(l)).forEach(l -> doc.fault("procedures",
        "'%s' looks like '%s', which is no drawing of this pack.".formatted(s.id(), l))));
    return drawings;
  }

  private static Set<Equipment> fitted(Doc doc, Set<Equipment> known) {
    List<Equipment> fitted = doc.values("equipment", Equipment::new, "x1");
    fitted.stream().filter(e -> !known.contains(e)).forEach(e ->
        doc.fault("equipment", "The pack declares no equipment '%s'.".formatted(e)));
    return Set.copyOf(fitted);
  }

  private static PackTail tail(Doc doc, Set<SubTypeId> known, Set<Equipment> fits) {
    Optional<SubTypeId> subType = doc.has("sub-type") ? Optional.of(doc.of("sub-type", SubTypeId::new, "x"))
        : Optional.empty();
    subType.filter(s -> !known.contains(s))
        .ifPresent(s -> doc.fault("sub-type", "The pack declares no sub-type '%s'.".formatted(s)));
    return new PackTail(doc.of("id", TailId::new, "XX"), subType, fitted(doc, fits));
  }

  private static void twice(Doc doc, String field, List<?> ids) {
    Set<Object> seen = new HashSet<>();
    ids.stream().filter(i -> !seen.add(i)).forEach(i -> doc.fault(field, "'%s' stands twice.".formatted(i)));
  }

  private static Policy policy(Doc doc) {
    Map<Matter, School> choices = new EnumMap<>(Matter.class);
    for (Matter matter : Matter.values()) {
      String name = Doc.written(matter);
      if (doc.has(name)) {
        School school = doc.one(name, School.class, matter.byDefault());
        if (matter.schools().contains(school)) {
          choices.put(matter, school);
        } else {
          doc.fault(name, "'%s' is not a school of '%s'; known are: %s.".formatted(
              Doc.written(school), name, matter.schools().stream().map(Doc::written)
              .collect(Collectors.joining(", "))));
        }
      }
    }
    return Policy.of(choices);
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

  private Place station(Doc doc) {
    double x = doc.number("x", -80, 80);
    Place place = new Place(
        doc.of("id", PlaceId::new, "x"), doc.text("name"), x, doc.number("y", -20, 140), 0, 0,
        x < 0 ? Seat.LEFT : Seat.RIGHT, false, doc.text("glance", ""));
    points(doc, place.id());
    return once(doc, place);
  }

  /** A panel, with the half of the flight deck where the pack says it. */
  private record Panel(Place place, boolean halfGiven) {}

  private Panel panel(Doc doc) {
    Place place = new Place(
        doc.of("id", PlaceId::new, "x"), doc.text("name"), doc.number("x", 0, 100), doc.number("y", 0, 100),
        doc.number("width", 0.5, 100), doc.number("height", 0.5, 100), doc.one("half", Seat.class, Seat.LEFT),
        doc.yes("shared", false), doc.text("glance", ""));
    points(doc, place.id());
    once(doc, place);
    return new Panel(place, doc.has("half"));
  }

  /** Where a pack does not say it, a panel lies in the half in which its middle is; on the centre line, the left. */
  private static List<Place> panels(List<Panel> read) {
    double left = read.stream().mapToDouble(p -> p.place.x()).min().orElse(0);
    double right = read.stream().mapToDouble(p -> p.place.x() + p.place.width()).max().orElse(0);
    return read.stream().map(p -> {
      Place q = p.place;
      Seat half = q.x() + q.width() / 2 > (left + right) / 2 ? Seat.RIGHT : Seat.LEFT;
      return p.halfGiven ? q : new Place(q.id(), q.name(), q.x(), q.y(), q.width(), q.height(), half, q.shared(),
          q.glance());
    }).toList();
  }

  private void keep(Place place) {
    places.put(place.id(), place);
  }

  private Place once(Doc doc, Place place) {
    if (places.putIfAbsent(place.id(), place) != null) {
      doc.fault("id", "A station or panel '%s' exists already.".formatted(place.id()));
    }
    return place;
  }

  private void points(Doc doc, PlaceId at) {
    Stream.concat(
            doc.list("controls", d -> point(d, at, true, "positions")).stream(),
            doc.list("indications", d -> point(d, at, false, "states")).stream())
        .forEach(p -> points.putIfAbsent(p.id(), p));
  }

  private Point point(Doc doc, PlaceId at, boolean control, String field) {
    Point point = new Point(doc.of("id", PointId::new, "x"), doc.text("name"), at, control,
        doc.yes("lights-test", true),
        doc.has("agreed") ? Optional.of(doc.one("agreed", CriticalFigure.class)) : Optional.empty(),
        doc.values(field, s -> s, "x"));
    if (point.agreed().isPresent() && point.states().contains(State.AGREED)) {
      doc.fault(field, "'%s' stands for what the figure says; no position can be called so.".formatted(State.AGREED));
    }
    if (points.containsKey(point.id())) {
      doc.fault("id", "A control or indication '%s' exists already.".formatted(point.id()));
    }
    if (point.states().stream().distinct().count() < 2 || point.states().stream().distinct().count() < point.states()
        .size()) {
      doc.fault(field, "'%s' wants at least two, each different.".formatted(field));
    }
    return point;
  }

  private TagKind tag(Doc doc) {
    Trigger hangsOn = doc.one("hangs-on", Trigger.class, Trigger.STEP);
    TagKind kind = new TagKind(
        doc.of("id", TagId::new, "x"), doc.text("title"), hangsOn, doc.one("due", Stage.class),
        doc.yes("may-stay", true),
        doc.has("most-min") ? Optional.of(Duration.ofMinutes(doc.whole("most-min", 1, 120))) : Optional.empty());
    if (tags.put(kind.id(), kind) != null) {
      doc.fault("id", "A tag '%s' exists already.".formatted(kind.id()));
    }
    if (kind.mayStay() && (TagKind.neverStays(hangsOn))) {
      doc.fault("may-stay",
          "A tag that hangs on %s can never stay; say may-stay: false.".formatted(Doc.written(hangsOn)));
    }
    return kind;
  }

  /** The names of the points of a place. */
  static List<Point> at(List<Point> points, PlaceId place, boolean control) {
    List<Point> some = new ArrayList<>(points);
    some.removeIf(p -> !p.place().equals(place) || p.control() != control);
    return some;
  }
}

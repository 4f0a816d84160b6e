package neatlanyard.formats.fleet;

import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.GroundPlan.Bridge;
import neatlanyard.core.fleet.GroundPlan.Spot;
import neatlanyard.core.fleet.GroundPlan.Strip;
import neatlanyard.core.fleet.GroundPlan.Taxiway;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.formats.text.Doc;

/** Reads the ground of an airfield; see docs/formats/fleet.md. */
final class GroundPlanReader {
  private static final double MOST_M = 20_000;
  private static final int MOST_PLACES = 500;
  /** All taxiways together: what is looked for along them for each clearance. */
  private static final int MOST_STRETCHES = 2_000;
  private static final double LEAST_APART_M = 1;

  private final Doc doc;
  private final List<Runway> runways;

  private GroundPlanReader(Doc doc, List<Runway> runways) {
    this.doc = doc;
    this.runways = runways;
  }

  static GroundPlan plan(Doc doc, List<Runway> runways) {
    return new GroundPlanReader(doc, runways).plan();
  }

  private GroundPlan plan() {
    List<Spot> spots = doc.list("points", this::spot);
    List<Taxiway> taxiways = doc.list("taxiways", this::taxiway);
    List<Strip> strips = doc.list("runways", this::strip);
    once("points", spots.stream().map(Spot::name).toList());
    once("taxiways", taxiways.stream().map(Taxiway::name).toList());
    if (spots.size() > MOST_PLACES || taxiways.size() > MOST_PLACES
        || taxiways.stream().mapToInt(t -> t.along().size()).sum() > MOST_STRETCHES) {
      doc.fault("points", "A plan has at most %d points and as many taxiways, and %d points along them all.".formatted(
          MOST_PLACES, MOST_STRETCHES));
      return new GroundPlan(List.of(), List.of(), strips, GroundPlan.Transponder.STANDBY);
    }
    Map<String, Spot> named = spots.stream().collect(Collectors.toMap(Spot::name, s -> s, (a, b) -> a));
    taxiways.forEach(t -> leads(t, named));
    whole(spots, taxiways);
    taxiways.stream().filter(t -> t.runway().isEmpty() && named.containsKey(t.name())
        && !t.along().contains(t.name())).forEach(t -> doc.fault("taxiways",
        "'%s' is a point, and a taxiway that does not lead over it; said alone it is either.".formatted(t.name())));
    return new GroundPlan(spots, taxiways, strips,
        doc.one("transponder", GroundPlan.Transponder.class, GroundPlan.Transponder.STANDBY));
  }

  private Spot spot(Doc d) {
    Spot.Kind kind = d.one("kind", Spot.Kind.class, Spot.Kind.POINT);
    boolean ofRunway = kind == Spot.Kind.HOLDING || kind == Spot.Kind.TURN_PAD;
    String remark = d.text("remark", "");
    if (remark.isEmpty() && (kind == Spot.Kind.HOT_SPOT || kind == Spot.Kind.OBSTACLE)) {
      d.fault("remark", "A %s says in words what it is.".formatted(kind.written().replace('-', ' ')));
    }
    return new Spot(name(d, "name"), d.number("east-m", -MOST_M, MOST_M), d.number("north-m", -MOST_M, MOST_M), kind,
        ofRunway ? Optional.of(runway(d, "runway")) : Optional.empty(),
        d.has("width-m") ? OptionalInt.of(d.whole("width-m", 5, 200)) : OptionalInt.empty(), remark);
  }

  private Taxiway taxiway(Doc d) {
    return new Taxiway(name(d, "name"), d.values("along", s -> s, "A"), d.whole("width-m", 3, 100),
        d.has("bears-t") ? OptionalInt.of(d.whole("bears-t", 1, 1_000)) : OptionalInt.empty(), d.yes("apron", false),
        d.has("runway") ? Optional.of(runway(d, "runway")) : Optional.empty(),
        d.list("bridges", b -> new Bridge(b.text("from"), b.text("to"), b.whole("bears-t", 1, 1_000))));
  }

  /** From the beginning of one end as far as its run is long, by its bearing. */
  private Strip strip(Doc d) {
    RunwayName name = runway(d, "end");
    double east = d.number("east-m", -MOST_M, MOST_M);
    double north = d.number("north-m", -MOST_M, MOST_M);
    Optional<Runway> runway = runways.stream()
        .filter(r -> r.ends().stream().anyMatch(e -> e.name().equals(name))).findFirst();
    Optional<Runway.End> end = runway.flatMap(r ->
        r.ends().stream().filter(e -> e.name().equals(name)).findFirst());
    List<RunwayName> ends = runway.stream().flatMap(r -> r.ends().stream().map(Runway.End::name))
        .sorted((a, b) -> Boolean.compare(b.equals(name), a.equals(name))).toList();
    double bearing = Math.toRadians(end.map(Runway.End::bearingTrueDeg).orElse(0.0));
    double metres = end.map(e -> (double) e.declared().toraM()).orElse(1.0);
    return new Strip(ends.isEmpty() ? List.of(name) : ends, east, north, tenths(east + metres * Math.sin(bearing)),
        tenths(north + metres * Math.cos(bearing)), runway.map(Runway::widthM).orElse(1));
  }

  private static double tenths(double m) {
    return Math.rint(m * 10) / 10;
  }

  private RunwayName runway(Doc d, String field) {
    RunwayName name = d.of(field, RunwayName::new, "01");
    if (d.has(field) && runways.stream().flatMap(r -> r.ends().stream()).noneMatch(e -> e.name().equals(name))) {
      d.fault(field, "The airfield has no runway %s.".formatted(name));
    }
    return name;
  }

  private static String name(Doc d, String field) {
    String name = d.text(field);
    if (!name.isEmpty() && !name.matches("[A-Z0-9/]{1,8}")) {
      d.fault(field, "'%s' is no name: capital letters, digits and strokes, at most 8.".formatted(name));
    }
    return name;
  }

  private void once(String field, List<String> names) {
    Set<String> seen = new HashSet<>();
    names.stream().filter(n -> !seen.add(n)).distinct()
        .forEach(n -> doc.fault(field, "'%s' stands twice.".formatted(n)));
  }

  private void leads(Taxiway t, Map<String, Spot> named) {
    if (t.along().size() < 2) {
      doc.fault("taxiways", "%s leads nowhere: it has fewer than two points.".formatted(t.name()));
    }
    t.along().stream().filter(n -> !named.containsKey(n)).forEach(n ->
        doc.fault("taxiways", "%s leads to '%s', which is no point of this plan.".formatted(t.name(), n)));
    for (int i = 1; i < t.along().size(); i++) {
      Spot a = named.get(t.along().get(i - 1));
      Spot b = named.get(t.along().get(i));
      if (a != null && b != null && a.to(b) < LEAST_APART_M) {
        doc.fault("taxiways", "%s: %s and %s are one place.".formatted(t.name(), a.name(), b.name()));
      }
    }
    t.bridges().stream().filter(b -> !neighbours(t, b)).forEach(b -> doc.fault("taxiways",
        "%s: the bridge from %s to %s is not between two neighbours.".formatted(t.name(), b.from(), b.to())));
  }

  private static boolean neighbours(Taxiway t, Bridge b) {
    int at = t.along().indexOf(b.from());
    return at >= 0 && (at > 0 && t.along().get(at - 1).equals(b.to())
        || at + 1 < t.along().size() && t.along().get(at + 1).equals(b.to()));
  }

  /** Whatever one may stand on, everything else must be reached from. */
  private void whole(List<Spot> spots, List<Taxiway> taxiways) {
    Map<String, Set<String>> next = new HashMap<>();
    taxiways.forEach(t -> t.along().forEach(n ->
        next.computeIfAbsent(n, k -> new HashSet<>()).addAll(t.along())));
    Set<String> reached = new HashSet<>();
    // From the longest, so that what is apart is named and not all the rest.
    Deque<String> todo = new ArrayDeque<>(taxiways.stream().max(Comparator.comparingInt(t -> t.along().size()))
        .map(Taxiway::along).orElse(List.of()));
    while (!todo.isEmpty()) {
      String at = todo.pop();
      if (reached.add(at)) {
        todo.addAll(next.getOrDefault(at, Set.of()));
      }
    }
    spots.stream().filter(s -> s.kind() != Spot.Kind.OBSTACLE && !reached.contains(s.name())).forEach(s ->
        doc.fault("points", "No taxiway joins '%s' to the others.".formatted(s.name())));
  }
}

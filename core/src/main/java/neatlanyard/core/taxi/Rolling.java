package neatlanyard.core.taxi;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.GroundPlan.Spot;
import neatlanyard.core.fleet.GroundPlan.Taxiway;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.taxi.Way.Leg;

/**
 * A way as one type rolls along it.
 *
 * @param places in their order, from the stand to the limit
 * @param controlCheck where the check of the controls is made, in words
 */
public record Rolling(List<Stop> places, String controlCheck) {
  /** A turn sharper than this is taken at the turn's speed. Our own choice. */
  private static final double SHARP_DEG = 45;

  /** Nearer than this the wing tip should not pass. Common practice, no source. */
  private static final double TIP_CLEAR_M = 3;

  /** So long a control check takes with its calls. Our own choice, longer than the demo's recordings take. */
  private static final double CHECK_S = 40;

  private static final double KNOT_MS = 1852 / 3600.0;

  public Rolling {
    places = List.copyOf(places);
  }

  /**
   * A place with what holds there for the type.
   *
   * @param kt most speed; 0 where one stands
   * @param words where and how, such as "turn right 90° onto A: 14.2 m straight on"
   * @param may what may be done there
   * @param cautions each in words; none where nothing is particular
   */
  public record Stop(Leg leg, int kt, String words, String may, List<String> cautions) {}

  /**
   * @param shape of the type
   * @param tonnes that it weighs; empty while not known
   * @param standing whether the control check is made standing, with the reason; empty: while rolling straight
   */
  public static Rolling of(
      Way way, GroundPlan plan, Planform shape, OptionalDouble tonnes, Optional<String> standing) {
    Planform.Speeds speeds = shape.ground().orElseThrow().speeds();
    Optional<Wheels> wheels = Wheels.of(shape);
    List<Stop> places = new ArrayList<>();
    double radius = shape.ground().orElseThrow().radiusM();
    for (Leg leg : way.legs()) {
      List<String> cautions = new ArrayList<>();
      if (!leg.remark().isEmpty()) {
        cautions.add(leg.remark());
      }
      wheels.ifPresent(w -> tooNarrow(leg, w).ifPresent(cautions::add));
      leg.bearsT().ifPresent(t -> tooWeak(t, tonnes).ifPresent(cautions::add));
      places.add(new Stop(leg, kt(leg, speeds), words(leg, wheels, radius), may(leg), cautions));
    }
    obstacles(way, plan, shape, wheels, radius).forEach((n, words) -> {
      Stop at = places.get(n);
      List<String> all = Stream.concat(at.cautions.stream(), words.stream()).toList();
      places.set(n, new Stop(at.leg, at.kt, at.words, at.may, all));
    });
    return new Rolling(places, standing.map(why -> "Standing: " + why).orElseGet(() -> straight(way, speeds)));
  }

  /** What of a plan a type should not take, each with why. */
  public static List<String> notFor(GroundPlan plan, Planform shape, OptionalDouble tonnes) {
    return Wheels.of(shape).stream().flatMap(w -> plan.taxiways().stream().flatMap(t -> {
      List<String> why = new ArrayList<>();
      if (t.widthM() < w.wantsM() && t.runway().isEmpty()) {
        why.add("%d m wide, %.0f m wanted".formatted(t.widthM(), Math.ceil(w.wantsM())));
      }
      bearing(t).min(Comparator.naturalOrder()).flatMap(b -> tooWeak(b, tonnes)).ifPresent(why::add);
      return why.isEmpty() ? Stream.<String>empty() : Stream.of(t.name() + ": " + String.join(", ", why));
    })).toList();
  }

  private static Stream<Integer> bearing(Taxiway t) {
    return Stream.concat(t.bearsT().stream().boxed(), t.bridges().stream().map(GroundPlan.Bridge::bearsT));
  }

  private static Optional<String> tooNarrow(Leg leg, Wheels w) {
    double wanted = leg.place() == Way.Place.TURN && Math.abs(leg.degrees()) == 180
        ? w.leastForTurningRoundM() : w.wantsM();
    boolean rolls = leg.place() != Way.Place.HOLDING && leg.place() != Way.Place.STAND;
    return rolls && leg.widthM().isPresent() && leg.widthM().getAsInt() < wanted
        ? Optional.of("%d m of pavement, %.0f m wanted".formatted(leg.widthM().getAsInt(), Math.ceil(wanted)))
        : Optional.empty();
  }

  private static Optional<String> tooWeak(int bears, OptionalDouble tonnes) {
    return tonnes.isPresent() && tonnes.getAsDouble() > bears
        ? Optional.of("bears %d t, the aircraft weighs %.1f t".formatted(bears, tonnes.getAsDouble()))
        : Optional.empty();
  }

  private static int kt(Leg leg, Planform.Speeds speeds) {
    return switch (leg.place()) {
      case STAND, HOLDING -> 0;
      case APRON -> speeds.apronKt();
      case TURN -> Math.abs(leg.degrees()) >= SHARP_DEG ? speeds.turnKt() : speeds.apronKt();
      case STRAIGHT -> speeds.straightKt();
      case BACKTRACK -> speeds.backtrackKt();
      case CROSSING -> speeds.straightKt();
    };
  }

  private static String may(Leg leg) {
    return switch (leg.place()) {
      case STAND -> "brakes are tried as soon as it rolls";
      case APRON -> "eyes outside; a changed clearance: stop, set the brake, then type";
      case TURN -> "no checklist in a turn";
      case STRAIGHT, BACKTRACK -> "a checklist may be read";
      case CROSSING -> "no checklist while crossing; look both ways, lights on";
      case HOLDING -> leg.cleared() ? "go on" : "stop here";
    };
  }

  private static String words(Leg leg, Optional<Wheels> wheels, double radius) {
    return switch (leg.place()) {
      case STAND -> leg.on();
      case APRON -> "apron: %.0f m".formatted(leg.metres());
      case STRAIGHT -> "%s: %.0f m".formatted(leg.on(), leg.metres());
      case BACKTRACK -> "along the runway, %s: %.0f m".formatted(leg.on(), leg.metres());
      case CROSSING -> "cross %s, %s".formatted(leg.on(), leg.cleared() ? "cleared" : "not cleared");
      case HOLDING -> "hold at " + leg.on();
      case TURN -> turn(leg, wheels, radius);
    };
  }

  private static String turn(Leg leg, Optional<Wheels> wheels, double radius) {
    double degrees = Math.abs(leg.degrees());
    if (degrees == 180) {
      return "turn round at " + leg.on();
    }
    String side = leg.degrees() > 0 ? "right" : "left";
    String where = leg.apron() ? "turn %s %.0f° onto the apron".formatted(side, degrees)
        : "turn %s %.0f° onto %s".formatted(side, degrees, leg.on());
    return wheels.filter(w -> radius > w.wheelbaseM()).map(w -> new GroundTurn(w, Math.min(degrees, 180), radius))
        .map(t -> "%s: %.0f m straight on, then %.1f m past the line".formatted(where, t.straightOnM(), t.eyesPastM()))
        .orElse(where);
  }

  /** Straight on through several taxiways is one straight; a crossing or a turn ends it. */
  private static String straight(Way way, Planform.Speeds speeds) {
    double wanted = CHECK_S * speeds.straightKt() * KNOT_MS;
    double run = 0;
    List<String> on = new ArrayList<>();
    for (Leg leg : way.legs()) {
      if (leg.place() == Way.Place.STRAIGHT || leg.place() == Way.Place.BACKTRACK) {
        run += leg.metres();
        on.add(leg.on());
        if (run >= wanted) {
          return "On %s, straight for %.0f m or more; it takes %.0f m".formatted(
              on.stream().distinct().collect(Collectors.joining(", ")), run, wanted);
        }
      } else {
        run = 0;
        on.clear();
      }
    }
    return "Standing: no straight of %.0f m on this way".formatted(wanted);
  }

  /** By the place of the way that an obstacle is nearest to, where the tip or the tail passes too near. */
  private static Map<Integer, List<String>> obstacles(
      Way way, GroundPlan plan, Planform shape, Optional<Wheels> wheels, double radius) {
    Map<Integer, List<String>> all = new TreeMap<>();
    double tip = shape.wing().spanM() / 2;
    plan.spots(Spot.Kind.OBSTACLE).forEach(o -> {
      Near near = Near.of(way, o);
      double swept = wheels.filter(w -> radius > w.wheelbaseM() && turnsBy(way, o, radius + w.wheelbaseM()))
          .map(w -> new GroundTurn(w, 90, radius)).map(t -> Math.max(t.tipPastM(), t.tailPastM())).orElse(tip);
      double clear = near.metres - Math.max(tip, swept);
      if (clear < TIP_CLEAR_M) {
        all.computeIfAbsent(near.leg, n -> new ArrayList<>()).add(clear < 0
            ? "%s: the wing tip does not pass, %.1f m short".formatted(o.remark(), -clear)
            : "%s: the wing tip passes at %.1f m".formatted(o.remark(), clear));
      }
    });
    return all;
  }

  /** Whether a way turns so near to a place that what sweeps outside its line gets there. */
  private static boolean turnsBy(Way way, Spot o, double reachM) {
    return way.turns().stream().anyMatch(t -> t.to(o) < reachM);
  }

  /** How near a way comes to a place, and at which of its legs. */
  private record Near(double metres, int leg) {
    static Near of(Way way, Spot o) {
      Near best = new Near(Double.MAX_VALUE, 0);
      List<Spot> spots = way.spots();
      List<Integer> legs = way.legOfStretch();
      for (int i = 1; i < spots.size(); i++) {
        double d = distance(spots.get(i - 1), spots.get(i), o);
        if (d < best.metres) {
          best = new Near(d, legs.get(i - 1));
        }
      }
      return best;
    }

    private static double distance(Spot a, Spot b, Spot o) {
      double length = a.to(b);
      double along = Math.clamp(((o.eastM() - a.eastM()) * (b.eastM() - a.eastM())
          + (o.northM() - a.northM()) * (b.northM() - a.northM())) / (length * length), 0, 1);
      return Math.hypot(a.eastM() + along * (b.eastM() - a.eastM()) - o.eastM(),
          a.northM() + along * (b.northM() - a.northM()) - o.northM());
    }
  }
}

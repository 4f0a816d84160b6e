package neatlanyard.core.taxi;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.GroundPlan.Spot;
import neatlanyard.core.fleet.GroundPlan.Strip;
import neatlanyard.core.fleet.GroundPlan.Taxiway;
import neatlanyard.core.fleet.RunwayName;

/**
 * The way that a clearance leads, cut into places one after the other.
 *
 * @param spots it leads over, from the stand to the limit
 * @param legOfStretch of each stretch between two spots, the place it belongs to, counted from 0
 * @param turns the spots at which it turns
 */
public record Way(List<Spot> spots, List<Leg> legs, List<Integer> legOfStretch, List<Spot> turns) {
  /** From here on a change of direction is a turn, degrees. Our own choice. */
  public static final double TURN_DEG = 30;

  public Way {
    spots = List.copyOf(spots);
    legs = List.copyOf(legs);
    legOfStretch = List.copyOf(legOfStretch);
    turns = List.copyOf(turns);
  }

  /** What sort of place it is. */
  public enum Place { STAND, APRON, TURN, STRAIGHT, BACKTRACK, CROSSING, HOLDING }

  /**
   * One place of the way.
   *
   * @param on name of the taxiway, spot or runway
   * @param metres long; 0 of a spot
   * @param degrees of a turn, to the right; negative to the left
   * @param cleared of a crossing or a holding point before one, whether it may be crossed
   * @param widthM of the pavement, where that is known
   * @param bearsT the least that a stretch of it bears, tonnes
   * @param apron whether it lies on the apron
   * @param remark of a hot spot on it; empty where there is none
   */
  public record Leg(Place place, String on, double metres, double degrees, boolean cleared, OptionalInt widthM,
      OptionalInt bearsT, boolean apron, String remark) {}

  private record Stretch(Spot from, Spot to, Taxiway on) {
    double bearing() {
      return Math.toDegrees(Math.atan2(to.eastM() - from.eastM(), to.northM() - from.northM()));
    }
  }

  /** Where one can be, and the stretch by which one came there; empty where one begins. */
  private record Step(Spot at, Optional<Step> before, Optional<Stretch> by, double metres) {
    static Step begin(Spot at) {
      return new Step(at, Optional.empty(), Optional.empty(), 0);
    }

    Step on(Stretch by) {
      return new Step(by.to, Optional.of(this), Optional.of(by), metres + by.from.to(by.to));
    }

    static Step nearer(Step a, Step b) {
      return a.metres <= b.metres ? a : b;
    }

    List<Stretch> way() {
      List<Stretch> all = new ArrayList<>();
      for (Optional<Step> s = Optional.of(this); s.isPresent(); s = s.get().before) {
        s.get().by.ifPresent(all::addFirst);
      }
      return all;
    }
  }

  /** The middle of a place, metres east and north. @param leg counted from 0 */
  public double[] middle(int leg) {
    int first = legOfStretch.indexOf(leg);
    if (first < 0) {
      // A spot: where the stretches before it end.
      int before = (int) legOfStretch.stream().filter(n -> n < leg).count();
      return new double[] {spots.get(before).eastM(), spots.get(before).northM()};
    }
    Spot from = spots.get(first);
    Spot to = spots.get(legOfStretch.lastIndexOf(leg) + 1);
    return new double[] {(from.eastM() + to.eastM()) / 2, (from.northM() + to.northM()) / 2};
  }

  /** Empty where the clearance names what the plan has not, or nothing leads there. */
  public static Optional<Way> of(GroundPlan plan, Clearance c) {
    Optional<Spot> from = plan.spot(c.from());
    Optional<Spot> limit = plan.spot(c.limit());
    if (from.isEmpty() || limit.isEmpty()) {
      return Optional.empty();
    }
    // What lies on the apron is not named in a clearance, nor the last metres from a taxiway to its holding point.
    Map<String, Step> reached = apron(plan, Map.of(c.from(), Step.begin(from.get())));
    for (String name : c.via()) {
      Optional<Taxiway> on = plan.taxiway(name);
      if (on.isEmpty()) {
        return Optional.empty();
      }
      reached = along(plan, on.get(), reached);
    }
    Map<String, Step> so = reached;
    return Optional.ofNullable(reached.get(c.limit())).or(() -> last(plan, limit.get(), so))
        .filter(s -> s.by.isPresent()).map(s -> new Legs(plan, c, s.way()).way());
  }

  private static Optional<Step> last(GroundPlan plan, Spot limit, Map<String, Step> reached) {
    if (limit.kind() == Spot.Kind.STAND) {
      return Optional.ofNullable(apron(plan, reached).get(limit.name()));
    }
    return plan.taxiways().stream().filter(t -> t.along().contains(limit.name()))
        .flatMap(t -> Optional.ofNullable(along(plan, t, reached).get(limit.name())).stream())
        .min(Comparator.comparing(Step::metres));
  }

  /** Where one can be without leaving the apron, each by the shortest way. */
  private static Map<String, Step> apron(GroundPlan plan, Map<String, Step> begin) {
    Map<String, Step> all = new HashMap<>(begin);
    boolean found = true;
    while (found) {
      found = false;
      for (Taxiway t : plan.taxiways()) {
        Map<String, Step> more = t.apron() ? along(plan, t, all) : Map.of();
        for (Step s : more.values()) {
          Step known = all.get(s.at.name());
          if (known == null || s.metres < known.metres) {
            all.put(s.at.name(), s);
            found = true;
          }
        }
      }
    }
    return all;
  }

  /** The shortest way to each spot of a taxiway from where one may be, once there and once back over it. */
  private static Map<String, Step> along(GroundPlan plan, Taxiway on, Map<String, Step> before) {
    List<Spot> chain = on.along().stream().flatMap(n -> plan.spot(n).stream()).toList();
    Map<String, Step> reached = new HashMap<>();
    sweep(on, chain, before, reached);
    sweep(on, chain.reversed(), before, reached);
    return reached;
  }

  private static void sweep(Taxiway on, List<Spot> chain, Map<String, Step> before, Map<String, Step> reached) {
    Optional<Step> here = Optional.empty();
    for (int i = 1; i < chain.size(); i++) {
      Spot from = chain.get(i - 1);
      Stretch stretch = new Stretch(from, chain.get(i), on);
      Optional<Step> joins = Optional.ofNullable(before.get(from.name()));
      here = Stream.concat(here.stream(), joins.stream()).reduce(Step::nearer).map(s -> s.on(stretch));
      here.ifPresent(s -> reached.merge(s.at.name(), s, Step::nearer));
    }
  }

  /** Cuts a way into its places. */
  private static final class Legs {
    private final GroundPlan plan;
    private final Clearance clearance;
    private final List<Stretch> way;
    private final List<Leg> legs = new ArrayList<>();
    private final List<Spot> turns = new ArrayList<>();

    Legs(GroundPlan plan, Clearance clearance, List<Stretch> way) {
      this.plan = plan;
      this.clearance = clearance;
      this.way = way;
    }

    Way way() {
      List<Spot> spots = new ArrayList<>(List.of(way.getFirst().from));
      List<Integer> legOf = new ArrayList<>();
      legs.add(spot(Place.STAND, way.getFirst().from, true));
      for (int i = 0; i < way.size(); i++) {
        Stretch s = way.get(i);
        if (i > 0) {
          turn(way.get(i - 1), s);
        }
        Optional<Strip> crossed = crossed(s);
        crossed.ifPresentOrElse(strip -> cross(s, strip), () -> roll(s));
        legOf.add(legs.size() - 1);
        spots.add(s.to);
      }
      Spot end = spots.getLast();
      if (end.kind() == Spot.Kind.TURN_PAD) {
        legs.add(new Leg(Place.TURN, end.words(), 0, 180, true, end.widthM(), OptionalInt.empty(), false,
            end.remark()));
      } else if (legs.getLast().place != Place.HOLDING) {
        legs.add(spot(end.kind() == Spot.Kind.STAND ? Place.STAND : Place.HOLDING, end, false));
      }
      return new Way(spots, legs, legOf, turns);
    }

    private static Leg spot(Place place, Spot s, boolean cleared) {
      return new Leg(place, s.words(), 0, 0, cleared, s.widthM(), OptionalInt.empty(), false, s.remark());
    }

    private void turn(Stretch before, Stretch now) {
      double degrees = Math.IEEEremainder(now.bearing() - before.bearing(), 360);
      if (Math.abs(degrees) >= TURN_DEG) {
        turns.add(now.from);
        if (before.on.apron() && now.on.apron()) {
          // The apron is one place, whatever lanes lead over it.
          return;
        }
        legs.add(new Leg(Place.TURN, now.on.name(), 0, degrees, true, OptionalInt.of(now.on.widthM()),
            OptionalInt.empty(), now.on.apron(), remark(now.from)));
      }
    }

    /** Straight on over a spot is one place, whatever its name. */
    private void roll(Stretch s) {
      Place place = s.on.runway().isPresent() ? Place.BACKTRACK : s.on.apron() ? Place.APRON : Place.STRAIGHT;
      double metres = s.from.to(s.to);
      Leg last = legs.getLast();
      OptionalInt bears = bears(s);
      if (last.place == place && (place == Place.APRON || last.on.equals(s.on.name()))) {
        legs.set(legs.size() - 1, new Leg(place, last.on, last.metres + metres, 0, true, last.widthM,
            least(last.bearsT, bears), last.apron, joined(last.remark, remark(s.to))));
      } else {
        legs.add(new Leg(place, s.on.name(), metres, 0, true, OptionalInt.of(s.on.widthM()), bears,
            s.on.apron(), remark(s.to)));
      }
    }

    private void cross(Stretch s, Strip strip) {
      RunwayName name = strip.ends().getFirst();
      boolean may = clearance.crossing().contains(name);
      if (!may) {
        legs.add(new Leg(Place.HOLDING, s.from.kind() == Spot.Kind.HOLDING ? s.from.words() : "before " + strip.name(),
            0, 0, false, OptionalInt.empty(), OptionalInt.empty(), false,
            "hold short of %s: no word of crossing it".formatted(strip.name())));
      }
      legs.add(new Leg(Place.CROSSING, strip.name(), s.from.to(s.to), 0, may, OptionalInt.of(s.on.widthM()), bears(s),
          false, ""));
    }

    private Optional<Strip> crossed(Stretch s) {
      return s.on.runway().isPresent() ? Optional.empty()
          : plan.strips().stream().filter(strip -> Crossing.of(s.from, s.to, strip)).findFirst();
    }

    private static OptionalInt bears(Stretch s) {
      return s.on.bridges().stream().filter(b -> (b.from().equals(s.from.name()) && b.to().equals(s.to.name()))
          || (b.from().equals(s.to.name()) && b.to().equals(s.from.name()))).map(b -> OptionalInt.of(b.bearsT()))
          .reduce(s.on.bearsT(), Legs::least);
    }

    private static OptionalInt least(OptionalInt a, OptionalInt b) {
      return a.isEmpty() ? b : b.isEmpty() ? a : OptionalInt.of(Math.min(a.getAsInt(), b.getAsInt()));
    }

    private static String remark(Spot s) {
      return s.kind() == Spot.Kind.HOT_SPOT ? s.words() + ": " + s.remark() : "";
    }

    private static String joined(String a, String b) {
      return a.isEmpty() ? b : b.isEmpty() ? a : a + "; " + b;
    }
  }

  /** Whether a stretch passes over a runway from one side to the other. Plane geometry. */
  static final class Crossing {
    private Crossing() {}

    static boolean of(Spot from, Spot to, Strip s) {
      return apart(s.fromEastM(), s.fromNorthM(), s.toEastM(), s.toNorthM(), from, to)
          && side(from, to, s.fromEastM(), s.fromNorthM()) * side(from, to, s.toEastM(), s.toNorthM()) < 0;
    }

    private static boolean apart(double e1, double n1, double e2, double n2, Spot from, Spot to) {
      return cross(e1, n1, e2, n2, from.eastM(), from.northM()) * cross(e1, n1, e2, n2, to.eastM(), to.northM()) < 0;
    }

    private static double side(Spot from, Spot to, double e, double n) {
      return cross(from.eastM(), from.northM(), to.eastM(), to.northM(), e, n);
    }

    private static double cross(double e1, double n1, double e2, double n2, double e, double n) {
      return (e2 - e1) * (n - n1) - (n2 - n1) * (e - e1);
    }
  }
}

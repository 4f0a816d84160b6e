package neatlanyard.core.fleet;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * The ground of an airfield between its stands and its runways. Places are metres east and north of a point that the
 * airfield chooses.
 *
 * @param strips its runways, as far as they are placed
 */
public record GroundPlan(List<Spot> spots, List<Taxiway> taxiways, List<Strip> strips, Transponder transponder) {
  public GroundPlan {
    spots = List.copyOf(spots);
    taxiways = List.copyOf(taxiways);
    strips = List.copyOf(strips);
  }

  /** How the transponder is set while taxiing, as the airfield asks. */
  public enum Transponder implements Code {
    STANDBY,
    ON_WITHOUT_ALTITUDE,
    ON_WITH_ALTITUDE;

    /** Such as "on with altitude". */
    public String words() {
      return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
  }

  /**
   * A named place.
   *
   * @param runway the strip it holds before, or at whose beginning it lies
   * @param widthM of the pavement for turning round
   * @param remark what is particular about it; empty where nothing is
   */
  public record Spot(String name, double eastM, double northM, Kind kind, Optional<RunwayName> runway,
      OptionalInt widthM, String remark) {
    /** What it is. */
    public enum Kind implements Code {
      STAND,
      POINT,
      HOLDING,
      HOT_SPOT,
      TURN_PAD,
      OBSTACLE
    }

    /** Metres to another place. */
    public double to(Spot other) {
      return Math.hypot(other.eastM - eastM, other.northM - northM);
    }

    /** Such as "stand 4", "holding point A1". */
    public String words() {
      return switch (kind) {
        case STAND -> "stand " + name;
        case HOLDING -> "holding point " + name;
        case HOT_SPOT -> "hot spot " + name;
        case TURN_PAD -> "the beginning of " + runway.map(RunwayName::value).orElse(name);
        case POINT, OBSTACLE -> name;
      };
    }
  }

  /**
   * A way between places, straight from each to the next.
   *
   * @param along names of its spots, in order
   * @param bearsT most that may roll on it, tonnes; empty where nothing bounds it
   * @param runway the strip it is, where one taxis along a runway
   */
  public record Taxiway(String name, List<String> along, int widthM, OptionalInt bearsT, boolean apron,
      Optional<RunwayName> runway, List<Bridge> bridges) {
    public Taxiway {
      along = List.copyOf(along);
      bridges = List.copyOf(bridges);
    }
  }

  /** A bridge between two neighbours of a taxiway. @param bearsT tonnes */
  public record Bridge(String from, String to, int bearsT) {}

  /**
   * A runway on the ground.
   *
   * @param ends both names, of which the first is at its beginning; one, where it is used one way
   */
  public record Strip(List<RunwayName> ends, double fromEastM, double fromNorthM, double toEastM, double toNorthM,
      int widthM) {
    public Strip {
      ends = List.copyOf(ends);
    }

    /** Such as "07/25". */
    public String name() {
      return String.join("/", ends.stream().map(RunwayName::value).toList());
    }
  }

  public Optional<Spot> spot(String name) {
    return spots.stream().filter(s -> s.name().equals(name)).findFirst();
  }

  public Optional<Taxiway> taxiway(String name) {
    return taxiways.stream().filter(t -> t.name().equals(name)).findFirst();
  }

  /** The strip that has this end. */
  public Optional<Strip> strip(RunwayName end) {
    return strips.stream().filter(s -> s.ends().contains(end)).findFirst();
  }

  public Stream<Spot> spots(Spot.Kind kind) {
    return spots.stream().filter(s -> s.kind() == kind);
  }
}

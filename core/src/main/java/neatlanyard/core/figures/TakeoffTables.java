package neatlanyard.core.figures;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The take-off tables of a type, one for each thing they give and each way the aircraft is set and the runway is. */
public final class TakeoffTables {
  private final Map<Key, Grid> grids;

  /** What a table gives. */
  public enum Gives {
    /** From the beginning to 35 ft, an engine failing at V1. */
    ACCELERATE_GO("m"),
    /** From the beginning to a stop begun at V1. */
    ACCELERATE_STOP("m"),
    /** From the beginning to 35 ft on all engines, not factored. */
    ALL_ENGINES("m"),
    /**
     * From the beginning to half way between lift-off and 35 ft: the longer of an engine failing at V1, and of 1.15
     * times all engines (14 CFR 25.113(c)).
     */
    TAKEOFF_RUN("m"),
    /** Reference stall speed. */
    STALL("kt"),
    V1("kt"),
    VR("kt"),
    V2("kt"),
    /** At which the flaps come in. */
    FLAP_RETRACT("kt"),
    /** Gross gradient with an engine out, gear up, at V2. */
    CLIMB("%"),
    /** The most from which the brakes can stop it once. */
    BRAKE_ENERGY("kt"),
    /** Power set, in per cent of the most. */
    POWER("%");

    private final String unit;

    Gives(String unit) {
      this.unit = unit;
    }

    public String unit() {
      return unit;
    }
  }

  /** @param state empty where the runway does not matter */
  public record Key(Gives gives, String flap, Optional<RunwayState> state) {}

  public TakeoffTables(Map<Key, Grid> grids) {
    this.grids = Map.copyOf(grids);
  }

  /** The flaps for which there are tables of distances, in the order of their names. */
  public List<String> flaps() {
    return grids.keySet().stream().filter(k -> k.gives == Gives.ACCELERATE_GO).map(Key::flap).distinct().sorted()
        .toList();
  }

  /** Whether there are distances for a runway in this state. */
  boolean covers(RunwayState state) {
    return grids.keySet().stream().anyMatch(k -> k.gives == Gives.ACCELERATE_GO
        && k.state.filter(state::equals).isPresent());
  }

  /** The tables of one flap on a runway in one state. */
  ForFlap of(String flap, RunwayState state) {
    Map<Gives, Grid> found = new HashMap<>();
    Arrays.stream(Gives.values()).forEach(g -> Optional.ofNullable(grids.get(new Key(g, flap, Optional.of(state))))
        .or(() -> Optional.ofNullable(grids.get(new Key(g, flap, Optional.empty()))))
        .ifPresent(grid -> found.put(g, grid)));
    return new ForFlap(flap, state, found);
  }

  /** The tables of one flap on a runway in one state. */
  record ForFlap(String flap, RunwayState state, Map<Gives, Grid> grids) {
    ForFlap {
      grids = Map.copyOf(grids);
    }

    /** NaN where there is no value. */
    double at(Gives gives, Grid.Point point) {
      Grid grid = grids.get(gives);
      return grid == null ? Double.NaN : grid.at(point);
    }

    /** Why there is no value, for the first of what is asked that has none; empty where all have. */
    Optional<String> missing(Grid.Point point, Gives... asked) {
      return Arrays.stream(asked).filter(g -> Double.isNaN(at(g, point))).findFirst().map(g -> {
        Grid grid = grids.get(g);
        String table = "%s, flap %s, %s".formatted(
            g.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '), flap, state.words());
        return grid == null ? "There is no table of %s".formatted(table)
            : "Table of %s: %s".formatted(table, grid.missing(point));
      });
    }

    /** An axis of the distances; empty where they do not depend on it. */
    Optional<Grid.Axis> axis(Grid.Of of) {
      return Optional.ofNullable(grids.get(Gives.ACCELERATE_GO)).flatMap(g ->
          g.axes().stream().filter(a -> a.of() == of).findFirst());
    }
  }
}

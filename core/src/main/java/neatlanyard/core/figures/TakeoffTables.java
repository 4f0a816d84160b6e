package neatlanyard.core.figures;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The take-off tables of a type, one for each thing they give and each way the aircraft is set and the runway is. */
public final class TakeoffTables {
  private final Map<String, Map<RunwayState, ForFlap>> byFlap;
  private final List<String> flaps;
  private final Set<RunwayState> covered;

  /** What a table gives. */
  public enum Gives {
    /** From the beginning to 35 ft, an engine failing at V1. */
    ACCELERATE_GO("m"),
    /** From the beginning to a stop begun at V1. */
    ACCELERATE_STOP("m"),
    /** From the beginning to 35 ft on all engines, with one engine to 50 ft; not factored. */
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
    POWER("%"),
    /** From 50 ft above the threshold to a full stop, not factored. */
    LANDING("m");

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
    List<String> all = grids.keySet().stream().filter(k -> k.gives == Gives.ALL_ENGINES).map(Key::flap).distinct()
        .sorted().toList();
    Map<String, Map<RunwayState, ForFlap>> made = new HashMap<>();
    for (String flap : grids.keySet().stream().map(Key::flap).distinct().toList()) {
      Map<RunwayState, ForFlap> states = new EnumMap<>(RunwayState.class);
      for (RunwayState state : RunwayState.values()) {
        states.put(state, new ForFlap(flap, state, of(grids, flap, state)));
      }
      made.put(flap, states);
    }
    this.flaps = all;
    this.byFlap = made;
    this.covered = grids.keySet().stream().filter(k -> k.gives == Gives.ALL_ENGINES).flatMap(k -> k.state.stream())
        .collect(Collectors.toUnmodifiableSet());
  }

  private static Map<Gives, Grid> of(Map<Key, Grid> grids, String flap, RunwayState state) {
    Map<Gives, Grid> found = new EnumMap<>(Gives.class);
    for (Gives gives : Gives.values()) {
      Optional.ofNullable(grids.get(new Key(gives, flap, Optional.of(state))))
          .or(() -> Optional.ofNullable(grids.get(new Key(gives, flap, Optional.empty()))))
          .ifPresent(grid -> found.put(gives, grid));
    }
    return found;
  }

  /** Whether there are distances to land with a flap on a runway in this state. */
  public boolean lands(String flap, RunwayState state) {
    return of(flap, state).axis(Gives.LANDING, Grid.Of.WEIGHT).isPresent();
  }

  /** The flaps for which there are tables of distances, in the order of their names. */
  public List<String> flaps() {
    return flaps;
  }

  /** Whether there are distances for a runway in this state. */
  boolean covers(RunwayState state) {
    return covered.contains(state);
  }

  /** The tables of one flap on a runway in one state. */
  ForFlap of(String flap, RunwayState state) {
    Map<RunwayState, ForFlap> states = byFlap.get(flap);
    ForFlap made = states == null ? null : states.get(state);
    return made == null ? new ForFlap(flap, state, Map.of()) : made;
  }

  /** The tables of one flap on a runway in one state. */
  static final class ForFlap {
    private final String flap;
    private final RunwayState state;
    private final Map<Gives, Grid> grids;
    private final Map<Grid.Of, Grid.Axis> axes = new EnumMap<>(Grid.Of.class);

    private ForFlap(String flap, RunwayState state, Map<Gives, Grid> grids) {
      this.flap = flap;
      this.state = state;
      this.grids = grids;
      Grid distances = grids.get(Gives.ALL_ENGINES);
      if (distances != null) {
        distances.axes().forEach(a -> axes.put(a.of(), a));
      }
    }

    /** NaN where there is no value. */
    double at(Gives gives, Grid.Point point) {
      Grid grid = grids.get(gives);
      return grid == null ? Double.NaN : grid.at(point);
    }

    /** Why there is no value, for the first of what is asked that has none; empty where all have. */
    Optional<String> missing(Set<Gives> asked, Grid.Point point) {
      for (Gives gives : asked) {
        if (Double.isNaN(at(gives, point))) {
          Grid grid = grids.get(gives);
          String table = "%s, flap %s, %s".formatted(
              gives.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '), flap, state.words());
          return Optional.of(grid == null ? "There is no table of %s".formatted(table)
              : "Table of %s: %s".formatted(table, grid.missing(point)));
        }
      }
      return Optional.empty();
    }

    /** An axis of one of them; empty where there is no such table, or it does not depend on it. */
    Optional<Grid.Axis> axis(Gives gives, Grid.Of of) {
      Grid grid = grids.get(gives);
      return grid == null ? Optional.empty() : grid.axes().stream().filter(a -> a.of() == of).findFirst();
    }

    /** An axis of the distances; empty where they do not depend on it. */
    Optional<Grid.Axis> axis(Grid.Of of) {
      return Optional.ofNullable(axes.get(of));
    }
  }
}

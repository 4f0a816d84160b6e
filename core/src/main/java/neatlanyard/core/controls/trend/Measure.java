package neatlanyard.core.controls.trend;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.controls.Judgement;

/**
 * One number of one check that is worth following.
 *
 * @param of the surface, or the pair, in words
 * @param value mean of the movements that tell of it, without sign, in {@link Quantity#unit()}
 * @param limit as {@code value}; the least for travel, the most for all else
 */
public record Measure(String of, Quantity quantity, double value, double limit) {
  /** What is followed. */
  public enum Quantity {
    /** Deflection that a surface reached with its control fully one way, trailing edge up or right. */
    TRAVEL_POSITIVE("travel up or right", "°", Criterion.FULL_TRAVEL),
    /** The same, trailing edge down or left. */
    TRAVEL_NEGATIVE("travel down or left", "°", Criterion.FULL_TRAVEL),
    /** Delay from control to surface. */
    LAG("lag", "s", Criterion.LAG),
    /** How far from its neutral a surface rested. */
    NEUTRAL("rest off neutral", "°", Criterion.NEUTRAL),
    /** How far apart two surfaces of a pair got the same way. */
    ASYMMETRY("left against right", "°", Criterion.SYMMETRY);

    private final String words;
    private final String unit;
    private final Criterion criterion;

    Quantity(String words, String unit, Criterion criterion) {
      this.words = words;
      this.unit = unit;
      this.criterion = criterion;
    }

    public String words() {
      return words;
    }

    public String unit() {
      return unit;
    }

    /** Whether it must not get less; otherwise it must not get more. */
    public boolean atLeast() {
      return this == TRAVEL_POSITIVE || this == TRAVEL_NEGATIVE;
    }

    private static Optional<Quantity> of(Finding f) {
      for (Quantity q : values()) {
        if (q.criterion == f.criterion() && (q != TRAVEL_POSITIVE || f.measured() > 0)) {
          return Optional.of(q);
        }
      }
      return Optional.empty();
    }
  }

  /** A finding's numbers are told to thousandths. */
  private static final double ROUNDED_DEG = 0.002;

  private record Key(String of, Quantity quantity) {}

  /**
   * What a judgement measured of all that is followed. Nothing of what it left unjudged, and no travel of a control
   * that stopped short: how far a surface goes is told at the stop alone.
   */
  public static List<Measure> of(ControlSpec spec, Judgement judgement) {
    Map<Key, List<Finding>> found = new LinkedHashMap<>();
    for (Finding f : judgement.findings()) {
      if (f.outcome() != Outcome.UNJUDGED && (f.criterion() != Criterion.FULL_TRAVEL || atTheStop(spec, f))) {
        Quantity.of(f).ifPresent(q ->
            found.computeIfAbsent(new Key(f.subject(), q), k -> new ArrayList<>()).add(f));
      }
    }
    List<Measure> measures = new ArrayList<>();
    found.forEach((key, all) -> measures.add(new Measure(key.of, key.quantity,
        all.stream().mapToDouble(f -> Math.abs(f.measured())).average().orElse(0), Math.abs(all.getFirst().limit()))));
    return measures;
  }

  private static boolean atTheStop(ControlSpec spec, Finding f) {
    return spec.surfaces().stream().filter(s -> s.name().equals(f.subject()))
        .flatMapToDouble(s -> DoubleStream.of(s.positiveDeg(), s.negativeDeg())
            .map(full -> Math.signum(full) * (Math.abs(full) - s.toleranceDeg())))
        .anyMatch(least -> Math.abs(f.limit() - least) < ROUNDED_DEG);
  }
}

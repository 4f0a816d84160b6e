package neatlanyard.core.timeline.learned;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.timeline.Length;

/**
 * How long a type's crews take: how many times the estimate, by procedure, in the dark or not, in the cold or not.
 * Log-normal: within one procedure and light and cold the logarithms scatter alike everywhere; how those differ among
 * each other is {@link Pooled}.
 */
public final class Learned {
  /** Before anything is known: the estimates themselves. */
  public static final Learned NONE = new Learned(Map.of(), Optional.empty(), 0.25, 0);

  /** Fewer are no experience: the estimates stand. */
  private static final int ENOUGH = 40;
  private static final double MOST_SPREAD = 2;
  /** Whoever took more than ten times the estimate, or less than a tenth, did something else. */
  private static final double MOST_TIMES = 10;

  private record Cell(ProcedureId procedure, boolean dark, boolean cold) {}

  private final Map<Cell, Pooled.Estimate> cells;
  private final Optional<Pooled.Estimate> unseen;
  /** Standard deviation of a logarithm within its cell. */
  private final double within;

  private final int count;

  private Learned(Map<Cell, Pooled.Estimate> cells, Optional<Pooled.Estimate> unseen, double within, int count) {
    this.count = count;
    this.cells = Map.copyOf(cells);
    this.unseen = unseen;
    this.within = within;
  }

  /** From what was taken before, all of one type. */
  public static Learned of(List<Took> before) {
    Map<Cell, List<Double>> ratios = before.stream().collect(Collectors.groupingBy(
        t -> new Cell(t.procedure(), t.dark(), t.cold()), Collectors.mapping(Took::ratio, Collectors.toList())));
    long free = before.size() - ratios.size();
    if (before.size() < ENOUGH || free < ENOUGH / 2) {
      return NONE;
    }
    double squares = ratios.values().stream().mapToDouble(Learned::squares).sum();
    double variance = Math.max(squares / free, 1e-6);
    Map<Cell, Pooled.Group> groups = new HashMap<>();
    ratios.forEach((cell, all) -> groups.put(cell, new Pooled.Group(mean(all), variance / all.size())));
    Pooled pooled = Pooled.of(List.copyOf(groups.values()));
    Map<Cell, Pooled.Estimate> cells = new HashMap<>();
    groups.forEach((cell, g) -> cells.put(cell, pooled.of(g)));
    return new Learned(cells, Optional.of(pooled.unseen()), Math.sqrt(variance), before.size());
  }

  private static double mean(List<Double> all) {
    return all.stream().mapToDouble(d -> d).average().orElse(0);
  }

  private static double squares(List<Double> all) {
    double mean = mean(all);
    return all.stream().mapToDouble(d -> (d - mean) * (d - mean)).sum();
  }

  /** From how many procedures of departures; 0 where the estimates stand. */
  public int count() {
    return count;
  }

  /** How long something takes that was estimated. */
  public Length length(ProcedureId procedure, boolean dark, boolean cold, Duration estimated) {
    Optional<Pooled.Estimate> cell = Optional.ofNullable(cells.get(new Cell(procedure, dark, cold))).or(() -> unseen);
    double factor = Math.clamp(Math.exp(cell.map(Pooled.Estimate::mean).orElse(0.0)), 1 / MOST_TIMES, MOST_TIMES);
    double spread = Math.sqrt(within * within + cell.map(Pooled.Estimate::variance).orElse(0.0));
    return new Length(Duration.ofMillis(Math.max(1_000, Math.round(estimated.toMillis() * factor))),
        Math.min(MOST_SPREAD, spread));
  }
}

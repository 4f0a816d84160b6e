package neatlanyard.core.drill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.simulated.Fault.Kind;
import neatlanyard.core.drill.Trial.Outcome;

/**
 * How one kind of fault was found.
 *
 * @param bands by size, rising
 */
public record KindScore(Kind kind, List<Banded> bands) {
  /** Up to so many times what the type allows; what is larger stands in the last. */
  private static final double[] UP_TO = {2, 4, Double.POSITIVE_INFINITY};

  /**
   * Those of one size.
   *
   * @param overLimits and
   * @param upToLimits how many times what the type allows; both 0 for what has no size, the second infinite for the
   *     largest
   * @param reactionS median of those found, seconds
   */
  public record Banded(double overLimits, double upToLimits, int found, int of, Optional<Double> reactionS) {}

  public KindScore {
    bands = List.copyOf(bands);
  }

  /** Of each kind that was shown at least once. */
  public static List<KindScore> of(List<Trial> trials) {
    return Hidden.kinds().stream().map(k -> new KindScore(k, bands(trials.stream()
        .filter(t -> t.hidden().filter(h -> h.kind() == k).isPresent()).toList())))
        .filter(k -> !k.bands.isEmpty()).toList();
  }

  private static List<Banded> bands(List<Trial> of) {
    List<Banded> bands = new ArrayList<>();
    add(bands, 0, 0, of.stream().filter(t -> t.limits() == 0).toList());
    double over = 0;
    for (double upTo : UP_TO) {
      double from = over;
      add(bands, from, upTo, of.stream().filter(t -> t.limits() > from && t.limits() <= upTo).toList());
      over = upTo;
    }
    return bands;
  }

  private static void add(List<Banded> bands, double over, double upTo, List<Trial> trials) {
    if (!trials.isEmpty()) {
      double[] times = trials.stream().flatMap(t -> t.reactionS().stream()).mapToDouble(s -> s).sorted().toArray();
      int found = (int) trials.stream().filter(t -> t.outcome() == Outcome.FOUND).count();
      bands.add(new Banded(over, upTo, found, trials.size(), times.length == 0 ? Optional.empty()
          : Optional.of((times[(times.length - 1) / 2] + times[times.length / 2]) / 2)));
    }
  }
}

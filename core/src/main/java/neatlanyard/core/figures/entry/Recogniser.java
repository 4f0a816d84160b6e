package neatlanyard.core.figures.entry;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Says how a wrong figure came about: by Bayes' rule over the kinds of slip, each of which makes of the right figure
 * what it can make of it, with its share.
 */
public final class Recogniser {
  /** A cause that is less likely than this is not told. */
  private static final double LEAST = 0.01;
  private static final double DIGITS = 10;
  /** Where single slips together explain it less than this, two at once are thought of too. */
  private static final double EXPLAINED = 1e-4;

  private final CriticalFigure figure;
  private final String right;
  private final String entered;
  private final double value;
  private final EntryContext context;
  private final Map<String, Double> weights = new HashMap<>();
  private final Map<String, Slip> slips = new HashMap<>();

  private Recogniser(CriticalFigure figure, String right, String entered, EntryContext context) {
    this.figure = figure;
    this.right = Typed.plain(right);
    this.entered = Typed.plain(entered);
    this.value = Typed.value(this.entered);
    this.context = context;
  }

  /** Whether what was entered is the figure, both in its own unit. */
  public static boolean agrees(CriticalFigure figure, String right, String entered) {
    return agrees(figure, 1, right, entered);
  }

  /** The same in another unit. @param scale how many of its own one of that is */
  static boolean agrees(CriticalFigure figure, double scale, String right, String entered) {
    return Typed.same(figure, scale, Typed.plain(right), Typed.plain(entered));
  }

  /**
   * Causes of a wrong figure, the most likely first; none when it is right.
   *
   * @param right the figure as it is written
   * @param entered what somebody typed
   */
  public static List<Cause> causes(CriticalFigure figure, String right, String entered, EntryContext context) {
    return agrees(figure, context.scale(), right, entered) ? List.of()
        : new Recogniser(figure, right, entered, context).causes();
  }

  private List<Cause> causes() {
    List<Confusion.Taken> taken = Confusion.of(figure, right, context);
    Keying.of(right).stream().filter(m -> reads(m.figure())).forEach(m ->
        add(m.slip(), m.slip().words(), m.share()));
    taken.stream().filter(t -> reads(t.figure())).forEach(t -> add(t.slip(), t.words(), t.share()));
    if (weights.values().stream().mapToDouble(Double::doubleValue).sum() < EXPLAINED) {
      twice(taken);
    }
    add(Slip.UNEXPLAINED, Slip.UNEXPLAINED.words(), Math.pow(DIGITS, -Math.max(1, entered.length())));
    double all = weights.values().stream().mapToDouble(Double::doubleValue).sum();
    return weights.entrySet().stream()
        .map(e -> new Cause(slip(e.getKey()), e.getValue() / all, e.getKey()))
        .filter(c -> c.likelihood() >= LEAST)
        .sorted(Comparator.comparingDouble(Cause::likelihood).reversed().thenComparing(Cause::words)).toList();
  }

  private Slip slip(String words) {
    return java.util.Objects.requireNonNull(slips.get(words));
  }

  /** A slip of the fingers on top of another, or on top of a figure that was taken for this one. */
  private void twice(List<Confusion.Taken> taken) {
    double ways = taken.size() + 1.0;
    for (Keying.Made m : Keying.ofFingers(right)) {
      again(m.figure(), m.slip(), m.share() / ways, m.slip().words(), true);
    }
    for (Confusion.Taken t : taken) {
      again(t.figure(), t.slip(), t.share() / ways, t.words(), false);
    }
  }

  /** @param share of all that the first slip could make */
  private void again(String made, Slip first, double share, String words, boolean either) {
    // A slip of the fingers makes a figure longer or shorter by one character at most.
    if (Math.abs(made.length() - entered.length()) > 1) {
      return;
    }
    for (Keying.Made n : Keying.ofFingers(made)) {
      if (reads(n.figure())) {
        add(Slip.TWO_SLIPS, either ? pair(words, n.slip().words()) : "%s, and %s".formatted(words, n.slip().words()),
            share * n.share() * first.share() * n.slip().share());
      }
    }
  }

  private static String pair(String one, String other) {
    return one.equals(other) ? one + " twice"
        : one.compareTo(other) < 0 ? "%s, and %s".formatted(one, other) : "%s, and %s".formatted(other, one);
  }

  /** What is compared is what it comes to: a lost nought before a point is none. */
  private boolean reads(String made) {
    return made.equals(entered) || figure.number() && Typed.value(made) == value;
  }

  private void add(Slip slip, String words, double share) {
    weights.merge(words, slip.share() * share, Double::sum);
    slips.put(words, slip);
  }
}

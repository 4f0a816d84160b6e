package neatlanyard.core.figures.entry;

import java.util.List;
import java.util.Optional;

/**
 * Two entries of one figure, each made without sight of the other, held against each other and against what was
 * worked out.
 *
 * @param first causes of a slip in the first entry, the most likely first; none where nothing is thought to be wrong
 * @param second the same of the second entry
 */
public record Comparison(Verdict verdict, List<Cause> first, List<Cause> second) {
  /** How the three stand to each other. */
  public enum Verdict {
    /** Both are what was worked out. */
    AGREED,
    /** Both are the same, and nothing was worked out to hold them against. */
    ALIKE,
    /** The first is what was worked out, or would be if the second were not. */
    SECOND_DIFFERS,
    FIRST_DIFFERS,
    /** Neither is what was worked out, nor are they alike. */
    BOTH_DIFFER,
    /** Both are the same, and not what was worked out: something both relied on is wrong, or the computation is. */
    BOTH_ALIKE_AND_WRONG,
    /** They are not alike, and nothing says which is right. */
    ONE_OF_THEM;

    /** Whether it can be locked as it stands. */
    public boolean agreed() {
      return this == AGREED || this == ALIKE;
    }
  }

  public Comparison {
    first = List.copyOf(first);
    second = List.copyOf(second);
  }

  /** @param computed what was worked out; empty where nothing was */
  public static Comparison of(CriticalFigure figure, String first, String second, Optional<String> computed,
      EntryContext context) {
    Verdict verdict = verdict(figure, context.scale(), first, second, computed);
    // Where nothing was worked out each is held against the other; what is right has no causes.
    return new Comparison(verdict, Recogniser.causes(figure, computed.orElse(second), first, context),
        Recogniser.causes(figure, computed.orElse(first), second, context));
  }

  /** The same without the causes. */
  public static Verdict verdict(CriticalFigure figure, String first, String second, Optional<String> computed) {
    return verdict(figure, 1, first, second, computed);
  }

  private static Verdict verdict(
      CriticalFigure figure, double scale, String first, String second, Optional<String> computed) {
    boolean alike = Recogniser.agrees(figure, scale, first, second);
    return computed.isEmpty() ? alike ? Verdict.ALIKE : Verdict.ONE_OF_THEM
        : verdict(alike, Recogniser.agrees(figure, scale, computed.get(), first),
        Recogniser.agrees(figure, scale, computed.get(), second));
  }

  private static Verdict verdict(boolean alike, boolean firstRight, boolean secondRight) {
    if (firstRight) {
      return secondRight ? Verdict.AGREED : Verdict.SECOND_DIFFERS;
    }
    if (secondRight) {
      return Verdict.FIRST_DIFFERS;
    }
    return alike ? Verdict.BOTH_ALIKE_AND_WRONG : Verdict.BOTH_DIFFER;
  }
}

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
    boolean alike = Recogniser.agrees(figure, context.scale(), first, second);
    if (computed.isEmpty()) {
      return alike ? new Comparison(Verdict.ALIKE, List.of(), List.of())
          : new Comparison(Verdict.ONE_OF_THEM, Recogniser.causes(figure, second, first, context),
          Recogniser.causes(figure, first, second, context));
    }
    List<Cause> ofFirst = Recogniser.causes(figure, computed.get(), first, context);
    List<Cause> ofSecond = Recogniser.causes(figure, computed.get(), second, context);
    return new Comparison(verdict(alike, ofFirst.isEmpty(), ofSecond.isEmpty()), ofFirst, ofSecond);
  }

  /** The same without the causes. */
  public static Verdict verdict(CriticalFigure figure, String first, String second, Optional<String> computed) {
    boolean alike = Recogniser.agrees(figure, first, second);
    return computed.isEmpty() ? alike ? Verdict.ALIKE : Verdict.ONE_OF_THEM
        : verdict(alike, Recogniser.agrees(figure, computed.get(), first),
        Recogniser.agrees(figure, computed.get(), second));
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

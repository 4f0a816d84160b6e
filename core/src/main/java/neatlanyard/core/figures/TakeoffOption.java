package neatlanyard.core.figures;

import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.figures.TakeoffFigures.LimitingWeight;

/**
 * One way to take off in short, as many are held beside each other; {@link Takeoff#of} has it with its arithmetic.
 *
 * @param held whether all that must hold does
 * @param v1 and the other speeds in whole knots; no V1 with one engine
 * @param leftM metres to spare of the distance that is tightest
 * @param tightest what that is, such as "stop from V1"
 * @param limiting the heaviest weight and what limits it
 */
public record TakeoffOption(
    TakeoffCase of, boolean held, OptionalInt v1, int vr, int v2, int leftM, String tightest,
    LimitingWeight limiting) {

  /** What came of it. */
  public sealed interface Result {
    TakeoffCase of();

    /** The option where it has figures and holds. */
    default Optional<TakeoffOption> good() {
      return Optional.empty();
    }

    record Figures(TakeoffOption option) implements Result {
      @Override
      public TakeoffCase of() {
        return option.of();
      }

      @Override
      public Optional<TakeoffOption> good() {
        return option.held() ? Optional.of(option) : Optional.empty();
      }
    }

    /** @param why there are no figures, one sentence */
    record None(TakeoffCase of, String why) implements Result {}
  }
}

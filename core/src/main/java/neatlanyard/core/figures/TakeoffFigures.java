package neatlanyard.core.figures;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a take-off needs and how it is flown.
 *
 * @param v1 and the other speeds in whole knots
 * @param goM from the beginning to 35 ft with an engine out, in metres
 * @param stopM from the beginning to a stop from V1
 * @param allEnginesM to 35 ft on all engines, and 15 per cent
 * @param runM take-off run
 * @param stopMarginM of the accelerate-stop distance available that is left
 * @param goMarginM of the take-off distance available that is left
 * @param limits whether each of what must hold holds for this weight
 * @param weights the heaviest that each limit allows, the lowest first
 */
public record TakeoffFigures(
    TakeoffCase of, Worked v1, Worked vr, Worked v2, Worked flapRetract, Worked goM, Worked stopM, Worked allEnginesM,
    Worked runM, int stopMarginM, int goMarginM, List<Limit> limits, List<LimitingWeight> weights) {
  public TakeoffFigures {
    limits = List.copyOf(limits);
    weights = List.copyOf(weights);
  }

  /** @param kg rounded down; where {@code bound} is false the tables end there before the limit is met */
  public record LimitingWeight(LimitedBy by, int kg, boolean bound) {}

  /** What stands against more weight. */
  public enum LimitedBy {
    GO_DISTANCE("take-off distance, engine out"),
    STOP_DISTANCE("accelerate-stop distance"),
    ALL_ENGINES_DISTANCE("take-off distance, all engines"),
    TAKEOFF_RUN("take-off run"),
    CLIMB("climb with an engine out"),
    OBSTACLE("obstacle"),
    BRAKE_ENERGY("brake energy"),
    TYRE("tyre speed"),
    STRUCTURE("structure");

    private final String words;

    LimitedBy(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * What is tightest.
   *
   * @param what such as "stop from V1, engine out"
   * @param needed metres from where the take-off begins
   * @param availableM of it, and {@code which} of the declared distances that is
   */
  public record Tightest(String what, Worked needed, int availableM, String which) {
    public int leftM() {
      return availableM - needed.whole();
    }
  }

  /** The distance with the least to spare. */
  public Tightest tightest() {
    int asda = of.left().asdaM();
    int toda = of.left().todaM();
    return Stream.of(new Tightest("stop from V1", stopM, asda, "ASDA"),
        new Tightest("go on, engine out", goM, toda, "TODA"),
        new Tightest("all engines and 15 %", allEnginesM, toda, "TODA"),
        new Tightest("take-off run", runM, of.left().toraM(), "TORA"))
        .min(Comparator.comparingInt(Tightest::leftM)).orElseThrow();
  }

  /**
   * About where a speed comes, in metres from where the take-off begins: with constant acceleration the way grows with
   * the square of the speed over the ground (kinematics), and on all engines V2 is there by 35 ft.
   */
  public int placeM(Worked speed) {
    double share = (speed.value() - of.headKt()) / (v2.value() - of.headKt());
    return (int) Math.round(allEnginesM.value() / TakeoffReading.ALL_ENGINES_FACTOR * share * share);
  }

  public boolean held() {
    return limits.stream().allMatch(Limit::held);
  }

  /** The heaviest of all, and what limits it. */
  public LimitingWeight limiting() {
    return weights.getFirst();
  }
}

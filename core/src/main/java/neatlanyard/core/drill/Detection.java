package neatlanyard.core.drill;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import neatlanyard.core.drill.Trial.Outcome;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How well what was wrong was told from what was not, by signal detection theory (D. M. Green and J. A. Swets, Signal
 * Detection Theory and Psychophysics, 1966).
 *
 * @param found of those in which something was wrong
 * @param missed of the same
 * @param falseAlarms of those in which nothing was
 * @param letPass of the same
 */
public record Detection(int found, int missed, int falseAlarms, int letPass) {
  private static final NormalDistribution NORMAL = new NormalDistribution();

  public static Detection of(List<Trial> trials) {
    return new Detection(count(trials, Outcome.FOUND), count(trials, Outcome.MISSED),
        count(trials, Outcome.FALSE_ALARM), count(trials, Outcome.LET_PASS));
  }

  private static int count(List<Trial> trials, Outcome outcome) {
    return (int) trials.stream().map(Trial::outcome).filter(Predicate.isEqual(outcome)).count();
  }

  /**
   * What it comes to.
   *
   * @param dPrime how far apart the two stand for whoever watches: 0 as good as guessing
   * @param criterion how much it takes until they stop it: above 0 they rather let pass, below 0 they rather stop
   * @param error standard error of d' (G. Gourevitch and E. Galanter, Psychometrika 32, 1967)
   */
  public record Measured(double dPrime, double criterion, double error) {
    /** Less than this and somebody leans neither way. Our own choice, no source. */
    private static final double LEANS = 0.3;

    public String words() {
      return criterion > LEANS ? "You rather let pass: stop earlier."
          : criterion < -LEANS ? "You rather stop: look once more." : "You lean neither way.";
    }
  }

  /**
   * Half a trial is added to each count, so that all found or none still comes to a number (M. J. Hautus, Behavior
   * Research Methods, Instruments and Computers 27, 1995: the log-linear rule).
   *
   * @return empty where there was not one trial of each
   */
  public Optional<Measured> measured() {
    int wrong = found + missed;
    int sound = falseAlarms + letPass;
    if (wrong == 0 || sound == 0) {
      return Optional.empty();
    }
    double hits = (found + 0.5) / (wrong + 1);
    double alarms = (falseAlarms + 0.5) / (sound + 1);
    double zHits = NORMAL.inverseCumulativeProbability(hits);
    double zAlarms = NORMAL.inverseCumulativeProbability(alarms);
    return Optional.of(new Measured(zHits - zAlarms, -(zHits + zAlarms) / 2,
        Math.sqrt(variance(hits, wrong + 1, zHits) + variance(alarms, sound + 1, zAlarms))));
  }

  private static double variance(double share, int of, double z) {
    double density = NORMAL.density(z);
    return share * (1 - share) / (of * density * density);
  }
}

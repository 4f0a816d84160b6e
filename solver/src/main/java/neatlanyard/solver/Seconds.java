package neatlanyard.solver;

import java.time.Duration;

/** Whole seconds of the model. */
final class Seconds {
  private Seconds() {}

  /** Rounded up, so that nothing is promised early. */
  static long up(Duration d) {
    return d.getNano() == 0 ? d.toSeconds() : d.toSeconds() + 1;
  }
}

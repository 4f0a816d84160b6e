package neatlanyard.core.controls;

/**
 * Everything a control asked for within the longest delay, at each step. Whatever moves a sound surface, it stays
 * among its orders; so nothing need be known of that.
 */
record Band(double[] least, double[] most, int from) {
  /**
   * During one movement.
   *
   * @param wanted what was asked for at each step
   */
  static Band of(Seen seen, double[] wanted, Movement e) {
    int back = seen.lagSteps() + seen.skewSteps();
    int from = Math.max(0, e.from() - seen.evidence());
    return new Band(Sliding.least(wanted, back, seen.skewSteps(), from, e.to()),
        Sliding.most(wanted, back, seen.skewSteps(), from, e.to()), from);
  }

  /**
   * The worst mean, over so many steps as are evidence, of how far a surface lay outside; above is positive.
   *
   * @param at where it was
   * @param base taken from that before
   * @param low what was asked for counts no further than from here
   * @param high to here
   */
  double worst(Seen seen, double[] at, double base, double low, double high) {
    int n = seen.evidence();
    int size = least.length;
    double[] off = new double[size];
    for (int i = 0; i < size; i++) {
      double v = at[from + i] - base;
      double under = Math.max(low, Math.min(high, least[i]));
      double over = Math.max(low, Math.min(high, most[i]));
      off[i] = v > over ? v - over : v < under ? v - under : !Double.isNaN(v) ? 0 : Double.NaN;
    }
    double worst = 0;
    for (int i = 0; i + n <= size; i++) {
      double mean = Signal.mean(off, i, i + n);
      worst = Math.abs(mean) > Math.abs(worst) ? mean : worst;
    }
    return worst;
  }
}

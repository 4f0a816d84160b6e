package neatlanyard.core.figures.entry;

/**
 * How a wrong figure comes about, with how often that is thought to happen before anything is known of this one.
 *
 * <p>The recurring kinds are those of ATSB AR-2009-052; the shares are ours, estimated, and stated in docs/figures.md.
 */
public enum Slip {
  DIGITS_SWAPPED("digits swapped", 0.18),
  DIGIT_LOST("a digit lost", 0.10),
  DIGIT_DOUBLED("a digit doubled", 0.07),
  NEIGHBOURING_KEY("a key beside the right one", 0.13),
  MISREAD("one digit misread", 0.03),
  DECIMAL_POINT("decimal point moved", 0.06),
  SIGN_LOST("sign lost", 0.03),
  OTHER_FIELD("another figure entered here", 0.14),
  OTHER_UNIT("another unit", 0.05),
  LAST_FLIGHT("the figure of the last flight", 0.10),
  OTHER_ROW("another row of the table", 0.06),
  RECIPROCAL_RUNWAY("the other end of the runway", 0.05),
  PARALLEL_RUNWAY("the runway beside it", 0.05),
  FULL_LENGTH("the whole runway for the intersection", 0.05),
  TWO_SLIPS("two slips at once", 0.03),
  UNEXPLAINED("no slip that is known", 0.01);

  private final String words;
  private final double share;

  Slip(String words, double share) {
    this.words = words;
    this.share = share;
  }

  public String words() {
    return words;
  }

  /** Of all slips, before anything is known; they need not add up to one. */
  public double share() {
    return share;
  }
}

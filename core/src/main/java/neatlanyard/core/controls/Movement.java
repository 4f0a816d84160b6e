package neatlanyard.core.controls;

/**
 * One movement of a control away from its middle, to one side; indexes count even time steps.
 *
 * @param sign +1 nose up or right, -1 nose down or left
 * @param number the how-manieth to this side, from 1
 * @param from the first step at which it was away from its middle
 * @param to the first step at which it was back, or past it
 * @param heldFrom first and
 * @param heldTo last step at its furthest
 * @param peakPct how far it was moved, per cent of full travel, without sign
 * @param full whether that was to the stop, within what the recording can tell
 * @param heldS how long it was held at its furthest, in one piece, seconds
 * @param silent longest silence of the recording from the movement's begin to its end, seconds
 * @param restFrom and
 * @param restTo the steps (this one not) after it in which the control was at rest and the surface had time to settle;
 *     the same where there are none
 */
record Movement(
    Axis axis, int sign, int number, int from, int to, int heldFrom, int heldTo, double peakPct, boolean full,
    double heldS, double silent, int restFrom, int restTo) {
  boolean rested() {
    return restTo > restFrom;
  }

  /** The movement in words, such as "roll right" or "roll right, the second time". */
  String words() {
    String way = axis.words() + " " + axis.toward(sign);
    return way + which();
  }

  /** Which of several, such as ", the second time"; nothing for the first. */
  String which() {
    return switch (number) {
      case 1 -> "";
      case 2 -> ", the second time";
      case 3 -> ", the third time";
      default -> ", time " + number;
    };
  }
}

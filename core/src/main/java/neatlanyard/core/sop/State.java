package neatlanyard.core.sop;

/** A control in a position, or an indication in a state. */
public record State(PointId point, String value) {
  /**
   * Stands for the position that the figure both pilots agreed on asks for, such as today's flap; what the pack wants
   * for take-off while there is none.
   */
  public static final String AGREED = "agreed";

  /** Whether today's figures say which position it is. */
  public boolean byFigure() {
    return value.equals(AGREED);
  }

  @Override
  public String toString() {
    return point + ": " + value;
  }
}

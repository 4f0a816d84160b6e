package neatlanyard.core.sop;

/** A control in a position, or an indication in a state. */
public record State(PointId point, String value) {
  @Override
  public String toString() {
    return point + ": " + value;
  }
}

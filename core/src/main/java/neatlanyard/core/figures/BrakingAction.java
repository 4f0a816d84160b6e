package neatlanyard.core.figures;

/** How a pilot who just landed found the brakes, with the code it stands for (FAA AC 25-31; from memory). */
public enum BrakingAction {
  GOOD(5),
  GOOD_TO_MEDIUM(4),
  MEDIUM(3),
  MEDIUM_TO_POOR(2),
  POOR(1),
  LESS_THAN_POOR(0);

  private final int code;

  BrakingAction(int code) {
    this.code = code;
  }

  int code() {
    return code;
  }

  public String words() {
    return name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
  }
}

package neatlanyard.core.figures;

/** How slippery a runway is, as take-off tables and wind limits are made: the lower, the worse. */
public enum RunwayState {
  DRY("dry"),
  WET("wet"),
  /** Codes 4 and 3. */
  SNOW("snow, or slippery when wet"),
  /** Code 2. */
  SLUSH("standing water or slush"),
  /** Code 1. */
  ICE("ice"),
  /** Code 0: nobody takes off. */
  NIL("wet ice");

  private final String words;

  RunwayState(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  public boolean contaminated() {
    return compareTo(SNOW) >= 0;
  }

  static RunwayState ofCode(int code) {
    return switch (code) {
      case 6 -> DRY;
      case 5 -> WET;
      case 4, 3 -> SNOW;
      case 2 -> SLUSH;
      case 1 -> ICE;
      default -> NIL;
    };
  }
}

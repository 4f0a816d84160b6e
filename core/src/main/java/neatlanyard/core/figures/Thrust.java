package neatlanyard.core.figures;

/** How much thrust is set for the take-off. */
public sealed interface Thrust {
  Thrust FULL = new Full();

  String words();

  /** All there is. */
  record Full() implements Thrust {
    @Override
    public String words() {
      return "full";
    }
  }

  /** What there would be at a higher temperature. @param celsius assumed, above that outside */
  record Assumed(int celsius) implements Thrust {
    @Override
    public String words() {
      return "assumed %d °C".formatted(celsius);
    }
  }

  /** A fixed step. @param percent of the full thrust of the day */
  record Step(int percent) implements Thrust {
    @Override
    public String words() {
      return "%d per cent".formatted(percent);
    }
  }
}

package neatlanyard.core.figures;

/** How much thrust is set for the take-off. */
public sealed interface Thrust {
  Thrust FULL = new Full();

  String words();

  /** As it is written in a record: "full", "assumed-52" or "step-90". */
  default String code() {
    return switch (this) {
      case Full f -> "full";
      case Assumed a -> "assumed-" + a.celsius;
      case Step s -> "step-" + s.percent;
    };
  }

  /** Reads what {@link #code} wrote. @throws IllegalArgumentException if it is not one */
  static Thrust of(String code) {
    if (code.equals("full")) {
      return FULL;
    }
    if (code.matches("assumed--?\\d{1,2}")) {
      return new Assumed(Integer.parseInt(code.substring("assumed-".length())));
    }
    if (code.matches("step-[1-9]\\d?")) {
      return new Step(Integer.parseInt(code.substring("step-".length())));
    }
    throw new IllegalArgumentException("'%s' is no thrust: full, assumed-52 or step-90".formatted(code));
  }

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

package neatlanyard.core.figures.entry;

import neatlanyard.core.units.Numbers;

/** A figure that is entered by hand and on which the take-off depends. */
public enum CriticalFigure {
  ZERO_FUEL_WEIGHT("zero-fuel weight", "kg", 10),
  FUEL("fuel", "kg", 10),
  GROSS_WEIGHT("gross weight", "kg", 10),
  TAKEOFF_WEIGHT("take-off weight", "kg", 10),
  CENTRE("centre of gravity", "%", 0.1),
  TRIM("trim", "", 0.1),
  ASSUMED_TEMPERATURE("assumed temperature", "°C", 1),
  V1("V1", "kt", 1),
  VR("VR", "kt", 1),
  V2("V2", "kt", 1),
  INITIAL_LEVEL("initial level", "ft", 1),
  TRANSPONDER("transponder code", "", 0),
  RUNWAY("runway", "", 0),
  INTERSECTION("intersection", "", 0),
  FLAP("flap", "", 0),
  RUNWAY_HEADING("runway heading", "°", 1),
  PRESSURE_SETTING("pressure setting", "hPa", 1);

  /** How the whole runway is entered where an intersection is asked for. */
  public static final String WHOLE_RUNWAY = "FULL";

  private final String words;
  private final String unit;
  private final double step;

  CriticalFigure(String words, String unit, double step) {
    this.words = words;
    this.unit = unit;
    this.step = step;
  }

  public String words() {
    return words;
  }

  /** In which it is worked out; empty where it has none. */
  public String unit() {
    return unit;
  }

  /** The smallest difference that counts, in its unit; 0 where it is compared letter by letter. */
  double step() {
    return step;
  }

  public boolean number() {
    return step > 0;
  }

  /** Whether it is a mass. */
  public boolean weight() {
    return unit.equals("kg");
  }

  /** One as it is read, without its unit: the thousands of a weight set apart. @param value as it was entered */
  public String shown(String value) {
    String plain = value.strip();
    return weight() && plain.matches("\\d{1,7}") ? Numbers.written(Double.parseDouble(plain), 0) : plain;
  }

  public boolean speed() {
    return unit.equals("kt");
  }
}

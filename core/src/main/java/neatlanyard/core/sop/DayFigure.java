package neatlanyard.core.sop;

/** A figure that today's flight gives. */
public enum DayFigure {
  /** Of the station report, in hectopascal. */
  PRESSURE_SETTING("pressure setting", "hPa"),
  /** Of the airfield of departure, in feet above mean sea level. */
  DEPARTURE_ELEVATION("elevation of departure", "ft"),
  /** Of the destination, in feet above mean sea level. */
  LANDING_ELEVATION("landing elevation", "ft"),
  /** Of the flight's plan, in hundreds of feet. */
  CRUISING_LEVEL("cruising level", "");

  private final String words;
  private final String unit;

  DayFigure(String words, String unit) {
    this.words = words;
    this.unit = unit;
  }

  public String words() {
    return words;
  }

  /** How its unit is written; empty where it has none. */
  public String unit() {
    return unit;
  }
}

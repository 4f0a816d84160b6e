package neatlanyard.core.sop;

/** What a line of a briefing can say of today. */
public enum BriefingValue {
  FLYING("who flies"),
  MONITORING("who monitors"),
  RUNWAY("runway and where the take-off begins"),
  FLAP("flap"),
  THRUST("thrust"),
  V1("V1"),
  VR("VR"),
  V2("V2"),
  TAKEOFF_WEIGHT("take-off weight"),
  INITIAL_LEVEL("initial level"),
  TRANSPONDER("transponder code"),
  PRESSURE_SETTING("pressure setting"),
  /** How the runway is, where it is not dry. */
  CONDITION("runway condition"),
  /** On the runway that was agreed. */
  WIND("wind"),
  /** A height above the airfield as the altimeter shows it; wants one, in feet. */
  HEIGHT("height as an altitude"),
  /** The higher of a height that the operator wants, which it is given, and of the obstacles, corrected for cold. */
  ACCELERATION("acceleration altitude"),
  FIRST_TURN("first turn"),
  ENGINE_OUT("way with an engine out"),
  MINIMUM("minimum altitude"),
  /** Back here, or to the take-off alternate. */
  RETURN("return or alternate"),
  DEFERRED("what is deferred"),
  /** Besides what most tails of the pack have. */
  TAIL("what differs on this tail"),
  HOLDOVER("holdover time"),
  /** Seven tenths of the lift-off speed, and where half of the run is. */
  HALF_WAY("speed at the half-way mark");

  private final String words;

  BriefingValue(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Whether it is given a height. */
  public boolean ofHeight() {
    return this == HEIGHT || this == ACCELERATION;
  }
}

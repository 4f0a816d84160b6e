package neatlanyard.core.sop;

import java.util.Arrays;

/** One way of doing something in which crews differ. */
public enum School {
  LEFT_DOOR_CLOCKWISE("From the left front door, clockwise, both sides written out"),
  NOSE_FIRST("From the nose gear, clockwise, both sides written out"),
  RIGHT_THEN_LEFT("Right side from the nose back, then the left side from the nose back, both written out"),

  ALL_OFF_FIRST("All off first and counted back into the stowage"),
  OFF_WHEN_REACHED("Each off when it is reached"),

  HYDRAULICS_OFF("Off, so that nothing can move"),
  HYDRAULICS_ON("On, so that leaks show, after a look that the surfaces are clear"),

  MONITORING_SCANS("The pilot monitoring scans the overhead"),
  EACH_HALF("Each pilot scans their half of the overhead"),
  EITHER("Whoever has time scans the overhead"),

  BY_CONDITION("By the step's own condition"),
  EVERY_TIME("Every test each time"),
  FIRST_FLIGHT_ONLY("On the first flight of the day"),
  UNALERTED_ONLY("Only what alerting would not show"),

  EACH_LEVER("Each thrust lever by itself: together, one working switch hides a dead one"),
  LEVERS_TOGETHER("Both levers together"),

  ONE_PACK("One pack on, one off, isolation automatic, APU air off"),
  BOTH_PACKS("Packs on, isolation open, APU air on"),

  NOT_RADIATING("Set up, not radiating until clear of people"),
  RADAR_OFF("Off"),

  OFF_WHILE_FUELLING("Off until the hose is off"),
  ON_FROM_THE_START("On from the start"),

  APU_LATE("As late as the plan allows for the temperature of the day"),
  APU_EARLY("Early, for air"),

  EACH_ALONE("Each enters alone, and the two are compared"),
  READ_AND_TYPE("One reads, one types, both look"),

  MONITORING_READS("Commander calls, pilot monitoring reads, owner answers"),
  FIRST_OFFICER_READS("Commander calls, right seat reads, both answer for their own items"),
  THIRD_READS("Commander calls, a third crew member reads, owner answers"),

  FLOW_THEN_VERIFY("Flow first, then the checklist to verify"),
  READ_AND_DO("Read and do"),

  STATIONARY("Stationary, after start, brake set"),
  STRAIGHT_TAXI("Taxiing straight, never in a turn; stationary in low visibility"),
  STATIONARY_OR_TAXI("Stationary or taxiing straight; stationary in low visibility"),

  FREE_ORDER("Any order within the check"),
  PITCH_ROLL_YAW("Pitch, roll, yaw"),
  ROLL_PITCH_YAW("Roll, pitch, yaw"),

  MONITORING_CALLS("The pilot monitoring calls what is seen, after seeing it"),
  MOVING_ANNOUNCES("The moving pilot announces, the other looks"),

  BOTH_STICKS("Separate sticks: both are checked"),
  LINKED_ONCE("Linked columns: one check"),

  STEERING_DISCONNECTED("Steering disconnect held, and its release checked"),
  RUDDER_STATIONARY("Stationary only"),

  BY_AIRFIELD("As the airfield asks"),
  STANDBY("Standby"),
  ON_WITHOUT_ALTITUDE("On without altitude"),
  ON_WITH_ALTITUDE("On with altitude"),

  FOUR_WAY_TABLE("15 kt apron, 10 kt tight turns, 30 kt straight, 50 kt backtrack"),
  ONE_RANGE("10 to 20 kt throughout, under 10 kt in sharp turns"),

  BY_LAST_USE("In turn from the last recorded use of that tail"),
  BY_FLIGHT("In turn by flight"),
  BY_DATE("In turn by date"),

  ONE_BACK("One item back, and the two before it shown"),
  GO_ON("Where it stopped"),
  START_AGAIN("From the start of the list");

  private final String words;

  School(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** The matter it is a school of. */
  public Matter matter() {
    return Arrays.stream(Matter.values()).filter(m -> m.schools().contains(this)).findFirst().orElseThrow();
  }
}

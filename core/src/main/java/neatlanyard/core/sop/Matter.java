package neatlanyard.core.sop;

import java.util.List;

/** A matter in which crews differ. A fleet follows one school of each, because two people in one cockpit must. */
public enum Matter {
  ROUTE(Stage.WALKAROUND, "Route of the walkaround", School.LEFT_DOOR_CLOCKWISE, School.NOSE_FIRST,
      School.RIGHT_THEN_LEFT),
  COVERS(Stage.WALKAROUND, "Red covers", School.ALL_OFF_FIRST, School.OFF_WHEN_REACHED),
  HYDRAULICS(Stage.POWER_UP, "Hydraulics during the walkaround", School.HYDRAULICS_OFF, School.HYDRAULICS_ON),
  OVERHEAD_SCAN(Stage.FLOWS, "Overhead scan", School.MONITORING_SCANS, School.EACH_HALF, School.EITHER),
  TESTS(Stage.FLOWS, "Tests", School.BY_CONDITION, School.EVERY_TIME, School.FIRST_FLIGHT_ONLY, School.UNALERTED_ONLY),
  CONFIGURATION_TEST(Stage.FLOWS, "Configuration warning test", School.EACH_LEVER, School.LEVERS_TOGETHER),
  AIR_SUPPLY(Stage.START, "Air supply before start", School.ONE_PACK, School.BOTH_PACKS),
  RADAR(Stage.FLOWS, "Radar before taxi", School.NOT_RADIATING, School.RADAR_OFF),
  SEAT_BELT_SIGNS(Stage.FLOWS, "Seat-belt signs", School.OFF_WHILE_FUELLING, School.ON_FROM_THE_START),
  APU(Stage.POWER_UP, "APU", School.APU_LATE, School.APU_EARLY),
  CRITICAL_ENTRY(Stage.FIGURES, "Critical entry", School.EACH_ALONE, School.READ_AND_TYPE),
  CHECKLIST_VOICE(Stage.START, "Checklist voice", School.MONITORING_READS, School.FIRST_OFFICER_READS,
  School.THIRD_READS),
  CHECKLIST_METHOD(Stage.START, "Checklist method", School.FLOW_THEN_VERIFY, School.READ_AND_DO),
  CONTROL_CHECK(Stage.CONTROLS, "Control check, when", School.STATIONARY, School.STRAIGHT_TAXI,
  School.STATIONARY_OR_TAXI),
  CONTROL_ORDER(Stage.CONTROLS, "Control check, order", School.FREE_ORDER, School.PITCH_ROLL_YAW,
  School.ROLL_PITCH_YAW),
  CONTROL_VOICE(Stage.CONTROLS, "Control check, voice", School.MONITORING_CALLS, School.MOVING_ANNOUNCES),
  SECOND_STICK(Stage.CONTROLS, "Second stick", School.BOTH_STICKS, School.LINKED_ONCE),
  RUDDER(Stage.CONTROLS, "Rudder", School.STEERING_DISCONNECTED, School.RUDDER_STATIONARY),
  TRANSPONDER(Stage.TAXI, "Transponder while taxiing", School.BY_AIRFIELD, School.STANDBY, School.ON_WITHOUT_ALTITUDE,
  School.ON_WITH_ALTITUDE),
  TAXI_SPEEDS(Stage.TAXI, "Taxi speeds", School.FOUR_WAY_TABLE, School.ONE_RANGE),
  ALTERNATION(Stage.FLOWS, "Igniter, inverter, pump", School.BY_LAST_USE, School.BY_FLIGHT, School.BY_DATE),
  RESUMING(Stage.START, "Resuming after an interruption", School.ONE_BACK, School.GO_ON, School.START_AGAIN);

  private final Stage stage;
  private final String words;
  private final List<School> schools;

  Matter(Stage stage, String words, School... schools) {
    this.stage = stage;
    this.words = words;
    this.schools = List.of(schools);
  }

  /** The stage in which it matters first, where a crew is shown what it follows. */
  public Stage stage() {
    return stage;
  }

  public String words() {
    return words;
  }

  /** The schools in use, the default first. */
  public List<School> schools() {
    return schools;
  }

  public School byDefault() {
    return schools.getFirst();
  }
}

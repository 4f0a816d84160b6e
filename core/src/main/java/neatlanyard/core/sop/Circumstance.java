package neatlanyard.core.sop;

/** What the crew says of the day besides the report. */
public enum Circumstance {
  FIRST_FLIGHT("first flight of the day", "not the first flight of the day"),
  CREW_CHANGE("the crew has changed", "same crew as before"),
  FUELLING("fuelling", "no fuelling"),
  AFTER_MAINTENANCE("maintenance since the last flight", "no maintenance since the last flight"),
  AFTER_WASH("washed since the last flight", "no wash since the last flight"),
  AFTER_DEICING("de-iced for this flight", "not de-iced"),
  LONG_STOP("long stop before this flight", "no long stop before this flight");

  private final String yes;
  private final String no;

  Circumstance(String yes, String no) {
    this.yes = yes;
    this.no = no;
  }

  /** In words, when it is so and when it is not. */
  public String words(boolean so) {
    return so ? yes : no;
  }
}

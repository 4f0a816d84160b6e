package neatlanyard.core.fleet;

/** Why something is refused, for programs; each is one reason, whatever it was that was asked for. */
public enum RefusalCode implements Code {
  // A step.
  DIFFERS,
  FIND_STANDS,
  LEFT_OUT,
  MUST_BE_DONE,
  NEEDS,
  NOTHING_TO_OVERRIDE,
  NOTHING_TO_UNDO,
  NOT_A_VALUE,
  NO_CARD,
  NO_SUCH_STEP,
  NO_VALUE,
  NO_WAIT,
  OTHER_SEATS_STEP,
  UNDECIDED,
  VALUE_WANTED,
  WAIT,

  // A figure.
  FIGURES_WANTED,
  NOT_A_FIGURE,
  NOT_THAT_FIGURE,
  OTHER_STATION,
  NOT_DIFFERING,
  NO_SUCH_FIGURE,
  OTHER_SHEET,

  // Taxiing.
  NOT_A_CLEARANCE,

  // The briefing.
  READING_WANTED,
  READ_BY_NOBODY_ELSE,

  // A checklist.
  NOTHING_TO_STOP,
  NOT_STOPPED,
  NO_LATER,
  NO_SUCH_CHECKLIST,
  OUT_OF_ORDER,
  STOPPED,

  // Seats, tags and who does what.
  COMMANDER_ONLY,
  INTERRUPTED,
  NOT_INTERRUPTED,
  NOT_ROSTERED,
  NOT_YOUR_PANEL,
  NOT_YOUR_ROLE,
  NO_SEAT,
  NO_SUCH_SEAT,
  NO_SUCH_GAIN,
  NO_SUCH_TAG,
  OTHER_SEAT,
  SERVER_ONLY,
  TAG_EXISTS,

  // A find and its verdict.
  FIND_EXISTS,
  MILDER,
  NOT_A_COUNT,
  NO_SUCH_FIND,
  OFF_THE_DRAWING,
  TOO_MANY_PHOTOS,

  // A technical log.
  CLEARED,
  DEFECT_EXISTS,
  EXTENDED_ONCE,
  MAINTENANCE_ONLY,
  NOT_DEFERRED,
  NOT_EXTENDED,
  NO_SUCH_DEFECT,
  NO_SUCH_ENTRY,
  RUN_OUT,
  TOO_MANY_OUT,
  WRONG_DAY,

  // Tying off, the record, and the check of the controls.
  ID_USED,
  MAY_NOT_STAY,
  NOTHING_BROKEN_OFF,
  NOTHING_TO_CALL,
  NOT_A_CHECK,
  NOT_BARE,
  NOT_TIED_OFF,
  TIED_OFF,
  UNDER_WAY,

  // A revision and the fleet.
  EDITED_MEANWHILE,
  IN_USE,
  NOTHING_BEFORE,
  NOT_A_DRAFT,
  NOT_CHECKED,
  NOT_READ,
  OTHER_FLEET,
  PAST,
  PUBLISHED,
  SECOND_PERSON,
  TOO_FAR,
  UNWAIVED_FAULTS,
  WITHDRAWN,

  // Words.
  TOO_LONG,
  WORDS_MISSING
}

package neatlanyard.core.controls;

/** What one column of a recording is of. */
public sealed interface Channel {
  /** Where a control is moved from. */
  enum Inceptor {
    /** Linked columns, pedals, or whichever seat the aircraft listened to. */
    ANY,
    LEFT,
    RIGHT
  }

  /** A control, per cent of its full travel, -100..100; nose up, right and right are positive. */
  record Input(Inceptor inceptor, Axis axis) implements Channel {}

  /** A surface or roll spoiler of the type, degrees; trailing edge up or right, and spoiler out, are positive. */
  record Position(String id) implements Channel {}

  /** Pressure of a hydraulic system of the type, psi. */
  record Pressure(String system) implements Channel {}

  /** What else an aircraft may tell. */
  enum Aside implements Channel {
    /** 1 while the nose wheel is kept from following the pedals, 0 otherwise. */
    STEERING_DISCONNECT,
    /** Knots. */
    GROUND_SPEED,
    /** Degrees, 0..360. */
    HEADING,
    /** 1 set, 0 released. */
    PARKING_BRAKE,
    /** 1 armed, 0 not. */
    AUTOBRAKE,
    /** Degrees. */
    FLAPS,
    /** Degrees. */
    SLATS,
    /** Degrees. */
    SPEED_BRAKE,
    /** Degrees. */
    PITCH_TRIM,
    /** Degrees. */
    ROLL_TRIM,
    /** Degrees. */
    YAW_TRIM;

    /** Whether it is either so or not, so that nothing lies between two samples. */
    public boolean switched() {
      return this == STEERING_DISCONNECT || this == PARKING_BRAKE || this == AUTOBRAKE;
    }
  }

  /** The control of an axis where no seat is told apart. */
  static Input input(Axis axis) {
    return new Input(Inceptor.ANY, axis);
  }

  static Position position(String id) {
    return new Position(id);
  }
}

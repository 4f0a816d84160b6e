package neatlanyard.server.controls;

/** How the simulated aircraft's data comes: a stand-in for a link that is not always good. */
enum SimulatedLink implements AircraftData.Link {
  STEADY("Link steady"),
  STUTTERS("Link stutters"),
  LOSES("Link loses samples"),
  BREAKS_OFF("Link breaks off");

  /** How often it does what it does, and for how long, seconds. */
  private static final double EVERY_S = 5;
  private static final double HOLDS_UP_S = 1.2;
  private static final double LOSES_S = 0.4;

  /** Where in a check it breaks off. */
  private static final double SHARE = 0.55;

  private final String words;

  SimulatedLink(String words) {
    this.words = words;
  }

  String words() {
    return words;
  }

  @Override
  public boolean holdsUp(double seconds) {
    return this == STUTTERS && seconds % EVERY_S > EVERY_S - HOLDS_UP_S;
  }

  @Override
  public boolean loses(double seconds) {
    return this == LOSES && seconds % EVERY_S > EVERY_S - LOSES_S;
  }

  @Override
  public double breaksOff(double total) {
    return this == BREAKS_OFF ? total * SHARE : Double.POSITIVE_INFINITY;
  }
}

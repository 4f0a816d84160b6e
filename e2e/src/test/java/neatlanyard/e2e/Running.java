package neatlanyard.e2e;

/** A started application. */
interface Running {
  int port();

  /**
   * What it said on the terminal until it was ready.
   *
   * @throws UnsupportedOperationException unless it is a process of its own
   */
  String said();

  /** Ends it, without a goodbye where it is a process of its own. */
  void end();
}

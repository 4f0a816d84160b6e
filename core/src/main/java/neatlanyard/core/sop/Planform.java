package neatlanyard.core.sop;

import java.util.List;

/** The type seen from above, in metres; x to the right of the centre line, y back from the nose. */
public record Planform(double lengthM, double fuselageWidthM, Aerofoil wing, Aerofoil tailplane, List<Engine> engines) {
  public Planform {
    engines = List.copyOf(engines);
  }

  /**
   * A wing or tailplane, both sides alike.
   *
   * @param rootY where the leading edge meets the centre line
   * @param tipY where the leading edge meets the tip
   */
  public record Aerofoil(double spanM, double rootY, double rootChordM, double tipY, double tipChordM) {}

  /** A propeller disc or a fan inlet to keep clear of: its middle and its diameter. */
  public record Engine(Kind kind, double x, double y, double diameterM) {
    /** What it is that hurts. */
    public enum Kind { PROPELLER, FAN }
  }
}

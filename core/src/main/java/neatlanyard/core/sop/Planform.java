package neatlanyard.core.sop;

import java.util.List;

/**
 * The type seen from above, in metres; x to the right of the centre line, y back from the nose.
 *
 * @param propellers discs to keep clear of; empty for a type without
 */
public record Planform(double lengthM, double fuselageWidthM, Aerofoil wing, Aerofoil tailplane, List<Disc> propellers) {
  public Planform {
    propellers = List.copyOf(propellers);
  }

  /**
   * A wing or tailplane, both sides alike.
   *
   * @param rootY where the leading edge meets the centre line
   * @param tipY where the leading edge meets the tip
   */
  public record Aerofoil(double spanM, double rootY, double rootChordM, double tipY, double tipChordM) {}

  /** A propeller: its hub and its diameter. */
  public record Disc(double x, double y, double diameterM) {}
}

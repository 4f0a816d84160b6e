package neatlanyard.core.weather;

import java.util.OptionalInt;
import java.util.Set;

/** The lowest layer that covers more than half of the sky, or how far one sees up (ICAO Annex 2, definitions). */
public final class Ceiling {
  private static final Set<String> COVERS = Set.of("BKN", "OVC", "VV");

  private Ceiling() {}

  /** Height above the airfield in feet; empty where there is none, or where it could not be measured. */
  public static OptionalInt ft(StationReport report) {
    return report.clouds().stream().filter(c -> COVERS.contains(c.amount())).flatMapToInt(c -> c.baseFt().stream())
        .min();
  }
}

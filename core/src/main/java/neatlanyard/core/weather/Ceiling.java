package neatlanyard.core.weather;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/** The lowest layer that covers more than half of the sky, or how far one sees up (ICAO Annex 2, definitions). */
public final class Ceiling {
  private static final Set<String> COVERS = Set.of("BKN", "OVC", "VV");

  private Ceiling() {}

  /** Height above the airfield in feet; empty where there is none. See {@link #unmeasured} too. */
  public static OptionalInt ft(List<Cloud> clouds) {
    return covers(clouds).flatMapToInt(c -> c.baseFt().stream()).min();
  }

  /** Whether some layer covers the sky of which the station could not measure how high it is. */
  public static boolean unmeasured(StationReport report) {
    return covers(report.clouds()).anyMatch(c -> c.baseFt().isEmpty());
  }

  private static Stream<Cloud> covers(List<Cloud> clouds) {
    return clouds.stream().filter(c -> COVERS.contains(c.amount()));
  }
}

package neatlanyard.core.figures;

import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.Phenomenon.Intensity;
import neatlanyard.core.weather.Phenomenon.Kind;
import neatlanyard.core.weather.StationReport;

/** What falls on a treated aircraft, as tables of holdover times have it. */
public enum Falling {
  NOTHING("nothing falls, and it is above freezing"),
  /** Nothing falls, but it freezes. */
  FROST("frost"),
  FREEZING_FOG("freezing fog"),
  LIGHT_SNOW("light snow"),
  SNOW("moderate snow"),
  FREEZING_DRIZZLE("freezing drizzle"),
  LIGHT_FREEZING_RAIN("light freezing rain"),
  /** Nobody has a time for it. */
  OTHER("precipitation that no table has a time for");

  private static final int RAIN_COUNTS_BELOW_C = 4;

  private final String words;

  Falling(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** The worst of what a report says; a temperature that is not reported counts as freezing. */
  public static Falling of(StationReport report) {
    Falling worst = report.temperatureC().orElse(0) <= 0 ? FROST : NOTHING;
    for (Phenomenon p : report.weather()) {
      Falling one = of(p, report.temperatureC().orElse(0));
      worst = one.compareTo(worst) > 0 ? one : worst;
    }
    return worst;
  }

  private static Falling of(Phenomenon p, int celsius) {
    if (p.freezing()) {
      return freezing(p);
    }
    if (!p.precipitation()) {
      return NOTHING;
    }
    if (p.of(Kind.SN, Kind.SG) && !p.of(Kind.PL, Kind.GR, Kind.GS, Kind.UP, Kind.RA, Kind.DZ)) {
      return switch (p.intensity()) {
        case LIGHT -> LIGHT_SNOW;
        case MODERATE -> SNOW;
        case HEAVY -> OTHER;
      };
    }
    boolean rain = p.of(Kind.RA, Kind.DZ) && !p.of(Kind.PL, Kind.GR, Kind.GS, Kind.UP, Kind.SN, Kind.SG);
    return rain && celsius >= RAIN_COUNTS_BELOW_C ? NOTHING : OTHER;
  }

  private static Falling freezing(Phenomenon p) {
    if (p.of(Kind.FG)) {
      return FREEZING_FOG;
    }
    if (p.of(Kind.DZ) && p.intensity() != Intensity.HEAVY && !p.of(Kind.RA)) {
      return FREEZING_DRIZZLE;
    }
    return p.of(Kind.RA) && p.intensity() == Intensity.LIGHT ? LIGHT_FREEZING_RAIN : OTHER;
  }
}

package neatlanyard.core.weather;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.units.Numbers;

/** A report held against what an airfield wants for a landing: as observed, along the runways, and as expected. */
public sealed interface LandingWeather {
  /** @param below each in words; empty where all of it holds */
  record Known(List<String> below) implements LandingWeather {
    public Known {
      below = List.copyOf(below);
    }
  }

  /** @param what the report does not say, in words */
  record Unknown(String what) implements LandingWeather {}

  /** What stands against landing there, each in words; empty where nothing does. */
  default List<String> against() {
    return switch (this) {
      case Known k -> k.below();
      case Unknown u -> List.of("%s is not reported".formatted(u.what()));
    };
  }

  static LandingWeather of(StationReport report, LandingLimits limits) {
    if (report.visibilityM().isEmpty()) {
      return new Unknown("the visibility");
    }
    if (Ceiling.unmeasured(report)) {
      return new Unknown("the ceiling");
    }
    List<String> below = new ArrayList<>();
    ceiling(report.clouds(), limits, "").ifPresent(below::add);
    visibility(report.visibilityM(), limits, "").ifPresent(below::add);
    for (RunwayRange r : report.ranges()) {
      if (r.below(limits.visibilityM())) {
        below.add("runway %s range %s m, landing wants %s".formatted(r.runway(),
            Numbers.written(r.leastM().orElseThrow(), 0), Numbers.written(limits.visibilityM(), 0)));
      }
    }
    for (Trend t : report.trends()) {
      ceiling(t.clouds(), limits, t.kind().words() + " ").ifPresent(below::add);
      visibility(t.visibilityM(), limits, t.kind().words() + " ").ifPresent(below::add);
    }
    return new Known(below);
  }

  private static Optional<String> ceiling(List<Cloud> clouds, LandingLimits limits, String when) {
    return Ceiling.ft(clouds).stream().filter(ft -> ft < limits.ceilingFt()).boxed().findFirst()
        .map(ft -> "%sceiling %s ft, landing wants %s".formatted(when, Numbers.written(ft, 0),
        Numbers.written(limits.ceilingFt(), 0)));
  }

  private static Optional<String> visibility(OptionalInt metres, LandingLimits limits, String when) {
    return metres.stream().filter(m -> m < limits.visibilityM()).boxed().findFirst()
        .map(m -> "%svisibility %s m, landing wants %s".formatted(when, Numbers.written(m, 0),
        Numbers.written(limits.visibilityM(), 0)));
  }
}

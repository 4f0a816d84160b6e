package neatlanyard.core.figures;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import neatlanyard.core.figures.TakeoffTables.ForFlap;
import neatlanyard.core.figures.TakeoffTables.Gives;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.weather.Air;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Wind;

/**
 * What may be landed with at an airfield, by its report and by landing distance: dispatch by 14 CFR 121.195, a full
 * stop within 60 per cent of the runway, of 15 per cent more runway where it is wet.
 *
 * @param state of its runways, taken from the weather: nothing is reported of them
 * @param ends on which the wind is within its limits and that are long enough for something, the best first
 * @param why nothing is known; empty where it is
 */
public record Landing(Airfield at, RunwayState state, List<OnEnd> ends, String why) {
  private static final String SOURCE = "14 CFR 121.195(b) and (d); landing tables of the type";
  private static final double SHARE = 0.6;
  private static final double WET_FACTOR = 1.15;

  public Landing {
    ends = List.copyOf(ends);
  }

  /**
   * One end of a runway.
   *
   * @param ldaM landing distance available, in metres
   * @param mostKg that stops within what is asked of it, rounded down; no more than the tables know
   */
  public record OnEnd(Runway.End end, int ldaM, int mostKg) {
    private String words() {
      return "%s on %s, %s to land on".formatted(Worked.kg(mostKg), end.name(), Worked.m(ldaM));
    }
  }

  /** The runways of a report are wet where something falls, dry where nothing does. */
  public static RunwayState state(StationReport report) {
    return report.weather().stream().anyMatch(Phenomenon::precipitation) ? RunwayState.WET : RunwayState.DRY;
  }

  /** Empty where the type has no landing flap. */
  public static Optional<Landing> of(TypeFigures type, Airfield at, StationReport report) {
    return type.landingFlap().map(flap -> new Working(type, flap, at, report).landing());
  }

  /** The most, with where; or why it is not known. */
  public String words() {
    return !why.isEmpty() ? why : ends.isEmpty() ? "No runway is long enough, or the wind is over a limit on all."
        : "At most %s, %s.".formatted(ends.getFirst().words(), state.words());
  }

  /** Whether so much may be landed with; empty where that is not known. */
  Optional<Limit> limit(double landingKg) {
    if (!why.isEmpty()) {
      return Optional.empty();
    }
    boolean held = ends.stream().anyMatch(e -> landingKg <= e.mostKg);
    return Optional.of(new Limit("landing at " + at.name(), held, "%s to land with at %s. %s".formatted(
        Worked.kg(landingKg), at.name(), words()), SOURCE));
  }

  /** One airfield being worked out. */
  private static final class Working {
    private final TypeFigures type;
    private final Airfield at;
    private final StationReport report;
    private final RunwayState state;
    private final ForFlap tables;

    Working(TypeFigures type, String flap, Airfield at, StationReport report) {
      this.type = type;
      this.at = at;
      this.report = report;
      this.state = state(report);
      this.tables = type.takeoff().tables().of(flap, state);
    }

    Landing landing() {
      Optional<Grid.Axis> weights = tables.axis(Gives.LANDING, Grid.Of.WEIGHT);
      if (weights.isEmpty()) {
        return none("The type has no landing tables for a runway that is %s.".formatted(state.words()));
      }
      OptionalDouble hpa = report.qnhHpa();
      if (report.temperatureC().isEmpty() || hpa.isEmpty() || report.wind().isEmpty()) {
        return none("Wind, temperature or pressure setting of %s is not reported.".formatted(at.name()));
      }
      Air air = Air.at(at.elevationFt(), hpa.getAsDouble(), report.temperatureC().getAsInt());
      return new Landing(at, state, at.ends().flatMap(e -> on(e, report.wind().get(), air, weights.get()))
          .sorted(Comparator.comparingInt(OnEnd::mostKg).thenComparingInt(OnEnd::ldaM).reversed()).toList(), "");
    }

    private Landing none(String why) {
      return new Landing(at, state, List.of(), why);
    }

    private Stream<OnEnd> on(Runway.End end, Wind wind, Air air, Grid.Axis weights) {
      DepartureFigures.EndWind on = DepartureFigures.EndWind.of(end, wind, type, state);
      int least = (int) weights.least();
      int most = (int) weights.most();
      if (!on.held() || !holds(end, on.wind().headKt(), air, least)) {
        return Stream.of();
      }
      int low = least;
      int high = most + 1;
      while (high - low > 1) {
        int middle = (low + high) / 2;
        if (holds(end, on.wind().headKt(), air, middle)) {
          low = middle;
        } else {
          high = middle;
        }
      }
      return Stream.of(new OnEnd(end, end.declared().ldaM(), low));
    }

    /** How much longer it is on what the runway is made of; no number where the type does not use that. */
    private double surface(Runway.End end) {
      OptionalInt gravel = type.takeoff().gravelPercent();
      return at.runway(end.name()).orElseThrow().surface() == Runway.Surface.PAVED ? 1
          : gravel.isPresent() ? 1 + gravel.getAsInt() / 100.0 : Double.NaN;
    }

    private boolean holds(Runway.End end, double headKt, Air air, int kg) {
      double m = tables.at(Gives.LANDING, new Grid.Point(kg, air.pressureAltitudeFt(), air.temperatureC(),
          Math.min(headKt, tables.axis(Gives.LANDING, Grid.Of.WIND).map(Grid.Axis::most).orElse(headKt)),
          end.slopePercent()));
      double needed = m / SHARE * (state == RunwayState.WET ? WET_FACTOR : 1) * surface(end);
      return Math.ceil(needed) <= end.declared().ldaM();
    }
  }
}

package neatlanyard.core.figures;

import java.util.EnumSet;
import java.util.Objects;
import java.util.Set;
import neatlanyard.core.figures.entry.CriticalFigure;

/** What the figures are worked out from. When it changes, what rests on it is worked out anew, and nothing else. */
public enum FigureInput {
  WIND("wind"),
  TEMPERATURE("temperature"),
  PRESSURE("pressure setting"),
  WEATHER("weather"),
  CONDITION("runway condition"),
  LOAD("load"),
  FUEL("fuel"),
  RUNWAY("choice of runway"),
  FLAP("choice of flap"),
  THRUST("choice of thrust"),
  SYSTEMS("anti-ice and air conditioning"),
  TABLES("tables of the type");

  private final String words;

  FigureInput(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** What a figure rests on, directly or by way of others; nothing where it is not worked out. */
  public static Set<FigureInput> of(CriticalFigure figure) {
    return switch (figure) {
      case ZERO_FUEL_WEIGHT -> EnumSet.of(LOAD, TABLES);
      case FUEL -> EnumSet.of(FUEL);
      case GROSS_WEIGHT, TAKEOFF_WEIGHT, CENTRE, TRIM -> EnumSet.of(LOAD, FUEL, TABLES);
      case PRESSURE_SETTING -> EnumSet.of(PRESSURE);
      case INITIAL_LEVEL, TRANSPONDER -> EnumSet.noneOf(FigureInput.class);
      // The runway and its flap are proposed by all that must hold on it.
      case RUNWAY, INTERSECTION, RUNWAY_HEADING, FLAP, ASSUMED_TEMPERATURE, V1, VR, V2 ->
          EnumSet.allOf(FigureInput.class);
    };
  }

  /** What is not the same in the two. */
  public static Set<FigureInput> changed(FiguresAsked was, FiguresAsked is) {
    Set<FigureInput> all = EnumSet.noneOf(FigureInput.class);
    boolean wind = was.tower().equals(is.tower())
        && (is.tower().isPresent() || was.report().wind().equals(is.report().wind()));
    differs(all, WIND, wind, true);
    differs(all, TEMPERATURE, was.report().temperatureC(), is.report().temperatureC());
    differs(all, PRESSURE, was.report().qnhHpa(), is.report().qnhHpa());
    // What falls and how far one sees decide on icing conditions.
    differs(all, WEATHER, was.report().weather(), is.report().weather());
    differs(all, WEATHER, was.report().visibilityM(), is.report().visibilityM());
    differs(all, CONDITION, was.condition(), is.condition());
    differs(all, LOAD, was.sheet().stated().zeroFuelKg(), is.sheet().stated().zeroFuelKg());
    differs(all, LOAD, was.sheet().stated().zeroFuelPercent(), is.sheet().stated().zeroFuelPercent());
    differs(all, LOAD, was.sheet().load(), is.sheet().load());
    differs(all, LOAD, was.sheet().change(), is.sheet().change());
    differs(all, FUEL, was.sheet().fuelKg(), is.sheet().fuelKg());
    differs(all, FUEL, was.gauged(), is.gauged());
    differs(all, FUEL, was.sheet().taxiFuelKg(), is.sheet().taxiFuelKg());
    differs(all, FUEL, was.sheet().tripFuelKg(), is.sheet().tripFuelKg());
    differs(all, RUNWAY, was.choice().runway(), is.choice().runway());
    differs(all, RUNWAY, was.choice().intersection(), is.choice().intersection());
    differs(all, FLAP, was.choice().flap(), is.choice().flap());
    differs(all, THRUST, was.choice().thrust(), is.choice().thrust());
    differs(all, SYSTEMS, was.antiIce(), is.antiIce());
    differs(all, SYSTEMS, was.airConditioning(), is.airConditioning());
    return all;
  }

  private static void differs(Set<FigureInput> all, FigureInput input, Object was, Object is) {
    if (!Objects.equals(was, is)) {
      all.add(input);
    }
  }
}

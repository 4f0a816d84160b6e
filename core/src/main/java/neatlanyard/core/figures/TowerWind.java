package neatlanyard.core.figures;

import java.util.OptionalInt;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.Bearing;
import neatlanyard.core.weather.Wind;

/**
 * A wind as the tower gives it: magnetic, as a runway's number is; a report's is true.
 *
 * @param fromMagneticDeg empty when variable
 */
public record TowerWind(OptionalInt fromMagneticDeg, int speedKt, OptionalInt gustKt) {
  /** @param variationDeg of the airfield, east positive */
  public Wind toTrue(double variationDeg) {
    OptionalInt from = fromMagneticDeg.isEmpty() ? OptionalInt.empty()
        : OptionalInt.of((int) Math.round(Bearing.fromMagnetic(fromMagneticDeg.getAsInt(), variationDeg)));
    return new Wind(from, speedKt, gustKt);
  }

  /** As it is said, magnetic. */
  public String words() {
    return "%s magnetic, %d kt%s".formatted(
        fromMagneticDeg.isPresent() ? Bearing.words(fromMagneticDeg.getAsInt()) : "variable", speedKt,
        gustKt.isPresent() ? ", gusting " + gustKt.getAsInt() : "");
  }

  /** In words, with what it comes to. */
  String words(double variationDeg) {
    return "Tower wind %s magnetic, variation %s° %s: %s true".formatted(
        fromMagneticDeg.isPresent() ? Bearing.words(fromMagneticDeg.getAsInt()) : "variable",
        Numbers.written(Math.abs(variationDeg), 1), variationDeg < 0 ? "west" : "east",
        toTrue(variationDeg).words());
  }
}

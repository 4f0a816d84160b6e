package neatlanyard.core.gauge;

import java.util.List;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Judged.Level;
import neatlanyard.core.units.Numbers;

/** How one kind of reading is judged. The numbers come from the type's pack, the rule from here. */
public sealed interface Gauge permits Alike, AsBefore, Band, Between, Bottle, CrewOxygen, Drop, Missing, Oil, Sag,
    Setting, Several, TrimBand, Tyre, Uplift, WearPin {
  /**
   * What a reading means.
   *
   * @param value in the quantity's unit
   * @param unit how that unit is written
   */
  Judged judge(double value, String unit, Readings around);

  /** The values for which {@link #judge} finds nothing on which somebody would have to decide. */
  Allowed allowed(Readings around);

  /** The names of other quantities it compares with; what is not read leaves that comparison out. */
  default List<String> comparesWith() {
    return List.of();
  }

  /** A value with one decimal where it has any, and its unit. */
  static String words(double value, String unit) {
    double rounded = Math.round(value * 10) / 10.0;
    String shown = Numbers.written(rounded, rounded == Math.rint(rounded) ? 0 : 1);
    return unit.isEmpty() ? shown : shown + " " + unit;
  }

  /** Two of a kind, such as the wheels of a leg, against the most they may differ. */
  static Judged apart(double value, OptionalDouble other, String otherName, double most, String unit, String source,
      String what) {
    if (other.isEmpty()) {
      return new Judged(Level.AS_IT_SHOULD_BE, "", List.of(), source);
    }
    double apart = Math.abs(value - other.getAsDouble());
    String sum = "%s and %s (%s): %s apart, at most %s".formatted(
        words(value, unit), words(other.getAsDouble(), unit), otherName, words(apart, unit), words(most, unit));
    return !Allowed.near(other, most).holds(value)
        ? new Judged(Level.OUT, "%s: %s apart, %s is the most.".formatted(what, words(apart, unit),
        words(most, unit)), List.of(sum), source)
        : new Judged(Level.AS_IT_SHOULD_BE, "", List.of(sum), source);
  }
}

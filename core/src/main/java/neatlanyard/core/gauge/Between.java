package neatlanyard.core.gauge;

import java.util.List;
import neatlanyard.core.gauge.Judged.Level;

/**
 * One of two that must not differ by much: strut extension of two legs, fuel in two tanks.
 *
 * @param band what each must be by itself
 * @param with the other one's quantity
 * @param mostApart in the unit of both
 * @param slope whether a sloping apron shifts the two readings, so that only their sum is sure
 */
public record Between(Band band, String with, double mostApart, boolean slope) implements Gauge {
  private static final String SOURCE = "Limits of the type's pack; that a slope shifts the tanks is common practice";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    Judged alone = band.judge(value, unit, around);
    Judged apart = Gauge.apart(value, around.other(with), with, mostApart, unit, SOURCE, "The two do not agree");
    if (slope && apart.level() == Level.OUT) {
      double sum = value + around.other(with).orElseThrow();
      apart = new Judged(
          Level.SOON,
          "%s On a slope tanks read unevenly: judge the sum, %s, and look again on the level.".formatted(
          apart.words(), Gauge.words(sum, unit)),
          apart.arithmetic(), SOURCE);
    }
    return alone.and(apart);
  }

  @Override
  public Allowed allowed(Readings around) {
    return slope ? band.allowed(around) : band.allowed(around).and(Allowed.near(around.other(with), mostApart));
  }

  @Override
  public List<String> comparesWith() {
    return List.of(with);
  }
}

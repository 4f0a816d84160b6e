package neatlanyard.core.gauge;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Judged.Level;

/**
 * A trim setting within the band that is right for today's centre of gravity; between two rows both ends of the band
 * lie on a straight line.
 *
 * @param cg the quantity that holds the centre of gravity, in per cent of the mean chord
 * @param rows by rising centre of gravity, at least one
 */
public record TrimBand(String cg, List<Row> rows) implements Gauge {
  private static final String SOURCE = "Trim band of the type's pack, straight between its rows";

  /** @param percent centre of gravity @param least and most, the ends of the band there */
  public record Row(double percent, double least, double most) {
    private Row toward(Row next, double at) {
      double share = (at - percent) / (next.percent - percent);
      return new Row(at, least + share * (next.least - least), most + share * (next.most - most));
    }
  }

  public TrimBand {
    rows = rows.stream().sorted(Comparator.comparingDouble(Row::percent)).toList();
  }

  @Override
  public Judged judge(double value, String unit, Readings around) {
    OptionalDouble at = around.other(cg);
    if (at.isEmpty()) {
      return new Judged(Level.SOON,
          "The centre of gravity is not known, so nobody can say whether %s is in the band.".formatted(
          Gauge.words(value, unit)), List.of(), SOURCE);
    }
    double percent = at.getAsDouble();
    if (outside(percent)) {
      return new Judged(Level.OUT,
          "The centre of gravity, %s, is outside what the band is drawn for.".formatted(Gauge.words(percent, "%")),
          List.of(), SOURCE);
    }
    Row band = band(percent);
    String sum = "At %s the band is %s to %s".formatted(Gauge.words(percent, "%"), Gauge.words(band.least, unit),
        Gauge.words(band.most, unit));
    return !allowed(around).holds(value)
        ? new Judged(Level.OUT, "%s is outside the green band, %s to %s today.".formatted(
            Gauge.words(value, unit), Gauge.words(band.least, unit), Gauge.words(band.most, unit)), List.of(sum),
            SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE,
        "%s is in the green band for today's centre of gravity.".formatted(Gauge.words(value, unit)), List.of(sum),
        SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    if (around.other(cg).isEmpty()) {
      return Allowed.ANY;
    }
    double percent = around.other(cg).getAsDouble();
    if (outside(percent)) {
      return Allowed.NONE;
    }
    Row band = band(percent);
    return new Allowed(band.least, band.most);
  }

  private boolean outside(double percent) {
    return percent < rows.getFirst().percent || percent > rows.getLast().percent;
  }

  private Row band(double percent) {
    for (int i = 1; i < rows.size(); i++) {
      if (percent <= rows.get(i).percent) {
        return rows.get(i - 1).toward(rows.get(i), percent);
      }
    }
    return rows.getFirst();
  }

  @Override
  public List<String> comparesWith() {
    return List.of(cg);
  }
}

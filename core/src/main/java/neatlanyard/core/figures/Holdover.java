package neatlanyard.core.figures;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.StationReport;

/**
 * How long a fluid protects from the beginning of its last application, by the operator's own table.
 *
 * <p>The shortest row of all that was reported since holds: weather that gets better gives nothing back.
 */
public record Holdover(String edition, List<Row> rows) {
  /** Of the take-off, in which the wings are looked at once the time is over (14 CFR 121.629). */
  public static final Duration LOOK_WITHIN = Duration.ofMinutes(5);

  /** Without a time for anything. */
  public static final Holdover NONE = new Holdover("none", List.of());

  public Holdover {
    rows = List.copyOf(rows);
  }

  /**
   * One row.
   *
   * @param fluid and {@code mix} as they are said when it is applied
   * @param fromC and {@code toC} temperatures, both ends included
   * @param leastMinutes and {@code mostMinutes}, the range of the time
   */
  public record Row(String fluid, String mix, Falling falling, int fromC, int toC, int leastMinutes,
      int mostMinutes) {
    private boolean is(Applied applied, Falling what, int celsius) {
      return fluid.equals(applied.fluid) && mix.equals(applied.mix) && falling == what && celsius >= fromC
          && celsius <= toC;
    }
  }

  /** @param lastBegan when the last application began */
  public record Applied(String fluid, String mix, Instant lastBegan) {}

  /** What the fluid is good for. */
  public sealed interface Result {
    /**
     * A time.
     *
     * @param least from then on the crew looks @param most from then on it is over
     * @param arithmetic a line a report
     */
    record Until(Instant least, Instant most, List<String> arithmetic) implements Result {
      public Until {
        arithmetic = List.copyOf(arithmetic);
      }

      /** How it stands at a time. */
      public Standing at(Instant now) {
        return now.isBefore(least) ? Standing.WITHIN : now.isBefore(most) ? Standing.LOOK : Standing.OVER;
      }
    }

    /** Nothing wears the fluid off. */
    record NoEnd(String why) implements Result {}

    /** There is no time to count on. @param why one sentence */
    record None(String why) implements Result {}
  }

  /** How a time stands. */
  public enum Standing {
    WITHIN,
    /** Between the least and the most: the crew looks. */
    LOOK,
    /** The wings are looked at within five minutes before take-off, or it is de-iced again. */
    OVER
  }

  /** @param reports all since it was applied, the one that held then among them */
  public Result of(Applied applied, List<StationReport> reports) {
    List<String> lines = new ArrayList<>();
    Optional<Row> shortest = Optional.empty();
    for (StationReport report : reports) {
      Falling falling = Falling.of(report);
      if (falling == Falling.NOTHING) {
        continue;
      }
      if (report.temperatureC().isEmpty()) {
        return new Result.None("The report of %s gives no temperature.".formatted(report.station()));
      }
      int celsius = report.temperatureC().getAsInt();
      Optional<Row> row = rows.stream().filter(r -> r.is(applied, falling, celsius)).findFirst();
      if (row.isEmpty()) {
        return new Result.None("The table has no time for %s %s in %s at %s °C.".formatted(
            applied.fluid, applied.mix, falling.words(), Numbers.written(celsius, 0)));
      }
      lines.add("%s %s in %s at %s °C: %d to %d min".formatted(applied.fluid, applied.mix, falling.words(),
          Numbers.written(celsius, 0), row.get().leastMinutes, row.get().mostMinutes));
      shortest = shortest.filter(s -> shorter(s, row.get())).or(() -> row);
    }
    return shortest.<Result>map(r -> new Result.Until(
        applied.lastBegan.plus(Duration.ofMinutes(r.leastMinutes)),
        applied.lastBegan.plus(Duration.ofMinutes(r.mostMinutes)), lines))
        .orElseGet(() -> reports.isEmpty() ? new Result.None("There is no report.")
        : new Result.NoEnd("Nothing falls, and it is above freezing."));
  }

  private static boolean shorter(Row one, Row other) {
    return one.leastMinutes != other.leastMinutes ? one.leastMinutes < other.leastMinutes
        : one.mostMinutes <= other.mostMinutes;
  }
}

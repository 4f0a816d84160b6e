package neatlanyard.core.log;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.gauge.Usage;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.trend.Schedule;

/**
 * What was read on a tail before this departure.
 *
 * @param usage how much it has flown
 * @param schedule when the tail is planned to land
 */
public record EarlierReadings(List<Row> rows, Optional<Usage> usage, Schedule schedule) {
  public static final EarlierReadings NONE = new EarlierReadings(List.of(), Optional.empty(), Schedule.NONE);

  public EarlierReadings {
    rows = List.copyOf(rows);
  }

  /** Readings of one quantity, the oldest first. */
  public record Row(QuantityId quantity, List<Readings.EarlierReading> readings) {
    public Row {
      readings = List.copyOf(readings);
    }
  }

  /** Of one quantity, the oldest first. */
  public List<Readings.EarlierReading> of(QuantityId quantity) {
    return rows.stream().filter(r -> r.quantity().equals(quantity)).findFirst().map(Row::readings).orElse(List.of());
  }
}

package neatlanyard.core.figures.entry;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What lay beside a figure when it was entered.
 *
 * @param others the right values of the other figures, as they are written
 * @param lastFlight the same figure of the tail's last flight
 * @param rows the same figure in other rows of the table
 * @param scale how many of the figure's unit one of the unit is that all of it is written in: 1 000 for tonnes
 */
public record EntryContext(
    Map<CriticalFigure, String> others, Optional<String> lastFlight, List<Row> rows, double scale) {
  public static final EntryContext NONE = new EntryContext(Map.of(), Optional.empty(), List.of());

  public EntryContext {
    others = Map.copyOf(others);
    rows = List.copyOf(rows);
  }

  /** All of it in the figure's own unit. */
  public EntryContext(Map<CriticalFigure, String> others, Optional<String> lastFlight, List<Row> rows) {
    this(others, lastFlight, rows, 1);
  }

  /** @param name what the row is for, such as "flap 2" */
  public record Row(String name, String value) {}
}

package neatlanyard.core.figures;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.entry.Cause;
import neatlanyard.core.figures.entry.Comparison;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.EntryContext;
import neatlanyard.core.fleet.CrewId;

/**
 * Why two entries of a figure cannot be taken, told of each.
 *
 * @param expected what was worked out; empty where nothing was
 */
public record Difference(
    CriticalFigure figure, Comparison.Verdict verdict, Optional<String> expected, List<OfEntry> entries) {
  private static final int MOST_CAUSES = 3;

  public Difference {
    entries = List.copyOf(entries);
  }

  /** One pilot's entry. */
  public record Said(CrewId by, String value) {}

  /**
   * One entry.
   *
   * @param causes how it may have come about, the most likely first; none where it is not thought to be wrong
   * @param consequence what it would have done; empty where nothing of the take-off hangs on it
   */
  public record OfEntry(CrewId by, String value, List<Cause> causes, String consequence) {
    public OfEntry {
      causes = List.copyOf(causes);
    }
  }

  /**
   * @param figures what was worked out; empty where nothing could be
   * @param lastFlight the same figure of the tail's last flight
   */
  public static Difference of(CriticalFigure figure, Said first, Said second, Optional<DepartureFigures> figures,
      Optional<String> lastFlight) {
    Optional<String> expected = figures.flatMap(f ->
        Optional.ofNullable(CriticalValues.of(f).get(figure)).map(CriticalValues.Value::entered));
    EntryContext context = figures.map(f -> CriticalValues.context(f, figure, lastFlight))
        .orElseGet(() -> new EntryContext(Map.of(), lastFlight, List.of()));
    Comparison compared = Comparison.of(figure, first.value, second.value, expected, context);
    return new Difference(figure, compared.verdict(), expected, List.of(
        told(figure, first, compared.first(), figures), told(figure, second, compared.second(), figures)));
  }

  private static OfEntry told(
      CriticalFigure figure, Said said, List<Cause> causes, Optional<DepartureFigures> figures) {
    String consequence = causes.isEmpty() ? ""
        : figures.flatMap(f -> Consequence.of(f, figure, said.value)).orElse("");
    return new OfEntry(said.by, said.value, causes.stream().limit(MOST_CAUSES).map(c ->
        new Cause(c.slip(), Math.round(c.likelihood() * 100) / 100.0, c.words())).toList(), consequence);
  }
}

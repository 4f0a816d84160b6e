package neatlanyard.formats.drill;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.simulated.Fault.Kind;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Linkage;
import neatlanyard.core.drill.Drill;
import neatlanyard.core.drill.Hidden;
import neatlanyard.core.drill.Round;
import neatlanyard.core.drill.Staircase;
import neatlanyard.core.drill.Task;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads a drill as {@link DrillWriter} writes it. */
public final class DrillReader {
  private DrillReader() {}

  public static Read<Drill> read(String text) {
    return Doc.read(text, DrillReader::drill);
  }

  public static Drill drill(Doc doc) {
    Task task = doc.one("task", Task.class);
    Staircase start = doc.inner("staircase", d -> new Staircase(d.number("limits", Staircase.LEAST, Staircase.MOST),
        d.whole("found", 0, 1))).orElse(Staircase.FRESH);
    List<Round> rounds = doc.list("rounds", DrillReader::round);
    if (rounds.isEmpty() || rounds.size() > Drill.MOST_ROUNDS) {
      doc.fault("rounds", "A drill has 1 to %d rounds, not %d.".formatted(Drill.MOST_ROUNDS, rounds.size()));
      return new Drill(task, start, List.of(new Round(Hand.steady(), Map.of(), Optional.empty())));
    }
    return new Drill(task, start, rounds);
  }

  private static Round round(Doc doc) {
    Map<String, Linkage> built = new TreeMap<>();
    doc.list("built", d -> built.put(d.text("surface"), new Linkage(d.number("gain", 0.5, 1.5),
        d.number("offset-deg", -10, 10), 0, 0, 0, d.number("lag-s", 0.01, 1), d.number("rate-deg-s", 1, 1_000),
        d.number("coupled-deg", -10, 10))));
    Optional<Hidden> hidden = doc.has("hidden") ? doc.inner("hidden", d ->
        new Hidden(d.one("kind", Kind.class), d.text("surface"))) : Optional.empty();
    return new Round(doc.inner("hand", DrillReader::hand).orElseGet(Hand::steady), built, hidden);
  }

  private static Hand hand(Doc doc) {
    List<Axis> order = doc.oneOrMore("order", written -> Doc.named(Axis.class, written), "pitch");
    return new Hand(order, 1, doc.number("still-s", 0, 10), doc.number("move-s", 0.1, 10), doc.number("hold-s", 0, 10),
        doc.number("rest-s", 0, 10), true, Map.of(), doc.number("along-pct", 0, 10), false);
  }
}

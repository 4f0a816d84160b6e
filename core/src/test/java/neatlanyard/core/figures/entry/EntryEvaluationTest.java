package neatlanyard.core.figures.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/**
 * How often slips are recognised, and right figures questioned, over made errors; {@code ./lanyard bench entries} asks
 * for more and prints what stands in docs/figures.md.
 */
public class EntryEvaluationTest {
  private static final int CASES = Integer.getInteger("lanyard.entries", 20_000);
  private static final long SEED = Long.getLong("lanyard.seed", 20_270_114L);

  private static final class Counts {
    private int made;
    private int told;
    private int right;
  }

  @Test
  public void right_figures_are_rarely_questioned() {
    EntryErrors errors = new EntryErrors(SEED + 1);
    int questioned = 0;
    for (int i = 0; i < CASES; i++) {
      EntryErrors.Case c = errors.right();
      questioned += Recogniser.agrees(c.figure(), c.right(), c.entered()) ? 0 : 1;
    }
    System.out.printf("entries: %d right figures, %d questioned%n", CASES, questioned);
    assertThat(questioned).isLessThan(CASES / 500);
  }

  @Test
  public void the_cause_is_told() {
    EntryErrors errors = new EntryErrors(SEED);
    Map<Slip, Counts> counts = new EnumMap<>(Slip.class);
    int single = 0;
    int first = 0;
    int passed = 0;
    for (int i = 0; i < CASES; i++) {
      EntryErrors.Case c = errors.wrong();
      List<Cause> causes = Recogniser.causes(c.figure(), c.right(), c.entered(), c.context());
      if (causes.isEmpty()) {
        passed++;
        continue;
      }
      Slip made = c.slip().orElseThrow();
      Slip told = causes.getFirst().slip();
      Counts ofMade = counts.computeIfAbsent(made, k -> new Counts());
      ofMade.made++;
      ofMade.right += made == told ? 1 : 0;
      counts.computeIfAbsent(told, k -> new Counts()).told++;
      if (made != Slip.TWO_SLIPS) {
        single++;
        first += made == told ? 1 : 0;
      }
    }
    System.out.printf("entries: %d wrong figures, seed %d; top cause right in %.2f %% of single slips, %d passed%n",
        CASES, SEED, 100.0 * first / single, passed);
    System.out.println("| slip | made | precision | recall |\n|---|---|---|---|");
    counts.forEach((slip, n) -> System.out.printf("| %s | %d | %s | %s |%n", slip.words(), n.made,
        share(n.right, n.told), share(n.right, n.made)));
    assertThat(passed).as("wrong figures taken for right").isZero();
    assertThat((double) first / single).as("top cause right where one slip was made").isGreaterThan(0.95);
  }

  private static String share(int part, int all) {
    return all == 0 ? "–" : "%.1f %%".formatted(100.0 * part / all);
  }
}

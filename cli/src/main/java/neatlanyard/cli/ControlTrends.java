package neatlanyard.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import neatlanyard.core.controls.trend.ControlTrend;
import neatlanyard.formats.controls.HistoryCsv;
import neatlanyard.formats.text.Doc;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Says where what control checks measured is going. */
@Command(
    name = "control-trends",
    description = "Says of each tail and surface where what its control checks measured is going, and when it changed."
        + " Exit 0: nothing meets its limit in the weeks asked. 1: something does. 2: it cannot be read.",
    mixinStandardHelpOptions = true)
final class ControlTrends implements Callable<Integer> {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @Parameters(paramLabel = "FILE.csv", description = "what checks measured, see docs/formats/control-history.md")
  private Path file = Path.of("");

  @Option(names = "--weeks", paramLabel = "N", description = "how far to look (default: ${DEFAULT-VALUE})")
  private int weeks = 26;

  @Option(names = "--all", description = "say also of what keeps")
  private boolean all;

  @Option(names = "--json", description = "print a line of JSON for each trend")
  private boolean json;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    try {
      return told(ControlTrend.of(InputFile.good(file, HistoryCsv.read(InputFile.text(file), Instant.now()))), out);
    } catch (InputFile.Unreadable e) {
      e.lines().forEach(out::println);
      return Lanyard.UNREADABLE;
    }
  }

  private int told(List<ControlTrend> trends, PrintWriter out) {
    boolean meets = false;
    for (ControlTrend t : trends) {
      meets |= t.worsens() && t.trend().prudentWeeks().orElse(Integer.MAX_VALUE) <= weeks;
      if (json) {
        out.println(JSON.writeValueAsString(tree(t)));
      } else if (all || t.worsens() || !t.trend().changes().isEmpty()) {
        out.printf("%s: %s%n", t.tail(), t.words());
        t.trend().changes().forEach(c -> out.printf("  changed on %s%n", c.toString().substring(0, 10)));
      }
    }
    if (!json) {
      out.printf("%d rows of numbers: %d near their limits, %d that changed.%n", trends.size(),
          trends.stream().filter(ControlTrend::worsens).count(),
          trends.stream().filter(t -> !t.trend().changes().isEmpty()).count());
    }
    return meets ? Lanyard.NOT_GOOD : Lanyard.GOOD;
  }

  private static Map<String, Object> tree(ControlTrend t) {
    Map<String, Object> tree = new LinkedHashMap<>();
    tree.put("tail", t.tail().value());
    tree.put("of", t.of());
    tree.put("quantity", Doc.written(t.quantity()));
    tree.put("checks", t.trend().points().size());
    tree.put("last", t.trend().last());
    tree.put("limit", t.limit());
    tree.put("a-week", t.trend().aWeek());
    t.trend().weeks().ifPresent(w -> tree.put("weeks", w));
    t.trend().prudentWeeks().ifPresent(w -> tree.put("prudent-weeks", w));
    tree.put("changes", t.trend().changes().stream().map(Instant::toString).toList());
    tree.put("words", t.words());
    return tree;
  }
}

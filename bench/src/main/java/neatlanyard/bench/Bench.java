package neatlanyard.bench;

import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * Runs the measurements: "core", "packs", "controls", "figures", "timeline", "acknowledge", "live", "flood", or all of
 * them.
 */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) throws Exception {
    String what = args.length == 0 ? "all" : args[0];
    if (what.equals("core") || what.equals("all")) {
      rules(CoreBench.class);
    }
    if (what.equals("packs") || what.equals("all")) {
      rules(PackBench.class);
    }
    if (what.equals("controls") || what.equals("all")) {
      rules(ControlsBench.class);
    }
    if (what.equals("controls-study")) {
      ControlsStudy.run();
    }
    if (what.equals("figures") || what.equals("all")) {
      rules(FiguresBench.class);
    }
    if (what.equals("timeline") || what.equals("all")) {
      rules(TimelineBench.class);
    }
    if (what.equals("acknowledge") || what.equals("all")) {
      AcknowledgeBench.run();
    }
    if (what.equals("live") || what.equals("all")) {
      LiveBench.run();
    }
    if (what.equals("flood") || what.equals("all")) {
      FloodBench.run();
    }
  }

  private static void rules(Class<?> benchmarks) throws RunnerException {
    new Runner(new OptionsBuilder()
        .include(benchmarks.getSimpleName())
        .jvmArgsAppend("-Dlanyard.root=" + System.getProperty("lanyard.root", "."))
        .build()).run();
  }
}

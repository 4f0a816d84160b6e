package neatlanyard.bench;

import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the measurements: "core", "acknowledge", or both. */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) throws Exception {
    String what = args.length == 0 ? "all" : args[0];
    if (!what.equals("acknowledge")) {
      new Runner(new OptionsBuilder()
          .include(CoreBench.class.getSimpleName())
          .jvmArgsAppend("-Dlanyard.root=" + System.getProperty("lanyard.root", "."))
          .build()).run();
    }
    if (!what.equals("core")) {
      AcknowledgeBench.run();
    }
  }
}

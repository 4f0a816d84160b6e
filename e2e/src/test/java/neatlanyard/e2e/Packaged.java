package neatlanyard.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application, started as a user starts it, as a process of its own that can be killed. */
record Packaged(Process process, int port, String said) implements Running {
  private static final Pattern READY = Pattern.compile("ready at http://localhost:(\\d+)");
  private static final String JAVA = Path.of(System.getProperty("java.home"), "bin", "java").toString();
  private static final Path JAR = Path.of(System.getProperty("lanyard.app", "app.jar"));
  /** As long as a test lives, the second compiler costs more than it gives. */
  private static final List<String> BRIEFLY = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");
  /** Laid out and trained once, as the launcher does it. */
  private static final Path LAID_OUT = layOut();

  static Packaged start(List<String> settings) {
    List<String> command = command(LAID_OUT, "-XX:AOTCache=" + LAID_OUT.resolve("app.aot"));
    command.addAll(settings);
    List<String> said = new ArrayList<>();
    try {
      Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
      BufferedReader out = p.inputReader(StandardCharsets.UTF_8);
      for (String line = out.readLine(); line != null; line = out.readLine()) {
        said.add(line);
        Matcher ready = READY.matcher(line);
        if (ready.find()) {
          Thread.ofVirtual().start(() -> out.lines().forEach(l -> { }));
          return new Packaged(p, Integer.parseInt(ready.group(1)), String.join("\n", said));
        }
      }
      throw new IllegalStateException("The application did not start:\n" + String.join("\n", said));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> command(Path laidOut, String... cache) {
    List<String> command = new ArrayList<>(List.of(JAVA));
    command.addAll(List.of(cache));
    command.addAll(BRIEFLY);
    command.addAll(List.of("--enable-native-access=ALL-UNNAMED", "-jar"));
    command.add(laidOut.resolve(JAR.getFileName()).toString());
    return command;
  }

  private static Path layOut() {
    Path out = Application.temporary().resolve("app");
    run(List.of(JAVA, "-Djarmode=tools", "-jar", JAR.toString(), "extract", "--destination", out.toString()));
    List<String> training = command(out, "-XX:AOTCacheOutput=" + out.resolve("app.aot"),
        "-Dspring.context.exit=onRefresh");
    training.add("--lanyard.database=" + out.resolve("training.db"));
    training.addAll(Application.DEMO);
    run(training);
    return out;
  }

  private static void run(List<String> command) {
    try {
      new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start()
          .waitFor();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void end() {
    try {
      process.destroyForcibly().waitFor();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}

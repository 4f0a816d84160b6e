package neatlanyard.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application, started as a user starts it, on a database of its own. */
final class Application implements AutoCloseable {
  static final Path ROOT = Path.of(System.getProperty("lanyard.root", "..")).toAbsolutePath().normalize();
  private static final Pattern READY = Pattern.compile("ready at http://localhost:(\\d+)");

  private static final String DATABASE = "test.db";
  private static final String JAVA = Path.of(System.getProperty("java.home"), "bin", "java").toString();
  private static final Path JAR = Path.of(System.getProperty("lanyard.app", "app.jar"));
  /** As long as a test lives, the second compiler costs more than it gives. */
  private static final List<String> BRIEFLY = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");
  private static final String SHOWN_HOUR = "--lanyard.begin-at=2027-01-14T07:25:00Z";
  private static final List<String> DEMO =
      List.of("--lanyard.demo=true", "--lanyard.demo-folder=" + ROOT.resolve("demo"));

  /**
   * Laid out and trained once, as the launcher does it: each test starts it anew. Beside it stands the database with
   * the demo's data, of which each test gets a copy of its own.
   */
  private static final Path LAID_OUT = layOut();

  private final Path folder;
  private final List<String> settings;
  private final List<String> said = new ArrayList<>();
  private Process process;
  private int port;

  private Application(Path folder, List<String> settings) {
    this.folder = folder;
    this.settings = settings;
    this.process = start(0);
  }

  /** With the demo's data, at a winter morning's hour, the simulated aircraft moving quickly. */
  static Application demo(String... more) {
    List<String> settings = new ArrayList<>(DEMO);
    settings.addAll(List.of("--lanyard.simulated-pace=12", SHOWN_HOUR));
    settings.addAll(Arrays.asList(more));
    Path folder = temporary();
    copy(folder, DATABASE);
    copy(folder, DATABASE + "-wal");
    return new Application(folder, settings);
  }

  /** With the demo's data, at the real hour, loaded into a database of its own. */
  static Application demoNow() {
    return new Application(temporary(), new ArrayList<>(DEMO));
  }

  /** As a new user finds it: nothing in it. */
  static Application empty() {
    return new Application(temporary(), new ArrayList<>());
  }

  private static Path layOut() {
    Path out = temporary().resolve("app");
    run(JAVA, "-Djarmode=tools", "-jar", JAR.toString(), "extract", "--destination", out.toString());
    List<String> command = new ArrayList<>(List.of(JAVA, "-XX:AOTCacheOutput=" + out.resolve("app.aot")));
    command.addAll(BRIEFLY);
    command.addAll(List.of("--enable-native-access=ALL-UNNAMED", "-Dspring.context.exit=onRefresh", "-jar",
        out.resolve(JAR.getFileName()).toString(), "--lanyard.database=" + out.resolve(DATABASE), SHOWN_HOUR));
    command.addAll(DEMO);
    run(command.toArray(String[]::new));
    return out;
  }

  private static void copy(Path to, String file) {
    try {
      Files.copy(LAID_OUT.resolve(file), to.resolve(file));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void run(String... command) {
    try {
      new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start()
          .waitFor();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Path temporary() {
    try {
      return Files.createTempDirectory("lanyard-e2e");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Process start(int onPort) {
    List<String> command = new ArrayList<>(List.of(JAVA, "-XX:AOTCache=" + LAID_OUT.resolve("app.aot")));
    command.addAll(BRIEFLY);
    command.addAll(List.of("--enable-native-access=ALL-UNNAMED", "-jar",
        LAID_OUT.resolve(JAR.getFileName()).toString(), "--server.port=" + onPort,
        "--lanyard.database=" + database()));
    command.addAll(settings);
    try {
      Process p = new ProcessBuilder(command).directory(folder.toFile()).redirectErrorStream(true).start();
      BufferedReader out = p.inputReader(StandardCharsets.UTF_8);
      said.clear();
      for (String line = out.readLine(); line != null; line = out.readLine()) {
        said.add(line);
        Matcher ready = READY.matcher(line);
        if (ready.find()) {
          port = Integer.parseInt(ready.group(1));
          Thread.ofVirtual().start(() -> out.lines().forEach(l -> { }));
          return p;
        }
      }
      throw new IllegalStateException("The application did not start:\n" + String.join("\n", said));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  Path database() {
    return folder.resolve(DATABASE);
  }

  String url() {
    return "http://localhost:" + port;
  }

  /** What it said on the terminal until it was ready. */
  String said() {
    return String.join("\n", said);
  }

  /** As {@code kill -9} does: no goodbye. */
  void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  /** Starts it again on the same database and port. @param other settings that are said over those it had */
  void startAgain(String... other) {
    for (String setting : other) {
      settings.removeIf(s -> s.startsWith(setting.substring(0, setting.indexOf('=') + 1)));
      settings.add(setting);
    }
    process = start(port);
  }

  @Override
  public void close() throws InterruptedException {
    kill();
  }
}

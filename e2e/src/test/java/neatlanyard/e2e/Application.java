package neatlanyard.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** The application on a database of its own, started as often as a test asks. */
final class Application implements AutoCloseable {
  static final Path ROOT = Path.of(System.getProperty("lanyard.root", "..")).toAbsolutePath().normalize();

  private static final String DATABASE = "test.db";
  static final List<String> DEMO =
      List.of("--lanyard.demo=true", "--lanyard.demo-folder=" + ROOT.resolve("demo"));
  private static final List<String> SHOWN_HOUR = List.of("--lanyard.begin-at=2027-01-14T07:25:00Z");

  /** The database with the demo's data, loaded once; each test gets a copy of its own. */
  private static final class Loaded {
    private static final Path FOLDER = temporary();

    static {
      List<String> settings = new ArrayList<>(List.of("--server.port=0", database(FOLDER)));
      settings.addAll(DEMO);
      settings.addAll(SHOWN_HOUR);
      InThisProcess.start(settings).end();
    }

    static void copyTo(Path folder) {
      try {
        Files.copy(FOLDER.resolve(DATABASE), folder.resolve(DATABASE));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  private final Path folder = temporary();
  private final Function<List<String>, Running> way;
  private final List<String> settings = new ArrayList<>();
  private Running running;

  /**
   * @param way how it is started with its settings
   * @param loaded whether the demo's data is in its database already
   */
  private Application(Function<List<String>, Running> way, boolean loaded, List<String> settings) {
    this.way = way;
    this.settings.add(database(folder));
    this.settings.addAll(settings);
    if (loaded) {
      Loaded.copyTo(folder);
    }
    this.running = start(0);
  }

  /** With the demo's data, at a winter morning's hour, the simulated aircraft moving quickly; in this process. */
  static Application demo() {
    return new Application(InThisProcess::start, true, shown());
  }

  /** The same as a process of its own, which can be killed. */
  static Application packaged() {
    return new Application(Packaged::start, true, shown());
  }

  private static List<String> shown() {
    List<String> settings = new ArrayList<>(DEMO);
    settings.addAll(SHOWN_HOUR);
    settings.add("--lanyard.simulated-pace=12");
    return settings;
  }

  /** With the demo's data, at the real hour, loaded into a database of its own. */
  static Application demoNow() {
    return new Application(InThisProcess::start, false, DEMO);
  }

  /** As a new user finds it: nothing in it. */
  static Application empty() {
    return new Application(Packaged::start, false, List.of());
  }

  static Path temporary() {
    try {
      return Files.createTempDirectory("lanyard-e2e");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String database(Path folder) {
    return "--lanyard.database=" + folder.resolve(DATABASE);
  }

  /** @param onPort 0 takes any that is free */
  private Running start(int onPort) {
    List<String> all = new ArrayList<>(settings);
    all.add("--server.port=" + onPort);
    return way.apply(all);
  }

  Path database() {
    return folder.resolve(DATABASE);
  }

  String url() {
    return "http://localhost:" + running.port();
  }

  /** What a process of its own said on the terminal until it was ready. */
  String said() {
    return running.said();
  }

  /** As {@code kill -9} does: no goodbye. @throws IllegalStateException unless it is a process of its own */
  void kill() {
    if (!(running instanceof Packaged)) {
      throw new IllegalStateException("only a process of its own can be killed");
    }
    running.end();
  }

  /**
   * Starts it again on the same database and port; ends it first, where that has not happened.
   *
   * @param other settings that are said over those it had
   */
  void startAgain(String... other) {
    int port = running.port();
    running.end();
    for (String setting : other) {
      settings.removeIf(s -> s.startsWith(setting.substring(0, setting.indexOf('=') + 1)));
      settings.add(setting);
    }
    running = start(port);
  }

  @Override
  public void close() {
    running.end();
  }
}

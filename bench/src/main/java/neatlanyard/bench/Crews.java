package neatlanyard.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import neatlanyard.core.sop.Condition;
import neatlanyard.formats.sop.PackWriter;

/** The real process with many departures, and the first officers who fly them at once over HTTP, each a few. */
final class Crews implements AutoCloseable {
  private static final Pattern READY = Pattern.compile("ready at (http://localhost:\\d+)");
  private static final Pattern NUMBER = Pattern.compile("\"number\":(\\d+)");

  /** Steps of the right seat that need nothing and are on every card. */
  private static final List<String> STEPS = Demo.PACK.procedures().stream()
      .filter(p -> p.id().value().equals("walkaround")).flatMap(p -> p.steps().stream())
      .filter(s -> s.when() instanceof Condition.Always && s.needs().isEmpty() && s.measures().isEmpty())
      .map(s -> s.id().value()).toList();

  /** So that nobody listens in more places than one person may. */
  private static final int DEPARTURES_EACH = 4;

  private final Process server;
  private final String url;
  private final List<Device> devices = new ArrayList<>();

  private Crews(Process server, String url) {
    this.server = server;
    this.url = url;
  }

  /** What a bench says that asks as often as it can. */
  static final String WITHOUT_PACE = "--lanyard.pace=1000";

  /** Starts the process on a fresh database and opens a departure for each crew. */
  static Crews start(Path folder, int many, String... settings) throws Exception {
    Path demo = flights(folder.resolve("demo"), many);
    // As the launcher starts it: laid out, with its cache beside it.
    Path app = Path.of(System.getProperty("lanyard.app", "")).toAbsolutePath();
    List<String> command = new ArrayList<>(List.of(
        Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:AOTCache="
        + app.resolveSibling("app.aot"),
        "--enable-native-access=ALL-UNNAMED", "-jar", app.toString(), "--server.port=0", "--lanyard.demo=true",
        "--lanyard.demo-folder=" + demo, "--lanyard.database=" + folder.resolve("bench.db")));
    command.addAll(List.of(settings));
    Process server = new ProcessBuilder(command).redirectErrorStream(true).start();
    Crews crews = new Crews(server, ready(server));
    for (int person = 0; person * DEPARTURES_EACH < many; person++) {
      crews.devices.add(new Device(crews.url, "bench-" + person, "bench-password-" + person));
    }
    for (int c = 0; c < many; c++) {
      crews.of(c).json("/api/departures/b-" + c + "/open", "{}");
      crews.send(c, "seat-taken", "{\"seat\":\"right\"}");
      crews.send(c, "day-set", "{\"report\":\"QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003\","
          + "\"simulated\":false,\"circumstances\":[\"first-flight\"]}");
    }
    return crews;
  }

  @Override
  public void close() throws InterruptedException {
    server.destroyForcibly().waitFor();
  }

  /** Does one of the steps, round and round. @return the number of the entry it became */
  long press(int crew, int turn) throws Exception {
    return send(crew, "step-done", "{\"step\":\"%s\"}".formatted(STEPS.get(Math.floorMod(turn, STEPS.size()))));
  }

  /** Asks what costs the server nothing. */
  void ask(int crew) throws Exception {
    of(crew).get("/api/about");
  }

  private long send(int crew, String kind, String body) throws Exception {
    ThreadLocalRandom random = ThreadLocalRandom.current();
    UUID id = new UUID(
        System.currentTimeMillis() << 16 | 0x7000L | random.nextInt(1 << 12),
        random.nextLong() & 0x3fffffffffffffffL | 0x8000000000000000L);
    return number(of(crew).json("/api/departures/b-" + crew + "/events",
        "{\"id\":\"%s\",\"device\":\"bench\",\"kind\":\"%s\",\"body\":%s}".formatted(id, kind, body)));
  }

  /** The stream of a departure as another device holds it. */
  InputStream stream(int crew) throws Exception {
    return of(crew).stream("/api/departures/b-" + crew + "/stream");
  }

  private Device of(int crew) {
    return devices.get(crew / DEPARTURES_EACH);
  }

  /** What the server's process holds of the machine's memory, as Linux tells it. */
  String memory() throws IOException {
    return Files.readAllLines(Path.of("/proc", Long.toString(server.pid()), "status")).stream()
        .filter(l -> l.startsWith("VmRSS")).findFirst().orElse("memory not known").replaceAll("\\s+", " ");
  }

  /**
   * What lives on the server's heap: its size in use right after a collection, asked for by the JDK's own tool. The
   * collection holds the server up for as long as it takes.
   */
  String heap() throws IOException, InterruptedException {
    jcmd("GC.run");
    return jcmd("GC.heap_info").lines().map(String::strip).filter(l -> l.contains("used")).findFirst()
        .orElse("heap not known");
  }

  private String jcmd(String what) throws IOException, InterruptedException {
    Process asked = new ProcessBuilder(
        Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(), Long.toString(server.pid()), what)
        .redirectErrorStream(true).start();
    String said = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    asked.waitFor();
    return said;
  }

  String url() {
    return url;
  }

  /** The number of the entry that a line tells of first; -1 for none. */
  static long number(String line) {
    Matcher m = NUMBER.matcher(line);
    return m.find() ? Long.parseLong(m.group(1)) : -1;
  }

  /** The demo with as many flights as there are crews, all by the same commander. */
  private static Path flights(Path folder, int many) throws IOException {
    Path from = Demo.ROOT.resolve("demo");
    try (Stream<Path> files = Files.walk(from)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path to = folder.resolve(from.relativize(file).toString());
        Files.createDirectories(to.getParent());
        Files.copy(file, to);
      }
    }
    if (Demo.STEPS > 0) {
      Files.writeString(folder.resolve("packs/dovrin-46.yaml"), PackWriter.yaml(Demo.PACK));
    }
    StringBuilder flights = new StringBuilder("format: neat-lanyard/flights/1\nflights:\n");
    for (int i = 0; i < many; i++) {
      flights.append(("  - {id: b-%d, number: Flight %d, tail: TL-DVA, from: QTRN, to: QVSK, departs-in: PT1H, crew: ["
          + "{who: marsk, seat: left, commander: true, flying: true}, {who: bench-%d, seat: right}]}\n")
          .formatted(i, i, i / DEPARTURES_EACH));
    }
    for (int person = 0; person * DEPARTURES_EACH < many; person++) {
      append(folder.resolve("sign-ins.yaml"),
          "  - {who: bench-%d, password: bench-password-%d}\n".formatted(person, person));
      Path fleet = folder.resolve("fleet.yaml");
      Files.writeString(fleet, Files.readString(fleet)
          .replace("crew:\n", "crew:\n  - {id: bench-%d, name: Bench %d, role: first-officer}\n".formatted(person,
          person)));
    }
    Files.writeString(folder.resolve("flights.yaml"), flights);
    return folder;
  }

  private static void append(Path file, String text) throws IOException {
    Files.writeString(file, Files.readString(file) + text);
  }

  private static String ready(Process server) throws IOException {
    BufferedReader out = server.inputReader();
    List<String> said = new ArrayList<>();
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      said.add(line);
      Matcher m = READY.matcher(line);
      if (m.find()) {
        Thread.ofVirtual().start(() -> out.lines().forEach(l -> { }));
        return m.group(1);
      }
    }
    throw new IllegalStateException("The application did not start:\n" + String.join("\n", said));
  }
}

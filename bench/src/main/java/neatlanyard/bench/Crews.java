package neatlanyard.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import neatlanyard.core.sop.Condition;

/** The real process with many departures, and the first officer who flies them all at once over HTTP. */
final class Crews implements AutoCloseable {
  private static final Pattern READY = Pattern.compile("ready at (http://localhost:\\d+)");
  private static final Pattern NUMBER = Pattern.compile("\"number\":(\\d+)");

  /** Steps of the right seat that need nothing and are on every card. */
  private static final List<String> STEPS = Demo.PACK.procedures().stream()
      .filter(p -> p.id().value().equals("walkaround")).flatMap(p -> p.steps().stream())
      .filter(s -> s.when() instanceof Condition.Always && s.needs().isEmpty() && s.measures().isEmpty())
      .map(s -> s.id().value()).toList();

  private final Process server;
  private final String url;
  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).version(HttpClient.Version.HTTP_1_1).build();

  private Crews(Process server, String url) {
    this.server = server;
    this.url = url;
  }

  /** Starts the process on a fresh database and opens a departure for each crew. */
  static Crews start(Path folder, int many) throws Exception {
    Path demo = flights(folder.resolve("demo"), many);
    Process server = new ProcessBuilder(
        Path.of(System.getProperty("java.home"), "bin", "java").toString(), "--enable-native-access=ALL-UNNAMED", "-jar",
        System.getProperty("lanyard.app", ""), "--server.port=0", "--lanyard.demo=true", "--lanyard.demo-folder=" + demo,
        "--lanyard.database=" + folder.resolve("bench.db")).redirectErrorStream(true).start();
    Crews crews = new Crews(server, ready(server));
    crews.get("/api/about");
    crews.post("/api/session", "{\"who\":\"adeyo\",\"password\":\"north-slip-24\"}");
    crews.get("/api/about");
    for (int c = 0; c < many; c++) {
      crews.post("/api/departures/b-" + c + "/open", "{}");
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

  private long send(int crew, String kind, String body) throws Exception {
    ThreadLocalRandom random = ThreadLocalRandom.current();
    UUID id = new UUID(
        System.currentTimeMillis() << 16 | 0x7000L | random.nextInt(1 << 12),
        random.nextLong() & 0x3fffffffffffffffL | 0x8000000000000000L);
    return number(post("/api/departures/b-" + crew + "/events",
        "{\"id\":\"%s\",\"device\":\"bench\",\"kind\":\"%s\",\"body\":%s}".formatted(id, kind, body)));
  }

  /** The stream of a departure as another device holds it. */
  InputStream stream(int crew) throws Exception {
    return http.send(HttpRequest.newBuilder(URI.create(url + "/api/departures/b-" + crew + "/stream")).build(), HttpResponse.BodyHandlers.ofInputStream()).body();
  }

  /** The number of the entry that a line tells of first; -1 for none. */
  static long number(String line) {
    Matcher m = NUMBER.matcher(line);
    return m.find() ? Long.parseLong(m.group(1)) : -1;
  }

  private void get(String path) throws Exception {
    http.send(HttpRequest.newBuilder(URI.create(url + path)).build(), HttpResponse.BodyHandlers.ofString());
  }

  private String post(String path, String json) throws Exception {
    String token = cookies.getCookieStore().getCookies().stream()
        .filter(c -> c.getName().equals("XSRF-TOKEN")).map(HttpCookie::getValue).findFirst().orElse("");
    HttpResponse<String> answer = http.send(HttpRequest.newBuilder(URI.create(url + path))
        .header("Content-Type", "application/json").header("X-XSRF-TOKEN", token)
        .POST(HttpRequest.BodyPublishers.ofString(json)).build(), HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() != 200) {
      throw new IllegalStateException(answer.statusCode() + " " + answer.body());
    }
    return answer.body();
  }

  /** The demo with as many flights as there are crews, all by the same two people. */
  private static Path flights(Path folder, int many) throws IOException {
    Path from = Demo.ROOT.resolve("demo");
    try (Stream<Path> files = Files.walk(from)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path to = folder.resolve(from.relativize(file).toString());
        Files.createDirectories(to.getParent());
        Files.copy(file, to);
      }
    }
    StringBuilder flights = new StringBuilder("format: neat-lanyard/flights/1\nflights:\n");
    for (int i = 0; i < many; i++) {
      flights.append(("  - {id: b-%d, number: Flight %d, tail: TL-DVA, from: QTRN, to: QVSK, departs-in: PT1H, crew: ["
          + "{who: marsk, seat: left, commander: true, flying: true}, {who: adeyo, seat: right}]}\n").formatted(i, i));
    }
    Files.writeString(folder.resolve("flights.yaml"), flights);
    return folder;
  }

  private static String ready(Process server) throws IOException {
    BufferedReader out = server.inputReader();
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      Matcher m = READY.matcher(line);
      if (m.find()) {
        Thread.ofVirtual().start(() -> out.lines().forEach(l -> { }));
        return m.group(1);
      }
    }
    throw new IllegalStateException("The application did not start");
  }
}

package neatlanyard.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ThreadLocalRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fifty crews at once against the real process over HTTP: from sending an event to its acknowledgement, disk sync
 * included; beside it the bare rate of synced SQLite inserts on the same disk in the same run.
 */
final class AcknowledgeBench {
  private static final int CREWS = 50;
  private static final int WARM_UP = 15;
  private static final Pattern READY = Pattern.compile("ready at (http://localhost:\\d+)");

  private AcknowledgeBench() {}

  static void run() throws Exception {
    Path folder = Files.createTempDirectory("lanyard-bench");
    double bareMs = bareInsertMs(folder.resolve("bare.db"));
    Path demo = fiftyFlights(folder.resolve("demo"));
    Process server = new ProcessBuilder(
        Path.of(System.getProperty("java.home"), "bin", "java").toString(), "--enable-native-access=ALL-UNNAMED", "-jar",
        System.getProperty("lanyard.app", ""), "--server.port=0", "--lanyard.demo=true", "--lanyard.demo-folder=" + demo,
        "--lanyard.database=" + folder.resolve("bench.db")).redirectErrorStream(true).start();
    try {
      String url = ready(server);
      Client client = Client.signedIn(url);
      client.openAll();
      System.out.printf("%nbare SQLite insert with disk sync, one at a time: median %.2f ms (%.0f a second)%n", bareMs, 1_000 / bareMs);
      say("each sends the next as soon as the last is acknowledged", client.drive(60, Duration.ZERO), bareMs);
      say("each presses once a second", client.drive(20, Duration.ofSeconds(1)), bareMs);
    } finally {
      server.destroyForcibly().waitFor();
    }
  }

  /** Median of single-row inserts, each its own transaction, write-ahead log, synchronous=FULL. */
  private static double bareInsertMs(Path file) throws SQLException {
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file); Statement s = db.createStatement()) {
      s.execute("pragma journal_mode=wal");
      s.execute("pragma synchronous=full");
      s.execute("create table t (n integer primary key, json text not null)");
      String json = "x".repeat(400);
      long[] ns = new long[1_500];
      try (PreparedStatement insert = db.prepareStatement("insert into t (json) values (?)")) {
        for (int i = 0; i < ns.length; i++) {
          long from = System.nanoTime();
          insert.setString(1, json);
          insert.execute();
          ns[i] = System.nanoTime() - from;
        }
      }
      Arrays.sort(ns);
      return ns[ns.length / 2] / 1e6;
    }
  }

  /** The demo with as many flights as there are crews, all by the same two people. */
  private static Path fiftyFlights(Path folder) throws IOException {
    Path from = Demo.ROOT.resolve("demo");
    Files.createDirectories(folder.resolve("packs"));
    for (String file : List.of("fleet.yaml", "sign-ins.yaml", "packs/dovrin-46.yaml", "packs/dovrin-46-2026-12.yaml", "packs/halyard-210.yaml", "revisions.yaml")) {
      Files.copy(from.resolve(file), folder.resolve(file));
    }
    StringBuilder flights = new StringBuilder("format: neat-lanyard/flights/1\nflights:\n");
    for (int i = 0; i < CREWS; i++) {
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

  private static void say(String how, long[] ns, double bareMs) {
    Arrays.sort(ns);
    double medianMs = ns[ns.length / 2] / 1e6;
    double p99Ms = ns[(int) (ns.length * 0.99)] / 1e6;
    System.out.printf("%d crews, %s: %d events, median %.1f ms, 99th percentile %.1f ms, median to bare insert %.0f%n",
        CREWS, how, ns.length, medianMs, p99Ms, medianMs / bareMs);
  }

  /** One signed-in first officer, who flies all fifty at once. */
  private record Client(HttpClient http, CookieManager cookies, String url) {
    private static final List<String> STEPS = Demo.PACK.procedures().stream()
        .filter(p -> p.id().value().equals("walkaround")).flatMap(p -> p.steps().stream())
        .filter(s -> s.when() instanceof neatlanyard.core.sop.Condition.Always && s.needs().isEmpty())
        .map(s -> s.id().value()).toList();

    static Client signedIn(String url) throws Exception {
      CookieManager cookies = new CookieManager();
      HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).version(HttpClient.Version.HTTP_1_1).build();
      Client client = new Client(http, cookies, url);
      client.get("/api/about");
      client.post("/api/session", "{\"who\":\"adeyo\",\"password\":\"north-slip-24\"}");
      client.get("/api/about");
      return client;
    }

    void openAll() throws Exception {
      for (int c = 0; c < CREWS; c++) {
        post("/api/departures/b-" + c + "/open", "{}");
        send(c, "seat-taken", "{\"seat\":\"right\"}");
        send(c, "day-set", "{\"report\":\"QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003\","
            + "\"simulated\":false,\"circumstances\":[\"first-flight\"]}");
      }
    }

    /** Nanoseconds from sending to acknowledgement, of every event after the warm-up. */
    long[] drive(int each, Duration pause) throws Exception {
      long[] ns = new long[CREWS * each];
      CountDownLatch start = new CountDownLatch(1);
      List<Thread> crews = new ArrayList<>();
      int warmUp = pause.isZero() ? WARM_UP : 2;
      for (int c = 0; c < CREWS; c++) {
        int crew = c;
        crews.add(Thread.ofVirtual().start(() -> {
          try {
            start.await();
            Thread.sleep(pause.multipliedBy(crew).dividedBy(CREWS));
            for (int e = -warmUp; e < each; e++) {
              long from = System.nanoTime();
              send(crew, "step-done", "{\"step\":\"%s\"}".formatted(STEPS.get(Math.floorMod(e, STEPS.size()))));
              if (e >= 0) {
                ns[crew * each + e] = System.nanoTime() - from;
              }
              Thread.sleep(pause);
            }
          } catch (Exception e) {
            throw new IllegalStateException(e);
          }
        }));
      }
      start.countDown();
      for (Thread t : crews) {
        t.join();
      }
      return ns;
    }

    private void send(int crew, String kind, String body) throws Exception {
      ThreadLocalRandom random = ThreadLocalRandom.current();
      UUID id = new UUID(
          System.currentTimeMillis() << 16 | 0x7000L | random.nextInt(1 << 12),
          random.nextLong() & 0x3fffffffffffffffL | 0x8000000000000000L);
      post("/api/departures/b-" + crew + "/events",
          "{\"id\":\"%s\",\"device\":\"bench\",\"kind\":\"%s\",\"body\":%s}".formatted(id, kind, body));
    }

    private void get(String path) throws Exception {
      http.send(HttpRequest.newBuilder(URI.create(url + path)).build(), HttpResponse.BodyHandlers.ofString());
    }

    private void post(String path, String json) throws Exception {
      String token = cookies.getCookieStore().getCookies().stream()
          .filter(c -> c.getName().equals("XSRF-TOKEN")).map(HttpCookie::getValue).findFirst().orElse("");
      HttpResponse<String> answer = http.send(HttpRequest.newBuilder(URI.create(url + path))
          .header("Content-Type", "application/json").header("X-XSRF-TOKEN", token)
          .POST(HttpRequest.BodyPublishers.ofString(json)).build(), HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() != 200) {
        throw new IllegalStateException(answer.statusCode() + " " + answer.body());
      }
    }
  }
}

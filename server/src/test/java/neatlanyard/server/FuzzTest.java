package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.formats.text.Mutator;
import org.testng.annotations.Test;

/** Requests that nobody would send, to each way in that takes a text: never a 5xx, and an answer in good time. */
public class FuzzTest extends AtTheServer {
  /** In all; `./lanyard bench fuzz` asks for more. */
  private static final int REQUESTS = Integer.getInteger("lanyard.fuzz", 50_000) / 20;
  private static final long SEED = Long.getLong("lanyard.seed", 20_270_114L);
  private static final Duration LONGEST = Duration.ofSeconds(1);
  /** No machine stands still for so long twice: it waits for something. */
  private static final Duration HELD_UP = Duration.ofSeconds(20);
  private static final OperatingSystemMXBean SYSTEM =
      (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();

  /** @param who sends it @param good bodies that would be taken, or nearly */
  private record Way(String who, String path, boolean json, List<String> good) {}

  private static String demo(String file) {
    try {
      return Files.readString(Given.ROOT.resolve("demo").resolve(file));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static String event(String kind, String body) {
    return ("{\"id\":\"%s\",\"deviceAt\":\"2027-01-14T07:30:00Z\",\"device\":\"d1\",\"kind\":\"%s\","
        + "\"body\":%s}").formatted(Http.uuid7(), kind, body);
  }

  private static List<Way> ways() {
    List<String> events = List.of(
        event("step-done", "{\"step\":\"wa-door\"}"), event("step-later", "{\"step\":\"wa-door\",\"why\":\"in use\"}"),
        event("measured", "{\"step\":\"wa-tyre-nose\",\"value\":73.1}"), event("seat-taken", "{\"seat\":\"right\"}"),
        event("find-raised",
        ("{\"find\":\"%s\",\"step\":\"wa-door\",\"note\":\"dent\",\"what\":{\"severity\":\"defect\",\"count\":1,"
        + "\"entry\":null,\"spot\":{\"x\":1,\"y\":2},\"photos\":[]}}").formatted(Http.uuid7())),
        event("day-set",
        "{\"report\":\"METAR QTRN 140720Z 24012KT 9000 M02/M04 "
        + "Q1003\",\"simulated\":false,\"circumstances\":[\"first-flight\"]}"),
        event("tag-hung",
        "{\"tag\":\"%s\",\"words\":\"stairs\",\"due\":\"start\",\"calls\":\"2027-01-14T07:40:00Z\"}".formatted(
        Http.uuid7())));
    String day =
        "{\"tail\":\"TL-DVA\",\"flying\":\"left\",\"from\":\"QTRN\",\"to\":\"QVSK\",\"report\":\"METAR QTRN 140720Z "
        + "24012KT 9000 M02/M04 Q1003\",\"dark\":false,\"circumstances\":[],\"measured\":{\"a\":1}}";
    return List.of(
        new Way("adeyo", "/api/departures/today-14/events", true, events),
        new Way("adeyo", "/api/departures/today-14/events", true, events),
        new Way("adeyo", "/api/station-reports/reading", false,
        List.of("METAR QTRN 140720Z 24012G25KT 9000 -SHSN BKN025CB M02/M04 Q1003")),
        new Way("adeyo", "/api/card-previews", true,
        List.of("{\"pack\":\"dovrin-46\",\"revision\":\"2026-11\",\"days\":[%s,%s]}".formatted(day, day))),
        new Way("adeyo", "/api/departures/today-14/recorded-controls", false,
        List.of(demo("traces/dovrin-46-sound.csv").substring(0, 600))),
        new Way("varga", "/api/tails/TL-DVA/log", true, List.of(
            "{\"kind\":\"raised\",\"words\":\"dent\"}",
            ("{\"kind\":\"deferred\",\"defect\":\"%s\",\"entry\":\"33-01\",\"count\":1,\"lastDay\":\"2027-02-01\","
            + "\"words\":\"x\"}").formatted(Http.uuid7()))),
        new Way("varga", "/api/tech-log", false, List.of(demo("tech-log.csv"))),
        new Way("varga", "/api/readings", false, List.of(demo("readings.csv").substring(0, 500))),
        new Way("varga", "/api/control-history", false, List.of(demo("control-history.csv").substring(0, 500))),
        new Way("varga", "/api/dispatch-lists", false, List.of(demo("dispatch/dovrin-46.yaml").substring(0, 1_500))),
        new Way("orrin", "/api/packs/reading", false, List.of(demo("packs/dovrin-46.yaml").substring(0, 4_000))),
        new Way("orrin", "/api/packs/dovrin-46/2026-12/next", true, List.of("{\"revision\":\"2027-02\"}")),
        new Way("administrator", "/api/fleet", false, List.of(demo("fleet.yaml"))),
        new Way("administrator", "/api/flights", false, List.of(demo("flights.yaml"))));
  }

  /** @param used what the processor worked for it; a machine that stands still for a second does not make it more */
  private record Timed(Http.Answer answer, Duration used, Duration took) {
    boolean slow() {
      return used.compareTo(LONGEST) > 0 || took.compareTo(HELD_UP) > 0;
    }
  }

  private static Timed sent(Http http, Way way, String body) {
    long began = System.nanoTime();
    long usedBefore = SYSTEM.getProcessCpuTime();
    Http.Answer answer = way.json ? http.post(way.path, body) : http.text(way.path, body);
    return new Timed(answer, Duration.ofNanos(SYSTEM.getProcessCpuTime() - usedBefore),
        Duration.ofNanos(System.nanoTime() - began));
  }

  @Test
  public void no_request_gives_a_fault_of_the_server_or_takes_long() {
    System.out.printf("fuzz: %d requests, seed %d%n", REQUESTS, SEED);
    Map<String, Http> people = new LinkedHashMap<>();
    List<Way> ways = ways();
    Http wren = in("adeyo");
    crewIn(wren, in("marsk"));
    people.put("adeyo", wren);
    Mutator mutator = new Mutator(SEED);
    List<String> slow = new ArrayList<>();
    for (int i = 0; i < REQUESTS; i++) {
      Way way = ways.get(i % ways.size());
      // A fleet that happens to be whole would take its people's access away, so it never is.
      String body = (way.path.equals("/api/fleet") ? "no-such-field: 1\n" : "") + mutator.next(way.good);
      Http http = people.computeIfAbsent(way.who, this::in);
      Timed first = sent(http, way, body);
      int status = first.answer.status();
      assertThat(status < 500 || status == 503)
          .as("request %d of seed %d to %s:%n%s%n%s", i, SEED, way.path, body, first.answer).isTrue();
      // What is slow by itself is slow each time; compilers and collectors, which work beside it, are not.
      if (first.slow() && sent(http, way, body).slow()) {
        slow.add("%s: %s of work, %s by the clock: %s".formatted(way.path, first.used, first.took, body));
      }
    }
    assertThat(slow).isEmpty();
    everythingIsStillShown(in("varga"));
  }

  /** What was taken of it can be shown, printed and taken away. */
  private static void everythingIsStillShown(Http varga) {
    for (String path : List.of("/api/departures", "/api/departures/today-14", "/api/departures/today-14/log",
        "/api/tails", "/api/tails/TL-DVA/log",
        "/api/tails/TL-DVA/log.csv", "/api/tails/TL-DVA/log.pdf", "/api/tails/TL-DVA/due.ics", "/api/packs",
        "/api/feedback", "/api/about", "/tails", "/tails/TL-DVA", "/access", "/drills")) {
      Http.Answer answer = varga.get(path);
      assertThat(answer.status()).as("%s: %s", path, answer.text().substring(0, Math.min(300, answer.text().length())))
          .isEqualTo(200);
    }
  }

  @Test
  public void strange_addresses_and_methods_are_refused_as_such() {
    Http wren = in("adeyo");
    for (String path : List.of("/api/departures/%00", "/api/departures/..%2f..%2fx", "/api/departures/"
        + "x".repeat(3_000), "/api/packs/a/b/changes",
        "/api/photos/not-a-uuid", "/api/tails/%F0%9F%98%80/log",
        "/api/packs/dovrin-46/2026-11/changes?since=2026-11&seat=%00", "/error", "/nowhere", "/api/nowhere")) {
      assertThat(wren.get(path).status()).as(path).isBetween(200, 499);
    }
    assertThat(wren.post("/api/departures", "{}").status()).isEqualTo(405);
    assertThat(wren.delete("/api/departures/today-14").status()).isEqualTo(405);
    for (String body : List.of("{\"now\":1,\"next\":[]}", "{\"now\":null,\"next\":\"x\"}", "[]", "null",
        "{\"next\":\"\\u0000\"}")) {
      assertThat(wren.post("/api/session/password", body).status()).as(body).isBetween(400, 499);
    }
    assertThat(wren.post("/api/session", "not json").status()).isEqualTo(400);
    assertThat(wren.post("/api/session", "{\"who\":\"" + "x".repeat(300_000) + "\"}").status()).isEqualTo(413);
  }
}

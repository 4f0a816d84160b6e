package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import neatlanyard.server.Http.Answer;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The server over HTTP: who may do what, what it makes of bad input, and that it counts once. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework and the set-up fill the fields.
public class ServerTest extends AbstractTestNGSpringContextTests {
  /** As the record has it: a report that would be believed, had the server not read it. */
  private static final String ELSEWHERE = """
      {"airfield":"QVSK","name":"Vesk","report":{"text":"METAR QVSK","station":"QVSK",
      "observed":"2027-01-14T07:20:00Z","wind":null,"visibility-m":9000,"weather":[],"clouds":[],
      "temperature-c":null,"dew-point-c":null,"qnh-hpa":null,"ranges":[],"trends":[]},
      "simulated":false,"landing":null}""".replace("\n", "");


  @LocalServerPort private int port;
  private Http wren;
  private Http ida;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
    registry.add("lanyard.simulated-pace", () -> 200);
  }

  @BeforeClass
  void crew() {
    wren = Http.in(port, "adeyo", "north-slip-24");
    ida = Http.in(port, "marsk", "bare-cord-11");
    assertThat(wren.post("/api/departures/today-14/open", "{}").status()).isEqualTo(200);
    assertThat(wren.event("seat-taken", "{\"seat\":\"right\"}").status()).isEqualTo(200);
    assertThat(ida.event("seat-taken", "{\"seat\":\"left\"}").status()).isEqualTo(200);
    String report = wren.get("/api/departures/today-14/report").json().path("text").asString();
    assertThat(wren.event("day-set", day(report)).status()).isEqualTo(200);
  }

  private static String day(String report) {
    return "{\"report\":\"%s\",\"simulated\":true,\"circumstances\":[\"first-flight\"]}".formatted(report);
  }

  private long number() {
    return wren.get("/api/departures/today-14").json().path("progress").path("number").asLong();
  }

  private static String step(String id) {
    return "{\"step\":\"%s\"}".formatted(id);
  }

  @Test
  public void nobody_comes_in_without_signing_in_and_no_forged_request_is_taken() {
    Http stranger = new Http(port);
    assertThat(stranger.get("/api/departures").status()).isEqualTo(401);
    assertThat(stranger.get("/v3/api-docs").status()).isEqualTo(401);
    assertThat(stranger.post("/api/session", "{\"who\":\"adeyo\",\"password\":\"wrong\"}").code())
        .isEqualTo("wrong-sign-in");
    assertThat(stranger.post("/api/session", "{}").code()).isEqualTo("wrong-sign-in");
    assertThat(wren.post("/api/departures/today-14/events", "{}", "application/json", "forged").code())
        .isEqualTo("no-token");
  }

  @Test
  public void guessing_a_password_is_slowed_down() {
    Http guesser = new Http(port);
    for (int i = 0; i < 5; i++) {
      guesser.post("/api/session", "{\"who\":\"holm\",\"password\":\"guess-%d\"}".formatted(i));
    }
    Answer right = guesser.post("/api/session", "{\"who\":\"holm\",\"password\":\"gravel-strip-9\"}");
    assertThat(right.status()).isEqualTo(429);
    assertThat(right.json().path("tryThis").asString()).matches("Again in 1[0-9] seconds.");
  }

  @Test
  public void a_step_of_another_seat_is_refused_with_the_reason() {
    long before = number();
    Answer answer = ida.event("step-done", step("wa-door"));
    assertThat(answer.status()).isEqualTo(409);
    assertThat(answer.code()).isEqualTo("other-seats-step");
    assertThat(answer.json().path("detail").asString()).isEqualTo("Front door and frame belongs to the right seat.");
    Http quill = Http.in(port, "quill", "tide-table-35");
    assertThat(quill.event("step-done", step("wa-door")).code()).isEqualTo("no-seat");
    assertThat(quill.event("seat-taken", "{\"seat\":\"left\"}").code()).isEqualTo("not-rostered");
    assertThat(wren.event("tied-off", "{\"accepted\":[]}").code()).isEqualTo("commander-only");
    assertThat(wren.event("step-done", step("wa-freight-door")).json().path("detail").asString())
        .isEqualTo("Freight door is left out of today's card: no freight door on this tail.");
    assertThat(number()).isEqualTo(before);
  }

  @Test
  public void an_event_sent_twice_counts_once() {
    UUID id = Http.uuid7();
    Answer first = wren.event(id, "step-done", step("wa-chocks"));
    long after = number();
    Answer again = wren.event(id, "step-done", step("wa-chocks"));
    assertThat(again).isEqualTo(first);
    assertThat(number()).isEqualTo(after);
    assertThat(wren.event(id, "step-done", step("wa-door")).code()).isEqualTo("id-used");
    assertThat(ida.event(id, "step-done", step("wa-chocks")).code()).isEqualTo("id-used");
    assertThat(number()).isEqualTo(after);
  }

  private static String kept(UUID id, String step) {
    return "{\"id\":\"%s\",\"device\":\"d1\",\"kind\":\"step-done\",\"body\":%s}".formatted(id, step(step));
  }

  @Test
  public void what_a_device_has_kept_comes_in_one_request_each_answered_by_itself_and_again_the_same() {
    String outbox = "/api/departures/today-14/outbox";
    List<String> events = Stream.of("wa-pins", "wa-freight-door", "wa-door")
        .map(step -> kept(Http.uuid7(), step)).toList();
    String body = "{\"events\":[%s]}".formatted(String.join(",", events));
    long before = number();
    JsonNode answers = wren.post(outbox, body).json();
    assertThat(answers.valueStream().map(a -> a.path("number").asLong(-1)))
        .containsExactly(before + 1, -1L, before + 2);
    assertThat(answers.get(1).path("refused").path("code").asString()).isEqualTo("left-out");
    assertThat(answers.get(1).path("refused").path("tryThis").asString()).contains("correct the state of the day");
    assertThat(wren.post(outbox, body).json()).as("sent again, as an answer was lost").isEqualTo(answers);
    assertThat(number()).isEqualTo(before + 2);
    String many = String.join(",", Collections.nCopies(101, events.getFirst()));
    for (String bad : List.of("", "[]", "null", many, events.getFirst() + ",null")) {
      assertThat(wren.post(outbox, "{\"events\":[%s]}".formatted(bad)).status()).as(bad).isBetween(400, 422);
    }
    assertThat(wren.post(outbox, "{}").code()).isEqualTo("bad-outbox");
    assertThat(wren.post(outbox, "{\"events\":[{}]}").json().get(0).path("refused").path("code").asString())
        .isEqualTo("bad-event");
    assertThat(number()).isEqualTo(before + 2);
  }

  @DataProvider
  Object[][] badEvents() {
    String id = Http.uuid7().toString();
    return new Object[][] {
      {"", 400}, {"nonsense", 400}, {"[]", 400}, {"{}", 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"step-done\"}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"no-such\",\"body\":{}}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"step-done\",\"body\":{}}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"step-done\",\"body\":{\"step\":\"BAD STEP\"}}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"step-done\",\"body\":{\"step\":\"wa-door\",\"more\":1}}".formatted(
      id), 422},
      {"{\"id\":\"%s\",\"device\":\"d d\",\"kind\":\"step-done\",\"body\":{\"step\":\"wa-door\"}}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"step-done\",\"body\":{\"step\":\"wa-door\"}}".formatted(
      UUID.randomUUID()), 422},
      {"{\"id\":\"1\",\"device\":\"d\",\"kind\":\"step-done\",\"body\":{\"step\":\"wa-door\"}}", 422},
      {("{\"id\":\"%s\",\"deviceAt\":\"yesterday\",\"device\":\"d\",\"kind\":\"step-done\","
      + "\"body\":{\"step\":\"wa-door\"}}").formatted(id), 400},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"controls-checked\",\"body\":{}}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"elsewhere-reported\",\"body\":%s}".formatted(id, ELSEWHERE),
      422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"opened\",\"body\":{}}".formatted(id), 422},
      {("{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"find-raised\",\"body\":{\"find\":\"x\",\"step\":\"wa-door\","
      + "\"note\":\"n\"}}").formatted(id), 422},
      {("{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"find-raised\",\"body\":{\"find\":\"%s\",\"step\":\"wa-door\","
      + "\"note\":\" \"}}").formatted(id, id), 409},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"seat-taken\",\"body\":{\"seat\":\"middle\"}}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"day-set\",\"body\":%s}".formatted(id, day("METAR QTRN nonsense")),
      422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"day-set\",\"body\":{}}".formatted(id), 422},
      {"{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"day-set\",\"body\":%s}".formatted(id,
      day("QVSK 140720Z 24012KT CAVOK 02/01 Q1003")), 422},
    };
  }

  @Test(dataProvider = "badEvents")
  public void a_bad_event_gets_a_clear_answer_and_changes_nothing(String body, int status) {
    long before = number();
    Answer answer = wren.post("/api/departures/today-14/events", body);
    assertThat(answer.status()).as(answer.text()).isEqualTo(status);
    assertThat(answer.json().path("detail").asString()).isNotBlank();
    assertThat(answer.code()).isNotBlank();
    assertThat(number()).isEqualTo(before);
  }

  @Test
  public void what_is_too_large_is_refused_before_it_is_read() {
    Http standards = Http.in(port, "orrin", "line-and-below-6");
    Answer answer = standards.text("/api/packs", "x".repeat(33_000_000));
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.code()).isEqualTo("too-large");
    Answer characters = standards.text("/api/packs", "x".repeat(8_000_001));
    assertThat(characters.status()).isEqualTo(422);
    assertThat(characters.text()).contains("8000001 characters; 8000000 is the most");
  }

  @Test
  public void a_malformed_report_has_every_group_named() {
    Answer answer = wren.text("/api/station-reports/reading", "METAR QTRN 990720Z 24012KT 9000 -XX M02/M04 Q1003");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().path("faults")).hasSize(2);
    assertThat(answer.text()).contains("line 1, column 33: '-XX' is not a group of the code form.");
  }

  @Test
  public void only_standards_draw_up_packs_and_nothing_is_half_brought_in() throws IOException {
    String pack = Files.readString(Given.ROOT.resolve("demo/packs/dovrin-46.yaml"));
    assertThat(wren.text("/api/packs", pack.replace("revision: 2026-11", "revision: 2026-13")).code())
        .isEqualTo("not-your-role");
    Http standards = Http.in(port, "orrin", "line-and-below-6");
    int before = standards.get("/api/packs").json().size();
    Answer faulty = standards.text("/api/packs", pack.replace("revision: 2026-11", "revision: 2026-13")
        .replace("at: nose,", "at: nowhere,"));
    assertThat(faulty.status()).isEqualTo(422);
    assertThat(faulty.json().path("faults")).hasSizeGreaterThan(3).allMatch(f -> f.asString().startsWith("line "));
    assertThat(standards.text("/api/packs", pack.replace("stable within a minute", "stable")).code())
        .as("it is published").isEqualTo("published");
    assertThat(standards.get("/api/packs").json()).hasSize(before);
    assertThat(wren.text("/api/flights", "x").code()).isEqualTo("not-your-role");
    assertThat(standards.text("/api/flights", "x").code()).isEqualTo("not-your-role");
    assertThat(standards.text("/api/fleet", "x").code()).as("who gives roles gives passwords")
        .isEqualTo("not-your-role");
    Http admin = Http.in(port, "administrator", "spare-key-70");
    assertThat(admin.text("/api/flights", Files.readString(Given.ROOT.resolve("demo/flights.yaml"))).code())
        .isEqualTo("flight-exists");
    assertThat(standards.get("/api/accounts").code()).isEqualTo("not-your-role");
  }

  @Test
  public void recorded_traces_are_judged_by_the_types_limits() throws IOException {
    for (String[] trace : new String[][] {{"sound", "passed"}, {"spoiler-stays-out", "not-passed"}}) {
      String csv = Files.readString(Given.ROOT.resolve("demo/traces/dovrin-46-" + trace[0] + ".csv"));
      Answer answer = wren.text("/api/departures/today-14/recorded-controls", csv);
      assertThat(answer.json().path("verdict").asString()).as(trace[0]).isEqualTo(trace[1]);
    }
    byte[] packed = Files.readAllBytes(Given.ROOT.resolve("demo/traces/dovrin-46-aileron-sticks.csv.gz"));
    assertThat(wren.bytes("/api/departures/today-14/recorded-controls", packed).json().path("summary").asString())
        .contains("short of its").contains("the second time");
    Answer cut = wren.text("/api/departures/today-14/recorded-controls", "seconds,pitch-pct\n0,0\n");
    assertThat(cut.status()).isEqualTo(422);
    assertThat(cut.json().path("faults")).hasSize(8);
  }

  /**
   * Two devices each of two people send at once, in disorder and twice: every acknowledged event is in one whole
   * chain.
   */
  @Test
  public void many_at_once_lose_nothing_and_count_nothing_twice() throws Exception {
    List<Callable<Answer>> sends = new ArrayList<>();
    List<UUID> ids = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      Http who = i % 2 == 0 ? wren : ida;
      String step = i % 2 == 0 ? "fr-radios" : "fl-horizon";
      UUID id = Http.uuid7();
      ids.add(id);
      String kind = i % 6 < 4 ? "step-done" : "step-not-today";
      String body = kind.equals("step-done") ? step(step) : "{\"step\":\"%s\",\"reason\":\"r%d\"}".formatted(step, i);
      sends.add(() -> who.event(id, kind, body));
      sends.add(() -> who.event(id, kind, body));
    }
    Collections.shuffle(sends, new Random(5));
    long before = number();
    try (ExecutorService pool = Executors.newFixedThreadPool(8)) {
      assertThat(pool.invokeAll(sends)).allMatch(f -> f.resultNow().status() == 200);
    }
    assertThat(number()).isEqualTo(before + ids.size());
    JsonNode log = wren.get("/api/departures/today-14/log").json();
    assertThat(log.path("lines")).hasSize((int) number());
    assertThat(log.path("check").asString()).isEqualTo("Not tied off yet");
  }

  /**
   * The interface's types are generated from this description; when it changed, run the tests with -Dlanyard.refresh.
   */
  @Test
  public void the_description_of_the_interface_is_current() throws IOException {
    JsonMapper sorted = JsonMapper.builder()
        .enable(SerializationFeature.INDENT_OUTPUT, SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();
    Object tree = sorted.readValue(wren.get("/v3/api-docs").text(), Object.class);
    String now = sorted.writeValueAsString(tree) + "\n";
    Path kept = Given.ROOT.resolve("docs/openapi.json");
    if (System.getProperty("lanyard.refresh") != null) {
      Files.writeString(kept, now);
    }
    assertThat(now).isEqualToIgnoringNewLines(Files.readString(kept));
  }
}

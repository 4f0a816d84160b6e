package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The plan over HTTP: for its crew and who looks on, also when what is said of the ground is nonsense. */
public class PlanTest extends AtTheServer {
  private static final String PLAN = "/api/departures/today-14/plan";
  private static final String GROUND = "/api/departures/today-14/ground-events";

  @BeforeClass
  public void crew() {
    crewIn(in("adeyo"), in("marsk"));
  }

  @Test
  public void four_people_who_ask_at_once_are_told_the_same_plan() throws Exception {
    List<Http> all = List.of(in("adeyo"), in("marsk"), in("orrin"), in("varga"));
    try (ExecutorService threads = Executors.newFixedThreadPool(8)) {
      List<Future<JsonNode>> told = threads.invokeAll(IntStream.range(0, 8)
          .mapToObj(i -> (Callable<JsonNode>) () -> all.get(i % 4).get(PLAN).json()).toList());
      JsonNode first = told.getFirst().get();
      assertThat(first.path("state").asString()).isEqualTo("planned");
      assertThat(first.path("found").path("strips")).hasSize(3);
      assertThat(first.path("found").path("likely").asDouble()).isBetween(0.0, 1.0);
      assertThat(first.path("found").path("learned").asInt()).as("the demo's year").isGreaterThan(500);
      for (Future<JsonNode> t : told) {
        assertThat(t.get()).isEqualTo(first);
      }
    }
    assertThat(in("orrin").get("/api/plans").json().valueStream().map(p -> p.path("id").asString()))
        .contains("today-14");
    String ics = in("marsk").get("/api/departures/today-14/plan.ics").text();
    assertThat(ics).startsWith("BEGIN:VCALENDAR\r\n").contains("SUMMARY:Walkaround").contains("SUMMARY:Departure");
    assertThat(in("marsk").get("/api/departures/today-14/plan/choices").status()).isEqualTo(200);
  }

  @Test
  public void nonsense_about_the_ground_is_refused_and_nothing_of_it_kept() {
    Http wren = in("adeyo");
    Http administrator = in("administrator");
    JsonNode before = wren.get(PLAN).json().path("ground");
    for (String form : List.of("{}", "null", "[]", "{\"kind\":null}", "{\"kind\":\"refuelling\"}",
        "{\"kind\":\"slot\",\"begins\":\"+999999999-12-31T00:00:00Z\"}",
        "{\"kind\":\"slot\",\"begins\":\"%s\"}".formatted(Instant.parse("2029-01-01T00:00:00Z")),
        "{\"kind\":\"fuelling\",\"begins\":\"2027-01-14T07:30:00Z\",\"ends\":\"2027-01-14T07:20:00Z\"}",
        "{\"kind\":\"slot\\u0000\",\"begins\":\"2027-01-14T07:30:00Z\"}", "x".repeat(8_000_000))) {
      assertThat(wren.post(GROUND, form).status()).as(form.substring(0, Math.min(60, form.length())))
          .isBetween(400, 499);
    }
    assertThat(in("quill").post(GROUND, "{\"kind\":\"clearance\"}").status()).as("not of this crew").isEqualTo(409);
    String head = "flight,event,begins,ends\n";
    for (String csv : List.of("", head + "today-14,slot,PT1M\n", head + "no-such,slot,PT1M,PT2M\n",
        head + "today-14,fuelling,PT1M,PT2M\ntoday-14,slot,PT1000H,PT1001H\n",
        head + "today-14,fuelling,PT1M,PT2M\ntoday-14,\u0007,PT1M,PT2M\n")) {
      assertThat(administrator.text("/api/ground-events", csv).status()).as(csv).isBetween(400, 499);
    }
    for (String csv : List.of("", "flight,type\n", "flight,type,procedure,at,dark,cold,estimated-s,took-s\n"
        + "f,dovrin-46,walkaround,+999999999-01-01T00:00:00Z,yes,no,60,70\n")) {
      assertThat(administrator.text("/api/task-times", csv).status()).as(csv).isBetween(400, 499);
    }
    assertThat(wren.get(PLAN).json().path("ground")).isEqualTo(before);
  }

  private static void says(Http who, String kind, String body) {
    String form = "{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"%s\",\"body\":%s}".formatted(Http.uuid7(), kind, body);
    assertThat(who.post("/api/departures/today-18/events", form).status()).isEqualTo(200);
  }

  /** What is said stands before what the service expects; what cannot be is named, and mended by saying it again. */
  @Test
  public void what_is_said_of_the_ground_is_planned_with() {
    Http holm = in("holm");
    Http quill = in("quill");
    Http administrator = in("administrator");
    quill.post("/api/departures/today-18/open", "{}");
    String plan = "/api/departures/today-18/plan";
    assertThat(holm.get(plan).json().path("state").asString()).as("before the card").isEqualTo("nothing");
    assertThat(holm.get("/api/departures/today-18/plan.ics").text()).contains("SUMMARY:Departure");
    says(quill, "seat-taken", "{\"seat\":\"left\"}");
    says(quill, "day-set", "{\"report\":\"METAR QTRN 140720Z 24012KT 9000 -SN BKN025 M02/M04 Q1003\","
        + "\"simulated\":false,\"circumstances\":[]}");
    assertThat(holm.get(plan).json().path("state").asString()).isEqualTo("planned");
    String head = "flight,event,begins,ends\n";
    assertThat(administrator.text("/api/ground-events", head + "today-18,slot,-PT9M,-PT1M\n").status())
        .isEqualTo(200);
    JsonNode clash = holm.get(plan).json();
    assertThat(clash.path("state").asString()).isEqualTo("clash");
    assertThat(clash.path("smallest").asBoolean()).isTrue();
    assertThat(clash.path("clash").valueStream().map(JsonNode::asString)).anyMatch(c -> c.startsWith("Departure is"));
    assertThat(administrator.text("/api/ground-events", head + "today-18,slot,PT2H,PT4H\n").status())
        .isEqualTo(200);
    JsonNode again = holm.get(plan).json();
    assertThat(again.path("state").asString()).isEqualTo("planned");
    assertThat(again.path("ground").valueStream().filter(g -> g.path("kind").asString().equals("slot"))
        .map(g -> g.path("source").asString())).containsExactly("operations");
  }
}

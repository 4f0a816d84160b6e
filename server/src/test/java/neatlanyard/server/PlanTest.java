package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
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
    assertThat(in("orrin").get("/api/plans").json().valueStream().filter(p -> p.path("id").asString()
        .equals("today-14")).mapToLong(p -> p.path("slackS").asLong())).as("others' own times are no one's slack")
        .allMatch(s -> s > 60);
    String ics = in("marsk").get("/api/departures/today-14/plan.ics").text();
    assertThat(ics).startsWith("BEGIN:VCALENDAR\r\n").contains("SUMMARY:Walkaround").contains("SUMMARY:Departure");
  }

  /** Each says first what was chosen, then what it is made of, as its own words; nonsense chosen is refused. */
  @Test
  public void a_choice_is_said_as_what_it_is_and_what_it_is_made_of() {
    Http wren = in("adeyo");
    // Nobody else is waited for: the crew's own work is what the departure hangs on.
    Instant at = Instant.parse(wren.get(PLAN).json().path("at").asString());
    for (String kind : List.of("load-sheet", "clearance", "fuelling", "boarding")) {
      assertThat(wren.post(GROUND, "{\"kind\":\"%s\",\"begins\":\"%s\",\"ends\":\"%s\"}"
          .formatted(kind, at.minusSeconds(1_800), at.minusSeconds(1_500))).status()).isEqualTo(200);
    }
    JsonNode tried = wren.get(PLAN + "/choices").json();
    assertThat(tried.path("buys")).isNotEmpty();
    for (JsonNode buy : tried.path("buys")) {
      assertThat(buy.path("gainS").asLong()).isGreaterThanOrEqualTo(30);
      JsonNode says = buy.path("says");
      assertThat(says.path(0).path("kind").asString()).isEqualTo("plan-chosen");
      assertThat(says.path(0).path("body").path("words").asString()).isEqualTo(buy.path("words").asString());
      assertThat(says.path(0).path("body").path("earlier-s").asLong()).isEqualTo(buy.path("gainS").asLong());
      assertThat(says.size()).isGreaterThan(1);
    }
    for (String kind : List.of("load-sheet", "clearance", "fuelling", "boarding")) {
      assertThat(wren.delete(GROUND + "/" + kind).status()).isEqualTo(200);
    }
    for (String body : List.of("null", "{}", "{\"words\":null,\"earlier-s\":60}",
        "{\"words\":\" \",\"earlier-s\":60}", "{\"words\":\"\\u0000\",\"earlier-s\":-1}",
        "{\"words\":\"x\",\"earlier-s\":1000000000000}", "{\"words\":\"x\",\"earlier-s\":1.5}",
        "{\"words\":\"x\",\"earlier-s\":60,\"more\":1}")) {
      Http.Answer answer = wren.post("/api/departures/today-14/outbox", """
          {"events":[{"id":"%s","device":"d","deviceAt":"%sT07:25:00Z","kind":"plan-chosen","body":%s}]}"""
          .formatted(UUID.randomUUID(), Given.DAY, body));
      assertThat(answer.status()).as(body).isLessThan(500);
      assertThat(answer.status() >= 400 || answer.text().contains("refused")).as(answer.text()).isTrue();
    }
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

  /** A task at another time is only tried; what is no task, or no time, is refused. */
  @Test
  public void a_task_is_tried_at_another_time() {
    Http wren = in("adeyo");
    JsonNode before = wren.get(PLAN).json();
    JsonNode walk = before.path("found").path("strips").valueStream().flatMap(s -> s.path("blocks").valueStream())
        .filter(b -> b.path("outside").asBoolean()).findFirst().orElseThrow();
    Instant later = Instant.parse(walk.path("begins").asString()).plusSeconds(1_200);
    String tried = PLAN + "/beginning?what=%s&at=%s";
    String id = walk.path("id").asString();
    JsonNode then = wren.get(tried.formatted(id, later)).json();
    JsonNode moved = then.path("found").path("strips").valueStream().flatMap(s -> s.path("blocks").valueStream())
        .filter(b -> b.path("id").asString().equals(id)).findFirst().orElseThrow();
    assertThat(Instant.parse(moved.path("begins").asString())).isBetween(later.minusSeconds(1), later.plusSeconds(1));
    assertThat(then.path("found").path("departs").asString())
        .isGreaterThanOrEqualTo(before.path("found").path("departs").asString());
    JsonNode clash = wren.get(tried.formatted("after-start.1", before.path("at").asString())).json();
    assertThat(clash.path("state").asString()).isEqualTo("clash");
    assertThat(clash.path("clash").toString()).containsPattern("is over by \\d\\d:\\d\\d");
    assertThat(wren.get(PLAN).json().path("found").path("strips")).as("nothing is kept of it")
        .isEqualTo(before.path("found").path("strips"));
    for (String bad : List.of("?what=no-such.1&at=" + later, "?what=%00&at=" + later, "?what=" + id + "&at=soon",
        "?what=" + id, "?what=" + id + "&at=%2B999999999-12-31T00:00:00Z", "?at=" + later)) {
      assertThat(wren.get(PLAN + "/beginning" + bad).status()).as(bad).isBetween(400, 499);
    }
  }

  @Test
  public void what_the_other_end_wants_is_said_by_its_crew_and_nonsense_refused() {
    Http wren = in("adeyo");
    String path = "/api/departures/today-14/other-end";
    JsonNode planned = wren.get(PLAN).json().path("otherEnd");
    assertThat(planned.path("to").asString()).isEqualTo("Vesk");
    assertThat(planned.path("forecast").path("simulated").asBoolean()).isTrue();
    for (String form : List.of("null", "[]", "{\"wanted\":\"soon\"}",
        "{\"wanted\":\"+999999999-12-31T00:00:00Z\"}", "{\"forecast\":\"TAF QVSK\"}",
        "{\"forecast\":\"TAF QTRN 140700Z 1407/1507 24012KT 9999 NSC\"}", "{\"forecast\":\"\\u0007\"}",
        "{\"forecast\":\"%s\"}".formatted("x".repeat(8_000_000)))) {
      assertThat(wren.post(path, form).status()).as(form.substring(0, Math.min(60, form.length())))
          .isBetween(400, 499);
    }
    assertThat(in("quill").post(path, "{}").status()).as("not of this crew").isEqualTo(409);
    assertThat(wren.get(PLAN).json().path("otherEnd").path("forecast")).isEqualTo(planned.path("forecast"));
    Instant lands = Instant.parse(planned.path("lands").asString());
    assertThat(wren.post(path, "{\"wanted\":\"%s\",\"forecast\":\"TAF QVSK 140700Z 1407/1507 24012KT 0300 FG VV001\"}"
        .formatted(lands.minusSeconds(600))).status()).isEqualTo(200);
    JsonNode told = wren.get(PLAN).json().path("otherEnd");
    assertThat(told.path("lateS").asLong()).isGreaterThanOrEqualTo(500);
    assertThat(told.path("losses").valueStream().filter(l -> l.path("now").asBoolean())
        .map(l -> l.path("kind").asString())).contains("late", "weather");
    assertThat(wren.post(path, "{}").status()).isEqualTo(200);
    assertThat(wren.get(PLAN).json().path("otherEnd").path("forecast")).isEqualTo(planned.path("forecast"));
  }

  @Test
  public void what_is_known_goes_out_and_comes_in_again() {
    Http administrator = in("administrator");
    for (String path : List.of("/api/ground-events", "/api/task-times", "/api/foretold")) {
      String csv = in("orrin").get(path).text();
      assertThat(administrator.text(path, csv).status()).as(path).isEqualTo(200);
      assertThat(in("orrin").get(path).text()).as(path).isEqualTo(csv);
    }
    assertThat(administrator.text("/api/foretold", "flight,type\n").status()).isEqualTo(422);
    JsonNode c = in("marsk").get("/api/calibration").json();
    assertThat(c.path("count").asInt()).as("the demo's year").isGreaterThanOrEqualTo(225);
    assertThat(c.path("groups").valueStream().mapToInt(g -> g.path("count").asInt()).sum())
        .isEqualTo(c.path("count").asInt());
    assertThat(c.path("brier").asDouble()).isPositive().isLessThan(c.path("clock").asDouble());
    JsonNode turn = in("orrin").get("/api/turn-rounds").json().valueStream()
        .filter(t -> t.path("next").asString().equals("today-15")).findFirst().orElseThrow();
    assertThat(turn.path("before").asString()).isEqualTo("Flight 14");
    assertThat(turn.path("aircraft").asBoolean()).isTrue();
    assertThat(turn.path("who")).hasSize(2);
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
    assertThat(clash.path("clash").valueStream().map(JsonNode::asString))
        .anyMatch(c -> c.startsWith("Departure within its slot is over by "));
    assertThat(administrator.text("/api/ground-events", head + "today-18,slot,PT2H,PT4H\n").status())
        .isEqualTo(200);
    JsonNode again = holm.get(plan).json();
    assertThat(again.path("state").asString()).isEqualTo("planned");
    assertThat(again.path("ground").valueStream().filter(g -> g.path("kind").asString().equals("slot"))
        .map(g -> g.path("source").asString())).containsExactly("operations");
    String slot = "/api/departures/today-18/ground-events/slot";
    assertThat(in("adeyo").delete(slot).status()).as("not of this crew").isEqualTo(409);
    assertThat(quill.delete(slot).status()).isEqualTo(200);
    assertThat(quill.delete(slot).status()).as("taken back already").isEqualTo(404);
    assertThat(quill.delete("/api/departures/today-18/ground-events/%00").status()).isBetween(400, 499);
    assertThat(holm.get(plan).json().path("ground").valueStream().map(g -> g.path("kind").asString()))
        .doesNotContain("slot");
  }
}

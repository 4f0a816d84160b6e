package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import neatlanyard.server.Http.Answer;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The life of a revision over HTTP: draft, second person, publication, reading, and what crews say of it. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework and the set-up fill the fields.
public class RevisionsTest extends AbstractTestNGSpringContextTests {
  private static final LocalDate TODAY = LocalDate.parse(Given.DAY);
  private static final String DOVRIN = "/api/packs/dovrin-46/";
  private static final String SUMMER = "QTRN 140720Z 24012KT CAVOK 18/11 Q1020";

  @LocalServerPort private int port;
  private Http wren;
  private Http ida;
  private Http orrin;
  private Http rand;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
  }

  @BeforeClass
  void people() {
    wren = Http.in(port, "adeyo", "north-slip-24");
    ida = Http.in(port, "marsk", "bare-cord-11");
    orrin = Http.in(port, "orrin", "line-and-below-6");
    rand = Http.in(port, "rand", "second-look-18");
  }

  private static String effective(int days) {
    return "{\"effective\":\"%s\"}".formatted(TODAY.plusDays(days));
  }

  private String state(String revision) {
    return orrin.get(DOVRIN + revision).json().path("revision").path("state").asString();
  }

  @Test
  public void the_demo_comes_with_one_revision_in_force_and_a_draft() {
    assertThat(orrin.get("/api/packs").json().valueStream()
        .map(r -> r.path("id").asString() + " " + r.path("revision").asString() + " " + r.path("state").asString()))
        .containsExactlyInAnyOrder("dovrin-46 2026-11 in force", "dovrin-46 2026-12 draft",
        "halyard-210 2026-10 in force", "pellow-9 2026-11 in force", "selkie-m3 2026-11 in force",
        "burdock-four 2026-11 in force");
  }

  @Test
  public void changes_are_said_in_words_and_filtered_to_a_tail_and_a_seat() {
    List<String> all = where(rand.get(DOVRIN + "2026-12/changes?since=2026-11").json());
    assertThat(all).contains("Walkaround, Freight door", "Left flow, Steering disconnect",
        "Safety round, Ditching valve guard");
    List<String> dva = where(rand.get(DOVRIN + "2026-12/changes?since=2026-11&tail=TL-DVA").json());
    assertThat(dva).doesNotContain("Walkaround, Freight door").contains("Left flow, Steering disconnect");
    assertThat(where(rand.get(DOVRIN + "2026-12/changes?since=2026-11&seat=right").json()))
        .doesNotContain("Left flow, Steering disconnect").contains("Walkaround, Freight door");
    assertThat(where(rand.get(DOVRIN + "2026-12/changes?since=2026-11&role=first-officer").json()))
        .doesNotContain("Left flow, Steering disconnect");
    assertThat(where(rand.get(DOVRIN + "2026-12/changes?since=2026-11&role=captain").json())).isEqualTo(all);
    assertThat(rand.get(DOVRIN + "2026-12/changes?since=2026-11&role=training").code()).isEqualTo("no-such-role");
    assertThat(where(rand.get(DOVRIN + "2026-11/changes?since=2026-11").json())).isEmpty();
    assertThat(rand.get(DOVRIN + "2026-12/changes?since=nix").status()).isEqualTo(404);
    assertThat(rand.get(DOVRIN + "2026-12/changes?since=2026-11&seat=middle").code()).isEqualTo("no-such-seat");
  }

  private static List<String> where(JsonNode changes) {
    return changes.path("changes").valueStream().map(c -> c.path("where").asString()).toList();
  }

  @Test
  public void an_edited_draft_is_saved_from_its_edition_only_and_nothing_faulty_is_kept() {
    JsonNode begun = orrin.post(DOVRIN + "2026-11/next", "{\"revision\":\"2027-trial\"}").json();
    assertThat(begun.path("state").asString()).isEqualTo("draft");
    String document = orrin.get(DOVRIN + "2027-trial").json().path("document").asString();
    String edited = document.replace("stable within a minute", "stable within 50 s");
    assertThat(wren.text(DOVRIN + "2027-trial/draft?edition=1", edited).code()).isEqualTo("not-your-role");
    assertThat(orrin.text(DOVRIN + "2027-trial/draft?edition=1", edited).json().path("revision").path("edition")
        .asInt()).isEqualTo(2);
    assertThat(orrin.text(DOVRIN + "2027-trial/draft?edition=1", document).code()).isEqualTo("edited-meanwhile");
    Answer faulty = orrin.text(DOVRIN + "2027-trial/draft?edition=2",
        edited.replace("\"at\":\"nose\"", "\"at\":\"nowhere\""));
    assertThat(faulty.status()).isEqualTo(422);
    assertThat(orrin.text(DOVRIN + "2027-trial/draft?edition=2", edited.replace("2027-trial", "2027-other")).code())
        .isEqualTo("other-revision");
    assertThat(orrin.get(DOVRIN + "2027-trial").json().path("document").asString()).isEqualTo(edited);
    String file = orrin.get(DOVRIN + "2027-trial/file").text();
    assertThat(orrin.text("/api/packs/reading", file).json().path("faults")).isEmpty();
    assertThat(orrin.post(DOVRIN + "2026-11/next", "{\"revision\":\"2027-trial\"}").code())
        .isEqualTo("revision-exists");
    assertThat(orrin.post(DOVRIN + "2026-11/next", "{\"revision\":\"../x\"}").code()).isEqualTo("bad-name");
    assertThat(orrin.delete(DOVRIN + "2027-trial?edition=1").code()).as("another edition was looked at")
        .isEqualTo("edited-meanwhile");
    assertThat(orrin.text("/api/packs", file.replace("stable within 50 s", "stable within 40 s")).code())
        .as("bringing in does not save over a draft unseen").isEqualTo("edited-meanwhile");
    assertThat(orrin.delete(DOVRIN + "2027-trial?edition=2").status()).isEqualTo(200);
    assertThat(orrin.get(DOVRIN + "2027-trial").status()).isEqualTo(404);
    assertThat(orrin.delete(DOVRIN + "2026-11?edition=1").code()).as("published").isEqualTo("published");
  }

  @Test
  public void a_pack_is_read_and_checked_as_one_types() {
    String document = orrin.get(DOVRIN + "2026-12").json().path("document").asString();
    JsonNode faults = orrin.text("/api/packs/reading",
        document.replace("\"sets\":{\"gust-lock\":\"out\"}", "\"sets\":{\"gust-lock\":\"away\"}")).json()
        .path("faults");
    assertThat(faults.get(0).path("path").asString()).matches("/procedures/\\d+/steps/\\d+/sets/gust-lock");
    JsonNode findings = rand.text("/api/packs/reading", document.replace(",\"closes\":[\"gust-lock\"]", "")).json()
        .path("findings");
    assertThat(findings.valueStream().map(f -> f.path("rule").asString())).contains("opened-never-closed");
    assertThat(wren.text("/api/packs/reading", document).code()).isEqualTo("not-your-role");
    assertThat(wren.get(DOVRIN + "2026-12/readers").code()).isEqualTo("not-your-role");
    assertThat(wren.get(DOVRIN + "2026-12").code()).as("a draft is for those who draw up or check")
        .isEqualTo("not-your-role");
    assertThat(wren.get("/api/packs").json().valueStream().map(r -> r.path("life").asString()))
        .containsOnly("published");
    assertThat(rand.get(DOVRIN + "2026-12").json().path("check").path("findings")).isEmpty();
  }

  @Test
  public void two_tails_beside_each_other_show_only_what_differs() {
    String day = "{\"tail\":\"%s\",\"flying\":\"left\",\"from\":\"QTRN\",\"to\":\"QVSK\",\"report\":\"" + SUMMER
        + "\",\"dark\":false,\"circumstances\":[],\"measured\":{}}";
    String form = "{\"pack\":\"dovrin-46\",\"revision\":\"2026-11\",\"days\":[%s,%s]}".formatted(
        day.formatted("TL-DVA"), day.formatted("TL-DVC"));
    JsonNode preview = wren.post("/api/card-previews", form).json();
    assertThat(preview.path("differences").valueStream().map(d -> d.path("step").asString()))
        .containsExactlyInAnyOrder("pu-ground-power", "pu-apu", "wa-freight-door", "wa-apu", "fo-packs",
        "fo-packs-off", "fl-cabin",
            "fl-older-cabin", "bs-freight", "as-ground-power", "tf-apu", "tx-apu");
    assertThat(wren.post("/api/card-previews", form.replace("TL-DVC", "TL-HYA")).code()).isEqualTo("no-such-tail");
    assertThat(wren.post("/api/card-previews", form.replace("\"circumstances\":[]", "\"circumstances\":[\"sunday\"]"))
        .code()).isEqualTo("no-such-circumstance");
    assertThat(wren.post("/api/card-previews", "{\"days\":[]}").code()).isEqualTo("bad-preview");
  }

  /** The whole life: nobody alone, then everybody reads before they open a departure. */
  @Test(dependsOnMethods = {"the_demo_comes_with_one_revision_in_force_and_a_draft",
      "a_pack_is_read_and_checked_as_one_types",
      "changes_are_said_in_words_and_filtered_to_a_tail_and_a_seat"})
  public void a_revision_is_checked_published_read_and_only_then_flown() {
    assertThat(wren.post("/api/departures/today-14/open", "{}").status()).as("opened on the revision before")
        .isEqualTo(200);
    assertThat(orrin.post(DOVRIN + "2026-12/publish?edition=1", effective(0)).code()).isEqualTo("not-checked");
    assertThat(orrin.post(DOVRIN + "2026-12/check?edition=1", "{}").code()).isEqualTo("second-person");
    assertThat(rand.post(DOVRIN + "2026-12/check?edition=1", "{}").json().path("state").asString())
        .isEqualTo("checked");
    assertThat(rand.post(DOVRIN + "2026-12/publish?edition=1", effective(0)).code()).isEqualTo("not-your-role");
    assertThat(orrin.post(DOVRIN + "2026-12/publish?edition=1", effective(-1)).code()).isEqualTo("past");
    assertThat(orrin.post(DOVRIN + "2026-12/publish?edition=1", effective(0)).json().path("state").asString())
        .isEqualTo("in force");
    assertThat(state("2026-11")).isEqualTo("superseded");
    assertThat(wren.get("/api/departures/today-14").json().path("header").path("revision").asString())
        .as("a departure stays on the revision it was cut from").isEqualTo("2026-11");
    assertThat(wren.event("seat-taken", "{\"seat\":\"right\"}").status()).as("and needs nothing read").isEqualTo(200);
    Answer refused = ida.post("/api/departures/today-15/open", "{}");
    assertThat(refused.code()).isEqualTo("not-read");
    assertThat(refused.json().path("detail").asString()).startsWith("Revision 2026-12 changed ")
        .contains(" on TL-DVA for you since 2026-11");
    JsonNode owed = ida.get("/api/reading").json().get(0);
    assertThat(owed.path("to").path("revision").asString()).isEqualTo("2026-12");
    assertThat(owed.path("changes").size()).isGreaterThan(5);
    assertThat(ida.post(DOVRIN + "2026-12/acknowledge", "{}").status()).isEqualTo(200);
    assertThat(ida.get("/api/reading").json()).isEmpty();
    assertThat(ida.post("/api/departures/today-15/open", "{}").json().path("header").path("revision").asString())
        .isEqualTo("2026-12");
    Answer second = wren.post("/api/departures/today-15/events",
        "{\"id\":\"%s\",\"device\":\"d\",\"kind\":\"seat-taken\",\"body\":{\"seat\":\"right\"}}".formatted(
        Http.uuid7()));
    assertThat(second.code()).as("the other seat has to read too").isEqualTo("not-read");
    assertThat(orrin.get(DOVRIN + "2026-12/readers").json().valueStream()
        .map(r -> r.path("id").asString() + (r.has("at") && !r.path("at").isNull() ? " read" : " not yet")))
        .containsExactlyInAnyOrder("marsk read", "quill not yet", "adeyo not yet", "holm not yet", "saldo not yet");
    assertThat(ida.post("/api/packs/halyard-210/2026-11/acknowledge", "{}").status()).isEqualTo(404);
  }

  @Test(dependsOnMethods = "a_revision_is_checked_published_read_and_only_then_flown")
  public void what_does_not_fit_reaches_the_desk_with_its_departure_and_its_answer_comes_back() {
    assertThat(wren.event("does-not-fit",
        "{\"step\":\"wa-oxygen\",\"words\":\"The disc is inside the nose bay on this tail\"}").status())
        .isEqualTo(200);
    JsonNode said = orrin.get("/api/feedback").json().get(0);
    assertThat(said.path("where").asString()).isEqualTo("Walkaround, Oxygen overpressure disc");
    assertThat(said.path("tail").asString()).isEqualTo("TL-DVA");
    assertThat(said.path("revision").asString()).isEqualTo("2026-11");
    assertThat(ida.get("/api/feedback").json()).as("others do not see it").isEmpty();
    String answer = "/api/feedback/%s/answer".formatted(said.path("id").asString());
    assertThat(wren.post(answer, "{\"words\":\"x\"}").code()).isEqualTo("not-your-role");
    assertThat(orrin.post(answer, "{\"words\":\" \"}").code()).isEqualTo("bad-answer");
    assertThat(orrin.post(answer, "{\"words\":\"Moved to the nose in 2027-01\"}").status()).isEqualTo(200);
    assertThat(wren.get("/api/feedback").json().get(0).path("answer").asString())
        .isEqualTo("Moved to the nose in 2027-01");
  }

  @Test
  public void what_is_made_to_do_harm_is_refused_and_nothing_is_kept() {
    int before = orrin.get("/api/packs").json().size();
    assertThat(orrin.text("/api/packs", "a: &a [x, x]\nb: [*a, *a]\n").status()).isEqualTo(422);
    assertThat(orrin.text("/api/packs", "[".repeat(50_000)).text()).contains("nested deeper");
    assertThat(orrin.text("/api/packs", "x".repeat(33_000_000)).status()).isEqualTo(413);
    assertThat(orrin.get("/api/packs/%2e%2e/x").status()).isIn(400, 404);
    assertThat(orrin.post(DOVRIN + "2026-12/publish?edition=1", "{\"effective\":\"soon\"}").status()).isEqualTo(400);
    assertThat(orrin.post(DOVRIN + "2026-12/publish?edition=1", "{}").code()).isEqualTo("no-day");
    assertThat(orrin.get("/api/packs").json()).hasSize(before);
  }
}

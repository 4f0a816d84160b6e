package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.time.LocalDate;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Role;
import neatlanyard.server.Http.Answer;
import neatlanyard.server.fleet.SignIns;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** An installation without the demo: one administrator, one-time passwords, and nothing else. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework fills the fields.
public class FirstStartTest extends AbstractTestNGSpringContextTests {
  private static final LocalDate TODAY = LocalDate.parse(Given.DAY);

  @LocalServerPort private int port;
  @Autowired private SignIns signIns;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, false);
  }

  private static String change(String now, String next) {
    return "{\"now\":\"%s\",\"next\":\"%s\"}".formatted(now, next);
  }

  @Test
  public void a_one_time_password_opens_nothing_but_its_own_change() throws IOException {
    String given = signIns.oneTime(new CrewId("administrator"), new CrewId("administrator"), "Administrator",
        Role.ADMINISTRATOR);
    Http admin = Http.in(port, "administrator", given);
    assertThat(admin.get("/api/session").json().path("mustChange").asBoolean()).isTrue();
    assertThat(admin.get("/api/departures").code()).isEqualTo("must-change");
    assertThat(admin.text("/api/fleet", "x").code()).isEqualTo("must-change");
    assertThat(admin.post("/api/session/password", change("wrong", "long-enough-1")).code())
        .isEqualTo("wrong-password");
    assertThat(admin.post("/api/session/password", change(given, "short")).code()).isEqualTo("weak-password");
    assertThat(admin.post("/api/session/password", change(given, given)).code()).isEqualTo("weak-password");
    assertThat(admin.post("/api/session/password", change(given, "ö".repeat(40))).code()).as("80 bytes")
        .isEqualTo("weak-password");
    assertThat(admin.post("/api/session/password", change(given, "long-enough-1")).status()).isEqualTo(200);
    assertThat(admin.get("/api/departures").json()).isEmpty();
    assertThat(new Http(port).post("/api/session", "{\"who\":\"administrator\",\"password\":\"%s\"}".formatted(given))
        .status())
        .as("it was for one use").isEqualTo(401);
    peopleAndFlights(admin);
  }

  private void peopleAndFlights(Http admin) throws IOException {
    assertThat(admin.get("/api/about").json().path("signIns")).isEmpty();
    assertThat(admin.get("/api/packs").json()).isEmpty();
    String flights = Files.readString(Given.ROOT.resolve("demo/flights.yaml"));
    Answer noFleet = admin.text("/api/flights", flights);
    assertThat(noFleet.status()).isEqualTo(422);
    assertThat(noFleet.text()).contains("The fleet has no tail 'TL-DVA'.");
    JsonNode brought = admin.text("/api/fleet", Files.readString(Given.ROOT.resolve("demo/fleet.yaml"))).json();
    assertThat(brought.path("signIns")).hasSize(8);
    assertThat(admin.text("/api/fleet", Files.readString(Given.ROOT.resolve("demo/fleet.yaml"))).json()
        .path("signIns"))
        .as("people who are known keep their passwords").isEmpty();
    assertThat(admin.text("/api/flights", flights).status()).isEqualTo(200);
    JsonNode adeyo = brought.path("signIns").valueStream().filter(s -> s.path("who").asString().equals("adeyo"))
        .findFirst().orElseThrow();
    Http wren = Http.in(port, "adeyo", adeyo.path("password").asString());
    assertThat(wren.post("/api/session/password", change(adeyo.path("password").asString(), "north-slip-24")).status())
        .isEqualTo(200);
    assertThat(wren.post("/api/departures/today-14/open", "{}").json().path("detail").asString())
        .isEqualTo("No pack for the type dovrin-46 holds on %s; fleet standards publish one.".formatted(TODAY));
    assertThat(wren.get("/api/accounts").code()).isEqualTo("not-your-role");
    String again = admin.post("/api/accounts/adeyo/one-time-password", "{}").json().path("password").asString();
    assertThat(Http.in(port, "adeyo", again).get("/api/departures").code()).isEqualTo("must-change");
    assertThat(admin.post("/api/accounts/nobody/one-time-password", "{}").status()).isEqualTo(404);
  }

  /** Outside the demo there is no simulated station service: the report is typed over. */
  @Test(dependsOnMethods = "a_one_time_password_opens_nothing_but_its_own_change")
  public void without_the_demo_nothing_simulated_answers() throws IOException {
    Http admin = Http.in(port, "administrator", "long-enough-1");
    String pack = Files.readString(Given.ROOT.resolve("demo/packs/dovrin-46.yaml"));
    assertThat(admin.text("/api/packs", pack).code()).as("an administrator draws up no packs")
        .isEqualTo("not-your-role");
    Http orrin = anew(admin, "orrin");
    assertThat(orrin.text("/api/packs", pack).status()).isEqualTo(200);
    assertThat(anew(admin, "rand").post("/api/packs/dovrin-46/2026-11/check?edition=1", "{}").status()).isEqualTo(200);
    String today = "{\"effective\":\"%s\"}".formatted(TODAY);
    assertThat(orrin.post("/api/packs/dovrin-46/2026-11/publish?edition=1", today).json().path("state").asString())
        .isEqualTo("in force");
    String password = admin.post("/api/accounts/marsk/one-time-password", "{}").json().path("password").asString();
    Http ida = Http.in(port, "marsk", password);
    ida.post("/api/session/password", change(password, "bare-cord-11"));
    assertThat(ida.post("/api/departures/today-14/open", "{}").status()).isEqualTo(200);
    assertThat(ida.get("/api/departures/today-14/report").json().path("detail").asString()).contains("type it over");
  }

  /** Somebody with a one-time password that they have changed. */
  private Http anew(Http admin, String who) {
    String password = admin.post("/api/accounts/%s/one-time-password".formatted(who), "{}").json().path("password")
        .asString();
    Http http = Http.in(port, who, password);
    assertThat(http.post("/api/session/password", change(password, who + "-long-enough")).status()).isEqualTo(200);
    return http;
  }
}

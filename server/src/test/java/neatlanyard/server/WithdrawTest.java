package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What was brought in by mistake can be withdrawn until somebody goes by it. */
public class WithdrawTest extends AtTheServer {
  private static final String HEAD = "tail,defect,at,by,name,act,flight,place,step,entry,count,last-day,words\r\n";

  private static String raised(String tail, int n) {
    return "%s,00000000-0000-0009-0000-%012d,-PT20H,varga,Lio Varga,raised,,,,,,,Reading light dim\r\n".formatted(
        tail, n);
  }

  private static String latest(Http http) {
    return http.get("/api/imports").json().path(0).path("standing").asString();
  }

  private static int open(Http http, String tail) {
    return http.get("/api/tails/" + tail + "/log").json().path("open").size();
  }

  private static int number(Http http) {
    return http.get("/api/imports").json().path(0).path("number").asInt();
  }

  @Test
  public void a_log_that_nobody_went_by_can_be_withdrawn_and_come_in_corrected() {
    Http varga = in("varga");
    int before = open(varga, "TL-HYB");
    assertThat(varga.text("/api/tech-log", HEAD + raised("TL-HYB", 1)).status()).isEqualTo(200);
    assertThat(open(varga, "TL-HYB")).isEqualTo(before + 1);
    assertThat(varga.delete("/api/imports/" + number(varga)).status()).isEqualTo(200);
    assertThat(open(varga, "TL-HYB")).isEqualTo(before);
    assertThat(latest(varga)).isEqualTo("withdrawn");
    assertThat(varga.delete("/api/imports/" + number(varga)).code()).isEqualTo("withdrawn");

    assertThat(varga.text("/api/tech-log", HEAD + raised("TL-HYB", 1)).text()).contains("1 new lines");
    assertThat(varga.post("/api/tails/TL-HYB/log",
        "{\"kind\":\"cleared\",\"defect\":\"00000000-0000-0009-0000-000000000001\",\"words\":\"changed\"}").status())
        .isEqualTo(200);
    assertThat(latest(varga)).isEqualTo("in-use");
    assertThat(varga.delete("/api/imports/" + number(varga)).code()).isEqualTo("in-use");
  }

  @Test
  public void a_departure_that_went_on_goes_by_it() {
    Http wren = in("adeyo");
    crewIn(wren, in("marsk"));
    Http varga = in("varga");
    String tail = wren.get("/api/departures/today-14").json().path("tail").asString();
    varga.text("/api/tech-log", HEAD + raised(tail, 2));
    int number = number(varga);
    wren.event("step-done", "{\"step\":\"wa-vane-l\"}");
    assertThat(varga.delete("/api/imports/" + number).code()).isEqualTo("in-use");
    assertThat(varga.delete("/api/imports/999999").status()).isEqualTo(404);
    assertThat(varga.delete("/api/imports/x").status()).isEqualTo(400);
  }

  @Test
  public void a_fleet_can_be_withdrawn_and_who_came_with_it_is_out() throws IOException {
    Http admin = in("administrator");
    String fleet = Files.readString(Given.ROOT.resolve("demo/fleet.yaml"));
    String before = admin.get("/api/fleet").json().path("edition").asString();
    String larger = fleet.replace("crew:\n", "crew:\n  - {id: newcomer, name: Ann Newcomer, role: captain}\n");
    JsonNode given = admin.text("/api/fleet", larger).json().path("signIns");
    assertThat(given.size()).isEqualTo(1);
    String password = given.path(0).path("password").asString();
    Http newcomer = Http.in(port, "newcomer", password);
    assertThat(newcomer.get("/api/session").status()).isEqualTo(200);

    String flights =
        "format: neat-lanyard/flights/1\nflights:\n  - {id: theirs, number: Flight 77, tail: TL-DVA, from: QTRN, to: "
        + "QVSK, "
        + "departs-in: PT5H, crew: [{who: newcomer, seat: left, commander: true, flying: true}, {who: adeyo, seat: "
        + "right}]}\n";
    assertThat(admin.text("/api/flights", flights).status()).isEqualTo(200);
    String edition = admin.get("/api/fleet").json().path("edition").asString();
    assertThat(admin.delete("/api/fleet?edition=77").code()).isEqualTo("other-fleet");
    assertThat(admin.delete("/api/fleet?edition=" + edition).json().path("detail").asString()).contains("Flight 77");
    assertThat(admin.delete("/api/flights/theirs").status()).isEqualTo(200);

    assertThat(admin.delete("/api/fleet?edition=" + edition).status()).isEqualTo(200);
    assertThat(newcomer.get("/api/session").json().path("id").asString()).isNotEqualTo("newcomer");
    assertThat(admin.get("/api/fleet").json().path("edition").asString()).isEqualTo(before);
    // Pressed once more on the same screen, nothing else goes.
    assertThat(admin.delete("/api/fleet?edition=" + edition).code()).isEqualTo("other-fleet");
  }
}

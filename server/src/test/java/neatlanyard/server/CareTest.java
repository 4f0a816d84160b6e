package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import org.springframework.beans.factory.annotation.Autowired;
import neatlanyard.core.fleet.Flights;
import neatlanyard.store.db.Database;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What whoever runs the server can see of it, and what it says when its disk takes nothing. */
@SuppressWarnings("NullAway.Init") // The framework fills the fields.
public class CareTest extends AtTheServer {
  @Autowired private Database db;
  @Autowired private Flights flights;

  private HttpResponse<String> plain(String path, String... headers) throws Exception {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + path)).GET();
    if (headers.length > 0) {
      request.headers(headers);
    }
    return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
  }

  @Test
  public void its_health_is_for_everybody_and_the_rest_for_administrators() throws Exception {
    assertThat(plain("/actuator/health/liveness").body()).isEqualTo("{\"status\":\"UP\"}");
    assertThat(plain("/actuator/health/readiness").body()).isEqualTo("{\"status\":\"UP\"}");
    assertThat(plain("/actuator/metrics").statusCode()).isEqualTo(401);
    assertThat(in("orrin").get("/actuator/metrics").status()).isEqualTo(403);
    Http admin = in("administrator");
    assertThat(admin.get("/actuator/health").text()).contains("database", "diskSpace");
    crewIn(in("adeyo"), in("marsk"));
    assertThat(admin.get("/actuator/metrics").text())
        .contains("lanyard.presses", "lanyard.folds", "lanyard.departures",
        "lanyard.heavy.waiting", "lanyard.streams", "disk.free");
    assertThat(admin.get("/actuator/metrics/lanyard.presses").json().path("measurements").get(0).path("value")
        .asDouble()).isPositive();
    assertThat(admin.get("/actuator/env").status()).isEqualTo(404);
  }

  @Test
  public void phones_can_install_it_and_its_interface_can_be_browsed_by_those_signed_in() throws Exception {
    assertThat(plain("/manifest.webmanifest").headers().firstValue("Content-Type"))
        .contains("application/manifest+json");
    assertThat(plain("/icon-192.png").headers().firstValue("Content-Type")).contains("image/png");
    assertThat(plain("/swagger-ui/index.html").statusCode()).isEqualTo(401);
    assertThat(in("orrin").get("/swagger-ui/index.html").text()).contains("swagger-ui");
  }

  @Test
  public void anybody_can_have_the_key_that_records_are_signed_with() throws Exception {
    assertThat(plain("/api/record-keys").body()).contains("BEGIN PUBLIC KEY", "fingerprint");
  }

  /** Forwarded headers are believed of a proxy that was named, and none was. */
  @Test
  public void nobody_says_for_themselves_where_they_come_from() throws Exception {
    HttpRequest forged = HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/api/about"))
        .header("X-Forwarded-For", "203.0.113.7").header("X-Forwarded-Proto", "https").build();
    HttpResponse<String> answer = HttpClient.newHttpClient().send(forged, HttpResponse.BodyHandlers.ofString());
    assertThat(answer.headers().firstValue("Strict-Transport-Security")).as("it did not come over HTTPS").isEmpty();
    assertThat(in("administrator").get("/api/access").text()).doesNotContain("203.0.113");
  }

  /** A disk that takes nothing, as SQLite meets it: 503 with the reason, nothing lost, and it goes on by itself. */
  @Test
  public void while_the_disk_is_full_everything_says_so_and_it_goes_on_once_it_is_mended() throws Exception {
    Http wren = in("adeyo");
    Http ida = in("marsk");
    crewIn(wren, ida);
    int known = flights.all().size();
    db.write(sql -> sql.execute("pragma query_only = 1"));
    try {
      Http.Answer press = wren.event("step-done", "{\"step\":\"wa-vane-l\"}");
      assertThat(press.status()).isEqualTo(503);
      assertThat(press.code()).isEqualTo("not-kept");
      assertThat(press.json().path("detail").asString()).contains("it may only be read");
      assertThat(new Http(port).post("/api/session", "{\"who\":\"marsk\",\"password\":\"bare-cord-11\"}").status())
          .isEqualTo(503);
      assertThat(ida.get("/api/departures/today-14").status()).as("what is known is still shown").isEqualTo(200);
      assertThat(plain("/actuator/health/readiness").statusCode()).isEqualTo(503);
    } finally {
      db.write(sql -> sql.execute("pragma query_only = 0"));
    }
    assertThat(wren.event("step-done", "{\"step\":\"wa-vane-l\"}").status()).isEqualTo(200);
    assertThat(plain("/actuator/health/readiness").statusCode()).isEqualTo(200);
    assertThat(flights.all()).hasSize(known);
  }

  /** As another tool or another version may write them. */
  @Test
  public void a_row_that_cannot_be_read_keeps_nothing_else_from_being_shown() {
    Http wren = in("adeyo");
    crewIn(wren, in("marsk"));
    int before = wren.get("/api/departures").json().size();
    for (String row : List.of(
        "insert into flight (id, number, tail, from_airfield, to_airfield, departs_at) values ('no id!', '', '', '', "
        + "'', -5)",
        "insert into flight (id, number, tail, from_airfield, to_airfield, departs_at) values ('far', 'Far', "
        + "'TL-NONE', "
        + "'QZZZ', 'QYYY', 99999999999999)",
        "insert into entry values ('today-22', 1, 'x', 'h', '{\"kind\":\"nonsense\"}')",
        "insert into access_line (at, by_whom, act, about, words) values (0, 'x', 'NO_SUCH', 'a', 'b')",
        "insert into reading (tail, quantity, at, landings, hours, value) values ('TL-HYB', 'No id!', 0, 1, 1, 1)",
        "insert into tech_line (tail, defect, at, who, name, act, words) values ('TL-HYB', 'none', 0, 'v', 'V', "
        + "'raised', 'odd words')")) {
      db.write(sql -> sql.execute(row));
    }
    Http.Answer list = wren.get("/api/departures");
    assertThat(list.json().size()).isEqualTo(before + 1);
    assertThat(list.text()).contains("its log cannot be read");
    assertThat(wren.get("/api/departures/today-22").code()).isEqualTo("log-unreadable");
    assertThat(wren.post("/api/departures/today-22/open", "{}").code()).isEqualTo("log-unreadable");
    assertThat(wren.get("/api/departures/today-14").status()).isEqualTo(200);
    assertThat(wren.event("step-done", "{\"step\":\"wa-vane-l\"}").status()).isEqualTo(200);
    assertThat(in("administrator").get("/api/access").status()).isEqualTo(200);
    assertThat(in("administrator").get("/actuator/health").text())
        .contains("rows that cannot be read", "no id! of flight");

    // It may have been a defect, so it is one until maintenance control has cleared it.
    Http varga = in("varga");
    JsonNode open = varga.get("/api/tails/TL-HYB/log").json().path("open").path(0);
    assertThat(open.toString()).contains("cannot be read", "odd words");
    assertThat(varga.post("/api/tails/TL-HYB/log",
        "{\"kind\":\"cleared\",\"defect\":\"%s\",\"words\":\"looked at\"}".formatted(
        open.path("id").asString())).status()).isEqualTo(200);
    assertThat(varga.get("/api/tails/TL-HYB/log").json().path("open").toString()).doesNotContain("odd words");
  }
}

package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.file.Files;
import java.util.List;
import org.testng.annotations.Test;

/** Access is given by administrators alone, and can be taken away at once; guessing locks nobody out. */
public class AccessTest extends AtTheServer {
  private static String signIn(String who, String password) {
    return "{\"who\":\"%s\",\"password\":\"%s\"}".formatted(who, password);
  }

  private static List<String> acts(Http admin) {
    return admin.get("/api/access").json().path("lines").valueStream()
        .map(l -> "%s: %s %s".formatted(l.path("by").asString(), l.path("act").asString(), l.path("about").asString()))
        .toList();
  }

  @Test
  public void whose_access_is_taken_away_is_out_at_once_with_their_streams() throws Exception {
    Http admin = in("administrator");
    Http holm = in("holm");
    in("adeyo").post("/api/departures/today-14/open", "{}");
    try (InputStream stream = holm.stream("/api/departures/today-14/stream")) {
      assertThat(stream.read()).isPositive();
      assertThat(admin.post("/api/accounts/holm/take-away", "{}").status()).isEqualTo(200);
      assertThat(holm.get("/api/departures").status()).isEqualTo(401);
      stream.readAllBytes(); // Comes to its end, as the server has closed it.
    }
    assertThat(new Http(port).post("/api/session", signIn("holm", "gravel-strip-9")).status()).isEqualTo(401);
    assertThat(admin.post("/api/accounts/administrator/take-away", "{}").code())
        .as("somebody must be able to give it back").isEqualTo("own-access");
    String again = admin.post("/api/accounts/holm/one-time-password", "{}").json().path("password").asString();
    Http back = Http.in(port, "holm", again);
    assertThat(back.post("/api/session/password", "{\"now\":\"%s\",\"next\":\"gravel-strip-9\"}".formatted(again))
        .status()).isEqualTo(200);
    assertThat(acts(admin)).contains("Administrator: took access away Petra Holm",
        "Administrator: gave a one-time password Petra Holm");
  }

  @Test
  public void signing_out_ends_each_copy_of_the_cookie_and_a_new_password_ends_all_other_sign_ins() {
    Http tablet = in("holm");
    Http copy = tablet.copy();
    assertThat(copy.get("/api/session").status()).isEqualTo(200);
    assertThat(tablet.delete("/api/session").status()).isEqualTo(204);
    assertThat(copy.get("/api/session").status()).isEqualTo(401);
    Http phone = in("holm");
    Http desk = in("holm");
    assertThat(desk.post("/api/session/password", "{\"now\":\"gravel-strip-9\",\"next\":\"password123\"}").code())
        .isEqualTo("weak-password");
    assertThat(desk.post("/api/session/password", "{\"now\":\"gravel-strip-9\",\"next\":\"fourth-chair-7\"}").status())
        .isEqualTo(200);
    assertThat(desk.get("/api/session").status()).isEqualTo(200);
    assertThat(phone.get("/api/session").status()).isEqualTo(401);
    assertThat(desk.post("/api/session/password", "{\"now\":\"fourth-chair-7\",\"next\":\"gravel-strip-9\"}").status())
        .isEqualTo(200);
  }

  @Test
  public void a_fleet_gives_and_takes_roles_and_only_an_administrator_brings_one_in() throws Exception {
    String fleet = Files.readString(Given.ROOT.resolve("demo/fleet.yaml"));
    String withSpy = fleet.replace("  - {id: rand,",
        "  - {id: spy, name: Not Real, role: administrator}\n  - {id: rand,");
    assertThat(in("orrin").text("/api/fleet", withSpy).code()).isEqualTo("not-your-role");
    Http admin = in("administrator");
    Http quill = in("quill");
    assertThat(admin.text("/api/fleet", fleet.replaceAll("(?m)^.*id: quill,.*$", "").replace("\n\n", "\n")).status())
        .isEqualTo(200);
    assertThat(quill.get("/api/session").status()).as("no longer in the fleet").isEqualTo(401);
    String given = admin.text("/api/fleet", fleet.replace("Tomas Quill, role: captain", "Tomas Quill, role: training"))
        .json()
        .path("signIns").get(0).path("password").asString();
    Http back = Http.in(port, "quill", given);
    assertThat(back.get("/api/session").json().path("role").asString()).isEqualTo("training");
    assertThat(back.post("/api/session/password", "{\"now\":\"%s\",\"next\":\"tide-table-35\"}".formatted(given))
        .status()).isEqualTo(200);
    assertThat(admin.text("/api/fleet", fleet).json().path("signIns")).isEmpty();
    assertThat(back.get("/api/session").status()).as("the role changed").isEqualTo(401);
    assertThat(in("quill").get("/api/session").json().path("role").asString()).isEqualTo("captain");
    assertThat(acts(admin)).contains("Administrator: took access away Tomas Quill",
        "Administrator: gave a role Tomas Quill");
  }

  @Test
  public void guessing_at_a_name_does_not_lock_its_owner_out_of_a_device_of_theirs() {
    Http own = in("saldo");
    assertThat(own.delete("/api/session").status()).isEqualTo(204);
    Http guesser = new Http(port);
    int refused = 0;
    for (int i = 0; i < 7; i++) {
      refused += guesser.post("/api/session", signIn("saldo", "guess-" + i)).status() == 429 ? 1 : 0;
    }
    assertThat(refused).isPositive();
    assertThat(guesser.post("/api/session", signIn("saldo", "third-seat-31")).status()).as("not even the right one")
        .isEqualTo(429);
    assertThat(own.post("/api/session", signIn("saldo", "third-seat-31")).status()).isEqualTo(200);
    Http strange = new Http(port);
    strange.cookie("lanyard-device", "bm9ib2R5IHNhbGRv.0000");
    assertThat(strange.post("/api/session", signIn("saldo", "third-seat-31")).status())
        .as("a device cookie made by oneself").isEqualTo(429);
    String failures = in("administrator").get("/api/access").json().path("failures").toString();
    assertThat(failures).contains("\"name\":\"saldo\"", "\"times\":5");
  }

  @Test
  public void names_that_nobody_has_are_slowed_alike_and_cut() {
    Http guesser = new Http(port);
    String name = "x".repeat(5_000);
    int status = 0;
    for (int i = 0; i < 7 && status != 429; i++) {
      status = guesser.post("/api/session", signIn(name, "guess-" + i)).status();
    }
    assertThat(status).isEqualTo(429);
    assertThat(in("administrator").get("/api/access").json().path("failures").toString())
        .doesNotContain("x".repeat(41));
  }
}

package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Drills over HTTP: the same by its seed, answered once, of each person alone, and in no departure's log. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework fills the field.
public class DrillsTest extends AbstractTestNGSpringContextTests {
  private static final String PASSED =
      "{\"passed\":3,\"callsRight\":6,\"callsWrong\":0,\"complete\":true,\"tookS\":12.5}";

  private static final String HISTORY = "/api/tails/TL-DVA/control-history.csv";

  @LocalServerPort private int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
  }

  private static JsonNode begun(Http who, String form) {
    return who.post("/api/drills", form).json();
  }

  private static Http.Answer answered(Http who, JsonNode drill, String... answers) {
    return who.post("/api/drills/" + drill.path("id").asString() + "/answers",
        "{\"answers\":[" + String.join(",", answers) + "]}");
  }

  @Test
  public void a_drill_is_drawn_answered_once_and_drawn_again() {
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    Http ida = Http.in(port, "marsk", "bare-cord-11");
    String checks = wren.get(HISTORY).text();
    String form = "{\"type\":\"dovrin-46\",\"task\":\"watch\",\"rounds\":6,\"seed\":160}";
    JsonNode drill = begun(wren, form);
    assertThat(begun(wren, form).path("drill")).isEqualTo(drill.path("drill"));
    assertThat(begun(wren, form.replace("160", "161")).path("drill")).isNotEqualTo(drill.path("drill"));
    String unseeded = form.replace(",\"seed\":160", "");
    assertThat(begun(wren, unseeded).path("seed")).as("never the same twice").isNotEqualTo(begun(wren, unseeded)
        .path("seed"));

    // The elevator stood still, and was stopped half a second after that showed; then a sound one was let pass.
    String stopped = PASSED.replace("{", "{\"stoppedS\":4.7,\"shownS\":4.2,").replace("\"passed\":3", "\"passed\":0");
    JsonNode result = answered(wren, drill, stopped, PASSED).json();
    assertThat(result.path("rounds").valueStream().map(r -> r.path("words").asString())).containsExactly(
        "Found after 0.5 s. Elevator did not move.", "Let pass, and nothing was wrong.");
    assertThat(answered(wren, drill, PASSED, PASSED, PASSED).json()).as("those that came first").isEqualTo(result);
    JsonNode all = wren.get("/api/drills").json();
    assertThat(all.path("past")).hasSize(1);
    JsonNode detection = all.path("scores").path(0).path("detection");
    assertThat(detection.path("found").asInt()).isEqualTo(1);
    assertThat(detection.path("letPass").asInt()).isEqualTo(3);
    assertThat(detection.path("measured").path("dPrime").asDouble()).isPositive();
    JsonNode again = begun(wren, "{\"again\":\"%s\"}".formatted(drill.path("id").asString()));
    assertThat(again.path("drill")).isEqualTo(drill.path("drill"));

    assertThat(ida.get("/api/drills").json().path("past")).isEmpty();
    assertThat(ida.get("/api/drills/" + drill.path("id").asString()).status()).isEqualTo(404);
    assertThat(answered(ida, again, PASSED).status()).isEqualTo(404);
    assertThat(wren.get(HISTORY).text()).as("a drill is no check of a tail").isEqualTo(checks);
  }

  @Test
  public void what_cannot_have_been_answered_is_refused() {
    Http holm = Http.in(port, "holm", "gravel-strip-9");
    JsonNode drill = begun(holm, "{\"type\":\"halyard-210\",\"task\":\"both\",\"rounds\":1}");
    assertThat(answered(holm, drill).status()).isEqualTo(422);
    assertThat(answered(holm, drill, PASSED, PASSED).status()).isEqualTo(422);
    assertThat(answered(holm, drill, PASSED.replace("12.5", "1e300")).status()).isEqualTo(422);
    assertThat(answered(holm, drill, "null").status()).isEqualTo(422);
    assertThat(holm.post("/api/drills", "{\"type\":\"dovrin-46\",\"rounds\":25}").status()).isEqualTo(422);
    assertThat(holm.post("/api/drills", "{\"type\":\"no-such-type\"}").status()).isEqualTo(404);
    assertThat(answered(holm, drill, PASSED).status()).isEqualTo(200);
  }
}

package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Recordings at a desk: judged with one's own heads or with those that somebody kept by a name, and written anew. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework fills the field.
public class RecordingsTest extends AbstractTestNGSpringContextTests {
  private static final Path SOUND =
      Path.of(System.getProperty("lanyard.root", ".."), "demo/traces/dovrin-46-sound.csv");
  private static final String JUDGED = "/api/recordings?type=dovrin-46";

  @LocalServerPort private int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
  }

  @Test
  public void somebody_elses_heads_are_kept_by_a_name_and_their_recording_is_judged_as_ours() throws IOException {
    Http varga = Http.in(port, "varga", "torque-stripe-7");
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    String ours = Files.readString(SOUND);
    JsonNode judged = wren.text(JUDGED, ours).json();
    assertThat(judged.path("judgement").path("verdict").asString()).isEqualTo("passed");
    String theirs = ours.replaceFirst("elevator-deg", "ELEV POS");
    assertThat(theirs).isNotEqualTo(ours);
    assertThat(wren.text(JUDGED, theirs).status()).isEqualTo(422);

    String heads = "format: neat-lanyard/trace-names/1\ncolumns:\n  - {theirs: ELEV POS, ours: elevator-deg}\n";
    assertThat(wren.text("/api/head-names/Box%20B", heads).status()).as("not hers to keep").isEqualTo(403);
    assertThat(varga.text("/api/head-names/Box%20B", heads).status()).isEqualTo(200);
    JsonNode same = wren.text(JUDGED + "&names=Box%20B", theirs).json();
    assertThat(same.path("judgement")).isEqualTo(judged.path("judgement"));
    assertThat(same.path("values")).isEqualTo(judged.path("values"));
    JsonNode csv = wren.text("/api/recordings/rewritten?type=dovrin-46&names=Box%20B", theirs).json();
    assertThat(wren.text(JUDGED, csv.path("csv").asString()).json().path("judgement"))
        .isEqualTo(judged.path("judgement"));
    assertThat(wren.get("/api/head-names/Box%20B").text()).isEqualTo(heads);
    assertThat(wren.delete("/api/head-names/Box%20B").status()).isEqualTo(403);
    assertThat(varga.delete("/api/head-names/Box%20B").status()).isEqualTo(200);
    assertThat(wren.text(JUDGED + "&names=Box%20B", theirs).status()).isEqualTo(404);
  }

  @Test
  public void what_is_no_recording_or_no_file_of_heads_is_refused_with_its_faults() throws IOException {
    Http varga = Http.in(port, "varga", "torque-stripe-7");
    refused(varga.text("/api/head-names/x", "format: other"), 422);
    refused(varga.text("/api/head-names/" + "x".repeat(41), "format: other"), 422);
    refused(varga.text(JUDGED, "no,head\n"), 422);
    refused(varga.bytes(JUDGED, new byte[] {0x1f, (byte) 0x8b, 8, 0}), 422);
    refused(varga.text("/api/recordings?type=none", Files.readString(SOUND)), 404);
    refused(varga.get("/api/tails/TL-DVA/recordings/today-14/" + "0".repeat(64)), 404);
    refused(varga.get("/api/tails/TL-DVA/recordings/today%2014/x"), 404);
    assertThat(varga.text(JUDGED, new String(new char[] {0}) + "seconds").status()).isBetween(400, 499);
    assertThat(varga.bytes(JUDGED, "seconds\n".getBytes(StandardCharsets.UTF_16)).status()).isBetween(400, 499);
  }

  private static void refused(Http.Answer answer, int status) {
    assertThat(answer.status()).as(answer.text()).isEqualTo(status);
    assertThat(answer.json().path("tryThis").asString()).isNotEmpty();
  }
}

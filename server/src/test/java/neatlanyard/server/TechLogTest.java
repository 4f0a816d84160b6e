package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Random;
import java.util.UUID;
import javax.imageio.ImageIO;
import neatlanyard.server.Http.Answer;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * From a find to the technical log and back: measured, judged, decided, deferred, cleared; and photos over a bad link.
 */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework and the set-up fill the fields.
public class TechLogTest extends AbstractTestNGSpringContextTests {
  private static final String PHOTO = "/api/departures/today-14/photos/%s?sha256=%s&total=%d&from=%d";

  @LocalServerPort private int port;
  private Http wren;
  private Http ida;
  private Http varga;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
    registry.add("lanyard.begin-at", () -> "2027-01-14T06:30:00Z");
  }

  @BeforeClass
  void crew() {
    wren = Http.in(port, "adeyo", "north-slip-24");
    ida = Http.in(port, "marsk", "bare-cord-11");
    varga = Http.in(port, "varga", "torque-stripe-7");
    assertThat(wren.post("/api/departures/today-14/open", "{}").status()).isEqualTo(200);
    assertThat(wren.event("seat-taken", "{\"seat\":\"right\"}").status()).isEqualTo(200);
    assertThat(ida.event("seat-taken", "{\"seat\":\"left\"}").status()).isEqualTo(200);
    String report = wren.get("/api/departures/today-14/report").json().path("text").asString();
    Answer cut = wren.event("day-set",
        "{\"report\":\"%s\",\"simulated\":true,\"circumstances\":[\"first-flight\"]}".formatted(report));
    assertThat(cut.status()).isEqualTo(200);
    done("pu-pumps-off", "pu-ice-off", "pu-probe-off", "pu-brake");
  }

  private void done(String... steps) {
    for (String step : steps) {
      assertThat(wren.event("step-done", "{\"step\":\"%s\"}".formatted(step)).status()).as(step).isEqualTo(200);
    }
  }

  private JsonNode view() {
    return wren.get("/api/departures/today-14").json();
  }

  private JsonNode find(String containing) {
    return view().path("progress").path("finds").valueStream()
        .filter(f -> f.path("note").asString().contains(containing)).findFirst().orElseThrow();
  }

  private Answer measured(String step, String value) {
    return wren.event("measured", "{\"step\":\"%s\",\"value\":%s}".formatted(step, value));
  }

  /** Half a year of run-ups: the oil pressure of one engine of four goes to its least, and another's stays. */
  @Test
  public void what_crews_read_is_followed_engine_by_engine() {
    JsonNode trends = wren.get("/api/tails/TL-BF4/reading-trends").json().path("trends");
    assertThat(trends).hasSizeGreaterThanOrEqualTo(20);
    assertThat(trends.get(0).path("words").asString())
        .startsWith("Engine 3, oil pressure").contains("70 psi is the least", "loses", "a week", "meets it in");
    assertThat(trends.valueStream().filter(t -> t.path("of").asString().equals("Engine 1, oil pressure")))
        .singleElement().matches(t -> !t.path("worsens").asBoolean());
    assertThat(trends.valueStream().filter(t -> t.path("of").asString().equals("Engine 4, generator")))
        .singleElement().matches(t -> t.path("changes").size() == 1);
    assertThat(wren.get("/api/tails/304/reading-trends").json().path("trends")).isEmpty();
    assertThat(wren.get("/api/tails/TL-NOBODY/reading-trends").status()).isEqualTo(404);
  }

  /** The demo's eight months say which aileron goes where. */
  @Test
  public void what_control_checks_measured_is_followed_by_tail() {
    JsonNode losing = wren.get("/api/tails/TL-DVB/control-trends").json();
    assertThat(losing.path("rows").asInt()).isGreaterThanOrEqualTo(70);
    JsonNode first = losing.path("trends").get(0);
    assertThat(first.path("worsens").asBoolean()).isTrue();
    assertThat(first.path("words").asString()).contains("Left aileron", "a week", "meets it in");
    assertThat(first.path("line")).hasSize(2);
    JsonNode sound = wren.get("/api/tails/TL-DVA/control-trends").json();
    assertThat(sound.path("trends").valueStream()).isNotEmpty().noneMatch(t -> t.path("worsens").asBoolean());
    String csv = wren.get("/api/tails/TL-DVA/control-history.csv").text();
    assertThat(csv.lines().count()).isGreaterThan(1_000);
    assertThat(wren.text("/api/control-history", csv).code()).isEqualTo("not-your-role");
    assertThat(varga.text("/api/control-history", "tail,at\nx,y\n").code()).isEqualTo("faulty");
    assertThat(wren.get("/api/tails/TL-NOBODY/control-trends").status()).isEqualTo(404);
  }

  @Test
  public void what_is_deferred_on_the_tail_is_on_the_card_from_the_start() {
    JsonNode tech = view().path("progress").path("tech");
    assertThat(tech.path("deferrals").findValuesAsString("entry")).contains("52-1");
    assertThat(tech.path("before").findValuesAsString("what")).contains("Cut 1 mm deep across the outer tyre");
    assertThat(view().path("card").path("parts").findParents("id").stream()
        .filter(i -> i.path("id").asString().equals("dx-service-door")))
        .singleElement().satisfies(i -> assertThat(i.path("added").asString())
        .startsWith("deferred: 52-1 Service door indicator"));
  }

  @Test
  public void a_short_pin_says_when_and_a_wrong_value_is_said_clearly() {
    assertThat(measured("wa-brake-r", "4.2").status()).isEqualTo(200);
    JsonNode reading = view().path("progress").path("steps").path("wa-brake-r").path("reading");
    assertThat(reading.path("level").asString()).isEqualTo("soon");
    assertThat(reading.path("words").asString()).contains("landings left").contains("2027-");
    assertThat(reading.path("arithmetic").toString()).contains("a landing").contains("brake change");
    assertThat(measured("wa-brake-r", "1e9").code()).isEqualTo("not-a-value");
    assertThat(measured("wa-brake-r", "\"4,2\"").status()).isEqualTo(422);
    assertThat(view().path("progress").path("steps").path("wa-brake-r").path("reading").path("value").asDouble())
        .isEqualTo(4.2);
  }

  /**
   * One bulb of two: the list lets it go with an entry; the log of the tail has it; the next crew looks at the other
   * bulb.
   */
  @Test
  public void one_bulb_out_goes_into_the_log_with_its_last_day_and_maintenance_clears_it() {
    assertThat(measured("wa-tip-r", "1").status()).isEqualTo(200);
    JsonNode find = find("1 missing");
    assertThat(find.path("proposed").path("entry").asString()).isEqualTo("33-2");
    String id = find.path("id").asString();
    String verdict = "{\"find\":\"%s\",\"verdict\":\"%s\",\"words\":\"%s\"}";
    Answer milder = ida.event("verdict-taken", verdict.formatted(id, "nothing_to_enter", "one is enough"));
    assertThat(milder.code()).isEqualTo("milder");
    assertThat(ida.event("verdict-taken", verdict.formatted(id, "fly_with_entry", "entered")).status()).isEqualTo(200);
    JsonNode log = varga.get("/api/tails/TL-DVA/log").json();
    JsonNode defect = log.path("deferred").valueStream().filter(d -> d.path("id").asString().equals(id)).findFirst()
        .orElseThrow();
    assertThat(defect.path("terms").path("lastDay").asString()).as("category B, three days after today")
        .isEqualTo("2027-01-17");
    assertThat(view().path("card").path("parts").findValuesAsString("id")).contains("dx-bulb-r");
    assertThat(wren.get("/api/tails/TL-DVA/due.ics").text()).contains("DTSTART;VALUE=DATE:20270117").contains(id);
    assertThat(wren.get("/api/tails/TL-DVA/log.csv").text()).contains(id + ",")
        .contains("deferred,,,,33-2,1,2027-01-17,entered");
    String act = "{\"kind\":\"cleared\",\"defect\":\"%s\",\"words\":\"bulb changed\"}".formatted(id);
    assertThat(wren.post("/api/tails/TL-DVA/log", act).code()).isEqualTo("maintenance-only");
    assertThat(varga.post("/api/tails/TL-DVA/log", act).status()).isEqualTo(200);
    assertThat(view().path("card").path("parts").findValuesAsString("id")).doesNotContain("dx-bulb-r");
    assertThat(varga.get("/api/tails/TL-DVA/log.pdf").text()).startsWith("%PDF");
  }

  @Test
  public void maintenance_first_stops_the_departure_until_maintenance_says_so() {
    UUID id = Http.uuid7();
    String raised =
        "{\"find\":\"%s\",\"step\":\"wa-gear-r\",\"note\":\"leak at the "
        + "line\",\"what\":{\"severity\":\"defect\",\"count\":1,\"entry\":null,\"spot\":{\"x\":4.1,\"y\":10.6},"
        + "\"photos\":[]}}";
    assertThat(wren.event("find-raised", raised.formatted(id)).status()).isEqualTo(200);
    assertThat(find("leak").path("proposed").path("verdict").asString()).isEqualTo("Maintenance first");
    assertThat(find("leak").path("proposed").path("because").toString())
        .contains("None of the list's entries for this place was named: 32-4 Anti-skid");
    assertThat(ida.event("verdict-taken",
        "{\"find\":\"%s\",\"verdict\":\"maintenance_first\",\"words\":\"look at it\"}".formatted(id)).status())
        .isEqualTo(200);
    assertThat(view().path("progress").path("tags").findValuesAsString("key")).contains("verdict/" + id);
    assertThat(varga.post("/api/tails/TL-DVA/log",
        "{\"kind\":\"cleared\",\"defect\":\"%s\",\"words\":\"union tightened, no leak\"}".formatted(id)).status())
        .isEqualTo(200);
    assertThat(view().path("progress").path("tags").findValuesAsString("key")).doesNotContain("verdict/" + id);
    assertThat(find("leak").path("proposed").path("because").toString()).contains("union tightened");
  }

  /**
   * TL-DVC's bulb was deferred a week ago under B: it has run out, and the flight is stopped before anything is done.
   */
  @Test
  public void a_deferral_that_has_run_out_bars_the_departure() {
    Http quill = Http.in(port, "quill", "tide-table-35");
    assertThat(quill.post("/api/departures/today-22/open", "{}").status()).isEqualTo(200);
    JsonNode tech = quill.get("/api/departures/today-22").json().path("progress").path("tech");
    assertThat(tech.path("deferrals").findValuesAsString("bars"))
        .anyMatch(b -> b.startsWith("It ran out at the end of 2027-01-10"));
    JsonNode tails = quill.get("/api/tails").json();
    assertThat(tails.valueStream().filter(t -> t.path("tail").asString().equals("TL-DVC"))).singleElement()
        .satisfies(t -> assertThat(t.path("runOut").asInt()).isEqualTo(1));
  }

  @Test
  public void the_log_of_another_aircraft_hangs_a_tag_that_cannot_stay() {
    assertThat(wren.event("log-tail-read", "{\"tail\":\"TL-DVB\"}").status()).isEqualTo(200);
    assertThat(view().path("progress").path("tags").findParents("key").stream()
        .filter(t -> t.path("key").asString().equals("other-log/log")))
        .singleElement().satisfies(t -> assertThat(t.path("mayStay").asBoolean()).isFalse());
    assertThat(wren.event("log-tail-read", "{\"tail\":\"TL-DVA\"}").status()).isEqualTo(200);
    assertThat(view().path("progress").path("tags").findValuesAsString("key")).doesNotContain("other-log/log");
  }

  @Test
  public void what_maintenance_brings_in_is_taken_whole_or_not_at_all() {
    assertThat(wren.text("/api/tech-log", "tail").status()).isEqualTo(403);
    Answer bad = varga.text("/api/tech-log", "tail,defect\r\n");
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.json().path("faults").toString()).contains("'act' is missing");
    String csv = varga.get("/api/tails/TL-DVB/log.csv").text();
    assertThat(varga.text("/api/tech-log", csv).json().path("what").asString()).as("all of it is there")
        .isEqualTo("0 new lines.");
    String other = csv.replaceAll("0000-4000", "0001-4000");
    assertThat(varga.text("/api/tech-log", other).json().path("what").asString()).isEqualTo("2 new lines.");
    assertThat(varga.text("/api/dispatch-lists", "format: x").status()).isEqualTo(422);
    assertThat(wren.get("/api/dispatch-lists/dovrin-46").text()).contains("entries:");
  }

  private static byte[] picture(int width, int height, String kind) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(4);
    for (int i = 0; i < width * height / 4; i++) {
      image.setRGB(random.nextInt(width), random.nextInt(height), random.nextInt());
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, kind, out);
    return out.toByteArray();
  }

  /** A JPEG with a block of words behind its beginning, as cameras write where they were. */
  private static byte[] withPlace(byte[] jpeg) {
    byte[] words = "Exif\0\0GPS 61.42 N 2.15 E".getBytes(StandardCharsets.US_ASCII);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(Arrays.copyOf(jpeg, 2));
    out.writeBytes(new byte[] {(byte) 0xff, (byte) 0xe1, 0, (byte) (words.length + 2)});
    out.writeBytes(words);
    out.writeBytes(Arrays.copyOfRange(jpeg, 2, jpeg.length));
    return out.toByteArray();
  }

  private Answer part(UUID id, byte[] whole, int from, int to) throws Exception {
    String sha = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(whole));
    return wren.bytes(PHOTO.formatted(id, sha, whole.length, from), Arrays.copyOfRange(whole, from, to));
  }

  @Test
  public void a_photo_arrives_in_parts_and_only_the_picture_is_kept() throws Exception {
    byte[] whole = withPlace(picture(2_000, 900, "jpeg"));
    UUID id = Http.uuid7();
    assertThat(part(id, whole, 0, 1_000).json().path("received").asInt()).isEqualTo(1_000);
    assertThat(part(id, whole, 0, 1_000).json().path("received").asInt()).as("sent twice, counted once")
        .isEqualTo(1_000);
    assertThat(part(id, whole, 5_000, 6_000).code()).isEqualTo("photo-hole");
    assertThat(wren.get("/api/photos/" + id + "/received").json().path("received").asInt()).isEqualTo(1_000);
    assertThat(part(id, whole, 1_000, whole.length).json().path("whole").asBoolean()).isTrue();
    byte[] kept = wren.getBytes("/api/photos/" + id);
    assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("GPS");
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(kept));
    assertThat(image.getWidth()).isEqualTo(1_600);
    assertThat(image.getHeight()).isEqualTo(720);
  }

  @Test
  public void what_is_no_picture_is_refused_in_words_and_forgotten() throws Exception {
    byte[] words = "not a picture at all".getBytes(StandardCharsets.UTF_8);
    UUID id = Http.uuid7();
    assertThat(part(id, words, 0, words.length).code()).isEqualTo("not-a-picture");
    assertThat(wren.get("/api/photos/" + id + "/received").json().path("received").asInt()).isZero();
    byte[] torn = Arrays.copyOf(picture(300, 200, "jpeg"), 900);
    assertThat(part(Http.uuid7(), torn, 0, torn.length).code()).isEqualTo("not-a-picture");
    byte[] gif = picture(30, 20, "gif");
    assertThat(part(Http.uuid7(), gif, 0, gif.length).code()).isEqualTo("not-a-picture");
    byte[] small = picture(30, 20, "png");
    String wrong = "0".repeat(64);
    assertThat(wren.bytes(PHOTO.formatted(Http.uuid7(), wrong, small.length, 0), small).code())
        .isEqualTo("photo-torn");
    assertThat(wren.bytes(PHOTO.formatted(Http.uuid7(), wrong, 6_000_000, 0), small).code())
        .isEqualTo("photo-too-large");
    assertThat(varga.bytes(PHOTO.formatted(Http.uuid7(), wrong, 10, 0), new byte[10]).code())
        .isEqualTo("not-rostered");
    byte[] huge = hugePng();
    assertThat(part(Http.uuid7(), huge, 0, huge.length).code()).isEqualTo("picture-too-large");
  }

  /** A PNG whose header says 30 000 by 30 000: it is refused before a pixel is read. */
  private static byte[] hugePng() throws IOException {
    byte[] png = picture(8, 8, "png");
    byte[] side = {0, 0, 0x75, 0x30};
    System.arraycopy(side, 0, png, 16, 4);
    System.arraycopy(side, 0, png, 20, 4);
    java.util.zip.CRC32 crc = new java.util.zip.CRC32();
    crc.update(png, 12, 17);
    for (int i = 0; i < 4; i++) {
      png[29 + i] = (byte) (crc.getValue() >>> 24 - 8 * i);
    }
    return png;
  }
}

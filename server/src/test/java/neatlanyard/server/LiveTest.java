package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Stream;
import neatlanyard.formats.record.RecordFile;
import neatlanyard.server.Http.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.text.PDFTextStripper;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What the other device is told, and the record at the end, over HTTP alone. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public class LiveTest extends AbstractTestNGSpringContextTests {
  private static final JsonMapper JSON = new JsonMapper();

  @LocalServerPort private int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
    registry.add("lanyard.simulated-pace", () -> 500);
  }

  /** One listening device: works what it is told into what it has, until that is as wanted. */
  private static final class Listener implements AutoCloseable {
    private static final Map<String, String> KEYS =
        Map.of("beads", "stage", "tags", "key", "unfinished", "key", "seats", "seat", "finds", "id", "briefing",
        "step");
    private static final Set<String> MAPS = Set.of("steps", "parts", "gates", "values", "allowed", "figures");

    private final BufferedReader in;
    final List<String> ids = new ArrayList<>();
    final List<Integer> changes = new ArrayList<>();
    private int wholes;
    private ObjectNode progress = JSON.createObjectNode();

    Listener(InputStream in) {
      this.in = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
    }

    /** What it has been told, once it is as wanted. */
    JsonNode until(Predicate<JsonNode> wanted) throws IOException {
      return until("progress", wanted);
    }

    JsonNode until(String name, Predicate<JsonNode> wanted) throws IOException {
      String event = "";
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (line.startsWith("event:")) {
          event = line.substring(6).strip();
        } else if (line.startsWith("id:")) {
          ids.add(line.substring(3).strip());
        } else if (line.startsWith("data:")) {
          JsonNode data = heard(event, line.substring(5));
          if ((event.equals("change") ? "progress" : event).equals(name) && wanted.test(data)) {
            return data;
          }
        }
      }
      throw new AssertionError("The stream ended without it");
    }

    private JsonNode heard(String event, String json) {
      JsonNode data = JSON.readTree(json);
      if (event.equals("progress")) {
        progress = (ObjectNode) data;
        wholes++;
      } else if (event.equals("change")) {
        changes.add(json.length());
        assertThat(data.path("from")).as("it starts from what was told").isEqualTo(progress.path("number"));
        data.properties().stream().filter(p -> !p.getKey().equals("from"))
            .forEach(p -> progress.set(p.getKey(), now(p.getKey(), p.getValue())));
      } else {
        return data;
      }
      return progress;
    }

    private JsonNode now(String section, JsonNode change) {
      JsonNode before = progress.path(section);
      String key = KEYS.get(section);
      if (key != null) {
        Map<String, JsonNode> known = new LinkedHashMap<>();
        before.forEach(m -> known.put(m.path(key).asString(), m));
        List<String> order = change.has("order")
            ? change.path("order").valueStream().map(JsonNode::asString).toList() : List.copyOf(known.keySet());
        change.path("changed").properties().forEach(c -> known.put(c.getKey(), c.getValue()));
        return JSON.createArrayNode().addAll(order.stream().map(known::get).toList());
      }
      if (MAPS.contains(section)) {
        ObjectNode after = (ObjectNode) before;
        change.path("gone").forEach(k -> after.remove(k.asString()));
        return after.setAll((ObjectNode) change.path("changed"));
      }
      return change;
    }

    @Override
    public void close() throws IOException {
      in.close();
    }
  }

  private static String step(String id) {
    return "{\"step\":\"%s\"}".formatted(id);
  }

  private static List<String> titles(JsonNode progress) {
    return progress.path("tags").valueStream().map(t -> t.path("title").asString()).toList();
  }

  @Test
  public void the_other_device_is_told_and_the_record_is_whole() throws Exception {
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    Http ida = Http.in(port, "marsk", "bare-cord-11");
    assertThat(ida.get("/api/departures/today-14").code()).isEqualTo("not-found");
    assertThat(Http.in(port, "quill", "tide-table-35").post("/api/departures/today-14/open", "{}").code())
        .isEqualTo("not-rostered");
    JsonNode opened = wren.post("/api/departures/today-14/open", "{}").json();
    assertThat(opened.path("header").path("revision").asString()).isEqualTo("2026-11");
    assertThat(ida.post("/api/departures/today-14/open", "{}").json().path("progress").path("number").asLong())
        .as("opened once, whoever asks again").isEqualTo(4);
    try (Listener listener = new Listener(ida.stream("/api/departures/today-14/stream"))) {
      assertThat(listener.until(p -> true).path("number").asLong()).as("at once, how things stand")
          .isEqualTo(4);
      wren.event("seat-taken", "{\"seat\":\"right\"}");
      ida.event("seat-taken", "{\"seat\":\"left\"}");
      String report = wren.get("/api/departures/today-14/report").json().path("text").asString();
      assertThat(report).isEqualTo("METAR QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003");
      wren.event("day-set",
          "{\"report\":\"%s\",\"simulated\":true,\"circumstances\":[\"fuelling\",\"after-maintenance\"]}".formatted(
          report));
      JsonNode cut = listener.until(p -> p.path("cardKey").asLong() > 0);
      assertThat(cut.path("cardKey").asLong()).isEqualTo(7);
      wren.event("step-done", step("wa-covers"));
      assertThat(titles(listener.until(p -> !p.path("tags").isEmpty())))
          .containsExactly("6 of 6 covers and plugs still on");
      controls(wren, listener);
      aircraft(wren, listener);
      byTheClock(wren, ida, listener);
      JsonNode asked = ida.get("/api/departures/today-14").json().path("progress");
      assertThat(listener.progress).as("what was told bit by bit is the whole").isEqualTo(asked);
      assertThat(listener.wholes).as("nothing but the first was told whole").isEqualTo(1);
      // Who is slow is told of several presses at once.
      assertThat(listener.changes).isNotEmpty();
      assertThat(listener.ids.stream().map(Long::valueOf).toList()).as("ids are numbers of log entries, rising")
          .isSorted();
    }
    day(ida);
    tieOff(wren, ida);
  }

  /** How the controls stand comes from the aircraft's own data alone, and is told to everybody. */
  private static void aircraft(Http wren, Listener listener) throws IOException {
    String url = "/api/departures/today-14/aircraft";
    assertThat(wren.event("aircraft-read", "{\"source\":\"me\",\"states\":[]}").code()).isEqualTo("bad-event");
    assertThat(wren.post(url, "{\"device\":\"d1\",\"behaviour\":\"not/wheels\"}").code())
        .isEqualTo("no-such-behaviour");
    assertThat(wren.get(url).json().size())
        .as("as said, left powered, and one for each control of the take-off configuration").isEqualTo(2 + 4);
    assertThat(wren.post(url, "{\"device\":\"d1\",\"behaviour\":\"not/flaps\"}").status()).isEqualTo(200);
    JsonNode read = listener.until(p -> p.has("aircraft"));
    assertThat(read.path("takeoff").get(0).path("words").asString())
        .isEqualTo("Flaps: 15 wanted, 0 by the aircraft's own data; the flap is not agreed yet");
    assertThat(wren.post(url, "{\"device\":\"d1\",\"behaviour\":\"left-powered\"}").status()).isEqualTo(200);
    JsonNode found = listener.until(p -> !p.path("aircraft").path("foundSo").isEmpty());
    assertThat(found.path("aircraft").path("foundSo").valueStream().map(JsonNode::asString).toList())
        .as("never what makes it safe").containsExactly("pu-apu", "pu-pumps-on", "pu-lights");
  }

  /** A tag that calls stands among the times that run until somebody takes it off; where each seat is, is told too. */
  private static void byTheClock(Http wren, Http ida, Listener listener) throws IOException {
    String tag = UUID.randomUUID().toString();
    wren.event("tag-hung",
        "{\"tag\":\"%s\",\"words\":\"air\",\"due\":\"TAXI\",\"calls\":\"2027-01-14T07:40:00Z\"}".formatted(tag));
    JsonNode hung = listener.until(p -> !p.path("waits").isEmpty());
    assertThat(hung.path("waits").get(0).path("until").asString()).isEqualTo("2027-01-14T07:40:00Z");
    assertThat(hung.path("waits").get(0).path("tag").asString()).isEqualTo(tag);
    assertThat(hung.path("seats").valueStream().map(s -> s.path("place").asString()).toList())
        .as("where they spoke last; who said nothing, where their first work lies")
        .containsExactly("glareshield", "left-door");
    ida.event("tag-taken", "{\"tag\":\"%s\"}".formatted(tag));
    assertThat(listener.until(p -> p.path("waits").isEmpty()).path("tags"))
        .noneMatch(t -> t.path("title").asString().equals("air"));
  }

  /** The samples come on the stream, the judgement in the log. */
  private static void controls(Http wren, Listener listener) throws IOException {
    assertThat(wren.post("/api/departures/today-14/controls", "{\"device\":\"d1\",\"behaviour\":\"no-such\"}").code())
        .isEqualTo("no-such-behaviour");
    assertThat(check(wren, "\"pressurePct\":900").code()).isEqualTo("no-such-behaviour");
    assertThat(check(wren, "\"goOn\":true").code()).isEqualTo("nothing-broken-off");
    int before = checks(wren);
    assertThat(check(wren, "\"link\":\"breaks-off\"").status()).isEqualTo(202);
    assertThat(listener.until("samples", f -> f.path("from").asInt() == 0).path("values")).isNotEmpty();
    listener.until("check", c -> c.path("stands").asString().equals("broken-off"));
    assertThat(judged(wren).path("judgement").path("verdict").asString()).as("of what had come")
        .isEqualTo("incomplete");
    JsonNode kept = wren.get("/api/departures/today-14/controls").json().path("check");
    assertThat(kept.path("values").get(0)).hasSize(1 + kept.path("channels").size());
    assertThat(wren.post("/api/departures/today-14/controls/calls", "{\"check\":%s,\"seconds\":3,\"axis\":\"roll\","
        .formatted(kept.path("check")) + "\"sign\":1}").code()).isEqualTo("nothing-to-call");
    assertThat(check(wren, "\"goOn\":true").status()).isEqualTo(202);
    listener.until("check", c -> c.path("stands").asString().equals("ended"));
    assertThat(judged(wren).path("judgement").path("verdict").asString()).isEqualTo("passed");
    assertThat(wren.get("/api/departures/today-14/controls").json().has("check")).isFalse();
    assertThat(checks(wren)).as("what went on is one check").isEqualTo(before + 1);
    String trace = judged(wren).path("trace").asString();
    String csv = wren.get("/api/departures/today-14/traces/" + trace).text();
    assertThat(neatlanyard.core.record.Chain.sha256(csv)).as("the trace that was judged").isEqualTo(trace);
  }

  private static int checks(Http http) {
    return http.get("/api/tails/TL-DVA/control-trends").json().path("rows").asInt();
  }

  private static JsonNode judged(Http http) {
    return http.get("/api/departures/today-14").json().path("progress").path("controls");
  }

  private static Http.Answer check(Http http, String told) {
    return http.post("/api/departures/today-14/controls", "{\"device\":\"d1\",\"behaviour\":\"sound\",%s}"
        .formatted(told));
  }

  private static void day(Http ida) {
    JsonNode view = ida.get("/api/departures/today-14").json();
    JsonNode day = view.path("card").path("day");
    assertThat(day.path("dark").asBoolean()).isTrue();
    assertThat(day.path("light").asString()).matches("dark until 07:5\\d");
    assertThat(day.path("facts").valueStream().map(JsonNode::asString).toList()).containsExactly(
        "wind 240° 12 kt", "visibility 9000 m", "light snow", "few at 1200 ft", "broken at 2500 ft", "−2 °C",
        "dew point −4 °C",
        "1003 hPa, 29.62 inHg", "5 min old");
    List<String> whys = view.path("card").path("leftOut").valueStream().map(l -> l.path("why").asString()).toList();
    assertThat(whys).contains("not the first flight of the day", "no freight door on this tail",
        "fuelling, Seat-belt signs: off until the hose is off").doesNotContain("");
    JsonNode walk = view.path("card").path("parts").valueStream()
        .filter(p -> p.path("id").asString().equals("walkaround")).findFirst().orElseThrow();
    assertThat(walk.path("items").valueStream().filter(i -> i.path("id").asString().equals("wa-fuel-panel")).toList())
        .hasSize(1).first().satisfies(i -> assertThat(i.path("added").asString()).isEqualTo("fuelling"));
    assertThat(ida.get("/api/departures").json().get(0).path("note").asString()).isEqualTo("Safe, then power");
  }

  private static void tieOff(Http wren, Http ida) throws Exception {
    assertThat(ida.get("/api/departures/today-14/record").code()).isEqualTo("not-tied-off");
    JsonNode progress = ida.get("/api/departures/today-14").json().path("progress");
    assertThat(progress.path("tags")).as("the covers").hasSize(1);
    assertThat(progress.path("unfinished")).as("every procedure with steps open").hasSize(22);
    StringBuilder reasons = new StringBuilder();
    Stream.of("tags", "unfinished").flatMap(s -> progress.path(s).valueStream()).forEach(t ->
        reasons.append("{\"tag\":\"%s\",\"reason\":\"a test flight\"},".formatted(t.path("key").asString())));
    String all = reasons.substring(0, reasons.length() - 1);
    assertThat(wren.event("tied-off", "{\"accepted\":[%s]}".formatted(all)).code()).isEqualTo("commander-only");
    Answer one = ida.event("tied-off", "{\"accepted\":[%s]}".formatted(all.substring(0, all.indexOf('}') + 1)));
    assertThat(one.code()).isEqualTo("not-bare");
    assertThat(one.json().path("detail").asString()).contains("steps open (Walkaround)").doesNotContain("covers");
    assertThat(ida.event("tied-off", "{\"accepted\":[%s]}".formatted(all)).status()).isEqualTo(200);
    assertThat(wren.event("step-done", step("wa-pins")).code()).isEqualTo("tied-off");
    assertThat(wren.post("/api/departures/today-14/controls", "{\"device\":\"d1\",\"behaviour\":\"sound\"}").code())
        .isEqualTo("tied-off");
    String record = ida.get("/api/departures/today-14/record").text();
    assertThat(RecordFile.check(record)).isInstanceOf(RecordFile.Check.Whole.class);
    assertThat(record).contains("covers and plugs still on").contains("a test flight");
    JsonNode log = wren.get("/api/departures/today-14/log").json();
    assertThat(log.path("whole").asBoolean()).isTrue();
    assertThat(record).contains("\"head\":\"%s\"".formatted(log.path("head").asString()));
    page(ida, log.path("head").asString());
    assertThat(log.path("lines").valueStream().map(l -> l.path("words").asString()).toList())
        .anyMatch(w -> w.startsWith("Red covers and plugs: six counted"))
        .anyMatch(w -> w.startsWith("Tag hung by hand: air, until the end of Taxi, to call after "))
        .anyMatch(w -> w.startsWith("Control check (simulated aircraft): Full, free"))
        .anyMatch(w -> w.startsWith("Tied off; 6 of 6 covers and plugs still on"));
  }

  /** Read back by the libraries' own readers: the words of the page, and what its code says. */
  private static void page(Http ida, String head) throws Exception {
    try (PDDocument pdf = Loader.loadPDF(ida.getBytes("/api/departures/today-14/record.pdf"))) {
      assertThat(pdf.getNumberOfPages()).isLessThanOrEqualTo(2);
      assertThat(new PDFTextStripper().getText(pdf))
          .contains("Flight 14, TL-DVA", "Times", "Called away", "Never.", "covers and plugs still on", head);
      // The code as it stands in the file: how well a reader finds one on a page is that reader's matter.
      PDResources last = pdf.getPage(pdf.getNumberOfPages() - 1).getResources();
      BufferedImage image = ((PDImageXObject) last.getXObject(last.getXObjectNames().iterator().next())).getImage();
      Result code = new QRCodeReader().decode(new BinaryBitmap(new GlobalHistogramBinarizer(new RGBLuminanceSource(
          image.getWidth(), image.getHeight(),
          image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth())))),
          Map.of(DecodeHintType.PURE_BARCODE, true));
      assertThat(code.getText()).isEqualTo(head);
    }
  }
}

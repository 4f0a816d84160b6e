package neatlanyard.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonParser;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import javax.imageio.ImageIO;
import neatlanyard.store.db.Backup;
import neatlanyard.store.db.NotKept;
import org.testng.annotations.Test;

/**
 * The real process killed in the middle of presses, photos, imports and backups: what was acknowledged is there, once.
 */
public class KillTest {
  /** `./lanyard bench kills` asks for more. */
  private static final int KILLS = Integer.getInteger("lanyard.kills", 5);
  private static final long SEED = Long.getLong("lanyard.seed", 20_270_114L);

  /** A device that says what it was told, and forgets nothing of it. */
  private static final class Device {
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String url;

    Device(String url, String who, String password) throws Exception {
      this.url = url;
      get("/api/about");
      assertThat(post("/api/session", "application/json",
          "{\"who\":\"%s\",\"password\":\"%s\"}".formatted(who, password).getBytes()).statusCode()).isEqualTo(200);
    }

    String get(String path) throws Exception {
      return http.send(HttpRequest.newBuilder(URI.create(url + path)).build(), HttpResponse.BodyHandlers.ofString())
          .body();
    }

    HttpResponse<String> post(String path, String type, byte[] body) throws Exception {
      String token = cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
          .map(HttpCookie::getValue).findFirst().orElse("-");
      return http.send(HttpRequest.newBuilder(URI.create(url + path)).header("Content-Type", type)
          .header("X-XSRF-TOKEN", token)
          .POST(HttpRequest.BodyPublishers.ofByteArray(body)).build(), HttpResponse.BodyHandlers.ofString());
    }

    /** Until the server is gone. */
    void until(Work gone) {
      try {
        while (true) {
          gone.once();
        }
      } catch (IOException | NotKept e) {
        // Killed in the middle of it.
      } catch (Exception e) {
        throw new IllegalStateException(e);
      }
    }
  }

  private interface Work {
    void once() throws Exception;
  }

  private static UUID event() {
    return Crew.eventId();
  }

  private static byte[] picture() throws IOException {
    BufferedImage image = new BufferedImage(900, 700, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(1);
    for (int i = 0; i < 900 * 700; i++) {
      image.setRGB(i % 900, i / 900, random.nextInt());
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpeg", out);
    return out.toByteArray();
  }

  @Test
  public void what_was_acknowledged_is_there_once_after_each_kill() throws Exception {
    System.out.printf("kills: %d, seed %d%n", KILLS, SEED);
    Random random = new Random(SEED);
    Map<UUID, Boolean> acknowledged = new ConcurrentHashMap<>();
    Map<UUID, Boolean> photos = new ConcurrentHashMap<>();
    byte[] picture = picture();
    try (Application app = Application.packaged()) {
      prepare(new Device(app.url(), "adeyo", "north-slip-24"), acknowledged);
      for (int kill = 0; kill < KILLS; kill++) {
        Device wren = new Device(app.url(), "adeyo", "north-slip-24");
        Device varga = new Device(app.url(), "varga", "torque-stripe-7");
        Path backup = app.database().resolveSibling("backup.db");
        Files.deleteIfExists(backup);
        List<Thread> work = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
          work.add(Thread.ofVirtual().start(() -> wren.until(() -> press(wren, acknowledged))));
        }
        switch (kill % 4) {
          case 0 -> { }
          case 1 -> work.add(Thread.ofVirtual().start(() -> wren.until(() -> photo(wren, picture, photos))));
          case 2 -> work.add(Thread.ofVirtual().start(() -> varga.until(() -> imports(varga))));
          default -> work.add(Thread.ofPlatform().start(() -> varga.until(() -> {
            Backup.make(app.database(), backup);
            varga.get("/api/about");
          })));
        }
        int enough = acknowledged.size() + 6 + random.nextInt(40);
        while (acknowledged.size() < enough) {
          Thread.sleep(1);
        }
        app.kill();
        for (Thread t : work) {
          t.join();
        }
        if (Files.exists(backup)) {
          assertThat(Backup.faults(backup)).isEmpty();
          whole(Backup.logs(backup).getOrDefault("today-14", List.of()));
        }
        app.startAgain();
        check(new Device(app.url(), "adeyo", "north-slip-24"), acknowledged, photos, app.database());
      }
    }
    System.out.printf("kills: %d presses and %d photos acknowledged, none lost%n", acknowledged.size(), photos.size());
    assertThat(acknowledged).hasSizeGreaterThan(KILLS * 5);
  }

  /**
   * The server's clock goes back by a day in the middle of a duty: crews go on, and what they said is in their order.
   */
  @Test
  public void a_clock_that_is_set_back_by_a_day_holds_nobody_up() throws Exception {
    Map<UUID, Boolean> acknowledged = new ConcurrentHashMap<>();
    try (Application app = Application.packaged()) {
      Device wren = new Device(app.url(), "adeyo", "north-slip-24");
      prepare(wren, acknowledged);
      press(wren, acknowledged);
      app.kill();
      app.startAgain("--lanyard.begin-at=2027-01-13T07:25:00Z");
      Device again = new Device(app.url(), "adeyo", "north-slip-24");
      press(again, acknowledged);
      assertThat(acknowledged).hasSize(4);
      for (String page : List.of("", "/log")) {
        assertThat(again.get("/api/departures/today-14" + page)).as(page).doesNotContain("\"tryThis\"")
            .doesNotContainPattern("\"-\\d+ (s|min|h)");
      }
      check(again, acknowledged, Map.of(), app.database());
    }
  }

  private static void prepare(Device wren, Map<UUID, Boolean> acknowledged) throws Exception {
    wren.post("/api/departures/today-14/open", "application/json", "{}".getBytes());
    said(wren, acknowledged, "seat-taken", "{\"seat\":\"right\"}");
    String report = JsonParser.parseString(wren.get("/api/departures/today-14/report")).getAsJsonObject().get("text")
        .getAsString();
    said(wren, acknowledged, "day-set",
        "{\"report\":\"%s\",\"simulated\":true,\"circumstances\":[\"first-flight\"]}".formatted(report));
  }

  private static void said(Device wren, Map<UUID, Boolean> acknowledged, String kind, String body) throws Exception {
    UUID id = event();
    HttpResponse<String> answer = wren.post("/api/departures/today-14/events", "application/json",
        "{\"id\":\"%s\",\"device\":\"d1\",\"kind\":\"%s\",\"body\":%s}".formatted(id, kind, body).getBytes());
    if (answer.statusCode() == 200) {
      acknowledged.put(id, true);
    }
  }

  private static void press(Device wren, Map<UUID, Boolean> acknowledged) throws Exception {
    said(wren, acknowledged, "step-done", "{\"step\":\"wa-door\"}");
  }

  private static void photo(Device wren, byte[] picture, Map<UUID, Boolean> photos) throws Exception {
    UUID id = event();
    String sha = HexFormat.of().formatHex(java.security.MessageDigest.getInstance("SHA-256").digest(picture));
    for (int from = 0; from < picture.length; from += 65_536) {
      byte[] part = Arrays.copyOfRange(picture, from, Math.min(picture.length, from + 65_536));
      HttpResponse<String> answer = wren.post(
          "/api/departures/today-14/photos/%s?sha256=%s&total=%d&from=%d".formatted(id, sha, picture.length, from),
          "application/octet-stream", part);
      if (answer.body().contains("\"whole\":true")) {
        photos.put(id, true);
      }
    }
  }

  /** A defect is in the log whole, raised and deferred, or not at all. */
  private static void imports(Device varga) throws Exception {
    StringBuilder csv = new StringBuilder(
        "tail,defect,at,by,name,act,flight,place,step,entry,count,last-day,words\r\n");
    for (int i = 0; i < 300; i++) {
      UUID defect = UUID.randomUUID();
      csv.append("TL-DVB,%s,-PT72H,varga,Lio Varga,raised,,,,,,,kill test\r\n".formatted(defect));
      csv.append("TL-DVB,%s,-PT71H,varga,Lio Varga,cleared,,,,,,,kill test\r\n".formatted(defect));
    }
    varga.post("/api/tech-log", "text/plain", csv.toString().getBytes());
  }

  private static void whole(List<String> entries) {
    assertThat(neatlanyard.formats.record.RecordFile.firstBreak(entries)).isEmpty();
  }

  private static void check(Device wren, Map<UUID, Boolean> acknowledged, Map<UUID, Boolean> photos,
      Path database) throws Exception {
    List<String> entries = Backup.logs(database).getOrDefault("today-14", List.of());
    whole(entries);
    List<String> ids = entries.stream().map(e -> JsonParser.parseString(e).getAsJsonObject().get("id").getAsString())
        .toList();
    assertThat(ids).doesNotHaveDuplicates().containsAll(acknowledged.keySet().stream().map(UUID::toString).toList());
    for (UUID photo : photos.keySet()) {
      assertThat(wren.get("/api/photos/" + photo + "/received")).contains("\"whole\":true");
    }
    JsonArray cleared = JsonParser.parseString(wren.get("/api/tails/TL-DVB/log")).getAsJsonObject()
        .getAsJsonArray("open");
    for (JsonElement open : cleared) {
      assertThat(open.toString()).as("raised without what cleared it").doesNotContain("kill test");
    }
  }
}

package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.testng.annotations.Test;

/** The demo stopped and started again on what it kept. */
public class StopTest {
  private final Path database;

  StopTest() throws IOException {
    database = Files.createTempDirectory("lanyard-test").resolve("test.db");
  }

  private ServletWebServerApplicationContext start() {
    return LanyardApplication.start("--server.port=0", "--lanyard.demo=true", "--lanyard.database=" + database,
        "--lanyard.demo-folder=" + Given.ROOT.resolve("demo"), "--lanyard.begin-at=" + Given.DAY + "T07:25:00Z");
  }

  private static int port(ServletWebServerApplicationContext app) {
    return Objects.requireNonNull(app.getWebServer()).getPort();
  }

  @Test
  public void whoever_listens_is_told_of_the_end_and_a_password_of_ones_own_stays() throws IOException {
    InputStream stream;
    try (ServletWebServerApplicationContext app = start()) {
      Http wren = Http.in(port(app), "adeyo", "north-slip-24");
      wren.post("/api/departures/today-14/open", "{}");
      assertThat(wren.post("/api/session/password",
          "{\"now\":\"north-slip-24\",\"next\":\"a-cord-of-my-own\"}").status())
          .isEqualTo(200);
      stream = wren.stream("/api/departures/today-14/stream");
      assertThat(stream.read()).isGreaterThan(0);
    }
    // A stream that is cut in the middle throws here.
    assertThat(stream.transferTo(OutputStream.nullOutputStream())).isGreaterThan(0);
    try (ServletWebServerApplicationContext app = start()) {
      assertThat(Http.in(port(app), "adeyo", "a-cord-of-my-own").get("/api/departures").status()).isEqualTo(200);
      assertThat(Http.in(port(app), "marsk", "bare-cord-11").get("/api/departures").status())
          .isEqualTo(200);
    }
  }
}

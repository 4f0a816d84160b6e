package neatlanyard.server;

import java.io.IOException;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;

/** The demo's server, one for all tests that attack it: what one leaves behind must not trouble the next. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework fills the port.
abstract class AtTheServer extends AbstractTestNGSpringContextTests {
  @LocalServerPort protected int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
  }

  protected Http in(String who) {
    return Http.in(port, who, Given.PASSWORDS.getOrDefault(who, ""));
  }

  /** A departure that is open, with its two in their seats. */
  protected void crewIn(Http wren, Http ida) {
    wren.post("/api/departures/today-14/open", "{}");
    wren.event("seat-taken", "{\"seat\":\"right\"}");
    ida.event("seat-taken", "{\"seat\":\"left\"}");
    String report = wren.get("/api/departures/today-14/report").json().path("text").asString();
    wren.event("day-set",
        "{\"report\":\"%s\",\"simulated\":true,\"circumstances\":[\"first-flight\"]}".formatted(report));
  }
}

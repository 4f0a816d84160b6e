package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;

/** Somebody who asks without a pause from a strange device keeps no crew at the same address from their duty. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework fills the port.
public class PacedTest extends AbstractTestNGSpringContextTests {
  private static final String PASSWORD = Given.PASSWORDS.getOrDefault("marsk", "");

  @LocalServerPort private int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
    // Ten at once and two a second.
    registry.add("lanyard.pace", () -> 0.05);
  }

  @Test
  public void a_flooded_address_is_open_to_devices_that_somebody_was_signed_in_on() throws Exception {
    Http ida = Http.in(port, "marsk", PASSWORD);
    assertThat(ida.delete("/api/session").status()).isEqualTo(204);
    CountDownLatch refused = new CountDownLatch(1);
    ExecutorService strangers = Executors.newVirtualThreadPerTaskExecutor();
    for (int i = 0; i < 50; i++) {
      strangers.submit(() -> {
        while (!Thread.interrupted()) {
          if (new Http(port).get("/api/about").status() == 429) {
            refused.countDown();
          }
        }
      });
    }
    refused.await();
    assertThat(ida.get("/api/about").status()).isEqualTo(200);
    assertThat(ida.post("/api/session", "{\"who\":\"marsk\",\"password\":\"%s\"}".formatted(PASSWORD)).status())
        .isEqualTo(200);
    assertThat(ida.get("/api/departures").status()).isEqualTo(200);
    strangers.shutdownNow();
    strangers.close();
  }
}

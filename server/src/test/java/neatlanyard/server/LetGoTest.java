package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import io.micrometer.core.instrument.MeterRegistry;
import java.io.IOException;
import java.util.UUID;
import neatlanyard.server.Http.Answer;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;

/** A departure that nobody looks at leaves the memory, and is the same when somebody does again. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public class LetGoTest extends AbstractTestNGSpringContextTests {
  @LocalServerPort private int port;
  @Autowired private MeterRegistry meters;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
    registry.add("lanyard.departures-kept", () -> "1ms");
  }

  private long readBack() {
    return meters.get("lanyard.folds").timer().count();
  }

  /** Looks until no departure is in the memory any more. */
  private void untilLetGo(Runnable meanwhile) throws InterruptedException {
    while (meters.get("lanyard.departures").gauge().value() > 0) {
      meanwhile.run();
      System.gc();
      Thread.sleep(20);
    }
  }

  @Test(timeOut = 120_000)
  public void what_nobody_looks_at_is_let_go_and_comes_back_as_it_was() throws Exception {
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    wren.post("/api/departures/today-14/open", "{}");
    wren.event("seat-taken", "{\"seat\":\"right\"}");
    UUID id = Http.uuid7();
    String tag = "{\"tag\":\"%s\",\"words\":\"air\",\"due\":\"TAXI\"}".formatted(UUID.randomUUID());
    Answer answer = wren.event(id, "tag-hung", tag);
    String before = wren.get("/api/departures/today-14").text();
    long read = readBack();
    untilLetGo(() -> { });
    assertThat(wren.get("/api/departures/today-14").text()).isEqualTo(before);
    assertThat(readBack()).isEqualTo(read + 1);
    assertThat(wren.event(id, "tag-hung", tag)).as("sent twice").isEqualTo(answer);
    assertThat(wren.event("step-done", "{\"step\":\"wa-door\"}").code()).as("no card yet").isEqualTo("no-card");
    long number = answer.json().path("number").asLong();
    assertThat(wren.event("interrupted", "{}").json().path("number").asLong()).isEqualTo(number + 1);
  }

  /** The list of the day reads nothing back that it has shown and that has not gone on since. */
  @Test(timeOut = 120_000, dependsOnMethods = "what_nobody_looks_at_is_let_go_and_comes_back_as_it_was")
  public void the_list_reads_back_only_what_has_gone_on() throws Exception {
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    String list = wren.get("/api/departures").text();
    long before = readBack();
    untilLetGo(() -> assertThat(wren.get("/api/departures").text()).isEqualTo(list));
    assertThat(wren.get("/api/departures").text()).isEqualTo(list);
    assertThat(readBack()).as("the list reads nothing back, in memory or not").isEqualTo(before);
    wren.event("went-on", "{}");
    wren.event("tag-hung",
        "{\"tag\":\"%s\",\"words\":\"stairs\",\"due\":\"TAXI\"}".formatted(UUID.randomUUID()));
    assertThat(readBack()).isEqualTo(before + 1);
    assertThat(wren.get("/api/departures").json().get(0).path("note").asString()).isEqualTo("Status and day");
  }

  /** As long as a device listens, what it listens to is there; that it went is noticed at its next heartbeat only. */
  @Test(timeOut = 120_000, dependsOnMethods = "the_list_reads_back_only_what_has_gone_on")
  public void what_somebody_listens_to_stays() throws Exception {
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    wren.post("/api/departures/today-14/open", "{}");
    try (var stream = wren.stream("/api/departures/today-14/stream")) {
      assertThat(stream.read()).isGreaterThan(0);
      long before = readBack();
      for (int i = 0; i < 10; i++) {
        System.gc();
        Thread.sleep(5);
        wren.get("/api/departures/today-14");
      }
      assertThat(readBack()).isEqualTo(before);
    }
  }
}

package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A database of an earlier version opens, and what it holds means what it meant then. Kept is the database as the
 * version of 2026-11-28 left it (schema 5), with one departure of 302 entries in it: steps done, taken back, put aside
 * and passed with words, readings in and out of limits, finds, tags, stopped checklists, the aircraft's own data; and
 * what that version told of it.
 */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework fills the port.
public class EarlierVersionTest extends AbstractTestNGSpringContextTests {
  @LocalServerPort private int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
    Path database = Files.createTempDirectory("lanyard-test").resolve("earlier.db");
    try (InputStream kept = kept("departure.db.gz")) {
      Files.copy(kept, database);
    }
    registry.add("lanyard.database", database::toString);
  }

  private static InputStream kept(String file) throws IOException {
    return new GZIPInputStream(
        Objects.requireNonNull(EarlierVersionTest.class.getResourceAsStream("/earlier/" + file)));
  }

  /**
   * Whether all that was told then is told now; of steps and marks more may be. Numbers by their value: what was kept
   * came through a script that writes 900 for 900.0. Verdicts are told with hyphens since, as all else, and of a
   * stopped checklist the name alone.
   */
  private static boolean holds(JsonNode now, JsonNode then) {
    if (then.isObject()) {
      return now.isObject() && then.propertyStream().allMatch(p -> holds(now.path(p.getKey()), p.getValue()))
          && (then.size() == now.size() || now.has("marks") || now.has("outcome"));
    }
    if (then.isArray()) {
      return now.size() == then.size()
          && IntStream.range(0, then.size()).allMatch(i -> holds(now.path(i), then.path(i)));
    }
    return then.isNumber() && now.isNumber() ? now.asDouble() == then.asDouble()
        : now.equals(then) || now.isString() && (now.asString().equals(then.asString().replace('_', '-'))
        || !now.asString().isEmpty() && then.asString().startsWith("Stopped by %s at ".formatted(now.asString())));
  }

  private static List<JsonNode> inTheWay(JsonNode progress, String... sections) {
    return Stream.of(sections).flatMap(s -> progress.path(s).valueStream()).toList();
  }

  @Test
  public void what_it_tells_of_a_departure_is_what_was_told_then() throws IOException {
    JsonNode then;
    try (InputStream kept = kept("progress.json.gz")) {
      then = new JsonMapper().readTree(kept);
    }
    JsonNode now = Http.in(port, "adeyo", "north-slip-24").get("/api/departures/today-14").json().path("progress");
    List<String> sections = now.propertyStream().map(java.util.Map.Entry::getKey)
        // The key of the card may be another; what a tie-off finds besides the tags is told by itself now; a seat is
        // told where it spoke last, then where the first of its work lay open. Nobody entered figures then, and
        // no line of a briefing was put together.
        .filter(s -> !List.of("cardKey", "unfinished", "seats", "figures", "figuresNumber", "briefing").contains(s))
        .toList();
    assertThat(sections).contains("number", "beads", "steps", "parts", "tags", "finds", "gates", "waits");
    for (String section : sections) {
      assertThat(holds(now.path(section), then.path(section)))
          .as("%s: %s, then %s", section, now.path(section), then.path(section)).isTrue();
    }
    assertThat(inTheWay(now, "tags", "unfinished")).containsExactlyInAnyOrderElementsOf(inTheWay(then, "inTheWay"));
  }
}

package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A device without a network works out for itself what its own words make of steps and tags. Here one seat says many
 * things in random order, and what the server makes of each is written to a file that the interface's tests replay
 * (ui/src/live/unsent.test.ts). When the rules or the demo's pack changed, run with -Dlanyard.refresh.
 */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public class UnsentTest extends AbstractTestNGSpringContextTests {
  private static final JsonMapper JSON = new JsonMapper();
  private static final int EVENTS = 400;
  private static final List<String> KINDS =
      List.of("step-done", "step-done", "step-done", "step-done", "step-undone", "step-undone", "step-later",
      "step-not-today", "find-raised", "overridden");

  /** Times that steps begin are over when they are heard of: what can be said must not go by how fast this runs. */
  private static final String LONG_AGO = Given.DAY + "T06:30:00Z";

  private static final String SINCE = Given.DAY + "T07:25:00Z";

  /** Some of them right for each thing that is measured, some not. */
  private static final double[] VALUES = {0, 1, 2, 5, 20, 25, 50, 90, 95, 120, 180, 200, 600, 650, 1_500, 2_000,
      3_000};

  private static final String[] TAG = {"key", "title", "detail", "by", "stage", "due", "go", "steps", "mayStay",
      "outside", "hand", "open", "all"};

  @LocalServerPort private int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
  }

  private static boolean found(JsonNode step) {
    return step.path("marks").valueStream().anyMatch(m -> m.path("outcome").asString().equals("find"));
  }

  /** How a step stands, in short. */
  private static Map<String, List<String>> standing(JsonNode progress) {
    Map<String, List<String>> steps = new TreeMap<>();
    progress.path("steps").forEachEntry((id, s) ->
        steps.put(id, s.path("settled").asBoolean() ? List.of(found(s) ? "find" : "settled") : s.path("owes")
            .valueStream().map(JsonNode::asString).toList()));
    return steps;
  }

  /**
   * The tags that hang from what is said of steps, by their keys. How late they are goes by the clock; the words for
   * what closes them, and those of a reading's judgement, are the server's.
   */
  private static Map<String, Object> hanging(JsonNode progress) {
    Set<String> measured = progress.path("finds").valueStream().filter(f -> f.path("measured").asBoolean())
        .map(f -> "find/" + f.path("id").asString())
        .collect(Collectors.toSet());
    Map<String, Object> tags = new TreeMap<>();
    progress.path("tags").valueStream()
        .filter(t -> !t.path("open").isEmpty() || t.path("key").asString().matches("(find|look-again|wait)/.*"))
        .forEach(t -> {
      Map<String, Object> tag = some(t, TAG);
      String key = t.path("key").asString();
      if (measured.contains(key)) {
        tag.remove("detail");
      }
      tags.put(key, tag);
    });
    return tags;
  }

  /**
   * What keeps open steps closed, of what rests on other steps: those that come first, and whether a time has to pass.
   */
  private static Map<String, Object> closed(JsonNode progress, List<JsonNode> items) {
    Map<String, Object> closed = new TreeMap<>();
    for (JsonNode item : items) {
      List<String> gates = progress.path("gates").path(item.path("id").asString()).valueStream()
          .filter(g -> !g.path("ofStage").asBoolean())
          .map(g -> g.path("before").asString()
          + (g.has("until") ? " running" : g.path("waits").asBoolean() ? " and its time" : "")).sorted().toList();
      if (!gates.isEmpty()) {
        closed.put(item.path("id").asString(), gates);
      }
    }
    return closed;
  }

  /** The steps whose times run, and for how many seconds in all. */
  private static Map<String, Object> running(JsonNode progress) {
    Map<String, Object> running = new TreeMap<>();
    progress.path("waits").valueStream().forEach(w -> running.put(w.path("step").asString(),
        Duration.between(Instant.parse(w.path("since").asString()), Instant.parse(w.path("until").asString()))
        .toSeconds()));
    return running;
  }

  /** What hangs now otherwise than before; null where it hangs no more. */
  private static Map<String, @Nullable Object> moved(Map<String, Object> before, Map<String, Object> after) {
    Map<String, @Nullable Object> moved = new TreeMap<>();
    before.keySet().stream().filter(k -> !after.containsKey(k)).forEach(k -> moved.put(k, null));
    after.forEach((k, t) -> {
      if (!t.equals(before.get(k))) {
        moved.put(k, t);
      }
    });
    return moved;
  }

  private static Map<String, Object> changed(Map<String, List<String>> before, Map<String, List<String>> after,
      List<JsonNode> items) {
    Map<String, Object> changes = new TreeMap<>();
    items.forEach(i -> {
      String id = i.path("id").asString();
      if (!after.getOrDefault(id, List.of("open")).equals(before.getOrDefault(id, List.of("open")))) {
        changes.put(id, after.getOrDefault(id, i.path("seats").valueStream().map(JsonNode::asString).toList()));
      }
    });
    return changes;
  }

  private record Word(UUID id, String kind, Map<String, Object> body, String deviceAt) {}

  /**
   * One thing said at random: most often of a step that opens or closes something, that is read, or that has to do
   * with a time.
   */
  private static Word word(Random random, List<JsonNode> items) {
    List<JsonNode> hooked = items.stream().filter(i -> !i.path("opens").isEmpty() || !i.path("closes").isEmpty())
        .toList();
    List<JsonNode> read = items.stream().filter(i -> i.has("measure")).toList();
    List<JsonNode> timed = items.stream().filter(i -> i.has("waits") || !i.path("afterWait").isEmpty()).toList();
    List<JsonNode> among = List.of(hooked, hooked, read, timed, items).get(random.nextInt(5));
    JsonNode item = among.get(random.nextInt(among.size()));
    String said = KINDS.get(random.nextInt(KINDS.size()));
    String kind = said.equals("step-done") && item.has("measure") ? "measured"
        : said.equals("step-undone") && item.has("waits") && random.nextBoolean() ? "wait-seen" : said;
    Map<String, Object> body = new TreeMap<>(Map.of("step", item.path("id").asString()));
    switch (kind) {
      case "find-raised" -> body.putAll(Map.of("find", new UUID(0, random.nextLong()).toString(), "note", "a nick"));
      case "measured" -> body.put("value", VALUES[random.nextInt(VALUES.length)]);
      case "step-later", "step-not-today" -> body.put("reason", "loaders");
      case "overridden" -> body.put("words", "in a hurry");
      default -> {}
    }
    return new Word(uuid7(random), kind, body, item.has("waits") && !kind.equals("wait-seen") ? LONG_AGO : SINCE);
  }

  /** The same ones each time. */
  private static UUID uuid7(Random random) {
    return new UUID(random.nextLong() & ~0xF000L | 0x7000L, random.nextLong() & ~(3L << 62) | 1L << 63);
  }

  private static boolean said(Http who, Word word) {
    Map<String, Object> event = Map.of("id", word.id, "device", "d1", "deviceAt", word.deviceAt, "kind", word.kind,
        "body", word.body);
    return who.post("/api/departures/today-14/events", JSON.writeValueAsString(event)).status() == 200;
  }

  private static JsonNode progress(Http who) {
    return who.get("/api/departures/today-14").json().path("progress");
  }

  /** What others need first is done, so that most can be said. */
  private static void opened(Http wren, Http ida) {
    Set<String> first = new TreeSet<>();
    progress(wren).path("gates").valueStream().flatMap(JsonNode::valueStream)
        .forEach(g -> first.add(g.path("before").asString()));
    first.forEach(step -> List.of(wren, ida)
        .forEach(who -> said(who, new Word(Http.uuid7(), "step-done", Map.of("step", step), LONG_AGO))));
  }

  @Test
  public void what_one_seat_says_makes_of_steps_and_tags_what_is_written() throws IOException {
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    Http ida = Http.in(port, "marsk", "bare-cord-11");
    wren.post("/api/departures/today-14/open", "{}");
    wren.event("seat-taken", "{\"seat\":\"right\"}");
    ida.event("seat-taken", "{\"seat\":\"left\"}");
    wren.event("day-set",
        "{\"report\":\"METAR QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 "
        + "Q1003\",\"simulated\":true,\"circumstances\":[]}");
    JsonNode card = wren.get("/api/departures/today-14").json().path("card");
    List<JsonNode> parts = card.path("parts").valueStream().filter(p -> !p.path("kind").asString().equals("checklist"))
        .toList();
    List<JsonNode> all = parts.stream().flatMap(p -> p.path("items").valueStream()).toList();
    List<JsonNode> own = all.stream()
        .filter(i -> i.path("seats").valueStream().anyMatch(s -> s.asString().equals("right"))).toList();
    Random random = new Random(35);
    opened(wren, ida);
    for (int n = 0; n < EVENTS / 2; n++) {
      said(random.nextBoolean() ? wren : ida, word(random, own));
    }
    JsonNode told = progress(wren);
    List<String> lines = new ArrayList<>();
    JsonNode before = told;
    for (int n = 0; n < EVENTS; n++) {
      Word word = word(random, own);
      // What is right for one reading may change with another; the device goes by what it was told.
      String of = String.valueOf(word.body.get("step"));
      boolean known = !word.kind.equals("measured") || before.path("allowed").path(of)
          .equals(told.path("allowed").path(of));
      if (known && said(wren, word)) {
        JsonNode after = progress(wren);
        lines.add(JSON.writeValueAsString(new TreeMap<>(Map.of(
            "id", word.id, "deviceAt", word.deviceAt, "kind", word.kind, "body", word.body, "steps",
            changed(standing(before), standing(after), all), "tags", moved(hanging(before), hanging(after)),
            "closed", moved(closed(before, all), closed(after, all)), "waits",
            moved(running(before), running(after))))));
        before = after;
      }
    }
    assertThat(lines).hasSizeGreaterThan(EVENTS / 2);
    assertThat(Stream.concat(KINDS.stream(), Stream.of("measured", "wait-seen")))
        .allMatch(k -> lines.stream().anyMatch(l -> l.contains("\"kind\":\"%s\"".formatted(k))));
    String now = "{\"card\":%s,\n\"told\":%s,\n\"said\":[\n%s\n]}\n".formatted(
        JSON.writeValueAsString(brief(card, parts)),
        JSON.writeValueAsString(brief(told)), String.join(",\n", lines));
    Path kept = Given.ROOT.resolve("ui/src/live/unsent.cases.json");
    if (System.getProperty("lanyard.refresh") != null) {
      Files.writeString(kept, now);
    }
    assertThat(now).isEqualToIgnoringNewLines(Files.readString(kept));
  }

  private static Map<String, Object> some(JsonNode of, String... keys) {
    Map<String, Object> some = new LinkedHashMap<>();
    Stream.of(keys).filter(of::has).forEach(k -> some.put(k, of.path(k)));
    return some;
  }

  /** As much of the card as the device goes by. */
  private static Map<String, Object> brief(JsonNode card, List<JsonNode> parts) {
    List<Map<String, Object>> some = parts.stream().map(p -> {
      Map<String, Object> part = some(p, "kind", "stage");
      part.put("items", p.path("items").valueStream()
          .map(i -> some(i, "id", "challenge", "response", "seats", "any", "opens", "closes", "needs", "afterWait",
          "waits")).toList());
      return part;
    }).toList();
    return new TreeMap<>(Map.of("tags", card.path("tags"), "parts", some));
  }

  private static Map<String, Object> gates(JsonNode told) {
    Map<String, Object> gates = new TreeMap<>();
    told.path("gates").forEachEntry((id, all) ->
        gates.put(id, all.valueStream().map(g -> some(g, "before", "waits", "ofStage", "until")).toList()));
    return gates;
  }

  /** As much of what it was told. No times but those of words said long ago: they are other ones each time. */
  private static Map<String, Object> brief(JsonNode told) {
    Map<String, Object> steps = new TreeMap<>();
    told.path("steps").forEachEntry((id, s) -> {
      Map<String, Object> step = some(s, "status", "settled", "owes", "again", "disagreed");
      step.put("marks", s.path("marks").valueStream().map(m -> some(m, "outcome", "by", "seat", "number", "at"))
          .toList());
      steps.put(id, step);
    });
    List<Map<String, Object>> tags = told.path("tags").valueStream().map(t -> some(t, TAG)).toList();
    return new TreeMap<>(
        Map.of("number", told.path("number"), "steps", steps, "tags", tags, "allowed", told.path("allowed"), "gates",
        gates(told),
        "passed", told.path("passed"),
        "waits", told.path("waits").valueStream().map(w -> some(w, "step", "tag", "words", "since", "until")).toList(),
        "beads", told.path("beads").valueStream().map(b -> some(b, "stage", "title", "state")).toList(),
        "finds", told.path("finds").valueStream().map(f -> some(f, "id", "step", "measured", "verdict")).toList()));
  }
}

package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
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
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.SkipException;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/**
 * A device without a network works out for itself what its own words make of steps and tags. Here two people, one of
 * them on two devices, say many things in random order, then one device alone; what the server makes of each word is
 * written to a file that the interface's tests replay (ui/src/live/unsent.test.ts), and each build replays some that
 * nobody has seen before. When the rules or the demo's packs changed, run with -Dlanyard.refresh.
 */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public class UnsentTest extends AbstractTestNGSpringContextTests {
  private static final JsonMapper JSON = new JsonMapper();
  /** Words of both before the network is gone, and of one device after it. */
  private static final int TOLD = 100;
  private static final int UNSENT = 140;
  /** How many of the first are said between two looks at how things stand. */
  private static final int LOOK = 8;
  private static final long SEED = Long.getLong("lanyard.seed", System.nanoTime());
  private static final Path KEPT = Given.ROOT.resolve("ui/src/live/unsent.cases.json");

  /** How many that nobody has seen before; more to look for long. */
  private static final int FRESH = Integer.getInteger("lanyard.fresh", 1);

  /** A flight of the second type; the demo brings in none. */
  private static String larger(int n) {
    return """
          - {id: larger-%d, number: Flight 9%d, tail: TL-HYA, from: QTRN, to: QBRN, departs-in: PT%dM,
             crew: [{who: marsk, seat: left, commander: true, flying: true}, {who: adeyo, seat: right}]}
        """.formatted(n, n, 60 + n);
  }

  private static final List<String> KINDS =
      List.of("step-done", "step-done", "step-done", "step-done", "step-undone", "step-undone", "step-later",
      "step-not-today", "find-raised", "overridden", "panel-handed-over", "checklist-stopped", "briefing-read",
      "briefing-heard");

  /** Times that steps begin are over when they are heard of: what can be said must not go by how fast this runs. */
  private static final String LONG_AGO = Given.DAY + "T06:30:00Z";

  private static final String SINCE = Given.DAY + "T07:25:00Z";

  /** Some of them right for each thing that is measured, some not. */
  private static final double[] VALUES = {0, 1, 2, 5, 20, 25, 50, 90, 95, 120, 180, 200, 600, 650, 1_500, 2_000,
      3_000};

  private static final String[] TAG = {"key", "title", "detail", "by", "stage", "due", "go", "steps", "mayStay",
      "outside", "hand", "open", "all"};

  /** Somebody on one of their devices. */
  private record Hand(Http http, String who, String name, String seat, String device) {}

  /** A departure with what is said in it; the same seed says the same. */
  private record Scenario(String departure, String from, String speaker, long seed) {}

  /** Both types, each seat. */
  private static final List<Scenario> SCENARIOS = List.of(
      new Scenario("today-14", "QTRN", "adeyo", 121), new Scenario("today-15", "QVSK", "marsk", 122),
      new Scenario("larger-1", "QTRN", "marsk", 123));

  @LocalServerPort private int port;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws IOException {
    Given.demo(registry, true);
  }

  private static boolean found(JsonNode step) {
    return step.path("marks").valueStream().anyMatch(m -> m.path("outcome").asString().equals("find"));
  }

  /**
   * The steps that are looked at: those that were on the card, as a card that is cut anew is the server's; and not
   * those of a stopped checklist, of which nobody is asked anything.
   */
  private static List<JsonNode> compared(JsonNode view, Set<String> known) {
    return view.path("card").path("parts").valueStream().filter(p -> !stopped(view, p))
        .flatMap(p -> p.path("items").valueStream()).filter(i -> known.contains(i.path("id").asString())).toList();
  }

  /** How each step stands, in short: settled, or the seats that owe it. */
  private static Map<String, Object> standing(JsonNode view, Set<String> known) {
    Map<String, Object> steps = new TreeMap<>();
    compared(view, known).forEach(i -> {
      String id = i.path("id").asString();
      JsonNode s = view.path("progress").path("steps").path(id);
      steps.put(id, s.path("settled").asBoolean() ? List.of(found(s) ? "find" : "settled")
          : (s.isMissingNode() ? i.path("seats") : s.path("owes")).valueStream().map(JsonNode::asString).toList());
    });
    return steps;
  }

  private static List<JsonNode> items(JsonNode view) {
    return view.path("card").path("parts").valueStream().flatMap(p -> p.path("items").valueStream()).toList();
  }

  /** The answers to checklists that are no longer true. */
  private static Set<String> untrue(JsonNode view) {
    return checklist(view).flatMap(p -> p.path("items").valueStream()).map(i -> i.path("id").asString())
        .filter(id -> view.path("progress").path("steps").path(id).path("status").asString().equals("again"))
        .collect(Collectors.toSet());
  }

  private static Stream<JsonNode> checklist(JsonNode view) {
    return view.path("card").path("parts").valueStream().filter(p -> p.path("kind").asString().equals("checklist"));
  }

  private static boolean stopped(JsonNode view, JsonNode part) {
    JsonNode its = view.path("progress").path("parts").path(part.path("id").asString());
    return !its.path("stopped").asString("").isEmpty();
  }

  /** How far each checklist is: how many are answered, and what it asks for now. */
  private static Map<String, Object> checklists(JsonNode view) {
    Map<String, Object> checklists = new TreeMap<>();
    checklist(view).map(p -> p.path("id").asString()).forEach(id -> {
      JsonNode part = view.path("progress").path("parts").path(id);
      checklists.put(id, "%d of %d, next %s, stopped by '%s'".formatted(part.path("done").asInt(),
          part.path("all").asInt(), part.path("next").asString(), part.path("stopped").asString()));
    });
    return checklists;
  }

  /**
   * The tags that hang from what is said of steps, by their keys. How late they are goes by the clock; the words for
   * what closes them, and those of a reading's judgement, are the server's.
   */
  private static Map<String, Object> hanging(JsonNode view) {
    JsonNode progress = view.path("progress");
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
  private static Map<String, Object> closed(JsonNode view, Set<String> known) {
    Map<String, Object> closed = new TreeMap<>();
    for (JsonNode item : compared(view, known)) {
      List<String> gates = view.path("progress").path("gates").path(item.path("id").asString()).valueStream()
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
  private static Map<String, Object> running(JsonNode view) {
    Map<String, Object> running = new TreeMap<>();
    view.path("progress").path("waits").valueStream().forEach(w -> running.put(w.path("step").asString(),
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

  private record Word(UUID id, String kind, Map<String, Object> body, String deviceAt) {}

  /**
   * One thing said at random by somebody who sees the card: most often of a step that opens or closes something, that
   * is read, that a checklist asks for, or that has to do with a time.
   */
  private static Word word(Random random, JsonNode view, Hand hand) {
    List<JsonNode> own = items(view).stream()
        .filter(i -> i.path("seats").valueStream().anyMatch(s -> s.asString().equals(hand.seat))).toList();
    Set<String> asked = view.path("progress").path("parts").valueStream().map(p -> p.path("next").asString())
        .collect(Collectors.toSet());
    Set<String> waits = view.path("progress").path("waits").valueStream().map(w -> w.path("step").asString())
        .collect(Collectors.toSet());
    Map<String, JsonNode> values = new TreeMap<>();
    view.path("progress").path("values").forEachEntry(values::put);
    List<JsonNode> among = Stream.<Predicate<JsonNode>>of(
            i -> !i.path("opens").isEmpty() || !i.path("closes").isEmpty(), i -> i.has("measure"),
            i -> i.has("waits") || !i.path("afterWait").isEmpty(), i -> waits.contains(i.path("id").asString()),
            i -> asked.contains(i.path("id").asString()), i -> values.containsKey(i.path("id").asString()), i -> true)
        .map(kind -> own.stream().filter(kind).toList()).filter(all -> !all.isEmpty())
        .skip(random.nextInt(7)).findFirst().orElse(own);
    JsonNode item = among.get(random.nextInt(among.size()));
    String said = KINDS.get(random.nextInt(KINDS.size()));
    JsonNode value = values.getOrDefault(item.path("id").asString(), MissingNode.getInstance());
    boolean saysValue = value.path("back").asBoolean() && !value.path("accepted").isEmpty();
    List<JsonNode> checklists = checklist(view).toList();
    JsonNode checklist = checklists.get(random.nextInt(checklists.size()));
    String kind = said.equals("checklist-stopped") && stopped(view, checklist) ? "checklist-resumed"
        : said.equals("step-done") && item.has("measure") ? "measured"
        : said.equals("step-done") && saysValue ? "value-said"
        : waits.contains(item.path("id").asString()) && random.nextBoolean() ? "wait-seen" : said;
    Map<String, Object> body = new TreeMap<>(Map.of("step", item.path("id").asString()));
    switch (kind) {
      case "find-raised" -> body.putAll(Map.of("find", new UUID(0, random.nextLong()).toString(), "note", "a nick"));
      case "measured" -> body.put("value", VALUES[random.nextInt(VALUES.length)]);
      case "value-said" -> body.put("value", value.path("accepted").path(0).asString());
      case "step-later", "step-not-today" -> body.put("reason", "loaders");
      case "overridden" -> body.put("words", "in a hurry");
      case "checklist-stopped", "checklist-resumed" -> {
        body.clear();
        body.put("checklist", checklist.path("id").asString());
      }
      case "briefing-read", "briefing-heard" -> {
        body.clear();
        // Of an answer that is older than a find the server alone knows that it counts no more.
        body.put("lines", view.path("progress").path("briefing").valueStream().filter(l -> view.path("progress")
            .path("steps").path(l.path("step").asString()).path("marks").valueStream()
            .allMatch(m -> m.path("outcome").asString().equals("done"))).filter(l -> kind.equals("briefing-read")
            || l.path("read").path("words").equals(l.path("words"))
            && !l.path("read").path("who").asString().equals(hand.who)).filter(l -> random.nextInt(3) == 0)
            .map(l -> kind.equals("briefing-heard") ? l.path("step").asString()
            : new TreeMap<>(Map.of("line", l.path("step").asString(), "words", l.path("words").asString())))
            .toList());
      }
      case "panel-handed-over" -> {
        body.clear();
        body.putAll(Map.of("panel", item.path("place").asString(), "to",
            hand.seat.equals("left") ? "right" : "left"));
      }
      default -> {}
    }
    return new Word(uuid7(random), kind, body, item.has("waits") && !kind.equals("wait-seen") ? LONG_AGO : SINCE);
  }

  /** The same ones each time. */
  private static UUID uuid7(Random random) {
    return new UUID(random.nextLong() & ~0xF000L | 0x7000L, random.nextLong() & ~(3L << 62) | 1L << 63);
  }

  private static boolean said(String departure, Hand hand, Word word) {
    Map<String, Object> event = Map.of("id", word.id, "device", hand.device, "deviceAt", word.deviceAt, "kind",
        word.kind, "body", word.body);
    return hand.http.post("/api/departures/%s/events".formatted(departure), JSON.writeValueAsString(event))
        .status() == 200;
  }

  private static JsonNode view(String departure, Hand hand) {
    return hand.http.get("/api/departures/" + departure).json();
  }

  /** What others need first is done, so that most can be said. */
  private static void opened(String departure, List<Hand> crew) {
    Set<String> first = new TreeSet<>();
    view(departure, crew.getFirst()).path("progress").path("gates").valueStream().flatMap(JsonNode::valueStream)
        .forEach(g -> first.add(g.path("before").asString()));
    first.forEach(step -> crew.forEach(hand ->
        said(departure, hand, new Word(Http.uuid7(), "step-done", Map.of("step", step), LONG_AGO))));
  }

  private Map<String, Object> played(Scenario scenario) {
    Random random = new Random(scenario.seed);
    String departure = scenario.departure;
    Http wren = Http.in(port, "adeyo", "north-slip-24");
    Http ida = Http.in(port, "marsk", "bare-cord-11");
    Hand phone = new Hand(wren, "adeyo", "Adeyo", "right", "d-wren");
    Hand left = new Hand(ida, "marsk", "Marsk", "left", "d-ida");
    Hand speaker = scenario.speaker.equals("adeyo") ? phone : left;
    Hand second = new Hand(speaker.http, speaker.who, speaker.name, speaker.seat, "d-tablet");
    List<Hand> hands = List.of(phone, left, second);
    wren.post("/api/departures/%s/open".formatted(departure), "{}");
    for (Hand h : List.of(phone, left)) {
      said(departure, h, new Word(Http.uuid7(), "seat-taken", Map.of("seat", h.seat), SINCE));
    }
    said(departure, phone, new Word(Http.uuid7(), "day-set", Map.of(
        "report", "METAR %s 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003".formatted(scenario.from),
        "simulated", true,
        "circumstances", List.of()), SINCE));
    opened(departure, List.of(phone, left));
    JsonNode seen = view(departure, speaker);
    for (int n = 0; n < TOLD; n++) {
      Hand hand = hands.get(random.nextInt(hands.size()));
      said(departure, hand, word(random, seen, hand));
      seen = n % LOOK == 0 ? view(departure, speaker) : seen;
    }
    JsonNode told = view(departure, speaker);
    Set<String> known = items(told).stream().map(i -> i.path("id").asString()).collect(Collectors.toSet());
    List<Map<String, Object>> words = new ArrayList<>();
    // Of what makes a checklist's answer untrue the server alone knows: from there on nobody compares checklists.
    boolean untrue = false;
    JsonNode before = told;
    for (int n = 0; n < UNSENT; n++) {
      Word word = word(random, before, speaker);
      // What is right for one reading may change with another; the device goes by what it was told. Nor does it know
      // that an answer of the other seat is older than a find or than two different answers.
      String of = String.valueOf(word.body.get("step"));
      JsonNode step = before.path("progress").path("steps").path(of);
      boolean both = step.path("marks").valueStream().anyMatch(m -> !m.path("who").asString().equals(speaker.who));
      boolean judged = (!word.kind.equals("measured") || before.path("progress").path("allowed").path(of)
          .equals(told.path("progress").path("allowed").path(of)))
          && !step.path("disagreed").asBoolean() && !(both && word.kind.equals("step-undone"));
      if (judged && said(departure, speaker, word)) {
        JsonNode after = view(departure, speaker);
        untrue |= !untrue(before).containsAll(untrue(after));
        words.add(new TreeMap<>(Map.of(
            "untrue", untrue, "id", word.id, "deviceAt", word.deviceAt, "kind", word.kind, "body", word.body,
            "steps", moved(standing(before, known), standing(after, known)),
            "tags", moved(hanging(before), hanging(after)),
            "closed", moved(closed(before, known), closed(after, known)),
            "waits", moved(running(before), running(after)),
            "checklists", moved(checklists(before), checklists(after)))));
        before = after;
      }
    }
    assertThat(words).as("taken by the server, seed %d", scenario.seed).hasSizeGreaterThan(UNSENT / 10);
    return new TreeMap<>(Map.of(
        "who", new TreeMap<>(
            Map.of("id", speaker.who, "name", speaker.name, "seat", speaker.seat, "device", speaker.device)),
        "seed", scenario.seed, "resuming", told.path("header").path("resuming"),
        "card", briefCard(told.path("card")), "told", briefProgress(told.path("progress")), "said", words));
  }

  private static String file(List<Map<String, Object>> played) {
    return played.stream().map(JSON::writeValueAsString).collect(Collectors.joining(",\n", "[\n", "\n]\n"));
  }

  @Test
  public void what_is_said_without_a_network_makes_of_steps_and_tags_what_is_written() throws IOException {
    Http.in(port, "administrator", "spare-key-70").text("/api/flights", "format: neat-lanyard/flights/1\nflights:\n"
        + IntStream.rangeClosed(1, 1 + FRESH).mapToObj(UnsentTest::larger).collect(Collectors.joining()));
    String now = file(SCENARIOS.stream().map(this::played).toList());
    assertThat(Stream.concat(KINDS.stream(), Stream.of("measured", "wait-seen", "value-said", "checklist-resumed")))
        .filteredOn(k -> !now.contains("\"kind\":\"%s\"".formatted(k))).as("kinds nobody said").isEmpty();
    if (System.getProperty("lanyard.refresh") != null) {
      Files.writeString(KEPT, now);
    }
    assertThat(now).isEqualToIgnoringNewLines(Files.readString(KEPT));
  }

  /** The interface's own test, with words that no build has said before. */
  @Test(dependsOnMethods = "what_is_said_without_a_network_makes_of_steps_and_tags_what_is_written")
  public void a_device_makes_the_same_of_words_that_are_new_each_time() throws Exception {
    Path ui = Given.ROOT.resolve("ui");
    if (!Files.isDirectory(ui.resolve("node_modules"))) {
      throw new SkipException("The interface was not built here");
    }
    System.out.printf("unsent: seed %d%n", SEED);
    Path fresh = Files.writeString(Files.createTempFile("unsent", ".json"),
        file(IntStream.range(0, FRESH).mapToObj(n ->
            new Scenario("larger-" + (2 + n), "QTRN", n % 2 == 0 ? "adeyo" : "marsk", SEED + n)).map(this::played)
            .toList()));
    ProcessBuilder replay = new ProcessBuilder("npx", "vitest", "run", "src/live/unsent.test.ts")
        .directory(ui.toFile()).redirectErrorStream(true);
    replay.environment().put("VITE_UNSENT_CASES", fresh.toString());
    Process vitest = replay.start();
    String said = new String(vitest.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(vitest.waitFor()).as("seed %d, words in %s:%n%s", SEED, fresh, said).isZero();
  }

  private static Map<String, Object> some(JsonNode of, String... keys) {
    Map<String, Object> some = new LinkedHashMap<>();
    Stream.of(keys).filter(of::has).forEach(k -> some.put(k, of.path(k)));
    return some;
  }

  /** As much of the card as the device goes by. */
  private static Map<String, Object> briefCard(JsonNode card) {
    List<Map<String, Object>> parts = card.path("parts").valueStream().map(p -> {
      Map<String, Object> part = some(p, "id", "kind", "stage", "byPanel");
      part.put("items", p.path("items").valueStream()
          .map(i -> some(i, "id", "place", "challenge", "response", "seats", "any", "belowLine", "opens", "closes",
          "needs", "afterWait", "waits")).toList());
      return part;
    }).toList();
    return new TreeMap<>(Map.of("tags", card.path("tags"), "parts", parts, "handedOver", card.path("handedOver")));
  }

  private static Map<String, Object> gates(JsonNode told) {
    Map<String, Object> gates = new TreeMap<>();
    told.path("gates").forEachEntry((id, all) ->
        gates.put(id, all.valueStream().map(g -> some(g, "before", "waits", "ofStage", "until")).toList()));
    return gates;
  }

  /** As much of what it was told. No times but those of words said long ago: they are other ones each time. */
  private static Map<String, Object> briefProgress(JsonNode told) {
    Map<String, Object> steps = new TreeMap<>();
    told.path("steps").forEachEntry((id, s) -> {
      Map<String, Object> step = some(s, "status", "settled", "owes", "again", "disagreed", "waitSeen");
      step.put("marks", s.path("marks").valueStream()
          .map(m -> some(m, "outcome", "by", "who", "device", "seat", "number", "at"))
          .toList());
      steps.put(id, step);
    });
    Map<String, Object> parts = new TreeMap<>();
    told.path("parts").forEachEntry((id, p) -> parts.put(id, some(p, "done", "all", "next", "stopped")));
    List<Map<String, Object>> tags = told.path("tags").valueStream().map(t -> some(t, TAG)).toList();
    Map<String, Object> all = new TreeMap<>(
        Map.of("number", told.path("number"), "steps", steps, "tags", tags, "allowed", told.path("allowed"), "gates",
        gates(told),
        "parts", parts, "passed", told.path("passed"),
        "waits", told.path("waits").valueStream().map(w -> some(w, "step", "tag", "words", "since", "until")).toList(),
        "beads", told.path("beads").valueStream().map(b -> some(b, "stage", "title", "state")).toList(),
        "finds", told.path("finds").valueStream().map(f -> some(f, "id", "step", "measured", "verdict")).toList()));
    all.put("briefing", told.path("briefing").valueStream().map(l -> {
      Map<String, Object> line = some(l, "step");
      line.put("read", some(l.path("read"), "words"));
      return l.has("read") ? line : some(l, "step");
    }).toList());
    return all;
  }
}

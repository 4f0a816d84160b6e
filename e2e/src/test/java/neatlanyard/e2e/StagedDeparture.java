package neatlanyard.e2e;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.APIResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;

/**
 * The demo's first departure as it happens in life: what two people say of it over three quarters of an hour, each at
 * its own time. The server hears of it as from devices that had no network until then.
 */
final class StagedDeparture {
  private static final String ID = "today-14";
  private static final Instant DAY = Instant.parse("2027-01-14T00:00:00Z");

  /** When each procedure is begun, and the seconds a step of it takes. */
  private static final Map<String, Pace> PACES = Map.ofEntries(
      pace("Safe, then power", "07:26:30", 20), pace("Safety round", "07:33:20", 8),
      pace("Walkaround", "07:35:40", 8), pace("Left flow", "07:33:40", 17), pace("Tests", "07:42:00", 24),
      pace("Overhead flow", "07:46:00", 11), pace("Right flow", "07:51:10", 8),
      pace("Tests, right seat", "07:53:30", 7), pace("Figures", "07:54:40", 22),
      pace("Take-off briefing", "07:57:30", 22),
      pace("Ready to start", "08:00:10", 15), pace("Before start", "08:00:50", 14),
      pace("After start flow", "08:04:10", 12),
      pace("After start", "08:06:10", 9), pace("Around the control check", "08:07:10", 8),
      pace("Ready to taxi", "08:08:40", 8), pace("Before taxi", "08:09:20", 10), pace("Rolling", "08:10:30", 10),
      pace("Taxi", "08:11:10", 12), pace("Ready for take-off", "08:12:20", 10), pace("Before take-off", "08:12:50", 9),
      pace("On the runway", "08:14:40", 6), pace("Line-up", "08:15:00", 6));

  /** What is read, by the challenge. */
  private static final Map<String, Double> READ = Map.ofEntries(
      Map.entry("Battery", 25.4), Map.entry("Brake accumulator", 2600.0), Map.entry("Observers", 0.0),
      Map.entry("Crew oxygen", 1650.0), Map.entry("Right engine oil", 11.0), Map.entry("Left engine oil", 10.5),
      Map.entry("Wear pins, right brakes", 14.0), Map.entry("Wear pins, left brakes", 15.0),
      Map.entry("Tyre pressure, right outer", 82.0), Map.entry("Tyre pressure, right inner", 81.0),
      Map.entry("Tyre pressure, left outer", 81.5), Map.entry("Tyre pressure, left inner", 82.0),
      Map.entry("Right strut", 92.0), Map.entry("Left strut", 95.0), Map.entry("Hydraulic reservoir", 88.0),
      Map.entry("Fire bottle", 610.0), Map.entry("Fuel ordered", 2100.0), Map.entry("Fuel before fuelling", 620.0),
      Map.entry("Fuel pumped", 1850.0), Map.entry("Fuel density", 0.8), Map.entry("Fuel on the gauges", 2100.0),
      Map.entry("Left tank", 1050.0), Map.entry("Right tank", 1050.0),
      Map.entry("Oxygen pressure, left mask flowing", 1600.0),
      Map.entry("Oxygen pressure, right mask flowing", 1610.0),
      Map.entry("Centre of gravity", 26.5));

  /** After so much waiting for what comes first something is wrong with the plan. */
  private static final int MOST_TRIES = 60;
  private static final Duration AGAIN = Duration.ofSeconds(5);

  private record Pace(Instant from, int seconds) {}

  /** One word of one seat. */
  private record Word(Instant at, String seat, JsonObject item, int tries) {
    String step() {
      return item.get("id").getAsString();
    }
  }

  private final Map<String, Crew> crew;
  private final Set<String> said = new HashSet<>();
  /** The steps that are answered with what today gives. */
  private final Set<String> valued = new HashSet<>();
  private final Map<String, String> finds = new HashMap<>();
  private final Map<String, Instant> shifted = new HashMap<>();
  private boolean given;

  StagedDeparture(Crew left, Crew right) {
    this.crew = Map.of("left", left, "right", right);
  }

  private static Map.Entry<String, Pace> pace(String title, String from, int seconds) {
    return Map.entry(title, new Pace(at(from), seconds));
  }

  /** An hour of the day, such as 07:41:00. */
  static Instant at(String clock) {
    return Instant.parse(DAY.toString().substring(0, 11) + clock + "Z");
  }

  /** At that step something is found, in place of its being as it should be. @param entry of the dispatch list */
  StagedDeparture find(String step, String note, String entry) {
    finds.put(step, "%s|%s".formatted(note, entry));
    return this;
  }

  /** All that is said until an hour of the day. @throws AssertionError when something cannot be said in time */
  void until(Instant to) {
    valued.clear();
    progress().getAsJsonObject("values").entrySet().stream()
        .filter(v -> v.getValue().getAsJsonObject().get("back").getAsBoolean()).forEach(v -> valued.add(v.getKey()));
    PriorityQueue<Word> words = new PriorityQueue<>(Comparator.comparing(Word::at));
    parts().forEach(p -> plan(p).filter(w -> !said.contains(w.seat() + w.step())).forEach(words::add));
    while (!words.isEmpty() && !words.peek().at().isAfter(to)) {
      Word word = words.remove();
      String refused = say(word);
      if (refused.isEmpty()) {
        said.add(word.seat() + word.step());
      } else if (word.tries() == MOST_TRIES) {
        throw new AssertionError("%s at %s: %s".formatted(word.step(), word.at(), refused));
      } else {
        Instant later = word.at().plus(AGAIN);
        shifted.put(word.seat() + word.step(), later);
        words.add(new Word(later, word.seat(), word.item(), word.tries() + 1));
      }
    }
  }

  /** Somebody sees that the times that ran until then are over. */
  void seeWhatIsOver(Instant at) {
    objects(progress().getAsJsonArray("waits")).filter(w -> !Instant.parse(w.get("until").getAsString()).isAfter(at))
        .map(w -> w.get("step").getAsString())
        .forEach(step -> crew("right").send(ID, at, "right-tablet", "wait-seen", Map.of("step", step)));
  }

  /** A tag of one's own words, to be gone by the tie-off. */
  void hang(Instant at, String words) {
    APIResponse hung = crew("right").send(ID, at, "right-tablet", "tag-hung",
        Map.of("tag", Crew.eventId().toString(), "words", words, "due", "tie_off"));
    if (!hung.ok()) {
      throw new AssertionError(hung.text());
    }
  }

  private Stream<JsonObject> parts() {
    return objects(view().getAsJsonObject("card").getAsJsonArray("parts"));
  }

  private Stream<Word> plan(JsonObject part) {
    Pace pace = PACES.get(part.get("title").getAsString());
    if (pace == null) {
      throw new AssertionError("No pace is planned for " + part.get("title"));
    }
    List<JsonObject> items = objects(part.getAsJsonArray("items")).toList();
    return Stream.iterate(0, n -> n < items.size(), n -> n + 1).flatMap(n -> {
      JsonObject item = items.get(n);
      List<String> seats = strings(item.getAsJsonArray("seats"));
      int one = item.get("any").getAsBoolean() ? 1 : seats.size();
      return seats.stream().limit(one).map(s -> new Word(
          shifted.getOrDefault(s + item.get("id").getAsString(), pace.from().plusSeconds((long) n * pace.seconds())),
          s, item, 0));
    });
  }

  /** @return why it was not taken, such as for what comes first; empty when it was */
  private String say(Word word) {
    String found = finds.get(word.step());
    if (found != null) {
      String[] what = found.split("\\|", 2);
      return send(word, "find-raised", Map.of("step", word.step(), "find", Crew.eventId().toString(), "note", what[0],
          "what", detail(what[1])));
    }
    List<String> figures = progress().getAsJsonObject("figures").entrySet().stream()
        .filter(f -> f.getValue().getAsJsonObject().get("step").getAsString().equals(word.step()))
        .map(Map.Entry::getKey).toList();
    if (!figures.isEmpty()) {
      give(word);
      return figures.stream().map(f -> send(word, "figure-entered", Map.of("figure", f.replace('-', '_'), "value",
          Papers.FROST.figures().getOrDefault(f, "")))).filter(r -> !r.isEmpty()).findFirst().orElse("");
    }
    if (valued.contains(word.step())) {
      return send(word, "value-said", Map.of("step", word.step(), "value", progress().getAsJsonObject("values")
          .getAsJsonObject(word.step()).getAsJsonArray("accepted").get(0).getAsString()));
    }
    if (word.item().has("measure")) {
      return send(word, "measured", Map.of("step", word.step(), "value", reading(word.item())));
    }
    Optional<JsonObject> line = objects(progress().getAsJsonArray("briefing"))
        .filter(l -> l.get("step").getAsString().equals(word.step())).findFirst();
    if (line.isPresent()) {
      return word.seat().equals("left") ? send(word, "briefing-read", Map.of("lines", List.of(
          Map.of("line", word.step(), "words", line.get().get("words").getAsString()))))
          : send(word, "briefing-heard", Map.of("lines", List.of(word.step())));
    }
    return send(word, "step-done", Map.of("step", word.step()));
  }

  /** What the figures are worked out from: the runway as it was reported, and the load sheet. */
  private void give(Word word) {
    if (given) {
      return;
    }
    given = true;
    Map<String, Object> third = new HashMap<>(Map.of("code", 5, "contaminant", "frost"));
    third.put("depth-mm", null);
    third.put("coverage-percent", null);
    Map<String, Object> condition = new HashMap<>(Map.of("thirds", List.of(third)));
    condition.put("braking", null);
    send(word, "runway-reported", Map.of("condition", condition));
    crew(word.seat()).post("/api/departures/" + ID + "/load-sheet", "application/json",
        "{\"device\": \"%s-tablet\"}".formatted(word.seat()));
  }

  private static Map<String, Object> detail(String entry) {
    Map<String, Object> what = new HashMap<>();
    what.put("severity", entry.isEmpty() ? "mark" : "defect");
    what.put("count", 1);
    what.put("entry", entry.isEmpty() ? null : entry);
    what.put("spot", null);
    what.put("photos", List.of());
    return what;
  }

  private double reading(JsonObject item) {
    Double read = READ.get(item.get("challenge").getAsString());
    JsonElement none = item.getAsJsonObject("measure").get("none");
    if (read != null || none != null) {
      return read != null ? read : none.getAsDouble();
    }
    JsonObject allowed = progress().getAsJsonObject("allowed").getAsJsonObject(item.get("id").getAsString());
    return (allowed.get("least").getAsDouble() + allowed.get("most").getAsDouble()) / 2;
  }

  private String send(Word word, String kind, Map<String, Object> body) {
    APIResponse answer = crew(word.seat()).send(ID, word.at(), word.seat() + "-tablet", kind, body);
    return answer.ok() ? "" : answer.text();
  }

  private Crew crew(String seat) {
    Crew one = crew.get(seat);
    if (one == null) {
      throw new AssertionError("Nobody sits at the " + seat);
    }
    return one;
  }

  /** When a step was answered, by the record. */
  Instant saidAt(String step) {
    return Instant.parse(progress().getAsJsonObject("steps").getAsJsonObject(step).getAsJsonArray("marks").get(0)
        .getAsJsonObject().get("at").getAsString());
  }

  private JsonObject progress() {
    return view().getAsJsonObject("progress");
  }

  private JsonObject view() {
    return JsonParser.parseString(crew("left").get("/api/departures/" + ID)).getAsJsonObject();
  }

  private static Stream<JsonObject> objects(JsonArray array) {
    return StreamSupport.stream(array.spliterator(), false).map(JsonElement::getAsJsonObject);
  }

  private static List<String> strings(JsonArray array) {
    return StreamSupport.stream(array.spliterator(), false).map(JsonElement::getAsString).toList();
  }
}

package neatlanyard.formats.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Likelihood;
import neatlanyard.core.timeline.Serial;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.learned.Calibration;
import neatlanyard.core.timeline.learned.Foretold;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

/** A made-up year of what plans said and what came of it, and how it came true. */
public class ForetoldCsvTest {
  private static final Instant NOW = Instant.parse("2027-01-14T06:00:00Z");
  private static final String HEAD = "flight,type,at,wanted,likely,by-clock,over\r\n";
  private static final int RUNS = 1_000;
  /** Of the flights in which passengers are late and no plan knew of it, and how late. */
  private static final double UNKNOWN_LATE = 0.06;
  private static final Duration LATE = Duration.ofMinutes(4);

  private final Map<String, Departure> opened = new HashMap<>();

  /** The first of its steps are over, as the crew has begun. */
  private Departure begun(String type, MadeUpYear.Day day, int third) throws IOException {
    String key = "%s/%s/%s/%d".formatted(type, day.dark(), day.cold(), third);
    Departure known = opened.get(key);
    if (known != null) {
      return known;
    }
    Departure d = AheadTest.opened(type, day.dark(), day.cold() ? -2 : 8);
    List<Item> items = Ahead.of(d, List.of(), Learned.NONE, AheadTest.DEPARTS).orElseThrow().tasks().stream()
        .flatMap(t -> t.items().stream()).toList();
    for (Item item : items.subList(0, items.size() * third / 4)) {
      d = AheadTest.says(d, AheadTest.LEFT, new Event.StepNotToday(item.step().id(), "done"),
          AheadTest.DEPARTS.minus(Duration.ofMinutes(40)));
    }
    opened.put(key, d);
    return d;
  }

  /**
   * The stated generator: each flight of {@link MadeUpYear} with one to three quarters of its steps over, planned by
   * hand from when 0.9 to 1.6 of the time is left that its plan takes, with what was learned from the flights before
   * it; it then comes as the year's crews are, and in six of a hundred passengers are late besides.
   */
  private String year() throws IOException {
    StringBuilder text = new StringBuilder(HEAD);
    Random random = new Random(MadeUpYear.SEED);
    MadeUpYear year = new MadeUpYear();
    List<Took> times = TookCsv.read(year.times, NOW).orThrow("times").values().stream().flatMap(List::stream).toList();
    for (MadeUpYear.Crews crews : year.crews) {
      for (MadeUpYear.Day day : crews.days()) {
        Instant midnight = NOW.minus(Duration.ofDays(day.day()));
        Learned learned = Learned.of(times.stream().filter(t -> t.type().value().equals(crews.type())
            && t.at().isBefore(midnight)).toList());
        Departure d = begun(crews.type(), day, 1 + random.nextInt(3));
        Instant boarded = AheadTest.DEPARTS.minus(Duration.ofMinutes(6));
        List<GroundEvent> ground = List.of(new GroundEvent(GroundEvent.Kind.BOARDING,
            boarded.minus(Duration.ofMinutes(12)), boarded, "operations", false));
        Ahead early = Ahead.of(d, List.of(), learned, AheadTest.DEPARTS.minus(Duration.ofHours(1))).orElseThrow();
        Duration takes = ends(early.demands(), random);
        Instant at = early.wanted().minusSeconds(Math.round(takes.toSeconds() * (0.9 + 0.7 * random.nextDouble())));
        Ahead ahead = Ahead.of(d, ground, learned, at).orElseThrow();
        Timeline plan = Serial.of(ahead.demands(), 5, random).orElseThrow();
        Likelihood said = Likelihood.of(ahead.demands(), plan, RUNS, random);
        boolean late = random.nextDouble() < UNKNOWN_LATE;
        Demands truth = truth(Ahead.of(d, ground, Learned.NONE, at).orElseThrow(), crews, day, late);
        Duration came = Likelihood.of(truth, plan, 1, random).departs();
        Instant told = midnight.plus(Duration.between(AheadTest.DEPARTS, at));
        text.append("year-%s-%d,%s,%s,%s,%s,%s,%s\r\n".formatted(crews.type(), day.number(), crews.type(),
            span(told), span(told.plus(Duration.between(at, ahead.wanted()))),
            String.format(Locale.ROOT, "%.3f", said.onTime()), ahead.byClock() ? "yes" : "no",
            span(told.plus(came))));
      }
    }
    return text.toString();
  }

  private static String span(Instant at) {
    return "-" + Duration.between(at, NOW).truncatedTo(ChronoUnit.SECONDS);
  }

  private static Duration ends(Demands demands, Random random) {
    return Serial.of(demands, 5, random).orElseThrow().slots().values().stream().map(Timeline.Slot::ends)
        .max(Duration::compareTo).orElseThrow();
  }

  /** The same demands, each as long as these crews take. */
  private static Demands truth(Ahead ahead, MadeUpYear.Crews crews, MadeUpYear.Day day, boolean late) {
    Demands d = ahead.demands();
    List<Activity> all = new ArrayList<>();
    for (Activity a : d.activities()) {
      Length length = ahead.task(a.id()).map(t -> new Length(Duration.ofMillis(Math.round(
          a.length().median().toMillis() * Math.exp(crews.factor(t.procedure(), day)))), MadeUpYear.SCATTER))
          .orElse(a.length());
      boolean boards = late && ahead.ground().containsKey(a.id());
      all.add(new Activity(a.id(), a.what(), a.ways(),
          boards ? new Length(length.median().plus(LATE), length.spread()) : length, a.place(), a.from(), a.until()));
    }
    return new Demands(d.people(), all, d.waits(), d.apart(), d.walks(), d.inOneGo(), d.due(), d.runs());
  }

  @Test
  public void the_demos_year_is_what_the_generator_makes_and_came_true_about_as_it_was_said() throws IOException {
    Path file = MadeUpYear.DEMO.resolve("foretold.csv");
    String made = year();
    if (Boolean.getBoolean("lanyard.refresh")) {
      Files.writeString(file, made);
    }
    assertThat(Files.readString(file)).isEqualTo(made);
    List<Foretold> all = ForetoldCsv.read(made, NOW).orThrow("year");
    assertThat(all).hasSize(5 * MadeUpYear.FLIGHTS);
    assertThat(ForetoldCsv.read(ForetoldCsv.write(all), NOW).orThrow("again")).as("out and in again").isEqualTo(all);
    Calibration c = Calibration.of(all);
    assertThat(c.brier()).as("better than the plain clock, and than saying the same of all")
        .isLessThan(c.clock()).isLessThan(c.base());
    double said = all.stream().mapToDouble(Foretold::likely).average().orElseThrow();
    assertThat(c.came()).isCloseTo(said, within(0.1));
  }

  @Test
  public void every_fault_is_named_with_its_line() {
    assertThat(ForetoldCsv.read(HEAD + "f,xx,-PT1H,PT1M,1.5,perhaps,never\r\nf,xx,-PT1H,PT1M,NaN,yes,PT0S\r\n", NOW))
        .isInstanceOfSatisfying(Read.Bad.class, b -> assertThat(b.faults().toString()).contains("line=2",
        "'likely' is '1.5'", "'by-clock' is 'perhaps'", "'over' is 'never'", "line=3", "'likely' is 'NaN'"));
  }
}

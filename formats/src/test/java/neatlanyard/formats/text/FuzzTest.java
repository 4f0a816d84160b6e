package neatlanyard.formats.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.entry.Recogniser;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.record.Chain;
import neatlanyard.core.record.Seal;
import neatlanyard.core.sop.StepId;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.formats.dispatch.DispatchListReader;
import neatlanyard.formats.dispatch.ReadingsCsv;
import neatlanyard.formats.dispatch.TechLogCsv;
import neatlanyard.formats.figures.EntriesCsv;
import neatlanyard.formats.figures.FiguresAskedReader;
import neatlanyard.formats.figures.FiguresJson;
import neatlanyard.formats.figures.HoldoverReader;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.figures.TypeFiguresReader;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.fleet.FlightsReader;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.formats.record.RecordFile;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.timeline.ForetoldCsv;
import neatlanyard.formats.timeline.GroundEventsCsv;
import neatlanyard.formats.timeline.PlanReader;
import neatlanyard.formats.timeline.TookCsv;
import neatlanyard.formats.weather.ForecastReader;
import neatlanyard.formats.weather.StationReportReader;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Inputs that nobody would write: each reader gives its own kind of fault, and is through in good time. */
public class FuzzTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");
  /** In all; `./lanyard bench fuzz` asks for more. */
  private static final int INPUTS = Integer.getInteger("lanyard.fuzz", 20_000);
  private static final long SEED = Long.getLong("lanyard.seed", 20_270_114L);
  /** A whole pack is long to read; most mutants are of its beginning. */
  private static final int WHOLE_PACK_EVERY = 400;
  private static final Duration LONGEST = Duration.ofSeconds(1);

  /** @param share how many of a thousand inputs it gets */
  /** Named after nothing that it holds: reports print what a test was given. */
  private record Reader(int share, List<String> good, Consumer<String> reads) {
    @Override
    public String toString() {
      return "with a share of " + share;
    }
  }

  private record Text(String of, String text) {
    @Override
    public String toString() {
      return of;
    }
  }

  private static String demo(String file) {
    try {
      return Files.readString(DEMO.resolve(file));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static String head(String text, int lines) {
    return text.lines().limit(lines).collect(Collectors.joining("\n"));
  }

  private static List<String> entries() {
    CrewId marsk = new CrewId("marsk");
    String previous = Chain.GENESIS;
    List<Event> events = List.of(
        new Event.SeatTaken(Seat.LEFT), new Event.StepDone(new StepId("wa-door")),
        new Event.TiedOff(List.of(new Event.Acceptance("a", "b", "c"))));
    List<String> written = new java.util.ArrayList<>();
    for (int i = 0; i < events.size(); i++) {
      EntryJson.HashedEntry kept = EntryJson.write(
          new Entry(i + 1, new UUID(7, i), NOW, NOW, marsk, Optional.of(Seat.LEFT), "d", events.get(i)), previous);
      written.add(kept.json());
      previous = kept.hash();
    }
    return written;
  }

  private static Map<String, Reader> readers() {
    Fleet fleet = FleetReader.read(demo("fleet.yaml")).orThrow("fleet");
    ControlSpec spec = PackReader.read(demo("packs/dovrin-46.yaml")).orThrow("pack").flightControls();
    List<String> entries = entries();
    String last = EntryJson.read(entries.getLast()).event().getClass().getSimpleName();
    assertThat(last).isEqualTo("TiedOff");
    String record = RecordFile.write(entries, entries.getLast().replaceAll(".*\"hash\":\"([0-9a-f]+)\".*", "$1"),
        Seal.of("x", Seal.newKey(NOW)));
    Map<String, Reader> readers = new LinkedHashMap<>();
    readers.put("station report", new Reader(300, List.of(
        "METAR QTRN 140720Z 24012G25KT 210V270 9000 R25/0600U -SHSN FEW012 BKN025CB M02/M04 Q1003 NOSIG",
        "QBRN 140720Z VRB02KT CAVOK 14/11 A2992"), t -> StationReportReader.read(t, NOW)));
    readers.put("fleet", new Reader(60, List.of(demo("fleet.yaml")), FleetReader::read));
    readers.put("flights", new Reader(80, List.of(demo("flights.yaml")), t -> FlightsReader.read(t, fleet, NOW)));
    readers.put("technical log", new Reader(120, List.of(demo("tech-log.csv")),
        t -> TechLogCsv.read(t, x -> DispatchList.none(new TypeId("t")), NOW, ZoneId.of("UTC"))));
    readers.put("readings", new Reader(100, List.of(head(demo("readings.csv"), 12)), t -> ReadingsCsv.read(t, NOW)));
    readers.put("trace", new Reader(80, List.of(head(demo("traces/dovrin-46-sound.csv"), 8)), t ->
        TraceCsv.read(t, spec)));
    readers.put("dispatch list", new Reader(40, List.of(head(demo("dispatch/dovrin-46.yaml"), 30)),
        DispatchListReader::read));
    readers.put("entry", new Reader(120, entries, FuzzTest::entry));
    readers.put("record", new Reader(80, List.of(record), RecordFile::check));
    readers.put("pack", new Reader(20, Stream.of("dovrin-46", "halyard-210")
        .map(p -> head(demo("packs/" + p + ".yaml"), 60)).toList(), PackReader::read));
    readers.put("plan", new Reader(40, List.of(demo("plans/flight-14.yaml")), PlanReader::read));
    readers.put("ground events", new Reader(100, List.of(head(demo("ground-events.csv"), 12)), t ->
        GroundEventsCsv.read(t, NOW, "x", false)));
    readers.put("foretold", new Reader(60, List.of(head(demo("foretold.csv"), 12)), t -> ForetoldCsv.read(t, NOW)));
    readers.put("forecast", new Reader(100, List.of("TAF QTRN 140500Z 1406/1506 24012KT 9000 -SN BKN025 "
        + "PROB40 TEMPO 1408/1412 0800 SHSN VV002 BECMG 1414/1416 CAVOK FM142230 VRB02KT 3000 BR OVC004="),
        t -> ForecastReader.read(t, NOW)));
    readers.put("task times", new Reader(100, List.of(head(demo("task-times.csv"), 12)), t -> TookCsv.read(t, NOW)));
    figures(readers, fleet);
    return readers;
  }

  /** What is asked is worked out too: whatever can be read has figures, or a reason why not. */
  private static void figures(Map<String, Reader> readers, Fleet fleet) {
    String type = demo("figures/dovrin-46.yaml");
    String tables = """
        format: neat-lanyard/take-off-tables/1
        type: dovrin-46
        edition: 2026-11
        tables:
          - {gives: v1, flap: "15", state: dry, values: "84.0 - 91.5 92",
             axes: [{of: weight, points: [12000, 18200]}, {of: slope, points: [-2, 0]}]}
          - {gives: power, flap: "15", axes: [{of: temperature, points: [-30, 0, 50]}], values: "100 100 85.5"}
        """;
    assertThat(TakeoffTablesReader.read(tables)).isInstanceOf(Read.Good.class);
    TakeoffTablesReader.Tables whole =
        TakeoffTablesReader.read(demo("figures/dovrin-46-take-off.yaml")).orThrow("tables");
    TypeFigures dovrin = TypeFiguresReader.read(type, whole::of).orThrow("type");
    String times = demo("figures/holdover.yaml");
    Holdover holdover = HoldoverReader.read(times).orThrow("holdover");
    readers.put("holdover times", new Reader(40, List.of(times), HoldoverReader::read));
    readers.put("take-off tables", new Reader(60, List.of(tables), TakeoffTablesReader::read));
    readers.put("type figures", new Reader(60, List.of(type), t -> TypeFiguresReader.read(t, whole::of)));
    readers.put("entries", new Reader(60, List.of(demo("figures/entered/slips.csv")), t -> {
      if (EntriesCsv.read(t) instanceof Read.Good<List<EntriesCsv.EnteredFigure>> good) {
        good.value().forEach(e -> Recogniser.causes(e.figure(), e.expected(), e.entered(), e.context()));
      }
    }));
    readers.put("figures", new Reader(100, List.of(demo("figures/asked/flight-14.json")), t -> {
      if (FiguresAskedReader.read(t, fleet) instanceof Read.Good<FiguresAsked> good
          && DepartureFigures.of(dovrin, holdover, good.value()) instanceof DepartureFigures.Result.Figures f) {
        assertThat(FiguresJson.of(f.figures())).isNotBlank();
      }
    }));
  }

  /** An entry that cannot be read is an argument that is not one. */
  private static void entry(String text) {
    try {
      EntryJson.read(text);
    } catch (IllegalArgumentException expected) {
      assertThat(expected.getMessage()).isNotBlank();
    }
  }

  @DataProvider
  static Object[][] all() {
    return readers().entrySet().stream().map(e -> new Object[] {e.getKey(), e.getValue()}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "all")
  public void every_reader_gives_its_own_kind_of_fault_for_every_input(String name, Reader reader) {
    int inputs = Math.max(1, (int) ((long) INPUTS * reader.share / 1_000));
    System.out.printf("fuzz: %s, %d inputs, seed %d%n", name, inputs, SEED);
    Mutator mutator = new Mutator(SEED + name.hashCode());
    long longest = 0;
    String slowest = "";
    for (int i = 0; i < inputs; i++) {
      String input = mutator.next(name.equals("pack") && i % WHOLE_PACK_EVERY == 0
          ? List.of(demo("packs/dovrin-46.yaml")) : reader.good);
      long began = usedNs();
      try {
        reader.reads.accept(input);
      } catch (RuntimeException | Error e) {
        throw new AssertionError("%s, input %d of seed %d:%n%s".formatted(name, i, SEED, input), e);
      }
      long took = usedNs() - began;
      if (took > longest) {
        longest = took;
        slowest = input;
      }
    }
    if (longest >= LONGEST.toNanos()) {
      // What is slow by itself is slow each time.
      long began = usedNs();
      reader.reads.accept(slowest);
      longest = usedNs() - began;
    }
    assertThat(Duration.ofNanos(longest)).as("%s: %s", name, slowest).isLessThan(LONGEST);
  }

  /** What the processor has worked for this thread: a machine that stands still for a second does not make it more. */
  private static long usedNs() {
    return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
  }

  @DataProvider
  static Object[] long_ones() {
    int n = Doc.MOST_CHARACTERS - 1_000;
    String word = "ab ".repeat(n / 3);
    String x = "x".repeat(n);
    return new Object[] {
      new Text("a plain scalar", "format: " + word),
      new Text("a double-quoted one", "format: \"" + word + "\""),
      new Text("a single-quoted one", "format: '" + word + "'"),
      new Text("a comment", "format: x # " + word),
      new Text("a literal block", "format: |\n  " + word),
      new Text("a folded block of lines", "format: >\n" + "  ab\n".repeat(n / 5)),
      new Text("one word", "format: " + x),
      new Text("blanks", "format:" + " ".repeat(n) + "x"),
      new Text("line ends", "format: x" + "\n".repeat(n)),
      new Text("a plain scalar of lines", "format: x\n" + "  ab\n".repeat(n / 5)),
      new Text("a JSON text", "{\"format\":\"" + x + "\"}"),
      new Text("many small ones", "format: [" + "a,".repeat(n / 2) + "]"),
      new Text("many empty ones", "format: [" + "[],".repeat(n / 3) + "]"),
      new Text("many fields", fields(n)),
      new Text("escapes", "format: \"" + "\\u0041".repeat(n / 6) + "\""),
      new Text("a directive", "%" + x),
      new Text("an anchor", "format: &" + x + " y"),
      new Text("a tag", "format: !" + x + " y"),
    };
  }

  private static String fields(int most) {
    StringBuilder fields = new StringBuilder();
    for (int i = 0; fields.length() < most - 20; i++) {
      fields.append("f").append(i).append(": x\n");
    }
    return fields.toString();
  }

  /** What takes quadratic time has no answer within hours; the limit is wide so that a slow machine passes. */
  @Test(dataProvider = "long_ones", timeOut = 120_000)
  public void eight_million_characters_of_anything_are_read_in_one_go(Text of) {
    assertThat(FleetReader.read(of.text)).as(of.of).isInstanceOf(Read.Bad.class);
  }
}

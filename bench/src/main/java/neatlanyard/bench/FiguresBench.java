package neatlanyard.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.Grid;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.entry.Cause;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.EntryContext;
import neatlanyard.core.figures.entry.Recogniser;
import neatlanyard.formats.figures.FiguresAskedReader;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.figures.TypeFiguresReader;
import neatlanyard.formats.fleet.FleetReader;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The figures of a departure, one entry judged, and one look into a table as tables grow. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(2)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
public class FiguresBench {
  private static final EntryContext BESIDE = new EntryContext(
      Map.of(CriticalFigure.ZERO_FUEL_WEIGHT, "57640", CriticalFigure.GROSS_WEIGHT, "68440", CriticalFigure.V1, "134",
      CriticalFigure.VR, "139", CriticalFigure.V2, "145"),
      Optional.of("63270"), List.of(new EntryContext.Row("flap 2", "131")));

  /** A flight of the demo, from the report to every runway end, intersection, flap and thrust. */
  @State(Scope.Benchmark)
  public static class Departure {
    @Param({"flight-14", "flight-31"})
    private String flight = "";

    private Optional<TypeFigures> type = Optional.empty();
    private Optional<FiguresAsked> asked = Optional.empty();

    @Setup
    public void read() throws IOException {
      Path demo = Path.of(System.getProperty("lanyard.root", "."), "demo");
      Path figures = demo.resolve("figures");
      String name = flight.equals("flight-14") ? "dovrin-46" : "halyard-210";
      TakeoffTablesReader.Tables tables = TakeoffTablesReader.read(
          Files.readString(figures.resolve(name + "-take-off.yaml"))).orThrow(name);
      type = Optional.of(TypeFiguresReader.read(Files.readString(figures.resolve(name + ".yaml")), tables::of)
          .orThrow(name));
      asked = Optional.of(FiguresAskedReader.read(
          Files.readString(figures.resolve("asked").resolve(flight + ".json")),
          FleetReader.read(Files.readString(demo.resolve("fleet.yaml"))).orThrow("fleet")).orThrow(flight));
    }
  }

  @Benchmark
  public DepartureFigures.Result all_of_a_departure(Departure d) {
    return DepartureFigures.of(d.type.orElseThrow(), Holdover.NONE, d.asked.orElseThrow());
  }

  /** One slip, and what is dearest: a figure that nothing explains. */
  @State(Scope.Benchmark)
  public static class Entered {
    @Param({"86240", "91573"})
    private String entered = "";
  }

  @Benchmark
  public List<Cause> one_entry_judged(Entered e) {
    return Recogniser.causes(CriticalFigure.TAKEOFF_WEIGHT, "68240", e.entered, BESIDE);
  }

  /** A table of five dimensions with so many points on each. */
  @State(Scope.Benchmark)
  public static class Table {
    @Param({"3", "5", "9", "17"})
    private int points;

    private Optional<Grid> grid = Optional.empty();
    private final SplittableRandom random = new SplittableRandom(7);

    @Setup
    public void build() {
      double[] on = IntStream.range(0, points).mapToDouble(i -> i / (points - 1.0)).toArray();
      int size = IntStream.range(0, Grid.Of.values().length).map(i -> points).reduce(1, (a, b) -> a * b);
      grid = Optional.of(new Grid(Stream.of(Grid.Of.values()).map(o -> new Grid.Axis(o, on)).toList(),
          random.doubles(size).toArray()));
    }
  }

  @Benchmark
  public double one_look_into_a_table(Table t) {
    return t.grid.orElseThrow().at(new Grid.Point(t.random.nextDouble(), t.random.nextDouble(), t.random.nextDouble(),
        t.random.nextDouble(), t.random.nextDouble()));
  }
}

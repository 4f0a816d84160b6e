package neatlanyard.device.browser;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.Supplier;
import neatlanyard.core.departure.FiguresKnown;
import neatlanyard.core.figures.BrakingAction;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.GaugedFuel;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.LastMinuteChange;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.FiguresGiven;
import neatlanyard.core.state.Recorded;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.weather.StationReportReader;

/** Departures of the demo's fleet on days of every kind, as far as their crews have said anything yet. */
final class RandomDays {
  static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final Instant OBSERVED = Instant.parse("2027-01-14T07:20:00Z");
  private static final List<String> WEATHER =
      List.of("", "", "-RA ", "RA ", "-SN ", "SN ", "FZFG ", "-FZDZ ", "-FZRA ");
  private static final List<String> FLAPS = List.of("5", "9", "15", "18", "20", "27", "40");

  private final Random random;

  RandomDays(long seed) {
    this.random = new Random(seed);
  }

  static String text(String file) throws IOException {
    return Files.readString(DEMO.resolve(file));
  }

  static Fleet fleet() throws IOException {
    return FleetReader.read(text("fleet.yaml")).orThrow("fleet");
  }

  FiguresKnown day(Airfield from, Airfield to, String type) {
    boolean small = type.equals("dovrin-46");
    TailId tail = new TailId(small ? "TL-DVA" : "TL-HYB");
    FiguresGiven given = maybe(0.5, () -> FiguresGiven.NONE.with(new Event.ElsewhereReported(to.id(), to.name(),
        StationReportReader.read(report(to), OBSERVED).orThrow("report"), false, Optional.empty())))
        .orElse(FiguresGiven.NONE);
    for (Event event : said(from, tail, small)) {
      given = switch (event) {
        case Event.RunwayReported e -> given.with(e);
        case Event.TowerWindSaid e -> given.with(e);
        case Event.LoadSheetTaken e -> given.with(e);
        case Event.LoadSheetChanged e -> given.with(e);
        case Event.TakeoffChosen e -> given.with(e);
        case Event.DeIced e -> given.with(new Recorded<>(e, new CrewId("crew"), OBSERVED, 1));
        default -> throw new IllegalStateException();
      };
    }
    return new FiguresKnown("Flight 14", tail, new TypeId(type), LocalDate.of(2027, 1, 14), from.id(),
        maybe(0.97, () -> StationReportReader.read(report(from), OBSERVED).orThrow("report")), given,
        maybe(0.5, () -> new GaugedFuel(small ? 2_060 : 10_800, 150)));
  }

  private String report(Airfield from) {
    int speed = random.nextInt(35);
    String wind = random.nextInt(8) == 0 ? "VRB0%dKT".formatted(random.nextInt(1, 9)) : "%03d%02d%sKT".formatted(
        10 * random.nextInt(1, 37), speed, random.nextInt(3) == 0 ? "G%02d".formatted(speed + 10) : "");
    int celsius = random.nextInt(-20, 36);
    return "METAR %s 140720Z %s %04d %sFEW012 BKN025 %s/%s Q%04d".formatted(from.id(), wind,
        random.nextInt(1, 100) * 100, WEATHER.get(random.nextInt(WEATHER.size())), degrees(celsius),
        degrees(celsius - random.nextInt(6)), random.nextInt(970, 1045));
  }

  private static String degrees(int celsius) {
    return celsius < 0 ? "M%02d".formatted(-celsius) : "%02d".formatted(celsius);
  }

  private List<Event> said(Airfield from, TailId tail, boolean small) {
    List<Event> all = new ArrayList<>();
    maybe(0.97, () -> all.add(new Event.RunwayReported(condition())));
    maybe(0.3, () -> all.add(new Event.TowerWindSaid(maybe(0.8, () -> new TowerWind(
        random.nextBoolean() ? OptionalInt.of(10 * random.nextInt(1, 37)) : OptionalInt.empty(), random.nextInt(30),
        random.nextBoolean() ? OptionalInt.of(random.nextInt(30, 45)) : OptionalInt.empty())))));
    maybe(0.97, () -> all.add(new Event.LoadSheetTaken(sheet(tail, small), Optional.empty(),
        random.nextBoolean() ? OptionalDouble.of(small ? 17_350 : 67_580) : OptionalDouble.empty(), "the test")));
    maybe(0.3, () -> all.add(new Event.LoadSheetChanged(new LastMinuteChange(
        Map.of("front", random.nextInt(-3, 4)), Map.of("aft", (double) random.nextInt(-60, 61))))));
    maybe(0.6, () -> all.add(new Event.TakeoffChosen(choice(from), maybe(0.5, random::nextBoolean),
        maybe(0.5, random::nextBoolean))));
    maybe(0.3, () -> all.add(new Event.DeIced(maybe(0.9, () -> new Holdover.Applied("thick", "100/0", OBSERVED)))));
    return all;
  }

  private RunwayCondition condition() {
    List<RunwayCondition.Third> thirds = new ArrayList<>();
    int many = random.nextBoolean() ? 1 : 3;
    for (int i = 0; i < many; i++) {
      Contaminant lies = Contaminant.values()[random.nextInt(random.nextInt(5) > 0 ? 2 : Contaminant.values().length)];
      thirds.add(new RunwayCondition.Third(random.nextInt(4) == 0 ? OptionalInt.of(random.nextInt(7))
          : OptionalInt.empty(), lies, lies.deep() ? OptionalInt.of(random.nextInt(1, 20)) : OptionalInt.empty(),
          random.nextBoolean() ? OptionalInt.of(25 * random.nextInt(1, 5)) : OptionalInt.empty()));
    }
    return new RunwayCondition(thirds,
        maybe(0.2, () -> BrakingAction.values()[random.nextInt(BrakingAction.values().length)]));
  }

  private LoadSheet sheet(TailId tail, boolean small) {
    double zeroFuel = small ? random.nextInt(14_500, 16_400) : random.nextInt(50_000, 60_000);
    double fuel = small ? random.nextInt(1_400, 2_200) : random.nextInt(9_000, 14_000);
    Optional<LoadSheet.Load> load = maybe(0.7, () -> small
        ? new LoadSheet.Load(Map.of("front", random.nextInt(16), "middle", 14, "aft", random.nextInt(14)),
        Map.of("front", 100.0, "aft", (double) random.nextInt(600)))
        : new LoadSheet.Load(Map.of("front", random.nextInt(50), "middle", 52, "aft", random.nextInt(48)),
        Map.of("front", 1_100.0, "aft", (double) random.nextInt(2_000))));
    return new LoadSheet("Flight 14", tail, LocalDate.of(2027, 1, 14), random.nextInt(1, 4),
        new LoadSheet.Stated(zeroFuel, random.nextInt(180, 340) / 10.0,
        random.nextBoolean() ? OptionalDouble.of(zeroFuel + fuel) : OptionalDouble.empty(), OptionalDouble.empty(),
        OptionalDouble.empty()), load, Map.of("left", fuel / 2, "right", fuel / 2), small ? 60 : 200,
        small ? 640 : 6_900, LastMinuteChange.NONE);
  }

  private FiguresAsked.Choice choice(Airfield from) {
    List<Runway.End> ends = from.ends().toList();
    Optional<Runway.End> end = ends.isEmpty() ? Optional.empty()
        : maybe(0.7, () -> ends.get(random.nextInt(ends.size())));
    return new FiguresAsked.Choice(end.map(Runway.End::name),
        end.flatMap(e -> e.intersections().stream().findFirst()).filter(i -> random.nextBoolean())
        .map(Runway.Intersection::name), maybe(0.2, () -> FLAPS.get(random.nextInt(FLAPS.size()))),
        maybe(0.2, () -> List.of(Thrust.FULL, new Thrust.Assumed(random.nextInt(10, 55)), new Thrust.Step(90))
        .get(random.nextInt(3))));
  }

  private <T> Optional<T> maybe(double share, Supplier<T> value) {
    return random.nextDouble() < share ? Optional.of(value.get()) : Optional.empty();
  }
}

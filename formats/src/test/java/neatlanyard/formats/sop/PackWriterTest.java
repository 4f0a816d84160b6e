package neatlanyard.formats.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.sop.Alternation;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.DayFigure;
import neatlanyard.core.sop.DayValue;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.sop.Wait;
import neatlanyard.core.sop.Waiver;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Whatever a pack says, writing it and reading it back says the same; and what is made to do harm is refused. */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
public class PackWriterTest {
  /** Words that a careless writer would turn into something else. */
  private static final List<String> AWKWARD = List.of(
      "off", "no", "null", "~", "1e3", "0x1F", "2027-01-14", "a: b", "# not a comment", "\"quoted\"", "it's",
      "{brace}", "[list]", "– dash", "tab\there",
      "*star", "&and", "!bang", "%", "°C ≥ 5", "two  spaces", "comma, and; more", "15", "-");

  private String text;
  private Pack demo;

  @BeforeClass
  void read() throws IOException {
    Path file = Path.of(System.getProperty("lanyard.root", ".."), "demo/packs/dovrin-46.yaml");
    text = Files.readString(file);
    demo = PackReader.read(text).orThrow("demo");
  }

  private Condition condition(Random random, int depth) {
    return switch (random.nextInt(depth > 0 ? 17 : 13)) {
      case 0 -> new Condition.Fitted(any(random, demo.equipment()));
      case 1 -> new Condition.OfSubType(any(random, demo.subTypes()).id());
      case 2 -> new Condition.OnTail(any(random, demo.tails()).id());
      case 3 -> new Condition.Follows(any(random, List.of(School.values())));
      case 4 -> new Condition.Dark();
      case 5 -> new Condition.ColderThan(random.nextInt(60) - 40);
      case 6 -> new Condition.WindAbove(random.nextInt(100));
      case 7 -> new Condition.VisibilityBelow(random.nextInt(9_000));
      case 8 -> new Condition.Weather(any(random, List.of(Condition.Weather.Sky.values())));
      case 9 -> new Condition.Is(any(random, List.of(Circumstance.values())));
      case 10 -> new Condition.From(new AirfieldId("QODY"));
      case 11 -> new Condition.To(new AirfieldId("QKPT"));
      case 12 -> new Condition.MeasuredBelow(any(random, demo.quantities()), random.nextInt(3_000) / 8.0);
      case 13, 14 -> new Condition.Not(condition(random, depth - 1));
      case 15 -> new Condition.All(List.of(condition(random, depth - 1), condition(random, depth - 1)));
      default -> new Condition.Any(
          List.of(condition(random, depth - 1), condition(random, depth - 1), condition(random, depth - 1)));
    };
  }

  private static <T> T any(Random random, List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private Step step(Random random, int i, boolean list) {
    Point point = any(random, demo.points());
    Point control = any(random, demo.points().stream().filter(Point::control).toList());
    List<TagKind> tags = demo.tags().stream().filter(t -> t.hangsOn() == TagKind.Trigger.STEP).toList();
    Step.Hook hook = new Step.Hook(any(random, tags).id(), random.nextBoolean() ? List.of()
        : List.of("item " + random.nextInt(3), "off"));
    Step.Builder step = Step.of("s" + i, any(random, demo.places()).id().value(), any(random, AWKWARD),
        any(random, AWKWARD), any(random, List.of(Owner.values())));
    if (random.nextBoolean()) {
      step.when(condition(random, 4));
    }
    if (random.nextInt(3) == 0) {
      step.sets(new State(control.id(), any(random, control.states())));
    }
    if (random.nextInt(3) == 0) {
      step.expects(new State(point.id(), any(random, point.states())))
          .verifies(new State(control.id(), any(random, control.states())));
    }
    if (i > 0 && random.nextInt(3) == 0) {
      step.needs(new StepId("s" + random.nextInt(i)));
    }
    if (random.nextInt(3) == 0) {
      step.why(any(random, AWKWARD)).number(1 + i).changesTrim()
          .messages(new Step.Message(any(random, AWKWARD), random.nextBoolean() ? "" : any(random, AWKWARD)));
    }
    if (random.nextInt(4) == 0) {
      step.opens(hook).closes(hook);
    }
    if (i == 0) {
      step.waits(new Wait(Duration.ofSeconds(1 + random.nextInt(900)), any(random, AWKWARD), random.nextBoolean()
          ? List.of() : List.of(new Wait.From(60, Duration.ofSeconds(420)),
          new Wait.From(70, Duration.ofMinutes(10))))).notWhileFuelling();
    } else if (random.nextInt(4) == 0) {
      step.afterWait(new StepId("s0"));
    }
    if (random.nextInt(4) == 0) {
      step.course(new Step.Beat(any(random, AWKWARD), any(random, AWKWARD)), new Step.Beat("hold", "lit"))
          .testsLights();
    }
    boolean back = random.nextBoolean();
    if (random.nextInt(4) == 0) {
      step.value(new DayValue(
          new DayValue.Source.Figure(any(random, List.of(DayFigure.values())), random.nextInt(3) * 100 - 100), back));
    } else if (random.nextInt(4) == 0) {
      step.sets(new State(control.id(), control.states().getFirst()))
          .value(new DayValue(new DayValue.Source.Position(control.id()), back));
    } else if (random.nextInt(4) == 0) {
      step.measures(
          new Measure(any(random, demo.quantities()), OptionalDouble.of(-3.5), random.nextBoolean()
          ? OptionalDouble.empty() : OptionalDouble.of(1e5)));
    }
    if (random.nextInt(5) == 0) {
      step.alternates(new Alternation(List.of("on", "off"), random.nextBoolean() ? "" : "memory"));
    }
    if (random.nextBoolean()) {
      step.critical();
    }
    if (random.nextBoolean()) {
      step.alerted();
    }
    return list && random.nextBoolean() ? step.belowLine().build() : step.build();
  }

  private Pack pack(Random random) {
    Map<Matter, School> schools = new EnumMap<>(Matter.class);
    for (Matter matter : Matter.values()) {
      schools.put(matter, any(random, matter.schools()));
    }
    List<Step> first = IntStream.range(0, 6).mapToObj(i -> step(random, i, false)).toList();
    List<Step> second = IntStream.range(6, 10).mapToObj(i -> step(random, i, true)).toList();
    Point control = any(random, demo.points().stream().filter(Point::control).toList());
    return new Pack(
        demo.id(), any(random, AWKWARD), any(random, AWKWARD), demo.type(), Policy.of(schools), demo.equipment(),
        demo.subTypes(), demo.tails(),
        demo.quantities(), demo.due(), demo.planform(), demo.places(), demo.points(), demo.tags(),
        List.of(
            new Procedure(new ProcedureId("one"), any(random, AWKWARD), Stage.FLOWS, Kind.FLOW,
            List.of(new State(control.id(), any(random, control.states()))), first),
            new Procedure(new ProcedureId("two"), any(random, AWKWARD), Stage.TAXI, Kind.CHECKLIST, List.of(),
            second, Optional.of(Duration.ofSeconds(90)), Optional.of(Duration.ofMinutes(20)))),
        demo.takeoff(), demo.flightControls(),
        List.of(new Waiver("never", any(random, AWKWARD), any(random, AWKWARD))), demo.drawings(),
        demo.later());
  }

  /**
   * Property: read(write(pack)) is the pack, in YAML and in JSON, whatever conditions, hooks and awkward words are in
   * it.
   */
  @Test
  public void whatever_is_written_reads_back_equal() {
    Random random = new Random(41);
    for (int round = 0; round < 100; round++) {
      Pack pack = pack(random);
      assertThat(PackReader.read(PackWriter.yaml(pack)).orThrow("round " + round)).isEqualTo(pack);
      assertThat(PackReader.read(PackWriter.json(pack)).orThrow("round " + round)).isEqualTo(pack);
    }
  }

  private static List<String> faults(String pack) {
    return PackReader.read(pack) instanceof Read.Bad<Pack> bad
        ? bad.faults().stream().map(Fault::words).toList()
        : List.of();
  }

  /** A pack of so many steps, each needing the one before; the first needs the last when it goes round. */
  private String chain(int steps, boolean round) {
    List<Step> chain = IntStream.range(0, steps).mapToObj(i -> {
      Step.Builder step = Step.of("s" + i, "pedestal", "Step " + i, "seen", Owner.LEFT);
      return (i > 0 ? step.needs(new StepId("s" + (i - 1))) : round ? step.needs(new StepId("s" + (steps - 1))) : step)
          .build();
    }).toList();
    return PackWriter.yaml(new Pack(
        demo.id(), "1", "Chain", demo.type(), demo.policy(), demo.equipment(), demo.subTypes(), demo.tails(),
        demo.quantities(), demo.due(), demo.planform(),
        demo.places(), demo.points(), demo.tags(),
        List.of(new Procedure(new ProcedureId("p"), "P", Stage.FLOWS, Kind.FLOW, List.of(), chain)),
        List.of(), demo.flightControls(), List.of(), List.of(),
        List.of()));
  }

  @Test
  public void a_long_chain_of_needs_is_read_and_a_round_is_named_at_every_step_of_it() {
    assertThat(faults(chain(4_000, false))).isEmpty();
    assertThat(faults(chain(3_000, true))).hasSize(3_000)
        .allMatch(f -> f.startsWith("line ") && f.contains("needs itself, by way of its needs"));
    assertThat(faults(chain(4_001, false))).singleElement().asString()
        .contains("They have 4001 steps; 4000 is the most.");
  }

  @Test
  public void what_does_not_belong_is_named_and_nothing_of_it_is_taken() {
    String yaml = PackWriter.yaml(demo);
    assertThat(faults(yaml + "colour: red\n")).singleElement().asString().contains("'colour' is not a field here");
    assertThat(faults(yaml + "title: Again\n")).singleElement().asString().contains("'title' stands twice");
    assertThat(faults(yaml.replace("unit: psi, least: 1000", "unit: hpa, least: 1000"))).singleElement().asString()
        .contains("declared in psi, not in hpa");
    assertThat(faults(yaml.replace("neat-lanyard/pack/2", "neat-lanyard/pack/1"))).singleElement().asString()
        .contains("'neat-lanyard/pack/2' is read here");
    String deep = "{not: ".repeat(60) + "{dark: true}" + "}".repeat(60);
    assertThat(faults(text.replace("when: {dark: true}", "when: " + deep))).singleElement().asString()
        .contains("nested deeper than 40 levels");
    assertThat(faults(yaml.replace("positions: [in, out]", "positions: [in, in]")))
        .anyMatch(f -> f.contains("'positions' wants at least two, each different."));
  }
}

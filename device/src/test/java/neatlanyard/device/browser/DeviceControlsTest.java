package neatlanyard.device.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Channels;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Ground;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import neatlanyard.core.drill.Drill;
import neatlanyard.core.drill.Round;
import neatlanyard.core.drill.Staircase;
import neatlanyard.core.drill.Task;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.drill.DrillReader;
import neatlanyard.formats.drill.DrillWriter;
import neatlanyard.formats.sop.ControlSpecWriter;
import neatlanyard.formats.sop.PackReader;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The same is told of a check under way by the rules compiled for a browser as by the rules themselves. */
public class DeviceControlsTest {
  private static final JsonMapper JSON = new JsonMapper();

  /** Samples that come together. */
  private static final int TOGETHER = 40;

  private record Asked(String basis, List<double[]> parts) {}

  private static Asked asked(Pack pack, Trace trace) {
    Practice p = pack.policy().controlCheck();
    List<Channel> channels = List.copyOf(trace.channels());
    String basis = "{\"spec\":%s,\"practice\":%s,\"channels\":%s}".formatted(
        ControlSpecWriter.json(pack.flightControls()), JSON.writeValueAsString(Map.of("order", List.of(),
        "bothSticks", p.bothSticks(), "disconnected", p.disconnected(), "standing", p.standing(),
        "called", p.called())), JSON.writeValueAsString(channels.stream().map(Channels::name).toList()));
    List<double[]> parts = new ArrayList<>();
    for (int from = 0; from < trace.size(); from += TOGETHER) {
      parts.add(IntStream.range(from, Math.min(trace.size(), from + TOGETHER)).boxed().flatMapToDouble(i ->
          DoubleStream.concat(DoubleStream.of(trace.seconds(i)),
          channels.stream().mapToDouble(c -> trace.values(c)[i]))).toArray());
    }
    return new Asked(basis, parts);
  }

  private static List<Asked> checks() throws IOException {
    List<Asked> asked = new ArrayList<>();
    for (String type : List.of("dovrin-46", "halyard-210")) {
      Pack pack = PackReader.read(Files.readString(Node.ROOT.resolve("demo/packs/" + type + ".yaml"))).orThrow(type);
      Hand hand = Hand.steady().onSticks(pack.policy().controlCheck().bothSticks());
      String surface = pack.flightControls().surfaces().getFirst().id();
      for (List<Fault> faults : List.of(List.<Fault>of(), List.of(new Fault(Fault.Kind.SHORT, surface, 9)),
          List.of(new Fault(Fault.Kind.JUMPING, surface, 4)), List.of(new Fault(Fault.Kind.SILENT, surface, 2)))) {
        asked.add(asked(pack, SimulatedCheck.drawn(pack.flightControls(), hand, faults, Ground.STANDING,
            new Recorder(20, 0.2, 0.1, 0.05, 0.1, 0.02, 0.01), new SplittableRandom(asked.size()))));
      }
    }
    return asked;
  }

  @Test
  public void a_browser_tells_what_the_rules_tell() throws Exception {
    List<Asked> checks = checks();
    List<Map<String, Object>> sent = checks.stream().map(a -> Map.<String, Object>of("basis", a.basis, "parts",
        a.parts.stream().map(part -> DoubleStream.of(part).mapToObj(v -> Double.isNaN(v) ? null : v).toList())
        .toList())).toList();
    List<JsonNode> told = Node.run("controls.mjs", "controls.js", JSON.writeValueAsString(sent));
    int wrong = 0;
    for (int i = 0; i < checks.size(); i++) {
      DeviceControls here = new DeviceControls(checks.get(i).basis);
      for (int n = 0; n < checks.get(i).parts.size(); n++) {
        here.add(checks.get(i).parts.get(n));
        JsonNode expected = JSON.valueToTree(here.picture());
        assertThat(told.get(i).get(n)).usingRecursiveComparison().as("check %d, part %d", i, n)
            .isEqualTo(JSON.readTree(expected.toString()));
        wrong += expected.toString().contains("not-right") ? 1 : 0;
      }
    }
    assertThat(wrong).as("some are told not to be right").isPositive();
  }

  /** Cosine and exponential of two engines may differ in their last digit. */
  private static final Comparator<JsonNode> ALIKE = (a, b) ->
      a.equals(b) || a.isNumber() && b.isNumber() && Math.abs(a.asDouble() - b.asDouble()) < 1e-9 ? 0 : 1;

  private static void assertAlike(JsonNode there, Object here, String what) {
    JsonNode expected = JSON.readTree(JSON.writeValueAsString(here));
    assertThat(there.equals(ALIKE, expected)).as("%s: %s is not %s", what, there, expected).isTrue();
  }

  private record RoundAsked(List<double[]> frames, int callAt, boolean stops) {}

  /** Rounds of every task, moved by somebody or by themselves, stopped at some moment or let pass. */
  private static List<RoundAsked> rounds(Drill drill, SplittableRandom chance) {
    List<RoundAsked> rounds = new ArrayList<>();
    for (Round r : drill.rounds()) {
      List<double[]> frames = new ArrayList<>();
      boolean stops = chance.nextBoolean();
      double until = r.hand().seconds() * (stops ? chance.nextDouble(0.2, 0.9) : 1);
      for (double t = 0; t < until; t += 0.05) {
        frames.add(DoubleStream.concat(DoubleStream.of(t), DoubleStream.of(r.hand().controls(t))).toArray());
      }
      rounds.add(new RoundAsked(frames, chance.nextInt(frames.size()), stops));
    }
    return rounds;
  }

  @Test
  public void a_browser_flies_a_drill_as_the_rules_do() throws Exception {
    Pack pack = PackReader.read(Files.readString(Node.ROOT.resolve("demo/packs/halyard-210.yaml"))).orThrow("pack");
    List<String> bases = new ArrayList<>();
    List<List<RoundAsked>> asked = new ArrayList<>();
    for (Task task : Task.values()) {
      SplittableRandom chance = new SplittableRandom(task.ordinal() + 1);
      Drill drill = Drill.drawn(pack.flightControls(), List.of(), task, Staircase.FRESH, 12, chance);
      assertThat(DrillReader.read(DrillWriter.json(drill)).orThrow("the drill")).isEqualTo(drill);
      bases.add("{\"spec\":%s,\"order\":[],\"drill\":%s}".formatted(
          ControlSpecWriter.json(pack.flightControls()), DrillWriter.json(drill)));
      asked.add(rounds(drill, chance));
    }
    List<JsonNode> told = Node.run("drill.mjs", "controls.js", JSON.writeValueAsString(IntStream.range(0, 3)
        .mapToObj(i -> Map.of("basis", bases.get(i), "rounds", asked.get(i).stream().map(r -> Map.of("frames",
        r.frames, "callAt", r.callAt, "stops", r.stops)).toList())).toList()));
    int shown = 0;
    for (int i = 0; i < bases.size(); i++) {
      DeviceDrill here = new DeviceDrill(bases.get(i));
      assertAlike(told.get(i).get("channels"), here.channels(), "channels");
      for (int n = 0; n < asked.get(i).size(); n++) {
        RoundAsked round = asked.get(i).get(n);
        double[] last = {};
        for (int f = 0; f < round.frames.size(); f++) {
          if (f == round.callAt) {
            here.call("pitch", 1);
          }
          double[] frame = round.frames.get(f);
          last = here.on(frame[0], java.util.Arrays.copyOfRange(frame, 1, frame.length));
        }
        JsonNode there = told.get(i).get("rounds").get(n);
        String which = "drill %d, round %d".formatted(i, n);
        assertAlike(there.get("last"), last, which);
        assertAlike(there.get("picture"), here.picture(), which);
        Map<String, Object> answer = here.answer(round.stops);
        assertAlike(there.get("answer"), answer, which);
        shown += answer.toString().contains("shownS") ? 1 : 0;
      }
    }
    assertThat(shown).as("something showed").isPositive();
  }
}

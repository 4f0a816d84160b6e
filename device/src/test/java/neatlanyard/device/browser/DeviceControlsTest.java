package neatlanyard.device.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
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
import neatlanyard.core.sop.Pack;
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
}

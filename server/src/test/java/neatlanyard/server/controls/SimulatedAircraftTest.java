package neatlanyard.server.controls;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Judgement.Cause;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Verdict;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.controls.SimulatedAircraft.Behaviour;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The stand-in does what it is told on each type, and the core's judgement, which knows nothing of it, says what. */
public class SimulatedAircraftTest {
  private static final Path PACKS = Path.of(System.getProperty("lanyard.root", ".."), "demo/packs");

  static Pack pack(String type) throws IOException {
    return PackReader.read(Files.readString(PACKS.resolve(type + ".yaml"))).orThrow("pack");
  }

  private record Told(
      Behaviour behaviour, String recorder, double pressurePct, Verdict verdict, String words, List<Cause> looksLike) {
    Told(Behaviour behaviour, Verdict verdict, String words, List<Cause> looksLike) {
      this(behaviour, "good", 110, verdict, words, looksLike);
    }

    Trace check(Pack pack) {
      AircraftData.Told told = new AircraftData.Told(
          Doc.written(behaviour), recorder, "", pressurePct, SimulatedAircraft.USUAL_SEED);
      return new SimulatedAircraft().check(pack, told, List.of()).orElseThrow().trace();
    }
  }

  private static final List<Told> TOLD = List.of(
      new Told(Behaviour.SOUND, Verdict.PASSED, "Full, free, correct sense", List.of()),
      new Told(Behaviour.SOUND, "slow", 110, Verdict.PASSED, "Full, free, correct sense", List.of()),
      new Told(Behaviour.SOUND, "coarse", 110, Verdict.PASSED, "Full, free, correct sense", List.of()),
      new Told(Behaviour.SOUND, "poor", 110, Verdict.PASSED, "Full, free, correct sense", List.of()),
      new Told(Behaviour.AILERON_REVERSED, Verdict.NOT_PASSED, "the wrong way", List.of(Cause.REVERSED)),
      new Told(Behaviour.ELEVATOR_SHORT, Verdict.NOT_PASSED, "short of its", List.of(Cause.SHORT_TRAVEL)),
      new Told(Behaviour.AILERON_STICKS, Verdict.NOT_PASSED, "short of its", List.of(Cause.JAMMED)),
      new Told(Behaviour.RUDDER_JUMPS, Verdict.NOT_PASSED, "Rudder", List.of(Cause.STIFFNESS)),
      new Told(Behaviour.SPOILER_STAYS_OUT, Verdict.NOT_PASSED, "stayed out 11.5°", List.of(Cause.JAMMED)),
      new Told(Behaviour.SOUND, "good", 40, Verdict.NOT_PASSED, "psi is wanted", List.of(Cause.LOW_PRESSURE)),
      new Told(Behaviour.CHANNEL_STOPS, Verdict.NOT_PASSED, "the recording has stopped", List.of(Cause.SENSOR)),
      new Told(Behaviour.HALF_HEARTED, Verdict.INCOMPLETE, "Yaw: control moved 72 % right", List.of()),
      new Told(Behaviour.AUTOBRAKE_EARLY, Verdict.NOT_PASSED, "Autobrake: armed before", List.of()));

  @DataProvider
  Object[][] told() {
    return TOLD.stream().flatMap(t -> Stream.of("dovrin-46", "halyard-210").map(p -> new Object[] {p, t}))
        .toArray(Object[][]::new);
  }

  @Test(dataProvider = "told")
  public void each_behaviour_is_judged_for_what_it_is(String type, Told told) throws IOException {
    Pack pack = pack(type);
    String csv = TraceCsv.write(told.check(pack));
    Judgement judgement = ControlCheck.judge(pack.flightControls(), pack.policy().controlCheck(),
        TraceCsv.read(csv, pack.flightControls()).orThrow("trace"));
    assertThat(judgement.verdict()).as(judgement.summary()).isEqualTo(told.verdict());
    Stream<String> failed = judgement.failed().stream().map(Judgement.Finding::words);
    assertThat(Stream.concat(Stream.of(judgement.summary()), failed))
        .anyMatch(w -> w.contains(told.words()));
    assertThat(judgement.suggestions().stream().limit(1).map(Judgement.Suggestion::cause))
        .containsExactlyElementsOf(told.looksLike());
    assertThat(judgement.of(Judgement.Outcome.UNJUDGED)).extracting(Judgement.Finding::criterion)
        .as("the aircraft tells all but the calls").doesNotContain(Criterion.PRESSURE, Criterion.PLACE,
        Criterion.DISCONNECT, Criterion.AUTOBRAKE, Criterion.SECOND_STICK);
  }

  @DataProvider
  Object[][] recordings() {
    return new Object[][] {{"dovrin-46", "dovrin-46-aileron-sticks", Behaviour.AILERON_STICKS, Verdict.NOT_PASSED},
        {"halyard-210", "halyard-210/sound", Behaviour.SOUND, Verdict.PASSED},
        {"halyard-210", "halyard-210/spoiler-stays-out", Behaviour.SPOILER_STAYS_OUT, Verdict.NOT_PASSED},
        {"pellow-9", "pellow-9/sound", Behaviour.SOUND, Verdict.PASSED},
        {"pellow-9", "pellow-9/aileron-reversed", Behaviour.AILERON_REVERSED, Verdict.NOT_PASSED},
        {"selkie-m3", "selkie-m3/sound", Behaviour.SOUND, Verdict.PASSED},
        {"selkie-m3", "selkie-m3/elevator-short", Behaviour.ELEVATOR_SHORT, Verdict.NOT_PASSED},
        {"burdock-four", "burdock-four/sound", Behaviour.SOUND, Verdict.PASSED},
        {"burdock-four", "burdock-four/rudder-jumps", Behaviour.RUDDER_JUMPS, Verdict.NOT_PASSED}};
  }

  /** The demo's packed recordings are made here; their seed is the stand-in's. */
  @Test(dataProvider = "recordings")
  public void the_demos_packed_recordings_are_what_the_stand_in_tells(String type, String name, Behaviour behaviour,
      Verdict verdict) throws IOException {
    Path file = PACKS.resolveSibling("traces/" + name + ".csv.gz");
    Pack pack = pack(type);
    String told = TraceCsv.write(SimulatedAircraft.check(pack, behaviour));
    if (Boolean.getBoolean("lanyard.refresh")) {
      Files.createDirectories(file.getParent());
      try (GZIPOutputStream out = new GZIPOutputStream(Files.newOutputStream(file))) {
        out.write(told.getBytes(StandardCharsets.UTF_8));
      }
    }
    try (GZIPInputStream in = new GZIPInputStream(Files.newInputStream(file))) {
      assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8)).isEqualTo(told);
    }
    Judgement judgement = ControlCheck.judge(pack.flightControls(), pack.policy().controlCheck(),
        TraceCsv.read(told, pack.flightControls()).orThrow("trace"));
    assertThat(judgement.verdict()).as(judgement.summary()).isEqualTo(verdict);
  }

  @Test
  public void every_behaviour_is_told() {
    assertThat(TOLD).extracting(Told::behaviour).contains(Behaviour.values());
    assertThat(TOLD).allSatisfy(t -> assertThat(t.behaviour().words()).isNotBlank());
  }
}

package neatlanyard.formats.drill;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.SplittableRandom;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.drill.Drill;
import neatlanyard.core.drill.Staircase;
import neatlanyard.core.drill.Task;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

/** A drill comes back as it was written; what is no drill is refused with everything that is wrong of it. */
public class DrillReaderTest {
  private static final Path PACKS = Path.of(System.getProperty("lanyard.root", ".."), "demo/packs");

  @Test
  public void every_drill_comes_back_as_it_was_drawn() throws IOException {
    for (String type : List.of("dovrin-46", "halyard-210")) {
      ControlSpec spec = PackReader.read(Files.readString(PACKS.resolve(type + ".yaml"))).orThrow(type)
          .flightControls();
      for (long seed = 0; seed < 40; seed++) {
        SplittableRandom chance = new SplittableRandom(seed);
        Staircase start = new Staircase(chance.nextDouble(Staircase.LEAST, Staircase.MOST), chance.nextInt(2));
        Drill drill = Drill.drawn(spec, List.of(), Task.values()[(int) seed % 3], start,
            chance.nextInt(1, Drill.MOST_ROUNDS + 1), chance);
        assertThat(DrillReader.read(DrillWriter.json(drill)).orThrow("the drill")).isEqualTo(drill);
      }
    }
  }

  private static List<Fault> faults(String text) {
    return DrillReader.read(text) instanceof Read.Bad<Drill> bad ? bad.faults() : List.of();
  }

  @Test
  public void what_is_no_drill_is_refused() {
    String round = "{\"hand\": {\"order\": [\"pitch\"], \"still-s\": 1, \"move-s\": 1, \"hold-s\": 1, \"rest-s\": 1,"
        + " \"along-pct\": 0}, \"built\": []}";
    String drill = "{\"task\": \"watch\", \"staircase\": {\"limits\": 4, \"found\": 0}, \"rounds\": [" + round + "]}";
    assertThat(faults(drill)).isEmpty();
    assertThat(faults(drill.replace("watch", "look"))).hasSize(1);
    assertThat(faults(drill.replace("\"limits\": 4", "\"limits\": 0.5"))).hasSize(1);
    assertThat(faults(drill.replace("\"move-s\": 1", "\"move-s\": 0").replace("\"hold-s\": 1", "\"hold-s\": .nan")))
        .hasSize(2);
    assertThat(faults(drill.replace("\"built\": []", "\"built\": [], \"hidden\": {\"kind\": \"odd\"}")))
        .extracting(Fault::what).hasSize(2);
    assertThat(faults(drill.replace("\"pitch\"", "\"heave\""))).isNotEmpty();
    assertThat(faults(drill.replace(round, ""))).extracting(Fault::what)
        .containsExactly("A drill has 1 to 24 rounds, not 0.");
    assertThat(faults("")).isNotEmpty();
    assertThat(faults("[]")).isNotEmpty();
  }
}

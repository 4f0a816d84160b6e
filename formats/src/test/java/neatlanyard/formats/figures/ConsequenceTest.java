package neatlanyard.formats.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import neatlanyard.core.figures.Consequence;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.entry.CriticalFigure;
import org.testng.annotations.Test;

/** What a wrong figure would have done, on flights of the demo. */
public class ConsequenceTest {
  static DepartureFigures flight(String name, String type, String from, String to) throws IOException {
    String text = Files.readString(TakeoffTest.DEMO.resolve("figures/asked/%s.json".formatted(name)));
    assertThat(text).contains(from);
    FiguresAsked asked = FiguresAskedReader.read(text.replace(from, to), TakeoffTest.fleet()).orThrow(name);
    TypeFigures figures = TakeoffTest.type(type);
    return ((DepartureFigures.Result.Figures) DepartureFigures.of(figures, Holdover.NONE, asked)).figures();
  }

  private static DepartureFigures halyard(String choice) throws IOException {
    return flight("flight-31", "halyard-210", "\"fuel-plan\"", choice + "\"fuel-plan\"");
  }

  private static String done(DepartureFigures f, CriticalFigure figure, String entered) {
    return Consequence.of(f, figure, entered).orElse("");
  }

  @Test
  public void a_weight_too_low_gives_speeds_too_low_and_thrust_too_little() throws IOException {
    DepartureFigures f = halyard("");
    String low = done(f, CriticalFigure.TAKEOFF_WEIGHT, "57640");
    assertThat(low).contains("too early").contains("does not do. Climb with an engine out: ");
    assertThat(done(f, CriticalFigure.ZERO_FUEL_WEIGHT, Double.toString(57_640 - f.balance().takeoffKg().value()
        + f.balance().zeroFuelKg().value()))).as("the same by the zero-fuel weight").isEqualTo(low);
    assertThat(done(f, CriticalFigure.TAKEOFF_WEIGHT, "6824")).startsWith("No figures would come of it: ");
    assertThat(done(f, CriticalFigure.TAKEOFF_WEIGHT, "68240")).as("the right one").isEmpty();
  }

  @Test
  public void the_whole_runway_for_the_intersection() throws IOException {
    DepartureFigures f = halyard("\"choice\": {\"runway\": \"27R\", \"intersection\": \"N4\"}, ");
    String whole = done(f, CriticalFigure.INTERSECTION, "full");
    assertThat(whole).contains("the same rotation").contains("does not do. Take-off distance, engine out: ")
        .contains("too short");
    assertThat(done(f, CriticalFigure.RUNWAY, "18")).isEqualTo("Brannoch has no runway 18.");
  }

  @Test
  public void speeds_and_pressure() throws IOException {
    DepartureFigures f = halyard("");
    assertThat(done(f, CriticalFigure.V1, "136")).startsWith("A stop would begin up to 2 kt too late");
    assertThat(done(f, CriticalFigure.V1, "160")).startsWith("V1 would be above VR");
    assertThat(done(f, CriticalFigure.PRESSURE_SETTING, "1016")).isEqualTo("Altimeters would read 274 ft too high.");
    assertThat(done(f, CriticalFigure.ASSUMED_TEMPERATURE, "55"))
        .isEqualTo("Thrust assumed 55 °C would be 72.3 % of full, 75 % is the least.");
    assertThat(done(f, CriticalFigure.TRANSPONDER, "4712")).isEmpty();
    assertThat(done(f, CriticalFigure.V2, "nonsense")).isEmpty();
  }
}

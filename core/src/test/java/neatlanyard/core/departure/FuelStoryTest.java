package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import neatlanyard.core.figures.GaugedFuel;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.StepId;
import org.testng.annotations.Test;

/** What was read of the fuel, told in one place, and the one of it that is held against the load sheet. */
public class FuelStoryTest {
  private static final StepId GAUGES = new StepId("gauges");

  @Test
  public void is_told_in_order_and_ends_in_how_it_agrees() {
    Scene scene = Scene.ready(Scene.FUELLED);
    assertThat(FuelStory.lines(scene.now.state())).isEmpty();
    scene.says(OFFICER, new Event.Measured(new StepId("litres"), 1_600));
    scene.says(OFFICER, new Event.Measured(new StepId("before"), 780));
    assertThat(FuelStory.gauged(scene.now.state())).as("the gauges were not read yet").isEmpty();
    assertThat(scene.now.state().figuresNumber()).as("devices that show the figures ask again")
        .isEqualTo(scene.now.state().lastNumber());
    scene.says(OFFICER, new Event.Measured(new StepId("density"), 0.8));
    scene.says(OFFICER, new Event.Measured(GAUGES, 2_050));
    assertThat(FuelStory.lines(scene.now.state())).containsExactly("Fuel before: 780 kg", "Fuel pumped: 1 600 L",
        "Fuel density: 0.8 kg/L", "Fuel on the gauges: 2 050 kg", "2 050 kg on the gauges agrees.");
    assertThat(FuelStory.gauged(scene.now.state())).isEqualTo(Optional.of(new GaugedFuel(2_050, 60)));
    assertThat(FuelStory.reads(scene.now.state(), GAUGES)).isTrue();
    assertThat(FuelStory.reads(scene.now.state(), new StepId("litres"))).isFalse();
    scene.says(OFFICER, new Event.StepUndone(GAUGES));
    assertThat(FuelStory.gauged(scene.now.state())).isEmpty();
    assertThat(FuelStory.lines(Scene.ready(Scene.FIGURES).now.state())).as("no gauges in the pack").isEmpty();
  }
}

package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.checklist.TakeoffConfiguration;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.DayValues.TodaysValue;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.Status;
import org.testng.annotations.Test;

/** What both agreed on says where a lever goes and what a list reads, and what was done by another comes back. */
public class ByFigureTest {
  private static final StepId LEVER = new StepId("set-flaps");
  private static final StepId FLAPS = new StepId("flaps");
  private static final StepId SPEEDS = new StepId("speeds");

  private static void worked(Scene scene, String flap, String v1) {
    scene.server(new Event.FiguresWorked(new WorkedOut("2026-11", List.of(), List.of(
        new WorkedOut.Figure(CriticalFigure.FLAP, flap), new WorkedOut.Figure(CriticalFigure.V1, v1),
        new WorkedOut.Figure(CriticalFigure.VR, "96")), List.of(), List.of(), Set.of(FigureInput.CONDITION),
        Optional.empty(), Optional.empty())));
  }

  private static void agreed(Scene scene, CriticalFigure figure, String value) {
    scene.says(CAPTAIN, new Event.FigureEntered(figure, value));
    scene.says(OFFICER, new Event.FigureEntered(figure, value));
  }

  private static Scene agreedOn(String flap) {
    Scene scene = Scene.ready(Scene.BY_FIGURES);
    worked(scene, flap, "91");
    agreed(scene, CriticalFigure.FLAP, flap);
    agreed(scene, CriticalFigure.V1, "91");
    agreed(scene, CriticalFigure.VR, "96");
    return scene;
  }

  private static Optional<TodaysValue> today(Scene scene, StepId step) {
    return DayValues.of(scene.now.state(), scene.now.state().item(step).orElseThrow());
  }

  private static Status status(Scene scene, StepId step) {
    return scene.now.picture().standing().of(step);
  }

  private static String because(Scene scene, StepId step) {
    return scene.now.picture().standing().because(scene.now.state().item(step).orElseThrow());
  }

  private static List<String> configuration(Scene scene) {
    return scene.now.picture().takeoff().stream().map(TakeoffConfiguration.Check::words).toList();
  }

  @Test
  public void the_lever_goes_where_the_figure_says_and_where_the_pack_does_while_there_is_none() {
    assertThat(today(Scene.ready(Scene.BY_FIGURES), FLAPS).orElseThrow().plain()).isEqualTo("15");
    Scene scene = agreedOn("27");
    assertThat(today(scene, FLAPS).orElseThrow().plain()).isEqualTo("27");
    assertThat(today(scene, SPEEDS).orElseThrow().shown()).isEqualTo("V1 91 kt, VR 96 kt");
    scene.says(OFFICER, new Event.StepDone(LEVER));
    assertThat(configuration(scene)).containsExactly("Flaps: 27, by After start, flaps");
    assertThat(scene.tries(OFFICER, "d", new Event.ValueSaid(FLAPS, "15"))).isNotEmpty();
    scene.says(OFFICER, new Event.ValueSaid(FLAPS, "27"));
    assertThat(status(scene, FLAPS)).isEqualTo(Status.DONE);
    assertThat(today(Scene.ready(Scene.BY_FIGURES), SPEEDS)).as("not known before all of them are").isEmpty();
  }

  /** Nobody reads what is usual elsewhere as what is wanted here. */
  @Test
  public void until_it_is_agreed_it_is_the_one_value_that_today_allows_and_is_said_to_be_open() {
    TodaysValue usual = today(Scene.ready(Scene.BY_FIGURES), FLAPS).orElseThrow();
    assertThat(usual.from()).isEqualTo("procedures of the type, the flap is not agreed yet");
    assertThat(today(agreedOn("15"), FLAPS).orElseThrow().from()).isEqualTo("the figures both entered");
    Scene full = Scene.ready(Scene.FULL_FLAP);
    assertThat(today(full, FLAPS).orElseThrow().plain()).isEqualTo("full");
    assertThat(configuration(full))
        .containsExactly("Flaps: full wanted, nobody has said so; the flap is not agreed yet");
  }

  /** A choice goes up in capitals; the position is called as the pack calls it. */
  @Test
  public void a_position_is_recognised_however_it_was_written() {
    Scene scene = agreedOn("FULL");
    assertThat(today(scene, FLAPS).orElseThrow().plain()).isEqualTo("full");
    assertThat(configuration(scene)).containsExactly("Flaps: full wanted, nobody has said so");
  }

  @Test
  public void what_was_done_by_another_figure_comes_back_and_still_stands_where_it_was_put() {
    Scene scene = agreedOn("15");
    scene.says(OFFICER, new Event.StepDone(LEVER));
    scene.says(OFFICER, new Event.ValueSaid(FLAPS, "15"));
    scene.says(CAPTAIN, new Event.StepDone(SPEEDS));
    worked(scene, "27", "91");
    assertThat(status(scene, LEVER)).as("until another is agreed, that one counts").isEqualTo(Status.DONE);
    agreed(scene, CriticalFigure.FLAP, "27");
    assertThat(status(scene, LEVER)).isEqualTo(Status.AGAIN);
    assertThat(because(scene, LEVER)).isEqualTo("the flap is 27 now, it was 15");
    assertThat(status(scene, FLAPS)).isEqualTo(Status.AGAIN);
    assertThat(status(scene, SPEEDS)).as("the same speeds").isEqualTo(Status.DONE);
    assertThat(configuration(scene)).containsExactly("Flaps: 27 wanted, 15 by List, flaps");
    scene.says(OFFICER, new Event.StepDone(LEVER));
    scene.says(OFFICER, new Event.ValueSaid(FLAPS, "27"));
    assertThat(List.of(status(scene, LEVER), status(scene, FLAPS))).containsOnly(Status.DONE);
    assertThat(configuration(scene)).containsExactly("Flaps: 27, by List, flaps");

    worked(scene, "27", "89");
    agreed(scene, CriticalFigure.V1, "89");
    assertThat(status(scene, SPEEDS)).isEqualTo(Status.AGAIN);
    assertThat(because(scene, SPEEDS)).isEqualTo("the V1 is 89 now, it was 91");
    assertThat(status(scene, LEVER)).isEqualTo(Status.DONE);
  }
}

package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.FigureEntries.Standing;
import neatlanyard.core.state.Status;
import org.testng.annotations.Test;

/** Figures that two enter, each alone: what is agreed, and what a change asks again. */
public class EntriesTest {
  private static final StepId WEIGHTS = new StepId("weights");
  private static final StepId SPEEDS = new StepId("speeds");
  private static final Instant BEGAN = Instant.EPOCH.plusSeconds(60);

  private static WorkedOut worked(String v1, Set<FigureInput> changed, Limit... notHeld) {
    return new WorkedOut("2026-11", List.of(), List.of(
        new WorkedOut.Figure(CriticalFigure.ZERO_FUEL_WEIGHT, "15290"), new WorkedOut.Figure(CriticalFigure.V1, v1),
        new WorkedOut.Figure(CriticalFigure.VR, "96")), List.of(notHeld), List.of(), changed, Optional.empty(),
        Optional.of(new WorkedOut.Protection(BEGAN, Optional.of(BEGAN.plusSeconds(1_500)),
        Optional.of(BEGAN.plusSeconds(2_500)), "Holdover 25 to 41 min")));
  }

  private static Scene begun() {
    Scene scene = Scene.ready(Scene.FIGURES);
    scene.server(new Event.FiguresWorked(worked("91", Set.of())));
    return scene;
  }

  private static void both(Scene scene, CriticalFigure figure, String left, String right) {
    scene.says(CAPTAIN, new Event.FigureEntered(figure, left));
    scene.says(OFFICER, new Event.FigureEntered(figure, right));
  }

  private static Status status(Scene scene, StepId step) {
    return scene.now.picture().standing().of(step);
  }

  private static List<String> tags(Scene scene) {
    return scene.now.picture().tags().stream().map(Tag::title).toList();
  }

  private static Standing standing(Scene scene, CriticalFigure figure) {
    return scene.now.state().entries().standing(figure);
  }

  @Test
  public void a_figure_that_must_be_one_is_no_other_whoever_enters_or_takes_it() {
    Scene scene = Scene.ready(Scene.TRIMMED);
    assertThat(scene.tries(OFFICER, "d", new Event.FigureEntered(CriticalFigure.FLAP, "half")))
        .isEqualTo("not-that-figure");
    assertThat(scene.tries(CAPTAIN, "d", new Event.FigureTaken(CriticalFigure.FLAP, "half", "it will do")))
        .isEqualTo("not-that-figure");
    both(scene, CriticalFigure.FLAP, "full", "FULL");
    assertThat(standing(scene, CriticalFigure.FLAP)).isEqualTo(Standing.AGREED);
  }

  @Test
  public void what_both_enter_alike_and_as_it_was_worked_out_does_the_step_and_gives_the_day_its_value() {
    Scene scene = begun();
    assertThat(scene.tries(CAPTAIN, "d", new Event.StepDone(WEIGHTS))).isEqualTo("figures-wanted");
    scene.says(CAPTAIN, new Event.FigureEntered(CriticalFigure.V1, "91"));
    assertThat(standing(scene, CriticalFigure.V1)).isEqualTo(Standing.COVERED);
    assertThat(tags(scene)).containsExactly("Entered by one: V1");
    scene.says(OFFICER, new Event.FigureEntered(CriticalFigure.V1, " 091"));
    both(scene, CriticalFigure.VR, "96", "96.0");
    // None is assumed where full thrust is used.
    assertThat(status(scene, SPEEDS)).isEqualTo(Status.DONE);
    assertThat(tags(scene)).isEmpty();
    assertThat(DayValues.of(scene.now.state(), scene.now.state().item(new StepId("v1")).orElseThrow()).orElseThrow()
        .agrees("91")).isTrue();
    assertThat(scene.tries(CAPTAIN, "d", new Event.FigureEntered(CriticalFigure.FLAP, "15")))
        .isEqualTo("no-such-figure");
    assertThat(scene.tries(CAPTAIN, "d", new Event.FigureEntered(CriticalFigure.V1, "=1+1;")))
        .isEqualTo("not-a-figure");
    // ICAO Annex 10 volume IV: codes 0000 to 7777. One that can be is asked for by nobody here.
    assertThat(scene.tries(CAPTAIN, "d", new Event.FigureEntered(CriticalFigure.TRANSPONDER, "2683")))
        .isEqualTo("not-a-figure");
    assertThat(scene.tries(CAPTAIN, "d", new Event.FigureEntered(CriticalFigure.TRANSPONDER, "2613")))
        .isEqualTo("no-such-figure");
  }

  @Test
  public void what_differs_is_done_only_by_the_commander_with_words() {
    Scene scene = begun();
    both(scene, CriticalFigure.ZERO_FUEL_WEIGHT, "15290", "15920");
    assertThat(status(scene, WEIGHTS)).isEqualTo(Status.OPEN);
    assertThat(tags(scene)).containsExactly("Zero-fuel weight differs: 15 290 and 15 920 entered");
    Event take = new Event.FigureTaken(CriticalFigure.ZERO_FUEL_WEIGHT, "15920", "The sheet was corrected by hand");
    assertThat(scene.tries(OFFICER, "d", take)).isEqualTo("commander-only");
    assertThat(scene.tries(CAPTAIN, "d", take)).isEmpty();
    assertThat(status(scene, WEIGHTS)).isEqualTo(Status.DONE);
    assertThat(scene.tries(CAPTAIN, "d", take)).isEqualTo("not-differing");

    both(scene, CriticalFigure.VR, "98", "98");
    assertThat(tags(scene)).as("both read the same wrong paper")
        .containsExactly("VR: both entered 98, not as worked out");
    scene.says(OFFICER, new Event.StepUndone(SPEEDS));
    assertThat(standing(scene, CriticalFigure.VR)).isEqualTo(Standing.COVERED);
  }

  @Test
  public void another_input_asks_again_just_what_comes_out_otherwise() {
    Scene scene = begun();
    both(scene, CriticalFigure.ZERO_FUEL_WEIGHT, "15290", "15290");
    both(scene, CriticalFigure.V1, "91", "91");
    both(scene, CriticalFigure.VR, "96", "96");
    scene.server(new Event.FiguresWorked(worked("89", Set.of(FigureInput.CONDITION),
        new Limit("stop", false, "1 200 m needed of 1 180 m.", "14 CFR 25.113"))));
    assertThat(standing(scene, CriticalFigure.V1)).isEqualTo(Standing.OPEN);
    assertThat(standing(scene, CriticalFigure.VR)).isEqualTo(Standing.AGREED);
    assertThat(status(scene, WEIGHTS)).isEqualTo(Status.DONE);
    assertThat(status(scene, SPEEDS)).isEqualTo(Status.AGAIN);
    assertThat(tags(scene)).containsExactlyInAnyOrder("Stop. 1 200 m needed of 1 180 m.",
        "Enter again: V1; another now: runway condition");
    both(scene, CriticalFigure.V1, "89", "89");
    assertThat(status(scene, SPEEDS)).isEqualTo(Status.DONE);
  }

  @Test
  public void a_holdover_hangs_until_the_wings_are_looked_at_and_again_after_a_fresh_treatment() {
    Scene scene = begun();
    Event treated = new Event.DeIced(Optional.of(new Holdover.Applied("thick", "100/0", Instant.EPOCH)));
    scene.says(OFFICER, treated);
    assertThat(tags(scene)).containsExactly("Holdover 25 to 41 min");
    scene.says(OFFICER, new Event.StepDone(new StepId("wings")));
    assertThat(tags(scene)).doesNotContain("Holdover 25 to 41 min");
    scene.says(OFFICER, treated);
    assertThat(tags(scene)).contains("Holdover 25 to 41 min");
    assertThat(status(scene, new StepId("wings"))).isEqualTo(Status.AGAIN);
  }

  /** Whatever is entered by whom in whatever order: a step stands as done exactly while all its figures do. */
  @Test
  public void a_step_is_done_exactly_while_all_its_figures_are_settled() {
    List<CriticalFigure> figures = List.of(CriticalFigure.ZERO_FUEL_WEIGHT, CriticalFigure.V1, CriticalFigure.VR);
    Map<StepId, List<CriticalFigure>> of = Map.of(WEIGHTS, figures.subList(0, 1), SPEEDS, figures.subList(1, 3));
    List<String> done = new ArrayList<>();
    for (int n = 0; n < 200; n++) {
      int seed = n;
      Random random = new Random(seed);
      Scene scene = begun();
      for (int i = 0; i < 40; i++) {
        CriticalFigure figure = figures.get(random.nextInt(figures.size()));
        String right = scene.now.state().entries().worked().value(figure).orElseThrow();
        CrewId who = random.nextBoolean() ? CAPTAIN : OFFICER;
        switch (random.nextInt(8)) {
          case 0 -> scene.server(new Event.FiguresWorked(worked(random.nextBoolean() ? "89" : "91",
              Set.of(FigureInput.WIND))));
          case 1 -> scene.tries(who, "d", new Event.StepUndone(random.nextBoolean() ? WEIGHTS : SPEEDS));
          case 2 -> scene.tries(CAPTAIN, "d", new Event.FigureTaken(figure, "100", "so"));
          case 3 -> scene.tries(who, "d", new Event.FigureEntered(figure, "77"));
          default -> scene.tries(who, "d", new Event.FigureEntered(figure, right));
        }
        of.forEach((step, all) -> {
          boolean settled = all.stream().allMatch(f -> standing(scene, f).settled());
          assertThat(status(scene, step) == Status.DONE).as("seed %d, %s", seed, step).isEqualTo(settled);
          if (settled) {
            done.add(step.value());
          }
        });
      }
      assertThat(Departure.fold(Scene.FIGURES, scene.log).picture().tags())
          .as("folded anew").isEqualTo(scene.now.picture().tags());
    }
    assertThat(done).contains("weights", "speeds");
  }
}

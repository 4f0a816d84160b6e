package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import neatlanyard.core.briefing.Briefing;
import neatlanyard.core.briefing.Line;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Outbound;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Facts;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.Wording;
import neatlanyard.core.state.Status;
import neatlanyard.core.weather.Cloud;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Wind;
import org.testng.annotations.Test;

/** A briefing: put together from the day, read by one, heard by the other, and what comes back when it changes. */
public class BriefingTest {
  private static final StepId WHO = new StepId("who");
  private static final StepId STOP = new StepId("stop");

  private static Event day(int ceilingFt, int celsius) {
    return day(OptionalInt.of(ceilingFt), celsius);
  }

  private static Event day(OptionalInt ceilingFt, int celsius) {
    return new Event.DaySet(new Day(new StationReport("METAR QTRN", "QTRN", Instant.EPOCH,
        Optional.of(new Wind(OptionalInt.of(90), 10, OptionalInt.of(20))), OptionalInt.of(6_000), List.of(),
        List.of(new Cloud("FEW", OptionalInt.of(300), ""), new Cloud("BKN", ceilingFt, "")),
        OptionalInt.of(celsius), OptionalInt.empty(), OptionalDouble.of(1_013)), false, false, Set.of()));
  }

  /** An airfield at sea level with a mast beyond the runway. */
  private static Scene begun(int obstacleFt) {
    Scene scene = Scene.ready(Scene.BRIEFED);
    scene.server(new Event.FlightFacts(new Facts(
        List.of(new Facts.Elevation(new AirfieldId("QTRN"), "Ternholm", 0)), List.of(),
        Optional.of(new Facts.Departing(0, new Outbound(Optional.of(new Outbound.LandingLimits(500, 800)),
        Optional.of(new AirfieldId("QBRN")), OptionalInt.of(1_000)), "Brannoch",
        List.of(new Facts.ClimbOut(new RunwayName("36"), 0, "", "left at 500 ft", "mast", obstacleFt)))),
        Optional.empty(), Optional.empty(),
        List.of(new Facts.Run(new RunwayName("36"), 890, List.of(new Runway.Intersection("B", 210)))),
        Optional.empty())));
    scene.says(OFFICER, day(2_500, -10));
    both(scene, CriticalFigure.RUNWAY, "36");
    both(scene, CriticalFigure.V1, "91");
    return scene;
  }

  private static void both(Scene scene, CriticalFigure figure, String value) {
    scene.says(CAPTAIN, new Event.FigureEntered(figure, value));
    scene.says(OFFICER, new Event.FigureEntered(figure, value));
  }

  private static Line line(Scene scene, String step) {
    return scene.now.picture().briefing().stream().filter(l -> l.step().value().equals(step)).findFirst()
        .orElseThrow();
  }

  private static Event read(Scene scene) {
    return new Event.BriefingRead(scene.now.picture().briefing().stream()
        .map(l -> new Event.ReadLine(l.step(), l.words())).toList());
  }

  private static Event heard(Scene scene) {
    return new Event.BriefingHeard(scene.now.picture().briefing().stream().map(Line::step).toList());
  }

  private static Status status(Scene scene, StepId step) {
    return scene.now.picture().standing().of(step);
  }

  /** A type without take-off tables has its mark all the same: 0.7 of 82 kt, half of 890 m and of the 680 m from B. */
  @Test
  public void the_half_way_mark_goes_by_what_both_entered() {
    Scene scene = Scene.ready(Scene.SHORT);
    scene.server(new Event.FlightFacts(new Facts(List.of(), List.of(), Optional.empty(), Optional.empty(),
        Optional.empty(),
        List.of(new Facts.Run(new RunwayName("36"), 890, List.of(new Runway.Intersection("B", 210)))),
        Optional.empty())));
    both(scene, CriticalFigure.RUNWAY, "36");
    both(scene, CriticalFigure.INTERSECTION, CriticalFigure.WHOLE_RUNWAY);
    assertThat(line(scene, "short").words()).contains("half-way mark");
    both(scene, CriticalFigure.VR, "82");
    assertThat(line(scene, "short").words()).isEqualTo("58 kt by 445 m, 7 lights on, soon after B, or stop.");
    both(scene, CriticalFigure.INTERSECTION, "B");
    assertThat(line(scene, "short").words()).isEqualTo("58 kt by 340 m, 5 lights on, or stop.");
  }

  /** An airfield one would turn to is no better for being named: what is reported of it is said with it. */
  @Test
  public void an_alternate_below_its_own_limits_is_said_to_be() {
    Scene scene = begun(180);
    scene.says(OFFICER, day(400, -10));
    assertThat(line(scene, "back").words())
        .isEqualTo("After that not back here, ceiling 400 ft, landing wants 500; to Brannoch.");
    assertThat(scene.tries(OFFICER, "d", elsewhere("QXXX", 300))).isEqualTo("other-station");
    scene.says(OFFICER, elsewhere("QBRN", 300));
    assertThat(line(scene, "back").words()).endsWith("; to Brannoch, but there ceiling 300 ft, landing wants 600.");
    scene.says(OFFICER, elsewhere("QBRN", 700));
    assertThat(line(scene, "back").words()).endsWith("; to Brannoch.");
  }

  private static Event elsewhere(String airfield, int ceilingFt) {
    return new Event.ElsewhereReported(new AirfieldId(airfield), "Brannoch", new StationReport("METAR " + airfield,
        airfield, Instant.EPOCH, Optional.empty(), OptionalInt.of(9_000), List.of(),
        List.of(new Cloud("BKN", OptionalInt.of(ceilingFt), "")), OptionalInt.empty(), OptionalInt.empty(),
        OptionalDouble.empty()), true, Optional.of(new Outbound.LandingLimits(600, 800)));
  }

  /** The cold: ICAO Doc 8168, from memory: at −10 °C 100 ft for 1 000 ft above the airfield. */
  @Test
  public void says_what_today_gives_and_from_what() {
    Scene scene = begun(180);
    assertThat(line(scene, "stop").words()).isEqualTo("Up to V1, 91 kt, for fire.");
    assertThat(line(scene, "up").words()).isEqualTo(
        "0 kt from ahead, 20 kt across from the right, gusting 20, then left at 500 ft, level at 440 ft, 440 on the"
        + " altimeter, not below 1 100 ft.");
    assertThat(line(scene, "up").from()).anyMatch(f -> f.contains("40 ft for the cold (ICAO Doc 8168)"));
    assertThat(scene.now.picture().briefing()).extracting(Line::kind).as("what differs comes first").isSorted();
    assertThat(line(scene, "who").kind()).isEqualTo(Line.Kind.USUAL);
    assertThat(line(begun(600), "up").words()).as("the obstacle and 35 ft, before the cold").contains("level at 7")
        .contains("then left");
    assertThat(line(begun(600), "up").kind()).isEqualTo(Line.Kind.DIFFERS);
  }

  @Test
  public void where_the_weather_is_below_landing_limits_nobody_comes_back() {
    Scene scene = begun(0);
    assertThat(line(scene, "back").words()).isEqualTo("After that back here.");
    scene.says(OFFICER, day(400, -10));
    assertThat(line(scene, "back").words()).isEqualTo(
        "After that not back here, ceiling 400 ft, landing wants 500; to Brannoch.");
    assertThat(line(scene, "back").kind()).isEqualTo(Line.Kind.DIFFERS);
    scene.says(OFFICER, day(OptionalInt.empty(), -10));
    assertThat(line(scene, "back").missing()).as("a sky that hides how high it is").containsExactly("the ceiling");
  }

  @Test
  public void a_line_is_done_when_one_has_read_and_the_other_heard_it() {
    Scene scene = begun(0);
    assertThat(scene.tries(CAPTAIN, "d", new Event.StepDone(WHO))).isEqualTo("reading-wanted");
    assertThat(scene.tries(OFFICER, "d", heard(scene))).isEqualTo("read-by-nobody-else");
    scene.says(CAPTAIN, read(scene));
    assertThat(status(scene, WHO)).isEqualTo(Status.PART);
    assertThat(scene.tries(CAPTAIN, "d", heard(scene))).as("by oneself").isEqualTo("read-by-nobody-else");
    assertThat(scene.tries(OFFICER, "d", heard(scene))).isEmpty();
    assertThat(status(scene, WHO)).isEqualTo(Status.DONE);
    assertThat(scene.tries(OFFICER, "d", new Event.BriefingHeard(List.of(new StepId("speeds")))))
        .isEqualTo("no-such-step");
    assertThat(scene.tries(OFFICER, "d", new Event.BriefingRead(List.of()))).isEqualTo("no-such-step");
  }

  @Test
  public void what_became_untrue_comes_back_alone_and_hangs() {
    Scene scene = begun(0);
    scene.says(CAPTAIN, read(scene));
    scene.says(OFFICER, heard(scene));
    both(scene, CriticalFigure.V1, "89");
    assertThat(scene.now.picture().briefingUntrue()).containsOnlyKeys(STOP);
    assertThat(status(scene, STOP)).isEqualTo(Status.AGAIN);
    assertThat(status(scene, WHO)).isEqualTo(Status.DONE);
    assertThat(scene.now.picture().tags()).extracting(Tag::title).containsExactly("Brief again: Stop");
    assertThat(scene.tries(OFFICER, "d", new Event.BriefingHeard(List.of(STOP)))).isEqualTo("read-by-nobody-else");
    scene.says(CAPTAIN, new Event.BriefingRead(List.of(new Event.ReadLine(STOP, "Up to V1, 91 kt, for fire."))));
    assertThat(status(scene, STOP)).as("read from a screen that was behind").isEqualTo(Status.AGAIN);
    scene.says(CAPTAIN, new Event.BriefingRead(List.of(new Event.ReadLine(STOP, line(scene, "stop").words()))));
    assertThat(scene.now.picture().tags()).isEmpty();
    assertThat(status(scene, STOP)).as("the other heard the old one").isEqualTo(Status.PART);
    scene.says(OFFICER, new Event.BriefingHeard(List.of(STOP)));
    assertThat(status(scene, STOP)).isEqualTo(Status.DONE);
  }

  /** The speeds may be those of a lower step that was proposed, which nobody enters. */
  @Test
  public void the_thrust_is_that_by_which_the_speeds_were_worked_out() {
    Scene scene = begun(0);
    assertThat(line(scene, "set").missing()).containsExactly("thrust");
    scene.server(worked(new Thrust.Step(90)));
    assertThat(line(scene, "set").words()).isEqualTo("Thrust 90 per cent.");
    scene.server(worked(new Thrust.Assumed(40)));
    assertThat(line(scene, "set").missing()).as("two enter it, each alone").containsExactly("thrust");
  }

  private static Event worked(Thrust thrust) {
    return new Event.FiguresWorked(new WorkedOut("", List.of(), List.of(), List.of(), List.of(), Set.of(),
        Optional.of(thrust), Optional.empty()));
  }

  @Test
  public void own_words_stand_until_what_they_were_written_for_is_another() {
    Scene scene = begun(0);
    scene.says(CAPTAIN, new Event.BriefingWorded(STOP, " Fire alone "));
    assertThat(line(scene, "stop").words()).isEqualTo("Fire alone");
    assertThat(line(scene, "stop").kind()).isEqualTo(Line.Kind.DIFFERS);
    both(scene, CriticalFigure.V1, "89");
    assertThat(line(scene, "stop").words()).isEqualTo("Up to V1, 89 kt, for fire.");
    assertThat(line(scene, "stop").before()).contains("Fire alone");
    scene.says(CAPTAIN, new Event.BriefingWorded(STOP, ""));
    assertThat(line(scene, "stop").before()).isEmpty();
  }

  /** 150 words a minute is common practice; how digits count is ours. */
  @Test
  public void its_length_counts_each_digit_as_it_is_spoken() {
    assertThat(Line.spokenWords("V1 91 kt, don't stop.")).isEqualTo(7);
    assertThat(Line.spokenWords("")).isZero();
    Scene scene = begun(0);
    assertThat(Briefing.seconds(scene.now.picture().briefing())).isEqualTo(Math.round(scene.now.picture().briefing()
        .stream().mapToInt(l -> Line.spokenWords(l.words())).sum() * 0.4));
  }

  @Test
  public void a_wording_names_only_what_is_known() {
    assertThatThrownBy(() -> Wording.of("Up to {v3}")).hasMessageContaining("'{v3}'").hasMessageContaining("{v1}");
    assertThatThrownBy(() -> Wording.of("{acceleration}")).hasMessageContaining("wants a height");
    assertThatThrownBy(() -> Wording.of("{v1 400}")).hasMessageContaining("takes no height");
    assertThatThrownBy(() -> Wording.of("Up to {v1")).hasMessageContaining("brace");
  }

  /** Whoever reads, hears, writes and enters what in whatever order. */
  @Test
  public void a_line_is_done_exactly_while_both_know_what_it_says_now() {
    for (int seed = 0; seed < 200; seed++) {
      Random random = new Random(seed);
      Scene scene = begun(random.nextInt(700));
      for (int i = 0; i < 30; i++) {
        CrewId who = random.nextBoolean() ? CAPTAIN : OFFICER;
        StepId step = scene.now.picture().briefing().get(random.nextInt(6)).step();
        switch (random.nextInt(6)) {
          case 0 -> both(scene, CriticalFigure.V1, Integer.toString(88 + random.nextInt(3)));
          case 1 -> scene.says(OFFICER, day(random.nextBoolean() ? 400 : 900, random.nextInt(3) - 12));
          case 2 -> scene.tries(who, "d", new Event.BriefingWorded(step, random.nextBoolean() ? "so" : ""));
          case 3, 4 -> scene.tries(who, "d", read(scene));
          default -> scene.tries(who, "d", heard(scene));
        }
        for (Line l : scene.now.picture().briefing()) {
          boolean holds = scene.now.state().briefing().read(l.step()).filter(r -> r.words().equals(l.words()))
              .isPresent();
          Set<CrewId> answered = scene.now.state().marks(l.step()).stream().map(m -> m.by())
              .collect(Collectors.toSet());
          assertThat(status(scene, l.step()) == Status.DONE).as("seed %d, %s", seed, l.step())
              .isEqualTo(holds && answered.size() == 2);
        }
        assertThat(scene.now.picture().briefing()).as("kept or made anew").isEqualTo(
            Briefing.of(scene.now.state()));
      }
      assertThat(Departure.fold(Scene.BRIEFED, scene.log).picture().tags()).as("folded anew").isEqualTo(
          scene.now.picture().tags());
    }
  }
}

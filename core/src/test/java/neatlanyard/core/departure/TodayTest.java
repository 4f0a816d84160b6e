package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.LIST;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import neatlanyard.core.checklist.TakeoffConfiguration;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.DayValues.TodaysValue;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Facts;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Handovers;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.Status;
import org.testng.annotations.Test;

/** Values that today gives, answers that are no longer true, what a checklist holds, and what closes a stage. */
public class TodayTest {
  private static Scene scene() {
    Scene s = Scene.ready(Scene.TODAY);
    s.says(OFFICER, Scene.day(OptionalDouble.of(1_003)));
    s.server(new Event.FlightFacts(new Facts(
        List.of(new Facts.Elevation(new AirfieldId("QVSK"), "Vesk", 212)),
        List.of(new Facts.LastUse("igniter", "left", Instant.EPOCH)), Optional.empty(), Optional.empty(),
        Optional.empty(), List.of(), Optional.empty())));
    return s;
  }

  private static Item item(Scene s, String step) {
    return s.now.state().card().flatMap(c -> c.item(new StepId(step))).orElseThrow();
  }

  private static TodaysValue known(Scene s, String step) {
    return DayValues.of(s.now.state(), item(s, step)).orElseThrow();
  }

  private static Event value(String step, String said) {
    return new Event.ValueSaid(new StepId(step), said);
  }

  private static String because(Scene s, String step) {
    return s.now.picture().standing().because(item(s, step));
  }

  /** Both answer the flaps, the left seat the altimeters. */
  private static Scene answered() {
    Scene s = scene();
    s.done(OFFICER, "set-flaps");
    s.says(CAPTAIN, value("flaps", "15"));
    s.says(OFFICER, value("flaps", "15"));
    s.says(CAPTAIN, value("altimeters", "1003"));
    return s;
  }

  @Test
  public void a_value_of_today_says_where_it_comes_from() {
    Scene s = scene();
    assertThat(known(s, "level")).extracting(TodaysValue::shown, TodaysValue::from)
        .containsExactly("level 170", "the flight's plan");
    assertThat(known(s, "landing")).extracting(TodaysValue::shown, TodaysValue::from)
        .as("older cabin controllers want 200 ft less by common practice")
        .containsExactly("12 ft", "Vesk, 212 ft, less 200 ft");
    assertThat(known(s, "igniter")).extracting(TodaysValue::plain, TodaysValue::from)
        .containsExactly("right", "last used: left, on 1970-01-01");
    // 29.92 inHg is 1013 hPa and 1 inHg is 33.863 9 hPa: NIST SP 811.
    assertThat(known(s, "altimeters").shown()).isEqualTo("1003 hPa, 29.62 inches");
    for (String same : List.of("1003", "29.62", "29,62", " 1003 ")) {
      assertThat(known(s, "altimeters").agrees(same)).as(same).isTrue();
    }
    for (String other : List.of("1030", "1004", "1013", "29.92", "29.6", "0", "", "QNH", "1003 1003")) {
      assertThat(known(s, "altimeters").agrees(other)).as(other).isFalse();
    }
  }

  @Test
  public void what_is_said_must_be_what_today_gives_or_be_said_in_words_and_hangs() {
    Scene s = scene();
    assertThat(s.tries(OFFICER, new Event.StepDone(new StepId("landing")))).isEqualTo("value-wanted");
    assertThat(s.tries(OFFICER, value("landing", "twelve"))).isEqualTo("not-a-value");
    assertThat(s.tries(OFFICER, value("landing", "212"))).isEqualTo("differs");
    assertThat(s.tries(OFFICER, value("igniter", "both"))).isEqualTo("not-a-value");
    assertThat(s.tries(OFFICER, value("igniter", "left"))).isEqualTo("differs");
    s.says(OFFICER, new Event.Overridden(new StepId("igniter"), "the right one is deferred"));
    s.says(OFFICER, value("igniter", "left"));
    assertThat(s.now.picture().tags()).extracting(Tag::detail)
        .containsExactly(
        "igniter: left was said; it is right by last used: left, on 1970-01-01: the right one is deferred");
    assertThat(DayValues.uses(s.now.state())).as("what was used, not what should have been")
        .extracting(Facts.LastUse::choice)
        .containsExactly("left");
    s.says(OFFICER, new Event.StepUndone(new StepId("igniter")));
    s.says(OFFICER, value("igniter", "right"));
    assertThat(s.now.picture().tags()).isEmpty();
    s.says(OFFICER, Scene.day(OptionalDouble.empty()));
    assertThat(DayValues.of(s.now.state(), item(s, "altimeters"))).as("a report without a setting").isEmpty();
  }

  @Test
  public void words_that_were_for_two_things_hang_as_one_tag() {
    Scene s = scene();
    s.says(OFFICER, new Event.Overridden(new StepId("window"), "the old selector"));
    s.says(OFFICER, value("window", "300"));
    assertThat(s.now.picture().tags()).extracting(Tag::key, Tag::detail).containsExactly(tuple(
        "override/window", "window: 300 was said; it is 212 ft by Vesk, before level: the old selector"));
    s.says(OFFICER, value("level", "170"));
    assertThat(s.now.picture().tags()).extracting(Tag::detail)
        .containsExactly("window: 300 was said; it is 212 ft by Vesk: the old selector");
  }

  /** Every setting between the lowest and the highest that were ever measured at sea level, and a few more. */
  @Test
  public void a_setting_agrees_with_itself_in_both_units_and_with_no_other() {
    for (int hpa = 860; hpa <= 1_090; hpa++) {
      Scene s = Scene.ready(Scene.TODAY);
      s.says(OFFICER, Scene.day(OptionalDouble.of(hpa)));
      TodaysValue known = known(s, "altimeters");
      String inches = known.accepted().getLast();
      // 1 inHg is 33.863 9 hPa: NIST SP 811. Two decimals are within a fifth of a hectopascal.
      assertThat(Double.parseDouble(inches) * 33.8639).isCloseTo(hpa, offset(0.2));
      assertThat(known.agrees(Integer.toString(hpa)) && known.agrees(inches) && known.agrees(inches.replace('.', ',')))
          .as("%d", hpa).isTrue();
      for (int other = hpa - 3; other <= hpa + 3; other++) {
        assertThat(known.agrees(Integer.toString(other))).as("%d for %d", other, hpa).isEqualTo(other == hpa);
      }
    }
  }

  @Test
  public void an_answer_that_is_no_longer_true_comes_back_and_says_why() {
    Scene s = answered();
    assertThat(s.status("flaps")).isEqualTo(Status.DONE);
    s.says(OFFICER, new Event.StepUndone(new StepId("set-flaps")));
    assertThat(s.status("flaps")).isEqualTo(Status.AGAIN);
    assertThat(because(s, "flaps")).isEqualTo("flaps was taken back since");
    s.done(OFFICER, "set-flaps");
    assertThat(s.status("flaps")).as("they are 15 again").isEqualTo(Status.DONE);
    s.says(OFFICER, new Event.AircraftRead("data", List.of(new State(new PointId("flaps"), "0"))));
    assertThat(because(s, "flaps")).isEqualTo("0 since, by the aircraft's own data");
    s.says(OFFICER, value("flaps", "15"));
    assertThat(s.status("flaps")).as("both must say it again").isEqualTo(Status.AGAIN);
    assertThat(s.now.picture().standing().owes(item(s, "flaps"))).containsExactly(Seat.LEFT);
    s.says(CAPTAIN, value("flaps", "15"));
    s.says(OFFICER, Scene.day(OptionalDouble.of(1_001)));
    assertThat(s.status("flaps")).isEqualTo(Status.DONE);
    assertThat(because(s, "altimeters")).isEqualTo("it is 1001 hPa, 29.56 inches now, it was 1003 hPa, 29.62 inches");
    s.says(CAPTAIN, value("altimeters", "1001"));
    assertThat(because(s, "altimeters")).isEmpty();
  }

  @Test
  public void what_a_checklist_holds_comes_before_the_line_and_before_its_last_item() {
    Scene s = scene();
    s.says(CAPTAIN, new Event.StepLater(new StepId("flaps"), "people below the flaps"));
    assertThat(s.now.picture().tags()).singleElement().extracting(Tag::due).isEqualTo(Stage.BEFORE_TAKEOFF);
    s.says(CAPTAIN, value("altimeters", "1003"));
    assertThat(s.tries(OFFICER, new Event.StepDone(new StepId("cabin")))).as("the line is not crossed")
        .isEqualTo("out-of-order");
    s.done(OFFICER, "set-flaps");
    s.says(CAPTAIN, value("flaps", "15"));
    s.says(OFFICER, value("flaps", "15"));
    s.says(OFFICER, new Event.StepLater(new StepId("cabin"), "no report yet"));
    assertThat(s.tries(OFFICER, new Event.StepDone(new StepId("complete")))).isEqualTo("out-of-order");
    s.done(OFFICER, "cabin", "complete");
    assertThat(s.now.picture().next(s.now.state().part(LIST).orElseThrow())).isEmpty();
  }

  @Test
  public void a_tag_that_was_due_before_closes_its_stage_until_it_is_gone_or_words_are_said_once() {
    Scene s = answered();
    UUID tag = UUID.randomUUID();
    s.says(CAPTAIN, new Event.TagHung(tag, "packs on when the APU is ready", Stage.START, Optional.empty()));
    assertThat(s.tries(OFFICER, new Event.StepDone(new StepId("cabin")))).isEqualTo("needs");
    s.says(OFFICER, new Event.Overridden(new StepId("cabin"), "the cabin is cool enough"));
    assertThat(s.tries(OFFICER, new Event.Overridden(new StepId("complete"), "it is cool")))
        .as("said at the same moment").isEmpty();
    assertThat(s.tries(OFFICER, new Event.Overridden(new StepId("set-flaps"), "x"))).as("nothing closes it")
        .isEqualTo("nothing-to-override");
    s.done(OFFICER, "cabin", "complete");
    assertThat(s.tries(OFFICER, new Event.StepDone(new StepId("strobes")))).as("the next stage asks again")
        .isEqualTo("needs");
    s.says(CAPTAIN, new Event.TagTaken(tag));
    s.done(OFFICER, "strobes");
    Scene other = answered();
    other.says(CAPTAIN, new Event.TagHung(tag, "packs on", Stage.START, Optional.empty()));
    other.says(CAPTAIN, new Event.StepUndone(new StepId("altimeters")));
    other.says(CAPTAIN, new Event.Overridden(new StepId("altimeters"), "the left one is deferred"));
    other.says(CAPTAIN, value("altimeters", "1013"));
    assertThat(other.tries(OFFICER, new Event.StepDone(new StepId("cabin")))).as("those words were of the value")
        .isEqualTo("needs");
    s.says(OFFICER, new Event.Overridden(new StepId("radar"), "rain ahead"));
    s.done(OFFICER, "radar");
    assertThat(s.now.picture().tags()).singleElement().extracting(Tag::due).as("not before the stage it was said in")
        .isEqualTo(Stage.LINE_UP);
    s.done(OFFICER, "heading");
  }

  @Test
  public void the_runway_wants_the_takeoff_configuration() {
    Scene s = scene();
    assertThat(s.now.picture().takeoff()).singleElement().extracting(TakeoffConfiguration.Check::words)
        .isEqualTo("flaps: 15 wanted, nobody has said so");
    s.says(OFFICER, new Event.AircraftRead("data", List.of(new State(new PointId("flaps"), "0"))));
    assertThat(s.now.picture().takeoff()).singleElement().extracting(TakeoffConfiguration.Check::words)
        .isEqualTo("flaps: 15 wanted, 0 by the aircraft's own data");
    assertThat(s.tries(OFFICER, new Event.StepDone(new StepId("strobes")))).isEqualTo("needs");
    s.done(OFFICER, "set-flaps");
    assertThat(s.now.picture().takeoff()).allMatch(TakeoffConfiguration.Check::so);
    s.done(OFFICER, "strobes");
    s.says(OFFICER, new Event.AircraftRead("data", List.of(new State(new PointId("flaps"), "0"))));
    s.says(OFFICER, new Event.Overridden(new StepId("heading"), "the sensor is deferred"));
    s.done(OFFICER, "heading");
    s.says(OFFICER, new Event.StepUndone(new StepId("strobes")));
    s.says(OFFICER, new Event.AircraftRead("data", List.of(new State(new PointId("flaps"), "0"))));
    assertThat(s.tries(OFFICER, new Event.StepDone(new StepId("strobes")))).as("told again after the words")
        .isEqualTo("needs");
  }

  @Test
  public void the_engineers_steps_fall_to_the_pilot_monitoring_where_there_is_no_engineer() {
    Scene s = scene();
    assertThat(item(s, "level").seats()).containsExactly(Seat.RIGHT);
    Card three = Card.cut(
        Scene.TODAY, new Card.Crewing(Seat.LEFT, Set.of(Seat.values()), Handovers.NONE), s.now.state().situation()
        .orElseThrow(), List.of());
    assertThat(three.item(new StepId("level")).orElseThrow().seats()).containsExactly(Seat.ENGINEER);
    assertThat(three.item(new StepId("flaps")).orElseThrow().seats()).isEqualTo(Seat.pilots());
  }
}

package neatlanyard.core.dispatch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import neatlanyard.core.dispatch.DispatchList.Entry;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Situation;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.weather.StationReport;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class DispatchTest {
  private static final Instant NOON = Instant.parse("2027-01-14T12:00:00Z");
  private static final ZoneId ZONE = ZoneOffset.UTC;
  private static final TailId TAIL = new TailId("TL-XXX");
  private static final StepId TIP = new StepId("tip");
  private static final EntryId BULB = new EntryId("33-1");
  private static final EntryId BOOT = new EntryId("30-1");
  private static final EntryId WICK = new EntryId("23-1");
  private static final EntryId LANDING = new EntryId("33-2");
  private static final DispatchList LIST = new DispatchList(
      new TypeId("type"), "List", "1",
      List.of(
          entry(BULB, Category.B, 2, 1, "", new Condition.Always(), TIP),
          entry(BOOT, Category.C, 4, 3, "", new Condition.Not(new Condition.ColderThan(5)), new StepId("boots")),
          entry(WICK, Category.D, 6, 5, "cap the base", new Condition.Always(), new StepId("wicks")),
          entry(LANDING, Category.A, 2, 1, "", new Condition.Not(new Condition.Dark()), new StepId("lamp"))),
      List.of(new DispatchList.NotTogether(BULB, LANDING, "too little light on one side")));

  private static Entry entry(EntryId id, Category category, int installed, int required, String maintenance,
      Condition when, StepId step) {
    return new Entry(id, "thing " + id, category, 5, installed, required, "look again", maintenance, when,
        OptionalInt.empty(), "placard", List.of(step), List.of());
  }

  private static Situation day(int temperatureC, boolean dark) {
    StationReport report = new StationReport(
        "", "QTRN", NOON, Optional.empty(), OptionalInt.empty(), List.of(), List.of(), OptionalInt.of(temperatureC),
        OptionalInt.empty(), OptionalDouble.empty());
    Tail tail = new Tail(TAIL, LIST.type(), Optional.empty(), Set.of());
    return new Situation(tail, new AirfieldId("QTRN"), new AirfieldId("QVSK"), Optional.empty(),
        new Day(report, false, dark, Set.of()),
        Map.of());
  }

  private static DispatchCase ask(StepId step, Severity severity, int count, Situation now, Deferral... open) {
    return DispatchCase.of(new DispatchCase.FindFacts(step, Optional.empty(), count, severity, false, true), LIST,
        Policy.DEFAULT, now,
        List.of(open), NOON, ZONE);
  }

  private static Deferral deferred(EntryId entry, int count, LocalDate lastDay) {
    return new Deferral(new UUID(1, entry.hashCode()), entry, "thing " + entry, "", Optional.empty(), count, lastDay,
        ZONE, "", "", OptionalInt.empty(), List.of(), "");
  }

  /**
   * Common practice, no source: one of two bulbs in a wingtip light out is flown with an entry, both at night are not.
   */
  @Test
  public void one_bulb_goes_with_an_entry_and_both_do_not() {
    DispatchCase one = ask(TIP, Severity.DEFECT, 1, day(5, true));
    assertThat(one.verdict()).isEqualTo(Verdict.FLY_WITH_ENTRY);
    assertThat(one.entry()).contains(BULB);
    assertThat(one.because().getFirst()).isEqualTo("33-1 thing 33-1: 2 installed, 1 must work; 1 out leaves 1.");
    assertThat(one.todo()).containsExactly("Crew: look again", "Placard: placard");
    assertThat(ask(TIP, Severity.DEFECT, 2, day(5, true)).verdict()).isEqualTo(Verdict.MAINTENANCE_FIRST);
    DispatchCase second = ask(TIP, Severity.DEFECT, 1, day(5, true), deferred(BULB, 1, LocalDate.of(2027, 1, 16)));
    assertThat(second.verdict()).isEqualTo(Verdict.MAINTENANCE_FIRST);
    assertThat(second.because()).anyMatch(b -> b.contains("1 deferred before leaves 0"));
  }

  @Test
  public void weather_light_and_another_deferral_are_named_when_they_stand_against_it() {
    assertThat(ask(new StepId("boots"), Severity.DEFECT, 1, day(9, false)).verdict())
        .isEqualTo(Verdict.FLY_WITH_ENTRY);
    assertThat(ask(new StepId("boots"), Severity.DEFECT, 1, day(2, false)).because())
        .anyMatch(b -> b.startsWith("30-1 asks for"));
    assertThat(ask(new StepId("lamp"), Severity.DEFECT, 1, day(9, true)).verdict())
        .isEqualTo(Verdict.MAINTENANCE_FIRST);
    DispatchCase pair = ask(new StepId("lamp"), Severity.DEFECT, 1, day(9, false),
        deferred(BULB, 1, LocalDate.of(2027, 1, 16)));
    assertThat(pair.because()).containsExactly(
        "33-2 is not allowed together with 33-1 thing 33-1, which is deferred: too little light on one side.");
  }

  @Test
  public void what_is_not_in_the_list_must_work() {
    assertThat(ask(new StepId("nowhere"), Severity.DEFECT, 1, day(9, false)).verdict())
        .isEqualTo(Verdict.MAINTENANCE_FIRST);
    assertThat(ask(new StepId("nowhere"), Severity.MARK, 1, day(9, false)).verdict())
        .isEqualTo(Verdict.NOTHING_TO_ENTER);
    assertThat(ask(TIP, Severity.DANGER, 1, day(9, false)).verdict()).isEqualTo(Verdict.STOPS_THE_FLIGHT);
    DispatchCase.FindFacts unnamed = new DispatchCase.FindFacts(TIP, Optional.empty(), 1, Severity.DEFECT, false,
        false);
    DispatchCase leak = DispatchCase.of(unnamed, LIST, Policy.DEFAULT, day(9, false), List.of(), NOON, ZONE);
    assertThat(leak.verdict()).as("another fault at the place of an entry is not that entry")
        .isEqualTo(Verdict.MAINTENANCE_FIRST);
    assertThat(leak.because())
        .containsExactly("None of the list's entries for this place was named: 33-1 thing 33-1.");
    DispatchCase wick = ask(new StepId("wicks"), Severity.DEFECT, 1, day(9, false));
    assertThat(wick.verdict()).as("maintenance has something to do first").isEqualTo(Verdict.MAINTENANCE_FIRST);
    assertThat(wick.todo()).contains("Maintenance: cap the base");
  }

  /** Property: another open deferral, the dark, the cold or one more out never makes the case milder. */
  @Test
  public void more_trouble_is_never_milder() {
    List<Deferral> open = new ArrayList<>();
    for (StepId step : List.of(TIP, new StepId("boots"), new StepId("lamp"), new StepId("wicks"))) {
      for (int count = 1; count < 4; count++) {
        DispatchCase now = ask(step, Severity.DEFECT, count, day(9, false));
        assertThat(ask(step, Severity.DEFECT, count + 1, day(9, false)).verdict())
            .isGreaterThanOrEqualTo(now.verdict());
        assertThat(ask(step, Severity.DEFECT, count, day(2, true)).verdict()).isGreaterThanOrEqualTo(now.verdict());
        assertThat(ask(step, Severity.DANGER, count, day(9, false)).verdict()).isGreaterThanOrEqualTo(now.verdict());
        for (Entry e : LIST.entries()) {
          open.add(deferred(e.id(), 1, LocalDate.of(2027, 1, 16)));
          assertThat(ask(step, Severity.DEFECT, count, day(9, false), open.toArray(Deferral[]::new)).verdict())
              .isGreaterThanOrEqualTo(now.verdict());
        }
        open.clear();
      }
    }
  }

  /** FAA MMEL Policy Letter 25, EASA CS-MMEL: 3, 10 and 120 calendar days, the day of discovery not counted. */
  @DataProvider
  static Object[][] days() {
    return new Object[][] {
      {Category.A, "UTC", "2027-01-19"}, {Category.B, "UTC", "2027-01-17"}, {Category.C, "UTC", "2027-01-24"},
          {Category.D, "UTC", "2027-05-14"},
      {Category.B, "Pacific/Auckland", "2027-01-18"}};
  }

  @Test(dataProvider = "days")
  public void the_last_day_is_counted_in_the_operators_zone(Category category, String zone, String lastDay) {
    assertThat(category.lastDay(5, NOON, ZoneId.of(zone))).isEqualTo(lastDay);
  }

  @Test
  public void what_is_deferred_bars_a_flight_when_it_has_run_out_or_its_terms_do_not_hold() {
    Deferral boot = deferred(BOOT, 1, LocalDate.of(2027, 1, 24));
    Deferral bulb = deferred(BULB, 1, LocalDate.of(2027, 1, 13));
    List<Deferral> today = DispatchCase.standing(LIST, Policy.DEFAULT, Optional.of(day(9, false)), List.of(boot,
        bulb), NOON);
    assertThat(today.getFirst().bars()).isEmpty();
    assertThat(today.getLast().bars()).isEqualTo("It ran out at the end of 2027-01-13");
    assertThat(DispatchCase.standing(LIST, Policy.DEFAULT, Optional.of(day(2, false)), List.of(boot),
        NOON).getFirst().bars())
        .startsWith("30-1 asks for");
    assertThat(bulb.daysLeft(NOON)).isEqualTo(-1);
  }

  @Test
  public void maintenance_control_defers_once_extends_once_and_clears() {
    UUID id = UUID.randomUUID();
    List<TechEntry> lines = new ArrayList<>(
        List.of(line(new TechAct.Raised(id, Optional.empty(), Optional.empty(), Optional.of(TIP), "bulb out"))));
    assertThat(refused(lines, new TechAct.Cleared(id, "changed"), Role.CAPTAIN)).isEqualTo("maintenance-only");
    assertThat(refused(lines, new TechAct.Deferred(id, BULB, 2, LocalDate.of(2027, 1, 17), "x"), Role.MAINTENANCE))
        .isEqualTo("too-many-out");
    assertThat(refused(lines, new TechAct.Deferred(id, BULB, 1, LocalDate.of(2027, 1, 18), "x"), Role.MAINTENANCE))
        .isEqualTo("too-long");
    assertThat(refused(lines, new TechAct.Extended(id, LocalDate.of(2027, 1, 20), "x"), Role.MAINTENANCE))
        .isEqualTo("not-deferred");
    does(lines, new TechAct.Deferred(id, BULB, 1, LocalDate.of(2027, 1, 17), "no bulb in stock"));
    assertThat(TechLog.of(lines).deferrals(LIST, ZONE)).extracting(Deferral::words).containsExactly("33-1 thing 33-1");
    assertThat(refused(lines, new TechAct.Extended(id, LocalDate.of(2027, 1, 21), "x"), Role.MAINTENANCE))
        .isEqualTo("wrong-day");
    does(lines, new TechAct.Extended(id, LocalDate.of(2027, 1, 20), "bulb on order"));
    assertThat(refused(lines, new TechAct.Extended(id, LocalDate.of(2027, 1, 22), "x"), Role.MAINTENANCE))
        .isEqualTo("extended-once");
    does(lines, new TechAct.Cleared(id, "bulb changed"));
    assertThat(TechLog.of(lines).deferrals(LIST, ZONE)).isEmpty();
    assertThat(refused(lines, new TechAct.Cleared(id, "again"), Role.MAINTENANCE)).isEqualTo("cleared");
    assertThat(TechLog.of(lines).defect(id).orElseThrow().lines()).hasSize(4);
  }

  private static TechEntry line(TechAct act) {
    return new TechEntry(TAIL, NOON, new CrewId("varga"), "Lio Varga", act);
  }

  private static String refused(List<TechEntry> lines, TechAct act, Role role) {
    return TechLog.of(lines).refusal(act, role, LIST, NOON, ZONE).map(r -> r.code().written()).orElse("");
  }

  private static void does(List<TechEntry> lines, TechAct act) {
    assertThat(refused(lines, act, Role.MAINTENANCE)).isEmpty();
    lines.add(line(act));
  }
}

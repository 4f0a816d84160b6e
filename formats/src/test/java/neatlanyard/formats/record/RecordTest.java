package neatlanyard.formats.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.live.Sighting;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.DispatchCase;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.Severity;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.figures.BrakingAction;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.Difference;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.LastMinuteChange;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.Cause;
import neatlanyard.core.figures.entry.Comparison;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.Slip;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Arrival;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.Outbound;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.SubTypeId;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.gauge.Usage;
import neatlanyard.core.log.EarlierReadings;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Facts;
import neatlanyard.core.log.FindDetail;
import neatlanyard.core.log.TechState;
import neatlanyard.core.record.Chain;
import neatlanyard.core.record.Seal;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.taxi.Clearance;
import neatlanyard.core.trend.Schedule;
import neatlanyard.core.weather.StationReport;
import neatlanyard.formats.weather.StationReportReader;
import org.testng.annotations.Test;

public class RecordTest {
  private static final Facts.Departing DEPARTING = new Facts.Departing(-2,
      new Outbound(Optional.of(new Outbound.LandingLimits(250, 800)), Optional.of(new AirfieldId("QBRN")),
      OptionalInt.of(1_900)), "Brannoch", List.of(new Facts.ClimbOut(new RunwayName("07"), 67.8, "straight ahead",
      "left at 500 ft", "harbour crane", 92)));
  private static final Instant AT = Instant.parse("2027-01-14T07:25:00.123456Z");
  private static final CrewId MARSK = new CrewId("marsk");
  private static final StepId STEP = new StepId("wa-static-l");

  private static final LoadSheet SHEET = new LoadSheet("Flight 14", new TailId("TL-DVA"), LocalDate.of(2027, 1, 14), 1,
      new LoadSheet.Stated(15_290, 28.5, OptionalDouble.of(17_350), OptionalDouble.empty(), OptionalDouble.empty()),
      Optional.of(new LoadSheet.Load(Map.of("front", 14), Map.of("aft", 480.5))), Map.of("left", 1_030.0), 60, 640,
      new LastMinuteChange(Map.of("aft", 2), Map.of("front", -40.0)));

  /** One event of each kind there is; the test below fails when a kind is added and not put here. */
  private static final List<Event> ONE_OF_EACH = List.of(
      new Event.Opened(
          new Flight(
              new FlightId("f1"), "Flight 14", new TailId("TL-DVA"), new AirfieldId("QTRN"), new AirfieldId("QVSK"),
              AT, Optional.of(170),
              List.of(new Rostered(MARSK, Seat.LEFT, true, true)), "",
              Optional.of(new Arrival(Duration.ofMinutes(35), Optional.of(AT.plusSeconds(3_600))))),
          new Tail(new TailId("TL-DVA"), new TypeId("dovrin-46"), Optional.of(new SubTypeId("passenger")),
          Set.of(new Equipment("apu"))), new PackId("dovrin-46"),
          "2026-11", "abc", List.of(new CrewMember(MARSK, "Ida Marsk", Role.CAPTAIN))),
      new Event.SeatTaken(Seat.LEFT),
      new Event.DaySet(new Day(
          StationReportReader.read("QTRN 140720Z 24012G20KT 9000 -SN FEW012CB M02/M04 Q1003", AT).orThrow(""), true,
          true,
          Set.of(Circumstance.FIRST_FLIGHT, Circumstance.AFTER_DEICING))),
      new Event.StepDone(STEP),
      new Event.StepNotToday(STEP, "steps away, \"later\" — 10 °C"),
      new Event.Measured(STEP, 24.8),
      new Event.ValueSaid(STEP, "29.62"),
      new Event.AircraftRead("simulated aircraft", List.of(new State(new PointId("flaps"), "15"))),
      new Event.FlightFacts(new Facts(
          List.of(new Facts.Elevation(new AirfieldId("QVSK"), "Vesk", 212)),
          List.of(new Facts.LastUse("inverter", "one", AT)), Optional.of(DEPARTING), Optional.of(new GroundPlan(
          List.of(new GroundPlan.Spot("P18", 1.5, -2, GroundPlan.Spot.Kind.TURN_PAD, Optional.of(new RunwayName("18")),
          OptionalInt.of(30), "")), List.of(new GroundPlan.Taxiway("A", List.of("P18", "B"), 18, OptionalInt.empty(),
          true, Optional.empty(), List.of(new GroundPlan.Bridge("P18", "B", 45)))),
          List.of(new GroundPlan.Strip(List.of(new RunwayName("18")), 0, 0, 10, 20, 45)),
          GroundPlan.Transponder.ON_WITH_ALTITUDE)), Optional.of(new Facts.Left("Tomas Quill", "Flight 12", AT,
          List.of(new State(new PointId("battery"), "off")))),
          List.of(new Facts.Run(new RunwayName("18"), 890, List.of(new Runway.Intersection("B", 210)))),
          Optional.of(61.5))),
      new Event.DoesNotFit(STEP, "no such port on this tail"),
      new Event.StepUndone(STEP),
      new Event.FoundSo(STEP),
      new Event.Overridden(STEP, "proven by maintenance"),
      new Event.WaitSeen(STEP),
      new Event.TagHung(new UUID(0x7000L, 4), "air for the cabin", Stage.BEFORE_TAKEOFF, Optional.of(Instant.EPOCH)),
      new Event.TagTaken(new UUID(0x7000L, 4)),
      new Event.Interrupted(),
      new Event.WentOn(),
      new Event.PanelHandedOver(new PlaceId("overhead"), Seat.RIGHT),
      new Event.PlanChosen("The captain gives Left flow", 240),
      new Event.StepLater(STEP, "loaders in the way"),
      new Event.LogTailRead(new TailId("TL-DVB")),
      new Event.FindRaised(new UUID(0x7000L, 1), STEP, "tape\nleft", new FindDetail(
          Severity.MARK, 2, Optional.of(new EntryId("33-1")), Optional.of(new FindDetail.Spot(-2.5, 3)),
          List.of(new UUID(0x7000L, 9)))),
      new Event.VerdictTaken(new UUID(0x7000L, 1), Verdict.FLY_WITH_ENTRY, "entered", Optional.of(new DispatchCase(
          Verdict.FLY_WITH_ENTRY, Optional.of(new EntryId("33-1")), List.of("one of two"),
          Optional.of(LocalDate.of(2027, 1, 17)), List.of("Crew: look"), "list"))),
      new Event.TechStatus(new TechState(
          List.of(new Deferral(new UUID(0x7000L, 2), new EntryId("33-1"), "Bulb", "out",
          Optional.of(new PlaceId("tip")), 1, LocalDate.of(2027, 1, 17),
              ZoneId.of("Etc/GMT"), "", "", OptionalInt.of(10_000),
              List.of(new DispatchList.Extra(new StepId("dx"), new ProcedureId("walkaround"), new PlaceId("tip"),
              "Bulb", "lit")), "")),
          List.of(new TechState.Settled(new UUID(0x7000L, 1), true, "changed")),
          List.of(new TechState.FoundBefore(new UUID(0x7000L, 3), Optional.empty(), Optional.of(STEP), "cut", "Holm",
          AT, "", List.of())))),
      new Event.ReadBefore(new EarlierReadings(
          List.of(new EarlierReadings.Row(new QuantityId("oil-left"), List.of(new Readings.EarlierReading(100, 75.5,
              11.2)))),
          Optional.of(new Usage(104, 78.3)),
          new Schedule(LocalDate.of(2027, 1, 14), List.of(LocalDate.of(2027, 1, 15)), 4))),
      new Event.TaxiCleared(new Clearance("4", List.of("A", "D"), "D1", List.of(new RunwayName("16")))),
      new Event.BrakesRead(320, true),
      new Event.RunwayReported(new RunwayCondition(List.of(new RunwayCondition.Third(
          OptionalInt.of(3), Contaminant.WET_SNOW, OptionalInt.of(4), OptionalInt.empty())),
          Optional.of(BrakingAction.MEDIUM_TO_POOR))),
      new Event.TowerWindSaid(Optional.of(new TowerWind(OptionalInt.empty(), 5, OptionalInt.of(18)))),
      new Event.LoadSheetTaken(SHEET, Optional.of(new FuelPlan(Map.of(FuelPlan.Part.FINAL_RESERVE, 410.0))),
          OptionalDouble.of(17_420), "simulated"),
      new Event.TakeoffChosen(new FiguresAsked.Choice(Optional.of(new RunwayName("09L")), Optional.of("N2"),
          Optional.of("1"), Optional.of(new Thrust.Assumed(-4))), Optional.of(true), Optional.empty()),
      new Event.DeIced(Optional.of(new Holdover.Applied("thick", "100/0", AT))),
      new Event.FiguresWorked(new WorkedOut("2026-11", List.of("ab"),
          List.of(new WorkedOut.Figure(CriticalFigure.V1, "91")),
          List.of(new Limit("stop", false, "too short", "14 CFR 25.113")), List.of(),
          Set.of(FigureInput.WIND, FigureInput.LOAD), Optional.of(new Thrust.Step(90)),
          Optional.of(new WorkedOut.Protection(AT, Optional.of(AT), Optional.empty(), "Holdover")))),
      new Event.FigureEntered(CriticalFigure.V1, "91"),
      new Event.FigureDiffered(new Difference(CriticalFigure.V1, Comparison.Verdict.SECOND_DIFFERS, Optional.of("91"),
          List.of(new Difference.OfEntry(MARSK, "19", List.of(new Cause(Slip.DIGITS_SWAPPED, 0.99, "digits swapped")),
          "too early")))),
      new Event.FigureTaken(CriticalFigure.V1, "91", "by hand"),
      new Event.LoadSheetChanged(LastMinuteChange.NONE),
      new Event.ElsewhereReported(new AirfieldId("QVSK"), "Vesk", new StationReport("METAR QVSK", "QVSK", AT,
          Optional.empty(), OptionalInt.empty(), List.of(), List.of(), OptionalInt.empty(), OptionalInt.empty(),
          OptionalDouble.empty()), true, Optional.of(new LandingLimits(500, 1_500))),
      new Event.BriefingWorded(new StepId("br-who"), "I fly"),
      new Event.BriefingRead(List.of(new Event.ReadLine(new StepId("br-who"), "I fly"))),
      new Event.BriefingHeard(List.of(new StepId("br-who"))),
      new Event.ChecklistStopped(new ProcedureId("before-takeoff")),
      new Event.ChecklistResumed(new ProcedureId("before-takeoff")),
      new Event.ControlsChecked("simulated aircraft", "ff", new Judgement(
          List.of(new Judgement.Finding(Optional.of(Axis.ROLL), "Left aileron", Judgement.Criterion.SENSE, 2,
              Judgement.Outcome.AS_IT_SHOULD_BE, -14.972, -15, 0.06, "°", "moved down")),
          List.of("Yaw: held at the left stop for 0.1 s, 0.6 s is wanted."),
          List.of(new Judgement.Suggestion(Judgement.Cause.GUST_LOCK, 0.8, "a gust lock")))),
      new Event.ControlsSeen(List.of(new Sighting(Channel.Inceptor.RIGHT, Axis.ROLL, -1, true),
          new Sighting(Channel.Inceptor.ANY, Axis.YAW, 0, false)), true),
      new Event.ControlsUpset(Event.Upset.COMPUTER_RESET),
      new Event.TiedOff(List.of(new Event.Acceptance("apu-air", "APU running", "cold cabin"))));

  private static List<EntryJson.HashedEntry> kept() {
    List<EntryJson.HashedEntry> kept = new ArrayList<>();
    String previous = Chain.GENESIS;
    for (Event event : ONE_OF_EACH) {
      Entry entry = new Entry(
          kept.size() + 1L, new UUID(0x7000L, kept.size()), AT, AT.minusSeconds(3_600), MARSK,
          kept.isEmpty() ? Optional.empty() : Optional.of(Seat.LEFT), "d-1", event);
      kept.add(EntryJson.write(entry, previous));
      assertThat(EntryJson.read(kept.getLast().json())).as("round trip of %s", event).isEqualTo(entry);
      previous = kept.getLast().hash();
    }
    return kept;
  }

  private static final Seal.Key KEY = Seal.newKey(Instant.EPOCH);

  private static String written(List<String> entries, String head) {
    return RecordFile.write(entries, head, Seal.of(head, KEY));
  }

  private static String record() {
    List<EntryJson.HashedEntry> kept = kept();
    return written(kept.stream().map(EntryJson.HashedEntry::json).toList(), kept.getLast().hash());
  }

  /** A log of an earlier version says less of finds and verdicts, and is read all the same. */
  @Test
  public void what_an_earlier_version_wrote_is_read() {
    String find = "{\"find\":\"00000000-0000-7000-0000-000000000001\",\"step\":\"wa-x\",\"note\":\"torn\"}";
    assertThat(EntryJson.event("find-raised", EntryJson.tree(find))).isEqualTo(
        new Event.FindRaised(new UUID(0x7000L, 1), new StepId("wa-x"), "torn", FindDetail.DEFECT));
    String verdict =
        "{\"find\":\"00000000-0000-7000-0000-000000000001\",\"verdict\":\"nothing_to_enter\",\"words\":\"\"}";
    assertThat(EntryJson.event("verdict-taken", EntryJson.tree(verdict))).isEqualTo(
        new Event.VerdictTaken(new UUID(0x7000L, 1), Verdict.NOTHING_TO_ENTER, "", Optional.empty()));
    String hung = "{\"tag\":\"00000000-0000-7000-0000-000000000001\",\"words\":\"air\",\"due\":\"TAXI\"}";
    assertThat(EntryJson.event("tag-hung", EntryJson.tree(hung)))
        .isEqualTo(new Event.TagHung(new UUID(0x7000L, 1), "air", Stage.TAXI, Optional.empty()));
    String checked = "{\"source\":\"s\",\"trace-sha256\":\"ff\",\"judgement\":{\"findings\":[{\"axis\":\"roll\","
        + "\"subject\":\"Left aileron\",\"criterion\":\"sense\",\"passed\":false,\"measured\":15,\"limit\":-15,"
        + "\"unit\":\"°\",\"words\":\"up\"}]}}";
    assertThat(EntryJson.event("controls-checked", EntryJson.tree(checked))).isEqualTo(
        new Event.ControlsChecked("s", "ff", new Judgement(List.of(new Judgement.Finding(
            Optional.of(Axis.ROLL), "Left aileron", Judgement.Criterion.SENSE, 0,
            Judgement.Outcome.NOT_AS_IT_SHOULD_BE, 15, -15, 0, "°", "up")), List.of(), List.of())));
    for (String wind : List.of("null", "{\"direction-deg\":240,\"speed-kt\":12,\"gust-kt\":null}")) {
      String day = ("{\"day\":{\"report\":{\"text\":\"t\",\"station\":\"QTRN\",\"observed\":\"2027-01-14T07:20:00Z\","
          + "\"wind\":%s,\"visibility-m\":null,\"weather\":[],\"clouds\":[],\"temperature-c\":null,"
          + "\"dew-point-c\":null,\"qnh-hpa\":null},\"simulated-report\":false,\"dark\":false,"
          + "\"circumstances\":[]}}").formatted(wind);
      assertThat(EntryJson.event("day-set", EntryJson.tree(day))).isInstanceOf(Event.DaySet.class);
    }
  }

  @Test
  public void every_kind_of_event_comes_back_as_it_went_in() {
    assertThat(ONE_OF_EACH).hasSize(Event.class.getPermittedSubclasses().length);
    assertThat(kept()).hasSameSizeAs(ONE_OF_EACH);
  }

  /** RFC 8785, section 3.2.2: the example object (from memory). */
  @Test
  public void canonical_json_of_the_rfc() {
    String input = """
        {"numbers": [333333333.33333329, 1E30, 4.50, 2e-3, 0.000000000000000000000000001],
         "string": "\\u20ac$\\u000F\\u000aA'\\u0042\\u0022\\u005c\\\\\\"\\/", "literals": [null, true, false]}""";
    assertThat(Canonical.of(input)).isEqualTo(
        "{\"literals\":[null,true,false],\"numbers\":[333333333.3333333,1e+30,4.5,0.002,1e-27],"
            + "\"string\":\"€$\\u000f\\nA'B\\\"\\\\\\\\\\\"/\"}");
  }

  /** RFC 8785, section 3.2.3: the order of names, by UTF-16 code units (from memory). */
  @Test
  public void canonical_order_of_the_rfc() {
    String input = "{\"\\u20ac\":1,\"\\r\":2,\"\\ufb33\":3,\"1\":4,\"\\ud83d\\ude00\":5,\"\\u0080\":6,\"\\u00f6\":7}";
    assertThat(Canonical.of(input)).isEqualTo("{\"\\r\":2,\"1\":4,\"\u0080\":6,\"ö\":7,\"€\":1,\"😀\":5,\"\uFB33\":3}");
  }

  @Test
  public void a_record_is_whole_however_it_is_spaced() {
    String record = record();
    assertThat(RecordFile.check(record)).isInstanceOf(RecordFile.Check.Whole.class);
    assertThat(RecordFile.check(record.replace(",\"", ",\n  \""))).isInstanceOf(RecordFile.Check.Whole.class);
    assertThat(record).isEqualTo(Canonical.of(record));
  }

  /** Property: no single character of a record can be changed for another without it being noticed. */
  @Test
  public void any_changed_character_is_noticed() {
    String record = record();
    Random random = new Random(8785);
    for (int i = 0; i < 800; i++) {
      int at = random.nextInt(record.length());
      char put = (char) (' ' + random.nextInt(95));
      boolean gap = Character.isWhitespace(put) || record.charAt(at) == put;
      String changed = record.substring(0, at) + put + record.substring(at + 1);
      if (!gap) {
        assertThat(RecordFile.check(changed)).as("'%s' for '%s' at %d", put, record.charAt(at), at)
            .isNotInstanceOf(RecordFile.Check.Whole.class);
      }
    }
  }

  @Test
  public void what_was_altered_is_named_and_other_files_are_no_records() {
    String record = record();
    assertThat(RecordFile.check(record.replace("tape\\nleft", "tape\\nright")))
        .isEqualTo(new RecordFile.Check.Altered(23, "its content is not what was hashed when it was written"));
    List<EntryJson.HashedEntry> kept = kept();
    List<String> cut = kept.subList(0, 11).stream().map(EntryJson.HashedEntry::json).toList();
    assertThat(RecordFile.check(written(cut, kept.getLast().hash()))).isInstanceOf(RecordFile.Check.Altered.class);
    assertThat(RecordFile.check(written(cut, kept.get(10).hash())))
        .isEqualTo(new RecordFile.Check.Altered(11, "the last entry is not the tie-off"));
    assertThat(RecordFile.check(record.replace("\"head\"", "\"more\":1,\"head\"")))
        .isInstanceOf(RecordFile.Check.Altered.class);
    for (String other : List.of("", "{}", "[]", "hello", "{\"format\":\"neat-lanyard/record/1\"}", "\0",
        "[".repeat(5_000))) {
      assertThat(RecordFile.check(other)).as(other).isInstanceOf(RecordFile.Check.NotARecord.class);
    }
  }

  @Test
  public void an_event_that_does_not_fit_is_explained() {
    assertThatThrownBy(() -> EntryJson.event("step-dome",
        tools.jackson.databind.node.JsonNodeFactory.instance.objectNode()))
        .hasMessageContaining("'step-dome' is not a kind of event; known are: aircraft-read");
    assertThatThrownBy(() -> EntryJson.event("step-done",
        tools.jackson.databind.node.JsonNodeFactory.instance.objectNode()))
        .hasMessageContaining("step");
  }
}

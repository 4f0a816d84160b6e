package neatlanyard.core.figures.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.entry.Comparison.Verdict;
import neatlanyard.core.figures.entry.EntryContext.Row;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class RecogniserTest {
  private static final EntryContext BESIDE = new EntryContext(
      Map.of(CriticalFigure.ZERO_FUEL_WEIGHT, "57640", CriticalFigure.GROSS_WEIGHT, "68440", CriticalFigure.V1, "134",
      CriticalFigure.VR, "139", CriticalFigure.V2, "145"),
      Optional.of("63270"), List.of(new Row("flap 2", "131"), new Row("72 000 kg", "148")));

  /** The recurring kinds of ATSB AR-2009-052, and their like. */
  @DataProvider
  Object[][] slips() {
    return new Object[][] {
      {CriticalFigure.TAKEOFF_WEIGHT, "71200", "17200", Slip.DIGITS_SWAPPED, "digits swapped"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "6824", Slip.DIGIT_LOST, "a digit lost"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "688240", Slip.DIGIT_DOUBLED, "a digit doubled"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "65240", Slip.NEIGHBOURING_KEY, "a key beside the right one"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "68740", Slip.MISREAD, "one digit misread"},
      {CriticalFigure.CENTRE, "23.0", "2.30", Slip.DECIMAL_POINT, "decimal point moved"},
      {CriticalFigure.ASSUMED_TEMPERATURE, "-5", "5", Slip.SIGN_LOST, "sign lost"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "57640", Slip.OTHER_FIELD,
        "the zero-fuel weight entered as take-off weight"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "68440", Slip.OTHER_FIELD,
        "the gross weight entered as take-off weight"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "150443", Slip.OTHER_UNIT, "pounds entered for kilograms"},
      {CriticalFigure.PRESSURE_SETTING, "1003", "29.62", Slip.OTHER_UNIT, "inches entered for hectopascals"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "63270", Slip.LAST_FLIGHT, "the take-off weight of the last flight"},
      {CriticalFigure.VR, "139", "131", Slip.OTHER_ROW, "the row for flap 2"},
      {CriticalFigure.VR, "139", "145", Slip.OTHER_FIELD, "the V2 entered as VR"},
      {CriticalFigure.RUNWAY, "25", "07", Slip.RECIPROCAL_RUNWAY, "the other end of runway 25"},
      {CriticalFigure.RUNWAY, "27R", "27L", Slip.PARALLEL_RUNWAY, "runway 27L, beside 27R"},
      {CriticalFigure.INTERSECTION, "B", "full", Slip.FULL_LENGTH, "the whole runway entered for intersection B"},
      {CriticalFigure.TRANSPONDER, "4721", "4712", Slip.DIGITS_SWAPPED, "digits swapped"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "86420", Slip.TWO_SLIPS, "digits swapped twice"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "62370", Slip.TWO_SLIPS,
        "the take-off weight of the last flight, and digits swapped"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "919", Slip.UNEXPLAINED, "no slip that is known"},
    };
  }

  @Test(dataProvider = "slips")
  public void the_likeliest_cause(CriticalFigure figure, String right, String entered, Slip slip, String words) {
    List<Cause> causes = Recogniser.causes(figure, right, entered, BESIDE);
    assertThat(causes.getFirst().slip()).as(causes.toString()).isEqualTo(slip);
    assertThat(causes.getFirst().words()).isEqualTo(words);
    assertThat(causes.stream().mapToDouble(Cause::likelihood).sum()).isCloseTo(1, within(0.05));
  }

  @DataProvider
  Object[][] right() {
    return new Object[][] {
      {CriticalFigure.TAKEOFF_WEIGHT, "68240", "68 240"}, {CriticalFigure.TAKEOFF_WEIGHT, "68240.0", "68240"},
      {CriticalFigure.TAKEOFF_WEIGHT, "68243", "68240"}, {CriticalFigure.CENTRE, "23.04", "23,0"},
      {CriticalFigure.TRIM, "-1.5", "\u22121.5"}, {CriticalFigure.RUNWAY, "27R", "27r"},
      {CriticalFigure.TRANSPONDER, "0470", "0470"}, {CriticalFigure.V1, "99", "099"},
    };
  }

  @Test(dataProvider = "right")
  public void a_right_figure_is_right_however_it_is_written(CriticalFigure figure, String right, String entered) {
    assertThat(Recogniser.causes(figure, right, entered, BESIDE)).isEmpty();
  }

  @Test
  public void tonnes_are_compared_as_tonnes() {
    EntryContext tonnes = new EntryContext(Map.of(), Optional.of("63.3"), List.of(), 1_000);
    assertThat(Recogniser.causes(CriticalFigure.TAKEOFF_WEIGHT, "71.2", "17.2", tonnes).getFirst().slip())
        .isEqualTo(Slip.DIGITS_SWAPPED);
    assertThat(Recogniser.causes(CriticalFigure.TAKEOFF_WEIGHT, "71.2", "71.3", tonnes)).isNotEmpty();
    assertThat(Recogniser.causes(CriticalFigure.TAKEOFF_WEIGHT, "71.2", "71.20", tonnes)).isEmpty();
    assertThat(Recogniser.causes(CriticalFigure.TAKEOFF_WEIGHT, "71.2", "157.0", tonnes).getFirst().slip())
        .isEqualTo(Slip.OTHER_UNIT);
  }

  @Test
  public void a_code_is_compared_letter_by_letter() {
    assertThat(Recogniser.agrees(CriticalFigure.TRANSPONDER, "0470", "470")).isFalse();
    assertThat(Recogniser.agrees(CriticalFigure.RUNWAY, "07", "7")).isFalse();
    assertThat(Recogniser.agrees(CriticalFigure.V1, "134", "")).isFalse();
    assertThat(Recogniser.agrees(CriticalFigure.V1, "134", "134kt")).isFalse();
  }

  @Test
  public void two_entries_and_what_was_worked_out() {
    CriticalFigure weight = CriticalFigure.TAKEOFF_WEIGHT;
    Optional<String> computed = Optional.of("68240");
    assertThat(Comparison.of(weight, "68240", "68 240", computed, BESIDE).verdict().agreed()).isTrue();
    Comparison second = Comparison.of(weight, "68240", "62840", computed, BESIDE);
    assertThat(second.verdict()).isEqualTo(Verdict.SECOND_DIFFERS);
    assertThat(second.first()).isEmpty();
    assertThat(second.second().getFirst().slip()).isEqualTo(Slip.DIGITS_SWAPPED);
    Comparison same = Comparison.of(weight, "57640", "57640", computed, BESIDE);
    assertThat(same.verdict()).isEqualTo(Verdict.BOTH_ALIKE_AND_WRONG);
    assertThat(same.first().getFirst().slip()).isEqualTo(Slip.OTHER_FIELD);
    assertThat(same.verdict().agreed()).isFalse();
    assertThat(Comparison.of(weight, "57640", "63270", computed, BESIDE).verdict()).isEqualTo(Verdict.BOTH_DIFFER);
    CriticalFigure code = CriticalFigure.TRANSPONDER;
    assertThat(Comparison.of(code, "4721", "4712", Optional.empty(), EntryContext.NONE).verdict())
        .isEqualTo(Verdict.ONE_OF_THEM);
    assertThat(Comparison.of(code, "4721", "4721", Optional.empty(), EntryContext.NONE).verdict().agreed()).isTrue();
  }
}

package neatlanyard.server.figures;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.BrakingAction;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.entry.Comparison;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.state.FigureEntries;
import org.jspecify.annotations.Nullable;

/** What the interface is told of figures. What one pilot has entered alone is in none of it until both have. */
public final class FiguresViews {
  private FiguresViews() {}

  /**
   * A critical figure of today's card.
   *
   * @param step at which it is entered
   * @param notToday whether it has no value today
   * @param value that counts; empty unless agreed or taken
   * @param again why it is to be entered anew; empty where it is not
   * @param taken the commander's words; empty where they took nothing
   * @param restsOn what it is worked out from
   */
  public record FigureView(
      CriticalFigure figure, String words, String unit, boolean digits, String step, FigureEntries.Standing standing,
      boolean notToday, List<EnteredView> entries, Optional<String> value, String again,
      String taken, List<String> restsOn, Optional<FigureDifferenceView> difference) {}

  /** @param value empty while it is covered */
  public record EnteredView(String by, String who, Optional<Seat> seat, Instant at, Optional<String> value) {}

  /** @param expected what was worked out; empty where nothing was */
  public record FigureDifferenceView(Comparison.Verdict verdict, Optional<String> expected, List<ToldView> entries) {}

  /** @param causes how it may have come about, the most likely first; none where it is not thought to be wrong */
  public record ToldView(String by, Optional<Seat> seat, String value, List<CauseView> causes, String consequence) {}

  /** @param percent of all that is thought of */
  public record CauseView(String words, long percent) {}

  /**
   * The figures of a departure as they are drawn and read.
   *
   * @param number of the last entry of the log
   * @param missing why nothing is worked out, a sentence each
   * @param tables edition of the type's figures; empty where there are none
   * @param changed what was another when they were worked out last; empty the first time
   * @param alone whether each pilot enters alone; else one types and the other looks
   */
  public record FiguresView(
      long number, List<String> missing, String tables, boolean alone, List<String> changed, GivenView given,
      ChoicesView choices, Optional<WorkedView> worked, List<ElsewhereView> elsewhere) {}

  /**
   * Another airfield of the flight.
   *
   * @param destination whether the flight goes there; else it would turn there
   * @param service that can be asked for its report, by name
   */
  public record ElsewhereView(
      String airfield, String name, boolean destination, String service, Optional<ReportedView> report) {}

  /**
   * A report of another airfield.
   *
   * @param facts in words
   * @param condition of its runways, as it is taken from the weather: nothing is reported of it
   * @param below what is below its landing limits, or not known
   * @param limited whether the fleet's file has landing limits of it
   */
  public record ReportedView(String text, boolean simulated, List<String> facts, List<EndView> ends, String condition,
      List<String> below, boolean limited) {}

  /**
   * What the crew has given.
   *
   * @param condition such as "5/5/3"; empty where nobody has said
   * @param thirds each as it was reported
   * @param tower the tower's wind; empty where the report's counts
   * @param deIced fluid, mix and when; empty where it was not
   * @param fuelRead what walk and flow have read of the fuel, a line each
   */
  public record GivenView(
      String condition, List<ThirdView> thirds, Optional<BrakingAction> braking, String tower,
      Optional<SheetView> sheet, String runway, String intersection, String flap, String thrust,
      Optional<Boolean> antiIce, Optional<Boolean> airConditioning, Optional<DeIcedView> deIced,
      List<String> fuelRead) {}

  public record ThirdView(
      Optional<Integer> code, Contaminant contaminant, Optional<Integer> depthMm, Optional<Integer> coveragePercent) {}

  public record DeIcedView(String fluid, String mix, Instant began) {}

  /**
   * A load sheet as it was received.
   *
   * @param states what it says itself, a line each
   * @param passengers changed since by hand, by cabin
   * @param holdsKg changed since by hand, by hold
   * @param changed the same in words; empty where nothing is
   */
  public record SheetView(int edition, String from, List<String> states, List<String> fuel,
      Map<String, Integer> passengers, Map<String, Double> holdsKg, String changed) {}

  /** A cabin or a hold. */
  public record LoadPlaceView(String id, String name) {}

  /**
   * What can be chosen.
   *
   * @param intersections by runway
   * @param fluids with the mixes of each
   * @param sheetService the service that sends load sheets, by name
   * @param cabins and {@code holds} of the type, in which a load sheet may be changed by hand
   */
  public record ChoicesView(
      List<String> runways, Map<String, List<String>> intersections, List<String> flaps,
      List<Integer> steps, List<ContaminantView> contaminants, Map<String, List<String>> fluids,
      String sheetService, List<LoadPlaceView> cabins, List<LoadPlaceView> holds) {}

  /** @param deep whether its depth is asked for */
  public record ContaminantView(Contaminant id, String words, boolean deep) {}

  /**
   * What was worked out.
   *
   * @param wind that was counted, in words
   * @param air pressure setting, altitudes and temperature, a line each
   * @param condition that holds, and how it came about
   * @param proposed the runway that is proposed, with its reason; empty where none is
   * @param limits what must hold
   * @param options other ways to take off
   * @param arithmetic how the figures came about that both have entered, by figure
   */
  public record WorkedView(
      String wind, List<String> air, String condition, List<String> conditionArithmetic,
      List<EndView> ends, Optional<TakeoffRunwayView> runway, EnvelopeView envelope, List<LimitView> limits,
      String proposed, List<OptionView> options, String shortStrip, Optional<HoldoverView> holdover,
      Map<String, ArithmeticView> arithmetic) {}

  /** The wind on one end of a runway. @param held whether it is within the limits */
  public record EndView(String runway, String along, String across, boolean held) {}

  /**
   * The runway that is used, all places in metres from its beginning.
   *
   * @param beginsM where the take-off begins
   * @param neededM from there, of what is tightest, and {@code neededWhat} that is
   * @param availableM where that distance ends @param availableWhat such as "ASDA"
   * @param leftM to spare
   * @param v1M and {@code vrM}, about where the speeds come, by the square of the speed
   * @param windFromDeg where the wind blows from, clockwise from the way of the take-off; empty when calm or variable
   * @param thirds codes by thirds as this end has them
   * @param along and {@code across}, the wind in words
   */
  public record TakeoffRunwayView(
      String runway, String take, int lengthM, boolean gravel, int beginsM, int neededM,
      String neededWhat, int availableM, String availableWhat, int leftM, int v1M, int vrM, String heading,
      Optional<Integer> windFromDeg,
      String along, String across, List<ThirdView> thirds, List<IntersectionView> intersections,
      String limiting) {}

  /** @param tooShort whether nothing holds from there with this flap */
  public record IntersectionView(String name, int atM, int leftM, boolean tooShort) {}

  public record PointView(double percent, double kg) {}

  /**
   * Weights over the centre of gravity.
   *
   * @param corners of what is allowed, in order round it
   * @param told whether the numbers may be shown: both have entered them
   */
  public record EnvelopeView(
      List<PointView> corners, PointView zeroFuel, PointView takeoff, boolean told, List<MostView> most,
      Optional<TrimView> trim) {}

  public record MostView(String words, double kg) {}

  /** @param from and {@code to}, the ends of the scale */
  public record TrimView(double setting, double least, double most, double from, double to) {}

  /** @param words empty while they would tell what is to be entered without sight of it */
  public record LimitView(String what, boolean held, String words, String source) {}

  public record OptionView(
      String runway, String intersection, String flap, String thrust, String thrustCode, int stopMarginM,
      String limiting, boolean used) {}

  public record HoldoverView(
      Instant began, Optional<Instant> least, Optional<Instant> most, String words, List<String> arithmetic) {}

  public record ArithmeticView(String value, List<String> lines, String source) {}

  /** A text in force. @param type empty where it is for all */
  public record FiguresTextView(
      String kind, String type, String edition, String by, Instant at, String sha256) {}

  public record DeviceForm(@Nullable String device) {}

  /** @param text typed over; left out, the station service is asked */
  public record ElsewhereForm(@Nullable String device, @Nullable String airfield, @Nullable String text) {}

  public record SheetForm(@Nullable String device, @Nullable String text) {}
}

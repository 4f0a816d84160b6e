package neatlanyard.device.drawn;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.BrakingAction;
import neatlanyard.core.figures.Contaminant;

/** The figures of a departure as they are drawn and read, by the server's hand or by a device's own. */
public final class DrawnViews {
  private DrawnViews() {}

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
   * @param v1M and {@code vrM}, about where the speeds come, by the square of the speed; no V1 with one engine
   * @param windFromDeg where the wind blows from, clockwise from the way of the take-off; empty when calm or variable
   * @param thirds codes by thirds as this end has them
   * @param along and {@code across}, the wind in words
   * @param caution what these figures do not answer for; empty where they answer for all
   */
  public record TakeoffRunwayView(
      String runway, String take, int lengthM, boolean gravel, int beginsM, int neededM,
      String neededWhat, int availableM, String availableWhat, int leftM, Optional<Integer> v1M, int vrM,
      String heading, Optional<Integer> windFromDeg,
      String along, String across, List<ThirdView> thirds, List<IntersectionView> intersections,
      String limiting, String caution) {}

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

  /** @param leftM to spare of the distance that is {@code tightest} */
  public record OptionView(
      String runway, String intersection, String flap, String thrust, String thrustCode, int leftM,
      String tightest, String limiting, boolean used) {}

  public record HoldoverView(
      Instant began, Optional<Instant> least, Optional<Instant> most, String words, List<String> arithmetic) {}

  public record ArithmeticView(String value, List<String> lines, String source) {}
}

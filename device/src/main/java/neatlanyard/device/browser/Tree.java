package neatlanyard.device.browser;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.Code;
import neatlanyard.device.drawn.DrawnViews.ArithmeticView;
import neatlanyard.device.drawn.DrawnViews.DeIcedView;
import neatlanyard.device.drawn.DrawnViews.EndView;
import neatlanyard.device.drawn.DrawnViews.EnvelopeView;
import neatlanyard.device.drawn.DrawnViews.GivenView;
import neatlanyard.device.drawn.DrawnViews.HoldoverView;
import neatlanyard.device.drawn.DrawnViews.IntersectionView;
import neatlanyard.device.drawn.DrawnViews.LimitView;
import neatlanyard.device.drawn.DrawnViews.MostView;
import neatlanyard.device.drawn.DrawnViews.OptionView;
import neatlanyard.device.drawn.DrawnViews.PointView;
import neatlanyard.device.drawn.DrawnViews.SheetView;
import neatlanyard.device.drawn.DrawnViews.TakeoffRunwayView;
import neatlanyard.device.drawn.DrawnViews.ThirdView;
import neatlanyard.device.drawn.DrawnViews.TrimView;
import neatlanyard.device.drawn.DrawnViews.WorkedView;

/**
 * What is drawn as maps, lists, texts, numbers and yes or no, named as the server's answers name it; what is not there
 * is left out. A browser knows no records and nothing of their fields, so that each is named here; a test holds it to
 * what the server writes.
 */
final class Tree {
  private Tree() {}

  static Object of(Object value) {
    return switch (value) {
      case Map<?, ?> map -> {
        Map<String, Object> all = new LinkedHashMap<>();
        map.forEach((k, v) -> all.put(k.toString(), of(v)));
        yield all;
      }
      case List<?> list -> list.stream().map(Tree::of).toList();
      case Enum<?> constant -> Code.written(constant.name());
      case Instant at -> at.toString();
      case GivenView v -> fields("condition", v.condition(), "thirds", v.thirds(), "braking", v.braking(),
          "tower", v.tower(), "sheet", v.sheet(), "runway", v.runway(), "intersection", v.intersection(),
          "flap", v.flap(), "thrust", v.thrust(), "antiIce", v.antiIce(), "airConditioning", v.airConditioning(),
          "deIced", v.deIced(), "fuelRead", v.fuelRead());
      case ThirdView v -> fields("code", v.code(), "contaminant", v.contaminant(), "depthMm", v.depthMm(),
          "coveragePercent", v.coveragePercent());
      case DeIcedView v -> fields("fluid", v.fluid(), "mix", v.mix(), "began", v.began());
      case SheetView v -> fields("edition", v.edition(), "from", v.from(), "states", v.states(), "fuel", v.fuel(),
          "passengers", v.passengers(), "holdsKg", v.holdsKg(), "changed", v.changed());
      case WorkedView v -> fields("wind", v.wind(), "air", v.air(), "condition", v.condition(),
          "conditionArithmetic", v.conditionArithmetic(), "ends", v.ends(), "runway", v.runway(),
          "envelope", v.envelope(), "limits", v.limits(), "proposed", v.proposed(), "options", v.options(),
          "shortStrip", v.shortStrip(), "holdover", v.holdover(), "arithmetic", v.arithmetic());
      case EndView v -> fields("runway", v.runway(), "along", v.along(), "across", v.across(), "held", v.held());
      case TakeoffRunwayView v -> fields("runway", v.runway(), "take", v.take(), "lengthM", v.lengthM(),
          "gravel", v.gravel(), "beginsM", v.beginsM(), "neededM", v.neededM(), "neededWhat", v.neededWhat(),
          "availableM", v.availableM(), "availableWhat", v.availableWhat(), "leftM", v.leftM(), "v1M", v.v1M(),
          "vrM", v.vrM(), "heading", v.heading(), "windFromDeg", v.windFromDeg(), "along", v.along(),
          "across", v.across(), "thirds", v.thirds(), "intersections", v.intersections(), "limiting", v.limiting(),
          "caution", v.caution());
      case IntersectionView v -> fields("name", v.name(), "atM", v.atM(), "leftM", v.leftM(),
          "tooShort", v.tooShort());
      case PointView v -> fields("percent", v.percent(), "kg", v.kg());
      case EnvelopeView v -> fields("corners", v.corners(), "zeroFuel", v.zeroFuel(), "takeoff", v.takeoff(),
          "told", v.told(), "most", v.most(), "trim", v.trim());
      case MostView v -> fields("words", v.words(), "kg", v.kg());
      case TrimView v -> fields("setting", v.setting(), "least", v.least(), "most", v.most(), "from", v.from(),
          "to", v.to());
      case LimitView v -> fields("what", v.what(), "held", v.held(), "words", v.words(), "source", v.source());
      case OptionView v -> fields("runway", v.runway(), "intersection", v.intersection(), "flap", v.flap(),
          "thrust", v.thrust(), "thrustCode", v.thrustCode(), "leftM", v.leftM(), "tightest", v.tightest(),
          "limiting", v.limiting(), "used", v.used());
      case HoldoverView v -> fields("began", v.began(), "least", v.least(), "most", v.most(), "words", v.words(),
          "arithmetic", v.arithmetic());
      case ArithmeticView v -> fields("value", v.value(), "lines", v.lines(), "source", v.source());
      default -> value;
    };
  }

  /** @param all names and values by turns */
  static Map<String, Object> fields(Object... all) {
    Map<String, Object> tree = new LinkedHashMap<>();
    for (int i = 0; i < all.length; i += 2) {
      Object value = all[i + 1] instanceof Optional<?> maybe ? maybe.orElse(null) : all[i + 1];
      if (value != null) {
        tree.put((String) all[i], of(value));
      }
    }
    return tree;
  }
}

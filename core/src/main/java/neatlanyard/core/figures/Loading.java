package neatlanyard.core.figures;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.TailId;

/**
 * How a type is loaded and what it may weigh.
 *
 * @param weighings each tail as it was weighed, ready for flight with its crew but without load and fuel
 * @param cabins where passengers sit
 * @param holds where baggage and freight lie
 * @param tanks in which fuel is
 * @param envelope corners of what is allowed, in order round it
 * @param trim by rising centre of gravity
 * @param byHand how much may be changed on a sheet by hand; empty where nothing may
 */
public record Loading(
    Map<TailId, Weighing> weighings, Chord chord, Most most, List<Place> cabins, List<Place> holds, List<Place> tanks,
    int passengerKg, List<Corner> envelope, List<Trim> trim, Optional<ByHand> byHand) {
  private static final int PERCENT = 100;

  public Loading {
    weighings = Map.copyOf(weighings);
    cabins = List.copyOf(cabins);
    holds = List.copyOf(holds);
    tanks = List.copyOf(tanks);
    envelope = List.copyOf(envelope);
    trim = List.copyOf(trim);
  }

  /** @param armM where its weight acts, metres behind the datum */
  public record Weighing(double kg, double armM) {}

  /** The mean chord. @param leadingEdgeM its leading edge, metres behind the datum @param lengthM in metres */
  public record Chord(double leadingEdgeM, double lengthM) {
    /** Per cent of the chord: (arm − leading edge) / chord × 100 (FAA-H-8083-1B, chapter 3). */
    public double percent(double armM) {
      return (armM - leadingEdgeM) / lengthM * PERCENT;
    }

    public double armM(double percent) {
      return leadingEdgeM + percent / PERCENT * lengthM;
    }
  }

  /** Structural limits in kilograms. */
  public record Most(int zeroFuelKg, int taxiKg, int takeoffKg, int landingKg) {}

  /** @param passengers who come or go @param kg of all that comes, goes or is moved */
  public record ByHand(int passengers, int kg) {}

  /** A cabin, a hold or a tank. @param mostKg what it may hold; of a cabin, its seats times the standard weight */
  public record Place(String id, String name, double armM, int mostKg) {}

  /** @param percent of the chord */
  public record Corner(double percent, double kg) {}

  /**
   * The pitch trim for a centre of gravity; straight between two of them.
   *
   * @param setting for the take-off, in the type's units
   * @param least and {@code most}, the green band
   */
  public record Trim(double percent, double setting, double least, double most) {}

  /** The trim for a centre of gravity; empty where no row reaches. */
  Optional<Trim> trim(double percent) {
    for (int i = 1; i < trim.size(); i++) {
      Trim from = trim.get(i - 1);
      Trim to = trim.get(i);
      if (percent >= from.percent && percent <= to.percent) {
        double share = (percent - from.percent) / (to.percent - from.percent);
        return Optional.of(new Trim(percent, between(from.setting, to.setting, share),
            between(from.least, to.least, share), between(from.most, to.most, share)));
      }
    }
    return Optional.empty();
  }

  private static double between(double from, double to, double share) {
    return from + share * (to - from);
  }

  /** Whether a weight and its centre lie within the envelope, edges included. */
  public boolean within(double percent, double kg) {
    boolean inside = false;
    for (int i = 0, j = envelope.size() - 1; i < envelope.size(); j = i++) {
      Corner a = envelope.get(i);
      Corner b = envelope.get(j);
      if (onEdge(a, b, percent, kg)) {
        return true;
      }
      // A line to the right crosses the outline an odd number of times when it begins inside.
      boolean crosses = a.kg > kg != b.kg > kg
          && percent < (b.percent - a.percent) * (kg - a.kg) / (b.kg - a.kg) + a.percent;
      inside ^= crosses;
    }
    return inside;
  }

  private static boolean onEdge(Corner a, Corner b, double percent, double kg) {
    double cross = (b.percent - a.percent) * (kg - a.kg) - (b.kg - a.kg) * (percent - a.percent);
    double scale = Math.abs(b.percent - a.percent) + Math.abs(b.kg - a.kg);
    return Math.abs(cross) <= 1e-9 * scale * Math.max(1, Math.abs(kg))
        && percent >= Math.min(a.percent, b.percent) - 1e-9 && percent <= Math.max(a.percent, b.percent) + 1e-9
        && kg >= Math.min(a.kg, b.kg) - 1e-9 && kg <= Math.max(a.kg, b.kg) + 1e-9;
  }
}

package neatlanyard.core.weather;

import java.util.OptionalInt;

/**
 * How far one sees along a runway (WMO No. 306, FM 15, group RDRDR/VRVRVRVRi).
 *
 * @param runway its designator
 * @param leastM in metres, the least where it varies; empty where it is given as missing
 * @param bound whether it is more or less than that
 * @param mostM where it varies
 */
public record RunwayRange(String runway, OptionalInt leastM, Bound bound, OptionalInt mostM) {
  /** What the figure is of what is seen. */
  public enum Bound { EXACT, OR_LESS, OR_MORE }

  /** Whether one may see less than this. @param metres that are wanted */
  public boolean below(int metres) {
    return leastM.isPresent() && leastM.getAsInt() < metres && bound != Bound.OR_MORE;
  }
}

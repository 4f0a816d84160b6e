package neatlanyard.core.figures;

import java.util.OptionalInt;

/** What lies on a runway, with the code that belongs to it (ICAO Doc 9981, FAA AC 25-31; from memory). */
public enum Contaminant {
  DRY("dry"),
  WET("wet"),
  FROST("frost"),
  WATER("standing water"),
  SLUSH("slush"),
  DRY_SNOW("dry snow"),
  WET_SNOW("wet snow"),
  COMPACTED_SNOW("compacted snow"),
  SLIPPERY_WET("slippery when wet"),
  ICE("ice"),
  WET_ICE("wet ice, or water or snow on ice");

  private static final int DEEP_MM = 3;
  private static final int COLD_C = -15;

  private final String words;

  Contaminant(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Whether it has a depth that counts. */
  public boolean deep() {
    return this == WATER || this == SLUSH || this == DRY_SNOW || this == WET_SNOW;
  }

  /**
   * The runway condition code, 6 to 0.
   *
   * @param depthMm in millimetres; empty counts as deep
   * @param temperatureC of the air; empty counts as warm
   */
  int code(OptionalInt depthMm, OptionalInt temperatureC) {
    boolean shallow = depthMm.isPresent() && depthMm.getAsInt() <= DEEP_MM;
    return switch (this) {
      case DRY -> 6;
      case WET, FROST -> 5;
      case WATER, SLUSH -> shallow ? 5 : 2;
      case DRY_SNOW, WET_SNOW -> shallow ? 5 : 3;
      case COMPACTED_SNOW -> temperatureC.isPresent() && temperatureC.getAsInt() <= COLD_C ? 4 : 3;
      case SLIPPERY_WET -> 3;
      case ICE -> 1;
      case WET_ICE -> 0;
    };
  }
}

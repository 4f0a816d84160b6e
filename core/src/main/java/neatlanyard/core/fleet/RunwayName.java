package neatlanyard.core.fleet;

/**
 * The designator of a runway end: two digits, the magnetic bearing in tens of degrees, and L, C or R where runways lie
 * side by side (ICAO Annex 14, 5.2.2).
 *
 * @param value such as "07" or "09L"
 */
public record RunwayName(String value) {
  public RunwayName {
    if (!value.matches("(0[1-9]|[12]\\d|3[0-6])[LCR]?")) {
      throw new IllegalArgumentException("'%s' is not a runway: 01 to 36, and L, C or R behind it".formatted(value));
    }
  }

  /** Tens of degrees, 1..36. */
  public int tens() {
    return Integer.parseInt(value.substring(0, 2));
  }

  private String side() {
    return value.substring(2);
  }

  /** The other end of the same runway, such as 27R for 09L. */
  public RunwayName reciprocal() {
    String side = switch (side()) {
      case "L" -> "R";
      case "R" -> "L";
      default -> side();
    };
    return new RunwayName("%02d%s".formatted((tens() + 17) % 36 + 1, side));
  }

  /** Whether both have the same number and another letter. */
  public boolean parallelTo(RunwayName other) {
    return tens() == other.tens() && !side().equals(other.side());
  }

  @Override
  public String toString() {
    return value;
  }
}

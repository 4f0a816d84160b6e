package neatlanyard.core.units;

/** Units that a measured quantity may be given in. */
public enum Unit {
  PSI("psi"),
  HPA("hPa"),
  VOLT("V"),
  AMPERE("A"),
  KG("kg"),
  LB("lb", Units.KG_PER_LB, "kg"),
  LITRE("L"),
  QUART("qt"),
  MM("mm"),
  CELSIUS("°C"),
  PERCENT("%"),
  COUNT(""),
  FT("ft"),
  KT("kt"),
  RPM("rpm"),
  KG_PER_LITRE("kg/L"),
  IN_HG("inHg", Units.HPA_PER_INHG, "hPa"),
  INCH("in", Units.MM_PER_INCH, "mm"),
  US_GALLON("US gal", Units.LITRES_PER_US_GALLON, "L"),
  MPH("mph", Units.KT_PER_MPH, "kt"),
  DEGREE("°");

  private final String symbol;
  /** How many of the other unit one is; 0 where there is none. */
  private final double factor;
  private final String other;

  Unit(String symbol) {
    this(symbol, 0, "");
  }

  Unit(String symbol, double factor, String other) {
    this.symbol = symbol;
    this.factor = factor;
    this.other = other;
  }

  public String symbol() {
    return symbol;
  }

  /**
   * A value with its unit, without digits that say nothing: "24.8 V", "3"; where crews mix two units, in both:
   * "46 inHg (1 558 hPa)".
   */
  public String words(double value) {
    return factor == 0 ? alone(value)
        : "%s (%s %s)".formatted(alone(value), Numbers.written(value * factor, 0), other);
  }

  private String alone(double value) {
    String number = value == Math.rint(value) ? "%,.0f".formatted(value).replace(',', ' ') : Double.toString(value);
    return symbol.isEmpty() ? number : "%s %s".formatted(number.replace('-', '−'), symbol);
  }
}

package neatlanyard.core.units;

/** Units that a measured quantity may be given in. */
public enum Unit {
  PSI("psi"),
  HPA("hPa"),
  VOLT("V"),
  AMPERE("A"),
  KG("kg"),
  LB("lb"),
  LITRE("L"),
  QUART("qt"),
  MM("mm"),
  CELSIUS("°C"),
  PERCENT("%"),
  COUNT(""),
  FT("ft"),
  KT("kt"),
  RPM("rpm"),
  KG_PER_LITRE("kg/L");

  private final String symbol;

  Unit(String symbol) {
    this.symbol = symbol;
  }

  public String symbol() {
    return symbol;
  }

  /** A value with its unit, without digits that say nothing: "24.8 V", "3". */
  public String words(double value) {
    String number = value == Math.rint(value) ? "%,.0f".formatted(value).replace(',', ' ') : Double.toString(value);
    return symbol.isEmpty() ? number : "%s %s".formatted(number.replace('-', '−'), symbol);
  }
}

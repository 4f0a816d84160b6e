package neatlanyard.core.fleet;

/**
 * Location indicator of an airfield.
 *
 * @param value a location indicator: four capitals
 */
public record AirfieldId(String value) {
  public AirfieldId {
    if (!value.matches("[A-Z]{4}")) {
      throw new IllegalArgumentException("'%s' is not a location indicator: four capitals".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}

package neatlanyard.core.figures;

/**
 * Fuel as the aircraft's gauges show it.
 *
 * @param kg in all tanks
 * @param withinKg how far it may lie from the load sheet's, as the pack has it for gauges against the order
 */
public record GaugedFuel(double kg, double withinKg) {
  /** Whether a load sheet has the fuel that is there. */
  Limit agrees(double sheetKg) {
    double apart = Math.abs(kg - sheetKg);
    String words = "%s on the gauges, %s on the load sheet: %s apart, at most %s.".formatted(
        Worked.kg(kg), Worked.kg(sheetKg), Worked.kg(apart), Worked.kg(withinKg));
    return new Limit("fuel on the gauges", apart <= withinKg, words, "Procedures of the type");
  }
}

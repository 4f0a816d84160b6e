package neatlanyard.core.weather;

import java.util.OptionalInt;

/**
 * One cloud layer.
 *
 * @param amount FEW, SCT, BKN, OVC, or VV for vertical visibility
 * @param baseFt height of the base above the airfield in feet; empty where the station could not measure it
 * @param kind CB, TCU or empty
 */
public record Cloud(String amount, OptionalInt baseFt, String kind) {}

package neatlanyard.core.controls.live;

/**
 * How far one wanted movement has come.
 *
 * @param inputPct furthest the control was held, per cent of its full travel, without sign
 * @param heldS longest it was held at its stop, seconds
 * @param toGoDeg how far the surface that lacks most is still from its full travel; 0 once all were there
 * @param covered share of the whole that control and surfaces have covered, 0..1
 * @param lacks name of that surface; empty once all were there
 */
public record Travel(
    Wanted wanted, double inputPct, double heldS, double toGoDeg, double covered, String lacks, boolean shown) {}

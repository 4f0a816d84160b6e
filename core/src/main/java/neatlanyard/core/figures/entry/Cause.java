package neatlanyard.core.figures.entry;

/**
 * How a wrong figure may have come about.
 *
 * @param likelihood of all causes that are thought of, 0 to 1
 * @param words such as "digits swapped" or "the zero-fuel weight entered as take-off weight"
 */
public record Cause(Slip slip, double likelihood, String words) {}

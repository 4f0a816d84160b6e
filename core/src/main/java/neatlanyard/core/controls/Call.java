package neatlanyard.core.controls;

/**
 * A call of what was seen.
 *
 * @param seconds when it was pressed, on the recording's clock
 * @param sign +1 full nose up or right, -1 full nose down or left, 0 neutral
 */
public record Call(double seconds, Axis axis, int sign) {}

package neatlanyard.core.fleet;

/**
 * Somebody's place on a flight.
 *
 * @param commander whether this person commands the flight; exactly one does
 * @param flying whether this person is the pilot flying; exactly one is, the other monitors
 */
public record Rostered(CrewId who, Seat seat, boolean commander, boolean flying) {}

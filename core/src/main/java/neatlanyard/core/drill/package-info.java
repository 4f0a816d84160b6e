/**
 * Drills of the flight control check: made-up checks in which a fault is hidden or not, flown by the aircraft or by
 * whoever trains, and what their answers show. A drill knows no departure and no tail.
 */
@NullMarked
package neatlanyard.core.drill;

import org.jspecify.annotations.NullMarked;

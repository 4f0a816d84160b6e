/** Rolling on the ground: how fast where, and the ways of wheels, flight deck and wing tip in a turn. */
@NullMarked
package neatlanyard.core.taxi;

import org.jspecify.annotations.NullMarked;

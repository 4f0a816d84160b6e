/** A control check while it is made: what has been shown, what is left, and each axis judged once it rests. */
@NullMarked
package neatlanyard.core.controls.live;

import org.jspecify.annotations.NullMarked;

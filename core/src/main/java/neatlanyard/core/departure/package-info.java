/** One departure as a log of small events, and the state that is a fold over them. */
@NullMarked
package neatlanyard.core.departure;

import org.jspecify.annotations.NullMarked;

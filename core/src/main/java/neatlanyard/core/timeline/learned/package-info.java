/** How long crews take for what, learned from departures that are over. */
@NullMarked
package neatlanyard.core.timeline.learned;

import org.jspecify.annotations.NullMarked;

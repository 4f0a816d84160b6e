/** What is still ahead of a departure: the open steps of its card as activities, and what they wait for. */
@NullMarked
package neatlanyard.core.timeline.ahead;

import org.jspecify.annotations.NullMarked;

/**
 * The time before a departure: who does what, in which order, for how long and how likely it is done by then.
 *
 * <p>All times are counted from the moment at which a plan begins. What finds the best order is behind
 * {@link neatlanyard.core.timeline.Planner}; what a timeline keeps to, its slack and its likelihood are worked out
 * here.
 */
@NullMarked
package neatlanyard.core.timeline;

import org.jspecify.annotations.NullMarked;

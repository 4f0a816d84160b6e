/** Finds timelines with a constraint solver; what a timeline is stands in the core. */
@NullMarked
package neatlanyard.solver;

import org.jspecify.annotations.NullMarked;

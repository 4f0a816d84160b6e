/** The fleet's procedure pack as a model: stages, steps, conditions, and the card cut from it. */
@NullMarked
package neatlanyard.core.sop;

import org.jspecify.annotations.NullMarked;

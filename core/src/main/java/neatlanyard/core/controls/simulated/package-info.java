/**
 * A made-up control check: who moves the controls, what moves the surfaces, what is wrong with them and what records
 * it. For demonstrations, for training, and to see what the judge finds; nothing of it is an aircraft's data.
 */
@NullMarked
package neatlanyard.core.controls.simulated;

import org.jspecify.annotations.NullMarked;

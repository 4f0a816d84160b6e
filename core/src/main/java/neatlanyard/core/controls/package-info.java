/** The flight control check: what the surfaces did against what the controls asked for. */
@NullMarked
package neatlanyard.core.controls;

import org.jspecify.annotations.NullMarked;

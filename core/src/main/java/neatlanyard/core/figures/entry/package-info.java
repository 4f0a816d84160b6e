/** Figures that are entered by hand: whether they are what was worked out, and how a slip came about. */
@NullMarked
package neatlanyard.core.figures.entry;

import org.jspecify.annotations.NullMarked;

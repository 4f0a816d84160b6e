/** Conversions between the units crews mix, each with its source. */
@NullMarked
package neatlanyard.core.units;

import org.jspecify.annotations.NullMarked;

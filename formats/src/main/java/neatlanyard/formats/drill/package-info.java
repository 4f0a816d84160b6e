/** Drills as they are kept and as a device is told them. */
@NullMarked
package neatlanyard.formats.drill;

import org.jspecify.annotations.NullMarked;

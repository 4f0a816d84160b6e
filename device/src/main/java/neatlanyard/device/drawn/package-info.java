/** The figures of a departure as they are drawn, for whoever works them out. */
@NullMarked
package neatlanyard.device.drawn;

import org.jspecify.annotations.NullMarked;

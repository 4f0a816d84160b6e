/** Photos of finds, as they arrive from the ramp. */
@NullMarked
package neatlanyard.server.walkaround;

import org.jspecify.annotations.NullMarked;

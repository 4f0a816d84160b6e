/** Drills over HTTP: drawn here, flown on the device, scored here. */
@NullMarked
package neatlanyard.server.drill;

import org.jspecify.annotations.NullMarked;

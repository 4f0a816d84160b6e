/** Plans of the time before a departure, in and out. */
@NullMarked
package neatlanyard.formats.timeline;

import org.jspecify.annotations.NullMarked;

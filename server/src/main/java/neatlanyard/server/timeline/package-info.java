/** The plan of the time before a departure: what others do for it, what the solver makes of it, and choices. */
@NullMarked
package neatlanyard.server.timeline;

import org.jspecify.annotations.NullMarked;

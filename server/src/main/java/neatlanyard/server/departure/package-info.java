/** One desk for each departure: takes events in, keeps them, tells everybody. */
@NullMarked
package neatlanyard.server.departure;

import org.jspecify.annotations.NullMarked;

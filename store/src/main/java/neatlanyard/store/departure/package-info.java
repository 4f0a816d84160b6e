/** The logs of departures. */
@NullMarked
package neatlanyard.store.departure;

import org.jspecify.annotations.NullMarked;

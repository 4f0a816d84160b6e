/** Where a row of readings is going: least squares, and how far that can be trusted. */
@NullMarked
package neatlanyard.core.trend;

import org.jspecify.annotations.NullMarked;

/** The simulated station service. */
@NullMarked
package neatlanyard.server.weather;

import org.jspecify.annotations.NullMarked;

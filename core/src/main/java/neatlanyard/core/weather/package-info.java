/** The station report as values, and whether it is dark. */
@NullMarked
package neatlanyard.core.weather;

import org.jspecify.annotations.NullMarked;

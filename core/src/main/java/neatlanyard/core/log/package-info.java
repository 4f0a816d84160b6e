/** What happens in a departure, as small events in the order of their numbers: nothing else is kept of it. */
@NullMarked
package neatlanyard.core.log;

import org.jspecify.annotations.NullMarked;

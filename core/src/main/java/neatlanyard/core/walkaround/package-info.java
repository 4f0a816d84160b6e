/** The way round the outside: how far, how long, and what the second side has that the first has not. */
@NullMarked
package neatlanyard.core.walkaround;

import org.jspecify.annotations.NullMarked;

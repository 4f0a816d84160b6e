/** The take-off briefing: what is said of today, how long it takes, and what of it has become untrue. */
@NullMarked
package neatlanyard.core.briefing;

import org.jspecify.annotations.NullMarked;

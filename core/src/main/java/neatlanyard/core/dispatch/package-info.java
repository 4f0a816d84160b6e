/**
 * Whether an aircraft with something wrong may go: the list of what may be missing, the case for each find, the
 * technical log.
 */
@NullMarked
package neatlanyard.core.dispatch;

import org.jspecify.annotations.NullMarked;

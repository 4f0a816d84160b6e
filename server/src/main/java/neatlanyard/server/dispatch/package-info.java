/** Technical logs and dispatch lists: kept, shown, and brought in and out. */
@NullMarked
package neatlanyard.server.dispatch;

import org.jspecify.annotations.NullMarked;

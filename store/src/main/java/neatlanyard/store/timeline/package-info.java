/** What others do for a departure, in the database. */
@NullMarked
package neatlanyard.store.timeline;

import org.jspecify.annotations.NullMarked;

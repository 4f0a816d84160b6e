/** Photos in the database. */
@NullMarked
package neatlanyard.store.walkaround;

import org.jspecify.annotations.NullMarked;

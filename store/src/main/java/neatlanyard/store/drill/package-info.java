/** Drills in the database. */
@NullMarked
package neatlanyard.store.drill;

import org.jspecify.annotations.NullMarked;

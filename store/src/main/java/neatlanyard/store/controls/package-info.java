/** Recordings of control checks in the database. */
@NullMarked
package neatlanyard.store.controls;

import org.jspecify.annotations.NullMarked;

/** Dispatch lists, technical logs and readings in the database. */
@NullMarked
package neatlanyard.store.dispatch;

import org.jspecify.annotations.NullMarked;

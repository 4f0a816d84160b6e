/** What figures rest on, kept in the database. */
@NullMarked
package neatlanyard.store.figures;

import org.jspecify.annotations.NullMarked;

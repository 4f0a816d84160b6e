/** The one SQLite file: how it is opened, read and written. */
@NullMarked
package neatlanyard.store.db;

import org.jspecify.annotations.NullMarked;

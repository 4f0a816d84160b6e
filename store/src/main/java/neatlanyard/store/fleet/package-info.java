/** Accounts and flights. */
@NullMarked
package neatlanyard.store.fleet;

import org.jspecify.annotations.NullMarked;

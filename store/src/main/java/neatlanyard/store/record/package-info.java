/** The keys that records are signed with. */
@NullMarked
package neatlanyard.store.record;

import org.jspecify.annotations.NullMarked;

/** Packs and fleets as they were brought in. */
@NullMarked
package neatlanyard.store.sop;

import org.jspecify.annotations.NullMarked;

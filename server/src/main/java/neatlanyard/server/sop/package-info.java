/** Bringing in procedure packs. */
@NullMarked
package neatlanyard.server.sop;

import org.jspecify.annotations.NullMarked;

/** A first pack from an operator's own printed checklist: what is guessed, and what of it is said. */
@NullMarked
package neatlanyard.core.sop.draft;

import org.jspecify.annotations.NullMarked;

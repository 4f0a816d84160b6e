/** The rules of checklists: which item is next, which answers are no longer true, the take-off configuration. */
@NullMarked
package neatlanyard.core.checklist;

import org.jspecify.annotations.NullMarked;

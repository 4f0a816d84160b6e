/** What figures are worked out from, as files: types, take-off tables, load sheets, and what is asked. */
@NullMarked
package neatlanyard.formats.figures;

import org.jspecify.annotations.NullMarked;

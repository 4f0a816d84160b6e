/** The log and the record as canonical JSON. */
@NullMarked
package neatlanyard.formats.record;

import org.jspecify.annotations.NullMarked;

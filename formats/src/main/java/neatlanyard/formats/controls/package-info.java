/** Control traces as CSV. */
@NullMarked
package neatlanyard.formats.controls;

import org.jspecify.annotations.NullMarked;

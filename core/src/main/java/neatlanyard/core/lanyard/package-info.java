/** The cord and its tags: what was opened and is not closed yet, and whether it may be tied off. */
@NullMarked
package neatlanyard.core.lanyard;

import org.jspecify.annotations.NullMarked;

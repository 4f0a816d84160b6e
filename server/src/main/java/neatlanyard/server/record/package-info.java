/** The record of a departure in words and as a file. */
@NullMarked
package neatlanyard.server.record;

import org.jspecify.annotations.NullMarked;

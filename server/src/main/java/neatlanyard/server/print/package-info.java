/** Pages to print. */
@NullMarked
package neatlanyard.server.print;

import org.jspecify.annotations.NullMarked;

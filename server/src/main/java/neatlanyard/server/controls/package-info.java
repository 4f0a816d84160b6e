/** The simulated aircraft's control data and its check. */
@NullMarked
package neatlanyard.server.controls;

import org.jspecify.annotations.NullMarked;

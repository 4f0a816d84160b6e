/** Puts core, formats and store together and serves them. */
@NullMarked
package neatlanyard.server;

import org.jspecify.annotations.NullMarked;

/** Long work, kept from holding up anybody's press. */
@NullMarked
package neatlanyard.server.work;

import org.jspecify.annotations.NullMarked;

/** Files that are taken out. */
@NullMarked
package neatlanyard.server.files;

import org.jspecify.annotations.NullMarked;

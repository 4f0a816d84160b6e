/** What whoever runs the server can set. */
@NullMarked
package neatlanyard.server.settings;

import org.jspecify.annotations.NullMarked;

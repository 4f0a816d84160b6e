/** How the server is, for whoever runs it. */
@NullMarked
package neatlanyard.server.health;

import org.jspecify.annotations.NullMarked;

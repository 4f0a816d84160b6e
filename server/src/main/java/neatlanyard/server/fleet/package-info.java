/** Sign-in, accounts, and bringing in fleets and flights. */
@NullMarked
package neatlanyard.server.fleet;

import org.jspecify.annotations.NullMarked;

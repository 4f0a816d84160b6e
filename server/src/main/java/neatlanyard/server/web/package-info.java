/** What every request goes through: sign-in, errors, limits, the description of the interface. */
@NullMarked
package neatlanyard.server.web;

import org.jspecify.annotations.NullMarked;

/** The same core at a terminal, for a standards desk and its build jobs. */
@NullMarked
package neatlanyard.cli;

import org.jspecify.annotations.NullMarked;

/** The real application, as a process of its own, in a real browser. */
@NullMarked
package neatlanyard.e2e;

import org.jspecify.annotations.NullMarked;

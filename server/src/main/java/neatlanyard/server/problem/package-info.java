/** Answers that are not what was asked for, as problem details. */
@NullMarked
package neatlanyard.server.problem;

import org.jspecify.annotations.NullMarked;

/** The rules of steps worked: what keeps one closed, times that run, values of today, readings, how controls stand. */
@NullMarked
package neatlanyard.core.flow;

import org.jspecify.annotations.NullMarked;

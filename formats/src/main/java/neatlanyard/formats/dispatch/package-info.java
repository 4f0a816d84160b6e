/** Dispatch lists, technical logs and earlier readings as open files. */
@NullMarked
package neatlanyard.formats.dispatch;

import org.jspecify.annotations.NullMarked;

/** What stands of a departure afterwards: its account, its tie-off, and the chain by which anybody can check it. */
@NullMarked
package neatlanyard.core.record;

import org.jspecify.annotations.NullMarked;

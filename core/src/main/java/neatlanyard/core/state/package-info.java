/** How a departure stands, as data: what its log has said so far, and no rule about it. */
@NullMarked
package neatlanyard.core.state;

import org.jspecify.annotations.NullMarked;

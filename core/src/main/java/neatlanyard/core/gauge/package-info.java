/**
 * What is read off an aircraft, judged: each kind of reading with its rule, its arithmetic and where the rule comes
 * from.
 */
@NullMarked
package neatlanyard.core.gauge;

import org.jspecify.annotations.NullMarked;

/** What a pack catches and what it lets through: the pack check, decided for all days at once. */
@NullMarked
package neatlanyard.core.proof;

import org.jspecify.annotations.NullMarked;

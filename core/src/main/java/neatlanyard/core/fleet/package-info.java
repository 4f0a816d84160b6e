/** What the operator owns and who works for it: tails, airfields, crew, today's flights. */
@NullMarked
package neatlanyard.core.fleet;

import org.jspecify.annotations.NullMarked;

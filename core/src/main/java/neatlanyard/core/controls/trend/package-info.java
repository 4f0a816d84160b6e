/** What control checks of a tail measured over months: where each number is going, and when it changed. */
@NullMarked
package neatlanyard.core.controls.trend;

import org.jspecify.annotations.NullMarked;

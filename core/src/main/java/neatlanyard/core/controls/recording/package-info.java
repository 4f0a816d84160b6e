/** Recordings of control checks at a desk: those that departures kept, and what other people's columns are called. */
@NullMarked
package neatlanyard.core.controls.recording;

import org.jspecify.annotations.NullMarked;

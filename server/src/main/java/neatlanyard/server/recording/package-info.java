/** Recordings of control checks at a desk: brought in or kept by departures, judged, and laid over each other. */
@NullMarked
package neatlanyard.server.recording;

import org.jspecify.annotations.NullMarked;

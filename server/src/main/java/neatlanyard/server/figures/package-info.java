/** What the figures of a take-off rest on: tables, load sheets, and what is shown of them. */
@NullMarked
package neatlanyard.server.figures;

import org.jspecify.annotations.NullMarked;

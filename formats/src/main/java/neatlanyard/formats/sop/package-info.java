/** The procedure pack as YAML or JSON. */
@NullMarked
package neatlanyard.formats.sop;

import org.jspecify.annotations.NullMarked;

/** Fleets and flights as YAML or JSON. */
@NullMarked
package neatlanyard.formats.fleet;

import org.jspecify.annotations.NullMarked;

/** Station reports in the METAR and SPECI code form. */
@NullMarked
package neatlanyard.formats.weather;

import org.jspecify.annotations.NullMarked;

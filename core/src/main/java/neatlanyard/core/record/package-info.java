/** The chain of hashes that lets anybody check a record without the product. */
@NullMarked
package neatlanyard.core.record;

import org.jspecify.annotations.NullMarked;

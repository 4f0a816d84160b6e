/** Reading text with every fault named and its place kept. */
@NullMarked
package neatlanyard.formats.text;

import org.jspecify.annotations.NullMarked;

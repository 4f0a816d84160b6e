/** What a device works out by itself while it has no network: core's own rules, compiled for its browser. */
@NullMarked
package neatlanyard.device.browser;

import org.jspecify.annotations.NullMarked;

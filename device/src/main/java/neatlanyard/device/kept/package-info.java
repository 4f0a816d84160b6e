/** What a device is sent to keep, so that it can work figures out by itself later. */
@NullMarked
package neatlanyard.device.kept;

import org.jspecify.annotations.NullMarked;

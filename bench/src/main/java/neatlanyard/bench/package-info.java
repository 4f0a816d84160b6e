/** Measurements; see docs/performance.md for how to repeat them. */
package neatlanyard.bench;

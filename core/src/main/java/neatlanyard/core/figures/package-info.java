/** The numbers on which the take-off depends: runway and wind, weights and balance, speeds and distances. */
@org.jspecify.annotations.NullMarked
package neatlanyard.core.figures;

/**
 * Uncertainty of the figures: the plan recalculated many times with its points moved within their ±.
 * Every ± is one standard deviation; lengths mm, angles degrees.
 *
 * <p>Example: with inner pivots known to ± 1 mm, bump steer is reported as 0.31° ± 0.12°, and the list says that
 * measuring the left one again to ± 0.5 mm would bring that to ± 0.08°.
 */
@NullMarked
package mildtilt.uncertainty;

import org.jspecify.annotations.NullMarked;

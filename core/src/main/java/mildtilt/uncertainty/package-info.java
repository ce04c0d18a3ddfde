/**
 * How sure the figures are: the plan worked out many times over, each time with its points a little elsewhere, as far as they may well be.
 * Every ± is one standard deviation; lengths mm, angles degrees.
 *
 * <p>Example: with inner pivots known to ± 1 mm, bump steer told as 0.31° may be told as 0.31° ± 0.12°, and the list says that measuring
 * the left one once more to ± 0.5 mm would bring that to ± 0.08°.
 */
@NullMarked
package mildtilt.uncertainty;

import org.jspecify.annotations.NullMarked;

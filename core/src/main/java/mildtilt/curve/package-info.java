/**
 * The curves that screen and paper draw, each from an analysis alone.
 *
 * <p>Example: {@code Curve.BUMP_STEER} runs from full droop to full bump, two lines, toe-in in degrees.
 */
@NullMarked
package mildtilt.curve;

import org.jspecify.annotations.NullMarked;

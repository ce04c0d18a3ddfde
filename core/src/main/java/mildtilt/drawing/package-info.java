/**
 * The vehicle's steering as lines in space, and the elevations they are seen in. Screen and paper draw the
 * same {@link mildtilt.drawing.Sketch}. Lengths mm.
 *
 * <p>The side is seen from the left, front to the left; the plan from above, front at the top, as the
 * driver sits; the front elevation from ahead, so there the vehicle's left is on the right.
 */
@NullMarked
package mildtilt.drawing;

import org.jspecify.annotations.NullMarked;

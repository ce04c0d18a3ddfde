/**
 * The vehicle's steering as lines in space, and the elevations they are seen in. Screen and paper draw the
 * same {@link mildtilt.drawing.Sketch}. Lengths mm.
 *
 * <p>Elevations are laid out as on one sheet: the front of the vehicle to the left in side and plan, which
 * share their fore-and-aft axis; the front elevation is seen from ahead, so the vehicle's left is on the
 * right.
 */
@NullMarked
package mildtilt.drawing;

import org.jspecify.annotations.NullMarked;

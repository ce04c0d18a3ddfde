/**
 * Steering gears: what turns rotation of the column into motion of the linkage. Lengths mm.
 *
 * <p>Rack displacement is + toward the left. Example: a rack ahead of the axle with
 * {@code travelPerLeftTurn} 40 moves 55 mm to the left in 55/40 = 1.375 turns to the left.
 */
@NullMarked
package mildtilt.gear;

import org.jspecify.annotations.NullMarked;

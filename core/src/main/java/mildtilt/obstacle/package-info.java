/**
 * What is in the way of the steering: frame, engine, battery, pedals, scans, and the driver; what each is fixed to, how
 * it moves
 * by itself, and the gap it needs.
 *
 * <p>Points as they stand in the design position, vehicle frame, mm. Example: a frame rail is a box 600 long, 60 wide
 * and 80 high
 * that wants 10 mm to anything that moves.
 */
@NullMarked
package mildtilt.obstacle;

import org.jspecify.annotations.NullMarked;

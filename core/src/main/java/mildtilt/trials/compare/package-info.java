/**
 * Planned against measured: what the plan says should be read at a trial, what the readings come to, and what to
 * measure next. Lengths mm, angles
 * degrees; steer + left, toe-in + in, travel + up.
 *
 * <p>Example: dots of a laser on the left hub, on a wall 3 m ahead, 10.5 mm to the right of where the hub alone would
 * have drawn them: 0.2° of toe-in.
 */
@NullMarked
package mildtilt.trials.compare;

import org.jspecify.annotations.NullMarked;

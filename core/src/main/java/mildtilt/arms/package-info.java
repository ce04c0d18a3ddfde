/**
 * Changes to steering arms and knuckles as a fabricator makes them, from the piece in hand: millimetres along the arm,
 * across it and along the steer axis, degrees of its boss; and the instruction that goes with the saw and the welder.
 *
 * <p>Directions belong to the knuckle: <i>along</i> from the steer axis to the arm's end, <i>up</i> along the steer
 * axis, <i>out</i> square to both, toward the wheel. Example: {@code new KnuckleChange(-12, 0, 0, 0, 0)} shortens the
 * arm by 12 mm and leaves the rest.
 */
@NullMarked
package mildtilt.arms;

import org.jspecify.annotations.NullMarked;

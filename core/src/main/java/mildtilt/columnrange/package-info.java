/**
 * The column as a whole in the vehicle: over the wheel's adjustment and the frame's movement, with the gear turned in
 * its
 * clamps, under a blow from the front; edits of its train; and all its figures together.
 *
 * <p>Lengths mm, angles degrees. Tilt + lifts the steering wheel; reach + goes toward the gear. Example: a wheel that
 * tilts 8 degrees either way about its first joint takes that joint from 24 to 32 degrees at the worst.
 */
@NullMarked
package mildtilt.columnrange;

import org.jspecify.annotations.NullMarked;

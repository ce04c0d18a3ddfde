/**
 * What is not as planned, found by fitting the plan to what was read. A vehicle's misfits are given as the vehicle less
 * the plan, mm; the rods are assumed to be set again afterwards, so that the wheels are straight ahead as planned.
 *
 * <p>Example: a wall trace and the turn plates together fit a rack 3.1 mm low and 1.4 mm to the left; nothing else that
 * is known fits half as well.
 */
@NullMarked
package mildtilt.trials.diagnose;

import org.jspecify.annotations.NullMarked;

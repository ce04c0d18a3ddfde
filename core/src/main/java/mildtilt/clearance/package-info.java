/**
 * Whether anything touches anywhere in the range: the vehicle's own parts as solids, the gap of every pair that matters
 * over
 * steering, wheel travel and the wheel's adjustment, and what follows from it: lock stops, notches, travel lost, the
 * largest tyre.
 *
 * <p>A gap is + apart, − in each other, mm. A margin is the gap less the gap that is needed. Example: a tyre 9 mm from
 * a rail that
 * needs 15 has a margin of −6.
 */
@NullMarked
package mildtilt.clearance;

import org.jspecify.annotations.NullMarked;

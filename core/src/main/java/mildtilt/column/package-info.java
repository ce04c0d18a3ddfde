/**
 * The steering column from wheel hub to gear input: shafts in a row, a joint between each two.
 *
 * <p>Order and numbering run from the wheel to the gear; shaft {@code i} lies between joint
 * {@code i-1} and joint {@code i}. A shaft's axis points from wheel to gear and its rotations are
 * right-handed about it, so a positive angle is clockwise <em>seen from the wheel end</em>. The
 * steering wheel's own angle is + to the left; the whole column turns by the same law either way.
 *
 * <p>Operating angle: between two shaft axes, 0 = straight. Clocking of a shaft: from its wheel-end
 * fork pin to its gear-end fork pin, 0 = in phase. Ripple: peak to peak of d(out)/d(in) in percent of
 * its mean, which is 1. Lengths mm; angles degrees in records, radians in
 * {@link mildtilt.column.Transfer} and {@link mildtilt.column.ColumnTrain}.
 *
 * <p>Example: one single joint at 30 degrees gives a ratio between cos 30 = 0.866 and 1/0.866, a ripple
 * of 28.9 percent and a position error of 8.2 degrees peak to peak.
 */
@NullMarked
package mildtilt.column;

import org.jspecify.annotations.NullMarked;

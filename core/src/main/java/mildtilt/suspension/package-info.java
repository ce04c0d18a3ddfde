/**
 * What holds a steered wheel: suspension arms, the knuckle with its steer axis, and where they stand for
 * any travel and any place of the tie rod's inner pivot.
 *
 * <p>Lengths mm, angles degrees in names ending in {@code Deg}. Travel is the wheel centre's rise against
 * the body from ride height, + in bump. Steer angle is + to the left, toe + in, camber − with the top
 * leaning inward, kingpin inclination + with the top inward, caster + with the top back.
 *
 * <p>Each link is solved in closed form (a turning point met with a sphere), on the branch it has in the
 * design position. Only the rise of the lower arm that gives the wanted travel is found by iteration. A
 * pose that can't be assembled is a {@link mildtilt.suspension.CannotAssemble}, never NaN.
 */
@NullMarked
package mildtilt.suspension;

import org.jspecify.annotations.NullMarked;

package mildtilt.knuckle;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.Corner;

/**
 * The directions of one steering arm.
 *
 * @param foot of the arm on the steer axis, mm
 * @param along from the foot to the arm's end
 * @param out across the arm, toward the wheel
 * @param up along the steer axis
 * @param length from the steer axis to the arm's end, mm
 */
record ArmFrame(Point foot, Direction along, Direction out, Direction up, double length) {

    static ArmFrame of(Corner corner, Side side) {
        Axis steer = corner.suspension().steerAxis();
        Point end = corner.knuckle().tieRodPoint();
        Point foot = steer.footOf(end);
        Vector arm = end.minus(foot);
        Direction along = arm.direction();
        Vector across = steer.direction().cross(along.vector());
        Direction out = (across.y() * side.sign() >= 0 ? across : across.negated()).direction();
        return new ArmFrame(foot, along, out, steer.direction(), arm.norm());
    }

    /** The move of the end that a change asks for, mm. */
    Vector move(KnuckleChange c) {
        return along.times(c.lengthen()).plus(out.times(c.out())).plus(up.times(c.raise()));
    }

    /** A stud turned with its boss. */
    Direction turned(Direction stud, KnuckleChange c) {
        // About the arm so that what points up goes out; about the cross direction so that it goes along.
        Vector rolled = turnToward(up, out).turn(stud.vector(), Math.toRadians(c.rollBossDeg()));
        return turnToward(up, along).turn(rolled, Math.toRadians(c.pitchBossDeg())).direction();
    }

    private static Direction turnToward(Direction from, Direction to) {
        return from.cross(to.vector()).direction();
    }
}

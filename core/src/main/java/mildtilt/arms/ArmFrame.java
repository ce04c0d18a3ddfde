package mildtilt.arms;

import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;

/**
 * The directions of one arm on a knuckle.
 *
 * @param foot of the arm on the steer axis, mm
 * @param along from the foot to the arm's end
 * @param out across the arm, toward the wheel
 * @param up along the steer axis
 * @param length from the steer axis to the arm's end, mm
 */
record ArmFrame(Point foot, Direction along, Direction out, Direction up, double length) {

    static ArmFrame of(SteeredAxle axle, KnuckleArm of) {
        Axis steer = of.corner(axle).suspension().steerAxis();
        Point end = of.end(axle);
        Point foot = steer.footOf(end);
        Vector arm = end.minus(foot);
        Direction along = arm.direction();
        Vector across = steer.direction().cross(along.vector());
        Direction out = (across.y() * of.side(axle).sign() >= 0 ? across : across.negated()).direction();
        return new ArmFrame(foot, along, out, steer.direction(), arm.norm());
    }

    /** The move of the end that a change asks for, mm. */
    Vector move(KnuckleChange c) {
        return along.times(c.lengthen()).plus(out.times(c.out())).plus(up.times(c.raise()));
    }

    /** A stud turned with its boss. */
    Direction turned(Direction stud, KnuckleChange c) {
        double rise = up.dot(stud.vector());
        double sign = rise < 0 ? -1 : 1;
        double over = Math.tan(Math.toRadians(leanDeg(stud, out) + c.rollBossDeg()));
        double away = Math.tan(Math.toRadians(leanDeg(stud, along) + c.pitchBossDeg()));
        return up.vector()
                .plus(out.times(over))
                .plus(along.times(away))
                .times(sign)
                .direction();
    }

    /** What brings this arm to another place of its end and stud; the boss's angles as an angle finder reads them. */
    KnuckleChange toward(Point end, Point newEnd, Optional<Direction> stud, Optional<Direction> newStud) {
        Vector move = newEnd.minus(end);
        boolean both = stud.isPresent() && newStud.isPresent();
        return new KnuckleChange(
                along.dot(move),
                out.dot(move),
                up.dot(move),
                both ? leanDeg(newStud.get(), out) - leanDeg(stud.get(), out) : 0,
                both ? leanDeg(newStud.get(), along) - leanDeg(stud.get(), along) : 0);
    }

    /** How far a stud leans from the steer axis in a direction square to it, degrees. */
    double leanDeg(Direction stud, Direction toward) {
        double rise = up.dot(stud.vector());
        return Math.toDegrees(
                Math.atan2(toward.dot(stud.vector()) * Math.signum(rise == 0 ? 1 : rise), Math.abs(rise)));
    }
}

package mildtilt.column;

import mildtilt.geometry.Point;

/** A joint between two shafts. */
public sealed interface Joint permits SingleJoint, DoubleJoint {

    String name();

    Point centre();

    /** The largest operating angle the joint allows, degrees. */
    double maxAngleDeg();

    ForkFit wheelSide();

    ForkFit gearSide();

    Joint withCentre(Point centre);

    Joint withMaxAngleDeg(double deg);

    Joint withFits(ForkFit wheelSide, ForkFit gearSide);

    /**
     * The joint's unevenness {@code tan²(angle/2)}: 0 for a joint that passes rotation evenly.
     *
     * @param angle operating angle, rad
     */
    double unevenness(double angle);

    /**
     * From the pin of its wheel-side fork to the pin of its gear-side fork, rad, when the joint is straight.
     */
    double pinAdvance();

    /** The angle at and beyond which the joint can't turn at all, rad. */
    double lockUpAngle();
}

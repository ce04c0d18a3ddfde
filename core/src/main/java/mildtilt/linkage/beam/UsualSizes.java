package mildtilt.linkage.beam;

import mildtilt.geometry.Point;

/** Places as parts of the track, from between the wheel centres, in whole mm. */
record UsualSizes(Point origin, double track) {

    Point at(double ahead, double left, double up) {
        return new Point(
                Math.rint(origin.x() + ahead * track),
                Math.rint(origin.y() + left * track),
                Math.rint(origin.z() + up * track));
    }

    /** From the frame to the axle, which it meets straight under its middle. */
    Link link(double ahead, double left, double up, double leftOnAxle, double upOnAxle) {
        return new Link(at(ahead, left, up), at(0, leftOnAxle, upOnAxle));
    }
}

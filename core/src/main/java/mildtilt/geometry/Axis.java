package mildtilt.geometry;

/** A straight line with a sense: through {@code origin}, along {@code direction}. */
public record Axis(Point origin, Direction direction) {

    /** @throws ImpossibleGeometryException if the points are in one place */
    public static Axis through(Point from, Point to) {
        return new Axis(from, to.minus(from).direction());
    }

    /** The point of the line nearest to {@code p}. */
    public Point footOf(Point p) {
        return origin.plus(direction.times(direction.dot(p.minus(origin))));
    }

    /** A point turned about the line, right-handed, by an angle in rad. */
    public Point turned(Point p, double angle) {
        return origin.plus(direction.turn(p.minus(origin), angle));
    }

    public Axis moved(Vector by) {
        return new Axis(origin.plus(by), direction);
    }

    public Axis mirrored() {
        return new Axis(origin.mirrored(), direction.mirrored());
    }

    /**
     * How far a rod is from going over centre on an arm that turns about this axis: the angle between the rod and the
     * arm at
     * the joint between them, seen along the axis, from being in line. In space a rod that slopes to the plane the
     * joint turns
     * in never comes into line with its arm, though its lever is gone all the same.
     *
     * @param joint at the arm's end
     * @param otherEnd of the rod
     * @return 0 (in line: no lever) to 90 degrees (square)
     */
    public double offCentreDeg(Point joint, Point otherEnd) {
        Vector arm = joint.minus(footOf(joint));
        Vector rod = otherEnd.minus(joint);
        double along = Math.abs(rod.dot(arm));
        // Square to the axis, the arm's other direction is axis × arm, as long as the arm.
        double across = Math.abs(rod.dot(direction.cross(arm)));
        return Math.toDegrees(Math.atan2(across, along));
    }

    public double distanceTo(Point p) {
        return footOf(p).distanceTo(p);
    }

    /** Where the line meets a level plane, z in mm. @throws ImpossibleGeometryException if the line is level too */
    public Point atHeight(double z) {
        if (Math.abs(direction.z()) < 1e-12) {
            throw new ImpossibleGeometryException("A level line never meets the ground.");
        }
        return origin.plus(direction.times((z - origin.z()) / direction.z()));
    }
}

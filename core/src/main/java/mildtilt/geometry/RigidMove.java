package mildtilt.geometry;

/**
 * A rigid movement: a turn, then a shift.
 *
 * @param ex where the x direction is turned to
 * @param ey where the y direction is turned to
 * @param ez where the z direction is turned to
 * @param shift of the origin, mm
 */
public record RigidMove(Vector ex, Vector ey, Vector ez, Vector shift) implements Placing {

    public static final RigidMove NONE = new RigidMove(Vector.X, Vector.Y, Vector.Z, new Vector(0, 0, 0));

    /** What carries a part from where its frame was to where it is now. */
    public static RigidMove between(Frame was, Frame now) {
        Vector x = now.world(was.local(Vector.X));
        Vector y = now.world(was.local(Vector.Y));
        Vector z = now.world(was.local(Vector.Z));
        return new RigidMove(x, y, z, now.carried(Point.ORIGIN, was).minus(Point.ORIGIN));
    }

    /** A turn about a line, right-handed, by an angle in rad. */
    public static RigidMove about(Axis axis, double angle) {
        Direction d = axis.direction();
        return new RigidMove(
                d.turn(Vector.X, angle),
                d.turn(Vector.Y, angle),
                d.turn(Vector.Z, angle),
                axis.turned(Point.ORIGIN, angle).minus(Point.ORIGIN));
    }

    public static RigidMove by(Vector shift) {
        return new RigidMove(Vector.X, Vector.Y, Vector.Z, shift);
    }

    /**
     * A part made at the origin and put in its place: rolled about x, then sloped down, then headed to the left, then
     * shifted.
     * Degrees; + down lowers the front, + left points the front to the left, + roll lifts the left side.
     */
    public static RigidMove placing(Point at, double leftDeg, double downDeg, double rollDeg) {
        Direction x = Vector.X.direction();
        RigidMove roll = about(new Axis(Point.ORIGIN, x), Math.toRadians(rollDeg));
        RigidMove down = about(new Axis(Point.ORIGIN, Vector.Y.direction()), Math.toRadians(downDeg));
        RigidMove left = about(new Axis(Point.ORIGIN, Vector.Z.direction()), Math.toRadians(leftDeg));
        return roll.then(down).then(left).then(by(at.minus(Point.ORIGIN)));
    }

    /**
     * The turns of {@link #placing} that give this one's directions: to the left, down and roll, degrees. A length
     * within a hair of upright has its roll at 0.
     */
    public double[] placingDeg() {
        double down = Math.toDegrees(Math.asin(Math.clamp(-ex.z(), -1, 1)));
        if (Math.hypot(ex.x(), ex.y()) < 1e-9) {
            return new double[] {Math.toDegrees(Math.atan2(-ey.x(), ey.y())), down, 0};
        }
        return new double[] {
            Math.toDegrees(Math.atan2(ex.y(), ex.x())), down, Math.toDegrees(Math.atan2(ey.z(), ez.z()))
        };
    }

    /** This, and another after it. */
    public RigidMove then(RigidMove next) {
        return new RigidMove(
                next.turned(ex),
                next.turned(ey),
                next.turned(ez),
                next.turned(shift).plus(next.shift));
    }

    public RigidMove inverse() {
        Vector x = new Vector(ex.x(), ey.x(), ez.x());
        Vector y = new Vector(ex.y(), ey.y(), ez.y());
        Vector z = new Vector(ex.z(), ey.z(), ez.z());
        RigidMove turn = new RigidMove(x, y, z, new Vector(0, 0, 0));
        return new RigidMove(x, y, z, turn.turned(shift).negated());
    }

    /** Whether it moves nothing at all. */
    public boolean stays() {
        return equals(NONE);
    }

    @Override
    public Point point(Point p) {
        return moved(p);
    }

    @Override
    public Direction direction(Direction d) {
        return turned(d.vector()).direction();
    }

    public Frame frame(Frame f) {
        return new Frame(moved(f.origin()), turned(f.e()), turned(f.f()), turned(f.g()));
    }

    public Point moved(Point p) {
        return new Point(
                p.x() * ex.x() + p.y() * ey.x() + p.z() * ez.x() + shift.x(),
                p.x() * ex.y() + p.y() * ey.y() + p.z() * ez.y() + shift.y(),
                p.x() * ex.z() + p.y() * ey.z() + p.z() * ez.z() + shift.z());
    }

    public Vector turned(Vector v) {
        return new Vector(
                v.x() * ex.x() + v.y() * ey.x() + v.z() * ez.x(),
                v.x() * ex.y() + v.y() * ey.y() + v.z() * ez.y(),
                v.x() * ex.z() + v.y() * ey.z() + v.z() * ez.z());
    }
}

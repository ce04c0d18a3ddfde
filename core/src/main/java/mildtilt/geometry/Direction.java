package mildtilt.geometry;

/** A vector that can only have length one. Made by {@link Vector#direction()}. */
public record Direction(double x, double y, double z) {

    private static final double UNIT_TOLERANCE = 1e-9;

    /** @throws ImpossibleGeometryException if the length is not one */
    public Direction {
        if (!(Math.abs(x * x + y * y + z * z - 1) < UNIT_TOLERANCE)) {
            throw new ImpossibleGeometryException("A direction must have length one.");
        }
    }

    /** The direction along a vector of any length. @throws ImpossibleGeometryException if it has none */
    public static Direction along(double x, double y, double z) {
        return new Vector(x, y, z).direction();
    }

    /**
     * As an angle finder and a plan give it.
     *
     * @param downDeg how far it slopes below level going forward, degrees
     * @param leftDeg how far it points to the left of straight forward in plan, degrees
     */
    public static Direction ofSlope(double downDeg, double leftDeg) {
        double down = Math.toRadians(downDeg);
        double left = Math.toRadians(leftDeg);
        return along(Math.cos(down) * Math.cos(left), Math.cos(down) * Math.sin(left), -Math.sin(down));
    }

    /** How far it slopes below level, degrees. */
    public double downDeg() {
        return Math.toDegrees(Math.atan2(-z, Math.hypot(x, y)));
    }

    /** How far it points to the left of straight forward in plan, degrees. */
    public double leftDeg() {
        return Math.toDegrees(Math.atan2(y, x));
    }

    /**
     * How far another direction s turns seen from above for a turn about this one, k, rad per rad:
     * {@code (s × (k × s))_z / (s_x² + s_y²)}.
     */
    public double headingPerTurn(Vector s) {
        Vector ds = cross(s);
        return (s.x() * ds.y() - s.y() * ds.x()) / (s.x() * s.x() + s.y() * s.y());
    }

    public Vector times(double length) {
        return new Vector(x * length, y * length, z * length);
    }

    public Vector vector() {
        return new Vector(x, y, z);
    }

    public double dot(Vector v) {
        return x * v.x() + y * v.y() + z * v.z();
    }

    public Vector cross(Vector v) {
        return vector().cross(v);
    }

    /** Angle to another direction, 0 to pi rad. */
    public double angleTo(Direction o) {
        return vector().angleTo(o.vector());
    }

    public Direction reversed() {
        return new Direction(-x, -y, -z);
    }

    /** The same direction on the other side of the vehicle. */
    public Direction mirrored() {
        return new Direction(x, -y, z);
    }

    /** Some direction square to this one; always the same one for the same input. */
    public Direction anySquare() {
        Vector away = Math.abs(z) < 0.9 ? Vector.Z : Vector.X;
        return away.cross(vector()).direction();
    }

    /** A vector turned about this direction by an angle in rad, right-handed (Rodrigues' formula). */
    public Vector turn(Vector v, double angle) {
        double c = Math.cos(angle);
        return v.times(c).plus(cross(v).times(Math.sin(angle))).plus(times(dot(v) * (1 - c)));
    }
}

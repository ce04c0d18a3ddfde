package mildtilt.geometry;

/**
 * The circle on which a point turns about a fixed axis: {@code centre + radius (u cos a + v sin a)},
 * with {@code u}, {@code v} and the axis right-handed. Angle 0 is where {@code u} points.
 */
public record Orbit(Point centre, Vector u, Vector v, double radius) {

    /**
     * The orbit of a point about an axis, angle 0 where the point now stands.
     *
     * @throws ImpossibleGeometryException if the point lies on the axis
     */
    public static Orbit of(Axis axis, Point start) {
        Point centre = axis.footOf(start);
        Vector arm = start.minus(centre);
        double r = arm.norm();
        Vector u = arm.direction().vector();
        return new Orbit(centre, u, axis.direction().cross(u), r);
    }

    public Point at(double angle) {
        return at(Math.cos(angle), Math.sin(angle));
    }

    /** The point whose angle has this cosine and sine. */
    public Point at(double cos, double sin) {
        double a = radius * cos;
        double b = radius * sin;
        return new Point(
                centre.x() + a * u.x() + b * v.x(),
                centre.y() + a * u.y() + b * v.y(),
                centre.z() + a * u.z() + b * v.z());
    }

    /** Angle, −pi to pi rad, at which a point of the circle stands. */
    public double angleOf(Point p) {
        Vector w = p.minus(centre);
        return Math.atan2(w.dot(v), w.dot(u));
    }

    /**
     * On which side of the line from {@code anchor} through the centre the point at this angle stands,
     * +1 or -1: the branch that {@link #atReach} needs to find it again.
     */
    public int branchAt(double angle, Point anchor) {
        Vector w = centre.minus(anchor);
        double away = Math.atan2(w.dot(v), w.dot(u));
        return Math.sin(angle - away) >= 0 ? 1 : -1;
    }

    /**
     * Where the turning point stands at a given distance from an anchor: the circle met with a sphere,
     * in closed form. If it can't, the nearest it comes is given, with how much is missing.
     *
     * @param anchor centre of the sphere
     * @param length wanted distance, mm
     * @param branch which of the two crossings, from {@link #branchAt}
     */
    public Reach atReach(Point anchor, double length, int branch) {
        Vector w = centre.minus(anchor);
        double a = w.dot(u);
        double b = w.dot(v);
        double inPlane = Math.sqrt(a * a + b * b);
        double c = (length * length - w.dot(w) - radius * radius) / (2 * radius);
        if (Math.abs(c) <= inPlane) {
            double s = branch * Math.sqrt((inPlane - c) * (inPlane + c));
            double n = inPlane * inPlane;
            if (n == 0) {
                return new Reach(at(1, 0), 0);
            }
            return new Reach(at((a * c - b * s) / n, (b * c + a * s) / n), 0);
        }
        double sign = Math.signum(c);
        Point nearest = inPlane == 0 ? at(1, 0) : at(sign * a / inPlane, sign * b / inPlane);
        return new Reach(nearest, nearest.distanceTo(anchor) - length);
    }

    /**
     * @param point where the turning point stands
     * @param missing 0 when it is reached; otherwise how much longer (+) or shorter (−) the link would
     *     have to be to reach at all, mm
     */
    public record Reach(Point point, double missing) {}
}

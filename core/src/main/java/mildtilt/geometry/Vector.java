package mildtilt.geometry;

/** A difference of two points (mm), or any other quantity with size and direction. */
public record Vector(double x, double y, double z) {

    public static final Vector X = new Vector(1, 0, 0);
    public static final Vector Y = new Vector(0, 1, 0);
    public static final Vector Z = new Vector(0, 0, 1);

    public Vector plus(Vector o) {
        return new Vector(x + o.x, y + o.y, z + o.z);
    }

    public Vector minus(Vector o) {
        return new Vector(x - o.x, y - o.y, z - o.z);
    }

    public Vector times(double f) {
        return new Vector(x * f, y * f, z * f);
    }

    public Vector negated() {
        return new Vector(-x, -y, -z);
    }

    public double dot(Vector o) {
        return x * o.x + y * o.y + z * o.z;
    }

    public Vector cross(Vector o) {
        return new Vector(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
    }

    public double norm() {
        return Math.sqrt(dot(this));
    }

    /** @throws ImpossibleGeometryException if the length is zero, so that there is no direction */
    public Direction direction() {
        double n = norm();
        if (!(n > 0)) {
            throw new ImpossibleGeometryException("Two points that need a distance between them are in one place.");
        }
        return new Direction(x / n, y / n, z / n);
    }

    /**
     * Angle to another vector, 0 to pi rad. By the arc tangent of sine and cosine, which keeps full
     * precision for nearly straight and nearly opposed vectors where the arc cosine loses half.
     */
    public double angleTo(Vector o) {
        return Math.atan2(cross(o).norm(), dot(o));
    }
}

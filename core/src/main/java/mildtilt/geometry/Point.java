package mildtilt.geometry;

/** A place, in mm, in the vehicle frame of this package. */
public record Point(double x, double y, double z) {

    public static final Point ORIGIN = new Point(0, 0, 0);

    /** @throws ImpossibleGeometryException if a coordinate is not a finite number */
    public Point {
        if (!(Double.isFinite(x) && Double.isFinite(y) && Double.isFinite(z))) {
            throw new ImpossibleGeometryException("A coordinate is not a finite number.");
        }
    }

    public Point plus(Vector v) {
        return new Point(x + v.x(), y + v.y(), z + v.z());
    }

    public Vector minus(Point other) {
        return new Vector(x - other.x, y - other.y, z - other.z);
    }

    /** Distance in mm. */
    public double distanceTo(Point other) {
        return minus(other).norm();
    }

    /** The same place on the other side of the vehicle: y changes sign. */
    public Point mirrored() {
        return new Point(x, -y, z);
    }

    public Point midwayTo(Point other) {
        return new Point((x + other.x) / 2, (y + other.y) / 2, (z + other.z) / 2);
    }
}

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

    public double distanceTo(Point p) {
        return footOf(p).distanceTo(p);
    }

    /** Where the line meets the ground, z = 0. @throws ImpossibleGeometryException if it is level */
    public Point onGround() {
        if (Math.abs(direction.z()) < 1e-12) {
            throw new ImpossibleGeometryException("A level line never meets the ground.");
        }
        return origin.plus(direction.times(-origin.z() / direction.z()));
    }
}

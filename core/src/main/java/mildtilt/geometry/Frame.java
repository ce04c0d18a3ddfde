package mildtilt.geometry;

/** Three square unit vectors at a place, right-handed: where a rigid part stands and how it is turned. */
public record Frame(Point origin, Vector e, Vector f, Vector g) {

    /** A vector's components along this frame's own directions. */
    public Vector local(Vector v) {
        return new Vector(v.dot(e), v.dot(f), v.dot(g));
    }

    /** The vector with these components along this frame's own directions. */
    public Vector world(Vector l) {
        return new Vector(
                l.x() * e.x() + l.y() * f.x() + l.z() * g.x(),
                l.x() * e.y() + l.y() * f.y() + l.z() * g.y(),
                l.x() * e.z() + l.y() * f.z() + l.z() * g.z());
    }

    /** Carries a point fixed in a part from where the part was to this frame. */
    public Point carried(Point p, Frame was) {
        return origin.plus(world(was.local(p.minus(was.origin))));
    }

    /** Carries a vector fixed in a part from where the part was to this frame. */
    public Vector carried(Vector v, Frame was) {
        return world(was.local(v));
    }
}

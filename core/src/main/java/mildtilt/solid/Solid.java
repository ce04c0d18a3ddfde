package mildtilt.solid;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;

/** Something that takes up room, as it stands. */
public sealed interface Solid {

    Bounds bounds();

    Solid moved(RigidMove by);

    /** Convex parts, together. */
    record Parts(List<Convex> parts, Bounds bounds) implements Solid {

        public Parts(List<Convex> parts) {
            this(
                    List.copyOf(parts),
                    parts.stream().map(Convex::bounds).reduce(Bounds::with).orElseThrow());
        }

        @Override
        public Parts moved(RigidMove by) {
            return new Parts(parts.stream().map(p -> p.moved(by)).toList());
        }
    }

    /** A skin of triangles in its place. */
    record Skin(TriangleMesh mesh, RigidMove place, RigidMove back, Convex box) implements Solid {

        public Skin(TriangleMesh mesh, RigidMove place) {
            this(mesh, place, place.inverse(), boxOf(mesh).moved(place));
        }

        private static Convex boxOf(TriangleMesh m) {
            Bounds b = m.bounds();
            return Convex.hull(
                    List.of(
                            new Point(b.minX(), b.minY(), b.minZ()),
                            new Point(b.maxX(), b.minY(), b.minZ()),
                            new Point(b.minX(), b.maxY(), b.minZ()),
                            new Point(b.maxX(), b.maxY(), b.minZ()),
                            new Point(b.minX(), b.minY(), b.maxZ()),
                            new Point(b.maxX(), b.minY(), b.maxZ()),
                            new Point(b.minX(), b.maxY(), b.maxZ()),
                            new Point(b.maxX(), b.maxY(), b.maxZ())),
                    0);
        }

        @Override
        public Bounds bounds() {
            return box.bounds();
        }

        @Override
        public Skin moved(RigidMove by) {
            return new Skin(mesh, place.then(by));
        }
    }

    /**
     * A hollow drum.
     *
     * @param axis unit vector along it
     * @param half of its width, mm
     * @param inner radius, mm
     * @param outer radius, mm
     */
    record Ring(Point centre, Vector axis, double half, double inner, double outer, Bounds bounds) implements Solid {

        /** Sectors it is made of for what is no round bar. */
        private static final int SECTORS = 24;

        public Ring(Point centre, Vector axis, double half, double inner, double outer) {
            this(
                    centre,
                    axis,
                    half,
                    inner,
                    outer,
                    Convex.cylinder(centre.plus(axis.times(-half)), centre.plus(axis.times(half)), outer, 0)
                            .bounds());
        }

        @Override
        public Ring moved(RigidMove by) {
            return new Ring(by.moved(centre), by.turned(axis), half, inner, outer);
        }

        /**
         * From a point to its surface, − inside of its material, mm: a rectangle in the half-plane through the axis.
         */
        double distance(double x, double y, double z) {
            double dx = x - centre.x();
            double dy = y - centre.y();
            double dz = z - centre.z();
            double along = dx * axis.x() + dy * axis.y() + dz * axis.z();
            double out = Math.sqrt(Math.max(0, dx * dx + dy * dy + dz * dz - along * along));
            double u = Math.abs(along) - half;
            double v = Math.abs(out - (inner + outer) / 2) - (outer - inner) / 2;
            return Math.sqrt(Math.max(0, u) * Math.max(0, u) + Math.max(0, v) * Math.max(0, v))
                    + Math.min(0, Math.max(u, v));
        }

        /** The point of its surface nearest to a point. */
        Point nearest(Point p) {
            Vector d = p.minus(centre);
            double along = d.dot(axis);
            Vector away = d.minus(axis.times(along));
            Vector way = away.norm() > 1e-9
                    ? away.times(1 / away.norm())
                    : axis.direction().anySquare().vector();
            double a = Math.clamp(along, -half, half);
            double r = Math.clamp(away.norm(), inner, outer);
            if (a == along && r == away.norm()) {
                double toFace = half - Math.abs(along);
                if (toFace <= Math.min(r - inner, outer - r)) {
                    a = Math.copySign(half, along);
                } else {
                    r = r - inner < outer - r ? inner : outer;
                }
            }
            return centre.plus(axis.times(a)).plus(way.times(r));
        }

        /**
         * The same as convex pieces, with chords for its arcs: the hole is nowhere taken too large, the outside too
         * small by no
         * more than the chords' rise.
         */
        Parts pieces() {
            Vector u = axis.direction().anySquare().vector();
            Vector v = axis.cross(u);
            Vector out = axis.times(half);
            List<Convex> parts = new ArrayList<>();
            for (int i = 0; i < SECTORS; i++) {
                List<Point> corners = new ArrayList<>(8);
                for (int end = 0; end < 2; end++) {
                    double a = 2 * Math.PI * (i + end) / SECTORS;
                    Vector way = u.times(Math.cos(a)).plus(v.times(Math.sin(a)));
                    for (double r : new double[] {inner, outer}) {
                        Point p = centre.plus(way.times(r));
                        corners.add(p.plus(out));
                        corners.add(p.plus(out.negated()));
                    }
                }
                parts.add(Convex.hull(corners, 0));
            }
            return new Parts(parts);
        }
    }

    static Parts of(Convex... parts) {
        return new Parts(List.of(parts));
    }
}

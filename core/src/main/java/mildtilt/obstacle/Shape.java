package mildtilt.obstacle;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;
import mildtilt.solid.TriangleMesh;

/** The form of what is in the way, in the vehicle frame in the design position. Lengths mm. */
public sealed interface Shape
        permits Shape.Tube, Shape.Box, Shape.Plate, Shape.Cylinder, Shape.Sphere, Shape.Scan, CarriedShape {

    /** A box so many times as long as it is wide or high is a long one. */
    double LONG = 3;

    /** What the bench calls it. */
    String label();

    Solid solid();

    /** The points that settle where it is, to be dragged. */
    List<Point> points();

    Shape withPoint(int index, Point to);

    /** The whole of it elsewhere. */
    Shape shifted(Vector by);

    /** The same on the other side of the vehicle. */
    Shape mirrored();

    /** Round, through two points or more; its ends are round too. */
    record Tube(List<Point> line, double diameter) implements Shape {

        public Tube {
            line = List.copyOf(line);
            if (line.size() < 2) {
                throw new ImpossibleGeometryException("A tube needs at least two points.");
            }
            above0(diameter, "A tube's diameter");
            for (int i = 1; i < line.size(); i++) {
                apart(line.get(i - 1), line.get(i), "Two neighbouring points of a tube");
            }
        }

        @Override
        public String label() {
            return "tube";
        }

        @Override
        public Solid solid() {
            List<Convex> bars = new ArrayList<>();
            for (int i = 1; i < line.size(); i++) {
                bars.add(Convex.bar(line.get(i - 1), line.get(i), diameter / 2));
            }
            return new Solid.Parts(bars);
        }

        @Override
        public List<Point> points() {
            return line;
        }

        @Override
        public Tube withPoint(int index, Point to) {
            List<Point> all = new ArrayList<>(line);
            all.set(index, to);
            return new Tube(all, diameter);
        }

        @Override
        public Tube shifted(Vector by) {
            return new Tube(line.stream().map(p -> p.plus(by)).toList(), diameter);
        }

        @Override
        public Tube mirrored() {
            return new Tube(line.stream().map(Point::mirrored).toList(), diameter);
        }
    }

    /**
     * @param centre its middle
     * @param length along it, mm
     * @param width across it, mm
     * @param height mm
     * @param leftDeg how far its length points to the left of straight forward
     * @param downDeg how far its length slopes below level going forward
     * @param rollDeg how far its left side is lifted
     */
    record Box(Point centre, double length, double width, double height, double leftDeg, double downDeg, double rollDeg)
            implements Shape {

        public Box {
            above0(length, "A box's length");
            above0(width, "A box's width");
            above0(height, "A box's height");
            angle(leftDeg);
            angle(downDeg);
            angle(rollDeg);
        }

        public Box(Point centre, double length, double width, double height) {
            this(centre, length, width, height, 0, 0, 0);
        }

        @Override
        public String label() {
            return "box";
        }

        /** Whether it is much longer than wide and high, as a rail, a spring or a bar is. */
        public boolean isLong() {
            double most = Math.max(length, Math.max(width, height));
            double least = Math.min(length, Math.min(width, height));
            return most >= LONG * (length + width + height - most - least);
        }

        public RigidMove place() {
            return RigidMove.placing(centre, leftDeg, downDeg, rollDeg);
        }

        @Override
        public Solid solid() {
            RigidMove m = place();
            return Solid.of(
                    Convex.box(centre, m.ex().times(length / 2), m.ey().times(width / 2), m.ez().times(height / 2)));
        }

        @Override
        public List<Point> points() {
            return List.of(centre);
        }

        @Override
        public Box withPoint(int index, Point to) {
            return new Box(to, length, width, height, leftDeg, downDeg, rollDeg);
        }

        @Override
        public Box shifted(Vector by) {
            return withPoint(0, centre.plus(by));
        }

        @Override
        public Box mirrored() {
            return new Box(centre.mirrored(), length, width, height, -leftDeg, downDeg, -rollDeg);
        }

        public Box sized(double l, double w, double h) {
            return new Box(centre, l, w, h, leftDeg, downDeg, rollDeg);
        }

        public Box turned(double left, double down, double roll) {
            return new Box(centre, length, width, height, left, down, roll);
        }
    }

    /**
     * Convex: three corners or more, going round; a warped one counts as the hull of its corners. @param thickness half
     * of it on either side of the corners, mm
     */
    record Plate(List<Point> corners, double thickness) implements Shape {

        public Plate {
            corners = List.copyOf(corners);
            if (corners.size() < 3) {
                throw new ImpossibleGeometryException("A plate needs at least three corners.");
            }
            above0(thickness, "A plate's thickness");
            Vector square = square(corners);
            int n = corners.size();
            for (int i = 0; i < n; i++) {
                Vector one = corners.get((i + 1) % n).minus(corners.get(i));
                Vector next = corners.get((i + 2) % n).minus(corners.get((i + 1) % n));
                if (one.cross(next).dot(square) < -1e-6 * one.norm() * next.norm()) {
                    throw new ImpossibleGeometryException(
                            "The plate has a hollow side at corner " + ((i + 1) % n + 1) + ": give it as two plates.");
                }
            }
        }

        private static Vector square(List<Point> corners) {
            Vector sum = new Vector(0, 0, 0);
            for (int i = 1; i + 1 < corners.size(); i++) {
                sum = sum.plus(corners.get(i)
                        .minus(corners.getFirst())
                        .cross(corners.get(i + 1).minus(corners.getFirst())));
            }
            if (!(sum.norm() > 1e-6)) {
                throw new ImpossibleGeometryException("The plate's corners lie in one line, so it has no area.");
            }
            return sum.direction().vector();
        }

        @Override
        public String label() {
            return "plate";
        }

        @Override
        public Solid solid() {
            Vector half = square(corners).times(thickness / 2);
            List<Point> all = new ArrayList<>();
            corners.forEach(c -> {
                all.add(c.plus(half));
                all.add(c.plus(half.negated()));
            });
            return Solid.of(Convex.hull(all, 0));
        }

        @Override
        public List<Point> points() {
            return corners;
        }

        @Override
        public Plate withPoint(int index, Point to) {
            List<Point> all = new ArrayList<>(corners);
            all.set(index, to);
            return new Plate(all, thickness);
        }

        @Override
        public Plate shifted(Vector by) {
            return new Plate(corners.stream().map(p -> p.plus(by)).toList(), thickness);
        }

        @Override
        public Plate mirrored() {
            return new Plate(corners.stream().map(Point::mirrored).toList(), thickness);
        }
    }

    /** With flat ends. */
    record Cylinder(Point from, Point to, double diameter) implements Shape {

        public Cylinder {
            above0(diameter, "A cylinder's diameter");
            apart(from, to, "Both ends of a cylinder");
        }

        @Override
        public String label() {
            return "cylinder";
        }

        @Override
        public Solid solid() {
            return Solid.of(Convex.cylinder(from, to, diameter / 2, 0));
        }

        @Override
        public List<Point> points() {
            return List.of(from, to);
        }

        @Override
        public Cylinder withPoint(int index, Point p) {
            return index == 0 ? new Cylinder(p, to, diameter) : new Cylinder(from, p, diameter);
        }

        @Override
        public Cylinder shifted(Vector by) {
            return new Cylinder(from.plus(by), to.plus(by), diameter);
        }

        @Override
        public Cylinder mirrored() {
            return new Cylinder(from.mirrored(), to.mirrored(), diameter);
        }
    }

    record Sphere(Point centre, double diameter) implements Shape {

        public Sphere {
            above0(diameter, "A sphere's diameter");
        }

        @Override
        public String label() {
            return "sphere";
        }

        @Override
        public Solid solid() {
            return Solid.of(Convex.sphere(centre, diameter / 2));
        }

        @Override
        public List<Point> points() {
            return List.of(centre);
        }

        @Override
        public Sphere withPoint(int index, Point to) {
            return new Sphere(to, diameter);
        }

        @Override
        public Sphere shifted(Vector by) {
            return new Sphere(centre.plus(by), diameter);
        }

        @Override
        public Sphere mirrored() {
            return new Sphere(centre.mirrored(), diameter);
        }
    }

    /**
     * A scan, put in its place: rolled, sloped and headed about its own origin, then shifted there.
     *
     * @param file name of the file it was read from
     */
    record Scan(TriangleMesh mesh, String file, Point at, double leftDeg, double downDeg, double rollDeg)
            implements Shape {

        public Scan {
            angle(leftDeg);
            angle(downDeg);
            angle(rollDeg);
        }

        @Override
        public String label() {
            return "scan";
        }

        public RigidMove place() {
            return RigidMove.placing(at, leftDeg, downDeg, rollDeg);
        }

        /** The same where a move from its own axes puts it. */
        public Scan standing(RigidMove place) {
            Vector x = place.ex();
            return new Scan(
                    mesh,
                    file,
                    place.moved(Point.ORIGIN),
                    Math.toDegrees(Math.atan2(x.y(), x.x())),
                    Math.toDegrees(Math.asin(Math.clamp(-x.z(), -1, 1))),
                    Math.toDegrees(Math.atan2(place.ey().z(), place.ez().z())));
        }

        @Override
        public Solid solid() {
            return new Solid.Skin(mesh, place());
        }

        @Override
        public List<Point> points() {
            return List.of(at);
        }

        @Override
        public Scan withPoint(int index, Point to) {
            return new Scan(mesh, file, to, leftDeg, downDeg, rollDeg);
        }

        @Override
        public Scan shifted(Vector by) {
            return withPoint(0, at.plus(by));
        }

        public Scan turned(double left, double down, double roll) {
            return new Scan(mesh, file, at, left, down, roll);
        }

        @Override
        public Scan mirrored() {
            float[] c = mesh.cornersCopy();
            for (int i = 1; i < c.length; i += 3) {
                c[i] = -c[i];
            }
            int[] t = mesh.trianglesCopy();
            // A mirror turns every triangle inside out: two corners change places to turn it back.
            for (int i = 0; i < t.length; i += 3) {
                int kept = t[i + 1];
                t[i + 1] = t[i + 2];
                t[i + 2] = kept;
            }
            return new Scan(new TriangleMesh(c, t), file, at.mirrored(), -leftDeg, downDeg, -rollDeg);
        }
    }

    private static void above0(double mm, String what) {
        if (!(mm > 0) || !Double.isFinite(mm)) {
            throw new ImpossibleGeometryException(what + " must be above 0.");
        }
    }

    private static void angle(double deg) {
        if (!Double.isFinite(deg)) {
            throw new ImpossibleGeometryException("The turn of a box or scan is not a number.");
        }
    }

    private static void apart(Point a, Point b, String what) {
        if (a.distanceTo(b) < 0.01) {
            throw new ImpossibleGeometryException(what + " are in one place.");
        }
    }
}

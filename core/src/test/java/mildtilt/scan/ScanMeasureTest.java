package mildtilt.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.solid.TriangleMesh;
import org.junit.jupiter.api.Test;

/** Made-up scans whose truth is known: 1 mm of noise, a fifth of the corners belonging to something else. */
class ScanMeasureTest {

    private static final double NOISE = 1;

    /** Corners and triangles as they come. */
    private static final class Scan {
        private final Random random;
        private final List<Point> corners = new ArrayList<>();
        private final List<int[]> triangles = new ArrayList<>();

        Scan(long seed) {
            random = new Random(seed);
        }

        private Vector noise() {
            return new Vector(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).times(NOISE);
        }

        /** A net of corners, each moved each way by the noise. @param closed whether the last column meets the first */
        private void net(int rows, int columns, boolean closed, BiFunction<Integer, Integer, Point> at) {
            int first = corners.size();
            for (int i = 0; i < rows; i++) {
                for (int j = 0; j < columns; j++) {
                    corners.add(at.apply(i, j).plus(noise()));
                }
            }
            for (int i = 0; i + 1 < rows; i++) {
                for (int j = 0; j + (closed ? 0 : 1) < columns; j++) {
                    int a = first + i * columns + j;
                    int b = first + i * columns + (j + 1) % columns;
                    triangles.add(new int[] {a, b, a + columns});
                    triangles.add(new int[] {b, b + columns, a + columns});
                }
            }
        }

        /** Two thirds round of a tube, as much as a phone sees of one. */
        Scan tube(Point from, Point to, double radius) {
            Direction along = to.minus(from).direction();
            Vector u = along.anySquare().vector();
            Vector v = along.cross(u);
            int rows = (int) (from.distanceTo(to) / 3);
            int columns = (int) Math.max(12, radius * 4 / 3);
            net(rows, columns, false, (i, j) -> {
                double t = Math.toRadians(240.0 * j / (columns - 1));
                return from.plus(to.minus(from).times((double) i / (rows - 1)))
                        .plus(u.times(radius * Math.cos(t)))
                        .plus(v.times(radius * Math.sin(t)));
            });
            return this;
        }

        Scan ball(Point centre, double radius) {
            net(20, 30, false, (i, j) -> {
                double up = Math.toRadians(-20 + 105.0 * i / 19);
                double round = Math.toRadians(250.0 * j / 29);
                return centre.plus(
                        new Vector(Math.cos(up) * Math.cos(round), Math.cos(up) * Math.sin(round), Math.sin(up))
                                .times(radius));
            });
            return this;
        }

        /** A flat with a round hole in its middle; without one where the radius is 0. */
        Scan flat(Point middle, Direction out, double half, double hole) {
            Vector u = out.anySquare().vector();
            Vector v = out.cross(u);
            net(30, 72, true, (i, j) -> {
                double t = 2 * Math.PI * j / 72;
                double r = hole + (half - hole) * i / 29;
                return middle.plus(u.times(r * Math.cos(t))).plus(v.times(r * Math.sin(t)));
            });
            return this;
        }

        /** A band of what was turned about an axis, from one radius and place along it to another; 240° of it. */
        Scan turned(Point at, Direction axis, double radius, double along, double toRadius, double toAlong) {
            Vector u = axis.anySquare().vector();
            Vector v = axis.cross(u);
            int rows = (int) (2 + Math.hypot(toRadius - radius, toAlong - along) / 4);
            int columns = (int) (radius * 4.2 / 4);
            net(rows, columns, false, (i, j) -> {
                double t = Math.toRadians(-100 + 240.0 * j / (columns - 1));
                double part = (double) i / (rows - 1);
                double r = radius + part * (toRadius - radius);
                return at.plus(axis.times(along + part * (toAlong - along)))
                        .plus(u.times(r * Math.cos(t)))
                        .plus(v.times(r * Math.sin(t)));
            });
            return this;
        }

        /** A rectangle about a middle. */
        Scan side(Point middle, Vector u, double wide, Vector v, double high) {
            int rows = (int) (wide / 3);
            int columns = (int) (high / 3);
            net(rows, columns, false, (i, j) -> middle.plus(u.times(wide * ((double) i / (rows - 1) - 0.5)))
                    .plus(v.times(high * ((double) j / (columns - 1) - 0.5))));
            return this;
        }

        /** A flat beside what is measured, as even as a scan is. */
        Scan wall(Point middle, Direction out, double half) {
            Vector u = out.anySquare().vector();
            Vector v = out.cross(u);
            int n = (int) (2 * half / 3.5);
            net(n, n, false, (i, j) -> middle.plus(u.times(half * (2.0 * i / (n - 1) - 1)))
                    .plus(v.times(half * (2.0 * j / (n - 1) - 1))));
            return this;
        }

        /** Strays about a place, a fifth of what is there then. */
        Scan clutter(Point about, double reach) {
            int strays = corners.size() / 4;
            for (int n = 0; n < strays; n++) {
                int first = corners.size();
                Point p = about.plus(new Vector(
                                2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1)
                        .times(reach));
                corners.add(p);
                if (n % 3 == 2) {
                    triangles.add(new int[] {first - 2, first - 1, first});
                }
            }
            return this;
        }

        ScanMeasure measure() {
            float[] c = new float[3 * corners.size()];
            for (int i = 0; i < corners.size(); i++) {
                c[3 * i] = (float) corners.get(i).x();
                c[3 * i + 1] = (float) corners.get(i).y();
                c[3 * i + 2] = (float) corners.get(i).z();
            }
            return new ScanMeasure(new TriangleMesh(
                    c, triangles.stream().flatMapToInt(IntStream::of).toArray()));
        }
    }

    private static double distance(Point p, Point from, Point to) {
        Direction d = to.minus(from).direction();
        Vector v = p.minus(from);
        return v.minus(d.times(d.dot(v))).norm();
    }

    @Test
    void tubesAxesAreWithinWhatIsClaimedAndAsSureAsTold() {
        Random random = new Random(3);
        double square = 0;
        double told = 0;
        double angles = 0;
        double toldAngles = 0;
        int draws = 60;
        for (int n = 0; n < draws; n++) {
            Point from = new Point(200 * random.nextDouble(), 200 * random.nextDouble(), 200 * random.nextDouble());
            Direction d = Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
            double radius = 10 + 25 * random.nextDouble();
            Point to = from.plus(d.times(250 + 200 * random.nextDouble()));
            Point middle = from.midwayTo(to);
            Vector u = d.anySquare().vector();
            ScanMeasure m = new Scan(n)
                    .tube(from, to, radius)
                    .wall(middle.plus(u.times(-1.5 * radius)), u.direction(), 90)
                    .clutter(middle, 100)
                    .measure();
            ScanShape.Tube t = m.tube(middle.plus(u.times(radius)), ScanMeasure.USUAL_REACH)
                    .orElseThrow();
            Point at = t.from().midwayTo(t.to());
            double off = distance(at, from, to);
            double angle = Math.toDegrees(t.to().minus(t.from()).direction().angleTo(d));
            angle = Math.min(angle, 180 - angle);
            assertThat(off).as("axis of draw %d, radius %s", n, radius).isLessThan(0.3);
            assertThat(angle).as("direction of draw %d", n).isLessThan(0.2);
            assertThat(t.diameter()).isCloseTo(2 * radius, within(0.6));
            assertThat(Math.abs(t.from().distanceTo(t.to()) - from.distanceTo(to)))
                    .isLessThan(12);
            square += off * off / draws;
            told += t.spread() * t.spread() / draws;
            angles += angle * angle / draws;
            toldAngles += t.spreadDeg() * t.spreadDeg() / draws;
        }
        assertThat(Math.sqrt(told / square)).as("± told to scatter").isBetween(0.6, 1.6);
        assertThat(Math.sqrt(toldAngles / angles))
                .as("± of direction told to scatter")
                .isBetween(0.6, 1.6);
    }

    @Test
    void ballsFlatsAndHolesAreFoundAmongStrays() {
        Random random = new Random(9);
        for (int n = 0; n < 40; n++) {
            Point at = new Point(300 * random.nextDouble(), 300 * random.nextDouble(), 300 * random.nextDouble());
            double radius = 12 + 20 * random.nextDouble();
            ScanShape.Ball ball = new Scan(n)
                    .ball(at, radius)
                    .clutter(at, 2 * radius)
                    .measure()
                    .ball(at.plus(new Vector(0, 0, radius)), 80)
                    .orElseThrow();
            assertThat(ball.centre().distanceTo(at)).as("ball %d", n).isLessThan(Math.max(0.3, 4 * ball.spread()));
            assertThat(ball.diameter()).isCloseTo(2 * radius, within(0.8));
            Direction out = Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
            double hole = 10 + 20 * random.nextDouble();
            ScanMeasure plate =
                    new Scan(100 + n).flat(at, out, 75, hole).clutter(at, 80).measure();
            Point beside = at.plus(out.anySquare().vector().times(hole + 20));
            ScanShape.Flat flat = plate.flat(beside, 80).orElseThrow();
            double lean = Math.toDegrees(flat.out().angleTo(out));
            assertThat(Math.min(lean, 180 - lean)).as("flat %d", n).isLessThan(0.2);
            assertThat(Math.abs(out.dot(flat.middle().minus(at)))).isLessThan(0.3);
            ScanShape.Hole found = new Scan(200 + n)
                    .flat(at, out, 75, hole)
                    .measure()
                    .hole(at.plus(out.anySquare().vector().times(2)), 80)
                    .orElseThrow();
            assertThat(found.centre().distanceTo(at)).as("hole %d", n).isLessThan(0.8);
            assertThat(found.diameter()).isCloseTo(2 * hole, within(1.2));
        }
    }

    /** Of a rim: a lip, a barrel that slopes in, and a face with a slope; two thirds round, with a wall beside it. */
    @Test
    void rimsTellWhatTheySpinAboutAndTheCircleThatIsPressed() {
        Random random = new Random(4);
        double square = 0;
        double told = 0;
        int draws = 30;
        for (int n = 0; n < draws; n++) {
            Point middle = new Point(200 * random.nextDouble(), 200 * random.nextDouble(), 200 * random.nextDouble());
            Direction d = Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
            double lip = 150 + 70 * random.nextDouble();
            Vector u = d.anySquare().vector();
            Scan scan = new Scan(n)
                    .turned(middle, d, lip - 12, 0, lip, 0)
                    .turned(middle, d, lip, 0, lip + 4, -20)
                    .turned(middle, d, lip - 12, 0, lip - 35, -70)
                    .turned(middle, d, lip - 35, -70, 70, -50)
                    .wall(middle.plus(u.times(-lip - 40)), u.direction(), 120)
                    .clutter(middle, 250);
            Point pressed = middle.plus(u.times(lip));
            ScanShape.Rim rim =
                    scan.measure().rim(pressed, ScanMeasure.WIDE_REACH).orElseThrow();
            double angle = Math.toDegrees(rim.axis().angleTo(d));
            angle = Math.min(angle, 180 - angle);
            assertThat(angle).as("axis of draw %d", n).isLessThan(0.12);
            assertThat(distance(rim.centre(), middle, middle.plus(d.times(100))))
                    .as("centre of draw %d", n)
                    .isLessThan(0.4);
            assertThat(Math.abs(d.dot(rim.centre().minus(middle)))).isLessThan(6);
            assertThat(rim.diameter()).isCloseTo(2 * lip, within(3.0));
            square += angle * angle / draws;
            told += rim.spreadDeg() * rim.spreadDeg() / draws;
        }
        assertThat(Math.sqrt(told / square)).as("± told to scatter").isBetween(0.6, 1.6);
    }

    /** Three sides of a box are seen, as from one stand; the other three are where these end. */
    @Test
    void aBoxComesWithItsSides() {
        Random random = new Random(6);
        for (int n = 0; n < 30; n++) {
            Point middle = new Point(200 * random.nextDouble(), 200 * random.nextDouble(), 200 * random.nextDouble());
            Direction a = Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
            Vector u = a.anySquare().vector();
            Vector v = a.cross(u);
            double deep = 60 + 100 * random.nextDouble();
            double wide = 80 + 120 * random.nextDouble();
            double high = 50 + 100 * random.nextDouble();
            Scan scan = new Scan(n)
                    .side(middle.plus(a.times(deep / 2)), u, wide, v, high)
                    .side(middle.plus(u.times(wide / 2)), a.vector(), deep, v, high)
                    .side(middle.plus(v.times(high / 2)), a.vector(), deep, u, wide)
                    .clutter(middle, 150);
            ScanShape.Box box = scan.measure()
                    .box(middle.plus(a.times(deep / 2)), ScanMeasure.WIDE_REACH)
                    .orElseThrow();
            assertThat(box.sides()).as("box %d", n).isEqualTo(3);
            double lean = Math.toDegrees(box.first().angleTo(a));
            assertThat(Math.min(lean, 180 - lean)).isLessThan(1);
            assertThat(box.deep()).as("depth of %d", n).isCloseTo(deep, within(4.0));
            List<Double> across = List.of(box.wide(), box.high());
            assertThat(Math.max(across.get(0), across.get(1)))
                    .as("longer side of %d", n)
                    .isCloseTo(Math.max(wide, high), within(4.0));
            assertThat(Math.min(across.get(0), across.get(1))).isCloseTo(Math.min(wide, high), within(4.0));
            assertThat(box.centre().distanceTo(middle)).as("middle of %d", n).isLessThan(Math.min(4, 3 * box.spread()));
        }
    }

    @Test
    void whatIsNotThereIsNotFound() {
        Direction up = Direction.along(0, 0, 1);
        ScanMeasure flat = new Scan(1).flat(Point.ORIGIN, up, 75, 0).measure();
        assertThat(flat.tube(Point.ORIGIN, 80)).isEmpty();
        assertThat(flat.ball(Point.ORIGIN, 80)).isEmpty();
        assertThat(flat.rim(Point.ORIGIN, 450)).isEmpty();
        assertThat(flat.box(Point.ORIGIN, 450)).isEmpty();
        assertThat(flat.flat(new Point(0, 0, 500), 80)).isEmpty();
        Point from = new Point(0, 0, 0);
        Point to = new Point(300, 0, 0);
        ScanMeasure tube = new Scan(2).tube(from, to, 15).measure();
        assertThat(tube.ball(new Point(150, 15, 0), 80)).isEmpty();
        ScanMeasure ball = new Scan(3).ball(Point.ORIGIN, 20).measure();
        assertThat(ball.tube(new Point(0, 0, 20), 80)).isEmpty();
        assertThat(tube.tube(new Point(150, 400, 0), 80)).isEmpty();
    }
}

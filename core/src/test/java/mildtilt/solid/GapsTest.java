package mildtilt.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Gaps against closed forms, and against what any right answer must fulfil. */
class GapsTest {

    private final Random random = new Random(5);

    private static Point p(double x, double y, double z) {
        return new Point(x, y, z);
    }

    private Vector any(double size) {
        return new Vector(random.nextGaussian() * size, random.nextGaussian() * size, random.nextGaussian() * size);
    }

    private Convex anyConvex(Point about) {
        return switch (random.nextInt(4)) {
            case 0 -> Convex.sphere(about, 5 + 30 * random.nextDouble());
            case 1 -> Convex.bar(about, about.plus(any(60)), 4 + 10 * random.nextDouble());
            case 2 ->
                Convex.cylinder(about, about.plus(any(60)), 6 + 40 * random.nextDouble(), random.nextBoolean() ? 0 : 3);
            default ->
                Convex.hull(
                        IntStream.range(0, 4 + random.nextInt(8))
                                .mapToObj(_ -> about.plus(any(30)))
                                .toList(),
                        random.nextInt(2) * 3);
        };
    }

    /** The farthest a solid reaches along a direction. */
    private static double reach(Convex c, Direction d) {
        double[] out = new double[3];
        c.support(d.x(), d.y(), d.z(), out);
        return out[0] * d.x() + out[1] * d.y() + out[2] * d.z() + c.rounding();
    }

    @Test
    void nearestDistanceIsProvenBySeparatingPlane() {
        int apart = 0;
        for (int i = 0; i < 4000; i++) {
            Convex a = anyConvex(p(0, 0, 0));
            Convex b = anyConvex(p(0, 0, 0).plus(any(110)));
            Gap g = Gaps.between(a, b);
            if (g.mm() > 1e-6) {
                apart++;
                Vector between = g.onFirst().minus(g.onSecond());
                assertThat(between.norm()).isCloseTo(g.mm(), within(1e-6));
                // Nothing of either reaches past the planes through the nearest places: no other pair can be nearer.
                Direction n = between.direction();
                assertThat(-reach(a, n.reversed()) - reach(b, n)).isCloseTo(g.mm(), within(1e-3));
            } else {
                // In each other: no direction parts them by a smaller move than told, out of many.
                for (int k = 0; k < 60; k++) {
                    Direction n = any(1).direction();
                    assertThat(reach(a, n) + reach(b, n.reversed())).isGreaterThan(-g.mm() - 1e-5);
                }
                // And one parts them by just that: from the best of many, by steps that halve.
                if (i % 10 == 0) {
                    assertThat(leastMove(a, b)).as("as near as a search comes").isCloseTo(-g.mm(), within(0.05));
                }
                deepOnesFollow(a, b, g.mm());
            }
            assertThat(Gaps.between(b, a).mm()).isCloseTo(g.mm(), within(g.mm() > 0 ? 1e-3 : 1e-5));
            Vector move = any(8);
            double moved = Gaps.between(a.moved(RigidMove.by(move)), b).mm();
            assertThat(Math.abs(moved - g.mm())).isLessThan(move.norm() + 1e-3);
        }
        assertThat(apart).isBetween(1000, 3900);
    }

    private double leastMove(Convex a, Convex b) {
        double least = Double.POSITIVE_INFINITY;
        for (int start = 0; start < 12; start++) {
            Vector best = any(1);
            double here = Double.POSITIVE_INFINITY;
            for (int k = 0; k < 40; k++) {
                Vector to = any(1);
                double move = parts(a, b, to.direction());
                if (move < here) {
                    here = move;
                    best = to.direction().vector();
                }
            }
            for (double step = 0.5; step > 1e-7; step *= 0.97) {
                Vector to = best.plus(any(step));
                double move = parts(a, b, to.direction());
                if (move < here) {
                    here = move;
                    best = to.direction().vector();
                }
            }
            least = Math.min(least, here);
        }
        return least;
    }

    private static double parts(Convex a, Convex b, Direction n) {
        return reach(a, n) + reach(b, n.reversed());
    }

    /** Turned about any axis together they are as deep in each other as before. */
    private void deepOnesFollow(Convex a, Convex b, double mm) {
        RigidMove turn = RigidMove.about(new Axis(p(7, -3, 2), any(1).direction()), random.nextDouble() * 3);
        assertThat(Gaps.between(a.moved(turn), b.moved(turn)).mm()).isCloseTo(mm, within(1e-5));
    }

    private Solid anySolid(Point about) {
        return random.nextInt(4) == 0
                ? new Solid.Skin(
                        hills(6),
                        RigidMove.by(new Vector(about.x(), about.y(), about.z()))
                                .then(RigidMove.about(new Axis(about, any(1).direction()), random.nextDouble() * 3)))
                : new Solid.Parts(IntStream.range(0, 1 + random.nextInt(3))
                        .mapToObj(_ -> anyConvex(about.plus(any(25))))
                        .toList());
    }

    /**
     * A gap that is asked for only up to a bound is the gap where it is below, and never less than the bound where it
     * is not.
     */
    @Test
    void distantPairsAreSkippedSafely() {
        int below = 0;
        for (int i = 0; i < 1500; i++) {
            Solid a = anySolid(Point.ORIGIN);
            Solid b = anySolid(Point.ORIGIN.plus(any(120)));
            double exact = Gaps.between(a, b).mm();
            double enough = exact + 40 * random.nextGaussian();
            double asked = Gaps.between(a, b, enough).mm();
            if (exact < enough) {
                below++;
                assertThat(asked).isCloseTo(exact, within(1e-5));
            } else if (enough >= 0) {
                assertThat(asked).isEqualTo(enough);
            } else {
                assertThat(asked).isGreaterThan(enough - 1e-5);
            }
        }
        assertThat(below).isBetween(500, 1000);
    }

    /** Parts that are out of all proportion, one wholly in the other, are measured as soon as any. */
    @Test
    void extremeSizesAreMeasured() {
        Convex beam = Convex.bar(p(-1e6, 0, 0), p(1e6, 0, 0), 4e4);
        for (double size : new double[] {1e-3, 1, 1e3, 1e5}) {
            Gap g = Gaps.between(
                    beam,
                    Convex.box(p(5, 0, 0), new Vector(size, 0, 0), new Vector(0, size, 0), new Vector(0, 0, size)));
            assertThat(g.mm()).isLessThan(0).isGreaterThan(-4e4 - 2 * size);
            assertThat(Gaps.between(beam, Convex.sphere(p(0, 4e4 + size + 7, 0), size))
                            .mm())
                    .isCloseTo(7, within(1e-4));
        }
    }

    @Test
    void simpleDistancesMatchHandFigures() {
        assertThat(Gaps.between(Convex.sphere(p(0, 0, 0), 10), Convex.sphere(p(50, 0, 0), 10))
                        .mm())
                .isCloseTo(30, within(1e-9));
        assertThat(Gaps.between(Convex.sphere(p(0, 0, 0), 10), Convex.sphere(p(15, 0, 0), 10))
                        .mm())
                .isCloseTo(-5, within(1e-9));
        Convex box = Convex.box(p(0, 0, 0), new Vector(10, 0, 0), new Vector(0, 20, 0), new Vector(0, 0, 30));
        assertThat(Gaps.between(box, Convex.sphere(p(13, 24, 30), 2)).mm()).isCloseTo(5 - 2, within(1e-9));
        assertThat(Gaps.between(
                                box,
                                Convex.box(p(16, 0, 0), new Vector(10, 0, 0), new Vector(0, 5, 0), new Vector(0, 0, 5)))
                        .mm())
                .isCloseTo(-4, within(1e-6));
        // Skew bars: the common perpendicular.
        assertThat(Gaps.between(Convex.bar(p(-50, 0, 0), p(50, 0, 0), 3), Convex.bar(p(0, -50, 20), p(0, 50, 20), 4))
                        .mm())
                .isCloseTo(13, within(1e-9));
        // A cylinder on end over a ball beside its edge: to the rim.
        assertThat(Gaps.between(Convex.cylinder(p(0, 0, 0), p(0, 0, 40), 10, 0), Convex.sphere(p(13, 0, 44), 1))
                        .mm())
                .isCloseTo(4, within(1e-6));
    }

    /** A box as triangles, each side in two. */
    private static TriangleMesh box(double a, double b, double c) {
        float[] corners = new float[24];
        for (int i = 0; i < 8; i++) {
            corners[3 * i] = (float) ((i & 1) == 0 ? 0 : a);
            corners[3 * i + 1] = (float) ((i & 2) == 0 ? 0 : b);
            corners[3 * i + 2] = (float) ((i & 4) == 0 ? 0 : c);
        }
        return new TriangleMesh(corners, new int[] {
            0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1, 3, 5, 3, 7, 5
        });
    }

    private TriangleMesh hills(int n) {
        float[] corners = new float[3 * n * n];
        int[] triangles = new int[6 * (n - 1) * (n - 1)];
        for (int i = 0; i < n * n; i++) {
            corners[3 * i] = i % n * 5;
            corners[3 * i + 1] = i / n * 5;
            corners[3 * i + 2] = (float) (8 * Math.sin(i * 0.7) + 3 * random.nextDouble());
        }
        int t = 0;
        for (int j = 0; j + 1 < n; j++) {
            for (int i = 0; i + 1 < n; i++) {
                int a = j * n + i;
                for (int c : new int[] {a, a + 1, a + n, a + 1, a + n + 1, a + n}) {
                    triangles[t++] = c;
                }
            }
        }
        return new TriangleMesh(corners, triangles);
    }

    @Test
    void scanDistanceIsItsNearestTriangle() {
        TriangleMesh mesh = hills(40);
        RigidMove place = RigidMove.placing(p(30, -10, 5), 25, -12, 40);
        Solid.Skin skin = new Solid.Skin(mesh, place);
        for (int i = 0; i < 60; i++) {
            Convex c = anyConvex(place.moved(p(100, 100, 60)).plus(any(60)));
            double nearest = Double.POSITIVE_INFINITY;
            for (int t = 0; t < mesh.count(); t++) {
                List<Point> corners = List.of(
                        mesh.corner(mesh.cornerOf(t, 0)),
                        mesh.corner(mesh.cornerOf(t, 1)),
                        mesh.corner(mesh.cornerOf(t, 2)));
                nearest = Math.min(
                        nearest,
                        Gaps.between(
                                        c,
                                        Convex.hull(
                                                corners.stream()
                                                        .map(place::moved)
                                                        .toList(),
                                                0))
                                .mm());
            }
            Gap g = Gaps.between(Solid.of(c), skin);
            if (nearest > 0) {
                assertThat(g.mm()).isCloseTo(nearest, within(1e-4));
                assertThat(g.onFirst().distanceTo(g.onSecond())).isCloseTo(nearest, within(1e-4));
                // A bound that is not undercut is given back as it is.
                assertThat(Gaps.between(Solid.of(c), skin, nearest / 2).mm()).isEqualTo(nearest / 2);
            } else {
                assertThat(g.mm()).isNotPositive();
            }
        }
    }

    @Test
    void solidInsideClosedScanPenetrates() {
        Solid.Skin skin = new Solid.Skin(box(100, 80, 60), RigidMove.by(new Vector(10, 10, 10)));
        assertThat(skin.mesh().closed()).isTrue();
        assertThat(Gaps.between(Solid.of(Convex.sphere(p(60, 50, 40), 4)), skin).mm())
                .isCloseTo(-30 - 4, within(1e-6));
        assertThat(Gaps.between(Solid.of(Convex.sphere(p(60, 50, 80), 4)), skin).mm())
                .isCloseTo(6, within(1e-6));
        assertThat(Gaps.between(skin, new Solid.Skin(box(10, 10, 10), RigidMove.by(new Vector(0, 0, 77))))
                        .mm())
                .isCloseTo(7, within(1e-4));
        // With a side missing it has no inside: only the skin counts.
        TriangleMesh open = new TriangleMesh(
                skin.mesh().cornersCopy(), Arrays.copyOf(skin.mesh().trianglesCopy(), 30));
        assertThat(open.closed()).isFalse();
        assertThat(Gaps.between(Solid.of(Convex.sphere(p(50, 40, 30), 4)), new Solid.Skin(open, RigidMove.NONE))
                        .mm())
                .isPositive();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void barToRingDistanceIsExact(long seed) {
        Random r = new Random(seed);
        Solid.Ring ring = new Solid.Ring(
                p(5, 5, 5),
                Direction.along(r.nextGaussian(), r.nextGaussian(), r.nextGaussian())
                        .vector(),
                60,
                180,
                300);
        int near = 0;
        for (int i = 0; i < 300; i++) {
            Point from = p(5, 5, 5).plus(new Vector(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()).times(160));
            Point to = from.plus(new Vector(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()).times(120));
            Convex bar = Convex.bar(from, to, 12);
            double nearest = IntStream.rangeClosed(0, 4000)
                            .mapToDouble(k -> {
                                Point q = from.plus(to.minus(from).times(k / 4000.0));
                                return ring.distance(q.x(), q.y(), q.z());
                            })
                            .min()
                            .orElseThrow()
                    - 12;
            Gap g = Gaps.between(Solid.of(bar), ring);
            assertThat(g.mm()).isCloseTo(nearest, within(0.12)).isLessThan(nearest + 1e-3);
            if (nearest > 0) {
                near++;
                assertThat(g.onFirst().distanceTo(g.onSecond())).isCloseTo(g.mm(), within(1e-6));
            }
            // Its convex pieces stand for it where the other is no bar; their chords lie within it.
            double pieces = Gaps.between(ring.pieces(), Solid.of(bar)).mm();
            if (nearest > 1) {
                assertThat(pieces).isBetween(g.mm() - 1.6, g.mm() + 2.7);
            }
        }
        assertThat(near).isGreaterThan(60);
    }

    @Test
    void movesAreRigidAndInvertible() {
        List<RigidMove> moves = new ArrayList<>(List.of(
                RigidMove.placing(p(3, 4, 5), 30, -20, 50),
                RigidMove.about(Axis.through(p(1, 2, 3), p(4, 4, 4)), 1.1)));
        moves.add(moves.get(0).then(moves.get(1)));
        for (RigidMove m : moves) {
            Point a = p(7, -3, 2);
            Point b = p(-5, 8, 1);
            assertThat(m.moved(a).distanceTo(m.moved(b))).isCloseTo(a.distanceTo(b), within(1e-12));
            assertThat(m.then(m.inverse()).moved(a).distanceTo(a)).isLessThan(1e-12);
        }
        // Sloping down by 30 and pointing 90 to the left: the length goes to the left and down.
        Point tip = RigidMove.placing(Point.ORIGIN, 90, 30, 0).moved(p(10, 0, 0));
        assertThat(tip.distanceTo(p(0, 10 * Math.cos(Math.PI / 6), -5))).isLessThan(1e-9);
        // Rolled: the left side is lifted.
        assertThat(RigidMove.placing(Point.ORIGIN, 0, 0, 90).moved(p(0, 10, 0)).distanceTo(p(0, 0, 10)))
                .isLessThan(1e-9);
    }
}

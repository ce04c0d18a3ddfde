package mildtilt.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GeometryTest {

    private static Point point(Random r, double size) {
        return new Point((r.nextDouble() - 0.5) * size, (r.nextDouble() - 0.5) * size, (r.nextDouble() - 0.5) * size);
    }

    /** At every scale a turning point is found again where it was, on the branch it was on. */
    @ParameterizedTest
    @ValueSource(doubles = {1e-3, 1, 1000, 1e6})
    void orbitPointIsFoundAtDistance(double scale) {
        Random random = new Random(1);
        for (int i = 0; i < 500; i++) {
            Axis axis = Axis.through(point(random, scale), point(random, scale));
            Orbit orbit = Orbit.of(axis, point(random, scale));
            Point anchor = point(random, scale);
            double angle = random.nextDouble() * 6 - 3;
            Point there = orbit.at(angle);
            int branch = orbit.branchAt(angle, anchor);
            Orbit.Reach reach = orbit.atReach(anchor, there.distanceTo(anchor), branch);
            assertThat(reach.missing()).isZero();
            assertThat(reach.point().distanceTo(anchor)).isCloseTo(there.distanceTo(anchor), within(1e-9 * scale));
            // Near the dead points both branches meet and the place is known to half the digits only.
            assertThat(reach.point().distanceTo(there)).isLessThan(1e-5 * scale);
            assertThat(axis.distanceTo(reach.point())).isCloseTo(orbit.radius(), within(1e-9 * scale));
        }
    }

    @Test
    void unreachableDistanceReportsShortfall() {
        Orbit orbit = Orbit.of(new Axis(Point.ORIGIN, new Direction(0, 0, 1)), new Point(100, 0, 0));
        Point anchor = new Point(300, 0, 0);
        Orbit.Reach tooShort = orbit.atReach(anchor, 150, 1);
        assertThat(tooShort.missing()).isCloseTo(50, within(1e-9));
        assertThat(tooShort.point()).isEqualTo(new Point(100, 0, 0));
        Orbit.Reach tooLong = orbit.atReach(anchor, 420, 1);
        assertThat(tooLong.missing()).isCloseTo(-20, within(1e-9));
        assertThat(tooLong.point().x()).isCloseTo(-100, within(1e-9));
        // Anchored on its own axis every place is as far; no answer is better than another, none is NaN.
        Orbit.Reach onAxis = orbit.atReach(new Point(0, 0, 50), 10, 1);
        assertThat(onAxis.missing()).isCloseTo(Math.hypot(100, 50) - 10, within(1e-9));
        assertThat(orbit.atReach(new Point(0, 0, 50), Math.hypot(100, 50), -1).missing())
                .isCloseTo(0, within(1e-9));
    }

    @Test
    void rotationIsRightHandedAndKeepsLength() {
        assertThat(new Direction(0, 0, 1).turn(Vector.X, Math.PI / 2)).satisfies(v -> {
            assertThat(v.x()).isCloseTo(0, within(1e-15));
            assertThat(v.y()).isCloseTo(1, within(1e-15));
        });
        Random random = new Random(2);
        for (int i = 0; i < 200; i++) {
            Direction axis = point(random, 1).minus(Point.ORIGIN).direction();
            Vector v = point(random, 10).minus(Point.ORIGIN);
            double a = random.nextDouble() * 10 - 5;
            Vector there = axis.turn(v, a);
            assertThat(there.norm()).isCloseTo(v.norm(), within(1e-12));
            assertThat(axis.turn(there, -a).minus(v).norm()).isCloseTo(0, within(1e-12));
            assertThat(axis.anySquare().dot(axis.vector())).isCloseTo(0, within(1e-15));
        }
    }

    @Test
    void anglesArePreciseNearZeroAndStraight() {
        double tiny = 1e-9;
        assertThat(Vector.X.angleTo(new Vector(Math.cos(tiny), Math.sin(tiny), 0)))
                .isCloseTo(tiny, within(1e-20));
        assertThat(Math.PI - Vector.X.angleTo(new Vector(-1, tiny, 0))).isCloseTo(tiny, within(1e-15));
        assertThat(new Direction(0, 1, 0).angleTo(new Direction(0, 0, -1))).isEqualTo(Math.PI / 2);
    }

    @Test
    void frameMovesItsPoints() {
        Frame was = new Frame(new Point(1, 2, 3), Vector.X, Vector.Y, Vector.Z);
        Frame is = new Frame(new Point(-4, 0, 9), Vector.Y, Vector.Z, Vector.X);
        assertThat(is.carried(new Point(11, 2, 3), was)).isEqualTo(new Point(-4, 10, 9));
        assertThat(is.carried(new Vector(0, 0, 2), was)).isEqualTo(new Vector(2, 0, 0));
        Vector v = new Vector(0.3, -0.2, 5);
        assertThat(is.local(is.world(v))).isEqualTo(v);
    }

    @Test
    void axisGroundIntersectionIsCorrect() {
        Axis kingpin = Axis.through(new Point(5, 640, 280), new Point(-14, 610, 500));
        Point ground = kingpin.atHeight(0);
        assertThat(ground.z()).isCloseTo(0, within(1e-12));
        assertThat(ground.y()).isCloseTo(640 + 30 * 280 / 220.0, within(1e-9));
        assertThat(kingpin.footOf(ground).distanceTo(ground)).isCloseTo(0, within(1e-9));
        assertThatThrownBy(() -> new Axis(Point.ORIGIN, new Direction(1, 0, 0)).atHeight(0))
                .hasMessageContaining("level");
    }

    @Test
    void zeroVectorsAreRefused() {
        assertThatThrownBy(() -> new Vector(0, 0, 0).direction()).isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> Axis.through(Point.ORIGIN, Point.ORIGIN)).hasMessageContaining("in one place");
        assertThatThrownBy(() -> new Direction(1, 1, 0)).hasMessageContaining("length one");
        assertThatThrownBy(() -> new Point(0, Double.POSITIVE_INFINITY, 0)).hasMessageContaining("finite");
        assertThatThrownBy(() -> Orbit.of(new Axis(Point.ORIGIN, new Direction(0, 0, 1)), new Point(0, 0, 4)))
                .isInstanceOf(ImpossibleGeometryException.class);
    }

    @Test
    void mirroringTwiceIsIdentity() {
        Point p = new Point(-3, 41, 7);
        assertThat(p.mirrored()).isEqualTo(new Point(-3, -41, 7));
        assertThat(p.mirrored().mirrored()).isEqualTo(p);
        assertThat(p.midwayTo(p.mirrored()).y()).isZero();
        assertThat(Side.LEFT.other()).isEqualTo(Side.RIGHT);
        assertThat(Side.RIGHT.sign()).isEqualTo(-1);
    }
}

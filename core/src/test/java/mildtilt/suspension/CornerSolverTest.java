package mildtilt.suspension;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import org.junit.jupiter.api.Test;

/** Corners simple enough to be worked out by hand. */
class CornerSolverTest {

    /** Parallel equal level arms across the vehicle and an upright kingpin: the wheel moves without tilting. */
    private static final DoubleWishbone PARALLEL = new DoubleWishbone(
            new Point(100, 300, 200),
            new Point(-100, 300, 200),
            new Point(0, 600, 200),
            new Point(100, 300, 400),
            new Point(-100, 300, 400),
            new Point(0, 600, 400));

    private static final Knuckle UPRIGHT =
            new Knuckle(new Point(0, 700, 300), new Point(0, 800, 300), new Point(-150, 600, 300));
    private static final Point INNER = new Point(-150, 300, 300);

    private static CornerSolver solver(Side side, DoubleWishbone arms, Knuckle knuckle, Point inner) {
        return new CornerSolver(side, arms, knuckle, knuckle.tieRodPoint(), inner, side.label() + " tie rod");
    }

    private static KnucklePose pose(CornerSolver solver, Point inner, double travel) {
        return (KnucklePose) solver.solve(inner, inner, travel);
    }

    @Test
    void parallelogramWishbonesKeepCamber() {
        CornerSolver solver = solver(Side.LEFT, PARALLEL, UPRIGHT, INNER);
        for (double z = -150; z <= 150; z += 25) {
            KnucklePose p = pose(solver, INNER, z);
            double in = 300 - Math.sqrt(300 * 300 - z * z);
            assertThat(p.wheelCentre().y()).isCloseTo(700 - in, within(1e-9));
            assertThat(p.wheelCentre().z()).isCloseTo(300 + z, within(1e-9));
            assertThat(p.camberDeg()).isCloseTo(0, within(1e-9));
            // The tie rod is a third equal arm: no bump steer.
            assertThat(p.steerDeg()).isCloseTo(0, within(1e-9));
            assertThat(p.casterDeg()).isCloseTo(0, within(1e-9));
            assertThat(p.kingpinInclinationDeg()).isCloseTo(0, within(1e-9));
        }
        assertThat(solver.rodLength()).isEqualTo(300);
    }

    @Test
    void uprightKingpinMatchesSine() {
        CornerSolver solver = solver(Side.LEFT, PARALLEL, UPRIGHT, INNER);
        // A long way round: the rod stays parallel to y only to first order, so compare with the plane triangle.
        for (double d = -60; d <= 60; d += 15) {
            Point inner = INNER.plus(new Vector(0, d, 0));
            KnucklePose p = pose(solver, inner, 0);
            double a = Math.toRadians(p.steerDeg());
            Point arm = new Point(-150 * Math.cos(a), 600 - 150 * Math.sin(a), 300);
            assertThat(arm.distanceTo(p.tieRodPoint())).isCloseTo(0, within(1e-9));
            assertThat(arm.distanceTo(inner)).isCloseTo(300, within(1e-9));
            // Behind the axle the rod moving outward (left) turns the wheel right.
            assertThat(Math.signum(p.steerDeg())).isEqualTo(-Math.signum(d));
        }
    }

    @Test
    void leftAndRightCornersMirror() {
        CornerSolver left = solver(Side.LEFT, PARALLEL, UPRIGHT, INNER);
        CornerSolver right = solver(Side.RIGHT, PARALLEL.mirrored(), UPRIGHT.mirrored(), INNER.mirrored());
        KnucklePose l = pose(left, INNER.plus(new Vector(3, 40, -8)), 55);
        KnucklePose r = pose(right, INNER.plus(new Vector(3, 40, -8)).mirrored(), 55);
        assertThat(r.wheelCentre()).isEqualTo(l.wheelCentre().mirrored());
        assertThat(r.steerDeg()).isCloseTo(-l.steerDeg(), within(1e-12));
        assertThat(r.toeInDeg()).isCloseTo(l.toeInDeg(), within(1e-12));
        assertThat(r.camberDeg()).isCloseTo(l.camberDeg(), within(1e-12));
        assertThat(r.mechanicalTrail()).isCloseTo(l.mechanicalTrail(), within(1e-9));
    }

    @Test
    void staticFiguresMatchKnownKnuckle() {
        // Leaning 20 in over 200 up and 10 back over 200 up.
        DoubleWishbone leaning = new DoubleWishbone(
                new Point(100, 300, 200),
                new Point(-100, 300, 200),
                new Point(5, 610, 200),
                new Point(100, 300, 400),
                new Point(-100, 300, 400),
                new Point(-5, 590, 400));
        KnucklePose p = pose(solver(Side.LEFT, leaning, UPRIGHT, INNER), INNER, 0);
        assertThat(p.kingpinInclinationDeg()).isCloseTo(Math.toDegrees(Math.atan(0.1)), within(1e-9));
        assertThat(p.casterDeg()).isCloseTo(Math.toDegrees(Math.atan(0.05)), within(1e-9));
        assertThat(p.scrubRadius()).isCloseTo(700 - 630, within(1e-9));
        assertThat(p.mechanicalTrail()).isCloseTo(15, within(1e-9));
        assertThat(p.contactPoint().distanceTo(new Point(0, 700, 0))).isLessThan(1e-9);
        assertThat(p.steeringArm().norm())
                .isCloseTo(
                        Axis.through(leaning.lowerBallJoint(), leaning.upperBallJoint())
                                .distanceTo(UPRIGHT.tieRodPoint()),
                        within(1e-9));
    }

    @Test
    void camberAndToeComeFromSpinAxis() {
        Knuckle set = new Knuckle(new Point(0, 700, 300), new Point(1, 800, 302), new Point(-150, 600, 300));
        KnucklePose p = pose(solver(Side.LEFT, PARALLEL, set, INNER), INNER, 0);
        // With the outer end of the spin axis ahead, the left wheel points to the right: inward.
        assertThat(p.toeInDeg()).isCloseTo(Math.toDegrees(Math.atan(0.01)), within(1e-9));
        assertThat(p.camberDeg()).isCloseTo(-Math.toDegrees(Math.asin(2 / Math.sqrt(1 + 100 * 100 + 4))), within(1e-9));
    }

    @Test
    void unreachableTravelIsReported() {
        CornerSolver solver = solver(Side.LEFT, PARALLEL, UPRIGHT, INNER);
        assertThat(solver.solve(INNER, INNER, 290)).isInstanceOf(KnucklePose.class);
        for (double z : new double[] {305, 400, 5000, -305, -5000}) {
            assertThat(solver.solve(INNER, INNER, z)).isInstanceOfSatisfying(CannotAssemble.class, c -> {
                assertThat(c.reason()).isEqualTo(CannotAssemble.Reason.WHEEL_TRAVEL);
                assertThat(Math.signum(c.amount())).isEqualTo(Math.signum(z));
                assertThat(c.sentence())
                        .startsWith("The left suspension can't bring the wheel that far: it stays "
                                + (z > 0 ? "low" : "high"));
            });
        }
    }

    @Test
    void overreachedRodReportsShortOrLong() {
        CornerSolver solver = solver(Side.LEFT, PARALLEL, UPRIGHT, INNER);
        assertThat(solver.solve(INNER.plus(new Vector(0, -200, 0)), INNER, 0))
                .isInstanceOfSatisfying(CannotAssemble.class, c -> {
                    assertThat(c.reason()).isEqualTo(CannotAssemble.Reason.LINK);
                    // Inner at (−150, 100), arm of 150 about (0, 600): nearest it comes is √(150² + 500²) − 150.
                    assertThat(c.amount()).isCloseTo(Math.hypot(150, 500) - 150 - 300, within(1e-6));
                    assertThat(c.sentence()).contains("tie rod is too short by");
                });
        assertThat(solver.solve(INNER.plus(new Vector(100, 290, 0)), INNER, 0))
                .isInstanceOfSatisfying(
                        CannotAssemble.class, c -> assertThat(c.sentence()).contains("tie rod is too long by"));
    }

    @Test
    void impossibleCornersAreRefused() {
        assertThatThrownBy(() -> solver(Side.LEFT, PARALLEL, UPRIGHT.withTieRodPoint(new Point(0, 600, 250)), INNER))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("left steering arm has no length");
        assertThatThrownBy(() -> solver(Side.RIGHT, PARALLEL, UPRIGHT.withTieRodPoint(INNER), INNER))
                .hasMessageContaining("right tie rod has no length");
        assertThatThrownBy(() -> new DoubleWishbone(
                        PARALLEL.lowerInnerFront(),
                        PARALLEL.lowerInnerFront(),
                        PARALLEL.lowerBallJoint(),
                        PARALLEL.upperInnerFront(),
                        PARALLEL.upperInnerRear(),
                        PARALLEL.upperBallJoint()))
                .hasMessageContaining("lower wishbone");
        assertThatThrownBy(() -> new DoubleWishbone(
                        PARALLEL.lowerInnerFront(),
                        PARALLEL.lowerInnerRear(),
                        PARALLEL.lowerBallJoint(),
                        PARALLEL.upperInnerFront(),
                        PARALLEL.upperInnerRear(),
                        new Point(40, 300, 400)))
                .hasMessageContaining("upper wishbone has no length");
        assertThatThrownBy(() -> new Knuckle(new Point(0, 700, 300), new Point(0, 600, 300), INNER))
                .hasMessageContaining("outboard");
        assertThatThrownBy(() -> new Knuckle(new Point(0, 700, 300), new Point(90, 710, 300), INNER))
                .hasMessageContaining("outboard");
    }
}

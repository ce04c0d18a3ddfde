package mildtilt.suspension;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Wheels on two trailing arms, against what parallel arms do by hand. */
class TrailingArmsTest {

    private static final Direction ACROSS = Vector.Y.direction();

    /** Level, parallel, each 160 long: they carry the wheel on a circle of 160 and never turn it. */
    private static final TrailingArms PARALLEL = new TrailingArms(
            ACROSS,
            new Point(160, 520, 230),
            new Point(0, 520, 230),
            new Point(160, 520, 380),
            new Point(0, 520, 380),
            Optional.empty());

    private static final Knuckle KNUCKLE =
            new Knuckle(new Point(0, 650, 305), new Point(0, 750, 305), new Point(-120, 520, 260));

    private static TrailingArms withPins(TrailingArms arms) {
        return arms.withKingpin(Optional.of(new Kingpin(new Point(6, 560, 215), new Point(-8, 546, 395))));
    }

    private static TravellingCorner solver(TrailingArms arms, Point inner) {
        return arms.kingpin().isPresent()
                ? new LinkPinSolver(Side.LEFT, arms, KNUCKLE, KNUCKLE.tieRodPoint(), inner, "left tie rod")
                : new CornerSolver(Side.LEFT, arms, KNUCKLE, KNUCKLE.tieRodPoint(), inner, "left tie rod");
    }

    private static KnucklePose stands(CornerPose pose) {
        assertThat(pose).isInstanceOf(KnucklePose.class);
        return (KnucklePose) pose;
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void parallelArmsCarryTheWheelOnACircleAndKeepItsAngles(boolean pins) {
        TrailingArms arms = pins ? withPins(PARALLEL) : PARALLEL;
        // The rod's inner end goes up and back with the knuckle, so that it never steers.
        Point inner = new Point(-120, 100, 260);
        double caster = stands(solver(arms, inner).solve(inner, inner, 0)).casterDeg();
        for (double up : new double[] {-80, -30, 45, 110}) {
            double ahead = 160 - Math.sqrt(160 * 160 - up * up);
            Point carried = inner.plus(new Vector(ahead, 0, up));
            KnucklePose k = stands(solver(arms, inner).solve(carried, carried, up));
            assertThat(k.wheelCentre().distanceTo(new Point(ahead, 650, 305 + up)))
                    .isLessThan(1e-9);
            assertThat(k.casterDeg()).isCloseTo(caster, within(1e-9));
            assertThat(k.camberDeg()).isCloseTo(0, within(1e-9));
            assertThat(k.toeInDeg()).isCloseTo(0, within(1e-9));
            assertThat(arms.lowerEndAt(k).distanceTo(new Point(ahead, 520, 230 + up)))
                    .isLessThan(1e-9);
            assertThat(arms.upperEndAt(k).distanceTo(new Point(ahead, 520, 380 + up)))
                    .isLessThan(1e-9);
        }
    }

    /** A short upper arm tips the carrier: by hand, two circles and the distance between both pins. */
    @Test
    void shortUpperArmTipsTheCarrierAsAFourBarDoes() {
        TrailingArms arms = withPins(PARALLEL.withUpperPivot(new Point(100, 520, 380)));
        Point inner = new Point(-120, 100, 260);
        double design = stands(solver(arms, inner).solve(inner, inner, 0)).casterDeg();
        KnucklePose k = stands(solver(arms, inner).solve(inner, inner, 60));
        Point low = arms.lowerEndAt(k);
        Point high = arms.upperEndAt(k);
        assertThat(low.distanceTo(arms.lowerPivot())).isCloseTo(160, within(1e-9));
        assertThat(high.distanceTo(arms.upperPivot())).isCloseTo(100, within(1e-9));
        assertThat(low.distanceTo(high)).isCloseTo(150, within(1e-9));
        double tipped = Math.toDegrees(Math.atan2(high.x() - low.x(), high.z() - low.z()));
        assertThat(tipped).isBetween(1.0, 10.0);
        // Seen from the side the kingpin leans by as much less back.
        assertThat(k.casterDeg()).isCloseTo(design - tipped, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void wheelThatWouldLeaveItsCircleIsSaidToBeOutOfReach(boolean pins) {
        TrailingArms arms = pins ? withPins(PARALLEL) : PARALLEL;
        Point inner = new Point(-120, 100, 260);
        assertThat(solver(arms, inner).solve(inner, inner, 400)).isInstanceOfSatisfying(CannotAssemble.class, no -> {
            assertThat(no.reason()).isEqualTo(CannotAssemble.Reason.WHEEL_TRAVEL);
            assertThat(no.amount()).isGreaterThan(200);
        });
    }

    @Test
    void mirroredArmsMirrorTheirPose() {
        TrailingArms skew = withPins(PARALLEL).withPivotAxis(Direction.along(0.08, 1, 0.03));
        Point inner = new Point(-120, 100, 260);
        KnucklePose left = stands(solver(skew, inner).solve(inner, inner, 50));
        KnucklePose right = stands(new LinkPinSolver(
                        Side.RIGHT,
                        skew.mirrored(),
                        KNUCKLE.mirrored(),
                        KNUCKLE.tieRodPoint().mirrored(),
                        inner.mirrored(),
                        "right tie rod")
                .solve(inner.mirrored(), inner.mirrored(), 50));
        assertThat(right.wheelCentre().distanceTo(left.wheelCentre().mirrored()))
                .isLessThan(1e-9);
        assertThat(right.toeInDeg()).isCloseTo(left.toeInDeg(), within(1e-9));
    }

    @Test
    void armsThatCanNotBeAreRefused() {
        assertThatThrownBy(() -> PARALLEL.withLowerEnd(new Point(160, 300, 230)))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("lower trailing arm has no length");
        assertThatThrownBy(() -> PARALLEL.withPivotAxis(Vector.X.direction()))
                .hasMessageContaining("across the vehicle");
        assertThatThrownBy(() -> PARALLEL.withUpperEnd(new Point(0, 520, 200))).hasMessageContaining("above");
    }
}

package mildtilt.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import org.junit.jupiter.api.Test;

/** What must hold of every gear: its ends, its proportion, the other way round. */
class GearTest {

    private final Random random = new Random(31);

    private double any(double from, double to) {
        return from + (to - from) * random.nextDouble();
    }

    private Point anyPoint() {
        return new Point(any(-500, 500), any(-500, 500), any(100, 800));
    }

    private Direction anyDirection() {
        return Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
    }

    @Test
    void rackTravelMatchesInputAndEndsAtLimit() {
        for (int i = 0; i < 200; i++) {
            RackAndPinion rack = new RackAndPinion(
                    anyPoint(),
                    Direction.along(any(-0.3, 0.3), 1, any(-0.3, 0.3)),
                    any(200, 800),
                    any(20, 80) * (random.nextBoolean() ? 1 : -1),
                    any(40, 120));
            assertThat(Math.abs(rack.displacementAt(rack.inputStop()))).isCloseTo(rack.travelEachWay(), within(1e-9));
            double turn = any(-9, 9);
            double moved = rack.displacementAt(turn);
            assertThat(moved * rack.travelPerLeftTurn() * turn)
                    .as("the way its sign says")
                    .isGreaterThanOrEqualTo(0);
            assertThat(rack.displacementAt(turn + 2 * Math.PI) - moved)
                    .isCloseTo(rack.travelPerLeftTurn(), within(1e-9));
            // Both pivots go along the bar together, and stay as far apart as they are.
            for (Side side : Side.values()) {
                assertThat(rack.innerPivot(side, moved).distanceTo(rack.innerPivot(side, 0)))
                        .isCloseTo(Math.abs(moved), within(1e-9));
            }
            assertThat(rack.innerPivot(Side.LEFT, moved).distanceTo(rack.innerPivot(Side.RIGHT, moved)))
                    .isCloseTo(rack.pivotSpacing(), within(1e-9));
            assertThat(rack.innerPivot(Side.LEFT, 0)
                            .midwayTo(rack.innerPivot(Side.RIGHT, 0))
                            .distanceTo(rack.centre()))
                    .isLessThan(1e-9);
            assertThat(rack.reversed().displacementAt(turn)).isCloseTo(-moved, within(1e-9));
            assertThat(rack.reversed().reversed()).isEqualTo(rack);
        }
    }

    @Test
    void armSwingMatchesInputAndEndsAtLimit() {
        for (int i = 0; i < 200; i++) {
            Axis axis = new Axis(anyPoint(), anyDirection());
            Point end = anyPoint();
            if (axis.distanceTo(end) < 20) {
                continue;
            }
            ArmGear gear = random.nextBoolean()
                    ? new SteeringBox(axis, end, any(8, 24) * (random.nextBoolean() ? 1 : -1), any(20, 60))
                    : new ColumnArm(axis, end, any(20, 60));
            assertThat(Math.toDegrees(Math.abs(gear.armAngleAt(gear.inputStop()))))
                    .isCloseTo(gear.sweepEachWayDeg(), within(1e-9));
            double angle = gear.armAngleAt(any(-3, 3));
            Point there = axis.turned(end, angle);
            // Round the shaft, not along it.
            assertThat(axis.distanceTo(there)).isCloseTo(gear.armLength(), within(1e-9));
            assertThat(there.minus(end).dot(axis.direction().vector())).isCloseTo(0, within(1e-9));
            assertThat(there.distanceTo(end))
                    .isCloseTo(2 * gear.armLength() * Math.abs(Math.sin(angle / 2)), within(1e-8));
            // Driven the other way the end goes the other way across.
            ArmGear other = (ArmGear) gear.reversed();
            Point opposite = axis.turned(other.armEnd(), other.armAngleAt(0.02));
            Point usual = axis.turned(end, gear.armAngleAt(0.02));
            assertThat(opposite.minus(other.armEnd()).dot(usual.minus(end))).isNegative();
            assertThat(((ArmGear) other.reversed()).armEnd().distanceTo(end)).isLessThan(1e-9);
            assertThat(other.inputStop()).isCloseTo(gear.inputStop(), within(1e-12));
        }
    }

    @Test
    void impossibleGearsAreRefused() {
        Axis up = new Axis(Point.ORIGIN, Direction.along(0, 0, 1));
        Point end = new Point(150, 0, 0);
        assertThatThrownBy(() -> new SteeringBox(up, new Point(0, 0, 40), 16, 40))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("no length");
        assertThatThrownBy(() -> new SteeringBox(up, end, 0, 40))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("ratio");
        assertThatThrownBy(() -> new SteeringBox(up, end, Double.NaN, 40))
                .isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> new ColumnArm(up, end, 180))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("sweep");
        assertThatThrownBy(() -> new ColumnArm(up, end, Double.NaN)).isInstanceOf(ImpossibleGeometryException.class);
        Direction left = Direction.along(0, 1, 0);
        assertThatThrownBy(() -> new RackAndPinion(end, Direction.along(1, 0, 0), 500, 50, 70))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("toward the left");
        for (double bad : new double[] {0, Double.NaN, Double.POSITIVE_INFINITY}) {
            assertThatThrownBy(() -> new RackAndPinion(end, left, 500, bad, 70))
                    .isInstanceOf(ImpossibleGeometryException.class)
                    .hasMessageContaining("per turn");
        }
        assertThatThrownBy(() -> new RackAndPinion(end, left, -1, 50, 70))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("spacing");
        assertThatThrownBy(() -> new RackAndPinion(end, left, 500, 50, 0))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("each way");
    }
}

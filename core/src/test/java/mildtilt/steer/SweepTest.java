package mildtilt.steer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.job.PointId;
import mildtilt.linkage.RodEnd;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.TravelMap;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;

/** The gathered figures against poses taken one by one. */
class SweepTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();
    private final SteeringTrain train = new SteeringTrain(demo);
    private final SteerFigures figures = SteerSweep.of(train, demo, Grid.USUAL).orElseThrow();

    @Test
    void sweepRowsArePosesToBothStops() {
        List<SteerRow> rows = figures.rows();
        assertThat(rows).hasSize(61);
        assertThat(rows.getFirst().steeringWheelDeg())
                .isEqualTo(train.stopDeg(Side.RIGHT).orElseThrow());
        assertThat(rows.getLast().steeringWheelDeg())
                .isEqualTo(train.stopDeg(Side.LEFT).orElseThrow());
        for (SteerRow row : rows) {
            AxlePose.Assembled pose =
                    train.pose(row.steeringWheelDeg(), 0, 0).assembled().orElseThrow();
            assertThat(row.turn().orElseThrow().leftDeg()).isEqualTo(pose.left().steerDeg());
            assertThat(row.turn().orElseThrow().rightDeg())
                    .isEqualTo(pose.right().steerDeg());
        }
        for (int i = 1; i < rows.size(); i++) {
            assertThat(rows.get(i).turn().orElseThrow().meanDeg())
                    .isGreaterThan(rows.get(i - 1).turn().orElseThrow().meanDeg());
        }
    }

    @Test
    void ratioIsCurveSlope() {
        // Sum of d(mean) = d(wheel) / ratio over the range, by Simpson's rule, against the ends themselves.
        List<SteerRow> rows = figures.rows();
        double sum = 0;
        for (int half = 0; half < 2; half++) {
            int from = 30 * half;
            double h = rows.get(from + 1).steeringWheelDeg() - rows.get(from).steeringWheelDeg();
            for (int i = from; i < from + 30; i += 2) {
                sum += h
                        / 3
                        * (1 / rows.get(i).ratio().orElseThrow()
                                + 4 / rows.get(i + 1).ratio().orElseThrow()
                                + 1 / rows.get(i + 2).ratio().orElseThrow());
            }
        }
        double ends = figures.leftReach().turn().meanDeg()
                - figures.rightReach().turn().meanDeg();
        assertThat(sum).isCloseTo(ends, within(0.02 * ends));
        assertThat(figures.averageRatio().orElseThrow())
                .isCloseTo(figures.turnsLockToLock() * 360 / ends, within(1e-9));
    }

    @Test
    void ackermannIsTakenAtTwentyDegrees() {
        assertThat(figures.leftAtInner20().orElseThrow().innerDeg()).isCloseTo(20, within(1e-9));
        assertThat(figures.rightAtInner20().orElseThrow().innerDeg()).isCloseTo(20, within(1e-9));
        assertThat(figures.leftAtInner20().orElseThrow().turned()).isEqualTo(Side.LEFT);
        assertThat(SteerSweep.leftTurnAtInner20(train, demo)).isEqualTo(figures.leftAtInner20());
        // A rack too short to get there has no such turn.
        Job shortRack = demo.editAxle(a -> a.withGear(((RackAndPinion) a.gear()).withTravelEachWay(30)));
        SteerFigures little =
                SteerSweep.of(new SteeringTrain(shortRack), demo, Grid.USUAL).orElseThrow();
        assertThat(little.leftAtInner20()).isEmpty();
        assertThat(little.ackermannAt20Pct()).isEmpty();
    }

    @Test
    void bumpSteerIsToeSpread() {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (double z = -60; z <= 70; z += 0.25) {
            double toe = train.pose(0, z, z).assembled().orElseThrow().left().toeInDeg();
            least = Math.min(least, toe);
            most = Math.max(most, toe);
        }
        assertThat(figures.bumpSteerDeg(Side.LEFT)).isCloseTo(most - least, within(1e-3));
        assertThat(figures.bump().getFirst().travel()).isEqualTo(-60);
        assertThat(figures.bump().getLast().travel()).isEqualTo(70);
    }

    @Test
    void mapHoldsExtremesOfAllPoses() {
        Grid grid = new Grid(6, 3);
        TravelMap map = TravelMap.of(train, demo, grid).orElseThrow();
        assertThat(map.posesRequested()).isEqualTo(13 * 7);
        assertThat(map.notAssembled()).isEmpty();
        double smallest = 180;
        double largest = 0;
        for (double sw : Grid.spread(
                -train.stopDeg(Side.RIGHT).orElseThrow(),
                train.stopDeg(Side.LEFT).orElseThrow(),
                6)) {
            for (double z : Grid.spread(60, 70, 3)) {
                KnucklePose k = train.pose(sw, z, z).assembled().orElseThrow().left();
                smallest = Math.min(smallest, k.rodToArmDeg());
                largest = Math.max(largest, k.rodToArmDeg());
            }
        }
        TravelMap.RodToArm left = map.rodToArm().get(RodEnd.LEFT_OUTER);
        assertThat(left.smallest()).isEqualTo(smallest);
        assertThat(left.largest()).isEqualTo(largest);
        assertThat(left.closestToToggle()).isEqualTo(Math.min(smallest, 180 - largest));
        assertThat(map.tilts().get(RodEnd.LEFT_OUTER).deg())
                .isCloseTo(map.tilts().get(RodEnd.RIGHT_OUTER).deg(), within(0.5));
        assertThat(map.cells())
                .hasSize(13 * 7)
                .allMatch(c -> c.marginDeg() <= map.cell(6, 3).marginDeg() + 60);
    }

    @Test
    void linkageEndsWithRodAndArmInLine() {
        Job shortArms = JobPoints.moved(
                demo, new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT), new Point(-80, 612, 330));
        SteeringTrain t = new SteeringTrain(shortArms);
        SteerFigures s = SteerSweep.of(t, demo, Grid.USUAL).orElseThrow();
        for (Side way : Side.values()) {
            assertThat(s.reach(way).byToggle()).isTrue();
            assertThat(Math.abs(s.reach(way).reachedDeg()))
                    .isLessThan(Math.abs(s.reach(way).stopDeg()));
            AxlePose.Assembled at =
                    t.pose(s.reach(way).reachedDeg(), 0, 0).assembled().orElseThrow();
            double nearest = Math.min(margin(at.left()), margin(at.right()));
            assertThat(nearest).isLessThan(8);
        }
        assertThat(TravelMap.of(t, demo, Grid.USUAL).orElseThrow().notAssembled())
                .isNotEmpty();
    }

    private static double margin(KnucklePose k) {
        return Math.min(k.rodToArmDeg(), 180 - k.rodToArmDeg());
    }

    @Test
    void noSweepWithoutAxleOrWithLockedJoint() {
        Job columnOnly = Job.of("c", new Plan(demo.vehicle(), demo.column(), Optional.empty(), demo.targets()));
        SteeringTrain t = new SteeringTrain(columnOnly);
        assertThat(SteerSweep.of(t, demo, Grid.USUAL)).isEmpty();
        assertThat(TravelMap.of(t, demo, Grid.USUAL)).isEmpty();
        assertThat(t.stopDeg(Side.LEFT)).isEmpty();
        assertThatThrownBy(() -> t.pose(0, 0, 0))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("no steered axle");
        Point lower = JobPoints.position(demo, new PointId.JointCentre(1));
        Job locked = JobPoints.moved(
                demo, new PointId.GearInput(), new Point(lower.x() - 60, lower.y() + 200, lower.z() + 90));
        SteeringTrain stuck = new SteeringTrain(locked);
        assertThat(stuck.locked().orElseThrow().sentence()).startsWith("The joint \"Lower joint\" can't turn at");
        assertThat(stuck.pose(10, 0, 0).obstacle()).isPresent();
        assertThat(SteerSweep.of(stuck, demo, Grid.USUAL)).isEmpty();
    }

    @Test
    void gridIncludesMiddleAndEnds() {
        assertThat(Grid.spread(60, 70, 4)).containsExactly(-60, -45, -30, -15, 0, 17.5, 35, 52.5, 70);
        assertThatThrownBy(() -> new Grid(0, 4)).hasMessageContaining("between 1 and 1000");
        assertThatThrownBy(() -> new Grid(4, 1001)).isInstanceOf(IllegalArgumentException.class);
    }
}

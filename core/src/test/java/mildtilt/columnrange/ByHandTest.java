package mildtilt.columnrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Adjustment;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.GearInput;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.column.SteeringWheel;
import mildtilt.column.YokeDimensions;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.rules.RuleLimit;
import mildtilt.rules.Rules;
import mildtilt.rules.ShippedRules;
import org.junit.jupiter.api.Test;

/**
 * One column small enough for pencil and paper: level for 600, down at 30 degrees for 400, level again for 200, all in
 * the plane of
 * the wheel. Every figure below is worked out beside it.
 */
class ByHandTest {

    private static final double COS30 = Math.sqrt(3) / 2;
    private static final Point FIRST = new Point(-400, 0, 900);
    private static final Point SECOND = new Point(-400 + 400 * COS30, 0, 700);
    private final Rules rules = ShippedRules.CAUTIOUS_ROAD.rules().with(RuleLimit.HEAVY_PULL, 500);
    private final Column column = column(0);

    private static Column column(double clockingDeg) {
        YokeDimensions fork = new YokeDimensions(40, 26);
        return new Column(
                        new SteeringWheel(400, new Point(-1000, 0, 900), new YokeDimensions(30, 20)),
                        List.of(
                                Shaft.round(Id.Kind.SHAFT.first(), "Column shaft", 20, 0, true),
                                Shaft.round(Id.Kind.SHAFT.number(2), "Lower shaft", 20, clockingDeg, true)
                                        .withSlide(Optional.of(new Slide(90, 50, 40))),
                                Shaft.round(Id.Kind.SHAFT.number(3), "Stub", 20, 0, false)),
                        List.of(
                                Joint.single(Id.Kind.JOINT.first(), "Upper", FIRST, 35, fork, fork),
                                Joint.single(Id.Kind.JOINT.number(2), "Lower", SECOND, 35, fork, fork)),
                        new GearInput(new Point(SECOND.x() + 200, 0, 700), new YokeDimensions(10, 10)))
                .withTube(Optional.of(new ColumnTube(45, 50, 500, 80)));
    }

    private ColumnFigures figures(Column c) {
        return ColumnFigures.of(Job.of(
                        "hand",
                        new Plan(
                                DemoJob.BOG_TENDER.job().vehicle(),
                                Optional.of(c),
                                Optional.empty(),
                                DemoJob.BOG_TENDER.job().targets()))
                .withRules(rules));
    }

    @Test
    void anglesLengthsAndCutsMatchHandFigures() {
        ColumnFigures f = figures(column);
        assertThat(f.jointAnglesDeg()).allSatisfy(a -> assertThat(a).isCloseTo(30, within(1e-9)));
        assertThat(f.shaftLengths().get(1)).isCloseTo(400, within(1e-9));
        // 600 less the hub's 30 − 20 and the fork's 40 − 26; 400 less twice 14.
        assertThat(f.cutLengths().get(0)).isCloseTo(576, within(1e-9));
        assertThat(f.cutLengths().get(1)).isCloseTo(372, within(1e-9));
    }

    @Test
    void alignedForksCancelAndCrossedForksAdd() {
        ColumnFigures.Turning even = figures(column).turning().orElseThrow();
        assertThat(even.transfer().ripplePct()).isCloseTo(0, within(1e-9));
        assertThat(even.transfer().positionErrorDeg()).isCloseTo(0, within(1e-6));
        // Each alone: 100 (1/cos 30 − cos 30) = 28.87 %.
        assertThat(even.shares())
                .allSatisfy(s -> assertThat(s.ownPct()).isCloseTo(100 * (1 / COS30 - COS30), within(1e-9)));
        assertThat(even.shares())
                .allSatisfy(s -> assertThat(s.withoutPct()).isCloseTo(100 * (1 / COS30 - COS30), within(1e-9)));
        // Crossed the ratio runs from cos² to 1/cos², three quarters to four thirds.
        ColumnFigures.Turning crossed = figures(column(90)).turning().orElseThrow();
        assertThat(crossed.transfer().ratioMin()).isCloseTo(0.75, within(1e-12));
        assertThat(crossed.transfer().ratioMax()).isCloseTo(4.0 / 3, within(1e-12));
        assertThat(crossed.best().ripplePct()).isCloseTo(0, within(1e-9));
        assertThat(Math.IEEEremainder(crossed.best().clockingDeg().getFirst(), 180))
                .isCloseTo(0, within(1e-6));
        // Quarter of a turn on 20 mm is 5π round it.
        assertThat(ForkMark.of(column, 1, 90).arc()).isCloseTo(5 * Math.PI, within(1e-9));
    }

    @Test
    void loadsMatchHandFigures() {
        var load = figures(column).load().orElseThrow();
        // 500 N at 200 mm; past the first joint at most over cos 30; past both the wheel's again.
        assertThat(load.wheelTorque()).isEqualTo(100_000);
        assertThat(load.shafts().get(1).torque()).isCloseTo(100_000 / COS30, within(1e-6));
        assertThat(load.shafts().get(2).torque()).isCloseTo(100_000, within(1e-4));
        // The column shaft is bent by T tan 30; with the torque, by von Mises: 32 / (π d³) √(M² + ¾ T²).
        double m = 100_000 * Math.tan(Math.PI / 6);
        assertThat(load.shafts().get(0).bending()).isCloseTo(m, within(1e-6));
        assertThat(load.shafts().get(0).stressMpa())
                .isCloseTo(32 / (Math.PI * 8000) * Math.sqrt(m * m + 0.75 * 1e10), within(1e-6));
        // 600 mm of 20 mm bar twist by T L / (G J).
        assertThat(load.shafts().get(0).twistDeg())
                .isCloseTo(Math.toDegrees(100_000 * 600 / (80_000 * Math.PI * 160_000 / 32)), within(1e-9));
    }

    @Test
    void supportsAndCollapseMatchHandFigures() {
        ColumnFigures f = figures(column);
        assertThat(f.supports().held()).containsExactly(true, true, true);
        // Between the tube's bearings 450; past the upper one 50, counted double; past the lower one 100 to the joint.
        assertThat(f.spans().get(0).length()).isEqualTo(450);
        assertThat(f.spans().get(1).length()).isCloseTo(400, within(1e-9));
        // The slide's 40: the tube's 80 take a shaft with them that does not slide. Two bends of 30.
        assertThat(f.push().stroke()).isEqualTo(40);
        assertThat(f.push().kinkDeg()).isCloseTo(60, within(1e-9));
    }

    @Test
    void tiltAndReachMatchHandFigures() {
        // Tilted up by 10 about the first joint, the hub rises and the column points down by 10 into a joint that falls
        // by 30: 20 are left.
        Column up = column.withWheel(column.wheel().withAdjustment(new Adjustment(0, 0, 10, 0, Optional.empty())));
        assertThat(ColumnRange.pointsAt(up, 0, 10).getFirst().z())
                .isCloseTo(900 + 600 * Math.sin(Math.toRadians(10)), within(1e-9));
        assertThat(figures(up).range().joints().getFirst().worstDeg()).isCloseTo(30, within(1e-9));
        Column down = column.withWheel(column.wheel().withAdjustment(new Adjustment(0, 0, 0, 10, Optional.empty())));
        assertThat(figures(down).range().joints().getFirst().worstDeg()).isCloseTo(40, within(1e-9));
        assertThat(figures(down).range().joints().getFirst().at()).isEqualTo("wheel tilted down");
        // Reached in by 30 the first joint goes along: the lower shaft must close by 400 − √((400 cos 30 − 30)² +
        // 200²).
        Column in = column.withWheel(column.wheel().withAdjustment(new Adjustment(30, 0, 0, 0, Optional.empty())));
        double left = Math.hypot(400 * COS30 - 30, 200);
        assertThat(figures(in).range().shafts().get(1).shortest()).isCloseTo(left, within(1e-9));
        assertThat(figures(in).range().shafts().get(1).freeStroke().orElseThrow())
                .isCloseTo(40 - (400 - left), within(1e-9));
        assertThat(figures(in).range().offGear()).isZero();
    }
}

package mildtilt.columnrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.analysis.Analysis;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.FollowingColumn;
import mildtilt.column.Shaft;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.FixedPart;
import mildtilt.job.Job;
import mildtilt.linkage.MountedOn;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.solid.Bounds;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import org.junit.jupiter.api.Test;

/** What the axle's travel does to a column whose gear is on the axle, and what is found in it. */
class AxleFollowingTest {

    private static final Job SPRAYER = DemoJob.VINE_SPRAYER.job();

    /** The same on springs, so that the axle also rises. */
    private static Job sprung() {
        return SPRAYER.editAxle(
                a -> a.withBeam(new Beam.Sprung(new TrackBar(new Point(60, 380, 470), new Point(60, -400, 430)))));
    }

    private static AxleFollowing figures(Job job) {
        return AxleFollowing.of(job).orElseThrow();
    }

    private static List<Finding> of(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == fault)
                .toList();
    }

    /** Every millimetre of roll, or of both wheels' rise, gone through: nothing is more than the figures say. */
    @Test
    void figuresAreTheMostOverAFineSearch() {
        for (Job job : List.of(SPRAYER, sprung())) {
            SteeringTrain train = new SteeringTrain(job);
            Column c = job.column().orElseThrow();
            boolean rolls = job == SPRAYER;
            double turned = 0;
            double ripple = 0;
            double[] angle = new double[2];
            double[] length = {1e9, 0};
            for (int i = -70; i <= 70; i++) {
                for (int j = rolls ? -i : -70; j <= (rolls ? -i : 70); j += 5) {
                    AxlePose pose = train.pose(0, i, j);
                    ColumnTrain now = train.columnAt(pose.stance().gearMove()).orElseThrow();
                    turned = Math.max(turned, Math.abs(pose.gearInputDeg()));
                    ripple = Math.max(ripple, now.transfer().orElseThrow().ripplePct());
                    for (int k = 0; k < 2; k++) {
                        angle[k] = Math.max(angle[k], now.jointAngleDeg(k));
                    }
                    length[0] = Math.min(length[0], now.column().length(1));
                    length[1] = Math.max(length[1], now.column().length(1));
                }
            }
            AxleFollowing f = figures(job);
            ColumnRange range = ColumnRange.of(job);
            assertThat(f.inputTurnDeg()).isGreaterThanOrEqualTo(turned - 1e-9).isCloseTo(turned, within(2e-3));
            assertThat(f.worstRipplePct().orElseThrow())
                    .isGreaterThanOrEqualTo(ripple - 1e-9)
                    .isCloseTo(ripple, within(2e-3));
            for (int k = 0; k < 2; k++) {
                assertThat(range.joints().get(k).worstDeg())
                        .isGreaterThanOrEqualTo(angle[k] - 1e-9)
                        .isCloseTo(angle[k], within(2e-3));
                assertThat(range.joints().get(k).at()).contains("axle");
            }
            ColumnRange.ShaftRange sliding = range.shafts().get(1);
            assertThat(sliding.shortest()).isLessThanOrEqualTo(length[0] + 1e-9).isCloseTo(length[0], within(0.02));
            assertThat(sliding.longest())
                    .isGreaterThanOrEqualTo(length[1] - 1e-9)
                    .isCloseTo(length[1], within(0.02));
            assertThat(sliding.leastOverlap()).contains(110 - (sliding.longest() - c.length(1)));
            // The shafts on either side keep their length.
            for (int s : new int[] {0, 2}) {
                assertThat(range.shafts().get(s).mustSlide()).isFalse();
            }
        }
    }

    @Test
    void gearOnTheFrameHasNoneOfIt() {
        Job framed = SPRAYER.editAxle(a -> a.withStatedGearOn(Optional.of(MountedOn.FRAME)));
        assertThat(AxleFollowing.of(framed)).isEmpty();
        assertThat(ColumnRange.of(framed).shafts()).noneMatch(ColumnRange.ShaftRange::mustSlide);
        assertThat(new SteeringTrain(framed).pose(90, 60, -60).gearInputDeg())
                .isEqualTo(new SteeringTrain(framed).pose(90, 0, 0).gearInputDeg());
    }

    /** Steering by itself: what the axle's roll turns the rack's input by goes to the wheels. */
    @Test
    void rolledAxleSteersByWhatItsColumnTurns() {
        SteeringTrain train = new SteeringTrain(SPRAYER);
        AxlePose rolled = train.pose(0, 60, -60);
        double input = rolled.gearInputDeg();
        assertThat(Math.abs(input)).isGreaterThan(2);
        // The wheel turned back by as much as the column's ripple makes of it: the input is where it was.
        double back = 0;
        for (int i = 0; i < 8; i++) {
            back -= train.pose(back, 60, -60).gearInputDeg();
        }
        assertThat(train.pose(back, 60, -60).gearInputDeg()).isCloseTo(0, within(1e-9));
        double still = train.pose(0, 0, 0).assembled().orElseThrow().meanSteerDeg();
        assertThat(train.pose(back, 60, -60).assembled().orElseThrow().meanSteerDeg())
                .isCloseTo(still, within(0.05));
        assertThat(rolled.assembled().orElseThrow().meanSteerDeg() - still).isNotCloseTo(0, within(0.1));
    }

    @Test
    void steeringWheelIsHeldAtTheEndOfTheGearWhereverTheAxleIs() {
        SteeringTrain train = new SteeringTrain(SPRAYER);
        double end = Math.toDegrees(train.axle().orElseThrow().gearInputStop());
        double wheel = train.stopDeg(Side.LEFT).orElseThrow();
        for (double roll : new double[] {-70, -20, 0, 35, 70}) {
            assertThat(train.pose(wheel, roll, -roll).gearInputDeg()).isLessThanOrEqualTo(end + 1e-9);
            assertThat(train.pose(wheel, roll, -roll).gearInputDeg()).isGreaterThan(end - 6);
        }
    }

    @Test
    void housingAndLastJointAreDrawnWhereTheAxleTakesThem() {
        SteeringTrain train = new SteeringTrain(SPRAYER);
        VehicleSolids solids = VehicleSolids.of(SPRAYER);
        AxlePose pose = train.pose(0, 70, -70);
        RigidMove move = pose.stance().gearMove();
        for (Id id : List.of(FixedPart.RACK_HOUSING.called().id(), Id.Kind.JOINT.number(2))) {
            Bounds was = bounds(solids, Optional.of(train.pose(0, 0, 0)), id, 0);
            Bounds now = bounds(solids, Optional.of(pose), id, 70);
            Point middle = new Point(
                    (was.minX() + was.maxX()) / 2, (was.minY() + was.maxY()) / 2, (was.minZ() + was.maxZ()) / 2);
            Point moved = move.moved(middle);
            assertThat(moved.distanceTo(middle)).isGreaterThan(4);
            assertThat(new Point(
                                    (now.minX() + now.maxX()) / 2,
                                    (now.minY() + now.maxY()) / 2,
                                    (now.minZ() + now.maxZ()) / 2)
                            .distanceTo(moved))
                    .as(id.toString())
                    .isLessThan(2);
        }
    }

    private static Bounds bounds(VehicleSolids solids, Optional<AxlePose> pose, Id id, double left) {
        return solids.at(pose, left, -left).stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow()
                .solid()
                .bounds();
    }

    private static Job edited(UnaryOperator<Column> edit) {
        return SPRAYER.editColumn(edit);
    }

    @Test
    void rigidShaftBetweenFrameAndAxleMustSlide() {
        Job rigid = edited(c -> c.editShaft(1, s -> s.withSlide(Optional.empty())));
        assertThat(of(rigid, Fault.MUST_SLIDE)).singleElement().satisfies(f -> {
            assertThat(f.severity()).isEqualTo(Severity.STOP);
            assertThat(f.why().toString()).contains("axle's travel");
            Job cured = f.remedies().getFirst().edit().apply(rigid);
            assertThat(of(cured, Fault.MUST_SLIDE)).isEmpty();
            assertThat(of(cured, Fault.SLIDE_SHORT)).isEmpty();
        });
    }

    @Test
    void columnWithOneJointCantFollow() {
        Job one = edited(
                c -> TrainEdits.withoutJoint(c, 0).withShaft(0, bare(c.shafts().getFirst())));
        List<Finding> found = of(one, Fault.CAN_NOT_FOLLOW);
        assertThat(found).singleElement().satisfies(f -> assertThat(f.severity())
                .isEqualTo(Severity.STOP));
        assertThat(found.getFirst().what().toString()).contains("axle's travel");
        assertThat(AxleFollowing.of(one)).isEmpty();
    }

    private static Shaft bare(Shaft s) {
        return s.withSlide(Optional.empty());
    }

    @Test
    void bearingThatStaysBehindIsAStopAndOneOnTheAxleIsNot() {
        Bearing steady = Bearing.planned(
                Id.Kind.BEARING.first(), "Steady", Bearing.Kind.PILLOW_BLOCK, Bearing.Mount.FRAME, 1, 500, 22);
        Job behind = edited(c -> c.withBearings(List.of(steady)));
        List<Finding> found = of(behind, Fault.BEARING_FORCED);
        assertThat(found).singleElement().satisfies(f -> {
            assertThat(f.severity()).isEqualTo(Severity.STOP);
            Remedy off = f.remedies().getFirst();
            assertThat(of(off.edit().apply(behind), Fault.BEARING_FORCED)).isEmpty();
        });
        // On the stub it goes along with the gear, if it is bolted to the axle, too.
        Job along = edited(c -> c.withBearings(
                List.of(steady.on(2, 60).withMount(Bearing.Mount.AXLE).withBore(17))));
        assertThat(figures(along).carried()).isEmpty();
        assertThat(figures(edited(c -> c.withBearings(List.of(steady.on(2, 60).withBore(17)))))
                        .carried())
                .singleElement()
                .satisfies(x -> assertThat(x.off()).isGreaterThan(5));
    }

    @Test
    void rackOnABeamOfWhichNobodySaidWhereItSitsIsAskedFor() {
        Job unsaid = SPRAYER.editAxle(a -> a.withStatedGearOn(Optional.empty()));
        assertThat(of(unsaid, Fault.GEAR_ASSUMED_ON_FRAME)).singleElement().satisfies(f -> {
            Job said = f.remedies().getFirst().edit().apply(unsaid);
            assertThat(said).isEqualTo(SPRAYER);
            assertThat(of(said, Fault.GEAR_ASSUMED_ON_FRAME)).isEmpty();
        });
        assertThat(FollowingColumn.canFollow(SPRAYER.column().orElseThrow())).isTrue();
    }
}

package mildtilt.travel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import mildtilt.MixedVehicles;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.Job;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.BarTilt;
import mildtilt.linkage.beam.BeamPart;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.obstacle.Surroundings;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.KnucklePose;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SwingBeam;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Ball joints, top mounts and link ends, each against what its own geometry says by hand. */
class JointTiltTest {

    private static final double[] TRAVELS = {-55, -20, 0, 30, 65};

    private static Job with(Job job, CornerPoint at, double allowed) {
        return job.withSurroundings(Surroundings.NONE)
                .editAxle(a -> a.withCorner(
                        Side.LEFT, a.left().withJoint(at, Optional.of(JointTilt.square(a.left(), at, allowed)))));
    }

    private static Bound left(Job job, CornerPoint at) {
        return Bounds.of(job, new SteeringTrain(job)).stream()
                .filter(b -> b.name().equals("left " + at.label()))
                .findFirst()
                .orElseThrow();
    }

    private static Suspension suspension(Job job) {
        return job.axle().orElseThrow().left().suspension();
    }

    /** How far a point has turned about an axis, by its feet on it. */
    private static double turned(Axis axis, Point was, Point now) {
        Vector a = was.minus(axis.footOf(was));
        Vector b = now.minus(axis.footOf(now));
        return Math.atan2(axis.direction().dot(a.cross(b)), a.dot(b));
    }

    @Test
    void aBallJointTiltsByWhatTheArmSwingsAgainstTheSteerAxis() {
        Job job = with(DemoJob.MARSH_CARRIER.job(), CornerPoint.LOWER_BALL_JOINT, 20);
        DoubleWishbone w = (DoubleWishbone) suspension(job);
        Axis hinge = Axis.through(w.lowerInnerRear(), w.lowerInnerFront());
        Direction stud = w.steerAxis().direction();
        SteeringTrain train = new SteeringTrain(job);
        Bound b = left(job, CornerPoint.LOWER_BALL_JOINT);
        for (double sw : new double[] {-300, 0, 250}) {
            for (double z : TRAVELS) {
                AxlePose pose = train.pose(sw, z, z);
                KnucklePose k = pose.assembled().orElseThrow().left();
                Vector housing =
                        hinge.direction().turn(stud.vector(), turned(hinge, w.lowerBallJoint(), k.steerAxisLow()));
                double byHand =
                        Math.toDegrees(k.steerAxisHigh().minus(k.steerAxisLow()).angleTo(housing));
                assertThat(b.value().applyAsDouble(pose)).isCloseTo(byHand, within(1e-5));
            }
        }
        assertThat(b.value().applyAsDouble(train.pose(300, 0, 0)))
                .as("steering alone turns it about its stud")
                .isLessThan(1);
    }

    @Test
    void aTopMountTiltsByWhatTheStrutLeans() {
        Job job = with(DemoJob.GARDEN_SHUTTLE.job(), CornerPoint.STRUT_TOP, 12);
        Strut s = (Strut) suspension(job);
        SteeringTrain train = new SteeringTrain(job);
        Bound b = left(job, CornerPoint.STRUT_TOP);
        for (double z : TRAVELS) {
            KnucklePose k = train.pose(90, z, z).assembled().orElseThrow().left();
            double byHand = Math.toDegrees(s.topMount()
                    .minus(k.carried(s.axisLowerPoint()))
                    .angleTo(s.steerAxis().direction().vector()));
            double tilt = b.value().applyAsDouble(train.pose(90, z, z));
            assertThat(tilt).isCloseTo(byHand, within(1e-9));
        }
    }

    @Test
    void theJointOfARadiusArmTiltsByTheSwingOfItsBeam() {
        Job job = with(DemoJob.DUNE_WARDEN.job(), CornerPoint.BEAM_ARM, 12);
        SwingBeam s = (SwingBeam) suspension(job);
        SteeringTrain train = new SteeringTrain(job);
        Bound b = left(job, CornerPoint.BEAM_ARM);
        Direction arm = job.axle().orElseThrow().left().joints().getFirst().axis();
        double off = s.hinge().direction().angleTo(arm);
        for (double z : TRAVELS) {
            KnucklePose k = train.pose(0, z, z).assembled().orElseThrow().left();
            double swing = turned(s.hinge(), s.lower(), k.steerAxisLow());
            // A line at an angle to the axis it turns about: the chord of its end's circle.
            double byHand = Math.toDegrees(2 * Math.asin(Math.sin(off) * Math.abs(Math.sin(swing / 2))));
            assertThat(b.value().applyAsDouble(train.pose(0, z, z))).isCloseTo(byHand, within(1e-6));
        }
        assertThat(b.value().applyAsDouble(train.pose(0, 65, 65))).isGreaterThan(2);
    }

    @Test
    void aLinkTiltsFromSquareToItsBolt() {
        Job job = with(MixedVehicles.RACK_ON_STRUTS_AND_LINKS.job(), CornerPoint.LOWER_INNER_FRONT, 20);
        SplitLinks l = (SplitLinks) suspension(job);
        Direction bolt = job.axle().orElseThrow().left().joints().getFirst().axis();
        SteeringTrain train = new SteeringTrain(job);
        Bound b = left(job, CornerPoint.LOWER_INNER_FRONT);
        assertThat(b.value().applyAsDouble(train.pose(0, 0, 0))).isLessThan(1e-6);
        for (double z : TRAVELS) {
            AxlePose pose = train.pose(0, z, z);
            Vector link = pose.assembled()
                    .orElseThrow()
                    .left()
                    .carried(l.lowerFront().outer())
                    .minus(l.lowerFront().inner());
            assertThat(b.value().applyAsDouble(pose))
                    .isCloseTo(Math.abs(90 - Math.toDegrees(link.angleTo(bolt.vector()))), within(1e-9));
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"GARDEN_SHUTTLE", "LIBRARY_BUS", "DUNE_WARDEN"})
    void aJointOverItsTiltIsFoundWhereItIsWorstAndItsSeatIsLeanedToTheMiddle(DemoJob demo) {
        for (CornerPoint at :
                JointTilt.joints(demo.job().axle().orElseThrow().left().suspension())) {
            Job loose = with(demo.job(), at, 89);
            SteeringTrain train = new SteeringTrain(loose);
            double used =
                    TravelFigures.of(loose, train, HeldTravel.of(loose, train), Optional.empty())
                            .orElseThrow()
                            .uses()
                            .stream()
                            .mapToDouble(BoundUse::nearest)
                            .max()
                            .orElseThrow();
            assertThat(used).as("%s %s", demo, at).isGreaterThan(1);
            Job tight = with(demo.job(), at, 0.9 * used);
            List<Finding> found = Analysis.of(tight).findings().stream()
                    .filter(f -> f.fault() == Fault.END_OVER_LIMIT)
                    .toList();
            assertThat(found).as("%s %s", demo, at).isNotEmpty();
            Finding.At where = found.getFirst().at().orElseThrow();
            String side = found.getFirst().what().pattern().startsWith("Left") ? "left " : "right ";
            double there = Bounds.of(tight, new SteeringTrain(tight)).stream()
                    .filter(b -> b.name().startsWith(side))
                    .findFirst()
                    .orElseThrow()
                    .value()
                    .applyAsDouble(train.pose(where.steeringWheelDeg(), where.travelLeft(), where.travelRight()));
            assertThat(there).isCloseTo(used, within(0.05));
            // Nothing between the places of a fine grid is worse.
            for (double sw = train.stopDeg(Side.RIGHT).orElseThrow() * 0.7; sw < 300; sw += 37) {
                for (double z = -demo.job().vehicle().droop();
                        z <= demo.job().vehicle().bump();
                        z += 7) {
                    AxlePose pose = train.pose(sw, z, z);
                    if (pose.assembled().isPresent()) {
                        assertThat(left(tight, at).value().applyAsDouble(pose)).isLessThan(used + 0.05);
                    }
                }
            }
            found.getFirst().remedies().stream().findFirst().ifPresent(r -> {
                Job cured = r.edit().apply(tight);
                SteeringTrain after = new SteeringTrain(cured);
                assertThat(
                                TravelFigures.of(cured, after, HeldTravel.of(cured, after), Optional.empty())
                                        .orElseThrow()
                                        .uses()
                                        .stream()
                                        .filter(u -> u.bound().name().startsWith(side))
                                        .mapToDouble(BoundUse::nearest)
                                        .max()
                                        .orElseThrow())
                        .isLessThan(used - 0.9);
            });
        }
    }

    @Test
    void aTrackBarTiltsByWhatTheAxleRisesAndByWhatItRolls() {
        Job bog = DemoJob.BOG_TENDER.job().withSurroundings(Surroundings.NONE);
        Bar bar = bog.axle().orElseThrow().beam().orElseThrow().bars().stream()
                .filter(b -> b.part() == BeamPart.TRACK_BAR)
                .findFirst()
                .orElseThrow();
        Job job =
                bog.editAxle(a -> a.withBarTilt(BeamPart.TRACK_BAR, false, Optional.of(BarTilt.square(bar, false, 20)))
                        .withBarTilt(
                                BeamPart.TRACK_BAR,
                                true,
                                Optional.of(new BarTilt(BeamPart.TRACK_BAR, true, Vector.Z.direction(), 20))));
        List<Bound> bounds = Bounds.of(job, new SteeringTrain(job));
        SteeringTrain train = new SteeringTrain(job);
        for (double z : TRAVELS) {
            AxlePose pose = train.pose(0, z, z);
            // Fore and aft through its eye, the bolt stays about square to a bar that swings up and down.
            assertThat(bounds.get(0).value().applyAsDouble(pose)).isLessThan(0.02);
            // Upright through the eye on a beam that does not roll: the slope of the bar.
            double slope = Math.abs(Math.toDegrees(Math.asin(
                    (bar.axleEnd().z() + z - bar.bodyEnd().z()) / bar.axleEnd().distanceTo(bar.bodyEnd()))));
            assertThat(bounds.get(1).value().applyAsDouble(pose)).isCloseTo(slope, within(1e-6));
        }
        // Rolled, the bolt leans with the beam.
        double roll = Math.asin(80 / job.axle().orElseThrow().track());
        Vector bolt = new Vector(0, -Math.sin(roll), Math.cos(roll));
        AxlePose rolled = train.pose(0, 40, -40);
        Vector along = bar.line(RigidMove.between(
                        job.axle().orElseThrow().beamDesign(),
                        rolled.stance().beam().orElseThrow()))
                .get(1)
                .minus(bar.bodyEnd());
        assertThat(bounds.get(1).value().applyAsDouble(rolled))
                .isCloseTo(Math.abs(90 - Math.toDegrees(along.angleTo(bolt))), within(1e-6));
        assertThat(job.axle().orElseThrow().withBeam(Optional.empty()).barTilts())
                .isEmpty();
        assertThatThrownBy(() -> bog.editAxle(a ->
                        a.withBarTilts(List.of(new BarTilt(BeamPart.LEFT_RADIUS_ARM, true, Vector.Y.direction(), 10)))))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage(
                        "This axle has no end of a bar that tilts at: left radius arm, axle end. Leave its tilt out.");
    }

    @Test
    void whatIsGivenOfJointsIsKeptInTheFileAndGoesWithTheSuspension(@TempDir Path folder) throws Exception {
        Job job = with(DemoJob.MARSH_CARRIER.job(), CornerPoint.UPPER_BALL_JOINT, 17);
        Path file = folder.resolve("joints.tilt");
        JobFile.save(file, job);
        assertThat(JobFile.open(file).axle()).isEqualTo(job.axle());
        assertThat(Files.readString(file)).contains("\"upper_ball_joint\"");
        Corner left = job.axle().orElseThrow().left();
        assertThat(left.withSuspension(DemoJob.GARDEN_SHUTTLE
                                .job()
                                .axle()
                                .orElseThrow()
                                .left()
                                .suspension())
                        .joints())
                .isEmpty();
        assertThat(left.mirrored().mirrored()).isEqualTo(left);
        JointTilt top = new JointTilt(CornerPoint.STRUT_TOP, 10, Vector.Z.direction(), Optional.empty());
        assertThatThrownBy(() -> left.withJoint(CornerPoint.STRUT_TOP, Optional.of(top)))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage("This suspension has no joint that tilts at: strut top mount. Leave its tilt out.");
    }
}

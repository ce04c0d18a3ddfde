package mildtilt.steer.position;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.job.PointId;
import mildtilt.linkage.SteeredAxle;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerFigures.Sense;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.TurnGeometry;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;

class SteeringTrainTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static RackAndPinion rack(Job job) {
        return (RackAndPinion) job.axle().orElseThrow().gear();
    }

    private static Job withRack(Job job, RackAndPinion rack) {
        return job.editAxle(a -> a.withGear(rack));
    }

    private static SteerFigures figures(Job job) {
        return SteerSweep.of(new SteeringTrain(job), job, Grid.USUAL).orElseThrow();
    }

    @Test
    void linksKeepTheirLength() {
        // An askew rack off centre and a right side of its own: nothing may lean on symmetry.
        RackAndPinion r = rack(demo);
        RackAndPinion askew = new RackAndPinion(
                r.centre().plus(new Vector(4, 17, -6)),
                Direction.along(0.03, 1, 0.05),
                r.pivotSpacing(),
                r.travelPerLeftTurn(),
                r.travelEachWay());
        SteeredAxle axle = demo.axle().orElseThrow();
        Knuckle k = axle.corner(Side.RIGHT).knuckle();
        SteeredAxle own = SteeredAxle.rack(
                askew,
                axle.left(),
                Optional.of(axle.corner(Side.RIGHT)
                        .withKnuckle(k.withTieRodPoint(k.tieRodPoint().plus(new Vector(9, 12, 5))))));
        Job job = demo.withAxle(own);
        SteeringTrain train = new SteeringTrain(job);
        Random random = new Random(3);
        for (int i = 0; i < 500; i++) {
            double sw = (random.nextDouble() * 2 - 1)
                    * Math.abs(train.stopDeg(Side.RIGHT).orElseThrow())
                    * 0.98;
            double left = random.nextDouble() * 130 - 60;
            double right = random.nextDouble() * 130 - 60;
            AxlePose.Assembled pose = train.pose(sw, left, right).assembled().orElseThrow();
            check(own, pose.left(), left);
            check(own, pose.right(), right);
        }
    }

    private static void check(SteeredAxle axle, KnucklePose p, double travel) {
        DoubleWishbone w = (DoubleWishbone) axle.corner(p.side()).suspension();
        Knuckle k = axle.corner(p.side()).knuckle();
        same(p.steerAxisLow(), w.lowerInnerFront(), w.lowerBallJoint());
        same(p.steerAxisLow(), w.lowerInnerRear(), w.lowerBallJoint());
        same(p.steerAxisHigh(), w.upperInnerFront(), w.upperBallJoint());
        same(p.steerAxisHigh(), w.upperInnerRear(), w.upperBallJoint());
        Point inner = ((RackAndPinion) axle.gear()).innerPivot(p.side(), 0);
        assertThat(p.tieRodPoint().distanceTo(p.tieRodInner()))
                .isCloseTo(k.tieRodPoint().distanceTo(inner), within(1e-9));
        // The knuckle is rigid: its points keep their distances to each other.
        rigid(p.steerAxisLow(), p.tieRodPoint(), w.lowerBallJoint(), k.tieRodPoint());
        rigid(p.steerAxisHigh(), p.tieRodPoint(), w.upperBallJoint(), k.tieRodPoint());
        rigid(p.steerAxisLow(), p.steerAxisHigh(), w.lowerBallJoint(), w.upperBallJoint());
        rigid(p.steerAxisLow(), p.wheelCentre(), w.lowerBallJoint(), k.wheelCentre());
        rigid(p.steerAxisHigh(), p.wheelCentre(), w.upperBallJoint(), k.wheelCentre());
        rigid(p.tieRodPoint(), p.wheelCentre(), k.tieRodPoint(), k.wheelCentre());
        assertThat(p.wheelCentre().z()).isCloseTo(k.wheelCentre().z() + travel, within(1e-9));
        assertThat(p.spin().norm()).isCloseTo(1, within(1e-12));
    }

    private static void same(Point now, Point pivot, Point design) {
        assertThat(now.distanceTo(pivot)).isCloseTo(design.distanceTo(pivot), within(1e-9));
    }

    private static void rigid(Point a, Point b, Point designA, Point designB) {
        assertThat(a.distanceTo(b)).isCloseTo(designA.distanceTo(designB), within(1e-9));
    }

    @Test
    void columnDrivesTheSteering() {
        SteeringTrain train = new SteeringTrain(demo);
        double gear = train.gearInputDeg(200);
        assertThat(gear).isNotCloseTo(200, within(5.0));
        // The rack goes where the gear's input says, and the stop is where the wheel brings it to its end.
        double stop = train.stopDeg(Side.LEFT).orElseThrow();
        assertThat(rack(demo).displacementAt(Math.toRadians(train.gearInputDeg(stop))))
                .isCloseTo(-76, within(1e-9));
        assertThat(train.pose(stop, 0, 0).assembled()).isPresent();
        CannotAssemble over = train.pose(stop + 5, 0, 0).obstacle().orElseThrow();
        assertThat(over.reason()).isEqualTo(Reason.GEAR_END);
        assertThat(over.sentence()).contains("rack").contains("mm more than it has");
        // Without a column the hands are on the gear's input itself.
        Job bare = Job.of("bare", new Plan(demo.vehicle(), Optional.empty(), demo.axle(), demo.targets()));
        assertThat(new SteeringTrain(bare).gearInputDeg(200)).isEqualTo(200);
    }

    @Test
    void flippedRackSteersTheWrongWay() {
        assertThat(figures(demo).sense()).isEqualTo(Sense.RIGHT_WAY);
        SteerFigures reversed = figures(withRack(demo, rack(demo).withTravelPerLeftTurn(55)));
        assertThat(reversed.sense()).isEqualTo(Sense.WRONG_WAY);
        assertThat(reversed.ratioAtCentre().orElseThrow()).isNegative();
        assertThat(reversed.leftReach().turn().turned()).isEqualTo(Side.RIGHT);
        // One arm on the wrong side of its axis: the wheels go against each other.
        SteeredAxle axle = demo.axle().orElseThrow();
        Knuckle k = axle.corner(Side.RIGHT).knuckle();
        SteeredAxle crossed = SteeredAxle.rack(
                (RackAndPinion) axle.gear(),
                axle.left(),
                Optional.of(axle.corner(Side.RIGHT)
                        .withKnuckle(
                                k.withTieRodPoint(new Point(150, k.tieRodPoint().y(), 330)))));
        assertThat(figures(demo.withAxle(crossed)).sense()).isEqualTo(Sense.AGAINST_EACH_OTHER);
    }

    @Test
    void unreachableLinkIsNamedWithShortfall() {
        // Short arms and a long rack: the arm comes into line before the rack ends.
        PointId arm = new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT);
        Job shortArms = JobPoints.moved(demo, arm, new Point(-80, 612, 330));
        SteerFigures s = figures(shortArms);
        assertThat(s.leftReach().byToggle()).isTrue();
        SteeringTrain train = new SteeringTrain(shortArms);
        assertThat(train.pose(s.leftReach().reachedDeg(), 0, 0).assembled()).isPresent();
        CannotAssemble why =
                train.pose(s.leftReach().reachedDeg() + 2, 0, 0).obstacle().orElseThrow();
        assertThat(why.part()).endsWith("tie rod");
        assertThat(why.reason()).isEqualTo(Reason.LINK);
        assertThat(Math.abs(why.amount())).isBetween(1e-6, 2.0);
        // More travel than the arms have.
        CannotAssemble far = train.pose(0, 900, 0).obstacle().orElseThrow();
        assertThat(far.sentence()).contains("left");
        assertThat(far.amount()).isFinite();
    }

    @Test
    void mirrorImagesTurnEqually() {
        SteeringTrain train =
                new SteeringTrain(Job.of("m", new Plan(demo.vehicle(), Optional.empty(), demo.axle(), demo.targets())));
        AxlePose.Assembled left = train.pose(170, 20, -10).assembled().orElseThrow();
        AxlePose.Assembled right = train.pose(-170, -10, 20).assembled().orElseThrow();
        assertThat(left.left().steerDeg()).isCloseTo(-right.right().steerDeg(), within(1e-9));
        assertThat(left.right().camberDeg()).isCloseTo(right.left().camberDeg(), within(1e-9));
        assertThat(left.left().scrubRadius()).isCloseTo(right.right().scrubRadius(), within(1e-9));
    }

    @Test
    void ackermannAndTurningCircleMatchKnownTurns() {
        // Wheels that roll about one point are at 100 percent; parallel wheels at 0.
        double inner = 25;
        double w = 1300;
        double l = 2400;
        double outer = Math.toDegrees(Math.atan(1 / (1 / Math.tan(Math.toRadians(inner)) + w / l)));
        assertThat(new TurnGeometry(0, inner, outer, l, 0, w, 1500)
                        .ackermannPct()
                        .orElseThrow())
                .isCloseTo(100, within(1e-9));
        assertThat(new TurnGeometry(0, -outer, -inner, l, 0, w, 1500)
                        .ackermannPct()
                        .orElseThrow())
                .isCloseTo(100, within(1e-9));
        assertThat(new TurnGeometry(0, inner, inner, l, 0, w, 1500)
                        .ackermannPct()
                        .orElseThrow())
                .isZero();
        assertThat(new TurnGeometry(0, 0.1, 0.1, l, 0, w, 1500).turningCircle()).isEmpty();
        // At 45 degrees both, the radius is the wheelbase.
        assertThat(new TurnGeometry(0, 45, 45, l, 0, w, 0).turningCircle().orElseThrow())
                .isCloseTo(2 * Math.hypot(l, l), within(1e-6));
    }

    /** Four wheels that all stand square to the lines from one point: to the side, and behind the front axle. */
    @Test
    void rearSteerTurnsAboutThePointAllWheelsRollAbout() {
        double l = 2500;
        double w = 1400;
        for (double back : new double[] {900, 1250, 1800, 3400}) {
            for (double aside : new double[] {2600, 6000, 40_000}) {
                double inner = Math.toDegrees(Math.atan(back / (aside - w / 2)));
                double outer = Math.toDegrees(Math.atan(back / (aside + w / 2)));
                double mean = Math.toRadians((inner + outer) / 2);
                double times = Math.atan(Math.tan(mean) * (l - back) / back) / mean;
                for (TurnGeometry t : List.of(
                        new TurnGeometry(0, inner, outer, l, times, w, 1500),
                        new TurnGeometry(0, -outer, -inner, l, times, w, 1500))) {
                    assertThat(t.turnsAbout()).isCloseTo(back, within(1e-9));
                    assertThat(t.idealOuterDeg()).isCloseTo(outer, within(1e-9));
                    assertThat(t.ackermannPct().orElseThrow()).isCloseTo(100, within(1e-6));
                    assertThat(t.turnRadius().orElseThrow()).isCloseTo(aside, within(1e-6));
                    assertThat(t.turningCircle().orElseThrow())
                            .isCloseTo(2 * Math.hypot(aside + 750, Math.max(back, l - back)), within(1e-6));
                    assertThat(t.rearDeg(true).orElseThrow())
                            .isCloseTo(Math.toDegrees(Math.atan((l - back) / (aside - w / 2))), within(1e-9));
                    assertThat(t.rearDeg(false).orElseThrow())
                            .isCloseTo(Math.toDegrees(Math.atan((l - back) / (aside + w / 2))), within(1e-9));
                }
            }
        }
        TurnGeometry both = new TurnGeometry(0, 30, 30, l, 1, w, 1500);
        assertThat(both.turnsAbout()).as("as far the other way: half-way").isCloseTo(l / 2, within(1e-9));
        assertThat(new TurnGeometry(0, 1e-9, 1e-9, l, 1, w, 1500).turnsAbout()).isCloseTo(l / 2, within(1e-9));
        assertThat(new TurnGeometry(0, 30, 30, l, 0, w, 1500).rearDeg(true)).isEmpty();
    }
}

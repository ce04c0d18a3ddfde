package mildtilt.travel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.PartEnd;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.TravelMap;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Parts between two ends and what ends the travel, by hand and against a fine search. */
class TravelTest {

    /** Wishbones and a rack, with nothing in the way. */
    private static final Job WISHBONES = bare(DemoJob.MARSH_CARRIER.job());

    private static final Job BEAM = bare(DemoJob.BOG_TENDER.job());

    private static Job bare(Job job) {
        return job.withSurroundings(Surroundings.NONE);
    }

    private static Job with(Job job, Shape shape) {
        return job.editSurroundings(s -> s.with(Obstacle.fixed("probe", shape)));
    }

    private static List<BoundUse> uses(Job job) {
        SteeringTrain train = new SteeringTrain(job);
        return TravelFigures.of(job, train, HeldTravel.of(job, train), Optional.empty())
                .orElseThrow()
                .uses();
    }

    private static BoundUse use(Job job, Bound.Kind kind) {
        return uses(job).stream()
                .filter(u -> u.bound().kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static TravelFigures figures(Job job) {
        return Analysis.of(job).travel().orElseThrow();
    }

    private static Optional<Finding> found(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == fault)
                .findFirst();
    }

    private static Job with(Job job, CarriedStart start) {
        Obstacle o = start.on(job).orElseThrow();
        return job.editSurroundings(s -> s.with(o));
    }

    @Test
    void aDamperAlongTheRackIsPulledByAsMuchAsTheRackMoves() {
        RackAndPinion rack = (RackAndPinion) WISHBONES.axle().orElseThrow().gear();
        Point on = rack.centre().plus(new Vector(40, 0, 0));
        Job job = with(
                WISHBONES,
                new TwoEnded.Damper(
                        PartEnd.on(Carrier.FRAME, on.plus(rack.axis().times(-350))),
                        PartEnd.on(Carrier.RACK_BAR, on),
                        40,
                        300,
                        360));
        SteeringTrain train = new SteeringTrain(job);
        double lock = Math.abs(rack.displacementAt(Math.toRadians(
                train.pose(train.stopDeg(Side.LEFT).orElseThrow(), 0, 0).gearInputDeg())));
        BoundUse longest = use(job, Bound.Kind.LONGEST);
        BoundUse shortest = use(job, Bound.Kind.SHORTEST);
        assertThat(longest.atRest()).isCloseTo(350, within(1e-9));
        assertThat(longest.nearest()).isLessThanOrEqualTo(350 + lock + 1e-9).isGreaterThan(350 + lock * 0.8);
        // What it is pulled out to one way it is pushed in to the other.
        assertThat(shortest.farthest()).isCloseTo(longest.nearest(), within(1.0));
        assertThat(longest.margin()).isCloseTo(360 - longest.nearest(), within(1e-12));
        TravelMap map = Analysis.of(job).map().orElseThrow();
        assertThat(map.cell(map.steeringWheelDeg().size() / 5, 0).limit())
                .as("the map says what ends it")
                .isEqualTo(Limit.PART_ENDS);
        assertThat(map.cell(map.steeringWheelDeg().size() / 2, 0).limit()).isNotEqualTo(Limit.PART_ENDS);
        Finding f = found(job, Fault.LENGTH_RUNS_OUT).orElseThrow();
        assertThat(f.severity()).isEqualTo(Severity.STOP);
        assertThat(f.what().text(LengthUnit.MM)).startsWith("Probe would have to be ");
        assertThat(f.remedies()).hasSize(1);
        Job cured = f.remedies().getFirst().edit().apply(job);
        assertThat(use(
                                cured,
                                f.what().text(LengthUnit.MM).contains("pulled out")
                                        ? Bound.Kind.LONGEST
                                        : Bound.Kind.SHORTEST)
                        .margin())
                .isBetween(5.0 - 1e-6, 6.0);
    }

    @Test
    void aDamperOnAnArmFollowsTheLawOfCosines() {
        DoubleWishbone w =
                (DoubleWishbone) WISHBONES.axle().orElseThrow().left().suspension();
        Axis hinge = Axis.through(w.lowerInnerRear(), w.lowerInnerFront());
        Point foot = w.lowerBallJoint();
        Point middle = hinge.footOf(foot);
        // Both ends in the plane square to the hinge through the ball joint.
        Vector out = foot.minus(middle);
        Vector up = hinge.direction().cross(out);
        Point top = middle.plus(out.times(0.5)).plus(up.times(up.z() > 0 ? 1.2 : -1.2));
        Job job = with(
                WISHBONES,
                new TwoEnded.Damper(
                        PartEnd.on(Carrier.FRAME, top), PartEnd.on(Carrier.LEFT_LOWER_ARM, foot), 40, 10, 2000));
        double a = top.distanceTo(middle);
        double b = out.norm();
        Bound longest = Bounds.of(job, new SteeringTrain(job)).getFirst();
        SteeringTrain train = new SteeringTrain(job);
        for (double z : new double[] {-55, -20, 0, 33, 70}) {
            AxlePose pose = train.pose(120, z, z);
            KnucklePose k = pose.assembled().orElseThrow().left();
            double between = top.minus(middle).angleTo(k.steerAxisLow().minus(middle));
            assertThat(longest.value().applyAsDouble(pose))
                    .isCloseTo(Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(between)), within(1e-8));
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "GARDEN_SHUTTLE", "BOG_TENDER", "LOG_HAULER", "DUNE_WARDEN", "REED_SKIMMER"})
    void aStrapSetForATravelEndsDroopThereAndAllElseIsJudgedUpToThere(DemoJob demo) {
        Job job = with(bare(demo.job()), CarriedStart.LIMIT_STRAP);
        double stated = job.vehicle().droop();
        double wanted = 0.55 * stated;
        Job set = TravelStop.set(job, 0, wanted);
        assertThat(TravelStop.left(set, 0).orElseThrow()).isCloseTo(wanted, within(1e-6));
        HeldTravel held = HeldTravel.of(set, new SteeringTrain(set));
        assertThat(held.droop()).isBetween(wanted - 1e-6, stated);
        assertThat(held.droopBy()).contains("left strap");
        assertThat(held.bump()).isEqualTo(job.vehicle().bump());
        Analysis a = Analysis.of(set);
        assertThat(a.job()).isSameAs(set);
        assertThat(a.map().orElseThrow().travels().stream().min(Double::compare).orElseThrow())
                .isCloseTo(-held.droop(), within(1e-9));
        assertThat(a.travel().orElseThrow().threeLocks().get(1).droop().mm()).isCloseTo(wanted, within(1e-3));
        assertThat(a.travel().orElseThrow().threeLocks().get(1).droop().cause())
                .hasValueSatisfying(c -> assertThat(c.what()).isEqualTo("left strap taut"));
        assertThat(a.findings()).noneMatch(f -> f.fault() == Fault.LENGTH_RUNS_OUT);
    }

    @Test
    void aBumpStopEndsBumpWhereItsEndsComeSoNear() {
        Job job = with(BEAM, CarriedStart.BUMP_STOP);
        Job set = TravelStop.set(job, 0, 50);
        assertThat(figures(set).threeLocks().get(1).bump().mm()).isCloseTo(50, within(1e-3));
        assertThat(figures(set).threeLocks().get(1).bump().cause().orElseThrow().what())
                .isEqualTo("left bump stop met");
        assertThat(figures(set).endedEarly()).isFalse();
    }

    @Test
    void aStrapThatIsTautAtRideHeightIsAFault() {
        Job job = TravelStop.set(with(BEAM, CarriedStart.LIMIT_STRAP), 0, 0);
        TwoEnded.Strap strap =
                (TwoEnded.Strap) job.surroundings().obstacles().getFirst().shape();
        Job shorter = job.editSurroundings(s -> s.edit(0, o -> o.withShape(strap.withLength(strap.taut() - 5))));
        assertThat(found(shorter, Fault.LENGTH_RUNS_OUT).orElseThrow().what().text(LengthUnit.MM))
                .contains("straight ahead at ride height already");
        assertThat(TravelStop.left(shorter, 0)).contains(0.0);
        assertThatThrownBy(() -> TravelStop.set(job, 0, 5000))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage("The wheels can't be brought to that travel.");
    }

    /** Looked at every 0.05 mm, with a steering damper whose ends move with the steering and with the wheels. */
    @Test
    void usableTravelIsThatOfAFineSearch() {
        Job job = with(
                WISHBONES,
                new TwoEnded.Damper(
                        PartEnd.on(Carrier.FRAME, new Point(-150, 120, 420)),
                        PartEnd.on(
                                Carrier.LEFT_KNUCKLE,
                                WISHBONES
                                        .axle()
                                        .orElseThrow()
                                        .left()
                                        .knuckle()
                                        .tieRodPoint()
                                        .plus(new Vector(0, 0, 40))),
                        40,
                        390,
                        520));
        SteeringTrain train = new SteeringTrain(job);
        List<Bound> bounds = Bounds.of(job, new SteeringTrain(job));
        int ended = 0;
        for (TravelFigures.Row row : figures(job).rows()) {
            for (int way : new int[] {1, -1}) {
                TravelEnd end = way > 0 ? row.bump() : row.droop();
                double stated = way > 0 ? job.vehicle().bump() : job.vehicle().droop();
                double fine = 0;
                while (fine < stated && free(train, bounds, row.steeringWheelDeg(), way * (fine + 0.05))) {
                    fine += 0.05;
                }
                boolean atRest = free(train, bounds, row.steeringWheelDeg(), 0);
                boolean byDamper =
                        end.cause().filter(c -> c.what().startsWith("probe")).isPresent();
                if (byDamper || end.cause().isEmpty()) {
                    assertThat(end.mm()).isCloseTo(atRest ? Math.min(fine, stated) : 0, within(0.051));
                    ended += byDamper ? 1 : 0;
                }
            }
        }
        assertThat(ended).as("rows that the damper ends").isGreaterThan(3);
    }

    private static boolean free(SteeringTrain train, List<Bound> bounds, double sw, double z) {
        AxlePose pose = train.pose(sw, z, z);
        return pose.assembled().isPresent() && bounds.stream().allMatch(b -> b.margin(pose) >= 0);
    }

    @Test
    void aHoseIsPulledAsFarAsItsEndsAreApart() {
        Job job = with(BEAM, CarriedStart.HOSE);
        TwoEnded.Hose hose =
                (TwoEnded.Hose) job.surroundings().obstacles().getFirst().shape();
        BoundUse use = use(job, Bound.Kind.STRETCHED);
        assertThat(use.atRest()).isCloseTo(hose.from().at().distanceTo(hose.to().at()), within(1e-9));
        assertThat(use.nearest()).isGreaterThan(use.atRest() + 20);
        double exact = use.nearest();
        for (double over : new double[] {-0.5, 0.5}) {
            Job cut = job.editSurroundings(
                    s -> s.edit(0, o -> o.withShape(new TwoEnded.Hose(hose.from(), hose.to(), 12, exact + over, 0))));
            assertThat(found(cut, Fault.LENGTH_RUNS_OUT).isPresent()).isEqualTo(over < 0);
            assertThat(found(cut, Fault.NOT_WORKED_OUT)).isEmpty();
        }
        Job stiff = job.editSurroundings(
                s -> s.edit(0, o -> o.withShape(new TwoEnded.Hose(hose.from(), hose.to(), 12, hose.length(), 400))));
        assertThat(found(stiff, Fault.HOSE_BENT)).isPresent();
    }

    @Test
    void aDamperRakedOnABeamTiltsAsByHandAndItsBracketIsTurnedToTheMiddle() {
        // Straight up over a beam that rises and falls: an eye whose bolt lies fore and aft tilts by how far the damper
        // leans fore and aft.
        Point foot = new Point(-40, 350, 300);
        Point top = new Point(-40 + 120, 350, 620);
        Job job = with(
                BEAM,
                new TwoEnded.Damper(
                        new PartEnd(top, Carrier.FRAME, Optional.of(new EndFit.Eye(Vector.X.direction(), 12))),
                        PartEnd.on(Carrier.AXLE, foot),
                        50,
                        10,
                        1000));
        BoundUse tilt = use(job, Bound.Kind.TILT);
        assertThat(tilt.atRest()).isCloseTo(Math.toDegrees(Math.atan2(120, 320)), within(1e-9));
        assertThat(tilt.nearest()).isGreaterThan(tilt.atRest() + 3);
        BracketAngle turned = tilt.bracket().orElseThrow();
        assertThat(turned.mostDeg()).isLessThan(tilt.nearest() / 3);
        Finding f = found(job, Fault.END_OVER_LIMIT).orElseThrow();
        Job cured = f.remedies().getFirst().edit().apply(job);
        assertThat(use(cured, Bound.Kind.TILT).nearest()).isCloseTo(turned.mostDeg(), within(0.3));
        assertThat(found(cured, Fault.END_OVER_LIMIT)).isEmpty();
    }

    @Test
    void aBallThatSwingsEvenlyBothWaysOfALeanedAxisIsLeanedToTheMiddle() {
        EndFit.Ball upright = new EndFit.Ball(Vector.Z.direction(), 15);
        List<Vector> swing = List.of(lean(-10), lean(0), lean(10), lean(20), lean(30));
        BracketAngle b = BracketAngle.of(upright, swing);
        assertThat(b.mostDeg()).isCloseTo(20, within(0.05));
        assertThat(Math.toDegrees(b.fit().direction().angleTo(lean(10).direction())))
                .isLessThan(1.5);
    }

    private static Vector lean(double deg) {
        return new Vector(Math.sin(Math.toRadians(deg)), 0, Math.cos(Math.toRadians(deg)));
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void aNewPartFitsTheVehicleThatItIsPutOn(DemoJob demo) {
        Job bare = bare(demo.job());
        for (CarriedStart start : CarriedStart.values()) {
            Job job = with(bare, start);
            for (BoundUse u : uses(job)) {
                // What ends the travel does so straight ahead; at a lock it may do so a little sooner.
                assertThat(u.margin())
                        .as("%s %s %s", demo, start, u.bound().kind())
                        .isGreaterThan(u.bound().endsTravel() ? -15 : -1e-9);
            }
            if (start == CarriedStart.LIMIT_STRAP && job.axle().orElseThrow().wheelTravel() != WheelTravel.NONE) {
                assertThat(TravelStop.left(job, 0).orElseThrow())
                        .isCloseTo(job.vehicle().droop(), within(1e-6));
            }
        }
    }

    @Test
    void partsThatStandBetweenTwoEndsAreLookedAtForGapsButNotAgainstWhatHoldsThem() {
        Job job = with(BEAM, CarriedStart.DAMPER);
        assertThat(Analysis.of(job).clearance().orElseThrow().pairs())
                .noneMatch(p -> p.first().equals("left damper") && p.second().equals("axle beam")
                        || p.second().equals("left damper") && p.first().equals("axle beam"));
        Point foot = ((TwoEnded) job.surroundings().obstacles().getFirst().shape())
                .to()
                .at();
        // A tray that the damper's foot rises into, and one that it never reaches.
        Job tray = job.editSurroundings(
                s -> s.with(Obstacle.fixed("tray", new Shape.Box(foot.plus(new Vector(0, 0, 75)), 30, 200, 20))));
        assertThat(Analysis.of(tray).findings()).anyMatch(f -> f.what()
                .text(LengthUnit.MM)
                .toLowerCase(java.util.Locale.ROOT)
                .contains("tray"));
    }
}

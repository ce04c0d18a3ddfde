package mildtilt.clearance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.clearance.bodies.Bodies;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Configuration;
import mildtilt.clearance.bodies.SweptJoint;
import mildtilt.column.Column;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.id.NamedPart;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.job.Element;
import mildtilt.job.FixedPart;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.job.PointId;
import mildtilt.linkage.rods.Rod;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.OwnParts;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.obstacle.Sweep;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.CornerPoint;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The gaps of whole vehicles against the same bodies at random places of the range, and of simple ones against geometry
 * by hand.
 */
class ClearancesTest {

    private static final Job CARRIER = DemoJob.MARSH_CARRIER.job();
    private static final Job BARE = CARRIER.withSurroundings(Surroundings.NONE);

    private static ClearanceFigures figures(Job job) {
        return Clearances.of(job, new SteeringTrain(job)).orElseThrow();
    }

    private static Job with(Job job, Obstacle... all) {
        Surroundings s = job.surroundings();
        for (Obstacle o : all) {
            s = s.with(o);
        }
        return job.withSurroundings(s);
    }

    private static Optional<PairGap> pair(ClearanceFigures f, String a, String b) {
        return f.pairs().stream()
                .filter(p -> p.first().equals(a) && p.second().equals(b)
                        || p.first().equals(b) && p.second().equals(a))
                .findFirst();
    }

    private static PairGap gap(Job job, String a, String b) {
        return pair(figures(job), a, b).orElseThrow(() -> new AssertionError("not near: " + a + ", " + b));
    }

    /** Every demo, and a vehicle whose track bar stands in drag link and pitman arm. */
    static Stream<Arguments> fromFreeToDeepInEachOther() throws Exception {
        try (var in = ClearancesTest.class.getResourceAsStream("/jobs/version-6/bog-tender.tilt")) {
            Job deep = JobReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            return Stream.concat(
                    Stream.of(DemoJob.values()).map(d -> Arguments.of(d.name(), d.job())),
                    Stream.of(Arguments.of("deep", deep)));
        }
    }

    /**
     * No place of the range, however reached, has a smaller gap than the reported one, or a small gap that is not
     * reported.
     */
    @ParameterizedTest
    @MethodSource("fromFreeToDeepInEachOther")
    void reportedGapIsTheMinimumOverTheRange(String name, Job job) {
        ClearanceFigures f = figures(job);
        SweptPositions range = new SweptPositions(job, new SteeringTrain(job));
        List<Body> bodies = new Bodies(job).all();
        Map<String, PairGap> reported = new HashMap<>();
        f.pairs().forEach(p -> reported.put(p.label(), p));
        Random r = new Random(name.hashCode());
        int stands = 0;
        for (int n = 0; n < 70; n++) {
            double sw = range.steer[0] + r.nextDouble() * (range.steer[range.steer.length - 1] - range.steer[0]);
            double z = range.travels[0] + r.nextDouble() * (range.travels[range.travels.length - 1] - range.travels[0]);
            double part = r.nextDouble();
            int set = r.nextInt(range.columns.size());
            Optional<Configuration> at =
                    range.across(new Configuration(Optional.empty(), 0, 0, range.columns.get(set), part), sw, z);
            if (at.isEmpty()) {
                continue;
            }
            stands++;
            for (int i = 0; i < bodies.size(); i++) {
                for (int j = i + 1; j < bodies.size(); j++) {
                    Body a = bodies.get(i);
                    Body b = bodies.get(j);
                    if (!PairsToCheck.matters(a, b)
                            || job.surroundings().meant().stream().anyMatch(t -> t.is(a.id(), b.id()))) {
                        continue;
                    }
                    double need = PairsToCheck.need(a, b);
                    double least = reported.containsKey(a.name() + " and " + b.name())
                            ? reported.get(a.name() + " and " + b.name()).gap()
                            : need + ClearanceFigures.NEAR;
                    double g = Gaps.between(a.solid().apply(at.get()), b.solid().apply(at.get()), least + 50)
                                    .mm()
                            - a.extra()
                            - b.extra();
                    assertThat(g)
                            .as(a.name() + " and " + b.name() + " at " + sw + "°, " + z)
                            .isGreaterThan(least - 0.2);
                }
            }
        }
        assertThat(stands).isGreaterThan(20);
    }

    @Test
    void plantedContactOccursOnlyAtLockInBump() {
        ClearanceFigures f = figures(CARRIER);
        GapMap map = f.map().orElseThrow();
        int foul = 0;
        for (int j = 0; j < map.travels().size(); j++) {
            for (int i = 0; i < map.steeringWheelDeg().size(); i++) {
                if (map.cell(i, j).margin() < 0) {
                    foul++;
                    assertThat(map.cell(i, j).pair()).isEqualTo("left tyre and tray bracket");
                    assertThat(map.travels().get(j)).isPositive();
                    assertThat(map.steeringWheelDeg().get(i)).isGreaterThan(300);
                }
            }
        }
        assertThat(foul).isGreaterThan(5);
        PairGap p = gap(CARRIER, "left tyre", "tray bracket");
        assertThat(p.touches()).isTrue();
        assertThat(p.atRest()).isGreaterThan(100);
        assertThat(p.where().words()).isEqualTo("turned left, in bump");
        LockKept lock = f.lock().orElseThrow();
        assertThat(lock.stop(Side.RIGHT)).isEmpty();
        assertThat(lock.freeBumpAtLock().orElseThrow()).isBetween(5.0, 40.0);
        assertThat(lock.freeDroopAtLock()).isEmpty();
        assertThat(lock.at(0).left().costs()).isFalse();
        assertThat(lock.at(70).left().keptDeg()).isLessThan(lock.at(35).left().keptDeg());
        // The stop that is told keeps the gap, and one a degree later does not.
        Finding foulFinding = Analysis.of(CARRIER).findings().stream()
                .filter(x -> x.fault() == Fault.TOUCHES)
                .findFirst()
                .orElseThrow();
        Remedy stop = foulFinding.remedies().getFirst();
        assertThat(stop.action().text(LengthUnit.MM)).startsWith("Set the knuckle stops at");
        Job stopped = stop.edit().apply(CARRIER);
        assertThat(Analysis.of(stopped).findings())
                .noneMatch(x -> x.fault() == Fault.TOUCHES || x.fault() == Fault.GAP_SHORT);
        double at = stopped.axle().orElseThrow().left().limits().stopInner().orElseThrow();
        Job later = stopped.editAxle(a -> a.withCorner(
                Side.LEFT, a.left().withLimits(a.left().limits().withStops(Optional.of(at + 1), Optional.empty()))));
        assertThat(gap(later, "left tyre", "tray bracket").margin()).isNegative();
    }

    @Test
    void shaftToBallDistanceMatchesGeometry() {
        Column c = BARE.column().orElseThrow();
        Point middle = c.start(1).midwayTo(c.end(1));
        Direction off = c.axis(1).anySquare();
        Job job = with(
                BARE.withVehicle(BARE.vehicle()),
                Obstacle.fixed("ball", new Shape.Sphere(middle.plus(off.times(60)), 40)));
        // Less the shaft's and the ball's radius, and the 3 mm the frame moves against the body.
        PairGap p = gap(job, "Lower shaft", "ball");
        assertThat(p.atRest()).isCloseTo(60 - 9.5 - 20 - 3, within(1e-6));
        assertThat(p.steered()).isFalse();
        // A tilting wheel carries the first joint about itself, so the lower shaft stays: the first shaft is what comes
        // nearer.
        Point high = c.hub().plus(c.axis(0).times(30)).plus(new Vector(0, 0, 120));
        PairGap rim = gap(with(BARE, Obstacle.fixed("ball", new Shape.Sphere(high, 40))), "Column shaft", "ball");
        assertThat(rim.where().column()).isEqualTo("wheel tilted up");
        assertThat(rim.gap()).isLessThan(rim.atRest() - 20);
    }

    @Test
    void sweptObstaclesAreCheckedOverTheirWholeSweep() {
        Column c = BARE.column().orElseThrow();
        Point joint = c.joints().get(1).centre();
        // A ball on a pedal that swings from far away to 100 mm beside the joint's centre, level with it.
        Point pivot = joint.plus(new Vector(0, 100, 300));
        Shape away = new Shape.Sphere(pivot.plus(new Vector(-300, 0, 0)), 60);
        Obstacle pedal = Obstacle.fixed("pedal", away)
                .withSweep(new Sweep.Turns(new Axis(pivot, Direction.along(0, 1, 0)), -90, 0));
        PairGap p = gap(with(BARE, pedal), "Lower joint", "pedal");
        double there = gap(
                        with(BARE, Obstacle.fixed("pedal", new Shape.Sphere(pivot.plus(new Vector(0, 0, -300)), 60))),
                        "Lower joint",
                        "pedal")
                .gap();
        assertThat(there).isLessThan(100 - 24 - 30);
        Axis swing = new Axis(pivot, Direction.along(0, 1, 0));
        Solid swept = new Solid.Parts(
                SweptJoint.parts(c.start(1), joint, c.end(2), c.joints().get(1), 48));
        double least = IntStream.rangeClosed(0, 900)
                .mapToDouble(
                        k -> Gaps.between(swept, away.solid().moved(RigidMove.about(swing, -Math.toRadians(k / 10.0))))
                                .mm())
                .min()
                .orElseThrow();
        assertThat(p.gap()).isCloseTo(least, within(0.1)).isLessThan(there + 0.1);
        assertThat(pair(figures(with(BARE, pedal.withSweep(new Sweep.Still()))), "Lower joint", "pedal"))
                .isEmpty();
        // It slides; it wanders.
        Shape beside = new Shape.Sphere(joint.plus(new Vector(0, 130, 0)), 60);
        assertThat(gap(
                                with(
                                        BARE,
                                        Obstacle.fixed("block", beside)
                                                .withSweep(new Sweep.Slides(Direction.along(0, -1, 0), 0, 30))),
                                "Lower joint",
                                "block")
                        .gap())
                .isCloseTo(there, within(0.05));
        assertThat(gap(
                                with(
                                        BARE,
                                        Obstacle.fixed("hose", new Shape.Sphere(joint.plus(new Vector(0, 100, 0)), 60))
                                                .withSweep(new Sweep.Wanders(9))),
                                "Lower joint",
                                "hose")
                        .gap())
                .isCloseTo(there - 9, within(0.05));
    }

    @Test
    void obstacleFixedToPartMovesWithIt() {
        Point wheel = JobPoints.position(BARE, new PointId.OnCorner(Side.LEFT, CornerPoint.WHEEL_CENTRE));
        Obstacle caliper = new Obstacle(
                Id.Kind.OBSTACLE.first(),
                "caliper",
                new Shape.Sphere(wheel.plus(new Vector(-180, 0, 0)), 50),
                3,
                false,
                Carrier.LEFT_KNUCKLE,
                new Sweep.Still(),
                false,
                Optional.empty());
        PairGap p = gap(with(BARE, caliper), "left wheel, inside", "caliper");
        // Rim of 0.6 of the tyre's diameter less its wall; the same wherever the wheel is turned.
        assertThat(p.gap()).isCloseTo(0.6 * 390 - 9 - 180 - 25, within(0.01)).isCloseTo(p.atRest(), within(0.01));
        // On the frame it would be run into as the wheel is turned.
        assertThat(gap(with(BARE, caliper.withCarrier(Carrier.FRAME)), "left tyre", "caliper")
                        .touches())
                .isTrue();
        // On the lower arm half way out it rises by half of what the ball joint does.
        Point out = JobPoints.position(BARE, new PointId.OnCorner(Side.LEFT, CornerPoint.LOWER_BALL_JOINT));
        Obstacle onArm = new Obstacle(
                Id.Kind.OBSTACLE.first(),
                "bracket",
                new Shape.Sphere(new Point(-400, (260 + out.y()) / 2, 282), 40),
                5,
                false,
                Carrier.LEFT_LOWER_ARM,
                new Sweep.Still(),
                false,
                Optional.empty());
        Obstacle lid = Obstacle.fixed("lid", new Shape.Sphere(new Point(-400, (260 + out.y()) / 2, 282 + 100), 40));
        PairGap arm = gap(with(BARE, onArm, lid), "bracket", "lid");
        assertThat(arm.atRest() - arm.gap()).isBetween(30.0, 40.0);
        assertThat(arm.where().travelLeft()).isCloseTo(70, within(0.5));
        // An anti-roll bar's arm turned by its wheel: 300 long at 0.1 degree a mm rises 36 at full bump.
        Obstacle bar = Obstacle.fixed("bar", new Shape.Sphere(new Point(600, 0, 300), 20))
                .withSweep(new Sweep.FollowsWheel(
                        Side.LEFT, new Axis(new Point(300, 0, 300), Direction.along(0, -1, 0)), 0.1));
        PairGap lifted = gap(
                with(BARE, bar, Obstacle.fixed("roof", new Shape.Sphere(new Point(600, 0, 380), 20))), "bar", "roof");
        double rise = 300 * Math.sin(Math.toRadians(7));
        assertThat(lifted.gap())
                .isCloseTo(Math.hypot(80 - rise, 300 * (1 - Math.cos(Math.toRadians(7)))) - 20, within(0.05));
        // Fixed to what this axle has not got it stays, and that is told.
        Obstacle nowhere = caliper.withCarrier(Carrier.AXLE);
        assertThat(Analysis.of(with(BARE, nowhere)).findings())
                .anyMatch(f -> f.fault() == Fault.FIXED_TO_NOTHING && f.severity() == Severity.LOOK);
    }

    @Test
    void notchDepthAndLengthMatchBallAndGap() {
        Column c = BARE.column().orElseThrow();
        Point joint = c.joints().get(1).centre();
        double low = 20;
        Shape.Box rail = new Shape.Box(joint.plus(new Vector(0, 0, -low - 70)), 900, 70, 140);
        Job job = with(BARE, Obstacle.fixed("rail", rail).withGap(10).withMay(Optional.of(Obstacle.May.NOTCHED)));
        Notch n = figures(job).notches().stream()
                .filter(x -> x.by().name().equals("Lower joint"))
                .findFirst()
                .orElseThrow();
        assertThat(n.face()).isEqualTo(Notch.Face.TOP);
        // The hubs slope, so at least what the ball of 48 with its gap of 10 cuts; the first joint alone moves with the
        // body.
        double reach = 24 + 10;
        assertThat(n.depth()).isGreaterThan(reach - low - 0.1);
        assertThat(n.width()).isGreaterThan(2 * Math.sqrt(reach * reach - low * low) - 0.1);
        assertThat(n.boxing()).isCloseTo(n.width() + 2 * 140, within(1e-9));
        // A ball that is all there is: exactly.
        Shape.Sphere ball = new Shape.Sphere(new Point(1500, 0, 800), 60);
        Notch plain = NotchPlan.of(
                        0,
                        Obstacle.fixed("rail", new Shape.Box(new Point(1500, 10, 800 - 25 - 50), 800, 120, 100)),
                        new NamedPart(new Id("ball"), "ball"),
                        10,
                        List.of(ball.solid()))
                .orElseThrow();
        assertThat(plain.depth()).isCloseTo(40 - 25, within(0.06));
        assertThat(plain.width()).isCloseTo(2 * Math.sqrt(40 * 40 - 25 * 25), within(0.1));
        assertThat(plain.height()).isCloseTo(plain.width(), within(0.1));
        // What is left clears what passes, and only just.
        for (Shape.Box left : plain.left()) {
            assertThat(Gaps.between(left.solid(), ball.solid()).mm()).isGreaterThan(10 - 0.1);
        }
        assertThat(plain.left()).anySatisfy(left -> assertThat(
                        Gaps.between(left.solid(), ball.solid()).mm())
                .isCloseTo(10, within(0.1)));
        Remedy notch = Analysis.of(job).findings().stream()
                .filter(f -> f.about().equals("Lower joint and rail"))
                .flatMap(f -> f.remedies().stream())
                .filter(r -> r.action().pattern().startsWith("Notch"))
                .findFirst()
                .orElseThrow();
        Job cut = notch.edit().apply(job);
        assertThat(cut.surroundings().obstacles()).hasSize(3);
        assertThat(Analysis.of(cut).findings()).noneMatch(f -> f.about().startsWith("Lower joint and rail"));
    }

    @Test
    void largestTyreIsLimitedByNearbyWall() {
        // A wall 60 mm inboard of the tyre's inner face while the wheel can't be steered or travel: knuckles on the
        // frame.
        Job tug = DemoJob.GREENHOUSE_TUG.job();
        Job held = tug.editAxle(a -> a.withCorner(
                Side.LEFT, a.left().withLimits(a.left().limits().withStops(Optional.of(0.05), Optional.of(0.05)))));
        double y = held.axle().orElseThrow().left().knuckle().wheelCentre().y();
        double r = held.axle().orElseThrow().left().knuckle().wheelCentre().z();
        double half = held.vehicle().tyreWidth() / 2;
        OwnParts slim = OwnParts.USUAL.withDiameters(4, 4, 4, 4).withRim(Optional.of(1.8 * r));
        Surroundings free = Surroundings.NONE
                .withOwn(slim)
                .leavingOut(
                        FixedPart.COLUMN_ARM.called().id(),
                        held.column().orElseThrow().shafts().getFirst().id());
        for (Side side : Side.values()) {
            free = free.leavingOut(
                            FixedPart.WHEEL_INSIDE.called(side).id(),
                            FixedPart.STEERING_ARM.called(side).id())
                    .leavingOut(
                            FixedPart.WHEEL_INSIDE.called(side).id(),
                            Id.of(side == Side.LEFT ? Rod.LEFT_TIE_ROD : Rod.RIGHT_TIE_ROD));
        }
        Job above = held.withSurroundings(
                free.with(Obstacle.fixed("arch", new Shape.Box(new Point(0, y, 2 * r + 40 + 10), 300, 400, 20))
                        .withGap(0)));
        LargestTyre tyre = figures(above).tyre().orElseThrow();
        // The tyre's own gap of 15 is kept to the arch 40 above it.
        assertThat(tyre.diameter()).isCloseTo(2 * (r + 25), within(2.0));
        assertThat(tyre.diameterBy()).isEqualTo("arch");
        Job beside = held.withSurroundings(free.with(
                Obstacle.fixed("fender", new Shape.Box(new Point(0, y + half + 35 + 10, r), 2 * r, 20, 2 * r))));
        assertThat(figures(beside).tyre().orElseThrow().width()).isLessThan(2 * half + 2 * 20 + 2);
    }

    @Test
    void kneesAndHandsAreChecked() {
        Driver d = new Driver(new Point(-1500, 380, 640), new Point(-730, 380, 400), 440, 500, 300);
        for (Side side : Side.values()) {
            assertThat(d.knee(side).distanceTo(d.hip().plus(new Vector(0, side.sign() * 150, 0))))
                    .isCloseTo(440, within(1e-9));
            assertThat(d.knee(side).distanceTo(d.heel().plus(new Vector(0, side.sign() * 150, 0))))
                    .isCloseTo(500, within(1e-9));
            assertThat(d.knee(side).z()).as("bent up").isGreaterThan(d.hip().z());
        }
        Job job = BARE.editSurroundings(s -> s.withDriver(Optional.of(d.withHip(new Point(-1480, 380, 700)))));
        Finding f = Analysis.of(job).findings().stream()
                .filter(x -> x.about().contains("leg"))
                .findFirst()
                .orElseThrow();
        assertThat(f.element()).isEqualTo(new Element.Wheel());
        assertThat(f.why().text(LengthUnit.MM)).contains("knee");
        // Knuckles meet a panel that the bare rim passes.
        Point rim = CARRIER.column().orElseThrow().hub().plus(new Vector(0, 190 + 40, 0));
        Job panel = with(job, Obstacle.fixed("panel", new Shape.Box(rim.plus(new Vector(0, 10, 0)), 300, 4, 300)));
        assertThat(gap(panel, "knuckles of the hands", "panel").touches()).isTrue();
        assertThat(gap(panel, "steering wheel", "panel").touches()).isFalse();
    }

    @Test
    void excludedPairIsNotReported() {
        Job job = CARRIER.editSurroundings(s -> s.leavingOut(
                s.named("tray bracket").orElseThrow().id(),
                FixedPart.TYRE.called(Side.LEFT).id()));
        assertThat(pair(figures(job), "left tyre", "tray bracket")).isEmpty();
        assertThat(Analysis.of(job).findings()).noneMatch(f -> f.fault() == Fault.TOUCHES);
        assertThat(pair(figures(job.editSurroundings(Surroundings::leavingOutNone)), "left tyre", "tray bracket"))
                .isPresent();
    }

    @Test
    void columnOrAxleAloneIsChecked() {
        Column c = BARE.column().orElseThrow();
        Obstacle ball = Obstacle.fixed(
                "ball", new Shape.Sphere(c.joints().get(0).centre().plus(new Vector(0, 60, 0)), 40));
        Job columnOnly =
                with(Job.of("c", new Plan(BARE.vehicle(), BARE.column(), Optional.empty(), BARE.targets())), ball);
        assertThat(gap(columnOnly, "Upper joint", "ball").gap()).isLessThan(20);
        assertThat(figures(columnOnly).map()).isEmpty();
        Job axleOnly = Job.of("a", new Plan(BARE.vehicle(), Optional.empty(), BARE.axle(), BARE.targets()));
        assertThat(figures(axleOnly).map()).isPresent();
        Job nothing = Job.of("n", new Plan(BARE.vehicle(), Optional.empty(), Optional.empty(), BARE.targets()));
        assertThat(figures(with(nothing, ball)).pairs()).isEmpty();
    }
}

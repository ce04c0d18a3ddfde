package mildtilt.kinematics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.OwnVehicles;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.ArmTieRods;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.RackTieRods;
import mildtilt.linkage.RelayArm;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.SwingArm;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.SplitLinksTest;
import mildtilt.suspension.Strut;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The general solver against the closed forms, and against mechanisms that have an answer by hand. */
class PoseSolverTest {

    private static final Point ORIGIN = new Point(0, 0, 0);

    /** A whole axle as bodies and joints: inputs are the gear, and the rise of either wheel where it travels. */
    private static final class Axle {
        final BodySystem system = new BodySystem();
        final Map<Side, Body> knuckles = new EnumMap<>(Side.class);
        final SteeredAxle axle;
        final int gear = system.input();
        final int left = system.input();
        final int right = system.input();
        final PoseSolver solver;

        Axle(SteeredAxle axle) {
            this.axle = axle;
            for (Side side : Side.values()) {
                knuckles.put(side, knuckle(axle.corner(side), side == Side.LEFT ? left : right));
            }
            switch (axle.linkage()) {
                case RackTieRods _ -> tieRods(rack((RackAndPinion) axle.gear()));
                case ArmTieRods _ -> tieRods(arm((ArmGear) axle.gear()));
                case CentreLink c -> tieRods(centreLink(c, (ArmGear) axle.gear()));
                case DragLink d -> dragLink(d, (ArmGear) axle.gear());
                case BellCrank _, Shuttle _ ->
                    throw new IllegalArgumentException(axle.linkage().label());
            }
            solver = new PoseSolver(system);
        }

        private void tieRods(Body inner) {
            for (Side side : Side.values()) {
                system.rod(
                        side.label() + " tie rod",
                        knuckles.get(side),
                        axle.corner(side).knuckle().tieRodPoint(),
                        inner,
                        axle.linkage().inner(axle.gear(), side).orElseThrow());
            }
        }

        private void dragLink(DragLink d, ArmGear box) {
            Body start = arm(box);
            if (d.relayArm().isPresent()) {
                RelayArm r = d.relayArm().get();
                Body relay = system.body(r.linkPoint());
                system.hinge(Body.FRAME, relay, r.pivot())
                        .rod("intermediate link", start, box.armEnd(), relay, r.linkPoint());
                start = relay;
            }
            DragLink.Attachment.OnKnuckle at = (DragLink.Attachment.OnKnuckle) d.attachment();
            system.rod("drag link", start, d.start(box), knuckles.get(at.side()), at.point())
                    .rod(
                            "tie rod",
                            knuckles.get(Side.LEFT),
                            axle.corner(Side.LEFT).knuckle().tieRodPoint(),
                            knuckles.get(Side.RIGHT),
                            axle.corner(Side.RIGHT).knuckle().tieRodPoint());
        }

        private Body arm(ArmGear box) {
            Body arm = system.body(box.armEnd());
            system.drivenHinge(Body.FRAME, arm, box.axis(), gear);
            return arm;
        }

        private Body knuckle(Corner c, int rise) {
            Body knuckle = system.body(c.knuckle().wheelCentre());
            switch (c.suspension()) {
                case DoubleWishbone w -> {
                    arm(knuckle, w.lowerInnerFront(), w.lowerInnerRear(), w.lowerBallJoint());
                    arm(knuckle, w.upperInnerFront(), w.upperInnerRear(), w.upperBallJoint());
                    system.driven(knuckle, c.knuckle().wheelCentre(), Vector.Z.direction(), rise);
                }
                case Strut s -> {
                    arm(knuckle, s.lowerInnerFront(), s.lowerInnerRear(), s.lowerBallJoint());
                    // The top mount lies on the strut's axis, which the knuckle carries.
                    system.onLine(knuckle, Axis.through(s.axisLowerPoint(), s.topMount()), Body.FRAME, s.topMount());
                    system.driven(knuckle, c.knuckle().wheelCentre(), Vector.Z.direction(), rise);
                }
                case SplitLinks l -> {
                    l.links().forEach(x -> system.rod("link", Body.FRAME, x.inner(), knuckle, x.outer()));
                    if (l.upper() instanceof SplitLinks.Upper.StrutTop s) {
                        system.onLine(
                                knuckle, Axis.through(s.axisLowerPoint(), s.topMount()), Body.FRAME, s.topMount());
                    }
                    system.driven(knuckle, c.knuckle().wheelCentre(), Vector.Z.direction(), rise);
                }
                case TrailingArms t -> {
                    Body lower = system.body(t.lowerEnd());
                    system.hinge(Body.FRAME, lower, t.lowerAxis());
                    if (t.kingpin().isEmpty()) {
                        Body upper = system.body(t.upperEnd());
                        system.hinge(Body.FRAME, upper, t.upperAxis())
                                .ball(lower, knuckle, t.lowerEnd())
                                .ball(upper, knuckle, t.upperEnd())
                                .driven(knuckle, c.knuckle().wheelCentre(), Vector.Z.direction(), rise);
                    } else {
                        // Held in its plane by the lower arm's two pins, the carrier needs the upper arm's length only.
                        Body carrier = system.body(t.lowerEnd());
                        system.hinge(lower, carrier, new Axis(t.lowerEnd(), t.pivotAxis()))
                                .rod("upper arm", Body.FRAME, t.upperAxis().footOf(t.upperEnd()), carrier, t.upperEnd())
                                .hinge(carrier, knuckle, t.steerAxis())
                                .driven(carrier, c.knuckle().wheelCentre(), Vector.Z.direction(), rise);
                    }
                }
                case SwingBeam b -> {
                    Body beam = system.body(b.lower());
                    system.hinge(Body.FRAME, beam, b.hinge()).hinge(beam, knuckle, b.steerAxis());
                    system.driven(beam, c.knuckle().wheelCentre(), Vector.Z.direction(), rise);
                }
                case Kingpin k -> system.hinge(Body.FRAME, knuckle, Axis.through(k.lower(), k.upper()));
            }
            return knuckle;
        }

        private void arm(Body knuckle, Point front, Point rear, Point ball) {
            Body arm = system.body(ball);
            system.hinge(Body.FRAME, arm, Axis.through(front, rear)).ball(arm, knuckle, ball);
        }

        private Body rack(RackAndPinion r) {
            Body rack = system.body(r.centre());
            system.drivenSlider(Body.FRAME, rack, new Axis(r.centre(), r.axis()), gear);
            return rack;
        }

        private Body centreLink(CentreLink c, ArmGear box) {
            Body pitman = arm(box);
            SwingArm idler = c.idler(box);
            Body swing = system.body(idler.end());
            system.hinge(Body.FRAME, swing, idler.axis());
            Body link = system.body(box.armEnd());
            Vector level = Vector.Z.cross(idler.end().minus(box.armEnd()));
            system.ball(pitman, link, box.armEnd())
                    .ball(swing, link, idler.end())
                    .square(link, level.direction().vector(), Body.FRAME, Vector.Z);
            return link;
        }

        /** The gear's own movement for a turn of its input: mm of a rack, radians of an arm. */
        double moved(double inputLeft) {
            return axle.gear() instanceof RackAndPinion r
                    ? r.displacementAt(inputLeft)
                    : ((ArmGear) axle.gear()).armAngleAt(inputLeft);
        }

        boolean travels() {
            return !(axle.left().suspension() instanceof Kingpin);
        }
    }

    private static void same(Axle general, CornerPose closed, Side side, String what) {
        KnucklePose k = (KnucklePose) closed;
        Corner c = general.axle.corner(side);
        Body knuckle = general.knuckles.get(side);
        for (Point p : List.of(
                c.knuckle().tieRodPoint(),
                c.knuckle().wheelCentre(),
                c.knuckle().spinAxisPoint())) {
            assertThat(general.solver.at(knuckle, p).distanceTo(k.carried(p)))
                    .as(what)
                    .isLessThan(1e-9);
        }
    }

    private static void isAsInClosedForm(SteeredAxle axle) {
        AxleSolver closed = new AxleSolver(axle);
        Axle general = new Axle(axle);
        double most = closed.gearInputStop();
        int compared = 0;
        for (int i = -4; i <= 4; i++) {
            for (double[] z : general.travels()
                    ? new double[][] {{0, 0}, {55, 55}, {-60, -60}, {40, -35}}
                    : new double[][] {{0, 0}}) {
                double input = most * i / 4.6;
                AxleConfiguration pose = closed.pose(input, z[0], z[1]);
                if (!(pose.left() instanceof KnucklePose) || !(pose.right() instanceof KnucklePose)) {
                    continue;
                }
                String what = axle.linkage().label() + " at " + input + ", " + z[0] + ", " + z[1];
                assertThat(general.solver.go(general.moved(input), z[0], z[1]))
                        .as(what)
                        .isEqualTo(1);
                same(general, pose.left(), Side.LEFT, what);
                same(general, pose.right(), Side.RIGHT, what);
                compared++;
            }
        }
        assertThat(compared).isGreaterThanOrEqualTo(general.travels() ? 24 : 7);
    }

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "GARDEN_SHUTTLE", "LIBRARY_BUS"})
    void wholeAxlesAreAsInClosedForm(DemoJob demo) {
        isAsInClosedForm(demo.job().axle().orElseThrow());
    }

    @ParameterizedTest
    @EnumSource(
            value = OwnVehicles.class,
            names = {"NARROW_RACK", "WIDE_RACK", "CENTRE_LINK"})
    void vehiclesOfOtherSizesAreAsInClosedForm(OwnVehicles vehicle) {
        isAsInClosedForm(vehicle.job().axle().orElseThrow());
    }

    @Test
    void frameKingpinsWithARackAreAsInClosedForm() {
        Job carrier = DemoJob.MARSH_CARRIER.job();
        isAsInClosedForm(carrier.axle()
                .map(a -> new SteeredAxle(
                        a.gear(),
                        a.linkage(),
                        a.beam(),
                        onKingpin(a.left()),
                        a.ownRight().map(PoseSolverTest::onKingpin)))
                .orElseThrow());
    }

    @Test
    void swingBeamsAreAsInClosedForm() {
        isAsInClosedForm(DemoJob.MARSH_CARRIER
                .job()
                .axle()
                .orElseThrow()
                .withLeft(onSwingBeam(
                        DemoJob.MARSH_CARRIER.job().axle().orElseThrow().left())));
    }

    /**
     * The lower joints apart, one ahead of the other: the wheel steers about where the links' lines meet, outside of
     * it.
     */
    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "GARDEN_SHUTTLE"})
    void separateLinksAreAsByTheGeneralSolver(DemoJob demo) {
        SteeredAxle axle = demo.job().axle().orElseThrow();
        isAsInClosedForm(axle.withLeft(
                axle.left().withSuspension(SplitLinksTest.spread(axle.left().suspension()))));
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void trailingArmsAreAsInClosedForm(boolean linkPins) {
        SteeredAxle carrier = DemoJob.MARSH_CARRIER.job().axle().orElseThrow();
        isAsInClosedForm(carrier.withLeft(onTrailingArms(carrier.left(), linkPins)));
    }

    /** Neither parallel nor of one length, with pivots that do not run square across. */
    private static Corner onTrailingArms(Corner c, boolean linkPins) {
        DoubleWishbone w = (DoubleWishbone) c.suspension();
        Point low = w.lowerBallJoint();
        Point high = w.upperBallJoint();
        return c.withSuspension(new TrailingArms(
                Direction.along(0.06, 1, -0.02),
                low.plus(new Vector(-330, -120, 25)),
                low,
                high.plus(new Vector(-290, -150, 10)),
                high,
                linkPins
                        ? Optional.of(new Kingpin(low.plus(new Vector(8, 30, -10)), high.plus(new Vector(-9, 22, 15))))
                        : Optional.empty()));
    }

    @Test
    void tieRodsOnTheGearsArmAreAsInClosedForm() {
        SteeredAxle bus = DemoJob.LIBRARY_BUS.job().axle().orElseThrow();
        Point end = ((ArmGear) bus.gear()).armEnd();
        isAsInClosedForm(bus.withLinkage(
                new ArmTieRods(end.plus(new Vector(12, 60, 8)), Optional.of(end.plus(new Vector(5, -70, -4))))));
    }

    @Test
    void relayArmIsAsInClosedForm() {
        SteeredAxle bus = DemoJob.LIBRARY_BUS.job().axle().orElseThrow();
        DragLink link = new DragLink(
                new DragLink.Attachment.OnKnuckle(
                        Side.LEFT, bus.left().knuckle().tieRodPoint().plus(new Vector(20, -25, 90))),
                RodEnds.UNKNOWN,
                Optional.of(new RelayArm(
                        new Axis(new Point(-80, 150, 280), Direction.along(0.1, 0.05, 1)),
                        new Point(-215, 160, 270),
                        new Point(-200, 180, 330),
                        RodEnds.UNKNOWN)));
        isAsInClosedForm(bus.withLinkage(link));
    }

    private static Corner onSwingBeam(Corner c) {
        DoubleWishbone w = (DoubleWishbone) c.suspension();
        return c.withSuspension(new SwingBeam(
                new Point(25, -190, 330), new Point(-720, 330, 400), w.lowerBallJoint(), w.upperBallJoint()));
    }

    private static Corner onKingpin(Corner c) {
        DoubleWishbone w = (DoubleWishbone) c.suspension();
        return c.withSuspension(new Kingpin(w.lowerBallJoint(), w.upperBallJoint()));
    }

    /** An arm of 100 about the origin, a rod of 260, and its other end pushed along x: in line at 360. */
    private static PoseSolver crank(double x) {
        double cos = (100.0 * 100 + x * x - 260.0 * 260) / (2 * 100 * x);
        Point elbow = new Point(100 * cos, 100 * Math.sqrt(1 - cos * cos), 0);
        Point end = new Point(x, 0, 0);
        BodySystem s = new BodySystem();
        int way = s.input();
        Body arm = s.body(elbow);
        Body slide = s.body(end);
        s.hinge(Body.FRAME, arm, new Axis(ORIGIN, Vector.Z.direction()))
                .drivenSlider(Body.FRAME, slide, new Axis(end, Vector.X.direction()), way)
                .rod("rod", arm, elbow, slide, end);
        return new PoseSolver(s);
    }

    @Test
    void mechanismEndsExactlyWhereRodAndArmComeIntoLine() {
        PoseSolver s = crank(300);
        assertThat(s.go(59.999)).isEqualTo(1);
        s.toDesign();
        assertThat(s.go(80) * 80).isCloseTo(60, within(1e-7));
        // Back from the end it is on the same branch.
        assertThat(s.go(0)).isEqualTo(1);
        assertThat(s.at(new Body(1), new Point(300, 0, 0)).x()).isCloseTo(300, within(1e-9));
        // The other way the arm folds onto the rod at 160.
        s.toDesign();
        assertThat(s.go(-200) * 200).isCloseTo(140, within(1e-7));
    }

    @Test
    void rodThatIsTooShortIsNamedWithWhatItLacks() {
        PoseSolver s = crank(300);
        assertThat(s.missing(40)).isEmpty();
        assertThat(s.missing(66.5)).hasValueSatisfying(m -> {
            assertThat(m.rod()).isEqualTo("rod");
            assertThat(m.longer()).isCloseTo(6.5, within(1e-4));
        });
        assertThat(s.missing(-143))
                .hasValueSatisfying(m -> assertThat(m.longer()).isCloseTo(-3, within(1e-4)));
    }

    @Test
    void ratesAreTheSlopesOfTheMotion() {
        Axle general = new Axle(DemoJob.MARSH_CARRIER.job().axle().orElseThrow());
        Body knuckle = general.knuckles.get(Side.LEFT);
        Point p = general.axle.left().knuckle().spinAxisPoint();
        double step = 1e-4;
        for (int input : new int[] {general.gear, general.left}) {
            double[] at = {21, 34, -12};
            double[] more = at.clone();
            double[] less = at.clone();
            more[input] += step;
            less[input] -= step;
            general.solver.go(more);
            Point high = general.solver.at(knuckle, p);
            general.solver.go(less);
            Point low = general.solver.at(knuckle, p);
            general.solver.go(at);
            Vector slope = high.minus(low).times(1 / (2 * step));
            assertThat(general.solver.rate(knuckle, p, input).minus(slope).norm())
                    .as("input " + input)
                    .isLessThan(1e-6 * Math.max(1, slope.norm()));
        }
    }

    @Test
    void crossedPinsPassTurnAsAUniversalJointDoes() {
        double bend = Math.toRadians(35);
        Direction second = Direction.along(Math.cos(bend), 0, Math.sin(bend));
        BodySystem s = new BodySystem();
        int angle = s.input();
        Body first = s.body(ORIGIN);
        Body driven = s.body(ORIGIN);
        // The first pin lies in the plane of the two shafts, the second square to it.
        s.drivenHinge(Body.FRAME, first, new Axis(ORIGIN, Vector.X.direction()), angle)
                .hinge(Body.FRAME, driven, new Axis(ORIGIN, second))
                .square(first, Vector.Z, driven, Vector.Y);
        PoseSolver solver = new PoseSolver(s);
        for (int deg = -720; deg <= 720; deg += 7) {
            double a = Math.toRadians(deg);
            assertThat(solver.go(a)).isEqualTo(1);
            Vector y = solver.turned(driven, Vector.Y);
            Vector third = second.cross(Vector.Y);
            double turned = Math.atan2(y.dot(third), y.dot(Vector.Y));
            assertThat(Math.tan(turned) * Math.cos(bend))
                    .isCloseTo(Math.tan(a), within(1e-9 * (1 + 1 / Math.pow(Math.cos(a), 2))));
        }
    }

    @Test
    void wrongNumbersOfJointsAreRefused() {
        BodySystem loose = new BodySystem();
        Body b = loose.body(ORIGIN);
        loose.ball(Body.FRAME, b, ORIGIN);
        assertThatThrownBy(() -> new PoseSolver(loose)).hasMessageContaining("3 equations for 6 unknowns");
        BodySystem twice = new BodySystem();
        Body c = twice.body(ORIGIN);
        twice.ball(Body.FRAME, c, ORIGIN).ball(Body.FRAME, c, ORIGIN);
        assertThatThrownBy(() -> new PoseSolver(twice)).hasMessageContaining("depend on each other");
    }
}

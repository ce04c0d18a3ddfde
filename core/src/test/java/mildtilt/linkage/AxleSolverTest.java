package mildtilt.linkage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.gear.SteeringBox;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every kind of linkage, on the demos: what is rigid stays rigid, and what has a plain answer has it. */
class AxleSolverTest {

    private static SteeredAxle axle(DemoJob demo) {
        return demo.job().axle().orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void rodsAndKnucklesStayRigid(DemoJob demo) {
        stands(axle(demo));
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void asymmetricAxlesKeepRodLengths(DemoJob demo) {
        SteeredAxle a = axle(demo);
        Corner right = a.corner(Side.RIGHT);
        Corner other = right.withKnuckle(
                right.knuckle().withTieRodPoint(right.knuckle().tieRodPoint().plus(new Vector(4, 6, -5))));
        stands(new SteeredAxle(a.gear(), a.linkage(), a.beam(), a.left(), Optional.of(other)));
    }

    @Test
    void levelSectorShaftIsSupported() {
        // The box on the left rail, its arm swinging fore and aft, a drag link along the frame to the left knuckle.
        SteeredAxle tender = axle(DemoJob.BOG_TENDER);
        SteeringBox box = new SteeringBox(
                new Axis(new Point(420, 560, 640), new Direction(0, 1, 0)), new Point(420, 560, 470), 18, 30);
        DragLink link =
                new DragLink(new DragLink.Attachment.OnKnuckle(Side.LEFT, new Point(10, 545, 470)), RodEnds.UNKNOWN);
        SteeredAxle along = tender.withGear(new SteeringBox(box.axis(), box.armEnd(), box.ratio(), 30))
                .withGear(box)
                .withLinkage(link);
        stands(along);
        AxleSolver solver = new AxleSolver(along);
        KnucklePose left =
                (KnucklePose) solver.pose(0.5 * solver.gearInputStop(), 0, 0).left();
        KnucklePose right =
                (KnucklePose) solver.pose(0.5 * solver.gearInputStop(), 0, 0).right();
        assertThat(Math.abs(left.steerDeg())).isGreaterThan(5);
        assertThat(Math.signum(left.steerDeg())).isEqualTo(Math.signum(right.steerDeg()));
    }

    private static void stands(SteeredAxle axle) {
        AxleSolver solver = new AxleSolver(axle);
        Random r = new Random(7);
        WheelTravel travel = axle.wheelTravel();
        int stood = 0;
        for (int i = 0; i < 200; i++) {
            double input = (r.nextDouble() * 2 - 1) * solver.gearInputStop();
            double left = travel == WheelTravel.NONE ? 0 : r.nextDouble() * 100 - 50;
            double right = travel == WheelTravel.FREE ? r.nextDouble() * 100 - 50 : travel.rightWith(left);
            AxleConfiguration s = solver.pose(input, left, right);
            if (!(s.left() instanceof KnucklePose l) || !(s.right() instanceof KnucklePose k)) {
                continue;
            }
            stood++;
            holds(l.tieRodPoint(), l.tieRodInner(), solver.tieRodLength(Side.LEFT));
            holds(k.tieRodPoint(), k.tieRodInner(), solver.tieRodLength(Side.RIGHT));
            rigid(axle.corner(Side.LEFT), l);
            rigid(axle.corner(Side.RIGHT), k);
            mechanism(axle, solver, s);
        }
        assertThat(stood).as("most of the range stands").isGreaterThan(150);
    }

    private static void mechanism(SteeredAxle axle, AxleSolver solver, AxleConfiguration s) {
        Map<Rod, Double> lengths = solver.lengths();
        switch (s.mechanism().orElseThrow()) {
            case Mechanism.RackAt m ->
                holds(m.inner(Side.LEFT), m.inner(Side.RIGHT), ((RackAndPinion) axle.gear()).pivotSpacing());
            case Mechanism.CentreLinkAt m -> holds(m.armEnd(), m.idlerEnd(), lengths.get(Rod.CENTRE_LINK));
            case Mechanism.DragLinkAt m -> {
                holds(m.start(), m.drivenPoint(), lengths.get(Rod.DRAG_LINK));
                m.relayArm().ifPresent(r -> holds(m.armEnd(), r.linkPoint(), lengths.get(Rod.INTERMEDIATE_LINK)));
            }
            case Mechanism.ArmTieRodsAt m ->
                holds(
                        m.left(),
                        m.right(),
                        axle.innerEnd(Side.LEFT)
                                .orElseThrow()
                                .distanceTo(axle.innerEnd(Side.RIGHT).orElseThrow()));
            case Mechanism.BellCrankAt m -> {
                holds(m.armEnd(), m.crankPoint(), lengths.get(Rod.DRAG_ROD));
                BellCrank b = (BellCrank) axle.linkage();
                holds(m.left(), m.crankPoint(), b.tieRodPoint(Side.LEFT).distanceTo(b.dragRodPoint()));
                holds(m.left(), m.right(), b.tieRodPoint(Side.LEFT).distanceTo(b.tieRodPoint(Side.RIGHT)));
            }
            case Mechanism.ShuttleAt m -> holds(m.armEnd(), m.linkPoint(), lengths.get(Rod.SHORT_LINK));
            case Mechanism.Broken _ -> throw new AssertionError("both knuckles stand on a broken mechanism");
        }
        if (axle.gear() instanceof ArmGear g) {
            Point end = ((Mechanism.ByArm) s.mechanism().get()).armEnd();
            assertThat(g.axis().distanceTo(end)).isCloseTo(g.armLength(), within(1e-8));
        }
        axle.beam().ifPresent(b -> {
            Frame now = s.beam().orElseThrow();
            if (b instanceof Beam.Sprung sprung && sprung.trackBar().isPresent()) {
                TrackBar bar = sprung.trackBar().get();
                holds(now.carried(bar.axleEnd(), axle.beamDesign()), bar.bodyEnd(), bar.length());
            }
            if (b instanceof Beam.CentrePin pin) {
                assertThat(now.carried(pin.pin().origin(), axle.beamDesign())
                                .distanceTo(pin.pin().origin()))
                        .isLessThan(1e-8);
            }
        });
    }

    private static void holds(Point a, Point b, double length) {
        assertThat(a.distanceTo(b)).isCloseTo(length, within(1e-7));
    }

    private static void rigid(Corner corner, KnucklePose k) {
        holds(
                k.wheelCentre(),
                k.tieRodPoint(),
                corner.knuckle().wheelCentre().distanceTo(corner.knuckle().tieRodPoint()));
        Point low =
                switch (corner.suspension()) {
                    case DoubleWishbone w -> w.lowerBallJoint();
                    case Strut s -> s.lowerBallJoint();
                    // The steer axis of separate links moves in the knuckle.
                    case SplitLinks _ -> k.design().carried(k.steerAxisLow(), k.now());
                    case TrailingArms t -> t.kingpin().map(Kingpin::lower).orElse(t.lowerEnd());
                    case SwingBeam b -> b.lower();
                    case Kingpin p -> p.lower();
                };
        holds(k.steerAxisLow(), k.wheelCentre(), low.distanceTo(corner.knuckle().wheelCentre()));
        if (corner.suspension() instanceof Strut s) {
            // The strut slides, but always through its top mount.
            Point lower = k.carried(s.axisLowerPoint());
            Point upper = k.carried(s.topMount());
            assertThat(Axis.through(lower, upper).distanceTo(s.topMount())).isLessThan(1e-7);
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void straightAheadPoseIsTheDesign(DemoJob demo) {
        SteeredAxle axle = axle(demo);
        AxleConfiguration s = new AxleSolver(axle).pose(0, 0, 0);
        for (Side side : Side.values()) {
            KnucklePose k = (KnucklePose) (side == Side.LEFT ? s.left() : s.right());
            assertThat(k.tieRodPoint().distanceTo(axle.corner(side).knuckle().tieRodPoint()))
                    .isLessThan(1e-8);
            assertThat(k.wheelCentre().distanceTo(axle.corner(side).knuckle().wheelCentre()))
                    .isLessThan(1e-8);
        }
    }

    @Test
    void parallelCentreLinkArmsSwingEqually() {
        SteeredAxle bus = axle(DemoJob.LIBRARY_BUS);
        SteeringBox box = (SteeringBox) bus.gear();
        SteeredAxle parallel = bus.withLinkage(((CentreLink) bus.linkage())
                .withIdler(new SwingArm(
                        box.axis().moved(new Vector(0, -790, 0)), box.armEnd().plus(new Vector(0, -790, 0)))));
        AxleSolver solver = new AxleSolver(parallel);
        for (double part : new double[] {-1, -0.4, 0.3, 0.9}) {
            Mechanism.CentreLinkAt m = (Mechanism.CentreLinkAt)
                    solver.pose(part * solver.gearInputStop(), 0, 0).mechanism().orElseThrow();
            assertThat(m.idlerAngle()).isCloseTo(m.armAngle(), within(1e-9));
        }
    }

    @Test
    void shuttleTravelMatchesClosedForm() {
        // Arm of 100 along −x from an upright shaft at the origin's height, a link of 80 along −y to the shuttle.
        SteeredAxle rake = axle(DemoJob.SALT_RAKE);
        SteeringBox box = new SteeringBox(
                new Axis(new Point(-100, 150, 260), new Direction(0, 0, 1)), new Point(-200, 150, 260), 10, 40);
        Shuttle s = (Shuttle) rake.linkage();
        SteeredAxle plain = new SteeredAxle(
                box,
                new Shuttle(
                        new Direction(0, 1, 0),
                        new Point(-200, 70, 260),
                        s.leftInner(),
                        Optional.empty(),
                        Optional.empty(),
                        s.linkEnds(),
                        Optional.empty()),
                Optional.empty(),
                rake.left(),
                Optional.empty());
        AxleSolver solver = new AxleSolver(plain);
        for (double deg : new double[] {-20, -7, 11, 20}) {
            double a = Math.toRadians(deg);
            Mechanism.ShuttleAt m =
                    (Mechanism.ShuttleAt) solver.pose(10 * a, 0, 0).mechanism().orElseThrow();
            double x = 100 * (1 - Math.cos(a));
            double armY = -100 * Math.sin(a);
            double expected = armY - (Math.sqrt(80 * 80 - x * x) - 80);
            assertThat(m.displacement()).isCloseTo(expected, within(1e-9));
        }
    }

    @Test
    void centrePinnedBeamOnlyRolls() {
        AxleSolver solver = new AxleSolver(axle(DemoJob.HOP_PLATFORM));
        assertThat(solver.pose(0, 20, 20).left()).isInstanceOfSatisfying(CannotAssemble.class, c -> {
            assertThat(c.reason()).isEqualTo(CannotAssemble.Reason.WHEEL_TRAVEL);
            assertThat(c.amount()).isEqualTo(20);
        });
        KnucklePose up = (KnucklePose) solver.pose(0, 30, -30).left();
        KnucklePose down = (KnucklePose) solver.pose(0, 30, -30).right();
        double roll = Math.asin(60 / axle(DemoJob.HOP_PLATFORM).track());
        // A wheel on a beam leans as the beam does.
        KnucklePose level = (KnucklePose) solver.pose(0, 0, 0).left();
        assertThat(up.camberDeg() - level.camberDeg()).isCloseTo(-Math.toDegrees(roll), within(0.05));
        assertThat(up.wheelCentre().z()).isGreaterThan(down.wheelCentre().z() + 55);
    }

    @Test
    void frameKingpinsHaveNoTravel() {
        AxleSolver tug = new AxleSolver(axle(DemoJob.GREENHOUSE_TUG));
        assertThat(tug.pose(0.2, 0, 0).left()).isInstanceOf(KnucklePose.class);
        assertThat(tug.pose(0.2, 5, 0).left()).isInstanceOf(CannotAssemble.class);
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void posesBeyondGearEndAreRefused(DemoJob demo) {
        AxleSolver solver = new AxleSolver(axle(demo));
        AxleConfiguration s = solver.pose(solver.gearInputStop() * 1.02, 0, 0);
        assertThat(s.left()).isInstanceOfSatisfying(CannotAssemble.class, c -> {
            assertThat(c.amount()).isPositive();
            assertThat(c.sentence()).contains("meets its end").isEqualTo(c.sentence(LengthUnit.MM));
            assertThat(c.phrase().text(LengthUnit.INCH)).contains("meets its end");
        });
    }

    @Test
    void incompatiblePartsAreRefused() {
        SteeredAxle carrier = axle(DemoJob.MARSH_CARRIER);
        SteeredAxle tender = axle(DemoJob.BOG_TENDER);
        assertThatThrownBy(() -> tender.withLinkage(new RackTieRods())).hasMessageContaining("linkage of its own");
        assertThatThrownBy(() -> carrier.withLinkage(tender.linkage()))
                .hasMessageContaining("needs a gear with an arm");
        assertThatThrownBy(() -> carrier.withBeam(tender.beam().orElseThrow())).hasMessageContaining("kingpins");
        assertThatThrownBy(() -> new CentreLink(Optional.empty(), 0.6, 0.5)).hasMessageContaining("below 1");
        assertThatThrownBy(() -> new Beam.CentrePin(new Axis(Point.ORIGIN, new Direction(0, 1, 0))))
                .hasMessageContaining("fore and aft");
        assertThatThrownBy(() -> new SteeringBox(
                        ((ArmGear) tender.gear()).axis(),
                        tender.left().knuckle().wheelCentre(),
                        0,
                        30))
                .hasMessageContaining("ratio");
        SteeredAxle bus = axle(DemoJob.LIBRARY_BUS);
        assertThatThrownBy(() -> bus.withLinkage(axle(DemoJob.HOP_PLATFORM).linkage()))
                .hasMessageContaining("taken from the tie rod");
    }
}

package mildtilt.linkage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.kinematics.Body;
import mildtilt.kinematics.BodySystem;
import mildtilt.kinematics.PoseSolver;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.Leaf;
import mildtilt.linkage.beam.LeafSprung;
import mildtilt.linkage.beam.Sideways;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.linkage.corner.Corner;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Gears, bell cranks and shuttles that are bolted to a beam axle. */
class GearOnAxleTest {

    private static final Beam PIN = new Beam.CentrePin(new Axis(new Point(15, 4, 390), Direction.along(1, 0, 0.06)));
    private static final Beam SPRUNG =
            new Beam.Sprung(new TrackBar(new Point(-90, 330, 440), new Point(-85, -380, 395)));

    private static final Beam LEAVES = new LeafSprung(
            new Leaf(new Point(520, 430, 400), new Point(0, 430, 440), new Point(-600, 430, 470)),
            Optional.empty(),
            Sideways.UNAIDED);

    private static SteeredAxle onBeam(SteeredAxle a, Beam beam) {
        return new SteeredAxle(
                a.gear(),
                a.linkage(),
                Optional.of(beam),
                pinned(a.left()),
                a.ownRight().map(GearOnAxleTest::pinned));
    }

    private static Corner pinned(Corner c) {
        return c.suspension() instanceof DoubleWishbone w
                ? c.withSuspension(new Kingpin(w.lowerBallJoint(), w.upperBallJoint()))
                : c;
    }

    /** Axles of every linkage whose gear can sit on the axle. */
    static Stream<SteeredAxle> axles() {
        return Stream.of(
                onBeam(DemoJob.MARSH_CARRIER.job().axle().orElseThrow(), PIN),
                onBeam(DemoJob.MARSH_CARRIER.job().axle().orElseThrow(), SPRUNG),
                onBeam(DemoJob.LIBRARY_BUS.job().axle().orElseThrow(), SPRUNG),
                onBeam(DemoJob.MARSH_CARRIER.job().axle().orElseThrow(), LEAVES),
                DemoJob.BOG_TENDER.job().axle().orElseThrow(),
                DemoJob.HOP_PLATFORM.job().axle().orElseThrow());
    }

    private static SteeredAxle onAxle(SteeredAxle a) {
        return a.withStatedGearOn(Optional.of(MountedOn.AXLE));
    }

    private static double[][] travels(SteeredAxle a) {
        return a.beam().orElseThrow() instanceof Beam.CentrePin
                ? new double[][] {{0, 0}, {45, -45}, {-70, 70}}
                : new double[][] {{0, 0}, {60, 60}, {-55, -55}, {50, -30}, {-40, 40}};
    }

    private static KnucklePose stands(AxleConfiguration c, Side side) {
        assertThat(side == Side.LEFT ? c.left() : c.right()).isInstanceOf(KnucklePose.class);
        return (KnucklePose) (side == Side.LEFT ? c.left() : c.right());
    }

    @ParameterizedTest
    @MethodSource("axles")
    void wheelsStandToTheBeamAsTheyDoWithItAtRest(SteeredAxle a) {
        AxleSolver onAxle = new AxleSolver(onAxle(a));
        AxleSolver onFrame = new AxleSolver(a);
        Frame design = a.beamDesign();
        for (double part : new double[] {-0.6, -0.2, 0, 0.35, 0.7}) {
            double input = part * onFrame.gearInputStop();
            AxleConfiguration still = onFrame.pose(input, 0, 0);
            for (double[] z : travels(a)) {
                AxleConfiguration moved = onAxle.pose(input, z[0], z[1]);
                Frame beam = moved.beam().orElseThrow();
                for (Side side : Side.values()) {
                    KnucklePose s = stands(still, side);
                    KnucklePose m = stands(moved, side);
                    Point wheel = design.carried(m.wheelCentre(), beam);
                    assertThat(wheel.distanceTo(s.wheelCentre())).isLessThan(1e-9);
                    assertThat(design.carried(m.spin(), beam).minus(s.spin()).norm())
                            .isLessThan(1e-12);
                    assertThat(moved.mechanism().orElseThrow().inner(side).distanceTo(m.tieRodInner()))
                            .isLessThan(a.oneTieRod() ? 5000 : 1e-9);
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("axles")
    void rodEndsTiltAsTheyDoWithTheBeamAtRest(SteeredAxle a) {
        if (a.linkage() instanceof DragLink d && d.attachment() instanceof DragLink.Attachment.OnTieRod) {
            return; // Its stud turns with the tie rod by the smallest way, which is not quite that of the beam.
        }
        AxleSolver solver = new AxleSolver(onAxle(a));
        double input = 0.4 * solver.gearInputStop();
        List<Double> still = tilts(solver, solver.pose(input, 0, 0));
        for (double[] z : travels(a)) {
            List<Double> moved = tilts(solver, solver.pose(input, z[0], z[1]));
            assertThat(moved).hasSameSizeAs(still);
            for (int i = 0; i < still.size(); i++) {
                assertThat(moved.get(i)).isCloseTo(still.get(i), within(1e-6));
            }
        }
    }

    private static List<Double> tilts(AxleSolver solver, AxleConfiguration at) {
        List<Double> all = new ArrayList<>();
        solver.atRodEnds(at, new RodEndAngles.Visitor() {
            @Override
            public void tilt(RodEnd end, double deg) {
                all.add(deg);
            }

            @Override
            public void arm(RodEnd end, double deg) {
                all.add(deg);
            }

            @Override
            public void offCentre(RodEnd end, double deg) {
                all.add(deg);
            }
        });
        return all;
    }

    /** A rack on a beam that rolls about a pin: bodies and joints, nothing of the closed form. */
    @Test
    void rackOnARollingBeamIsAsTheGeneralSolverHasIt() {
        SteeredAxle a = onAxle(onBeam(DemoJob.MARSH_CARRIER.job().axle().orElseThrow(), PIN));
        RackAndPinion rack = a.rack().orElseThrow();
        BodySystem s = new BodySystem();
        int slide = s.input();
        int roll = s.input();
        Body beam = s.body(a.beamDesign().origin());
        s.drivenHinge(Body.FRAME, beam, ((Beam.CentrePin) PIN).pin(), roll);
        Body bar = s.body(rack.centre());
        s.drivenSlider(beam, bar, new Axis(rack.centre(), rack.axis()), slide);
        Body[] knuckles = new Body[2];
        for (Side side : Side.values()) {
            Corner c = a.corner(side);
            Kingpin k = (Kingpin) c.suspension();
            Body knuckle = s.body(c.knuckle().wheelCentre());
            knuckles[side.ordinal()] = knuckle;
            s.hinge(beam, knuckle, Axis.through(k.lower(), k.upper()))
                    .rod("tie rod", knuckle, c.knuckle().tieRodPoint(), bar, rack.innerPivot(side, 0));
        }
        compare(a, new PoseSolver(s), knuckles, rack);
    }

    private static void compare(SteeredAxle a, PoseSolver general, Body[] knuckles, Gear gear) {
        AxleSolver closed = new AxleSolver(a);
        int compared = 0;
        for (int i = -3; i <= 3; i++) {
            for (double up : new double[] {0, 60, -75}) {
                double input = closed.gearInputStop() * i / 4.6;
                AxleConfiguration pose = closed.pose(input, up, -up);
                double moved =
                        gear instanceof RackAndPinion r ? r.displacementAt(input) : ((ArmGear) gear).armAngleAt(input);
                assertThat(general.go(moved, Math.asin(2 * up / a.track()))).isEqualTo(1);
                for (Side side : Side.values()) {
                    KnucklePose k = stands(pose, side);
                    for (Point p : List.of(
                            a.corner(side).knuckle().tieRodPoint(),
                            a.corner(side).knuckle().spinAxisPoint())) {
                        assertThat(general.at(knuckles[side.ordinal()], p).distanceTo(k.carried(p)))
                                .as(side + " at " + input + ", " + up)
                                .isLessThan(1e-9);
                    }
                }
                compared++;
            }
        }
        assertThat(compared).isEqualTo(21);
    }

    private static SteeredAxle tug() {
        SteeredAxle a = DemoJob.GREENHOUSE_TUG.job().axle().orElseThrow();
        return a.withBeam(PIN);
    }

    /** The box on the frame, the crank that it pushes on the axle: the drag rod takes up the axle's roll. */
    @Test
    void bellCrankOnTheAxleIsAsTheGeneralSolverHasIt() {
        SteeredAxle a = tug().withStatedRelayOn(Optional.of(MountedOn.AXLE));
        ArmGear gear = a.armGear().orElseThrow();
        BellCrank crank = (BellCrank) a.linkage();
        BodySystem s = new BodySystem();
        int swing = s.input();
        int roll = s.input();
        Body beam = s.body(a.beamDesign().origin());
        s.drivenHinge(Body.FRAME, beam, ((Beam.CentrePin) PIN).pin(), roll);
        Body arm = s.body(gear.armEnd());
        s.drivenHinge(Body.FRAME, arm, gear.axis(), swing);
        Body lever = s.body(crank.dragRodPoint());
        s.hinge(beam, lever, crank.pivot()).rod("drag rod", arm, gear.armEnd(), lever, crank.dragRodPoint());
        Body[] knuckles = new Body[2];
        for (Side side : Side.values()) {
            Corner c = a.corner(side);
            Kingpin k = (Kingpin) c.suspension();
            Body knuckle = s.body(c.knuckle().wheelCentre());
            knuckles[side.ordinal()] = knuckle;
            s.hinge(beam, knuckle, Axis.through(k.lower(), k.upper()))
                    .rod("tie rod", knuckle, c.knuckle().tieRodPoint(), lever, crank.tieRodPoint(side));
        }
        compare(a, new PoseSolver(s), knuckles, gear);
    }

    @Test
    void onlyWhatIsThereCanBeBoltedToAnAxle() {
        SteeredAxle rack = DemoJob.MARSH_CARRIER.job().axle().orElseThrow();
        assertThatThrownBy(() -> onAxle(rack))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("axle beam");
        assertThatThrownBy(() -> onBeam(rack, PIN).withStatedRelayOn(Optional.of(MountedOn.AXLE)))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("bell crank");
        assertThatThrownBy(() -> onAxle(tug()))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("column itself");
    }

    @Test
    void vectorsOfTheBeamStaySquare() {
        AxleConfiguration c = new AxleSolver(
                        onAxle(onBeam(DemoJob.MARSH_CARRIER.job().axle().orElseThrow(), SPRUNG)))
                .pose(0.2, 50, -20);
        Frame f = c.beam().orElseThrow();
        assertThat(f.e().cross(f.f()).minus(f.g()).norm()).isLessThan(1e-12);
        assertThat(c.gearMove().turned(Vector.Z).minus(f.g()).norm()).isLessThan(1e-12);
    }
}

package mildtilt.linkage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Tie rods on the gear's own arm, and a relay arm before the drag link, against linkages that must do the same. */
class ArmAndRelayTest {

    private static final double[] PARTS = {-0.8, -0.35, 0, 0.2, 0.6};

    private static SteeredAxle axle(DemoJob demo) {
        return demo.job().axle().orElseThrow();
    }

    private static double steer(AxleConfiguration c, Side side) {
        return ((KnucklePose) (side == Side.LEFT ? c.left() : c.right())).steerDeg();
    }

    private static void steerAlike(SteeredAxle one, SteeredAxle other, double input) {
        AxleConfiguration a = new AxleSolver(one).pose(input, 0, 0);
        AxleConfiguration b = new AxleSolver(other).pose(input, 0, 0);
        for (Side side : Side.values()) {
            assertThat(steer(a, side)).isCloseTo(steer(b, side), within(1e-9));
        }
    }

    /** A bell crank that a parallel rod turns as far as the gear's arm turns is that arm, standing elsewhere. */
    @Test
    void armWithBothRodsSteersAsABellCrankOfItsShapeDoes() {
        SteeredAxle own = axle(DemoJob.HEATH_RIDER);
        ArmGear gear = own.armGear().orElseThrow();
        ArmTieRods rods = (ArmTieRods) own.linkage();
        Vector apart = gear.axis()
                .direction()
                .vector()
                .cross(gear.armEnd().minus(gear.axis().footOf(gear.armEnd())));
        Vector away = apart.times(200 / apart.norm());
        SteeredAxle cranked = own.withGear(gear.placed(Placing.moved(away)))
                .withLinkage(new BellCrank(
                        gear.axis(), gear.armEnd(), rods.leftPoint(), rods.ownRightPoint(), RodEnds.UNKNOWN));
        for (double part : PARTS) {
            steerAlike(own, cranked, gear.inputStop() * part);
        }
    }

    @Test
    void symmetricArmSteersAlikeBothWays() {
        AxleSolver solver = new AxleSolver(axle(DemoJob.HEATH_RIDER));
        for (double part : PARTS) {
            double input = solver.gearInputStop() * part;
            assertThat(steer(solver.pose(input, 30, 30), Side.LEFT))
                    .isCloseTo(-steer(solver.pose(-input, 30, 30), Side.RIGHT), within(1e-9));
        }
    }

    /**
     * A relay arm in parallel with the gear's, of its length, turns as it does: the drag link could begin at the gear.
     */
    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"BOG_TENDER", "HOP_PLATFORM", "LOG_HAULER", "DUNE_WARDEN"})
    void parallelRelayArmPassesTheTurnOnAsItIs(DemoJob demo) {
        SteeredAxle own = axle(demo);
        ArmGear gear = own.armGear().orElseThrow();
        DragLink link = (DragLink) own.linkage();
        // Square to the arm the link has its best hold; the box goes elsewhere, the relay arm takes its place.
        Vector arm = gear.armEnd().minus(gear.axis().footOf(gear.armEnd()));
        Vector away = gear.axis().direction().cross(arm).times(300 / arm.norm());
        SteeredAxle relayed = own.withGear(gear.placed(Placing.moved(away)))
                .withLinkage(link.withRelayArm(
                        Optional.of(new RelayArm(gear.axis(), gear.armEnd(), gear.armEnd(), RodEnds.UNKNOWN))));
        AxleSolver solver = new AxleSolver(relayed);
        assertThat(solver.lengths().get(Rod.INTERMEDIATE_LINK)).isCloseTo(300, within(1e-9));
        for (double part : PARTS) {
            double input = gear.inputStop() * part;
            steerAlike(own, relayed, input);
            Mechanism.DragLinkAt at =
                    (Mechanism.DragLinkAt) solver.pose(input, 0, 0).mechanism().orElseThrow();
            assertThat(at.relayArm().orElseThrow().angle()).isCloseTo(at.armAngle(), within(1e-9));
        }
    }

    /**
     * The relay's pivot on the axle, the box on the frame: relative to the axle the wheels stand as with the axle at
     * rest.
     */
    @Test
    void relayArmOnTheAxleIsPushedFromTheFrame() {
        SteeredAxle own = axle(DemoJob.HOP_PLATFORM);
        DragLink link = (DragLink) own.linkage();
        SteeredAxle relayed =
                own.withLinkage(link.withUsualRelayArm(own)).withStatedRelayOn(Optional.of(MountedOn.AXLE));
        AxleSolver solver = new AxleSolver(relayed);
        AxleConfiguration rolled = solver.pose(0, 25, -25);
        Mechanism.DragLinkAt at = (Mechanism.DragLinkAt) rolled.mechanism().orElseThrow();
        Mechanism.RelayAt relay = at.relayArm().orElseThrow();
        // Both rods have their lengths, and the arm's end stays on the frame.
        assertThat(at.armEnd().distanceTo(own.armGear().orElseThrow().armEnd())).isLessThan(1e-9);
        assertThat(at.armEnd().distanceTo(relay.linkPoint()))
                .isCloseTo(solver.lengths().get(Rod.INTERMEDIATE_LINK), within(1e-9));
        assertThat(relay.dragLinkPoint().distanceTo(at.drivenPoint()))
                .isCloseTo(solver.lengths().get(Rod.DRAG_LINK), within(1e-9));
        assertThat(relay.relay().pivot().distanceTo(relay.linkPoint()))
                .isCloseTo(
                        link.withUsualRelayArm(own)
                                .relayArm()
                                .orElseThrow()
                                .pivot()
                                .distanceTo(link.withUsualRelayArm(own)
                                        .relayArm()
                                        .orElseThrow()
                                        .linkPoint()),
                        within(1e-9));
        assertThat(relay.relay()
                        .pivot()
                        .origin()
                        .distanceTo(link.withUsualRelayArm(own)
                                .relayArm()
                                .orElseThrow()
                                .pivot()
                                .origin()))
                .as("the pivot goes with the axle")
                .isGreaterThan(5);
    }

    @Test
    void linkThatCanNotReachTheRelayArmIsNamed() {
        SteeredAxle own = axle(DemoJob.PARCEL_TRIKE);
        DragLink link = (DragLink) own.linkage();
        RelayArm relay = link.relayArm().orElseThrow();
        // The link comes into line with a short relay arm before the gear is at its end.
        RelayArm brief = relay.withLinkPoint(relay.pivot().origin().plus(new Vector(0, 20, 0)));
        AxleSolver solver = new AxleSolver(own.withLinkage(link.withRelayArm(Optional.of(brief))));
        AxleConfiguration end = solver.pose(solver.gearInputStop(), 0, 0);
        assertThat(end.left().toString() + end.right()).contains("intermediate link");
        assertThat(end.mechanism().orElseThrow()).isInstanceOf(Mechanism.Broken.class);
    }

    @Test
    void relayArmWithoutLengthIsRefused() {
        Point p = new Point(0, 0, 300);
        assertThatThrownBy(() ->
                        new RelayArm(new Axis(p, Vector.Z.direction()), p, p.plus(Vector.X.times(80)), RodEnds.UNKNOWN))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("relay arm has no length");
    }
}

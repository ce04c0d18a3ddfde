package mildtilt.suspension;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.SequencedMap;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import org.junit.jupiter.api.Test;

/** Wheels that each swing on a long beam of their own. */
class SwingBeamTest {

    /** Level and straight across: pivot at −200, radius arm straight back from the pivot. */
    private static final SwingBeam ACROSS = new SwingBeam(
            new Point(0, -200, 380), new Point(-800, -200, 380), new Point(0, 660, 300), new Point(0, 660, 460));

    private static final Knuckle KNUCKLE =
            new Knuckle(new Point(0, 760, 380), new Point(0, 860, 380), new Point(-150, 640, 380));

    private static SwingBeamSolver solver(Point inner) {
        return new SwingBeamSolver(Side.LEFT, ACROSS, KNUCKLE, KNUCKLE.tieRodPoint(), inner, "left tie rod");
    }

    /** The wheel centre is 960 from the pivot: camber is the angle that lifts it, and it comes in on that circle. */
    @Test
    void beamStraightAcrossSwingsTheWheelOnACircle() {
        // The rod's inner end on the hinge: it never steers.
        Point inner = new Point(-150, -200, 380);
        for (double up : new double[] {-90, 40, 120}) {
            KnucklePose k = (KnucklePose) solver(inner).solve(inner, inner, up);
            assertThat(k.wheelCentre().z()).isCloseTo(380 + up, within(1e-9));
            assertThat(k.wheelCentre().y()).isCloseTo(Math.sqrt(960 * 960 - up * up) - 200, within(1e-9));
            assertThat(k.camberDeg()).isCloseTo(-Math.toDegrees(Math.asin(up / 960)), within(1e-9));
            assertThat(k.steerDeg()).isCloseTo(0, within(1e-9));
            assertThat(k.casterDeg()).isCloseTo(0, within(1e-9));
        }
    }

    /** A rod that ends short of the hinge pulls the arm behind the axle in as the wheel rises or falls: toe out. */
    @Test
    void rodThatEndsShortOfTheHingeSteers() {
        Point inner = new Point(-150, 100, 380);
        KnucklePose up = (KnucklePose) solver(inner).solve(inner, inner, 60);
        KnucklePose down = (KnucklePose) solver(inner).solve(inner, inner, -60);
        assertThat(up.toeInDeg()).isLessThan(-0.2);
        assertThat(down.toeInDeg()).isCloseTo(up.toeInDeg(), within(0.3));
        assertThat(up.tieRodPoint().distanceTo(inner))
                .isCloseTo(KNUCKLE.tieRodPoint().distanceTo(inner), within(1e-9));
    }

    /** With the radius arm's joint out at the frame rail, caster goes with the rise. */
    @Test
    void slantedHingeChangesCasterAsTheWheelRises() {
        SteeredAxle axle = DemoJob.DUNE_WARDEN.job().axle().orElseThrow();
        AxleSolver solver = new AxleSolver(axle);
        double still = caster(solver.pose(0, 0, 0));
        assertThat(caster(solver.pose(0, 60, 0)) - still)
                .isCloseTo(-(caster(solver.pose(0, -60, 0)) - still), within(0.3));
        assertThat(Math.abs(caster(solver.pose(0, 60, 0)) - still)).isBetween(1.0, 4.0);
        // The other wheel stays where it is but for what the rods do to it.
        assertThat(((KnucklePose) solver.pose(0, 60, 0).right()).wheelCentre().z())
                .isCloseTo(400, within(1.0));
    }

    private static double caster(AxleConfiguration c) {
        return ((KnucklePose) c.left()).casterDeg();
    }

    @Test
    void wheelThatWouldLeaveItsCircleIsSaidToBeOutOfReach() {
        Point inner = new Point(-150, -200, 380);
        assertThat(solver(inner).solve(inner, inner, 1000)).isInstanceOfSatisfying(CannotAssemble.class, c -> {
            assertThat(c.part()).isEqualTo("left swing beam");
            assertThat(c.amount()).isCloseTo(40, within(1e-9));
        });
    }

    @Test
    void beamsThatCantSwingAreRefused() {
        assertThatThrownBy(() -> ACROSS.withArmEnd(new Point(0, -190, 380)))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("radius arm");
        assertThatThrownBy(() -> ACROSS.withUpper(new Point(0, 660, 200))).hasMessageContaining("above");
        Job job = DemoJob.DUNE_WARDEN.job();
        SequencedMap<CornerPoint, Point> points =
                job.axle().orElseThrow().left().suspension().points();
        assertThat(points).hasSize(4);
        points.forEach((which, at) -> {
            Point to = at.plus(new Vector(3, -2, 1));
            assertThat(job.axle()
                            .orElseThrow()
                            .left()
                            .suspension()
                            .withPoint(which, to)
                            .points())
                    .containsEntry(which, to);
        });
    }
}

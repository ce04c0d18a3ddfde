package mildtilt.suspension;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.SplitLinks.Upper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Knuckles on separate links: with their joints together they are arms, apart they steer where their lines meet. */
public class SplitLinksTest {

    private static SplitLinks split(Suspension s) {
        return switch (s) {
            case DoubleWishbone w -> SplitLinks.of(w);
            case Strut t -> SplitLinks.of(t);
            case SplitLinks l -> l;
            case TrailingArms _, SwingBeam _, Kingpin _ -> throw new IllegalArgumentException();
        };
    }

    /** With the lower links' joints 70 apart, not level and not in line. */
    public static SplitLinks spread(Suspension s) {
        SplitLinks l = split(s);
        return l.withLowerFront(l.lowerFront().withOuter(l.lowerFront().outer().plus(new Vector(40, -6, 4))))
                .withLowerRear(l.lowerRear().withOuter(l.lowerRear().outer().plus(new Vector(-30, -15, -3))));
    }

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "GARDEN_SHUTTLE"})
    void linksThatEndInOneJointMoveAsTheArmDoes(DemoJob demo) {
        SteeredAxle arms = demo.job().axle().orElseThrow();
        SteeredAxle links =
                arms.withLeft(arms.left().withSuspension(split(arms.left().suspension())));
        AxleSolver one = new AxleSolver(arms);
        AxleSolver two = new AxleSolver(links);
        for (double part : new double[] {-0.8, -0.3, 0, 0.45, 0.75}) {
            for (double[] z : new double[][] {{0, 0}, {50, 50}, {-55, 20}}) {
                AxleConfiguration a = one.pose(one.gearInputStop() * part, z[0], z[1]);
                AxleConfiguration b = two.pose(one.gearInputStop() * part, z[0], z[1]);
                if (!(a.left() instanceof KnucklePose k)) {
                    continue;
                }
                KnucklePose l = (KnucklePose) b.left();
                assertThat(l.tieRodPoint().distanceTo(k.tieRodPoint())).isLessThan(1e-8);
                assertThat(l.wheelCentre().distanceTo(k.wheelCentre())).isLessThan(1e-8);
                assertThat(l.spin().minus(k.spin()).norm()).isLessThan(1e-10);
                // The axis through both joints, found from the links alone.
                assertThat(l.steerAxis().distanceTo(k.steerAxisLow())).isLessThan(1e-6);
                assertThat(l.steerAxis().distanceTo(k.steerAxisHigh())).isLessThan(1e-6);
                assertThat(l.scrubRadius()).isCloseTo(k.scrubRadius(), within(1e-6));
                assertThat(l.casterDeg()).isCloseTo(k.casterDeg(), within(1e-7));
            }
        }
    }

    /** Wherever the rod's other end and the wheel are put, within reach or not, the one stands where the other does. */
    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "GARDEN_SHUTTLE"})
    void anyPlaceIsReachedOrMissedAsWithTheArm(DemoJob demo) {
        SteeredAxle axle = demo.job().axle().orElseThrow();
        Point inner = axle.innerEnd(Side.LEFT).orElseThrow();
        Suspension arms = axle.left().suspension();
        Knuckle knuckle = axle.left().knuckle();
        CornerSolver one = new CornerSolver(Side.LEFT, arms, knuckle, knuckle.tieRodPoint(), inner, "rod");
        SplitLinkSolver two = new SplitLinkSolver(Side.LEFT, split(arms), knuckle, knuckle.tieRodPoint(), inner, "rod");
        Random random = new Random(5);
        int stood = 0;
        int missed = 0;
        for (int i = 0; i < 1500; i++) {
            Point at = inner.plus(new Vector(
                    10 * random.nextGaussian(), 300 * (random.nextDouble() - 0.5), 10 * random.nextGaussian()));
            double travel = 240 * (random.nextDouble() - 0.5);
            CornerPose byArm = one.solve(at, at, travel);
            CornerPose byLinks = two.solve(at, at, travel);
            if (byArm instanceof KnucklePose a) {
                assertThat(byLinks).as(at + ", " + travel).isInstanceOf(KnucklePose.class);
                assertThat(((KnucklePose) byLinks).tieRodPoint().distanceTo(a.tieRodPoint()))
                        .isLessThan(1e-8);
                stood++;
            } else {
                assertThat(byLinks).as(at + ", " + travel).isInstanceOf(CannotAssemble.class);
                missed++;
            }
        }
        assertThat(stood).isGreaterThan(1000);
        assertThat(missed).isGreaterThan(20);
    }

    /** Level lower links whose lines meet at a point, under an upper ball joint: the axis runs through both. */
    @Test
    void steerAxisRunsThroughWhereTheLowerLinksMeet() {
        Point meet = new Point(20, 735, 240);
        Point top = new Point(-15, 660, 520);
        SplitLinks l = new SplitLinks(
                new SuspensionLink(new Point(300, 330, 240), toward(new Point(300, 330, 240), meet, 0.8)),
                new SuspensionLink(new Point(-120, 320, 240), toward(new Point(-120, 320, 240), meet, 0.85)),
                new Upper.TwoLinks(
                        new SuspensionLink(new Point(120, 400, 500), top),
                        new SuspensionLink(new Point(-160, 400, 505), top)));
        Axis axis = l.steerAxis();
        assertThat(axis.distanceTo(meet)).isLessThan(1e-8);
        assertThat(axis.distanceTo(top)).isLessThan(1e-8);
        // Under a strut it runs through its top mount instead.
        Point mount = new Point(-30, 600, 830);
        Axis under = new SplitLinks(l.lowerFront(), l.lowerRear(), new Upper.StrutTop(mount, new Point(-5, 650, 330)))
                .steerAxis();
        assertThat(under.distanceTo(meet)).isLessThan(1e-8);
        assertThat(under.distanceTo(mount)).isLessThan(1e-8);
    }

    private static Point toward(Point from, Point to, double part) {
        return from.plus(to.minus(from).times(part));
    }

    /** As the wheel turns, the axis it turns about is the one its own small turn goes about. */
    @Test
    void steerAxisInEveryPoseIsWhatTheNextTurnGoesAbout() {
        SteeredAxle axle = DemoJob.MARSH_CARRIER.job().axle().orElseThrow();
        SplitLinks l = spread(axle.left().suspension());
        Point inner = axle.innerEnd(Side.LEFT).orElseThrow();
        Knuckle knuckle = axle.left().knuckle();
        SplitLinkSolver solver = new SplitLinkSolver(Side.LEFT, l, knuckle, knuckle.tieRodPoint(), inner, "rod");
        for (double push : new double[] {-45, 0, 45}) {
            Point at = inner.plus(new Vector(0, push, 0));
            KnucklePose k = (KnucklePose) solver.solve(at, at, 0);
            // Every link keeps its joint from moving along it: true of a turn about the axis alone.
            l.links().forEach(x -> {
                Point p = k.carried(x.outer());
                Vector moves =
                        k.steerAxis().direction().cross(p.minus(k.steerAxis().origin()));
                assertThat(moves.dot(p.minus(x.inner()).direction().vector())).isCloseTo(0, within(1e-8));
                assertThat(p.distanceTo(x.inner())).isCloseTo(x.length(), within(1e-9));
            });
        }
        KnucklePose left = (KnucklePose) solver.solve(inner.plus(new Vector(0, 45, 0)), inner, 0);
        KnucklePose right = (KnucklePose) solver.solve(inner.plus(new Vector(0, -45, 0)), inner, 0);
        assertThat(Math.abs(left.scrubRadius() - right.scrubRadius()))
                .as("the axis moves in the knuckle")
                .isGreaterThan(3);
    }

    /** Of a rod pulled past where it runs out the answer says how much it lacks, as with the arm. */
    @Test
    void rodThatCanNotReachIsNamedWithWhatItLacks() {
        SteeredAxle axle = DemoJob.MARSH_CARRIER.job().axle().orElseThrow();
        Point inner = axle.innerEnd(Side.LEFT).orElseThrow();
        Knuckle knuckle = axle.left().knuckle();
        SplitLinkSolver links = new SplitLinkSolver(
                Side.LEFT, split(axle.left().suspension()), knuckle, knuckle.tieRodPoint(), inner, "rod");
        CornerSolver arms =
                new CornerSolver(Side.LEFT, axle.left().suspension(), knuckle, knuckle.tieRodPoint(), inner, "rod");
        Point far = inner.plus(new Vector(0, -260, 0));
        CannotAssemble byLinks = (CannotAssemble) links.solve(far, far, 0);
        CannotAssemble byArms = (CannotAssemble) arms.solve(far, far, 0);
        assertThat(byLinks.reason()).isEqualTo(byArms.reason());
        assertThat(byLinks.amount()).isCloseTo(byArms.amount(), within(1e-3));
        assertThat(links.solve(inner, inner, 900))
                .isInstanceOfSatisfying(CannotAssemble.class, no -> assertThat(no.reason())
                        .isEqualTo(CannotAssemble.Reason.WHEEL_TRAVEL));
    }

    @Test
    void mirroredLinksMirrorTheAxis() {
        SplitLinks l =
                spread(DemoJob.MARSH_CARRIER.job().axle().orElseThrow().left().suspension());
        Axis one = l.steerAxis();
        Axis other = l.mirrored().steerAxis();
        assertThat(other.distanceTo(one.origin().mirrored())).isLessThan(1e-9);
        assertThat(l.withArms()).isInstanceOf(DoubleWishbone.class);
    }

    @Test
    void linksThatHoldNothingAreRefused() {
        SplitLinks l =
                split(DemoJob.MARSH_CARRIER.job().axle().orElseThrow().left().suspension());
        assertThatThrownBy(() -> l.withLowerRear(l.lowerFront()))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("Both lower links begin in one place");
    }
}

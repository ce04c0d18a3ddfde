package mildtilt.linkage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.UnaryOperator;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.KnucklePose;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;

/**
 * Linkages on kingpins against a general solver that knows nothing of circles and branches: only which
 * lengths must hold. It has the turn of each kingpin, of a bell crank, the shift of the axle as unknowns.
 */
class IndependentLinkageTest {

    private static final double STEP = 1e-6;

    private interface Lengths {
        /** How far each length is off, mm. */
        double[] off(double[] unknowns);
    }

    /** Newton's steps on slopes taken by differences, from a start near the answer. */
    private static double[] solve(Lengths lengths, double[] start) {
        double[] x = start.clone();
        for (int step = 0; step < 30; step++) {
            RealVector move =
                    new QRDecomposition(slopes(lengths, x)).getSolver().solve(new ArrayRealVector(lengths.off(x)));
            for (int i = 0; i < x.length; i++) {
                x[i] -= move.getEntry(i);
            }
        }
        for (double off : lengths.off(x)) {
            assertThat(off).as("the general solver found a pose").isCloseTo(0, within(1e-9));
        }
        return x;
    }

    private static RealMatrix slopes(Lengths lengths, double[] x) {
        RealMatrix slope = new Array2DRowRealMatrix(x.length, x.length);
        for (int j = 0; j < x.length; j++) {
            double[] up = x.clone();
            double[] down = x.clone();
            up[j] += STEP;
            down[j] -= STEP;
            slope.setColumnVector(
                    j,
                    new ArrayRealVector(lengths.off(up))
                            .subtract(new ArrayRealVector(lengths.off(down)))
                            .mapDivide(2 * STEP));
        }
        return slope;
    }

    /** A knuckle's point with the beam placed and the knuckle turned about its kingpin by an angle, rad. */
    private static Point turned(SteeredAxle axle, Side side, UnaryOperator<Point> beam, Point p, double angle) {
        Kingpin k = (Kingpin) axle.corner(side).suspension();
        return Axis.through(beam.apply(k.lower()), beam.apply(k.upper())).turned(beam.apply(p), angle);
    }

    private static double steerDeg(SteeredAxle axle, Side side, UnaryOperator<Point> beam, double angle) {
        Knuckle k = axle.corner(side).knuckle();
        Vector spin = turned(axle, side, beam, k.spinAxisPoint(), angle)
                .minus(turned(axle, side, beam, k.wheelCentre(), angle));
        return Math.toDegrees(Math.atan2(-side.sign() * spin.x(), side.sign() * spin.y()));
    }

    private static void same(
            AxleConfiguration ours, SteeredAxle axle, UnaryOperator<Point> beam, double left, double right) {
        assertThat(((KnucklePose) ours.left()).steerDeg())
                .isCloseTo(steerDeg(axle, Side.LEFT, beam, left), within(1e-6));
        assertThat(((KnucklePose) ours.right()).steerDeg())
                .isCloseTo(steerDeg(axle, Side.RIGHT, beam, right), within(1e-6));
    }

    private static double tie(SteeredAxle axle, UnaryOperator<Point> beam, double left, double right) {
        Point l = axle.corner(Side.LEFT).knuckle().tieRodPoint();
        Point r = axle.corner(Side.RIGHT).knuckle().tieRodPoint();
        return turned(axle, Side.LEFT, beam, l, left).distanceTo(turned(axle, Side.RIGHT, beam, r, right))
                - l.distanceTo(r);
    }

    @Test
    void dragLinkOnTieRodMatchesIndependentFigures() {
        SteeredAxle axle = DemoJob.HOP_PLATFORM.job().axle().orElseThrow();
        ArmGear gear = (ArmGear) axle.gear();
        Beam.CentrePin pin = (Beam.CentrePin) axle.beam().orElseThrow();
        double fraction = ((DragLink.Attachment.OnTieRod) ((DragLink) axle.linkage()).attachment()).fraction();
        AxleSolver ours = new AxleSolver(axle);
        double drag = ours.lengths().get(Rod.DRAG_LINK);
        for (double travel : new double[] {-60, 0, 35}) {
            double roll = Math.asin(2 * travel / axle.track());
            UnaryOperator<Point> beam = p -> pin.pin().turned(p, roll);
            double[] at = {0, 0};
            for (int i = 0; i <= 20; i++) {
                double input = ours.gearInputStop() * i / 20;
                Point end = gear.axis().turned(gear.armEnd(), gear.armAngleAt(input));
                at = solve(
                        x -> {
                            Point l = turned(
                                    axle,
                                    Side.LEFT,
                                    beam,
                                    axle.corner(Side.LEFT).knuckle().tieRodPoint(),
                                    x[0]);
                            Point r = turned(
                                    axle,
                                    Side.RIGHT,
                                    beam,
                                    axle.corner(Side.RIGHT).knuckle().tieRodPoint(),
                                    x[1]);
                            return new double[] {
                                tie(axle, beam, x[0], x[1]),
                                l.plus(r.minus(l).times(fraction)).distanceTo(end) - drag
                            };
                        },
                        at);
                same(ours.pose(input, travel, -travel), axle, beam, at[0], at[1]);
            }
        }
    }

    @Test
    void dragLinkWithTrackBarMatchesIndependentFigures() {
        SteeredAxle axle = DemoJob.BOG_TENDER.job().axle().orElseThrow();
        ArmGear gear = (ArmGear) axle.gear();
        TrackBar bar = ((Beam.Sprung) axle.beam().orElseThrow()).trackBar().orElseThrow();
        DragLink.Attachment.OnKnuckle on = (DragLink.Attachment.OnKnuckle) ((DragLink) axle.linkage()).attachment();
        AxleSolver ours = new AxleSolver(axle);
        Point middle = axle.beamDesign().origin();
        for (double[] travel : new double[][] {{50, 50}, {-60, 30}, {20, -70}}) {
            double roll = Math.asin((travel[0] - travel[1]) / axle.track());
            double[] at = {0, 0, 0};
            for (int i = 0; i <= 20; i++) {
                double input = -ours.gearInputStop() * i / 20;
                Point end = gear.axis().turned(gear.armEnd(), gear.armAngleAt(input));
                at = solve(
                        x -> {
                            UnaryOperator<Point> beam = placed(middle, roll, (travel[0] + travel[1]) / 2, x[2]);
                            return new double[] {
                                tie(axle, beam, x[0], x[1]),
                                turned(axle, on.side(), beam, on.point(), on.side() == Side.LEFT ? x[0] : x[1])
                                                .distanceTo(end)
                                        - ours.lengths().get(Rod.DRAG_LINK),
                                beam.apply(bar.axleEnd()).distanceTo(bar.bodyEnd()) - bar.length()
                            };
                        },
                        at);
                same(
                        ours.pose(input, travel[0], travel[1]),
                        axle,
                        placed(middle, roll, (travel[0] + travel[1]) / 2, at[2]),
                        at[0],
                        at[1]);
            }
        }
    }

    private static UnaryOperator<Point> placed(Point middle, double roll, double rise, double shift) {
        Axis along = new Axis(middle, new Direction(1, 0, 0));
        return p -> along.turned(p, roll).plus(new Vector(0, shift, rise));
    }

    @Test
    void bellCrankMatchesIndependentFigures() {
        SteeredAxle axle = DemoJob.GREENHOUSE_TUG.job().axle().orElseThrow();
        ArmGear gear = (ArmGear) axle.gear();
        BellCrank crank = (BellCrank) axle.linkage();
        AxleSolver ours = new AxleSolver(axle);
        double[] at = {0, 0, 0};
        for (int i = 0; i <= 20; i++) {
            double input = ours.gearInputStop() * i / 20;
            Point end = gear.axis().turned(gear.armEnd(), gear.armAngleAt(input));
            at = solve(
                    x -> new double[] {
                        crank.pivot().turned(crank.dragRodPoint(), x[2]).distanceTo(end)
                                - ours.lengths().get(Rod.DRAG_ROD),
                        rod(axle, crank, Side.LEFT, x[0], x[2]) - ours.lengths().get(Rod.LEFT_TIE_ROD),
                        rod(axle, crank, Side.RIGHT, x[1], x[2])
                                - ours.lengths().get(Rod.RIGHT_TIE_ROD)
                    },
                    at);
            same(ours.pose(input, 0, 0), axle, UnaryOperator.identity(), at[0], at[1]);
            Mechanism.BellCrankAt m =
                    (Mechanism.BellCrankAt) ours.pose(input, 0, 0).mechanism().orElseThrow();
            assertThat(m.crankAngle()).isCloseTo(at[2], within(1e-8));
        }
    }

    private static double rod(SteeredAxle axle, BellCrank crank, Side side, double knuckle, double crankTurn) {
        return turned(
                        axle,
                        side,
                        UnaryOperator.identity(),
                        axle.corner(side).knuckle().tieRodPoint(),
                        knuckle)
                .distanceTo(crank.pivot().turned(crank.tieRodPoint(side), crankTurn));
    }
}

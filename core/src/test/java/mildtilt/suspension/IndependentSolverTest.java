package mildtilt.suspension;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/**
 * Poses of random corners against a general least-squares solver that knows nothing of swings and spheres:
 * it only has the coordinates of four points and the distances that must hold between them.
 */
class IndependentSolverTest {

    private record Corner(DoubleWishbone arms, Knuckle knuckle, Point inner) {}

    private static Corner random(Random r) {
        DoubleWishbone arms = new DoubleWishbone(
                near(r, 150, 240, 260),
                near(r, -160, 240, 250),
                near(r, 5, 600, 260),
                near(r, 120, 310, 460),
                near(r, -130, 310, 450),
                near(r, -15, 570, 480));
        double x = r.nextBoolean() ? 140 : -140;
        Knuckle knuckle = new Knuckle(near(r, 0, 720, 370), near(r, 0, 860, 371), near(r, x, 590, 330));
        return new Corner(arms, knuckle, near(r, x, 250, 325));
    }

    private static Point near(Random r, double x, double y, double z) {
        return new Point(x + r.nextGaussian() * 8, y + r.nextGaussian() * 8, z + r.nextGaussian() * 8);
    }

    private record Link(int a, int b, Point fixed, double length) {}

    /** Ball joints 0 and 1, tie-rod point 2, wheel centre 3; {@code b} below 0 means the fixed point. */
    private static List<Link> links(Corner c, Point inner) {
        DoubleWishbone w = c.arms;
        Point[] design = {w.lowerBallJoint(), w.upperBallJoint(), c.knuckle.tieRodPoint(), c.knuckle.wheelCentre()};
        List<Link> all = new ArrayList<>();
        for (Point p : List.of(w.lowerInnerFront(), w.lowerInnerRear())) {
            all.add(new Link(0, -1, p, p.distanceTo(design[0])));
        }
        for (Point p : List.of(w.upperInnerFront(), w.upperInnerRear())) {
            all.add(new Link(1, -1, p, p.distanceTo(design[1])));
        }
        all.add(new Link(2, -1, inner, c.inner.distanceTo(design[2])));
        for (int i = 0; i < 4; i++) {
            for (int j = i + 1; j < 4; j++) {
                all.add(new Link(i, j, Point.ORIGIN, design[i].distanceTo(design[j])));
            }
        }
        return all;
    }

    private static Vector at(RealVector v, int i) {
        return new Vector(v.getEntry(3 * i), v.getEntry(3 * i + 1), v.getEntry(3 * i + 2));
    }

    /** The four points where all lengths hold and the wheel centre is at the wanted height. */
    private static RealVector solve(Corner c, Point inner, double height, double[] start) {
        List<Link> links = links(c, inner);
        int rows = links.size() + 1;
        MultivariateJacobianFunction model = v -> {
            ArrayRealVector value = new ArrayRealVector(rows);
            Array2DRowRealMatrix slope = new Array2DRowRealMatrix(rows, 12);
            for (int i = 0; i < links.size(); i++) {
                Link l = links.get(i);
                Vector to = l.b < 0 ? l.fixed.minus(Point.ORIGIN) : at(v, l.b);
                Vector d = at(v, l.a).minus(to);
                value.setEntry(i, d.norm() - l.length);
                double[] u = {d.x() / d.norm(), d.y() / d.norm(), d.z() / d.norm()};
                for (int k = 0; k < 3; k++) {
                    slope.setEntry(i, 3 * l.a + k, u[k]);
                    if (l.b >= 0) {
                        slope.setEntry(i, 3 * l.b + k, -u[k]);
                    }
                }
            }
            value.setEntry(rows - 1, v.getEntry(11) - height);
            slope.setEntry(rows - 1, 11, 1);
            return new Pair<>(value, slope);
        };
        LeastSquaresOptimizer.Optimum found = new LevenbergMarquardtOptimizer()
                .withCostRelativeTolerance(1e-30)
                .withParameterRelativeTolerance(1e-15)
                .withOrthoTolerance(1e-30)
                .optimize(new LeastSquaresBuilder()
                        .model(model)
                        .start(start)
                        .target(new double[rows])
                        .maxEvaluations(500)
                        .maxIterations(500)
                        .build());
        assertThat(found.getRMS()).as("the general solver found a pose").isLessThan(1e-9);
        return found.getPoint();
    }

    @RepeatedTest(25)
    void ourPoseIsTheOneWhereAllLengthsHold(RepetitionInfo rep) {
        Random r = new Random(rep.getCurrentRepetition());
        Corner c = random(r);
        CornerSolver ours =
                new CornerSolver(Side.LEFT, c.arms, c.knuckle, c.knuckle.tieRodPoint(), c.inner, "left tie rod");
        double travel = r.nextDouble() * 110 - 55;
        double rack = r.nextDouble() * 90 - 45;
        double[] at = coordinates(
                c.arms.lowerBallJoint(), c.arms.upperBallJoint(), c.knuckle.tieRodPoint(), c.knuckle.wheelCentre());
        // Followed from the design position in small steps, so that both are on the same branch.
        int steps = 10;
        for (int i = 1; i <= steps; i++) {
            Point inner = c.inner.plus(new Vector(0, rack * i / steps, 0));
            at = solve(c, inner, c.knuckle.wheelCentre().z() + travel * i / steps, at)
                    .toArray();
        }
        KnucklePose pose = (KnucklePose) ours.solve(c.inner.plus(new Vector(0, rack, 0)), c.inner, travel);
        double[] found = coordinates(pose.steerAxisLow(), pose.steerAxisHigh(), pose.tieRodPoint(), pose.wheelCentre());
        for (int i = 0; i < 12; i++) {
            assertThat(found[i]).as("coordinate " + i).isCloseTo(at[i], within(1e-6));
        }
        // The spin axis is carried with the knuckle: square and parallel parts of it stay so.
        Direction spin =
                c.knuckle.spinAxisPoint().minus(c.knuckle.wheelCentre()).direction();
        Vector arm = c.knuckle.tieRodPoint().minus(c.arms.lowerBallJoint());
        assertThat(pose.spin().dot(pose.tieRodPoint().minus(pose.steerAxisLow())))
                .isCloseTo(spin.dot(arm), within(1e-8));
    }

    private static double[] coordinates(Point... points) {
        double[] all = new double[3 * points.length];
        for (int i = 0; i < points.length; i++) {
            all[3 * i] = points[i].x();
            all[3 * i + 1] = points[i].y();
            all[3 * i + 2] = points[i].z();
        }
        return all;
    }
}

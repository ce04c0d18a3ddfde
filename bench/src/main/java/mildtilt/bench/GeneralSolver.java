package mildtilt.bench;

import java.util.EnumMap;
import java.util.Map;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.SwingArm;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * The same poses by a general-purpose solver: Levenberg–Marquardt (Hipparchus) on nothing but which lengths must hold,
 * the six freedoms of a knuckle as
 * unknowns, slopes by differences, each pose begun from the one before. What our own closed forms are compared with;
 * for all but beam axles, whose one tie rod joins both sides.
 */
final class GeneralSolver {

    private static final double STEP = 1e-6;

    private interface Off {
        double[] of(double[] x);
    }

    private final SteeredAxle axle;
    private final Map<Side, double[]> before = new EnumMap<>(Side.class);
    private final Map<Side, Double> rods = new EnumMap<>(Side.class);
    private double[] relay = {0};

    /** @throws IllegalArgumentException for a kind that it is not written for */
    GeneralSolver(SteeredAxle axle) {
        this.axle = axle;
        if (axle.oneTieRod()) {
            throw new IllegalArgumentException("not for one tie rod between both knuckles");
        }
        for (Side s : Side.values()) {
            before.put(s, new double[6]);
            rods.put(
                    s,
                    axle.innerEnd(s)
                            .orElseThrow()
                            .distanceTo(axle.corner(s).knuckle().tieRodPoint()));
        }
    }

    /** Steer angles of left and right, degrees. @param input of the gear to the left, rad */
    double[] pose(double input, double travelLeft, double travelRight) {
        Map<Side, Point> inner = inner(input);
        return new double[] {
            steer(Side.LEFT, inner.get(Side.LEFT), travelLeft), steer(Side.RIGHT, inner.get(Side.RIGHT), travelRight)
        };
    }

    private Map<Side, Point> inner(double input) {
        if (axle.gear() instanceof RackAndPinion r) {
            double d = r.displacementAt(input);
            return Map.of(Side.LEFT, r.innerPivot(Side.LEFT, d), Side.RIGHT, r.innerPivot(Side.RIGHT, d));
        }
        ArmGear gear = (ArmGear) axle.gear();
        Point end = gear.axis().turned(gear.armEnd(), gear.armAngleAt(input));
        if (axle.linkage() instanceof CentreLink c) {
            SwingArm idler = c.idler(gear);
            double length = gear.armEnd().distanceTo(idler.end());
            relay = solved(
                    x -> new double[] {idler.axis().turned(idler.end(), x[0]).distanceTo(end) - length}, relay);
            Point far = idler.axis().turned(idler.end(), relay[0]);
            return Map.of(Side.LEFT, c.innerAt(Side.LEFT, end, far), Side.RIGHT, c.innerAt(Side.RIGHT, end, far));
        }
        if (axle.linkage() instanceof BellCrank b) {
            double length = gear.armEnd().distanceTo(b.dragRodPoint());
            relay = solved(
                    x -> new double[] {b.pivot().turned(b.dragRodPoint(), x[0]).distanceTo(end) - length}, relay);
            return Map.of(
                    Side.LEFT,
                    b.pivot().turned(b.tieRodPoint(Side.LEFT), relay[0]),
                    Side.RIGHT,
                    b.pivot().turned(b.tieRodPoint(Side.RIGHT), relay[0]));
        }
        Shuttle s = (Shuttle) axle.linkage();
        Vector along = s.slide().vector();
        double length = gear.armEnd().distanceTo(s.linkPoint());
        relay = solved(x -> new double[] {s.linkPoint().plus(along.times(x[0])).distanceTo(end) - length}, relay);
        return Map.of(
                Side.LEFT,
                s.inner(Side.LEFT).plus(along.times(relay[0])),
                Side.RIGHT,
                s.inner(Side.RIGHT).plus(along.times(relay[0])));
    }

    private double steer(Side side, Point inner, double travel) {
        var corner = axle.corner(side);
        Point centre = corner.knuckle().wheelCentre();
        if (corner.suspension() instanceof Kingpin k) {
            double[] turn = solved(
                    v -> new double[] {
                        k.steerAxis()
                                        .turned(corner.knuckle().tieRodPoint(), v[0])
                                        .distanceTo(inner)
                                - rods.get(side)
                    },
                    new double[] {before.get(side)[0]});
            before.put(side, turn);
            return heading(
                    side,
                    k.steerAxis()
                            .turned(corner.knuckle().spinAxisPoint(), turn[0])
                            .minus(k.steerAxis().turned(centre, turn[0])));
        }
        double[] x = solved(
                v -> {
                    Point tie = moved(centre, v, corner.knuckle().tieRodPoint());
                    double rod = tie.distanceTo(inner) - rods.get(side);
                    double height = moved(centre, v, centre).z() - centre.z() - travel;
                    return switch (corner.suspension()) {
                        case DoubleWishbone w ->
                            new double[] {
                                off(centre, v, w.lowerBallJoint(), w.lowerInnerFront()),
                                off(centre, v, w.lowerBallJoint(), w.lowerInnerRear()),
                                off(centre, v, w.upperBallJoint(), w.upperInnerFront()),
                                off(centre, v, w.upperBallJoint(), w.upperInnerRear()),
                                rod,
                                height
                            };
                        case Strut s -> {
                            // The top mount stays on the strut's line, both ways across it.
                            Direction line = s.strutAxis().direction();
                            Vector a = line.anySquare().vector();
                            Vector b = line.cross(a);
                            Point top = back(centre, v, s.topMount());
                            Vector from = top.minus(s.axisLowerPoint());
                            Vector was = s.topMount().minus(s.axisLowerPoint());
                            yield new double[] {
                                off(centre, v, s.lowerBallJoint(), s.lowerInnerFront()),
                                off(centre, v, s.lowerBallJoint(), s.lowerInnerRear()),
                                from.dot(a) - was.dot(a),
                                from.dot(b) - was.dot(b),
                                rod,
                                height
                            };
                        }
                        case TrailingArms _, SplitLinks _ -> throw new IllegalStateException("not compared");
                        case SwingBeam b ->
                            new double[] {
                                off(centre, v, b.lower(), b.pivot()),
                                off(centre, v, b.lower(), b.armEnd()),
                                off(centre, v, b.upper(), b.pivot()),
                                off(centre, v, b.upper(), b.armEnd()),
                                rod,
                                height
                            };
                        case Kingpin _ -> throw new IllegalStateException();
                    };
                },
                before.get(side));
        before.put(side, x);
        return heading(side, moved(centre, x, corner.knuckle().spinAxisPoint()).minus(moved(centre, x, centre)));
    }

    private static double heading(Side side, Vector spin) {
        return Math.toDegrees(Math.atan2(-side.sign() * spin.x(), side.sign() * spin.y()));
    }

    private static double off(Point centre, double[] v, Point onKnuckle, Point pivot) {
        return moved(centre, v, onKnuckle).distanceTo(pivot) - onKnuckle.distanceTo(pivot);
    }

    /** Turned about the wheel centre by a rotation vector, rad, and shifted, mm. */
    private static Point moved(Point centre, double[] v, Point p) {
        return turned(centre, v[0], v[1], v[2], p).plus(new Vector(v[3], v[4], v[5]));
    }

    private static Point back(Point centre, double[] v, Point p) {
        return turned(centre, -v[0], -v[1], -v[2], p.plus(new Vector(-v[3], -v[4], -v[5])));
    }

    private static Point turned(Point centre, double x, double y, double z, Point p) {
        double angle = Math.sqrt(x * x + y * y + z * z);
        return angle < 1e-14 ? p : new Axis(centre, Direction.along(x, y, z)).turned(p, angle);
    }

    private static double[] solved(Off off, double[] start) {
        int n = start.length;
        return new LevenbergMarquardtOptimizer()
                .withCostRelativeTolerance(1e-14)
                .withParameterRelativeTolerance(1e-14)
                .withOrthoTolerance(1e-14)
                .optimize(new LeastSquaresBuilder()
                        .start(start)
                        .target(new double[n])
                        .model((RealVector x) -> {
                            double[] at = x.toArray();
                            double[] here = off.of(at);
                            double[][] j = new double[n][n];
                            for (int k = 0; k < n; k++) {
                                double was = at[k];
                                at[k] = was + STEP;
                                double[] more = off.of(at);
                                at[k] = was - STEP;
                                double[] less = off.of(at);
                                at[k] = was;
                                for (int i = 0; i < n; i++) {
                                    j[i][k] = (more[i] - less[i]) / (2 * STEP);
                                }
                            }
                            return new Pair<RealVector, org.hipparchus.linear.RealMatrix>(
                                    new ArrayRealVector(here, false), new Array2DRowRealMatrix(j, false));
                        })
                        .maxEvaluations(400)
                        .maxIterations(400)
                        .build())
                .getPoint()
                .toArray();
    }
}

package mildtilt.suspension;

import java.util.List;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.kinematics.LuSolver;
import mildtilt.suspension.CannotAssemble.Reason;
import mildtilt.suspension.SplitLinks.Upper;
import org.jspecify.annotations.Nullable;

/**
 * Finds how a knuckle on separate links stands. Its six freedoms are held by the links (or two of them by a strut), by
 * the rod
 * that steers it and by the height of the wheel centre: six equations, solved by Newton's steps. The way from the
 * design
 * position is gone in stretches, first to the height, then with the rod's other end, so that the answer stays on the
 * branch it
 * has there; where the equations come to be singular the mechanism ends.
 */
public final class SplitLinkSolver implements TravellingCorner {

    private static final double RESIDUAL = 1e-11;
    /** A step below this is rounding, mm or rad. */
    private static final double SMALLEST_STEP = 1e-12;

    private static final double STRETCH = 30;
    private static final double SHORTEST_STRETCH = 1e-7;
    private static final int MOST_STEPS = 12;
    private static final int ROWS = 6;

    private final Side side;
    private final SplitLinks links;
    private final List<SuspensionLink> rods;
    private final Knuckle knuckle;
    private final Point rodPoint;
    private final Point anchorDesign;
    private final String rod;
    private final double rodLength;
    private final Frame design;
    private final double branch;

    /**
     * @param rodPoint where the rod that steers this knuckle meets it, design position
     * @param anchor that rod's other end in the design position, which settles its length
     * @param rod what that rod is called
     * @throws ImpossibleGeometryException if the rod has no length, or it could not steer the knuckle
     */
    public SplitLinkSolver(Side side, SplitLinks links, Knuckle knuckle, Point rodPoint, Point anchor, String rod) {
        this.side = side;
        this.links = links;
        rods = links.links();
        this.knuckle = knuckle;
        this.rodPoint = rodPoint;
        this.rod = rod;
        anchorDesign = anchor;
        rodLength = rodPoint.distanceTo(anchor);
        if (rodLength < 1) {
            throw new ImpossibleGeometryException("The " + rod + " has no length.");
        }
        design = new Frame(knuckle.wheelCentre(), Vector.X, Vector.Y, Vector.Z);
        double[][] m = new double[ROWS][ROWS];
        fill(m, new double[ROWS], design, new Wanted(anchor, 0, rodLength));
        LuSolver lu = new LuSolver(m);
        if (!lu.factor() || lu.logDeterminant() < Math.log(1e-6)) {
            throw new ImpossibleGeometryException(
                    "The " + rod + " can't steer the " + side.label() + " knuckle: it pulls through its steer axis.");
        }
        branch = lu.determinantSign();
    }

    @Override
    public double rodLength() {
        return rodLength;
    }

    /** @param length of the rod, mm */
    private record Wanted(Point anchor, double travel, double length) {

        static Wanted between(Wanted from, Wanted to, double part) {
            return new Wanted(
                    from.anchor.plus(to.anchor.minus(from.anchor).times(part)),
                    from.travel + (to.travel - from.travel) * part,
                    from.length + (to.length - from.length) * part);
        }

        double farFrom(Wanted other) {
            return Math.max(
                    anchor.distanceTo(other.anchor),
                    Math.max(Math.abs(travel - other.travel), Math.abs(length - other.length)));
        }
    }

    /** @param part of the way gone, 1 at its end */
    private record Gone(Frame frame, double part) {}

    @Override
    public CornerPose solve(Point anchor, Point tieRodInner, double travel) {
        Wanted start = new Wanted(anchorDesign, 0, rodLength);
        Wanted high = new Wanted(anchorDesign, travel, rodLength);
        Gone lifted = go(design, start, high);
        if (lifted.part < 1) {
            return new CannotAssemble(side.label() + " suspension", travel * (1 - lifted.part), Reason.WHEEL_TRAVEL);
        }
        Wanted end = new Wanted(anchor, travel, rodLength);
        Gone steered = go(lifted.frame, high, end);
        if (steered.part < 1) {
            return new CannotAssemble(rod, missing(steered.frame, anchor, travel), Reason.LINK);
        }
        return pose(steered.frame, tieRodInner);
    }

    /**
     * How much longer (+) or shorter the rod would have to be: from one that reaches toward its length, as far as it
     * goes.
     */
    private double missing(Frame frame, Point anchor, double travel) {
        double reaches = frame.carried(rodPoint, design).distanceTo(anchor);
        Gone gone = go(frame, new Wanted(anchor, travel, reaches), new Wanted(anchor, travel, rodLength));
        return (reaches - rodLength) * (1 - gone.part);
    }

    private Gone go(Frame from, Wanted start, Wanted end) {
        double far = start.farFrom(end);
        Frame at = from;
        double done = 0;
        double stretch = far > STRETCH ? STRETCH / far : 1;
        while (done < 1) {
            double next = Math.min(1, done + stretch);
            Frame there = newton(at, Wanted.between(start, end, next));
            if (there != null) {
                at = there;
                done = next;
                stretch = Math.min(1, stretch * 2);
            } else {
                stretch /= 2;
                if (stretch * Math.max(far, 1) < SHORTEST_STRETCH) {
                    return new Gone(at, done);
                }
            }
        }
        return new Gone(at, 1);
    }

    /** The pose near another one; null where the steps lead nowhere, or past where the mechanism ends. */
    private @Nullable Frame newton(Frame near, Wanted wanted) {
        Frame at = near;
        double[][] m = new double[ROWS][ROWS];
        double[] x = new double[ROWS];
        LuSolver lu = new LuSolver(m);
        double before = Double.POSITIVE_INFINITY;
        for (int i = 0; i < MOST_STEPS; i++) {
            double off = fill(m, x, at, wanted);
            if (!lu.factor() || lu.determinantSign() != branch || off > 4 * before && off > RESIDUAL) {
                return null;
            }
            if (off < RESIDUAL) {
                return at;
            }
            lu.solve(x);
            Frame next = moved(at, x);
            if (off < 1e-9 && size(x) < SMALLEST_STEP) {
                return next;
            }
            before = off;
            at = next;
        }
        return null;
    }

    private static double size(double[] x) {
        double most = 0;
        for (double v : x) {
            most = Math.max(most, Math.abs(v));
        }
        return most;
    }

    /** Shifted by the first three, mm, and turned by the last three, as a vector in rad. */
    private static Frame moved(Frame at, double[] x) {
        Vector w = new Vector(x[3], x[4], x[5]);
        double angle = w.norm();
        Point origin = at.origin().plus(new Vector(x[0], x[1], x[2]));
        if (angle == 0) {
            return new Frame(origin, at.e(), at.f(), at.g());
        }
        Direction about = w.direction();
        Vector e = about.turn(at.e(), angle);
        Vector f = about.turn(at.f(), angle);
        // Kept square against the rounding of many steps.
        f = f.minus(e.times(e.dot(f) / e.dot(e))).direction().vector();
        e = e.direction().vector();
        return new Frame(origin, e, f, e.cross(f));
    }

    /**
     * The equations about a pose, divided so that each tells mm: rows of links (and strut), rod, height; x what is
     * still
     * wanted of each.
     *
     * @return the most that any is off, mm
     */
    private double fill(double[][] m, double[] x, Frame at, Wanted wanted) {
        int row = 0;
        for (SuspensionLink l : rods) {
            row = distance(m, x, row, at, l.outer(), l.inner(), l.length());
        }
        if (links.upper() instanceof Upper.StrutTop s) {
            row = strut(m, x, row, at, s);
        }
        row = distance(m, x, row, at, rodPoint, wanted.anchor, wanted.length);
        m[row][0] = 0;
        m[row][1] = 0;
        m[row][2] = 1;
        // The frame's origin is the wheel centre.
        m[row][3] = 0;
        m[row][4] = 0;
        m[row][5] = 0;
        x[row] = design.origin().z() + wanted.travel - at.origin().z();
        return size(x);
    }

    private int distance(double[][] m, double[] x, int row, Frame at, Point onKnuckle, Point other, double length) {
        Point p = at.carried(onKnuckle, design);
        Vector along = p.minus(other);
        double now = along.norm();
        put(m[row], along.times(1 / now), p.minus(at.origin()));
        x[row] = length - now;
        return row + 1;
    }

    /** The top mount keeps on the strut's axis, which goes with the knuckle. */
    private int strut(double[][] m, double[] x, int row, Frame at, Upper.StrutTop s) {
        Direction along = s.axis().direction();
        Vector one = along.anySquare().vector();
        Point low = at.carried(s.axisLowerPoint(), design);
        for (Vector square : List.of(one, along.cross(one))) {
            Vector u = at.carried(square, design);
            // u · (top − low) = 0, and both u and low go with the knuckle: seen from it the top mount moves the other
            // way.
            put(m[row], u.negated(), s.topMount().minus(at.origin()));
            x[row] = -u.dot(s.topMount().minus(low));
            row++;
        }
        return row;
    }

    /** A row for a velocity along u of a point at r from the frame's origin: u · v + (r × u) · ω. */
    private static void put(double[] row, Vector u, Vector r) {
        Vector turn = r.cross(u);
        row[0] = u.x();
        row[1] = u.y();
        row[2] = u.z();
        row[3] = turn.x();
        row[4] = turn.y();
        row[5] = turn.z();
    }

    private CornerPose pose(Frame now, Point tieRodInner) {
        double rise = now.origin().z() - design.origin().z();
        return SteerTwist.of(links.lowerFront(), links.lowerRear(), links.upper(), RigidMove.between(design, now))
                .<CornerPose>map(steer -> pose(now, tieRodInner, steer, rise))
                .orElseGet(() -> new CannotAssemble(side.label() + " suspension", rise, Reason.WHEEL_TRAVEL));
    }

    private KnucklePose pose(Frame now, Point tieRodInner, Axis steer, double rise) {
        return new KnucklePose(
                side,
                design,
                now,
                steer.atHeight(links.lowHeight() + rise),
                steer.atHeight(links.upper().height() + (links.upper() instanceof Upper.StrutTop ? 0 : rise)),
                now.carried(knuckle.tieRodPoint(), design),
                tieRodInner,
                now.origin(),
                now.carried(
                        knuckle.spinAxisPoint()
                                .minus(knuckle.wheelCentre())
                                .direction()
                                .vector(),
                        design));
    }
}

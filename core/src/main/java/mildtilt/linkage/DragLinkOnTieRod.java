package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KingpinSolver;
import mildtilt.suspension.KnucklePose;

/**
 * Poses of two kingpins whose tie rod is pushed between its ends by a drag link: the one linkage in which nothing holds
 * either knuckle by itself, so that the left knuckle's turn is a root in one variable.
 */
final class DragLinkOnTieRod implements Motion {

    private static final double DESIGN_STEP = 1e-4;
    private static final double WIDEST_TURN = 1.6;
    private static final double TURN_STEP = 0.02;

    private final DragLink link;
    private final DragLinkStart start;
    private final Map<Rod, Double> lengths;
    private final Corners.OnKingpins corners;
    private final double fraction;
    private final double length;
    private final KingpinSolver left;
    private final KingpinSolver right;
    /** Straight ahead: gap for a turn of the left knuckle, mm/rad; that turn for one of the gear's arm. */
    private final double gapPerTurn;

    private final double turnPerArm;

    DragLinkOnTieRod(DragLink link, Attachment.OnTieRod at, ArmGear gear, SteeredAxle axle) {
        this.link = link;
        start = new DragLinkStart(link, gear);
        fraction = at.fraction();
        Point tieLeft = axle.corner(Side.LEFT).knuckle().tieRodPoint();
        Point tieRight = axle.corner(Side.RIGHT).knuckle().tieRodPoint();
        length = Motion.length(
                Rod.DRAG_LINK,
                link.start(gear),
                tieLeft.plus(tieRight.minus(tieLeft).times(fraction)));
        lengths = start.lengths(length);
        lengths.put(Rod.TIE_ROD, Motion.length(Rod.TIE_ROD, tieLeft, tieRight));
        corners = switch (Corners.of(
                axle,
                new Corners.RodAt(tieLeft, tieRight, Rod.TIE_ROD.label()),
                new Corners.RodAt(tieRight, tieLeft, Rod.TIE_ROD.label()))) {
            case Corners.OnKingpins k -> k;
            case Corners.OnArms _ -> throw new ImpossibleGeometryException(DragLink.NEEDS_KINGPINS);
        };
        left = corners.left();
        right = corners.right();
        Frame design = axle.beamDesign();
        double h = DESIGN_STEP;
        Point end = start.swung(0);
        gapPerTurn = (tieRodTrial(design, h, end).gap - tieRodTrial(design, -h, end).gap) / (2 * h);
        double gapPerArm =
                (tieRodTrial(design, 0, start.swung(h)).gap - tieRodTrial(design, 0, start.swung(-h)).gap) / (2 * h);
        turnPerArm = gapPerTurn == 0 ? 0 : -gapPerArm / gapPerTurn;
    }

    @Override
    public Corners corners() {
        return corners;
    }

    @Override
    public Map<Rod, Double> lengths() {
        return lengths;
    }

    @Override
    public AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        return switch (footing) {
            case CornerPair.OnKingpins k -> {
                DragLinkStart.Place from = start.at(gearInputLeft, gearMove);
                yield Math.abs(from.missing()) > REACH_TOLERANCE
                        ? Motion.broken(Rod.INTERMEDIATE_LINK, from.missing(), from.gear(), footing)
                        : stance(from, k.at());
            }
            case CornerPair.OnArms _ -> throw new IllegalStateException(DragLink.NEEDS_KINGPINS);
        };
    }

    @Override
    public Optional<Mechanism> gearAlone(double gearInputLeft) {
        return Optional.of(start.gearAlone(gearInputLeft));
    }

    private static AxleConfiguration broken(CornerPose no, Mechanism.Broken alone, Frame beam) {
        return new AxleConfiguration(no, no, Optional.of(alone), Optional.of(beam));
    }

    /**
     * The drag link meets the tie rod between its ends: the left knuckle's angle is the root at which the drag
     * link has its length, found by stepping out from straight ahead the way that closes the gap, then
     * halving.
     */
    private AxleConfiguration stance(DragLinkStart.Place from, Frame beam) {
        Mechanism.Broken alone = from.gear();
        Point end = from.at();
        Optional<TieRodTrial> quick = bySecant(beam, end, turnPerArm * alone.armAngle());
        if (quick.isPresent()) {
            return onTieRod(quick.get(), from, beam);
        }
        double at = 0;
        double gap = tieRodTrial(beam, 0, end).gap;
        double nearest = gap;
        if (Math.abs(gap) > 1e-12) {
            double ahead = tieRodTrial(beam, 1e-4, end).gap;
            double way = (ahead - gap) * gap < 0 ? 1 : -1;
            boolean found = false;
            double behind = 0;
            for (double to = way * TURN_STEP; Math.abs(to) < WIDEST_TURN; to += way * TURN_STEP) {
                TieRodTrial there = tieRodTrial(beam, to, end);
                if (there.right instanceof CannotAssemble) {
                    break;
                }
                if (gap * there.gap <= 0) {
                    at = halved(beam, end, behind, to, gap);
                    found = true;
                    break;
                }
                if (Math.abs(there.gap) > Math.abs(nearest)) {
                    break;
                }
                nearest = there.gap;
                behind = to;
            }
            if (!found) {
                return broken(new CannotAssemble(Rod.DRAG_LINK.label(), nearest, Reason.LINK), alone, beam);
            }
        }
        return onTieRod(tieRodTrial(beam, at, end), from, beam);
    }

    private AxleConfiguration onTieRod(TieRodTrial held, DragLinkStart.Place from, Frame beam) {
        Mechanism.Broken alone = from.gear();
        if (!(held.right instanceof KnucklePose r)) {
            return broken(held.right, alone, beam);
        }
        return new AxleConfiguration(
                held.left.withTieRodInner(r.tieRodPoint()),
                r,
                Optional.of(new Mechanism.DragLinkAt(
                        link, alone.gear(), alone.armAngle(), alone.armEnd(), from.relay(), held.driven)),
                Optional.of(beam));
    }

    /**
     * The root by the secant rule from where it would be if everything went in proportion; empty where that leads
     * astray, or
     * to a place where the gap closes the other way round, which lies beyond over-centre.
     */
    private Optional<TieRodTrial> bySecant(Frame beam, Point end, double guess) {
        if (gapPerTurn == 0) {
            return Optional.empty();
        }
        double a0 = guess;
        TieRodTrial t0 = tieRodTrial(beam, a0, end);
        if (Math.abs(t0.gap) < 1e-12) {
            return Optional.of(t0);
        }
        double a1 = a0 - t0.gap / gapPerTurn;
        for (int i = 0; i < 10; i++) {
            if (!(Math.abs(a1) < WIDEST_TURN) || t0.right instanceof CannotAssemble) {
                return Optional.empty();
            }
            TieRodTrial t1 = tieRodTrial(beam, a1, end);
            double slope = (t1.gap - t0.gap) / (a1 - a0);
            if (Math.abs(t1.gap) < 1e-11 || Math.abs(t1.gap / slope) < 1e-15) {
                return slope * gapPerTurn > 0 && t1.right instanceof KnucklePose ? Optional.of(t1) : Optional.empty();
            }
            double next = a1 - t1.gap / slope;
            a0 = a1;
            t0 = t1;
            a1 = next;
            if (a1 == a0) {
                return Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** @param gap how much further from the arm's end the driven point stands than the drag link is long, mm */
    private record TieRodTrial(KnucklePose left, CornerPose right, Point driven, double gap) {}

    private TieRodTrial tieRodTrial(Frame beam, double angle, Point end) {
        KnucklePose l = left.turned(beam, angle, Point.ORIGIN);
        CornerPose r = right.solve(beam, l.tieRodPoint(), l.tieRodPoint());
        Point driven = r instanceof KnucklePose k
                ? l.tieRodPoint().plus(k.tieRodPoint().minus(l.tieRodPoint()).times(fraction))
                : l.tieRodPoint();
        return new TieRodTrial(l, r, driven, driven.distanceTo(end) - length);
    }

    private double halved(Frame beam, Point end, double from, double to, double gapFrom) {
        double a = from;
        double b = to;
        double ga = gapFrom;
        double gb = tieRodTrial(beam, b, end).gap;
        // The secant's point where it falls inside, else the middle: quick, and never outside the bracket.
        for (int i = 0; i < 80 && Math.abs(b - a) > 1e-15; i++) {
            double mid = i % 3 == 2 ? (a + b) / 2 : a - ga * (b - a) / (gb - ga);
            if (!(mid > Math.min(a, b) && mid < Math.max(a, b))) {
                mid = (a + b) / 2;
            }
            double gm = tieRodTrial(beam, mid, end).gap;
            if (Math.abs(gm) < 1e-12) {
                return mid;
            }
            if (ga * gm <= 0) {
                b = mid;
                gb = gm;
            } else {
                a = mid;
                ga = gm;
            }
        }
        return (a + b) / 2;
    }
}

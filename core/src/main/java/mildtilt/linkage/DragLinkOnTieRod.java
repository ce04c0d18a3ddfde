package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KingpinSolver;
import mildtilt.suspension.KnucklePose;

/**
 * Poses of two kingpins whose tie rod is pushed between its ends by a drag link: the one linkage in which nothing holds
 * either knuckle by itself, so that the left knuckle's turn is a root in one variable.
 */
final class DragLinkOnTieRod {

    private static final double DESIGN_STEP = 1e-4;
    private static final double WIDEST_TURN = 1.6;
    private static final double TURN_STEP = 0.02;

    private final double fraction;
    private final double length;
    private final KingpinSolver left;
    private final KingpinSolver right;
    /** Straight ahead: gap for a turn of the left knuckle, mm/rad; that turn for one of the gear's arm. */
    private final double gapPerTurn;
    private final double turnPerArm;

    /**
     * @param fraction where the drag link meets the tie rod, from its left end
     * @param length of the drag link, mm
     * @param arm the circle of the gear's arm
     */
    DragLinkOnTieRod(double fraction, double length, KingpinSolver left, KingpinSolver right, Orbit arm, Frame beamDesign) {
        this.fraction = fraction;
        this.length = length;
        this.left = left;
        this.right = right;
        double h = DESIGN_STEP;
        Point end = arm.at(0);
        gapPerTurn = (tieRodTrial(beamDesign, h, end).gap - tieRodTrial(beamDesign, -h, end).gap) / (2 * h);
        double gapPerArm = (tieRodTrial(beamDesign, 0, arm.at(h)).gap - tieRodTrial(beamDesign, 0, arm.at(-h)).gap) / (2 * h);
        turnPerArm = gapPerTurn == 0 ? 0 : -gapPerArm / gapPerTurn;
    }

    private static Stance broken(CornerPose no, double angle, Point end, Frame beam) {
        return new Stance(no, no, Optional.of(new Mechanism.Broken(angle, end)), Optional.of(beam));
    }

    /**
     * The drag link meets the tie rod between its ends: the left knuckle's angle is the root at which the drag
     * link has its length, found by stepping out from straight ahead the way that closes the gap, then
     * halving.
     */
    Stance stance(double angle, Point end, Frame beam) {
        Optional<TieRodTrial> quick = bySecant(beam, end, turnPerArm * angle);
        if (quick.isPresent()) {
            return onTieRod(quick.get(), angle, end, beam);
        }
        double at = 0;
        double gap = tieRodTrial(beam, 0, end).gap;
        double nearest = gap;
        if (Math.abs(gap) > 1e-12) {
            double ahead = tieRodTrial(beam, 1e-4, end).gap;
            double way = (ahead - gap) * gap < 0 ? 1 : -1;
            boolean found = false;
            double from = 0;
            for (double to = way * TURN_STEP; Math.abs(to) < WIDEST_TURN; to += way * TURN_STEP) {
                TieRodTrial there = tieRodTrial(beam, to, end);
                if (there.right instanceof CannotAssemble) {
                    break;
                }
                if (gap * there.gap <= 0) {
                    at = halved(beam, end, from, to, gap);
                    found = true;
                    break;
                }
                if (Math.abs(there.gap) > Math.abs(nearest)) {
                    break;
                }
                nearest = there.gap;
                from = to;
            }
            if (!found) {
                return broken(new CannotAssemble(Rod.DRAG_LINK.label(), nearest, Reason.LINK), angle, end, beam);
            }
        }
        return onTieRod(tieRodTrial(beam, at, end), angle, end, beam);
    }

    private static Stance onTieRod(TieRodTrial held, double angle, Point end, Frame beam) {
        if (!(held.right instanceof KnucklePose r)) {
            return broken(held.right, angle, end, beam);
        }
        return new Stance(held.left.withTieRodInner(r.tieRodPoint()), r, Optional.of(new Mechanism.DragLinkAt(angle, end, held.driven)), Optional.of(beam));
    }

    /**
     * The root by the secant rule from where it would be if everything went in proportion; empty where that leads astray, or
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
        Point driven = r instanceof KnucklePose k ? l.tieRodPoint().plus(k.tieRodPoint().minus(l.tieRodPoint()).times(fraction)) : l.tieRodPoint();
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

package mildtilt.clearance;

import java.util.ArrayList;
import java.util.List;
import mildtilt.clearance.bodies.BodyPair;
import mildtilt.clearance.bodies.Configuration;
import mildtilt.geometry.Point;
import mildtilt.solid.Gap;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;

/** Two bodies, and the least found of them so far. */
final class NearestSoFar {

    final BodyOverRange a;
    final BodyOverRange b;
    final double need;
    /** Whether both are fixed to one thing, so that the gap is the same everywhere. */
    final boolean together;
    /** What both are carried by alike changes no gap. */
    private final boolean bothOnPose;

    double best = Double.POSITIVE_INFINITY;
    double atRest;
    Configuration where;
    /** Of each position, whether the gap is too small there; made for pairs that are too near somewhere. */
    boolean[] foul = new boolean[0];
    /** Of each position, what the gap is not below there. */
    double[] lower = new double[0];

    final List<Solid> foulPlaces = new ArrayList<>();
    Gap gap = new Gap(0, Point.ORIGIN, Point.ORIGIN);

    /** @param rest the position where nothing has moved yet */
    NearestSoFar(BodyOverRange a, BodyOverRange b, SweptPositions range, int rest) {
        this.a = a;
        this.b = b;
        need = PairsToCheck.need(a.body, b.body);
        where = BodyOverRange.stand(range, rest, 0, range.parts.length / 2);
        bothOnPose = a.body.onPose() && b.body.onPose();
        together = onPose() && a.together(b);
    }

    /** By how much the gap may change, at the most, from one position to another, mm. */
    double carried(int p0, int c0, int k0, int p1, int c1, int k1) {
        if (together) {
            return 0;
        }
        double each = a.carried(p0, c0, k0, p1, c1, k1) + b.carried(p0, c0, k0, p1, c1, k1);
        return bothOnPose ? Math.min(each, a.carriedAgainst(b, p0, c0, k0, p1, c1, k1)) : each;
    }

    boolean onPose() {
        return a.body.onPose() || b.body.onPose();
    }

    boolean onColumn() {
        return a.body.onColumn() || b.body.onColumn();
    }

    boolean onPart() {
        return a.body.onPart() || b.body.onPart();
    }

    double extra() {
        return a.body.extra() + b.body.extra();
    }

    /** @param enough a gap large enough, mm: where the true one is no smaller, this is the answer */
    double gapAt(Configuration s, double enough) {
        return Gaps.between(a.body.solid().apply(s), b.body.solid().apply(s), enough + extra())
                        .mm()
                - extra();
    }

    BodyPair two() {
        return new BodyPair(a.body.called(), b.body.called());
    }
}

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
    double best = Double.POSITIVE_INFINITY;
    double atRest;
    Configuration where;
    /** Of each position, whether the gap is too small there; made for pairs that are too near somewhere. */
    boolean[] foul = new boolean[0];
    /** Of each position, what the gap is not below there. */
    double[] lower = new double[0];

    final List<Solid> foulPlaces = new ArrayList<>();
    Gap gap = new Gap(0, Point.ORIGIN, Point.ORIGIN);

    /** @param rest where nothing has moved yet */
    NearestSoFar(BodyOverRange a, BodyOverRange b, Configuration rest) {
        this.a = a;
        this.b = b;
        need = PairsToCheck.need(a.body, b.body);
        where = rest;
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

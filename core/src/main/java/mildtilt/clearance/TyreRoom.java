package mildtilt.clearance;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.clearance.bodies.Bodies;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Body.Sort;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;
import mildtilt.suspension.KnucklePose;

/** Looks for the largest tyre, by halving: a larger one is nowhere farther from anything. */
final class TyreRoom {

    private static final double CLOSE = 0.25;
    /** No tyre stands less than this above its rim, mm. */
    private static final double LEAST_WALL = 40;
    /** No tyre narrower than this part of the present one is offered. */
    private static final double NARROWEST = 0.5;

    private static final double[] SPACERS = {10, 20, 30};
    /** How much larger a tyre is looked for, in radius or half the width, mm. */
    private static final double MOST = ClearanceFigures.NEAR;

    private final Job job;
    private final SweptPositions range;

    TyreRoom(Job job, SweptPositions range) {
        this.job = job;
        this.range = range;
    }

    /** Two bodies that come near each other. */
    record Near(BodyOverRange a, BodyOverRange b) {}

    /** What a tyre comes near to in one position, and how near: a bound for how much it may grow there. */
    private record Place(
            Side side, boolean inner, KnucklePose knuckle, Solid other, double spare, double need, String name) {}

    Optional<LargestTyre> of(List<Near> near) {
        List<Place> places = new ArrayList<>();
        near.forEach(n -> places(n, places));
        if (places.isEmpty()) {
            return Optional.empty();
        }
        places.sort(Comparator.comparingDouble(Place::spare));
        double radius = Math.max(radius(Side.LEFT), radius(Side.RIGHT));
        double half = job.vehicle().tyreWidth() / 2;
        // A tyre can be no smaller than this on its rim, and what is too near even then has nothing to do with the
        // tyre.
        double least = Math.min(
                radius, Math.max(Bodies.rimRadius(job, Side.LEFT), Bodies.rimRadius(job, Side.RIGHT)) + LEAST_WALL);
        places.removeIf(p -> tooNear(p, new double[] {NARROWEST * half, least}, 0));
        if (places.isEmpty()) {
            return Optional.empty();
        }
        double r = largest(places, least, radius, d -> new double[] {half, d}, 0);
        double w = largest(places, NARROWEST * half, half, d -> new double[] {d, radius}, 0);
        List<LargestTyre.Spaced> spaced = Arrays.stream(SPACERS)
                .mapToObj(x -> new LargestTyre.Spaced(
                        x,
                        2 * largest(places, least, radius, d -> new double[] {half, d}, x),
                        2 * largest(places, NARROWEST * half, half, d -> new double[] {d, radius}, x)))
                .toList();
        return Optional.of(new LargestTyre(
                2 * r,
                2 * w,
                r >= radius + MOST ? "" : by(places, half, r + 2 * CLOSE),
                w >= half + MOST ? "" : by(places, w + 2 * CLOSE, radius),
                spaced));
    }

    private double radius(Side side) {
        return job.axle().orElseThrow().corner(side).knuckle().wheelCentre().z();
    }

    private void places(Near n, List<Place> to) {
        Body tyre = n.a().body;
        Body other = n.b().body;
        boolean inner = tyre.sort() == Sort.WHEEL_RING;
        if (tyre.sort() != Sort.TYRE && !inner) {
            return;
        }
        Side side = tyre.side().orElseThrow();
        double need = PairsToCheck.need(tyre, other) + other.extra();
        int p0 = -1;
        int c0 = 0;
        int k0 = 0;
        double known = 0;
        for (int i = 0; i < range.positions.size(); i++) {
            for (int c = 0; c < (other.onColumn() ? range.columns.size() : 1); c++) {
                for (int k = 0; k < (other.onPart() ? range.parts.length : 1); k++) {
                    if (p0 >= 0
                            && known - n.a().carried(p0, c0, k0, i, c, k) - n.b().carried(p0, c0, k0, i, c, k)
                                    >= need + MOST) {
                        continue;
                    }
                    Solid o = n.b().solid(i, c, k);
                    // Of one that is in the tyre already, how deep need not be known.
                    known = Gaps.nearer(n.a().solid(i, c, k), o, 0)
                            ? -1
                            : Gaps.between(n.a().solid(i, c, k), o, need + MOST + 30)
                                    .mm();
                    p0 = i;
                    c0 = c;
                    k0 = k;
                    if (known < need + MOST) {
                        to.add(new Place(
                                side,
                                inner,
                                (KnucklePose) range.positions
                                        .get(i)
                                        .stand()
                                        .pose()
                                        .orElseThrow()
                                        .corner(side),
                                o,
                                known - need,
                                need,
                                other.name()));
                    }
                }
            }
        }
    }

    private interface Size {
        /** Half the width and the radius. */
        double[] of(double size);
    }

    /** What of one place after another leaves; only a place where the size left so far is too large is halved for. */
    private double largest(List<Place> places, double least, double now, Size size, double spacer) {
        double most = now + MOST;
        for (Place p : places) {
            // Of the drum no point goes out farther than the growth, and its rounded edge by a little more.
            if (p.spare > Math.max(0, most - now) * 1.5 + spacer) {
                break;
            }
            if (tooNear(p, size.of(most), spacer)) {
                double in = least;
                while (most - in > CLOSE) {
                    double mid = (in + most) / 2;
                    if (tooNear(p, size.of(mid), spacer)) {
                        most = mid;
                    } else {
                        in = mid;
                    }
                }
                most = in;
            }
        }
        return most;
    }

    private String by(List<Place> places, double half, double radius) {
        return places.stream()
                .filter(p -> tooNear(p, new double[] {half, radius}, 0))
                .findFirst()
                .map(Place::name)
                .orElse("");
    }

    private boolean tooNear(Place p, double[] size, double spacer) {
        KnucklePose k = spacer == 0
                ? p.knuckle
                : p.knuckle.withWheelCentre(
                        p.knuckle.wheelCentre().plus(p.knuckle.spin().times(spacer)));
        Solid tyre = p.inner
                ? Bodies.ring(k, size[0], Bodies.innerRadius(job, p.side), size[1])
                : Bodies.drum(k, size[0], size[1]);
        return Gaps.nearer(tyre, p.other, p.need);
    }
}

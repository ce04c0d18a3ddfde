package mildtilt.routes;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import mildtilt.clearance.SweptObstacle;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.solid.Bounds;
import mildtilt.solid.Convex;
import mildtilt.solid.Gap;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;

/** All that a route must keep clear of, with the gap each needs, in every place it is looked at in. */
final class RouteObstacles {

    /** Gaps larger than their limit by this are not reported, mm. */
    static final double FAR = 60;

    /** @param gear whether it is part of the gear itself; @param holed whether it has the hole a route goes through */
    private record Blocker(String name, double need, List<Solid> places, Bounds all, boolean gear, boolean holed) {}

    private final List<Blocker> all = new ArrayList<>();

    /** @param gap wanted to everything, mm; @param holed what has the hole that a route goes through */
    RouteObstacles(List<SweptObstacle> standing, double gap, Set<Id> holed) {
        for (SweptObstacle s : standing) {
            all.add(new Blocker(
                    s.name(),
                    Math.max(gap, s.need()),
                    s.places(),
                    s.places().stream().map(Solid::bounds).reduce(Bounds::with).orElseThrow(),
                    s.gear(),
                    holed.contains(s.id())));
        }
    }

    /** The least margin and whose it is. @param at where it is, the blocker's nearest place */
    record Margin(double mm, String name, Point at) {

        static final Margin PLENTY = new Margin(FAR, "", Point.ORIGIN);

        Margin tighter(Margin o) {
            return o.mm < mm ? o : this;
        }
    }

    /**
     * Of a part of the column. @param extra by how much it may be nearer than drawn, mm; @param enough a margin from
     * which on none is wanted. @param inGear whether the part ends in the gear. @param through whether it is what
     * goes through the hole
     */
    Margin margin(Convex part, double extra, double enough, boolean inGear, boolean through) {
        Margin least = new Margin(enough, "", Point.ORIGIN);
        Solid solid = Solid.of(part);
        for (Blocker b : all) {
            if (!(inGear && b.gear)
                    && !(through && b.holed)
                    && b.all.distanceTo(part.bounds()) - b.need - extra < least.mm) {
                for (Solid place : b.places) {
                    if (place.bounds().distanceTo(part.bounds()) - b.need - extra < least.mm) {
                        Gap g = Gaps.between(solid, place, least.mm + b.need + extra);
                        if (g.mm() - b.need - extra < least.mm) {
                            least = new Margin(g.mm() - b.need - extra, b.name, g.onSecond());
                        }
                    }
                }
            }
        }
        return least;
    }

    /**
     * Whether a part keeps every gap but for a little; what has the hole is looked at later. @param lacking how much
     * may be lacking, mm. @param inGear
     * whether the part ends in the gear
     */
    boolean clears(Convex part, double extra, double lacking, boolean inGear) {
        for (Blocker b : all) {
            // With more lacking than the whole gap nothing is in the way but what is run right through.
            double far = Math.max(0, b.need + extra - lacking);
            if (!(inGear && b.gear) && !b.holed && b.all.distanceTo(part.bounds()) < far) {
                for (Solid place : b.places) {
                    if (place.bounds().distanceTo(part.bounds()) < far && Gaps.nearer(part, place, far)) {
                        return false;
                    }
                }
            }
        }
        return true;
    }
}

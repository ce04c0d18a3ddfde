package mildtilt.solid;

import java.util.List;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;

/** The gap between two solids of any kind. */
public final class Gaps {

    private static final ThreadLocal<Gjk> GJK = ThreadLocal.withInitial(Gjk::new);
    private static final Point NOWHERE = Point.ORIGIN;

    private Gaps() {}

    /** This thread's own: what one search leaves in it, the next may overwrite. */
    static Gjk gjk() {
        return GJK.get();
    }

    /** @return where the two are nearest, and how near */
    public static Gap between(Solid first, Solid second) {
        return between(first, second, Double.POSITIVE_INFINITY);
    }

    /**
     * @param enough a gap that need not be exact, mm: where none is smaller, one of that size is given, without places
     *     that mean anything
     */
    public static Gap between(Solid first, Solid second, double enough) {
        return switch (first) {
            case Solid.Parts a ->
                switch (second) {
                    case Solid.Parts b -> parts(a, b, enough);
                    case Solid.Skin s -> toSkin(a, s, enough);
                    case Solid.Ring r -> toRing(a, r, enough);
                };
            case Solid.Skin s ->
                switch (second) {
                    case Solid.Parts b -> toSkin(b, s, enough).turnedRound();
                    case Solid.Skin t -> skins(s, t, enough);
                    case Solid.Ring r -> toSkin(r.pieces(), s, enough).turnedRound();
                };
            case Solid.Ring r ->
                switch (second) {
                    case Solid.Parts b -> toRing(b, r, enough).turnedRound();
                    case Solid.Skin s -> toSkin(r.pieces(), s, enough);
                    case Solid.Ring q -> parts(r.pieces(), q.pieces(), enough);
                };
        };
    }

    private static Gap toRing(Solid.Parts a, Solid.Ring r, double enough) {
        Gap best = new Gap(enough, NOWHERE, NOWHERE);
        Solid.Parts pieces = null;
        for (Convex c : a.parts()) {
            if (c.bounds.distanceTo(r.bounds()) >= best.mm() && best.mm() > 0) {
                continue;
            }
            if (c.count <= 2 && c.disc == 0) {
                Gap g = new BarToRing(c, r, best.mm()).gap();
                best = g.mm() < best.mm() ? g : best;
            } else {
                pieces = pieces == null ? r.pieces() : pieces;
                Gap g = parts(new Solid.Parts(List.of(c)), pieces, best.mm());
                best = g.mm() < best.mm() ? g : best;
            }
        }
        return best;
    }

    /** Whether a gap is below some mm, 0 or more: quicker than the gap itself where two are in each other. */
    public static boolean nearer(Convex first, Solid second, double mm) {
        return switch (second) {
            case Solid.Parts b -> {
                Gjk gjk = GJK.get();
                for (Convex c : b.parts()) {
                    if (c.bounds.distanceTo(first.bounds) <= mm && gjk.nearer(first, c, mm)) {
                        yield true;
                    }
                }
                yield false;
            }
            case Solid.Skin _, Solid.Ring _ ->
                between(Solid.of(first), second, mm).mm() < mm;
        };
    }

    /** The same of any two solids. */
    public static boolean nearer(Solid first, Solid second, double mm) {
        if (first instanceof Solid.Parts a) {
            for (Convex c : a.parts()) {
                if (nearer(c, second, mm)) {
                    return true;
                }
            }
            return false;
        }
        return second instanceof Solid.Parts
                ? nearer(second, first, mm)
                : between(first, second, mm).mm() < mm;
    }

    public static Gap between(Convex first, Convex second) {
        return GJK.get().nearest(first, second);
    }

    private static Gap parts(Solid.Parts a, Solid.Parts b, double enough) {
        Gjk gjk = GJK.get();
        double best = enough;
        Convex p = null;
        Convex q = null;
        for (Convex x : a.parts()) {
            for (Convex y : b.parts()) {
                if (x.bounds.leastGap(y.bounds) < best) {
                    double d = gjk.gap(x, y, best);
                    if (d < best) {
                        best = d;
                        p = x;
                        q = y;
                    }
                }
            }
        }
        return p == null || q == null ? new Gap(enough, NOWHERE, NOWHERE) : gjk.nearest(p, q);
    }

    private static Gap toSkin(Solid.Parts a, Solid.Skin s, double enough) {
        Gap best = new Gap(enough, NOWHERE, NOWHERE);
        for (Convex c : a.parts()) {
            Convex local = c.moved(s.back());
            // Whether the skin is touched at all must be known: one that is wholly inside may be deeper than any that
            // touches.
            Gap g = s.mesh().tree().gap(local, Math.max(0, best.mm()));
            boolean inside = s.mesh().closed()
                    && s.bounds().distanceTo(c.bounds) == 0
                    && g.mm() >= 0
                    && s.mesh().tree().crossings(local.core().getFirst()) % 2 == 1;
            if (inside) {
                // Wholly inside: out by the way it is nearest to the skin, and its own thickness with it.
                Gap out = s.mesh().tree().gap(local, Double.POSITIVE_INFINITY);
                g = new Gap(-out.mm() - 2 * c.rounding, out.onFirst(), out.onSecond());
            }
            if (g.mm() < best.mm()) {
                best = new Gap(g.mm(), s.place().moved(g.onFirst()), s.place().moved(g.onSecond()));
            }
        }
        return best;
    }

    /** Every triangle of the smaller skin against the tree of the other. */
    private static Gap skins(Solid.Skin s, Solid.Skin t, double enough) {
        if (s.mesh().count() > t.mesh().count()) {
            return skins(t, s, enough).turnedRound();
        }
        RigidMove across = s.place().then(t.back());
        Gap best = new Gap(enough, NOWHERE, NOWHERE);
        for (int i = 0; i < s.mesh().count(); i++) {
            Gap g = t.mesh().tree().gap(s.mesh().tree().triangle(i).moved(across), best.mm());
            if (g.mm() < best.mm()) {
                best = new Gap(g.mm(), t.place().moved(g.onFirst()), t.place().moved(g.onSecond()));
            }
        }
        return best;
    }
}

package mildtilt.obstacle;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * One thing in the way.
 *
 * @param id an obstacle's of its surroundings
 * @param name unlike any other's
 * @param gap that it needs to whatever moves past it, mm
 * @param hot whether it gives off heat, so that the gap is for more than touching
 * @param carrier what it is fixed to
 * @param sweep how it moves by itself besides
 * @param takesBearings whether the bracket of a bearing can be fixed to it
 * @param said what may be done to it when it is in the way, where that was said; else {@link #may()} takes what is
 * usual
 */
@Withers
public record Obstacle(
        Id id,
        String name,
        Shape shape,
        double gap,
        boolean hot,
        Carrier carrier,
        Sweep sweep,
        boolean takesBearings,
        Optional<May> said)
        implements ObstacleBuilder.With {

    /** What may be done to a thing that is in the way. */
    public enum May {
        MOVED("may be moved"),
        NOTCHED("may be notched"),
        NEITHER("stays as it is");

        private final String label;

        May(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Gap taken where nothing is said, mm. */
    public static final double USUAL_GAP = 12;

    /** The same to what is hot, mm. */
    public static final double USUAL_HOT_GAP = 50;

    /** @throws ImpossibleGeometryException if it has no name, or a gap below 0 */
    public Obstacle {
        if (name.isBlank()) {
            throw new ImpossibleGeometryException("What is in the way needs a name.");
        }
        if (!(gap >= 0 && Double.isFinite(gap))) {
            throw new ImpossibleGeometryException("The gap that \"" + name + "\" needs can't be negative.");
        }
        if (shape instanceof CarriedShape) {
            check(name, shape, carrier, sweep);
        }
    }

    private static void check(String name, Shape shape, Carrier carrier, Sweep sweep) {
        if (carrier != Carrier.FRAME) {
            throw new ImpossibleGeometryException("\"" + name
                    + "\" goes along with what its ends are fixed to; leave out what the whole of it is fixed to.");
        }
        if (!(sweep instanceof Sweep.Still || sweep instanceof Sweep.Wanders)) {
            throw new ImpossibleGeometryException(
                    "\"" + name + "\" moves with what its ends are fixed to, and by itself only as a hose wanders.");
        }
        if (shape instanceof TwoEnded t && t.endToEnd() < 1) {
            throw new ImpossibleGeometryException("Both ends of \"" + name + "\" are in one place.");
        }
        if (shape instanceof AntiRollBar b
                && Math.min(b.left().linkLength(), b.right().linkLength()) < 1) {
            throw new ImpossibleGeometryException("A drop link of \"" + name + "\" has no length.");
        }
    }

    /** What it goes along with: one part, or what its two ends are fixed to. */
    public Set<Carrier> carriers() {
        return shape instanceof CarriedShape c ? c.carriers() : EnumSet.of(carrier);
    }

    /** On the frame, still, with the usual gap; its id is given when it is put among others. */
    public static Obstacle fixed(String name, Shape shape) {
        return new Obstacle(
                Id.Kind.OBSTACLE.first(),
                name,
                shape,
                USUAL_GAP,
                false,
                Carrier.FRAME,
                new Sweep.Still(),
                false,
                Optional.empty());
    }

    /**
     * What may be done to it. If not given: a member that brackets are welded to may be notched and is never moved;
     * what rides
     * on the axle, and anything long enough to be a spring, a slide bar or a rail of its own, is left alone, and so is
     * what has its place between two ends; the rest may be moved.
     */
    public May may() {
        return said.orElseGet(() -> takesBearings
                ? May.NOTCHED
                : carrier != Carrier.FRAME
                                || shape instanceof CarriedShape
                                || shape instanceof Shape.Box b && b.isLong()
                        ? May.NEITHER
                        : May.MOVED);
    }

    public Obstacle withMay(Optional<May> m) {
        return withSaid(m);
    }

    /** A usual gap goes along to the other usual one. */
    public Obstacle withHot(boolean h) {
        double g = gap == (hot ? USUAL_HOT_GAP : USUAL_GAP) ? h ? USUAL_HOT_GAP : USUAL_GAP : gap;
        return new Obstacle(id, name, shape, g, h, carrier, sweep, takesBearings, said);
    }

    /** The other side's, to be put among others. */
    public Obstacle mirrored(String as) {
        return new Obstacle(
                id, as, shape.mirrored(), gap, hot, carrier.mirrored(), sweep.mirrored(), takesBearings, said);
    }
}

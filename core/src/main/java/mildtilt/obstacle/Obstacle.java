package mildtilt.obstacle;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * One thing in the way.
 *
 * @param name unlike any other's
 * @param gap that it needs to whatever moves past it, mm
 * @param hot whether it gives off heat, so that the gap is for more than touching
 * @param carrier what it is fixed to
 * @param sweep how it moves by itself besides
 * @param takesBearings whether the bracket of a bearing can be fixed to it
 */
public record Obstacle(
        String name, Shape shape, double gap, boolean hot, Carrier carrier, Sweep sweep, boolean takesBearings) {

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
    }

    /** On the frame, still, with the usual gap. */
    public static Obstacle fixed(String name, Shape shape) {
        return new Obstacle(name, shape, USUAL_GAP, false, Carrier.FRAME, new Sweep.Still(), false);
    }

    public Obstacle withName(String n) {
        return new Obstacle(n, shape, gap, hot, carrier, sweep, takesBearings);
    }

    public Obstacle withShape(Shape s) {
        return new Obstacle(name, s, gap, hot, carrier, sweep, takesBearings);
    }

    public Obstacle withGap(double mm) {
        return new Obstacle(name, shape, mm, hot, carrier, sweep, takesBearings);
    }

    /** A usual gap goes along to the other usual one. */
    public Obstacle withHot(boolean h) {
        double g = gap == (hot ? USUAL_HOT_GAP : USUAL_GAP) ? h ? USUAL_HOT_GAP : USUAL_GAP : gap;
        return new Obstacle(name, shape, g, h, carrier, sweep, takesBearings);
    }

    public Obstacle withCarrier(Carrier c) {
        return new Obstacle(name, shape, gap, hot, c, sweep, takesBearings);
    }

    public Obstacle withSweep(Sweep s) {
        return new Obstacle(name, shape, gap, hot, carrier, s, takesBearings);
    }

    public Obstacle withTakesBearings(boolean t) {
        return new Obstacle(name, shape, gap, hot, carrier, sweep, t);
    }

    public Obstacle mirrored(String as) {
        return new Obstacle(as, shape.mirrored(), gap, hot, carrier.mirrored(), sweep.mirrored(), takesBearings);
    }
}

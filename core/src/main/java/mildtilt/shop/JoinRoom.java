package mildtilt.shop;

import java.util.Optional;
import mildtilt.build.ShaftJoin;
import mildtilt.column.Column.Stretch;
import mildtilt.job.Job;

/**
 * Where along a shaft a join can be made, mm from the shaft's wheel-end centre.
 *
 * @param any the longest stretch where it has room
 * @param cool the longest one where, besides, its heat spoils nothing
 */
public record JoinRoom(Optional<Stretch> any, Optional<Stretch> cool) {

    /** Places are tried so far apart, mm. */
    private static final double STEP = 1;

    /**
     * @param join of which the shaft and the school count
     * @param length between the shaft's centres, mm
     */
    public static JoinRoom of(Job job, ShaftJoin join, double length) {
        return of(job, join, 0, length);
    }

    /** Only between two places. */
    static JoinRoom of(Job job, ShaftJoin join, double least, double most) {
        Longest any = new Longest();
        Longest cool = new Longest();
        for (double at = Math.floor(least) + STEP; at < most; at += STEP) {
            Optional<JoinFigures> f = JoinFigures.of(job, join.withAlong(at))
                    .filter(x -> x.noRoom().isEmpty() && x.mayNotClose().isEmpty());
            any.next(at, f.isPresent());
            cool.next(at, f.filter(x -> x.spoils().isEmpty()).isPresent());
        }
        return new JoinRoom(any.best, cool.best);
    }

    /** The middle of where it is best made, to a whole mm; empty if it has room nowhere. */
    public Optional<Double> best() {
        return cool.or(() -> any).map(s -> Math.rint((s.from() + s.to()) / 2));
    }

    /** Keeps the longest row of places that go. */
    private static final class Longest {
        private Optional<Stretch> best = Optional.empty();
        private Optional<Double> from = Optional.empty();

        void next(double at, boolean goes) {
            if (!goes) {
                from = Optional.empty();
                return;
            }
            double begun = from.orElse(at);
            from = Optional.of(begun);
            if (best.filter(s -> s.to() - s.from() >= at - begun).isEmpty()) {
                best = Optional.of(new Stretch(begun, at));
            }
        }
    }
}

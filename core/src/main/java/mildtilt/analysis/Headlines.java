package mildtilt.analysis;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Transfer;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.steer.Grid;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.SteeringTrain;
import mildtilt.steer.Turn;

/** The headline figures of one job. One that a job does not have is not in the map. */
public record Headlines(Map<Headline, Double> values) {

    /** One headline before and after a change; either may be missing. */
    public record Change(Headline headline, Optional<Double> before, Optional<Double> after) {

        /** Whether it differs by more than rounding shows. */
        public boolean notable() {
            return before.isPresent() != after.isPresent()
                    || before.isPresent() && Math.abs(before.get() - after.get())
                            > 0.004 * Math.max(1, Math.abs(before.get()));
        }
    }

    public Headlines {
        values = Map.copyOf(values);
    }

    public Optional<Double> get(Headline h) {
        return Optional.ofNullable(values.get(h));
    }

    /** What changes from this to another, in the order of {@link Headline}. */
    public List<Change> against(Headlines after) {
        List<Change> all = new ArrayList<>();
        for (Headline h : Headline.values()) {
            if (get(h).isPresent() || after.get(h).isPresent()) {
                all.add(new Change(h, get(h), after.get(h)));
            }
        }
        return all;
    }

    /** The headlines alone, without the rest of an analysis; empty if the job's parts can't be so. */
    public static Optional<Headlines> of(Job job) {
        try {
            SteeringTrain train = new SteeringTrain(job);
            return Optional.of(of(train.column(), SteerSweep.of(train, job.vehicle(), Grid.USUAL)));
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    static Headlines of(Optional<ColumnTrain> column, Optional<SteerFigures> steer) {
        Map<Headline, Double> v = new EnumMap<>(Headline.class);
        column.ifPresent(c -> {
            for (int i = 0; i < c.column().joints().size(); i++) {
                v.merge(Headline.WORST_JOINT, c.jointAngleDeg(i), Math::max);
            }
            c.transfer().map(Transfer::ripplePct).ifPresent(r -> v.put(Headline.RIPPLE, r));
        });
        steer.ifPresent(s -> {
            Turn left = s.leftReach().turn();
            s.ratioAtCentre().ifPresent(r -> v.put(Headline.RATIO, r));
            v.put(Headline.TURNS, s.turnsLockToLock());
            v.put(Headline.INNER_LOCK, left.innerDeg());
            v.put(Headline.OUTER_LOCK, left.outerDeg());
            s.ackermannAt20Pct().ifPresent(a -> v.put(Headline.ACKERMANN, a));
            v.put(Headline.BUMP_STEER, s.worstBumpSteerDeg());
            s.turningCircle().ifPresent(c -> v.put(Headline.CIRCLE, c));
            v.put(Headline.TIE_ROD, s.tieRod(Side.LEFT));
        });
        return new Headlines(v);
    }
}

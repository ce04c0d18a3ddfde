package mildtilt.analysis;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.Clearances;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Transfer;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.measure.LengthUnit;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.Grid;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.SteeringTrain;
import mildtilt.steer.TravelMap;
import mildtilt.steer.Turn;

/** The headline figures of one job. One that a job does not have is not in the map. */
public record Headlines(Map<Headline, Double> values) {

    /** Of a job none of whose headlines could be worked out. */
    static final Headlines NONE = new Headlines(Map.of());

    /** One headline before and after a change; either may be missing. */
    public record Change(Headline headline, Optional<Double> before, Optional<Double> after) {

        /** Whether it differs by more than rounding shows. */
        public boolean notable() {
            return before.isPresent() != after.isPresent()
                    || before.isPresent() && Math.abs(before.get() - after.get())
                            > 0.004 * Math.max(1, Math.abs(before.get()));
        }

        /** What it is, from what to what. */
        public String text(LengthUnit lengths) {
            return headline.label() + "  " + text(before, lengths) + " → " + text(after, lengths);
        }

        private String text(Optional<Double> value, LengthUnit lengths) {
            return value.map(v -> headline.unit().format(v, lengths)).orElse("none");
        }
    }

    public Headlines {
        values = Collections.unmodifiableMap(new TreeMap<>(values));
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
            return Optional.of(of(train, job, SteerSweep.of(train, job, Grid.USUAL), TravelMap.of(train, job, Grid.USUAL), true));
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    /** For what is worked out a thousand times over: as fine as usual in steer, since lock ends between two samples. */
    private static final Grid QUICK = new Grid(30, 4);

    /** The headlines from a coarser grid, with or without the gaps, which take longer than all else; empty if the wheels can't be assembled. */
    public static Optional<Headlines> quick(Job job, boolean gaps) {
        SteeringTrain train = new SteeringTrain(job);
        Optional<SteerFigures> steer = SteerSweep.of(train, job, QUICK);
        if (job.axle().isPresent() && steer.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(of(train, job, steer, TravelMap.quick(train, job, QUICK), gaps));
    }

    private static Headlines of(SteeringTrain train, Job job, Optional<SteerFigures> steer, Optional<TravelMap> map, boolean gaps) {
        return of(train.column(), steer, map, steer.flatMap(s -> ArmMatch.of(train, job, s)), gaps ? Clearances.of(job, train) : Optional.empty());
    }

    static Headlines of(Optional<ColumnTrain> column, Optional<SteerFigures> steer, Optional<TravelMap> map, Optional<ArmMatch> match,
            Optional<ClearanceFigures> clearance) {
        Map<Headline, Double> v = new EnumMap<>(Headline.class);
        column.ifPresent(c -> {
            for (int i = 0; i < c.column().joints().size(); i++) {
                v.merge(Headline.WORST_JOINT, c.jointAngleDeg(i), Math::max);
            }
            c.transfer().map(Transfer::ripplePct).ifPresent(r -> v.put(Headline.RIPPLE, r));
        });
        steer.ifPresent(s -> {
            turning(v, s);
            travel(v, s);
            s.rake().values().forEach(r -> v.merge(Headline.RAKE, r.worstDeg(), Math::max));
            s.effort().ifPresent(e -> {
                v.put(Headline.PARKED, e.worstParked());
                v.put(Headline.CREEPING, e.worstCreeping());
            });
            s.rodLoads().forEach(l -> l.bucklingMargin().ifPresent(m -> v.merge(Headline.BUCKLING, m, Math::min)));
            v.put(Headline.TIE_ROD, s.tieRod(Side.LEFT));
        });
        map.ifPresent(m -> {
            m.nearestCentre().ifPresent(t -> v.put(Headline.TOGGLE, t.getValue().deg()));
            m.extremes().tilts().values().forEach(t -> t.allowedDeg().ifPresent(a -> v.merge(Headline.ROD_END, a - t.deg(), Math::min)));
        });
        clearance.flatMap(ClearanceFigures::tightest).ifPresent(p -> v.put(Headline.GAP, p.margin()));
        match.ifPresent(m -> v.put(Headline.GEAR_USED, 100 * m.gearUsed()));
        return new Headlines(v);
    }

    private static void turning(Map<Headline, Double> v, SteerFigures s) {
        Turn left = s.lock(Side.LEFT).turn();
        s.ratioAtCentre().ifPresent(r -> v.put(Headline.RATIO, r));
        s.averageRatio().ifPresent(r -> v.put(Headline.RATIO_OVERALL, r));
        v.put(Headline.TURNS, s.turnsAvailable());
        v.put(Headline.INNER_LOCK, left.innerDeg());
        v.put(Headline.OUTER_LOCK, left.outerDeg());
        v.put(Headline.RIGHT_INNER_LOCK, s.lock(Side.RIGHT).turn().innerDeg());
        s.ackermannAt20Pct().ifPresent(a -> v.put(Headline.ACKERMANN, a));
        left.outerErrorDeg().ifPresent(e -> v.put(Headline.OUTER_ERROR, e));
        s.circleAvailable().ifPresent(c -> v.put(Headline.CIRCLE, c));
    }

    private static void travel(Map<Headline, Double> v, SteerFigures s) {
        v.put(Headline.BUMP_STEER_NORMAL, s.worstNormalBumpSteerDeg());
        v.put(Headline.BUMP_STEER, s.worstBumpSteerDeg());
        s.rollSteer().ifPresent(r -> v.put(Headline.ROLL_STEER, r));
        v.put(Headline.CAMBER, s.left().camberDeg());
        v.put(Headline.CASTER, s.left().casterDeg());
        v.put(Headline.SCRUB, s.left().scrubRadius());
    }
}

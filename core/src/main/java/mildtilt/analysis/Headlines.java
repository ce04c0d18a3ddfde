package mildtilt.analysis;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.clearance.Clearances;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.TravelMap;
import mildtilt.travel.HeldTravel;
import mildtilt.units.LengthUnit;

/** The headline figures of one job. One that a job does not have is not in the map. */
public record Headlines(Map<Headline, Double> values) {

    /** Of a job none of whose headlines could be worked out. */
    public static final Headlines NONE = new Headlines(Map.of());

    /** One headline before and after a change; either may be missing. */
    public record Change(Headline headline, Optional<Double> before, Optional<Double> after) {

        /** Whether it differs by more than rounding shows. */
        public boolean notable() {
            return before.isPresent() != after.isPresent()
                    || before.isPresent()
                            && Math.abs(before.get() - after.get()) > 0.004 * Math.max(1, Math.abs(before.get()));
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
    public static Optional<Headlines> of(Job whole) {
        try {
            SteeringTrain train = new SteeringTrain(whole);
            Job job = HeldTravel.of(whole, train).held(whole);
            return Optional.of(
                    of(train, job, SteerSweep.of(train, job, Grid.USUAL), TravelMap.of(train, job, Grid.USUAL), true));
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    /** For what is worked out a thousand times over: as fine as usual in steer, since lock ends between two samples. */
    private static final Grid QUICK = new Grid(30, 4);

    /**
     * The headlines from a coarser grid, with or without the gaps, which take longer than all else; empty if the wheels
     * can't be assembled.
     */
    public static Optional<Headlines> quick(Job whole, boolean gaps) {
        SteeringTrain train = new SteeringTrain(whole);
        Job job = HeldTravel.of(whole, train).held(whole);
        Optional<SteerFigures> steer = SteerSweep.of(train, job, QUICK);
        if (job.axle().isPresent() && steer.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(of(train, job, steer, TravelMap.quick(train, job, QUICK), gaps));
    }

    private static Headlines of(
            SteeringTrain train, Job job, Optional<SteerFigures> steer, Optional<TravelMap> map, boolean gaps) {
        return of(new FigureOrigins(
                train.column(),
                steer,
                map,
                steer.flatMap(s -> ArmMatch.of(train, job, s)),
                gaps ? Clearances.of(job, train) : Optional.empty()));
    }

    static Headlines of(FigureOrigins sources) {
        Map<Headline, Double> v = new EnumMap<>(Headline.class);
        for (Headline h : Headline.values()) {
            h.of(sources).ifPresent(x -> v.put(h, x));
        }
        return new Headlines(v);
    }
}

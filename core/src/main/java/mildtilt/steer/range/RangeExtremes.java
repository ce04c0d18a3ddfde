package mildtilt.steer.range;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.TravelMap.At;
import mildtilt.steer.range.TravelMap.NotAssembled;
import mildtilt.steer.range.TravelMap.Tilt;

/**
 * The worst of every rod end over all the places the wheels can really go ({@link WheelRange}), both locks and both
 * ends of the
 * travel with them. Found rather than sampled, so that no grid that is drawn or printed changes it: the best of a few
 * hundred
 * places, then steps that halve from there until they no longer matter.
 *
 * @param offCentre of each rod end that pushes an arm or a slide, how near it comes to having no lever
 * @param tilts of each rod end whose bolt is known, the most it tilts
 * @param notReached places within knuckle stops, tyres and gear that the linkage or the suspension can't be brought to
 */
public record RangeExtremes(Map<RodEnd, OffCentre> offCentre, Map<RodEnd, Tilt> tilts, List<NotAssembled> notReached) {

    private static final RodEnd[] ENDS = RodEnd.values();
    private static final int STEER_STEPS = 8;
    private static final int TRAVEL_STEPS = 4;
    private static final HalvingSearch.Fineness FINE = new HalvingSearch.Fineness(1e-6, 8);

    /**
     * How near a rod comes to having no lever on what it pushes: 0 in line, 90 square. @param deg see {@link
     * mildtilt.geometry.Axis#offCentreDeg}
     */
    public record OffCentre(double deg, At at) {}

    public RangeExtremes {
        offCentre = Collections.unmodifiableMap(new TreeMap<>(offCentre));
        tilts = Collections.unmodifiableMap(new TreeMap<>(tilts));
        notReached = List.copyOf(notReached);
    }

    /** The rod end that comes nearest to going over centre. */
    public Optional<Map.Entry<RodEnd, OffCentre>> nearestCentre() {
        return offCentre.entrySet().stream().min((a, b) -> {
            int nearer = Double.compare(a.getValue().deg, b.getValue().deg);
            return nearer != 0 ? nearer : a.getKey().compareTo(b.getKey());
        });
    }

    /** @param fine whether the worst are looked for between the places gone through, too */
    static RangeExtremes of(SteeringTrain train, Job job, LimitGauge gauge, boolean fine) {
        return new Search(train, job, gauge).extremes(fine);
    }

    /** One extreme that is looked for. */
    private static final class Best {
        final RodEnd end;
        final boolean tilt;
        double value = Double.NaN;
        double part;
        double z;

        Best(RodEnd end, boolean tilt) {
            this.end = end;
            this.tilt = tilt;
        }

        double of(RodEndTilts r) {
            return tilt ? r.tilt[end.ordinal()] : r.offCentre[end.ordinal()];
        }

        /** The most of a tilt is looked for and the least of an angle off centre. Its own inverse. */
        double cost(double v) {
            return tilt ? -v : v;
        }

        boolean betters(double v) {
            return !Double.isNaN(v) && (Double.isNaN(value) || (tilt ? v > value : v < value));
        }

        boolean take(double v, double atPart, double atZ) {
            if (!betters(v)) {
                return false;
            }
            value = v;
            part = atPart;
            z = atZ;
            return true;
        }
    }

    private static final class Search {
        private final AxleSolver axle;
        private final LimitGauge gauge;
        private final WheelRange range;
        private final List<Best> all = new ArrayList<>();

        Search(SteeringTrain train, Job job, LimitGauge gauge) {
            axle = train.axle().orElseThrow();
            this.gauge = gauge;
            range = new WheelRange(train, job, gauge);
            for (RodEnd end : ENDS) {
                all.add(new Best(end, true));
                all.add(new Best(end, false));
            }
        }

        RangeExtremes extremes(boolean fine) {
            List<NotAssembled> not = new ArrayList<>();
            double[] travels = range.lowest() == 0 && range.highest() == 0
                    ? new double[] {0}
                    : Grid.spread(-range.lowest(), range.highest(), TRAVEL_STEPS);
            for (double z : travels) {
                for (int i = -STEER_STEPS; i <= STEER_STEPS; i++) {
                    double part = (double) i / STEER_STEPS;
                    RodEndTilts r = reading(part, z);
                    all.forEach(b -> b.take(b.of(r), part, z));
                }
                for (Side way : Side.values()) {
                    range.endedByLinkage(way, z).ifPresent(not::add);
                }
            }
            if (fine) {
                all.stream().filter(b -> !Double.isNaN(b.value)).forEach(this::refine);
            }
            Map<RodEnd, OffCentre> offCentre = new EnumMap<>(RodEnd.class);
            Map<RodEnd, Tilt> tilts = new EnumMap<>(RodEnd.class);
            for (Best b : all) {
                if (Double.isNaN(b.value)) {
                    continue;
                }
                At at = new At(range.steeringWheelDeg(b.part, b.z), b.z);
                if (b.tilt) {
                    double allowed = gauge.allowedTiltDeg(b.end);
                    tilts.put(
                            b.end,
                            new Tilt(b.value, at, Double.isFinite(allowed) ? Optional.of(allowed) : Optional.empty()));
                } else {
                    offCentre.put(b.end, new OffCentre(b.value, at));
                }
            }
            return new RangeExtremes(offCentre, tilts, not);
        }

        private RodEndTilts reading(double part, double z) {
            return RodEndTilts.of(
                    axle, range.pose(range.steeringWheelDeg(part, z), z).stance());
        }

        private void refine(Best b) {
            HalvingSearch found = new HalvingSearch(b.part, b.z, b.cost(b.value))
                    .refined(
                            (part, z) -> b.cost(b.of(reading(part, z))),
                            range.lowest(),
                            range.highest(),
                            0.5 / STEER_STEPS,
                            (range.highest() - range.lowest()) / (4.0 * TRAVEL_STEPS),
                            FINE);
            b.value = b.cost(found.cost());
            b.part = found.part();
            b.z = found.z();
        }
    }
}

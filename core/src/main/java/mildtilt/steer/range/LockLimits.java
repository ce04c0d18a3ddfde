package mildtilt.steer.range;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;

/**
 * What stops the lock, each way: every limit met between straight ahead and the gear's end, the first of
 * them first, at ride height and at both ends of the travel.
 */
public record LockLimits(List<Hit> left, List<Hit> right) {

    private static final int STEPS = 30;
    private static final int HALVINGS = 48;

    /**
     * A limit met.
     *
     * @param steeringWheelDeg where, + left
     * @param travel of the left wheel where it comes earliest, mm
     * @param where at which part
     */
    public record Hit(Limit limit, double steeringWheelDeg, double travel, String where) {}

    public List<Hit> toward(Side way) {
        return way == Side.LEFT ? left : right;
    }

    public Optional<Hit> first(Side way) {
        return toward(way).stream().findFirst();
    }

    /** Where a limit of this kind is met, if it is. */
    public Optional<Hit> of(Side way, Limit limit) {
        return toward(way).stream().filter(h -> h.limit == limit).findFirst();
    }

    public static LockLimits of(SteeringTrain train, Job job) {
        return new LockLimits(of(train, job, Side.LEFT), of(train, job, Side.RIGHT));
    }

    /** The first thing at ride height that is solid enough to stop the lock. */
    public static Hit stop(SteeringTrain train, Job job, Side way) {
        return toward(way, train, job, new LimitGauge(train.axle().orElseThrow(), job.targets()), List.of(0.0), false)
                .stream()
                .filter(h -> h.limit.stops())
                .findFirst()
                .orElseThrow();
    }

    /** Every limit met one way, over the travel, the first of them first. The gear's end is always among them. */
    public static List<Hit> of(SteeringTrain train, Job job, Side way) {
        return toward(way, train, job, new LimitGauge(train.axle().orElseThrow(), job.targets()), false);
    }

    /** The limit met first one way, over the travel; empty where it is the gear's end. */
    public static Optional<Hit> firstBeforeGear(SteeringTrain train, Job job, Side way) {
        return toward(way, train, job, new LimitGauge(train.axle().orElseThrow(), job.targets()), true).stream()
                .filter(h -> h.limit != Limit.GEAR_END)
                .findFirst();
    }

    private static List<Hit> toward(Side way, SteeringTrain train, Job job, LimitGauge gauge, boolean firstOnly) {
        LinkedHashSet<Double> travels = new LinkedHashSet<>(List.of(0.0));
        if (train.requireAxle().wheelTravel() != WheelTravel.NONE) {
            travels.add(-job.vehicle().droop());
            travels.add(job.vehicle().bump());
        }
        return toward(way, train, job, gauge, travels, firstOnly);
    }

    /** @param firstOnly whether what is met later than the first may be left out */
    private static List<Hit> toward(
            Side way, SteeringTrain train, Job job, LimitGauge gauge, Collection<Double> travels, boolean firstOnly) {
        double stop = train.stopDeg(way).orElseThrow();
        Map<Limit, Hit> hits = new EnumMap<>(Limit.class);
        hits.put(Limit.GEAR_END, new Hit(Limit.GEAR_END, stop, 0, "gear"));
        WheelTravel travel = train.requireAxle().wheelTravel();
        int last = STEPS;
        for (double z : travels) {
            double from = 0;
            for (int i = 1; i <= last; i++) {
                double to = stop * i / STEPS;
                for (Limit limit : met(train, gauge, travel, to, z).keySet()) {
                    // A limit that is met straight ahead already is no end of the lock but a fault of its own.
                    if (i == 1 && met(train, gauge, travel, 0, z).containsKey(limit)) {
                        continue;
                    }
                    Hit was = hits.get(limit);
                    if (was == null || was.travel != z && Math.abs(from) < Math.abs(was.steeringWheelDeg)) {
                        Hit hit = refined(train, gauge, travel, limit, from, to, z);
                        if (was == null || Math.abs(hit.steeringWheelDeg) < Math.abs(was.steeringWheelDeg) - 1e-6) {
                            hits.put(limit, hit);
                            last = firstOnly ? i : last;
                        }
                    }
                }
                from = to;
            }
        }
        List<Hit> sorted = new ArrayList<>(hits.values());
        sorted.sort(Comparator.comparingDouble((Hit h) -> Math.abs(h.steeringWheelDeg))
                .thenComparing(Hit::limit));
        return List.copyOf(sorted);
    }

    /** The limits that are past at one place, with the part. */
    private static Map<Limit, String> met(
            SteeringTrain train, LimitGauge gauge, WheelTravel travel, double sw, double z) {
        AxlePose pose = train.pose(sw, z, travel.rightWith(z));
        Map<Limit, String> met = new EnumMap<>(Limit.class);
        if (pose.obstacle().isPresent()) {
            met.put(Limit.LINKAGE_ENDS, pose.obstacle().get().part());
            return met;
        }
        gauge.margins(pose).forEach((limit, m) -> {
            if (m.amount() < 0) {
                met.put(limit, m.where());
            }
        });
        return met;
    }

    private static Hit refined(
            SteeringTrain train, LimitGauge gauge, WheelTravel travel, Limit limit, double from, double to, double z) {
        double free = from;
        double past = to;
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (free + past) / 2;
            if (met(train, gauge, travel, mid, z).containsKey(limit)) {
                past = mid;
            } else {
                free = mid;
            }
        }
        return new Hit(limit, free, z, met(train, gauge, travel, past, z).getOrDefault(limit, ""));
    }
}

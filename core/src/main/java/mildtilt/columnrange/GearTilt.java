package mildtilt.columnrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.clocking.BestClocking;
import mildtilt.column.ColumnTrain;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;

/**
 * A rack turned about its own axis in its clamps: its input swings, and the last joint with it, while the tie rods stay
 * where they are.
 *
 * <p>Angles are right-handed about the rack's axis, which points to the left: + tips the input's top forward and down.
 *
 * @param steps one a degree from the least to the most looked at
 * @param suits the stretches in which every joint stays inside its limit, over the wheel's adjustment too, in order
 */
public record GearTilt(List<Step> steps, List<Stretch> suits) {

    /** How far either way is looked, degrees. */
    public static final int FARTHEST = 75;

    private static final int STEP = 3;
    /** An end of a stretch is found this closely, degrees. */
    private static final double CLOSE = 0.05;

    /**
     * @param deg the rack turned by
     * @param spareDeg the least that any joint is inside its limit; below 0 over it, where it is the figure as planned
     */
    public record Step(double deg, double spareDeg) {}

    /** @param bestDeg where the joints have most to spare. @param spareDeg how much they have there */
    public record Stretch(double fromDeg, double toDeg, double bestDeg, double spareDeg) {

        public boolean holds(double deg) {
            return deg >= fromDeg - 1e-9 && deg <= toDeg + 1e-9;
        }
    }

    /** Empty where there is no rack, no joint, or the only joint stands on a column that is bolted down. */
    public static Optional<GearTilt> of(Job job) {
        if (!applies(job)) {
            return Optional.empty();
        }
        List<Step> steps = new ArrayList<>();
        for (int deg = -FARTHEST; deg <= FARTHEST; deg += STEP) {
            steps.add(new Step(deg, spare(job, deg)));
        }
        List<Stretch> suits = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).spareDeg >= 0) {
                int from = i;
                int best = i;
                while (i + 1 < steps.size() && steps.get(i + 1).spareDeg >= 0) {
                    i++;
                    best = steps.get(i).spareDeg > steps.get(best).spareDeg ? i : best;
                }
                suits.add(new Stretch(
                        from == 0 ? steps.getFirst().deg : edge(job, steps.get(from).deg, steps.get(from - 1).deg),
                        i == steps.size() - 1 ? steps.getLast().deg : edge(job, steps.get(i).deg, steps.get(i + 1).deg),
                        steps.get(best).deg,
                        steps.get(best).spareDeg));
            }
        }
        return Optional.of(new GearTilt(List.copyOf(steps), List.copyOf(suits)));
    }

    private static boolean applies(Job job) {
        return job.axle().map(a -> a.gear() instanceof RackAndPinion).orElse(false)
                && job.column()
                        .map(c -> c.joints().size() > 1
                                || c.joints().size() == 1
                                        && c.installation().columnAxis().isEmpty())
                        .orElse(false);
    }

    /** The last place, by halving, that is inside. */
    private static double edge(Job job, double inside, double outside) {
        double in = inside;
        double out = outside;
        while (Math.abs(out - in) > CLOSE) {
            double mid = (in + out) / 2;
            if (spare(job, mid) >= 0) {
                in = mid;
            } else {
                out = mid;
            }
        }
        return in;
    }

    private static double spare(Job job, double deg) {
        try {
            return ColumnFigures.spareDeg(tilted(job, deg));
        } catch (ImpossibleGeometryException e) {
            return -180;
        }
    }

    /**
     * The job with its rack turned about its axis: gear input, its measured axis and the last joint go along.
     *
     * @throws ImpossibleGeometryException if a shaft would have no length, or there is no rack
     */
    public static Job tilted(Job job, double deg) {
        if (!applies(job)) {
            throw new ImpossibleGeometryException(
                    "Only a rack with a joint that can follow it can be turned in its clamps.");
        }
        RackAndPinion rack = job.axle().flatMap(SteeredAxle::rack).orElseThrow();
        Axis about = new Axis(rack.centre(), rack.axis());
        double angle = Math.toRadians(deg);
        return job.editColumn(c -> {
            int last = c.joints().size() - 1;
            Optional<Direction> axis =
                    c.gear().axis().map(d -> rack.axis().turn(d.vector(), angle).direction());
            return c.withJoint(
                            last,
                            c.joints()
                                    .get(last)
                                    .withCentre(
                                            about.turned(c.joints().get(last).centre(), angle)))
                    .withGear(c.gear()
                            .withPoint(about.turned(c.gearInput(), angle))
                            .withAxis(axis));
        });
    }

    /** Ripple, percent, with the rack turned and the forks then set to the best their ends allow. */
    public static double bestRippleAt(Job job, double deg) {
        return BestClocking.asMade(new ColumnTrain(tilted(job, deg).column().orElseThrow()))
                .ripplePct();
    }
}

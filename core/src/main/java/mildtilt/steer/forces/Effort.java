package mildtilt.steer.forces;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import mildtilt.column.Column;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.PeakSearch;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * The rim force the driver needs and what the rods carry, at ride height.
 *
 * <p>Parked, the torque to turn a tyre on the spot is Gough's empirical formula (V. E. Gough, Practical
 * tyre research, SAE Transactions 64, 1956): {@code T = W μ sqrt(B² / 8 + E²)} with W the load, μ sliding
 * friction, B the width of tread on the ground and E the scrub radius.
 *
 * <p>Creeping, the tyre rolls along and only twists across its width: with even pressure a strip of width B
 * sliding about its middle gives {@code W μ B / 4}, and the scrub radius only works against the rolling
 * resistance, {@code W f E}. This is our own derivation from dry friction; being without the give of the
 * rubber it is an upper bound.
 *
 * <p>The weight's own pull toward (or away from) the middle is the moment of the load, straight up at the
 * contact point, about the inclined steer axis.
 *
 * @param rows from right lock to left lock, both ends with them, as fine as requested, for tables and curves only
 * @param worstParked the most that the rim wants parked, N
 * @param worstCreeping the most that it wants at walking pace, N
 * @param creepingPerDeg how much more the rim wants at walking pace for a degree of steering wheel, from straight ahead
 * to the lock, the harder way, N/°; below 0
 *     where it wants less at the lock
 * @param leastReturning the least with which the weight turns the wheel back toward the middle away from it, N; below 0
 * where
 *     it turns it away
 * @param leastReturningAt steering wheel there, degrees
 * @param rodForce the largest force along each rod while parked, N, without sign
 */
public record Effort(
        List<Row> rows,
        double worstParked,
        double worstCreeping,
        double creepingPerDeg,
        double leastReturning,
        double leastReturningAt,
        Map<Rod, Double> rodForce) {

    public Effort {
        rows = List.copyOf(rows);
        rodForce = Collections.unmodifiableMap(new TreeMap<>(rodForce));
    }

    /**
     * Force at the rim, N.
     *
     * @param parked to keep turning away from the middle, standing still
     * @param creeping the same at walking pace
     * @param returning with which the weight alone turns the wheel back toward the middle; below 0 away from it
     */
    public record Row(double steeringWheelDeg, double parked, double creeping, double returning) {}

    /** Within this part of the whole turn from straight ahead the weight's pull is next to nothing either way. */
    private static final double AWAY = 0.05;

    /** Torque to turn one tyre on the spot, N·mm. */
    public static double parkedTorque(Loads loads, double tyreWidth, double scrub) {
        return loads.wheelLoad() * loads.friction() * Math.sqrt(tyreWidth * tyreWidth / 8 + scrub * scrub);
    }

    /** Torque to turn one tyre while it creeps along, N·mm. */
    public static double creepingTorque(Loads loads, double tyreWidth, double scrub) {
        return loads.wheelLoad() * (loads.friction() * tyreWidth / 4 + loads.rollingResistance() * Math.abs(scrub));
    }

    /** Torque of the load about the steer axis to the left, N·mm. */
    static double weightTorque(Loads loads, KnucklePose k) {
        return k.steerAxis()
                .direction()
                .dot(k.contactPoint().minus(k.steerAxis().origin()).cross(Vector.Z.times(loads.wheelLoad())));
    }

    /**
     * Empty without loads or without a steering wheel to pull at.
     *
     * @param lockRight steering wheel at the right lock, degrees
     * @param lockLeft at the left lock
     * @param stepsEachWay rows wanted from the middle to either lock
     * @param step over which rates are taken, degrees
     */
    public static Optional<Effort> of(
            SteeringTrain train, Job job, double lockRight, double lockLeft, int stepsEachWay, double step) {
        Optional<Loads> loads = job.vehicle().loads();
        Optional<Double> rim = job.column().map(Column::handRadius);
        if (loads.isEmpty() || rim.isEmpty()) {
            return Optional.empty();
        }
        Gatherer g = new Gatherer(train, loads.get(), job.vehicle().tyreWidth(), rim.get(), step);
        List<Row> rows = Arrays.stream(Grid.spread(-lockRight, lockLeft, stepsEachWay))
                .boxed()
                .flatMap(sw -> g.at(sw).stream())
                .map(Here::row)
                .toList();
        PeakSearch returning = PeakSearch.of(
                        sw -> Math.abs(sw) < AWAY * (lockLeft - lockRight)
                                ? Double.NaN
                                : g.at(sw).map(h -> -h.row.returning()).orElse(Double.NaN),
                        lockRight,
                        lockLeft)
                .orElse(new PeakSearch(0, 0));
        Map<Rod, Double> forces = new EnumMap<>(Rod.class);
        for (Rod rod : train.axle().orElseThrow().lengths().keySet()) {
            PeakSearch.of(
                            sw -> g.at(sw)
                                    .map(h -> h.rodForce.getOrDefault(rod, Double.NaN))
                                    .orElse(Double.NaN),
                            lockRight,
                            lockLeft)
                    .ifPresent(p -> forces.put(rod, p.value()));
        }
        return Optional.of(new Effort(
                rows,
                g.worst(Row::parked, lockRight, lockLeft),
                g.worst(Row::creeping, lockRight, lockLeft),
                Math.max(g.creepingPerDeg(lockLeft), g.creepingPerDeg(lockRight)),
                -returning.value(),
                returning.at(),
                forces));
    }

    /**
     * At one place of the steering wheel, ride height; empty without loads, without a steering wheel, or where it can't
     * be.
     *
     * @param row force at the rim, N
     * @param rodForce along each rod while parked, N, without sign
     * @param held what both tyres alone ask of the rim parked, nothing lost on the way, N
     */
    public record Here(Row row, Map<Rod, Double> rodForce, double held) {}

    /**
     * Along each rod straight ahead, N, when the rim is pulled as the rule set says and both wheels are held as parked
     * tyres hold them: nothing is lost on the way.
     */
    public static Map<Rod, Double> heavyPull(SteeringTrain train, Job job) {
        Map<Rod, Double> all = new EnumMap<>(Rod.class);
        at(train, job, 0)
                .filter(h -> h.held > 0)
                .ifPresent(h -> h.rodForce.forEach(
                        (rod, f) -> all.put(rod, f * job.rules().heavyPull() / h.held)));
        return all;
    }

    public static Optional<Here> at(SteeringTrain train, Job job, double steeringWheelDeg) {
        Optional<Loads> loads = job.vehicle().loads();
        Optional<Double> rim = job.column().map(Column::handRadius);
        if (loads.isEmpty()
                || rim.isEmpty()
                || train.axle().isEmpty()
                || train.locked().isPresent()) {
            return Optional.empty();
        }
        return new Gatherer(
                        train,
                        loads.get(),
                        job.vehicle().tyreWidth(),
                        rim.get(),
                        1e-3 * train.stopDeg(Side.LEFT).orElseThrow())
                .at(steeringWheelDeg);
    }

    private static final class Gatherer {
        final SteeringTrain train;
        final Loads loads;
        final double tyreWidth;
        final double rim;
        final double step;

        Gatherer(SteeringTrain train, Loads loads, double tyreWidth, double rim, double step) {
            this.train = train;
            this.loads = loads;
            this.tyreWidth = tyreWidth;
            this.rim = rim;
            this.step = step;
        }

        double worst(ToDoubleFunction<Row> figure, double from, double to) {
            return PeakSearch.of(
                            sw -> at(sw).map(h -> figure.applyAsDouble(h.row)).orElse(Double.NaN), from, to)
                    .map(PeakSearch::value)
                    .orElse(0.0);
        }

        /** From straight ahead to a lock, N/°. */
        double creepingPerDeg(double lock) {
            return at(0).flatMap(ahead ->
                            at(lock).map(there -> (there.row.creeping() - ahead.row.creeping()) / Math.abs(lock)))
                    .orElse(0.0);
        }

        Optional<Here> at(double sw) {
            AxlePose pose = train.pose(sw, 0, 0);
            Optional<AxlePose.Assembled> here = pose.assembled();
            AxlePose.Assembled up =
                    train.pose(sw + step, 0, 0).assembled().or(() -> here).orElse(null);
            AxlePose.Assembled down =
                    train.pose(sw - step, 0, 0).assembled().or(() -> here).orElse(null);
            if (here.isEmpty() || up == null || down == null || up.equals(down)) {
                return Optional.empty();
            }
            double turned = up == here.get() || down == here.get() ? step : 2 * step;
            double leftRate = (up.left().steerDeg() - down.left().steerDeg()) / turned;
            double rightRate = (up.right().steerDeg() - down.right().steerDeg()) / turned;
            KnucklePose l = here.get().left();
            KnucklePose r = here.get().right();
            double parkedLeft = parkedTorque(loads, tyreWidth, l.scrubAcrossWheel());
            double parkedRight = parkedTorque(loads, tyreWidth, r.scrubAcrossWheel());
            double creepLeft = creepingTorque(loads, tyreWidth, l.scrubAcrossWheel());
            double creepRight = creepingTorque(loads, tyreWidth, r.scrubAcrossWheel());
            // Virtual work: what the knuckles take in for a small turn of the steering wheel.
            double parked = Math.abs(leftRate) * parkedLeft + Math.abs(rightRate) * parkedRight;
            double creeping = Math.abs(leftRate) * creepLeft + Math.abs(rightRate) * creepRight;
            double weight = leftRate * weightTorque(loads, l) + rightRate * weightTorque(loads, r);
            double outward = sw >= 0 ? 1 : -1;
            double back = -outward * weight;
            Map<Rod, Double> rodForce = RodForces.of(
                    train.axle().orElseThrow(),
                    pose,
                    here.get(),
                    Math.copySign(parkedLeft, leftRate),
                    Math.copySign(parkedRight, rightRate));
            rodForce.replaceAll((_, force) -> Math.abs(force));
            double atRim = rim * loads.efficiency();
            return Optional.of(new Here(
                    new Row(
                            sw,
                            Math.max(0, parked + back) / atRim,
                            Math.max(0, creeping + back) / atRim,
                            back * loads.efficiency() / rim),
                    rodForce,
                    (Math.abs(leftRate / heading(l)) * parkedLeft + Math.abs(rightRate / heading(r)) * parkedRight)
                            / rim));
        }

        /**
         * Change of where a wheel points, seen from above, for a turn about its steer axis k: (s × (k × s))_z / (s_x² +
         * s_y²), s along the spin axis.
         */
        private static double heading(KnucklePose k) {
            Vector s = k.spin();
            Vector turned = k.steerAxis().direction().cross(s);
            return (s.x() * turned.y() - s.y() * turned.x()) / (s.x() * s.x() + s.y() * s.y());
        }
    }
}

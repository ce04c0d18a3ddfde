package mildtilt.steer.forces;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import mildtilt.column.Column;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.PeakSearch;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.Quantity;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.interpolation.NevilleInterpolator;

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
 * <p>Both twist the tyre on the ground, so that they work over the turn of where it points. The weight's own pull
 * toward (or away from) the middle is the moment of the load, straight up at the contact point, about the inclined
 * steer axis; it works over the knuckle's turn about that axis. So does the side force in a bend, level at the contact
 * point, square to the way the wheel points: trail is its lever. The tyre's own trail, which helps too, is left out.
 *
 * @param rows from right lock to left lock, both ends with them, as fine as requested, for tables and curves only
 * @param worstParked the most that the rim wants parked, N
 * @param worstCreeping the most that it wants at walking pace, N
 * @param creepingPerDeg how much more the rim wants at walking pace for a degree of steering wheel, from straight ahead
 *     to the lock, the harder way, N/°; below 0 where it wants less at the lock
 * @param leastReturning the least with which the weight turns the wheel back toward the middle away from it, N; below 0
 *     where it turns it away
 * @param leastReturningAt steering wheel there, degrees
 * @param leastInBend the least with which weight and trail together turn it back in a bend, N; below 0 where they turn
 *     it further in
 * @param leastInBendAt steering wheel there, degrees
 * @param gear the most that the gear has to give parked: a force along the rack, or a torque about its arm's axis
 * @param rodForce the largest force along each rod while parked, N, without sign
 * @param barFactor times the push that a shuttle would take without the friction of its bushes, the most, parked; 1
 *     without any, infinite where it jams: all forces are then without that friction
 */
public record Effort(
        List<Row> rows,
        double worstParked,
        double worstCreeping,
        double creepingPerDeg,
        double leastReturning,
        double leastReturningAt,
        double leastInBend,
        double leastInBendAt,
        Quantity gear,
        Map<Rod, Double> rodForce,
        double barFactor) {

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
     * @param inBend with which weight and trail do in a bend of {@link #BEND} g
     */
    public record Row(double steeringWheelDeg, double parked, double creeping, double returning, double inBend) {}

    /** How hard the bend is that {@link Row#inBend} is for: the side force of a tyre as a part of the load on it. */
    public static final double BEND = 0.3;

    /** Within this part of the whole turn from straight ahead the weight's pull is next to nothing either way. */
    private static final double AWAY = 0.05;

    /** Of each lock, for a search. */
    private static final int QUICK_PLACES = 7;
    /** Of the lock: no longer straight ahead. */
    private static final double JUST_OFF = 1e-6;

    private static final double SMALL_DEG = 1e-3;

    /** Torque to turn one tyre on the spot, N·mm. */
    public static double parkedTorque(Loads loads, double tyreWidth, double scrub) {
        return loads.wheelLoad() * loads.friction() * Math.sqrt(tyreWidth * tyreWidth / 8 + scrub * scrub);
    }

    /** Torque to turn one tyre while it creeps along, N·mm. */
    public static double creepingTorque(Loads loads, double tyreWidth, double scrub) {
        return loads.wheelLoad() * (loads.friction() * tyreWidth / 4 + loads.rollingResistance() * Math.abs(scrub));
    }

    /** Torque about the steer axis, to the left, of a force on the tyre where it meets the ground, N·mm. */
    static double torque(KnucklePose k, Vector force) {
        return k.steerAxis()
                .direction()
                .dot(k.contactPoint().minus(k.steerAxis().origin()).cross(force));
    }

    /** Torque of the load about the steer axis to the left, N·mm. */
    static double weightTorque(Loads loads, KnucklePose k) {
        return torque(k, Vector.Z.times(loads.wheelLoad()));
    }

    /** Torque of a side force about the steer axis to the left, N·mm. @param toLeft N */
    static double sideTorque(KnucklePose k, double toLeft) {
        return torque(
                k,
                new Vector(k.spin().x(), k.spin().y(), 0)
                        .direction()
                        .times(k.side().sign() * toLeft));
    }

    /**
     * Empty without loads or without a steering wheel to pull at.
     *
     * @param lockRight steering wheel at the right lock, degrees
     * @param lockLeft at the left lock
     * @param stepsEachWay rows wanted from the middle to either lock
     */
    public static Optional<Effort> of(
            SteeringTrain train, Job job, double lockRight, double lockLeft, int stepsEachWay) {
        return Gatherer.of(train, job).map(g -> {
            List<Row> rows = Arrays.stream(Grid.spread(-lockRight, lockLeft, stepsEachWay))
                    .boxed()
                    .flatMap(sw -> g.at(sw).stream())
                    .map(Here::row)
                    .toList();
            PeakSearch returning = g.least(Row::returning, lockRight, lockLeft);
            PeakSearch inBend = g.least(Row::inBend, lockRight, lockLeft);
            Map<Rod, Double> forces = new EnumMap<>(Rod.class);
            for (Rod rod : train.axle().orElseThrow().lengths().keySet()) {
                g.most(h -> h.rodForce.getOrDefault(rod, Double.NaN), lockRight, lockLeft)
                        .ifPresent(p -> forces.put(rod, p.value()));
            }
            return new Effort(
                    rows,
                    g.worst(h -> h.row.parked(), lockRight, lockLeft),
                    g.worst(h -> h.row.creeping(), lockRight, lockLeft),
                    Math.max(g.creepingPerDeg(lockLeft), g.creepingPerDeg(lockRight)),
                    -returning.value(),
                    returning.at(),
                    -inBend.value(),
                    inBend.at(),
                    gear(train.requireAxle().gear(), g.worst(Here::gear, lockRight, lockLeft)),
                    forces,
                    g.jams
                            ? Double.POSITIVE_INFINITY
                            : g.worst(h -> h.bar.map(BarFriction::pushFactor).orElse(1.0), lockRight, lockLeft));
        });
    }

    /**
     * At one place of the steering wheel, ride height; empty without loads, without a steering wheel, or where it can't
     * be.
     *
     * @param row force at the rim, N
     * @param gear what the gear has to give parked: along the rack, N, or about its arm's axis, N·mm
     * @param rodForce along each rod while parked, N, without sign
     * @param held what both tyres alone ask of the rim parked, nothing lost on the way, N
     * @param bar what a shuttle's bushes do there, where they are known
     */
    public record Here(Row row, double gear, Map<Rod, Double> rodForce, double held, Optional<BarFriction> bar) {}

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

    /**
     * {@link #worstParked} from few places, for a search: what the gear's input wants changes slowly over the lock, and
     * only the column's joints, quick to work out, make it swing twice a turn at the rim. Empty where there is none.
     *
     * @param lockRight steering wheel at the right lock, degrees
     */
    public static Optional<Double> quickWorstParked(SteeringTrain train, Job job, double lockRight, double lockLeft) {
        return Gatherer.of(train, job).flatMap(g -> Stream.of(lockRight, lockLeft)
                .flatMap(lock -> g.quickWorstParked(lock).stream())
                .reduce(Math::max));
    }

    public static Optional<Here> at(SteeringTrain train, Job job, double steeringWheelDeg) {
        return Gatherer.of(train, job).flatMap(g -> g.at(steeringWheelDeg));
    }

    private static Quantity gear(Gear gear, double load) {
        return switch (gear) {
            case RackAndPinion _ -> Quantity.force(load);
            case ArmGear _ -> Quantity.torque(load);
        };
    }

    private static final class Gatherer {
        private final SteeringTrain train;
        private final Loads loads;
        private final double tyreWidth;
        private final double rim;
        /** Whether a shuttle jams on its bar somewhere: then its friction is left out everywhere. */
        private final boolean jams;
        /** Every figure is looked for at the same places first. */
        private final Map<Double, Optional<Here>> known = new HashMap<>();

        private Gatherer(SteeringTrain train, Job job, Loads loads, double rim) {
            this.train = train;
            this.loads = loads;
            this.rim = rim;
            tyreWidth = job.vehicle().tyreWidth();
            jams = BarJam.jams(train, job);
        }

        static Optional<Gatherer> of(SteeringTrain train, Job job) {
            Optional<Double> rim = job.column().map(Column::handRadius);
            return train.axle().isEmpty() || train.locked().isPresent()
                    ? Optional.empty()
                    : job.vehicle().loads().flatMap(l -> rim.map(r -> new Gatherer(train, job, l, r)));
        }

        Optional<PeakSearch> most(ToDoubleFunction<Here> figure, double lockRight, double lockLeft) {
            return PeakSearch.of(sw -> at(sw).map(figure::applyAsDouble).orElse(Double.NaN), lockRight, lockLeft);
        }

        double worst(ToDoubleFunction<Here> figure, double lockRight, double lockLeft) {
            return most(figure, lockRight, lockLeft).map(PeakSearch::value).orElse(0.0);
        }

        Optional<Double> quickWorstParked(double lock) {
            double[] inputs = new double[QUICK_PLACES];
            double[] atInput = new double[QUICK_PLACES];
            for (int i = 0; i < QUICK_PLACES; i++) {
                // Chebyshev's, closest together toward the ends. The weight pulls the other way on the other side of
                // straight ahead.
                double part = (1 - Math.cos(Math.PI * i / (QUICK_PLACES - 1))) / 2;
                double sw = lock * Math.max(JUST_OFF, part);
                Optional<Here> here = at(sw);
                if (here.isEmpty()) {
                    return Optional.empty();
                }
                inputs[i] = Math.abs(train.gearInputDeg(sw));
                atInput[i] = here.get().row.parked() / inputPerTurn(sw);
            }
            UnivariateFunction between = new NevilleInterpolator().interpolate(inputs, atInput);
            return PeakSearch.of(
                            sw -> between.value(Math.abs(train.gearInputDeg(sw))) * inputPerTurn(sw),
                            lock * JUST_OFF,
                            lock)
                    .map(PeakSearch::value);
        }

        /** Turn of the gear's input for a small turn of the steering wheel. */
        private double inputPerTurn(double sw) {
            return (train.gearInputDeg(sw + SMALL_DEG) - train.gearInputDeg(sw - SMALL_DEG)) / (2 * SMALL_DEG);
        }

        /** Away from the middle; its value with its sign turned round. */
        PeakSearch least(ToDoubleFunction<Row> figure, double lockRight, double lockLeft) {
            return PeakSearch.of(
                            sw -> Math.abs(sw) < AWAY * (lockLeft - lockRight)
                                    ? Double.NaN
                                    : at(sw).map(h -> -figure.applyAsDouble(h.row))
                                            .orElse(Double.NaN),
                            lockRight,
                            lockLeft)
                    .orElse(new PeakSearch(0, 0));
        }

        /** From straight ahead to a lock, N/°. */
        double creepingPerDeg(double lock) {
            return at(0).flatMap(ahead ->
                            at(lock).map(there -> (there.row.creeping() - ahead.row.creeping()) / Math.abs(lock)))
                    .orElse(0.0);
        }

        Optional<Here> at(double sw) {
            return known.computeIfAbsent(sw, x -> SmallTurn.at(train, x).map(this::at));
        }

        private Here at(SmallTurn t) {
            double outward = t.pose().steeringWheelDeg() >= 0 ? 1 : -1;
            Map<Side, Double> parked = new EnumMap<>(Side.class);
            double creeping = 0;
            double weight = 0;
            double side = 0;
            for (Side s : Side.values()) {
                KnucklePose k = t.here().knuckle(s);
                SmallTurn.Wheel rate = t.wheel(s);
                double scrub = k.scrubAcrossWheel();
                parked.put(s, rate.aboutAxisFor(parkedTorque(loads, tyreWidth, scrub)));
                creeping += Math.abs(rate.heading()) * creepingTorque(loads, tyreWidth, scrub);
                weight += rate.aboutAxis() * weightTorque(loads, k);
                side += rate.aboutAxis() * sideTorque(k, outward * BEND * loads.wheelLoad());
            }
            double left = Objects.requireNonNull(parked.get(Side.LEFT));
            double right = Objects.requireNonNull(parked.get(Side.RIGHT));
            double park = t.torqueIn(left, right);
            double back = -outward * weight;
            double inBend = back - outward * side;
            Map<Rod, Double> rodForce = RodForces.of(train.axle().orElseThrow(), t.pose(), t.here(), left, right);
            Optional<BarFriction> bar = jams ? Optional.empty() : BarFriction.of(t, rodForce);
            double harder =
                    bar.map(BarFriction::pushFactor).filter(Double::isFinite).orElse(1.0);
            double less = bar.map(BarFriction::returnFactor).orElse(1.0);
            rodForce.replaceAll((rod, force) -> Math.abs(force) * (rod == Rod.SHORT_LINK ? harder : 1));
            double atRim = rim * loads.efficiency();
            return new Here(
                    new Row(
                            t.pose().steeringWheelDeg(),
                            Math.max(0, park + back) * harder / atRim,
                            Math.max(0, creeping + back) * harder / atRim,
                            returns(back, less),
                            returns(inBend, less)),
                    Math.abs(t.output()) > 0 ? Math.max(0, park + back) * harder / Math.abs(t.output()) : 0,
                    rodForce,
                    park / rim,
                    bar);
        }

        /** What turns it away from the middle is not made less by friction that may be less than thought. */
        private double returns(double torque, double less) {
            return torque * loads.efficiency() / rim * (torque > 0 ? less : 1);
        }
    }
}

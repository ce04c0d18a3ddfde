package mildtilt.steer;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.linkage.Rod;
import mildtilt.suspension.KnucklePose;

/**
 * What the hands must pull at the rim and what the rods carry, at ride height.
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
 * @param rows from right lock to left lock
 * @param rodForce the largest force along each rod while parked, N, without sign
 */
public record Effort(List<Row> rows, Map<Rod, Double> rodForce) {

    /**
     * Force at the rim, N.
     *
     * @param parked to keep turning away from the middle, standing still
     * @param creeping the same at walking pace
     * @param returning with which the weight alone turns the wheel back toward the middle; below 0 away from it
     */
    public record Row(double steeringWheelDeg, double parked, double creeping, double returning) {}

    public double worstParked() {
        return rows.stream().mapToDouble(Row::parked).max().orElse(0);
    }

    public double worstCreeping() {
        return rows.stream().mapToDouble(Row::creeping).max().orElse(0);
    }

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
        return k.steerAxis().direction().dot(k.contactPoint().minus(k.steerAxis().origin())
                .cross(Vector.Z.times(loads.wheelLoad())));
    }

    /** Empty without loads or without a steering wheel to pull at. */
    static Optional<Effort> of(SteeringTrain train, Job job, List<SteerFigures.SteerRow> rows, double step) {
        Optional<Loads> loads = job.vehicle().loads();
        Optional<Double> rim = job.column().map(c -> c.wheel().diameter() / 2);
        if (loads.isEmpty() || rim.isEmpty()) {
            return Optional.empty();
        }
        Gatherer g = new Gatherer(train, loads.get(), job.vehicle().tyreWidth(), rim.get(), step);
        return Optional.of(new Effort(rows.stream().flatMap(r -> g.row(r.steeringWheelDeg(), r.pose()).stream()).toList(), g.rodForce));
    }

    /**
     * At one place of the steering wheel, ride height; empty without loads, without a steering wheel, or where it can't be.
     *
     * @param row force at the rim, N
     * @param rodForce along each rod while parked, N, without sign
     */
    public record Here(Row row, Map<Rod, Double> rodForce) {}

    public static Optional<Here> at(SteeringTrain train, Job job, double steeringWheelDeg) {
        Optional<Loads> loads = job.vehicle().loads();
        Optional<Double> rim = job.column().map(c -> c.wheel().diameter() / 2);
        if (loads.isEmpty() || rim.isEmpty() || train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        Gatherer g = new Gatherer(train, loads.get(), job.vehicle().tyreWidth(), rim.get(),
                1e-3 * train.stopDeg(Side.LEFT).orElseThrow());
        return g.row(steeringWheelDeg, train.pose(steeringWheelDeg, 0, 0)).map(r -> new Here(r, g.rodForce));
    }

    private static final class Gatherer {
        final SteeringTrain train;
        final Loads loads;
        final double tyreWidth;
        final double rim;
        final double step;
        final Map<Rod, Double> rodForce = new EnumMap<>(Rod.class);

        Gatherer(SteeringTrain train, Loads loads, double tyreWidth, double rim, double step) {
            this.train = train;
            this.loads = loads;
            this.tyreWidth = tyreWidth;
            this.rim = rim;
            this.step = step;
        }

        Optional<Row> row(double sw, AxlePose pose) {
            Optional<AxlePose.Assembled> here = pose.assembled();
            AxlePose.Assembled up = train.pose(sw + step, 0, 0).assembled().or(() -> here).orElse(null);
            AxlePose.Assembled down = train.pose(sw - step, 0, 0).assembled().or(() -> here).orElse(null);
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
            RodForces.of(train.axle().orElseThrow(), pose, here.get(),
                            Math.copySign(parkedLeft, leftRate), Math.copySign(parkedRight, rightRate))
                    .forEach((rod, force) -> rodForce.merge(rod, Math.abs(force), Math::max));
            double atRim = rim * loads.efficiency();
            return Optional.of(new Row(sw, Math.max(0, parked + back) / atRim, Math.max(0, creeping + back) / atRim,
                    back * loads.efficiency() / rim));
        }
    }
}

package mildtilt.steer.forces;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;

/**
 * What a rod carries at the worst of the lock with the vehicle parked, and what is left.
 *
 * @param force N, without sign: the wheel is turned both ways, so each rod is pushed as hard as it is pulled
 * @param kerbForce the largest when one wheel meets the rule set's kerb, N ({@link KerbLoad}); empty where it asks for
 * none
 * @param pullForce straight ahead when the rim is pulled as hard as the rule set says and both wheels are held as a
 * parked tyre
 *     holds them, N, nothing lost on the way
 * @param bucklingMargin the load at which the rod as made buckles over the force; empty without a known tube
 * @param stress largest, a cranked rod's bending with it, MPa; empty without a known tube
 * @param yieldMargin the material's yield over that stress
 */
public record RodLoad(
        Rod rod,
        double force,
        Optional<Double> kerbForce,
        Optional<Double> pullForce,
        Optional<Double> bucklingMargin,
        Optional<Double> stress,
        Optional<Double> yieldMargin) {

    /** @param kerb empty where none is asked for @param pull of each rod by the heavy pull at the rim, N */
    public static List<RodLoad> of(
            SteeredAxle axle, Map<Rod, Double> lengths, Effort effort, Optional<KerbLoad> kerb, Map<Rod, Double> pull) {
        List<RodLoad> all = new ArrayList<>();
        for (Rod rod : Rod.values()) {
            if (!effort.rodForce().containsKey(rod)) {
                continue;
            }
            double force = effort.rodForce().get(rod);
            double length = Objects.requireNonNull(lengths.get(rod));
            Optional<RodTube> tube = axle.rodEnds(rod).flatMap(RodEnds::tube).filter(_ -> force > 0);
            Optional<Double> stress = tube.map(t -> t.stress(force, length));
            all.add(new RodLoad(
                    rod,
                    force,
                    kerb.map(k -> k.rodForce().get(rod)),
                    Optional.ofNullable(pull.get(rod)),
                    tube.map(t -> t.bucklingLoad(length) / force),
                    stress,
                    tube.map(t -> t.yield() / t.stress(force, length))));
        }
        return List.copyOf(all);
    }
}

package mildtilt.steer;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.linkage.Rod;
import mildtilt.linkage.RodEnds;
import mildtilt.linkage.RodTube;
import mildtilt.linkage.SteeredAxle;

/**
 * What a rod carries at the worst of the lock with the vehicle parked, and what is left.
 *
 * @param force N, without sign: the hands turn both ways, so that each rod is pushed as hard as it is pulled
 * @param bucklingMargin the load at which the rod as made buckles over the force; empty without a known tube
 * @param stress largest, a cranked rod's bending with it, MPa; empty without a known tube
 * @param yieldMargin the material's yield over that stress
 */
public record RodLoad(
        Rod rod, double force, Optional<Double> bucklingMargin, Optional<Double> stress, Optional<Double> yieldMargin) {

    static List<RodLoad> of(SteeredAxle axle, Map<Rod, Double> lengths, Effort effort) {
        List<RodLoad> all = new ArrayList<>();
        for (Rod rod : Rod.values()) {
            if (!effort.rodForce().containsKey(rod)) {
                continue;
            }
            double force = effort.rodForce().get(rod);
            double length = lengths.get(rod);
            Optional<RodTube> tube = axle.rodEnds(rod).flatMap(RodEnds::tube).filter(_ -> force > 0);
            Optional<Double> stress = tube.map(t -> t.stress(force, length));
            all.add(new RodLoad(rod, force, tube.map(t -> t.bucklingLoad(length) / force), stress,
                    tube.map(t -> t.yield() / t.stress(force, length))));
        }
        return List.copyOf(all);
    }
}

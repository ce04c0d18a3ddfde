package mildtilt.clearance;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import mildtilt.clearance.bodies.Bodies;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Body.Sort;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.obstacle.Carrier;
import mildtilt.solid.Solid;
import mildtilt.steer.position.SteeringTrain;

/**
 * Something a new route must keep clear of.
 *
 * @param id of the body it is
 * @param name as the user reads it
 * @param need gap it wants, with how much nearer than drawn it may be, mm
 * @param places everywhere it goes, at steps: the axle's parts over steering and travel, what moves by itself over its
 * way
 * @param gear whether it is part of the gear, in which the last shaft ends
 */
public record SweptObstacle(Id id, String name, double need, List<Solid> places, boolean gear) {

    private static final int EVERY = 5;

    /** All but the column itself and what it ends in. */
    public static List<SweptObstacle> of(Job job) {
        SweptPositions range = new SweptPositions(job, new SteeringTrain(job));
        List<SweptObstacle> all = new ArrayList<>();
        if (range.positions.isEmpty()) {
            return all;
        }
        Set<Integer> positions = positions(range);
        for (Body b : new Bodies(job).all()) {
            boolean gear =
                    b.sort() == Sort.GEAR && (!b.onPose() || !b.carriers().isEmpty());
            if (!b.sort().ofColumn() && b.sort() != Sort.WHEEL_RING && !gear) {
                List<Solid> places = new ArrayList<>();
                for (int p : b.onPose() ? positions : Set.of(0)) {
                    for (int k = 0; k < (b.onPart() ? range.parts.length : 1); k += 2) {
                        places.add(b.solid()
                                .apply(BodyOverRange.stand(range, p, 0, b.onPart() ? k : range.parts.length / 2)));
                    }
                }
                all.add(new SweptObstacle(b.id(), b.name(), b.need() + b.extra(), places, b.sort() == Sort.GEAR));
            }
        }
        return all;
    }

    /** A coarse grid with all ends of the range. */
    private static Set<Integer> positions(SweptPositions range) {
        Set<Integer> all = new TreeSet<>();
        int n = Math.max(1, range.steer.length);
        for (int i = 0; i < range.positions.size(); i++) {
            int cell = range.positions.get(i).cell();
            int steer = cell % n;
            int row = cell / n;
            boolean edge = i == 0
                    || i == range.positions.size() - 1
                    || range.positions.get(i - 1).cell() / n != row
                    || range.positions.get(i + 1).cell() / n != row;
            if (cell < 0 || (row % EVERY == 0 && (edge || steer % EVERY == 0))) {
                all.add(i);
            }
        }
        return all;
    }

    /** Solids that the bracket of a bearing can be fixed to. */
    public static List<Solid> brackets(Job job) {
        return job.surroundings().obstacles().stream()
                .filter(o -> o.takesBearings() && o.carriers().equals(Set.of(Carrier.FRAME)))
                .map(o -> o.shape().solid())
                .toList();
    }
}

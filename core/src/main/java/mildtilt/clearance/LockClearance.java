package mildtilt.clearance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.clearance.bodies.Configuration;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.position.AxlePose;

/** Looks how much of the lock, and of the travel with it, the gaps leave. */
final class LockClearance {

    private static final int LOCK_STEPS = 14;

    private final Job job;
    private final SweptPositions range;

    LockClearance(Job job, SweptPositions range) {
        this.job = job;
        this.range = range;
    }

    /** What is too near straight ahead at rest already is no matter of the lock. */
    LockKept of(List<NearestSoFar> near) {
        List<NearestSoFar> bad = near.stream()
                .filter(p -> p.onPose() && p.best < p.need && p.atRest >= p.need)
                .toList();
        List<LockKept.Row> rows = new ArrayList<>();
        for (int j = 0; j < range.travels.length; j++) {
            rows.add(new LockKept.Row(range.travels[j], kept(j, Side.LEFT, bad), kept(j, Side.RIGHT, bad)));
        }
        return new LockKept(List.copyOf(rows), free(rows, 1), free(rows, -1));
    }

    /**
     * How far the wheels may travel one way with full lock on, before anything comes too near; empty if nothing does.
     */
    private static Optional<Double> free(List<LockKept.Row> rows, int way) {
        List<LockKept.Row> outward = rows.stream()
                .filter(r -> r.travel() * way >= 0)
                .sorted(Comparator.comparingDouble(r -> r.travel() * way))
                .toList();
        double last = 0;
        for (LockKept.Row r : outward) {
            if (r.left().costs() || r.right().costs()) {
                return Optional.of(last);
            }
            last = Math.abs(r.travel());
        }
        return Optional.empty();
    }

    private LockKept.KeptLock kept(int row, Side side, List<NearestSoFar> bad) {
        double travel = range.travels[row];
        List<Integer> outward = new ArrayList<>();
        for (int i = 0; i < range.positions.size(); i++) {
            SweptPositions.Position p = range.positions.get(i);
            if (p.cell() >= 0 && p.cell() / range.steer.length == row && range.steeringWheelDeg(i) * side.sign() >= 0) {
                outward.add(i);
            }
        }
        outward.sort(Comparator.comparingDouble(i -> Math.abs(range.steeringWheelDeg(i))));
        if (outward.isEmpty()) {
            return new LockKept.KeptLock(0, 0, 0, 0, Optional.empty());
        }
        TurnGeometry lock = turn(range.stand(outward.getLast()));
        for (int n = 0; n < outward.size(); n++) {
            int at = outward.get(n);
            List<NearestSoFar> first = bad.stream().filter(p -> p.foul[at]).toList();
            if (!first.isEmpty()) {
                if (n == 0) {
                    return new LockKept.KeptLock(
                            inner(lock, side),
                            0,
                            0,
                            0,
                            Optional.of(first.getFirst().two()));
                }
                Configuration in = range.stand(outward.get(n - 1));
                double out = range.steeringWheelDeg(at);
                NearestSoFar by = first.getFirst();
                for (int k = 0; k < LOCK_STEPS; k++) {
                    double mid = (in.pose().orElseThrow().steeringWheelDeg() + out) / 2;
                    Optional<Configuration> s =
                            range.at(mid, travel, range.stand(at).travelRight());
                    Optional<NearestSoFar> w = s.flatMap(x -> tooNear(x, first));
                    if (s.isPresent() && w.isEmpty()) {
                        in = s.get();
                    } else {
                        out = mid;
                        by = w.orElse(by);
                    }
                }
                TurnGeometry kept = turn(in);
                return new LockKept.KeptLock(
                        inner(lock, side),
                        inner(kept, side),
                        outer(kept, side),
                        in.pose().orElseThrow().steeringWheelDeg(),
                        Optional.of(by.two()));
            }
        }
        return new LockKept.KeptLock(
                inner(lock, side),
                inner(lock, side),
                outer(lock, side),
                range.steeringWheelDeg(outward.getLast()),
                Optional.empty());
    }

    private static double inner(TurnGeometry t, Side side) {
        return side == Side.LEFT ? t.leftDeg() : -t.rightDeg();
    }

    private static double outer(TurnGeometry t, Side side) {
        return side == Side.LEFT ? t.rightDeg() : -t.leftDeg();
    }

    /** The first pair too near in one position, over the wheel's adjustment and what moves by itself. */
    private Optional<NearestSoFar> tooNear(Configuration s, List<NearestSoFar> bad) {
        for (NearestSoFar p : bad) {
            for (int c = 0; c < (p.onColumn() ? range.columns.size() : 1); c++) {
                for (int k = 0; k < (p.onPart() ? range.parts.length : 1); k++) {
                    if (p.gapAt(
                                    new Configuration(
                                            s.pose(),
                                            s.travelLeft(),
                                            s.travelRight(),
                                            range.columns.get(c),
                                            p.onPart() ? range.parts[k] : s.part()),
                                    p.need)
                            < p.need) {
                        return Optional.of(p);
                    }
                }
            }
        }
        return Optional.empty();
    }

    private TurnGeometry turn(Configuration s) {
        AxlePose.Assembled a = s.pose().orElseThrow().assembled().orElseThrow();
        return TurnGeometry.of(
                s.pose().get().steeringWheelDeg(),
                a.left().steerDeg(),
                a.right().steerDeg(),
                job.vehicle(),
                1,
                1);
    }
}

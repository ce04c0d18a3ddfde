package mildtilt.columnrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import mildtilt.geometry.RigidMove;
import mildtilt.job.Job;
import mildtilt.job.Vehicle;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.WheelTravel;

/** Where a gear that is bolted to the axle goes over the wheels' travel. */
public final class GearTravel {

    private static final int STEPS_EACH_WAY = 2;
    /** How finely extremes are found, mm of travel. */
    static final double FINE = 1e-4;
    /** Less than this is not more: rounding. */
    static final double MORE = 1e-9;

    private final AxleSolver solver;
    private final Vehicle vehicle;
    private final WheelTravel travel;

    private GearTravel(AxleSolver solver, Vehicle vehicle) {
        this.solver = solver;
        this.vehicle = vehicle;
        travel = solver.axle().wheelTravel();
    }

    /** Empty where the gear is on the frame. */
    public static Optional<GearTravel> of(Job job) {
        return job.axle().filter(SteeredAxle::gearOnAxle).map(a -> new GearTravel(new AxleSolver(a), job.vehicle()));
    }

    /**
     * How far both wheels are up, mm.
     *
     * @param left + up
     * @param right + up
     */
    record At(double left, double right) {

        static final At REST = new At(0, 0);

        String words() {
            return left == 0 && right == 0
                    ? ""
                    : left > 0 && right > 0 ? "axle up" : left < 0 && right < 0 ? "axle down" : "axle rolled";
        }
    }

    /** A grid over the travel with all its ends, at rest first. */
    List<At> grid() {
        List<At> all = new ArrayList<>(List.of(At.REST));
        for (int i = -STEPS_EACH_WAY; i <= STEPS_EACH_WAY; i++) {
            switch (travel) {
                case NONE -> {}
                case ROLL_ONLY -> all.add(new At(step(i, roll(), roll()), step(-i, roll(), roll())));
                case FREE -> {
                    for (int j = -STEPS_EACH_WAY; j <= STEPS_EACH_WAY; j++) {
                        all.add(new At(
                                step(i, vehicle.droop(), vehicle.bump()), step(j, vehicle.droop(), vehicle.bump())));
                    }
                }
            }
        }
        return all;
    }

    private double roll() {
        return Math.min(vehicle.bump(), vehicle.droop());
    }

    private static double step(int i, double down, double up) {
        return (i < 0 ? down : up) * i / STEPS_EACH_WAY;
    }

    /** Between two places of the grid, at the most, mm. */
    double coarseness() {
        return Math.max(vehicle.bump(), vehicle.droop()) / STEPS_EACH_WAY;
    }

    /** Places a step away, each within the travel. */
    List<At> near(At at, double by) {
        List<At> all = new ArrayList<>();
        for (int i = -1; i <= 1; i++) {
            for (int j = -1; j <= 1; j++) {
                switch (travel) {
                    case NONE -> {}
                    case ROLL_ONLY -> {
                        double up = Math.clamp(at.left + i * by, -roll(), roll());
                        all.add(new At(up, -up));
                    }
                    case FREE -> all.add(new At(within(at.left + i * by), within(at.right + j * by)));
                }
            }
        }
        return all;
    }

    private double within(double mm) {
        return Math.clamp(mm, -vehicle.droop(), vehicle.bump());
    }

    /** The most of something anywhere in the travel: over the grid, then toward more in ever smaller steps. */
    double most(ToDoubleFunction<RigidMove> what) {
        At best = At.REST;
        double most = Double.NEGATIVE_INFINITY;
        for (At at : grid()) {
            double v = move(at).map(m -> what.applyAsDouble(m)).orElse(Double.NEGATIVE_INFINITY);
            if (v > most) {
                most = v;
                best = at;
            }
        }
        for (double by = coarseness() / 2; by > FINE; ) {
            At from = best;
            for (At at : near(from, by)) {
                double v = move(at).map(m -> what.applyAsDouble(m)).orElse(Double.NEGATIVE_INFINITY);
                if (v > most + MORE) {
                    most = v;
                    best = at;
                }
            }
            by = best.equals(from) ? by / 2 : by;
        }
        return most;
    }

    /** Empty where the beam can't go there. */
    Optional<RigidMove> move(At at) {
        return solver.gearMove(at.left, at.right);
    }
}

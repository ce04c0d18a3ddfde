package mildtilt.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.job.OuterTable;
import mildtilt.steer.AxlePose;
import mildtilt.steer.SteeringTrain;
import mildtilt.steer.Turn;
import mildtilt.trial.TrialReading.PlatePair;
import mildtilt.trial.TrialSheet;

/** What both wheels do on turn plates, read and planned. */
public final class PlateAngles {

    /**
     * @param planned the plan's outer angle at the inner angle that was read; empty where the plan does not turn so far
     * @param ideal the outer angle at which both wheels roll about one point
     * @param wanted by the job's own table, if it has one
     * @param ackermannPct as read
     */
    public record Row(PlatePair read, Optional<Double> planned, Optional<Double> ideal, Optional<Double> wanted, Optional<Double> ackermannPct) {

        /** Outer angle as read less as planned, degrees. */
        public Optional<Double> off() {
            return planned.map(p -> read.outer() - p);
        }
    }

    private static final int STEPS = 24;
    /** A wheel that was read further round than the plan's gear lets it: its stop is then not where the plan has it. */
    private static final double PAST_STOP = 1.3;
    private static final int HALVINGS = 44;
    private static final double NEAR_ENOUGH = 1e-6;

    private PlateAngles() {}

    public static List<Row> of(TrialSheet sheet, Job job, SteeringTrain train) {
        List<Row> rows = new ArrayList<>();
        if (train.axle().isEmpty()) {
            return rows;
        }
        Optional<AxlePose.Assembled> ahead = train.pose(0, 0, 0).assembled();
        for (PlatePair p : sheet.plates().stream().sorted(Comparator.comparing(PlatePair::way).thenComparingDouble(PlatePair::inner)).toList()) {
            Optional<Turn> read = ahead.map(a -> new Turn(0, p.leftDeg(), p.rightDeg(), job.vehicle().wheelbase(), a.left().axisOnGround().y() - a.right().axisOnGround().y(), train.requireAxle().track()));
            rows.add(new Row(p, outerAt(train, p.way(), p.inner()), read.map(Turn::idealOuterDeg), job.targets().outerTable().map((OuterTable t) -> t.outerAt(p.inner())),
                    read.flatMap(Turn::ackermannPct)));
        }
        return List.copyOf(rows);
    }

    /** The outer wheel's angle, into the turn, where the inner one has turned by an angle from straight ahead; empty where it never does. */
    public static Optional<Double> outerAt(SteeringTrain train, Side way, double innerDeg) {
        Optional<AxlePose.Assembled> ahead = train.pose(0, 0, 0).assembled();
        if (ahead.isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        double left = train.stopDeg(Side.LEFT).orElse(0.0);
        double right = train.stopDeg(Side.RIGHT).orElse(0.0);
        // The road wheels decide which way it is, whatever the hands do.
        double toward = turned(train, ahead.get(), way, way.sign() * left * 1e-3, way).filter(v -> v > 0).isPresent() == (way == Side.LEFT) ? left : right;
        double before = 0;
        for (int i = 1; i <= STEPS; i++) {
            double sw = PAST_STOP * toward * i / STEPS;
            Optional<Double> inner = turned(train, ahead.get(), way, sw, way);
            if (inner.isEmpty() || inner.get() >= innerDeg) {
                double low = before;
                double high = sw;
                for (int h = 0; h < HALVINGS; h++) {
                    double mid = (low + high) / 2;
                    if (turned(train, ahead.get(), way, mid, way).orElse(innerDeg) < innerDeg) {
                        low = mid;
                    } else {
                        high = mid;
                    }
                }
                // Where the linkage ends before the wheel is so far round there is no such place.
                double at = low;
                return turned(train, ahead.get(), way, at, way).filter(v -> Math.abs(v - innerDeg) < NEAR_ENOUGH).flatMap(_ -> turned(train, ahead.get(), way, at, way.other()));
            }
            before = sw;
        }
        return Optional.empty();
    }

    /** How far a wheel is turned from straight ahead into a turn that way, degrees. */
    private static Optional<Double> turned(SteeringTrain train, AxlePose.Assembled ahead, Side way, double sw, Side wheel) {
        return train.pose(sw, 0, 0).assembled().map(a -> way.sign() * (a.knuckle(wheel).steerDeg() - ahead.knuckle(wheel).steerDeg()));
    }
}

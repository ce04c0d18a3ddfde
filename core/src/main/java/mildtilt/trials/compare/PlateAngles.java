package mildtilt.trials.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.job.OuterWheelTable;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.trials.TrialReading.PlatePair;
import mildtilt.trials.TrialSheet;

/** What both wheels do on turn plates, read and planned. */
public final class PlateAngles {

    /**
     * @param planned the plan's outer angle at the inner angle that was read; empty where the plan does not turn so far
     * @param ideal the outer angle at which both wheels roll about one point
     * @param wanted by the job's own table, if it has one
     * @param ackermannPct as read
     */
    public record Row(
            PlatePair read,
            Optional<Double> planned,
            Optional<Double> ideal,
            Optional<Double> wanted,
            Optional<Double> ackermannPct) {

        /** Outer angle as read less as planned, degrees. */
        public Optional<Double> off() {
            return planned.map(p -> read.outer() - p);
        }
    }

    private static final int STEPS = 12;
    /** A wheel that was read further round than the plan's gear lets it: its stop is then not where the plan has it. */
    private static final double PAST_STOP = 1.3;

    private static final int HALVINGS = 60;
    private static final double NEAR_ENOUGH = 1e-6;
    private static final double CLOSE = 1e-9;

    private PlateAngles() {}

    public static List<Row> of(TrialSheet sheet, Job job, SteeringTrain train) {
        List<Row> rows = new ArrayList<>();
        if (train.axle().isEmpty()) {
            return rows;
        }
        Optional<AxlePose.Assembled> ahead = train.pose(0, 0, 0).assembled();
        for (PlatePair p : sheet.plates().stream()
                .sorted(Comparator.comparing(PlatePair::way).thenComparingDouble(PlatePair::inner))
                .toList()) {
            Optional<TurnGeometry> read = ahead.map(a -> TurnGeometry.of(
                    0,
                    p.leftDeg(),
                    p.rightDeg(),
                    job.vehicle(),
                    a.left().axisOnGround().y() - a.right().axisOnGround().y(),
                    train.requireAxle().track()));
            rows.add(new Row(
                    p,
                    outerAt(train, p.way(), p.inner()),
                    read.map(TurnGeometry::idealOuterDeg),
                    job.targets().outerTable().map((OuterWheelTable t) -> t.outerAt(p.inner())),
                    read.flatMap(TurnGeometry::ackermannPct)));
        }
        return List.copyOf(rows);
    }

    /**
     * The outer wheel's angle, into the turn, where the inner one has turned by an angle from straight ahead; empty
     * where it never does.
     */
    public static Optional<Double> outerAt(SteeringTrain train, Side way, double innerDeg) {
        Optional<AxlePose.Assembled> ahead = train.pose(0, 0, 0).assembled();
        if (ahead.isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        double left = train.stopDeg(Side.LEFT).orElse(0.0);
        double right = train.stopDeg(Side.RIGHT).orElse(0.0);
        // The road wheels decide the direction, not the steering wheel.
        double toward = turned(train, ahead.get(), way, way.sign() * left * 1e-3, way)
                                .filter(v -> v > 0)
                                .isPresent()
                        == (way == Side.LEFT)
                ? left
                : right;
        Inner inner = sw -> turned(train, ahead.get(), way, sw, way);
        double low = 0;
        double lowDeg = 0;
        for (int i = 1; i <= STEPS; i++) {
            double sw = PAST_STOP * toward * i / STEPS;
            Optional<Double> deg = inner.at(sw);
            if (deg.isEmpty() || deg.get() >= innerDeg) {
                double at = crossed(inner, innerDeg, low, lowDeg, sw, deg);
                // Where the linkage ends before the wheel is so far round there is no such place.
                return inner.at(at)
                        .filter(v -> Math.abs(v - innerDeg) < NEAR_ENOUGH)
                        .flatMap(_ -> turned(train, ahead.get(), way, at, way.other()));
            }
            low = sw;
            lowDeg = deg.get();
        }
        return Optional.empty();
    }

    /** How far the inner wheel is turned with the steering wheel there; empty where it can't be. */
    private interface Inner {
        Optional<Double> at(double steeringWheelDeg);
    }

    /** Where the inner wheel passes an angle: along the chord where both ends can be assembled, else by halves. */
    private static double crossed(
            Inner inner, double innerDeg, double from, double fromDeg, double to, Optional<Double> toDeg) {
        double low = from;
        double lowDeg = fromDeg;
        double high = to;
        Optional<Double> highDeg = toDeg;
        for (int i = 0; i < HALVINGS; i++) {
            double base = low;
            double baseDeg = lowDeg;
            double top = high;
            // Off the chord's own end a little, so that both ends close in.
            double part = highDeg.map(h -> Math.clamp((innerDeg - baseDeg) / (h - baseDeg), 1e-3, 1 - 1e-3))
                    .orElse(0.5);
            double mid = i % 4 == 3 ? (low + high) / 2 : base + part * (top - base);
            Optional<Double> deg = inner.at(mid);
            if (deg.filter(v -> Math.abs(v - innerDeg) < CLOSE).isPresent()) {
                return mid;
            }
            if (deg.isPresent() && deg.get() < innerDeg) {
                low = mid;
                lowDeg = deg.get();
            } else {
                high = mid;
                highDeg = deg;
            }
        }
        return low;
    }

    /** How far a wheel is turned from straight ahead into a turn that way, degrees. */
    private static Optional<Double> turned(
            SteeringTrain train, AxlePose.Assembled ahead, Side way, double sw, Side wheel) {
        return train.pose(sw, 0, 0)
                .assembled()
                .map(a -> way.sign()
                        * (a.knuckle(wheel).steerDeg() - ahead.knuckle(wheel).steerDeg()));
    }
}

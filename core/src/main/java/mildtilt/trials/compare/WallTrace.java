package mildtilt.trials.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.trials.TrialReading.WallDot;
import mildtilt.trials.TrialSheet;

/**
 * Bump steer as it is checked on the vehicle, for one wheel.
 *
 * @param points by travel, the lowest first
 * @param hubTraced whether the hub was traced with the rod off; else the plan's own sideways movement is taken out
 */
public record WallTrace(Side wheel, List<ToePoint> points, boolean hubTraced) {

    /**
     * @param travel mm
     * @param toeIn change from ride height as read, degrees
     * @param sd its ±, degrees
     * @param planned the plan's change, degrees
     */
    public record ToePoint(double travel, double toeIn, double sd, double planned) {}

    /** A wheel with no dot of the rod on, or whose plan can't be put there, has none. */
    public static List<WallTrace> of(TrialSheet sheet, SteeringTrain plan) {
        List<WallTrace> all = new ArrayList<>();
        if (plan.axle().isEmpty() || plan.locked().isPresent()) {
            return all;
        }
        for (Side side : Side.values()) {
            List<WallDot> on = dots(sheet, side, true);
            if (on.isEmpty()) {
                continue;
            }
            List<WallDot> off = dots(sheet, side, false);
            double wall = sheet.setup().wall();
            List<ToePoint> points = new ArrayList<>();
            for (WallDot d : on) {
                point(d, on, off, plan, wall).ifPresent(points::add);
            }
            all.add(new WallTrace(side, List.copyOf(points), off.size() > 1));
        }
        return List.copyOf(all);
    }

    private static List<WallDot> dots(TrialSheet sheet, Side side, boolean rodOn) {
        return sheet.dots().stream()
                .filter(d -> d.wheel() == side && d.rodOn() == rodOn)
                .sorted(Comparator.comparingDouble(WallDot::travel))
                .toList();
    }

    private static Optional<ToePoint> point(
            WallDot d, List<WallDot> on, List<WallDot> off, SteeringTrain plan, double wall) {
        Optional<Laser.Dot> there = Laser.dot(plan, d.wheel(), d.travel(), true, wall);
        Optional<Laser.Dot> hub = Laser.dot(plan, d.wheel(), d.travel(), false, wall);
        if (there.isEmpty() || hub.isEmpty()) {
            return Optional.empty();
        }
        // The mark is where the rod-on dot was at ride height, if it was read there.
        double mark = between(on, 0).orElse(0.0);
        Optional<Double> traced = between(off, d.travel());
        double sideways = traced.orElse(hub.get().left())
                - between(off, 0).filter(_ -> traced.isPresent()).orElse(0.0);
        double heading = Math.toDegrees(Math.atan2(d.left() - mark - sideways, wall));
        // What the beam can't see: steer angle against the beam's heading, as caster and camber change; of the plan,
        // since it is small.
        double steer = heading + there.get().steerDeg() - there.get().headingDeg();
        double spread =
                traced.isPresent() ? Math.hypot(d.spread(), off.getFirst().spread()) : d.spread();
        double sign = -d.wheel().sign();
        return Optional.of(new ToePoint(
                d.travel(),
                sign * steer,
                Math.toDegrees(spread / wall),
                sign * there.get().steerDeg()));
    }

    /** Between the dots along straight lines; none beyond them. */
    private static Optional<Double> between(List<WallDot> dots, double travel) {
        for (int i = 1; i < dots.size(); i++) {
            WallDot a = dots.get(i - 1);
            WallDot b = dots.get(i);
            if (travel >= a.travel() - 0.5 && travel <= b.travel() + 0.5 && b.travel() > a.travel()) {
                return Optional.of(
                        a.left() + (b.left() - a.left()) * (travel - a.travel()) / (b.travel() - a.travel()));
            }
        }
        return Optional.empty();
    }

    /** Peak to peak between two travels as read, degrees; empty with fewer than two points there. */
    public Optional<Double> peakToPeak(double from, double to) {
        List<ToePoint> in = points.stream()
                .filter(p -> p.travel() >= from - 0.5 && p.travel() <= to + 0.5)
                .toList();
        return in.size() < 2
                ? Optional.empty()
                : Optional.of(in.stream().mapToDouble(ToePoint::toeIn).max().orElseThrow()
                        - in.stream().mapToDouble(ToePoint::toeIn).min().orElseThrow());
    }

    /** How far the worst point is from the plan, degrees. */
    public double worstOff() {
        return points.stream()
                .mapToDouble(p -> Math.abs(p.toeIn() - p.planned()))
                .max()
                .orElse(0);
    }
}

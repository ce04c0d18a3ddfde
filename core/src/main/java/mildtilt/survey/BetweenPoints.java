package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;

/**
 * What lies between settled points: how far, which way, and the angle between two lines. Each ± is of first order in
 * the points' joint covariance, so that what two points share, such as a rectangle's place, falls out.
 */
public final class BetweenPoints {

    /** mm: small beside any distance, large beside rounding. */
    private static final double STEP = 1e-3;

    private final Surveyed surveyed;

    public BetweenPoints(Surveyed surveyed) {
        this.surveyed = surveyed;
    }

    /** @param value mm or degrees; @param sd its ±, one standard deviation */
    public record Measured(double value, double sd) {}

    /** How far two points are apart, mm; empty unless both are settled. */
    public Optional<Measured> distance(Id a, Id b) {
        return of(List.of(a, b), p -> p.get(0).distanceTo(p.get(1)));
    }

    /** How far the line from one to the other slopes below level, degrees. */
    public Optional<Measured> belowLevel(Id a, Id b) {
        return of(List.of(a, b), p -> {
            Vector d = p.get(1).minus(p.get(0));
            return Math.toDegrees(Math.atan2(-d.z(), Math.hypot(d.x(), d.y())));
        });
    }

    /** How far the line from one to the other points to the left of straight forward in plan, −180 to 180 degrees. */
    public Optional<Measured> leftOfForward(Id a, Id b) {
        return of(List.of(a, b), p -> {
            Vector d = p.get(1).minus(p.get(0));
            return Math.toDegrees(Math.atan2(d.y(), d.x()));
        });
    }

    /** Between the line from a to b and the one from c to d, 0 to 180 degrees: 0 if they run the same way. */
    public Optional<Measured> angle(Id a, Id b, Id c, Id d) {
        return of(List.of(a, b, c, d), p -> {
            Vector u = p.get(1).minus(p.get(0));
            Vector v = p.get(3).minus(p.get(2));
            return Math.toDegrees(Math.atan2(u.cross(v).norm(), u.dot(v)));
        });
    }

    private Optional<Measured> of(List<Id> ids, ToDoubleFunction<List<Point>> figure) {
        if (!surveyed.places().keySet().containsAll(ids)) {
            return Optional.empty();
        }
        List<Point> at = ids.stream()
                .map(id -> Objects.requireNonNull(surveyed.places().get(id)).at())
                .toList();
        double[] gradient = new double[3 * ids.size()];
        for (int i = 0; i < gradient.length; i++) {
            double turn = figure.applyAsDouble(moved(at, i, STEP)) - figure.applyAsDouble(moved(at, i, -STEP));
            gradient[i] = Math.IEEEremainder(turn, 360) / (2 * STEP);
        }
        double variance = 0;
        for (int i = 0; i < gradient.length; i++) {
            for (int j = 0; j < gradient.length; j++) {
                variance += gradient[i]
                        * gradient[j]
                        * surveyed.together().of(ids.get(i / 3), i % 3, ids.get(j / 3), j % 3);
            }
        }
        return Optional.of(new Measured(figure.applyAsDouble(at), Math.sqrt(Math.max(0, variance))));
    }

    private static List<Point> moved(List<Point> at, int coordinate, double by) {
        List<Point> all = new ArrayList<>(at);
        Point p = at.get(coordinate / 3);
        int axis = coordinate % 3;
        all.set(
                coordinate / 3,
                new Point(p.x() + (axis == 0 ? by : 0), p.y() + (axis == 1 ? by : 0), p.z() + (axis == 2 ? by : 0)));
        return all;
    }
}

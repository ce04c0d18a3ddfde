package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.rules.Rules.VehicleClass;

/**
 * A vehicle held against one class of its rule set.
 *
 * @param lines each limit there is
 */
public record ClassFigures(VehicleClass of, List<Line> lines) {

    public ClassFigures {
        lines = List.copyOf(lines);
    }

    /** What a class limits. */
    public enum Limit {
        WHEELBASE("wheelbase"),
        WIDTH("width over the tyres"),
        SHAFT_HOLE("hole in the bulkhead for the column");

        private final String label;

        Limit(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** How a vehicle stands to a limit. */
    public enum Verdict {
        WITHIN("within"),
        OUTSIDE("OUTSIDE"),
        NOT_KNOWN("not known");

        private final String label;

        Verdict(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * @param has what the vehicle has, mm; empty where the job does not say
     * @param least mm; empty without one
     */
    public record Line(Limit limit, Optional<Double> has, Optional<Double> least, double most) {

        public Verdict verdict() {
            return has.map(h ->
                            h <= most + 1e-9 && least.map(l -> h >= l - 1e-9).orElse(true)
                                    ? Verdict.WITHIN
                                    : Verdict.OUTSIDE)
                    .orElse(Verdict.NOT_KNOWN);
        }
    }

    /** Whether a limit is not kept. */
    public boolean breaks(Limit limit) {
        return lines.stream().anyMatch(l -> l.limit == limit && l.verdict() == Verdict.OUTSIDE);
    }

    /** Against every class of the rule set. */
    public static List<ClassFigures> of(Job job) {
        return job.rules().classes().stream().map(c -> of(job, c)).toList();
    }

    private static ClassFigures of(Job job, VehicleClass c) {
        List<Line> lines = new ArrayList<>(List.of(
                new Line(
                        Limit.WHEELBASE,
                        Optional.of(job.vehicle().wheelbase()),
                        Optional.of(c.wheelbaseMin()),
                        c.wheelbaseMax()),
                new Line(Limit.WIDTH, width(job), Optional.empty(), c.widthMax())));
        c.shaftHoleMax().ifPresent(h -> lines.add(new Line(Limit.SHAFT_HOLE, shaftHole(job), Optional.empty(), h)));
        return new ClassFigures(c, lines);
    }

    /** Over the tyres, straight ahead, mm. */
    public static Optional<Double> width(Job job) {
        return job.axle()
                .map(a -> a.corner(Side.LEFT).knuckle().wheelCentre().y()
                        - a.corner(Side.RIGHT).knuckle().wheelCentre().y()
                        + job.vehicle().tyreWidth());
    }

    /**
     * The round hole that what goes through the bulkhead needs, mm: a round of diameter {@code d} that leans by
     * {@code b}
     * from square cuts an ellipse {@code d / cos b} long, and the gap between own parts goes round it, with what frame
     * and body move against each other. Empty without a bulkhead, or where nothing goes through it.
     */
    public static Optional<Double> shaftHole(Job job) {
        return job.column().flatMap(c -> c.installation().bulkhead().flatMap(x -> through(c, x)
                .map(d -> d
                        + 2 * job.surroundings().own().gap()
                        + 2 * c.installation().frameMovement())));
    }

    private static Optional<Double> through(Column c, double x) {
        for (int i = 0; i < c.shafts().size(); i++) {
            Point a = c.start(i);
            Point b = c.end(i);
            double part = (x - a.x()) / (b.x() - a.x());
            if (part >= 0 && part <= 1) {
                double along = part * c.length(i);
                boolean inTube = i == 0
                        && c.tube()
                                .filter(t -> along >= t.from() - t.beyond() && along <= t.to() + t.beyond())
                                .isPresent();
                double d = inTube
                        ? c.tube().orElseThrow().outside()
                        : c.shafts().get(i).diameter();
                return Optional.of(d / Math.abs(c.axis(i).x()));
            }
        }
        return Optional.empty();
    }
}

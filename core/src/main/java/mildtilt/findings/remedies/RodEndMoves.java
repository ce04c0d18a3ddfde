package mildtilt.findings.remedies;

import java.util.List;
import java.util.Optional;
import mildtilt.findings.Remedy;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.TravelMap;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** A tie rod's stud leaned to the middle of what its rod end has to follow, found by pattern search. */
public final class RodEndMoves {

    private static final Grid COARSE = new Grid(3, 2);
    private static final double FIRST_STEP_DEG = 8;
    private static final double LAST_STEP_DEG = 0.5;
    private static final double WORTHWHILE_DEG = 1;

    private RodEndMoves() {}

    public static List<Remedy> of(Job job, RodEnd end, double tiltDeg, double allowedDeg) {
        Optional<Side> side = side(end);
        boolean outer = end.atSteeringArm();
        if (side.isEmpty()) {
            return List.of();
        }
        Direction start = bolt(job, side.get(), outer).orElseThrow();
        Vector u = start.anySquare().vector();
        Vector v = start.cross(u);
        double[] lean = {0, 0};
        double least = worst(job, side.get(), outer, end, start);
        for (double step = FIRST_STEP_DEG; step >= LAST_STEP_DEG; step /= 2) {
            boolean better = true;
            while (better) {
                better = false;
                for (double[] way : new double[][] {{step, 0}, {-step, 0}, {0, step}, {0, -step}}) {
                    double there =
                            worst(job, side.get(), outer, end, leaned(start, u, v, lean[0] + way[0], lean[1] + way[1]));
                    if (there < least - 1e-9) {
                        least = there;
                        lean[0] += way[0];
                        lean[1] += way[1];
                        better = true;
                        break;
                    }
                }
            }
        }
        if (least > tiltDeg - WORTHWHILE_DEG) {
            return List.of();
        }
        Direction to = leaned(start, u, v, lean[0], lean[1]);
        Phrase action = Phrase.of(
                "Lean the " + (outer ? "boss in the steering arm" : "inner end's bolt")
                        + " {0} over, so that its stud stands " + describe(to)
                        + (least > allowedDeg ? " (less tilt, still over)" : ""),
                Quantity.angle(Math.toDegrees(start.angleTo(to))));
        return List.of(new Remedy(action, j -> withBolt(j, side.get(), outer, to)));
    }

    /** A line of no particular sense, by how it leans from upright. */
    static String describe(Direction d) {
        Vector w = d.z() < 0 ? d.vector().negated() : d.vector();
        long fore = Math.round(Math.toDegrees(Math.atan2(w.x(), w.z())));
        long left = Math.round(Math.toDegrees(Math.atan2(w.y(), w.z())));
        return Math.abs(fore) + "° " + (fore >= 0 ? "forward" : "back") + " and " + Math.abs(left) + "° to the "
                + (left >= 0 ? "left" : "right") + " of upright";
    }

    private static Direction leaned(Direction from, Vector u, Vector v, double a, double b) {
        return from.vector()
                .plus(u.times(Math.tan(Math.toRadians(a))))
                .plus(v.times(Math.tan(Math.toRadians(b))))
                .direction();
    }

    private static double worst(Job job, Side side, boolean outer, RodEnd end, Direction bolt) {
        try {
            Job tried = withBolt(job, side, outer, bolt);
            return TravelMap.quick(new SteeringTrain(tried), tried, COARSE)
                    .map(m -> m.tilts().get(end))
                    .map(TravelMap.Tilt::deg)
                    .orElse(Double.POSITIVE_INFINITY);
        } catch (ImpossibleGeometryException e) {
            return Double.POSITIVE_INFINITY;
        }
    }

    private static Optional<Side> side(RodEnd end) {
        return switch (end) {
            case LEFT_OUTER, LEFT_INNER, TIE_LEFT -> Optional.of(Side.LEFT);
            case RIGHT_OUTER, RIGHT_INNER, TIE_RIGHT -> Optional.of(Side.RIGHT);
            case LINK_PITMAN,
                    LINK_IDLER,
                    DRAG_LEFT,
                    DRAG_RIGHT,
                    DRAG_ON_TIE_ROD,
                    DRAG_PITMAN,
                    DRAG_RELAY,
                    INTERMEDIATE_PITMAN,
                    INTERMEDIATE_RELAY,
                    ROD_SHAFT_ARM,
                    ROD_CRANK,
                    SHORT_PITMAN,
                    SHORT_SHUTTLE -> Optional.empty();
        };
    }

    private static Optional<Direction> bolt(Job job, Side side, boolean outer) {
        RodEnds ends = job.axle().orElseThrow().corner(side).rodEnds();
        return outer ? ends.outerBolt() : ends.innerBolt();
    }

    private static Job withBolt(Job job, Side side, boolean outer, Direction bolt) {
        return job.editAxle((SteeredAxle a) -> {
            Corner c = a.corner(side);
            RodEnds ends = outer
                    ? c.rodEnds().withOuterBolt(Optional.of(bolt))
                    : c.rodEnds().withInnerBolt(Optional.of(bolt));
            return a.withCorner(side, c.withRodEnds(ends));
        });
    }
}

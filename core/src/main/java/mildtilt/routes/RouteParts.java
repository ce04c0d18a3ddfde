package mildtilt.routes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Making;
import mildtilt.build.Piece;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.template.SurfaceReach;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What a route asks to be made and bought. */
final class RouteParts {

    private static final double PLATE = 6;
    private static final double MARGIN = 10;
    /** Over a shaft's diameter, for a usual bearing. */
    private static final double BEARING_OVER = 6;

    private static final double BOLT_HOLE = 9;

    private RouteParts() {}

    /** A job with a carrier for a bearing. @param words what it stands on, as a sentence */
    record Carrier(Job job, Phrase words) {}

    /** Onto the nearest surface marked for bearings that a plate square to the shaft meets within reach. */
    static Optional<Carrier> carrier(Job job, Bearing b, double reach) {
        Column c = job.column().orElseThrow();
        Point middle = c.place(b);
        Direction axis = c.axis(b.shaft());
        double hole = b.bore() + BEARING_OVER;
        double circle = 2 * b.bore() + 22;
        // Its flange alone needs so much.
        double least = (circle + BOLT_HOLE) / 2 + MARGIN;
        record Foot(Obstacle on, double far) {}
        return job.surroundings().obstacles().stream()
                .filter(o -> o.takesBearings() && SurfaceReach.carries(o.shape()))
                .flatMap(o -> SurfaceReach.square(middle, axis, o.shape()).stream()
                        .limit(1)
                        .map(r -> new Foot(o, r.hit().far())))
                .filter(f -> f.far > least && f.far <= reach)
                .min(Comparator.comparingDouble(Foot::far))
                .map(f -> {
                    Making m = job.making();
                    Piece plate = new Piece.BearingBracket(
                            Id.Kind.PIECE.first(),
                            free(m, "Carrier of " + b.name()),
                            b.id(),
                            f.on.id(),
                            PLATE,
                            60,
                            hole,
                            2,
                            circle,
                            BOLT_HOLE,
                            MARGIN);
                    return new Carrier(
                            job.withMaking(m.withPiece(plate)),
                            Phrase.of(
                                    "Carrier plate from " + Phrase.name(b.name()) + " to " + Phrase.name(f.on.name())
                                            + ", {0} square to the shaft: on Templates",
                                    Quantity.length(f.far)));
                });
    }

    private static String free(Making m, String name) {
        String own = name;
        for (int n = 2; ; n++) {
            String tried = own;
            if (m.pieces().stream().noneMatch(p -> p.name().equals(tried))) {
                return own;
            }
            own = name + " " + n;
        }
    }

    /** What the job with a route has that it had not before. @param spacers what they do to the wheel */
    static List<Phrase> toGet(Job before, Job after, List<Phrase> spacers) {
        Column was = before.column().orElseThrow();
        Column now = after.column().orElseThrow();
        List<Phrase> all = new ArrayList<>();
        for (Joint j : now.joints()) {
            if (was.joints().stream().noneMatch(o -> o.id().equals(j.id()))) {
                all.add(Phrase.of("a " + j.kind().label() + ": " + Phrase.name(j.name())));
            }
        }
        for (int i = 0; i < now.shafts().size(); i++) {
            Shaft s = now.shafts().get(i);
            Optional<Shaft> old =
                    was.shafts().stream().filter(o -> o.id().equals(s.id())).findFirst();
            if (old.isEmpty()) {
                all.add(Phrase.of(
                        "bar Ø {0}, {1}: " + Phrase.name(s.name()),
                        Quantity.length(s.diameter()),
                        Quantity.length(Math.max(0, now.cutLength(i)))));
            }
            if (s.slide().isPresent() && !old.flatMap(Shaft::slide).isPresent()) {
                all.add(Phrase.of("a sliding pair for Ø {0}: " + Phrase.name(s.name()), Quantity.length(s.diameter())));
            }
        }
        for (Bearing b : now.bearings()) {
            if (was.bearings().stream().noneMatch(o -> o.id().equals(b.id()))) {
                all.add(Phrase.of(
                        "a " + b.kind().label() + ", bore {0}: " + Phrase.name(b.name()), Quantity.length(b.bore())));
            }
        }
        for (Piece p : after.making().pieces()) {
            if (before.making().pieces().stream().noneMatch(o -> o.id().equals(p.id()))) {
                all.add(Phrase.of("plate {0}: " + Phrase.name(p.name()), Quantity.length(PLATE)));
            }
        }
        if (!spacers.isEmpty()) {
            all.add(Phrase.of("spacers or a bracket for the column: ").then(RouteEnds.joined(spacers)));
        }
        return all;
    }
}

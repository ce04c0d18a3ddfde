package mildtilt.routes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.bearings.BearingPlace;
import mildtilt.bearings.Supports;
import mildtilt.clearance.Clearances;
import mildtilt.clearance.PairGap;
import mildtilt.clearance.SweptObstacle;
import mildtilt.clocking.BestClocking;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.ColumnRange;
import mildtilt.columnrange.FrontPush;
import mildtilt.columnrange.GearTravel;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.routes.RouteScorer.RouteScore;
import mildtilt.rules.Rules;
import mildtilt.solid.Convex;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * Makes a way into a job with bearings and clocking, and goes through it in full: range of adjustment, supports, every
 * gap.
 */
final class RouteBuilder {

    /** Stroke and overlap over what the range asks, mm. */
    private static final double SPARE = 10;

    private final RouteEnds layout;
    private final Optional<GearTravel> gearTravel;
    private final List<Solid> brackets;

    RouteBuilder(RouteEnds layout) {
        this.layout = layout;
        brackets = SweptObstacle.brackets(layout.job);
        gearTravel = GearTravel.of(layout.job);
    }

    /** A route, or why it is none after all. */
    record Built(Optional<Route> route, Optional<Phrase> refused) {

        static Built refused(Phrase why) {
            return new Built(Optional.empty(), Optional.of(why));
        }
    }

    Built build(RouteParameters way, RouteScore worth) {
        try {
            return held(layout.built(way), way, worth);
        } catch (ImpossibleGeometryException e) {
            return Built.refused(Phrase.plain(e.getMessage()));
        }
    }

    private Built held(Job bare, RouteParameters way, RouteScore worth) {
        Column c = bare.column().orElseThrow();
        List<Phrase> bearings = new ArrayList<>();
        for (int missing = Supports.of(c).missing();
                missing > 0;
                missing = Supports.of(c).missing()) {
            Optional<BearingPlace> place = place(c);
            if (place.isEmpty()) {
                return Built.refused(noPlace(c, way));
            }
            c = place.get().putOn(c);
            bearings.add(Phrase.of(
                    "Support bearing on "
                            + Phrase.name(c.shafts().get(place.get().shaft()).name()) + ", {0} from "
                            + Phrase.name(c.joints().get(place.get().joint()).name())
                            + (brackets.isEmpty() ? "; no surface is marked to fix it to" : ""),
                    Quantity.length(place.get().toJoint())));
        }
        double spare = ColumnFigures.spareDeg(layout.job.withColumn(c));
        if (spare < 0) {
            return Built.refused(Phrase.of(
                    "With " + way(way)
                            + " a joint is {0} over its limit at the worst of the wheel's adjustment and the frame's movement",
                    Quantity.angle(-spare)));
        }
        Sliding sliding = sliding(c);
        if (sliding.refused.isPresent()) {
            return Built.refused(sliding.refused.get());
        }
        c = sliding.column;
        bearings.addAll(sliding.notes);
        if (layout.question.frontRule()) {
            Sliding front = front(c);
            if (front.refused.isPresent()) {
                return Built.refused(front.refused.get());
            }
            c = front.column;
            bearings.addAll(front.notes);
        }
        layout.question.hole().ifPresent(h -> throughHole(h, way).ifPresent(bearings::add));
        Column clocked = c;
        BestClocking best = BestClocking.asMade(new ColumnTrain(c));
        for (int i = 0; i < best.clockingDeg().size(); i++) {
            double deg = best.clockingDeg().get(i);
            clocked = clocked.editShaft(i + 1, s -> s.withClockingDeg(deg));
        }
        Job job = carried(bare.withColumn(clocked), bearings);
        return gaps(job, way, worth, spare, best.ripplePct(), bearings);
    }

    /** All gaps as the job would have them, over the whole range. */
    private Built gaps(
            Job job, RouteParameters way, RouteScore worth, double spare, double ripple, List<Phrase> bearings) {
        Optional<PairGap> tightest = Clearances.ofShafts(job, new SteeringTrain(job)).stream()
                .min(Comparator.comparingDouble(p -> p.gap() - Math.max(p.need(), layout.question.gap())));
        Optional<Double> margin = tightest.map(p -> p.gap() - Math.max(p.need(), layout.question.gap()));
        if (margin.filter(m -> m < 0).isPresent()) {
            return Built.refused(Phrase.of(
                    "With " + way(way) + ", "
                            + Phrase.name(tightest.orElseThrow().label()) + " are {0} short of their gap, worst "
                            + tightest.orElseThrow().where().words(),
                    Quantity.length(-margin.get())));
        }
        return new Built(
                Optional.of(new Route(
                        List.of(),
                        job,
                        layout.points(way),
                        worth.widestDeg(),
                        spare,
                        ripple,
                        margin,
                        tightest.map(PairGap::label).orElse(""),
                        FrontPush.of(job.column().orElseThrow()).stroke(),
                        worth.length(),
                        way.numbers()[RouteParameters.TILT],
                        layout.wheel(way),
                        List.copyOf(bearings),
                        RouteParts.toGet(layout.job, job, layout.spacers(way)))),
                Optional.empty());
    }

    private String way(RouteParameters w) {
        int joints = layout.points(w).size() - 2;
        return joints == 1 ? "one joint" : joints + " joints";
    }

    /**
     * A column with the shafts that must change length made to slide. @param notes what was made to slide, as sentences
     */
    private record Sliding(Column column, List<Phrase> notes, Optional<Phrase> refused) {}

    /**
     * Every shaft that must give over the adjustment and the frame's movement made to slide, as the rule set wants it,
     * where it has the length.
     */
    private Sliding sliding(Column c) {
        Column made = c;
        List<Phrase> notes = new ArrayList<>();
        for (int i = 0; i < c.shafts().size(); i++) {
            Shaft s = c.shafts().get(i);
            ColumnRange.ShaftRange r = ColumnRange.of(made, gearTravel).shafts().get(i);
            double longer = r.longest() - c.length(i);
            double shorter = c.length(i) - r.shortest();
            double least = layout.job.rules().overlap();
            boolean does = s.slide()
                            .map(x -> x.overlap() - longer >= Math.max(least, x.leastOverlap()) - 1e-6)
                            .orElse(false)
                    && r.freeStroke().map(f -> f >= -1e-6).orElse(false);
            if (!r.mustSlide() || does) {
                continue;
            }
            Slide slide = new Slide(Math.ceil(least + longer + SPARE), least, Math.ceil(shorter + SPARE));
            int index = i;
            Column with = made.editShaft(i, x -> x.withSlide(Optional.of(slide)));
            boolean room = s.toCut()
                    && with.freeToClose(index) >= shorter
                    && with.cutLength(index) > slide.overlap() + slide.closes();
            if (!room) {
                return new Sliding(
                        c,
                        notes,
                        Optional.of(Phrase.of(
                                Phrase.name(s.name()) + " would have to change its length by {0} and "
                                        + (s.toCut() ? "is too short to be made sliding" : "is used as it comes"),
                                Quantity.length(r.longest() - r.shortest()))));
            }
            made = with;
            notes.add(Phrase.of(
                    Phrase.name(s.name()) + " made to slide: {0} of overlap, {1} to close",
                    Quantity.length(slide.overlap()),
                    Quantity.length(slide.closes())));
        }
        return new Sliding(made, notes, Optional.empty());
    }

    /** What goes through the hole is held against the hole alone from then on: that must not go unsaid. */
    private Optional<Phrase> throughHole(RouteQuestion.Hole hole, RouteParameters way) {
        List<String> sheets = layout.job.surroundings().obstacles().stream()
                .filter(o -> RouteHole.holed(layout.job, hole).contains(o.id()))
                .map(o -> Phrase.name(o.name()))
                .toList();
        int joints = layout.points(way).size() - 2;
        int shaft = RouteHole.crossing(layout.points(way), hole).shaft();
        return sheets.isEmpty()
                ? Optional.empty()
                : Optional.of(Phrase.of(
                        Phrase.name(layout.shaft(shaft, joints).name()) + " goes through the hole of {0} in "
                                + String.join(" and ", sheets)
                                + "; from then on it is held against the hole alone, not against the sheet",
                        Quantity.length(hole.diameter())));
    }

    /** Shortened or kinked as the rule set wants it of a blow from the front. */
    private Sliding front(Column c) {
        Rules.Collapse rule = layout.job.rules().collapse();
        FrontPush push = FrontPush.of(c);
        if (rule.stroke() <= push.stroke() + 1e-6) {
            return new Sliding(c, List.of(), Optional.empty());
        }
        if (rule.kinkDeg().filter(k -> push.kinkDeg() >= k).isPresent()) {
            return new Sliding(
                    c,
                    List.of(Phrase.of(
                            "It folds where it is pushed from the front: {0} of kink, as the rule set takes "
                                    + "instead of a stroke",
                            Quantity.angle(push.kinkDeg()))),
                    Optional.empty());
        }
        Optional<FrontPush.Shortened> shorter = FrontPush.shortened(
                        c, rule.stroke(), layout.job.rules().overlap())
                .filter(x -> {
                    Slide s = x.column().shafts().get(x.shaft()).slide().orElseThrow();
                    return x.column().cutLength(x.shaft()) > s.overlap() + s.closes();
                });
        return shorter.map(x -> new Sliding(
                        x.column(),
                        List.of(Phrase.of(
                                Phrase.name(c.shafts().get(x.shaft()).name())
                                        + " made to slide together by {0}, for a blow from the front",
                                Quantity.length(x.column()
                                        .shafts()
                                        .get(x.shaft())
                                        .slide()
                                        .orElseThrow()
                                        .closes()))),
                        Optional.empty()))
                .orElseGet(() -> new Sliding(
                        c,
                        List.of(),
                        Optional.of(Phrase.of(
                                "A blow from the front finds {0} of stroke and {1} of kink, and no shaft is long "
                                        + "enough to slide together as the rule set wants: {2}"
                                        + (rule.kinkDeg().isPresent() ? ", or {3} of kink" : ""),
                                Quantity.length(push.stroke()),
                                Quantity.angle(push.kinkDeg()),
                                Quantity.length(rule.stroke()),
                                Quantity.angle(rule.kinkDeg().orElse(0.0))))));
    }

    /**
     * With a carrier plate for every bearing that the route adds, where a plate square to its shaft meets a surface.
     */
    private Job carried(Job job, List<Phrase> notes) {
        Job all = job;
        for (Joint j : layout.column.joints()) {
            if (job.column().orElseThrow().joint(j.id()).isEmpty()) {
                notes.add(Phrase.of(Phrase.name(j.name()) + " is not needed any more"));
            }
        }
        for (Bearing b : job.column().orElseThrow().bearings()) {
            if (layout.column.bearing(b.id()).isEmpty()) {
                Optional<RouteParts.Carrier> carrier = RouteParts.carrier(all, b, layout.question.bracketReach());
                if (carrier.isPresent()) {
                    all = carrier.get().job();
                    notes.add(carrier.get().words());
                } else if (!brackets.isEmpty()) {
                    notes.add(Phrase.of(
                            "No plate square to its shaft meets a marked surface within {0} of " + Phrase.name(b.name())
                                    + ": its carrier is yours to shape",
                            Quantity.length(layout.question.bracketReach())));
                }
            }
        }
        return all;
    }

    private Optional<BearingPlace> place(Column c) {
        List<BearingPlace> all = BearingPlace.of(c);
        return brackets.isEmpty()
                ? all.stream().findFirst()
                : all.stream()
                        .filter(p -> reach(c, p) <= layout.question.bracketReach())
                        .findFirst();
    }

    /** From where a bearing would be to the nearest surface marked for brackets, mm. */
    private double reach(Column c, BearingPlace p) {
        Point at = c.start(p.shaft()).plus(c.axis(p.shaft()).times(p.along()));
        return brackets.stream()
                .mapToDouble(
                        b -> Gaps.between(Solid.of(Convex.sphere(at, 0)), b).mm())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    private Phrase noPlace(Column c, RouteParameters way) {
        Optional<Double> nearest = BearingPlace.of(c).stream()
                .map(p -> reach(c, p))
                .min(Comparator.naturalOrder())
                .filter(Double::isFinite);
        return nearest.map(d -> Phrase.of(
                        "With " + way(way)
                                + " a shaft floats, and the nearest marked surface for its bearing is {0} away, {1} too far",
                        Quantity.length(d),
                        Quantity.length(d - layout.question.bracketReach())))
                .orElse(Phrase.of("With " + way(way) + " a shaft floats and has no room for a bearing"));
    }
}

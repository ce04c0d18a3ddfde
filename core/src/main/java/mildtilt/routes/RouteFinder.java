package mildtilt.routes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.Stream;
import mildtilt.clearance.SweptObstacle;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.routes.RouteScorer.RouteScore;
import mildtilt.units.Phrase;

/**
 * Looks for routes: first every way over a lattice of places for the joints, then the best of them, and those that lack
 * least,
 * narrowed by steps that halve; each that can be gone is then built with bearings and clocking and gone through in
 * full. What is
 * looked at does not hang on how many threads look: the same question always gets the same answers.
 */
public final class RouteFinder {

    /** How far a column that is not bolted down yet is aimed elsewhere for a route of one joint, degrees. */
    static final double AIMED = 8;

    /** Most passes over all numbers before the step is halved. */
    private static final int PASSES = 8;
    /** So many of all ways of a kind, those with the smallest angles, are weighed against all that is in the way. */
    private static final int WEIGHED = 1500;

    private static final double LACKS_TOO_MUCH = 30;
    private static final int KEPT = 36;
    private static final int NARROWED = 8;
    private static final int OFFERED = 6;
    /** Two routes are different where they are so far apart somewhere, mm. */
    private static final double APART = 45;

    /** What lacks less is not worth a sentence, degrees and mm alike. */
    private static final double SAID = 0.05;

    private static final double LONG_WAY = 90;
    private static final int LONG_WAYS = 10;
    private static final double LIKE = 18;

    private final RouteEnds layout;
    private final RouteQuestion question;
    private final RouteScorer weigh;
    private final RouteLattice lattice;
    private final RouteBuilder builder;
    private final RouteProgress progress;
    private final AtomicBoolean given = new AtomicBoolean();
    private List<Route> shown = List.of();
    private double doneBefore;
    private double share;

    private RouteFinder(Job job, RouteQuestion question, RouteProgress progress) {
        layout = new RouteEnds(job, question);
        this.question = question;
        this.progress = progress;
        Set<Id> holed = question.hole().map(h -> RouteHole.holed(job, h)).orElse(Set.of());
        RouteObstacles blockers = new RouteObstacles(SweptObstacle.of(job), question.gap(), holed);
        weigh = new RouteScorer(layout, blockers);
        lattice = new RouteLattice(layout, question, weigh, blockers, this::tell, given::get);
        builder = new RouteBuilder(layout);
    }

    /** @throws IllegalArgumentException if the job has no column to begin and end with */
    public static RouteAnswer search(Job job, RouteQuestion question, RouteProgress progress) {
        if (job.column().isEmpty()) {
            throw new IllegalArgumentException("A route needs a steering wheel and a gear input to go between.");
        }
        return new RouteFinder(job, question, progress).answer();
    }

    /** A way with what it is worth. */
    private record Scored(RouteParameters way, RouteScore worth) {}

    private RouteAnswer answer() {
        List<Route> routes = new ArrayList<>();
        List<Scored> misses = new ArrayList<>();
        List<Phrase> refused = new ArrayList<>();
        int kinds = question.most() - question.fewest() + 1;
        for (int joints = question.fewest(); joints <= question.most() && !given.get(); joints++) {
            doneBefore = (double) (joints - question.fewest()) / kinds;
            share = 1.0 / kinds;
            if (joints == 3 && routes.isEmpty()) {
                // A first answer soon, on a lattice that is gone through in no time.
                take(
                        narrowed(scored(lattice.threes(RouteLattice.COARSE))),
                        routes,
                        new ArrayList<>(),
                        new ArrayList<>());
                tell(0.1);
            }
            List<Scored> all = scored(
                    switch (joints) {
                        case 1 -> lattice.single();
                        case 2 -> lattice.pairs();
                        case 3 -> lattice.threes(RouteLattice.FINE);
                        default -> lattice.fours();
                    });
            if (routes.isEmpty() && !all.isEmpty()) {
                take(List.of(narrow(all.getFirst(), (_, w) -> w.cost())), routes, new ArrayList<>(), new ArrayList<>());
                tell(0.75);
                // It comes again in its own group.
                routes.clear();
            }
            take(narrowed(all), routes, misses, refused);
            tell(1);
        }
        if (given.get()) {
            return new RouteAnswer(shown, lattice.considered(), List.of(), Optional.empty());
        }
        if (!shown.isEmpty()) {
            return new RouteAnswer(shown, lattice.considered(), List.of(), Optional.empty());
        }
        Optional<Scored> nearest = misses.stream().min(Comparator.comparingDouble(w -> w.worth.lacking()));
        List<Phrase> blocked = new ArrayList<>();
        // A way that only its bearings, its adjustment or its full range keep from being a route is nearer than any
        // that lacks.
        if (!refused.isEmpty()) {
            blocked.add(refused.getFirst());
        } else {
            nearest.ifPresent(w -> w.worth.lacks().stream()
                    .filter(l -> l.amount() >= SAID || w.worth.lacks().size() == 1)
                    .sorted(Comparator.comparingDouble(RouteScorer.Lack::amount).reversed())
                    .map(RouteScorer.Lack::reason)
                    .forEach(blocked::add));
        }
        if (layout.straight()) {
            blocked.addFirst(Phrase.of("As planned the column points straight into the gear: it needs no joint"));
        }
        if (blocked.isEmpty()) {
            blocked.add(
                    Phrase.of(
                            "No place for a joint was found that is clear at all: allow more joints, a smaller gap, or let the gear tilt."));
        }
        return new RouteAnswer(List.of(), lattice.considered(), blocked, nearest.map(w -> layout.points(w.way)));
    }

    /** Builds those that can be gone; of the others keeps the nearest miss. */
    private void take(List<Scored> found, List<Route> routes, List<Scored> misses, List<Phrase> refused) {
        found.stream().filter(w -> w.worth.lacking() > 0).findFirst().ifPresent(misses::add);
        for (RouteBuilder.Built b : found.parallelStream()
                .filter(w -> w.worth.lacking() == 0)
                .map(w -> builder.build(w.way(), w.worth()))
                .toList()) {
            b.route().ifPresent(routes::add);
            b.refused().ifPresent(refused::add);
        }
        shown = offered(routes);
    }

    /** Progress within the present number of joints, from 0 to 1; false to give up. */
    private boolean tell(double part) {
        if (!given.get() && !progress.at(doneBefore + share * part, shown)) {
            given.set(true);
        }
        return !given.get();
    }

    // Narrowing.

    /** The best of many ways, each weighed, the best first. */
    private List<Scored> scored(List<RouteParameters> ways) {
        return lattice
                .bestByAngles(nearHole(ways.isEmpty() ? lattice.withoutPreference() : ways), WEIGHED)
                .parallelStream()
                .map(w -> new Scored(w, weigh.of(w)))
                .sorted(Comparator.comparingDouble(w -> w.worth.cost()))
                .toList();
    }

    /** Those that go by the hole they must go through, as far as any do. */
    private List<RouteParameters> nearHole(List<RouteParameters> ways) {
        return question.hole()
                .map(h -> ways.stream()
                        .filter(w -> RouteHole.crossing(layout.points(w), h).off() < RouteHole.NEAR)
                        .toList())
                .filter(near -> !near.isEmpty())
                .orElse(ways);
    }

    /**
     * The best of many, apart from one another, each at its own best; those that can be gone before those that lack.
     */
    private List<Scored> narrowed(List<Scored> all) {
        List<Scored> starts = new ArrayList<>();
        for (Scored w : all) {
            // A route far too short of room can't be refined into one; the best of them shows what blocks.
            boolean worth = starts.isEmpty() || w.worth.lacking() < LACKS_TOO_MUCH;
            if (worth
                    && starts.size() < (w.way.between() == 0 ? KEPT / 2 : KEPT)
                    && starts.stream().noneMatch(s -> near(s.way, w.way))) {
                starts.add(w);
            }
        }
        List<Scored> done = starts.parallelStream()
                .flatMap(w -> Stream.of(narrow(w, (_, x) -> x.cost()), narrow(w, (_, x) -> x.roomy())))
                .sorted(Comparator.comparingDouble(w -> w.worth.cost()))
                .toList();
        List<Scored> kept = new ArrayList<>();
        for (Scored w : done) {
            if (kept.size() < NARROWED && kept.stream().noneMatch(k -> near(k.way, w.way))) {
                kept.add(w);
            }
        }
        // The roomiest of all that can be gone is kept too, however it weighs.
        done.stream()
                .filter(w -> w.worth.lacking() == 0)
                .max(Comparator.comparingDouble(w -> w.worth.margin().mm()))
                .filter(w -> !kept.contains(w))
                .ifPresent(kept::add);
        if (!kept.isEmpty()) {
            longWay(
                            all,
                            shown.isEmpty()
                                    ? layout.points(kept.getFirst().way)
                                    : shown.getFirst().points())
                    .ifPresent(kept::add);
        }
        return kept;
    }

    /** The best that stays well away from the tight one. */
    private Optional<Scored> longWay(List<Scored> all, List<Point> tight) {
        return all.stream()
                .filter(w -> apart(layout.points(w.way), tight) > LONG_WAY)
                .limit(LONG_WAYS)
                .toList()
                .parallelStream()
                .map(w -> narrow(
                        w, (way, x) -> x.cost() + 5 * Math.max(0, LONG_WAY + 5 - apart(layout.points(way), tight))))
                .filter(w -> w.worth.lacking() == 0 && apart(layout.points(w.way), tight) > LONG_WAY)
                .min(Comparator.comparingDouble(w -> w.worth.cost()));
    }

    private boolean near(RouteParameters a, RouteParameters b) {
        return apart(layout.points(a), layout.points(b)) < APART;
    }

    /** The farthest any joint of one stands off the line of the other, mm. */
    static double apart(List<Point> a, List<Point> b) {
        return Math.max(off(a, b), off(b, a));
    }

    private static double off(List<Point> points, List<Point> line) {
        double most = 0;
        for (Point p : points) {
            double nearest = Double.POSITIVE_INFINITY;
            for (int i = 1; i < line.size(); i++) {
                Point a = line.get(i - 1);
                double l = line.get(i).minus(a).dot(line.get(i).minus(a));
                double t = l == 0 ? 0 : Math.clamp(p.minus(a).dot(line.get(i).minus(a)) / l, 0, 1);
                nearest = Math.min(
                        nearest, p.distanceTo(a.plus(line.get(i).minus(a).times(t))));
            }
            most = Math.max(most, nearest);
        }
        return most;
    }

    private Scored narrow(Scored start, ToDoubleBiFunction<RouteParameters, RouteScore> cost) {
        Scored best = start;
        double step = 24;
        for (int round = 0; round < 7 && !given.get(); round++) {
            boolean better = true;
            for (int pass = 0; better && pass < PASSES; pass++) {
                better = false;
                for (int k = 0; k < best.way.numbers().length; k++) {
                    for (int way = -1; way <= 1; way += 2) {
                        Optional<RouteParameters> tried =
                                moved(best.way, k, way * (k == RouteParameters.TILT ? step / 4 : step));
                        if (tried.isPresent()) {
                            RouteScore w = weigh.of(tried.get());
                            if (cost.applyAsDouble(tried.get(), w) < cost.applyAsDouble(best.way, best.worth) - 1e-6) {
                                best = new Scored(tried.get(), w);
                                better = true;
                            }
                        }
                    }
                }
            }
            step /= 2;
        }
        RouteParameters rounded = best.way.rounded();
        RouteScore w = weigh.of(rounded);
        return w.lacking() <= best.worth.lacking() + (best.worth.lacking() > 0 ? 0.2 : 0)
                ? new Scored(rounded, w)
                : best;
    }

    /** Empty where a number may not go there. */
    private Optional<RouteParameters> moved(RouteParameters way, int number, double by) {
        double v = way.numbers()[number] + by;
        boolean may =
                switch (number) {
                    case RouteParameters.ALONG_COLUMN -> way.numbers()[number] > 0 && v >= layout.leastAlongColumn();
                    case RouteParameters.TILT ->
                        layout.rack.isPresent() && v >= question.tiltFromDeg() && v <= question.tiltToDeg();
                    case RouteParameters.ALONG_GEAR -> v >= layout.leastAlongGear();
                    case RouteParameters.WHEEL_UP -> Math.abs(v) <= question.wheelHeight();
                    case RouteParameters.WHEEL_ALONG -> Math.abs(v) <= question.wheelReach();
                    default -> true;
                };
        return may ? Optional.of(way.with(number, v)) : Optional.empty();
    }

    // The short list.

    /** A few that each are best at something. */
    private List<Route> offered(List<Route> routes) {
        if (routes.isEmpty()) {
            return List.of();
        }
        Comparator<Route> byJoints = Comparator.comparingInt(Route::joints).thenComparingDouble(Route::widestDeg);
        Route fewest = routes.stream().min(byJoints).orElseThrow();
        Map<Route, List<String>> why = new LinkedHashMap<>();
        tag(why, fewest, "fewest joints");
        tag(
                why,
                routes.stream()
                        .min(Comparator.comparingDouble(Route::widestDeg))
                        .orElseThrow(),
                "smallest angles");
        tag(
                why,
                routes.stream()
                        .min(Comparator.comparingDouble(Route::ripplePct))
                        .orElseThrow(),
                "most even");
        tag(
                why,
                routes.stream()
                        .max(Comparator.comparingDouble(r -> r.spareGap().orElse(RouteObstacles.FAR)))
                        .orElseThrow(),
                "most room");
        tag(why, routes.stream().min(Comparator.comparingDouble(Route::length)).orElseThrow(), "shortest");
        routes.stream()
                .filter(r -> r.stroke() > fewest.stroke() + 1)
                .max(Comparator.comparingDouble(Route::stroke))
                .ifPresent(r -> tag(why, r, "most free stroke"));
        routes.stream()
                .filter(r -> apart(r.points(), fewest.points()) > LONG_WAY)
                .min(byJoints)
                .ifPresent(r -> tag(why, r, "the long way round"));
        return why.entrySet().stream()
                .limit(OFFERED)
                .map(e -> e.getKey().offeredFor(List.copyOf(e.getValue())))
                .toList();
    }

    private static void tag(Map<Route, List<String>> why, Route r, String reason) {
        // One that hardly differs from one that is offered already stands for both.
        Route same = why.keySet().stream()
                .filter(k -> k.joints() == r.joints() && apart(k.points(), r.points()) < LIKE)
                .findFirst()
                .orElse(r);
        why.computeIfAbsent(same, _ -> new ArrayList<>()).add(reason);
    }
}

package mildtilt.routefinder;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mildtilt.clearance.Standing;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.job.Job;
import mildtilt.measure.Phrase;
import mildtilt.routefinder.Weigh.Worth;
import mildtilt.solid.Convex;

/**
 * Looks for routes: first every way over a lattice of places for the joints, then the best of them, and those that lack least,
 * narrowed by steps that halve; each that can be gone is then built with bearings and clocking and gone through in full. What is
 * looked at does not hang on how many threads look: the same question always gets the same answers.
 *
 * <p>With the first joint on the column's line and the last on the gear input's, a way of n joints has n − 2 free ones between.
 * Its stretches are weighed apart: those from the column to a place between, those from a place between to the gear, and only
 * what is good on both sides is put together.
 */
public final class RouteFinder {

    /** How far a column that is not bolted down yet is aimed elsewhere for a route of one joint, degrees. */
    static final double AIMED = 8;

    private static final int ALONG_COLUMN = 14;
    private static final int ALONG_GEAR = 10;
    private static final double COLUMN_REACH = 380;
    private static final double GEAR_REACH = 260;
    private static final double TILT_STEP = 5;
    /** How far about the ends places for joints are looked for, mm. */
    private static final double AROUND = 170;
    private static final double LATTICE = 42;
    private static final double COARSE_LATTICE = 78;
    /** Ways on the lattice may lack so much, mm or degrees, since they are narrowed after. */
    private static final double MAY_LACK = 8;
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
    private static final double LONG_WAY = 90;
    private static final int LONG_WAYS = 10;
    private static final double LIKE = 18;

    private final Layout layout;
    private final RouteQuestion question;
    private final Weigh weigh;
    private final Blockers blockers;
    private final RouteBuilder builder;
    private final RouteProgress progress;
    private final AtomicBoolean given = new AtomicBoolean();
    private final AtomicLong considered = new AtomicLong();
    private List<Route> shown = List.of();
    private double doneBefore;
    private double share;

    private RouteFinder(Job job, RouteQuestion question, RouteProgress progress) {
        layout = new Layout(job, question);
        this.question = question;
        this.progress = progress;
        blockers = new Blockers(Standing.of(job), question.gap());
        weigh = new Weigh(layout, blockers);
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
    private record Weighed(Way way, Worth worth) {}

    private RouteAnswer answer() {
        List<Route> routes = new ArrayList<>();
        List<Weighed> misses = new ArrayList<>();
        List<Phrase> refused = new ArrayList<>();
        int kinds = question.most() - question.fewest() + 1;
        for (int joints = question.fewest(); joints <= question.most() && !given.get(); joints++) {
            doneBefore = (double) (joints - question.fewest()) / kinds;
            share = 1.0 / kinds;
            if (joints == 3 && routes.isEmpty()) {
                // A first answer soon, on a lattice that is gone through in no time.
                take(narrowed(weighed(threes(COARSE_LATTICE))), routes, new ArrayList<>(), new ArrayList<>());
                tell(0.1);
            }
            List<Weighed> all = weighed(switch (joints) {
                case 1 -> single();
                case 2 -> pairs();
                case 3 -> threes(LATTICE);
                default -> fours();
            });
            if (routes.isEmpty() && !all.isEmpty()) {
                take(List.of(narrow(all.getFirst(), (_, w) -> w.cost())), routes, new ArrayList<>(), new ArrayList<>());
                tell(0.75);
                // It comes again among all of its kind.
                routes.clear();
            }
            take(narrowed(all), routes, misses, refused);
            tell(1);
        }
        if (given.get()) {
            return new RouteAnswer(shown, considered.get(), List.of(), Optional.empty());
        }
        if (!shown.isEmpty()) {
            return new RouteAnswer(shown, considered.get(), List.of(), Optional.empty());
        }
        Optional<Weighed> nearest = misses.stream().min(Comparator.comparingDouble(w -> w.worth.lacking()));
        List<Phrase> blocked = new ArrayList<>();
        // A way that only its bearings, its adjustment or its full range keep from being a route is nearer than any that lacks.
        if (!refused.isEmpty()) {
            blocked.add(refused.getFirst());
        } else {
            nearest.ifPresent(w -> w.worth.lacks().stream().sorted(Comparator.comparingDouble(Weigh.Lack::amount).reversed()).map(Weigh.Lack::told).forEach(blocked::add));
        }
        if (blocked.isEmpty()) {
            blocked.add(Phrase.of("No place for a joint was found that is clear at all: allow more joints, a smaller gap, or let the gear tilt."));
        }
        return new RouteAnswer(List.of(), considered.get(), blocked, nearest.map(w -> layout.points(w.way)));
    }

    /** Builds those that can be gone; of the others keeps the nearest miss. */
    private void take(List<Weighed> found, List<Route> routes, List<Weighed> misses, List<Phrase> refused) {
        found.stream().filter(w -> w.worth.lacking() > 0).findFirst().ifPresent(misses::add);
        for (RouteBuilder.Built b : found.parallelStream().filter(w -> w.worth.lacking() == 0).map(w -> builder.build(w.way(), w.worth())).toList()) {
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

    // Places on the lattice.

    private double[] alongColumn() {
        double from = layout.leastAlongColumn();
        return IntStream.range(0, ALONG_COLUMN).mapToDouble(i -> from + COLUMN_REACH * i * i / ((ALONG_COLUMN - 1.0) * (ALONG_COLUMN - 1))).toArray();
    }

    private double[] alongGear() {
        double from = layout.leastAlongGear();
        return IntStream.range(0, ALONG_GEAR).mapToDouble(i -> from + GEAR_REACH * i / (ALONG_GEAR - 1.0)).toArray();
    }

    private double[] tilts() {
        if (layout.rack.isEmpty() || !question.tiltFree()) {
            return new double[] {0};
        }
        int below = (int) Math.floor(-question.tiltFromDeg() / TILT_STEP);
        int above = (int) Math.floor(question.tiltToDeg() / TILT_STEP);
        return IntStream.rangeClosed(-below, above).mapToDouble(i -> i * TILT_STEP).toArray();
    }

    /** A joint's place at either end of the lattice. @param tilt of the rack, for the gear's end */
    private record End(int set, double along, double tilt, Point before, Point at) {}

    private List<End> columnEnds() {
        List<End> all = new ArrayList<>();
        for (int s = 0; s < layout.sets.size(); s++) {
            Layout.WheelSet set = layout.sets.get(s);
            for (double along : alongColumn()) {
                all.add(new End(s, along, 0, set.hub(), set.hub().plus(set.axis().times(along))));
            }
        }
        return all;
    }

    private List<End> gearEnds(int joints) {
        return allGearEnds().stream().filter(e -> blockers.clears(Convex.bar(e.at, e.before, layout.shaft(joints, joints).diameter() / 2), 0, MAY_LACK)
                && blockers.clears(Convex.sphere(e.at, layout.swing(joints - 1, joints) / 2), 0, MAY_LACK)).toList();
    }

    private List<End> allGearEnds() {
        List<End> all = new ArrayList<>();
        for (double tilt : tilts()) {
            RigidMove m = layout.tilt(tilt);
            Point input = m.moved(layout.column.gearInput());
            for (double along : alongGear()) {
                Point at = input.plus(m.turned(layout.gearAxis().vector()).times(-along));
                all.add(new End(0, along, tilt, input, at));
            }
        }
        return all;
    }

    // Enumeration.

    private List<Way> single() {
        List<Way> all = new ArrayList<>();
        for (double tilt : tilts()) {
            for (double along : alongGear()) {
                for (int s = 0; s < layout.sets.size(); s++) {
                    considered.incrementAndGet();
                    all.add(Way.of(s, -1, tilt, along, List.of()));
                }
            }
        }
        return all;
    }

    private List<Way> pairs() {
        List<End> gear = gearEnds(2);
        double first = layout.limitDeg(0, 2);
        double second = layout.limitDeg(1, 2);
        return columnEnds().parallelStream().flatMap(c -> {
            List<Way> all = new ArrayList<>();
            considered.addAndGet(gear.size());
            for (End g : gear) {
                if (Weigh.angle(c.before, c.at, g.at) <= first + MAY_LACK && Weigh.angle(c.at, g.at, g.before) <= second + MAY_LACK) {
                    all.add(Way.of(c.set, c.along, g.tilt, g.along, List.of()));
                }
            }
            return all.stream();
        }).toList();
    }

    /** Places between that are clear for a joint, over the region about both ends. */
    private List<Point> between(double step) {
        List<Point> ends = new ArrayList<>();
        columnEnds().forEach(e -> ends.add(e.at));
        gearEnds(3).forEach(e -> ends.add(e.at));
        if (ends.isEmpty()) {
            return List.of();
        }
        double[] low = new double[3];
        double[] high = new double[3];
        for (int k = 0; k < 3; k++) {
            int axis = k;
            low[k] = ends.stream().mapToDouble(p -> coordinate(p, axis)).min().orElseThrow() - AROUND;
            high[k] = ends.stream().mapToDouble(p -> coordinate(p, axis)).max().orElseThrow() + AROUND;
        }
        List<Point> all = new ArrayList<>();
        for (double x = low[0]; x <= high[0]; x += step) {
            for (double y = low[1]; y <= high[1]; y += step) {
                for (double z = low[2]; z <= high[2]; z += step) {
                    all.add(new Point(x, y, z));
                }
            }
        }
        double radius = layout.swing(0, 3) / 2;
        return all.parallelStream().filter(p -> blockers.clears(Convex.sphere(p, radius), 0, MAY_LACK)).toList();
    }

    private static double coordinate(Point p, int axis) {
        return axis == 0 ? p.x() : axis == 1 ? p.y() : p.z();
    }

    /** Ends from which a place can be reached by a straight, clear shaft with the end's own joint not bent too far. */
    private List<End> reaching(List<End> ends, Point to, double limit, double radius, double room) {
        List<End> all = new ArrayList<>();
        for (End e : ends) {
            considered.incrementAndGet();
            if (e.at.distanceTo(to) >= room && Weigh.angle(e.before, e.at, to) <= limit && blockers.clears(Convex.bar(e.at, to, radius), 0, MAY_LACK)) {
                all.add(e);
            }
        }
        return all;
    }

    /** A place between with the ends it can be reached from. */
    private record Reached(Point at, List<End> column, List<End> gear) {}

    private List<Reached> reached(double step, int joints) {
        List<End> column = columnEnds();
        List<End> gear = gearEnds(joints);
        double radius = layout.shaft(1, joints).diameter() / 2;
        double first = layout.limitDeg(0, joints);
        double last = layout.limitDeg(joints - 1, joints);
        double roomFirst = weigh.room(1, joints);
        double roomLast = weigh.room(joints - 1, joints);
        List<Point> places = between(step);
        AtomicLong done = new AtomicLong();
        return places.parallelStream().map(p -> {
            if (given.get()) {
                return new Reached(p, List.of(), List.of());
            }
            Reached r = new Reached(p, reaching(column, p, first, radius, roomFirst), reaching(gear, p, last, radius, roomLast));
            if (done.incrementAndGet() % 64 == 0) {
                tell(0.7 * done.get() / places.size());
            }
            return r;
        }).toList();
    }

    private List<Way> threes(double step) {
        double middle = layout.limitDeg(1, 3);
        return reached(step, 3).parallelStream().flatMap(r -> {
            List<Way> all = new ArrayList<>();
            for (End c : r.column) {
                for (End g : r.gear) {
                    considered.incrementAndGet();
                    if (Weigh.angle(c.at, r.at, g.at) <= middle) {
                        all.add(Way.of(c.set, c.along, g.tilt, g.along, List.of(r.at)));
                    }
                }
            }
            return best(all).stream();
        }).toList();
    }

    private List<Way> fours() {
        List<Reached> places = reached(COARSE_LATTICE, 4);
        List<Reached> fromColumn = places.stream().filter(r -> !r.column.isEmpty()).toList();
        List<Reached> toGear = places.stream().filter(r -> !r.gear.isEmpty()).toList();
        double second = layout.limitDeg(1, 4);
        double third = layout.limitDeg(2, 4);
        double radius = layout.shaft(2, 4).diameter() / 2;
        double room = weigh.room(2, 4);
        AtomicLong done = new AtomicLong();
        return fromColumn.parallelStream().flatMap(a -> {
            List<Way> all = new ArrayList<>();
            for (Reached b : toGear) {
                if (given.get() || a.at.distanceTo(b.at) < room) {
                    continue;
                }
                List<End> columns = a.column.stream().filter(c -> Weigh.angle(c.at, a.at, b.at) <= second).toList();
                List<End> gears = columns.isEmpty() ? List.of() : b.gear.stream().filter(g -> Weigh.angle(a.at, b.at, g.at) <= third).toList();
                considered.addAndGet((long) a.column.size() * b.gear.size());
                if (!gears.isEmpty() && blockers.clears(Convex.bar(a.at, b.at, radius), 0, MAY_LACK)) {
                    List<Way> here = new ArrayList<>();
                    for (End c : columns) {
                        for (End g : gears) {
                            here.add(Way.of(c.set, c.along, g.tilt, g.along, List.of(a.at, b.at)));
                        }
                    }
                    all.addAll(bestByAngles(here, 2));
                }
            }
            if (done.incrementAndGet() % 8 == 0) {
                tell(0.7 + 0.2 * done.get() / fromColumn.size());
            }
            return bestByAngles(all, 6).stream();
        }).toList();
    }

    /** Few of those that share their places between, by their angles alone: the gaps hardly differ. */
    private List<Way> best(List<Way> all) {
        return bestByAngles(all, 3);
    }

    private List<Way> bestByAngles(List<Way> all, int kept) {
        if (all.size() <= kept) {
            return all;
        }
        double[] worst = all.stream().mapToDouble(this::widest).toArray();
        return IntStream.range(0, worst.length).boxed().sorted(Comparator.comparingDouble(i -> worst[i])).limit(kept).map(all::get).toList();
    }

    private double widest(Way way) {
        List<Point> p = layout.points(way);
        double widest = 0;
        double sum = 0;
        for (int i = 1; i + 1 < p.size(); i++) {
            double deg = Weigh.angle(p.get(i - 1), p.get(i), p.get(i + 1));
            widest = Math.max(widest, deg);
            sum += deg;
        }
        return widest + 0.3 * sum;
    }

    // Narrowing.

    /** The best of many ways, each weighed, the best first. */
    private List<Weighed> weighed(List<Way> ways) {
        return bestByAngles(ways.isEmpty() ? anyhow() : ways, WEIGHED).parallelStream().map(w -> new Weighed(w, weigh.of(w))).sorted(Comparator.comparingDouble(w -> w.worth.cost())).toList();
    }

    /** The best of many, apart from one another, each at its own best; those that can be gone before those that lack. */
    private List<Weighed> narrowed(List<Weighed> all) {
        List<Weighed> starts = new ArrayList<>();
        for (Weighed w : all) {
            // What lacks too much by far does not become a way by being narrowed; the best of it tells what blocks.
            boolean worth = starts.isEmpty() || w.worth.lacking() < LACKS_TOO_MUCH;
            if (worth && starts.size() < (w.way.between() == 0 ? KEPT / 2 : KEPT) && starts.stream().noneMatch(s -> near(s.way, w.way))) {
                starts.add(w);
            }
        }
        List<Weighed> done = starts.parallelStream().flatMap(w -> Stream.of(narrow(w, (_, x) -> x.cost()), narrow(w, (_, x) -> x.roomy())))
                .sorted(Comparator.comparingDouble(w -> w.worth.cost())).toList();
        List<Weighed> kept = new ArrayList<>();
        for (Weighed w : done) {
            if (kept.size() < NARROWED && kept.stream().noneMatch(k -> near(k.way, w.way))) {
                kept.add(w);
            }
        }
        // The roomiest of all that can be gone is kept too, however it weighs.
        done.stream().filter(w -> w.worth.lacking() == 0).max(Comparator.comparingDouble(w -> w.worth.margin().mm()))
                .filter(w -> !kept.contains(w)).ifPresent(kept::add);
        if (!kept.isEmpty()) {
            longWay(all, shown.isEmpty() ? layout.points(kept.getFirst().way) : shown.getFirst().points()).ifPresent(kept::add);
        }
        return kept;
    }

    /** The best that stays well away from the tight one. */
    private Optional<Weighed> longWay(List<Weighed> all, List<Point> tight) {
        return all.stream().filter(w -> apart(layout.points(w.way), tight) > LONG_WAY).limit(LONG_WAYS).toList().parallelStream()
                .map(w -> narrow(w, (way, x) -> x.cost() + 5 * Math.max(0, LONG_WAY + 5 - apart(layout.points(way), tight))))
                .filter(w -> w.worth.lacking() == 0 && apart(layout.points(w.way), tight) > LONG_WAY).min(Comparator.comparingDouble(w -> w.worth.cost()));
    }

    /** Where no place is clear at all, ways through whatever is there: one of them lacks least, and tells what blocks. */
    private List<Way> anyhow() {
        List<End> gear = allGearEnds();
        return columnEnds().stream().flatMap(c -> gear.stream().map(g -> Way.of(c.set, c.along, g.tilt, g.along, List.of()))).toList();
    }

    private boolean near(Way a, Way b) {
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
                nearest = Math.min(nearest, p.distanceTo(a.plus(line.get(i).minus(a).times(t))));
            }
            most = Math.max(most, nearest);
        }
        return most;
    }

    private Weighed narrow(Weighed start, ToDoubleBiFunction<Way, Worth> cost) {
        Weighed best = start;
        double step = 24;
        for (int round = 0; round < 7 && !given.get(); round++) {
            boolean better = true;
            for (int pass = 0; better && pass < PASSES; pass++) {
                better = false;
                for (int k = 0; k < best.way.numbers().length; k++) {
                    for (int way = -1; way <= 1; way += 2) {
                        Optional<Way> tried = moved(best.way, k, way * (k == Way.TILT ? step / 4 : step));
                        if (tried.isPresent()) {
                            Worth w = weigh.of(tried.get());
                            if (cost.applyAsDouble(tried.get(), w) < cost.applyAsDouble(best.way, best.worth) - 1e-6) {
                                best = new Weighed(tried.get(), w);
                                better = true;
                            }
                        }
                    }
                }
            }
            step /= 2;
        }
        Way rounded = best.way.rounded();
        Worth w = weigh.of(rounded);
        return w.lacking() <= best.worth.lacking() + 0.2 ? new Weighed(rounded, w) : best;
    }

    /** Empty where a number may not go there. */
    private Optional<Way> moved(Way way, int number, double by) {
        double v = way.numbers()[number] + by;
        boolean may = switch (number) {
            case Way.ALONG_COLUMN -> way.numbers()[number] > 0 && v >= layout.leastAlongColumn();
            case Way.TILT -> layout.rack.isPresent() && v >= question.tiltFromDeg() && v <= question.tiltToDeg();
            case Way.ALONG_GEAR -> v >= layout.leastAlongGear();
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
        tag(why, routes.stream().min(Comparator.comparingDouble(Route::widestDeg)).orElseThrow(), "smallest angles");
        tag(why, routes.stream().min(Comparator.comparingDouble(Route::ripplePct)).orElseThrow(), "most even");
        tag(why, routes.stream().max(Comparator.comparingDouble(r -> r.spareGap().orElse(Blockers.FAR))).orElseThrow(), "most room");
        tag(why, routes.stream().min(Comparator.comparingDouble(Route::length)).orElseThrow(), "shortest");
        routes.stream().filter(r -> r.stroke() > fewest.stroke() + 1).max(Comparator.comparingDouble(Route::stroke)).ifPresent(r -> tag(why, r, "most free stroke"));
        routes.stream().filter(r -> apart(r.points(), fewest.points()) > LONG_WAY).min(byJoints).ifPresent(r -> tag(why, r, "the long way round"));
        return why.entrySet().stream().limit(OFFERED).map(e -> e.getKey().offeredFor(List.copyOf(e.getValue()))).toList();
    }

    private static void tag(Map<Route, List<String>> why, Route r, String reason) {
        // One that hardly differs from one that is offered already stands for both.
        Route same = why.keySet().stream().filter(k -> k.joints() == r.joints() && apart(k.points(), r.points()) < LIKE).findFirst().orElse(r);
        why.computeIfAbsent(same, _ -> new ArrayList<>()).add(reason);
    }
}

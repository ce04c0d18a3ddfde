package mildtilt.routes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.solid.Convex;

/**
 * All ways over a lattice of places for the joints. With the first joint on the column's line and the last on the gear
 * input's, a
 * way of n joints has n − 2 free ones between. Its stretches are weighed apart: those from the column to a place
 * between, those
 * from a place between to the gear, and only what is good on both sides is put together.
 */
final class RouteLattice {

    private static final int ALONG_COLUMN = 14;
    private static final int ALONG_GEAR = 10;
    private static final double COLUMN_REACH = 380;
    private static final double GEAR_REACH = 260;
    private static final double TILT_STEP = 5;
    /** How far about the ends places for joints are looked for, mm. */
    private static final double AROUND = 170;

    static final double FINE = 42;
    static final double COARSE = 78;
    /** Ways on the lattice may lack so much, mm or degrees, since they are narrowed after. */
    private static final double MAY_LACK = 8;

    private final RouteEnds layout;
    private final RouteQuestion question;
    private final RouteScorer weigh;
    private final RouteObstacles blockers;
    private final DoubleConsumer progress;
    private final BooleanSupplier givenUp;
    private final AtomicLong considered = new AtomicLong();

    /**
     * @param progress called from any thread with the progress of the present kind of route, 0 to 1
     * @param givenUp polled; when true, the results may be incomplete
     */
    RouteLattice(
            RouteEnds layout,
            RouteQuestion question,
            RouteScorer weigh,
            RouteObstacles blockers,
            DoubleConsumer progress,
            BooleanSupplier givenUp) {
        this.layout = layout;
        this.question = question;
        this.weigh = weigh;
        this.blockers = blockers;
        this.progress = progress;
        this.givenUp = givenUp;
    }

    /** How many ways have been looked at so far. */
    long considered() {
        return considered.get();
    }

    private double[] alongColumn() {
        double from = layout.leastAlongColumn();
        return IntStream.range(0, ALONG_COLUMN)
                .mapToDouble(i -> from + COLUMN_REACH * i * i / ((ALONG_COLUMN - 1.0) * (ALONG_COLUMN - 1)))
                .toArray();
    }

    private double[] alongGear() {
        double from = layout.leastAlongGear();
        return IntStream.range(0, ALONG_GEAR)
                .mapToDouble(i -> from + GEAR_REACH * i / (ALONG_GEAR - 1.0))
                .toArray();
    }

    private double[] tilts() {
        if (layout.rack.isEmpty() || !question.tiltFree()) {
            return new double[] {0};
        }
        int below = (int) Math.floor(-question.tiltFromDeg() / TILT_STEP);
        int above = (int) Math.floor(question.tiltToDeg() / TILT_STEP);
        return IntStream.rangeClosed(-below, above)
                .mapToDouble(i -> i * TILT_STEP)
                .toArray();
    }

    /** A joint's place at either end of the lattice. @param tilt of the rack, for the gear's end */
    private record End(int set, double along, double tilt, Point before, Point at) {}

    private List<End> columnEnds() {
        List<End> all = new ArrayList<>();
        for (int s = 0; s < layout.sets.size(); s++) {
            RouteEnds.WheelSet set = layout.sets.get(s);
            for (double along : alongColumn()) {
                all.add(new End(
                        s, along, 0, set.hub(), set.hub().plus(set.axis().times(along))));
            }
        }
        return all;
    }

    private List<End> gearEnds(int joints) {
        return allGearEnds().stream()
                .filter(e -> blockers.clears(
                                Convex.bar(
                                        e.at,
                                        e.before,
                                        layout.shaft(joints, joints).diameter() / 2),
                                0,
                                MAY_LACK,
                                true)
                        && blockers.clears(
                                Convex.sphere(e.at, layout.swing(joints - 1, joints) / 2), 0, MAY_LACK, false))
                .toList();
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

    List<RouteParameters> single() {
        List<RouteParameters> all = new ArrayList<>();
        for (double tilt : tilts()) {
            for (double along : alongGear()) {
                for (int s = 0; s < layout.sets.size(); s++) {
                    considered.incrementAndGet();
                    all.add(RouteParameters.of(s, -1, tilt, along, List.of()));
                }
            }
        }
        return all;
    }

    List<RouteParameters> pairs() {
        List<End> gear = gearEnds(2);
        double first = layout.limitDeg(0, 2);
        double second = layout.limitDeg(1, 2);
        return columnEnds().parallelStream()
                .flatMap(c -> {
                    List<RouteParameters> all = new ArrayList<>();
                    considered.addAndGet(gear.size());
                    for (End g : gear) {
                        if (RouteScorer.angle(c.before, c.at, g.at) <= first + MAY_LACK
                                && RouteScorer.angle(c.at, g.at, g.before) <= second + MAY_LACK) {
                            all.add(RouteParameters.of(c.set, c.along, g.tilt, g.along, List.of()));
                        }
                    }
                    return all.stream();
                })
                .toList();
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
        return all.parallelStream()
                .filter(p -> blockers.clears(Convex.sphere(p, radius), 0, MAY_LACK, false))
                .toList();
    }

    private static double coordinate(Point p, int axis) {
        return axis == 0 ? p.x() : axis == 1 ? p.y() : p.z();
    }

    /** Ends from which a place can be reached by a straight, clear shaft with the end's own joint not bent too far. */
    private List<End> reaching(List<End> ends, Point to, double limit, double radius, double room) {
        List<End> all = new ArrayList<>();
        for (End e : ends) {
            considered.incrementAndGet();
            if (e.at.distanceTo(to) >= room
                    && RouteScorer.angle(e.before, e.at, to) <= limit
                    && blockers.clears(Convex.bar(e.at, to, radius), 0, MAY_LACK, false)) {
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
        return places.parallelStream()
                .map(p -> {
                    if (givenUp.getAsBoolean()) {
                        return new Reached(p, List.of(), List.of());
                    }
                    Reached r = new Reached(
                            p,
                            reaching(column, p, first, radius, roomFirst),
                            reaching(gear, p, last, radius, roomLast));
                    if (done.incrementAndGet() % 64 == 0) {
                        progress.accept(0.7 * done.get() / places.size());
                    }
                    return r;
                })
                .toList();
    }

    List<RouteParameters> threes(double step) {
        double middle = layout.limitDeg(1, 3);
        return reached(step, 3).parallelStream()
                .flatMap(r -> {
                    List<RouteParameters> all = new ArrayList<>();
                    for (End c : r.column) {
                        for (End g : r.gear) {
                            considered.incrementAndGet();
                            if (RouteScorer.angle(c.at, r.at, g.at) <= middle) {
                                all.add(RouteParameters.of(c.set, c.along, g.tilt, g.along, List.of(r.at)));
                            }
                        }
                    }
                    return best(all).stream();
                })
                .toList();
    }

    List<RouteParameters> fours() {
        List<Reached> places = reached(COARSE, 4);
        List<Reached> fromColumn =
                places.stream().filter(r -> !r.column.isEmpty()).toList();
        List<Reached> toGear = places.stream().filter(r -> !r.gear.isEmpty()).toList();
        double second = layout.limitDeg(1, 4);
        double third = layout.limitDeg(2, 4);
        double radius = layout.shaft(2, 4).diameter() / 2;
        double room = weigh.room(2, 4);
        AtomicLong done = new AtomicLong();
        return fromColumn.parallelStream()
                .flatMap(a -> {
                    List<RouteParameters> all = new ArrayList<>();
                    for (Reached b : toGear) {
                        if (givenUp.getAsBoolean() || a.at.distanceTo(b.at) < room) {
                            continue;
                        }
                        List<End> columns = a.column.stream()
                                .filter(c -> RouteScorer.angle(c.at, a.at, b.at) <= second)
                                .toList();
                        List<End> gears = columns.isEmpty()
                                ? List.of()
                                : b.gear.stream()
                                        .filter(g -> RouteScorer.angle(a.at, b.at, g.at) <= third)
                                        .toList();
                        considered.addAndGet((long) a.column.size() * b.gear.size());
                        if (!gears.isEmpty() && blockers.clears(Convex.bar(a.at, b.at, radius), 0, MAY_LACK, false)) {
                            List<RouteParameters> here = new ArrayList<>();
                            for (End c : columns) {
                                for (End g : gears) {
                                    here.add(RouteParameters.of(c.set, c.along, g.tilt, g.along, List.of(a.at, b.at)));
                                }
                            }
                            all.addAll(bestByAngles(here, 2));
                        }
                    }
                    if (done.incrementAndGet() % 8 == 0) {
                        progress.accept(0.7 + 0.2 * done.get() / fromColumn.size());
                    }
                    return bestByAngles(all, 6).stream();
                })
                .toList();
    }

    /** Few of those that share their places between, by their angles alone: the gaps hardly differ. */
    private List<RouteParameters> best(List<RouteParameters> all) {
        return bestByAngles(all, 3);
    }

    List<RouteParameters> bestByAngles(List<RouteParameters> all, int kept) {
        if (all.size() <= kept) {
            return all;
        }
        double[] worst = all.stream().mapToDouble(this::widest).toArray();
        return IntStream.range(0, worst.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> worst[i]))
                .limit(kept)
                .map(all::get)
                .toList();
    }

    private double widest(RouteParameters way) {
        List<Point> p = layout.points(way);
        double widest = 0;
        double sum = 0;
        for (int i = 1; i + 1 < p.size(); i++) {
            double deg = RouteScorer.angle(p.get(i - 1), p.get(i), p.get(i + 1));
            widest = Math.max(widest, deg);
            sum += deg;
        }
        return widest + 0.3 * sum;
    }

    /** Where no place is clear, routes through the obstacles: the one short of least shows what blocks. */
    List<RouteParameters> withoutPreference() {
        List<End> gear = allGearEnds();
        return columnEnds().stream()
                .flatMap(c -> gear.stream().map(g -> RouteParameters.of(c.set, c.along, g.tilt, g.along, List.of())))
                .toList();
    }
}

package mildtilt.travel;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.PairGap;
import mildtilt.clearance.bodies.Bodies;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Configuration;
import mildtilt.columnrange.ColumnRange.Placed;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.solid.Gaps;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LimitGauge;
import mildtilt.steer.range.WheelRange;

/**
 * What is worked out of the travel.
 *
 * @param held what straps and bump stops leave of it
 * @param uses how much of every bound is used within that, the one with the least left of its limit first
 * @param rows from right lock to left lock; empty where the wheels do not travel
 */
public record TravelFigures(HeldTravel held, List<BoundUse> uses, List<Row> rows) {

    /** So many rows to each side of straight ahead; a lock is that at ride height. */
    public static final int EACH_WAY = 6;

    private static final int STEPS = 10;
    private static final int HALVINGS = 24;

    /**
     * Usable travel at one position of the steering.
     *
     * @param bump of the left wheel up, the right one with it as the axle has it
     * @param droop of the left wheel down
     */
    public record Row(double steeringWheelDeg, TravelEnd bump, TravelEnd droop) {}

    /** Right lock, straight ahead, left lock; empty where the wheels do not travel. */
    public List<Row> threeLocks() {
        return rows.isEmpty() ? List.of() : List.of(rows.getFirst(), rows.get(rows.size() / 2), rows.getLast());
    }

    /** Whether anything but what is there for it ends the travel. */
    public boolean endedEarly() {
        return rows.stream().anyMatch(r -> unmeant(r.bump) || unmeant(r.droop));
    }

    private static boolean unmeant(TravelEnd e) {
        return e.cause().filter(c -> !c.meant()).isPresent();
    }

    /**
     * Empty without an axle that can be turned.
     *
     * @param job with the travel it states
     * @param clearance the gaps over the held travel, for what touches
     */
    public static Optional<TravelFigures> of(
            Job job, SteeringTrain train, HeldTravel held, Optional<ClearanceFigures> clearance) {
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        Job kept = held.held(job);
        LimitGauge gauge = new LimitGauge(train.axle().get(), job.targets());
        WheelRange range = new WheelRange(train, kept, gauge);
        List<Bound> bounds = Bounds.of(job, train);
        List<BoundUse> uses = new ArrayList<>(BoundUse.of(bounds, kept, train, range));
        uses.sort(
                Comparator.comparingDouble(u -> u.margin() / Math.max(u.bound().limit(), 1)));
        return Optional.of(new TravelFigures(
                held,
                List.copyOf(uses),
                train.requireAxle().wheelTravel() == WheelTravel.NONE
                        ? List.of()
                        : new Ends(job, train, gauge, range, bounds, clearance).rows()));
    }

    private static final class Ends {
        private final Job job;
        private final SteeringTrain train;
        private final LimitGauge gauge;
        private final List<Bound> bounds;
        private final List<Touching> touching;
        private final WheelTravel travel;
        private final WheelRange range;

        /** Two parts that touch somewhere. */
        private record Touching(Body a, Body b, PairGap pair) {}

        Ends(
                Job job,
                SteeringTrain train,
                LimitGauge gauge,
                WheelRange range,
                List<Bound> bounds,
                Optional<ClearanceFigures> clearance) {
            this.range = range;
            this.job = job;
            this.train = train;
            this.gauge = gauge;
            this.bounds = bounds;
            travel = train.requireAxle().wheelTravel();
            touching = clearance.map(c -> touching(job, c.pairs())).orElse(List.of());
        }

        private static List<Touching> touching(Job job, List<PairGap> pairs) {
            List<PairGap> some = pairs.stream()
                    .filter(p -> p.touches() && !p.guessed() && p.steered() && p.atRest() > 0)
                    .toList();
            if (some.isEmpty()) {
                return List.of();
            }
            List<Body> bodies = new Bodies(job).all();
            return some.stream()
                    .flatMap(p -> find(bodies, p.firstId())
                            .flatMap(a -> find(bodies, p.secondId()).map(b -> new Touching(a, b, p)))
                            .stream())
                    .toList();
        }

        private static Optional<Body> find(List<Body> bodies, Id id) {
            return bodies.stream().filter(b -> b.id().equals(id)).findFirst();
        }

        List<Row> rows() {
            List<Row> all = new ArrayList<>();
            for (int i = -EACH_WAY; i <= EACH_WAY; i++) {
                double sw = range.steeringWheelDeg((double) i / EACH_WAY, 0);
                all.add(new Row(
                        sw,
                        end(sw, job.vehicle().bump()),
                        end(sw, -job.vehicle().droop())));
            }
            return List.copyOf(all);
        }

        /** What is past already at ride height leaves no travel. @param stated mm, − for droop */
        private TravelEnd end(double sw, double stated) {
            Optional<TravelEnd.Cause> atRest = cause(sw, 0);
            if (atRest.isPresent()) {
                return new TravelEnd(0, atRest);
            }
            FirstEnd<TravelEnd.Cause> end = FirstEnd.of(stated, STEPS, HALVINGS, z -> cause(sw, z));
            return new TravelEnd(Math.abs(end.free()), end.by());
        }

        private Optional<TravelEnd.Cause> cause(double sw, double z) {
            AxlePose pose = pose(sw, z);
            if (pose.obstacle().isPresent()) {
                return Optional.of(new TravelEnd.Cause(
                        pose.obstacle().get().part() + " can't reach", new Element.Knuckles(), false));
            }
            for (Bound b : bounds) {
                if (b.ends(pose)) {
                    return Optional.of(
                            new TravelEnd.Cause(b.name() + " " + b.kind().label(), b.element(), b.endsTravel()));
                }
            }
            Map<Limit, LimitGauge.Margin> margins = gauge.margins(pose);
            for (Limit limit : new Limit[] {Limit.ROD_END, Limit.OVER_CENTRE}) {
                LimitGauge.Margin m = margins.get(limit);
                if (m != null && m.amount() < 0) {
                    return Optional.of(new TravelEnd.Cause(
                            m.where() + (limit == Limit.ROD_END ? " out of angle" : " near over centre"),
                            new Element.TieRods(),
                            false));
                }
            }
            Configuration stand = new Configuration(Optional.of(pose), z, travel.rightWith(z), column(), AT_REST);
            for (Touching t : touching) {
                if (Gaps.between(t.a.solid().apply(stand), t.b.solid().apply(stand))
                                .mm()
                        <= t.a.extra() + t.b.extra()) {
                    return Optional.of(new TravelEnd.Cause(t.pair.label() + " touch", t.pair.firstElement(), false));
                }
            }
            return Optional.empty();
        }

        /** Held there, or where a knuckle stop or a tyre turns the wheels back to at that travel. */
        private AxlePose pose(double sw, double z) {
            AxlePose asked = train.pose(sw, z, travel.rightWith(z));
            return asked.assembled().isPresent() && !gauge.withinStops(asked)
                    ? train.pose(range.steeringWheelDeg(Math.signum(sw), z), z, travel.rightWith(z))
                    : asked;
        }

        /** Where what moves by itself rests. */
        private static final double AT_REST = 0.5;

        private Placed column() {
            return job.column().map(c -> new Placed("", c.points())).orElse(Configuration.NO_COLUMN);
        }
    }
}

package mildtilt.clearance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.stream.Stream;
import mildtilt.clearance.bodies.Bodies;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Body.Sort;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Surroundings;
import mildtilt.solid.Bounds;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * Where something on the frame could be put instead: how far it may go each way before it comes too near to anything,
 * wherever steering, travel and the wheel's adjustment take that; and, where it is too near already, the nearest places
 * that are free.
 *
 * <p>A thing that is moved by so much comes nearer by no more than that. So it is moved by what is left of its least
 * gap, again and again, until nothing is left: no place is stepped over. What moves is looked at on the grid of the
 * range, and at the end of the way once more as finely as the gaps are.
 *
 * @param isFree whether it keeps every gap where it is
 * @param ways how far it may go along each axis, from where it is
 * @param places nearest free ones, the nearest first; empty where it is free as it is, or none is near
 */
public record FreeSpace(boolean isFree, Map<Way, Reach> ways, List<Place> places) {

    /** As far as is looked, mm. */
    public static final double FARTHEST = 1000;

    private static final double FARTHEST_PLACE = 500;
    private static final double SETTLED = 0.05;
    /** Step with which it slides along what it touches, mm: so far it may be drawn deeper into that. */
    private static final double SLACK = 1;

    private static final double LEAST_STEP = 2;
    private static final int PLACES = 3;
    private static final int MOST_BACKED = 12;

    public FreeSpace {
        ways = Map.copyOf(ways);
        places = List.copyOf(places);
    }

    /** Along an axis of the vehicle. */
    public enum Way {
        AHEAD("ahead", Vector.X),
        BACK("back", Vector.X.negated()),
        LEFT("to the left", Vector.Y),
        RIGHT("to the right", Vector.Y.negated()),
        UP("up", Vector.Z),
        DOWN("down", Vector.Z.negated());

        private final String label;
        private final Vector along;

        Way(String label, Vector along) {
            this.label = label;
            this.along = along;
        }

        public String label() {
            return label;
        }

        /** Of length 1. */
        public Vector along() {
            return along;
        }
    }

    /**
     * @param mm it may go; {@link #FARTHEST} where nothing ends it sooner
     * @param endsAt what it then is as near to as it may be; empty where nothing is
     */
    public record Reach(double mm, Optional<String> endsAt) {}

    /** A free place. @param shift from where it is, whole mm */
    public record Place(Vector shift) {

        public double mm() {
            return shift.norm();
        }

        /** "{0} down and {1} ahead": the largest first. */
        public Phrase words() {
            List<Way> by = Stream.of(Way.values())
                    .filter(w -> shift.dot(w.along) > 0)
                    .sorted(Comparator.comparingDouble(w -> -shift.dot(w.along)))
                    .toList();
            Phrase words = Phrase.of("");
            for (int i = 0; i < by.size(); i++) {
                words = words.then(i == 0 ? "" : i == by.size() - 1 ? " and " : ", ")
                        .then(Phrase.of("{0} " + by.get(i).label, Quantity.length(shift.dot(by.get(i).along))));
            }
            return words;
        }

        /** The job with it there. */
        public Job take(Job job, Id id) {
            return job.editSurroundings(s -> {
                Surroundings now = s;
                for (int i = 0; i < s.obstacles().size(); i++) {
                    if (s.obstacles().get(i).id().equals(id)) {
                        now = now.edit(i, o -> o.withShape(o.shape().shifted(shift)));
                    }
                }
                return now;
            });
        }
    }

    public Reach way(Way w) {
        return Objects.requireNonNull(ways.get(w));
    }

    /**
     * Whether this is asked of it: what is fixed to the frame as a whole, and an anti-roll bar in bushes there, which
     * is moved with its drop links.
     */
    public static boolean canBeAsked(Obstacle o) {
        return o.shape() instanceof CarriedShape
                ? o.shape() instanceof AntiRollBar b && b.on() == Carrier.FRAME
                : o.carrier() == Carrier.FRAME;
    }

    /**
     * Empty where the wheels can't be assembled, or there is no such thing on the frame.
     *
     * @param job with the travel that is left to it
     * @param id of the obstacle
     */
    public static Optional<FreeSpace> of(Job job, Id id) {
        SweptPositions range = new SweptPositions(job, new SteeringTrain(job));
        return job.surroundings().obstacles().stream()
                .filter(o -> o.id().equals(id) && canBeAsked(o))
                .findFirst()
                .filter(_ -> !range.positions.isEmpty())
                .map(o -> new Search(job, o, range).found());
    }

    /**
     * One place of something.
     *
     * @param position of the range; −1 where it is there in all of them
     * @param column how the steering wheel is set; −1 likewise
     */
    private record Stand(int position, int column, Solid solid) {

        /** Whether both can be there at once. */
        boolean meets(Stand o) {
            return (position < 0 || o.position < 0 || position == o.position)
                    && (column < 0 || o.column < 0 || column == o.column);
        }
    }

    private record Blocker(Body body, double need, List<Stand> places, Bounds all) {}

    /** The least margin of the thing shifted, and whose it is. */
    private record Margin(double mm, String name) {}

    private static final class Search {
        private final Job job;
        private final Obstacle thing;
        private final Body body;
        private final SweptPositions range;
        private final List<Stand> own = new ArrayList<>();
        private final List<Blocker> blockers = new ArrayList<>();

        Search(Job job, Obstacle thing, SweptPositions range) {
            this.job = job;
            this.thing = thing;
            this.range = range;
            List<Body> bodies = new Bodies(job).all();
            body = bodies.stream()
                    .filter(b -> b.id().equals(thing.id()))
                    .findFirst()
                    .orElseThrow();
            own.addAll(places(body));
            for (Body b : bodies) {
                if (b != body && job.surroundings().meant().stream().noneMatch(t -> t.is(b.id(), body.id()))) {
                    blocker(b);
                }
            }
        }

        private List<Stand> places(Body b) {
            BodyOverRange over = new BodyOverRange(b, range);
            List<Stand> all = new ArrayList<>();
            for (int p = 0; p < (b.onPose() ? range.positions.size() : 1); p++) {
                for (int c = 0; c < (b.onColumn() ? range.columns.size() : 1); c++) {
                    for (int k = 0; k < (b.onPart() ? range.parts.length : 1); k++) {
                        all.add(new Stand(
                                b.onPose() ? p : -1,
                                b.onColumn() ? c : -1,
                                over.solid(p, c, b.onPart() ? k : range.parts.length / 2)));
                    }
                }
            }
            return all;
        }

        /**
         * What moves keeps the gap that is wanted, and what is hot keeps it to what stands still, too; what else
         * stands still may be touched.
         */
        private void blocker(Body b) {
            boolean moves = PairsToCheck.matters(body, b);
            boolean stands = !moves
                    && !b.onPose()
                    && !b.onColumn()
                    && !b.onPart()
                    && (b.sort() == Sort.OBSTACLE || b.sort() == Sort.GEAR);
            if (!moves && !stands) {
                return;
            }
            List<Stand> places = places(b);
            Bounds all = places.stream()
                    .map(x -> x.solid.bounds())
                    .reduce(Bounds::with)
                    .orElseThrow();
            Vector here = new Vector(0, 0, 0);
            Blocker touched = new Blocker(b, 0, places, all);
            double apart = stands ? of(touched, here, SLACK) : SLACK;
            if (apart <= SETTLED) {
                // What it is bolted to or drawn into as it is: it may slide along that, or come off it.
                blockers.add(new Blocker(b, apart - SLACK, places, all));
                return;
            }
            Blocker clear = moves || hot(b)
                    ? new Blocker(b, PairsToCheck.need(body, b) + body.extra() + b.extra(), places, all)
                    : touched;
            double left = of(clear, here, SLACK);
            // Just far enough from it, it may slide along it or go away from it: what is lacking at the end is taken
            // back.
            blockers.add(Math.abs(left) <= SETTLED ? new Blocker(b, clear.need + left - SLACK, places, all) : clear);
        }

        private boolean hot(Body b) {
            return thing.hot()
                    || job.surroundings().obstacles().stream().anyMatch(o -> o.hot() && o.id().equals(b.id()));
        }

        FreeSpace found() {
            Map<Way, Reach> ways = new EnumMap<>(Way.class);
            boolean free = tooNear(new Vector(0, 0, 0)) <= SETTLED && lacking(new Vector(0, 0, 0)) <= SETTLED;
            for (Way w : Way.values()) {
                ways.put(w, free ? reach(w.along) : new Reach(0, Optional.of(inTheWay())));
            }
            return new FreeSpace(free, ways, free ? List.of() : places());
        }

        /** What it is too near to where it is. */
        private String inTheWay() {
            return margin(new Vector(0, 0, 0)).name;
        }

        private Reach reach(Vector along) {
            double at = 0;
            Margin m = margin(along.times(0));
            while (m.mm > SETTLED && at + m.mm < FARTHEST) {
                at += m.mm;
                m = margin(along.times(at));
            }
            if (m.mm > SETTLED) {
                return new Reach(FARTHEST, Optional.empty());
            }
            for (int i = 0; i < MOST_BACKED && at > 0; i++) {
                double lacking = lacking(along.times(at));
                if (lacking <= SETTLED) {
                    break;
                }
                at = Math.max(0, at - lacking);
            }
            return new Reach(Math.floor(at * 10) / 10, Optional.of(m.name));
        }

        /** How far along one way has been looked, in steps of that way. */
        private record Looked(Vector way, double at) {

            double mm() {
                return way.norm() * at;
            }
        }

        /** Along every axis, and halfway between each two and each three of them, the nearest first. */
        private List<Place> places() {
            PriorityQueue<Looked> open = new PriorityQueue<>(Comparator.comparingDouble(Looked::mm));
            for (int x = -1; x <= 1; x++) {
                for (int y = -1; y <= 1; y++) {
                    for (int z = -1; z <= 1; z++) {
                        if (x != 0 || y != 0 || z != 0) {
                            open.add(new Looked(new Vector(x, y, z), 0));
                        }
                    }
                }
            }
            List<Place> found = new ArrayList<>();
            while (!open.isEmpty() && found.size() < PLACES && open.peek().mm() <= FARTHEST_PLACE) {
                Looked l = open.remove();
                Vector shift = l.way.times(l.at);
                double lacking = tooNear(shift);
                if (lacking == 0) {
                    lacking = lacking(shift);
                }
                if (lacking <= SETTLED) {
                    found.add(new Place(shift));
                } else {
                    open.add(new Looked(l.way, Math.ceil(l.at + Math.max(LEAST_STEP, lacking) / l.way.norm())));
                }
            }
            return found;
        }

        /**
         * By how much it is too near to the first thing found that it is too near to: so far it has to go at the
         * least. What was in the way last is looked at first.
         */
        private double tooNear(Vector shift) {
            for (int i = 0; i < blockers.size(); i++) {
                Blocker b = blockers.get(i);
                double lacking = tooNear(b, shift);
                if (lacking > SETTLED) {
                    blockers.remove(i);
                    blockers.addFirst(b);
                    return lacking;
                }
            }
            return 0;
        }

        private double tooNear(Blocker b, Vector shift) {
            for (Stand mine : own) {
                Solid there = mine.solid.moved(RigidMove.by(shift));
                if (b.all.leastGap(there.bounds()) >= b.need) {
                    continue;
                }
                for (Stand place : b.places) {
                    if (mine.meets(place) && place.solid.bounds().leastGap(there.bounds()) < b.need) {
                        double lacking = b.need
                                - Gaps.between(there, place.solid, b.need).mm();
                        if (lacking > SETTLED) {
                            return lacking;
                        }
                    }
                }
            }
            return 0;
        }

        /** How much is lacking there to what moves, between the places of the grid, too, mm. */
        private double lacking(Vector shift) {
            Job there = new Place(shift).take(job, thing.id());
            return Clearances.of(there, range.train, b -> b.id().equals(thing.id())).stream()
                    .mapToDouble(p -> -p.margin())
                    .max()
                    .orElse(0);
        }

        private Margin margin(Vector shift) {
            Margin least = new Margin(FARTHEST, "");
            for (Blocker b : blockers) {
                double mm = of(b, shift, least.mm);
                if (mm < least.mm) {
                    least = new Margin(mm, b.body.name());
                }
            }
            return least;
        }

        /** @param enough a margin from which on none is wanted */
        private double of(Blocker b, Vector shift, double enough) {
            double least = enough;
            for (Stand mine : own) {
                Solid there = mine.solid.moved(RigidMove.by(shift));
                if (b.all.leastGap(there.bounds()) - b.need >= least) {
                    continue;
                }
                for (Stand place : b.places) {
                    if (mine.meets(place) && place.solid.bounds().leastGap(there.bounds()) - b.need < least) {
                        least = Math.min(
                                least,
                                Gaps.between(there, place.solid, least + b.need).mm() - b.need);
                    }
                }
            }
            return least;
        }
    }
}

package mildtilt.clearance;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.function.Predicate;
import mildtilt.clearance.bodies.Bodies;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Configuration;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.lazy.Lazy;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.solid.Gap;
import mildtilt.solid.Gaps;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import org.jspecify.annotations.Nullable;

/**
 * Goes through the whole range for the smallest gap of every pair. A gap changes between two positions by no more than
 * both
 * bodies are carried: a position is only looked at where that bound leaves a chance of a smaller gap than is known
 * already. What
 * is found on the grid is then narrowed between its places.
 */
public final class Clearances {

    /** Pairs with a margin below this are narrowed between the places of the grid, mm. */
    private static final double NARROWED = 15;
    /** How much more than is wanted is found out, so that it holds for neighbouring positions too, mm. */
    private static final double REACH = 60;
    /** The smallest gap is found to about this, mm. */
    private static final double CLOSE = 0.2;
    /** So many places between those of the grid are looked at for one pair at the most, and where none can foul. */
    private static final int MOST_LOOKED = 1000;

    private static final int LOOKED_WHERE_CLEAR = 100;
    /** So often the steps to a smaller gap are halved: of a pair that keeps its gap, and of one that does not. */
    private static final int ROUNDS = 7;

    private static final int FOUL_ROUNDS = 18;
    private static final int MOST_TRIES = 6;

    private final Job job;
    private final SweptPositions range;
    private final List<NearestSoFar> pairs = new ArrayList<>();
    private final double[] cellMargin;
    private final @Nullable NearestSoFar[] cellPair;
    private int looked;

    private final int rest;
    private final int restPart;

    private Clearances(Job job, SteeringTrain train) {
        this.job = job;
        range = new SweptPositions(job, train);
        cellMargin = new double[range.reachable.length];
        Arrays.fill(cellMargin, GapMap.AMPLE);
        cellPair = new NearestSoFar[cellMargin.length];
        restPart = range.parts.length / 2;
        rest = restPosition();
    }

    /** Straight ahead at ride height, or the first there is. */
    private int restPosition() {
        for (int i = 0; i < range.positions.size(); i++) {
            Configuration s = range.positions.get(i).stand();
            if (s.pose().map(AxlePose::steeringWheelDeg).orElse(0.0) == 0
                    && s.travelLeft() == 0
                    && s.travelRight() == 0) {
                return i;
            }
        }
        return 0;
    }

    /** Empty where the wheels can't even be assembled anywhere. */
    public static Optional<ClearanceFigures> of(Job job, SteeringTrain train) {
        Clearances c = new Clearances(job, train);
        return c.range.positions.isEmpty() ? Optional.empty() : Optional.of(c.figures());
    }

    /** Only the gaps of the column's shafts and joints, the tightest first. */
    public static List<PairGap> ofShafts(Job job, SteeringTrain train) {
        return of(
                job,
                train,
                b -> b.sort() == Body.Sort.SHAFT || b.sort() == Body.Sort.STUB || b.sort() == Body.Sort.JOINT);
    }

    /** Only the gaps of some bodies, the tightest first. */
    static List<PairGap> of(Job job, SteeringTrain train, Predicate<Body> about) {
        Clearances c = new Clearances(job, train);
        if (c.range.positions.isEmpty()) {
            return List.of();
        }
        c.pair(new Bodies(job), about);
        return c.near().stream().map(c::report).toList();
    }

    /** The wanted pairs that can come close at all, checked. */
    private void pair(Bodies bodies, Predicate<Body> about) {
        List<BodyOverRange> tracks =
                bodies.all().stream().map(b -> new BodyOverRange(b, range)).toList();
        double[] reach = tracks.stream()
                .mapToDouble(t -> t.carriedFrom(rest, 0, restPart))
                .toArray();
        for (int i = 0; i < tracks.size(); i++) {
            for (int j = i + 1; j < tracks.size(); j++) {
                Body a = tracks.get(i).body;
                Body b = tracks.get(j).body;
                if ((about.test(a) || about.test(b))
                        && PairsToCheck.matters(a, b)
                        && job.surroundings().meant().stream().noneMatch(t -> t.is(a.id(), b.id()))) {
                    looked++;
                    NearestSoFar p = new NearestSoFar(tracks.get(i), tracks.get(j), range, rest);
                    double far = ClearanceFigures.NEAR + p.need + p.extra() + reach[i] + reach[j];
                    double apart = p.a.solid(rest, 0, restPart)
                            .bounds()
                            .distanceTo(p.b.solid(rest, 0, restPart).bounds());
                    if (apart < far) {
                        p.gap = Gaps.between(p.a.solid(rest, 0, restPart), p.b.solid(rest, 0, restPart));
                        p.atRest = p.gap.mm() - p.extra();
                        if (p.atRest + p.extra() < far) {
                            pairs.add(p);
                        }
                    }
                }
            }
        }
        // The tightest first: what they leave settles soonest what need not be looked at.
        pairs.sort(Comparator.comparingDouble(p -> p.atRest - p.need));
        pairs.forEach(p -> {
            if (p.together) {
                keeps(p);
            } else {
                through(p);
            }
        });
        pairs.stream()
                .filter(p -> p.best - p.need < (p.onPart() ? ClearanceFigures.NEAR : NARROWED))
                .forEach(this::narrow);
    }

    private List<NearestSoFar> near() {
        return pairs.stream()
                .filter(p -> p.best - p.need < ClearanceFigures.NEAR)
                .sorted(Comparator.comparingDouble(p -> p.best - p.need))
                .toList();
    }

    private ClearanceFigures figures() {
        Bodies bodies = new Bodies(job);
        pair(bodies, _ -> true);
        List<NearestSoFar> near = near();
        near.stream().filter(p -> p.best < p.need).forEach(this::mark);
        Optional<LockKept> lock = range.gauge.isPresent()
                ? Optional.of(new LockClearance(job, range)
                        .of(near.stream().filter(p -> !guessed(p)).toList()))
                : Optional.empty();
        return new ClearanceFigures(
                near.stream().map(this::report).toList(),
                looked,
                range.positions.size() * range.columns.size(),
                map(),
                lock,
                notches(near),
                Lazy.of(() -> range.gauge.isPresent()
                        ? new TyreRoom(job, range)
                                .of(near.stream()
                                        .map(p -> new TyreRoom.Near(p.a, p.b))
                                        .toList())
                        : Optional.empty()),
                bodies.assumed());
    }

    /** One gap for all positions. */
    private void keeps(NearestSoFar p) {
        p.best = p.atRest;
        p.lower = new double[range.positions.size()];
        Arrays.fill(p.lower, p.best);
        for (SweptPositions.Position position : ownGuess(p) ? List.<SweptPositions.Position>of() : range.positions) {
            int cell = position.cell();
            if (cell >= 0 && p.best - p.need < cellMargin[cell]) {
                cellMargin[cell] = p.best - p.need;
                cellPair[cell] = p;
            }
        }
    }

    /** Goes through all positions of a pair. */
    private void through(NearestSoFar p) {
        boolean mapped = p.onPose() && !ownGuess(p);
        int positions = p.onPose() ? range.positions.size() : 1;
        int columns = p.onColumn() ? range.columns.size() : 1;
        int parts = p.onPart() ? range.parts.length : 1;
        int p0 = rest;
        int c0 = 0;
        int k0 = restPart;
        double known = p.atRest;
        p.lower = new double[positions];
        Arrays.fill(p.lower, Double.POSITIVE_INFINITY);
        for (int i = 0; i < positions; i++) {
            int position = p.onPose() ? i : rest;
            int cell = mapped ? range.positions.get(position).cell() : -1;
            for (int c = 0; c < columns; c++) {
                for (int k = 0; k < parts; k++) {
                    int part = p.onPart() ? k : restPart;
                    double bound = known - p.carried(p0, c0, k0, position, c, part);
                    // A gap with more room than is reported need not be exact.
                    double wanted = Math.max(
                            Math.min(p.best, p.need + ClearanceFigures.NEAR),
                            cell < 0 ? Double.NEGATIVE_INFINITY : cellMargin[cell] + p.need);
                    if (bound >= wanted) {
                        p.lower[i] = Math.min(p.lower[i], bound);
                        continue;
                    }
                    p0 = position;
                    c0 = c;
                    k0 = part;
                    // Two whose boxes overlap may be in each other by as much as the boxes are.
                    known = p.a.solid(position, c, part)
                                    .bounds()
                                    .leastGap(p.b.solid(position, c, part).bounds())
                            - p.extra();
                    if (known >= wanted) {
                        p.lower[i] = Math.min(p.lower[i], known);
                        continue;
                    }
                    Gap g = Gaps.between(
                            p.a.solid(position, c, part), p.b.solid(position, c, part), wanted + p.extra() + REACH);
                    known = g.mm() - p.extra();
                    p.lower[i] = Math.min(p.lower[i], known);
                    if (known < p.best) {
                        p.best = known;
                        p.gap = g;
                        p.where = BodyOverRange.stand(range, position, c, part);
                    }
                    if (cell >= 0 && known - p.need < cellMargin[cell]) {
                        cellMargin[cell] = known - p.need;
                        cellPair[cell] = p;
                    }
                }
            }
        }
    }

    /** Looks between the places of the grid, by steps that halve. */
    private void narrow(NearestSoFar p) {
        if (p.together) {
            p.gap = Gaps.between(
                    p.a.body.solid().apply(p.where), p.b.body.solid().apply(p.where));
            return;
        }
        double steer = p.onPose() ? range.steerStep() / 2 : 0;
        double travel = p.onPose() ? range.travelStep() / 2 : 0;
        double part = p.onPart() ? 0.5 / (range.parts.length - 1) : 0;
        if (steer == 0 && travel == 0 && part == 0) {
            return;
        }
        if (p.onPose() && range.travels.length > 1) {
            within(p);
        }
        // A finding shows how deep such a pair overlaps, so the search does not stop early.
        int rounds = p.best < p.need ? FOUL_ROUNDS : ROUNDS;
        for (int round = 0; round < rounds; round++) {
            for (int tries = 0; tries < MOST_TRIES && step(p, steer, travel, part); tries++) {
                // On from there.
            }
            steer /= 2;
            travel /= 2;
            part /= 2;
        }
        p.gap = Gaps.between(p.a.body.solid().apply(p.where), p.b.body.solid().apply(p.where));
    }

    /**
     * A stretch of the grid between its places.
     *
     * @param steer of its middle, steering wheel, degrees
     * @param travel of its middle, mm
     * @param halfSteer from the middle to a corner, degrees
     * @param halfTravel from the middle to a corner, mm
     * @param bySteer how far both bodies are carried against each other, at the most, by that much steering, mm
     * @param byTravel and by that much travel, mm
     * @param least the gap is nowhere in it below this
     */
    private record Stretch(
            double steer,
            double travel,
            double halfSteer,
            double halfTravel,
            double bySteer,
            double byTravel,
            double least) {

        double carried() {
            return bySteer + byTravel;
        }

        /** Split where the bodies are carried more, or in four where that is much alike. */
        List<Stretch> split(double atLeast) {
            boolean alongSteer = bySteer > byTravel / 2;
            boolean alongTravel = byTravel > bySteer / 2;
            List<Stretch> pieces = new ArrayList<>();
            for (int i = alongSteer ? -1 : 0; i <= (alongSteer ? 1 : 0); i += 2) {
                for (int j = alongTravel ? -1 : 0; j <= (alongTravel ? 1 : 0); j += 2) {
                    pieces.add(new Stretch(
                            steer + i * halfSteer / 2,
                            travel + j * halfTravel / 2,
                            alongSteer ? halfSteer / 2 : halfSteer,
                            alongTravel ? halfTravel / 2 : halfTravel,
                            alongSteer ? bySteer / 2 : bySteer,
                            alongTravel ? byTravel / 2 : byTravel,
                            atLeast));
                }
            }
            return pieces;
        }
    }

    /**
     * Looks into the stretches between the places of the grid, the most promising first. No gap in a stretch is smaller
     * than the one in its middle less what both bodies are carried from there; a stretch that can't hold a smaller one
     * is left.
     */
    private void within(NearestSoFar p) {
        PriorityQueue<Stretch> open = new PriorityQueue<>(Comparator.comparingDouble(Stretch::least));
        int[] at = gridPlaces();
        for (int j = 0; j + 1 < range.travels.length; j++) {
            for (int i = 0; i + 1 < range.steer.length; i++) {
                Stretch s = stretch(p, at, j, i);
                if (s.least < p.best - CLOSE) {
                    open.add(s);
                }
            }
        }
        Configuration like = p.where;
        for (int looked = 0; !open.isEmpty() && open.peek().least < p.best - CLOSE; looked++) {
            Stretch s = open.poll();
            if (looked >= (s.least < p.need ? MOST_LOOKED : LOOKED_WHERE_CLEAR)) {
                return;
            }
            double least = Math.max(s.least, leastFrom(p, s, like));
            if (least < p.best - CLOSE) {
                open.addAll(s.split(least));
            }
        }
    }

    /**
     * No gap in a stretch is below this, by the one in its middle; where the lock cuts it, by those on its near edge.
     * Infinite where the wheels don't even get there.
     */
    private double leastFrom(NearestSoFar p, Stretch s, Configuration like) {
        Optional<Configuration> middle = range.across(like, s.steer, s.travel);
        if (middle.isPresent()) {
            return gapThere(p, middle.get(), s.carried()) - s.carried();
        }
        double near = s.steer - Math.signum(s.steer) * Math.min(s.halfSteer, Math.abs(s.steer));
        double least = Double.NaN;
        for (int j = 0; j < 3; j++) {
            double up = j == 0 ? 0 : j == 1 ? -s.halfTravel : s.halfTravel;
            Optional<Configuration> c = range.across(like, near, s.travel + up);
            if (c.isPresent()) {
                double carried = 2 * s.bySteer + (j == 0 ? 1 : 2) * s.byTravel;
                double from = gapThere(p, c.get(), carried) - carried;
                least = Double.isNaN(least) ? from : Math.max(least, from);
            }
        }
        return Double.isNaN(least) ? Double.POSITIVE_INFINITY : least;
    }

    /** The gap at a place, exact where it is below the least so far and some mm more; it may become the least. */
    private static double gapThere(NearestSoFar p, Configuration there, double carried) {
        // A larger one leaves nothing smaller in the stretch.
        double g = p.gapAt(there, p.best + carried);
        if (g < p.best) {
            p.best = g;
            p.where = there;
        }
        return g;
    }

    /** Between a row and a column of the grid and the next of each; with no least where the wheels never get there. */
    private Stretch stretch(NearestSoFar p, int[] at, int row, int column) {
        int n = range.steer.length;
        int low = row * n + column;
        int high = low + n;
        // Where the lock cuts the stretch, the next one inward tells how the bodies are carried.
        int inward = column < n / 2 ? 1 : -1;
        double bySteer = Math.max(along(p, at, low, 1, inward), along(p, at, high, 1, inward));
        double byTravel = Math.max(along(p, at, low, n, inward), along(p, at, low + 1, n, inward));
        double least = Double.POSITIVE_INFINITY;
        for (int corner : new int[] {at[low], at[low + 1], at[high], at[high + 1]}) {
            least = corner >= 0 ? Math.min(least, p.lower[corner]) : least;
        }
        // Every place of the stretch lies within half of it of some corner.
        return new Stretch(
                (range.steer[column] + range.steer[column + 1]) / 2,
                (range.travels[row] + range.travels[row + 1]) / 2,
                (range.steer[column + 1] - range.steer[column]) / 2,
                (range.travels[row + 1] - range.travels[row]) / 2,
                bySteer / 2,
                byTravel / 2,
                least - (bySteer + byTravel) / 2);
    }

    /** How far both bodies are carried along an edge of the grid, or along the next inward that the wheels get to. */
    private double along(NearestSoFar p, int[] at, int place, int step, int inward) {
        int n = range.steer.length;
        for (int i = 0, k = place; i < 2 && k / n == place / n; i++, k += inward) {
            if (at[k] >= 0 && k + step < at.length && at[k + step] >= 0) {
                return p.carried(at[k], 0, restPart, at[k + step], 0, restPart);
            }
        }
        return 0;
    }

    /** The position at each place of the grid; −1 where the wheels can't go. */
    private int[] gridPlaces() {
        int n = range.steer.length;
        int[] at = new int[n * range.travels.length];
        Arrays.fill(at, -1);
        for (int i = 0; i < range.positions.size(); i++) {
            int cell = range.positions.get(i).cell();
            if (cell >= 0 && range.steeringWheelDeg(i) == range.steer[cell % n]) {
                at[cell] = i;
            }
        }
        return at;
    }

    /**
     * To the best of all neighbours, one step away in steer, travel and the part's own way, so that no way is preferred
     * to another.
     */
    private boolean step(NearestSoFar p, double steer, double travel, double part) {
        Configuration from = p.where;
        double was = p.best;
        for (int i = steer == 0 ? 0 : -1; i <= (steer == 0 ? 0 : 1); i++) {
            for (int j = travel == 0 ? 0 : -1; j <= (travel == 0 ? 0 : 1); j++) {
                for (int k = part == 0 ? 0 : -1; k <= (part == 0 ? 0 : 1); k++) {
                    if (i != 0 || j != 0 || k != 0) {
                        Optional<Configuration> s = range.near(from, i * steer, j * travel, k * part);
                        double g = s.map(x -> p.gapAt(x, p.best)).orElse(Double.POSITIVE_INFINITY);
                        if (g < p.best - 1e-9) {
                            p.best = g;
                            p.where = s.orElseThrow();
                        }
                    }
                }
            }
        }
        return p.best < was;
    }

    private PairGap report(NearestSoFar p) {
        return new PairGap(
                p.a.body.name(),
                p.a.body.id(),
                p.a.body.element(),
                p.b.body.name(),
                p.b.body.id(),
                p.b.body.element(),
                p.best,
                p.need,
                p.atRest,
                FoundAt.of(p.where),
                p.gap.onFirst(),
                p.gap.onSecond(),
                p.onPose(),
                guessed(p));
    }

    /** Whether both are parts of the axle and the size of one was guessed: no map is drawn of that. */
    private static boolean ownGuess(NearestSoFar p) {
        return p.a.body.ofAxle()
                && p.b.body.ofAxle()
                && !(p.a.body.guess() instanceof Body.Guess.None && p.b.body.guess() instanceof Body.Guess.None);
    }

    /** Whether a pair that is too near would not touch if what was guessed of it took up as little room as it may. */
    private static boolean guessed(NearestSoFar p) {
        boolean given = p.a.body.guess() instanceof Body.Guess.None && p.b.body.guess() instanceof Body.Guess.None;
        boolean formOfOwn = (p.a.body.guess() instanceof Body.Guess.Form || p.b.body.guess() instanceof Body.Guess.Form)
                && p.a.body.ofAxle()
                && p.b.body.ofAxle();
        return p.best < p.need
                && !given
                && (formOfOwn || !Gaps.nearer(p.a.body.least(p.where), p.b.body.least(p.where), p.extra()));
    }

    private Optional<GapMap> map() {
        if (range.gauge.isEmpty()) {
            return Optional.empty();
        }
        List<GapMap.Cell> cells = new ArrayList<>(cellMargin.length);
        for (int i = 0; i < cellMargin.length; i++) {
            NearestSoFar p = cellPair[i];
            cells.add(new GapMap.Cell(cellMargin[i], p == null ? null : p.two().label(), range.reachable[i]));
        }
        return Optional.of(new GapMap(
                Arrays.stream(range.steer).boxed().toList(),
                Arrays.stream(range.travels).boxed().toList(),
                List.copyOf(cells)));
    }

    /** Marks where a pair is too near. */
    private void mark(NearestSoFar p) {
        p.foul = new boolean[p.onPose() ? range.positions.size() : 1];
        int p0 = rest;
        int c0 = 0;
        int k0 = restPart;
        double known = p.atRest;
        for (int i = 0; i < p.foul.length; i++) {
            int position = p.onPose() ? i : rest;
            for (int c = 0; c < (p.onColumn() ? range.columns.size() : 1); c++) {
                for (int k = 0; k < (p.onPart() ? range.parts.length : 1); k++) {
                    int part = p.onPart() ? k : restPart;
                    if (known - p.carried(p0, c0, k0, position, c, part) >= p.need) {
                        continue;
                    }
                    p0 = position;
                    c0 = c;
                    k0 = part;
                    if (Gaps.nearer(p.a.solid(position, c, part), p.b.solid(position, c, part), p.need + p.extra())) {
                        // How deep need not be known here.
                        known = Double.NEGATIVE_INFINITY;
                        p.foul[i] = true;
                        p.foulPlaces.add(p.a.solid(position, c, part));
                    } else {
                        known = Gaps.between(
                                                p.a.solid(position, c, part),
                                                p.b.solid(position, c, part),
                                                p.need + p.extra() + REACH)
                                        .mm()
                                - p.extra();
                    }
                }
            }
        }
        p.foulPlaces.add(p.a.body.solid().apply(p.where));
    }

    private List<Notch> notches(List<NearestSoFar> near) {
        List<Notch> all = new ArrayList<>();
        for (NearestSoFar p : near) {
            if (p.best < p.need && !guessed(p)) {
                box(p.b.body).ifPresent(i -> NotchPlan.of(
                                i, obstacleAt(i), p.a.body.called(), p.need + p.extra(), p.foulPlaces)
                        .ifPresent(all::add));
            }
        }
        return List.copyOf(all);
    }

    private Obstacle obstacleAt(int index) {
        return job.surroundings().obstacles().get(index);
    }

    /**
     * A box that is a good deal longer than wide or high, and stands still on the frame, is a rail that can be notched.
     */
    private Optional<Integer> box(Body b) {
        return b.element() instanceof Element.InTheWay i
                        && !b.moves()
                        && obstacleAt(i.index()).shape() instanceof Shape.Box b0
                        && b0.isLong()
                        && obstacleAt(i.index()).may() == Obstacle.May.NOTCHED
                ? Optional.of(i.index())
                : Optional.empty();
    }
}

package mildtilt.solve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.solve.Target.Wish;
import mildtilt.steer.QuickFigures;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.travel.HeldTravel;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.SimpleValueChecker;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;
import org.jspecify.annotations.Nullable;

/**
 * Looks for the answers to a question: first with one change, then with two, then with all, since the fewest cuts that
 * do are the best. Each set of changes is searched by the downhill simplex of Nelder and Mead from several starts
 * spread over the box of what is allowed, then rounded to what a bench can hold and measured again.
 */
public final class Solver {

    private static final int STARTS = 5;
    private static final int MOST_EVALUATIONS = 260;
    private static final int OFFERED = 5;
    private static final double ROUND_MM = 0.5;
    private static final double ROUND_DEG = 0.1;
    /** Lightest pull toward changing nothing, so that of two equal answers the smaller move is found. */
    private static final double PULL = 1e-3;

    private static final double IMPOSSIBLE = 1e9;
    /** An answer must bring the miss down to this part of what it is now. */
    private static final double WORTHWHILE = 0.7;

    /** A further cut must bring the miss down by more than this. */
    private static final double NO_BETTER = 1.1;

    private final Job job;
    private final SolveQuestion question;
    /** Of the job as it stands: what is changed for an answer hardly moves where a strap ends the travel. */
    private final HeldTravel held;

    private final List<Target> wants;
    private final Progress progress;
    private final AtomicBoolean given = new AtomicBoolean();

    private Solver(Job job, SolveQuestion question, HeldTravel held, QuickFigures now, Progress progress) {
        this.job = job;
        this.question = question;
        this.held = held;
        this.progress = progress;
        wants = new ArrayList<>(question.wants());
        for (Target kept : Target.kept(job, now)) {
            wants.add(kept);
        }
    }

    /**
     * The best answers, those that meet all wants before those that come near, few changes before many. Empty if given
     * up, if nothing within the limits helps, or if the job can't be measured as it stands.
     */
    public static List<SolveAnswer> search(Job job, SolveQuestion question, Progress progress) {
        HeldTravel held = held(job);
        Optional<QuickFigures> now = question.measured(held.held(job));
        if (now.isEmpty() || question.freedoms().isEmpty() || question.wants().isEmpty()) {
            return List.of();
        }
        return new Solver(job, question, held, now.get(), progress).answers(now.get());
    }

    private record Found(List<VariableBounds> set, double[] amounts, double missed, double score) {

        boolean meets() {
            return missed <= 1;
        }
    }

    private List<SolveAnswer> answers(QuickFigures now) {
        List<List<VariableBounds>> sets = sets(question.freedoms());
        AtomicInteger done = new AtomicInteger();
        List<Found> found = sets.parallelStream()
                .map(set -> {
                    Optional<Found> best = given.get() ? Optional.<Found>empty() : best(set);
                    if (!given.get() && !progress.at((double) done.incrementAndGet() / sets.size())) {
                        given.set(true);
                    }
                    return best;
                })
                .flatMap(Optional::stream)
                .toList();
        if (given.get()) {
            return List.of();
        }
        double before = missed(now);
        List<Found> good = found.stream()
                .filter(f -> used(f).size() > 0 && (f.meets() || f.missed <= before * WORTHWHILE))
                .sorted(Comparator.comparing((Found f) -> !f.meets())
                        .thenComparing(f -> f.meets() ? used(f).size() : 0)
                        .thenComparing(f -> f.meets() ? moved(f) : f.missed))
                .toList();
        List<Found> kept = new ArrayList<>();
        for (Found f : good) {
            if (good.stream().anyMatch(fewer -> doesAlmostAll(fewer, f))) {
                continue;
            }
            // More cuts for what fewer of the same already do are no answer.
            if (kept.size() < OFFERED
                    && kept.stream()
                            .noneMatch(k -> used(f).containsAll(used(k)) && (k.meets() || k.missed <= f.missed))) {
                kept.add(f);
            }
        }
        return kept.stream().map(this::answer).toList();
    }

    /** Whether fewer changes leave next to nothing more to be wanted. */
    private static boolean doesAlmostAll(Found fewer, Found more) {
        return !more.meets()
                && used(more).size() > used(fewer).size()
                && used(more).containsAll(used(fewer))
                && fewer.missed <= more.missed * NO_BETTER;
    }

    /** Whether a job has all that is wanted as it stands; false where it can't be measured. */
    public static boolean alreadyMet(Job job, SolveQuestion question) {
        HeldTravel held = held(job);
        return question.measured(held.held(job))
                .map(f -> new Solver(job, question, held, f, Progress.SILENT).missed(f) <= 1)
                .orElse(false);
    }

    private static HeldTravel held(Job job) {
        return HeldTravel.of(job, new SteeringTrain(job));
    }

    /** Every one alone, every pair, and all together. */
    private static List<List<VariableBounds>> sets(List<VariableBounds> all) {
        List<List<VariableBounds>> sets = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            sets.add(List.of(all.get(i)));
            for (int j = i + 1; j < all.size(); j++) {
                sets.add(List.of(all.get(i), all.get(j)));
            }
        }
        if (all.size() > 2) {
            sets.add(all);
        }
        return sets;
    }

    private Optional<Found> best(List<VariableBounds> set) {
        Found best = null;
        for (int start = 0; start < STARTS && !given.get(); start++) {
            double[] at = from(set, start);
            try {
                PointValuePair p = new SimplexOptimizer(new SimpleValueChecker(1e-7, 1e-7))
                        .optimize(
                                new MaxEval(MOST_EVALUATIONS * set.size()),
                                GoalType.MINIMIZE,
                                new ObjectiveFunction(x -> score(set, x)),
                                new InitialGuess(at),
                                new NelderMeadSimplex(steps(set, at)));
                at = p.getPoint();
            } catch (MathIllegalStateException e) {
                // Out of evaluations: the start itself is still an answer to weigh.
            }
            Found f = rounded(set, at);
            if (f != null && (best == null || f.score < best.score)) {
                best = f;
            }
        }
        return Optional.ofNullable(best);
    }

    /** The middle first, then places spread evenly over the box (Halton's sequence). */
    private static double[] from(List<VariableBounds> set, int start) {
        double[] at = new double[set.size()];
        for (int i = 0; i < at.length && start > 0; i++) {
            double part = halton(start, PRIMES[i % PRIMES.length]);
            at[i] = set.get(i).least() + part * (set.get(i).most() - set.get(i).least());
        }
        return at;
    }

    private static final int[] PRIMES = {2, 3, 5, 7, 11, 13, 17, 19};

    private static double halton(int index, int base) {
        double part = 0;
        double f = 1;
        for (int i = index; i > 0; i /= base) {
            f /= base;
            part += f * (i % base);
        }
        return part;
    }

    private static double[] steps(List<VariableBounds> set, double[] at) {
        double[] steps = new double[set.size()];
        for (int i = 0; i < steps.length; i++) {
            double span = (set.get(i).most() - set.get(i).least()) / 6;
            steps[i] = at[i] + span > set.get(i).most() ? -span : span;
        }
        return steps;
    }

    private double score(List<VariableBounds> set, double[] x) {
        double outside = 0;
        double moved = 0;
        double[] in = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            VariableBounds f = set.get(i);
            double span = f.most() - f.least();
            in[i] = Math.clamp(x[i], f.least(), f.most());
            outside += Math.pow((x[i] - in[i]) / span, 2);
            moved += Math.pow(in[i] / span, 2);
        }
        if (given.get()) {
            return IMPOSSIBLE;
        }
        Optional<QuickFigures> f = figures(set, in);
        double missed = f.map(q -> wants.stream()
                        .mapToDouble(w -> Math.pow(w.missed(q), 2))
                        .sum())
                .orElse(IMPOSSIBLE);
        return missed + PULL * moved + 1e4 * outside;
    }

    private Optional<QuickFigures> figures(List<VariableBounds> set, double[] amounts) {
        try {
            return question.measured(held.held(applied(set, amounts)));
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    private Job applied(List<VariableBounds> set, double[] amounts) {
        Job changed = job;
        for (int i = 0; i < amounts.length; i++) {
            changed = set.get(i).variable().turned(changed, amounts[i]);
        }
        return changed;
    }

    /** To what a bench can hold. */
    private @Nullable Found rounded(List<VariableBounds> set, double[] at) {
        double[] r = new double[at.length];
        for (int i = 0; i < r.length; i++) {
            VariableBounds f = set.get(i);
            double unit = f.variable().inDegrees() ? ROUND_DEG : ROUND_MM;
            double in = Math.clamp(at[i], f.least(), f.most());
            r[i] = Math.clamp(Math.rint(in / unit) * unit, f.least(), f.most());
        }
        Optional<QuickFigures> figures = figures(set, r);
        return figures.map(q -> new Found(set, r, missed(q), score(set, r))).orElse(null);
    }

    /** The worst miss, in tolerances; 1 and below is met. */
    private double missed(QuickFigures f) {
        return wants.stream().mapToDouble(w -> w.missed(f)).max().orElse(0);
    }

    private static Set<DesignVariable> used(Found f) {
        Set<DesignVariable> variables = EnumSet.noneOf(DesignVariable.class);
        for (int i = 0; i < f.amounts.length; i++) {
            if (f.amounts[i] != 0) {
                variables.add(f.set.get(i).variable());
            }
        }
        return variables;
    }

    /** How far all is moved, each against its own reach. */
    private static double moved(Found f) {
        double sum = 0;
        for (int i = 0; i < f.amounts.length; i++) {
            sum += Math.abs(f.amounts[i]) / f.set.get(i).variable().usualReach();
        }
        return sum;
    }

    private SolveAnswer answer(Found f) {
        List<Phrase> orders = new ArrayList<>();
        for (int i = 0; i < f.amounts.length; i++) {
            if (f.amounts[i] != 0) {
                orders.add(f.set.get(i).variable().order(job, f.amounts[i]));
            }
        }
        QuickFigures figures = figures(f.set, f.amounts).orElseThrow();
        List<Phrase> missing = wants.stream()
                .filter(w -> w.missed(figures) > 1)
                .map(w -> missing(w, figures))
                .toList();
        return new SolveAnswer(orders, missing.isEmpty(), missing, applied(f.set, f.amounts));
    }

    private static Phrase missing(Target w, QuickFigures f) {
        Optional<Double> is = Target.measured(w.wish(), f);
        return is.map(v -> Phrase.of(
                        w.wish().label() + " {0}: it is {1}", quantity(w.wish(), w.value()), quantity(w.wish(), v)))
                .orElseGet(() -> Phrase.of(w.wish().label() + ": not reached"));
    }

    private static Quantity quantity(Wish wish, double v) {
        return switch (wish) {
            case BUMP_STEER, NORMAL_BUMP_STEER, LOCK, OUTER_TABLE, TOGGLE, ROD_END -> Quantity.angle(v);
            case ACKERMANN -> Quantity.percent(v);
            case RATIO -> Quantity.ratio(v);
            case TURNS -> Quantity.turns(v);
            case RIM_FORCE, KICK_BACK -> Quantity.force(v);
        };
    }
}

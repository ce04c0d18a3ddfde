package mildtilt.trials.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.trials.TrialSheet;
import mildtilt.trials.diagnose.Cause.Amount;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Which of the causes that are known fit the readings of a trial, and how well.
 *
 * <p>Every cause, and every two of them, alone and with the arms swapped, is fitted: first along straight lines, then,
 * for the best, by Gauss–Newton
 * steps on the linkage itself. A cause is weighed by its evidence in Laplace's approximation (D. MacKay, <i>Bayesian
 * Interpolation</i>, Neural Computation
 * 4, 1992): how well it fits, less what it costs to have an amount to fit with. Amounts are thought to lie within some
 * {@value #USUAL} mm before anything
 * is read.
 *
 * @param causes the likeliest first
 * @param basis the readings it rests on
 * @param readings how many
 */
public record Diagnosis(List<Cause> causes, String basis, int readings) {

    /** How far off things usually are, mm, one standard deviation. */
    static final double USUAL = 5;
    /** A second part being wrong as well, or the arms being swapped, is so many times less likely beforehand. */
    private static final double LESS_LIKELY = 5;
    /** What is left, in times the ± of the readings, above which nothing that is known explains it. */
    private static final double UNEXPLAINED = 2;

    private static final int FEWEST = 4;
    /** An amount as large as is usual has to move the readings by so many of their own ± in all. */
    private static final double SEEN = 1.5;

    private static final int NARROWED = 20;
    private static final int STEPS = 6;
    private static final double STEP = 0.2;
    private static final int KEPT = 12;

    /** @return empty with too few readings that say anything of gear and arms, or without an axle */
    public static Optional<Diagnosis> of(TrialSheet sheet, Job plan) {
        if (plan.axle().isEmpty()) {
            return Optional.empty();
        }
        TrialResiduals readings = new TrialResiduals(sheet, plan);
        if (readings.size() < FEWEST) {
            return Optional.empty();
        }
        Search search = new Search(readings, plan);
        return Optional.of(new Diagnosis(search.causes(), readings.basis(), readings.size()));
    }

    public Cause best() {
        return causes.getFirst();
    }

    /** Whether even the best of them leaves more than chance would. */
    public boolean unexplained() {
        return best().left() > UNEXPLAINED;
    }

    /**
     * Causes that say something else than the best and that the readings can't tell from it: less than five times less
     * likely.
     */
    public List<Cause> asLikely() {
        return causes.stream()
                .skip(1)
                .filter(c -> c.confidence() > best().confidence() / 5 && !c.alsoSays(best()))
                .toList();
    }

    /** How sure the best cause is, 0 to 1: its own share and that of all that say the same and more. */
    public double confidence() {
        return best().asPlanned()
                ? best().confidence()
                : causes.stream()
                        .filter(c -> c.alsoSays(best()))
                        .mapToDouble(Cause::confidence)
                        .sum();
    }

    /** A set of misfits, with the arms swapped or not. */
    private record Guess(boolean swapped, List<Deviation> misfits, double[] mm, double evidence) {}

    private static final class Search {
        private final TrialResiduals readings;
        private final Job plan;
        private final List<Deviation> variables;

        Search(TrialResiduals readings, Job plan) {
            this.readings = readings;
            this.plan = plan;
            variables = Arrays.stream(Deviation.values())
                    .filter(m -> m.applies(plan))
                    .toList();
        }

        List<Cause> causes() {
            List<Guess> all = new ArrayList<>();
            for (boolean swapped : new boolean[] {false, true}) {
                Optional<Job> base = base(swapped);
                base.ifPresent(job -> all.addAll(startValues(job, swapped)));
            }
            all.sort(Comparator.comparingDouble(Guess::evidence).reversed());
            List<Guess> narrowed = new ArrayList<>();
            // One that hangs on an amount that may as well be nothing says no more than the one without it.
            all.stream()
                    .limit(NARROWED)
                    .map(this::narrowed)
                    .filter(g -> cause(g, 0).amounts().stream().allMatch(a -> Math.abs(a.mm()) > a.sd()))
                    .forEach(narrowed::add);
            // The unchanged plan is always listed.
            if (narrowed.stream().noneMatch(g -> !g.swapped && g.misfits.isEmpty())) {
                all.stream().filter(g -> !g.swapped && g.misfits.isEmpty()).forEach(narrowed::add);
            }
            narrowed.sort(Comparator.comparingDouble(Guess::evidence).reversed());
            double best = narrowed.getFirst().evidence;
            double sum = narrowed.stream()
                    .mapToDouble(g -> Math.exp(g.evidence - best))
                    .sum();
            List<Cause> causes = new ArrayList<>();
            for (Guess g : narrowed) {
                if (causes.size() < KEPT || !g.swapped && g.misfits.isEmpty()) {
                    causes.add(cause(g, Math.exp(g.evidence - best) / sum));
                }
            }
            return List.copyOf(causes);
        }

        private Optional<Job> base(boolean swapped) {
            try {
                return Optional.of(swapped ? Deviation.armsSwapped(plan) : plan);
            } catch (ImpossibleGeometryException e) {
                return Optional.empty();
            }
        }

        private List<Guess> startValues(Job base, boolean swapped) {
            double[] r = readings.residuals(base);
            RealMatrix j = jacobian(base, variables, new double[variables.size()]);
            List<Guess> all = new ArrayList<>();
            List<List<Deviation>> sets = new ArrayList<>(List.of(List.of()));
            // What the readings do not see can't be found in them.
            List<Deviation> seen = variables.stream()
                    .filter(m -> USUAL * j.getColumnVector(variables.indexOf(m)).getNorm() > SEEN)
                    .toList();
            for (int a = 0; a < seen.size(); a++) {
                sets.add(List.of(seen.get(a)));
                for (int b = a + 1; b < seen.size(); b++) {
                    if (together(seen.get(a), seen.get(b))) {
                        sets.add(List.of(seen.get(a), seen.get(b)));
                    }
                }
            }
            for (List<Deviation> set : sets) {
                RealMatrix part = columns(j, set);
                double[] p = solved(part, r, new double[set.size()]);
                double[] left = r.clone();
                for (int i = 0; i < left.length; i++) {
                    for (int k = 0; k < p.length; k++) {
                        left[i] += part.getEntry(i, k) * p[k];
                    }
                }
                all.add(new Guess(swapped, set, p, evidence(left, p, part, swapped, set)));
            }
            return all;
        }

        /** Both arms and one of them are three names for two amounts. */
        private static boolean together(Deviation a, Deviation b) {
            boolean both = a.part() == Deviation.Part.BOTH_ARMS || b.part() == Deviation.Part.BOTH_ARMS;
            boolean one = a.part() == Deviation.Part.LEFT_ARM
                    || a.part() == Deviation.Part.RIGHT_ARM
                    || b.part() == Deviation.Part.LEFT_ARM
                    || b.part() == Deviation.Part.RIGHT_ARM;
            return !(both && one);
        }

        private RealMatrix columns(RealMatrix j, List<Deviation> set) {
            double[][] part = new double[j.getRowDimension()][set.size()];
            for (int k = 0; k < set.size(); k++) {
                double[] column = j.getColumn(variables.indexOf(set.get(k)));
                for (int i = 0; i < column.length; i++) {
                    part[i][k] = column[i];
                }
            }
            return set.isEmpty()
                    ? new Array2DRowRealMatrix(j.getRowDimension(), 1)
                    : new Array2DRowRealMatrix(part, false);
        }

        private RealMatrix jacobian(Job base, List<Deviation> set, double[] at) {
            double[][] j = new double[readings.size()][Math.max(1, set.size())];
            for (int k = 0; k < set.size(); k++) {
                double[] up = at.clone();
                double[] down = at.clone();
                up[k] += STEP;
                down[k] -= STEP;
                double[] more = residuals(base, set, up);
                double[] less = residuals(base, set, down);
                for (int i = 0; i < more.length; i++) {
                    // At the edge of what can be assembled there is no slope to follow.
                    j[i][k] = TrialResiduals.hopeless(more[i]) || TrialResiduals.hopeless(less[i])
                            ? 0
                            : (more[i] - less[i]) / (2 * STEP);
                }
            }
            return new Array2DRowRealMatrix(j, false);
        }

        private double[] residuals(Job base, List<Deviation> set, double[] mm) {
            return readings.residuals(built(base, set, mm).orElse(base));
        }

        private static Optional<Job> built(Job base, List<Deviation> set, double[] mm) {
            try {
                Job job = base;
                for (int k = 0; k < set.size(); k++) {
                    job = set.get(k).apply(job, mm[k]);
                }
                return Optional.of(job);
            } catch (ImpossibleGeometryException e) {
                return Optional.empty();
            }
        }

        /** The amounts that leave least, near where the residuals r were taken: (JᵀJ + 1/σ²) p = JᵀJ p₀ − Jᵀ r. */
        private static double[] solved(RealMatrix j, double[] r, double[] at) {
            if (at.length == 0) {
                return at;
            }
            RealMatrix normal = j.transpose().multiply(j);
            RealVector right = normal.operate(new ArrayRealVector(at))
                    .subtract(j.transpose().operate(new ArrayRealVector(r)));
            return new LUDecomposition(normal.add(prior(at.length)))
                    .getSolver()
                    .solve(right)
                    .toArray();
        }

        private static RealMatrix prior(int n) {
            return MatrixUtils.createRealIdentityMatrix(n).scalarMultiply(1 / (USUAL * USUAL));
        }

        private static double evidence(double[] left, double[] p, RealMatrix j, boolean swapped, List<Deviation> set) {
            double e = -squares(left) / 2;
            for (double v : p) {
                e -= v * v / (2 * USUAL * USUAL);
            }
            if (p.length > 0) {
                RealMatrix h = j.transpose()
                        .multiply(j)
                        .scalarMultiply(USUAL * USUAL)
                        .add(MatrixUtils.createRealIdentityMatrix(p.length));
                e -= Math.log(new LUDecomposition(h).getDeterminant()) / 2;
            }
            long parts = set.stream().map(Deviation::part).distinct().count() + (swapped ? 1 : 0);
            return e - parts * Math.log(LESS_LIKELY);
        }

        private Guess narrowed(Guess g) {
            Job base = base(g.swapped).orElse(plan);
            double[] p = g.mm;
            RealMatrix j = jacobian(base, g.misfits, p);
            double[] r = residuals(base, g.misfits, p);
            for (int step = 0; step < STEPS && p.length > 0; step++) {
                double[] next = solved(j, r, p);
                // Half the way as long as it gets worse.
                double[] tried = next;
                double[] there = residuals(base, g.misfits, tried);
                for (int half = 0; half < 4 && squares(there) > squares(r) + 1e-9; half++) {
                    tried = between(p, tried);
                    there = residuals(base, g.misfits, tried);
                }
                double moved = 0;
                for (int k = 0; k < p.length; k++) {
                    moved = Math.max(moved, Math.abs(tried[k] - p[k]));
                }
                p = tried;
                r = there;
                if (moved < 1e-3) {
                    break;
                }
                j = jacobian(base, g.misfits, p);
            }
            return new Guess(g.swapped, g.misfits, p, evidence(r, p, j, g.swapped, g.misfits));
        }

        private static double[] between(double[] a, double[] b) {
            double[] m = new double[a.length];
            for (int i = 0; i < m.length; i++) {
                m[i] = (a[i] + b[i]) / 2;
            }
            return m;
        }

        private Cause cause(Guess g, double confidence) {
            Job base = base(g.swapped).orElse(plan);
            double[] r = residuals(base, g.misfits, g.mm);
            RealMatrix j = jacobian(base, g.misfits, g.mm);
            List<Amount> amounts = new ArrayList<>();
            if (!g.misfits.isEmpty()) {
                RealMatrix c = MatrixUtils.inverse(j.transpose().multiply(j).add(prior(g.mm.length)));
                for (int k = 0; k < g.mm.length; k++) {
                    amounts.add(new Amount(g.misfits.get(k), g.mm[k], Math.sqrt(c.getEntry(k, k))));
                }
            }
            int spare = Math.max(1, readings.size() - readings.traces() - g.mm.length);
            return new Cause(
                    g.swapped,
                    List.copyOf(amounts),
                    squares(r),
                    Math.sqrt(squares(r) / spare),
                    confidence,
                    built(base, g.misfits, g.mm).orElse(base));
        }

        private static double squares(double[] r) {
            double sum = 0;
            for (double v : r) {
                sum += v * v;
            }
            return sum;
        }
    }
}

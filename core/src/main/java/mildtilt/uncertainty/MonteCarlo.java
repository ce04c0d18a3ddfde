package mildtilt.uncertainty;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.uncertainty.UncertaintyReport.Again;
import mildtilt.uncertainty.UncertaintyReport.Figure;
import mildtilt.uncertainty.UncertaintyReport.Gain;

/**
 * Works a plan out many times over, each time with everything a little off as it may well be (Monte Carlo; JCGM
 * 101:2008, Propagation of distributions
 * using a Monte Carlo method). Then some of the same draws once more for each thing that could be measured again, with
 * it less off: what that leaves of a
 * figure's ± needs no straight line between the two, which a worst of two sides is far from.
 */
public final class MonteCarlo {

    /**
     * @param draws of the plan
     * @param clearanceEach gaps are gone through in one of so many of them only: they take longer than all else
     * @param againDraws of them that are gone through again for each thing that could be measured once more
     * @param seed the same gives the same answer
     */
    public record Settings(int draws, int clearanceEach, int againDraws, long seed) {

        /** A thousand, so that a ± is known to about 2 %; a gap's from an eighth of them, to about 6 %. */
        public static final Settings USUAL = new Settings(1000, 8, 120, 20_26);

        /** @throws IllegalArgumentException below 20 draws or above 100 000 */
        public Settings {
            if (draws < 20 || draws > 100_000 || clearanceEach < 1 || againDraws < 0) {
                throw new IllegalArgumentException("Between 20 and 100000 draws.");
            }
        }

        public Settings withDraws(int n) {
            return new Settings(n, clearanceEach, Math.min(againDraws, n), seed);
        }
    }

    /** A part of the doubt less than this is not worth a second measuring. */
    private static final double WORTH = 0.03;

    private static final int BATCH = 20;
    private static final int FEWEST = 10;

    private final InputUncertainty uncertainty;
    private final Headlines plan;
    private final Settings settings;
    private final BooleanSupplier stop;
    private final List<double[]> offs = new ArrayList<>();
    private final List<Optional<Headlines>> outcomes = new ArrayList<>();
    private final List<Again> again = new ArrayList<>();

    private MonteCarlo(Job job, Headlines plan, Settings settings, BooleanSupplier stop) {
        uncertainty = new InputUncertainty(job, JobPoints.surveyed(job));
        this.plan = plan;
        this.settings = settings;
        this.stop = stop;
    }

    /**
     * @param plan the plan's own headlines
     * @param progress called now and then with the result so far
     * @param stop polled; when true, the result so far is the answer
     */
    public static UncertaintyReport of(
            Job job, Headlines plan, Settings settings, Consumer<UncertaintyReport> progress, BooleanSupplier stop) {
        MonteCarlo d = new MonteCarlo(job, plan, settings, stop);
        d.draw(progress);
        d.measureAgain(progress);
        return d.report();
    }

    private void draw(Consumer<UncertaintyReport> progress) {
        Random random = new Random(settings.seed);
        while (offs.size() < settings.draws && !stop.getAsBoolean()) {
            int from = offs.size();
            int count = Math.min(BATCH, settings.draws - from);
            for (int i = 0; i < count; i++) {
                offs.add(uncertainty.draw(random));
            }
            // In the order they were drawn, however many are worked out at once.
            outcomes.addAll(IntStream.range(from, from + count)
                    .parallel()
                    .mapToObj(i -> workedOut(offs.get(i), i % settings.clearanceEach == 0))
                    .toList());
            progress.accept(report());
        }
    }

    private Optional<Headlines> workedOut(double[] off, boolean gaps) {
        try {
            return Headlines.quick(uncertainty.with(off), gaps);
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    private List<InputUncertainty.Part> candidates() {
        // What is in the way changes gaps alone, which are not gone through again.
        return uncertainty.parts().stream().filter(p -> !p.inTheWay()).toList();
    }

    private void measureAgain(Consumer<UncertaintyReport> progress) {
        for (InputUncertainty.Part p : candidates()) {
            if (stop.getAsBoolean() || outcomes.size() < settings.againDraws || settings.againDraws < FEWEST) {
                return;
            }
            Random random = new Random(settings.seed + 1 + p.first());
            List<double[]> noise = IntStream.range(0, settings.againDraws)
                    .mapToObj(_ -> new double[] {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()})
                    .toList();
            List<Optional<Headlines>> surer = IntStream.range(0, settings.againDraws)
                    .parallel()
                    .mapToObj(i -> workedOut(uncertainty.measuredAgain(offs.get(i), p, noise.get(i)), false))
                    .toList();
            again.add(new Again(p.what(), p.surveyed(), gains(surer)));
            progress.accept(report());
        }
    }

    /** The same draws, before and after. */
    private List<Gain> gains(List<Optional<Headlines>> surer) {
        List<Gain> all = new ArrayList<>();
        for (Headline h : Headline.values()) {
            List<Integer> both = IntStream.range(0, surer.size())
                    .boxed()
                    .filter(i -> h != Headline.GAP
                            && value(outcomes.get(i), h).isPresent()
                            && value(surer.get(i), h).isPresent())
                    .toList();
            if (both.size() >= FEWEST && plan.get(h).isPresent()) {
                Gain g = new Gain(
                        h,
                        spread(both.stream()
                                .mapToDouble(i -> value(outcomes.get(i), h).orElseThrow())
                                .toArray()),
                        spread(both.stream()
                                .mapToDouble(i -> value(surer.get(i), h).orElseThrow())
                                .toArray()));
                if (g.part() > WORTH) {
                    all.add(g);
                }
            }
        }
        return all;
    }

    private static Optional<Double> value(Optional<Headlines> all, Headline h) {
        return all.flatMap(x -> x.get(h));
    }

    private static double spread(double[] y) {
        double mean = Arrays.stream(y).average().orElse(0);
        return Math.sqrt(Arrays.stream(y).map(v -> (v - mean) * (v - mean)).sum() / (y.length - 1));
    }

    private UncertaintyReport report() {
        Map<Headline, Figure> figures = new EnumMap<>(Headline.class);
        for (Headline h : Headline.values()) {
            double[] y = outcomes.stream()
                    .flatMap(o -> value(o, h).stream())
                    .mapToDouble(Double::doubleValue)
                    .sorted()
                    .toArray();
            if (y.length >= FEWEST) {
                plan.get(h)
                        .ifPresent(v -> figures.put(h, new Figure(v, spread(y), at(y, 0.05), at(y, 0.95), y.length)));
            }
        }
        double whole =
                settings.draws + settings.againDraws * (double) candidates().size();
        double done = (outcomes.size() + settings.againDraws * (double) again.size()) / whole;
        return new UncertaintyReport(
                figures,
                again.stream()
                        .filter(a -> !a.gains().isEmpty())
                        .sorted(Comparator.comparingDouble(Again::help).reversed())
                        .toList(),
                outcomes.size(),
                done,
                (int) outcomes.stream().filter(Optional::isEmpty).count());
    }

    private static double at(double[] sorted, double part) {
        return sorted[(int) Math.round(part * (sorted.length - 1))];
    }
}

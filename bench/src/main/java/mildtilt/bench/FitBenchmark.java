package mildtilt.bench;

import java.util.Optional;
import java.util.concurrent.TimeUnit;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headlines;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.trials.compare.TrialFigures;
import mildtilt.trials.diagnose.Diagnosis;
import mildtilt.uncertainty.MonteCarlo;
import mildtilt.uncertainty.UncertaintyReport;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Trials and surveys of the marsh carrier. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
public class FitBenchmark {

    private Job job = DemoJob.MARSH_CARRIER.job();
    private Trial trial = job.log().vehicles().getFirst().last().orElseThrow();
    private Analysis then = Analysis.of(trial.back(job));
    private Headlines plan = then.headlines();

    /** 28 dots and two rod lengths against every cause. */
    @Benchmark
    public Optional<Diagnosis> whatFits() {
        return Diagnosis.of(trial.sheet(), trial.back(job));
    }

    /** A trial's readings against its plan, the plan's own analysis at hand. */
    @Benchmark
    public TrialFigures againstPlan() {
        return TrialFigures.of(trial, job, then);
    }

    /** Twenty draws, clearances in three of them, on all cores. */
    @Benchmark
    public UncertaintyReport twentyDraws() {
        return MonteCarlo.of(job, plan, new MonteCarlo.Settings(20, 8, 0, 1), _ -> {}, () -> false);
    }
}

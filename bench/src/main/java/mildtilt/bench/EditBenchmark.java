package mildtilt.bench;

import java.util.Optional;
import java.util.concurrent.TimeUnit;
import mildtilt.describe.RangeCheck;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.parts.JobParts;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What every edit costs before anything is worked out anew. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class EditBenchmark {

    private final Job job = DemoJob.MARSH_CARRIER.job();

    /** Every size held against its range. */
    @Benchmark
    public Optional<String> checkOfAnEdit() {
        return RangeCheck.fault(JobParts.JOB, job);
    }

    /** The job written out and read again. */
    @Benchmark
    public Job fileThereAndBack() throws JobFileException {
        return JobReader.read(JobWriter.write(job));
    }
}

package mildtilt.bench;

import java.util.concurrent.TimeUnit;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headlines;
import mildtilt.format.DemoJob;
import mildtilt.job.Job;
import mildtilt.steer.AxlePose;
import mildtilt.steer.Grid;
import mildtilt.steer.SteeringTrain;
import mildtilt.steer.TravelMap;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A pose of both sides, the whole map of steer against travel, the whole analysis after an edit. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class SteeringBenchmark {

    private final Job demo = DemoJob.MARSH_CARRIER.job();
    private final SteeringTrain train = new SteeringTrain(demo);
    private int step;

    @Benchmark
    public AxlePose poseOfBothSides() {
        step = (step + 37) % 401;
        return train.pose(step - 200, step / 4.0 - 40, 40 - step / 5.0);
    }

    @Benchmark
    public Object mapOfSteerAgainstTravel() {
        return TravelMap.of(train, demo.vehicle(), Grid.USUAL);
    }

    @Benchmark
    public Object headlines() {
        return Headlines.of(demo);
    }

    @Benchmark
    public Analysis wholeAnalysis() {
        return Analysis.of(demo);
    }
}

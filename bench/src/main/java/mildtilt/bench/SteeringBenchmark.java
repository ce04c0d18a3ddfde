package mildtilt.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headlines;
import mildtilt.clearance.Clearances;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.solve.Goal;
import mildtilt.solve.Progress;
import mildtilt.solve.SolveAnswer;
import mildtilt.solve.SolveQuestion;
import mildtilt.solve.Solver;
import mildtilt.steer.QuickFigures;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.TravelMap;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * For each kind of steering: a pose of both sides, the whole map, the whole analysis after an edit, the gaps alone, one
 * search.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class SteeringBenchmark {

    @Param
    DemoJob vehicle = DemoJob.MARSH_CARRIER;

    private Job job = vehicle.job();
    private SteeringTrain train = new SteeringTrain(job);
    private double reach;
    private WheelTravel travel = WheelTravel.FREE;
    private int step;

    @Setup
    public void open() {
        job = vehicle.job();
        train = new SteeringTrain(job);
        travel = train.requireAxle().wheelTravel();
        reach = train.stopDeg(Side.LEFT).orElseThrow() * 0.8;
    }

    @Benchmark
    public AxlePose poseOfBothSides() {
        step = (step + 37) % 401;
        double left = travel == WheelTravel.NONE ? 0 : step / 5.0 - 40;
        double right = travel == WheelTravel.FREE ? 40 - step / 5.0 : travel.rightWith(left);
        return train.pose((step - 200) / 200.0 * reach, left, right);
    }

    @Benchmark
    public Object mapOfSteerAgainstTravel() {
        return TravelMap.of(train, job, Grid.USUAL);
    }

    @Benchmark
    public Object headlines() {
        return Headlines.of(job);
    }

    @Benchmark
    public Object quickFigures() {
        return QuickFigures.of(job, QuickFigures.Until.FIRST_STOP);
    }

    @Benchmark
    public Analysis wholeAnalysis() {
        return Analysis.of(job);
    }

    @Benchmark
    public Object clearances() {
        return Clearances.of(job, train);
    }

    @Benchmark
    public List<SolveAnswer> leastBumpSteer() {
        return Solver.search(job, SolveQuestion.usual(Goal.LEAST_BUMP_STEER, job), Progress.SILENT);
    }
}

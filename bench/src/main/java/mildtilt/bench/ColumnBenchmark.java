package mildtilt.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import mildtilt.clocking.BestClocking;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ForkSetting;
import mildtilt.column.GearInput;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.SteeringWheel;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
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
 * For columns of so many joints: the best clocking by steps and to any angle, and everything worked out of the column.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 1)
@Measurement(iterations = 3, time = 1)
public class ColumnBenchmark {

    @Param({"2", "4", "6", "8"})
    int joints = 2;

    /** Ways in a turn: a spline's teeth. */
    @Param({"36", "144"})
    int ways = 36;

    private Job job = DemoJob.MARSH_CARRIER.job();
    private ColumnTrain train = new ColumnTrain(job.column().orElseThrow());

    @Setup
    public void lay() {
        Random r = new Random(11);
        List<Point> points = new ArrayList<>(List.of(new Point(-1000, 300, 900)));
        for (int i = 0; i <= joints; i++) {
            Point p = points.getLast();
            points.add(new Point(
                    p.x() + 150 + 100 * r.nextDouble(),
                    p.y() + 160 * (r.nextDouble() - 0.5),
                    p.z() - 160 * r.nextDouble()));
        }
        List<Shaft> shafts = new ArrayList<>();
        List<Joint> all = new ArrayList<>();
        for (int i = 0; i <= joints; i++) {
            shafts.add(Shaft.round(Id.Kind.SHAFT.first(), "Shaft " + i, 20, 0, true));
            if (i < joints) {
                all.add(Joint.single(
                        Id.Kind.JOINT.first(),
                        "Joint " + i,
                        points.get(i + 1),
                        35,
                        YokeDimensions.NONE,
                        YokeDimensions.NONE));
            }
        }
        Column c = new Column(
                new SteeringWheel(360, points.getFirst(), YokeDimensions.NONE),
                shafts,
                all,
                new GearInput(points.getLast(), YokeDimensions.NONE));
        train = new ColumnTrain(c);
        job = DemoJob.MARSH_CARRIER
                .job()
                .withColumn(c.withInstallation(c.installation().withFrameMovement(3)));
    }

    @Benchmark
    public BestClocking bySteps() {
        return BestClocking.withAll(train, new ForkSetting.Stepped(ways));
    }

    @Benchmark
    public BestClocking toAnyAngle() {
        return BestClocking.withAll(train, new ForkSetting.AnyAngle());
    }

    @Benchmark
    public ColumnFigures everythingOfTheColumn() {
        return ColumnFigures.of(job);
    }
}

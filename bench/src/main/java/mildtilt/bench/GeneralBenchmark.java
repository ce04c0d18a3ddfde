package mildtilt.bench;

import java.util.concurrent.TimeUnit;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.SteeringTrain;
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

/** Neighbouring poses, as a map has them, ours and by a general-purpose solver that begins each from the one before. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 1)
@Measurement(iterations = 3, time = 1)
public class GeneralBenchmark {

    @Param({"MARSH_CARRIER", "GARDEN_SHUTTLE", "LIBRARY_BUS", "GREENHOUSE_TUG", "SALT_RAKE"})
    DemoJob vehicle = DemoJob.MARSH_CARRIER;

    private GeneralSolver general = new GeneralSolver(vehicle.job().axle().orElseThrow());
    private SteeringTrain train = new SteeringTrain(vehicle.job());
    private double travel;
    /** Of the steering wheel each way, degrees. */
    private double reach;

    private int at;

    /** It is the same pose that is found, or the comparison is worth nothing. */
    @Setup
    public void open() {
        general = new GeneralSolver(vehicle.job().axle().orElseThrow());
        train = new SteeringTrain(vehicle.job());
        travel = vehicle.job().axle().orElseThrow().wheelTravel() == WheelTravel.NONE ? 0 : 10;
        reach = Math.min(100, 0.8 * train.stopDeg(Side.LEFT).orElseThrow());
        for (double sw = 0; sw <= reach; sw += reach / 20) {
            double[] deg = general.pose(Math.toRadians(train.gearInputDeg(sw)), travel, -travel);
            double ours = train.pose(sw, travel, -travel)
                    .assembled()
                    .orElseThrow()
                    .left()
                    .steerDeg();
            if (Math.abs(deg[0] - ours) > 1e-5) {
                throw new IllegalStateException(
                        vehicle + " at " + sw + ": the general solver says " + deg[0] + " degrees, ours " + ours);
            }
        }
        for (double sw = reach; sw >= -reach; sw -= reach / 20) {
            general.pose(Math.toRadians(train.gearInputDeg(sw)), travel, -travel);
        }
    }

    private double next() {
        at = (at + 1) % 400;
        return reach / 100 * (at < 200 ? at - 100 : 300 - at);
    }

    @Benchmark
    public Object general() {
        return general.pose(Math.toRadians(train.gearInputDeg(next())), travel, -travel);
    }

    /** All poses of a map, row by row to and fro. */
    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public double generalMap() {
        double sum = 0;
        for (int j = -20; j <= 20; j++) {
            for (int i = -30; i <= 30; i++) {
                double up = travel * j / 10;
                sum += general.pose(Math.toRadians(train.gearInputDeg(reach / 30 * (j % 2 == 0 ? i : -i))), up, up)[0];
            }
        }
        return sum;
    }

    /** The same poses. */
    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public double oursMap() {
        double sum = 0;
        for (int j = -20; j <= 20; j++) {
            for (int i = -30; i <= 30; i++) {
                double up = travel * j / 10;
                sum += train.pose(reach / 30 * (j % 2 == 0 ? i : -i), up, up)
                        .assembled()
                        .orElseThrow()
                        .left()
                        .steerDeg();
            }
        }
        return sum;
    }

    @Benchmark
    public Object ours() {
        return train.pose(next(), travel, -travel);
    }
}

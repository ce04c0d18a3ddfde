package mildtilt.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.Clearances;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.routes.RouteAnswer;
import mildtilt.routes.RouteFinder;
import mildtilt.routes.RouteProgress;
import mildtilt.routes.RouteQuestion;
import mildtilt.solid.Convex;
import mildtilt.solid.Gap;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;
import mildtilt.solid.TriangleMesh;
import mildtilt.steer.position.SteeringTrain;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Distances, the gaps of the demo, with a scan of half a million triangles too, and the search for routes past forty
 * things.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class ClearanceBenchmark {

    private final Job carrier = DemoJob.MARSH_CARRIER.job();
    private final SteeringTrain train = new SteeringTrain(carrier);
    private final Convex drum = Convex.cylinder(new Point(0, 620, 390), new Point(0, 900, 390), 390, 40);
    private final Convex box =
            Convex.box(new Point(-250, 400, 700), new Vector(60, 0, 0), new Vector(10, 40, 0), new Vector(0, 0, 50));
    private Job scanned = carrier;
    private Solid.Skin skin = new Solid.Skin(hills(3), RigidMove.NONE);
    private Job forty = carrier;

    @Setup
    public void prepare() {
        TriangleMesh mesh = hills(501);
        skin = new Solid.Skin(mesh, RigidMove.by(new Vector(-600, -300, 700)));
        scanned = carrier.editSurroundings(s ->
                s.with(Obstacle.fixed("bay", new Shape.Scan(mesh, "bay.stl", new Point(-600, -300, 760), 0, 0, 0))));
        List<Obstacle> all = new ArrayList<>(carrier.surroundings().obstacles());
        for (int i = all.size(); i < 40; i++) {
            all.add(Obstacle.fixed(
                    "block " + i,
                    new Shape.Box(new Point(-900 + 40 * i, -200 - 7 * (i % 9), 300 + 23 * (i % 17)), 60, 50, 40)));
        }
        forty = carrier.withSurroundings(new Surroundings(
                all,
                Optional.empty(),
                carrier.surroundings().own(),
                carrier.surroundings().meant()));
        Gaps.between(Solid.of(box), skin);
    }

    /** A bumpy sheet of two triangles a square, about a metre each way. */
    private static TriangleMesh hills(int n) {
        float[] corners = new float[3 * n * n];
        int[] triangles = new int[6 * (n - 1) * (n - 1)];
        for (int i = 0; i < n * n; i++) {
            corners[3 * i] = i % n * 1000f / n;
            corners[3 * i + 1] = i / n * 600f / n;
            corners[3 * i + 2] = (float) (30 * Math.sin(i % n * 0.05) * Math.cos(i / n * 0.07));
        }
        int t = 0;
        for (int j = 0; j + 1 < n; j++) {
            for (int i = 0; i + 1 < n; i++) {
                int a = j * n + i;
                for (int c : new int[] {a, a + 1, a + n, a + 1, a + n + 1, a + n}) {
                    triangles[t++] = c;
                }
            }
        }
        return new TriangleMesh(corners, triangles);
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public Gap twoConvexSolids() {
        return Gaps.between(drum, box);
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MICROSECONDS)
    public Gap drumToScanOfHalfAMillion() {
        return Gaps.between(Solid.of(drum), skin);
    }

    @Benchmark
    public Optional<ClearanceFigures> gapsOfTheDemo() {
        return Clearances.of(carrier, train);
    }

    @Benchmark
    public Optional<ClearanceFigures> gapsWithAScanOfHalfAMillion() {
        return Clearances.of(scanned, train);
    }

    @Benchmark
    public RouteAnswer routesPastForty() {
        return RouteFinder.search(forty, RouteQuestion.USUAL.withTilt(-40, 40).withJoints(2, 3), RouteProgress.SILENT);
    }

    @Benchmark
    public RouteAnswer routesOfUpToFourJointsPastForty() {
        return RouteFinder.search(forty, RouteQuestion.USUAL.withTilt(-40, 40).withJoints(1, 4), RouteProgress.SILENT);
    }

    /** Until the first route is there. */
    @Benchmark
    public RouteAnswer firstRoutePastForty() {
        return RouteFinder.search(
                forty, RouteQuestion.USUAL.withTilt(-40, 40).withJoints(2, 3), (_, found) -> found.isEmpty());
    }
}

package mildtilt.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import mildtilt.column.ColumnTrain;
import mildtilt.columnrange.JointBend;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.io.AllThatIsSaid;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.json.AnalysisJson;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringInput;
import mildtilt.steer.position.SteeringTrain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Geometry at its edges: whatever is typed or dragged ends in figures that are figures, or in a sentence that says what
 * can't be.
 */
class EdgesTest {

    private static final Grid GRID = new Grid(4, 3);

    /** Why there can't be such a vehicle, if there can't. */
    private static String description(Job job) {
        return AllThatIsSaid.of(job, Double.MAX_VALUE).cannot();
    }

    private static Job tried(Job job, UnaryOperator<Job> edit) {
        try {
            return edit.apply(job);
        } catch (ImpossibleGeometryException e) {
            assertThat(e.getMessage()).as("a sentence").hasSizeBetween(15, 500).endsWith(".");
            return job;
        }
    }

    private static Job moved(Job job, UnaryOperator<Point> move) {
        Job now = job;
        Map<PointId, Point> to = new LinkedHashMap<>();
        JobPoints.of(job).forEach(id -> to.put(id, move.apply(JobPoints.position(job, id))));
        for (Map.Entry<PointId, Point> e : to.entrySet()) {
            now = tried(now, j -> JobPoints.moved(j, e.getKey(), e.getValue()));
        }
        return now;
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void coincidentAndDistantPointsAreHandled(DemoJob demo) {
        Job job = demo.job();
        List<PointId> points = JobPoints.of(job);
        Random r = new Random(80 + demo.ordinal());
        int refused = 0;
        for (int i = 0; i < 7; i++) {
            PointId a = points.get(r.nextInt(points.size()));
            PointId b = points.get(r.nextInt(points.size()));
            Point there = JobPoints.position(job, b);
            Point to =
                    switch (i % 7) {
                        case 0, 1, 2 -> there;
                        case 3 -> new Point(there.x() + 1e-9, there.y(), there.z());
                        case 4 -> new Point(1e6 * r.nextGaussian(), 1e6 * r.nextGaussian(), 1e6 * r.nextGaussian());
                        case 5 -> Point.ORIGIN;
                        default -> JobPoints.position(job, a).mirrored();
                    };
            refused += description(tried(job, j -> JobPoints.moved(j, a, to))).isEmpty() ? 0 : 1;
        }
        assertThat(refused).as("most are vehicles, if poor ones").isLessThan(6);
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void flatTinyAndHugeColumnsAreHandled(DemoJob demo) {
        Job job = demo.job();
        for (UnaryOperator<Point> move : List.<UnaryOperator<Point>>of(
                p -> new Point(p.x(), p.y(), 0),
                p -> new Point(0, p.y(), p.z()),
                p -> new Point(p.x(), 0, p.z()),
                p -> new Point(p.x() * 1e-3, p.y() * 1e-3, p.z() * 1e-3),
                p -> new Point(p.x() * 1e4, p.y() * 1e4, p.z() * 1e4))) {
            description(moved(job, move));
        }
    }

    /** A column straight as a rod, at a right angle, and folded back on itself. */
    @Test
    void jointsAtTheirLimitAnglesAreHandled() {
        Job job = DemoJob.MARSH_CARRIER.job();
        List<String> said = new ArrayList<>();
        for (double deg : new double[] {0, 1e-9, 1e-3, 45, 89.999, 90, 90.001, 135, 179.999, 180}) {
            Job bent = tried(job, j -> j.editColumn(c -> JointBend.withAngle(c, 0, deg)));
            said.add(description(bent));
            if (deg <= 90 && said.getLast().isEmpty() && !bent.equals(job)) {
                assertThat(new ColumnTrain(bent.column().orElseThrow()).jointAngleDeg(0))
                        .isBetween(deg - 1e-3, deg + 1e-3);
            }
        }
        assertThat(said.subList(0, 4)).as("straight is no fault of geometry").containsOnly("");
        // A joint at a right angle turns nothing: everything still has a figure or says that it can't be.
        Job square = tried(job, j -> j.editColumn(c -> JointBend.withAngle(c, 1, 90)));
        description(square);
        assertThat(Analysis.of(square, GRID).findings()).isNotEmpty();
    }

    @Test
    void gearsWithExtremeTravelAreHandled() {
        Job job = DemoJob.MARSH_CARRIER.job();
        RackAndPinion rack = (RackAndPinion) job.axle().orElseThrow().gear();
        for (double perTurn : new double[] {1e-6, -1e-6, 5e4, -5e4}) {
            description(tried(job, j -> j.editAxle(a -> a.withGear(rack.withTravelPerLeftTurn(perTurn)))));
        }
        for (double each : new double[] {1e-6, 5e4}) {
            description(tried(job, j -> j.editAxle(a -> a.withGear(rack.withTravelEachWay(each)))));
        }
        for (double spacing : new double[] {1e-6, 5000}) {
            description(tried(job, j -> j.editAxle(a -> a.withGear(rack.withPivotSpacing(spacing)))));
        }
        // Out of reach is a value with a length, not a fault: the pose says which rod and by how much.
        Job short1 = tried(job, j -> j.editAxle(a -> a.withGear(rack.withTravelEachWay(5000))));
        SteeringTrain train = new SteeringTrain(short1);
        assertThat(train.pose(20_000, 0, 0).assembled()).isEqualTo(Optional.empty());
        assertThat(AnalysisJson.write(Analysis.of(short1, GRID), List.of(new SteeringInput(20_000, 0, 0))))
                .containsIgnoringCase("too short")
                .doesNotContain("NaN");
    }
}

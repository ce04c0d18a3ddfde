package mildtilt.app.view;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import mildtilt.app.draw.SheetView;
import mildtilt.app.workbench.WorkStage;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.Pen;
import mildtilt.drawing.Sketch;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.job.PointId;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.DoubleWishbone;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is thought in a drag is not in a node. */
class DragTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();
    private final PointId joint = new PointId.JointCentre(1);

    @ParameterizedTest
    @EnumSource(Elevation.class)
    void draggedPointStaysUnderPointer(Elevation elevation) {
        SheetView view = SheetView.fitting(elevation, new Extent(-1200, 0, 400, 1100), 700, 400);
        Point from = JobPoints.position(demo, joint);
        Point to = new PointDrag(demo, joint).target(view, 40, -25, 1);
        assertThat(view.x(to) - view.x(from)).isCloseTo(40, within(view.pixelsPerMm()));
        assertThat(view.y(to) - view.y(from)).isCloseTo(-25, within(view.pixelsPerMm()));
        Job moved = new PointDrag(demo, joint).moved(demo, to);
        assertThat(JobPoints.position(moved, joint)).isEqualTo(to);
    }

    @Test
    void dragRoundsOnlyMovedAxes() {
        Job odd = JobPoints.moved(demo, joint, new Point(-285.37, 215.21, 535.68));
        SheetView view = SheetView.fitting(Elevation.SIDE, new Extent(-1200, 0, 400, 1100), 700, 400);
        Point to = new PointDrag(odd, joint).target(view, 10, 10, 1);
        assertThat(to.x()).isEqualTo(Math.rint(to.x()));
        assertThat(to.z()).isEqualTo(Math.rint(to.z()));
        assertThat(to.y()).isEqualTo(215.21);
        Point fine = new PointDrag(odd, joint).target(view, 10, 0, 0.1);
        assertThat(fine.x() * 10).isCloseTo(Math.rint(fine.x() * 10), within(1e-9));
        assertThat(fine.z()).isEqualTo(535.68);
    }

    /** Near to level with the joint before it a joint comes level with it, and says so; farther off it does not. */
    @Test
    void dragSnapsLevel() {
        SheetView view = SheetView.fitting(Elevation.SIDE, new Extent(-1200, 0, 400, 1100), 700, 400);
        Point from = JobPoints.position(demo, joint);
        Point upper = JobPoints.position(demo, new PointId.JointCentre(0));
        double down = (upper.z() - from.z()) * view.pixelsPerMm();
        PointDrag.Snapped near = new PointDrag(demo, joint).snapped(view, 3, -down + 3, 1);
        assertThat(near.at().z()).isEqualTo(upper.z());
        assertThat(near.words()).startsWith("level");
        assertThat(new PointDrag(demo, joint).snapped(view, 3, -down + 20, 1).words())
                .isEmpty();
    }

    /**
     * The inner end of a tie rod comes into line with the pivots of the arms, or its rod parallel with the lower arm.
     */
    @Test
    void tieRodEndSnapsToArms() {
        PointId inner = new PointId.InnerPivot(Side.LEFT);
        Job job = DemoJob.MARSH_CARRIER.job();
        SheetView view = SheetView.fitting(Elevation.FRONT, new Extent(-900, 0, 900, 900), 900, 450);
        DoubleWishbone w = (DoubleWishbone) job.axle().orElseThrow().left().suspension();
        Point lower = w.lowerInnerFront().midwayTo(w.lowerInnerRear());
        Point upper = w.upperInnerFront().midwayTo(w.upperInnerRear());
        Point from = JobPoints.position(job, inner);
        double t = (from.z() - lower.z()) / (upper.z() - lower.z());
        double wanted = lower.y() + t * (upper.y() - lower.y());
        PointDrag.Snapped s =
                new PointDrag(job, inner).snapped(view, (wanted - from.y()) * view.pixelsPerMm() + 2, 0, 1);
        assertThat(s.words()).contains("pivots of the arms");
        double at = (s.at().z() - lower.z()) / (upper.z() - lower.z());
        assertThat(s.at().y()).isCloseTo(lower.y() + at * (upper.y() - lower.y()), within(1e-9));
        assertThat(s.at().x()).isEqualTo(from.x());
    }

    @Test
    void zoomKeepsPointUnderPointer() {
        SheetView view = SheetView.fitting(Elevation.PLAN, new Extent(-900, -600, 900, 400), 600, 420);
        Point p = new Point(-100, 300, 50);
        double x = view.x(p);
        double y = view.y(p);
        SheetView near = view.zoomed(1.7, x, y);
        assertThat(near.pixelsPerMm()).isCloseTo(view.pixelsPerMm() * 1.7, within(1e-12));
        assertThat(near.x(p)).isCloseTo(x, within(1e-9));
        assertThat(near.y(p)).isCloseTo(y, within(1e-9));
        assertThat(view.moved(5, -8).x(p)).isCloseTo(x + 5, within(1e-9));
        assertThat(view.zoomed(1e9, 0, 0).pixelsPerMm()).isEqualTo(20);
    }

    @Test
    void showAllShowsEverything() {
        SteeringTrain train = new SteeringTrain(demo);
        Sketch sketch = Sketch.ofDesign(demo, train);
        for (WorkStage stage : WorkStage.values()) {
            for (Elevation e : Elevation.values()) {
                Sketch about = StageParts.of(stage, sketch);
                SheetView view = SheetView.fitting(e, Extent.of(about, e), 500, 300);
                about.strokes().forEach(s -> s.points().forEach(p -> {
                    assertThat(view.x(p)).isBetween(20.0, 480.0);
                    assertThat(view.y(p)).isBetween(20.0, 280.0);
                }));
            }
        }
        assertThat(StageParts.of(WorkStage.COLUMN, sketch).strokes()).noneMatch(s -> s.pen() == Pen.TYRE);
        assertThat(StageParts.of(WorkStage.LINKAGE, sketch).strokes()).noneMatch(s -> s.pen() == Pen.SHAFT);
        assertThat(StageParts.about(WorkStage.MAKE, new Element.Wheel())).isTrue();
        // A job without a column still fills the column stage with what there is.
        Job axleOnly = Job.of("a", new Plan(demo.vehicle(), Optional.empty(), demo.axle(), demo.targets()));
        Sketch axle = Sketch.ofDesign(axleOnly, new SteeringTrain(axleOnly));
        assertThat(StageParts.of(WorkStage.COLUMN, axle)).isEqualTo(axle);
    }
}

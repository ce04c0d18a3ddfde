package mildtilt.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.Knuckle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class JobPointsTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static RackAndPinion rack(Job job) {
        return (RackAndPinion) job.axle().orElseThrow().gear();
    }

    private Job ownRight() {
        SteeredAxle a = demo.axle().orElseThrow();
        return demo.withAxle(
                new SteeredAxle(a.gear(), a.linkage(), a.beam(), a.left(), Optional.of(a.corner(Side.RIGHT))));
    }

    @Test
    void movingAPointMovesOnlyTiedPoints() {
        for (Job job : List.of(demo, ownRight())) {
            boolean mirrored = job.axle().orElseThrow().ownRight().isEmpty();
            for (PointId id : JobPoints.of(job)) {
                Point to = JobPoints.position(job, id).plus(new Vector(3, 2, -4));
                Job moved = JobPoints.moved(job, id, to);
                assertThat(JobPoints.position(moved, id).distanceTo(to))
                        .as(id.toString())
                        .isLessThan(1e-9);
                assertThat(JobPoints.label(job, id)).isNotBlank();
                for (PointId other : JobPoints.of(job)) {
                    boolean tied = other.onLeft().equals(id.onLeft()) && mirrored
                            || isRack(other) && isRack(id)
                            || other.equals(id);
                    if (!tied) {
                        assertThat(JobPoints.position(moved, other))
                                .as(other + " when " + id + " moves")
                                .isEqualTo(JobPoints.position(job, other));
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everyPointMovesInEveryLinkage(DemoJob which) {
        Job job = which.job();
        for (PointId id : JobPoints.of(job)) {
            Point to = JobPoints.position(job, id).plus(new Vector(2, 1, -3));
            Job moved = JobPoints.moved(job, id, to);
            assertThat(JobPoints.position(moved, id).distanceTo(to))
                    .as(id.toString())
                    .isLessThan(1e-9);
            assertThat(JobPoints.label(job, id)).isNotBlank();
            assertThat(JobPoints.position(JobPoints.moved(moved, id, JobPoints.position(job, id)), id)
                            .distanceTo(JobPoints.position(job, id)))
                    .isLessThan(1e-9);
        }
        for (Element e : Element.trainOf(job)) {
            assertThat(Element.label(job, e)).isNotBlank();
            assertThat(JobPoints.of(job)).as(e.toString()).containsAll(Element.points(job, e));
        }
    }

    private static boolean isRack(PointId id) {
        return id instanceof PointId.GearCentre || id instanceof PointId.InnerPivot;
    }

    @Test
    void mirroredAxleMovesBothSides() {
        PointId right = new PointId.OnCorner(Side.RIGHT, CornerPoint.TIE_ROD_POINT);
        PointId left = right.onLeft();
        Point to = JobPoints.position(demo, right).plus(new Vector(10, -5, 0));
        assertThat(JobPoints.position(JobPoints.moved(demo, right, to), left)).isEqualTo(to.mirrored());
        Job own = ownRight();
        assertThat(JobPoints.position(JobPoints.moved(own, right, to), left)).isEqualTo(JobPoints.position(own, left));
    }

    @Test
    void rackStaysStraight() {
        PointId end = new PointId.InnerPivot(Side.LEFT);
        Job wider = JobPoints.moved(demo, end, JobPoints.position(demo, end).plus(new Vector(0, 12, 7)));
        assertThat(rack(wider).pivotSpacing()).isCloseTo(rack(demo).pivotSpacing() + 24, within(1e-9));
        assertThat(rack(wider).centre()).isEqualTo(rack(demo).centre().plus(new Vector(0, 0, 7)));
        assertThatThrownBy(() -> JobPoints.moved(demo, end, new Point(0, -300, 325)))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("pivot spacing");
    }

    @Test
    void wheelMoveKeepsToeAndCamber() {
        PointId wheel = new PointId.OnCorner(Side.LEFT, CornerPoint.WHEEL_CENTRE);
        Knuckle before = demo.axle().orElseThrow().left().knuckle();
        Knuckle after = JobPoints.moved(demo, wheel, before.wheelCentre().plus(new Vector(5, 20, 10)))
                .axle()
                .orElseThrow()
                .left()
                .knuckle();
        assertThat(after.spinAxisPoint()
                        .minus(after.wheelCentre())
                        .minus(before.spinAxisPoint().minus(before.wheelCentre()))
                        .norm())
                .isLessThan(1e-9);
    }

    @Test
    void trainListsElementsAndTheirPoints() {
        List<Element> train = Element.trainOf(demo);
        assertThat(train)
                .hasSize(12)
                .startsWith(new Element.Wheel(), new Element.Tube(), new Element.ShaftAt(0), new Element.JointAt(0))
                .endsWith(new Element.Knuckles(), new Element.Tyres());
        List<PointId> all = JobPoints.of(demo);
        for (Element e : Element.of(demo)) {
            assertThat(Element.points(demo, e)).isSubsetOf(all);
            assertThat(Element.points(demo, e).isEmpty()).as(e.toString()).isEqualTo(e instanceof Element.Tube);
            assertThat(Element.label(demo, e)).isNotBlank();
        }
        // Every point on the left is owned by some element, so that pressing it can select something.
        assertThat(all.stream().map(PointId::onLeft).distinct()).allMatch(id -> Element.of(demo).stream()
                .anyMatch(e -> Element.points(demo, e).contains(id)));
    }

    @Test
    void partialJobsHaveTheirOwnPoints() {
        Job columnOnly = Job.of("c", new Plan(demo.vehicle(), demo.column(), Optional.empty(), demo.targets()));
        assertThat(JobPoints.of(columnOnly)).hasSize(4);
        assertThatThrownBy(() -> JobPoints.position(columnOnly, new PointId.GearCentre()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no steered axle");
        assertThat(columnOnly.editAxle(a -> {
                    throw new AssertionError("there is none");
                }))
                .isSameAs(columnOnly);
        Job none = Job.of("n", new Plan(demo.vehicle(), Optional.empty(), Optional.empty(), demo.targets()));
        assertThat(JobPoints.of(none)).isEmpty();
        assertThat(Element.trainOf(none)).isEmpty();
    }

    @Test
    void recordsRefuseImpossibleSizes() {
        assertThatThrownBy(() -> demo.vehicle().withWheelbase(0)).hasMessageContaining("wheelbase");
        assertThatThrownBy(() -> demo.vehicle().withDroop(-1)).hasMessageContaining("negative");
        assertThatThrownBy(() -> demo.vehicle().withTyreWidth(Double.NaN)).hasMessageContaining("tyre width");
        assertThatThrownBy(() -> new Targets(10, 90, 60, 1)).hasMessageContaining("Ackermann");
        assertThatThrownBy(() -> new Targets(0, 60, 90, 1)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> rack(demo).withTravelPerLeftTurn(0)).hasMessageContaining("travel per turn");
        assertThatThrownBy(() -> rack(demo).withTravelEachWay(-3)).hasMessageContaining("each way");
        Column c = demo.column().orElseThrow();
        assertThatThrownBy(() -> c.wheel().withDiameter(0)).hasMessageContaining("diameter");
        assertThatThrownBy(() -> c.withShaft(0, c.shafts().get(0).withClockingDeg(5)))
                .hasMessageContaining("one fork");
        assertThatThrownBy(() -> c.withJoint(1, c.joints().get(1).withCentre(c.gearInput())))
                .hasMessageContaining("\"Pinion stub\"");
        assertThatThrownBy(() -> c.withTrain(c.shafts(), List.of(), List.of()))
                .hasMessageContaining("needs 1 shafts, but has 3");
    }
}

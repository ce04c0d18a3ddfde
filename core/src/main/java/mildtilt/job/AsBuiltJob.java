package mildtilt.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.PointId.GearCentre;
import mildtilt.job.PointId.InnerPivot;

/**
 * A job as it really stands rather than as drawn: each point where it is, and neither side the mirror image of the
 * other.
 */
public final class AsBuiltJob {

    private AsBuiltJob() {}

    /**
     * The points that can be off by themselves. A rack is where its two pivots are; a bearing is on its shaft; an
     * obstacle is off as a whole.
     */
    public static List<PointId> points(Job job) {
        return JobPoints.of(job).stream()
                .filter(id -> switch (id) {
                    case PointId.BearingMiddle _, PointId.DriverHip _, PointId.DriverHeel _ -> false;
                    case GearCentre _ -> !(job.axle().orElseThrow().gear() instanceof RackAndPinion);
                    case PointId.ObstaclePoint o -> o.point() == 0;
                    case PointId.Hub _,
                            PointId.JointCentre _,
                            PointId.GearInput _,
                            PointId.GearArmEnd _,
                            PointId.OnLinkage _,
                            PointId.OnBeam _,
                            PointId.OnCorner _ -> true;
                })
                .toList();
    }

    /** The same vehicle with a right side of its own, so that one side can be changed without the other. */
    public static Job sidesApart(Job job) {
        return job.axle()
                .map(a -> job.withAxle(a.withLinkage(a.linkage().sidesApart(a.gear()))
                        .withOwnRight(Optional.of(a.corner(Side.RIGHT)))))
                .orElse(job);
    }

    /**
     * The job with points put elsewhere, each by itself.
     *
     * @param by how far each point of {@link #points} is off, mm; one that is not there stays
     * @throws mildtilt.geometry.ImpossibleGeometryException if the parts can't be so
     */
    public static Job placed(Job job, Map<PointId, Vector> by) {
        Job apart = sidesApart(job);
        Map<PointId, Point> to = new HashMap<>();
        by.forEach((id, v) -> to.put(id, JobPoints.position(apart, id).plus(v)));
        Job placed = apart;
        // A pivot takes its arm along: it goes first, and the arm's end is then put where it is.
        List<PointId> order = new ArrayList<>(
                points(job).stream().filter(AsBuiltJob::carriesOthers).toList());
        order.addAll(points(job).stream().filter(id -> !carriesOthers(id)).toList());
        for (PointId id : order) {
            if (!by.containsKey(id) && !carried(id)) {
                continue;
            }
            placed = switch (id) {
                case InnerPivot p -> withInner(placed, p, to, JobPoints.position(apart, id));
                case PointId.ObstaclePoint o -> shifted(placed, o.index(), Objects.requireNonNull(by.get(id)));
                case PointId.Hub _,
                        PointId.JointCentre _,
                        PointId.GearInput _,
                        PointId.BearingMiddle _,
                        GearCentre _,
                        PointId.GearArmEnd _,
                        PointId.OnLinkage _,
                        PointId.OnBeam _,
                        PointId.DriverHip _,
                        PointId.DriverHeel _,
                        PointId.OnCorner _ ->
                    JobPoints.moved(placed, id, to.getOrDefault(id, JobPoints.position(apart, id)));
            };
        }
        return placed;
    }

    private static Job withInner(Job job, InnerPivot id, Map<PointId, Point> to, Point was) {
        if (job.axle().orElseThrow().gear() instanceof RackAndPinion rack) {
            // Both at once settle the rack; the left one stands for both.
            return id.side() == Side.LEFT ? withRack(job, rack, to) : job;
        }
        return JobPoints.moved(job, id, to.getOrDefault(id, was));
    }

    private static boolean carriesOthers(PointId id) {
        return id instanceof GearCentre
                || id instanceof PointId.GearArmEnd
                || id instanceof PointId.IdlerPivot
                || id instanceof PointId.CrankPivot
                || id instanceof PointId.RelayPivot;
    }

    /** Whether a pivot moves it, so that it must be put back although it is in place itself. */
    private static boolean carried(PointId id) {
        return id instanceof PointId.GearArmEnd
                || id instanceof PointId.IdlerEnd
                || id instanceof PointId.RelayLinkPoint
                || id instanceof PointId.RelayDragLinkPoint
                || id instanceof PointId.DrivenPoint
                || id instanceof PointId.ShuttleBushes
                || id instanceof InnerPivot;
    }

    private static Job withRack(Job job, RackAndPinion rack, Map<PointId, Point> to) {
        Point left = to.getOrDefault(new InnerPivot(Side.LEFT), rack.innerPivot(Side.LEFT, 0));
        Point right = to.getOrDefault(new InnerPivot(Side.RIGHT), rack.innerPivot(Side.RIGHT, 0));
        Vector along = left.minus(right);
        return job.editAxle(a -> a.withGear(rack.withCentre(left.midwayTo(right))
                .withAxis(along.direction())
                .withPivotSpacing(along.norm())));
    }

    private static Job shifted(Job job, int obstacle, Vector by) {
        return job.editSurroundings(
                s -> s.edit(obstacle, o -> o.withShape(o.shape().shifted(by))));
    }
}

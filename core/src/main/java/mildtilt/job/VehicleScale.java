package mildtilt.job;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;

/**
 * A vehicle like another, of other sizes: to begin one's own from. Across it grows with the track; lengthwise and up
 * with the wheel, so that the angles seen from
 * the side, caster among them, stay.
 *
 * @param track between the wheel centres, mm
 * @param wheelbase mm
 * @param tyre diameter, mm
 */
public record VehicleScale(double track, double wheelbase, double tyre) {

    /** @throws ImpossibleGeometryException if a size is not one of a vehicle */
    public VehicleScale {
        check("The track", track, 300, 4000);
        check("The wheelbase", wheelbase, 300, 20_000);
        check("The tyre's diameter", tyre, 150, 3000);
    }

    private static void check(String what, double mm, double least, double most) {
        if (!(mm >= least && mm <= most)) {
            throw new ImpossibleGeometryException(
                    what + " of a vehicle lies between " + (int) least + " and " + (int) most + " mm.");
        }
    }

    /** The sizes a job has. */
    public static Optional<VehicleScale> of(Job job) {
        return job.axle()
                .map(a -> new VehicleScale(
                        a.track(),
                        job.vehicle().wheelbase(),
                        2 * a.left().knuckle().wheelCentre().z()));
    }

    /**
     * The job at these sizes. Obstacles and driver are dropped: they belong to another vehicle.
     *
     * @throws ImpossibleGeometryException if a part can't be so small or so large
     */
    public Job apply(Job job) {
        VehicleScale was = of(job).orElseThrow(
                        () -> new ImpossibleGeometryException("A vehicle without an axle has no sizes to change."));
        double across = track / was.track;
        double along = tyre / was.tyre;
        Job bare = Job.of(job.title(), job.plan()).withAbout(job.about()).withRules(job.rules());
        Map<PointId, Vector> by = new HashMap<>();
        for (PointId id : AsBuiltJob.points(bare)) {
            Point p = JobPoints.position(bare, id);
            by.put(id, new Vector(p.x() * (along - 1), p.y() * (across - 1), p.z() * (along - 1)));
        }
        Job placed = AsBuiltJob.placed(bare, by);
        Vehicle v = job.vehicle();
        Vehicle vehicle = new Vehicle(
                wheelbase,
                v.bump() * along,
                v.droop() * along,
                v.normalBump() * along,
                v.normalDroop() * along,
                v.tyreWidth() * along,
                v.loads(),
                v.rearSteer());
        Job sized = placed.withVehicle(vehicle)
                .withAxle(mirrored(
                        bare.axle().orElseThrow(),
                        swing(bare.axle().orElseThrow(), travel(placed.axle().orElseThrow(), along))));
        return sized.column()
                .map(c -> sized.withColumn(bearings(job.column().orElseThrow(), c)))
                .orElse(sized);
    }

    /** As far as a box's arm swings, degrees. */
    private static final double MOST_SWING = 60;

    /** The gear's travel goes with the arms' length, a shuttle's with it. */
    private static SteeredAxle travel(SteeredAxle a, double along) {
        SteeredAxle geared = a.gear() instanceof RackAndPinion r
                ? a.withGear(r.withTravelPerLeftTurn(r.travelPerLeftTurn() * along)
                        .withTravelEachWay(r.travelEachWay() * along))
                : a;
        return geared.linkage() instanceof Shuttle s
                ? geared.withLinkage(s.withTravelEachWay(s.travelEachWay().map(t -> t * along))
                        .withBar(s.bar().map(b -> b.withSpan(b.span() * along))))
                : geared;
    }

    /** An arm on the knuckle that has grown more than the gear's needs so much more swing for the same lock. */
    private static SteeredAxle swing(SteeredAxle was, SteeredAxle a) {
        Optional<Double> more = lever(a).flatMap(now -> lever(was).map(before -> now / before));
        return more.map(m -> a.editArmGear(g -> g.withSweepEachWay(
                        Math.min(Math.max(MOST_SWING, g.sweepEachWayDeg()), g.sweepEachWayDeg() * m))))
                .orElse(a);
    }

    /** Of the arm that a drag link pushes on a knuckle, in lengths of the gear's arm. */
    private static Optional<Double> lever(SteeredAxle a) {
        return a.dragLinkSide().flatMap(_ -> a.armGear()).map(g -> KnuckleArm.DRAG_LINK.length(a) / g.armLength());
    }

    /** With the right side the mirror image again where it was one. */
    private static SteeredAxle mirrored(SteeredAxle was, SteeredAxle a) {
        return a.withLinkage(a.linkage().sidesAlike(was.linkage()))
                .withOwnRight(was.ownRight().map(_ -> a.corner(Side.RIGHT)));
    }

    /** Each at the same part of its shaft, the tube's too. */
    private static Column bearings(Column was, Column now) {
        List<Bearing> all = was.bearings().stream()
                .map(b -> b.on(b.shaft(), b.along() * length(now, b.shaft()) / length(was, b.shaft())))
                .toList();
        Column c = now.withTrain(now.shafts(), now.joints(), all);
        double part = length(now, 0) / length(was, 0);
        return was.tube()
                .map(t -> c.withTube(Optional.of(
                        new ColumnTube(t.outside(), t.from() * part, t.to() * part, t.collapse(), t.beyond()))))
                .orElse(c);
    }

    private static double length(Column c, int shaft) {
        return c.start(shaft).distanceTo(c.end(shaft));
    }
}

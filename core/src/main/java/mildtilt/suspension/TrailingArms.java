package mildtilt.suspension;

import java.util.LinkedHashMap;
import java.util.Optional;
import java.util.SequencedMap;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.withers.Withers;

/**
 * Two arms one above the other, trailing or leading, whose pivots run across the vehicle and are parallel. With ball
 * joints
 * at their ends the knuckle steers about the line through both; with link pins, parallel to the pivots, the arms hold a
 * carrier and the knuckle turns on a kingpin in it.
 *
 * @param pivotAxis along both arms' pivots, toward the left
 * @param lowerPivot a point on the lower arm's pivot, level with its end across the vehicle, mm
 * @param lowerEnd centre of the lower arm's ball joint or link pin, mm
 * @param upperPivot a point on the upper arm's pivot, mm
 * @param upperEnd centre of the upper arm's ball joint or link pin, mm
 * @param kingpin of the carrier; empty with ball joints
 */
@Withers
public record TrailingArms(
        Direction pivotAxis,
        Point lowerPivot,
        Point lowerEnd,
        Point upperPivot,
        Point upperEnd,
        Optional<Kingpin> kingpin)
        implements Suspension, TrailingArmsBuilder.With {

    private static final double SHORTEST = 10;

    /** @throws ImpossibleGeometryException naming what can't be */
    public TrailingArms {
        if (Math.abs(pivotAxis.y()) < Math.sqrt(0.5)) {
            throw new ImpossibleGeometryException(
                    "Trailing arms turn on pivots that run across the vehicle: an axis of 0, 1, 0 or near it.");
        }
        mustHaveLength("lower", new Axis(lowerPivot, pivotAxis), lowerEnd);
        mustHaveLength("upper", new Axis(upperPivot, pivotAxis), upperEnd);
        if (!(upperEnd.z() - lowerEnd.z() >= SHORTEST)) {
            throw new ImpossibleGeometryException("The upper trailing arm's end must stand above the lower one's.");
        }
        if (new Axis(lowerEnd, pivotAxis).distanceTo(upperEnd) < SHORTEST) {
            throw new ImpossibleGeometryException("The trailing arms' ends lie on one line along their pivots.");
        }
    }

    private static void mustHaveLength(String which, Axis pivot, Point end) {
        if (pivot.distanceTo(end) < SHORTEST) {
            throw new ImpossibleGeometryException(
                    "The " + which + " trailing arm has no length: its end lies on its pivot.");
        }
    }

    private static final double PIN_OUTBOARD = 25;

    /** Link pins, with a kingpin between both arms' ends, a little toward the wheel. */
    public TrailingArms withUsualKingpin(Point wheelCentre) {
        Vector out = new Vector(0, Math.signum(wheelCentre.y()) * PIN_OUTBOARD, 0);
        return withKingpin(Optional.of(new Kingpin(lowerEnd.plus(out), upperEnd.plus(out))));
    }

    public Axis lowerAxis() {
        return new Axis(lowerPivot, pivotAxis);
    }

    public Axis upperAxis() {
        return new Axis(upperPivot, pivotAxis);
    }

    /** How what both arms' ends hold has gone: in the plane square to the pivots. */
    RigidMove carrierMove(Point lowerNow, Point upperNow) {
        Orbit about = Orbit.of(new Axis(lowerEnd, pivotAxis), upperEnd);
        double turned = about.angleOf(upperNow.plus(lowerEnd.minus(lowerNow)));
        return RigidMove.about(new Axis(lowerEnd, pivotAxis), turned).then(RigidMove.by(lowerNow.minus(lowerEnd)));
    }

    /** The lower arm's end as it stands, by two points of the steer axis as they stand. */
    public Point lowerEndAt(KnucklePose now) {
        return kingpin.map(k -> carrierMove(k, now).point(lowerEnd)).orElse(now.steerAxisLow());
    }

    /** The same of the upper arm. */
    public Point upperEndAt(KnucklePose now) {
        return kingpin.map(k -> carrierMove(k, now).point(upperEnd)).orElse(now.steerAxisHigh());
    }

    /**
     * The kingpin stands upright, so that its own slant in the plane of the arms tells how far the carrier has turned.
     */
    private RigidMove carrierMove(Kingpin pin, KnucklePose now) {
        Orbit about = Orbit.of(new Axis(pin.lower(), pivotAxis), pin.upper());
        double turned = about.angleOf(now.steerAxisHigh().plus(pin.lower().minus(now.steerAxisLow())));
        return RigidMove.about(new Axis(pin.lower(), pivotAxis), turned)
                .then(RigidMove.by(now.steerAxisLow().minus(pin.lower())));
    }

    @Override
    public TrailingArms mirrored() {
        return new TrailingArms(
                // Toward the left on both sides.
                pivotAxis.mirrored().reversed(),
                lowerPivot.mirrored(),
                lowerEnd.mirrored(),
                upperPivot.mirrored(),
                upperEnd.mirrored(),
                kingpin.map(Kingpin::mirrored));
    }

    @Override
    public Axis steerAxis() {
        return kingpin.map(Kingpin::steerAxis).orElseGet(() -> Axis.through(lowerEnd, upperEnd));
    }

    @Override
    public SequencedMap<CornerPoint, Point> points() {
        SequencedMap<CornerPoint, Point> all = new LinkedHashMap<>();
        kingpin.ifPresent(k -> all.putAll(k.points()));
        all.put(CornerPoint.LOWER_ARM_END, lowerEnd);
        all.put(CornerPoint.UPPER_ARM_END, upperEnd);
        all.put(CornerPoint.LOWER_ARM_PIVOT, lowerPivot);
        all.put(CornerPoint.UPPER_ARM_PIVOT, upperPivot);
        return all;
    }

    @Override
    public TrailingArms withPoint(CornerPoint which, Point p) {
        return new TrailingArms(
                pivotAxis,
                which == CornerPoint.LOWER_ARM_PIVOT ? p : lowerPivot,
                which == CornerPoint.LOWER_ARM_END ? p : lowerEnd,
                which == CornerPoint.UPPER_ARM_PIVOT ? p : upperPivot,
                which == CornerPoint.UPPER_ARM_END ? p : upperEnd,
                kingpin.map(k -> k.withPoint(which, p)));
    }
}

package mildtilt.obstacle;

import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;
import mildtilt.withers.Withers;

/**
 * Who sits at the wheel, by a few simple measures.
 *
 * @param hip midway between the hip joints as seated, mm
 * @param heel where the heels rest on the floor, midway between them, mm
 * @param thigh from hip joint to knee joint, mm
 * @param shin from knee joint to the heel, mm
 * @param kneesApart between the knees' middles, mm
 */
@Withers
public record Driver(Point hip, Point heel, double thigh, double shin, double kneesApart)
        implements DriverBuilder.With {

    /** Of a leg about its bones at the knee, mm. */
    public static final double LEG_RADIUS = 62;

    /** How far a closed hand's knuckles stand out from the middle of the rim, mm. */
    public static final double KNUCKLES = 48;

    /** @throws ImpossibleGeometryException if a measure can't be, or the legs do not reach the floor */
    public Driver {
        if (!(thigh > 0 && shin > 0 && kneesApart >= 0)) {
            throw new ImpossibleGeometryException(
                    "The driver's thigh and shin must be above 0, and the knees can't be less than 0 apart.");
        }
        double reach = hip.distanceTo(heel);
        if (reach >= thigh + shin || reach <= Math.abs(thigh - shin)) {
            throw new ImpossibleGeometryException(
                    "Thigh and shin do not go from the hip to the heel as given: correct a length, the seat or the heel.");
        }
    }

    /** Of middling size on a seat behind a wheel. */
    public static Driver behind(Point hub) {
        Point hip = new Point(hub.x() - 420, hub.y(), hub.z() - 330);
        return new Driver(hip, new Point(hip.x() + 760, hip.y(), hip.z() - 260), 440, 500, 280);
    }

    /** The knee bends up: the circle of the thigh met with that of the shin, in the upright plane of the leg. */
    public Point knee(Side side) {
        Vector out = new Vector(0, side.sign() * kneesApart / 2, 0);
        Vector w = heel.minus(hip);
        double d = w.norm();
        double along = (thigh * thigh - shin * shin + d * d) / (2 * d);
        double up = Math.sqrt(Math.max(0, thigh * thigh - along * along));
        Vector u = w.times(1 / d);
        Vector lift = Vector.Z.minus(u.times(u.z()));
        Vector v = lift.norm() > 1e-9 ? lift.direction().vector() : Vector.X;
        return hip.plus(u.times(along)).plus(v.times(up)).plus(out);
    }

    /** Thigh and shin. */
    public Solid leg(Side side) {
        Vector hips = new Vector(0, side.sign() * 90, 0);
        Vector feet = new Vector(0, side.sign() * Math.min(120, kneesApart / 2), 0);
        Point knee = knee(side);
        // Toward the foot a leg is slimmer.
        return new Solid.Parts(List.of(
                Convex.bar(hip.plus(hips), knee, LEG_RADIUS),
                Convex.bar(knee, knee.midwayTo(heel.plus(feet)), LEG_RADIUS),
                Convex.bar(knee.midwayTo(heel.plus(feet)), heel.plus(feet), LEG_RADIUS * 0.75)));
    }

    public Driver withMeasures(double thighMm, double shinMm, double apart) {
        return new Driver(hip, heel, thighMm, shinMm, apart);
    }
}

package mildtilt.obstacle;

import java.util.List;
import java.util.Optional;
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
 * @param trunk from hip joint to shoulder joint, mm
 * @param leanDeg how far the trunk leans back from upright, degrees; below 0 forward
 * @param arm from shoulder joint to the middle of the closed hand, as far as the driver reaches, mm
 * @param pedals that the feet turn; empty where the heels rest on the floor
 */
@Withers
public record Driver(
        Point hip,
        Point heel,
        double thigh,
        double shin,
        double kneesApart,
        double trunk,
        double leanDeg,
        double arm,
        Optional<Pedals> pedals)
        implements DriverBuilder.With {

    /** From hip joint to shoulder joint, of middling size, mm. */
    public static final double USUAL_TRUNK = 470;
    /** From shoulder joint to the middle of a closed hand, arm all but straight, mm. */
    public static final double USUAL_ARM = 600;

    public static final double USUAL_LEAN = 15;
    private static final double SHOULDERS_APART = 340;
    private static final double HIPS_APART = 180;

    /**
     * Cranks that both feet turn.
     *
     * @param axle their middle, mm
     * @param crank from there to a pedal, mm
     * @param apart between the feet's middles, mm
     */
    public record Pedals(Point axle, double crank, double apart) {

        /** @throws ImpossibleGeometryException if a size can't be */
        public Pedals {
            if (!(crank > 0 && apart >= 0)) {
                throw new ImpossibleGeometryException(
                        "The pedals' cranks must be above 0, and the feet can't be less than 0 apart.");
            }
        }

        /** Where a foot is. @param part of a turn gone, 0 to 1; the left foot begins ahead, the right one behind */
        Point foot(Side side, double part) {
            double turned = 2 * Math.PI * part + (side == Side.LEFT ? 0 : Math.PI);
            return axle.plus(new Vector(crank * Math.cos(turned), side.sign() * apart / 2, -crank * Math.sin(turned)));
        }
    }

    /** With trunk, arms and floor of a usual driver. */
    public Driver(Point hip, Point heel, double thigh, double shin, double kneesApart) {
        this(hip, heel, thigh, shin, kneesApart, USUAL_TRUNK, USUAL_LEAN, USUAL_ARM, Optional.empty());
    }

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
        if (!(trunk > 0 && arm > 0 && Math.abs(leanDeg) <= 90)) {
            throw new ImpossibleGeometryException(
                    "The driver's trunk and arm must be above 0, and the trunk leans by no more than 90 degrees.");
        }
        pedals.ifPresent(p -> mustReach(hip, p, thigh, shin));
        double reach = hip.distanceTo(heel);
        if (pedals.isEmpty() && (reach >= thigh + shin || reach <= Math.abs(thigh - shin))) {
            throw new ImpossibleGeometryException(
                    "Thigh and shin do not go from the hip to the heel as given: correct a length, the seat or the heel.");
        }
    }

    private static void mustReach(Point hip, Pedals p, double thigh, double shin) {
        double level = Math.hypot(p.axle.x() - hip.x(), p.axle.z() - hip.z());
        double farthest = Math.hypot(level + p.crank, p.axle.y() - hip.y());
        if (farthest >= thigh + shin || level - p.crank <= Math.abs(thigh - shin)) {
            throw new ImpossibleGeometryException(
                    "The driver's legs do not reach right round the pedals: correct a length, the seat or the pedals.");
        }
    }

    /** With pedals of usual size where the heels were. */
    public Driver onUsualPedals() {
        return withPedals(Optional.of(new Pedals(heel.plus(new Vector(-60, 0, 60)), 150, 200)));
    }

    /** The shoulder joint of a side. */
    public Point shoulder(Side side) {
        double lean = Math.toRadians(leanDeg);
        return hip.plus(new Vector(-trunk * Math.sin(lean), side.sign() * SHOULDERS_APART / 2, trunk * Math.cos(lean)));
    }

    /** Of middling size on a seat behind a wheel. */
    public static Driver behind(Point hub) {
        Point hip = new Point(hub.x() - 420, hub.y(), hub.z() - 330);
        return new Driver(hip, new Point(hip.x() + 760, hip.y(), hip.z() - 260), 440, 500, 280);
    }

    /** The knee bends up: the circle of the thigh met with that of the shin, in the upright plane of the leg. */
    public Point knee(Side side) {
        return knee(side, heel);
    }

    /** @param foot midway between the feet's middles across, mm */
    private Point knee(Side side, Point foot) {
        Vector out = new Vector(0, side.sign() * kneesApart / 2, 0);
        Vector w = foot.minus(hip);
        double d = w.norm();
        double along = (thigh * thigh - shin * shin + d * d) / (2 * d);
        double up = Math.sqrt(Math.max(0, thigh * thigh - along * along));
        Vector u = w.times(1 / d);
        Vector lift = Vector.Z.minus(u.times(u.z()));
        Vector v = lift.norm() > 1e-9 ? lift.direction().vector() : Vector.X;
        return hip.plus(u.times(along)).plus(v.times(up)).plus(out);
    }

    /** Thigh and shin, at the beginning of a turn of the pedals if there are any. */
    public Solid leg(Side side) {
        return leg(side, 0);
    }

    /** @param part of a turn of the pedals gone, 0 to 1 */
    public Solid leg(Side side, double part) {
        List<Point> at = legPoints(side, part);
        Point knee = at.get(1);
        Point foot = at.get(2);
        // Toward the foot a leg is slimmer.
        return new Solid.Parts(List.of(
                Convex.bar(at.getFirst(), knee, LEG_RADIUS),
                Convex.bar(knee, knee.midwayTo(foot), LEG_RADIUS),
                Convex.bar(knee.midwayTo(foot), foot, LEG_RADIUS * 0.75)));
    }

    /** Hip joint, knee and foot. @param part of a turn of the pedals gone, 0 to 1 */
    public List<Point> legPoints(Side side, double part) {
        Point hips = hip.plus(new Vector(0, side.sign() * HIPS_APART / 2, 0));
        if (pedals.isEmpty()) {
            Vector feet = new Vector(0, side.sign() * Math.min(120, kneesApart / 2), 0);
            return List.of(hips, knee(side), heel.plus(feet));
        }
        Point foot = pedals.get().foot(side, part);
        return List.of(hips, knee(side, new Point(foot.x(), pedals.get().axle.y(), foot.z())), foot);
    }

    public Driver withMeasures(double thighMm, double shinMm, double apart) {
        return new Driver(hip, heel, thighMm, shinMm, apart, trunk, leanDeg, arm, pedals);
    }
}

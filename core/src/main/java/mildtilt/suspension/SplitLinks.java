package mildtilt.suspension;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.stream.Stream;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.withers.Withers;

/**
 * A knuckle whose lower arm is two separate links, each with a joint of its own at the knuckle, and whose upper end is
 * held
 * by two links as well or by a strut. It steers about no joint: the steer axis is the line that meets the lines of all
 * the
 * links, and it moves in the knuckle as the wheel is turned. Where both links of a pair end in one joint they are an
 * arm.
 *
 * @param lowerFront of the lower links the one whose frame end is further forward
 * @param lowerRear the other lower link
 * @param upper what holds the knuckle's upper end
 */
@Withers
public record SplitLinks(SuspensionLink lowerFront, SuspensionLink lowerRear, Upper upper)
        implements Suspension, SplitLinksBuilder.With {

    /** What holds the knuckle's upper end. */
    public sealed interface Upper {

        /** Two links; an arm where they end in one joint. */
        record TwoLinks(SuspensionLink front, SuspensionLink rear) implements Upper {}

        /**
         * A strut that slides through the knuckle.
         *
         * @param topMount on the frame, mm
         * @param axisLowerPoint a second point on the strut's axis, fixed to the knuckle, mm
         */
        record StrutTop(Point topMount, Point axisLowerPoint) implements Upper {

            Axis axis() {
                return Axis.through(axisLowerPoint, topMount);
            }
        }

        default Upper mirrored() {
            return switch (this) {
                case TwoLinks t -> new TwoLinks(t.front.mirrored(), t.rear.mirrored());
                case StrutTop s -> new StrutTop(s.topMount.mirrored(), s.axisLowerPoint.mirrored());
            };
        }

        /** The links of it; none of a strut. */
        default List<SuspensionLink> links() {
            return switch (this) {
                case TwoLinks t -> List.of(t.front, t.rear);
                case StrutTop _ -> List.of();
            };
        }

        /** Height at which the knuckle is held, mm. */
        default double height() {
            return switch (this) {
                case TwoLinks t -> (t.front.outer().z() + t.rear.outer().z()) / 2;
                case StrutTop s -> s.topMount.z();
            };
        }
    }

    private static final double LEAST_APART = 1;

    /** @throws ImpossibleGeometryException naming what can't be */
    public SplitLinks {
        if (!(upper.height() - (lowerFront.outer().z() + lowerRear.outer().z()) / 2 >= LEAST_APART)) {
            throw new ImpossibleGeometryException(
                    "What holds a knuckle's upper end must stand above the lower links' joints.");
        }
        if (lowerFront.inner().distanceTo(lowerRear.inner()) < LEAST_APART) {
            throw new ImpossibleGeometryException("Both lower links begin in one place on the frame.");
        }
        if (upper instanceof Upper.TwoLinks t && t.front.inner().distanceTo(t.rear.inner()) < LEAST_APART) {
            throw new ImpossibleGeometryException("Both upper links begin in one place on the frame.");
        }
        if (upper instanceof Upper.StrutTop s && s.topMount.distanceTo(s.axisLowerPoint) < LEAST_APART) {
            throw new ImpossibleGeometryException("The strut's two points are in one place.");
        }
        if (SteerTwist.of(lowerFront, lowerRear, upper, RigidMove.NONE).isEmpty()) {
            throw new ImpossibleGeometryException(
                    "The links leave the knuckle no upright axis to steer about: two of them lie in one line, or all are parallel.");
        }
    }

    /** An arm as two links that end in its ball joint. */
    static List<SuspensionLink> ofArm(Point innerFront, Point innerRear, Point ballJoint) {
        return List.of(new SuspensionLink(innerFront, ballJoint), new SuspensionLink(innerRear, ballJoint));
    }

    /** What moves the same: each arm as two links that end in its ball joint. */
    public static SplitLinks of(DoubleWishbone w) {
        List<SuspensionLink> low = ofArm(w.lowerInnerFront(), w.lowerInnerRear(), w.lowerBallJoint());
        List<SuspensionLink> high = ofArm(w.upperInnerFront(), w.upperInnerRear(), w.upperBallJoint());
        return new SplitLinks(low.getFirst(), low.getLast(), new Upper.TwoLinks(high.getFirst(), high.getLast()));
    }

    /** What moves the same: the arm as two links that end in its ball joint. */
    public static SplitLinks of(Strut s) {
        List<SuspensionLink> low = ofArm(s.lowerInnerFront(), s.lowerInnerRear(), s.lowerBallJoint());
        return new SplitLinks(low.getFirst(), low.getLast(), new Upper.StrutTop(s.topMount(), s.axisLowerPoint()));
    }

    /** With arms again, their ball joints midway between the joints of the two links. */
    public Suspension withArms() {
        Point low = lowerFront.outer().midwayTo(lowerRear.outer());
        return switch (upper) {
            case Upper.TwoLinks t ->
                new DoubleWishbone(
                        lowerFront.inner(),
                        lowerRear.inner(),
                        low,
                        t.front.inner(),
                        t.rear.inner(),
                        t.front.outer().midwayTo(t.rear.outer()));
            case Upper.StrutTop s ->
                new Strut(lowerFront.inner(), lowerRear.inner(), low, s.topMount, s.axisLowerPoint);
        };
    }

    /** All of them, the lower ones first. */
    public List<SuspensionLink> links() {
        return Stream.concat(Stream.of(lowerFront, lowerRear), upper.links().stream())
                .toList();
    }

    /** Height at which the lower links hold the knuckle, mm. */
    double lowHeight() {
        return (lowerFront.outer().z() + lowerRear.outer().z()) / 2;
    }

    @Override
    public SplitLinks mirrored() {
        return new SplitLinks(lowerFront.mirrored(), lowerRear.mirrored(), upper.mirrored());
    }

    @Override
    public Axis steerAxis() {
        Axis axis = SteerTwist.of(lowerFront, lowerRear, upper, RigidMove.NONE).orElseThrow();
        return Axis.through(axis.atHeight(lowHeight()), axis.atHeight(upper.height()));
    }

    /** The steer axis may lie outside of the knuckle: what is made of metal begins between its joints. */
    @Override
    public Point root(KnucklePose now, Point end) {
        return now.carried(lowerFront.outer().midwayTo(lowerRear.outer()));
    }

    @Override
    public SequencedMap<CornerPoint, Point> points() {
        SequencedMap<CornerPoint, Point> all = new LinkedHashMap<>();
        all.put(CornerPoint.LOWER_FRONT_OUTER, lowerFront.outer());
        all.put(CornerPoint.LOWER_REAR_OUTER, lowerRear.outer());
        switch (upper) {
            case Upper.TwoLinks t -> {
                all.put(CornerPoint.UPPER_FRONT_OUTER, t.front.outer());
                all.put(CornerPoint.UPPER_REAR_OUTER, t.rear.outer());
                all.put(CornerPoint.UPPER_INNER_FRONT, t.front.inner());
                all.put(CornerPoint.UPPER_INNER_REAR, t.rear.inner());
            }
            case Upper.StrutTop s -> {
                all.put(CornerPoint.STRUT_LOWER, s.axisLowerPoint);
                all.put(CornerPoint.STRUT_TOP, s.topMount);
            }
        }
        all.put(CornerPoint.LOWER_INNER_FRONT, lowerFront.inner());
        all.put(CornerPoint.LOWER_INNER_REAR, lowerRear.inner());
        return all;
    }

    @Override
    public SplitLinks withPoint(CornerPoint which, Point p) {
        Upper held =
                switch (upper) {
                    case Upper.TwoLinks t ->
                        new Upper.TwoLinks(
                                link(t.front, which, CornerPoint.UPPER_INNER_FRONT, CornerPoint.UPPER_FRONT_OUTER, p),
                                link(t.rear, which, CornerPoint.UPPER_INNER_REAR, CornerPoint.UPPER_REAR_OUTER, p));
                    case Upper.StrutTop s ->
                        new Upper.StrutTop(
                                which == CornerPoint.STRUT_TOP ? p : s.topMount,
                                which == CornerPoint.STRUT_LOWER ? p : s.axisLowerPoint);
                };
        return new SplitLinks(
                link(lowerFront, which, CornerPoint.LOWER_INNER_FRONT, CornerPoint.LOWER_FRONT_OUTER, p),
                link(lowerRear, which, CornerPoint.LOWER_INNER_REAR, CornerPoint.LOWER_REAR_OUTER, p),
                held);
    }

    private static SuspensionLink link(
            SuspensionLink l, CornerPoint which, CornerPoint inner, CornerPoint outer, Point p) {
        return which == inner ? l.withInner(p) : which == outer ? l.withOuter(p) : l;
    }
}

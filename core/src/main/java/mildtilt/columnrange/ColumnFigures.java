package mildtilt.columnrange;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mildtilt.bearings.CoupleLoad;
import mildtilt.bearings.FixedAxes;
import mildtilt.bearings.ForcedBearing;
import mildtilt.bearings.OutOfLine;
import mildtilt.bearings.Span;
import mildtilt.bearings.Supports;
import mildtilt.clocking.BestClocking;
import mildtilt.clocking.EvenFeel;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Transfer;
import mildtilt.job.Job;
import mildtilt.lazy.Lazy;
import mildtilt.rules.Rules;
import mildtilt.shaftload.ShaftLoad;

/**
 * Everything worked out of a column by itself.
 *
 * @param jointAnglesDeg operating angle of each joint
 * @param limitsDeg what each joint allows, and the rule set with it
 * @param shaftLengths between centres, mm
 * @param cutLengths of every shaft, whether cut or used as it comes, mm
 * @param turning how it turns; empty if a joint stands so far over that it can't
 * @param range over the wheel's adjustment and the frame's movement
 * @param spans longest unsupported stretch of each shaft
 * @param forced bearings that the frame's movement or the wheel's tilt carries their shaft away from
 * @param couples what the joints' angles make every bearing carry under a heavy pull; empty if a joint is locked
 * @param axes empty where neither the column's nor the gear's axis is measured
 * @param load under a heavy pull; empty if a joint is locked
 * @param tilt what turning the rack about its own axis does; empty where there is no rack or no joint to follow it
 * @param following what the axle's travel does to it; empty where the gear is on the frame
 */
public record ColumnFigures(
        List<Double> jointAnglesDeg,
        List<Double> limitsDeg,
        List<Double> shaftLengths,
        List<Double> cutLengths,
        Optional<Turning> turning,
        ColumnRange range,
        Supports supports,
        List<Span> spans,
        List<OutOfLine> outOfLine,
        List<ForcedBearing> forced,
        List<CoupleLoad> couples,
        Optional<FixedAxes> axes,
        Optional<ShaftLoad.All> load,
        FrontPush push,
        Lazy<Optional<GearTilt>> tilt,
        Optional<AxleFollowing> following) {

    /**
     * @param transfer output against input
     * @param best the least ripple with each fork set as its shaft allows
     * @param bestEach index i: the best for the shaft between joints i and i+1 alone, the others as they are
     * @param shares what each joint adds
     */
    public record Turning(
            Transfer transfer, BestClocking best, List<BestClocking> bestEach, List<Share> shares, EvenFeel feel) {}

    /**
     * One joint's part in the ripple.
     *
     * @param ownPct what it would give by itself, percent
     * @param withoutPct what would be left if it alone were even, percent
     */
    public record Share(double ownPct, double withoutPct) {}

    public static ColumnFigures of(Job job) {
        Column column = job.column().orElseThrow();
        ColumnTrain train = new ColumnTrain(column);
        int joints = column.joints().size();
        int shafts = column.shafts().size();
        Optional<ShaftLoad.All> load = ShaftLoad.of(train, job.rules().heavyPull());
        return new ColumnFigures(
                IntStream.range(0, joints).mapToObj(train::jointAngleDeg).toList(),
                column.joints().stream().map(j -> limitDeg(j, job.rules())).toList(),
                IntStream.range(0, shafts).mapToObj(column::length).toList(),
                IntStream.range(0, shafts).mapToObj(column::cutLength).toList(),
                train.transfer()
                        .map(t -> new Turning(
                                t,
                                BestClocking.asMade(train),
                                IntStream.range(1, Math.max(1, joints))
                                        .mapToObj(s -> BestClocking.ofOne(train, s))
                                        .toList(),
                                IntStream.range(0, joints)
                                        .mapToObj(j -> new Share(train.ownRipplePct(j), train.rippleWithoutPct(j)))
                                        .toList(),
                                EvenFeel.of(train).orElseThrow())),
                ColumnRange.of(job),
                Supports.of(column),
                IntStream.range(0, shafts)
                        .mapToObj(s -> Span.longest(column, s))
                        .toList(),
                OutOfLine.of(column),
                ForcedBearing.of(column),
                load.map(l -> CoupleLoad.of(
                                column,
                                l.shafts().stream()
                                        .mapToDouble(ShaftLoad::torque)
                                        .toArray(),
                                IntStream.range(0, joints)
                                        .mapToDouble(j -> Math.toRadians(train.jointAngleDeg(j)))
                                        .toArray()))
                        .orElse(List.of()),
                FixedAxes.of(column),
                load,
                FrontPush.of(column),
                Lazy.of(() -> GearTilt.of(job)),
                AxleFollowing.of(job));
    }

    /**
     * The least that any joint is inside its limit over the whole range, degrees. Where one is over it as planned
     * already, the figure is that one's: the range is not gone through.
     */
    public static double spareDeg(Job job) {
        Column c = job.column().orElseThrow();
        Rules rules = job.rules();
        double planned = Double.POSITIVE_INFINITY;
        for (int i = 0; i < c.joints().size(); i++) {
            double now = Math.toDegrees(c.axis(i).angleTo(c.axis(i + 1)));
            planned = Math.min(planned, limitDeg(c.joints().get(i), rules) - now);
        }
        if (planned < 0) {
            return planned;
        }
        ColumnRange range = ColumnRange.of(job);
        return IntStream.range(0, c.joints().size())
                .mapToDouble(i -> limitDeg(c.joints().get(i), rules)
                        - range.joints().get(i).worstDeg())
                .min()
                .orElse(planned);
    }

    /** The largest angle a joint may stand at: its own, and no more than the rules allow any single joint. */
    public static double limitDeg(Joint joint, Rules rules) {
        return joint.kind() instanceof JointKind.Single
                ? Math.min(joint.maxAngleDeg(), rules.jointDeg())
                : joint.maxAngleDeg();
    }
}

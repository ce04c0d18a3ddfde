package mildtilt.arms;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.ArmTieRods;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.SwingArm;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.Knuckle;

/** Jobs with their knuckles changed. Each is a function Job → Job; a job without an axle stays as it is. */
public final class KnuckleEdits {

    private KnuckleEdits() {}

    /**
     * One arm changed; where the right side is the mirror of the left, both sides' steering arms are.
     *
     * @throws ImpossibleGeometryException if the arm can't be so
     */
    public static Job changed(Job job, KnuckleArm arm, KnuckleChange change) {
        return job.editAxle(a -> {
            ArmFrame frame = ArmFrame.of(a, arm);
            return arm.with(a, arm.end(a).plus(frame.move(change)), arm.stud(a).map(b -> frame.turned(b, change)));
        });
    }

    /** What was done to one arm between two jobs. */
    public static KnuckleChange between(Job from, Job to, KnuckleArm arm) {
        SteeredAxle was = from.axle().orElseThrow();
        SteeredAxle is = to.axle().orElseThrow();
        return ArmFrame.of(was, arm).toward(arm.end(was), arm.end(is), arm.stud(was), arm.stud(is));
    }

    /** A job with one arm as a change makes it from another job's arm. */
    public static Job changedFrom(Job hand, Job job, KnuckleArm arm, KnuckleChange change) {
        SteeredAxle made = changed(hand, arm, change).axle().orElseThrow();
        return job.editAxle(a -> arm.with(a, arm.end(made), arm.stud(made)));
    }

    /** The steering arms that are described each by itself: the left one alone where the right is its mirror image. */
    public static List<KnuckleArm> steeringArms(Job job) {
        return job.axle().flatMap(SteeredAxle::ownRight).isPresent()
                ? List.of(KnuckleArm.LEFT_STEERING, KnuckleArm.RIGHT_STEERING)
                : List.of(KnuckleArm.LEFT_STEERING);
    }

    /** Both sides' arms changed alike. */
    public static Job changedBoth(Job job, KnuckleChange change) {
        Job left = changed(job, KnuckleArm.LEFT_STEERING, change);
        boolean mirrored = job.axle().map(a -> a.ownRight().isEmpty()).orElse(true);
        return mirrored ? left : changed(left, KnuckleArm.RIGHT_STEERING, change);
    }

    /**
     * The left knuckle fitted on the right and the right one on the left: arms that pointed back now point ahead. The
     * suspension's points stay; the wheel is taken to stand as it did.
     */
    public static Job swapSides(Job job) {
        return job.editAxle(a -> {
            Corner left = withKnuckleOf(a.corner(Side.LEFT), a.corner(Side.RIGHT));
            Optional<Corner> right = a.ownRight().map(r -> withKnuckleOf(r, a.corner(Side.LEFT)));
            SteeredAxle swapped = a.withLeft(left).withOwnRight(right);
            return a.linkage() instanceof DragLink d && d.attachment() instanceof Attachment.OnKnuckle k
                    ? swapped.withLinkage(d.withAttachment(new Attachment.OnKnuckle(
                            k.side().other(),
                            reflected(
                                    k.point().mirrored(),
                                    swapped.corner(k.side().other())))))
                    : swapped;
        });
    }

    /** This corner with the arm of the other side's knuckle, which comes as its mirror image turned half round. */
    private static Corner withKnuckleOf(Corner here, Corner other) {
        Corner mirrored = other.mirrored();
        Knuckle k = here.knuckle().withTieRodPoint(reflected(mirrored.knuckle().tieRodPoint(), here));
        RodEnds ends = here.rodEnds();
        return here.withKnuckle(k)
                .withRodEnds(ends.withOuterBolt(mirrored.rodEnds().outerBolt().map(b -> reflected(b, here))));
    }

    /** A point of a knuckle reflected in the plane of its steer axis and spindle. */
    private static Point reflected(Point p, Corner corner) {
        Axis steer = corner.suspension().steerAxis();
        Direction normal = normal(corner);
        return p.plus(normal.times(-2 * normal.dot(p.minus(steer.origin()))));
    }

    private static Direction reflected(Direction d, Corner corner) {
        Direction normal = normal(corner);
        return d.vector().plus(normal.times(-2 * normal.dot(d.vector()))).direction();
    }

    private static Direction normal(Corner corner) {
        Knuckle k = corner.knuckle();
        return corner.suspension()
                .steerAxis()
                .direction()
                .cross(k.spinAxisPoint().minus(k.wheelCentre()))
                .direction();
    }

    /**
     * The gear on the other side of the axle: all that stands on the body between it and the tie rods goes to the
     * mirror place ahead of or behind the wheel centres. The column's end stays where it was.
     *
     * @param keepSteering whether to use a gear that drives the other way where it would otherwise steer wrongly
     */
    public static Job flipGear(Job job, boolean keepSteering) {
        Job flipped = job.editAxle(a -> {
            double x = (a.corner(Side.LEFT).knuckle().wheelCentre().x()
                            + a.corner(Side.RIGHT).knuckle().wheelCentre().x())
                    / 2;
            return a.withGearPlaced(Placing.foreAft(x));
        });
        return keepSteering ? steeringRight(flipped) : flipped;
    }

    /** The same with a gear that drives the other way, if it steers wrongly. */
    public static Job steeringRight(Job job) {
        return SteerSweep.sense(new SteeringTrain(job), job) == SteerFigures.Sense.WRONG_WAY
                ? job.editAxle(SteeredAxle::withGearReversed)
                : job;
    }

    /** Both steering arms made longer or shorter by a factor, along themselves. */
    public static Job scaledArms(Job job, double factor) {
        boolean mirrored = job.axle().map(a -> a.ownRight().isEmpty()).orElse(true);
        Job left = scaledArm(job, KnuckleArm.LEFT_STEERING, factor);
        return mirrored ? left : scaledArm(left, KnuckleArm.RIGHT_STEERING, factor);
    }

    /** One arm made longer or shorter by a factor, along itself. */
    public static Job scaledArm(Job job, KnuckleArm arm, double factor) {
        return job.axle()
                .map(a -> changed(job, arm, new KnuckleChange(arm.length(a) * (factor - 1), 0, 0, 0, 0)))
                .orElse(job);
    }

    /**
     * The gear's arm, and what is on it or an idler with it, made longer or shorter by a factor; a rack stays as it
     * is.
     */
    public static Job scaledGearArm(Job job, double factor) {
        return job.editAxle(a -> {
            if (!(a.gear() instanceof ArmGear g)) {
                return a;
            }
            SteeredAxle changed = a.withGear(g.withArmEnd(scaled(g.axis(), g.armEnd(), factor)));
            if (a.linkage() instanceof ArmTieRods r) {
                return changed.withLinkage(new ArmTieRods(
                        scaled(g.axis(), r.leftPoint(), factor),
                        r.ownRightPoint().map(p -> scaled(g.axis(), p, factor))));
            }
            return a.linkage() instanceof CentreLink c && c.ownIdler().isPresent()
                    ? changed.withLinkage(c.withIdler(new SwingArm(
                            c.ownIdler().get().axis(),
                            scaled(c.ownIdler().get().axis(), c.ownIdler().get().end(), factor))))
                    : changed;
        });
    }

    private static Point scaled(Axis axis, Point end, double factor) {
        Point foot = axis.footOf(end);
        return foot.plus(end.minus(foot).times(factor));
    }
}

package mildtilt.arms;

import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.DragLink.Attachment;
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
     * One side's arm changed; where the right is the mirror of the left, both are.
     *
     * @throws ImpossibleGeometryException if the arm can't be so
     */
    public static Job changed(Job job, Side side, KnuckleChange change) {
        return job.editAxle(a -> {
            Corner corner = a.corner(side);
            ArmFrame frame = ArmFrame.of(corner, side);
            RodEnds ends = corner.rodEnds();
            Corner moved = corner.withKnuckle(corner.knuckle()
                            .withTieRodPoint(corner.knuckle().tieRodPoint().plus(frame.move(change))))
                    .withRodEnds(ends.withOuterBolt(ends.outerBolt().map(b -> frame.turned(b, change))));
            return a.withCorner(side, moved);
        });
    }

    /** What was done to one side's arm between two jobs. */
    public static KnuckleChange between(Job from, Job to, Side side) {
        Corner was = from.axle().orElseThrow().corner(side);
        Corner is = to.axle().orElseThrow().corner(side);
        return ArmFrame.of(was, side)
                .toward(
                        was.knuckle().tieRodPoint(),
                        is.knuckle().tieRodPoint(),
                        was.rodEnds().outerBolt(),
                        is.rodEnds().outerBolt());
    }

    /** A job with one side's arm as a change makes it from another job's arm. */
    public static Job changedFrom(Job hand, Job job, Side side, KnuckleChange change) {
        Corner made = changed(hand, side, change).axle().orElseThrow().corner(side);
        return job.editAxle(a -> {
            Corner c = a.corner(side);
            return a.withCorner(
                    side,
                    c.withKnuckle(c.knuckle().withTieRodPoint(made.knuckle().tieRodPoint()))
                            .withRodEnds(
                                    c.rodEnds().withOuterBolt(made.rodEnds().outerBolt())));
        });
    }

    /** Both sides' arms changed alike. */
    public static Job changedBoth(Job job, KnuckleChange change) {
        Job left = changed(job, Side.LEFT, change);
        boolean mirrored = job.axle().map(a -> a.ownRight().isEmpty()).orElse(true);
        return mirrored ? left : changed(left, Side.RIGHT, change);
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
                ? job.editAxle(a -> a.withGear(a.gear().reversed()))
                : job;
    }

    /** Both arms made longer or shorter by a factor, along themselves. */
    public static Job scaledArms(Job job, double factor) {
        return job.editAxle(a -> {
            SteeredAxle changed = a;
            for (Side side : Side.values()) {
                if (side == Side.LEFT || a.ownRight().isPresent()) {
                    ArmFrame frame = ArmFrame.of(a.corner(side), side);
                    Vector by = frame.along().times(frame.length() * (factor - 1));
                    Corner c = changed.corner(side);
                    changed = changed.withCorner(
                            side,
                            c.withKnuckle(c.knuckle()
                                    .withTieRodPoint(c.knuckle().tieRodPoint().plus(by))));
                }
            }
            return changed;
        });
    }

    /** The gear's arm, and an idler with it, made longer or shorter by a factor; a rack stays as it is. */
    public static Job scaledGearArm(Job job, double factor) {
        return job.editAxle(a -> {
            if (!(a.gear() instanceof ArmGear g)) {
                return a;
            }
            SteeredAxle changed = a.withGear(g.withArmEnd(scaled(g.axis(), g.armEnd(), factor)));
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

    /** From the steer axis to the end of one steering arm, mm. */
    public static double armLength(Job job, Side side) {
        return ArmFrame.of(job.axle().orElseThrow().corner(side), side).length();
    }
}

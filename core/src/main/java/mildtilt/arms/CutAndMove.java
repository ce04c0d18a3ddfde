package mildtilt.arms;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.Corner;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What to do to one arm on a knuckle, in the order of the bench, and the tape lengths to check it by. */
public final class CutAndMove {

    private static final double NOTHING_MM = 0.05;
    private static final double NOTHING_DEG = 0.05;

    private CutAndMove() {}

    /**
     * The way from one arm to another.
     *
     * @param from the job with the piece as it is
     * @param to the job as wanted
     */
    public static List<Phrase> steps(KnuckleArm arm, Job from, Job to) {
        SteeredAxle before = from.axle().orElseThrow();
        SteeredAxle after = to.axle().orElseThrow();
        Side side = arm.side(before);
        String label = arm.label(before);
        ArmFrame frame = ArmFrame.of(before, arm);
        Point was = arm.end(before);
        Point is = arm.end(after);
        Vector move = is.minus(was);
        double along = frame.along().dot(move);
        double out = frame.out().dot(move);
        double up = frame.up().dot(move);
        List<Phrase> all = new ArrayList<>();
        if (move.norm() >= NOTHING_MM) {
            double length = arm.length(after);
            all.add(Phrase.of(
                    "Cut the " + label + " between its root and its boss. The boss moves {0} in all:",
                    Quantity.length(move.norm())));
            add(
                    all,
                    along,
                    "away from the steer axis along the arm (longer)",
                    "toward the steer axis along the arm (shorter)");
            String more = way(frame.out(), side);
            add(all, out, more + ", square to the arm", way(frame.out().reversed(), side) + ", square to the arm");
            add(all, up, "up, along the steer axis", "down, along the steer axis");
            all.add(Phrase.of(
                    "The arm's length, steer axis to boss centre, goes from {0} to {1}.",
                    Quantity.length(frame.length()), Quantity.length(length)));
        }
        boss(all, frame, arm.stud(before), arm.stud(after));
        if (all.isEmpty()) {
            return List.of(Phrase.of("The " + label + " stays as it is."));
        }
        for (Mark m : marks(arm.corner(before))) {
            all.add(Phrase.of(
                    "Check with a tape: boss centre to " + m.name + " {0} (was {1}).",
                    Quantity.length(is.distanceTo(m.at)),
                    Quantity.length(was.distanceTo(m.at))));
        }
        return all;
    }

    private static void add(List<Phrase> all, double mm, String more, String less) {
        if (Math.abs(mm) >= NOTHING_MM) {
            all.add(Phrase.of("  {0} " + (mm > 0 ? more : less), Quantity.length(Math.abs(mm))));
        }
    }

    private static void boss(List<Phrase> all, ArmFrame frame, Optional<Direction> before, Optional<Direction> after) {
        if (before.isEmpty() || after.isEmpty()) {
            return;
        }
        Direction was = before.get();
        Direction is = after.get();
        if (Math.toDegrees(was.angleTo(is)) < NOTHING_DEG) {
            return;
        }
        // Told as what an angle finder on the stud shows against the steer axis, across the arm and along it.
        all.add(Phrase.of("Turn the boss: against the steer axis its stud leans ")
                .then(lean(frame, is, frame.out(), "toward the wheel's side of the arm", "away from it"))
                .then(" (was ")
                .then(lean(frame, was, frame.out(), "toward it", "away from it"))
                .then(") and ")
                .then(lean(
                        frame,
                        is,
                        frame.along(),
                        "away from the axis, along the arm",
                        "toward the axis, along the arm"))
                .then(" (was ")
                .then(lean(frame, was, frame.along(), "away from it", "toward it"))
                .then(")."));
    }

    /** How far a stud leans, one way or the other: an angle finder shows no sign. */
    private static Phrase lean(ArmFrame frame, Direction stud, Direction toward, String one, String other) {
        double deg = frame.leanDeg(stud, toward);
        return Phrase.of("{0} " + (deg >= 0 ? one : other), Quantity.angle(Math.abs(deg)));
    }

    /** Where a direction goes, in the word that fits it best. */
    private static String way(Direction d, Side side) {
        double x = Math.abs(d.x());
        double y = Math.abs(d.y());
        double z = Math.abs(d.z());
        return y >= x && y >= z
                ? d.y() * side.sign() > 0 ? "outboard" : "inboard"
                : x >= z ? d.x() > 0 ? "forward" : "back" : d.z() > 0 ? "up" : "down";
    }

    private record Mark(String name, Point at) {}

    private static List<Mark> marks(Corner c) {
        Mark wheel = new Mark(
                "the spindle's centre at the wheel's middle", c.knuckle().wheelCentre());
        return switch (c.suspension()) {
            case DoubleWishbone w ->
                List.of(
                        new Mark("the lower ball joint", w.lowerBallJoint()),
                        new Mark("the upper ball joint", w.upperBallJoint()),
                        wheel);
            case Strut s ->
                List.of(
                        new Mark("the lower ball joint", s.lowerBallJoint()),
                        new Mark("the strut's lower point", s.axisLowerPoint()),
                        wheel);
            case SplitLinks l ->
                List.of(
                        new Mark("the lower front link's joint", l.lowerFront().outer()),
                        new Mark("the lower rear link's joint", l.lowerRear().outer()),
                        wheel);
            case TrailingArms t ->
                t.kingpin()
                        .map(k -> ofKingpin(k.lower(), k.upper(), wheel))
                        .orElseGet(() -> List.of(
                                new Mark("the lower ball joint", t.lowerEnd()),
                                new Mark("the upper ball joint", t.upperEnd()),
                                wheel));
            case SwingBeam b -> ofKingpin(b.lower(), b.upper(), wheel);
            case Kingpin k -> ofKingpin(k.lower(), k.upper(), wheel);
        };
    }

    private static List<Mark> ofKingpin(Point lower, Point upper, Mark wheel) {
        return List.of(
                new Mark("the kingpin's lower point", lower), new Mark("the kingpin's upper point", upper), wheel);
    }
}

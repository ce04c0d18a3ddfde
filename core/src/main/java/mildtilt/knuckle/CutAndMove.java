package mildtilt.knuckle;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.Corner;
import mildtilt.measure.Phrase;
import mildtilt.measure.Quantity;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.Strut;

/** What to do to one steering arm, in the order of the bench, and the tape lengths to check it by. */
public final class CutAndMove {

    private static final double NOTHING_MM = 0.05;
    private static final double NOTHING_DEG = 0.05;

    private CutAndMove() {}

    /**
     * The way from one arm to another.
     *
     * @param side whose arm
     * @param from the job with the piece as it is
     * @param to the job as wanted
     */
    public static List<Phrase> steps(Side side, Job from, Job to) {
        Corner before = from.axle().orElseThrow().corner(side);
        Corner after = to.axle().orElseThrow().corner(side);
        ArmFrame frame = ArmFrame.of(before, side);
        Point was = before.knuckle().tieRodPoint();
        Point is = after.knuckle().tieRodPoint();
        Vector move = is.minus(was);
        double along = frame.along().dot(move);
        double out = frame.out().dot(move);
        double up = frame.up().dot(move);
        List<Phrase> all = new ArrayList<>();
        if (move.norm() >= NOTHING_MM) {
            double length = ArmFrame.of(after, side).length();
            all.add(Phrase.of("Cut the " + side.label() + " steering arm between its root and its boss. The boss moves {0} in all:",
                    Quantity.length(move.norm())));
            add(all, along, "away from the steer axis along the arm (longer)", "toward the steer axis along the arm (shorter)");
            add(all, out, "outboard, square to the arm", "inboard, square to the arm");
            add(all, up, "up, along the steer axis", "down, along the steer axis");
            all.add(Phrase.of("The arm's length, steer axis to boss centre, goes from {0} to {1}.",
                    Quantity.length(frame.length()), Quantity.length(length)));
        }
        boss(all, frame, before, after);
        if (all.isEmpty()) {
            return List.of(Phrase.of("The " + side.label() + " steering arm stays as it is."));
        }
        for (Mark m : marks(before)) {
            all.add(Phrase.of("Check with a tape: boss centre to " + m.name + " {0} (was {1}).",
                    Quantity.length(is.distanceTo(m.at)), Quantity.length(was.distanceTo(m.at))));
        }
        return all;
    }

    private static void add(List<Phrase> all, double mm, String more, String less) {
        if (Math.abs(mm) >= NOTHING_MM) {
            all.add(Phrase.of("  {0} " + (mm > 0 ? more : less), Quantity.length(Math.abs(mm))));
        }
    }

    private static void boss(List<Phrase> all, ArmFrame frame, Corner before, Corner after) {
        if (before.rodEnds().outerBolt().isEmpty() || after.rodEnds().outerBolt().isEmpty()) {
            return;
        }
        Direction was = before.rodEnds().outerBolt().get();
        Direction is = after.rodEnds().outerBolt().get();
        if (Math.toDegrees(was.angleTo(is)) < NOTHING_DEG) {
            return;
        }
        // Told as what an angle finder on the stud shows against the steer axis, across the arm and along it.
        all.add(Phrase.of("Turn the boss: against the steer axis its stud leans {0} toward the wheel (was {1}) and {2} away from "
                        + "the axis along the arm (was {3}).",
                Quantity.angle(frame.leanDeg(is, frame.out())), Quantity.angle(frame.leanDeg(was, frame.out())),
                Quantity.angle(frame.leanDeg(is, frame.along())), Quantity.angle(frame.leanDeg(was, frame.along()))));
    }

    private record Mark(String name, Point at) {}

    private static List<Mark> marks(Corner c) {
        Mark wheel = new Mark("the spindle's centre at the wheel's middle", c.knuckle().wheelCentre());
        return switch (c.suspension()) {
            case DoubleWishbone w -> List.of(new Mark("the lower ball joint", w.lowerBallJoint()),
                    new Mark("the upper ball joint", w.upperBallJoint()), wheel);
            case Strut s -> List.of(new Mark("the lower ball joint", s.lowerBallJoint()),
                    new Mark("the strut's lower point", s.axisLowerPoint()), wheel);
            case Kingpin k -> List.of(new Mark("the kingpin's lower point", k.lower()),
                    new Mark("the kingpin's upper point", k.upper()), wheel);
        };
    }
}

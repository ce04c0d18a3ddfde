package mildtilt.findings.remedies;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.bearings.ClearShaft;
import mildtilt.column.Column;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.findings.Remedy;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * The smallest moves of one joint, in a direction that can be measured on the vehicle, that bring every
 * joint inside its limit. The first joint may only slide along the column and the last along the gear's
 * input, which are taken as fixed; those between may go up, down, fore, aft and to either side.
 */
public final class JointMoves {

    private static final double MARGIN_DEG = 0.5;
    private static final int FARTHEST_MM = 200;
    private static final int OFFERED = 2;

    private record Heading(String word, Direction direction) {}

    private record Move(int joint, Heading way, int mm) {}

    private JointMoves() {}

    public static List<Remedy> withinLimits(Job job) {
        Column column = job.column().orElseThrow();
        List<Move> moves = new ArrayList<>();
        for (int joint = 0; joint < column.joints().size(); joint++) {
            for (Heading way : ways(column, joint)) {
                smallest(job, column, joint, way).ifPresent(moves::add);
            }
        }
        moves.sort(Comparator.comparingInt(Move::mm));
        return moves.stream().limit(OFFERED).map(m -> remedy(column, m)).toList();
    }

    private static List<Heading> ways(Column column, int joint) {
        if (column.joints().size() == 1) {
            return List.of();
        }
        if (joint == 0) {
            Direction along = column.axis(0);
            return List.of(
                    new Heading("along the column, towards the gear", along),
                    new Heading("along the column, towards the wheel", along.reversed()));
        }
        if (joint == column.joints().size() - 1) {
            Direction along = column.axis(joint + 1);
            return List.of(
                    new Heading("along the gear's input axis, towards the gear", along),
                    new Heading("along the gear's input axis, away from the gear", along.reversed()));
        }
        return List.of(
                new Heading("forward", Vector.X.direction()),
                        new Heading("back", Vector.X.negated().direction()),
                new Heading("to the left", Vector.Y.direction()),
                        new Heading("to the right", Vector.Y.negated().direction()),
                new Heading("up", Vector.Z.direction()),
                        new Heading("down", Vector.Z.negated().direction()));
    }

    private static Optional<Move> smallest(Job job, Column column, int joint, Heading way) {
        for (int mm = 1; mm <= FARTHEST_MM; mm++) {
            if (allInside(job, column, joint, way, mm)) {
                return Optional.of(new Move(joint, way, mm));
            }
        }
        return Optional.empty();
    }

    private static boolean allInside(Job job, Column column, int joint, Heading way, int mm) {
        try {
            Column moved = moved(column, joint, way.direction.times(mm));
            // What holds the shafts now must still sit on them.
            if (ClearShaft.holdsAll(column) && !ClearShaft.holdsAll(moved)) {
                return false;
            }
            if (ColumnFigures.spareDeg(job.withColumn(moved)) < MARGIN_DEG) {
                return false;
            }
            for (int i = 0; i < moved.shafts().size(); i++) {
                boolean folded = moved.axis(i).dot(column.axis(i).vector()) < 0;
                if (folded || moved.shafts().get(i).toCut() && moved.cutLength(i) <= 0) {
                    return false;
                }
            }
            return true;
        } catch (ImpossibleGeometryException e) {
            return false;
        }
    }

    private static Column moved(Column column, int joint, Vector by) {
        Point to = column.joints().get(joint).centre().plus(by);
        return column.withJoint(joint, column.joints().get(joint).withCentre(to));
    }

    private static Remedy remedy(Column column, Move m) {
        Vector by = m.way.direction.times(m.mm);
        return new Remedy(
                Phrase.of(
                        "Move " + Phrase.name(column.joints().get(m.joint).name()) + " {0} " + m.way.word,
                        Quantity.length(m.mm)),
                job -> job.editColumn(c -> moved(c, m.joint, by)));
    }
}

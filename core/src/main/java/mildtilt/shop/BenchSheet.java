package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.ColumnRange;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.SteeringTrain;

/** The figures a fabricator takes to the bench, always of the job as planned. */
public record BenchSheet(List<JointLine> joints, List<ShaftLine> shafts, List<RodLine> rods) {

    /** With nothing on it. */
    public static final BenchSheet EMPTY = new BenchSheet(List.of(), List.of(), List.of());

    /**
     * @param angleDeg to set it to
     * @param worstDeg over the wheel's adjustment and the frame's movement
     * @param limitDeg what the joint and the rule set allow
     * @param typical whether its sizes are still a catalogue's, not measured on the part
     */
    public record JointLine(String name, double angleDeg, double worstDeg, double limitDeg, boolean typical) {}

    /**
     * @param centres between centres, mm
     * @param cut length to cut to; empty for a part used as it comes
     * @param mark how to clock its forks; empty for a shaft with one fork
     * @param typical whether a size that the cut follows from is still a catalogue's, not measured on the part
     */
    public record ShaftLine(
            String name,
            double diameter,
            double centres,
            Optional<Double> cut,
            Optional<ForkMark> mark,
            boolean typical) {}

    /** @param length from joint centre to joint centre, mm */
    public record RodLine(Rod rod, double length) {}

    public static BenchSheet of(Job job, SteeringTrain train) {
        List<JointLine> joints = new ArrayList<>();
        List<ShaftLine> shafts = new ArrayList<>();
        train.column().ifPresent(c -> {
            ColumnRange range = ColumnRange.of(job);
            for (int i = 0; i < c.column().joints().size(); i++) {
                Joint j = c.column().joints().get(i);
                joints.add(new JointLine(
                        j.name(),
                        c.jointAngleDeg(i),
                        range.joints().get(i).worstDeg(),
                        ColumnFigures.limitDeg(j, job.rules()),
                        j.typical()));
            }
            for (int i = 0; i < c.column().shafts().size(); i++) {
                shafts.add(line(c, i));
            }
        });
        List<RodLine> rods = new ArrayList<>();
        train.axle().ifPresent(a -> {
            for (Rod rod : Rod.values()) {
                if (a.lengths().containsKey(rod)) {
                    rods.add(new RodLine(rod, a.lengths().get(rod)));
                }
            }
        });
        return new BenchSheet(List.copyOf(joints), List.copyOf(shafts), List.copyOf(rods));
    }

    private static ShaftLine line(ColumnTrain train, int i) {
        Column column = train.column();
        Shaft shaft = column.shafts().get(i);
        boolean typical = shaft.typical()
                || i > 0 && column.joints().get(i - 1).typical()
                || i < column.joints().size() && column.joints().get(i).typical();
        return new ShaftLine(
                shaft.name(),
                shaft.diameter(),
                column.length(i),
                shaft.toCut() ? Optional.of(column.cutLength(i)) : Optional.empty(),
                column.liesBetweenJoints(i)
                        ? Optional.of(ForkMark.of(column, i, shaft.clockingDeg()))
                        : Optional.empty(),
                typical);
    }
}

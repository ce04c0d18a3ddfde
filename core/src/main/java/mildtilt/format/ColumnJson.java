package mildtilt.format;

import static mildtilt.format.JobWriter.number;
import static mildtilt.format.JobWriter.numbers;
import static mildtilt.format.JobWriter.object;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.stream.IntStream;
import mildtilt.column.BestClocking;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ForkSetting;
import mildtilt.column.Transfer;

/** The column's figures as JSON. */
final class ColumnJson {

    private static final int STEPS = 1440;

    private ColumnJson() {}

    static ObjectNode tree(ColumnTrain train) {
        Column c = train.column();
        ObjectNode o = object();
        int joints = c.joints().size();
        int shafts = c.shafts().size();
        o.set("joint_angles_deg", numbers(IntStream.range(0, joints).mapToDouble(train::jointAngleDeg).toArray()));
        o.set("shaft_lengths_mm", numbers(IntStream.range(0, shafts).mapToDouble(c::length).toArray()));
        o.set("shaft_cut_lengths_mm", numbers(IntStream.range(0, shafts).mapToDouble(c::cutLength).toArray()));
        train.transfer().ifPresent(t -> turning(o, train, t));
        return o;
    }

    private static void turning(ObjectNode o, ColumnTrain train, Transfer t) {
        number(o, "ratio_min", t.ratioMin());
        number(o, "ratio_max", t.ratioMax());
        number(o, "ripple_peak_to_peak_percent", t.ripplePct());
        number(o, "position_error_peak_to_peak_deg", t.positionErrorDeg());
        number(o, "ratio_at_straight_ahead", t.ratioAt(0));
        o.set("extremes_over_1440_steps", sampled(t));
        best(o, "best_clocking_as_made_deg", "best_ripple_as_made_percent", BestClocking.asMade(train));
        best(o, "best_clocking_any_angle_deg", "best_ripple_any_angle_percent",
                BestClocking.withAll(train, new ForkSetting.AnyAngle()));
        best(o, "best_clocking_36_spline_10_deg", "best_ripple_36_spline_10_deg_percent",
                BestClocking.withAll(train, new ForkSetting.Stepped(10)));
        best(o, "best_clocking_48_spline_7.5_deg", "best_ripple_48_spline_7.5_deg_percent",
                BestClocking.withAll(train, new ForkSetting.Stepped(7.5)));
        best(o, "best_clocking_double_D_180_deg", "best_ripple_double_D_180_deg_percent",
                BestClocking.withAll(train, new ForkSetting.Stepped(180)));
    }

    /** The same extremes as anyone gets who steps round the turn by quarter degrees, to compare with. */
    private static ObjectNode sampled(Transfer t) {
        double[] ratio = IntStream.range(0, STEPS).mapToDouble(i -> t.ratioAt(2 * Math.PI * i / STEPS)).toArray();
        double[] lead = IntStream.range(0, STEPS).mapToDouble(i -> {
            double in = 2 * Math.PI * i / STEPS;
            return t.outputAt(in) - in;
        }).toArray();
        double min = Arrays.stream(ratio).min().orElseThrow();
        double max = Arrays.stream(ratio).max().orElseThrow();
        ObjectNode o = object();
        number(o, "ratio_min", min);
        number(o, "ratio_max", max);
        number(o, "ripple_peak_to_peak_percent", 100 * (max - min));
        number(o, "position_error_peak_to_peak_deg", Math.toDegrees(
                Arrays.stream(lead).max().orElseThrow() - Arrays.stream(lead).min().orElseThrow()));
        return o;
    }

    private static void best(ObjectNode o, String clocking, String ripple, BestClocking best) {
        o.set(clocking, numbers(best.clockingDeg().stream().mapToDouble(Double::doubleValue).toArray()));
        number(o, ripple, best.ripplePct());
    }
}

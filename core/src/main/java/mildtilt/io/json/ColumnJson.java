package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.numbers;
import static mildtilt.io.JsonTree.object;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.stream.IntStream;
import mildtilt.clocking.BestClocking;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ForkSetting;
import mildtilt.column.Transfer;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.FrontPush;
import mildtilt.columnrange.GearTilt;
import mildtilt.shaftload.ShaftLoad;

/** The column's figures as JSON. */
final class ColumnJson {

    private static final int STEPS = 1440;

    private ColumnJson() {}

    static ObjectNode tree(ColumnTrain train, ColumnFigures figures) {
        Column c = train.column();
        ObjectNode o = object();
        int joints = c.joints().size();
        int shafts = c.shafts().size();
        o.set(
                "joint_angles_deg",
                numbers(IntStream.range(0, joints)
                        .mapToDouble(train::jointAngleDeg)
                        .toArray()));
        o.set(
                "shaft_lengths_mm",
                numbers(IntStream.range(0, shafts).mapToDouble(c::length).toArray()));
        o.set(
                "shaft_cut_lengths_mm",
                numbers(IntStream.range(0, shafts).mapToDouble(c::cutLength).toArray()));
        figures.turning().ifPresent(t -> turning(o, train, t));
        o.set(
                "joint_limits_deg",
                numbers(figures.limitsDeg().stream()
                        .mapToDouble(Double::doubleValue)
                        .toArray()));
        range(o, figures);
        figures.turning().ifPresent(t -> feel(o, t));
        held(o, c, figures);
        figures.load().ifPresent(l -> load(o, l));
        push(o, figures.push());
        figures.tilt().get().ifPresent(t -> tilt(o, t));
        return o;
    }

    private static void range(ObjectNode o, ColumnFigures figures) {
        ArrayNode joints = o.putArray("joint_angles_at_worst");
        figures.range().joints().forEach(j -> {
            ObjectNode line = joints.addObject();
            number(line, "angle_deg", j.worstDeg());
            line.put("setting", j.at().isEmpty() ? "as planned" : j.at());
        });
        number(o, "carried_off_gear_mm", figures.range().offGear());
        figures.following().ifPresent(f -> {
            ObjectNode line = o.putObject("gear_on_axle");
            number(line, "input_turned_by_travel_deg", f.inputTurnDeg());
            f.worstRipplePct().ifPresent(v -> number(line, "worst_ripple_percent", v));
        });
        ArrayNode shafts = o.putArray("shaft_range");
        figures.range().shafts().forEach(s -> {
            ObjectNode line = shafts.addObject();
            number(line, "shortest_mm", s.shortest());
            number(line, "longest_mm", s.longest());
            s.leastOverlap().ifPresent(v -> number(line, "least_overlap_mm", v));
            s.freeStroke().ifPresent(v -> number(line, "free_stroke_mm", v));
        });
    }

    private static void feel(ObjectNode o, ColumnFigures.Turning t) {
        ArrayNode shares = o.putArray("joint_shares");
        t.shares().forEach(s -> {
            ObjectNode line = shares.addObject();
            number(line, "own_ripple_percent", s.ownPct());
            number(line, "ripple_without_it_percent", s.withoutPct());
        });
        o.put("best_clocking_as_made_proven", t.best().proven());
        o.put("straight_ahead", t.feel().middle().label());
        number(o, "left_less_right_percent", t.feel().leftRightPct());
        ArrayNode choices = o.putArray("whole_train_choices");
        t.feel().choices().forEach(c -> {
            ObjectNode line = choices.addObject();
            line.put("straight_ahead", c.middle().label());
            number(line, "first_fork_deg", c.firstForkDeg());
            number(line, "turn_whole_train_deg", c.turnDeg());
            number(line, "left_less_right_percent", c.leftRightPct());
        });
    }

    private static void held(ObjectNode o, Column c, ColumnFigures figures) {
        ArrayNode shafts = o.putArray("shaft_support");
        for (int i = 0; i < c.shafts().size(); i++) {
            ObjectNode line = shafts.addObject();
            line.put("held", figures.supports().held().get(i));
            number(line, "longest_span_mm", figures.spans().get(i).length());
            number(line, "span_hz", figures.spans().get(i).hertz());
        }
        o.put("bearings_missing", figures.supports().missing());
        figures.axes().ifPresent(a -> {
            ObjectNode axes = o.putObject("measured_axes");
            a.firstOff().ifPresent(v -> number(axes, "first_joint_off_mm", v));
            a.lastOff().ifPresent(v -> number(axes, "last_joint_off_mm", v));
            a.crossing().ifPresent(x -> {
                number(axes, "miss_mm", x.miss());
                axes.set(
                        "shim_column_mm",
                        numbers(x.shim().x(), x.shim().y(), x.shim().z()));
                number(axes, "axes_angle_deg", x.angleDeg());
            });
        });
        ArrayNode off = o.putArray("bearings_out_of_line");
        figures.outOfLine().forEach(b -> off.add(pressed(c, b.bearing(), b.off(), b.tiltDeg(), b.sideLoad())));
        ArrayNode forced = o.putArray("bearings_forced");
        figures.forced().forEach(b -> forced.add(pressed(c, b.bearing(), b.off(), b.tiltDeg(), b.sideLoad())));
        ArrayNode couples = o.putArray("bearing_loads_of_joint_angles");
        figures.couples().forEach(b -> {
            ObjectNode line = couples.addObject();
            line.put("bearing", b.label(c));
            number(line, "couple_load_n", b.newtons());
        });
    }

    private static ObjectNode pressed(Column c, int bearing, double off, double tiltDeg, double sideLoad) {
        ObjectNode line = object();
        line.put("bearing", c.bearings().get(bearing).name());
        number(line, "off_line_mm", off);
        number(line, "lean_deg", tiltDeg);
        number(line, "side_load_n", sideLoad);
        return line;
    }

    private static void load(ObjectNode o, ShaftLoad.All all) {
        ObjectNode load = o.putObject("heavy_pull");
        number(load, "wheel_torque_nmm", all.wheelTorque());
        number(load, "wind_up_deg", all.twistDeg());
        ArrayNode shafts = load.putArray("shafts");
        all.shafts().forEach(s -> {
            ObjectNode line = shafts.addObject();
            number(line, "torque_nmm", s.torque());
            number(line, "bending_nmm", s.bending());
            number(line, "stress_mpa", s.stressMpa());
            number(line, "yield_margin", s.margin());
            line.put("weakest", s.weakest());
        });
        ArrayNode joints = load.putArray("joints");
        all.joints().forEach(j -> {
            ObjectNode line = joints.addObject();
            number(line, "torque_nmm", j.torque());
            j.margin().ifPresent(m -> number(line, "torque_margin", m));
        });
    }

    private static void push(ObjectNode o, FrontPush p) {
        ObjectNode push = o.putObject("front_push");
        number(push, "free_stroke_mm", p.stroke());
        number(push, "kink_deg", p.kinkDeg());
        number(push, "stands_off_straight_mm", p.standsOff());
        push.put("joints_in_cabin", p.inCabin().size());
    }

    private static void tilt(ObjectNode o, GearTilt t) {
        ArrayNode suits = o.putArray("rack_tilt_that_suits");
        t.suits().forEach(s -> {
            ObjectNode line = suits.addObject();
            number(line, "from_deg", s.fromDeg());
            number(line, "to_deg", s.toDeg());
            number(line, "best_deg", s.bestDeg());
            number(line, "spare_deg", s.spareDeg());
        });
    }

    private static void turning(ObjectNode o, ColumnTrain train, ColumnFigures.Turning turning) {
        Transfer t = turning.transfer();
        number(o, "ratio_min", t.ratioMin());
        number(o, "ratio_max", t.ratioMax());
        number(o, "ripple_peak_to_peak_percent", t.ripplePct());
        number(o, "position_error_peak_to_peak_deg", t.positionErrorDeg());
        number(o, "ratio_at_straight_ahead", t.ratioAt(0));
        o.set("extremes_over_1440_steps", sampled(t));
        best(o, "best_clocking_as_made_deg", "best_ripple_as_made_percent", turning.best());
        best(
                o,
                "best_clocking_any_angle_deg",
                "best_ripple_any_angle_percent",
                BestClocking.withAll(train, new ForkSetting.AnyAngle()));
        best(
                o,
                "best_clocking_36_spline_10_deg",
                "best_ripple_36_spline_10_deg_percent",
                BestClocking.withAll(train, new ForkSetting.Stepped(36)));
        best(
                o,
                "best_clocking_48_spline_7.5_deg",
                "best_ripple_48_spline_7.5_deg_percent",
                BestClocking.withAll(train, new ForkSetting.Stepped(48)));
        best(
                o,
                "best_clocking_double_D_180_deg",
                "best_ripple_double_D_180_deg_percent",
                BestClocking.withAll(train, new ForkSetting.Stepped(2)));
    }

    /** The same extremes as anyone gets who steps round the turn by quarter degrees, to compare with. */
    private static ObjectNode sampled(Transfer t) {
        double[] ratio = IntStream.range(0, STEPS)
                .mapToDouble(i -> t.ratioAt(2 * Math.PI * i / STEPS))
                .toArray();
        double[] lead = IntStream.range(0, STEPS)
                .mapToDouble(i -> {
                    double in = 2 * Math.PI * i / STEPS;
                    return t.outputAt(in) - in;
                })
                .toArray();
        double min = Arrays.stream(ratio).min().orElseThrow();
        double max = Arrays.stream(ratio).max().orElseThrow();
        ObjectNode o = object();
        number(o, "ratio_min", min);
        number(o, "ratio_max", max);
        number(o, "ripple_peak_to_peak_percent", 100 * (max - min));
        number(
                o,
                "position_error_peak_to_peak_deg",
                Math.toDegrees(Arrays.stream(lead).max().orElseThrow()
                        - Arrays.stream(lead).min().orElseThrow()));
        return o;
    }

    private static void best(ObjectNode o, String clocking, String ripple, BestClocking best) {
        o.set(
                clocking,
                numbers(best.clockingDeg().stream()
                        .mapToDouble(Double::doubleValue)
                        .toArray()));
        number(o, ripple, best.ripplePct());
    }
}

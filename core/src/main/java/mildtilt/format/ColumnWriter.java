package mildtilt.format;

import static mildtilt.format.JobWriter.direction;
import static mildtilt.format.JobWriter.number;
import static mildtilt.format.JobWriter.object;
import static mildtilt.format.JobWriter.point;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import mildtilt.column.Adjustment;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.ForkFit;
import mildtilt.column.Installation;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Seat;
import mildtilt.column.Shaft;
import mildtilt.column.Socket;
import mildtilt.id.Id;

/** The column and its parts as JSON, as {@link ColumnReader} reads them. */
final class ColumnWriter {

    private ColumnWriter() {}

    static ObjectNode column(Column c) {
        ObjectNode o = object();
        ObjectNode wheel = o.putObject("steering_wheel");
        wheel.set("hub_mm", point(c.hub()));
        number(wheel, "diameter_mm", c.wheel().diameter());
        fit(wheel, c.wheel().fit());
        if (!c.wheel().adjustment().equals(Adjustment.NONE)) {
            wheel.set("adjustment", adjustment(c.wheel().adjustment()));
        }
        number(o, "first_fork_deg", c.firstForkDeg());
        c.tube().ifPresent(t -> o.set("tube", tube(t)));
        ArrayNode shafts = o.putArray("shafts");
        for (int i = 0; i < c.shafts().size(); i++) {
            shafts.add(shaft(c.shafts().get(i), c.liesBetweenJoints(i)));
        }
        ArrayNode joints = o.putArray("joints");
        c.joints().forEach(j -> joints.add(joint(j)));
        if (!c.bearings().isEmpty()) {
            ArrayNode bearings = o.putArray("bearings");
            c.bearings().forEach(b -> bearings.add(bearing(b, c.shafts().get(b.shaft()).id())));
        }
        ObjectNode input = o.putObject("gear_input");
        input.set("point_mm", point(c.gearInput()));
        c.gear().axis().ifPresent(a -> input.set("axis", direction(a)));
        fit(input, c.gear().fit());
        if (!c.installation().equals(Installation.FREE)) {
            o.set("installation", installation(c.installation()));
        }
        return o;
    }

    private static ObjectNode adjustment(Adjustment a) {
        ObjectNode o = object();
        number(o, "reach_in_mm", a.reachIn());
        number(o, "reach_out_mm", a.reachOut());
        number(o, "tilt_up_deg", a.tiltUpDeg());
        number(o, "tilt_down_deg", a.tiltDownDeg());
        a.pivot().ifPresent(p -> number(o, "pivot_from_hub_mm", p));
        return o;
    }

    private static ObjectNode tube(ColumnTube t) {
        ObjectNode o = object();
        number(o, "outside_mm", t.outside());
        number(o, "from_mm", t.from());
        number(o, "to_mm", t.to());
        number(o, "collapse_mm", t.collapse());
        number(o, "beyond_mm", t.beyond());
        return o;
    }

    private static ObjectNode installation(Installation i) {
        ObjectNode o = object();
        i.columnAxis().ifPresent(a -> o.set("column_axis", direction(a)));
        number(o, "frame_movement_mm", i.frameMovement());
        i.bulkhead().ifPresent(x -> number(o, "bulkhead_x_mm", x));
        return o;
    }

    private static ObjectNode shaft(Shaft s, boolean betweenJoints) {
        ObjectNode o = object();
        o.put("id", s.id().text());
        o.put("name", s.name());
        seat(o, s.profile());
        number(o, "bore_mm", s.bore());
        number(o, "yield_mpa", s.yieldMpa());
        s.wheelEnd().ifPresent(e -> seat(o.putObject("wheel_end"), e));
        s.gearEnd().ifPresent(e -> seat(o.putObject("gear_end"), e));
        if (betweenJoints) {
            number(o, "clocking_deg", s.clockingDeg());
        }
        if (s.indexDeg() != 0) {
            number(o, "clocking_index_deg", s.indexDeg());
        }
        if (s.forksFixed()) {
            o.put("forks_fixed", true);
        }
        o.put("to_cut", s.toCut());
        s.slide().ifPresent(x -> {
            ObjectNode slide = o.putObject("slide");
            number(slide, "overlap_mm", x.overlap());
            number(slide, "least_overlap_mm", x.leastOverlap());
            number(slide, "closes_mm", x.closes());
        });
        typical(o, s.typical());
        return o;
    }

    private static ObjectNode joint(Joint j) {
        ObjectNode o = object();
        o.put("id", j.id().text());
        o.put("name", j.name());
        switch (j.kind()) {
            case JointKind.Single _ -> o.put("kind", "single");
            case JointKind.Coupling _ -> o.put("kind", "coupling");
            case JointKind.Double d -> {
                o.put("kind", "double");
                o.put("centred", d.centred());
            }
        }
        o.set("centre_mm", point(j.centre()));
        number(o, "max_angle_deg", j.maxAngleDeg());
        fit(o.putObject("wheel_side"), j.wheelSide());
        fit(o.putObject("gear_side"), j.gearSide());
        j.torqueNm().ifPresent(t -> number(o, "torque_nm", t));
        j.swingDiameter().ifPresent(d -> number(o, "swing_diameter_mm", d));
        typical(o, j.typical());
        return o;
    }

    private static ObjectNode bearing(Bearing b, Id shaft) {
        ObjectNode o = object();
        o.put("id", b.id().text());
        o.put("name", b.name());
        o.put("kind", lower(b.kind()));
        o.put("mount", lower(b.mount()));
        o.put("shaft", shaft.text());
        number(o, "along_mm", b.along());
        number(o, "bore_mm", b.bore());
        if (b.off() > 0) {
            number(o, "off_across_mm", b.offAcross());
            number(o, "off_up_mm", b.offUp());
        }
        typical(o, b.typical());
        return o;
    }

    private static void typical(ObjectNode o, boolean typical) {
        if (typical) {
            o.put("typical", true);
        }
    }

    private static void fit(ObjectNode o, ForkFit f) {
        number(o, "take_off_mm", f.takeOff());
        number(o, "engagement_mm", f.engagement());
        f.socket().ifPresent(s -> o.set("socket", socket(s)));
    }

    private static ObjectNode socket(Socket s) {
        ObjectNode o = object();
        seat(o, s.seat());
        o.put("hold", lower(s.hold()));
        return o;
    }

    private static void seat(ObjectNode o, Seat seat) {
        number(o, "diameter_mm", seat.diameter());
        switch (seat) {
            case Seat.Round _ -> { }
            case Seat.Splined s -> {
                o.put("form", "spline");
                o.put("teeth", s.teeth());
            }
            case Seat.DoubleD d -> {
                o.put("form", "double_d");
                number(o, "across_flats_mm", d.acrossFlats());
            }
            case Seat.Keyed k -> {
                o.put("form", "keyed");
                number(o, "key_width_mm", k.keyWidth());
            }
        }
    }

    private static String lower(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT);
    }
}

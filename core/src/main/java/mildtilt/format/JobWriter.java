package mildtilt.format;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import mildtilt.column.Column;
import mildtilt.column.DoubleJoint;
import mildtilt.column.ForkFit;
import mildtilt.column.ForkSetting;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.SingleJoint;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.linkage.Corner;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Knuckle;

/** A job as JSON text: always the same text for the same job, every field written. */
public final class JobWriter {

    static final String FORMAT = "mild-tilt-job";
    static final int VERSION = 1;

    private static final JsonMapper MAPPER = new JsonMapper();

    private JobWriter() {}

    public static String write(Job job) {
        return print(tree(job));
    }

    /** JSON text with two-space indents and a line feed at the end, on every platform. */
    static String print(ObjectNode tree) {
        DefaultPrettyPrinter printer = new DefaultPrettyPrinter()
                .withObjectIndenter(new DefaultIndenter("  ", "\n"));
        try {
            return MAPPER.writer(printer).writeValueAsString(tree) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    static ObjectNode tree(Job job) {
        ObjectNode root = object();
        root.put("format", FORMAT);
        root.put("version", VERSION);
        root.put("title", job.title());
        root.put("about", job.about());
        ObjectNode v = root.putObject("vehicle");
        number(v, "wheelbase_mm", job.vehicle().wheelbase());
        number(v, "bump_mm", job.vehicle().bump());
        number(v, "droop_mm", job.vehicle().droop());
        number(v, "tyre_width_mm", job.vehicle().tyreWidth());
        job.column().ifPresent(c -> root.set("column", column(c)));
        job.axle().ifPresent(a -> root.set("axle", axle(a)));
        ObjectNode t = root.putObject("targets");
        number(t, "ripple_pct", job.targets().ripplePct());
        number(t, "ackermann_min_pct", job.targets().ackermannMinPct());
        number(t, "ackermann_max_pct", job.targets().ackermannMaxPct());
        number(t, "bump_steer_deg", job.targets().bumpSteerDeg());
        return root;
    }

    private static ObjectNode column(Column c) {
        ObjectNode o = object();
        ObjectNode wheel = o.putObject("steering_wheel");
        wheel.set("hub_mm", point(c.hub()));
        number(wheel, "diameter_mm", c.wheelDiameter());
        fit(wheel, c.hubFit());
        number(o, "first_fork_deg", c.firstForkDeg());
        ArrayNode shafts = o.putArray("shafts");
        for (int i = 0; i < c.shafts().size(); i++) {
            shafts.add(shaft(c.shafts().get(i), c.liesBetweenJoints(i)));
        }
        ArrayNode joints = o.putArray("joints");
        c.joints().forEach(j -> joints.add(joint(j)));
        ObjectNode input = o.putObject("gear_input");
        input.set("point_mm", point(c.gearInput()));
        fit(input, c.gearFit());
        return o;
    }

    private static ObjectNode shaft(Shaft s, boolean betweenJoints) {
        ObjectNode o = object();
        o.put("name", s.name());
        number(o, "diameter_mm", s.diameter());
        if (betweenJoints) {
            number(o, "clocking_deg", s.clockingDeg());
            switch (s.setting()) {
                case ForkSetting.AnyAngle _ -> o.put("fork", "any");
                case ForkSetting.Fixed _ -> o.put("fork", "fixed");
                case ForkSetting.Stepped step -> {
                    o.put("fork", "stepped");
                    number(o, "fork_step_deg", step.stepDeg());
                }
            }
        }
        o.put("to_cut", s.toCut());
        return o;
    }

    private static ObjectNode joint(Joint j) {
        ObjectNode o = object();
        o.put("name", j.name());
        o.put("kind", switch (j) {
            case SingleJoint _ -> "single";
            case DoubleJoint _ -> "double";
        });
        o.set("centre_mm", point(j.centre()));
        number(o, "max_angle_deg", j.maxAngleDeg());
        fit(o.putObject("wheel_side"), j.wheelSide());
        fit(o.putObject("gear_side"), j.gearSide());
        return o;
    }

    private static void fit(ObjectNode o, ForkFit f) {
        number(o, "take_off_mm", f.takeOff());
        number(o, "engagement_mm", f.engagement());
    }

    private static ObjectNode axle(SteeredAxle a) {
        ObjectNode o = object();
        ObjectNode g = o.putObject("gear");
        switch (a.gear()) {
            case RackAndPinion r -> {
                g.put("kind", "rack_and_pinion");
                g.set("centre_mm", point(r.centre()));
                g.set("axis", direction(r.axis()));
                number(g, "pivot_spacing_mm", r.pivotSpacing());
                number(g, "travel_per_left_turn_mm", r.travelPerLeftTurn());
                number(g, "travel_each_way_mm", r.travelEachWay());
            }
        }
        o.set("left", corner(a.left()));
        a.ownRight().ifPresent(r -> o.set("right", corner(r)));
        return o;
    }

    private static ObjectNode corner(Corner c) {
        ObjectNode o = object();
        ObjectNode s = o.putObject("suspension");
        switch (c.suspension()) {
            case DoubleWishbone w -> {
                s.put("kind", "double_wishbone");
                s.set("lower_inner_front_mm", point(w.lowerInnerFront()));
                s.set("lower_inner_rear_mm", point(w.lowerInnerRear()));
                s.set("lower_ball_joint_mm", point(w.lowerBallJoint()));
                s.set("upper_inner_front_mm", point(w.upperInnerFront()));
                s.set("upper_inner_rear_mm", point(w.upperInnerRear()));
                s.set("upper_ball_joint_mm", point(w.upperBallJoint()));
            }
        }
        Knuckle k = c.knuckle();
        ObjectNode kn = o.putObject("knuckle");
        kn.set("wheel_centre_mm", point(k.wheelCentre()));
        kn.set("spin_axis_point_mm", point(k.spinAxisPoint()));
        kn.set("tie_rod_point_mm", point(k.tieRodPoint()));
        ObjectNode ends = o.putObject("rod_ends");
        c.rodEnds().outerBolt().ifPresent(d -> ends.set("outer_bolt", direction(d)));
        c.rodEnds().innerBolt().ifPresent(d -> ends.set("inner_bolt", direction(d)));
        c.rodEnds().allowedDeg().ifPresent(d -> number(ends, "allowed_deg", d));
        return o;
    }

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    static ArrayNode point(Point p) {
        return numbers(p.x(), p.y(), p.z());
    }

    private static ArrayNode direction(Direction d) {
        return numbers(d.x(), d.y(), d.z());
    }

    static ArrayNode numbers(double... values) {
        ArrayNode a = JsonNodeFactory.instance.arrayNode();
        for (double v : values) {
            if (isWhole(v)) {
                a.add((long) v);
            } else {
                a.add(v);
            }
        }
        return a;
    }

    /** Whole numbers without ".0", as a person would write them; all others in the shortest exact form. */
    static void number(ObjectNode o, String key, double v) {
        if (isWhole(v)) {
            o.put(key, (long) v);
        } else {
            o.put(key, v);
        }
    }

    private static boolean isWhole(double v) {
        return v == Math.rint(v) && Math.abs(v) < 1e15;
    }
}

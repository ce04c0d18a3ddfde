package mildtilt.io;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Optional;

/** The independent solver's cases, turned into job files as a person with those inputs would write them. */
public final class ReferenceCases {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private ReferenceCases() {}

    public static JsonNode load(String name) {
        try (InputStream in = ReferenceCases.class.getResourceAsStream("/reference/" + name + ".json")) {
            return MAPPER.readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ObjectNode job(String title, double wheelbase) {
        ObjectNode job = MAPPER.createObjectNode();
        job.put("format", "mild-tilt-job").put("version", 1).put("title", title);
        job.putObject("vehicle").put("wheelbase_mm", wheelbase);
        return job;
    }

    public static String columnJob(JsonNode input) {
        ObjectNode job = job("column case", 2000);
        JsonNode points = input.get("points_mm");
        int joints = points.size() - 2;
        ObjectNode column = job.putObject("column");
        column.putObject("steering_wheel").set("hub_mm", points.get(0));
        ArrayNode shafts = column.putArray("shafts");
        for (int i = 0; i <= joints; i++) {
            ObjectNode s = shafts.addObject().put("name", "shaft " + i);
            if (i > 0 && i < joints) {
                s.set("clocking_deg", input.get("shaft_clocking_deg").get(i - 1));
            }
        }
        ArrayNode all = column.putArray("joints");
        for (int i = 0; i < joints; i++) {
            ObjectNode j = all.addObject().put("name", "joint " + i).put("kind", "single");
            j.set("centre_mm", points.get(i + 1));
        }
        input.get("constant_velocity_joints").forEach(i -> ((ObjectNode) all.get(i.asInt())).put("kind", "double"));
        column.putObject("gear_input").set("point_mm", points.get(joints + 1));
        return job.toString();
    }

    /** Any of the linkage cases, by what its inputs hold. */
    public static String linkageJob(JsonNode in) {
        ObjectNode job = job("reference vehicle", in.at("/vehicle/wheelbase_mm").asDouble());
        JsonNode travels = in.at("/evaluation/travels_mm");
        if (!travels.isMissingNode()) {
            ((ObjectNode) job.get("vehicle"))
                    .put("droop_mm", -travels.get(0).asDouble())
                    .put("bump_mm", travels.get(travels.size() - 1).asDouble());
        }
        ObjectNode axle = job.putObject("axle");
        axle.set(
                "gear",
                in.has("rack")
                        ? rack(in)
                        : in.has("steering_shaft") ? columnArm(in.get("steering_shaft")) : box(in.get("gear")));
        linkage(in).ifPresent(l -> axle.set("linkage", l));
        if (in.has("track_bar")) {
            ObjectNode bar = axle.putObject("beam").put("kind", "sprung").putObject("track_bar");
            bar.set("body_end_mm", in.at("/track_bar/body_point_mm"));
            bar.set("axle_end_mm", in.at("/track_bar/axle_point_mm"));
        }
        axle.set("left", corner(in));
        if (in.has("right")) {
            axle.set("right", corner(in.get("right")));
        }
        return job.toString();
    }

    private static ObjectNode corner(JsonNode in) {
        ObjectNode corner = MAPPER.createObjectNode();
        corner.set("suspension", suspension(in));
        ObjectNode knuckle = corner.putObject("knuckle");
        knuckle.set("wheel_centre_mm", in.at("/wheel/wheel_centre_mm"));
        knuckle.set("spin_axis_point_mm", in.at("/wheel/spin_axis_point_mm"));
        knuckle.set("tie_rod_point_mm", in.at("/tie_rod/outer_point_mm"));
        corner.set("rod_ends", ends(in, "/tie_rod/outer_bolt_axis_direction", "/tie_rod/inner_bolt_axis_direction"));
        return corner;
    }

    private static ObjectNode ends(JsonNode in, String outer, String inner) {
        ObjectNode ends = MAPPER.createObjectNode();
        if (!in.at(outer).isMissingNode()) {
            ends.set("outer_bolt", in.at(outer));
        }
        if (!in.at(inner).isMissingNode()) {
            ends.set("inner_bolt", in.at(inner));
        }
        return ends;
    }

    private static ObjectNode rack(JsonNode in) {
        ObjectNode gear = MAPPER.createObjectNode().put("kind", "rack_and_pinion");
        JsonNode inner = in.at("/tie_rod/inner_point_mm");
        gear.putArray("centre_mm").add(inner.get(0)).add(0).add(inner.get(2));
        gear.set("axis", in.at("/rack/axis_direction"));
        gear.put("pivot_spacing_mm", 2 * inner.get(1).asDouble());
        gear.set("travel_per_left_turn_mm", in.at("/rack/rack_mm_per_pinion_turn"));
        gear.set("travel_each_way_mm", in.at("/rack/max_travel_each_way_mm"));
        return gear;
    }

    private static ObjectNode box(JsonNode g) {
        double ratio = g.get("gear_ratio_steering_wheel_per_pitman").asDouble();
        ObjectNode gear = MAPPER.createObjectNode()
                .put("kind", "steering_box")
                .put("ratio", ratio)
                .put(
                        "sweep_each_way_deg",
                        g.get("steering_wheel_max_angle_each_way_deg").asDouble() / ratio);
        gear.set("axis_point_mm", g.get("pitman_axis_point_mm"));
        gear.set("axis", g.get("pitman_axis_direction"));
        gear.set("arm_end_mm", g.get("pitman_arm_end_mm"));
        return gear;
    }

    private static ObjectNode columnArm(JsonNode s) {
        ObjectNode gear = MAPPER.createObjectNode().put("kind", "column_arm");
        gear.set("axis_point_mm", s.get("axis_point_mm"));
        gear.set("axis", s.get("axis_direction"));
        gear.set("arm_end_mm", s.get("arm_end_mm"));
        gear.set("sweep_each_way_deg", s.get("steering_wheel_max_angle_each_way_deg"));
        return gear;
    }

    private static Optional<ObjectNode> linkage(JsonNode in) {
        ObjectNode o = MAPPER.createObjectNode();
        if (in.has("centre_link")) {
            o.put("kind", "centre_link");
            o.set("left_fraction", in.at("/centre_link/inner_tie_rod_fraction_of_link_from_each_end"));
            if (in.at("/centre_link").has("right_fraction")) {
                o.set("right_fraction", in.at("/centre_link/right_fraction"));
            }
            if (in.at("/centre_link").has("idler")) {
                ObjectNode idler = o.putObject("idler");
                idler.set("axis_point_mm", in.at("/centre_link/idler/axis_point_mm"));
                idler.set("axis", in.at("/centre_link/idler/axis_direction"));
                idler.set("end_mm", in.at("/centre_link/idler/end_mm"));
            }
        } else if (in.has("drag_link")) {
            o.put("kind", "drag_link");
            o.set("knuckle_side", in.at("/drag_link/knuckle_side"));
            o.set("knuckle_point_mm", in.at("/drag_link/knuckle_point_mm"));
            o.set(
                    "ends",
                    ends(
                            in,
                            "/drag_link/knuckle_end_bolt_axis_direction",
                            "/drag_link/pitman_end_bolt_axis_direction"));
        } else if (in.has("bell_crank")) {
            o.put("kind", "bell_crank");
            o.set("pivot_point_mm", in.at("/bell_crank/pivot_axis_point_mm"));
            o.set("pivot_axis", in.at("/bell_crank/pivot_axis_direction"));
            o.set("drag_rod_point_mm", in.at("/bell_crank/drag_rod_point_mm"));
            o.set("left_tie_rod_point_mm", in.at("/bell_crank/tie_rod_point_mm"));
            o.set(
                    "drag_rod_ends",
                    ends(
                            in,
                            "/bell_crank/drag_rod_bolt_axis_direction",
                            "/steering_shaft/drag_rod_bolt_axis_direction"));
        } else if (in.has("shuttle")) {
            o.put("kind", "shuttle");
            o.set("slide", in.at("/shuttle/slide_direction"));
            o.set("link_point_mm", in.at("/shuttle/link_point_mm"));
            o.set("left_inner_mm", in.at("/tie_rod/inner_point_mm"));
            o.set(
                    "link_ends",
                    ends(
                            in,
                            "/shuttle/link_shuttle_end_bolt_axis_direction",
                            "/shuttle/link_pitman_end_bolt_axis_direction"));
        } else {
            return Optional.empty();
        }
        return Optional.of(o);
    }

    private static ObjectNode suspension(JsonNode in) {
        ObjectNode s = MAPPER.createObjectNode();
        if (in.has("kingpin")) {
            s.put("kind", "kingpin");
            s.set("lower_point_mm", in.at("/kingpin/lower_point_mm"));
            s.set("upper_point_mm", in.at("/kingpin/upper_point_mm"));
            return s;
        }
        boolean strut = in.at("/suspension").has("strut_top_mount_mm");
        s.put("kind", strut ? "strut" : "double_wishbone");
        for (String end : strut ? new String[] {"lower"} : new String[] {"lower", "upper"}) {
            s.set(end + "_inner_front_mm", in.at("/suspension/" + end + "_arm_inner_front_mm"));
            s.set(end + "_inner_rear_mm", in.at("/suspension/" + end + "_arm_inner_rear_mm"));
            s.set(end + "_ball_joint_mm", in.at("/suspension/" + end + "_ball_joint_mm"));
        }
        if (strut) {
            s.set("top_mount_mm", in.at("/suspension/strut_top_mount_mm"));
            s.set("strut_lower_point_mm", in.at("/suspension/strut_axis_lower_point_mm"));
        }
        return s;
    }
}

package mildtilt.format;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The independent solver's cases, turned into job files as a person with those inputs would write them. */
final class ReferenceCases {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private ReferenceCases() {}

    static JsonNode load(String name) {
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

    static String columnJob(JsonNode input) {
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

    static String wishboneJob(JsonNode input) {
        ObjectNode job = job("orchard carrier", input.at("/vehicle/wheelbase_mm").asDouble());
        JsonNode travels = input.at("/evaluation/travels_mm");
        ((ObjectNode) job.get("vehicle")).put("droop_mm", -travels.get(0).asDouble())
                .put("bump_mm", travels.get(travels.size() - 1).asDouble());
        ObjectNode axle = job.putObject("axle");
        ObjectNode gear = axle.putObject("gear").put("kind", "rack_and_pinion");
        JsonNode inner = input.at("/tie_rod/inner_point_mm");
        gear.putArray("centre_mm").add(inner.get(0)).add(0).add(inner.get(2));
        gear.set("axis", input.at("/rack/axis_direction"));
        gear.put("pivot_spacing_mm", 2 * inner.get(1).asDouble());
        gear.set("travel_per_left_turn_mm", input.at("/rack/rack_mm_per_pinion_turn"));
        gear.set("travel_each_way_mm", input.at("/rack/max_travel_each_way_mm"));
        ObjectNode left = axle.putObject("left");
        ObjectNode arms = left.putObject("suspension").put("kind", "double_wishbone");
        for (String end : new String[] {"lower", "upper"}) {
            arms.set(end + "_inner_front_mm", input.at("/suspension/" + end + "_arm_inner_front_mm"));
            arms.set(end + "_inner_rear_mm", input.at("/suspension/" + end + "_arm_inner_rear_mm"));
            arms.set(end + "_ball_joint_mm", input.at("/suspension/" + end + "_ball_joint_mm"));
        }
        ObjectNode knuckle = left.putObject("knuckle");
        knuckle.set("wheel_centre_mm", input.at("/wheel/wheel_centre_mm"));
        knuckle.set("spin_axis_point_mm", input.at("/wheel/spin_axis_point_mm"));
        knuckle.set("tie_rod_point_mm", input.at("/tie_rod/outer_point_mm"));
        ObjectNode ends = left.putObject("rod_ends");
        ends.set("outer_bolt", input.at("/tie_rod/outer_bolt_axis_direction"));
        ends.set("inner_bolt", input.at("/tie_rod/inner_bolt_axis_direction"));
        return job.toString();
    }
}

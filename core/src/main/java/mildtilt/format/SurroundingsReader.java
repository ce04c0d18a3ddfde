package mildtilt.format;

import static mildtilt.format.JobReader.at;
import static mildtilt.format.JobReader.direction;
import static mildtilt.format.JobReader.id;
import static mildtilt.format.JobReader.number;
import static mildtilt.format.JobReader.optional;
import static mildtilt.format.JobReader.point;
import static mildtilt.format.JobReader.side;
import static mildtilt.format.JobReader.unknown;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.OwnParts;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.obstacle.Surroundings.Touching;
import mildtilt.obstacle.Sweep;

/** What is in the way, from JSON that fits the schema. */
final class SurroundingsReader {

    private SurroundingsReader() {}

    static Surroundings surroundings(JsonNode o) {
        List<Obstacle> all = new ArrayList<>();
        for (JsonNode x : o.path("obstacles")) {
            int n = all.size() + 1;
            all.add(at("obstacles number " + n, () -> obstacle(x)));
            // Before the next scan is unpacked.
            Surroundings.mustNotHoldTooMuch(all);
        }
        List<Touching> out = new ArrayList<>();
        o.path("meant_to_touch").forEach(t -> out.add(new Touching(new Id(t.path(0).asText()), new Id(t.path(1).asText()))));
        Optional<Driver> driver = optional(o, "driver").map(d -> at("driver", () -> new Driver(point(d, "hip_mm"), point(d, "heel_mm"),
                number(d, "thigh_mm", 0), number(d, "shin_mm", 0), number(d, "knees_apart_mm", 0))));
        return at("obstacles", () -> new Surroundings(all, driver, own(o.path("own_parts")), out));
    }

    private static OwnParts own(JsonNode o) {
        OwnParts u = OwnParts.USUAL;
        return new OwnParts(given(o, "rim_diameter_mm"), given(o, "arm_diameter_mm"), given(o, "rod_diameter_mm"), given(o, "steering_arm_diameter_mm"), given(o, "gear_diameter_mm"),
                number(o, "own_gap_mm", u.gap()), number(o, "tyre_gap_mm", u.tyreGap()), number(o, "driver_gap_mm", u.driverGap()));
    }

    private static Optional<Double> given(JsonNode o, String key) {
        return optional(o, key).map(JsonNode::asDouble);
    }

    private static Obstacle obstacle(JsonNode o) {
        boolean hot = o.path("hot").asBoolean(false);
        return new Obstacle(id(o, "id"), o.path("name").asText(), shape(o.path("shape")), number(o, "gap_mm", hot ? Obstacle.USUAL_HOT_GAP : Obstacle.USUAL_GAP), hot,
                JobReader.one(Carrier.class, o.path("fixed_to").asText("frame")), optional(o, "sweep").map(SurroundingsReader::sweep).orElse(new Sweep.Still()),
                o.path("takes_bearings").asBoolean(false),
                optional(o, "may_be").map(m -> JobReader.one(Obstacle.May.class, m.asText())));
    }

    private static Shape shape(JsonNode o) {
        double left = number(o, "heading_deg", 0);
        double down = number(o, "slope_deg", 0);
        double roll = number(o, "roll_deg", 0);
        return switch (o.path("kind").asText()) {
            case "tube" -> new Shape.Tube(points(o.path("line_mm")), number(o, "diameter_mm", 0));
            case "box" -> new Shape.Box(point(o, "centre_mm"), number(o, "length_mm", 0), number(o, "width_mm", 0), number(o, "height_mm", 0), left, down, roll);
            case "plate" -> new Shape.Plate(points(o.path("corners_mm")), number(o, "thickness_mm", 0));
            case "cylinder" -> new Shape.Cylinder(point(o, "from_mm"), point(o, "to_mm"), number(o, "diameter_mm", 0));
            case "sphere" -> new Shape.Sphere(point(o, "centre_mm"), number(o, "diameter_mm", 0));
            case "scan" -> new Shape.Scan(MeshText.read(o.path("corners").asText(), o.path("triangles").asText()), o.path("file").asText(""),
                    point(o, "at_mm"), left, down, roll);
            default -> throw unknown("shape", o.path("kind").asText());
        };
    }

    private static List<Point> points(JsonNode a) {
        List<Point> all = new ArrayList<>();
        a.forEach(p -> all.add(new Point(p.path(0).asDouble(), p.path(1).asDouble(), p.path(2).asDouble())));
        return all;
    }

    private static Axis axis(JsonNode o) {
        return new Axis(point(o, "origin_mm"), direction(o.path("axis")));
    }

    private static Sweep sweep(JsonNode o) {
        return switch (o.path("kind").asText()) {
            case "turns" -> new Sweep.Turns(axis(o), number(o, "from_deg", 0), number(o, "to_deg", 0));
            case "slides" -> new Sweep.Slides(direction(o.path("along")), number(o, "from_travel_mm", 0), number(o, "to_travel_mm", 0));
            case "wanders" -> new Sweep.Wanders(number(o, "by_mm", 0));
            case "follows_wheel" -> new Sweep.FollowsWheel(side(o, "side"), axis(o), number(o, "deg_per_mm", 0));
            default -> throw unknown("sweep", o.path("kind").asText());
        };
    }
}

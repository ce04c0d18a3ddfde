package mildtilt.format;

import static mildtilt.format.JobWriter.direction;
import static mildtilt.format.JobWriter.number;
import static mildtilt.format.JobWriter.object;
import static mildtilt.format.JobWriter.point;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import mildtilt.geometry.Point;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.OwnParts;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.obstacle.Sweep;

/** What is in the way, as JSON. */
final class SurroundingsWriter {

    private SurroundingsWriter() {}

    static ObjectNode surroundings(Surroundings s) {
        ObjectNode o = object();
        ArrayNode all = o.putArray("obstacles");
        s.obstacles().forEach(x -> all.add(obstacle(x)));
        s.driver().ifPresent(d -> o.set("driver", driver(d)));
        o.set("own_parts", own(s.own()));
        if (!s.meant().isEmpty()) {
            ArrayNode out = o.putArray("meant_to_touch");
            s.meant().forEach(t -> out.addArray().add(t.first().text()).add(t.second().text()));
        }
        return o;
    }

    private static ObjectNode obstacle(Obstacle x) {
        ObjectNode o = object();
        o.put("id", x.id().text());
        o.put("name", x.name());
        o.set("shape", shape(x.shape()));
        number(o, "gap_mm", x.gap());
        o.put("hot", x.hot());
        o.put("fixed_to", x.carrier().name().toLowerCase(Locale.ROOT));
        if (!(x.sweep() instanceof Sweep.Still)) {
            o.set("sweep", sweep(x.sweep()));
        }
        o.put("takes_bearings", x.takesBearings());
        x.said().ifPresent(m -> o.put("may_be", m.name().toLowerCase(Locale.ROOT)));
        return o;
    }

    private static ObjectNode shape(Shape shape) {
        ObjectNode o = object();
        switch (shape) {
            case Shape.Tube t -> {
                o.put("kind", "tube");
                points(o.putArray("line_mm"), t.line());
                number(o, "diameter_mm", t.diameter());
            }
            case Shape.Box b -> {
                o.put("kind", "box");
                o.set("centre_mm", point(b.centre()));
                number(o, "length_mm", b.length());
                number(o, "width_mm", b.width());
                number(o, "height_mm", b.height());
                turn(o, b.leftDeg(), b.downDeg(), b.rollDeg());
            }
            case Shape.Plate p -> {
                o.put("kind", "plate");
                points(o.putArray("corners_mm"), p.corners());
                number(o, "thickness_mm", p.thickness());
            }
            case Shape.Cylinder c -> {
                o.put("kind", "cylinder");
                o.set("from_mm", point(c.from()));
                o.set("to_mm", point(c.to()));
                number(o, "diameter_mm", c.diameter());
            }
            case Shape.Sphere s -> {
                o.put("kind", "sphere");
                o.set("centre_mm", point(s.centre()));
                number(o, "diameter_mm", s.diameter());
            }
            case Shape.Scan s -> {
                o.put("kind", "scan");
                o.put("file", s.file());
                o.set("at_mm", point(s.at()));
                turn(o, s.leftDeg(), s.downDeg(), s.rollDeg());
                MeshText.Packed packed = MeshText.of(s.mesh());
                o.put("corners", packed.corners());
                o.put("triangles", packed.triangles());
            }
        }
        return o;
    }

    private static void points(ArrayNode a, List<Point> points) {
        points.forEach(p -> a.add(point(p)));
    }

    private static void turn(ObjectNode o, double left, double down, double roll) {
        number(o, "heading_deg", left);
        number(o, "slope_deg", down);
        number(o, "roll_deg", roll);
    }

    private static ObjectNode sweep(Sweep sweep) {
        ObjectNode o = object();
        switch (sweep) {
            case Sweep.Still _ -> { }
            case Sweep.Turns t -> {
                o.put("kind", "turns");
                o.set("origin_mm", point(t.axis().origin()));
                o.set("axis", direction(t.axis().direction()));
                number(o, "from_deg", t.fromDeg());
                number(o, "to_deg", t.toDeg());
            }
            case Sweep.Slides s -> {
                o.put("kind", "slides");
                o.set("along", direction(s.along()));
                number(o, "from_travel_mm", s.from());
                number(o, "to_travel_mm", s.to());
            }
            case Sweep.Wanders w -> {
                o.put("kind", "wanders");
                number(o, "by_mm", w.by());
            }
            case Sweep.FollowsWheel f -> {
                o.put("kind", "follows_wheel");
                o.put("side", f.side().code());
                o.set("origin_mm", point(f.axis().origin()));
                o.set("axis", direction(f.axis().direction()));
                number(o, "deg_per_mm", f.degPerMm());
            }
        }
        return o;
    }

    private static ObjectNode driver(Driver d) {
        ObjectNode o = object();
        o.set("hip_mm", point(d.hip()));
        o.set("heel_mm", point(d.heel()));
        number(o, "thigh_mm", d.thigh());
        number(o, "shin_mm", d.shin());
        number(o, "knees_apart_mm", d.kneesApart());
        return o;
    }

    private static ObjectNode own(OwnParts p) {
        ObjectNode o = object();
        p.rim().ifPresent(d -> number(o, "rim_diameter_mm", d));
        p.arm().ifPresent(d -> number(o, "arm_diameter_mm", d));
        p.rod().ifPresent(d -> number(o, "rod_diameter_mm", d));
        p.steeringArm().ifPresent(d -> number(o, "steering_arm_diameter_mm", d));
        p.gear().ifPresent(d -> number(o, "gear_diameter_mm", d));
        number(o, "own_gap_mm", p.gap());
        number(o, "tyre_gap_mm", p.tyreGap());
        number(o, "driver_gap_mm", p.driverGap());
        return o;
    }
}

package mildtilt.format;

import static mildtilt.format.JobReader.at;
import static mildtilt.format.JobReader.direction;
import static mildtilt.format.JobReader.number;
import static mildtilt.format.JobReader.optional;
import static mildtilt.format.JobReader.point;
import static mildtilt.format.JobReader.side;
import static mildtilt.format.JobReader.unknown;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import java.util.Optional;
import mildtilt.gear.ColumnArm;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.gear.SteeringBox;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.linkage.Beam;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.Corner;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.Linkage;
import mildtilt.linkage.RackTieRods;
import mildtilt.linkage.RodEnds;
import mildtilt.linkage.RodTube;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.SwingArm;
import mildtilt.linkage.WheelLimits;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;

/** Gear, linkage, beam and corners from JSON that fits the schema. */
final class AxleReader {

    private AxleReader() {}

    /** @throws ImpossibleGeometryException if the parts can't be so or do not go together */
    static SteeredAxle axle(JsonNode a) {
        Gear gear = at("gear", () -> gear(a.path("gear")));
        Linkage linkage = optional(a, "linkage").map(l -> at("linkage", () -> linkage(l))).orElse(new RackTieRods());
        Optional<Beam> beam = optional(a, "beam").map(b -> at("beam", () -> beam(b)));
        Corner left = at("left", () -> corner(a.path("left")));
        Optional<Corner> right = optional(a, "right").map(r -> at("right", () -> corner(r)));
        return new SteeredAxle(gear, linkage, beam, left, right);
    }

    private static Gear gear(JsonNode g) {
        return switch (g.path("kind").asText()) {
            case "steering_box" -> new SteeringBox(axis(g, "axis_point_mm", "axis"), point(g, "arm_end_mm"),
                    number(g, "ratio", 0), number(g, "sweep_each_way_deg", 0));
            case "column_arm" -> new ColumnArm(axis(g, "axis_point_mm", "axis"), point(g, "arm_end_mm"),
                    number(g, "sweep_each_way_deg", 0));
            case "rack_and_pinion" -> new RackAndPinion(point(g, "centre_mm"),
                    optional(g, "axis").map(JobReader::direction).orElse(new Direction(0, 1, 0)),
                    number(g, "pivot_spacing_mm", 0), number(g, "travel_per_left_turn_mm", 0),
                    number(g, "travel_each_way_mm", 0));
            default -> throw unknown("gear", g.path("kind").asText());
        };
    }

    private static Axis axis(JsonNode o, String point, String direction) {
        return new Axis(point(o, point), direction(o.path(direction)));
    }

    private static Linkage linkage(JsonNode o) {
        return switch (o.path("kind").asText()) {
            case "centre_link" -> new CentreLink(
                    optional(o, "idler").map(i -> new SwingArm(axis(i, "axis_point_mm", "axis"), point(i, "end_mm"))),
                    number(o, "left_fraction", 0), number(o, "right_fraction", number(o, "left_fraction", 0)));
            case "drag_link" -> new DragLink(attachment(o), rodEnds(o.path("ends")));
            case "bell_crank" -> new BellCrank(axis(o, "pivot_point_mm", "pivot_axis"), point(o, "drag_rod_point_mm"),
                    point(o, "left_tie_rod_point_mm"), optional(o, "right_tie_rod_point_mm").map(_ -> point(o, "right_tie_rod_point_mm")),
                    rodEnds(o.path("drag_rod_ends")));
            case "shuttle" -> new Shuttle(optional(o, "slide").map(JobReader::direction).orElse(new Direction(0, 1, 0)),
                    point(o, "link_point_mm"), point(o, "left_inner_mm"),
                    optional(o, "right_inner_mm").map(_ -> point(o, "right_inner_mm")),
                    optional(o, "travel_each_way_mm").map(JsonNode::asDouble), rodEnds(o.path("link_ends")));
            case "rack_tie_rods" -> new RackTieRods();
            default -> throw unknown("linkage", o.path("kind").asText());
        };
    }

    private static DragLink.Attachment attachment(JsonNode o) {
        boolean onKnuckle = o.has("knuckle_side") && o.has("knuckle_point_mm");
        if (onKnuckle == o.has("tie_rod_fraction")) {
            throw new ImpossibleGeometryException("A drag link needs either \"knuckle_side\" with \"knuckle_point_mm\", "
                    + "or \"tie_rod_fraction\", and not both.");
        }
        return onKnuckle
                ? new DragLink.Attachment.OnKnuckle(
                        side(o, "knuckle_side"), point(o, "knuckle_point_mm"))
                : new DragLink.Attachment.OnTieRod(number(o, "tie_rod_fraction", 0));
    }

    private static Beam beam(JsonNode o) {
        return switch (o.path("kind").asText()) {
            case "centre_pin" -> new Beam.CentrePin(axis(o, "pin_point_mm", "pin_axis"));
            case "sprung" -> new Beam.Sprung(optional(o, "track_bar").map(t -> new Beam.TrackBar(point(t, "body_end_mm"), point(t, "axle_end_mm"))));
            default -> throw unknown("beam", o.path("kind").asText());
        };
    }

    private static Corner corner(JsonNode c) {
        JsonNode k = c.path("knuckle");
        Knuckle knuckle = new Knuckle(
                point(k, "wheel_centre_mm"), point(k, "spin_axis_point_mm"), point(k, "tie_rod_point_mm"));
        return new Corner(suspension(c.path("suspension")), knuckle, rodEnds(c.path("rod_ends")), limits(c.path("limits")));
    }

    private static Suspension suspension(JsonNode s) {
        return switch (s.path("kind").asText()) {
            case "strut" -> new Strut(point(s, "lower_inner_front_mm"), point(s, "lower_inner_rear_mm"),
                    point(s, "lower_ball_joint_mm"), point(s, "top_mount_mm"), point(s, "strut_lower_point_mm"));
            case "kingpin" -> new Kingpin(point(s, "lower_point_mm"), point(s, "upper_point_mm"));
            case "double_wishbone" -> new DoubleWishbone(
                    point(s, "lower_inner_front_mm"), point(s, "lower_inner_rear_mm"), point(s, "lower_ball_joint_mm"),
                    point(s, "upper_inner_front_mm"), point(s, "upper_inner_rear_mm"), point(s, "upper_ball_joint_mm"));
            default -> throw unknown("suspension", s.path("kind").asText());
        };
    }

    private static RodEnds rodEnds(JsonNode e) {
        return e instanceof MissingNode ? RodEnds.UNKNOWN : new RodEnds(
                optional(e, "outer_bolt").map(JobReader::direction),
                optional(e, "inner_bolt").map(JobReader::direction),
                optional(e, "allowed_deg").map(JsonNode::asDouble),
                optional(e, "tube").map(t -> new RodTube(number(t, "outside_mm", 0), number(t, "wall_mm", 0),
                        number(t, "crank_mm", 0), number(t, "yield_mpa", RodTube.USUAL_YIELD))));
    }

    private static WheelLimits limits(JsonNode o) {
        return new WheelLimits(optional(o, "stop_inner_deg").map(JsonNode::asDouble), optional(o, "stop_outer_deg").map(JsonNode::asDouble),
                optional(o, "tyre_inner_deg").map(JsonNode::asDouble), optional(o, "tyre_outer_deg").map(JsonNode::asDouble));
    }
}

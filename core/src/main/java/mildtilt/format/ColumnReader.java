package mildtilt.format;

import static mildtilt.format.JobReader.at;
import static mildtilt.format.JobReader.direction;
import static mildtilt.format.JobReader.number;
import static mildtilt.format.JobReader.optional;
import static mildtilt.format.JobReader.point;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Adjustment;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.ForkFit;
import mildtilt.column.GearInput;
import mildtilt.column.Installation;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Seat;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Hold;
import mildtilt.column.SteeringWheel;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/** The column and its parts out of JSON that fits the schema. The catalogue's parts are written the same way. */
final class ColumnReader {

    private static final double DEFAULT_SHAFT = 20;

    private ColumnReader() {}

    static Column column(JsonNode c) {
        List<Shaft> shafts = new ArrayList<>();
        for (JsonNode s : c.path("shafts")) {
            shafts.add(at("column, shafts number " + (shafts.size() + 1), () -> shaft(s)));
        }
        List<Joint> joints = new ArrayList<>();
        for (JsonNode j : c.path("joints")) {
            joints.add(at("column, joints number " + (joints.size() + 1), () -> joint(j)));
        }
        List<Bearing> bearings = new ArrayList<>();
        for (JsonNode b : c.path("bearings")) {
            bearings.add(at("column, bearings number " + (bearings.size() + 1), () -> bearing(b)));
        }
        for (int i = 0; i < shafts.size(); i++) {
            int index = i;
            at("column, shafts number " + (i + 1), () -> stepsOfVersion2(c.path("shafts").get(index), index, shafts, joints));
        }
        return at("column", () -> new Column(wheel(c.path("steering_wheel")), shafts, joints, gear(c.path("gear_input")),
                number(c, "first_fork_deg", 0), optional(c, "tube").map(ColumnReader::tube), bearings,
                optional(c, "installation").map(ColumnReader::installation).orElse(Installation.FREE)));
    }

    /** Up to version 2 a step stood on the shaft itself; since then it follows from the fork's bore. */
    private static boolean stepsOfVersion2(JsonNode s, int shaft, List<Shaft> shafts, List<Joint> joints) {
        if (!s.path("fork").asText("any").equals("stepped") || shaft >= joints.size()) {
            return false;
        }
        String name = shafts.get(shaft).name();
        if (!s.has("fork_step_deg")) {
            throw new ImpossibleGeometryException("A stepped fork needs \"fork_step_deg\", and \"" + name + "\" has none.");
        }
        if (joints.get(shaft).wheelSide().socket().isPresent()) {
            throw new ImpossibleGeometryException("\"" + name + "\" has a \"fork_step_deg\" and its fork a socket: the step follows from the socket, so leave \"fork\" out.");
        }
        double ways = 360 / number(s, "fork_step_deg", 0);
        int whole = (int) Math.rint(ways);
        if (!(Math.abs(ways - whole) < 1e-6 && whole >= 2)) {
            throw new ImpossibleGeometryException("\"fork_step_deg\" of \"" + name + "\" must go into a whole turn evenly.");
        }
        double d = shafts.get(shaft).diameter();
        Seat seat = whole == 2 ? new Seat.DoubleD(d, 0.8 * d) : new Seat.Splined(d, whole);
        Joint j = joints.get(shaft);
        joints.set(shaft, j.withFits(j.wheelSide().withSocket(new Socket(seat, Hold.PINCH_BOLT)), j.gearSide()));
        shafts.set(shaft, shafts.get(shaft).withEnds(shafts.get(shaft).wheelEnd(), Optional.of(seat)));
        return true;
    }

    private static SteeringWheel wheel(JsonNode w) {
        return at("steering_wheel", () -> new SteeringWheel(number(w, "diameter_mm", 360), point(w, "hub_mm"), fit(w),
                optional(w, "adjustment").map(ColumnReader::adjustment).orElse(Adjustment.NONE)));
    }

    private static Adjustment adjustment(JsonNode a) {
        return new Adjustment(number(a, "reach_in_mm", 0), number(a, "reach_out_mm", 0), number(a, "tilt_up_deg", 0),
                number(a, "tilt_down_deg", 0), optional(a, "pivot_from_hub_mm").map(JsonNode::asDouble));
    }

    static ColumnTube tube(JsonNode t) {
        return new ColumnTube(number(t, "outside_mm", 45), number(t, "from_mm", 0), number(t, "to_mm", 0), number(t, "collapse_mm", 0),
                number(t, "beyond_mm", ColumnTube.USUAL_BEYOND));
    }

    private static GearInput gear(JsonNode g) {
        return at("gear_input", () -> new GearInput(point(g, "point_mm"), fit(g), optional(g, "axis").map(JobReader::direction)));
    }

    private static Installation installation(JsonNode i) {
        return new Installation(i.has("column_axis") ? Optional.of(direction(i.get("column_axis"))) : Optional.empty(),
                number(i, "frame_movement_mm", 0), optional(i, "bulkhead_x_mm").map(JsonNode::asDouble));
    }

    static Shaft shaft(JsonNode s) {
        Optional<Slide> slide = optional(s, "slide")
                .map(o -> new Slide(number(o, "overlap_mm", 0), number(o, "least_overlap_mm", 0), number(o, "closes_mm", 0)));
        return new Shaft(s.path("name").asText(), seat(s, DEFAULT_SHAFT), number(s, "bore_mm", 0), number(s, "yield_mpa", Shaft.MILD_STEEL),
                optional(s, "wheel_end").map(e -> seat(e, number(s, "diameter_mm", DEFAULT_SHAFT))),
                optional(s, "gear_end").map(e -> seat(e, number(s, "diameter_mm", DEFAULT_SHAFT))),
                number(s, "clocking_deg", 0), number(s, "clocking_index_deg", 0),
                s.path("forks_fixed").asBoolean(s.path("fork").asText("any").equals("fixed")), s.path("to_cut").asBoolean(true), slide,
                s.path("typical").asBoolean(false));
    }

    static Joint joint(JsonNode j) {
        JointKind kind = switch (j.path("kind").asText("single")) {
            case "double" -> new JointKind.Double(j.path("centred").asBoolean(false));
            case "coupling" -> new JointKind.Coupling();
            default -> new JointKind.Single();
        };
        return new Joint(j.path("name").asText(), kind, j.has("centre_mm") ? point(j, "centre_mm") : Point.ORIGIN,
                number(j, "max_angle_deg", kind.usualLimitDeg()), fit(j.path("wheel_side")), fit(j.path("gear_side")),
                optional(j, "torque_nm").map(JsonNode::asDouble), optional(j, "swing_diameter_mm").map(JsonNode::asDouble),
                j.path("typical").asBoolean(false));
    }

    static Bearing bearing(JsonNode b) {
        return new Bearing(b.path("name").asText(), constant(Bearing.Kind.class, b, "kind", Bearing.Kind.ROD_END),
                constant(Bearing.Mount.class, b, "mount", Bearing.Mount.FRAME), b.path("shaft").asInt(1) - 1, number(b, "along_mm", 0),
                number(b, "bore_mm", DEFAULT_SHAFT), number(b, "off_across_mm", 0), number(b, "off_up_mm", 0), b.path("typical").asBoolean(false));
    }

    private static ForkFit fit(JsonNode o) {
        return new ForkFit(number(o, "take_off_mm", 0), number(o, "engagement_mm", 0), optional(o, "socket").map(ColumnReader::socket));
    }

    static Socket socket(JsonNode s) {
        return new Socket(seat(s, DEFAULT_SHAFT), constant(Hold.class, s, "hold", Hold.PINCH_BOLT));
    }

    private static Seat seat(JsonNode s, double usual) {
        double d = number(s, "diameter_mm", usual);
        return switch (s.path("form").asText("round")) {
            case "spline" -> new Seat.Splined(d, s.path("teeth").asInt(36));
            case "double_d" -> new Seat.DoubleD(d, number(s, "across_flats_mm", 0.8 * d));
            case "keyed" -> new Seat.Keyed(d, number(s, "key_width_mm", d / 4));
            default -> new Seat.Round(d);
        };
    }

    private static <T extends Enum<T>> T constant(Class<T> kind, JsonNode o, String key, T usual) {
        return o.has(key) ? JobReader.one(kind, o.get(key).asText()) : usual;
    }
}

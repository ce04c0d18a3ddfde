package mildtilt.format;

import static mildtilt.format.JobReader.at;
import static mildtilt.format.JobReader.direction;
import static mildtilt.format.JobReader.id;
import static mildtilt.format.JobReader.number;
import static mildtilt.format.JobReader.optional;
import static mildtilt.format.JobReader.point;
import static mildtilt.format.JobReader.unknown;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
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
import mildtilt.id.Id;

/** The column and its parts out of JSON that fits the schema. The catalogue's parts are written the same way. */
final class ColumnReader {

    private static final double DEFAULT_SHAFT = 20;

    private ColumnReader() {}

    static Column column(JsonNode c) {
        List<Shaft> shafts = new ArrayList<>();
        for (JsonNode s : c.path("shafts")) {
            shafts.add(at("column, shafts number " + (shafts.size() + 1), () -> shaft(s, id(s, "id"))));
        }
        List<Joint> joints = new ArrayList<>();
        for (JsonNode j : c.path("joints")) {
            joints.add(at("column, joints number " + (joints.size() + 1), () -> joint(j, id(j, "id"))));
        }
        List<Bearing> bearings = new ArrayList<>();
        for (JsonNode b : c.path("bearings")) {
            bearings.add(at("column, bearings number " + (bearings.size() + 1), () -> bearing(b, id(b, "id"), shaftOf(b, shafts))));
        }
        return at("column", () -> new Column(wheel(c.path("steering_wheel")), shafts, joints, gear(c.path("gear_input")),
                number(c, "first_fork_deg", 0), optional(c, "tube").map(ColumnReader::tube), bearings,
                optional(c, "installation").map(ColumnReader::installation).orElse(Installation.FREE)));
    }

    /** The place in the row of the shaft that a bearing holds. */
    private static int shaftOf(JsonNode bearing, List<Shaft> shafts) {
        Id id = bearing.has("shaft") ? id(bearing, "shaft") : shafts.getFirst().id();
        return IntStream.range(0, shafts.size()).filter(i -> shafts.get(i).id().equals(id)).findFirst()
                .orElseThrow(() -> new ImpossibleGeometryException("There is no shaft \"" + id + "\" for \"" + bearing.path("name").asText() + "\" to hold."));
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

    static Shaft shaft(JsonNode s, Id id) {
        Optional<Slide> slide = optional(s, "slide")
                .map(o -> new Slide(number(o, "overlap_mm", 0), number(o, "least_overlap_mm", 0), number(o, "closes_mm", 0)));
        return new Shaft(id, s.path("name").asText(), seat(s, DEFAULT_SHAFT), number(s, "bore_mm", 0), number(s, "yield_mpa", Shaft.MILD_STEEL),
                optional(s, "wheel_end").map(e -> seat(e, number(s, "diameter_mm", DEFAULT_SHAFT))),
                optional(s, "gear_end").map(e -> seat(e, number(s, "diameter_mm", DEFAULT_SHAFT))),
                number(s, "clocking_deg", 0), number(s, "clocking_index_deg", 0),
                s.path("forks_fixed").asBoolean(false), s.path("to_cut").asBoolean(true), slide,
                s.path("typical").asBoolean(false));
    }

    static Joint joint(JsonNode j, Id id) {
        JointKind kind = switch (j.path("kind").asText("single")) {
            case "double" -> new JointKind.Double(j.path("centred").asBoolean(false));
            case "coupling" -> new JointKind.Coupling();
            case "single" -> new JointKind.Single();
            case String other -> throw unknown("joint", other);
        };
        return new Joint(id, j.path("name").asText(), kind, j.has("centre_mm") ? point(j, "centre_mm") : Point.ORIGIN,
                number(j, "max_angle_deg", kind.usualLimitDeg()), fit(j.path("wheel_side")), fit(j.path("gear_side")),
                optional(j, "torque_nm").map(JsonNode::asDouble), optional(j, "swing_diameter_mm").map(JsonNode::asDouble),
                j.path("typical").asBoolean(false));
    }

    static Bearing bearing(JsonNode b, Id id, int shaft) {
        return new Bearing(id, b.path("name").asText(), constant(Bearing.Kind.class, b, "kind", Bearing.Kind.ROD_END),
                constant(Bearing.Mount.class, b, "mount", Bearing.Mount.FRAME), shaft, number(b, "along_mm", 0),
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
            case "round" -> new Seat.Round(d);
            case String form -> throw unknown("end", form);
        };
    }

    private static <T extends Enum<T>> T constant(Class<T> kind, JsonNode o, String key, T usual) {
        return o.has(key) ? JobReader.one(kind, o.get(key).asText()) : usual;
    }
}

package mildtilt.io.jobfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.column.RandomColumns;
import mildtilt.geometry.Side;
import mildtilt.io.JobFileException;
import mildtilt.io.Numbers;
import mildtilt.io.json.AnalysisJson;
import mildtilt.job.Job;
import mildtilt.job.TrialLog;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.obstacle.Shape;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringInput;
import mildtilt.steer.position.SteeringTrain;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Two things that must hold of every vehicle and every figure: one built twice as large keeps its angles, ratios and
 * forces; one built as in a mirror does to the right what the other does to the left. The job files and what is printed
 * of them are changed here as files, by the units and sides in their names.
 */
class ScaledAndMirroredTest {

    private static final ObjectMapper MAPPER = new ObjectMapper();
    private static final Grid GRID = new Grid(8, 4);
    private static final double[][] PLACES = {{-150, 20, -15}, {200, -15, -15}, {35, 0, 0}, {-11, -10, 10}};

    /** Angles that are to the left where they are above nought. */
    private static final Pattern TO_THE_LEFT = Pattern.compile("(worst_at_)?steering_wheel_((stop_)?(left|right)_)?deg"
            + "|largest_reachable_steering_wheel_\\w+|gear_input_deg|delta_\\w*deg|mean_delta_deg|(pitman|idler|column_arm|bell_crank|relay_arm)_angle_deg|\\w+_y_shift_mm"
            + "|(shuttle|rack)_displacement_mm|heading_deg|roll_deg|clocking_deg|clocking_arc_mm|first_fork_deg|clocking_index_deg|off_across_mm|best_clocking_\\w+_deg|best_clocking_48_spline_7.5_deg"
            + "|left_less_right_percent|turn_whole_train_deg|brake_steer_deg_per_deg");
    /**
     * Where a thing was found tells nothing where two places are as good; a set of clockings is one of several as good.
     */
    private static final Set<String> ANY_OF_SEVERAL = Set.of("closest_at", "closest_to_toggle_at", "at");

    private static JsonNode printed(String job, List<SteeringInput> places) throws JobFileException {
        Job read = JobReader.read(job);
        return AnalysisJson.tree(Analysis.of(read, GRID), places);
    }

    /** Places the wheels of the axle can travel to. */
    private static List<SteeringInput> places(DemoJob demo, double k, boolean mirrored) {
        WheelTravel travel = demo.job().axle().orElseThrow().wheelTravel();
        return List.of(PLACES).stream()
                .map(p -> {
                    double left = travel == WheelTravel.NONE ? 0 : p[1] * k;
                    double right = travel == WheelTravel.FREE ? p[2] * k : travel.rightWith(left);
                    return mirrored ? new SteeringInput(-p[0], right, left) : new SteeringInput(p[0], left, right);
                })
                .toList();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void doublingAllLengthsScalesFigures(DemoJob demo) throws Exception {
        // A driver has sizes of their own that no file doubles: shoulders, legs.
        Job alone = said(demo.job()).editSurroundings(s -> s.withDriver(Optional.empty()));
        JsonNode file = MAPPER.readTree(JobWriter.write(alone));
        JsonNode expected =
                Numbers.times(printed(file.toString(), places(demo, 1, false)), ScaledAndMirroredTest::figureTwice);
        if (expected.at("/linkage/roll_steer_deg_per_deg").isNumber()) {
            // It is taken over a mm either way, which is half a mm of the vehicle that is half as large.
            ((ObjectNode) expected.get("linkage")).put("roll_steer_deg_per_deg", rollSteer(alone, 0.5));
        }
        kickBackOfHalfABump(alone, expected.at("/linkage/kick_back"));
        JsonNode large =
                printed(Numbers.times(file, ScaledAndMirroredTest::twice).toString(), places(demo, 2, false));
        for (String part : List.of("column", "linkage", "bench", "positions")) {
            compare(demo + "/" + part, expected.get(part), large.get(part));
        }
        // The thickness of a rim, a leg or a wheel's barrel stays, so that what only just touches may differ.
        assertThat(faults(large).stream().filter(f -> !f.startsWith("touches") && !f.startsWith("gap")))
                .containsExactlyElementsOf(faults(expected).stream()
                        .filter(f -> !f.startsWith("touches") && !f.startsWith("gap"))
                        .toList());
        // Of those that come near twice as large, where all that is told of as near is; the rim and the driver's legs
        // have a thickness of their own.
        Map<String, Double> twice = gaps(large);
        gaps(expected).forEach((pair, gap) -> {
            if (twice.containsKey(pair) && !pair.contains("steering wheel") && !pair.contains("inside")) {
                near(pair, gap, twice.get(pair), 0.1);
            }
        });
    }

    /** One wheel goes as much higher on the large vehicle as on the small one: half as much of what it is. */
    private static void kickBackOfHalfABump(Job small, JsonNode expected) {
        SteeringTrain train = new SteeringTrain(small);
        double rise = Math.min(KickBack.RISE, 2 * small.vehicle().bump());
        KickBack half = KickBack.of(train, small, rise / 2).orElseThrow();
        for (Side side : Side.values()) {
            ObjectNode wheel = (ObjectNode) expected.get(side.code());
            wheel.put("higher_mm", rise);
            half.wheel(side).turn().ifPresent(deg -> wheel.put("turns_steering_wheel_deg", deg));
        }
    }

    private static double rollSteer(Job job, double step) {
        SteeringTrain train = new SteeringTrain(job);
        double up = train.pose(0, step, -step).assembled().orElseThrow().meanSteerDeg();
        double down = train.pose(0, -step, step).assembled().orElseThrow().meanSteerDeg();
        double rollDeg =
                Math.toDegrees(Math.atan2(2 * step, job.axle().orElseThrow().track()));
        return (up - down) / (2 * rollDeg);
    }

    /**
     * A vehicle given from another origin, farther back, and with its obstacles in reverse order, is the same
     * vehicle: every angle, length, force and gap, overlaps too.
     */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void originAndOrderDoNotMatter(DemoJob demo) throws Exception {
        JsonNode file = MAPPER.readTree(JobWriter.write(said(demo.job())));
        JsonNode expected = printed(file.toString(), List.of());
        ObjectNode moved = (ObjectNode) shifted("", file);
        if (moved.at("/surroundings/obstacles") instanceof ArrayNode o) {
            List<JsonNode> back = new ArrayList<>();
            o.forEach(x -> back.addFirst(x));
            o.removeAll().addAll(back);
        }
        JsonNode ours = printed(moved.toString(), List.of());
        assertThat(faults(ours)).isEqualTo(faults(expected));
        Map<String, Double> gaps = gaps(ours);
        gaps(expected).forEach((pair, gap) -> near(pair, gap, gaps.get(pair), 0.02));
        for (String part : List.of(
                "lengths",
                "range",
                "steering_ratio",
                "full_lock",
                "ackermann_at_inner_20_deg",
                "lock_limits",
                "lock_as_stopped",
                "effort",
                "rod_loads",
                "part_loads",
                "over_centre_margin",
                "rod_end_misalignment_in_reach")) {
            compare(demo + "/" + part, expected.at("/linkage/" + part), ours.at("/linkage/" + part));
        }
        for (String part : List.of(
                "joint_angles_deg",
                "shaft_cut_lengths_mm",
                "ripple_peak_to_peak_percent",
                "heavy_pull",
                "bearing_loads_of_joint_angles",
                "bearings_forced",
                "front_push")) {
            compare(demo + "/" + part, expected.at("/column/" + part), ours.at("/column/" + part));
        }
    }

    /** Every place 300 mm farther forward. */
    private static JsonNode shifted(String key, JsonNode node) {
        if (node instanceof ObjectNode o) {
            ObjectNode out = MAPPER.createObjectNode();
            o.properties()
                    .forEach(e -> out.set(
                            e.getKey(),
                            e.getKey().equals("bulkhead_x_mm")
                                    ? DoubleNode.valueOf(e.getValue().asDouble() + 300)
                                    : shifted(e.getKey(), e.getValue())));
            return out;
        }
        if (node instanceof ArrayNode a) {
            boolean place = a.size() == 3 && a.get(0).isNumber() && key.endsWith("_mm");
            ArrayNode out = MAPPER.createArrayNode();
            for (int i = 0; i < a.size(); i++) {
                out.add(place && i == 0 ? DoubleNode.valueOf(a.get(0).asDouble() + 300) : shifted(key, a.get(i)));
            }
            return out;
        }
        return node;
    }

    private static List<String> faults(JsonNode printed) {
        return printed.get("findings")
                .valueStream()
                .map(f -> f.get("fault").asText() + ", " + f.get("severity").asText())
                .sorted()
                .toList();
    }

    private static double twice(String key) {
        return switch (key) {
            case "torque_nm" -> 2;
            case "span_hz" -> 0.5;
            case "wind_up_deg" -> 0.25;
            default -> key.endsWith("_mm") ? 2 : 1;
        };
    }

    /** A part twice as thick and long carries the same force at a quarter of the stress, and shakes half as fast. */
    private static double figureTwice(String key) {
        return switch (key) {
            case "stress_mpa", "stress_for_1_kn_mpa" -> 0.25;
            case "torque_nmm", "bending_nmm", "wheel_torque_nmm", "gear_arm_parked_worst_nmm" -> 2;
            case "buckling_margin",
                    "yield_margin",
                    "side_load_n",
                    "margin_parked",
                    "margin_kerb",
                    "margin_heavy_pull" -> 4;
            default -> twice(key);
        };
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void mirroredVehicleMirrorsFigures(DemoJob demo) throws Exception {
        JsonNode file = MAPPER.readTree(JobWriter.write(said(demo.job())));
        JsonNode expected = mirrored("", printed(file.toString(), places(demo, 1, false)));
        if (demo.job().axle().orElseThrow().wheelTravel() == WheelTravel.ROLL_ONLY) {
            // The travel of an axle that only rolls is its left wheel's.
            expected.at("/linkage/lock_limits")
                    .forEach(way -> way.forEach(hit -> ((ObjectNode) hit)
                            .put("travel_mm", -hit.get("travel_mm").asDouble())));
        }
        JsonNode mirror = printed(mirroredJob((ObjectNode) file).toString(), places(demo, 1, true));
        for (String part : List.of("column", "positions")) {
            compare(demo + "/" + part, expected.get(part), mirror.get(part));
        }
        for (String part : List.of(
                "lengths",
                "static_left",
                "static_right",
                "range",
                "steering_ratio",
                "full_lock",
                "turns_lock_to_lock",
                "ackermann_at_inner_20_deg",
                "bump_steer_left_peak_to_peak_deg",
                "normal_bump_steer_right_peak_to_peak_deg",
                "roll_steer_deg_per_deg",
                "brake_steer_deg_per_deg",
                "lock_limits",
                "lock_as_stopped",
                "tie_rod_rake_in_plan",
                "effort",
                "rod_loads",
                "arm_match",
                "rod_to_arm_angles_over_grid",
                "rod_end_misalignment_max_over_grid",
                "tightest_limit_over_grid")) {
            compare(demo + "/" + part, expected.at("/linkage/" + part), mirror.at("/linkage/" + part));
        }
        assertThat(faults(mirror)).isEqualTo(faults(expected));
        Map<String, Double> ours = gaps(mirror);
        gaps(expected).forEach((pair, gap) -> near(pair, gap, ours.get(pair), 0.02));
    }

    private static void near(String pair, double gap, Double ours, double tolerance) {
        assertThat(ours).as(pair).isNotNull().isCloseTo(gap, within(tolerance));
    }

    /** With every size said that else is usual, and no scan, whose numbers are packed. */
    private static Job said(Job job) {
        double rim = job.axle().orElseThrow().left().knuckle().wheelCentre().z() * 1.2;
        // What was read on a vehicle is not scaled: it is no part of what is worked out of a plan.
        return job.withLog(TrialLog.NONE).editSurroundings(s -> s.withOwn(
                        s.own().withRim(Optional.of(s.own().rim().orElse(rim))))
                .withObstacles(s.obstacles().stream()
                        .filter(o -> !(o.shape() instanceof Shape.Scan))
                        .toList()));
    }

    /** The smallest gap of every pair that is told of, by its names in order. */
    private static Map<String, Double> gaps(JsonNode printed) {
        Map<String, Double> all = new TreeMap<>();
        printed.at("/clearance/pairs")
                .forEach(p -> all.put(
                        Stream.of(p.get("first").asText(), p.get("second").asText())
                                .sorted()
                                .collect(Collectors.joining(" | ")),
                        p.get("gap_mm").asDouble()));
        return all;
    }

    /** Columns of any parts: twice as large, and in a mirror, every figure of theirs follows. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 5, 7})
    void columnSymmetriesHold(long seed) throws Exception {
        JsonNode file = MAPPER.readTree(
                JobWriter.write(said(DemoJob.MARSH_CARRIER.job().withColumn(new RandomColumns(seed).next()))));
        JsonNode plain = printed(file.toString(), List.of());
        JsonNode large =
                printed(Numbers.times(file, ScaledAndMirroredTest::twice).toString(), List.of());
        compare(
                seed + "/twice",
                unique(Numbers.times(plain, ScaledAndMirroredTest::figureTwice).get("column")),
                unique(large.get("column")));
        JsonNode mirror = printed(mirroredJob((ObjectNode) file).toString(), List.of());
        compare(seed + "/mirrored", unique(mirrored("", plain).get("column")), unique(mirror.get("column")));
        assertThat(faults(mirror)).isEqualTo(faults(plain));
    }

    /** Without what is one of several as good: a fork beside an even joint may stand anyhow. */
    private static JsonNode unique(JsonNode column) {
        ObjectNode o = column.deepCopy();
        List<String> names = new ArrayList<>();
        o.fieldNames().forEachRemaining(names::add);
        names.stream().filter(n -> n.startsWith("best_clocking")).forEach(o::remove);
        o.get("joint_angles_at_worst").forEach(j -> ((ObjectNode) j).remove("setting"));
        o.path("heavy_pull").path("shafts").forEach(s -> ((ObjectNode) s).remove("weakest"));
        return o;
    }

    private static JsonNode mirroredJob(ObjectNode file) {
        ObjectNode out = (ObjectNode) mirrored("", file);
        ObjectNode was = (ObjectNode) file.get("axle");
        ObjectNode axle = (ObjectNode) out.get("axle");
        if (!was.has("right")) {
            // One corner stands for both: it is its own mirror image.
            axle.remove("right");
            axle.set("left", was.get("left"));
        }
        ObjectNode linkage = (ObjectNode) axle.get("linkage");
        for (String point : List.of("tie_rod_point_mm", "inner_mm")) {
            if (was.get("linkage").has("left_" + point) && !was.get("linkage").has("right_" + point)) {
                linkage.remove("right_" + point);
                linkage.set("left_" + point, was.get("linkage").get("left_" + point));
            }
        }
        if (linkage.has("tie_rod_fraction")) {
            linkage.put("tie_rod_fraction", 1 - linkage.get("tie_rod_fraction").asDouble());
        }
        // What slides is measured to the left in both.
        pointLeft(linkage, "slide");
        if (axle.get("gear").get("kind").asText().equals("rack_and_pinion")) {
            pointLeft((ObjectNode) axle.get("gear"), "axis");
        }
        return out;
    }

    private static void pointLeft(ObjectNode parent, String key) {
        if (parent.get(key) instanceof ArrayNode a) {
            parent.set(
                    key,
                    MAPPER.createArrayNode()
                            .add(-a.get(0).asDouble())
                            .add(-a.get(1).asDouble())
                            .add(-a.get(2).asDouble()));
        }
    }

    private static String swapped(String text) {
        return text.equals("travel_per_left_turn_mm") || text.equals("left_less_right_percent")
                ? text
                : text.replace("left", "#").replace("right", "left").replace("#", "right");
    }

    private static JsonNode mirrored(String key, JsonNode node) {
        if (node instanceof ObjectNode o) {
            ObjectNode out = MAPPER.createObjectNode();
            o.properties().forEach(e -> out.set(swapped(e.getKey()), mirrored(e.getKey(), e.getValue())));
            if (o.path("kind").asText().equals("turns")) {
                // Seen in a mirror what turns about an axis turns the other way.
                out.put("from_deg", -o.get("to_deg").asDouble());
                out.put("to_deg", -o.get("from_deg").asDouble());
            }
            return out;
        }
        if (node instanceof ArrayNode a) {
            boolean triple = a.size() == 3
                    && a.get(0).isNumber()
                    && (key.endsWith("_mm") && !key.endsWith("lengths_mm")
                            || key.endsWith("axis")
                            || key.endsWith("bolt")
                            || key.equals("slide")
                            || key.equals("along"));
            ArrayNode out = MAPPER.createArrayNode();
            for (int i = 0; i < a.size(); i++) {
                // Rows from the right lock to the left one come the other way round.
                JsonNode item = a.get(key.equals("rows") ? a.size() - 1 - i : i);
                out.add(triple ? i == 1 ? DoubleNode.valueOf(-item.asDouble()) : item : mirrored(key, item));
            }
            return out;
        }
        return node.isTextual()
                ? TextNode.valueOf(swapped(node.asText()))
                : node.isNumber() && TO_THE_LEFT.matcher(key).matches() ? DoubleNode.valueOf(-node.asDouble()) : node;
    }

    private static void compare(String path, JsonNode expected, JsonNode ours) {
        assertThat(ours).as(path).isNotNull();
        if (expected instanceof ObjectNode o) {
            assertThat(ours.properties().size()).as(path).isEqualTo(o.size());
            o.properties().stream()
                    .filter(e -> !ANY_OF_SEVERAL.contains(e.getKey()))
                    .forEach(e -> compare(path + "/" + e.getKey(), e.getValue(), ours.get(e.getKey())));
        } else if (expected instanceof ArrayNode list) {
            assertThat(ours.size()).as(path + " count").isEqualTo(list.size());
            for (int i = 0; i < list.size(); i++) {
                JsonNode item = list.get(i);
                // Rods come left before right in both.
                compare(
                        path + "/" + i,
                        item,
                        !item.has("rod") || item.has("part")
                                ? ours.get(i)
                                : ours.valueStream()
                                        .filter(o -> o.get("rod").equals(item.get("rod")))
                                        .findFirst()
                                        .orElseThrow());
            }
        } else if (expected.isNumber()) {
            // Forces follow from slopes taken by differences.
            double tolerance = path.endsWith("_n") ? 1e-4 : 1e-6;
            double half = path.endsWith("first_fork_deg") || path.endsWith("turn_whole_train_deg")
                    ? 180 * Math.rint((expected.asDouble() - ours.asDouble()) / 180)
                    : 0;
            assertThat(ours.asDouble() + half)
                    .as(path)
                    .isCloseTo(expected.asDouble(), within(tolerance * Math.max(1, Math.abs(expected.asDouble()))));
        } else {
            assertThat(ours).as(path).isEqualTo(expected);
        }
    }
}

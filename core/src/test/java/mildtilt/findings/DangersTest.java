package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.findings.checks.NotJudged;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.job.Job;
import mildtilt.steer.position.Grid;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Dangerous vehicles, each with the finding that must stand first, and sane ones that must stay quiet. */
class DangersTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    static Stream<Arguments> cases() {
        return Stream.of(
                Arguments.of("d07_three_joints_floating_no_tube", Fault.SHAFT_FLOATS, Severity.STOP),
                Arguments.of("x02_bulkhead_bearing_on_frame_shaft_10mm_movement", Fault.BEARING_FORCED, Severity.STOP),
                Arguments.of("room70", Fault.NO_ROOM_FOR_SHAFT, Severity.STOP),
                Arguments.of("d12_over_centre", Fault.LOCK_NOT_REACHED, Severity.STOP),
                Arguments.of("order", Fault.LOCK_NOT_REACHED, Severity.STOP),
                Arguments.of("fp2", Fault.FRONT_PUSH, Severity.STOP),
                Arguments.of("x14_toe_out_3.4", Fault.STATIC_TOE, Severity.STOP),
                Arguments.of("d31_engagement_0", Fault.ENGAGEMENT_SHORT, Severity.STOP),
                Arguments.of("d11_no_lock_nut", Fault.LOCK_NUT_MISSING, Severity.STOP),
                Arguments.of("line", Fault.JOINT_OVER_LIMIT, Severity.STOP),
                Arguments.of("x05_draglink_vs_trackbar", Fault.TOUCHES, Severity.STOP),
                Arguments.of("join_plug_22_16", Fault.ENGAGEMENT_SHORT, Severity.LOOK),
                Arguments.of("lim", Fault.JOINT_OVER_LIMIT, Severity.LOOK));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void formerlyMisleadingCasesAreCorrect(String name, Fault first, Severity severity) throws Exception {
        Finding found = findings(JobReader.read(text(name))).getFirst();
        assertThat(found.fault()).as(found.what().text(LengthUnit.MM)).isEqualTo(first);
        assertThat(found.severity()).isEqualTo(severity);
    }

    /** A sane vehicle with one thing made dangerous. */
    record Danger(String what, Fault first, Severity severity, Consumer<Tree> edit) {
        @Override
        public String toString() {
            return what;
        }
    }

    /** A job's JSON, edited by paths like {@code column/joints/0/torque_nm}. */
    record Tree(ObjectNode root) {
        Tree put(String path, String json) {
            int cut = path.lastIndexOf('/');
            try {
                (cut < 0 ? root : (ObjectNode) root.at("/" + path.substring(0, cut)))
                        .set(path.substring(cut + 1), JSON.readTree(json));
            } catch (IOException e) {
                throw new IllegalArgumentException(e);
            }
            return this;
        }

        Tree put(String path, double value) {
            return put(path, Double.toString(value));
        }

        Tree drop(String path) {
            int cut = path.lastIndexOf('/');
            ((ObjectNode) root.at("/" + path.substring(0, cut))).remove(path.substring(cut + 1));
            return this;
        }
    }

    private static final String TIE = "making/rods/left_tie_rod/";
    private static final String SUSPENSION = "axle/left/suspension/";

    static List<Danger> dangers() {
        List<Danger> all = new ArrayList<>();
        stop(
                all,
                "the gear turns the wheels the wrong way",
                Fault.WRONG_WAY,
                t -> t.put("axle/gear/travel_per_left_turn_mm", 55));
        stop(all, "no tube holds the column", Fault.SHAFT_FLOATS, t -> t.drop("column/tube"));
        stop(all, "the slide is nearly apart", Fault.SLIDE_SHORT, t -> t.put("column/shafts/1/slide/overlap_mm", 8));
        stop(
                all,
                "the wheel is on its hub by 2 mm",
                Fault.ENGAGEMENT_SHORT,
                t -> t.put("column/steering_wheel/engagement_mm", 2));
        stop(
                all,
                "a fork holds 12 mm of shaft",
                Fault.ENGAGEMENT_SHORT,
                t -> t.put("column/joints/1/gear_side/engagement_mm", 12));
        stop(all, "one lock nut missing", Fault.LOCK_NUT_MISSING, t -> t.put(TIE + "outer/jam_nut_mm", 0));
        stop(
                all,
                "a rod's body is too short for its threads",
                Fault.ROD_SHORT_OF_THREAD,
                t -> t.put(TIE + "body/length_mm", 140));
        stop(all, "the tie rods run into line with their arms", Fault.LOCK_NOT_REACHED, t -> t.put(
                        "axle/left/knuckle/tie_rod_point_mm", "[-62, 625, 330]")
                .put("axle/gear/centre_mm", "[-70, 0, 325]")
                .put("axle/left/limits", "{}"));
        stop(all, "a joint past its limit", Fault.JOINT_OVER_LIMIT, t -> t.put("column/joints/0/max_angle_deg", 18));
        stop(all, "no room between two joints", Fault.NO_ROOM_FOR_SHAFT, t -> t.put(
                        "column/joints/1/centre_mm", "[-512, 345, 665]")
                .drop("column/shafts/1/slide"));
        stop(all, "a slide that bottoms", Fault.SLIDE_BOTTOMS, t -> t.put("column/installation/frame_movement_mm", 25)
                .put("column/shafts/1/slide/closes_mm", 5));
        stop(
                all,
                "a rod end at its limit of tilt",
                Fault.ROD_END_OVER_LIMIT,
                t -> t.put("axle/left/rod_ends/allowed_deg", 6));
        stop(
                all,
                "the weight turns the wheels away",
                Fault.WEIGHT_TURNS_AWAY,
                t -> t.put(SUSPENSION + "upper_ball_joint_mm", "[-14, 690, 500]"));
        stop(
                all,
                "the wheels trail the wrong way",
                Fault.TRAIL_RUNS_AWAY,
                t -> t.put(SUSPENSION + "upper_ball_joint_mm", "[45, 610, 500]"));
        look(
                all,
                "a bearing far out of line",
                Fault.BEARINGS_FIGHT,
                t -> t.drop("column/steering_wheel/adjustment")
                        .put("column/installation/frame_movement_mm", 0)
                        .put(
                                "column/bearings",
                                "[{\"name\": \"Third\", \"kind\": \"flange\", \"mount\": \"bulkhead\", \"shaft\": 1, \"along_mm\": 250, \"bore_mm\": 22, \"off_up_mm\": 4}]"));
        stop(
                all,
                "a frame bearing on a shaft that tilts with the wheel",
                Fault.BEARING_FORCED,
                t -> t.put(
                        "column/bearings",
                        "[{\"name\": \"Third\", \"kind\": \"flange\", \"mount\": \"frame\", \"shaft\": 1, \"along_mm\": 250, \"bore_mm\": 22}]"));
        stop(all, "a shaft of soft thin bar", Fault.SHAFT_WEAK, t -> t.put("column/shafts/1/yield_mpa", 180));
        stop(all, "a joint made for half the pull", Fault.JOINT_WEAK, t -> t.put("column/joints/1/torque_nm", 60));
        look(
                all,
                "a joint with 0.3 % in hand",
                Fault.JOINT_WEAK,
                t -> t.put("column/joints/1/torque_nm", 170 * 1.003 / 1.3322130106));
        stop(all, "an arm cut from 4 mm plate", Fault.ARM_WEAK, t -> t.put("making/pieces/0/thickness_mm", 4));
        stop(all, "an arm drilled away at its root", Fault.ARM_WEAK, t -> t.put("making/pieces/0/margin_mm", 3));
        stop(all, "a rod end on an M6 bolt in single shear", Fault.ROD_END_WEAK, t -> t.drop(TIE + "outer/part/taper")
                .put(TIE + "outer/part/bore_mm", 6)
                .put(TIE + "outer/hole", "{\"diameter_mm\": 6, \"thickness_mm\": 12}"));
        stop(all, "an M5 shank", Fault.ROD_END_WEAK, t -> t.put(TIE + "outer/part/thread_mm", 5)
                .put(TIE + "outer/part/pitch_mm", 0.8));
        stop(
                all,
                "a tie rod of thin tube",
                Fault.ROD_BUCKLES,
                t -> t.put(
                        "axle/left/rod_ends/tube",
                        "{\"outside_mm\": 8, \"wall_mm\": 1, \"crank_mm\": 0, \"yield_mpa\": 235}"));
        stop(all, "a cranked tie rod", Fault.ROD_BENDS, t -> t.put("axle/left/rod_ends/tube/crank_mm", 90));
        stop(all, "a rod that only a kerb bends", Fault.ROD_BENDS, t -> t.put("axle/left/rod_ends/tube/crank_mm", 30));
        stop(all, "a box across the shaft", Fault.TOUCHES, t -> t.put("surroundings", box("Battery", -430, 300, 620)));
        stop(
                all,
                "a box where the wheel turns",
                Fault.TOUCHES,
                t -> t.put("surroundings", box("Tool box", 250, 640, 430)));
        stop(all, "a column like a spear", Fault.FRONT_PUSH, t -> t.put("column/joints/0/centre_mm", "[-660, 315, 753]")
                .put("column/joints/1/centre_mm", "[-330, 240, 530]")
                .put("column/tube/to_mm", 330)
                .put("column/shafts/1/slide/closes_mm", 20));
        stop(all, "welds where none may be", Fault.WELDED_SHAFT, t -> t.put("rules/welding", "\"forbidden\"")
                .put("column/joints/0/gear_side/socket/hold", "\"weld\""));
        look(
                all,
                "the wheels toed in",
                Fault.STATIC_TOE,
                t -> t.put("axle/left/knuckle/spin_axis_point_mm", "[1.6, 860, 390.9]"));
        look(all, "a lock unlike to left and right", Fault.LOCK_UNEQUAL, t -> t.put(
                        "axle/right", other(t.root.at("/axle/left")).toString())
                .put("axle/right/limits/stop_inner_deg", 22));
        look(
                all,
                "too much caster",
                Fault.TRAIL_RUNS_AWAY,
                t -> t.put(SUSPENSION + "upper_ball_joint_mm", "[-60, 610, 500]"));
        look(all, "a plug-welded join in a tube", Fault.JOIN_WEAK, t -> t.put("column/shafts/1/bore_mm", 12)
                .put("making/joins", "[{\"shaft\": \"Lower shaft\", \"along_mm\": 130, \"school\": \"plug\"}]"));
        look(
                all,
                "a gear that stands too high for its arms",
                Fault.BUMP_STEER,
                t -> t.put("axle/gear/centre_mm", "[-178, 0, 352]"));
        stop(
                all,
                "a taper that does not seat",
                Fault.STUD_DOES_NOT_SEAT,
                t -> t.put(TIE + "outer/hole", "{\"large_mm\": 15.8, \"small_mm\": 13.05, \"thickness_mm\": 22}"));
        look(all, "a fork clocked wrong", Fault.RIPPLE, t -> t.put("column/shafts/1/clocking_deg", -20));
        return all;
    }

    /** A corner on the other side. */
    private static JsonNode other(JsonNode node) {
        JsonNode out = node.deepCopy();
        out.findParents("wheel_centre_mm").forEach(p -> swap((ObjectNode) p));
        out.findParents("lower_ball_joint_mm").forEach(p -> swap((ObjectNode) p));
        out.findParents("outer_bolt").forEach(p -> swap((ObjectNode) p));
        return out;
    }

    private static void swap(ObjectNode o) {
        o.forEach(v -> {
            if (v instanceof ArrayNode a && a.size() == 3) {
                a.set(1, DoubleNode.valueOf(-a.get(1).asDouble()));
            }
        });
    }

    private static String box(String name, double x, double y, double z) {
        return "{\"obstacles\": [{\"name\": \"" + name
                + "\", \"fixed_to\": \"frame\", \"gap_mm\": 10, \"shape\": {\"kind\": \"box\", \"centre_mm\": [" + x
                + ", " + y + ", " + z
                + "], \"length_mm\": 80, \"width_mm\": 80, \"height_mm\": 80, \"heading_deg\": 0, \"slope_deg\": 0, \"roll_deg\": 0}}]}";
    }

    private static void stop(List<Danger> all, String what, Fault first, Consumer<Tree> edit) {
        all.add(new Danger(what, first, Severity.STOP, edit));
    }

    private static void look(List<Danger> all, String what, Fault first, Consumer<Tree> edit) {
        all.add(new Danger(what, first, Severity.LOOK, edit));
    }

    @ParameterizedTest
    @MethodSource("dangers")
    void dangerousCasesAreReported(Danger d) throws Exception {
        Tree tree = new Tree((ObjectNode) JSON.readTree(text("d00_sane")));
        d.edit.accept(tree);
        List<Finding> all = findings(JobReader.read(tree.root.toString()));
        assertThat(all).as("nothing said").isNotEmpty();
        Finding found = all.getFirst();
        assertThat(found.fault())
                .as(all.stream()
                        .map(f ->
                                f.severity() + " " + f.fault() + " " + f.what().text(LengthUnit.MM))
                        .toList()
                        .toString())
                .isEqualTo(d.first);
        assertThat(found.severity()).as(found.what().text(LengthUnit.MM)).isEqualTo(d.severity);
    }

    @Test
    void saneVehicleHasNoFindings() throws Exception {
        assertThat(findings(JobReader.read(text("d00_sane")))).isEmpty();
        Analysis unknown =
                Analysis.of(JobReader.read(text("d26_rodend_bolt_unknown")), Grid.USUAL, CatalogueFile.shipped());
        assertThat(unknown.findings()).isEmpty();
        assertThat(unknown.notJudged()).as("what was not judged is said").anySatisfy(n -> assertThat(
                        n.matter() + n.missing().text(LengthUnit.MM))
                .contains("tilts", "bolt's direction not given", "left tie rod, outer end"));
        assertThat(Analysis.of(JobReader.read(text("d00_sane"))).notJudged())
                .noneSatisfy(n -> assertThat(n.matter()).contains("rod end tilts"));
    }

    /** The demos show their planted faults and no others. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void demosShowPlantedDangers(DemoJob demo) {
        List<Fault> planted =
                switch (demo) {
                    case MARSH_CARRIER ->
                        List.of(
                                Fault.JOINT_OVER_LIMIT,
                                Fault.TOUCHES,
                                Fault.STUD_DOES_NOT_SEAT,
                                Fault.RIPPLE,
                                Fault.ACKERMANN);
                    case BOG_TENDER -> List.of(Fault.RIPPLE);
                    default -> List.of();
                };
        assertThat(findings(demo.job()).stream().map(Finding::fault).toList()).isEqualTo(planted);
    }

    /** What is missing is listed, and gone from the list once it is given. */
    @Test
    void unjudgedMattersAreListed() throws Exception {
        Tree bare = new Tree((ObjectNode) JSON.readTree(text("d00_sane")));
        bare.drop("making/rods")
                .drop("vehicle/loads")
                .drop("axle/left/rod_ends/allowed_deg")
                .drop("column/joints/0/torque_nm")
                .drop("column/joints/1/gear_side/socket");
        List<String> open = notJudged(JobReader.read(bare.root.toString()));
        assertThat(open)
                .contains(
                        "Whether a shaft's end goes in, and what keeps it there",
                        "A joint's strength",
                        "Whether a rod end tilts too far",
                        "Effort, and every load on rods, arms and rod ends",
                        "Thread in use, lock nuts, studs and shanks");
        assertThat(notJudged(JobReader.read(text("d00_sane"))))
                .doesNotContain(
                        "A joint's strength",
                        "Whether a rod end tilts too far",
                        "Effort, and every load on rods, arms and rod ends",
                        "Thread in use, lock nuts, studs and shanks",
                        "Whether a rod buckles");
    }

    private static List<String> notJudged(Job job) {
        return Analysis.of(job).notJudged().stream().map(NotJudged::matter).toList();
    }

    private static List<Finding> findings(Job job) {
        return Analysis.of(job, Grid.USUAL, CatalogueFile.shipped()).findings();
    }

    private static String text(String name) throws IOException {
        try (InputStream in = DangersTest.class.getResourceAsStream("/cases/" + name + ".tilt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}

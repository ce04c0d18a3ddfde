package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.csv.CsvFiles;
import mildtilt.io.csv.PositionsCsv;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.json.AnalysisJson;
import mildtilt.io.pdf.JobCardPdf;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OutputsTest {

    private final Analysis demo = Analysis.of(DemoJob.MARSH_CARRIER.job());

    private static String card(Analysis analysis, LengthUnit unit) throws Exception {
        try (PDDocument pdf =
                Loader.loadPDF(JobCardPdf.write(analysis, unit, LocalDate.of(2026, 11, 24), "carrier.tilt"))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            return new PDFTextStripper().getText(pdf);
        }
    }

    @Test
    void jobCardHasTheBenchFigures() throws Exception {
        String text = card(demo, LengthUnit.MM);
        assertThat(text)
                .contains(
                        "Marsh rescue carrier",
                        "carrier.tilt",
                        "2026-11-24",
                        "Scale 1:",
                        "50 mm on paper",
                        "37.4°",
                        "OVER LIMIT",
                        "20.0° clockwise",
                        "seen from the wheel end",
                        "340.3 mm",
                        "334.6 mm",
                        "STOP",
                        "Lower joint binds",
                        "not an approval");
        assertThat(card(demo, LengthUnit.INCH_FRACTION)).contains("13 13/32\"").doesNotContain("340.3");
        assertThat(card(
                        Analysis.of(JobReader.read(JobWriter.write(Job.of(
                                "Ξένος 車 job",
                                new Plan(
                                        demo.job().vehicle(),
                                        demo.job().column(),
                                        Optional.empty(),
                                        demo.job().targets()))))),
                        LengthUnit.MM))
                .contains("Lower joint");
    }

    /** Two names that differ differ on paper, too; what only joins signs is left out. */
    @Test
    void missingGlyphsAreSpelledOut() throws Exception {
        Job job = Job.of(
                "Rig \uD83D\uDE00\uFE0F 車",
                new Plan(
                        demo.job().vehicle(),
                        demo.job().column(),
                        Optional.empty(),
                        demo.job().targets()));
        assertThat(card(Analysis.of(job), LengthUnit.MM))
                .contains("Rig [grinning face]")
                .doesNotContain("?");
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", " =1+1", "\t=1", "\u00a0@x", "\uFF1D1+1", "\uFF20x", "-2", "+2", "\u200B=1"})
    void csvFormulasAreEscaped(String name) {
        Table table = new Table("t", "T", List.of("name"), List.of("Name"), List.of(List.of(Cell.of(name))));
        assertThat(CsvFiles.table(table)).contains("'" + name);
    }

    @Test
    void streamedPositionsEqualWholeFile() throws Exception {
        List<SteeringInput> places = List.of(new SteeringInput(0, 0, 0), new SteeringInput(-90, 10, -10));
        StringWriter streamed = new StringWriter();
        List<Integer> reported = new ArrayList<>();
        AnalysisJson.write(demo, places, streamed, reported::add);
        assertThat(streamed.toString()).isEqualTo(AnalysisJson.write(demo, places));
        assertThat(reported).containsExactly(1, 2);
    }

    @Test
    void eightJointColumnFitsOnePage() throws Exception {
        Column c = demo.job().column().orElseThrow();
        List<Joint> joints = new ArrayList<>();
        List<Shaft> shafts = new ArrayList<>(List.of(c.shafts().getFirst()));
        for (int i = 0; i < 8; i++) {
            joints.add(c.joints()
                    .getFirst()
                    .withId(Id.Kind.JOINT.number(1 + i))
                    .withCentre(c.joints().getFirst().centre().plus(new Vector(45 * i, 9 * (i % 3), -30 * i))));
            shafts.add((i < 7 ? c.shafts().get(1) : c.shafts().get(2)).withId(Id.Kind.SHAFT.number(2 + i)));
        }
        Job job = demo.job()
                .withColumn(c.withTrain(shafts, joints, List.of())
                        .withGearInput(joints.getLast().centre().plus(new Vector(60, 10, -80))));
        assertThat(card(Analysis.of(job), LengthUnit.MM)).contains("Pinion stub", "Turning circle", "not an approval");
    }

    @Test
    void positionsReturnPoseOrReason() throws Exception {
        JsonNode reference = ReferenceCases.load("double_wishbone_rack");
        Analysis orchard = Analysis.of(JobReader.read(ReferenceCases.linkageJob(reference.get("input"))));
        StringBuilder csv = new StringBuilder("travel_right_mm,steering_wheel_deg,travel_left_mm\n");
        reference.at("/expected/steer_table").forEach(r -> csv.append("0,")
                .append(r.get("steering_wheel_deg"))
                .append(",0\n"));
        reference.at("/expected/bump_steer_table").forEach(r -> csv.append(r.get("travel_mm"))
                .append(",0,")
                .append(r.get("travel_mm"))
                .append('\n'));
        csv.append("0,600,0\n");
        try (PositionsFile file = new PositionsFile(csv.toString())) {
            JsonNode poses =
                    AnalysisJson.tree(orchard, PositionsCsv.read(file.path())).get("positions");
            int i = 0;
            for (JsonNode row : reference.at("/expected/steer_table")) {
                close(poses.get(i).at("/left/delta_deg"), row.get("delta_left_deg"));
                close(poses.get(i).at("/right/delta_deg"), row.get("delta_right_deg"));
                close(poses.get(i++).get("rack_displacement_mm"), row.get("rack_displacement_mm"));
            }
            for (JsonNode row : reference.at("/expected/bump_steer_table")) {
                close(poses.get(i).at("/left/camber_deg"), row.get("camber_left_deg"));
                close(poses.get(i++).at("/left/wheel_centre_left_y_shift_mm"), row.get("wheel_centre_left_y_shift_mm"));
            }
            assertThat(poses.get(i).get("assembles").asBoolean()).isFalse();
            assertThat(poses.get(i).at("/left/why_not").asText()).contains("rack meets its end");
        }
    }

    private static void close(JsonNode ours, JsonNode theirs) {
        assertThat(ours.asDouble()).isCloseTo(theirs.asDouble(), within(1e-6));
    }

    private static final class PositionsFile implements AutoCloseable {
        private final Path file = Files.createTempFile("positions", ".csv");

        PositionsFile(String text) throws java.io.IOException {
            Files.writeString(file, text);
        }

        Path path() {
            return file;
        }

        @Override
        public void close() throws java.io.IOException {
            Files.delete(file);
        }
    }

    @Test
    void invalidPositionsAreRefusedWithLine(@TempDir Path folder) throws Exception {
        Path p = folder.resolve("p.csv");
        Files.writeString(p, "steering_wheel_deg,travel_left_mm,travel_right_mm\n1,2,3\n4,five,6\n");
        assertThatThrownBy(() -> PositionsCsv.read(p))
                .hasMessageContaining("line 3")
                .hasMessageContaining("five");
        Files.writeString(p, "steer,left,right\n1,2,3\n");
        assertThatThrownBy(() -> PositionsCsv.read(p)).hasMessageContaining("steering_wheel_deg");
        assertThatThrownBy(() -> PositionsCsv.read(folder.resolve("none.csv"))).isInstanceOf(JobFileException.class);
    }

    @Test
    void curveCsvHeadingsHaveUnits(@TempDir Path folder) throws Exception {
        List<Path> written = CsvFiles.write(demo, folder);
        assertThat(written).hasSize(11);
        List<String> steer = Files.readAllLines(folder.resolve("steer-curve.csv"));
        assertThat(steer).hasSize(62);
        assertThat(steer.getFirst())
                .isEqualTo(
                        "steering_wheel_deg,gear_input_deg,delta_left_deg,delta_right_deg,ratio,ackermann_pct,outer_wheel_error_deg");
        assertThat(Files.readAllLines(folder.resolve("points.csv")))
                .hasSize(1 + JobPoints.of(demo.job()).size())
                .hasSizeGreaterThan(24)
                .contains("gear input,-205.0,190.0,370.0");
        assertThat(Files.readAllLines(folder.resolve("column-turn.csv"))).hasSize(74);
        assertThat(Files.readAllLines(folder.resolve("bump-steer.csv"))).hasSize(42);
        assertThat(Files.readAllLines(folder.resolve("fork-marks.csv")).get(1))
                .startsWith("Lower shaft,20.0,clockwise,3.31")
                .endsWith(",19.0,");
        assertThat(Files.readAllLines(folder.resolve("roll-steer.csv")).getFirst())
                .contains("caster_left_deg", "wheel_centre_right_y_shift_mm");
        assertThat(Files.readAllLines(folder.resolve("effort.csv"))).hasSizeGreaterThan(50);
        assertThat(Files.readAllLines(folder.resolve("limit-map.csv"))).hasSize(1 + 61 * 41);
        // Every figure the demo has, in the file as in the JSON as in the window.
        JsonNode figures = AnalysisJson.tree(demo, List.of()).get("figures");
        assertThat(figures).hasSize(Headline.values().length);
        List<String> lines = Files.readAllLines(folder.resolve("figures.csv"));
        assertThat(lines).hasSize(1 + demo.headlines().values().size());
        demo.headlines().values().forEach((h, v) -> {
            assertThat(figures.get(h.key()).asDouble()).isEqualTo(v);
            assertThat(lines).anyMatch(l -> l.startsWith(h.key() + "," + v + ","));
        });
    }
}

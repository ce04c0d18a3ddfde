package mildtilt.report;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin;
import mildtilt.findings.Finding;
import mildtilt.id.Id;
import mildtilt.io.csv.CsvFiles;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Names that look like the places of measures in a sentence: every sentence reads as with plain names, no measure moves
 * into them.
 */
class HostileNamesTest {

    private static final String HOSTILE = " {0}{1}{2}{3}";
    private static final Set<String> NAMES = Set.of("name");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);

    /** Every name a user gives, with what refers to it by name. */
    private static JsonNode renamed(JsonNode node) {
        if (node instanceof ObjectNode o) {
            ObjectNode out = o.objectNode();
            o.properties()
                    .forEach(e -> out.set(
                            e.getKey(),
                            NAMES.contains(e.getKey()) && e.getValue().isTextual()
                                    ? TextNode.valueOf(e.getValue().asText() + HOSTILE)
                                    : renamed(e.getValue())));
            return out;
        }
        if (node instanceof ArrayNode a) {
            ArrayNode out = a.arrayNode();
            a.forEach(x -> out.add(renamed(x)));
            return out;
        }
        return node;
    }

    /** All that is said of a job: findings, remedies, papers. */
    private static List<String> said(Job job) {
        Analysis a = Analysis.of(job, mildtilt.steer.position.Grid.USUAL, CatalogueFile.shipped());
        List<String> all = new ArrayList<>();
        for (Finding f : a.findings()) {
            all.add(f.what().text(LengthUnit.MM));
            all.add(f.why().text(LengthUnit.INCH_FRACTION));
            f.remedies().forEach(r -> all.add(r.action().text(LengthUnit.MM)));
        }
        Papers p = Papers.of(a, DAY);
        p.tables().forEach(t -> all.add(CsvFiles.table(t)));
        p.cuts().open().forEach(x -> all.add(x.text(LengthUnit.MM)));
        p.templates().open().forEach(x -> all.add(x.text(LengthUnit.MM)));
        p.templates().patterns().forEach(x -> all.add(x.name() + " " + x.how().text(LengthUnit.MM)));
        return all;
    }

    private static void readsTheSame(Job job) throws Exception {
        JsonNode plain = new JsonMapper()
                .readTree(JobWriter.write(job.withLog(mildtilt.job.TrialLog.NONE)
                        .withSurvey(mildtilt.survey.Survey.NONE)
                        // Marks on the run sheet and prices refer to what a step says, and so would be lost with the
                        // old names.
                        .editMaking(m -> m.withPlan(mildtilt.build.WorkPlan.NONE))));
        List<String> expected = said(JobReader.read(plain.toString()));
        List<String> hostile = said(JobReader.read(renamed(plain).toString()));
        assertThat(hostile).hasSameSizeAs(expected);
        for (int i = 0; i < expected.size(); i++) {
            // Quotes of a table come and go with what is in a cell.
            assertThat(hostile.get(i).replace(HOSTILE, "").replace("\"", ""))
                    .isEqualTo(expected.get(i).replace("\"", ""));
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void hostileNamesSurviveEveryPaper(DemoJob demo) throws Exception {
        Job job = demo.job();
        Id shaft = job.column()
                .orElseThrow()
                .shafts()
                .get(Math.min(1, job.column().get().joints().size()))
                .id();
        readsTheSame(job.editMaking(m -> m.withJoins(List.of())
                .withJoin(shaft, 70, ShaftJoin.School.PLUG)
                .withJoin(shaft, 120, ShaftJoin.School.COUPLING)
                .withJoin(Id.Kind.SHAFT.number(99), 90, ShaftJoin.School.SLEEVE)
                .withPiece(new Piece.CopedTube(
                        Id.Kind.PIECE.first(),
                        "Brace",
                        new Section.Tube(25, 2),
                        Metal.STEEL,
                        200,
                        new Piece.Meeting(45, 60, 3, 20),
                        new Piece.Meeting(0, 70, 0, 0),
                        1,
                        1))));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "d07_three_joints_floating_no_tube",
                "d12_over_centre",
                "line",
                "order",
                "room70",
                "d31_engagement_0",
                "fp2",
                "x02_bulkhead_bearing_on_frame_shaft_10mm_movement",
                "x05_draglink_vs_trackbar",
                "step"
            })
    void brokenVehicles(String name) throws Exception {
        readsTheSame(job(name));
    }

    static Job job(String name) throws Exception {
        try (InputStream in = HostileNamesTest.class.getResourceAsStream("/cases/" + name + ".tilt")) {
            return JobReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void namesAreShownVerbatim() {
        Phrase p = Phrase.of(
                Phrase.name("Frame {1}") + " is {0} from " + Phrase.name("{0}"), mildtilt.units.Quantity.length(5));
        assertThat(p.text(LengthUnit.MM)).isEqualTo("Frame {1} is 5.0 mm from {0}");
        assertThat(p.then(p).text(LengthUnit.MM)).isEqualTo("Frame {1} is 5.0 mm from {0}Frame {1} is 5.0 mm from {0}");
    }
}

package mildtilt.report;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.build.EndPart;
import mildtilt.build.Making;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin;
import mildtilt.catalogue.Catalogue;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.cad.TemplateDxf;
import mildtilt.io.cad.TemplateSvg;
import mildtilt.io.csv.CsvFiles;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.pdf.JobBookPdf;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.obstacle.Surroundings;
import mildtilt.steer.position.Grid;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whatever a job says, its papers are worked out or it is refused: never an exception, never a figure that is none. */
class AnyJobTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
    private static final Grid COARSE = new Grid(5, 3);

    private static Papers papers(Job job) {
        return Papers.of(Analysis.of(job, COARSE, CatalogueFile.shipped()), DAY);
    }

    private static void sound(Papers p) {
        for (Table t : p.tables()) {
            assertThat(CsvFiles.table(t)).as(t.title()).doesNotContain("NaN").doesNotContain("Infinity");
            t.rows()
                    .forEach(r -> r.forEach(c -> assertThat(c.text(LengthUnit.INCH))
                            .doesNotContain("NaN")
                            .doesNotContain("∞")));
        }
        p.templates().patterns().forEach(x -> {
            assertThat(TemplateSvg.write(x, LengthUnit.MM)).doesNotContain("NaN");
            assertThat(TemplateDxf.write(x, LengthUnit.MM)).doesNotContain("NaN");
        });
        p.machined().drawings().forEach(d -> {
            int scale = d.scaleFor(260, 120);
            assertThat(TemplateDxf.write(d.at(scale), LengthUnit.MM)).doesNotContain("NaN");
        });
        assertThat(p.run().lines()).isNotEmpty();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everyCataloguePartMakesPapers(DemoJob demo) throws Exception {
        Catalogue catalogue = CatalogueFile.shipped();
        Job job = demo.job().withSurroundings(Surroundings.NONE);
        // Each part on every third demo.
        for (int i = demo.ordinal() % 3; i < catalogue.rodEnds().size(); i += 3) {
            EndPart part = catalogue.rodEnds().get(i);
            Making m = job.making();
            for (Rod rod : Rod.values()) {
                m = m.withRod(rod, Optional.of(RodMakeUp.usual(part)));
            }
            sound(papers(job.withMaking(m)));
        }
        assertThat(JobBookPdf.write(papers(job), LengthUnit.INCH_FRACTION, DAY, "x"))
                .isNotEmpty();
    }

    /** Numbers of the making replaced by others, wild ones among them. */
    @Test
    void anyNumberMakesPapersOrIsRefused() throws Exception {
        Job full = DemoJob.BOG_TENDER.job().editMaking(m -> m.withJoins(List.of())
                .withJoin(new Id("shaft-2"), 90, ShaftJoin.School.PLUG)
                .withJoin(new Id("shaft-2"), 130, ShaftJoin.School.COUPLING)
                .withPiece(new Piece.Length(
                        Id.Kind.PIECE.first(), "L", new Section.Tube(30, 3), Metal.ALUMINIUM, 40, 2, 2))
                .withPiece(new Piece.CopedTube(
                        Id.Kind.PIECE.first(),
                        "C",
                        new Section.Tube(25, 2),
                        Metal.STEEL,
                        200,
                        new Piece.Meeting(45, 60, 3, 20),
                        new Piece.Meeting(0, 70, 0, 0),
                        1,
                        1))
                .withPiece(new Piece.AdapterPlate(
                        Id.Kind.PIECE.first(),
                        "A",
                        100,
                        80,
                        8,
                        5,
                        List.of(new Piece.PlateHole(20, 20, 10), new Piece.PlateHole(60, 40, 20)),
                        1,
                        1))
                .withPiece(new Piece.TurnedShaft(
                        Id.Kind.PIECE.first(),
                        "T",
                        new Id("shaft-2"),
                        new Piece.TurnedEnd(30, 10, Optional.of(new Piece.Groove(12, 8, 2))),
                        new Piece.TurnedEnd(30, 0, Optional.empty()),
                        Piece.TurnedFit.H7,
                        true,
                        0.1)));
        Random random = new Random(17);
        double[] wild = {0, -1, 1e-3, 0.5, 1, 7, 90, 1000, 99_999};
        int made = 0;
        int refused = 0;
        for (int n = 0; n < 80; n++) {
            JsonNode root = new JsonMapper().readTree(JobWriter.write(full));
            List<Runnable> changes = new ArrayList<>();
            numbers(root.get("making"), random, wild, changes);
            for (int k = 0; k <= n % 3; k++) {
                changes.get(random.nextInt(changes.size())).run();
            }
            try {
                Job job = JobReader.read(root.toString());
                sound(papers(job));
                made++;
            } catch (JobFileException | ImpossibleGeometryException e) {
                assertThat(e.getMessage()).isNotBlank();
                refused++;
            }
        }
        assertThat(made).isGreaterThan(10);
        assertThat(refused).isGreaterThan(10);
    }

    private static void numbers(JsonNode node, Random random, double[] wild, List<Runnable> changes) {
        if (node instanceof ObjectNode o) {
            for (Map.Entry<String, JsonNode> e : o.properties()) {
                if (e.getValue().isNumber()) {
                    double was = e.getValue().asDouble();
                    changes.add(() -> {
                        double v = random.nextBoolean()
                                ? wild[random.nextInt(wild.length)]
                                : was * (0.2 + 3 * random.nextDouble());
                        if (e.getValue().isIntegralNumber() && v == Math.rint(v)) {
                            o.put(e.getKey(), (long) v);
                        } else {
                            o.put(e.getKey(), v);
                        }
                    });
                } else {
                    numbers(e.getValue(), random, wild, changes);
                }
            }
        } else if (node instanceof ArrayNode a) {
            a.forEach(child -> numbers(child, random, wild, changes));
        }
    }
}

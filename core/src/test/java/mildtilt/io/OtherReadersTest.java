package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import mildtilt.analysis.Analysis;
import mildtilt.build.Piece;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.papers.PapersFiles;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The files opened by programs other than ours. Each test is left out where its program is not installed; the launcher
 * installs them all.
 */
class OtherReadersTest {

    @TempDir
    private static Path folder;

    @BeforeAll
    static void write() throws IOException {
        LocalDate day = LocalDate.of(2026, 11, 26);
        PapersFiles.write(
                Papers.of(Analysis.of(DemoJob.MARSH_CARRIER.job()), day), LengthUnit.MM, day, "marsh.tilt", folder);
    }

    private static List<Path> all(String ending) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(p -> p.toString().endsWith(ending)).sorted().toList();
        }
    }

    private static boolean there(String program) {
        return Stream.of(System.getenv("PATH").split(":")).anyMatch(d -> Files.isExecutable(Path.of(d, program)));
    }

    private static String run(String... command) throws Exception {
        Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(p.waitFor()).as(String.join(" ", command) + "\n" + said).isZero();
        return said;
    }

    @Test
    void pdfsOpenInPoppler() throws Exception {
        assumeTrue(there("pdfinfo") && there("pdftotext"));
        for (Path pdf : all(".pdf")) {
            assertThat(run("pdfinfo", pdf.toString())).contains("Mild Tilt").doesNotContain("Error");
        }
        assertThat(run("pdftotext", folder.resolve("job-book.pdf").toString(), "-"))
                .contains("Order of work")
                .contains("Cut list")
                .contains("Marsh rescue carrier");
        assertThat(run("pdfinfo", folder.resolve("templates/templates.pdf").toString()))
                .contains("A4");
        assertThat(run("pdftotext", folder.resolve("templates/templates.pdf").toString(), "-"))
                .contains("Measure this bar: 100.0 mm");
    }

    @Test
    void dxfLayersSeparateCutsAndMarks() throws Exception {
        assumeTrue(Files.isExecutable(Path.of("/usr/bin/python3"))
                && Files.exists(Path.of("/usr/lib/python3/dist-packages/ezdxf")));
        String script = """
                import sys, ezdxf
                for name in sys.argv[1:]:
                    d = ezdxf.readfile(name)
                    a = d.audit()
                    assert not a.errors and not a.fixes, (name, a.errors, a.fixes)
                    layers = {e.dxf.layer for e in d.modelspace()}
                    assert 'CUT' in layers and layers <= {'CUT', 'MARK', 'TEXT'}, (name, layers)
                    if 'arm-plate' in name:
                        holes = sorted((round(e.dxf.center.x, 3), round(e.dxf.radius, 3)) for e in d.modelspace() if e.dxftype() == 'CIRCLE')
                        print('holes', holes)
                """;
        List<String> command = new ArrayList<>(List.of("/usr/bin/python3", "-c", script));
        all(".dxf").forEach(p -> command.add(p.toString()));
        assertThat(command).hasSizeGreaterThan(6);
        assertThat(run(command.toArray(String[]::new))).contains("holes [(0.0, 15.0), (159.2");
    }

    /** A plate's edge and holes are what a cutting table follows, as far from each other as they are; sizes are apart. */
    @Test
    void drawingsAreCutByTheirOutlineAlone(@TempDir Path drawn) throws Exception {
        assumeTrue(Files.isExecutable(Path.of("/usr/bin/python3"))
                && Files.exists(Path.of("/usr/lib/python3/dist-packages/ezdxf")));
        LocalDate day = LocalDate.of(2026, 11, 30);
        Job job = DemoJob.GREENHOUSE_TUG.job().editMaking(m -> m.withPieces(List.of())
                .withPiece(new Piece.AdapterPlate(
                        Id.Kind.PIECE.first(),
                        "Plate",
                        130,
                        90,
                        9,
                        8,
                        List.of(new Piece.PlateHole(25, 20, 11), new Piece.PlateHole(105, 66, 26)),
                        1,
                        0))
                .withPiece(new Piece.TurnedShaft(
                        Id.Kind.PIECE.first(),
                        "Shaft",
                        new Id("shaft-1"),
                        new Piece.TurnedEnd(30, 0, Optional.empty()),
                        new Piece.TurnedEnd(40, 0, Optional.empty()),
                        Piece.TurnedFit.H7,
                        true,
                        0.1)));
        PapersFiles.drawings(Papers.of(Analysis.of(job), day), LengthUnit.MM, day, "tug.tilt", drawn);
        String said = run(
                "/usr/bin/python3",
                "-c",
                """
                import sys, ezdxf
                from ezdxf import bbox
                for name in sys.argv[1:]:
                    d = ezdxf.readfile(name)
                    a = d.audit()
                    assert not a.errors and not a.fixes, (name, a.errors, a.fixes)
                    cut = [e for e in d.modelspace() if e.dxf.layer == 'CUT']
                    edge = bbox.extents([e for e in cut if e.dxftype() == 'POLYLINE']) if cut else None
                    if cut:
                        print('plate', round(edge.size.x, 6), round(edge.size.y, 6))
                        for e in cut:
                            if e.dxftype() == 'CIRCLE':
                                print('hole', round(e.dxf.center.x - edge.extmin.x, 3), round(e.dxf.center.y - edge.extmin.y, 3), round(e.dxf.radius, 3))
                    print(sorted({e.dxf.layer for e in d.modelspace()}))
                """,
                drawn.resolve("plate.dxf").toString(),
                drawn.resolve("shaft.dxf").toString());
        assertThat(said)
                .contains("plate 130.0 90.0", "hole 25.0 20.0 5.5", "hole 105.0 66.0 13.0")
                .contains("['CENTRE', 'CUT', 'SIZE', 'TEXT']")
                .contains("['CENTRE', 'HIDDEN', 'OUTLINE', 'SIZE', 'TEXT']");
    }

    @Test
    void svgRendersAtFullSize() throws Exception {
        assumeTrue(there("rsvg-convert"));
        for (Path svg : all(".svg")) {
            Path png = folder.resolve("x.png");
            run("rsvg-convert", "--dpi-x", "254", "--dpi-y", "254", "-o", png.toString(), svg.toString());
            BufferedImage image = ImageIO.read(png.toFile());
            double wide = Double.parseDouble(Files.readString(svg).replaceAll("(?s).*?width=\"([0-9.]+)mm\".*", "$1"));
            // Ten dots to the millimetre.
            assertThat(image.getWidth() / 10.0).as(svg.getFileName().toString()).isBetween(wide - 0.2, wide + 0.2);
        }
    }

    @Test
    void jigMeshIsClosed() throws Exception {
        assumeTrue(there("admesh"));
        for (Path stl : all(".stl")) {
            String said = run("admesh", stl.toString());
            assertThat(said)
                    .containsPattern("Number of parts\\s+:\\s+2")
                    .containsPattern("Degenerate facets\\s+:\\s+0")
                    .containsPattern("Total disconnected facets\\s+:\\s+0\\s+0")
                    .containsPattern("Facets reversed\\s+:\\s+0");
        }
    }
}

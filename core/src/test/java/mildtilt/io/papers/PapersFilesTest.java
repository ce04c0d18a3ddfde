package mildtilt.io.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.build.Hole;
import mildtilt.build.Making;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.Piece.ArmOf;
import mildtilt.build.Piece.Meeting;
import mildtilt.build.RodMakeUp;
import mildtilt.build.ScrewThread;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin;
import mildtilt.build.WorkPlan;
import mildtilt.build.Workshop;
import mildtilt.build.Workshop.Paper;
import mildtilt.catalogue.Catalogue;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.csv.CsvFiles;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.pdf.JobBookPdf;
import mildtilt.io.pdf.TemplatePdf;
import mildtilt.io.scan.ScanFile;
import mildtilt.job.Change;
import mildtilt.job.Job;
import mildtilt.job.TrialLog;
import mildtilt.linkage.rods.Rod;
import mildtilt.machined.PartDrawing;
import mildtilt.machined.PartSize;
import mildtilt.report.Cell;
import mildtilt.report.FigureTables;
import mildtilt.report.Papers;
import mildtilt.report.Table;
import mildtilt.steer.position.Grid;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternPoint;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

class PapersFilesTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
    private static final List<String> NASTY = List.of(
            "=1+2",
            "+cmd|' /C calc'!A0",
            "-3",
            "@SUM(A1)",
            "../../etc/passwd",
            "a<b>&\"c\"",
            "Zeile\nzwei",
            "ärm № 7 – 肘",
            "\u0001 bell",
            "con",
            "%%c ^J");

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static Papers papers(Job job) {
        return Papers.of(Analysis.of(job, Grid.USUAL, CatalogueFile.shipped()), DAY);
    }

    private static String squeezed(String text) {
        return text.replaceAll("\\s+", "");
    }

    private static String text(byte[] pdf) throws Exception {
        try (PDDocument d = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(d);
        }
    }

    /** Every figure of every table stands in the book as the screen shows it, whatever the unit. */
    @ParameterizedTest
    @EnumSource(LengthUnit.class)
    void jobBookMatchesScreenFigures(LengthUnit unit) throws Exception {
        Job job = demo.after(
                new Change(LocalDateTime.of(2026, 11, 1, 9, 30), "Moved the lower joint", "it fouled the rail"));
        Papers papers = papers(job);
        String book = squeezed(text(JobBookPdf.write(papers, unit, DAY, "marsh.tilt")));
        Set<String> tables = new HashSet<>();
        for (Table t : papers.tables()) {
            tables.add(t.file());
            for (List<Cell> row : t.rows()) {
                for (int c = 0; c < row.size(); c++) {
                    if (row.get(c).figure() && !(t.file().equals("run-sheet"))) {
                        assertThat(book)
                                .as(t.title() + ", " + t.heads().get(c))
                                .contains(squeezed(row.get(c).text(unit)));
                    }
                }
            }
        }
        assertThat(tables)
                .contains(
                        "cut-list",
                        "stock-plan",
                        "rods",
                        "rod-ends",
                        "fits",
                        "run-sheet",
                        "buying",
                        "welds",
                        "points",
                        "changes");
        papers.run().lines().forEach(l -> assertThat(book)
                .contains(squeezed(l.step().title())));
        assertThat(book)
                .contains(squeezed("Nothing in this book approves a design"))
                .contains(squeezed("Moved the lower joint"))
                .contains("STOP");
        papers.analysis().findings().forEach(f -> assertThat(book)
                .contains(squeezed(f.what().text(unit)).substring(0, 30)));
    }

    /** Every size that is drawn stands on the drawing's sheet and in the DXF as the screen shows it. */
    @ParameterizedTest
    @EnumSource(LengthUnit.class)
    void drawingsBearTheScreensSizes(LengthUnit unit, @TempDir Path folder) throws Exception {
        Job job = DemoJob.GREENHOUSE_TUG.job().editMaking(m -> m.withPieces(List.of())
                .withPiece(new Piece.TurnedShaft(
                        Id.Kind.PIECE.first(),
                        "Shaft",
                        new Id("shaft-1"),
                        new Piece.TurnedEnd(30, 0, Optional.empty()),
                        new Piece.TurnedEnd(40, 0, Optional.of(new Piece.Groove(12, 6.5, 1.75))),
                        Piece.TurnedFit.H6,
                        true,
                        0.05))
                .withPiece(new Piece.AdapterPlate(
                        Id.Kind.PIECE.first(),
                        "Plate",
                        133.5,
                        97.25,
                        9,
                        7,
                        List.of(new Piece.PlateHole(31, 22.5, 11), new Piece.PlateHole(88, 61, 26)),
                        1,
                        1)));
        Papers papers = papers(job);
        assertThat(papers.machined().open()).isEmpty();
        List<Path> written = PapersFiles.drawings(papers, unit, DAY, "tug.tilt", folder);
        String sheets = squeezed(text(Files.readAllBytes(folder.resolve("drawings.pdf"))));
        for (PartDrawing d : papers.machined().drawings()) {
            String dxf = Files.readString(folder.resolve(d.name().toLowerCase(Locale.ROOT) + ".dxf"));
            Set<PartSize> listed = d.holes().stream()
                    .flatMap(h -> Stream.of(h.x(), h.y(), h.diameter()))
                    .collect(Collectors.toSet());
            listed.addAll(d.more());
            for (PartSize s : d.sizes()) {
                // What runs up the sheet is told apart from what runs along it by where it stands, not by its text.
                if (!s.name().equals("height")) {
                    assertThat(sheets).as(s.name()).contains(squeezed(s.text().text(unit)));
                }
                if (!listed.contains(s)) {
                    assertThat(dxf).as(s.name()).contains(escaped(s.text().text(unit)));
                }
            }
        }
        assertThat(written).hasSize(3);
        // The book has the same sheets, and the order of work the step that they are for.
        String book = squeezed(text(JobBookPdf.write(papers, unit, DAY, "tug.tilt")));
        assertThat(book).contains(squeezed("mark the wheel end"), squeezed("Holes, from the lower left corner"));
        assertThat(papers.run().lines())
                .anyMatch(l -> l.step().key().equals("machined")
                        && l.step().measure().stream()
                                .anyMatch(m -> m.text(unit).startsWith("Plate: Make 2")));
        assertThat(sheets).contains(squeezed("Make 2: 1 for the left, 1 for the right"));
    }

    private static String escaped(String text) {
        StringBuilder s = new StringBuilder();
        text.chars().forEach(c -> s.append(c < 0x7F ? Character.toString(c) : String.format("\\U+%04X", c)));
        return s.toString();
    }

    @Test
    void variantsStandBesideThePlanOnPaper(@TempDir Path folder) throws Exception {
        Job job = demo.keepingVariant("Narrow rack");
        Job changed = job.editAxle(a -> a.editRack(r -> r.withPivotSpacing(r.pivotSpacing() - 20)));
        Papers papers = papers(changed);
        String was = Headline.TIE_ROD
                .unit()
                .format(Analysis.of(job).headlines().get(Headline.TIE_ROD).orElseThrow(), LengthUnit.MM);
        String book = squeezed(text(JobBookPdf.write(papers, LengthUnit.MM, DAY, "marsh.tilt")));
        assertThat(book)
                .contains(squeezed("The plan and its variants"))
                .contains(squeezed("Narrow rack"))
                .contains(squeezed(was))
                .doesNotContain("tie_rod_left_mm");
        PapersFiles.tables(papers, folder);
        assertThat(Files.readString(folder.resolve("variants.csv"))).startsWith("label,plan,variant-1,figure");
        assertThat(FigureTables.variants(Analysis.of(demo))).isEmpty();
    }

    @Test
    void tablesWriteNumbersAndEscapedText(@TempDir Path folder) throws Exception {
        Table t = new Table(
                "t",
                "T",
                List.of("what", "mm", "count"),
                List.of("What", "mm", "Count"),
                NASTY.stream()
                        .map(n -> List.of(Cell.of(n), Cell.of(Quantity.length(-12.25)), Cell.of(-3)))
                        .toList());
        try (CSVParser parser = CSVParser.parse(
                CsvFiles.table(t),
                CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get())) {
            List<CSVRecord> rows = parser.getRecords();
            assertThat(rows).hasSize(NASTY.size());
            for (int i = 0; i < rows.size(); i++) {
                String cell = rows.get(i).get("what");
                assertThat("=+-@\t\r\n".indexOf(cell.charAt(0))).as(cell).isNegative();
                assertThat(cell.startsWith("'") ? cell.substring(1) : cell).isEqualTo(NASTY.get(i));
                assertThat(Double.parseDouble(rows.get(i).get("mm"))).isEqualTo(-12.25);
                assertThat(Integer.parseInt(rows.get(i).get("count"))).isEqualTo(-3);
            }
        }
        // The curves and the points go the same way.
        Job named = demo.editColumn(c -> c.editShaft(1, s -> s.withName("=HYPERLINK(1)")));
        CsvFiles.write(Analysis.of(named), folder);
        assertThat(Files.readString(folder.resolve("fork-marks.csv"))).contains("'=HYPERLINK(1)");
        assertThat(Files.readString(folder.resolve("bump-steer.csv")))
                .contains("-60.0,")
                .doesNotContain("'");
    }

    @Test
    void unicodeNamesAreSafeInEveryFile(@TempDir Path folder) throws Exception {
        Job job = demo.withTitle("<&> ../x")
                .editMaking(m -> m.withPieces(NASTY.stream()
                        .flatMap(n -> Stream.<Piece>of(
                                new Piece.ArmPlate(
                                        Id.Kind.PIECE.number(1 + 2 * NASTY.indexOf(n)),
                                        n,
                                        ArmOf.LEFT_STEERING_ARM,
                                        10,
                                        30,
                                        16,
                                        10),
                                new Piece.CentringJig(
                                        Id.Kind.PIECE.number(2 + 2 * NASTY.indexOf(n)), "jig " + n, 19, 19, 90, 8),
                                new Piece.AdapterPlate(
                                        Id.Kind.PIECE.number(100 + NASTY.indexOf(n)),
                                        "plate " + n,
                                        90,
                                        60,
                                        8,
                                        4,
                                        List.of(new Piece.PlateHole(20, 20, 9)),
                                        1,
                                        1)))
                        .toList()));
        Path into = folder.resolve("out");
        List<Path> written = PapersFiles.write(papers(job), LengthUnit.MM, DAY, "x\ny.tilt", into);
        try (Stream<Path> all = Files.walk(folder)) {
            assertThat(all.filter(Files::isRegularFile).toList())
                    .hasSameElementsAs(written)
                    .allMatch(p -> p.startsWith(into));
        }
        assertThat(written)
                .doesNotHaveDuplicates()
                .allMatch(p -> p.getFileName().toString().matches("[a-z0-9-]+\\.(pdf|csv|svg|dxf|stl)"));
        int svgs = 0;
        for (Path p : written) {
            String name = p.toString();
            if (name.endsWith(".svg")) {
                svgs++;
                Document d = DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(p.toFile());
                Element svg = d.getDocumentElement();
                double w = Double.parseDouble(svg.getAttribute("width").replace("mm", ""));
                assertThat(svg.getAttribute("viewBox"))
                        .startsWith("0 0 " + svg.getAttribute("width").replace("mm", ""));
                assertThat(w).isPositive();
            } else if (name.endsWith(".dxf")) {
                List<String> lines = Files.readAllLines(p, StandardCharsets.US_ASCII);
                assertThat(lines).hasSizeGreaterThan(40);
                assertThat(lines.size() % 2).as("a code and a value each").isZero();
                for (int i = 0; i < lines.size(); i += 2) {
                    assertThat(lines.get(i).strip()).matches("\\d+");
                }
                assertThat(lines.getLast()).isEqualTo("EOF");
            } else if (name.endsWith(".stl")) {
                assertThat(ScanFile.read(p).warnings()).isEmpty();
            } else if (name.endsWith(".pdf")) {
                assertThat(text(Files.readAllBytes(p))).isNotBlank();
            }
        }
        assertThat(svgs).isGreaterThan(NASTY.size());
    }

    /** A pattern larger than a sheet, printed and measured: its line is as long on paper as it is, over all sheets. */
    @ParameterizedTest
    @CsvSource({"A4, 500, 120", "LETTER, 380, 300", "A4, 150, 700"})
    void largeTemplatesTileAtFullSize(Paper paper, double wide, double high) throws Exception {
        FlatPattern p = new FlatPattern(
                "big",
                Phrase.of("how"),
                Optional.empty(),
                List.of(new PatternMark.Path(
                        PatternMark.Layer.CUT,
                        List.of(
                                new PatternPoint(0, 0),
                                new PatternPoint(wide, 0),
                                new PatternPoint(wide, high),
                                new PatternPoint(0, high)),
                        true)));
        int dpi = 127;
        try (PDDocument d = Loader.loadPDF(TemplatePdf.write(List.of(p), paper, LengthUnit.MM, "t"))) {
            assertThat(d.getNumberOfPages())
                    .isEqualTo(TemplatePdf.sheets(p, paper))
                    .isGreaterThan(1);
            assertThat(d.getPage(0).getMediaBox().getWidth() / 72 * 25.4).isCloseTo(paper.width(), within(0.01));
            PDFRenderer renderer = new PDFRenderer(d);
            for (int i = 0; i < d.getNumberOfPages(); i++) {
                BufferedImage image = renderer.renderImageWithDPI(i, dpi);
                // The bar lies 18 mm above the sheet's lower edge: 5 dots to the millimetre.
                int longest = 0;
                for (int y = image.getHeight() - 5 * 20; y < image.getHeight() - 5 * 16; y++) {
                    int run = 0;
                    for (int x = 0; x < image.getWidth(); x++) {
                        run = (image.getRGB(x, y) & 0xFF) < 140 ? run + 1 : 0;
                        longest = Math.max(longest, run);
                    }
                }
                assertThat(longest / 5.0).as("the bar on sheet " + i).isCloseTo(100, within(0.6));
            }
        }
    }

    private Job full() {
        RodMakeUp made = RodMakeUp.usual(CatalogueFile.shipped().rodEnds().getFirst());
        made = made.withEnd(
                        true,
                        made.outer()
                                .withHole(Optional.of(new Hole.Plain(8.1, 10)))
                                .withDoubleShear(true))
                .withBody(made.body()
                        .withKind(RodMakeUp.BodyKind.BUNGS)
                        .withLength(Optional.of(211.5))
                        .withTaps(Optional.of(new ScrewThread(8, 1, ScrewThread.Hand.LEFT)), Optional.empty()));
        RodMakeUp rod = made;
        return demo.editMaking(m -> m.withRod(Rod.RIGHT_TIE_ROD, Optional.of(rod))
                        .withJoin(new Id("shaft-2"), 100.25, ShaftJoin.School.COUPLING)
                        .withWorkshop(new Workshop(
                                3,
                                2.4,
                                0.5,
                                2,
                                6000,
                                1.25,
                                Paper.LETTER,
                                Optional.of(2.6),
                                m.workshop().stock(),
                                new Workshop.FixtureDatum(-300, 120)))
                        .withPiece(new Piece.BearingBracket(
                                Id.Kind.PIECE.first(),
                                "B",
                                Id.Kind.BEARING.first(),
                                Id.Kind.OBSTACLE.first(),
                                6,
                                60,
                                25,
                                3,
                                60,
                                9,
                                10))
                        .withPiece(new Piece.Length(
                                Id.Kind.PIECE.first(), "L", new Section.Bar(20), Metal.STAINLESS, 33.3, 0, 2))
                        .withPiece(new Piece.CopedTube(
                                Id.Kind.PIECE.first(),
                                "C",
                                new Section.Tube(25, 2),
                                Metal.ALLOY_STEEL,
                                222,
                                new Meeting(0, 45, 0, 10),
                                Meeting.SQUARE,
                                2,
                                2))
                        .editPlan(p -> p.withMark(
                                        "cut",
                                        WorkPlan.StepMark.NONE
                                                .withNote("n")
                                                .withSkipped(true)
                                                .withHours(Optional.of(2.5)))
                                .withOwnStep("cut", "mine")))
                .after(new Change(LocalDateTime.of(2026, 11, 20, 8, 1, 2), "did this", ""));
    }

    @Test
    void makingSettingsRoundTrip() throws Exception {
        Job job = full();
        assertThat(JobReader.read(JobWriter.write(job))).isEqualTo(job);
        assertThat(JobWriter.write(JobReader.read(JobWriter.write(job)))).isEqualTo(JobWriter.write(job));
        // A variant has none of its own, and taking one keeps the plan's.
        Job taken = job.keepingVariant("other").takingVariant(Id.Kind.VARIANT.first(), "before");
        assertThat(taken.making()).isEqualTo(job.making());
        assertThat(taken.changes()).isEqualTo(job.changes());
        assertThat(JobReader.read(JobWriter.write(taken))).isEqualTo(taken);
    }

    @Test
    void olderFilesHaveNoMakingSettings() throws Exception {
        Job plain = demo.withMaking(Making.NONE).withLog(TrialLog.NONE).withChanges(List.of());
        String text = JobWriter.write(plain);
        assertThat(text).doesNotContain("making").doesNotContain("\"log\"").doesNotContain("changes");
        assertThat(JobReader.read(text.replace("\"version\" : 6", "\"version\" : 4")))
                .isEqualTo(plain);
    }

    /** Each: what is replaced in the file, by what, and what the refusal must say. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\"kerf_mm\" : 2.4 | \"kerf_mm\" : -1 | Making, workshop, kerf is -1 mm; it can be 0 to 20 mm.",
                "\"pitch_mm\" : 1.25 | \"pitch_mm\" : 7 | less than half its diameter",
                "\"done\" : \"2026-11-07\" | \"done\" : \"2026-13-07\" | is not a day",
                "\"at\" : \"2026-11-20T08:01:02\" | \"at\" : \"yesterday\" | is not a day and time",
                "\"school\" : \"coupling\" | \"school\" : \"glue\" | Making, joins number 1, school is",
                "\"celsius\" : 120 | \"celsius\" : 12000 | readings",
                "\"kind\" : \"coped_tube\" | \"kind\" : \"egg\" | kind is \"egg\"; it can be length,",
                "\"kind\" : \"length\" | \"kind\" : \"length\", \"root_hole_mm\" : 3 | nothing is called \"root_hole_mm\" here. Is it misspelt?",
                "\"name\" : \"L\" | \"name\" : \"C\" | Two pieces have the same name",
                "\"drilled_mm\" : 54 | \"drilled_mm\" : 5 | a hole at least as deep"
            })
    void aFileThatCanNotBeMadeIsRefusedWithThePlace(String part, String by, String says) {
        String text = JobWriter.write(full());
        assertThat(text).contains(part);
        assertThatThrownBy(() -> JobReader.read(text.replaceFirst("\\Q" + part + "\\E", by)))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(says);
    }

    @Test
    void oldCatalogueGetsUsualShank() throws Exception {
        Catalogue c = CatalogueFile.read(
                "{\"format\":\"mild-tilt-catalogue\",\"version\":1,\"rod_end_parts\":[{\"name\":\"Old\",\"bore_mm\":12,\"thread_mm\":12,\"tilt_deg\":13}]}");
        assertThat(c.rodEnds()).singleElement().satisfies(p -> {
            assertThat(p.thread().label()).isEqualTo("M12 × 1.75");
            assertThat(p.toThread()).isCloseTo(19.2, within(1e-9));
        });
    }
}

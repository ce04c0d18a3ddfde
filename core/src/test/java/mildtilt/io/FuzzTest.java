package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import mildtilt.drawing.VehicleModel;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.cad.ModelFile;
import mildtilt.io.csv.PointsCsv;
import mildtilt.io.csv.PositionsCsv;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.jobfile.RulesFile;
import mildtilt.io.picture.PictureFile;
import mildtilt.io.scan.ScanFile;
import mildtilt.job.Job;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.position.SteeringInput;
import mildtilt.trials.instruments.FileInstruments;
import mildtilt.trials.instruments.InstrumentException;
import mildtilt.trials.instruments.InstrumentKind;
import mildtilt.units.UnreadableMeasureException;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Files of every format damaged in every way that can be thought of, the same ones every time: each is read, or refused
 * soon with a sentence; and of what is
 * read all that is said is sound. Four thousand in every test run; more with -Dmildtilt.fuzz=100000.
 */
class FuzzTest {

    private static final int ALL = Integer.getInteger("mildtilt.fuzz", 4_000);
    private static final int MOST_TOLD = 12;
    private static final Duration SOON = Duration.ofSeconds(10);

    /** Every so manieth job that can be read is worked out, too. */
    private static final int WORKED_OUT = Integer.getInteger("mildtilt.fuzz.worked", 60);

    private static final List<String> SMALL = List.of(
            "cases/line",
            "cases/x05_draglink_vs_trackbar",
            "cases/d00_sane",
            "cases/lim",
            "cases/step",
            "hostile/crash-rack-travel-remedy",
            "hostile/rim-larger-than-0.64-of-tyre");

    @TempDir
    private Path folder = Path.of("");

    private interface Reading {
        void read(byte[] bytes) throws Exception;
    }

    /** @return how many could still be read */
    private static int all(int count, long seed, Function<Mutator, byte[]> damaged, Reading reading) {
        Mutator m = new Mutator(seed);
        List<String> wrong = new ArrayList<>();
        int read = 0;
        for (int i = 0; i < count && wrong.size() < MOST_TOLD; i++) {
            byte[] bytes = damaged.apply(m);
            try {
                Assertions.assertTimeoutPreemptively(SOON, () -> reading.read(bytes));
                read++;
            } catch (Throwable e) {
                if (!(e instanceof JobFileException
                        || e instanceof ImpossibleGeometryException
                        || e instanceof UnreadableMeasureException)) {
                    wrong.add(kept(i, seed, bytes, e));
                } else if (!AllThatIsSaid.isASentence(e.getMessage())) {
                    wrong.add(kept(i, seed, bytes, e) + " is no sentence");
                }
            }
        }
        assertThat(wrong).isEmpty();
        return read;
    }

    /** What went wrong, and the file, kept to look at. */
    private static String kept(int number, long seed, byte[] bytes, Throwable e) {
        StringWriter trace = new StringWriter();
        e.printStackTrace(new PrintWriter(trace));
        String brief = trace.toString()
                .lines()
                .filter(l -> !l.contains("org.junit") && !l.contains("java.base"))
                .limit(14)
                .collect(Collectors.joining("\n"));
        Path file = Path.of("target", "damaged-" + seed + "-" + number);
        try {
            Files.write(file, bytes);
        } catch (IOException again) {
            brief = again + brief;
        }
        return file + ": " + brief;
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void damagedJobsAreReadOrRefused() throws Exception {
        List<JsonNode> whole = new ArrayList<>();
        for (String name : SMALL) {
            try (InputStream in = FuzzTest.class.getResourceAsStream("/" + name + ".tilt")) {
                whole.add(Mutator.tree(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
            }
        }
        int[] read = {0};
        int small = ALL * 13 / 20;
        // The short ones most often: they are damaged as well, and read in no time.
        double shares =
                whole.stream().mapToDouble(w -> 1.0 / w.toString().length()).sum();
        for (int i = 0; i < whole.size(); i++) {
            job((int) Math.ceil(small / shares / whole.get(i).toString().length()), 100 + i, whole.get(i), read);
        }
        for (DemoJob demo : DemoJob.values()) {
            job(
                    ALL / 50 / DemoJob.values().length,
                    200 + demo.ordinal(),
                    Mutator.tree(JobWriter.write(demo.job())),
                    read);
        }
        assertThat(read[0]).as("some are still jobs, or nothing was tried").isGreaterThan(ALL / 50);
    }

    private static void job(int count, long seed, JsonNode whole, int[] read) {
        all(count, seed, m -> utf8(m.json(whole)), bytes -> {
            Job job = JobReader.read(new String(bytes, StandardCharsets.UTF_8));
            if (read[0]++ % WORKED_OUT == 0) {
                AllThatIsSaid.of(job);
            }
        });
    }

    @Test
    void damagedRuleSetsCataloguesAndPointsAreReadOrRefused() throws Exception {
        JsonNode rules = Mutator.tree(RulesFile.write(ShippedRules.CLOSED_COURSE.rules()));
        all(ALL / 20, 20, m -> utf8(m.json(rules)), bytes -> RulesFile.open(file(bytes, "a.rules.json")));
        JsonNode parts = Mutator.tree(CatalogueFile.shippedText());
        all(ALL / 80, 21, m -> utf8(m.json(parts)), bytes -> CatalogueFile.open(file(bytes, "c.json")));
        byte[] csv = "mark;x mm;y mm;z mm\nsill left;-800;620,5;31\n\"hub; \"\"upper\"\"\";-1050;38;97\npin;1;2;3\n"
                .getBytes(StandardCharsets.UTF_8);
        int read = all(ALL / 8, 22, m -> m.bytes(csv), bytes -> {
            PointsCsv.Read points = PointsCsv.read(file(bytes, "p.csv"));
            PointsCsv.take(DemoJob.BOG_TENDER.job(), points, PointsCsv.guess(points));
        });
        assertThat(read).isPositive();
        byte[] positions = "steering_wheel_deg,travel_left_mm,travel_right_mm\n0,0,0\n-120.5,10,-10\n\"90\",0,1\n"
                .getBytes(StandardCharsets.UTF_8);
        all(ALL / 20, 23, m -> m.bytes(positions), bytes -> assertThat(PositionsCsv.read(file(bytes, "h.csv")))
                .allMatch(h -> Double.isFinite(h.steeringWheelDeg() + h.travelLeft() + h.travelRight())));
    }

    @Test
    void damagedInstrumentLinesAreReadOrIgnored() throws Exception {
        byte[] lines =
                "value angle-finder deg 0.1 free 12.35\nvalue dial mm 0.01 held -0.35\nvalue turn-plates deg 0.2 free 20.1 18.4\n"
                        .getBytes(StandardCharsets.UTF_8);
        int[] read = {0};
        all(ALL / 25, 41, m -> m.bytes(lines), bytes -> {
            for (InstrumentKind kind : InstrumentKind.values()) {
                try {
                    assertThat(new FileInstruments(file(bytes, "i.txt")).read(kind))
                            .matches(t -> t.kind() == kind
                                    && t.spread() > 0
                                    && t.values().size() == kind.figures()
                                    && t.values().stream().allMatch(Double::isFinite));
                    read[0]++;
                } catch (InstrumentException e) {
                    assertThat(e.getMessage())
                            .as("a sentence")
                            .hasSizeGreaterThan(8)
                            .doesNotContain("java.");
                }
            }
        });
        assertThat(read[0]).isPositive();
    }

    @Test
    void damagedScansAreReadOrRefused() {
        byte[] stl =
                "solid box\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 10 0 0\nvertex 0 10 0\nendloop\nendfacet\nfacet normal 0 0 1\nouter loop\nvertex 0 0 1\nvertex 10 0 1\nvertex 0 10 2\nendloop\nendfacet\nendsolid box\n"
                        .getBytes(StandardCharsets.US_ASCII);
        byte[] obj =
                "# a box\nv 0 0 0\nv 10 0 0\nv 10 10 0\nv 0 10 5\nvn 0 0 1\nvt 0 0\nf 1/1/1 2/1/1 3/1/1 4/1/1\nf -1 -2 -3\ng part\nusemtl x\n"
                        .getBytes(StandardCharsets.US_ASCII);
        byte[] binary = new byte[84 + 4 * 50];
        binary[80] = 4;
        Random r = new Random(5);
        for (int i = 84; i < binary.length; i++) {
            binary[i] = (byte) (i % 50 < 48 && i % 4 == 3 ? 65 : r.nextInt(256));
        }
        assertThatCode(() -> ScanFile.read(file(stl, "whole.stl"))).doesNotThrowAnyException();
        all(ALL / 40, 31, m -> m.bytes(stl), bytes -> ScanFile.read(file(bytes, "s.stl")));
        all(ALL / 40, 32, m -> m.bytes(obj), bytes -> ScanFile.read(file(bytes, "s.obj")));
        all(ALL / 40, 33, m -> m.bytes(binary), bytes -> ScanFile.read(file(bytes, "b.stl")));
        byte[] ply =
                "ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\nproperty float y\nproperty float z\nelement face 1\nproperty list uchar int vertex_indices\nend_header\n0 0 0\n9 0 0\n0 9 0\n3 0 1 2\n"
                        .getBytes(StandardCharsets.US_ASCII);
        all(ALL / 40, 34, m -> m.bytes(ply), bytes -> ScanFile.read(file(bytes, "s.ply")));
        byte[] glb = ModelFile.glb(new VehicleModel(DemoJob.GREENHOUSE_TUG.job())
                .at(SteeringInput.STRAIGHT_AHEAD)
                .subList(0, 2));
        all(ALL / 80, 35, m -> m.bytes(glb), bytes -> ScanFile.read(file(bytes, "s.glb")));
    }

    @Test
    void damagedPhotographsAreReadOrRefused() throws Exception {
        BufferedImage image = new BufferedImage(90, 70, BufferedImage.TYPE_INT_RGB);
        Random r = new Random(9);
        for (int i = 0; i < 6300; i++) {
            image.setRGB(i % 90, i / 90, r.nextInt(0x1000000));
        }
        for (String format : List.of("jpeg", "png")) {
            ByteArrayOutputStream whole = new ByteArrayOutputStream();
            ImageIO.write(image, format, whole);
            byte[] picture = whole.toByteArray();
            assertThatCode(() -> PictureFile.read(file(picture, "whole.jpg"))).doesNotThrowAnyException();
            all(ALL / 40, 50, m -> m.bytes(picture), bytes -> PictureFile.read(file(bytes, "p.jpg")));
        }
    }

    private Path file(byte[] bytes, String name) throws Exception {
        return Files.write(folder.resolve(name), bytes);
    }
}

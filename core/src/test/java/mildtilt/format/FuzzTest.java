package mildtilt.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.instrument.FileInstruments;
import mildtilt.instrument.InstrumentException;
import mildtilt.instrument.InstrumentKind;
import mildtilt.job.Job;
import mildtilt.measure.UnreadableMeasureException;
import mildtilt.rules.ShippedRules;
import mildtilt.survey.Survey;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Files damaged in every way that can be thought of, the same ones every time: each is read or refused with a sentence, soon, and what is read has no figure
 * that is no number. Ten thousand in every test run; more with -Dmildtilt.fuzz=N.
 */
class FuzzTest {

    private static final int ALL = Integer.getInteger("mildtilt.fuzz", 10_000);
    private static final Duration SOON = Duration.ofSeconds(20);
    private static final List<String> WORDS = List.of("0", "-0", "1e308", "-1e308", "1e-308", "9e99", "NaN", "null", "true", "[]", "{}", "\"\"", "\"\\u0000\"", "1e400", "00", "-1", "99999999999999999999", "\"a\"", "{\"a\":1}", "[[[[", "\\", "\n", ",", ";",
            "solid", "facet normal", "f 1 2 3", "v 1 2", "f -1 -2 -3", "f 1/1/1 99999999/2/3 0");

    @TempDir
    private Path folder = Path.of("");

    /** One to four wounds: bytes changed, stretches cut out, doubled, moved or cut off, numbers and words put elsewhere. */
    private static byte[] hurt(byte[] whole, Random r) {
        byte[] b = whole;
        for (int n = 0; n <= r.nextInt(4); n++) {
            int at = b.length == 0 ? 0 : r.nextInt(b.length);
            int length = Math.min(b.length - at, 1 + r.nextInt(1 + r.nextInt(60)));
            b = switch (r.nextInt(7)) {
                case 0 -> put(b, at, Math.min(1, length), new byte[] {(byte) r.nextInt(256)});
                case 1 -> put(b, at, length, new byte[0]);
                case 2 -> put(b, at, 0, Arrays.copyOfRange(b, at, at + length));
                case 3 -> Arrays.copyOf(b, at);
                case 4 -> put(b, at, length, Arrays.copyOfRange(b, Math.max(0, at - length), at));
                case 5 -> number(b, at, r);
                default -> put(b, at, r.nextInt(2) * length, WORDS.get(r.nextInt(WORDS.size())).getBytes(StandardCharsets.UTF_8));
            };
        }
        return b;
    }

    /** The next number from there replaced, so that the file stays one of its kind. */
    private static byte[] number(byte[] b, int at, Random r) {
        int from = at;
        while (from < b.length && !Character.isDigit(b[from])) {
            from++;
        }
        int to = from;
        while (to < b.length && "0123456789.eE-+".indexOf(b[to]) >= 0) {
            to++;
        }
        double v = switch (r.nextInt(5)) {
            case 0 -> 0;
            case 1 -> 1e-9 * r.nextGaussian();
            case 2 -> 1e5 * r.nextGaussian();
            case 3 -> r.nextInt(3) * 90;
            default -> 500 * r.nextGaussian();
        };
        return put(b, from, to - from, Double.toString(v).getBytes(StandardCharsets.US_ASCII));
    }

    private static byte[] put(byte[] b, int at, int instead, byte[] what) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(b, 0, at);
        out.write(what, 0, what.length);
        out.write(b, at + instead, b.length - at - instead);
        return out.toByteArray();
    }

    private interface Reading {
        void read(byte[] bytes) throws Exception;
    }

    /** @return how many could still be read */
    private int all(int count, long seed, byte[] whole, Reading reading) {
        Random r = new Random(seed);
        int read = 0;
        for (int i = 0; i < count; i++) {
            byte[] bytes = hurt(whole, r);
            try {
                Assertions.assertTimeout(SOON, () -> reading.read(bytes));
                read++;
            } catch (Throwable e) {
                if (!(e instanceof JobFileException || e instanceof ImpossibleGeometryException || e instanceof UnreadableMeasureException)) {
                    throw new AssertionError("damaged file " + i + " of seed " + seed + ": " + new String(bytes, 0, Math.min(300, bytes.length), StandardCharsets.ISO_8859_1), e);
                }
                assertThat(e.getMessage()).as("a sentence").hasSizeBetween(8, 4000).doesNotContain("java.lang");
            }
        }
        return read;
    }

    private static byte[] of(Job job) {
        return JobWriter.write(job).getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void damagedJobsAreReadOrRefused() {
        int looked = 0;
        for (DemoJob demo : List.of(DemoJob.GREENHOUSE_TUG, DemoJob.SALT_RAKE)) {
            int[] read = {0};
            all(ALL * 3 / 20, 1 + demo.ordinal(), of(demo.job()), bytes -> {
                Job job = JobReader.read(new String(bytes, StandardCharsets.UTF_8));
                read[0]++;
                // The first of them are worked out, too.
                if (read[0] <= ALL / 500) {
                    assertThat(AnalysisJson.write(Analysis.of(job), List.of())).doesNotContain("NaN").doesNotContain("Infinity");
                }
            });
            looked += read[0];
        }
        assertThat(looked).as("some are still jobs, or nothing was tried").isGreaterThan(ALL / 100);
    }

    @Test
    void damagedRuleSetsCataloguesAndPointsAreReadOrRefused() throws Exception {
        all(ALL / 10, 20, RulesFile.write(ShippedRules.CLOSED_COURSE.rules()).getBytes(StandardCharsets.UTF_8), bytes -> RulesFile.open(file(bytes, "a.rules.json")));
        all(ALL / 20, 21, CatalogueFile.shippedText().getBytes(StandardCharsets.UTF_8), bytes -> CatalogueFile.open(file(bytes, "c.json")));
        byte[] csv = "mark;x mm;y mm;z mm\nsill left;-800;620,5;31\n\"hub; \"\"upper\"\"\";-1050;38;97\npin;1;2;3\n".getBytes(StandardCharsets.UTF_8);
        int read = all(ALL / 4, 22, csv, bytes -> {
            PointsCsv.Read points = PointsCsv.read(file(bytes, "p.csv"));
            PointsCsv.take(Survey.NONE, points, PointsCsv.guess(points));
        });
        assertThat(read).isPositive();
        byte[] positions = "steering_wheel_deg,travel_left_mm,travel_right_mm\n0,0,0\n-120.5,10,-10\n\"90\",0,1\n".getBytes(StandardCharsets.UTF_8);
        all(ALL / 20, 23, positions, bytes -> assertThat(PositionsCsv.read(file(bytes, "h.csv"))).allMatch(h -> Double.isFinite(h.steeringWheelDeg() + h.travelLeft() + h.travelRight())));
    }

    @Test
    void damagedLinesOfInstrumentsAreReadOrPassedOver() throws Exception {
        byte[] lines = "value angle-finder deg 0.1 free 12.35\nvalue dial mm 0.01 held -0.35\nvalue turn-plates deg 0.2 free 20.1 18.4\n".getBytes(StandardCharsets.UTF_8);
        int[] read = {0};
        all(ALL / 20, 41, lines, bytes -> {
            for (InstrumentKind kind : InstrumentKind.values()) {
                try {
                    assertThat(new FileInstruments(file(bytes, "i.txt")).read(kind)).matches(t -> t.kind() == kind && t.spread() > 0 && t.values().size() == kind.figures() && t.values().stream().allMatch(Double::isFinite));
                    read[0]++;
                } catch (InstrumentException e) {
                    assertThat(e.getMessage()).as("a sentence").hasSizeGreaterThan(8).doesNotContain("java.");
                }
            }
        });
        assertThat(read[0]).isPositive();
    }

    @Test
    void damagedScansAreReadOrRefused() {
        byte[] stl = "solid box\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 10 0 0\nvertex 0 10 0\nendloop\nendfacet\nfacet normal 0 0 1\nouter loop\nvertex 0 0 1\nvertex 10 0 1\nvertex 0 10 2\nendloop\nendfacet\nendsolid box\n"
                .getBytes(StandardCharsets.US_ASCII);
        byte[] obj = "# a box\nv 0 0 0\nv 10 0 0\nv 10 10 0\nv 0 10 5\nvn 0 0 1\nvt 0 0\nf 1/1/1 2/1/1 3/1/1 4/1/1\nf -1 -2 -3\ng part\nusemtl x\n".getBytes(StandardCharsets.US_ASCII);
        byte[] binary = new byte[84 + 4 * 50];
        binary[80] = 4;
        Random r = new Random(5);
        for (int i = 84; i < binary.length; i++) {
            binary[i] = (byte) (i % 50 < 48 && i % 4 == 3 ? 65 : r.nextInt(256));
        }
        assertThatCode(() -> ScanFile.read(file(stl, "whole.stl"))).doesNotThrowAnyException();
        all(ALL / 10, 31, stl, bytes -> ScanFile.read(file(bytes, "s.stl")));
        all(ALL / 10, 32, obj, bytes -> ScanFile.read(file(bytes, "s.obj")));
        all(ALL / 10, 33, binary, bytes -> ScanFile.read(file(bytes, "b.stl")));
    }

    private Path file(byte[] bytes, String name) throws Exception {
        return Files.write(folder.resolve(name), bytes);
    }
}

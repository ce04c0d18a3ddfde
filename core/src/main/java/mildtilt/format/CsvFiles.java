package mildtilt.format;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.column.Transfer;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.Turn;
import mildtilt.suspension.KnucklePose;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** Curves and points out, positions of the hands in, as CSV with units in the headings. */
public final class CsvFiles {

    private static final int LARGEST_POSITIONS = 1_000_000;

    private CsvFiles() {}

    /** Writes every curve and the points of a job into a folder; returns what was written. */
    public static List<Path> write(Analysis analysis, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        written.add(put(folder.resolve("points.csv"), points(analysis.job())));
        if (analysis.train().column().flatMap(c -> c.transfer()).isPresent()) {
            written.add(put(folder.resolve("column-turn.csv"), columnTurn(analysis)));
        }
        if (analysis.steer().isPresent()) {
            written.add(put(folder.resolve("steer-curve.csv"), steerCurve(analysis.steer().get())));
            written.add(put(folder.resolve("bump-steer.csv"), bumpSteer(analysis.steer().get())));
        }
        return written;
    }

    private static Path put(Path file, String text) throws IOException {
        JobFile.replace(file, text.getBytes(StandardCharsets.UTF_8));
        return file;
    }

    public static String points(Job job) {
        List<Object[]> rows = new ArrayList<>();
        for (PointId id : JobPoints.of(job)) {
            Point p = JobPoints.position(job, id);
            rows.add(new Object[] {JobPoints.label(job, id), p.x(), p.y(), p.z()});
        }
        return csv(rows, "point", "x_mm", "y_mm", "z_mm");
    }

    /** A whole turn of the steering wheel in steps of 5 degrees. */
    public static String columnTurn(Analysis analysis) {
        Transfer t = analysis.train().column().flatMap(c -> c.transfer()).orElse(Transfer.EVEN);
        List<Object[]> rows = new ArrayList<>();
        for (int deg = -180; deg <= 180; deg += 5) {
            double out = analysis.train().gearInputDeg(deg);
            rows.add(new Object[] {deg, out, out - deg, t.ratioAt(-Math.toRadians(deg))});
        }
        return csv(rows, "steering_wheel_deg", "gear_input_deg", "position_error_deg", "ratio");
    }

    public static String steerCurve(SteerFigures s) {
        List<Object[]> rows = new ArrayList<>();
        for (SteerFigures.SteerRow r : s.rows()) {
            rows.add(new Object[] {r.steeringWheelDeg(), r.gearInputDeg(),
                    cell(r.turn().map(Turn::leftDeg)), cell(r.turn().map(Turn::rightDeg)), cell(r.ratio()),
                    cell(r.turn().flatMap(Turn::ackermannPct))});
        }
        return csv(rows, "steering_wheel_deg", "gear_input_deg", "delta_left_deg", "delta_right_deg", "ratio",
                "ackermann_pct");
    }

    public static String bumpSteer(SteerFigures s) {
        List<Object[]> rows = new ArrayList<>();
        for (SteerFigures.BumpRow b : s.bump()) {
            Optional<KnucklePose> l = b.knuckles().map(k -> k.left());
            Optional<KnucklePose> r = b.knuckles().map(k -> k.right());
            rows.add(new Object[] {b.travel(), cell(l.map(KnucklePose::toeInDeg)), cell(r.map(KnucklePose::toeInDeg)),
                    cell(l.map(KnucklePose::camberDeg)), cell(r.map(KnucklePose::camberDeg))});
        }
        return csv(rows, "travel_mm", "toe_in_" + Side.LEFT.label() + "_deg", "toe_in_" + Side.RIGHT.label() + "_deg",
                "camber_left_deg", "camber_right_deg");
    }

    private static Object cell(Optional<Double> value) {
        return value.<Object>map(v -> v).orElse("");
    }

    private static String csv(List<Object[]> rows, String... header) {
        StringWriter out = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(header).setRecordSeparator("\n").get();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (Object[] row : rows) {
                printer.printRecord(row);
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toString();
    }

    /**
     * Positions of the hands from a CSV with the columns steering_wheel_deg, travel_left_mm and
     * travel_right_mm, in any order.
     *
     * @throws JobFileException naming the line that can't be read
     */
    public static List<HandPosition> readPositions(Path file) throws JobFileException {
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true)
                .setIgnoreSurroundingSpaces(true).setIgnoreEmptyLines(true).get();
        List<HandPosition> all = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(file, StandardCharsets.UTF_8, format)) {
            for (String needed : List.of("steering_wheel_deg", "travel_left_mm", "travel_right_mm")) {
                if (!parser.getHeaderNames().contains(needed)) {
                    throw new JobFileException(file.getFileName() + ": the first line must name a column \"" + needed
                            + "\"; it names " + parser.getHeaderNames() + ".");
                }
            }
            for (CSVRecord r : parser) {
                all.add(new HandPosition(value(file, r, "steering_wheel_deg"), value(file, r, "travel_left_mm"),
                        value(file, r, "travel_right_mm")));
                if (all.size() > LARGEST_POSITIONS) {
                    throw new JobFileException(file.getFileName() + ": more than a million positions.");
                }
            }
        } catch (IOException | IllegalArgumentException | UncheckedIOException e) {
            throw new JobFileException(file + " can't be read as CSV: " + e.getMessage());
        }
        return all;
    }

    private static double value(Path file, CSVRecord r, String column) throws JobFileException {
        String text = r.isSet(column) ? r.get(column).strip() : "";
        try {
            double v = Double.parseDouble(text);
            if (Double.isFinite(v) && Math.abs(v) <= 100_000) {
                return v;
            }
        } catch (NumberFormatException e) {
            // Told below, together with numbers out of range.
        }
        throw new JobFileException(file.getFileName() + ", line " + r.getParser().getCurrentLineNumber() + ": \"" + text
                + "\" is not a usable number for " + column + ".");
    }
}

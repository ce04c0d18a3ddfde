package mildtilt.io.csv;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import mildtilt.analysis.Analysis;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.GapMap;
import mildtilt.clearance.PairGap;
import mildtilt.column.Transfer;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.SafeFiles;
import mildtilt.job.Job;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.shop.BenchSheet;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.range.TravelMap;
import mildtilt.suspension.KnucklePose;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Curves, points and tables as CSV with units in the headings. */
public final class CsvFiles {

    private static final Pattern FORMULA = Pattern.compile("[\\t\\r\\n]|[\\s\\p{Z}\\p{Cf}\\p{Cc}]*[=+\\-@＝＋－＠|%]");

    private CsvFiles() {}

    /** Writes the points and every curve of a job into a folder; returns what was written. */
    public static List<Path> write(Analysis analysis, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>(List.of(put(folder.resolve("points.csv"), points(analysis.job()))));
        written.addAll(curves(analysis, folder));
        return written;
    }

    /** Writes the figures and every curve alone. */
    public static List<Path> curves(Analysis analysis, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        written.add(put(folder.resolve("figures.csv"), figures(analysis)));
        if (analysis.train().column().flatMap(c -> c.transfer()).isPresent()) {
            written.add(put(folder.resolve("column-turn.csv"), columnTurn(analysis)));
        }
        if (analysis.bench().shafts().stream().anyMatch(s -> s.mark().isPresent())) {
            written.add(put(folder.resolve("fork-marks.csv"), forkMarks(analysis)));
        }
        if (analysis.steer().isPresent()) {
            written.add(put(
                    folder.resolve("steer-curve.csv"),
                    steerCurve(analysis.steer().get())));
            written.add(put(
                    folder.resolve("bump-steer.csv"),
                    travel(analysis.steer().get(), analysis.steer().get().bump())));
            if (!analysis.steer().get().roll().isEmpty()) {
                written.add(put(
                        folder.resolve("roll-steer.csv"),
                        travel(analysis.steer().get(), analysis.steer().get().roll())));
            }
            if (analysis.steer().get().effort().isPresent()) {
                written.add(put(
                        folder.resolve("effort.csv"),
                        effort(analysis.steer().get().effort().get())));
            }
        }
        if (analysis.map().isPresent()) {
            written.add(
                    put(folder.resolve("limit-map.csv"), limitMap(analysis.map().get())));
        }
        if (analysis.clearance().isPresent()) {
            written.add(
                    put(folder.resolve("gaps.csv"), gaps(analysis.clearance().get())));
            if (analysis.clearance().get().map().isPresent()) {
                written.add(put(
                        folder.resolve("gap-map.csv"),
                        gapMap(analysis.clearance().get().map().get())));
            }
        }
        return written;
    }

    /** The headline figures that the job has. */
    static String figures(Analysis analysis) {
        List<Object[]> rows = new ArrayList<>();
        analysis.headlines()
                .values()
                .forEach((h, v) -> rows.add(new Object[] {h.key(), v, h.label(), h.meaning(), h.usual()}));
        return csv(rows, "figure", "value", "name", "what_it_is", "usual");
    }

    /** The smallest gap of every pair that comes near. */
    public static String gaps(ClearanceFigures f) {
        List<Object[]> rows = new ArrayList<>();
        for (PairGap p : f.pairs()) {
            rows.add(new Object[] {
                p.first(),
                p.second(),
                p.gap(),
                p.need(),
                p.atRest(),
                p.where().steeringWheelDeg(),
                p.where().travelLeft(),
                p.where().travelRight(),
                p.where().column()
            });
        }
        return csv(
                rows,
                "first",
                "second",
                "gap_mm",
                "need_mm",
                "gap_at_rest_mm",
                "steering_wheel_deg",
                "travel_left_mm",
                "travel_right_mm",
                "wheel_set");
    }

    /** The tightest margin of every place of steering and travel; an empty cell where there is plenty. */
    static String gapMap(GapMap m) {
        List<Object[]> rows = new ArrayList<>();
        for (int j = 0; j < m.travels().size(); j++) {
            for (int i = 0; i < m.steeringWheelDeg().size(); i++) {
                GapMap.Cell c = m.cell(i, j);
                rows.add(new Object[] {
                    m.steeringWheelDeg().get(i),
                    m.travels().get(j),
                    c.pair() == null ? "" : c.margin(),
                    c.pair() == null ? "" : c.pair(),
                    c.reachable()
                });
            }
        }
        return csv(rows, "steering_wheel_deg", "travel_mm", "margin_mm", "tightest_pair", "reachable");
    }

    private static Path put(Path file, String text) throws IOException {
        SafeFiles.replace(file, text.getBytes(StandardCharsets.UTF_8));
        return file;
    }

    public static String points(Job job) {
        return table(Table.ofPoints(job));
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

    /** How the gear-end fork of each shaft between joints is marked from its wheel-end fork. */
    public static String forkMarks(Analysis analysis) {
        List<Object[]> rows = new ArrayList<>();
        for (BenchSheet.ShaftLine s : analysis.bench().shafts()) {
            s.mark()
                    .ifPresent(m ->
                            rows.add(new Object[] {s.name(), m.deg(), m.way(), m.arc(), m.diameter(), m.teethText()}));
        }
        return csv(rows, "shaft", "clocking_deg", "seen_from_the_wheel_end", "arc_mm", "on_diameter_mm", "teeth");
    }

    public static String steerCurve(SteerFigures s) {
        List<Object[]> rows = new ArrayList<>();
        for (SteerFigures.SteerRow r : s.rows()) {
            rows.add(new Object[] {
                r.steeringWheelDeg(),
                r.gearInputDeg(),
                cell(r.turn().map(TurnGeometry::leftDeg)),
                cell(r.turn().map(TurnGeometry::rightDeg)),
                cell(r.ratio()),
                cell(r.turn().flatMap(TurnGeometry::ackermannPct)),
                cell(r.turn().flatMap(TurnGeometry::outerErrorDeg))
            });
        }
        return csv(
                rows,
                "steering_wheel_deg",
                "gear_input_deg",
                "delta_left_deg",
                "delta_right_deg",
                "ratio",
                "ackermann_pct",
                "outer_wheel_error_deg");
    }

    /** Straight ahead over a travel. */
    static String travel(SteerFigures s, List<SteerFigures.BumpRow> over) {
        List<Object[]> rows = new ArrayList<>();
        for (SteerFigures.BumpRow b : over) {
            List<Object> row = new ArrayList<>(List.of(b.travel()));
            for (Side side : Side.values()) {
                Optional<KnucklePose> k = b.knuckles().map(a -> a.knuckle(side));
                Point design = s.knuckle(side).wheelCentre();
                row.add(cell(k.map(KnucklePose::toeInDeg)));
                row.add(cell(k.map(KnucklePose::camberDeg)));
                row.add(cell(k.map(KnucklePose::casterDeg)));
                row.add(cell(k.map(p -> p.wheelCentre().x() - design.x())));
                row.add(cell(k.map(p -> p.wheelCentre().y() - design.y())));
            }
            rows.add(row.toArray());
        }
        List<String> head = new ArrayList<>(List.of("travel_left_mm"));
        for (Side side : Side.values()) {
            for (String figure : new String[] {
                "toe_in_%s_deg",
                "camber_%s_deg",
                "caster_%s_deg",
                "wheel_centre_%s_x_shift_mm",
                "wheel_centre_%s_y_shift_mm"
            }) {
                head.add(figure.formatted(side.code()));
            }
        }
        return csv(rows, head.toArray(String[]::new));
    }

    static String effort(Effort e) {
        return csv(
                e.rows().stream()
                        .map(r ->
                                new Object[] {r.steeringWheelDeg(), r.parked(), r.creeping(), r.returning(), r.inBend()
                                })
                        .toList(),
                "steering_wheel_deg",
                "parked_n",
                "creeping_n",
                "weight_returns_n",
                "returns_in_bend_n");
    }

    /** The margin to what limits first, over steer and travel. */
    static String limitMap(TravelMap m) {
        List<Object[]> rows = new ArrayList<>();
        for (int j = 0; j < m.travels().size(); j++) {
            for (int i = 0; i < m.steeringWheelDeg().size(); i++) {
                TravelMap.Cell c = m.cell(i, j);
                boolean stands = c.marginDeg() != TravelMap.NONE_LEFT;
                rows.add(new Object[] {
                    m.steeringWheelDeg().get(i),
                    m.travels().get(j),
                    stands ? c.marginDeg() : "",
                    c.limit().label()
                });
            }
        }
        return csv(rows, "steering_wheel_deg", "travel_left_mm", "margin_deg", "limit");
    }

    private static Object cell(Optional<Double> value) {
        return value.<Object>map(v -> v).orElse("");
    }

    /**
     * What begins like a formula would be run as one by a spreadsheet, also behind spaces and with full-width signs: an
     * apostrophe before
     * it makes it text. Numbers stay numbers.
     */
    private static Object safe(Object cell) {
        return cell instanceof String s && FORMULA.matcher(s).lookingAt() ? "'" + s : cell;
    }

    /** A table of the papers: figures as plain numbers in mm and degrees. */
    public static String table(Table table) {
        return csv(
                table.rows().stream()
                        .map(r -> r.stream().map(Cell::raw).toArray())
                        .toList(),
                table.keys().toArray(String[]::new));
    }

    private static String csv(List<Object[]> rows, String... header) {
        StringWriter out = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(header)
                .setRecordSeparator("\n")
                .get();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (Object[] row : rows) {
                printer.printRecord(Arrays.stream(row).map(CsvFiles::safe).toArray());
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toString();
    }
}

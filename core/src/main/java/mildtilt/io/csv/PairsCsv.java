package mildtilt.io.csv;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidFit;
import mildtilt.geometry.RigidMove;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.scan.ScanShape;

/**
 * Points that are known both on a scan and on the vehicle: a name, {@code scan_x}, {@code scan_y}, {@code scan_z} in
 * the scan's own numbers, and {@code x}, {@code y}, {@code z} in the vehicle's axes, with their unit.
 */
public final class PairsCsv {

    private static final int MOST_ROWS = 1000;
    private static final long MOST_BYTES = 1 << 20;
    private static final List<String> SCAN = List.of("scan_x", "scan_y", "scan_z");
    private static final List<String> VEHICLE = List.of("x", "y", "z");

    private PairsCsv() {}

    /** @param scan in the scan's own numbers; @param vehicle mm */
    public record Pairs(List<String> names, List<Point> scan, List<Point> vehicle) {

        /**
         * The turn and shift that carry the scan to the vehicle's axes. @param mm for one of the scan's numbers
         *
         * @throws JobFileException if there are fewer than three, or they are on one line
         */
        public RigidMove move(double mm) throws JobFileException {
            return RigidFit.of(scaled(mm), vehicle)
                    .orElseThrow(() -> new JobFileException(
                            "Three pairs or more are needed, not all on one line, or two and the floor, to put a "
                                    + "scan in the vehicle's axes."));
        }

        /**
         * The same by the floor and two pairs or more. @param floor a flat of the scan, mm
         *
         * @throws JobFileException if there are fewer, or they lie above one place
         */
        public RigidMove move(double mm, ScanShape.Flat floor) throws JobFileException {
            return RigidFit.onFloor(scaled(mm), vehicle, floor.middle(), floor.out())
                    .orElseThrow(() -> new JobFileException(
                            "Beside the floor two pairs or more are needed, not above one place of it, to put a "
                                    + "scan in the vehicle's axes."));
        }

        /** How far each is from its other once the scan is there, mm. */
        public List<Double> apart(RigidMove move, double mm) {
            List<Double> all = new ArrayList<>();
            for (int i = 0; i < scan.size(); i++) {
                all.add(move.moved(scaled(mm).get(i)).distanceTo(vehicle.get(i)));
            }
            return all;
        }

        private List<Point> scaled(double mm) {
            return scan.stream()
                    .map(p -> new Point(p.x() * mm, p.y() * mm, p.z() * mm))
                    .toList();
        }
    }

    /** @throws JobFileException if it is no such list, saying what is missing */
    public static Pairs read(Path file) throws JobFileException {
        CsvText text = CsvText.read(file, "a list of pairs", MOST_ROWS, MOST_BYTES);
        List<String> heads = text.heads().stream().map(CsvText::name).toList();
        List<Integer> scan = columns(text, heads, SCAN);
        List<Integer> vehicle = columns(text, heads, VEHICLE);
        Optional<Integer> name = heads.contains("name") ? Optional.of(heads.indexOf("name")) : Optional.empty();
        List<String> names = new ArrayList<>();
        List<Point> on = new ArrayList<>();
        List<Point> of = new ArrayList<>();
        for (int i = 0; i < text.rows().size(); i++) {
            names.add(name.isPresent() ? text.cell(i, name.get()) : "pair " + (i + 1));
            on.add(new Point(text.number(i, scan.get(0)), text.number(i, scan.get(1)), text.number(i, scan.get(2))));
            of.add(new Point(
                    length(text, i, vehicle.get(0)), length(text, i, vehicle.get(1)), length(text, i, vehicle.get(2))));
        }
        return new Pairs(names, on, of);
    }

    private static double length(CsvText text, int row, int column) throws JobFileException {
        return text.number(row, column)
                * CsvText.unit(text.heads().get(column)).orElse(FileUnit.MM).mm();
    }

    private static List<Integer> columns(CsvText text, List<String> heads, List<String> wanted)
            throws JobFileException {
        List<Integer> all = new ArrayList<>();
        for (String w : wanted) {
            int at = -1;
            for (int i = 0; i < heads.size(); i++) {
                if (heads.get(i).equals(w) || heads.get(i).matches(w + "_(mm|cm|m|in|inch)")) {
                    at = i;
                }
            }
            if (at < 0) {
                throw new JobFileException(text.file() + ": a column \"" + w
                        + "\" is missing. It should name scan_x, scan_y, scan_z and x_mm, y_mm, z_mm.");
            }
            all.add(at);
        }
        return all;
    }
}

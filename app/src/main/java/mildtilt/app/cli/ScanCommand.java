package mildtilt.app.cli;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.io.csv.PairsCsv;
import mildtilt.io.scan.ScanFile;
import mildtilt.report.ScanTable;
import mildtilt.report.Table;
import mildtilt.scan.ScanMeasure;
import mildtilt.scan.ScanShape;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What a scan holds, and what can be measured on it. */
@Command(
        name = "scan",
        mixinStandardHelpOptions = true,
        description =
                "Tells what a scan holds; with --tube, --ball, --flat, --hole, --rim or --box measures what lies about "
                        + "a place "
                        + "on it. Places are in the scan's own numbers.")
final class ScanCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "an STL, OBJ, PLY or GLB file")
    private Path file = Path.of("");

    @Option(names = "--in", paramLabel = "UNIT", description = "the scan's numbers are: ${COMPLETION-CANDIDATES}")
    private Optional<FileUnit> in = Optional.empty();

    @Option(names = "--tube", paramLabel = "X,Y,Z", description = "a place on a tube or a round bar")
    private List<String> tubes = new ArrayList<>();

    @Option(names = "--ball", paramLabel = "X,Y,Z", description = "a place on a ball")
    private List<String> balls = new ArrayList<>();

    @Option(names = "--flat", paramLabel = "X,Y,Z", description = "a place on a flat")
    private List<String> flats = new ArrayList<>();

    @Option(names = "--hole", paramLabel = "X,Y,Z", description = "a place within a round hole in a flat")
    private List<String> holes = new ArrayList<>();

    @Option(names = "--rim", paramLabel = "X,Y,Z", description = "a place on a rim or anything else that spins")
    private List<String> rims = new ArrayList<>();

    @Option(names = "--box", paramLabel = "X,Y,Z", description = "a place on a side of a box")
    private List<String> boxes = new ArrayList<>();

    @Option(
            names = "--reach",
            paramLabel = "MM",
            description = "how far round a place to look; if left out 80 mm, and 450 for rims and boxes")
    private Optional<Double> reach = Optional.empty();

    @Option(
            names = "--pairs",
            paramLabel = "CSV",
            description = "points known on the scan and on the vehicle, to measure in the vehicle's axes")
    private Optional<Path> pairs = Optional.empty();

    @Option(
            names = "--floor",
            paramLabel = "X,Y,Z",
            description = "a place on the floor: with it two pairs are enough, such as the wheel centres")
    private Optional<String> floor = Optional.empty();

    @Mixin
    private TableOutput output = new TableOutput();

    @Override
    public Integer call() {
        try {
            ScanFile.Read read = ScanFile.read(file);
            boolean measures = !wanted().isEmpty();
            if (!measures && pairs.isEmpty()) {
                Main.print(holds(read));
                return 0;
            }
            return measure(read);
        } catch (JobFileException | ImpossibleGeometryException e) {
            System.err.println(e.getMessage());
            return Main.BAD_INPUT;
        }
    }

    private static String holds(ScanFile.Read read) {
        StringBuilder said =
                new StringBuilder(String.format(Locale.ROOT, "%s: %d triangles%n", read.file(), read.count()));
        double[] s = read.size();
        for (FileUnit u : FileUnit.values()) {
            said.append(String.format(
                    Locale.ROOT,
                    "  if in %s: %.1f x %.1f x %.1f mm%n",
                    u.label(),
                    s[0] * u.mm(),
                    s[1] * u.mm(),
                    s[2] * u.mm()));
        }
        read.warnings().forEach(w -> said.append("  ").append(w).append(System.lineSeparator()));
        return said.toString();
    }

    private int measure(ScanFile.Read read) throws JobFileException {
        if (in.isEmpty() && read.file().toLowerCase(Locale.ROOT).matches(".*\\.gl(b|tf)")) {
            in = Optional.of(FileUnit.M);
        }
        if (in.isEmpty()) {
            throw new ImpossibleGeometryException(
                    "Say which unit the scan's numbers are in, such as --in MM: " + read.file() + " does not.");
        }
        if (reach.filter(r -> !(r >= 5 && r <= 2000)).isPresent()) {
            throw new ImpossibleGeometryException("How far round a place to look is 5 to 2000 mm.");
        }
        double mm = in.get().mm();
        ScanMeasure on = new ScanMeasure(read.mesh(in.get()));
        List<Table> tables = new ArrayList<>();
        RigidMove to = RigidMove.NONE;
        if (pairs.isPresent()) {
            PairsCsv.Pairs p = PairsCsv.read(pairs.get());
            if (floor.isPresent()) {
                Point at = place(floor.get(), mm);
                ScanShape.Flat flat = on.flat(at, reach.orElse(ScanMeasure.USUAL_REACH))
                        .orElseThrow(() -> new ImpossibleGeometryException("No floor is found at " + floor.get()
                                + ": give a place on it that is bare, or look less far round it with --reach."));
                to = p.move(mm, flat);
            } else {
                to = p.move(mm);
            }
            tables.add(ScanTable.pairs(p.names(), p.apart(to, mm)));
        }
        List<String> names = new ArrayList<>();
        List<ScanShape> shapes = new ArrayList<>();
        boolean missed = false;
        for (Wanted w : wanted()) {
            Point at = place(w.at, mm);
            double round = reach.orElse(
                    w.what.equals("rim") || w.what.equals("box") ? ScanMeasure.WIDE_REACH : ScanMeasure.USUAL_REACH);
            Optional<? extends ScanShape> found =
                    switch (w.what) {
                        case "tube" -> on.tube(at, round);
                        case "ball" -> on.ball(at, round);
                        case "flat" -> on.flat(at, round);
                        case "rim" -> on.rim(at, round);
                        case "box" -> on.box(at, round);
                        default -> on.hole(at, round);
                    };
            if (found.isPresent()) {
                names.add(w.what + " at " + w.at);
                shapes.add(found.get().moved(to));
            } else {
                missed = true;
                System.err.println("No " + w.what + " is found at " + w.at
                        + ": press nearer to its middle, or look less far round it with --reach.");
            }
        }
        if (!shapes.isEmpty()) {
            tables.add(ScanTable.of(names, shapes));
        }
        if (!tables.isEmpty()) {
            output.print(tables);
        }
        return missed ? Main.NOTHING_FOUND : 0;
    }

    private record Wanted(String what, String at) {}

    private List<Wanted> wanted() {
        List<Wanted> all = new ArrayList<>();
        tubes.forEach(t -> all.add(new Wanted("tube", t)));
        balls.forEach(t -> all.add(new Wanted("ball", t)));
        flats.forEach(t -> all.add(new Wanted("flat", t)));
        holes.forEach(t -> all.add(new Wanted("hole", t)));
        rims.forEach(t -> all.add(new Wanted("rim", t)));
        boxes.forEach(t -> all.add(new Wanted("box", t)));
        return all;
    }

    private static Point place(String text, double mm) {
        String[] parts = text.split(",", -1);
        try {
            if (parts.length == 3) {
                return new Point(
                        mm * Double.parseDouble(parts[0]),
                        mm * Double.parseDouble(parts[1]),
                        mm * Double.parseDouble(parts[2]));
            }
        } catch (NumberFormatException e) {
            // Told below, together with too few or too many.
        }
        throw new ImpossibleGeometryException("A place is three numbers, such as 120,-40,15, not \"" + text + "\".");
    }
}

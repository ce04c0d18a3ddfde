package mildtilt.app.cli;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.clearance.FreeSpace;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.json.RoomJson;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.report.AnswerTables;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Where an obstacle, or something new, can go. */
@Command(
        name = "room",
        mixinStandardHelpOptions = true,
        description = "Says how far obstacles on the frame may go each way, and the nearest free places of those that "
                + "are too near, as JSON.")
final class RoomCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "FILE", description = "a job file")
    private Path file = Path.of("");

    @Parameters(
            index = "1",
            arity = "0..1",
            paramLabel = "OBSTACLE",
            description = "one of its obstacles, by id or name (all of them)")
    private Optional<String> which = Optional.empty();

    @Option(names = "--at", paramLabel = "X,Y,Z", description = "ask of something new instead, its middle there, mm")
    private Optional<String> at = Optional.empty();

    @Option(names = "--box", paramLabel = "LONG,WIDE,HIGH", description = "it is a box, mm")
    private Optional<String> box = Optional.empty();

    @Option(names = "--ball", paramLabel = "MM", description = "it is a ball of that diameter")
    private Optional<String> ball = Optional.empty();

    @Option(names = "--bar", paramLabel = "X,Y,Z,MM", description = "it is a bar so long, and so thick")
    private Optional<String> bar = Optional.empty();

    @Option(names = "--gap", paramLabel = "MM", description = "gap wanted to it (12)")
    private double gap = Obstacle.USUAL_GAP;

    @Mixin
    private PlainOutput output = new PlainOutput();

    @Override
    public Integer call() {
        try {
            Job job = JobFile.open(file);
            List<Obstacle> asked = new ArrayList<>();
            if (at.isPresent()) {
                Obstacle thing = fresh(numbers("--at", at.get(), 3));
                job = job.editSurroundings(s -> s.with(thing.withName(s.free(thing.name()))));
                asked.add(job.surroundings().obstacles().getLast());
            } else {
                job.surroundings().obstacles().stream()
                        .filter(o -> which.map(
                                        w -> o.id().text().equals(w) || o.name().equals(w))
                                .orElse(FreeSpace.canBeAsked(o)))
                        .forEach(asked::add);
                refuseWrong(asked);
            }
            Analysis analysis = Analysis.of(job);
            Map<Obstacle, FreeSpace> rooms = new LinkedHashMap<>();
            for (Obstacle o : asked) {
                rooms.put(
                        o,
                        analysis.freeSpace(o.id())
                                .orElseThrow(() -> new JobFileException(file.getFileName()
                                        + ": the wheels can't be assembled, so nothing is known "
                                        + "of the space they leave.")));
            }
            if (output.plain()) {
                output.print(AnswerTables.rooms(rooms));
            } else {
                Main.print(RoomJson.write(rooms));
            }
            return 0;
        } catch (JobFileException | ImpossibleGeometryException e) {
            System.err.println(e.getMessage());
            return Main.BAD_INPUT;
        }
    }

    private void refuseWrong(List<Obstacle> asked) throws JobFileException {
        if (asked.isEmpty()) {
            throw new JobFileException(file.getFileName()
                    + (which.isPresent()
                            ? ": there is no obstacle \"" + which.get() + "\"."
                            : ": there is no obstacle on the frame. Ask of something new with --at and "
                                    + "--box, --ball or --bar."));
        }
        for (Obstacle o : asked) {
            if (!FreeSpace.canBeAsked(o)) {
                throw new JobFileException("\"" + o.name()
                        + "\" moves with what it is fixed to; only what is on the frame as a whole can be "
                        + "put elsewhere.");
            }
        }
    }

    private Obstacle fresh(double[] middle) throws JobFileException {
        Point p = new Point(middle[0], middle[1], middle[2]);
        Shape shape;
        if (Stream.of(box, ball, bar).filter(Optional::isPresent).count() != 1) {
            throw new JobFileException("With --at say what is put there: one of --box, --ball and --bar.");
        } else if (box.isPresent()) {
            double[] n = numbers("--box", box.get(), 3);
            shape = new Shape.Box(p, n[0], n[1], n[2]);
        } else if (ball.isPresent()) {
            shape = new Shape.Sphere(p, numbers("--ball", ball.get(), 1)[0]);
        } else {
            double[] n = numbers("--bar", bar.orElseThrow(), 4);
            Vector half = new Vector(n[0] / 2, n[1] / 2, n[2] / 2);
            shape = new Shape.Cylinder(p.plus(half.negated()), p.plus(half), n[3]);
        }
        return Obstacle.fixed("new", shape).withGap(gap);
    }

    private static double[] numbers(String option, String typed, int count) throws JobFileException {
        String[] parts = typed.split(",", -1);
        double[] n = new double[parts.length];
        try {
            for (int i = 0; i < n.length; i++) {
                n[i] = Double.parseDouble(parts[i].strip());
            }
        } catch (NumberFormatException e) {
            n = new double[0];
        }
        if (n.length != count || !Arrays.stream(n).allMatch(v -> Math.abs(v) < 1e5)) {
            throw new JobFileException(
                    option + " needs " + count + (count == 1 ? " number" : " numbers, with commas between them")
                            + ", in mm; it was given \"" + typed + "\".");
        }
        return n;
    }
}

package mildtilt.io.csv;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;

/**
 * Points from a CSV: a name and three coordinates a line. Which column is which is guessed from the heads and shown
 * before anything is imported.
 */
public final class PointsCsv {

    private static final int MOST_ROWS = 150;
    private static final long MOST_BYTES = 1 << 20;

    private PointsCsv() {}

    /** A list as read, its cells as in the file. */
    public static final class Read {
        private final CsvText text;

        private Read(CsvText text) {
            this.text = text;
        }

        public String file() {
            return text.file();
        }

        public List<String> heads() {
            return text.heads();
        }

        public List<List<String>> rows() {
            return text.rows();
        }
    }

    /**
     * Which column is which, by its place.
     *
     * @param unit of a column whose heading names none
     * @param spread how well all were measured, ± mm
     */
    public record Match(int name, int x, int y, int z, FileUnit unit, double spread) {}

    /** @throws JobFileException if it is no CSV with a head and at least four columns */
    public static Read read(Path file) throws JobFileException {
        CsvText text = CsvText.read(file, "a list of points", MOST_ROWS, MOST_BYTES);
        if (text.rows().isEmpty() || text.heads().size() < 4) {
            throw new JobFileException(text.file()
                    + ": the first line must name at least four columns (a name, x, y, z), and a point must follow.");
        }
        return new Read(text);
    }

    /** What the heads look like: "x_mm", "Y (in)", "height". */
    public static Match guess(Read read) {
        List<String> names = read.heads().stream().map(CsvText::name).toList();
        int x = find(names, h -> h.matches("x(_.*)?|forward.*"), 1);
        int y = find(names, h -> h.matches("y(_.*)?|left.*"), 2);
        int z = find(names, h -> h.matches("z(_.*)?|up(_.*)?|height.*"), 3);
        int name = find(names, h -> h.matches("name.*|point.*|label.*|mark.*"), 0);
        return new Match(name, x, y, z, FileUnit.MM, 1.5);
    }

    /**
     * The unit that a column's heading names; empty if it names none.
     *
     * @throws JobFileException if it names one that can't be read
     */
    public static Optional<FileUnit> unitOf(Read read, int column) throws JobFileException {
        return CsvText.unit(read.heads().get(column));
    }

    private static int find(List<String> heads, Predicate<String> like, int otherwise) {
        for (int i = 0; i < heads.size(); i++) {
            if (like.test(heads.get(i))) {
                return i;
            }
        }
        return otherwise;
    }

    /**
     * The survey with these points in it, each as dropped to the floor grid with a height; one of the same name is
     * measured anew.
     *
     * @param job whose points are found by what they are called; any other name is a mark's
     *
     * @throws JobFileException naming the line that can't be taken
     */
    public static Survey take(Job job, Read read, Match match) throws JobFileException {
        Survey all = job.survey();
        Map<String, Id> called = JobPoints.idsByLabel(job);
        for (int i = 0; i < read.rows().size(); i++) {
            String name = read.text.cell(i, match.name());
            if (name.isEmpty()) {
                throw new JobFileException(read.text.where(i) + ": the point has no name.");
            }
            double x = length(read, i, match.x(), match);
            double y = length(read, i, match.y(), match);
            double z = length(read, i, match.z(), match);
            try {
                Survey before = all;
                Id id = called.computeIfAbsent(name, _ -> before.nextMark());
                all = all.with(new SurveyPoint(
                        id,
                        name,
                        List.of(new Reading.Plumb(x, y, match.spread()), new Reading.Height(z, match.spread()))));
            } catch (ImpossibleGeometryException e) {
                throw new JobFileException(read.text.where(i) + ": " + e.getMessage());
            }
        }
        return all;
    }

    private static double length(Read read, int row, int column, Match match) throws JobFileException {
        return read.text.number(row, column)
                * unitOf(read, column).orElse(match.unit()).mm();
    }
}

package mildtilt.report;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.units.Quantity;

/**
 * @param file its name as a file, without ending
 * @param keys the columns' names in a CSV, with their units
 * @param heads the columns' names for people
 */
public record Table(String file, String title, List<String> keys, List<String> heads, List<List<Cell>> rows) {

    public Table {
        rows = rows.stream().map(List::copyOf).toList();
        if (keys.size() != heads.size() || rows.stream().anyMatch(r -> r.size() != heads.size())) {
            throw new IllegalArgumentException("The rows of \"" + title + "\" are not as wide as its head.");
        }
    }

    /** Whether every cell of a column that says anything is a figure. */
    public boolean figures(int column) {
        return !rows.isEmpty()
                && IntStream.range(0, rows.size())
                        .mapToObj(r -> rows.get(r).get(column))
                        .allMatch(c -> c.figure()
                                || c instanceof Cell.Words w && w.words().isEmpty());
    }

    /** The same without a column. @param key of it */
    public Table without(String key) {
        int[] kept = IntStream.range(0, keys.size())
                .filter(i -> !keys.get(i).equals(key))
                .toArray();
        return new Table(
                file,
                title,
                at(keys, kept),
                at(heads, kept),
                rows.stream().map(r -> at(r, kept)).toList());
    }

    private static <T> List<T> at(List<T> all, int... places) {
        return Arrays.stream(places).mapToObj(all::get).toList();
    }

    /** Every point of a job, as its views name it. */
    public static Table ofPoints(Job job) {
        List<List<Cell>> rows = new ArrayList<>();
        for (PointId id : JobPoints.of(job)) {
            Point at = JobPoints.position(job, id);
            rows.add(List.of(
                    Cell.of(JobPoints.label(job, id)),
                    Cell.of(Quantity.length(at.x())),
                    Cell.of(Quantity.length(at.y())),
                    Cell.of(Quantity.length(at.z()))));
        }
        return new Table(
                "points",
                "Points",
                List.of("point", "x_mm", "y_mm", "z_mm"),
                List.of("Point", "x, forward", "y, left", "z, up"),
                rows);
    }

    /** What was done to the plan, and why. */
    public static Table ofChanges(Job job) {
        return new Table(
                "changes",
                "Changes to the plan",
                List.of("when", "what", "why"),
                List.of("When", "What was done", "Why"),
                job.changes().stream()
                        .map(c -> List.of(
                                Cell.of(c.at().withNano(0).toString().replace('T', ' ')),
                                Cell.of(c.what()),
                                Cell.of(c.why())))
                        .toList());
    }
}

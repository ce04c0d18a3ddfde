package mildtilt.io.csv;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.describe.RefusalText;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.steer.position.SteeringInput;

/** Positions of steering wheel and road wheels from a CSV, one a line. */
public final class PositionsCsv {

    /** Each takes a fifth of a millisecond to work out, and half a kilobyte to hold. */
    private static final int MOST = 1_000_000;

    private static final long MOST_BYTES = 64L << 20;
    private static final double MOST_DEG = 3600;
    private static final double MOST_TRAVEL = 2000;

    private PositionsCsv() {}

    /**
     * From the columns {@code steering_wheel_deg}, {@code travel_left_mm} and {@code travel_right_mm}, in any order; a
     * travel may be in cm, m or in.
     *
     * @throws JobFileException naming the line that can't be read
     */
    public static List<SteeringInput> read(Path file) throws JobFileException {
        CsvText text = CsvText.read(file, "a list of positions", MOST, MOST_BYTES);
        int steer = column(text, "steering_wheel_deg", "steering_wheel_deg");
        int left = column(text, "travel_left", "travel_left_mm");
        int right = column(text, "travel_right", "travel_right_mm");
        double leftUnit = unit(text, left);
        double rightUnit = unit(text, right);
        List<SteeringInput> all = new ArrayList<>();
        for (int i = 0; i < text.rows().size(); i++) {
            all.add(new SteeringInput(
                    within(text, i, steer, text.number(i, steer), MOST_DEG, "°"),
                    within(text, i, left, text.number(i, left) * leftUnit, MOST_TRAVEL, " mm"),
                    within(text, i, right, text.number(i, right) * rightUnit, MOST_TRAVEL, " mm")));
        }
        return all;
    }

    private static int column(CsvText text, String name, String asWritten) throws JobFileException {
        for (int i = 0; i < text.heads().size(); i++) {
            if (CsvText.name(text.heads().get(i)).equals(name)) {
                return i;
            }
        }
        throw new JobFileException(text.file() + ": the first line must name a column \"" + asWritten + "\"; it names "
                + RefusalText.cut(String.join(", ", text.heads())) + ".");
    }

    private static double unit(CsvText text, int column) throws JobFileException {
        Optional<FileUnit> unit = CsvText.unit(text.heads().get(column));
        if (unit.isEmpty()) {
            throw new JobFileException(text.file() + ": the heading \""
                    + RefusalText.cut(text.heads().get(column))
                    + "\" names no unit. Write travel_left_mm, or _cm, _m or _in.");
        }
        return unit.get().mm();
    }

    private static double within(CsvText text, int row, int column, double v, double most, String unit)
            throws JobFileException {
        if (Math.abs(v) > most) {
            throw new JobFileException(
                    text.where(row) + ": " + text.heads().get(column) + " is " + RefusalText.cut(text.cell(row, column))
                            + "; it can be -" + Math.round(most) + " to " + Math.round(most) + unit + ".");
        }
        return v;
    }
}

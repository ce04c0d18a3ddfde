package mildtilt.app.piece;

import java.util.function.BiFunction;
import mildtilt.job.Job;

/**
 * One size of a piece that can be typed.
 *
 * @param meaning how it is counted, where the label alone does not say; may be empty
 * @param value mm, degrees or a plain number, as the measure says
 * @param set the job with the size changed
 */
record PieceField(String label, String meaning, Measure measure, double value, BiFunction<Job, Double, Job> set) {

    enum Measure {
        LENGTH,
        ANGLE,
        NUMBER
    }
}

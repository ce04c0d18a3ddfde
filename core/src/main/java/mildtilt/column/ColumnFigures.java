package mildtilt.column;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Everything worked out of a column by itself.
 *
 * @param jointAnglesDeg operating angle of each joint
 * @param shaftLengths between centres, mm
 * @param cutLengths of every shaft, whether cut or used as it comes, mm
 * @param turning how it turns; empty if a joint stands so far over that it can't
 */
public record ColumnFigures(
        List<Double> jointAnglesDeg,
        List<Double> shaftLengths,
        List<Double> cutLengths,
        Optional<Turning> turning) {

    /**
     * @param transfer output against input
     * @param best the least ripple with each fork set as its shaft allows
     * @param bestEach index i: the best for the shaft between joints i and i+1 alone, the others as they are
     */
    public record Turning(Transfer transfer, BestClocking best, List<BestClocking> bestEach) {}

    public static ColumnFigures of(Column column) {
        ColumnTrain train = new ColumnTrain(column);
        int joints = column.joints().size();
        int shafts = column.shafts().size();
        return new ColumnFigures(
                IntStream.range(0, joints).mapToObj(train::jointAngleDeg).toList(),
                IntStream.range(0, shafts).mapToObj(column::length).toList(),
                IntStream.range(0, shafts).mapToObj(column::cutLength).toList(),
                train.transfer().map(t -> new Turning(t, BestClocking.asMade(train),
                        IntStream.range(1, Math.max(1, joints))
                                .mapToObj(s -> BestClocking.ofOne(train, s)).toList())));
    }
}

package mildtilt.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.TestColumns;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class UnrolledColumnTest {

    private static double apart(double a, double b) {
        return Math.abs(Math.IEEEremainder(a - b, 180));
    }

    @RepeatedTest(6)
    void forksStandAsClockedAndTurnWithTheHands(RepetitionInfo rep) {
        Column c = TestColumns.random(new Random(rep.getCurrentRepetition()), 1 + rep.getCurrentRepetition());
        ColumnTrain train = new ColumnTrain(c);
        for (double hands : new double[] {0, 35, -120}) {
            UnrolledColumn u = UnrolledColumn.of(train, hands);
            assertThat(u.forks()).hasSize(2 * c.joints().size());
            double sum = 0;
            for (int s = 0; s < c.shafts().size(); s++) {
                sum += c.length(s);
                assertThat(u.centres().get(s + 1)).isCloseTo(sum, within(1e-9));
            }
            for (int s = 1; s < c.joints().size(); s++) {
                // The two forks of a shaft stand apart by its clocking, clockwise, wherever the hands are.
                double wheelEnd = u.forks().get(2 * s - 1).clockDeg();
                double gearEnd = u.forks().get(2 * s).clockDeg();
                assertThat(u.forks().get(2 * s).atGearEnd()).isTrue();
                assertThat(apart(gearEnd - wheelEnd, c.shafts().get(s).clockingDeg()))
                        .isCloseTo(0, within(1e-7));
            }
        }
        // A left turn is anticlockwise seen from the driver: the first fork goes with the wheel.
        double straight = UnrolledColumn.of(train, 0).forks().getFirst().clockDeg();
        assertThat(apart(UnrolledColumn.of(train, 35).forks().getFirst().clockDeg(), straight - 35))
                .isCloseTo(0, within(1e-7));
    }

    @Test
    void straightColumnForksArePerpendicular() {
        UnrolledColumn u = UnrolledColumn.of(new ColumnTrain(TestColumns.straight(2, 300)), 20);
        assertThat(apart(u.forks().get(1).clockDeg(), u.forks().get(0).clockDeg() + 90))
                .isCloseTo(0, within(1e-7));
        assertThat(UnrolledColumn.of(new ColumnTrain(TestColumns.straight(0, 300)), 0)
                        .forks())
                .isEmpty();
    }
}

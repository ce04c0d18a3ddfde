package mildtilt.column;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class ColumnTrainTest {

    /** Rotation of the last fork about its shaft, followed step by step round the turn from the pins alone. */
    private static double followedOutput(ColumnTrain train, double input, int steps) {
        int last = train.column().joints().size();
        Vector axis = train.column().axis(last).vector();
        Vector before = train.pinsAt(0).getLast().gearSide().vector();
        double turned = 0;
        for (int i = 1; i <= steps; i++) {
            Vector now = train.pinsAt(input * i / steps).getLast().gearSide().vector();
            turned += Math.atan2(axis.dot(before.cross(now)), before.dot(now));
            before = now;
        }
        return turned;
    }

    @RepeatedTest(12)
    void closedFormAgreesWithThePinsOfTheCrosses(RepetitionInfo rep) {
        Random r = new Random(rep.getCurrentRepetition());
        ColumnTrain train = new ColumnTrain(TestColumns.random(r, 1 + rep.getCurrentRepetition() % 6));
        Transfer t = train.transfer().orElseThrow();
        for (int i = 0; i < 6; i++) {
            double input = (r.nextDouble() - 0.5) * 14;
            assertThat(t.outputAt(input)).isCloseTo(followedOutput(train, input, 400), within(1e-9));
            assertThat(t.inputFor(t.outputAt(input))).isCloseTo(input, within(1e-9));
            double h = 1e-5;
            assertThat((t.outputAt(input + h) - t.outputAt(input - h)) / (2 * h))
                    .isCloseTo(t.ratioAt(input), within(1e-6));
            assertThat(t.ratioAt(input)).isBetween(t.ratioMin() - 1e-12, t.ratioMax() + 1e-12);
        }
        // The cross itself: its two pins are square to each other and to their shafts.
        train.pinsAt(1.1).forEach(p -> assertThat(p.wheelSide().dot(p.gearSide().vector()))
                .isCloseTo(0, within(1e-12)));
    }

    @Test
    void limitingCasesMatchClosedForm() {
        // Straight on: even, whatever the clocking.
        ColumnTrain straight = new ColumnTrain(TestColumns.through(
                List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(200, 0, 0), new Point(300, 0, 0)),
                new double[] {37}));
        assertThat(straight.transfer().orElseThrow().ripplePct()).isZero();
        assertThat(straight.transfer().orElseThrow().outputAt(1.3)).isCloseTo(1.3, within(1e-12));
        // Two equal joints in one plane, forks in line: even; forks crossed: as one joint of cos² .
        List<Point> offset =
                List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(200, 0, -50), new Point(300, 0, -50));
        double cos = Math.cos(Math.atan(0.5));
        assertThat(new ColumnTrain(TestColumns.through(offset, new double[] {0}))
                        .transfer()
                        .orElseThrow()
                        .ripplePct())
                .isCloseTo(0, within(1e-9));
        assertThat(new ColumnTrain(TestColumns.through(offset, new double[] {90}))
                        .transfer()
                        .orElseThrow()
                        .ratioMin())
                .isCloseTo(cos * cos, within(1e-12));
        // A double joint is even at any angle.
        assertThat(new ColumnTrain(TestColumns.through(
                                List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(100, 80, -60)),
                                new double[0],
                                true))
                        .transfer()
                        .orElseThrow()
                        .ripplePct())
                .isZero();
        // A single joint at a right angle is a lock, said so and not NaN.
        ColumnTrain locked = new ColumnTrain(TestColumns.through(
                List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(100, 80, 0)), new double[0]));
        assertThat(locked.transfer()).isEmpty();
        assertThat(locked.lockedJoint()).hasValue(0);
        // No joints at all.
        assertThat(new ColumnTrain(TestColumns.through(List.of(new Point(0, 0, 0), new Point(9, 0, 0)), new double[0]))
                        .transfer()
                        .orElseThrow()
                        .outputAt(2))
                .isEqualTo(2);
    }

    @Test
    void cutLengthSubtractsForksAndAddsEngagement() {
        Joint upper = Joint.single(
                Id.Kind.JOINT.first(),
                "u",
                new Point(100, 0, 0),
                35,
                new YokeDimensions(10, 5),
                new YokeDimensions(42, 28));
        Joint lower = Joint.single(
                Id.Kind.JOINT.number(2),
                "l",
                new Point(500, 0, 0),
                35,
                new YokeDimensions(40, 26),
                new YokeDimensions(1, 1));
        Shaft s = Shaft.round(Id.Kind.SHAFT.first(), "s", 19.05, 0, true);
        Column c = new Column(
                new SteeringWheel(360, new Point(0, 0, 0), new YokeDimensions(30, 20)),
                List.of(s, s.withId(Id.Kind.SHAFT.number(2)), s.withId(Id.Kind.SHAFT.number(3))),
                List.of(upper, lower),
                new GearInput(new Point(700, 0, 0), new YokeDimensions(8, 8)));
        assertThat(c.cutLength(0)).isEqualTo(100 - 10 - 5);
        assertThat(c.cutLength(1)).isEqualTo(400 - 14 - 14);
        assertThat(c.cutLength(2)).isEqualTo(200);
    }

    @Test
    void impossibleColumnsAreRefusedNamingThePart() {
        assertThatThrownBy(() -> TestColumns.through(
                        List.of(new Point(0, 0, 0), new Point(0, 0, 0), new Point(1, 0, 0)), new double[0]))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("\"shaft 0\" has no length");
        assertThatThrownBy(() -> new Point(Double.NaN, 0, 0)).isInstanceOf(ImpossibleGeometryException.class);
    }
}

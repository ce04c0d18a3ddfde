package mildtilt.column;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mildtilt.column.ForkSetting.Fixed;
import mildtilt.column.ForkSetting.Stepped;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.phasing.BestClocking;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class ColumnTrainTest {

    private static Column column(List<Point> points, double[] clocking, boolean... doubles) {
        int joints = points.size() - 2;
        List<Shaft> shafts = new ArrayList<>();
        List<Joint> all = new ArrayList<>();
        for (int i = 0; i <= joints; i++) {
            shafts.add(Shaft.round("shaft " + i, 20, i > 0 && i < joints ? clocking[i - 1] : 0, true));
        }
        for (int i = 0; i < joints; i++) {
            all.add(i < doubles.length && doubles[i]
                    ? new Joint("double " + i, new JointKind.Double(true), points.get(i + 1), 90, ForkFit.NONE, ForkFit.NONE)
                    : Joint.single("joint " + i, points.get(i + 1), 35, ForkFit.NONE, ForkFit.NONE));
        }
        return new Column(new SteeringWheel(360, points.getFirst(), ForkFit.NONE), shafts, all, new GearInput(points.getLast(), ForkFit.NONE));
    }

    /** A path that wanders forward and down, with joints between nothing and some 60 degrees. */
    private static Column random(Random r, int joints) {
        List<Point> points = new ArrayList<>(List.of(new Point(-1000, 300, 900)));
        for (int i = 0; i <= joints; i++) {
            Point p = points.getLast();
            points.add(new Point(p.x() + 150 + 100 * r.nextDouble(), p.y() + 240 * (r.nextDouble() - 0.5),
                    p.z() - 260 * r.nextDouble()));
        }
        double[] clocking = r.doubles(Math.max(0, joints - 1), -90, 90).toArray();
        return column(points, clocking);
    }

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
        ColumnTrain train = new ColumnTrain(random(r, 1 + rep.getCurrentRepetition() % 6));
        Transfer t = train.transfer().orElseThrow();
        for (int i = 0; i < 6; i++) {
            double input = (r.nextDouble() - 0.5) * 14;
            assertThat(t.outputAt(input)).isCloseTo(followedOutput(train, input, 400), within(1e-9));
            assertThat(t.inputFor(t.outputAt(input))).isCloseTo(input, within(1e-9));
            double h = 1e-5;
            assertThat((t.outputAt(input + h) - t.outputAt(input - h)) / (2 * h)).isCloseTo(t.ratioAt(input), within(1e-6));
            assertThat(t.ratioAt(input)).isBetween(t.ratioMin() - 1e-12, t.ratioMax() + 1e-12);
        }
        // The cross itself: its two pins are square to each other and to their shafts.
        train.pinsAt(1.1).forEach(p -> assertThat(p.wheelSide().dot(p.gearSide().vector())).isCloseTo(0, within(1e-12)));
    }

    @RepeatedTest(20)
    void noOtherClockingBeatsTheClosedForm(RepetitionInfo rep) {
        Random r = new Random(100 + rep.getCurrentRepetition());
        int joints = 2 + rep.getCurrentRepetition() % 5;
        ColumnTrain train = new ColumnTrain(random(r, joints));
        BestClocking best = BestClocking.asMade(train);
        double[] rad = best.clockingDeg().stream().mapToDouble(Math::toRadians).toArray();
        assertThat(train.transfer(rad).ripplePct()).isCloseTo(best.ripplePct(), within(1e-6));
        for (int i = 0; i < 4000; i++) {
            double[] other = r.doubles(joints - 1, -Math.PI / 2, Math.PI / 2).toArray();
            assertThat(train.transfer(other).ripplePct()).isGreaterThanOrEqualTo(best.ripplePct() - 1e-7);
        }
        assertThat(best.clockingDeg()).allMatch(d -> d > -90 && d <= 90 + 1e-9);
    }

    @RepeatedTest(8)
    void bestOfOneShaftIsTheBestOverItsWholeTurn(RepetitionInfo rep) {
        Random r = new Random(200 + rep.getCurrentRepetition());
        ColumnTrain train = new ColumnTrain(random(r, 4));
        for (int shaft = 1; shaft <= 3; shaft++) {
            BestClocking best = BestClocking.ofOne(train, shaft);
            double[] c = train.clockings();
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < 1800; i++) {
                c[shaft - 1] = Math.PI * i / 1800;
                least = Math.min(least, train.transfer(c).ripplePct());
            }
            assertThat(best.ripplePct()).isLessThanOrEqualTo(least + 1e-9).isGreaterThan(least * 0.99 - 0.1);
            for (int other = 1; other <= 3; other++) {
                if (other != shaft) {
                    assertThat(best.clockingDeg().get(other - 1))
                            .isCloseTo(train.column().shafts().get(other).clockingDeg(), within(1e-9));
                }
            }
        }
    }

    @Test
    void manySplinedShaftsAreStillSetOnTheirSteps() {
        ColumnTrain train = new ColumnTrain(random(new Random(7), 8));
        BestClocking best = BestClocking.withAll(train, new Stepped(36));
        assertThat(best.proven()).isTrue();
        assertThat(best.clockingDeg()).hasSize(7).allMatch(d -> Math.abs(d / 10 - Math.rint(d / 10)) < 1e-9);
        assertThat(best.ripplePct()).isLessThan(train.transfer().orElseThrow().ripplePct()).isLessThan(12);
        assertThat(BestClocking.withAll(train, new Fixed()).ripplePct())
                .isCloseTo(train.transfer().orElseThrow().ripplePct(), within(1e-9));
    }

    @Test
    void limitingCases() {
        // Straight on: even, whatever the clocking.
        ColumnTrain straight = new ColumnTrain(column(List.of(
                new Point(0, 0, 0), new Point(100, 0, 0), new Point(200, 0, 0), new Point(300, 0, 0)),
                new double[] {37}));
        assertThat(straight.transfer().orElseThrow().ripplePct()).isZero();
        assertThat(straight.transfer().orElseThrow().outputAt(1.3)).isCloseTo(1.3, within(1e-12));
        // Two equal joints in one plane, forks in line: even; forks crossed: as one joint of cos² .
        List<Point> offset = List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(200, 0, -50), new Point(300, 0, -50));
        double cos = Math.cos(Math.atan(0.5));
        assertThat(new ColumnTrain(column(offset, new double[] {0})).transfer().orElseThrow().ripplePct())
                .isCloseTo(0, within(1e-9));
        assertThat(new ColumnTrain(column(offset, new double[] {90})).transfer().orElseThrow().ratioMin())
                .isCloseTo(cos * cos, within(1e-12));
        // A double joint is even at any angle.
        assertThat(new ColumnTrain(column(List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(100, 80, -60)),
                new double[0], true)).transfer().orElseThrow().ripplePct()).isZero();
        // A single joint at a right angle is a lock, said so and not NaN.
        ColumnTrain locked = new ColumnTrain(column(List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(100, 80, 0)),
                new double[0]));
        assertThat(locked.transfer()).isEmpty();
        assertThat(locked.lockedJoint()).hasValue(0);
        // No joints at all.
        assertThat(new ColumnTrain(column(List.of(new Point(0, 0, 0), new Point(9, 0, 0)), new double[0]))
                .transfer().orElseThrow().outputAt(2)).isEqualTo(2);
    }

    @Test
    void cutLengthTakesOffTheForksAndAddsTheEngagement() {
        Joint upper = Joint.single("u", new Point(100, 0, 0), 35, new ForkFit(10, 5), new ForkFit(42, 28));
        Joint lower = Joint.single("l", new Point(500, 0, 0), 35, new ForkFit(40, 26), new ForkFit(1, 1));
        Shaft s = Shaft.round("s", 19.05, 0, true);
        Column c = new Column(new SteeringWheel(360, new Point(0, 0, 0), new ForkFit(30, 20)), List.of(s, s, s), List.of(upper, lower),
                new GearInput(new Point(700, 0, 0), new ForkFit(8, 8)));
        assertThat(c.cutLength(0)).isEqualTo(100 - 10 - 5);
        assertThat(c.cutLength(1)).isEqualTo(400 - 14 - 14);
        assertThat(c.cutLength(2)).isEqualTo(200);
        assertThat(s.arcFor(90)).isCloseTo(Math.PI * 19.05 / 4, within(1e-12));
    }

    @Test
    void whatCannotBeIsRefusedWithTheNameOfThePart() {
        assertThatThrownBy(() -> column(List.of(new Point(0, 0, 0), new Point(0, 0, 0), new Point(1, 0, 0)), new double[0]))
                .isInstanceOf(ImpossibleGeometryException.class).hasMessageContaining("\"shaft 0\" has no length");
        assertThatThrownBy(() -> new Point(Double.NaN, 0, 0)).isInstanceOf(ImpossibleGeometryException.class);
    }
}

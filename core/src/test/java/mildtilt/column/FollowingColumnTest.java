package mildtilt.column;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import org.junit.jupiter.api.Test;

/** Columns whose gear goes with the axle. */
class FollowingColumnTest {

    /** Through the points, of single joints. */
    private static Column through(double firstFork, double[] clockings, Point... p) {
        List<Shaft> shafts = new ArrayList<>();
        List<Joint> joints = new ArrayList<>();
        for (int i = 0; i + 1 < p.length; i++) {
            Shaft s = Shaft.round(Id.Kind.SHAFT.number(i + 1), "Shaft " + i, 20, 0, true);
            shafts.add(i > 0 && i + 2 < p.length ? s.withClockingDeg(clockings[i - 1]) : s);
            if (i > 0) {
                joints.add(Joint.single(
                        Id.Kind.JOINT.number(i), "Joint " + i, p[i], 35, YokeDimensions.NONE, YokeDimensions.NONE));
            }
        }
        return new Column(
                        new SteeringWheel(360, p[0], YokeDimensions.NONE),
                        shafts,
                        joints,
                        new GearInput(p[p.length - 1], YokeDimensions.NONE))
                .withFirstForkDeg(firstFork);
    }

    private static double inputRad(Column c, RigidMove move, double wheel) {
        FollowingColumn f = new FollowingColumn(new ColumnTrain(c));
        return f.turning(new ColumnTrain(f.at(move)), move).outputAt(wheel);
    }

    /** By the pins of the crosses, against a mark on the gear's housing. */
    private static double inputByPins(Column c, RigidMove move, double wheel) {
        int last = c.joints().size() - 1;
        Direction input = c.axis(last + 1);
        Vector mark = input.anySquare().vector();
        double before = about(
                input.vector(),
                mark,
                new ColumnTrain(c).pinsAt(0).get(last).gearSide().vector());
        Column now = new FollowingColumn(new ColumnTrain(c)).at(move);
        double after = about(
                move.turned(input.vector()),
                move.turned(mark),
                new ColumnTrain(now).pinsAt(wheel).get(last).gearSide().vector());
        return Math.IEEEremainder(after - before, 2 * Math.PI);
    }

    private static double about(Vector axis, Vector from, Vector to) {
        return Math.atan2(axis.dot(from.cross(to)), from.dot(to));
    }

    private static Column bent(Random r) {
        return through(
                r.nextDouble() * 180,
                new double[] {r.nextDouble() * 180 - 90, r.nextDouble() * 180 - 90},
                new Point(-900, 320, 900),
                new Point(-500 + 40 * r.nextDouble(), 300, 780),
                new Point(-250, 260 + 60 * r.nextDouble(), 600),
                new Point(-60, 210, 400 + 50 * r.nextDouble()),
                new Point(20, 200, 330));
    }

    private static RigidMove move(Random r) {
        Axis pin = new Axis(new Point(0, 0, 380), Direction.along(1, 0.1 * r.nextDouble(), 0));
        return RigidMove.about(pin, Math.toRadians(24 * r.nextDouble() - 12))
                .then(RigidMove.by(new Vector(0, 20 * r.nextDouble() - 10, 120 * r.nextDouble() - 60)));
    }

    @Test
    void inputTurnsAsThePinsOfTheCrossesDo() {
        Random r = new Random(31);
        for (int n = 0; n < 300; n++) {
            Column c = bent(r);
            RigidMove move = move(r);
            double wheel = 6 * r.nextDouble() - 3;
            double off = inputRad(c, move, wheel) - inputByPins(c, move, wheel);
            assertThat(Math.IEEEremainder(off, 2 * Math.PI)).as("column " + n).isCloseTo(0, within(1e-9));
            // Never by whole turns, however far the wheel goes.
            assertThat(inputRad(c, move, wheel + 4 * Math.PI) - inputRad(c, move, wheel))
                    .isCloseTo(4 * Math.PI, within(1e-9));
        }
    }

    @Test
    void firstForkKeepsItsPlaceOnTheShaftAndForksTheirClock() {
        Random r = new Random(5);
        for (int n = 0; n < 50; n++) {
            Column c = through(
                    r.nextDouble() * 180,
                    new double[] {r.nextDouble() * 90},
                    new Point(-900, 320, 900),
                    new Point(-500, 300, 780),
                    new Point(-100, 240, 450 + 30 * r.nextDouble()),
                    new Point(0, 230, 380));
            Column moved = new FollowingColumn(new ColumnTrain(c)).at(move(r));
            Vector was = new ColumnTrain(c).pinsAt(0.3).getFirst().wheelSide().vector();
            Vector now =
                    new ColumnTrain(moved).pinsAt(0.3).getFirst().wheelSide().vector();
            assertThat(now.minus(was).norm()).isLessThan(1e-9);
            assertThat(new ColumnTrain(moved).clockings()).containsExactly(new ColumnTrain(c).clockings());
        }
    }

    /** Straight through the axle's pin: all of the roll is turned into steering. */
    @Test
    void straightColumnAlongThePinTurnsTheInputByTheWholeRoll() {
        Column c = through(
                0,
                new double[] {0},
                new Point(-900, 0, 400),
                new Point(-500, 0, 400),
                new Point(-100, 0, 400),
                new Point(0, 0, 400));
        double roll = Math.toRadians(11);
        RigidMove move = RigidMove.about(new Axis(new Point(0, 0, 400), Direction.along(1, 0, 0)), roll);
        for (double wheel : new double[] {0, 1.1, -2.7}) {
            assertThat(inputRad(c, move, wheel)).isCloseTo(wheel - roll, within(1e-12));
        }
    }

    /** Two equal bends in one plane and in phase, the gear only lifted: both shafts stay parallel, nothing is turned. */
    @Test
    void parallelShaftsInPhaseTurnNothingAsTheGearRises() {
        Column c = through(
                0,
                new double[] {0},
                new Point(-900, 200, 800),
                new Point(-600, 200, 800),
                new Point(-200, 200, 500),
                new Point(-100, 200, 500));
        for (double up : new double[] {-60, 25, 80}) {
            RigidMove move = RigidMove.by(new Vector(0, 0, up));
            for (double wheel : new double[] {0, 0.4, 2}) {
                assertThat(inputRad(c, move, wheel)).isCloseTo(wheel, within(1e-12));
            }
        }
    }

    @Test
    void jointsBeforeTheAxleStayAndThoseOnItGoAlong() {
        Column c = bent(new Random(8));
        RigidMove up = RigidMove.by(new Vector(0, 0, 50));
        Column moved = new FollowingColumn(new ColumnTrain(c)).at(up);
        assertThat(moved.joints().subList(0, 2)).isEqualTo(c.joints().subList(0, 2));
        assertThat(moved.joints().get(2).centre().z()
                        - c.joints().get(2).centre().z())
                .isCloseTo(50, within(1e-12));
        Column held = c.withBearings(List.of(Bearing.planned(
                Id.Kind.BEARING.first(), "Axle bearing", Bearing.Kind.FLANGE, Bearing.Mount.AXLE, 2, 40, 20)));
        assertThat(FollowingColumn.firstToFollow(held)).isEqualTo(1);
        Column lifted = new FollowingColumn(new ColumnTrain(held)).at(up);
        assertThat(lifted.length(2)).isCloseTo(c.length(2), within(1e-12));
        assertThat(lifted.length(1)).isNotCloseTo(c.length(1), within(1.0));
    }
}

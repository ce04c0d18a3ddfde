package mildtilt.obstacle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.obstacle.Driver.Pedals;
import org.junit.jupiter.api.Test;

/** Legs that pedal, and arms that reach. */
class DriverTest {

    private static final Driver PEDALLING = new Driver(new Point(-500, 0, 345), new Point(300, 0, 300), 430, 450, 160)
            .withPedals(Optional.of(new Pedals(new Point(110, 0, 350), 150, 160)));

    /** Hip to knee to foot keep their lengths all round; both feet are opposite each other. */
    @Test
    void pedallingLegsKeepTheirLengths() {
        for (double part = 0; part <= 1; part += 0.05) {
            for (Side side : Side.values()) {
                List<Point> at = PEDALLING.legPoints(side, part);
                Point knee = at.get(1);
                Point foot = at.get(2);
                // The bones lie in the upright plane of the knee; hip and foot may stand beside it.
                assertThat(Math.hypot(knee.x() + 500, knee.z() - 345)).isCloseTo(430, within(1e-9));
                assertThat(Math.hypot(foot.x() - knee.x(), foot.z() - knee.z())).isCloseTo(450, within(1e-9));
                assertThat(Math.hypot(foot.x() - 110, foot.z() - 350)).isCloseTo(150, within(1e-9));
                assertThat(foot.y()).isEqualTo(side.sign() * 80.0);
            }
            Point left = PEDALLING.legPoints(Side.LEFT, part).get(2);
            Point right = PEDALLING.legPoints(Side.RIGHT, part).get(2);
            assertThat(left.midwayTo(right).distanceTo(new Point(110, 0, 350))).isLessThan(1e-9);
        }
    }

    @Test
    void legsGoOnceRound() {
        List<Point> begin = PEDALLING.legPoints(Side.LEFT, 0);
        List<Point> end = PEDALLING.legPoints(Side.LEFT, 1);
        for (int i = 0; i < 3; i++) {
            assertThat(begin.get(i).distanceTo(end.get(i))).isLessThan(1e-9);
        }
    }

    @Test
    void upright30DegreesBackPutsTheShoulderWhereTheSineSays() {
        Driver d = new Driver(new Point(-500, 20, 300), new Point(200, 20, 200), 430, 450, 160).withLeanDeg(30);
        Point shoulder = d.shoulder(Side.LEFT);
        assertThat(shoulder.distanceTo(new Point(-500 - 235, 20 + 170, 300 + 470 * Math.sqrt(0.75))))
                .isLessThan(1e-9);
    }

    @Test
    void pedalsOutOfReachAreRefused() {
        assertThatThrownBy(() -> PEDALLING.withPedals(Optional.of(new Pedals(new Point(300, 0, 350), 150, 160))))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("do not reach right round the pedals");
        assertThatThrownBy(() -> PEDALLING.withPedals(Optional.of(new Pedals(new Point(110, 620, 350), 150, 160))))
                .as("far to the side")
                .hasMessageContaining("do not reach right round the pedals");
    }
}

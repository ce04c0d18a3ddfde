package mildtilt.obstacle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import org.junit.jupiter.api.Test;

/** Hoses against circles and lines by hand. */
class HoseLineTest {

    private static final Point A = new Point(0, 300, 500);

    private static TwoEnded.Hose hose(
            Point a, Optional<Direction> out, Point b, Optional<Direction> in, double length) {
        return new TwoEnded.Hose(
                new PartEnd(a, Carrier.FRAME, out.map(EndFit.Fitting::new)),
                new PartEnd(b, Carrier.FRAME, in.map(EndFit.Fitting::new)),
                10,
                length,
                20);
    }

    private static HoseLine free(Point b, double length) {
        return hose(A, Optional.empty(), b, Optional.empty(), length).line();
    }

    private static double length(List<Point> line) {
        double sum = 0;
        for (int i = 1; i < line.size(); i++) {
            sum += line.get(i - 1).distanceTo(line.get(i));
        }
        return sum;
    }

    @Test
    void hangsAsHalfACircleWhereItIsHalfACircleLong() {
        HoseLine line = free(A.plus(new Vector(200, 0, 0)), 100 * Math.PI);
        assertThat(line.leastRadius()).isCloseTo(100, within(1e-9));
        // Its lowest point is a radius below, midway.
        Point lowest = line.points().get(line.points().size() / 2);
        assertThat(lowest.distanceTo(A.plus(new Vector(100, 0, -100)))).isLessThan(1e-9);
    }

    @Test
    void aThirdOfACircleByHand() {
        // Over 120° the chord is √3 radii and the arc 2π/3.
        HoseLine line = free(A.plus(new Vector(0, -150 * Math.sqrt(3), 0)), 150 * 2 * Math.PI / 3);
        assertThat(line.leastRadius()).isCloseTo(150, within(1e-8));
    }

    @Test
    void ofExactLengthItIsStraight() {
        Point b = A.plus(new Vector(120, -160, 0));
        assertThat(free(b, 200).leastRadius()).isEqualTo(HoseLine.STRAIGHT_RADIUS);
        assertThat(length(free(b, 200).points())).isCloseTo(200, within(1e-9));
        assertThat(free(b, 200.001).leastRadius()).isBetween(10_000.0, 20_000.0);
        assertThat(length(free(b, 150).points())).as("too short").isCloseTo(200, within(1e-9));
        assertThat(free(b, 150).points())
                .as("one body, taut or not")
                .hasSameSizeAs(free(b, 300).points());
    }

    @Test
    void straightUpItBowsOutward() {
        HoseLine line = free(A.plus(new Vector(0, 0, 200)), 250);
        assertThat(line.points()).allSatisfy(p -> {
            assertThat(p.y()).isGreaterThanOrEqualTo(300 - 1e-9);
            assertThat(p.x()).isCloseTo(0, within(1e-9));
        });
    }

    @Test
    void fromFittingsItLeavesStraightAndIsAsLongAsItIs() {
        Random random = new Random(11);
        for (int i = 0; i < 200; i++) {
            Point b = A.plus(new Vector(
                    random.nextDouble(-300, 300), random.nextDouble(100, 300), random.nextDouble(-200, 200)));
            Direction out = Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
            Direction in = Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
            double length = A.distanceTo(b) * random.nextDouble(1.2, 2);
            for (boolean both : new boolean[] {true, false}) {
                TwoEnded.Hose h = hose(A, Optional.of(out), b, both ? Optional.of(in) : Optional.empty(), length);
                List<Point> line = h.line().points();
                // Seventeen points on a curve cut its corners a little.
                assertThat(length(line)).isBetween(length * 0.93, length * 1.0005);
                assertThat(line.get(1).minus(A).angleTo(out.vector()))
                        .as("%d", i)
                        .isLessThan(Math.toRadians(60));
                assertThat(line.getFirst()).isEqualTo(A);
                assertThat(line.getLast().distanceTo(b)).isLessThan(1e-9);
                assertThat(h.line().leastRadius())
                        .as("never wider than the arc between the same ends")
                        .isLessThanOrEqualTo(hose(A, Optional.empty(), b, Optional.empty(), length)
                                        .line()
                                        .leastRadius()
                                * 1.01);
            }
        }
    }

    @Test
    void aFittingOnADamperAndABallOnAHoseAreRefused() {
        PartEnd fitting = new PartEnd(A, Carrier.FRAME, Optional.of(new EndFit.Fitting(Vector.Z.direction())));
        PartEnd eye = new PartEnd(
                A.plus(new Vector(0, 0, 300)), Carrier.FRAME, Optional.of(new EndFit.Eye(Vector.X.direction(), 20)));
        assertThatThrownBy(() -> new TwoEnded.Damper(fitting, eye, 40, 200, 400))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage("A damper ends in an eye or a ball, not in a hose's fitting.");
        assertThatThrownBy(() -> new TwoEnded.Hose(fitting, eye, 12, 400, 40))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage("A hose ends in a fitting, not in an eye or a ball.");
        assertThatThrownBy(() -> new TwoEnded.Damper(PartEnd.on(Carrier.FRAME, A), eye, 40, 400, 400))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage("A damper must be longer pulled out than pushed together.");
    }
}

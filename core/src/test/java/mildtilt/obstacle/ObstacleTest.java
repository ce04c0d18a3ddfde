package mildtilt.obstacle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.solid.Convex;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;
import org.junit.jupiter.api.Test;

/** What is in the way: in a mirror, on its own way, and with legs. */
class ObstacleTest {

    private final Random random = new Random(17);

    private Point anyPoint() {
        return new Point(400 * random.nextGaussian(), 400 * random.nextGaussian(), 400 * random.nextGaussian());
    }

    private Direction anyDirection() {
        return Direction.along(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
    }

    private List<Shape> shapes() {
        List<Shape> all = new ArrayList<>();
        DemoJob.MARSH_CARRIER.job().surroundings().obstacles().forEach(o -> all.add(o.shape()));
        for (int i = 0; i < 20; i++) {
            all.add(new Shape.Box(
                    anyPoint(),
                    30 + 300 * random.nextDouble(),
                    30 + 80 * random.nextDouble(),
                    20 + 60 * random.nextDouble(),
                    180 * random.nextGaussian(),
                    80 * random.nextGaussian(),
                    180 * random.nextGaussian()));
            all.add(new Shape.Cylinder(anyPoint(), anyPoint(), 40));
            all.add(new Shape.Tube(List.of(anyPoint(), anyPoint(), anyPoint()), 25));
        }
        return all;
    }

    /** As far from a ball as the mirror image is from the ball's own. */
    @Test
    void mirroredShapeIsReflected() {
        for (Shape shape : shapes()) {
            Shape image = shape.mirrored();
            for (int i = 0; i < 6; i++) {
                Point ball = anyPoint();
                double gap = Gaps.between(shape.solid(), Solid.of(Convex.sphere(ball, 5)))
                        .mm();
                double imaged = Gaps.between(image.solid(), Solid.of(Convex.sphere(ball.mirrored(), 5)))
                        .mm();
                assertThat(imaged).as(shape.label()).isCloseTo(gap, within(gap > 0 ? 1e-3 : 1 - 0.2 * gap));
                assertThat(Gaps.between(image.mirrored().solid(), Solid.of(Convex.sphere(ball, 5)))
                                .mm())
                        .isCloseTo(gap, within(gap > 0 ? 1e-3 : 1 - 0.2 * gap));
            }
        }
    }

    @Test
    void sweepIncludesRestPosition() {
        for (int i = 0; i < 200; i++) {
            Axis axis = new Axis(anyPoint(), anyDirection());
            double from = -60 * random.nextDouble();
            double to = 60 * random.nextDouble();
            Sweep sweep = random.nextBoolean()
                    ? new Sweep.Turns(axis, from, to)
                    : new Sweep.Slides(axis.direction(), from, to);
            Point p = anyPoint();
            assertThat(sweep.at(0.5).moved(p).distanceTo(p)).isLessThan(1e-9);
            double whole = sweep instanceof Sweep.Turns
                    ? 2 * axis.distanceTo(p) * Math.sin(Math.toRadians(to - from) / 2)
                    : to - from;
            assertThat(sweep.at(0).moved(p).distanceTo(sweep.at(1).moved(p))).isCloseTo(whole, within(1e-8));
            // In the mirror the same way, seen in the mirror; a turn begins at its other end.
            for (double part : new double[] {0, 0.2, 0.5, 0.9, 1}) {
                Point moved = sweep.at(part).moved(p);
                RigidMove image = sweep.mirrored().at(sweep instanceof Sweep.Turns ? 1 - part : part);
                assertThat(image.moved(p.mirrored()).distanceTo(moved.mirrored()))
                        .isLessThan(1e-8);
            }
            assertThat(sweep.mirrored()
                            .mirrored()
                            .at(0.8)
                            .moved(p)
                            .distanceTo(sweep.at(0.8).moved(p)))
                    .isLessThan(1e-9);
        }
        assertThatThrownBy(() -> new Sweep.Turns(new Axis(Point.ORIGIN, Direction.along(0, 0, 1)), 5, 10))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("from 0 or less");
        assertThatThrownBy(() -> new Sweep.Slides(Direction.along(0, 0, 1), -5, Double.NaN))
                .isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> new Sweep.Wanders(-1))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("hose");
    }

    @Test
    void kneeIsAtThighAndShinLengths() {
        for (int i = 0; i < 300; i++) {
            Point hub = anyPoint();
            Driver d = Driver.behind(hub);
            double thigh = 380 + 120 * random.nextDouble();
            double shin = 400 + 140 * random.nextDouble();
            double reach = d.hip().distanceTo(d.heel());
            if (reach >= thigh + shin) {
                continue;
            }
            Driver sized = d.withMeasures(thigh, shin, 0);
            Point knee = sized.knee(Side.LEFT);
            assertThat(knee.distanceTo(sized.hip())).isCloseTo(thigh, within(1e-9));
            assertThat(knee.distanceTo(sized.heel())).isCloseTo(shin, within(1e-9));
            assertThat(knee.z())
                    .as("it bends up")
                    .isGreaterThan(Math.min(sized.hip().z(), sized.heel().z()));
            // Knees apart stand as far apart as is said, each on its side.
            Driver apart = sized.withMeasures(thigh, shin, 300);
            Vector between = apart.knee(Side.LEFT).minus(apart.knee(Side.RIGHT));
            assertThat(between.minus(new Vector(0, 300, 0)).norm()).isLessThan(1e-9);
            // The leg is as thick at the knee as it is said to be.
            assertThat(Gaps.between(
                                    apart.leg(Side.LEFT),
                                    Solid.of(Convex.sphere(apart.knee(Side.LEFT).plus(new Vector(0, 500, 0)), 1)))
                            .mm())
                    .isBetween(500 - 2 * Driver.LEG_RADIUS - 120, 500 - Driver.LEG_RADIUS);
        }
        assertThatThrownBy(() -> Driver.behind(Point.ORIGIN).withMeasures(300, 300, 200))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("correct a length");
    }

    @Test
    void obstacleNamesMustBeUnique() {
        Surroundings s = Surroundings.NONE;
        for (int i = 0; i < 5; i++) {
            s = s.with(Obstacle.fixed("post", new Shape.Sphere(new Point(i, 0, 0), 10)));
        }
        assertThat(s.obstacles())
                .extracting(Obstacle::name)
                .containsExactly("post", "post 2", "post 3", "post 4", "post 5");
        Surroundings left = s.leavingOut(Id.Kind.OBSTACLE.first(), Id.Kind.OBSTACLE.number(2))
                .without(0);
        assertThat(left.meant()).as("what was left out goes with what is gone").isEmpty();
        assertThat(left.named("post")).isEqualTo(Optional.empty());
        List<Obstacle> twice = List.of(s.obstacles().getFirst(), s.obstacles().getFirst());
        Surroundings base = s;
        assertThatThrownBy(() -> base.withObstacles(twice))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("same name");
        List<Obstacle> many = new ArrayList<>();
        for (int i = 0; i <= Surroundings.MOST; i++) {
            many.add(Obstacle.fixed("thing " + i, new Shape.Sphere(new Point(i, 0, 0), 10)));
        }
        assertThatThrownBy(() -> base.withObstacles(many))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("not 201");
    }
}

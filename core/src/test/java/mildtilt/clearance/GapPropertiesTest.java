package mildtilt.clearance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mildtilt.OwnVehicles;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.CornerPoint;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What must hold of gaps whatever the vehicle: how they change when an obstacle is moved, grown, mirrored or joined by
 * others.
 */
class GapPropertiesTest {

    /** How far two passes over the range may differ: each finds the smallest gap to this, mm. */
    private static final double FOUND_TO = 0.2;

    private static final double RADIUS = 30;

    /** Only the pairs with the ball. */
    private static Map<String, Double> ofBall(Job job, Obstacle ball, Obstacle... others) {
        Surroundings s = Surroundings.NONE.with(ball);
        for (Obstacle o : others) {
            s = s.with(o);
        }
        Job with = job.withSurroundings(s);
        Map<String, Double> all = new HashMap<>();
        Clearances.of(with, new SteeringTrain(with)).orElseThrow().pairs().stream()
                .filter(p -> p.first().equals("ball") || p.second().equals("ball"))
                .forEach(p -> all.put(p.first().equals("ball") ? p.second() : p.first(), p.gap()));
        return all;
    }

    private static Obstacle ball(Point at, double radius) {
        return Obstacle.fixed("ball", new Shape.Sphere(at, 2 * radius));
    }

    /** Places inboard of the left steering arm's end: over it, ahead of it and behind it. */
    private static List<Point> places(Job job, Random r) {
        Point arm = JobPoints.position(job, new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT));
        return List.of(
                arm.plus(new Vector(20 * r.nextGaussian(), -140, 100 + 40 * r.nextDouble())),
                arm.plus(new Vector(110 + 40 * r.nextDouble(), -180, 30 * r.nextGaussian())),
                arm.plus(new Vector(-110 - 40 * r.nextDouble(), -180, 30 * r.nextGaussian())));
    }

    @ParameterizedTest
    @EnumSource(OwnVehicles.class)
    void movingAnObstacleChangesItsGapsNoMoreThanTheMove(OwnVehicles vehicle) {
        Job job = vehicle.job();
        Random r = new Random(vehicle.ordinal());
        int compared = 0;
        for (Point p : places(job, r)) {
            Vector move = new Vector(6 * r.nextGaussian(), 6 * r.nextGaussian(), 6 * r.nextGaussian());
            Map<String, Double> before = ofBall(job, ball(p, RADIUS));
            Map<String, Double> after = ofBall(job, ball(p.plus(move), RADIUS));
            for (Map.Entry<String, Double> e : before.entrySet()) {
                if (after.containsKey(e.getKey())) {
                    compared++;
                    assertThat(after.get(e.getKey()))
                            .as(e.getKey())
                            .isCloseTo(e.getValue(), within(move.norm() + 2 * FOUND_TO));
                }
            }
        }
        assertThat(compared).as("pairs compared").isPositive();
    }

    @ParameterizedTest
    @EnumSource(OwnVehicles.class)
    void growingASphereTakesItsGrowthOffEveryGap(OwnVehicles vehicle) {
        Job job = vehicle.job();
        int compared = 0;
        for (Point p : places(job, new Random(10 + vehicle.ordinal()))) {
            Map<String, Double> before = ofBall(job, ball(p, RADIUS));
            Map<String, Double> after = ofBall(job, ball(p, RADIUS + 7));
            for (Map.Entry<String, Double> e : before.entrySet()) {
                compared++;
                assertThat(after).containsKey(e.getKey());
                assertThat(after.get(e.getKey())).as(e.getKey()).isCloseTo(e.getValue() - 7, within(2 * FOUND_TO));
            }
        }
        assertThat(compared).as("pairs compared").isPositive();
    }

    @ParameterizedTest
    @EnumSource(
            value = OwnVehicles.class,
            names = {"NARROW_RACK", "WIDE_RACK", "PINNED_BEAM"})
    void obstacleOnTheOtherSideHasTheSameGapToTheWheel(OwnVehicles vehicle) {
        Job job = vehicle.job();
        Point wheel = JobPoints.position(job, new PointId.OnCorner(Side.LEFT, CornerPoint.WHEEL_CENTRE));
        Point near = wheel.plus(new Vector(-330, -60, 20));
        Map<String, Double> left = ofBall(job, ball(near, RADIUS));
        Map<String, Double> right = ofBall(job, ball(near.mirrored(), RADIUS));
        assertThat(left).containsKey("left tyre");
        // The lock differs from left to right by what the column does to the turns.
        assertThat(right.get("right tyre")).isCloseTo(left.get("left tyre"), within(4.0));
    }

    @ParameterizedTest
    @EnumSource(OwnVehicles.class)
    void otherObstaclesChangeNothing(OwnVehicles vehicle) {
        Job job = vehicle.job();
        int compared = 0;
        for (Point p : places(job, new Random(20 + vehicle.ordinal()))) {
            Obstacle ball = ball(p, RADIUS).withGap(60);
            Map<String, Double> alone = ofBall(job, ball);
            Map<String, Double> among = ofBall(
                    job,
                    ball,
                    Obstacle.fixed("crate", new Shape.Sphere(p.plus(new Vector(-900, 300, 500)), 200)),
                    Obstacle.fixed(
                            "rail",
                            new Shape.Cylinder(p.plus(new Vector(-700, 0, 0)), p.plus(new Vector(-700, 0, 400)), 60)));
            compared += alone.size();
            alone.forEach((part, gap) -> assertThat(among.get(part)).as(part).isCloseTo(gap, within(FOUND_TO)));
        }
        assertThat(compared).as("pairs compared").isPositive();
    }

    @ParameterizedTest
    @EnumSource(OwnVehicles.class)
    void wantingAWiderGapChangesTheMarginNotTheGap(OwnVehicles vehicle) {
        Job job = vehicle.job();
        int compared = 0;
        for (Point p : places(job, new Random(30 + vehicle.ordinal()))) {
            Map<String, Double> narrow = ofBall(job, ball(p, RADIUS).withGap(5));
            Map<String, Double> wide = ofBall(job, ball(p, RADIUS).withGap(45));
            compared += narrow.size();
            narrow.forEach((part, gap) -> assertThat(wide.get(part)).as(part).isCloseTo(gap, within(FOUND_TO)));
            // More pairs come within what is wanted, never fewer.
            assertThat(wide.keySet()).containsAll(narrow.keySet());
        }
        assertThat(compared).as("pairs compared").isPositive();
    }
}

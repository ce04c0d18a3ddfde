package mildtilt.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mildtilt.obstacle.Shape;
import mildtilt.solid.TriangleMesh;
import org.junit.jupiter.api.Test;

class RigidFitTest {

    private static Point random(Random r) {
        return new Point(1000 * r.nextDouble(), 1000 * r.nextDouble(), 1000 * r.nextDouble());
    }

    private static RigidMove place(Random r) {
        return RigidMove.placing(
                random(r), 360 * r.nextDouble() - 180, 178 * r.nextDouble() - 89, 360 * r.nextDouble() - 180);
    }

    @Test
    void pointsThatWereMovedAreCarriedBack() {
        Random r = new Random(1);
        for (int n = 0; n < 200; n++) {
            RigidMove move = place(r);
            List<Point> from = new ArrayList<>();
            List<Point> to = new ArrayList<>();
            // Three points lie in a plane: their mirror image would suit as well, and is never taken.
            for (int i = 0; i < 3 + n % 4; i++) {
                from.add(random(r));
                to.add(move.moved(from.getLast()));
            }
            RigidMove found = RigidFit.of(from, to).orElseThrow();
            Point other = random(r);
            assertThat(found.moved(other).distanceTo(move.moved(other))).isLessThan(1e-6);
        }
    }

    /** A floor and both wheel centres put a scan where it was, whichever way the floor's direction points. */
    @Test
    void aFloorAndTwoPointsAreEnough() {
        Random r = new Random(3);
        for (int n = 0; n < 100; n++) {
            RigidMove move = place(r);
            List<Point> vehicle = List.of(new Point(12, 700, 310), new Point(-8, -690, 305));
            List<Point> scan = vehicle.stream().map(move::moved).toList();
            Direction up = Direction.along(0, 0, n % 2 == 0 ? 1 : -1);
            RigidMove found = RigidFit.onFloor(scan, vehicle, move.moved(new Point(400, 90, 0)), move.direction(up))
                    .orElseThrow();
            Point other = random(r);
            assertThat(found.moved(move.moved(other)).distanceTo(other)).isLessThan(1e-6);
        }
    }

    /** Height is the floor's alone: wheel centres that are too high by 5 stay so, and say it. */
    @Test
    void theFloorSettlesTheHeight() {
        List<Point> scan = List.of(new Point(0, 700, 305), new Point(0, -700, 305));
        List<Point> vehicle = List.of(new Point(0, 700, 300), new Point(0, -700, 300));
        RigidMove found = RigidFit.onFloor(scan, vehicle, Point.ORIGIN, Direction.along(0, 0, 1))
                .orElseThrow();
        assertThat(found.moved(scan.getFirst()).distanceTo(vehicle.getFirst())).isCloseTo(5, within(1e-9));
        assertThat(RigidFit.onFloor(scan.subList(0, 1), vehicle.subList(0, 1), Point.ORIGIN, Direction.along(0, 0, 1)))
                .isEmpty();
    }

    @Test
    void whatIsReadWrongIsSharedOutEvenly() {
        // A square, its first two corners read 2 mm too far along, its others 2 mm too far back: it turns instead.
        List<Point> from =
                List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(100, 100, 0), new Point(0, 100, 0));
        List<Point> to =
                List.of(new Point(2, 0, 0), new Point(102, 0, 0), new Point(98, 100, 0), new Point(-2, 100, 0));
        RigidMove move = RigidFit.of(from, to).orElseThrow();
        assertThat(move.moved(new Point(50, 50, 0)).distanceTo(new Point(50, 50, 0)))
                .isLessThan(1e-9);
        // By tan a = Σ(u × v) / Σ(u · v) = 400 / 20000 for the four of them, u and v from the middle.
        assertThat(Math.atan2(move.ex().y(), move.ex().x())).isCloseTo(Math.atan2(400, 20_000), within(1e-9));
        assertThat(move.ez().z()).isCloseTo(1, within(1e-12));
    }

    @Test
    void tooFewPointsOrAllOnOneLineSettleNothing() {
        List<Point> line = List.of(new Point(0, 0, 0), new Point(10, 20, 30), new Point(20, 40, 60));
        assertThat(RigidFit.of(line, line)).isEmpty();
        assertThat(RigidFit.of(line.subList(0, 2), line.subList(0, 2))).isEmpty();
    }

    @Test
    void aScanStandsWhereAMovePutsIt() {
        Random r = new Random(2);
        Shape.Scan scan = new Shape.Scan(
                new TriangleMesh(new float[] {0, 0, 0, 10, 0, 0, 0, 10, 0}, new int[] {0, 1, 2}),
                "a.stl",
                Point.ORIGIN,
                0,
                0,
                0);
        for (int n = 0; n < 200; n++) {
            RigidMove to = place(r);
            RigidMove stands = scan.standing(to).place();
            Point p = random(r);
            assertThat(stands.moved(p).distanceTo(to.moved(p))).isLessThan(1e-6);
        }
    }
}

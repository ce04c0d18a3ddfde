package mildtilt.routes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mildtilt.OwnVehicles;
import mildtilt.analysis.Analysis;
import mildtilt.column.Column;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** How routes change when the question or the obstacles do, on vehicles that are no demo. */
class RoutePropertiesTest {

    private static final RouteQuestion TWO =
            RouteQuestion.USUAL.withJoints(1, 2).withTilt(-20, 20);

    private static RouteAnswer search(Job job, RouteQuestion q) {
        return RouteFinder.search(job, q, RouteProgress.SILENT);
    }

    private static Job with(Job job, Obstacle o) {
        return job.withSurroundings(job.surroundings().with(o));
    }

    private static List<List<Point>> points(RouteAnswer a) {
        return a.routes().stream().map(Route::points).toList();
    }

    @ParameterizedTest
    @EnumSource(
            value = OwnVehicles.class,
            names = {"NARROW_RACK", "SPRUNG_BEAM"})
    void whatIsFarAwayChangesNoRouteAndWhatLiesAcrossOneRemovesIt(OwnVehicles vehicle) {
        Job job = vehicle.job();
        RouteAnswer free = search(job, TWO);
        assertThat(free.routes()).as(free.blocked().toString()).isNotEmpty();
        Obstacle crate = Obstacle.fixed("crate", new Shape.Sphere(new Point(-4000, 2500, 900), 300));
        assertThat(points(search(with(job, crate), TWO))).isEqualTo(points(free));

        List<Point> best = free.routes().getFirst().points();
        Point middle = best.get(best.size() - 3).midwayTo(best.get(best.size() - 2));
        Job blocked = with(job, Obstacle.fixed("post", new Shape.Sphere(middle, 50)));
        RouteAnswer around = search(blocked, TWO);
        assertThat(points(around)).doesNotContain(best);
        if (around.routes().isEmpty()) {
            assertThat(around.blocked())
                    .as("what keeps the nearest from being one")
                    .isNotEmpty();
        }
        around.routes().forEach(r -> assertThat(
                        Analysis.of(r.job()).clearance().orElseThrow().pairs())
                .filteredOn(p -> p.first().equals("post") || p.second().equals("post"))
                // The shaft in its tube lies where the column is: no route moves it.
                .filteredOn(p -> !p.has(new Element.Tube()) && !p.has(new Element.ShaftAt(0)))
                .allSatisfy(p -> assertThat(p.gap()).as(p.label()).isGreaterThan(TWO.gap() - 0.2)));
    }

    @ParameterizedTest
    @EnumSource(
            value = OwnVehicles.class,
            names = {"NARROW_RACK", "SPRUNG_BEAM"})
    void routesKeepTheEndsAndTheirCardsMatchTheirColumns(OwnVehicles vehicle) {
        Job job = vehicle.job();
        Column was = job.column().orElseThrow();
        for (Route r : search(job, TWO).routes()) {
            Column is = r.job().column().orElseThrow();
            assertThat(is.hub()).as("the wheel was not free").isEqualTo(was.hub());
            assertThat(r.points().getLast()).isEqualTo(is.gear().point());
            assertThat(r.joints()).isEqualTo(is.joints().size()).isBetween(1, 2);
            double sum = 0;
            for (int i = 1; i < r.points().size(); i++) {
                sum += r.points().get(i - 1).distanceTo(r.points().get(i));
            }
            assertThat(r.length()).isCloseTo(sum, within(1e-6));
            assertThat(r.tiltDeg()).isBetween(-20.0, 20.0);
            // Lengths and angles change, what surrounds the column does not.
            assertThat(r.job().surroundings()).isEqualTo(job.surroundings());
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = OwnVehicles.class,
            names = {"NARROW_RACK"})
    void aSmallerGapLosesNoWay(OwnVehicles vehicle) {
        Job job = vehicle.job();
        Vector near = new Vector(0, 60, 0);
        Column c = job.column().orElseThrow();
        Job tight = with(
                job,
                Obstacle.fixed(
                        "post", new Shape.Sphere(c.start(1).midwayTo(c.end(1)).plus(near), 60)));
        boolean wide = !search(tight, TWO.withGap(30)).routes().isEmpty();
        boolean narrow = !search(tight, TWO.withGap(5)).routes().isEmpty();
        assertThat(narrow || !wide).isTrue();
        assertThat(narrow).isTrue();
    }
}

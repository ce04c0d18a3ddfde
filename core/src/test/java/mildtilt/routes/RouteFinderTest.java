package mildtilt.routes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mildtilt.analysis.Analysis;
import mildtilt.bearings.Supports;
import mildtilt.column.Column;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Routes: what the demo has planted, and what any route must fulfil. */
class RouteFinderTest {

    private static final Job CARRIER = DemoJob.MARSH_CARRIER.job();
    private static final RouteQuestion TWO = RouteQuestion.USUAL.withJoints(2, 2);

    private static RouteAnswer search(Job job, RouteQuestion q) {
        return RouteFinder.search(job, q, RouteProgress.SILENT);
    }

    @Test
    void routeNeedsRotatedRack() {
        RouteAnswer held = search(CARRIER, TWO);
        assertThat(held.routes()).isEmpty();
        assertThat(held.blocked()).isNotEmpty();
        assertThat(held.blocked().getFirst().text(LengthUnit.MM))
                .containsAnyOf("over what it may", "over its limit", "engine mount");
        assertThat(held.nearest()).isPresent();
        RouteAnswer turned = search(CARRIER, TWO.withTilt(-40, 40));
        assertThat(turned.routes()).isNotEmpty().allSatisfy(r -> {
            assertThat(r.tiltDeg()).isNegative();
            assertThat(r.joints()).isEqualTo(2);
        });
        Route best = turned.routes().getFirst();
        assertThat(best.ripplePct()).isLessThan(10);
        Analysis after = Analysis.of(best.job());
        assertThat(after.findings())
                .filteredOn(RouteFinderTest::ofColumn)
                .noneMatch(f -> f.severity() == Severity.STOP || f.fault() == Fault.GAP_SHORT);
        assertThat(after.column()
                        .orElseThrow()
                        .turning()
                        .orElseThrow()
                        .transfer()
                        .ripplePct())
                .isCloseTo(best.ripplePct(), within(1e-9));
    }

    private static boolean ofColumn(Finding f) {
        return f.element() instanceof Element.ShaftAt || f.element() instanceof Element.JointAt;
    }

    /** Whatever is offered holds in the whole analysis, is kept through the file, and is what its card says. */
    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "BOG_TENDER"})
    void everyRouteMeetsItsLimits(DemoJob demo) throws Exception {
        Job job = demo.job();
        RouteQuestion q = RouteQuestion.USUAL.withTilt(-30, 30).withWheelFree(true);
        RouteAnswer answer = search(job, q);
        assertThat(answer.routes()).as(answer.blocked().toString()).isNotEmpty();
        for (Route r : answer.routes()) {
            assertThat(r.why()).isNotEmpty();
            Column c = r.job().column().orElseThrow();
            assertThat(c.points()).isEqualTo(r.points());
            assertThat(Supports.of(c).missing()).isZero();
            Analysis a = Analysis.of(r.job());
            assertThat(a.column().orElseThrow().range().joints().stream()
                            .mapToDouble(x -> x.worstDeg())
                            .max()
                            .orElseThrow())
                    .isLessThanOrEqualTo(35 + 1e-9);
            assertThat(a.column().orElseThrow().jointAnglesDeg().stream()
                            .mapToDouble(x -> x)
                            .max()
                            .orElseThrow())
                    .isCloseTo(r.widestDeg(), within(1e-6));
            assertThat(a.clearance().orElseThrow().pairs().stream()
                            .filter(p -> p.firstElement() instanceof Element.ShaftAt
                                    || p.firstElement() instanceof Element.JointAt
                                    || p.secondElement() instanceof Element.ShaftAt
                                    || p.secondElement() instanceof Element.JointAt))
                    .allSatisfy(
                            p -> assertThat(p.gap()).as(p.label()).isGreaterThan(Math.max(q.gap(), p.need()) - 0.2));
            assertThat(a.findings())
                    .noneMatch(f -> f.severity() == Severity.STOP
                            && Set.of(
                                            Fault.JOINT_OVER_LIMIT,
                                            Fault.SHAFT_FLOATS,
                                            Fault.NO_ROOM_FOR_SHAFT,
                                            Fault.JOINT_LOCKED)
                                    .contains(f.fault()));
            assertThat(JobReader.read(JobWriter.write(r.job()))).isEqualTo(r.job());
        }
        assertThat(answer.routes().stream().map(Route::points).distinct().count())
                .isEqualTo(answer.routes().size());
    }

    private static final Set<DemoJob> STRAIGHT =
            EnumSet.of(DemoJob.GREENHOUSE_TUG, DemoJob.HEATH_RIDER, DemoJob.PARCEL_TRIKE);

    /** Every demo has a way, but those whose straight column leaves no room for a joint: their answer says so. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void demosHaveRoutesOrTrueReasons(DemoJob demo) {
        RouteAnswer answer = search(demo.job(), RouteQuestion.USUAL.withJoints(1, 3));
        if (STRAIGHT.contains(demo)) {
            assertThat(answer.routes()).isEmpty();
            assertThat(answer.blocked().getFirst().text(LengthUnit.MM))
                    .isEqualTo("As planned the column points straight into the gear: it needs no joint");
            assertThat(answer.blocked())
                    .noneSatisfy(b -> assertThat(b.text(LengthUnit.MM)).contains(" 0.0 mm"));
        } else {
            assertThat(answer.routes()).as(answer.blocked().toString()).isNotEmpty();
            answer.routes().forEach(r -> assertThat(Analysis.of(r.job()).findings())
                    .as(r.why().toString())
                    .noneMatch(f -> Set.of(
                                    Fault.MUST_SLIDE,
                                    Fault.CAN_NOT_FOLLOW,
                                    Fault.SHAFT_FLOATS,
                                    Fault.NO_ROOM_FOR_SHAFT,
                                    Fault.SLIDE_SHORT)
                            .contains(f.fault())));
        }
    }

    @Test
    void routeSearchIsDeterministicAndReportsProgress() {
        List<Double> reported = Collections.synchronizedList(new ArrayList<>());
        RouteAnswer one =
                RouteFinder.search(CARRIER, RouteQuestion.USUAL.withTilt(-20, 20), (done, _) -> reported.add(done));
        RouteAnswer other = search(CARRIER, RouteQuestion.USUAL.withTilt(-20, 20));
        assertThat(other.routes().stream().map(Route::points).toList())
                .isEqualTo(one.routes().stream().map(Route::points).toList());
        assertThat(other.considered()).isEqualTo(one.considered());
        assertThat(reported)
                .allSatisfy(d -> assertThat(d).isBetween(0.0, 1.0))
                .last()
                .isEqualTo(1.0);
        RouteAnswer given =
                RouteFinder.search(CARRIER, RouteQuestion.USUAL.withJoints(3, 4).withTilt(-40, 40), (_, _) -> false);
        assertThat(given.considered()).isLessThan(one.considered() * 50);
        assertThat(given.blocked())
                .as("given up, not found to be without a way")
                .isEmpty();
    }

    @Test
    void blockingObstacleIsNamedWithShortfall() {
        Column c = CARRIER.column().orElseThrow();
        Job open = CARRIER.withSurroundings(Surroundings.NONE);
        assertThat(search(open, TWO).routes()).as("nothing in the way").isNotEmpty();
        // A plate square across the gear's input: no last joint can get past it.
        Point over = c.gearInput().plus(c.axis(2).times(-70));
        Obstacle lid = Obstacle.fixed("lid", new Shape.Box(over, 400, 400, 6));
        RouteAnswer shut = search(open.withSurroundings(Surroundings.NONE.with(lid)), TWO);
        assertThat(shut.routes()).isEmpty();
        assertThat(shut.blocked()).anySatisfy(p -> {
            assertThat(p.text(LengthUnit.MM)).contains("lid");
            assertThat(p.measures()).isNotEmpty();
        });
        // A post on the tight route is gone round, with more joints or another way.
        Route tight = search(open, TWO).routes().getFirst();
        Point middle = tight.points().get(1).midwayTo(tight.points().get(2));
        Job post = open.withSurroundings(Surroundings.NONE.with(Obstacle.fixed(
                "post",
                new Shape.Cylinder(middle.plus(new Vector(0, 0, -150)), middle.plus(new Vector(0, 0, 150)), 30))));
        RouteAnswer round = search(post, RouteQuestion.USUAL.withJoints(2, 3));
        assertThat(round.routes()).isNotEmpty().allSatisfy(r -> assertThat(
                        RouteFinder.apart(r.points(), tight.points()))
                .isGreaterThan(10));
    }

    @Test
    void bearingsNeedAMarkedSurface() {
        Job open = CARRIER.withSurroundings(Surroundings.NONE);
        RouteQuestion three = RouteQuestion.USUAL.withJoints(3, 3);
        assertThat(search(open, three).routes())
                .isNotEmpty()
                .allSatisfy(r -> assertThat(r.bearings().getFirst().pattern()).contains("no surface is marked"));
        Obstacle far = Obstacle.fixed("far rail", new Shape.Box(new Point(-300, -600, 300), 800, 50, 50))
                .withTakesBearings(true);
        RouteAnswer none = search(open.withSurroundings(Surroundings.NONE.with(far)), three);
        assertThat(none.routes()).isEmpty();
        assertThat(none.blocked().getFirst().text(LengthUnit.MM)).contains("floats", "nearest marked surface");
        Column c = CARRIER.column().orElseThrow();
        Obstacle near = Obstacle.fixed(
                        "near rail",
                        new Shape.Box(c.start(1).midwayTo(c.end(1)).plus(new Vector(0, 150, 0)), 700, 20, 300))
                .withTakesBearings(true);
        RouteAnswer by = search(open.withSurroundings(Surroundings.NONE.with(near)), three.withBracketReach(180));
        assertThat(by.routes()).as(String.valueOf(by.blocked())).isNotEmpty().allSatisfy(r -> assertThat(
                        r.bearings().getFirst().pattern())
                .doesNotContain("no surface"));
    }

    @Test
    void singleJointAndDetourRoutesAreFound() {
        Job open = CARRIER.withSurroundings(Surroundings.NONE);
        RouteAnswer one = search(open, RouteQuestion.USUAL.withJoints(1, 1).withTilt(-90, 90));
        one.routes().forEach(r -> assertThat(r.joints()).isEqualTo(1));
        assertThat(one.routes().isEmpty()).isEqualTo(!one.blocked().isEmpty());
        RouteAnswer all = search(open, RouteQuestion.USUAL.withJoints(2, 3).withTilt(-40, 40));
        assertThat(all.routes().stream().flatMap(r -> r.why().stream()).collect(Collectors.toSet()))
                .contains("fewest joints", "most room", "the long way round");
        assertThat(all.considered()).isGreaterThan(100_000);
    }

    @Test
    void invalidRouteQuestionsAreRefused() {
        assertThatThrownBy(() -> RouteQuestion.USUAL.withJoints(0, 2))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("from 1 to 4");
        assertThatThrownBy(() -> RouteQuestion.USUAL.withTilt(5, 10))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("from 0 or less");
        assertThatThrownBy(() -> RouteQuestion.USUAL.withGap(-1)).isInstanceOf(ImpossibleGeometryException.class);
        Job axleOnly = Job.of("a", new Plan(CARRIER.vehicle(), Optional.empty(), CARRIER.axle(), CARRIER.targets()));
        assertThatThrownBy(() -> search(axleOnly, TWO)).hasMessageContaining("steering wheel and a gear input");
    }
}

package mildtilt.routes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.bearings.Supports;
import mildtilt.build.Piece;
import mildtilt.clearance.Clearances;
import mildtilt.column.Column;
import mildtilt.columnrange.FrontPush;
import mildtilt.findings.Fault;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.routes.RouteQuestion.Hole;
import mildtilt.rules.RuleLimit;
import mildtilt.shop.ClassFigures;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.template.Templates;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import org.junit.jupiter.api.Test;

/** Routes that keep a rule, go through a hole, or set the wheel, with what they ask to be made. */
class RouteNeedsTest {

    private static final Id FIREWALL = new Id("obstacle-90");

    private static RouteAnswer search(Job job, RouteQuestion q) {
        return RouteFinder.search(job, q, RouteProgress.SILENT);
    }

    private static List<String> said(List<Phrase> all) {
        return all.stream().map(p -> p.text(LengthUnit.MM)).toList();
    }

    /** A steel firewall across the buggy, 2 thick, which no column could pass. */
    private static Job walled() {
        Job job = DemoJob.DUNE_WARDEN.job();
        Obstacle wall = Obstacle.fixed(
                        "Firewall",
                        new Shape.Plate(
                                List.of(
                                        new Point(0, 700, 300),
                                        new Point(0, -700, 300),
                                        new Point(0, -700, 1200),
                                        new Point(0, 700, 1200)),
                                2))
                .withId(FIREWALL);
        return job.withSurroundings(job.surroundings().with(wall));
    }

    @Test
    void aRouteGoesThroughTheHoleItIsGivenAndKeepsOffTheRest() {
        assertThat(search(walled(), RouteQuestion.USUAL).routes()).isEmpty();
        Hole hole = new Hole(new Point(0, 400, 860), 70);
        List<Route> routes = search(walled(), RouteQuestion.USUAL.withHole(Optional.of(hole)))
                .routes();
        assertThat(routes).isNotEmpty();
        for (Route r : routes) {
            Column c = r.job().column().orElseThrow();
            int through = -1;
            for (int i = 0; i < c.shafts().size(); i++) {
                if (c.start(i).x() < 0 && c.end(i).x() >= 0) {
                    through = i;
                }
            }
            Point a = c.start(through);
            Point at = a.plus(c.axis(through).times(-a.x() / c.axis(through).x()));
            double half =
                    c.shafts().get(through).diameter() / 2 / c.axis(through).x();
            assertThat(at.distanceTo(hole.centre()) + half + 6).isLessThanOrEqualTo(35 + 0.5);
            // The bulkhead is known from then on, and the hole that the class asks for.
            assertThat(c.installation().bulkhead()).contains(0.0);
            assertThat(ClassFigures.shaftHole(r.job()).orElseThrow()).isCloseTo(2 * half + 12, within(1e-6));
            Id shaft = c.shafts().get(through).id();
            assertThat(Clearances.ofShafts(r.job(), new SteeringTrain(r.job()))).allSatisfy(p -> {
                assertThat(p.gap()).isGreaterThanOrEqualTo(10 - 1e-6);
                assertThat(p.firstId().equals(shaft) && p.secondId().equals(FIREWALL))
                        .isFalse();
            });
        }
    }

    @Test
    void aHoleNoColumnReachesIsSaidWithHowFarItIsMissed() {
        RouteAnswer none = search(
                walled(),
                RouteQuestion.USUAL.withJoints(1, 2).withHole(Optional.of(new Hole(new Point(0, 400, 500), 60))));
        assertThat(none.routes()).isEmpty();
        assertThat(said(none.blocked())).anyMatch(s -> s.contains("the hole's middle") && s.contains("too far"));
    }

    /** Asked for a stroke of 60: every route slides together as far, and says what is bought for it. */
    @Test
    void aRouteKeepsTheRuleForABlowFromTheFront() {
        Job demo = DemoJob.GARDEN_SHUTTLE.job();
        Job ruled = demo.withRules(demo.rules().with(RuleLimit.STROKE, 60).withoutKink());
        RouteQuestion two = RouteQuestion.USUAL.withJoints(1, 3);
        assertThat(search(ruled, two).routes())
                .anyMatch(r -> FrontPush.of(r.job().column().orElseThrow()).stroke() < 60);
        List<Route> kept = search(ruled, two.withFrontRule(true)).routes();
        assertThat(kept).isNotEmpty();
        for (Route r : kept) {
            assertThat(FrontPush.of(r.job().column().orElseThrow()).stroke()).isGreaterThanOrEqualTo(60 - 1e-6);
            assertThat(said(r.toGet())).anyMatch(s -> s.contains("sliding pair"));
            assertThat(Analysis.of(r.job()).findings()).noneMatch(f -> f.fault() == Fault.FRONT_PUSH);
        }
        // A kink does instead, where the rule set takes one: nothing has to slide.
        Job kinked = demo.withRules(demo.rules().with(RuleLimit.STROKE, 60).with(RuleLimit.KINK, 15));
        List<Route> folding = search(kinked, two.withFrontRule(true)).routes();
        assertThat(folding)
                .isNotEmpty()
                .allMatch(r -> FrontPush.of(r.job().column().orElseThrow()).stroke() >= 60 - 1e-6
                        || FrontPush.of(r.job().column().orElseThrow()).kinkDeg() >= 15)
                .anyMatch(r -> said(r.bearings()).stream().anyMatch(s -> s.contains("folds")));
        // No shaft can give half a metre.
        Job never = demo.withRules(demo.rules().with(RuleLimit.STROKE, 500).withoutKink());
        RouteAnswer none = search(never, two.withFrontRule(true));
        assertThat(none.routes()).isEmpty();
        assertThat(said(none.blocked())).anyMatch(s -> s.contains("blow from the front"));
    }

    /** With joints that take 14° only a wheel that is set higher leaves a way. */
    @Test
    void spacersUnderTheWheelOpenAWayAndAreSaid() {
        Job stiff = DemoJob.BOG_TENDER
                .job()
                .editColumn(c -> c.withJoints(
                        c.joints().stream().map(j -> j.withMaxAngleDeg(14)).toList()));
        RouteQuestion two = RouteQuestion.USUAL.withJoints(2, 2);
        assertThat(search(stiff, two).routes()).isEmpty();
        List<Route> routes = search(stiff, two.withWheelHeight(40)).routes();
        assertThat(routes).isNotEmpty();
        Point planned = stiff.column().orElseThrow().hub();
        for (Route r : routes) {
            Point hub = r.job().column().orElseThrow().hub();
            assertThat(hub.x()).isEqualTo(planned.x());
            assertThat(Math.abs(hub.z() - planned.z())).isLessThanOrEqualTo(40).isPositive();
            assertThat(said(r.toGet()))
                    .anyMatch(s -> s.contains("spacers")
                            && s.contains(LengthText.format(Math.abs(hub.z() - planned.z()), LengthUnit.MM)));
            assertThat(r.widestDeg()).isLessThanOrEqualTo(14);
        }
    }

    /** A bearing that a route needs comes with the plate that carries it, and Templates can draw that plate. */
    @Test
    void aBearingComesWithItsCarrier() {
        Job demo = DemoJob.GARDEN_SHUTTLE.job();
        Obstacle rail = Obstacle.fixed("Floor", new Shape.Box(new Point(-300, 0, 280), 500, 400, 60))
                .withTakesBearings(true);
        Job job = demo.withSurroundings(demo.surroundings().with(rail.withId(new Id("obstacle-91"))));
        List<Route> routes = search(job, RouteQuestion.USUAL.withJoints(3, 3).withBracketReach(250))
                .routes();
        assertThat(routes).isNotEmpty();
        int carried = 0;
        for (Route r : routes) {
            Column c = r.job().column().orElseThrow();
            assertThat(Supports.of(c).missing()).isZero();
            for (Piece p : r.job().making().pieces()) {
                if (p instanceof Piece.BearingBracket b) {
                    carried++;
                    assertThat(c.bearing(b.bearing())).isPresent();
                    assertThat(Templates.of(r.job(), List.of()).open()).isEmpty();
                    assertThat(said(r.toGet())).anyMatch(s -> s.contains("plate 6.0 mm"));
                }
            }
        }
        assertThat(carried).isPositive();
    }

    @Test
    void whatCantBeAskedIsRefused() {
        assertThatThrownBy(() -> RouteQuestion.USUAL.withWheelHeight(-1))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("0 to 300");
        assertThatThrownBy(() -> new Hole(Point.ORIGIN, 0)).isInstanceOf(ImpossibleGeometryException.class);
    }
}

package mildtilt.uncertainty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.AsBuiltJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.job.PointId;
import mildtilt.survey.Reading;
import mildtilt.survey.StatedUncertainty;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is told of how sure the figures are, against cases where it can be said by hand. */
class MonteCarloTest {

    private static final String INNER_CALLED = "left inner tie-rod pivot";
    private static final String OUTER_CALLED = "left tie-rod point on the steering arm";
    private static final Id INNER = new Id("left.inner_pivot");
    private static final Id OUTER = new Id("left.tie_rod_point");
    private static final Id MARK = Id.Kind.MARK.first();
    private static final MonteCarlo.Settings SETTINGS = new MonteCarlo.Settings(400, 400, 80, 7);

    private static UncertaintyReport draws(Job job, MonteCarlo.Settings settings) {
        return MonteCarlo.of(job, Headlines.of(job).orElseThrow(), settings, _ -> {}, () -> false);
    }

    private static Job bare(DemoJob demo, Survey survey) {
        Job d = demo.job();
        return Job.of(d.title(), new Plan(d.vehicle(), d.column(), d.axle(), d.targets()))
                .withSurvey(survey);
    }

    @Test
    void rodUncertaintyCombinesBothEnds() {
        // A tie rod's length hangs on both ends along the rod: sigma times the root of two. Measured once more to r,
        // one end's part is sigma r / hypot.
        Job job = bare(DemoJob.GREENHOUSE_TUG, Survey.of(List.of(), new StatedUncertainty(1.5, 1, 0.4)));
        UncertaintyReport s = draws(job, SETTINGS);
        assertThat(s.figures().get(Headline.TIE_ROD).spread()).isCloseTo(1.5 * Math.sqrt(2), within(0.2));
        double surer = Math.hypot(1.5, 1.5 * 0.4 / Math.hypot(1.5, 0.4));
        for (String end : List.of(INNER_CALLED, OUTER_CALLED)) {
            UncertaintyReport.Gain g = s.again().stream()
                    .filter(a -> a.what().equals(end))
                    .findFirst()
                    .orElseThrow()
                    .of(Headline.TIE_ROD)
                    .orElseThrow();
            assertThat(g.after() / g.before()).isCloseTo(surer / (1.5 * Math.sqrt(2)), within(0.06));
        }
        assertThat(s.best(Headline.TIE_ROD).orElseThrow().what()).isIn(INNER_CALLED, OUTER_CALLED);
        assertThat(s.again().stream()
                        .filter(a -> a.what().equals("right inner tie-rod pivot"))
                        .findFirst()
                        .flatMap(a -> a.of(Headline.TIE_ROD)))
                .isEmpty();
        assertThat(s.finished()).isTrue();
        assertThat(s.impossible()).isZero();
    }

    @Test
    void sharedErrorCancelsInRodLength() {
        // Both ends are taped from one mark that is itself known to no better than 20 mm: the ends go wrong together.
        Job plan = bare(DemoJob.GREENHOUSE_TUG, Survey.NONE);
        Point inner = JobPoints.position(plan, new PointId.InnerPivot(Side.LEFT));
        Point outer = plan.axle().orElseThrow().left().knuckle().tieRodPoint();
        Survey survey = Survey.of(
                List.of(
                        new SurveyPoint(MARK, "mark", List.of(new Reading.Plumb(0, 0, 20), new Reading.Height(0, 20))),
                        new SurveyPoint(
                                Id.Kind.MARK.number(2),
                                "mark 2",
                                List.of(new Reading.Along(MARK, Id.Kind.MARK.number(3), 500, 0.01))),
                        new SurveyPoint(
                                Id.Kind.MARK.number(3),
                                "mark 3",
                                List.of(new Reading.Plumb(1000, 0, 20), new Reading.Height(0, 20))),
                        hung(INNER, inner),
                        hung(OUTER, outer)),
                StatedUncertainty.USUAL);
        Job job = plan.withSurvey(survey);
        Surveyed s = JobPoints.surveyed(job);
        assertThat(s.open()).isEmpty();
        assertThat(s.places().get(INNER).sdX()).isGreaterThan(15);
        assertThat(s.together().of(INNER, 0, OUTER, 0)).isGreaterThan(200);
        UncertaintyReport sure = draws(job, SETTINGS);
        assertThat(sure.figures().get(Headline.TIE_ROD).spread()).isLessThan(0.4);
        // The right side was not surveyed: its own rod is in doubt by what is stated.
        assertThat(sure.figures().get(Headline.SCRUB).spread()).isGreaterThan(1);
    }

    /**
     * A point said to lie where the mark is plus an offset known well: by mirror images of the marks, which carry its
     * error.
     */
    private static SurveyPoint hung(Id id, Point at) {
        double away = at.minus(new Point(0, 0, 0)).norm();
        Vector d = at.minus(Point.ORIGIN);
        double down = Math.toDegrees(Math.atan2(-d.z(), Math.hypot(d.x(), d.y())));
        return new SurveyPoint(
                id,
                id.text(),
                List.of(
                        new Reading.Tape(MARK, away, 0.1),
                        new Reading.Slope(MARK, down, Math.toDegrees(Math.atan2(d.y(), d.x())), 0.01)));
    }

    @Test
    void remeasuringGivesExpectedCovariance() {
        Job job = DemoJob.MARSH_CARRIER.job();
        InputUncertainty uncertainty = new InputUncertainty(job, JobPoints.surveyed(job));
        InputUncertainty.Part hub = uncertainty.parts().stream()
                .filter(p -> p.what().equals("steering wheel hub"))
                .findFirst()
                .orElseThrow();
        assertThat(hub.surveyed()).isTrue();
        Random random = new Random(3);
        double[] before = new double[uncertainty.size()];
        double[] after = new double[uncertainty.size()];
        int n = 4000;
        for (int i = 0; i < n; i++) {
            double[] x = uncertainty.draw(random);
            double[] y = uncertainty.measuredAgain(
                    x, hub, new double[] {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()});
            for (int k = 0; k < x.length; k++) {
                before[k] += x[k] * x[k] / n;
                after[k] += y[k] * y[k] / n;
            }
        }
        double[] reported = {
            JobPoints.surveyed(job).places().get(new Id("hub")).sdX(),
            JobPoints.surveyed(job).places().get(new Id("hub")).sdY(),
            JobPoints.surveyed(job).places().get(new Id("hub")).sdZ()
        };
        double again = job.survey().stated().again();
        for (int k = 0; k < 3; k++) {
            assertThat(Math.sqrt(before[hub.first() + k])).isCloseTo(reported[k], within(0.05 * reported[k]));
            // Never surer than the second measuring and the first together could make it, never less sure than the
            // second alone.
            assertThat(Math.sqrt(after[hub.first() + k]))
                    .isLessThan(again * 1.05)
                    .isGreaterThan(0.5 * Math.min(reported[k], again));
        }
        // What has nothing to do with it is as it was.
        int other = uncertainty.parts().stream()
                .filter(p -> p.what().equals("left lower ball joint"))
                .findFirst()
                .orElseThrow()
                .first();
        assertThat(after[other]).isEqualTo(before[other]);
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everyPointDrawIsApplied(DemoJob demo) {
        Job job = demo.job();
        assertThat(Headlines.quick(AsBuiltJob.sidesApart(job), false)).isEqualTo(Headlines.quick(job, false));
        Random random = new Random(demo.ordinal());
        Map<PointId, Vector> by = new HashMap<>();
        for (PointId id : AsBuiltJob.points(job)) {
            by.put(id, new Vector(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()));
        }
        Job off = AsBuiltJob.placed(job, by);
        for (PointId id : AsBuiltJob.points(job)) {
            Point want = JobPoints.position(job, id).plus(by.get(id));
            assertThat(JobPoints.position(off, id).distanceTo(want))
                    .as(JobPoints.label(job, id))
                    .isLessThan(1e-9);
        }
        // One alone leaves all others, those that it carries along in the plan too.
        for (PointId id : AsBuiltJob.points(job).stream()
                .filter(x -> !(x instanceof PointId.ObstaclePoint))
                .toList()) {
            Job one = AsBuiltJob.placed(job, Map.of(id, new Vector(1, -1, 2)));
            for (PointId o : AsBuiltJob.points(job)) {
                if (!o.equals(id) && !(o instanceof PointId.ObstaclePoint)) {
                    assertThat(JobPoints.position(one, o).distanceTo(JobPoints.position(job, o)))
                            .as(id + " leaves " + o)
                            .isLessThan(1e-9);
                }
            }
        }
    }

    @Test
    void runsAreRepeatableAndReportProgress() {
        Job job = bare(DemoJob.GREENHOUSE_TUG, Survey.NONE);
        Headlines plan = Headlines.of(job).orElseThrow();
        MonteCarlo.Settings few = new MonteCarlo.Settings(60, 30, 20, 1);
        List<Double> done = new ArrayList<>();
        UncertaintyReport a = MonteCarlo.of(job, plan, few, s -> done.add(s.done()), () -> false);
        assertThat(MonteCarlo.of(job, plan, few, _ -> {}, () -> false)).isEqualTo(a);
        assertThat(done).isSorted().endsWith(1.0);
        // Stopped at once it tells what it has: nothing.
        assertThat(MonteCarlo.of(job, plan, few, _ -> {}, () -> true).figures()).isEmpty();
    }
}

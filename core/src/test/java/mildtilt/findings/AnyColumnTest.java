package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.column.Column;
import mildtilt.column.RandomColumns;
import mildtilt.column.Socket.Retention;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.rules.RuleLimit;
import mildtilt.rules.Rules;
import mildtilt.rules.Rules.Welding;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.position.Grid;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Properties of the checks that hold of any column at all. */
class AnyColumnTest {

    private static final Grid COARSE = new Grid(4, 3);
    private static final Job CARRIER = Job.of(
            "any",
            new Plan(
                    DemoJob.MARSH_CARRIER.job().vehicle(),
                    Optional.empty(),
                    Optional.empty(),
                    DemoJob.MARSH_CARRIER.job().targets()));

    /** What each limit judges, and whether a larger figure asks more. */
    private record Judged(Set<Fault> faults, boolean largerIsStricter) {}

    private static final Map<RuleLimit, Judged> JUDGED = new EnumMap<>(Map.ofEntries(
            Map.entry(RuleLimit.JOINT_ANGLE, new Judged(EnumSet.of(Fault.JOINT_OVER_LIMIT), false)),
            Map.entry(RuleLimit.RIPPLE, new Judged(EnumSet.of(Fault.RIPPLE), false)),
            Map.entry(RuleLimit.STROKE, new Judged(EnumSet.of(Fault.FRONT_PUSH), true)),
            Map.entry(RuleLimit.KINK, new Judged(EnumSet.of(Fault.FRONT_PUSH), true)),
            Map.entry(RuleLimit.ENGAGEMENT, new Judged(EnumSet.of(Fault.ENGAGEMENT_SHORT), true)),
            Map.entry(RuleLimit.OVERLAP, new Judged(EnumSet.of(Fault.SLIDE_SHORT), true)),
            Map.entry(
                    RuleLimit.HEAVY_PULL,
                    new Judged(
                            EnumSet.of(
                                    Fault.SHAFT_WEAK,
                                    Fault.JOINT_WEAK,
                                    Fault.WIND_UP,
                                    Fault.ARM_WEAK,
                                    Fault.ROD_END_WEAK,
                                    Fault.ROD_BUCKLES,
                                    Fault.ROD_BENDS),
                            true)),
            Map.entry(
                    RuleLimit.STRENGTH,
                    new Judged(
                            EnumSet.of(Fault.SHAFT_WEAK, Fault.JOINT_WEAK, Fault.ARM_WEAK, Fault.ROD_END_WEAK), true)),
            Map.entry(RuleLimit.WIND_UP, new Judged(EnumSet.of(Fault.WIND_UP), false)),
            Map.entry(RuleLimit.SPAN, new Judged(EnumSet.of(Fault.SPAN_LONG), true)),
            Map.entry(RuleLimit.OUT_OF_LINE, new Judged(EnumSet.of(Fault.BEARINGS_FIGHT), false)),
            Map.entry(
                    RuleLimit.KERB,
                    new Judged(
                            EnumSet.of(Fault.ARM_WEAK, Fault.ROD_END_WEAK, Fault.ROD_BUCKLES, Fault.ROD_BENDS), true)),
            Map.entry(
                    RuleLimit.CASTER_MIN,
                    new Judged(EnumSet.of(Fault.STEER_AXIS_UNUSUAL, Fault.TRAIL_RUNS_AWAY), true)),
            Map.entry(
                    RuleLimit.CASTER_MAX,
                    new Judged(EnumSet.of(Fault.STEER_AXIS_UNUSUAL, Fault.TRAIL_RUNS_AWAY), false)),
            Map.entry(RuleLimit.TRAIL_MIN, new Judged(EnumSet.of(Fault.TRAIL_RUNS_AWAY), true)),
            Map.entry(RuleLimit.TRAIL_MAX, new Judged(EnumSet.of(Fault.TRAIL_RUNS_AWAY), false)),
            Map.entry(RuleLimit.KINGPIN_MAX, new Judged(EnumSet.of(Fault.STEER_AXIS_UNUSUAL), false)),
            Map.entry(RuleLimit.SCRUB, new Judged(EnumSet.of(Fault.STEER_AXIS_UNUSUAL), false))));

    private static List<Finding> findings(Job job) {
        return Analysis.of(job, COARSE, CatalogueFile.shipped()).findings();
    }

    private static long count(List<Finding> findings, Set<Fault> faults) {
        return findings.stream().filter(f -> faults.contains(f.fault())).count();
    }

    private static Job any(long seed) {
        return CARRIER.withColumn(new RandomColumns(seed).next());
    }

    /**
     * A limit made stricter never finds less, one made laxer never more, and what it does not judge stays as it was.
     */
    @ParameterizedTest
    // The carrier has no beam, is alike left and right, has hardly any toe or roll steer, and any kingpin leans in by
    // more than nothing.
    @EnumSource(
            value = RuleLimit.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"KINGPIN_MIN", "TOE", "APART", "LOCK_APART", "ROLL_STEER", "BRAKE_STEER"})
    void aStricterLimitNeverFindsLess(RuleLimit limit) {
        Judged judged = JUDGED.get(limit);
        int moved = 0;
        for (long seed = 1; seed <= (limit.ordinal() >= RuleLimit.KERB.ordinal() ? 1 : 15); seed++) {
            boolean ofAxle = limit.ordinal() >= RuleLimit.KERB.ordinal();
            Job job = ofAxle ? DemoJob.MARSH_CARRIER.job() : any(seed);
            Rules rules = ShippedRules.CLOSED_COURSE.rules();
            double now = rules.get(limit).orElseThrow();
            // Short shafts shake fast.
            double factor = limit == RuleLimit.JOINT_ANGLE ? 2 : limit == RuleLimit.SPAN ? 20 : ofAxle ? 10 : 3;
            double half = now / factor;
            double twice = now * factor;
            List<Finding> lax = findings(job.withRules(rules.with(limit, judged.largerIsStricter ? half : twice)));
            List<Finding> strict = findings(job.withRules(rules.with(limit, judged.largerIsStricter ? twice : half)));
            long few = count(lax, judged.faults);
            long as = count(findings(job.withRules(rules)), judged.faults);
            long many = count(strict, judged.faults);
            assertThat(few).as(limit + " lax, " + seed).isLessThanOrEqualTo(as);
            assertThat(as).as(limit + " strict, " + seed).isLessThanOrEqualTo(many);
            moved += many > few ? 1 : 0;
            Set<Fault> others = EnumSet.complementOf(EnumSet.copyOf(judged.faults));
            // What a ripple is left where it lies to one side depends on the ripple that is taken.
            others.remove(Fault.LOPSIDED);
            assertThat(count(strict, others)).as(limit + ", others, " + seed).isEqualTo(count(lax, others));
        }
        assertThat(moved).as("the limit judges something").isPositive();
    }

    /** A hold that is no longer accepted is found wherever it is used, and nowhere else. */
    @RepeatedTest(15)
    void aHoldNotAcceptedIsFoundWhereverItIsUsed(RepetitionInfo rep) {
        Job job = any(400 + rep.getCurrentRepetition());
        Column c = job.column().orElseThrow();
        for (Retention hold : Retention.values()) {
            Set<Retention> others = EnumSet.complementOf(EnumSet.of(hold));
            Rules rules = ShippedRules.CLOSED_COURSE.rules().withHolds(others).withWelding(Welding.ALLOWED);
            long used = 0;
            for (int s = 0; s < c.shafts().size(); s++) {
                used += c.wheelEndFit(s).socket().filter(x -> x.hold() == hold).isPresent() ? 1 : 0;
                used += c.gearEndFit(s).socket().filter(x -> x.hold() == hold).isPresent() ? 1 : 0;
            }
            assertThat(count(findings(job.withRules(rules)), EnumSet.of(Fault.HOLD_NOT_ACCEPTED)))
                    .as(hold.toString())
                    .isEqualTo(used);
        }
    }

    /** Faults that come from one figure of the part, and whose remedies therefore cure the part for good. */
    private static final Set<Fault> CURED = EnumSet.of(
            Fault.SLIDE_SHORT,
            Fault.MUST_SLIDE,
            Fault.ENGAGEMENT_SHORT,
            Fault.BEARING_OFF_SHAFT,
            Fault.AXES_MISS,
            Fault.HOLD_NOT_ACCEPTED,
            Fault.CAN_NOT_FOLLOW);

    /** Every remedy offered does what it is offered for: the same is not found there again. */
    @RepeatedTest(45)
    void everyRemedyOfAnyColumnCures(RepetitionInfo rep) {
        Job job = any(rep.getCurrentRepetition());
        List<String> before = description(findings(job));
        for (Finding f : findings(job)) {
            for (Remedy r : f.remedies()) {
                Job cured = r.edit().apply(job);
                List<Finding> then = findings(cured);
                String what = f.what().text(LengthUnit.MM);
                assertThat(description(then)).as(r.action().text(LengthUnit.MM)).doesNotContain(f.element() + what);
                if (CURED.contains(f.fault())) {
                    long was = same(before, findings(job), f);
                    assertThat(same(description(then), then, f))
                            .as(what + " > " + r.action().text(LengthUnit.MM))
                            .isLessThan(was);
                }
            }
        }
    }

    private static long same(List<String> description, List<Finding> all, Finding f) {
        assertThat(description).hasSameSizeAs(all);
        return all.stream()
                .filter(x -> x.fault() == f.fault() && x.element().equals(f.element()))
                .count();
    }

    private static List<String> description(List<Finding> all) {
        return all.stream().map(f -> f.element() + f.what().text(LengthUnit.MM)).toList();
    }

    /**
     * Put together from the figures by hand: a joint is over its limit exactly where the figures say so, a shaft
     * without room likewise.
     */
    @RepeatedTest(25)
    void theFindingsAreTheFiguresAgainstTheLimits(RepetitionInfo rep) {
        Job job = any(900 + rep.getCurrentRepetition());
        Column c = job.column().orElseThrow();
        ColumnFigures figures = ColumnFigures.of(job);
        List<Finding> all = findings(job);
        List<Integer> over = new ArrayList<>();
        List<Integer> cramped = new ArrayList<>();
        for (int j = 0; j < c.joints().size(); j++) {
            if (figures.range().joints().get(j).worstDeg() > figures.limitsDeg().get(j)) {
                over.add(j);
            }
        }
        for (int s = 0; s < c.shafts().size(); s++) {
            // Nothing left of it, faces that stand in each other, or an end that goes past a joint's centre.
            double faces =
                    c.length(s) - c.wheelEndFit(s).takeOff() - c.gearEndFit(s).takeOff();
            if (c.shafts().get(s).toCut() && c.cutLength(s) <= 0
                    || faces < -0.05
                    || s > 0 && past(c.wheelEndFit(s))
                    || s < c.joints().size() && past(c.gearEndFit(s))) {
                cramped.add(s);
            }
        }
        assertThat(all.stream()
                        .filter(f -> f.severity() == Severity.STOP
                                && (f.fault() == Fault.JOINT_OVER_LIMIT || f.fault() == Fault.JOINT_LOCKED))
                        .map(f -> ((Element.JointAt) f.element()).index()))
                .containsExactlyInAnyOrderElementsOf(over);
        assertThat(all.stream()
                        .filter(f -> f.fault() == Fault.NO_ROOM_FOR_SHAFT)
                        .map(f -> ((Element.ShaftAt) f.element()).index())
                        .distinct())
                .containsExactlyInAnyOrderElementsOf(cramped);
        assertThat(all.stream().anyMatch(f -> f.fault() == Fault.SHAFT_FLOATS))
                .isEqualTo(!figures.supports().allHeld());
        assertThat(all).isSortedAccordingTo((x, y) -> y.severity().compareTo(x.severity()));
    }

    private static boolean past(YokeDimensions fit) {
        return fit.takeOff() > 0 && fit.engagement() > fit.takeOff();
    }

    /**
     * No edit of the demo's column by its own remedies, taken one after another, ends in anything but a column that is
     * found better.
     */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void applyingRemediesTerminates(DemoJob demo) {
        Job job = demo.job();
        int stops = stops(job);
        for (int taken = 0; taken < 12; taken++) {
            Optional<Remedy> next = findings(job).stream()
                    .filter(f -> f.severity() == Severity.STOP)
                    .flatMap(f -> f.remedies().stream())
                    .findFirst();
            if (next.isEmpty()) {
                break;
            }
            try {
                job = next.get().edit().apply(job);
            } catch (ImpossibleGeometryException e) {
                throw new AssertionError(next.get().action().text(LengthUnit.MM), e);
            }
        }
        assertThat(stops(job)).as("stops left").isLessThanOrEqualTo(stops).isZero();
    }

    private static int stops(Job job) {
        return (int) findings(job).stream()
                .filter(f -> f.severity() == Severity.STOP)
                .count();
    }
}

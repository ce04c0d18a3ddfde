package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.build.Making;
import mildtilt.column.Column;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.linkage.SteeredAxle;
import mildtilt.obstacle.Surroundings;
import mildtilt.rules.Rules;
import mildtilt.rules.ShippedRules;
import mildtilt.survey.Survey;
import mildtilt.withers.Withers;

/**
 * Everything about one vehicle's steering.
 *
 * @param title short name of the job
 * @param about free text: whose vehicle, what for
 * @param plan what is built
 * @param rules the limits the plan and its variants are judged by
 * @param surroundings what is in the way of the plan and its variants
 * @param survey what was measured on the vehicle
 * @param making how the plan is made
 * @param log what was read on the vehicles built to it
 * @param changes what was done to the plan so far, the first one first
 * @param variants other plans for the same vehicle
 */
@Withers
public record Job(
        String title,
        String about,
        Plan plan,
        Rules rules,
        Surroundings surroundings,
        Survey survey,
        Making making,
        TrialLog log,
        List<Change> changes,
        Variants variants)
        implements JobBuilder.With {

    /** What the thinnest tyre adds to its rim's diameter, mm. */
    private static final int LEAST_TYRE = 10;

    /** @throws ImpossibleGeometryException if the rim does not fit into a tyre */
    public Job {
        changes = List.copyOf(changes);
        surroundings.own().rim().ifPresent(rim -> {
            mustHaveTyres(rim, plan);
            variants.all().forEach(v -> mustHaveTyres(rim, v.plan()));
        });
    }

    private static void mustHaveTyres(double rim, Plan plan) {
        for (Side side : Side.values()) {
            double tyre = plan.axle()
                    .map(a -> 2 * a.corner(side).knuckle().wheelCentre().z())
                    .orElse(Double.POSITIVE_INFINITY);
            if (rim > tyre - LEAST_TYRE) {
                throw new ImpossibleGeometryException("The rim of " + Math.round(rim) + " mm is too large for the "
                        + side.label() + " tyre of " + Math.round(tyre) + " mm: a tyre is at least " + LEAST_TYRE
                        + " mm larger than its rim.");
            }
        }
    }

    /** A plan under the cautious rule set, nothing in the way, nothing measured, nothing written down. */
    public static Job of(String title, Plan plan) {
        return new Job(
                title,
                "",
                plan,
                ShippedRules.CAUTIOUS_ROAD.rules(),
                Surroundings.NONE,
                Survey.NONE,
                Making.NONE,
                TrialLog.NONE,
                List.of(),
                Variants.NONE);
    }

    public Vehicle vehicle() {
        return plan.vehicle();
    }

    public Optional<Column> column() {
        return plan.column();
    }

    public Optional<SteeredAxle> axle() {
        return plan.axle();
    }

    public Targets targets() {
        return plan.targets();
    }

    public Job withVehicle(Vehicle v) {
        return withPlan(plan.withVehicle(v));
    }

    public Job withTargets(Targets t) {
        return withPlan(plan.withTargets(t));
    }

    /** Parts that are new get ids that nothing else in the job refers to. */
    public Job withColumn(Column c) {
        return withPlan(plan.withColumn(Optional.of(Ids.fresh(this, c))));
    }

    public Job withAxle(SteeredAxle a) {
        return withPlan(plan.withAxle(Optional.of(a)));
    }

    /** The column changed; a job without one stays as it is. */
    public Job editColumn(UnaryOperator<Column> edit) {
        return column().map(c -> withColumn(edit.apply(c))).orElse(this);
    }

    /** The axle changed; a job without one stays as it is. */
    public Job editAxle(UnaryOperator<SteeredAxle> edit) {
        return axle().map(a -> withAxle(edit.apply(a))).orElse(this);
    }

    /** What is new in the way gets an id that nothing else in the job refers to. */
    public Job editSurroundings(UnaryOperator<Surroundings> edit) {
        return withSurroundings(Ids.fresh(this, edit.apply(surroundings)));
    }

    public Job editSurvey(UnaryOperator<Survey> edit) {
        return withSurvey(edit.apply(survey));
    }

    /** A join or heat record that is new gets an id that nothing else in the job refers to. */
    public Job editMaking(UnaryOperator<Making> edit) {
        return withMaking(Ids.fresh(this, edit.apply(making)));
    }

    public Job editLog(UnaryOperator<TrialLog> edit) {
        return withLog(edit.apply(log));
    }

    public Job editVariants(UnaryOperator<Variants> edit) {
        return withVariants(edit.apply(variants));
    }

    /** With one more thing done to it written down; the oldest go when there are too many. */
    public Job after(Change change) {
        List<Change> all = new ArrayList<>(changes);
        all.add(change);
        return withChanges(all.subList(Math.max(0, all.size() - Change.MOST), all.size()));
    }

    /** The plan kept as a variant of this name, in place of any that had it. */
    public Job keepingVariant(String name) {
        return withVariants(variants.keeping(name, plan));
    }

    /**
     * A variant as the plan, the plan so far kept as a variant under another name.
     *
     * @throws IllegalArgumentException if there is no such variant
     */
    public Job takingVariant(Id id, String formerPlan) {
        Variant taken = variants.get(id).orElseThrow(() -> new IllegalArgumentException("no variant " + id));
        return withVariants(variants.exchanging(id, formerPlan, plan)).withPlan(taken.plan());
    }

    /** The job that a variant would be: its plan, judged alike, with nothing written down about it. */
    public Job as(Variant variant) {
        return of(title, variant.plan()).withRules(rules).withSurroundings(surroundings);
    }
}

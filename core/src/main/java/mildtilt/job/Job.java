package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.column.Column;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.linkage.SteeredAxle;
import mildtilt.making.Making;
import mildtilt.obstacle.Surroundings;
import mildtilt.rules.Rules;
import mildtilt.rules.ShippedRules;
import mildtilt.survey.Survey;
import mildtilt.withers.Withers;

/**
 * A vehicle's steering as planned. Either half may still be missing while the other is worked on.
 *
 * @param title short name of the job
 * @param about free text: whose vehicle, what for
 * @param column from steering wheel to gear, if laid out yet
 * @param axle gear, linkage and corners, if measured yet
 * @param rules the limits the column is judged by; the same for all variants
 * @param surroundings what is in the way; the same for all variants
 * @param survey what was measured on the vehicle; the same for all variants
 * @param making how it is made; the same for all variants
 * @param log what was read on the vehicles built to it; the same for all variants
 * @param changes what was done to the plan so far, the first one first
 * @param variants other ways to build it, kept beside the plan under its title; names differ
 */
@Withers
public record Job(
        String title,
        String about,
        Vehicle vehicle,
        Optional<Column> column,
        Optional<SteeredAxle> axle,
        Targets targets,
        Rules rules,
        Surroundings surroundings,
        Survey survey,
        Making making,
        FitLog log,
        List<Change> changes,
        List<Variant> variants) implements JobBuilder.With {

    /** What the thinnest tyre adds to its rim's diameter, mm. */
    private static final int LEAST_TYRE = 10;

    /** @throws ImpossibleGeometryException if two variants have one name */
    public Job {
        changes = List.copyOf(changes);
        variants = variants.stream().map(v -> v.of(title, about, rules, surroundings)).toList();
        if (variants.stream().map(Variant::name).distinct().count() < variants.size()) {
            throw new ImpossibleGeometryException("Two variants have the same name; give each its own.");
        }
        Optional<SteeredAxle> onWheels = axle;
        surroundings.own().rim().ifPresent(rim -> onWheels.ifPresent(a -> mustHaveTyre(rim, a)));
    }

    private static void mustHaveTyre(double rim, SteeredAxle a) {
        for (Side side : Side.values()) {
            double tyre = 2 * a.corner(side).knuckle().wheelCentre().z();
            if (rim > tyre - LEAST_TYRE) {
                throw new ImpossibleGeometryException("The rim of " + Math.round(rim) + " mm is too large for the " + side.label() + " tyre of " + Math.round(tyre)
                        + " mm: a tyre is at least " + LEAST_TYRE + " mm larger than its rim.");
            }
        }
    }

    /** Under the cautious rule set, nothing in the way, without variants. */
    public Job(String title, String about, Vehicle vehicle, Optional<Column> column, Optional<SteeredAxle> axle, Targets targets) {
        this(title, about, vehicle, column, axle, targets, ShippedRules.CAUTIOUS_ROAD.rules(), Surroundings.NONE, Survey.NONE, Making.NONE, FitLog.NONE, List.of(), List.of());
    }

    public Job editSurroundings(UnaryOperator<Surroundings> edit) {
        return withSurroundings(edit.apply(surroundings));
    }

    public Job editSurvey(UnaryOperator<Survey> edit) {
        return withSurvey(edit.apply(survey));
    }

    public Job editMaking(UnaryOperator<Making> edit) {
        return withMaking(edit.apply(making));
    }

    public Job editLog(UnaryOperator<FitLog> edit) {
        return withLog(edit.apply(log));
    }

    /** Vehicle, column, axle and wants, with nothing that was written down about them. */
    public Job planAlone() {
        return new Job("", "", vehicle, column, axle, targets);
    }

    /** With one more thing done to it written down; the oldest go when there are too many. */
    public Job after(Change change) {
        List<Change> all = new ArrayList<>(changes);
        all.add(change);
        return withChanges(all.subList(Math.max(0, all.size() - Change.MOST), all.size()));
    }

    public Job withColumn(Column c) {
        return new Job(title, about, vehicle, Optional.of(c), axle, targets, rules, surroundings, survey, making, log, changes, variants);
    }

    public Job withAxle(SteeredAxle a) {
        return new Job(title, about, vehicle, column, Optional.of(a), targets, rules, surroundings, survey, making, log, changes, variants);
    }

    /** The column changed; a job without one stays as it is. */
    public Job editColumn(UnaryOperator<Column> edit) {
        return column.map(c -> withColumn(edit.apply(c))).orElse(this);
    }

    /** The axle changed; a job without one stays as it is. */
    public Job editAxle(UnaryOperator<SteeredAxle> edit) {
        return axle.map(a -> withAxle(edit.apply(a))).orElse(this);
    }

    /** Another job's parts under this job's title, its variants kept. */
    public Job withSolution(Job other) {
        return new Job(title, about, other.vehicle, other.column, other.axle, other.targets, rules, surroundings, survey, making, log, changes, variants);
    }

    /** A variant added, in place of any of its name. */
    public Job keepingVariant(Variant variant) {
        List<Variant> kept = new ArrayList<>(withoutVariant(variant.name()).variants);
        kept.add(variant);
        return withVariants(kept);
    }

    /** The plan as it stands kept as a variant of this name, in place of any that had it. */
    public Job keepingVariant(String name) {
        return keepingVariant(new Variant(name, this));
    }

    public Job withoutVariant(String name) {
        return withVariants(variants.stream().filter(v -> !v.name().equals(name)).toList());
    }

    /**
     * The variant of this name as the plan, the plan so far kept as a variant under another name.
     *
     * @throws IllegalArgumentException if there is no such variant
     */
    public Job takingVariant(String name, String formerPlan) {
        Variant taken = variants.stream().filter(v -> v.name().equals(name)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no variant " + name));
        return withoutVariant(name).keepingVariant(formerPlan).withSolution(taken.job());
    }
}

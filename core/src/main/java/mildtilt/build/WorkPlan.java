package mildtilt.build;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * What was written on the run sheet and the list of what to buy.
 *
 * @param wanted the day it should be ready
 * @param hoursPerWeek that are worked on it
 * @param marks by the key of their step
 * @param ownSteps added by hand
 * @param purchases by the id of what is bought: a part's, or one made of its sizes
 * @param ownPurchases things to buy added by hand
 * @param located what locates what, where that is other than usual
 */
@Withers
public record WorkPlan(
        Optional<LocalDate> wanted,
        double hoursPerWeek,
        Map<String, StepMark> marks,
        List<OwnStep> ownSteps,
        Map<Id, Purchase> purchases,
        List<OwnPurchase> ownPurchases,
        List<Located> located)
        implements WorkPlanBuilder.With {

    public static final WorkPlan NONE =
            new WorkPlan(Optional.empty(), 12, Map.of(), List.of(), Map.of(), List.of(), List.of());

    /**
     * @param done the day it was ticked
     * @param by who ticked it: a role or initials
     * @param skipped left out of the work, with the reason in the note
     * @param hours it takes, where other than usual
     */
    @Withers
    public record StepMark(Optional<LocalDate> done, String by, String note, boolean skipped, Optional<Double> hours)
            implements WorkPlanStepMarkBuilder.With {
        public static final StepMark NONE = new StepMark(Optional.empty(), "", "", false, Optional.empty());

        public StepMark {
            if (hours.filter(h -> !(h >= 0 && h <= 1000)).isPresent()) {
                throw new ImpossibleGeometryException("A step's hours must be 0 to 1000.");
            }
        }
    }

    /** @param step key of the step that needs it */
    public record OwnPurchase(Id id, String what, String step) {}

    /** One thing is set by another, so that it comes after. */
    public record Located(LocatingStep step, LocatingStep by) {}

    /** @param after key of the step it comes after */
    public record OwnStep(String key, String after, String title) {}

    /**
     * @param price of all of it together, in the workshop's own currency
     * @param leadDays from ordering to having it
     */
    @Withers
    public record Purchase(
            Optional<Double> price,
            Optional<Integer> leadDays,
            Optional<LocalDate> ordered,
            Optional<LocalDate> arrived)
            implements WorkPlanPurchaseBuilder.With {
        public static final Purchase NONE =
                new Purchase(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        public Purchase {
            if (price.filter(p -> !(p >= 0)).isPresent()
                    || leadDays.filter(d -> d < 0 || d > 3650).isPresent()) {
                throw new ImpossibleGeometryException(
                        "A price can't be negative, and a delivery time must be within ten years.");
            }
        }
    }

    public WorkPlan {
        marks = Collections.unmodifiableMap(new TreeMap<>(marks));
        ownSteps = List.copyOf(ownSteps);
        purchases = Collections.unmodifiableMap(new TreeMap<>(purchases));
        ownPurchases = List.copyOf(ownPurchases);
        located = List.copyOf(located);
        for (Located l : located) {
            if (comesAfter(l.by, l.step, located, new HashSet<>())) {
                throw new ImpossibleGeometryException("What locates what goes round in a circle: " + l.step.label()
                        + " by " + l.by.label() + ", and that by it.");
            }
        }
        if (!(hoursPerWeek > 0 && hoursPerWeek <= 168)) {
            throw new ImpossibleGeometryException("Hours worked in a week must be 0 to 168.");
        }
    }

    /** Whether a step is located by another, however far back, or is it. */
    private static boolean comesAfter(
            LocatingStep step, LocatingStep other, List<Located> all, Set<LocatingStep> seen) {
        return step == other
                || seen.add(step) && all.stream().anyMatch(l -> l.step == step && comesAfter(l.by, other, all, seen));
    }

    /**
     * With one thing located by another.
     *
     * @throws ImpossibleGeometryException if that goes round in a circle
     */
    public WorkPlan withLocated(LocatingStep step, LocatingStep by) {
        List<Located> all = new ArrayList<>(located);
        Located l = new Located(step, by);
        if (!all.contains(l)) {
            all.add(l);
        }
        return withLocated(all);
    }

    public StepMark mark(String key) {
        return marks.getOrDefault(key, StepMark.NONE);
    }

    public Purchase purchase(Id what) {
        return purchases.getOrDefault(what, Purchase.NONE);
    }

    public WorkPlan withMark(String key, StepMark mark) {
        Map<String, StepMark> all = new LinkedHashMap<>(marks);
        if (mark.equals(StepMark.NONE)) {
            all.remove(key);
        } else {
            all.put(key, mark);
        }
        return withMarks(all);
    }

    /** A step of one's own after another, with a key no other has. */
    public WorkPlan withOwnStep(String after, String title) {
        int n = 1;
        while (hasOwn("own-" + n)) {
            n++;
        }
        List<OwnStep> all = new ArrayList<>(ownSteps);
        all.add(new OwnStep("own-" + n, after, title));
        return withOwnSteps(all);
    }

    private boolean hasOwn(String key) {
        return ownSteps.stream().anyMatch(s -> s.key().equals(key));
    }

    public WorkPlan withoutOwnStep(String key) {
        return withOwnSteps(ownSteps.stream().filter(s -> !s.key().equals(key)).toList())
                .withMark(key, StepMark.NONE);
    }

    public WorkPlan withPurchase(Id what, Purchase p) {
        Map<Id, Purchase> all = new LinkedHashMap<>(purchases);
        all.put(what, p);
        return withPurchases(all);
    }

    /** With something more to buy for a step; what is on the list already is bought for that step. */
    public WorkPlan withOwnPurchase(String what, String step) {
        List<OwnPurchase> all = new ArrayList<>(ownPurchases);
        Optional<OwnPurchase> there =
                ownPurchases.stream().filter(o -> o.what.equals(what)).findFirst();
        there.ifPresentOrElse(
                o -> all.set(all.indexOf(o), new OwnPurchase(o.id, what, step)),
                () -> all.add(new OwnPurchase(
                        Id.Kind.PURCHASE.next(
                                Stream.concat(ownPurchases.stream().map(OwnPurchase::id), purchases.keySet().stream())),
                        what,
                        step)));
        return withOwnPurchases(all);
    }

    public WorkPlan withoutOwnPurchase(Id id) {
        Map<Id, Purchase> left = new LinkedHashMap<>(purchases);
        left.remove(id);
        return withOwnPurchases(
                        ownPurchases.stream().filter(o -> !o.id.equals(id)).toList())
                .withPurchases(left);
    }
}

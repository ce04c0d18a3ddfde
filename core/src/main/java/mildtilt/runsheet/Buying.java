package mildtilt.runsheet;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.build.WorkPlan;
import mildtilt.build.WorkPlan.Purchase;
import mildtilt.id.Id;
import mildtilt.units.Phrase;

/**
 * What must be bought, when it must be ordered, and what can be done meanwhile.
 *
 * @param meanwhile titles of steps that wait for nothing that is still to come
 * @param price of everything that has one
 * @param unpriced how many things have none yet
 */
public record Buying(List<Item> items, List<String> meanwhile, double price, int unpriced) {

    /** @param key of the part, or made of its sizes; @param step that needs it */
    public record Wanted(Id key, Phrase what, double count, String countedIn, String step) {}

    /**
     * @param needed the day its step begins, for the day the job is wanted
     * @param latest day to order it
     * @param late days that the latest day is past already, if it is not ordered
     */
    public record Item(
            Wanted wanted,
            Purchase purchase,
            boolean own,
            String stepTitle,
            Optional<LocalDate> needed,
            Optional<LocalDate> latest,
            long late) {}

    public static Buying of(List<Wanted> wanted, RunSheet sheet, WorkPlan plan, LocalDate today) {
        List<Wanted> all = new ArrayList<>(wanted);
        plan.ownPurchases()
                .forEach(o -> all.add(new Wanted(o.id(), Phrase.of(Phrase.name(o.what())), 1, "", o.step())));
        List<Item> items = new ArrayList<>();
        Set<String> missing = new LinkedHashSet<>();
        double price = 0;
        int unpriced = 0;
        for (Wanted w : all) {
            Purchase p = plan.purchase(w.key());
            Optional<RunSheet.Line> line = sheet.line(w.step());
            boolean settled = line.filter(l -> !l.toDo()).isPresent();
            Optional<LocalDate> needed = settled || p.arrived().isPresent()
                    ? Optional.empty()
                    : plan.wanted().map(d -> d.minusDays(sheet.daysFrom(w.step(), plan.hoursPerWeek())));
            Optional<LocalDate> latest = p.ordered().isPresent()
                    ? Optional.empty()
                    : needed.flatMap(d -> p.leadDays().map(d::minusDays));
            long late = latest.map(d -> Math.max(0, ChronoUnit.DAYS.between(d, today)))
                    .orElse(0L);
            if (p.arrived().isEmpty() && !settled) {
                missing.add(w.step());
            }
            price += p.price().orElse(0.0);
            unpriced += p.price().isEmpty() ? 1 : 0;
            items.add(new Item(
                    w,
                    p,
                    w.key().is(Id.Kind.PURCHASE),
                    line.map(l -> l.step().title()).orElse("the work"),
                    needed,
                    latest,
                    late));
        }
        Set<String> held = sheet.held(missing);
        List<String> meanwhile = sheet.lines().stream()
                .filter(l -> l.toDo() && !held.contains(l.step().key()))
                .map(l -> l.step().title())
                .toList();
        return new Buying(List.copyOf(items), meanwhile, price, unpriced);
    }
}

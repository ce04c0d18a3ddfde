package mildtilt.trials;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * What was looked at before the vehicle was driven, and after it was driven first: a builder's record, not an approval.
 *
 * @param ticks by the id of their item
 * @param own items added by hand
 * @param driven when it was first driven, if it was
 */
@Withers
public record Inspection(Map<Id, Tick> ticks, List<Own> own, Optional<LocalDate> driven)
        implements InspectionBuilder.With {

    public static final Inspection NONE = new Inspection(Map.of(), List.of(), Optional.empty());

    /** @param found true fine, false not; @param by who looked: a role or initials */
    public record Tick(boolean found, String by, LocalDate day, String note) {}

    /** An item added by hand. */
    public record Own(Id id, String what) {}

    public Inspection {
        ticks = Collections.unmodifiableMap(new TreeMap<>(ticks));
        own = List.copyOf(own);
    }

    public Optional<Tick> tick(Id item) {
        return Optional.ofNullable(ticks.get(item));
    }

    public Inspection withTick(Id item, Optional<Tick> tick) {
        Map<Id, Tick> all = new LinkedHashMap<>(ticks);
        all.remove(item);
        tick.ifPresent(t -> all.put(item, t));
        return new Inspection(all, own, driven);
    }

    /** With an item more; what is on the list already stays there once. */
    public Inspection withOwn(String what) {
        if (own.stream().anyMatch(o -> o.what.equals(what))) {
            return this;
        }
        List<Own> all = new ArrayList<>(own);
        all.add(new Own(Id.Kind.CHECK.next(Stream.concat(own.stream().map(Own::id), ticks.keySet().stream())), what));
        return withOwn(all);
    }
}

package mildtilt.trial;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.withers.Withers;

/**
 * What was looked at before the vehicle was driven, and after it was driven first: a builder's record, not an approval.
 *
 * @param ticks by the key of their item
 * @param own items added by hand
 * @param driven when it was first driven, if it was
 */
@Withers
public record Inspection(Map<String, Tick> ticks, List<String> own, Optional<LocalDate> driven) implements InspectionBuilder.With {

    public static final Inspection NONE = new Inspection(Map.of(), List.of(), Optional.empty());

    /** @param found true fine, false not; @param by who looked: a role or initials */
    public record Tick(boolean found, String by, LocalDate day, String note) {}

    public Inspection {
        ticks = Collections.unmodifiableMap(new TreeMap<>(ticks));
        own = List.copyOf(own);
    }

    public Optional<Tick> tick(String key) {
        return Optional.ofNullable(ticks.get(key));
    }

    public Inspection withTick(String key, Optional<Tick> tick) {
        Map<String, Tick> all = new LinkedHashMap<>(ticks);
        all.remove(key);
        tick.ifPresent(t -> all.put(key, t));
        return new Inspection(all, own, driven);
    }

    public Inspection withOwn(String item) {
        List<String> all = new ArrayList<>(own);
        if (!all.contains(item)) {
            all.add(item);
        }
        return new Inspection(ticks, all, driven);
    }
}

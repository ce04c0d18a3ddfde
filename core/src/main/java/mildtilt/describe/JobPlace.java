package mildtilt.describe;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A place in a job: behind a key, or one of a list, from the outside in. As a person reads it {@code column, joints
 * number 2, centre, z}.
 *
 * @param around the place round it; null for the whole
 * @param key of this place; a number for one of a list, 0 the first
 */
public record JobPlace(@Nullable JobPlace around, Object key) {

    /** The whole. */
    public static final JobPlace WHOLE = new JobPlace(null, "");

    private static final Pattern UNIT = Pattern.compile("(.*)_(mm|deg|pct|n|nm|kg|mpa|c)");
    private static final Map<String, String> UNITS = Map.of(
            "mm", " mm", "deg", "°", "pct", " %", "n", " N", "nm", " N·m", "kg", " kg", "mpa", " N/mm²", "c", " °C");

    /** A coordinate of a point. */
    private record Axis(int index) {}

    public JobPlace in(String k) {
        return new JobPlace(this, k);
    }

    /** @param index 0 the first */
    public JobPlace at(int index) {
        return new JobPlace(this, index);
    }

    /** @param index 0 x, 1 y, 2 z */
    public JobPlace axis(int index) {
        return new JobPlace(this, new Axis(index));
    }

    /** As a person reads it, without a capital. */
    public String words() {
        if (around == null) {
            return "the file itself";
        }
        String before = around.around == null ? "" : around.words();
        return switch (key) {
            case Integer n -> before + " number " + (n + 1);
            case Axis a -> before + ", " + "xyz".charAt(a.index());
            default -> (before.isEmpty() ? "" : before + ", ") + plain(key.toString());
        };
    }

    /**
     * What the place is found by, in small letters, digits and hyphens, such as {@code column-joints-max-angle-deg}:
     * alike for all parts of a list.
     */
    public String id() {
        String before = around == null || around.around == null ? "" : around.id() + "-";
        return switch (key) {
            case Integer _ -> around == null ? "" : around.id();
            case Axis a -> before + "xyz".charAt(a.index());
            default -> before + key.toString().replace('_', '-');
        };
    }

    /** The unit of the number there, with its space, as the key says; empty for one without. */
    public String unit() {
        for (JobPlace s = this; s.around != null; s = s.around) {
            if (s.key instanceof String k) {
                Matcher m = UNIT.matcher(k);
                return m.matches() ? UNITS.getOrDefault(m.group(2), "") : "";
            }
        }
        return "";
    }

    /** A key without its unit and its strokes. */
    public static String plain(String key) {
        Matcher m = UNIT.matcher(key);
        return RefusalText.cut((m.matches() ? m.group(1) : key).replace('_', ' '));
    }
}

package mildtilt.describe;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One value of a part.
 *
 * @param component of the record that holds it; empty for a constant of the file
 * @param get the value as it is written, of a part
 * @param into what the part is made from, of the value as it is read and what else is read
 * @param label what the window calls it; empty if it does not show it as it is
 * @param help what it means, in a few words
 */
public record Field<T, V>(
        String component,
        Shape<V> shape,
        Function<T, V> get,
        BiFunction<Found, V, Object> into,
        String label,
        String help) {

    /** Where it stands in the file. */
    public sealed interface Shape<V> {

        /** Behind a key of its own. */
        record Keyed<V>(String key, Kind<V> kind, Presence<V> presence) implements Shape<V> {}

        /** Its keys among those of the part. */
        record Inline<V>(Form<V> form) implements Shape<V> {}

        /** Always the same, such as the format's name. */
        record Constant(String key, Object value) implements Shape<Object> {}

        /** Not in the file: always this. */
        record Fixed(Object value) implements Shape<Object> {}
    }

    /** Whether it must be there. */
    public sealed interface Presence<V> {

        record Required<V>() implements Presence<V> {}

        /** @param usual the value where it is left out; @param written even if it is as usual */
        record Usual<V>(Function<Found, V> usual, boolean written) implements Presence<V> {}

        /** The part has it or has not. */
        record May<V>() implements Presence<V> {}
    }

    /** What is read of a part so far, by component. */
    public interface Found {

        /** @throws Missing if it could not be read */
        <X> X get(String component);
    }

    /** That something another value hangs on could not be read: what was wrong with it is reported already. */
    public static final class Missing extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public Missing() {
            super(null, null, false, false);
        }
    }

    Field<T, V> called(String name) {
        return new Field<>(component, shape, get, into, name, help);
    }

    public Optional<String> key() {
        return shape instanceof Shape.Keyed<V> k ? Optional.of(k.key()) : Optional.empty();
    }

    /** The value of a part; null where it has none. */
    public @Nullable Object of(T part) {
        Object v = get.apply(part);
        return v instanceof Optional<?> o ? o.orElse(null) : v;
    }
}

package mildtilt.describe;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.id.Id;

/** What can stand in a field. */
public sealed interface Kind<V> {

    /** A number in a range, in the unit that its key names. */
    record Size(Range range) implements Kind<Double> {}

    /** A whole number. */
    record Whole(int least, int most) implements Kind<Integer> {}

    /** Free text, by the number of its characters. */
    record Text(int least, int most) implements Kind<String> {

        /** What people call something. */
        public static final Text NAME = new Text(1, 200);

        /** A line that may be left empty. */
        public static final Text LINE = new Text(0, 200);

        /** A few sentences, or none. */
        public static final Text NOTE = new Text(0, 2000);
    }

    record Flag() implements Kind<Boolean> {}

    /** One of a few, written as its constant's name in small letters. */
    record Choice<E extends Enum<E>>(Class<E> of) implements Kind<E> {}

    /** Several of a few, at least one. */
    record Choices<E extends Enum<E>>(Class<E> of) implements Kind<Set<E>> {}

    /** The id of something; of one kind, or of anything. */
    record Reference(Optional<Id.Kind> kind) implements Kind<Id> {

        public static final Reference ANY = new Reference(Optional.empty());

        public static Reference to(Id.Kind kind) {
            return new Reference(Optional.of(kind));
        }
    }

    /** The key of a step of the run sheet: {@code stands}, {@code join-1}. */
    record StepKey() implements Kind<String> {}

    /** A point {@code [x, y, z]}, mm. @param z its height */
    record Place(Range z) implements Kind<Point> {

        public static final Place ANYWHERE = new Place(Ranges.COORDINATE);
    }

    /** A direction {@code [x, y, z]} of any length but 0. */
    record Heading() implements Kind<Direction> {}

    record Day() implements Kind<LocalDate> {}

    /** A day and a time. */
    record Moment() implements Kind<LocalDateTime> {}

    /**
     * A list.
     *
     * @param soFar looks at what is read of it after each element, before the next: throws
     *     {@link mildtilt.geometry.ImpossibleGeometryException} if that is too much already
     */
    record Many<V>(Kind<V> of, int least, int most, Consumer<List<V>> soFar) implements Kind<List<V>> {

        public Many(Kind<V> of, int least, int most) {
            this(of, least, most, _ -> {});
        }
    }

    /** A part, in braces of its own. */
    record Group<T>(Form<T> form) implements Kind<T> {}

    /** The values of a part as a list, without their keys: {@code [20, 17.5]}. */
    record Row<T>(Part<T> part) implements Kind<T> {}

    /** A list of groups, each with a key unlike any other's. @param key of a group; its help says what it is */
    record ByKey<K, V>(String key, Kind<K> of, String help, Part<V> part, int most) implements Kind<Map<K, V>> {}

    /** A group of groups, one for each constant that is there. */
    record ByConstant<E extends Enum<E>, V>(Class<E> of, Part<V> part) implements Kind<Map<E, V>> {}
}

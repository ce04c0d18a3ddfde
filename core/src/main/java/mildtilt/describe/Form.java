package mildtilt.describe;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.solid.TriangleMesh;

/** How something is written in braces: its keys and what stands behind them. */
public sealed interface Form<T> permits Part, Form.Kinds, Form.Either, Form.Under, Form.Packed {

    /** What it is, for the schema. */
    String help();

    /**
     * One of several parts, told apart by a word.
     *
     * @param key whose value is the word
     * @param usual the word that is meant where the key is left out
     * @param savedWord whether the usual word is written, too
     * @param kinds by their words
     */
    record Kinds<T>(
            String key, Optional<String> usual, boolean savedWord, Map<String, Part<? extends T>> kinds, String help)
            implements Form<T> {

        /** The word for a value. */
        public String word(T value) {
            return kinds.entrySet().stream()
                    .filter(e -> e.getValue().type().isInstance(value))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("no kind for " + value.getClass()));
        }

        /** With no kinds yet. */
        public static <T> Kinds<T> of(String key, String help) {
            return new Kinds<>(key, Optional.empty(), true, Map.of(), help);
        }

        /** With one kind more. */
        public Kinds<T> or(String word, Part<? extends T> part) {
            Map<String, Part<? extends T>> all = new LinkedHashMap<>(kinds);
            all.put(word, part);
            return new Kinds<>(key, usual, savedWord, all, help);
        }

        /** The same with a word that is meant where there is none. */
        public Kinds<T> usually(String word, boolean savedWord) {
            return new Kinds<>(key, Optional.of(word), savedWord, kinds, help);
        }
    }

    /**
     * One of several, told apart by which keys there are.
     *
     * @param ways in which it is written
     * @param otherwise where the keys are of none
     * @param refusal the message where the keys fit none, or two
     */
    record Either<T>(
            List<Variant<? extends T>> ways, Optional<Variant<? extends T>> otherwise, String refusal, String help)
            implements Form<T> {

        /** @param key that says it is this one; empty for the one that is meant otherwise; @param form its keys */
        public record Variant<T>(String key, Class<T> type, Form<T> form) {}

        /** With no ways yet. */
        public static <T> Either<T> of(String refusal, String help) {
            return new Either<>(List.of(), Optional.empty(), refusal, help);
        }

        /** With one way more. */
        public Either<T> or(String key, Part<? extends T> part) {
            return or(way(key, part));
        }

        /** With one way more, whose part stands in braces behind the key. */
        public Either<T> under(String key, Part<? extends T> part) {
            return or(wayUnder(key, part));
        }

        private Either<T> or(Variant<? extends T> way) {
            List<Variant<? extends T>> all = new ArrayList<>(ways);
            all.add(way);
            return new Either<>(List.copyOf(all), otherwise, refusal, help);
        }

        /** With what is meant where no key says which it is. */
        public Either<T> otherwise(Part<? extends T> part) {
            return new Either<>(ways, Optional.of(way("", part)), refusal, help);
        }

        private static <X> Variant<X> way(String key, Part<X> part) {
            return new Variant<>(key, part.type(), part);
        }

        private static <X> Variant<X> wayUnder(String key, Part<X> part) {
            return new Variant<>(key, part.type(), new Under<>(key, part));
        }

        /** The way in which a value is written. */
        public Variant<? extends T> of(T value) {
            return Stream.concat(ways.stream(), otherwise.stream())
                    .filter(w -> w.type().isInstance(value))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("no way for " + value.getClass()));
        }
    }

    /** A part in braces behind one key. */
    record Under<T>(String key, Part<T> part) implements Form<T> {

        @Override
        public String help() {
            return part.help();
        }
    }

    /** A scan's triangles, packed: the keys {@code corners} and {@code triangles}. */
    record Packed(String help) implements Form<TriangleMesh> {}
}

package mildtilt.glossary;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Every term in order of the alphabet. */
public final class Glossary {

    /**
     * @param meaning in a sentence or two
     * @param usual what is usual, or empty
     * @param explains labels of headlines that it is about
     */
    public record Term(String name, String meaning, String usual, List<String> explains) {}

    private static final List<Term> TERMS = read();

    private Glossary() {}

    public static List<Term> terms() {
        return TERMS;
    }

    /** The term that explains a headline's label. */
    public static Optional<Term> explaining(String label) {
        return TERMS.stream().filter(t -> t.explains.contains(label)).findFirst();
    }

    /** Terms whose name or meaning holds all words that are looked for. */
    public static List<Term> find(String words) {
        List<String> all = Arrays.stream(words.toLowerCase(Locale.ROOT).strip().split("\\s+")).toList();
        return TERMS.stream().filter(t -> all.stream().allMatch(w -> (t.name + " " + t.meaning).toLowerCase(Locale.ROOT).contains(w)))
                .sorted((a, b) -> Boolean.compare(!a.name.toLowerCase(Locale.ROOT).contains(words.strip().toLowerCase(Locale.ROOT)), !b.name.toLowerCase(Locale.ROOT).contains(words.strip().toLowerCase(Locale.ROOT)))).toList();
    }

    private static List<Term> read() {
        try (InputStream in = Glossary.class.getResourceAsStream("/mildtilt/glossary/glossary.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().filter(l -> !l.isBlank()).map(l -> {
                String[] p = l.split("\\|", -1);
                return new Term(p[0], p[1], p[2], p[3].isEmpty() ? List.of() : List.of(p[3].split(";")));
            }).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}

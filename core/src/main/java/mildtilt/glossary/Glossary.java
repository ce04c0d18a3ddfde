package mildtilt.glossary;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mildtilt.analysis.Headline;

/** Every term in order of the alphabet. */
public final class Glossary {

    /**
     * @param meaning in a sentence or two
     * @param usual what is usual, or empty
     * @param explains figures that it is about
     * @param also other words for it, or words that ask for it
     */
    public record Term(String name, String meaning, String usual, List<Headline> explains, List<String> also) {

        /** What it means and what is usual, as one text. */
        public String explanation() {
            return meaning + (usual.isEmpty() ? "" : " Usual: " + usual);
        }
    }

    private record Word(Pattern pattern, int length, Term term) {}

    private static final List<Term> TERMS = read();

    /** The patterns to look for, built on first use so that a start does not wait for them. */
    private static final class Words {
        /** Longest first, so that a tie rod is not taken for a rod. */
        private static final List<Word> ALL = TERMS.stream()
                .flatMap(t -> Stream.concat(Stream.of(t.name), t.also.stream())
                        .map(w -> new Word(
                                Pattern.compile("(?i)(?<![\\p{L}-])" + Pattern.quote(w) + "(s|es)?(?![\\p{L}])"),
                                w.length(),
                                t)))
                .sorted(Comparator.comparingInt((Word w) -> -w.length))
                .toList();
    }

    private Glossary() {}

    public static List<Term> terms() {
        return TERMS;
    }

    /** The term that explains the figure of this label; each figure has one. */
    public static Optional<Term> explaining(String label) {
        return TERMS.stream()
                .filter(t -> t.explains.stream().anyMatch(h -> h.label().equals(label)))
                .findFirst();
    }

    /** The terms a text speaks of, in the order in which it does; the one that explains it as a whole first. */
    public static List<Term> in(String text) {
        String left = text;
        SortedMap<Integer, Term> found = new TreeMap<>();
        explaining(text).ifPresent(t -> found.put(-1, t));
        for (Word w : Words.ALL) {
            Matcher m = w.pattern.matcher(left);
            while (m.find()) {
                found.put(m.start(), w.term);
                left = left.substring(0, m.start()) + "\0".repeat(m.end() - m.start()) + left.substring(m.end());
                m.reset(left);
            }
        }
        return found.values().stream().distinct().toList();
    }

    /** Terms whose name or meaning holds all words that are looked for. */
    public static List<Term> find(String words) {
        List<String> all = Arrays.stream(words.toLowerCase(Locale.ROOT).strip().split("\\s+"))
                .toList();
        return TERMS.stream()
                .filter(t -> all.stream().allMatch(w -> (t.name + " " + t.meaning + " " + t.also)
                        .toLowerCase(Locale.ROOT)
                        .contains(w)))
                .sorted((a, b) -> Boolean.compare(
                        !a.name.toLowerCase(Locale.ROOT).contains(words.strip().toLowerCase(Locale.ROOT)),
                        !b.name.toLowerCase(Locale.ROOT).contains(words.strip().toLowerCase(Locale.ROOT))))
                .toList();
    }

    private static List<String> list(String text) {
        return text.isEmpty() ? List.of() : List.of(text.split(";"));
    }

    /** @param usual empty where it is as of the first figure that the term is about */
    private static Term term(String name, String meaning, String usual, List<Headline> explains, List<String> also) {
        return new Term(
                name,
                meaning,
                usual.isEmpty()
                        ? explains.stream().map(Headline::usual).findFirst().orElse("")
                        : usual,
                explains,
                also);
    }

    private static Headline figure(String key) {
        return Arrays.stream(Headline.values())
                .filter(h -> h.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no figure " + key));
    }

    private static List<Term> read() {
        try (InputStream in = Glossary.class.getResourceAsStream("/mildtilt/glossary/glossary.txt")) {
            List<Term> all = new ArrayList<>(new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.isBlank())
                    .map(l -> {
                        String[] p = l.split("\\|", -1);
                        return term(
                                p[0],
                                p[1],
                                p[2],
                                list(p[3]).stream().map(Glossary::figure).toList(),
                                list(p[4]));
                    })
                    .toList());
            // A figure without a term of its own is a term itself.
            for (Headline h : Headline.values()) {
                if (all.stream().noneMatch(t -> t.explains.contains(h))) {
                    all.add(new Term(h.label(), h.meaning(), h.usual(), List.of(h), List.of()));
                }
            }
            all.sort(Comparator.comparing(t -> t.name.toLowerCase(Locale.ROOT)));
            return List.copyOf(all);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}

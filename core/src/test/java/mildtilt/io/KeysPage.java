package mildtilt.io;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.JobPlace;
import mildtilt.describe.Kind;
import mildtilt.describe.Part;
import mildtilt.describe.Range;
import mildtilt.describe.RefusalText;
import mildtilt.id.Id;
import mildtilt.io.jobfile.FormWriter;
import mildtilt.io.jobfile.SchemaMaker;

/** The page of docs/ that tells every key of a job file, made from the descriptions. */
final class KeysPage {

    private static final String HEAD = """
            # Every key of a job file

            Made from the descriptions in `mildtilt.parts`, which the program itself reads and writes by: it can't differ from what is read. What stands here is
            renewed, not edited ([changing the program](changing.md) says how). [The job file](job-format.md) tells what is true of all of it: frame, units, ids, versions.

            "needed" means that a file without it is refused.
            """;
    private static final int LONGEST_USUAL = 60;

    private final Map<Form<?>, String> titles = new IdentityHashMap<>();
    private final Deque<Form<?>> waiting = new ArrayDeque<>();
    private final StringBuilder page = new StringBuilder(HEAD);

    static String of(Part<?> root) {
        KeysPage made = new KeysPage();
        made.link(root);
        while (!made.waiting.isEmpty()) {
            made.section(made.waiting.removeFirst());
        }
        return made.page.toString();
    }

    private String link(Form<?> form) {
        String title = titles.get(form);
        if (title == null) {
            title = free(title(form));
            titles.put(form, title);
            waiting.add(form);
        }
        return "[" + title.toLowerCase(Locale.ROOT) + "](#"
                + title.toLowerCase(Locale.ROOT).replace(' ', '-') + ")";
    }

    private String free(String wanted) {
        String title = wanted;
        for (int n = 2; titles.containsValue(title); n++) {
            title = wanted + " " + n;
        }
        return title;
    }

    private static String title(Form<?> form) {
        String words = SchemaMaker.type(form)
                .getSimpleName()
                .replaceAll("([a-z])([A-Z])", "$1 $2")
                .toLowerCase(Locale.ROOT);
        return RefusalText.capital(words);
    }

    private void section(Form<?> form) {
        page.append("\n## ")
                .append(titles.get(form))
                .append("\n\n")
                .append(RefusalText.capital(form.help()))
                .append(".\n\n");
        switch (form) {
            case Form.Kinds<?> k -> {
                kinds(k);
                page.append('\n');
                tables(k);
            }
            case Form.Either<?> e -> either(e);
            case Part<?> _, Form.Under<?> _, Form.Packed _ -> table(form);
        }
    }

    private void kinds(Form.Kinds<?> k) {
        page.append("| `").append(k.key()).append("` | what |\n|---|---|\n");
        k.kinds().forEach((word, part) -> page.append("| `\"")
                .append(word)
                .append("\"` | ")
                .append(part.help())
                .append(k.usual().filter(word::equals).isPresent() ? "; meant where it is left out" : "")
                .append(" |\n"));
    }

    private void tables(Form.Kinds<?> k) {
        k.kinds().forEach((word, part) -> {
            if (!part.fields().isEmpty()) {
                page.append("`\"").append(word).append("\"`:\n\n");
                table(part);
                page.append('\n');
            }
        });
        page.setLength(page.length() - 1);
    }

    private void either(Form.Either<?> e) {
        e.ways().forEach(w -> {
            page.append("With `").append(w.key()).append("`:\n\n");
            table(w.form());
            page.append('\n');
        });
        e.otherwise().ifPresent(w -> {
            page.append("Otherwise:\n\n");
            table(w.form());
            page.append('\n');
        });
        page.setLength(page.length() - 1);
    }

    private void table(Form<?> form) {
        page.append("| key | what | can be | if left out |\n|---|---|---|---|\n");
        rows(form);
    }

    private void rows(Form<?> form) {
        switch (form) {
            case Part<?> p -> p.fields().forEach(this::row);
            case Form.Kinds<?> k ->
                page.append("| `")
                        .append(k.key())
                        .append("` and what goes with it | ")
                        .append(k.help())
                        .append(" | as ")
                        .append(link(k))
                        .append(" | ")
                        .append(k.usual().map(u -> "`\"" + u + "\"`").orElse("needed"))
                        .append(" |\n");
            case Form.Either<?> e ->
                page.append("| ")
                        .append(e.ways().stream().map(w -> "`" + w.key() + "`").collect(Collectors.joining(", ")))
                        .append(" … | ")
                        .append(e.help())
                        .append(" | as ")
                        .append(link(e))
                        .append(" | needed |\n");
            case Form.Under<?> u ->
                page.append("| `")
                        .append(u.key())
                        .append("` | ")
                        .append(u.help())
                        .append(" | ")
                        .append(link(u.part()))
                        .append(" | needed |\n");
            case Form.Packed _ ->
                page.append(
                        "| `corners` | x, y, z of each corner in mm, 4-byte floats, packed | text | needed |\n| `triangles` | three corner numbers each, packed | text | needed |\n");
        }
    }

    private <T, V> void row(Field<T, V> f) {
        switch (f.shape()) {
            case Shape.Keyed<V> k ->
                page.append("| `")
                        .append(k.key())
                        .append("` | ")
                        .append(f.help())
                        .append(" | ")
                        .append(kind(k.kind(), k.key()))
                        .append(" | ")
                        .append(absent(k))
                        .append(" |\n");
            case Shape.Inline<V> i -> rows(i.form());
            case Shape.Constant c ->
                page.append("| `")
                        .append(c.key())
                        .append("` | always the same | `")
                        .append(c.value())
                        .append("` | needed |\n");
            case Shape.Fixed _ -> {}
        }
    }

    private static <V> String absent(Shape.Keyed<V> k) {
        return switch (k.presence()) {
            case Presence.Required<V> _ -> "needed";
            case Presence.May<V> _ -> "none";
            case Presence.Usual<V> u -> {
                V usual;
                try {
                    usual = u.usual().apply(new Field.Found() {
                        @Override
                        public <X> X get(String component) {
                            throw new Field.Missing();
                        }
                    });
                } catch (Field.Missing e) {
                    yield "from the others";
                }
                JsonNode json;
                try {
                    json = FormWriter.value(k.kind(), usual);
                } catch (IllegalArgumentException e) {
                    yield "none";
                }
                String text = json.toString();
                yield json.isObject() || json.isArray() && json.isEmpty() || text.length() > LONGEST_USUAL
                        ? json.isEmpty() ? "none" : "as usual"
                        : text.equals("\"\"") ? "empty" : "`" + text + "`";
            }
        };
    }

    private String kind(Kind<?> kind, String key) {
        return switch (kind) {
            case Kind.Size s -> range(s.range(), key);
            case Kind.Whole w -> "whole, " + w.least() + " to " + w.most();
            case Kind.Text t -> "text";
            case Kind.Flag _ -> "true or false";
            case Kind.Choice<?> c -> words(c.of());
            case Kind.Choices<?> c -> "some of " + words(c.of());
            case Kind.Reference r ->
                r.kind()
                        .map(k -> "id of " + (k == Id.Kind.OBSTACLE ? "an " : "a ")
                                + k.name().toLowerCase(Locale.ROOT))
                        .orElse("an id");
            case Kind.StepKey _ -> "key of a step";
            case Kind.Place _ -> "[x, y, z]";
            case Kind.Heading _ -> "direction [x, y, z]";
            case Kind.Day _ -> "a day, `2027-03-28`";
            case Kind.Moment _ -> "a day and time, `2027-03-28T14:05`";
            case Kind.Many<?> m ->
                "list of " + (m.least() > 0 ? m.least() + " to " : "up to ") + m.most() + ": " + kind(m.of(), key);
            case Kind.Group<?> g -> link(g.form());
            case Kind.Row<?> r ->
                "[" + r.part().fields().stream().map(f -> f.key().orElseThrow()).collect(Collectors.joining(", "))
                        + "]";
            case Kind.ByKey<?, ?> b ->
                "list of up to " + b.most() + ": `" + b.key() + "` (" + b.help() + ", " + kind(b.of(), b.key())
                        + ") and the keys of " + link(b.part());
            case Kind.ByConstant<?, ?> b -> "group of " + link(b.part()) + ", any of " + words(b.of());
        };
    }

    private static String range(Range r, String key) {
        return RefusalText.shown(r.least()) + " to " + RefusalText.shown(r.most())
                + JobPlace.WHOLE.in(key).unit();
    }

    private static String words(Class<? extends Enum<?>> of) {
        return Arrays.stream(of.getEnumConstants())
                .map(e -> "`" + e.name().toLowerCase(Locale.ROOT) + "`")
                .collect(Collectors.joining(", "));
    }
}

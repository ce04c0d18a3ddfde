package mildtilt.app.forms;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.EvenRow;
import mildtilt.app.controls.WordField;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.ScrewThread;
import mildtilt.build.ThreadText;
import mildtilt.job.Job;
import mildtilt.report.Table;
import mildtilt.units.UnreadableMeasureException;

/** A pane of results and fields; each field changes the job. */
public abstract class FormPane extends FactsPane {

    private final Map<String, TablePane.Sort> sorts = new HashMap<>();

    protected FormPane(Workbench bench, String id) {
        super(bench, id);
    }

    /** A heading of the whole sheet, with what it is for. */
    protected final void title(String text, String about) {
        Label l = new Label(text);
        l.getStyleClass().add("make-title");
        add(l);
        if (!about.isEmpty()) {
            hint(about);
        }
    }

    /** Labelled controls in even columns. */
    protected final void row(Node... controls) {
        EvenRow f = new EvenRow(controls);
        f.getStyleClass().add("make-row");
        add(f);
    }

    /** A control under its name. */
    protected static Node named(String label, Node control) {
        Label l = new Label(label);
        l.getStyleClass().add("hint");
        VBox box = new VBox(1, l, control);
        if (control instanceof ChoiceBox<?> c) {
            c.setMaxWidth(Double.MAX_VALUE);
        }
        if (!label.isBlank()) {
            control.setAccessibleText(label);
        }
        return box;
    }

    protected final Node length(String label, String id, double mm, BiFunction<Job, Double, Job> set) {
        return size(SizeField.length(id, label, mm, set));
    }

    protected final Node number(String label, String id, double value, BiFunction<Job, Double, Job> set) {
        return size(SizeField.number(id, label, value, set));
    }

    protected final Node angle(String label, String id, double deg, BiFunction<Job, Double, Job> set) {
        return size(SizeField.angle(id, label, deg, set));
    }

    /** A length that need not be known: "none" takes it away. */
    protected final Node maybeLength(
            String label, String id, Optional<Double> mm, BiFunction<Job, Optional<Double>, Job> set) {
        return size(SizeField.optional(id, label, SizeField.Measure.LENGTH, mm, set));
    }

    protected final Node maybeNumber(
            String label, String id, Optional<Double> v, BiFunction<Job, Optional<Double>, Job> set) {
        return size(SizeField.optional(id, label, SizeField.Measure.NUMBER, v, set));
    }

    /** A size under its name. */
    protected final Node size(SizeField size) {
        return named(size.label(), size.control(bench, ""));
    }

    protected final Node words(String label, String id, String value, double width, BiFunction<Job, String, Job> set) {
        TextField f = new WordField(
                value, t -> bench.edit(label + (t.isBlank() ? " cleared" : ": " + t), j -> set.apply(j, t)));
        f.setId(id);
        f.setPrefWidth(width);
        return named(label, f);
    }

    /** A thread in its own standard, whatever lengths are shown in; its hand is kept where none is typed. */
    protected final Node thread(String label, String id, ScrewThread now, BiFunction<Job, ScrewThread, Job> set) {
        TextField f = new WordField(now.withHand(ScrewThread.Hand.RIGHT).label(), t -> {
            try {
                ScrewThread typed = ThreadText.parse(t, now.hand());
                bench.edit(label + ": " + typed.label(), j -> set.apply(j, typed));
            } catch (UnreadableMeasureException e) {
                bench.refuse(e.getMessage());
            }
        });
        f.setId(id);
        f.setPrefWidth(104);
        return named(label, f);
    }

    /** A day, written like 2027-04-10. */
    protected final Node day(
            String label, String id, Optional<LocalDate> day, BiFunction<Job, Optional<LocalDate>, Job> set) {
        WordField f = new WordField(day.map(LocalDate::toString).orElse(""), t -> {
            try {
                Optional<LocalDate> typed = t.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(t.strip()));
                bench.edit(label + typed.map(d -> ": " + d).orElse(" cleared"), j -> set.apply(j, typed));
            } catch (DateTimeException e) {
                bench.refuse("\"" + t + "\" is not a day. Write it like 2027-04-10, or leave it empty.");
            }
        });
        f.setId(id);
        f.setPromptText("yyyy-mm-dd");
        f.setPrefWidth(104);
        return named(label, f);
    }

    protected final <T> Node choice(
            String label, String id, List<T> from, T chosen, Function<T, String> name, BiFunction<Job, T, Job> set) {
        List<T> all = new ArrayList<>(from);
        if (!all.contains(chosen)) {
            all.addFirst(chosen);
        }
        ChoiceField field = new ChoiceField(
                id,
                label,
                "",
                all.stream().map(name).toList(),
                all.indexOf(chosen),
                (j, i) -> set.apply(j, all.get(i)));
        return named(label, field.control(bench, "", this::showAgain));
    }

    protected final <T> ChoiceBox<T> choiceBox(
            String id, List<T> from, Optional<T> chosen, Function<T, String> name, Consumer<T> take) {
        List<T> all = new ArrayList<>(from);
        chosen.filter(c -> !all.contains(c)).ifPresent(c -> all.addFirst(c));
        ChoiceBox<T> box = Choices.of(all, name, id, "");
        chosen.ifPresent(box::setValue);
        box.valueProperty().addListener((_, _, now) -> {
            if (now != null) {
                take.accept(now);
            }
        });
        return box;
    }

    /** A button beside the fields of its row. */
    protected static Button small(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.setMinWidth(USE_PREF_SIZE);
        b.setOnAction(_ -> run.run());
        return b;
    }

    /**
     * Some columns of a paper's table. @param keys of the columns, as in the CSV; with a plus, others shown small below
     * the first
     */
    protected final void table(Table t, String... keys) {
        add(new TablePane(
                t,
                List.of(keys),
                bench.lengthUnit(),
                Optional.ofNullable(sorts.get(t.file())),
                s -> {
                    s.ifPresentOrElse(x -> sorts.put(t.file(), x), () -> sorts.remove(t.file()));
                    showAgain();
                },
                bench::say));
    }
}

package mildtilt.app.column;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.FactsPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.column.Socket.Retention;
import mildtilt.rules.RuleLimit;
import mildtilt.rules.Rules;
import mildtilt.rules.Rules.Welding;
import mildtilt.rules.ShippedRules;
import mildtilt.units.Quantity;

/** The rule set the column is judged by: one that ships, or one's own copy of it, edited here or in a file. */
public final class RulesPane extends FactsPane {

    private final Runnable save;
    private final Runnable open;

    /** @param save keeps the rule set as a file. @param open takes one from a file */
    public RulesPane(Workbench bench, Runnable save, Runnable open) {
        super(bench, "rules-pane");
        this.save = save;
        this.open = open;
        refresh();
    }

    /**
     * Only the rules: they are there at once, and typing one limit after another is not disturbed by what is worked
     * out.
     */
    @Override
    protected Object basis(AnalysisUpdate worked) {
        return List.of(bench.job().rules(), worked.now().column().isPresent());
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        Rules rules = bench.job().rules();
        add(sets(rules));
        if (!rules.about().isEmpty()) {
            hint(rules.about());
        }
        GridPane grid = new GridPane();
        grid.getStyleClass().add("piece-grid");
        int row = 0;
        for (RuleLimit limit : RuleLimit.values()) {
            Label name = Wrap.text(limit.label(), "facts-name");
            MeasureField field = field(rules, limit);
            name.setLabelFor(field);
            GridPane.setHgrow(name, Priority.ALWAYS);
            grid.addRow(row++, name, field);
        }
        add(grid);
        GridPane chosen = new GridPane();
        chosen.getStyleClass().add("piece-grid");
        chosen.addRow(
                0,
                Wrap.whole("Welding a steering shaft"),
                choice(
                        "Welding a steering shaft",
                        "rule-welding",
                        Arrays.stream(Welding.values()).map(Welding::label).toList(),
                        rules.welding().ordinal(),
                        i -> edit("Welding: " + Welding.values()[i].label(), r -> r.withWelding(Welding.values()[i]))));
        chosen.addRow(
                1,
                Wrap.whole("Joints in the cabin"),
                choice(
                        "Joints in the cabin",
                        "rule-cabin",
                        List.of("allowed", "not allowed"),
                        rules.jointInCabin() ? 0 : 1,
                        i -> edit("Joints in the cabin", r -> r.withJointInCabin(i == 0))));
        add(chosen);
        head("What may keep a shaft in a fork");
        for (Retention hold : Retention.values()) {
            add(hold(rules, hold));
        }
        if (!rules.locking().isEmpty()) {
            hint(rules.locking());
        }
        rules.classes()
                .forEach(c -> hint("Class \"" + c.name() + "\": wheelbase " + text(Quantity.length(c.wheelbaseMin()))
                        + " to " + text(Quantity.length(c.wheelbaseMax())) + ", up to "
                        + text(Quantity.length(c.widthMax())) + " wide"
                        + c.shaftHoleMax()
                                .map(h -> ", a shaft hole of up to " + text(Quantity.length(h)))
                                .orElse("")
                        + "."));
        button("Save this rule set as a file…", "save-rules", save);
        button("Open a rule set from a file…", "open-rules", open);
        if (!rules.differ().isEmpty()) {
            head("Where authorities differ");
            rules.differ().forEach(this::say);
        }
        hint(
                "A rule set is a builder's choice of caution, not a law, and keeping to it approves nothing. Ask the authority that inspects vehicles where you are; its "
                        + "rules come first.");
    }

    private ChoiceBox<String> sets(Rules rules) {
        List<String> names =
                Arrays.stream(ShippedRules.values()).map(s -> s.rules().name()).toList();
        Optional<ShippedRules> now = Arrays.stream(ShippedRules.values())
                .filter(s -> s.rules().equals(rules))
                .findFirst();
        List<String> options = now.isPresent()
                ? names
                : Stream.concat(names.stream(), Stream.of(rules.name())).toList();
        ChoiceBox<String> box =
                choice("Rule set", "rule-set", options, now.map(Enum::ordinal).orElse(names.size()), i -> {
                    if (i < names.size()) {
                        Rules chosen = ShippedRules.values()[i].rules();
                        bench.edit("Judge by the rule set \"" + chosen.name() + "\"", j -> j.withRules(chosen));
                    }
                });
        box.setMaxWidth(Double.MAX_VALUE);
        return box;
    }

    private ChoiceBox<String> choice(String name, String id, List<String> options, int chosen, IntConsumer take) {
        ChoiceBox<String> box = Choices.of(options, o -> o, id, name);
        box.getSelectionModel().select(chosen);
        // The box must be done with its own change before the pane is built anew.
        box.getSelectionModel().selectedIndexProperty().addListener((_, _, is) -> {
            if (is.intValue() >= 0 && is.intValue() != chosen) {
                Platform.runLater(() -> take.accept(is.intValue()));
            }
        });
        return box;
    }

    private CheckBox hold(Rules rules, Retention hold) {
        CheckBox box = new CheckBox(hold.label());
        box.setId("hold-" + hold.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        box.setSelected(rules.holds().contains(hold));
        box.setOnAction(_ -> {
            Set<Retention> holds = EnumSet.noneOf(Retention.class);
            holds.addAll(rules.holds());
            if (!holds.remove(hold)) {
                holds.add(hold);
            }
            if (!edit(
                    (holds.contains(hold) ? "Accept: " : "Do not accept: ") + hold.label(), r -> r.withHolds(holds))) {
                box.setSelected(rules.holds().contains(hold));
            }
        });
        return box;
    }

    private MeasureField field(Rules rules, RuleLimit limit) {
        String now = rules.get(limit).map(v -> shown(limit, v)).orElse(MeasureField.NONE);
        MeasureField field = limit == RuleLimit.KINK
                ? MeasureField.optional(
                        now,
                        t -> read(limit, t),
                        v -> edit(
                                limit.label() + ": "
                                        + v.map(x -> shown(limit, x)).orElse(MeasureField.NONE),
                                r -> v.map(x -> r.with(limit, x)).orElseGet(r::withoutKink)),
                        bench::refuse)
                : new MeasureField(
                        now,
                        t -> read(limit, t),
                        v -> edit(limit.label() + ": " + shown(limit, v), r -> r.with(limit, v)),
                        bench::refuse);
        field.setId("rule-" + limit.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        field.setAccessibleText(limit.label());
        return field;
    }

    private String shown(RuleLimit limit, double v) {
        return limit.unit().editable(v, bench.lengthUnit());
    }

    private double read(RuleLimit limit, String typed) {
        return limit.unit().parse(typed, bench.lengthUnit());
    }

    /** Changes the rule set, which is then no longer the one that shipped under its name. */
    private boolean edit(String change, UnaryOperator<Rules> edit) {
        return bench.edit("Rules: " + change, j -> j.withRules(ShippedRules.edited(j.rules(), edit.apply(j.rules()))));
    }
}

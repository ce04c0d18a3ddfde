package mildtilt.app.linkage;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.DoubleConsumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.analysis.SolveOutcome;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.SearchRow;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.solve.DesignVariable;
import mildtilt.solve.Goal;
import mildtilt.solve.SolveQuestion;
import mildtilt.solve.Target;
import mildtilt.solve.Target.Wish;
import mildtilt.solve.VariableBounds;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/**
 * Takes what may move, how far, and the targets; looks for answers in the background until cancelled; shows each with
 * its costs. Nothing changes until one is applied.
 */
public final class SolvePane extends VBox {

    private final Workbench bench;
    private final ChoiceBox<Goal> goal = Choices.of(Goal.class, Goal::label, "goal", "What to solve for");
    private final Label meaning = Wrap.text("", "hint");
    private final GridPane asked = new GridPane();
    private final SearchRow controls = new SearchRow("Solve", "run-work-out", "give-up", this::search, this::stop);
    private final VBox answers = new VBox();
    private final Map<DesignVariable, VariableBounds> freedoms = new EnumMap<>(DesignVariable.class);
    private final Map<Wish, Double> wants = new LinkedHashMap<>();
    private SolveOutcome.Stops stops = SolveOutcome.Stops.USUAL;
    private AtomicBoolean going = new AtomicBoolean();
    private Optional<Job> askedAbout = Optional.empty();

    public SolvePane(Workbench bench) {
        this.bench = bench;
        setId("solve-pane");
        getStyleClass().add("tab-pane-body");
        asked.getStyleClass().add("piece-grid");
        answers.getStyleClass().add("notes-cards");
        answers.setId("answers");
        VBox body = new VBox(goal, meaning, asked, controls, answers);
        body.getStyleClass().add("tab-body");
        ScrollPane scroll = Wrap.tall(body);
        getChildren().add(scroll);
        goal.setValue(Goal.LEAST_BUMP_STEER);
        goal.valueProperty().addListener((_, _, _) -> start());
        bench.lengthUnitProperty().addListener((_, _, _) -> ask());
        bench.jobProperty().addListener((_, _, _) -> jobChanged());
        visibleProperty().addListener((_, _, shown) -> {
            if (shown) {
                jobChanged();
            }
        });
        controls.searching(false);
    }

    /** Answers belong to the job they were worked out for; another asks anew. */
    private void jobChanged() {
        if (isVisible() && !bench.dragging() && !askedAbout.equals(Optional.of(bench.job()))) {
            start();
        }
    }

    private void start() {
        stop();
        answers.getChildren().clear();
        askedAbout = Optional.of(bench.job());
        freedoms.clear();
        wants.clear();
        Job job = bench.job();
        Goal g = goal.getValue();
        meaning.setText(g.meaning());
        g.variables(job).forEach(k -> freedoms.put(k, VariableBounds.either(k, k.usualReach())));
        g.wants(job).forEach(w -> wants.put(w.wish(), w.value()));
        ask();
    }

    private void ask() {
        asked.getChildren().clear();
        int row = 0;
        Job job = bench.job();
        Goal g = goal.getValue();
        if (g == Goal.LOCK_STOPS) {
            row = field(
                    row,
                    "Stop acts before anything else by",
                    "stop-before",
                    Measure.ANGLE,
                    stops.beforeDeg(),
                    v -> setStops(() -> stops.withBeforeDeg(v)));
            row = field(
                    row,
                    "Stop bolt from the steer axis",
                    "stop-radius",
                    Measure.LENGTH,
                    stops.boltRadius(),
                    v -> setStops(() -> stops.withBoltRadius(v)));
        }
        if (!wants.isEmpty()) {
            asked.add(sub("Wanted"), 0, row++, 2, 1);
        }
        for (Map.Entry<Wish, Double> w : wants.entrySet()) {
            row = field(
                    row,
                    w.getKey().label()
                            + (w.getKey().unit().isEmpty()
                                    ? ""
                                    : ", " + w.getKey().unit()),
                    "want-" + id(w.getKey()),
                    Measure.NUMBER,
                    w.getValue(),
                    w::setValue);
        }
        if (!g.variables(job).isEmpty()) {
            asked.add(sub("May change, either way by"), 0, row++, 2, 1);
        }
        for (DesignVariable k : g.variables(job)) {
            CheckBox use = new CheckBox(k.label());
            use.setId("knob-" + id(k));
            use.setSelected(freedoms.containsKey(k));
            use.setMinHeight(Region.USE_PREF_SIZE);
            use.setOnAction(_ -> {
                if (use.isSelected()) {
                    freedoms.put(k, VariableBounds.either(k, k.usualReach()));
                } else {
                    freedoms.remove(k);
                }
            });
            double reach = freedoms.containsKey(k) ? freedoms.get(k).most() : k.usualReach();
            MeasureField field = measure("reach-" + id(k), k.inDegrees() ? Measure.ANGLE : Measure.LENGTH, reach, v -> {
                if (VariableBounds.canReach(v)) {
                    freedoms.put(k, VariableBounds.either(k, v));
                    use.setSelected(true);
                } else {
                    bench.refuse("How far it may go must be above 0, and up to " + (int) VariableBounds.FURTHEST
                            + " mm or degrees; untick it to leave it as it is.");
                }
            });
            field.setAccessibleText(k.label() + ", either way by");
            GridPane.setHgrow(use, Priority.ALWAYS);
            asked.addRow(row++, use, field);
        }
        boolean can = g.isSearched()
                ? !wants.isEmpty() && !g.variables(job).isEmpty()
                : job.axle().isPresent();
        controls.setStartable(can);
        if (!can) {
            asked.add(Wrap.text(g.needs(), "hint"), 0, row, 2, 1);
        }
    }

    private void setStops(Supplier<SolveOutcome.Stops> to) {
        try {
            stops = to.get();
        } catch (ImpossibleGeometryException e) {
            bench.refuse(e.getMessage());
            ask();
        }
    }

    private static Label sub(String text) {
        Label l = new Label(text);
        l.getStyleClass().add("sub-head");
        return l;
    }

    private static String id(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private int field(int row, String label, String id, Measure measure, double value, DoubleConsumer take) {
        Label name = Wrap.text(label, "field-name");
        MeasureField field = measure(id, measure, value, take);
        field.setAccessibleText(label);
        name.setLabelFor(field);
        GridPane.setHgrow(name, Priority.ALWAYS);
        asked.addRow(row, name, field);
        return row + 1;
    }

    private MeasureField measure(String id, Measure measure, double value, DoubleConsumer take) {
        LengthUnit unit = bench.lengthUnit();
        MeasureField field = new MeasureField(
                switch (measure) {
                    case LENGTH -> LengthText.editable(value, unit);
                    case ANGLE -> LengthText.trimmed(value, 2) + "°";
                    case NUMBER -> LengthText.decimal(value, 2);
                },
                t -> switch (measure) {
                    case LENGTH -> LengthText.parse(t, unit);
                    case ANGLE -> LengthText.parseDegrees(t);
                    case NUMBER -> LengthText.parseNumber(t);
                },
                take,
                bench::refuse);
        field.setId(id);
        return field;
    }

    private void stop() {
        going.set(false);
        controls.searching(false);
    }

    private void search() {
        stop();
        controls.takeFocus();
        Job job = bench.job();
        AtomicBoolean mine = new AtomicBoolean(true);
        going = mine;
        SolveQuestion question = new SolveQuestion(
                List.copyOf(freedoms.values()),
                wants.entrySet().stream()
                        .map(w -> Target.of(w.getKey(), w.getValue()))
                        .toList());
        Goal g = goal.getValue();
        SolveOutcome.Stops set = stops;
        controls.searching(true);
        answers.getChildren().clear();
        CompletableFuture.supplyAsync(() -> SolveOutcome.of(job, g, question, set, done -> {
                    Platform.runLater(() -> controls.progress(done));
                    return mine.get();
                }))
                .whenComplete((found, problem) -> Platform.runLater(() -> {
                    if (!mine.get()) {
                        return;
                    }
                    controls.searching(false);
                    if (problem != null) {
                        bench.refuse("It could not be worked out: " + problem.getMessage());
                    } else {
                        show(g, found);
                    }
                }));
    }

    private void show(Goal g, SolveOutcome found) {
        found.notes().forEach(p -> answers.getChildren().add(Wrap.text(p.text(bench.lengthUnit()), "step")));
        found.nothing(g).ifPresent(t -> answers.getChildren().add(Wrap.text(t, "finding-what")));
        int n = 0;
        for (SolveOutcome.Priced p : found.answers()) {
            answers.getChildren().add(new SolveAnswerCard(bench, p.answer(), p.effect(), "answer-" + n++));
        }
    }

    private enum Measure {
        LENGTH,
        ANGLE,
        NUMBER
    }
}

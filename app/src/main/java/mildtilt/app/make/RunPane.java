package mildtilt.app.make;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mildtilt.app.controls.WordField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.LocatingStep;
import mildtilt.build.WorkPlan;
import mildtilt.build.WorkPlan.StepMark;
import mildtilt.job.Element;
import mildtilt.report.Papers;
import mildtilt.runsheet.RunSheet;
import mildtilt.units.LengthText;

/** The order of the work: what comes before what and why, ticked and dated. */
final class RunPane extends MakePane {

    private final Runnable print;
    private String open = "";

    /** @param print the sheet on paper */
    RunPane(Workbench bench, PapersDesk desk, Runnable print) {
        super(bench, desk, "make-run");
        this.print = print;
        refresh();
    }

    @Override
    protected void show(Papers p) {
        WorkPlan plan = p.analysis().job().making().plan();
        long done = p.run().lines().stream()
                .filter(l -> l.state() == RunSheet.State.DONE || l.state() == RunSheet.State.OUT_OF_ORDER)
                .count();
        title(
                "Order of work",
                "Made from the job: what must be fixed before what, and why. Press a step to see what to measure, what to have at hand, and what to beware of.");
        row(
                day(
                        "Wanted ready",
                        "run-wanted",
                        plan.wanted(),
                        (j, d) -> j.editMaking(m -> m.editPlan(x -> x.withWanted(d)))),
                number(
                        "Hours worked a week",
                        "run-hours",
                        plan.hoursPerWeek(),
                        (j, v) -> j.editMaking(m -> m.editPlan(x -> x.withHoursPerWeek(v)))),
                named(" ", small("Run sheet to print and tick…", "save-run-sheet", print)));
        double hours = p.run().lines().stream()
                .filter(RunSheet.Line::toDo)
                .mapToDouble(RunSheet.Line::hours)
                .sum();
        String left = done + " of " + p.run().lines().size() + " steps done, " + LengthText.trimmed(hours, 1)
                + " hours left.";
        say(left
                + p.run()
                        .begin(plan)
                        .map(d -> " For " + plan.wanted().orElseThrow() + " the rest has to be begun by " + d + "."
                                + (d.isBefore(desk.today()) ? " That day is past." : ""))
                        .orElse(""));
        if (open.isEmpty()) {
            open = p.run().lines().stream()
                    .filter(l -> l.state() == RunSheet.State.READY)
                    .map(l -> l.step().key())
                    .findFirst()
                    .orElse("none");
        }
        int n = 0;
        for (RunSheet.Line l : p.run().lines()) {
            step(p, l, ++n);
        }
    }

    private void mark(RunSheet.Line l, String change, UnaryOperator<StepMark> edit) {
        make(
                change,
                m -> m.editPlan(x ->
                        x.withMark(l.step().key(), edit.apply(x.mark(l.step().key())))));
    }

    private void step(Papers p, RunSheet.Line l, int n) {
        String key = l.step().key();
        CheckBox tick = new CheckBox();
        tick.setId("tick-" + key);
        tick.setAccessibleText("Done: " + l.step().title());
        tick.setSelected(l.mark().done().isPresent());
        tick.setOnAction(_ -> {
            boolean on = tick.isSelected();
            mark(
                    l,
                    (on ? "Done: " : "Not done: ") + l.step().title(),
                    x -> x.withDone(on ? Optional.of(desk.today()) : Optional.empty()));
            if (on && !l.open().isEmpty()) {
                bench.say("Ticked, though "
                        + p.run()
                                .line(l.open().getFirst().key())
                                .map(y -> "\"" + y.step().title() + "\"")
                                .orElse("another step")
                        + " should come first: " + l.open().getFirst().why() + ".");
            }
        });
        Button title = new Button(n + ". " + l.step().title());
        title.setId("step-" + key);
        title.getStyleClass().add("step-title");
        title.setMaxWidth(Double.MAX_VALUE);
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        title.setAlignment(Pos.CENTER_LEFT);
        title.setOnAction(_ -> {
            open = open.equals(key) ? "none" : key;
            showAgain();
        });
        HBox.setHgrow(title, Priority.ALWAYS);
        Label state = Wrap.whole(l.state().label()
                + l.mark().done().map(d -> " " + d).orElse("")
                + (l.mark().by().isBlank() ? "" : ", " + l.mark().by()));
        state.getStyleClass().add(l.state() == RunSheet.State.OUT_OF_ORDER ? "brings" : "hint");
        HBox row = new HBox(8, tick, title, state);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("obstacle-row");
        add(row);
        if (open.equals(key)) {
            details(p, l);
        }
    }

    private void details(Papers p, RunSheet.Line l) {
        String key = l.step().key();
        if (!l.step().needs().isEmpty()) {
            say("After "
                    + l.step().needs().stream()
                            .map(x -> "\""
                                    + p.run()
                                            .line(x.key())
                                            .map(y -> y.step().title())
                                            .orElse(x.key()) + "\", because " + x.why())
                            .collect(Collectors.joining("; "))
                    + ".");
        }
        if (!l.step().held().isEmpty()) {
            say("Hold: " + l.step().held() + ".");
        }
        l.step().measure().forEach(m -> say("Measure: " + m.text(bench.lengthUnit())));
        if (!l.step().proof().pattern().isEmpty()) {
            say("Proof: " + l.step().proof().text(bench.lengthUnit()));
        }
        if (!l.step().tools().isEmpty()) {
            hint("At hand: " + l.step().tools() + ".");
        }
        if (l.step().waitDays() > 0) {
            hint("Then wait " + LengthText.trimmed(l.step().waitDays(), 1)
                    + (l.step().waitDays() == 1 ? " day." : " days."));
        }
        l.step().cautions().forEach(c -> add(Wrap.text("! " + c, "brings")));
        located(p, l);
        WordField after = new WordField("", t -> {
            if (!t.isBlank()) {
                make("Add a step: " + t, m -> m.editPlan(x -> x.withOwnStep(key, t.strip())));
            }
        });
        after.setId("run-add-" + key);
        after.setPromptText("a step of your own");
        after.setPrefWidth(180);
        row(
                day(
                        "Done on",
                        "run-done-" + key,
                        l.mark().done(),
                        (j, d) -> j.editMaking(
                                m -> m.editPlan(x -> x.withMark(key, x.mark(key).withDone(d))))),
                words(
                        "By",
                        "run-by-" + key,
                        l.mark().by(),
                        110,
                        (j, t) -> j.editMaking(
                                m -> m.editPlan(x -> x.withMark(key, x.mark(key).withBy(t))))),
                maybeNumber(
                        "Hours",
                        "run-hours-" + key,
                        Optional.of(l.hours()),
                        (j, v) -> j.editMaking(
                                m -> m.editPlan(x -> x.withMark(key, x.mark(key).withHours(v))))),
                words(
                        "Note",
                        "run-note-" + key,
                        l.mark().note(),
                        240,
                        (j, t) -> j.editMaking(
                                m -> m.editPlan(x -> x.withMark(key, x.mark(key).withNote(t))))),
                named("Add after it", after),
                named(
                        " ",
                        l.step().own()
                                ? small(
                                        "Delete",
                                        "run-out-" + key,
                                        () -> make(
                                                "Take out " + l.step().title(),
                                                m -> m.editPlan(x -> x.withoutOwnStep(key))))
                                : small(
                                        l.mark().skipped() ? "Put back" : "Leave out",
                                        "run-skip-" + key,
                                        () -> mark(
                                                l,
                                                (l.mark().skipped() ? "Put back: " : "Leave out: ")
                                                        + l.step().title(),
                                                x -> x.withSkipped(!x.skipped())))));
    }

    /** What this step sets is set by something else than usual. */
    private void located(Papers p, RunSheet.Line l) {
        Optional<LocatingStep> step = locating(l.step().key());
        if (step.isEmpty()) {
            return;
        }
        List<LocatingStep> others = p.run().lines().stream()
                .flatMap(x -> locating(x.step().key()).stream())
                .filter(x -> x != step.get())
                .toList();
        List<Node> fields = new ArrayList<>();
        fields.add(named(
                "Locate it by",
                choiceBox(
                        "run-located-" + l.step().key(),
                        others,
                        Optional.empty(),
                        LocatingStep::label,
                        by -> make(
                                Element.capital(step.get().label()) + " located by " + by.label(),
                                m -> m.editPlan(x -> x.withLocated(step.get(), by))))));
        for (WorkPlan.Located own : p.analysis().job().making().plan().located()) {
            if (own.step() == step.get()) {
                fields.add(named(
                        " ",
                        small(
                                "Not by " + own.by().label(),
                                "run-not-located-" + own.by().key(),
                                () -> make(
                                        Element.capital(own.step().label()) + " not located by "
                                                + own.by().label(),
                                        m -> m.editPlan(x -> x.withLocated(x.located().stream()
                                                .filter(o -> !o.equals(own))
                                                .toList()))))));
            }
        }
        row(fields.toArray(Node[]::new));
    }

    private static Optional<LocatingStep> locating(String key) {
        return Arrays.stream(LocatingStep.values())
                .filter(s -> s.key().equals(key))
                .findFirst();
    }
}

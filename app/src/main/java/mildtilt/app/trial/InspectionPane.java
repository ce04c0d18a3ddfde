package mildtilt.app.trial;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mildtilt.app.controls.WordField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.FormPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.BuiltVehicle;
import mildtilt.trials.Inspection;
import mildtilt.trials.Inspection.Tick;
import mildtilt.trials.compare.InspectionList;
import mildtilt.trials.compare.InspectionList.Item;
import mildtilt.trials.compare.TrialTables;

/**
 * What is looked at before the vehicle is driven and after it was driven first, with who and when: a builder's record.
 */
final class InspectionPane extends FormPane {

    private final TrialDesk desk;
    private final Runnable savePdf;
    private String who = "";

    InspectionPane(Workbench bench, TrialDesk desk, Runnable savePdf) {
        super(bench, "trial-inspection");
        this.desk = desk;
        this.savePdf = savePdf;
        getStyleClass().addAll("make-sheet", "trial-sheet");
        refresh();
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return Optional.empty();
    }

    @Override
    protected Object basis(AnalysisUpdate worked) {
        return List.of(
                new SameOnly(worked.now()),
                new SameOnly(bench.job()),
                desk.vehicle().id());
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        BuiltVehicle v = desk.vehicle();
        title("Inspection: " + v.name(), "");
        add(Wrap.text(InspectionList.CAUTION, "step"));
        List<Item> items = InspectionList.of(worked.now(), v.inspection());
        say(TrialTables.signed(v, items).text(bench.lengthUnit()));
        WordField by = new WordField(who, t -> who = t.strip());
        by.setId("inspection-who");
        by.setPromptText("role or initials");
        by.setPrefWidth(140);
        WordField own = new WordField("", t -> {
            if (!t.isBlank()) {
                desk.edit("Also look at: " + t.strip(), b -> b.editInspection(i -> i.withOwn(t.strip())));
            }
        });
        own.setId("inspection-own");
        own.setPromptText("an item of your own");
        own.setPrefWidth(200);
        row(
                named("Looked at by", by),
                day(
                        "First driven on",
                        "inspection-driven",
                        v.inspection().driven(),
                        (j, d) -> j.editLog(l -> l.edit(v.id(), b -> b.editInspection(i -> i.withDriven(d))))),
                named("Add", own),
                named(" ", small("Save the sheet as PDF…", "inspection-pdf", savePdf)));
        for (InspectionList.Group g : InspectionList.Group.values()) {
            head(g.label());
            if (g == InspectionList.Group.AGAIN && v.inspection().driven().isEmpty()) {
                hint("After the first short, slow drive on closed ground.");
            }
            items.stream().filter(i -> i.group() == g).forEach(i -> item(v, i));
        }
    }

    private void item(BuiltVehicle v, Item item) {
        Optional<Tick> tick = v.inspection().tick(item.id());
        String id = item.id().text().replaceAll("[^a-z0-9]+", "-");
        ToggleButton fine =
                state("Passed", "inspect-fine-" + id, tick.filter(Tick::found).isPresent());
        ToggleButton wrong = state(
                "Failed", "inspect-wrong-" + id, tick.filter(t -> !t.found()).isPresent());
        fine.setOnAction(_ -> mark(item, fine.isSelected() ? Optional.of(true) : Optional.empty(), tick));
        wrong.setOnAction(_ -> mark(item, wrong.isSelected() ? Optional.of(false) : Optional.empty(), tick));
        Label what = Wrap.text(item.what().text(bench.lengthUnit()), "step");
        HBox.setHgrow(what, Priority.ALWAYS);
        what.setMaxWidth(Double.MAX_VALUE);
        Label result = Wrap.text(
                tick.map(t -> t.day() + (t.by().isBlank() ? "" : ", " + t.by())).orElse("open"),
                tick.filter(t -> !t.found()).isPresent() ? "brings" : "hint");
        result.setMinWidth(110);
        WordField note = new WordField(
                tick.map(Tick::note).orElse(""),
                text -> tick.ifPresent(t -> desk.edit(
                        "Note: " + text,
                        b -> b.editInspection(
                                i -> i.withTick(item.id(), Optional.of(new Tick(t.found(), t.by(), t.day(), text)))))));
        note.setId("inspect-note-" + id);
        note.setPromptText("note");
        note.setAccessibleText("Note");
        note.setPrefWidth(220);
        note.setMinWidth(140);
        // A note goes with what was found.
        note.setVisible(tick.isPresent());
        HBox row = new HBox(8, fine, wrong, what, note, result);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("obstacle-row");
        add(row);
    }

    private static ToggleButton state(String text, String id, boolean on) {
        ToggleButton b = new ToggleButton(text);
        b.setId(id);
        b.setSelected(on);
        b.setMinWidth(USE_PREF_SIZE);
        b.getStyleClass().add("tick-button");
        return b;
    }

    private void mark(Item item, Optional<Boolean> found, Optional<Tick> before) {
        LocalDate today = desk.today();
        Optional<Tick> tick =
                found.map(f -> new Tick(f, who, today, before.map(Tick::note).orElse("")));
        String change = found.map(f -> f ? "Passed: " : "Failed: ").orElse("Open again: ")
                + item.group().label();
        desk.edit(change, b -> b.editInspection((Inspection i) -> i.withTick(item.id(), tick)));
    }
}

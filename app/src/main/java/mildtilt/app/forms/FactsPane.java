package mildtilt.app.forms;

import java.lang.ref.WeakReference;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** A side pane that shows results, rebuilt whenever they change while it is in sight. */
public abstract class FactsPane extends VBox {

    protected final Workbench bench;
    private final VBox body = new VBox();
    private Optional<List<Object>> shown = Optional.empty();
    private WeakReference<Job> shownOf = new WeakReference<>(null);

    protected FactsPane(Workbench bench, String id) {
        this.bench = bench;
        setId(id);
        getStyleClass().add("tab-pane-body");
        body.getStyleClass().add("tab-body");
        getChildren().add(Wrap.tall(body));
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        visibleProperty().addListener((_, _, _) -> refresh());
    }

    /**
     * To be called by the subclass once it is made. What is being typed elsewhere in the pane is not disturbed without
     * need.
     */
    protected final void refresh() {
        if (!isVisible()) {
            letGo();
            return;
        }
        if (bench.analysisProperty().get().isEmpty()) {
            return;
        }
        AnalysisUpdate worked = bench.analysisProperty().get().get();
        List<Object> now = List.of(basis(worked), bench.lengthUnit());
        if (shown.equals(Optional.of(now))) {
            return;
        }
        shown = Optional.of(now);
        shownOf = new WeakReference<>(bench.job());
        Optional<String> focused = Optional.ofNullable(getScene())
                .map(Scene::getFocusOwner)
                .filter(n -> n.getId() != null && body.lookup("#" + n.getId()) == n)
                .map(Node::getId);
        body.getChildren().clear();
        missing(worked).ifPresentOrElse(why -> add(Wrap.text(why, "hint")), () -> show(worked));
        focused.map(id -> body.lookup("#" + id)).ifPresent(Node::requestFocus);
    }

    /** A hidden pane shows an old job, and its buttons keep that job's figures in memory: let them go. */
    private void letGo() {
        if (shown.isPresent() && !shownOf.refersTo(bench.job())) {
            shown = Optional.empty();
            body.getChildren().clear();
        }
    }

    /** Makes the pane anew though nothing it is made from has changed: something of its own has. */
    protected final void showAgain() {
        shown = Optional.empty();
        refresh();
    }

    /** Why there is nothing to tell, if there is not. */
    protected Optional<String> missing(AnalysisUpdate worked) {
        if (worked.now().column().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(
                worked.now().job().column().isPresent()
                        ? "The column could not be worked out. Findings says why."
                        : "This job has no column yet.");
    }

    /** What the pane is made from: while that stays the same, so does the pane. */
    protected Object basis(AnalysisUpdate worked) {
        return new SameOnly(worked.now());
    }

    /**
     * Equal only to the same object: comparing two analyses takes longer than drawing one. Held weakly, so that a
     * hidden pane keeps no old analysis.
     */
    public static final class SameOnly {
        private final WeakReference<Object> thing;
        private final int hash;

        public SameOnly(Object thing) {
            this.thing = new WeakReference<>(thing);
            hash = System.identityHashCode(thing);
        }

        @Override
        public boolean equals(Object o) {
            Object mine = thing.get();
            return o instanceof SameOnly s && mine != null && s.thing.get() == mine;
        }

        @Override
        public int hashCode() {
            return hash;
        }
    }

    /** Adds everything to the empty pane; nothing it needs is missing. */
    protected abstract void show(AnalysisUpdate worked);

    protected final void add(Node node) {
        body.getChildren().add(node);
    }

    protected final void head(String text) {
        Label l = new Label(text);
        l.getStyleClass().add("sub-head");
        add(l);
    }

    protected final void say(String text) {
        add(Wrap.text(text, "step"));
    }

    protected final void say(String text, Quantity... figures) {
        say(Phrase.of(text, figures).text(bench.lengthUnit()));
    }

    protected final void hint(String text) {
        add(Wrap.text(text, "hint"));
    }

    protected final Button button(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.setWrapText(true);
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(_ -> run.run());
        add(b);
        return b;
    }

    protected final void change(String text, String id, String change, UnaryOperator<Job> edit) {
        button(text, id, () -> bench.edit(change, edit));
    }

    protected final String text(Quantity q) {
        return q.text(bench.lengthUnit());
    }

    /** A table: the first column takes what room there is, the others stand to the right. */
    protected final void table(List<String> heads, List<List<String>> rows) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("facts-grid");
        for (int i = 0; i < heads.size(); i++) {
            ColumnConstraints c = new ColumnConstraints();
            c.setHalignment(i == 0 ? HPos.LEFT : HPos.RIGHT);
            c.setHgrow(i == 0 ? Priority.ALWAYS : Priority.NEVER);
            grid.getColumnConstraints().add(c);
            Label head = Wrap.text(heads.get(i), "hint");
            grid.add(head, i, 0);
        }
        for (int r = 0; r < rows.size(); r++) {
            for (int i = 0; i < heads.size(); i++) {
                Label cell = i == 0
                        ? Wrap.text(rows.get(r).get(i), "facts-name")
                        : new Label(rows.get(r).get(i));
                if (i > 0) {
                    cell.getStyleClass().add("facts-figure");
                    cell.setMinWidth(USE_PREF_SIZE);
                }
                grid.add(cell, i, r + 1);
            }
        }
        add(grid);
    }
}

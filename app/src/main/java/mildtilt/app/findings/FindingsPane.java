package mildtilt.app.findings;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TitledPane;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.findings.checks.NotJudged;
import mildtilt.job.Job;

/** All findings, and what could not be judged. */
public final class FindingsPane extends VBox {

    private final Workbench bench;
    private final FindingList rows;
    private final Label head = new Label();
    private final Label none = Wrap.text("", "finding-why");
    private final TitledPane notJudged = new TitledPane();
    private VBox openLines = new VBox();

    public FindingsPane(Workbench bench) {
        this.bench = bench;
        rows = new FindingList(bench, "finding-", _ -> true);
        getStyleClass().add("findings-pane");
        setId("notes");
        notJudged.setId("not-judged");
        notJudged.setExpanded(false);
        notJudged.setAnimated(false);
        // What is folded away is not laid out.
        notJudged.expandedProperty().addListener((_, _, open) -> notJudged.setContent(open ? openLines : null));
        none.managedProperty().bind(none.visibleProperty());
        notJudged.managedProperty().bind(notJudged.visibleProperty());
        head.setId("notes-head");
        head.getStyleClass().add("hint");
        VBox body = new VBox(5, head, rows, none, notJudged);
        body.getStyleClass().add("notes-body");
        ScrollPane scroll = Wrap.tall(body);
        scroll.getStyleClass().add("notes-scroll");
        getChildren().add(scroll);
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        bench.requestedFindingProperty()
                .addListener((_, _, asked) ->
                        asked.ifPresent(f -> bench.analysisProperty().get().ifPresent(w -> rows.open(w, f))));
        refresh();
        bench.requestedFindingProperty()
                .get()
                .ifPresent(f -> bench.analysisProperty().get().ifPresent(w -> rows.open(w, f)));
    }

    private void refresh() {
        Optional<AnalysisUpdate> worked = bench.analysisProperty().get();
        // Until the first figures come, or where none can: what was there before must not stand for another job.
        if (worked.isEmpty()) {
            head.setText("");
            rows.getChildren().clear();
            none.setVisible(false);
            notJudged.setVisible(false);
            return;
        }
        boolean any = rows.show(worked.get());
        List<Finding> all = worked.get().now().findings();
        long stops = all.stream().filter(f -> f.severity() == Severity.STOP).count();
        head.setText(stops + " stop, " + (all.size() - stops) + " check. Press one to go there.");
        Job job = worked.get().now().job();
        boolean nothing = job.column().isEmpty() && job.axle().isEmpty();
        none.setVisible(!any);
        none.setText(
                nothing
                        ? "There is no column and no axle in this job yet, so there is nothing to check. "
                                + "Open a job (Ctrl+O), or write one: docs/job-format.md says how."
                        : "The checks of this program found nothing. That is not an approval: tack, turn "
                                + "through the whole range, and have it looked at.");
        notJudged.setVisible(!worked.get().now().notJudged().isEmpty() && !nothing);
        if (notJudged.isVisible()) {
            notJudged(worked.get().now().notJudged());
        }
    }

    /** What could not be judged; folded until opened. */
    private void notJudged(List<NotJudged> all) {
        VBox lines = new VBox(6);
        for (NotJudged n : all) {
            lines.getChildren()
                    .addAll(
                            Wrap.text(n.matter(), "finding-what"),
                            Wrap.text(n.missing().text(bench.lengthUnit()), "finding-why"));
        }
        notJudged.setText("Not judged: " + all.size() + ", and what is missing");
        openLines = lines;
        notJudged.setContent(notJudged.isExpanded() ? lines : null);
    }
}

package mildtilt.app.findings;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.analysis.Effect;
import mildtilt.analysis.Headlines;
import mildtilt.app.controls.StateMark;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;

/** One finding as a row of a list: what is wrong and by how much; opened, why and what cures it. */
final class FindingRow extends VBox {

    private static final int MOST_EFFECTS = 5;

    private final Workbench bench;
    private final Finding first;
    private final boolean open;
    private final Label headline = new Label();
    private final Label where = new Label();
    private final Label figure = Wrap.whole("");
    private final Label what = Wrap.text("", "finding-what");
    private final Label why = Wrap.text("", "finding-why");
    private final boolean brief;

    /**
     * @param row the finding, and the same on the other side if there is one
     * @param brief without the remedies, as while something is dragged: none can be applied then
     * @param press what pressing the row does
     */
    FindingRow(
            Workbench bench,
            AnalysisUpdate worked,
            List<Finding> row,
            String id,
            boolean open,
            boolean brief,
            Runnable press) {
        this.bench = bench;
        this.first = row.getFirst();
        this.open = open;
        this.brief = brief;
        getStyleClass().addAll("finding-card", first.severity().word());
        setId(id);
        getProperties().put(Fault.class, first.fault());
        headline.getStyleClass().add("finding-headline");
        headline.setWrapText(true);
        headline.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(headline, Priority.ALWAYS);
        headline.setMaxWidth(Double.MAX_VALUE);
        where.getStyleClass().add("hint");
        figure.getStyleClass().add("finding-figure");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox line = new HBox(6, where, gap, figure);
        line.setAlignment(Pos.BASELINE_LEFT);
        VBox words = new VBox(headline, line);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox head = new HBox(8, StateMark.bare(first.severity()), words);
        head.setId(id + "-head");
        head.getStyleClass().add("finding-head");
        head.setFocusTraversable(true);
        head.setAccessibleRole(AccessibleRole.BUTTON);
        head.setOnMouseClicked(_ -> press.run());
        head.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                press.run();
                e.consume();
            }
        });
        getChildren().add(head);
        tell(worked, row);
        head.setAccessibleText(first.severity().label() + ": " + headline.getText() + ", " + figure.getText());
        if (open) {
            getChildren().addAll(what, why);
            if (!brief
                    && first.remedies().stream().anyMatch(r -> !worked.effects().containsKey(r))) {
                bench.lookAtRemedies(first);
            }
            int n = 0;
            for (Remedy remedy : brief ? List.<Remedy>of() : first.remedies()) {
                getChildren().add(remedy(worked, remedy, id + "-remedy-" + n++));
            }
        }
    }

    /** Whether this row can go on to tell of a finding as it is now, in other figures only. */
    boolean follows(Finding now, boolean nowOpen) {
        return brief
                && open == nowOpen
                && now.severity() == first.severity()
                && now.element().equals(first.element());
    }

    void tell(AnalysisUpdate worked, List<Finding> row) {
        Finding now = row.getFirst();
        headline.setText(now.headline(worked.now().job()));
        where.setText(now.fault().group().label() + (row.size() > 1 ? " · both sides" : ""));
        figure.setText(now.figure().map(q -> q.text(bench.lengthUnit())).orElse(""));
        what.setText(now.what().text(bench.lengthUnit()));
        why.setText(now.why().text(bench.lengthUnit()));
    }

    private VBox remedy(AnalysisUpdate worked, Remedy remedy, String id) {
        String action = remedy.action().text(bench.lengthUnit());
        Button apply = new Button("Apply");
        apply.setId(id);
        apply.getStyleClass().add("take-remedy");
        apply.setMinWidth(Region.USE_PREF_SIZE);
        apply.setAccessibleText("Apply: " + action);
        apply.setOnAction(_ -> bench.edit(action, first.what().text(bench.lengthUnit()), remedy.edit()));
        // What it does is shown before it is applied.
        Optional<Effect> known = Optional.ofNullable(worked.effects().get(remedy));
        apply.setDisable(known.isEmpty());
        Effect effect = known.orElse(Effect.NONE);
        Node figures = known.isPresent() ? effects(effect) : Wrap.text("Working out what it does …", "hint");
        Label words = Wrap.text(action, "remedy-action");
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox head = new HBox(8, words, apply);
        head.setAlignment(Pos.TOP_LEFT);
        VBox box = new VBox(head);
        effect.brings().forEach(f -> box.getChildren()
                .add(Wrap.text(
                        "But then: " + f.headline(worked.now().job())
                                + f.figure()
                                        .map(q -> ", " + q.text(bench.lengthUnit()))
                                        .orElse(""),
                        "brings")));
        box.getChildren().add(figures);
        box.getStyleClass().add("remedy");
        return box;
    }

    /** What the remedy changes most, before and after. */
    private Node effects(Effect effect) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("remedy-effect");
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().add(name);
        int at = 0;
        for (Headlines.Change c : effect.notable().stream().limit(MOST_EFFECTS).toList()) {
            Label before = Wrap.whole(text(c, c.before()));
            before.getStyleClass().add("figure-before");
            Label after = Wrap.whole(text(c, c.after()));
            after.getStyleClass().add("figure-now");
            grid.addRow(at++, new Label(c.headline().label()), before, Wrap.whole("→"), after);
        }
        return grid;
    }

    private String text(Headlines.Change c, Optional<Double> value) {
        return value.map(v -> c.headline().unit().format(v, bench.lengthUnit())).orElse("–");
    }
}

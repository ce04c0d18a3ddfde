package mildtilt.app.notes;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.analysis.Effect;
import mildtilt.analysis.Headlines;
import mildtilt.app.look.StateMark;
import mildtilt.app.look.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.app.workbench.Worked;
import mildtilt.check.Finding;
import mildtilt.check.Remedy;
import mildtilt.job.Element;

/** One finding: what, why, and each remedy with its effect shown before it is taken. */
final class FindingCard extends VBox {

    private final Workbench bench;
    private final Finding first;
    private final boolean brief;
    private final Label what;
    private final Label why;

    /** @param brief without the remedies, as while something is dragged: none can be taken then */
    FindingCard(Workbench bench, Worked worked, Finding finding, String id, boolean brief) {
        this.bench = bench;
        this.first = finding;
        this.brief = brief;
        getStyleClass().add("finding-card");
        getStyleClass().add(finding.severity().word());
        setId(id);
        Button where = new Button(Element.label(worked.now().job(), finding.element()));
        where.getStyleClass().add("where-link");
        where.setOnAction(_ -> bench.selectionProperty().set(Optional.of(finding.element())));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        what = Wrap.text("", "finding-what");
        why = Wrap.text("", "finding-why");
        tell(finding);
        getChildren().addAll(new HBox(new StateMark(finding.severity()), gap, where), what, why);
        int n = 0;
        for (Remedy remedy : brief ? List.<Remedy>of() : finding.remedies()) {
            getChildren().add(remedy(bench, worked, finding, remedy, id + "-remedy-" + n++));
        }
    }

    /** Whether this card can go on to tell of a finding as it is now, in other figures only. */
    boolean follows(Finding now) {
        return brief && now.severity() == first.severity() && now.element().equals(first.element());
    }

    void tell(Finding now) {
        what.setText(now.what().text(bench.lengthUnit()));
        why.setText(now.why().text(bench.lengthUnit()));
    }

    private static VBox remedy(Workbench bench, Worked worked, Finding finding, Remedy remedy, String id) {
        String action = remedy.action().text(bench.lengthUnit());
        Button take = new Button("Do it");
        take.setId(id);
        take.getStyleClass().add("take-remedy");
        take.setMinWidth(Region.USE_PREF_SIZE);
        take.setAccessibleText("Do it: " + action);
        take.setOnAction(_ -> bench.edit(action, finding.what().text(bench.lengthUnit()), remedy.edit()));
        VBox effect = new VBox();
        effect.getStyleClass().add("remedy-effect");
        // What it does is shown before it is taken.
        take.setDisable(!worked.whole());
        if (!worked.whole()) {
            effect.getChildren().add(new Label("working out what it does"));
        }
        Effect what = worked.effects().getOrDefault(remedy, Effect.NONE);
        for (Headlines.Change c : what.notable().stream().limit(5).toList()) {
            effect.getChildren().add(new Label(c.text(bench.lengthUnit())));
        }
        HBox.setHgrow(effect, Priority.ALWAYS);
        HBox row = new HBox(8, effect, take);
        VBox box = new VBox(Wrap.text(action, "remedy-action"));
        what.brings().forEach(f -> box.getChildren().add(Wrap.text("But then: " + f.what().text(bench.lengthUnit()), "brings")));
        box.getChildren().add(row);
        box.getStyleClass().add("remedy");
        return box;
    }
}

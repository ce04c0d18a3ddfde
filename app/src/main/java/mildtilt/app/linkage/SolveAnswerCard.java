package mildtilt.app.linkage;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.analysis.Effect;
import mildtilt.analysis.Headlines;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Variants;
import mildtilt.solve.SolveAnswer;
import mildtilt.units.Phrase;

/** One answer: what to do, what is still missing, every figure it changes, and the press that takes it. */
final class SolveAnswerCard extends VBox {

    private static final int SHOWN = 9;

    SolveAnswerCard(Workbench bench, SolveAnswer answer, Effect effects, String id) {
        getStyleClass().addAll("finding-card", answer.meets() ? "meets" : "near");
        setId(id);
        String text = answer.sentence().text(bench.lengthUnit());
        getChildren().add(Wrap.text(text, "finding-what"));
        if (!answer.meets()) {
            for (Phrase missing : answer.missing()) {
                getChildren().add(Wrap.text("Not met: " + missing.text(bench.lengthUnit()), "finding-why"));
            }
        }
        VBox effect = new VBox();
        effect.getStyleClass().add("remedy-effect");
        List<Headlines.Change> notable = effects.notable();
        for (Headlines.Change c : notable.stream().limit(SHOWN).toList()) {
            effect.getChildren().add(new Label(c.text(bench.lengthUnit())));
        }
        if (notable.size() > SHOWN) {
            effect.getChildren().add(new Label("and " + (notable.size() - SHOWN) + " more"));
        }
        VBox brings = new VBox();
        effects.brings().forEach(f -> brings.getChildren()
                .add(Wrap.text("But then: " + f.what().text(bench.lengthUnit()), "brings")));
        Button take = new Button("Apply");
        take.setId(id + "-take");
        take.getStyleClass().add("take-remedy");
        take.setMinWidth(Region.USE_PREF_SIZE);
        take.setOnAction(_ -> bench.edit(text, j -> j.withPlan(answer.job().plan())));
        Button keep = new Button("Keep beside");
        keep.setId(id + "-keep");
        keep.setMinWidth(Region.USE_PREF_SIZE);
        keep.setOnAction(_ -> bench.edit(
                "Keep as a variant: " + text,
                j -> j.editVariants(v -> v.keeping(freeName(v), answer.job().plan()))));
        getChildren().addAll(brings, effect, new HBox(8, take, keep));
    }

    private static String freeName(Variants all) {
        int n = 1;
        while (all.named("Answer " + n).isPresent()) {
            n++;
        }
        return "Answer " + n;
    }
}

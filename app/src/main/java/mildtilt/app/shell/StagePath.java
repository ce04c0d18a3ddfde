package mildtilt.app.shell;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import mildtilt.app.controls.StateMark;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.findings.Severity;

/** The six stages in working order, each with the gravest of what is found in it. */
final class StagePath extends HBox {

    private final Workbench bench;
    private final Map<WorkStage, StateMark> marks = new EnumMap<>(WorkStage.class);
    private final Map<WorkStage, ToggleButton> buttons = new EnumMap<>(WorkStage.class);

    StagePath(Workbench bench) {
        this.bench = bench;
        getStyleClass().add("stages");
        setAlignment(Pos.CENTER_LEFT);
        for (WorkStage s : WorkStage.values()) {
            getChildren().add(button(s));
        }
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private ToggleButton button(WorkStage s) {
        StateMark mark = StateMark.bare(Severity.FINE);
        ToggleButton b = new ToggleButton(s.label(), mark);
        b.setId("stage-" + s.name().toLowerCase(Locale.ROOT));
        b.getStyleClass().add("stage-button");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setTooltip(new Tooltip(s.label()));
        b.setSelected(bench.stageProperty().get() == s);
        b.setOnAction(_ -> {
            bench.stageProperty().set(s);
            b.setSelected(true);
        });
        bench.stageProperty().addListener((_, _, now) -> b.setSelected(now == s));
        marks.put(s, mark);
        buttons.put(s, b);
        return b;
    }

    private void refresh() {
        Optional<AnalysisUpdate> worked = bench.analysisProperty().get();
        for (WorkStage s : WorkStage.values()) {
            long stops = count(worked, s, Severity.STOP);
            long checks = count(worked, s, Severity.LOOK);
            Severity worst = stops > 0 ? Severity.STOP : checks > 0 ? Severity.LOOK : Severity.FINE;
            StateMark mark = marks.get(s);
            ToggleButton button = buttons.get(s);
            if (mark != null && button != null) {
                mark.show(worst);
                // Nothing is found among readings and trials: they are compared in the stage itself.
                mark.setVisible(worked.filter(w -> w.now().job().column().isPresent()
                                        || w.now().job().axle().isPresent())
                                .isPresent()
                        && (worst != Severity.FINE
                                || Arrays.asList(
                                                WorkStage.LINKAGE,
                                                WorkStage.COLUMN,
                                                WorkStage.CLEARANCE,
                                                WorkStage.MAKE)
                                        .contains(s)));
                String description = worst == Severity.FINE ? "nothing found" : stops + " stop, " + checks + " check";
                button.getTooltip().setText(s.label() + ": " + description);
                button.setAccessibleText(s.label() + ", " + description);
            }
        }
    }

    private static long count(Optional<AnalysisUpdate> worked, WorkStage stage, Severity severity) {
        return worked.stream()
                .flatMap(w -> w.now().findings().stream())
                .filter(f -> f.severity() == severity && WorkStage.of(f) == stage)
                .count();
    }
}

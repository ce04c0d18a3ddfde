package mildtilt.app.linkage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Job;
import mildtilt.job.Variant;

/** Every headline of the plan and of all variants in one table; what differs from the plan stands out. */
public final class VariantsTable extends BorderPane {

    private static final PseudoClass CHANGED = PseudoClass.getPseudoClass("changed");

    private final Workbench bench;
    private final GridPane grid = new GridPane();
    private final Map<Job, Optional<Headlines>> known = new HashMap<>();
    private int request;

    public VariantsTable(Workbench bench) {
        this.bench = bench;
        setId("variants-table");
        getStyleClass().add("variants-table");
        setMinSize(0, 0);
        grid.getStyleClass().add("variants-grid");
        Label head = new Label("The plan and its variants");
        head.getStyleClass().add("pane-head");
        setTop(head);
        ScrollPane scroll = new ScrollPane(grid);
        scroll.getStyleClass().add("table-scroll");
        setCenter(scroll);
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        visibleProperty().addListener((_, _, _) -> refresh());
    }

    private void refresh() {
        if (!isVisible()) {
            return;
        }
        Optional<Headlines> plan =
                bench.analysisProperty().get().map(w -> w.now().headlines());
        List<Variant> variants = bench.job().variants().all();
        List<Job> jobs = variants.stream().map(bench.job()::as).toList();
        known.keySet().retainAll(jobs);
        List<Job> missing = jobs.stream().filter(j -> !known.containsKey(j)).toList();
        show(plan, variants);
        if (!missing.isEmpty()) {
            int mine = ++request;
            CompletableFuture.supplyAsync(() -> {
                        Map<Job, Optional<Headlines>> found = new HashMap<>();
                        missing.forEach(j -> found.put(j, Headlines.of(j)));
                        return found;
                    })
                    .thenAccept(found -> Platform.runLater(() -> {
                        known.putAll(found);
                        if (mine == request) {
                            refresh();
                        }
                    }));
        }
    }

    private void show(Optional<Headlines> plan, List<Variant> variants) {
        grid.getChildren().clear();
        grid.addRow(0, head(""), head("The plan"));
        for (int i = 0; i < variants.size(); i++) {
            grid.add(head(variants.get(i).name()), 2 + i, 0);
        }
        int row = 1;
        for (Headline h : Headline.values()) {
            Optional<Double> now = plan.flatMap(p -> p.get(h));
            boolean any = now.isPresent() || variants.stream().anyMatch(v -> of(v, h).isPresent());
            if (!any) {
                continue;
            }
            Label name = new Label(h.label());
            name.setTooltip(new Tooltip(h.explanation()));
            grid.add(name, 0, row);
            grid.add(figure(h, now, false), 1, row);
            for (int i = 0; i < variants.size(); i++) {
                Optional<Double> there = of(variants.get(i), h);
                grid.add(figure(h, there, new Headlines.Change(h, now, there).notable()), 2 + i, row);
            }
            row++;
        }
    }

    private Optional<Double> of(Variant v, Headline h) {
        return Optional.ofNullable(known.get(v)).flatMap(x -> x).flatMap(x -> x.get(h));
    }

    private static Label head(String text) {
        Label l = new Label(text);
        l.getStyleClass().add("sub-head");
        l.setMaxWidth(150);
        l.setWrapText(true);
        return l;
    }

    private Label figure(Headline h, Optional<Double> value, boolean changed) {
        Label l =
                new Label(value.map(v -> h.unit().format(v, bench.lengthUnit())).orElse("–"));
        l.getStyleClass().add("figure-now");
        l.pseudoClassStateChanged(CHANGED, changed);
        GridPane.setHalignment(l, HPos.RIGHT);
        return l;
    }
}

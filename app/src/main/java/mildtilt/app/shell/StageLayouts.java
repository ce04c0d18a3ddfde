package mildtilt.app.shell;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Properties;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import mildtilt.app.workbench.ViewChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.io.SafeFiles;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What the user last chose in each stage: the view, and whether the dock is folded; and how wide the side panel is.
 * Kept from one
 * start to the next. A convenience: errors are logged, and the usual layout is used.
 */
final class StageLayouts {

    static final double USUAL_SIDE = 348;

    private static final Logger LOG = LoggerFactory.getLogger(StageLayouts.class);

    private record Layout(ViewChoice view, boolean dockFolded) {}

    private final Path file;
    private final Workbench bench;
    private final Map<WorkStage, Layout> layouts = new EnumMap<>(WorkStage.class);
    private final DoubleProperty sideWidth = new SimpleDoubleProperty(USUAL_SIDE);
    private boolean taking;

    /** @param folder of what the program keeps for this user */
    StageLayouts(Path folder, Workbench bench) {
        file = folder.resolve("window.properties");
        this.bench = bench;
        read();
        take(bench.stageProperty().get());
        bench.stageProperty().addListener((_, _, now) -> take(now));
        bench.viewProperty().addListener((_, _, _) -> chosen());
        bench.dockFoldedProperty().addListener((_, _, _) -> chosen());
    }

    /** Of the side panel, pixels. */
    DoubleProperty sideWidthProperty() {
        return sideWidth;
    }

    private static Layout usual(WorkStage stage) {
        return new Layout(ViewChoice.usual(stage), false);
    }

    private void take(WorkStage stage) {
        Layout l = layouts.getOrDefault(stage, usual(stage));
        taking = true;
        bench.viewProperty().set(l.view);
        bench.dockFoldedProperty().set(l.dockFolded);
        taking = false;
    }

    private void chosen() {
        if (!taking) {
            layouts.put(
                    bench.stageProperty().get(),
                    new Layout(
                            bench.viewProperty().get(),
                            bench.dockFoldedProperty().get()));
        }
    }

    private void read() {
        if (!Files.isRegularFile(file)) {
            return;
        }
        Properties all = new Properties();
        try (Reader in = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
            all.load(in);
        } catch (IOException | IllegalArgumentException e) {
            LOG.warn("the layout of the window can't be read: {}", e.toString());
        }
        for (WorkStage s : WorkStage.values()) {
            Layout usual = usual(s);
            ViewChoice view = Arrays.stream(ViewChoice.values())
                    .filter(v -> v.name().equals(all.getProperty(s.name() + ".view")))
                    .findFirst()
                    .orElse(usual.view);
            layouts.put(s, new Layout(view, Boolean.parseBoolean(all.getProperty(s.name() + ".dock.folded", "false"))));
        }
        try {
            sideWidth.set(Double.parseDouble(all.getProperty("side.width", String.valueOf(USUAL_SIDE))));
        } catch (NumberFormatException e) {
            LOG.warn("the width of the side panel can't be read: {}", e.toString());
        }
    }

    /** Writes it down for the next start. */
    void keep() {
        Properties all = new Properties();
        layouts.forEach((stage, l) -> {
            all.setProperty(stage.name() + ".view", l.view.name());
            all.setProperty(stage.name() + ".dock.folded", String.valueOf(l.dockFolded));
        });
        all.setProperty("side.width", String.valueOf(Math.round(sideWidth.get())));
        try {
            Files.createDirectories(file.getParent());
            StringWriter out = new StringWriter();
            all.store(out, null);
            SafeFiles.replace(file, out.toString().getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            LOG.warn("the layout of the window can't be kept: {}", e.toString());
        }
    }
}

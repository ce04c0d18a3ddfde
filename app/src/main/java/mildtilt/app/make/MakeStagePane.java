package mildtilt.app.make;

import java.time.Clock;
import java.util.Locale;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mildtilt.app.look.Lazily;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.Workbench;

/** The Make stage: its sheets in the order the bench wants them, one shown. */
public final class MakeStagePane extends HBox {

    /** What can be taken out of the stage. */
    public interface Saving {

        void jobCard();

        void jobBook();

        void csv();

        void templates();

        void everything();
    }

    public MakeStagePane(Workbench bench, Clock clock, Saving saving) {
        getStyleClass().add("make-stage");
        setMinSize(0, 0);
        PapersDesk desk = new PapersDesk(bench, clock);
        VBox rail = new VBox();
        rail.getStyleClass().add("make-rail");
        StackPane sheets = new StackPane();
        sheets.setMinSize(0, 0);
        HBox.setHgrow(sheets, Priority.ALWAYS);
        for (MakeSheet s : MakeSheet.values()) {
            ToggleButton b = new ToggleButton(s.label());
            b.setId("make-" + s.name().toLowerCase(Locale.ROOT).replace('_', '-') + "-tab");
            b.getStyleClass().add("make-tab");
            b.setMaxWidth(Double.MAX_VALUE);
            b.setSelected(bench.makeSheetProperty().get() == s);
            b.setOnAction(_ -> {
                bench.makeSheetProperty().set(s);
                b.setSelected(true);
            });
            bench.makeSheetProperty().addListener((_, _, now) -> b.setSelected(now == s));
            rail.getChildren().add(b);
            Lazily.put(sheets, visibleProperty().and(bench.makeSheetProperty().isEqualTo(s)), () -> switch (s) {
                case CUT_LIST -> new CutListPane(bench, desk);
                case RODS -> new RodsPane(bench, desk);
                case FITS -> new FitsPane(bench, desk);
                case JOINS -> new JoinsPane(bench, desk);
                case TEMPLATES -> new TemplatesPane(bench, desk, saving::templates);
                case RUN -> new RunPane(bench, desk);
                case BUYING -> new BuyingPane(bench, desk);
                case HEAT -> new HeatPane(bench, desk);
                case PAPERS -> new PaperPane(bench, desk, clock, saving);
            });
        }
        getChildren().addAll(rail, sheets);
    }
}

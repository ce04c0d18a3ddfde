package mildtilt.app.make;

import java.time.Clock;
import javafx.scene.layout.HBox;
import mildtilt.app.controls.SheetRail;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.Workbench;

/** The Make stage: its sheets in the order the bench wants them, one shown. */
public final class MakeStagePane extends HBox {

    /** What can be taken out of the stage. */
    public interface Saving {

        void jobCard();

        void jobBook();

        void runSheet();

        void csv();

        void templates();

        void drawings();

        void checkSheets();

        /** The steering where the hands are, as a model for other programs. */
        void model();

        /** The steering from lock to lock, as a model that moves. */
        void movingModel();

        void everything();
    }

    public MakeStagePane(Workbench bench, Clock clock, Saving saving) {
        PapersDesk desk = new PapersDesk(bench, clock);
        setId("make-stage-pane");
        // Of which job what is shown is.
        desk.papersProperty()
                .addListener((_, _, p) -> setUserData(p.map(x -> x.analysis().job())));
        SheetRail.fill(this, "make", MakeSheet.values(), MakeSheet::label, bench.makeSheetProperty(), s -> switch (s) {
            case CUT_LIST -> new CutListPane(bench, desk);
            case FOUND -> new FoundPane(bench, desk);
            case RODS -> new RodsPane(bench, desk);
            case STOPS -> new StopsPane(bench, desk);
            case FITS -> new FitsPane(bench, desk);
            case JOINS -> new JoinsPane(bench, desk);
            case TEMPLATES -> new TemplatesPane(bench, desk, saving::templates);
            case DRAWINGS -> new DrawingsPane(bench, desk, saving::drawings);
            case RUN -> new RunPane(bench, desk, saving::runSheet);
            case BUYING -> new BuyingPane(bench, desk);
            case HEAT -> new HeatPane(bench, desk);
            case SET -> new SetPane(bench, desk, saving::checkSheets);
            case PAPERS -> new PaperPane(bench, desk, clock, saving);
        });
    }
}

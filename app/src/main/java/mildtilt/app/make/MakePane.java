package mildtilt.app.make;

import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.app.forms.FormPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.Making;
import mildtilt.report.Papers;

/** One sheet of the Make stage, rebuilt whenever the papers are. */
abstract class MakePane extends FormPane {

    protected final PapersDesk desk;

    MakePane(Workbench bench, PapersDesk desk, String id) {
        super(bench, id);
        this.desk = desk;
        getStyleClass().add("make-sheet");
        desk.papersProperty().addListener((_, _, _) -> refresh());
    }

    /** Adds everything to the empty sheet. */
    protected abstract void show(Papers p);

    @Override
    protected final void show(AnalysisUpdate worked) {
        show(desk.papersProperty().get().orElseThrow());
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return desk.papersProperty().get().isEmpty() ? Optional.of("Working it out …") : Optional.empty();
    }

    @Override
    protected Object basis(AnalysisUpdate worked) {
        return desk.papersProperty().get().<Object>map(SameOnly::new).orElse("none yet");
    }

    protected final boolean make(String change, UnaryOperator<Making> edit) {
        return bench.edit(change, j -> j.editMaking(edit));
    }
}

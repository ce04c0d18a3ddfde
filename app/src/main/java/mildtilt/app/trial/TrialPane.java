package mildtilt.app.trial;

import java.util.List;
import java.util.Optional;
import mildtilt.app.forms.FormPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Trial;

/** One sheet of the Trial stage, about the current trial; rebuilt when the trial or its result changes. */
abstract class TrialPane extends FormPane {

    protected final TrialDesk desk;

    TrialPane(Workbench bench, TrialDesk desk, String id) {
        super(bench, id);
        this.desk = desk;
        getStyleClass().addAll("make-sheet", "trial-sheet");
        desk.resultProperty().addListener((_, _, _) -> refresh());
        desk.vehicleProperty().addListener((_, _, _) -> refresh());
        desk.trialProperty().addListener((_, _, _) -> refresh());
    }

    /** Adds everything to the empty sheet. */
    protected abstract void show(Trial trial, TrialDesk.TrialResult result);

    @Override
    protected void show(AnalysisUpdate worked) {
        show(desk.trial().orElseThrow(), desk.result().orElseThrow());
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return desk.trial().isEmpty()
                ? Optional.of("There is no trial of " + desk.vehicle().name()
                        + " yet. Begin one on the sheet \"Measure\" or \"Trials\".")
                : desk.result().isEmpty() ? Optional.of("Working it out …") : Optional.empty();
    }

    @Override
    protected Object basis(AnalysisUpdate worked) {
        return List.of(
                new SameOnly(bench.job()),
                desk.vehicle().name(),
                desk.result().<Object>map(SameOnly::new).orElse("none yet"),
                desk.trial().map(t -> t.sheet().name()).orElse(""));
    }

    /** Which trial it is, under the sheet's title. */
    protected final void of(Trial t) {
        hint(desk.vehicle().name() + ", " + t.sheet().name() + ", "
                + t.sheet().at().toLocalDate()
                + (t.sheet().by().isBlank() ? "" : ", " + t.sheet().by()) + ": against the plan as it was then.");
    }
}

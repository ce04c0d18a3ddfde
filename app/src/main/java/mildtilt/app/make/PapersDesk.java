package mildtilt.app.make;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import mildtilt.analysis.Analysis;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.report.Papers;

/** Works the papers out beside the interface while the Make stage is looked at; the newest wins. */
public final class PapersDesk {

    private final Workbench bench;
    private final Clock clock;
    private final ReadOnlyObjectWrapper<Optional<Papers>> papers = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final LatestTask<Papers> beside;

    public PapersDesk(Workbench bench, Clock clock) {
        this.bench = bench;
        this.clock = clock;
        beside = new LatestTask<>(
                p -> papers.set(Optional.of(p)),
                problem -> bench.refuse("The papers could not be worked out: " + problem.getMessage()));
        bench.analysisProperty().addListener((_, _, _) -> ask());
        bench.stageProperty().addListener((_, _, _) -> ask());
        ask();
    }

    public ReadOnlyObjectProperty<Optional<Papers>> papersProperty() {
        return papers.getReadOnlyProperty();
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }

    private void ask() {
        Optional<Analysis> analysis = bench.analysisProperty().get().map(w -> w.now());
        boolean have = papers.get()
                .map(Papers::analysis)
                .filter(a -> analysis.filter(b -> a == b).isPresent())
                .isPresent();
        if (bench.stageProperty().get() != WorkStage.MAKE
                && !have
                && papers.get().isPresent()) {
            // They are of an earlier job and not shown.
            papers.set(Optional.empty());
        }
        if (bench.stageProperty().get() != WorkStage.MAKE || analysis.isEmpty() || have) {
            return;
        }
        LocalDate today = today();
        beside.ask(() -> Papers.of(analysis.get(), today));
    }
}

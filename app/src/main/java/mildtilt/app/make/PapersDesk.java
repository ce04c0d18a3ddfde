package mildtilt.app.make;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import mildtilt.analysis.Analysis;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.papers.Papers;

/** Works the papers out beside the interface while the Make stage is looked at; the newest wins. */
public final class PapersDesk {

    private final Workbench bench;
    private final Clock clock;
    private final ReadOnlyObjectWrapper<Optional<Papers>> papers = new ReadOnlyObjectWrapper<>(Optional.empty());
    private int asked;

    public PapersDesk(Workbench bench, Clock clock) {
        this.bench = bench;
        this.clock = clock;
        bench.workedProperty().addListener((_, _, _) -> ask());
        bench.stageProperty().addListener((_, _, _) -> ask());
    }

    public ReadOnlyObjectProperty<Optional<Papers>> papersProperty() {
        return papers.getReadOnlyProperty();
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }

    private void ask() {
        Optional<Analysis> analysis = bench.workedProperty().get().map(w -> w.now());
        boolean have = papers.get().map(Papers::analysis).filter(a -> analysis.filter(b -> a == b).isPresent()).isPresent();
        if (bench.stageProperty().get() != WorkStage.MAKE || analysis.isEmpty() || have) {
            return;
        }
        int mine = ++asked;
        LocalDate today = today();
        CompletableFuture.supplyAsync(() -> Papers.of(analysis.get(), today)).whenComplete((p, problem) -> Platform.runLater(() -> {
            if (mine != asked) {
                return;
            }
            if (problem == null) {
                papers.set(Optional.of(p));
            } else {
                bench.refuse("The papers could not be worked out: " + problem.getMessage());
            }
        }));
    }
}

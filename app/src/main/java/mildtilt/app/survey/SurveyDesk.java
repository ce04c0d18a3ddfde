package mildtilt.app.survey;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.photograph.Photograph;
import mildtilt.survey.Survey;
import mildtilt.survey.Surveyed;

/** What the survey came to, and which photograph and which point are at hand. */
public final class SurveyDesk {

    private final Workbench bench;
    private final LatestTask<Settled> beside;
    private final ReadOnlyObjectWrapper<Optional<Settled>> settled = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObjectProperty<Optional<Id>> photograph = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Id>> point = new SimpleObjectProperty<>(Optional.empty());

    /** What a survey came to. */
    public record Settled(Survey of, Surveyed surveyed) {}

    public SurveyDesk(Workbench bench) {
        this.bench = bench;
        beside = new LatestTask<>(
                s -> settled.set(Optional.of(s)),
                problem -> bench.refuse("The survey could not be worked out: " + problem.getMessage()));
        bench.jobProperty().addListener((_, _, _) -> ask());
        bench.stageProperty().addListener((_, _, _) -> ask());
        ask();
    }

    private void ask() {
        Survey survey = bench.job().survey();
        if (bench.stageProperty().get() != WorkStage.SURVEY
                || settled.get().filter(s -> s.of.equals(survey)).isPresent()) {
            return;
        }
        Job job = bench.job();
        beside.ask(() -> new Settled(survey, JobPoints.surveyed(job)));
    }

    ReadOnlyObjectProperty<Optional<Settled>> settledProperty() {
        return settled.getReadOnlyProperty();
    }

    /** What the job's survey came to; empty while it is being worked out. */
    Optional<Surveyed> surveyed() {
        return settled.get().filter(x -> x.of.equals(bench.job().survey())).map(Settled::surveyed);
    }

    /** The photograph to look at; the first if none was pressed. */
    Optional<Photograph> photograph() {
        Survey s = bench.job().survey();
        return photograph.get().flatMap(s::photograph).or(() -> s.photographs().stream()
                .findFirst());
    }

    ObjectProperty<Optional<Id>> photographProperty() {
        return photograph;
    }

    /** The point to press in the photographs. */
    ObjectProperty<Optional<Id>> pointProperty() {
        return point;
    }
}

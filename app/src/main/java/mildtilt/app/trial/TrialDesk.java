package mildtilt.app.trial;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.id.Id;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.job.Trial;
import mildtilt.trials.Setup;
import mildtilt.trials.TrialReading;
import mildtilt.trials.TrialSheet;
import mildtilt.trials.compare.MeasurementTask;
import mildtilt.trials.compare.TrialFigures;
import mildtilt.trials.diagnose.Diagnosis;

/** The current vehicle and trial, and their results from a background thread; the newest wins. */
final class TrialDesk {

    /**
     * What one trial's readings come to.
     *
     * @param cause empty where the readings say nothing of gear and arms
     * @param asked all there is to measure on the vehicle as it stands
     */
    record TrialResult(Id vehicle, TrialFigures figures, Optional<Diagnosis> cause, List<MeasurementTask> asked) {

        static TrialResult of(Id vehicle, Trial t, TrialFigures figures) {
            return new TrialResult(
                    vehicle,
                    figures,
                    Diagnosis.of(t.sheet(), Job.of("", t.plan())),
                    MeasurementTask.of(figures.then(), t.sheet().setup()));
        }

        private boolean isOf(Id other, Trial t) {
            return vehicle.equals(other) && figures.trial().id().equals(t.id());
        }
    }

    private final Workbench bench;
    private final Clock clock;
    private final ObjectProperty<Optional<Id>> vehicle = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Id>> trial = new SimpleObjectProperty<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<TrialResult>> result = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final LatestTask<TrialResult> beside;

    TrialDesk(Workbench bench, Clock clock) {
        this.bench = bench;
        this.clock = clock;
        beside = new LatestTask<>(
                t -> result.set(Optional.of(t)),
                problem -> bench.refuse("The trial could not be worked out: " + problem.getMessage()));
        bench.jobProperty().addListener((_, _, _) -> ask());
        bench.stageProperty().addListener((_, _, _) -> ask());
        vehicle.addListener((_, _, _) -> ask());
        trial.addListener((_, _, _) -> ask());
        ask();
    }

    ReadOnlyObjectProperty<Optional<TrialResult>> resultProperty() {
        return result.getReadOnlyProperty();
    }

    /** The result, while it belongs to the current trial. */
    Optional<TrialResult> result() {
        return result.get()
                .filter(x -> trial().filter(t -> x.isOf(vehicle().id(), t)).isPresent());
    }

    /** The vehicle that was chosen; nothing until one is. */
    ReadOnlyObjectProperty<Optional<Id>> vehicleProperty() {
        return vehicle;
    }

    ObjectProperty<Optional<Id>> trialProperty() {
        return trial;
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }

    /** The current vehicle: the chosen one, else the first. */
    BuiltVehicle vehicle() {
        return vehicle.get()
                .flatMap(bench.job().log()::vehicle)
                .orElse(bench.job().log().vehicles().getFirst());
    }

    void choose(BuiltVehicle v) {
        vehicle.set(Optional.of(v.id()));
        trial.set(v.last().map(Trial::id));
    }

    /** The current trial: the chosen one, else the last. */
    Optional<Trial> trial() {
        return trial.get().flatMap(vehicle()::trial).or(() -> vehicle().last());
    }

    private void ask() {
        Optional<Trial> now = trial();
        Job job = bench.job();
        if (bench.stageProperty().get() != WorkStage.TRIAL || now.isEmpty()) {
            return;
        }
        Trial t = now.get();
        Id of = vehicle().id();
        Optional<TrialResult> before = result.get();
        boolean sameReadings =
                before.filter(x -> x.isOf(of, t) && x.figures.trial().equals(t)).isPresent();
        boolean sameRoom = before.filter(x -> samePlan(x, t, job)).isPresent();
        if (sameReadings && sameRoom) {
            return;
        }
        beside.ask(() -> TrialResult.of(
                of,
                t,
                before.filter(_ -> sameRoom)
                        .map(b -> TrialFigures.of(t, job, b.figures.then()))
                        .orElseGet(() -> TrialFigures.of(t, job))));
    }

    private static boolean samePlan(TrialResult result, Trial t, Job job) {
        Job was = result.figures.then().job();
        return result.figures.trial().plan().equals(t.plan())
                && was.surroundings().equals(job.surroundings())
                && was.rules().equals(job.rules())
                && was.log().tolerances().equals(job.log().tolerances())
                && was.making().equals(job.making());
    }

    /** Changes the current vehicle. */
    boolean edit(String change, UnaryOperator<BuiltVehicle> edit) {
        Id id = vehicle().id();
        return bench.edit(change, j -> j.editLog(l -> l.edit(id, edit)));
    }

    /** Changes the current trial. */
    boolean editTrial(String change, UnaryOperator<TrialSheet> edit) {
        Optional<Trial> now = trial();
        return now.isPresent() && edit(change, v -> v.editTrial(now.get().id(), t -> t.edit(edit)));
    }

    /** @return whether it was taken */
    boolean take(String what, TrialReading r) {
        return editTrial(what, s -> s.with(r));
    }

    /** A new trial of the current vehicle with the present plan, set up like the last one. */
    void begin() {
        BuiltVehicle v = vehicle();
        int n = v.trials().size() + 1;
        while (v.trials().stream().map(Trial::name).anyMatch(("Trial " + n)::equals)) {
            n++;
        }
        String name = "Trial " + n;
        Setup setup = v.last().map(t -> t.sheet().setup()).orElse(Setup.RAISED);
        TrialSheet sheet = new TrialSheet(
                name,
                LocalDateTime.now(clock).truncatedTo(ChronoUnit.MINUTES),
                v.last().map(t -> t.sheet().by()).orElse(""),
                "",
                setup,
                List.of(),
                List.of(),
                "");
        Plan plan = bench.job().plan();
        Id id = v.nextTrial();
        if (edit("Begin " + name, b -> b.withTrial(sheet, plan))) {
            trial.set(Optional.of(id));
        }
    }
}

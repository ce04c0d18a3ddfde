package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.trials.Inspection;
import mildtilt.trials.TrialSheet;
import mildtilt.withers.Withers;

/** One vehicle built to the plan: a batch has several, each with readings of its own. Names of its trials differ. */
@Withers
public record BuiltVehicle(Id id, String name, List<Trial> trials, Inspection inspection)
        implements BuiltVehicleBuilder.With {

    /** @throws ImpossibleGeometryException if it has no name, or two of its trials have one name or one id */
    public BuiltVehicle {
        trials = List.copyOf(trials);
        if (name.isBlank()) {
            throw new ImpossibleGeometryException("A vehicle of the batch needs a name.");
        }
        if (trials.stream().map(Trial::name).distinct().count() < trials.size()) {
            throw new ImpossibleGeometryException(
                    "Two trials of \"" + name + "\" have the same name; give each its own.");
        }
        if (trials.stream().map(Trial::id).distinct().count() < trials.size()) {
            throw new ImpossibleGeometryException(
                    "Two trials of \"" + name + "\" have the same id; give each its own.");
        }
    }

    /** Nothing read on it yet. */
    public static BuiltVehicle named(Id id, String name) {
        return new BuiltVehicle(id, name, List.of(), Inspection.NONE);
    }

    public Optional<Trial> trial(Id trial) {
        return trials.stream().filter(t -> t.id().equals(trial)).findFirst();
    }

    public Optional<Trial> last() {
        return trials.isEmpty() ? Optional.empty() : Optional.of(trials.getLast());
    }

    /** With another trial, under the next id. */
    public BuiltVehicle withTrial(TrialSheet sheet, Plan plan) {
        List<Trial> all = new ArrayList<>(trials);
        all.add(new Trial(nextTrial(), sheet, plan));
        return withTrials(all);
    }

    /** The id that the next trial gets. */
    public Id nextTrial() {
        return Id.Kind.TRIAL.next(trials.stream().map(Trial::id));
    }

    public BuiltVehicle editTrial(Id trial, UnaryOperator<Trial> edit) {
        return withTrials(trials.stream()
                .map(t -> t.id().equals(trial) ? edit.apply(t) : t)
                .toList());
    }

    public BuiltVehicle withoutTrial(Id trial) {
        return withTrials(trials.stream().filter(t -> !t.id().equals(trial)).toList());
    }

    public BuiltVehicle editInspection(UnaryOperator<Inspection> edit) {
        return withInspection(edit.apply(inspection));
    }
}

package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.trial.Inspection;
import mildtilt.withers.Withers;

/** One vehicle built to the plan: a batch has several, each with readings of its own. Names of its trials differ. */
@Withers
public record Built(String name, List<Trial> trials, Inspection inspection) implements BuiltBuilder.With {

    public Built {
        trials = List.copyOf(trials);
        if (name.isBlank()) {
            throw new ImpossibleGeometryException("A vehicle of the batch needs a name.");
        }
        if (trials.stream().map(t -> t.sheet().name()).distinct().count() < trials.size()) {
            throw new ImpossibleGeometryException("Two trials of \"" + name + "\" have the same name; give each its own.");
        }
    }

    public Built(String name) {
        this(name, List.of(), Inspection.NONE);
    }

    public Optional<Trial> trial(String trial) {
        return trials.stream().filter(t -> t.sheet().name().equals(trial)).findFirst();
    }

    public Optional<Trial> last() {
        return trials.isEmpty() ? Optional.empty() : Optional.of(trials.getLast());
    }

    public Built withTrial(Trial t) {
        List<Trial> all = new ArrayList<>(trials);
        all.add(t);
        return withTrials(all);
    }

    public Built editTrial(String trial, UnaryOperator<Trial> edit) {
        return withTrials(trials.stream().map(t -> t.sheet().name().equals(trial) ? edit.apply(t) : t).toList());
    }

    public Built withoutTrial(String trial) {
        return withTrials(trials.stream().filter(t -> !t.sheet().name().equals(trial)).toList());
    }

    public Built editInspection(UnaryOperator<Inspection> edit) {
        return new Built(name, trials, edit.apply(inspection));
    }
}

package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.trial.Tolerances;

/** The vehicles built to one plan, at least one, with what was read on each; names differ. */
public record FitLog(List<Built> vehicles, Tolerances tolerances) {

    public static final FitLog NONE = new FitLog(List.of(new Built("the vehicle")), Tolerances.USUAL);

    private static final int MOST = 100;

    public FitLog {
        vehicles = List.copyOf(vehicles);
        if (vehicles.isEmpty() || vehicles.size() > MOST) {
            throw new ImpossibleGeometryException("A batch has from 1 to " + MOST + " vehicles.");
        }
        if (vehicles.stream().map(Built::name).distinct().count() < vehicles.size()) {
            throw new ImpossibleGeometryException("Two vehicles of the batch have the same name; give each its own.");
        }
    }

    public Optional<Built> vehicle(String name) {
        return vehicles.stream().filter(v -> v.name().equals(name)).findFirst();
    }

    public FitLog edit(String name, UnaryOperator<Built> edit) {
        return new FitLog(vehicles.stream().map(v -> v.name().equals(name) ? edit.apply(v) : v).toList(), tolerances);
    }

    public FitLog with(Built another) {
        List<Built> all = new ArrayList<>(vehicles);
        all.add(another);
        return new FitLog(all, tolerances);
    }

    /** The readings alone, without the plans they were read against. */
    public FitLog withoutPlans() {
        return new FitLog(vehicles.stream().map(v -> v.withTrials(v.trials().stream().map(t ->
                new Trial(t.sheet(), new Job("", "", t.plan().vehicle(), Optional.empty(), Optional.empty(), t.plan().targets()))).toList())).toList(), tolerances);
    }

    public FitLog withTolerances(Tolerances t) {
        return new FitLog(vehicles, t);
    }
}

package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.trials.Tolerances;
import mildtilt.withers.Withers;

/** The vehicles built to one plan, at least one, with what was read on each; names differ. */
@Withers
public record TrialLog(List<BuiltVehicle> vehicles, Tolerances tolerances) implements TrialLogBuilder.With {

    public static final TrialLog NONE =
            new TrialLog(List.of(BuiltVehicle.named(Id.Kind.VEHICLE.first(), "the vehicle")), Tolerances.USUAL);

    private static final int MOST = 100;

    /** @throws ImpossibleGeometryException if there are none or too many, or two have one name or one id */
    public TrialLog {
        vehicles = List.copyOf(vehicles);
        if (vehicles.isEmpty() || vehicles.size() > MOST) {
            throw new ImpossibleGeometryException("A batch has from 1 to " + MOST + " vehicles.");
        }
        if (vehicles.stream().map(BuiltVehicle::name).distinct().count() < vehicles.size()) {
            throw new ImpossibleGeometryException("Two vehicles of the batch have the same name; give each its own.");
        }
        if (vehicles.stream().map(BuiltVehicle::id).distinct().count() < vehicles.size()) {
            throw new ImpossibleGeometryException("Two vehicles of the batch have the same id; give each its own.");
        }
    }

    public Optional<BuiltVehicle> vehicle(Id id) {
        return vehicles.stream().filter(v -> v.id().equals(id)).findFirst();
    }

    public TrialLog edit(Id id, UnaryOperator<BuiltVehicle> edit) {
        return withVehicles(vehicles.stream()
                .map(v -> v.id().equals(id) ? edit.apply(v) : v)
                .toList());
    }

    /** With another vehicle, of this name. */
    public TrialLog with(String name) {
        List<BuiltVehicle> all = new ArrayList<>(vehicles);
        all.add(BuiltVehicle.named(nextId(), name));
        return withVehicles(all);
    }

    /** The id that the next vehicle gets. */
    public Id nextId() {
        return Id.Kind.VEHICLE.next(vehicles.stream().map(BuiltVehicle::id));
    }
}

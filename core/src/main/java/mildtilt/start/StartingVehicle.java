package mildtilt.start;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.build.WorkPlan;
import mildtilt.build.WorkPlan.Purchase;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.VehicleScale;
import mildtilt.linkage.SteeredAxle;

/**
 * What a builder says of a vehicle before the first measurement, and the job that begins from it.
 *
 * @param there what need not be bought
 */
public record StartingVehicle(AxleChoice axle, GearChoice gear, VehicleScale sizes, Set<PartAtHand> there) {

    /** @throws ImpossibleGeometryException if the gear can't steer such an axle */
    public StartingVehicle {
        if (!gear.suits(axle)) {
            throw new ImpossibleGeometryException(gear.label() + " does not go with "
                    + axle.label().toLowerCase(Locale.ROOT) + ". Choose another gear, or another axle.");
        }
        there = there.isEmpty() ? Set.of() : EnumSet.copyOf(there);
    }

    /** In one line: "Rack behind the axle, struts". */
    public String described() {
        return gear.label() + ", " + axle.label().toLowerCase(Locale.ROOT);
    }

    /**
     * The job: without findings, except sizes that are not measured yet.
     *
     * @param today the day the parts at hand are recorded
     * @throws ImpossibleGeometryException if such a vehicle can't have these sizes
     */
    public Job job(LocalDate today) {
        Job sized = sizes.apply(gear.example().job());
        return withThere(FreshStart.cured(axle == gear.usual() ? sized : onAxle(sized)), today);
    }

    /** With the links, or the beam, of the other axle; the gear, the linkage and the steering arms stay. */
    private Job onAxle(Job sized) {
        SteeredAxle own = sized.axle().orElseThrow();
        SteeredAxle other = sizes.apply(axle.example().job()).axle().orElseThrow();
        return sized.withAxle(own.withOwnRight(Optional.empty())
                .withLeft(own.left().withSuspension(other.left().suspension()))
                .withBeam(other.beam()));
    }

    private Job withThere(Job job, LocalDate today) {
        if (there.isEmpty()) {
            return job;
        }
        Purchase here = Purchase.NONE.withArrived(Optional.of(today));
        Job marked = job.editMaking(m -> m.editPlan(p -> {
            WorkPlan plan = p;
            for (Id part : job.column().map(this::ofColumn).orElse(List.of())) {
                plan = plan.withPurchase(part, here);
            }
            return plan;
        }));
        return marked.withAbout("Already there, to be measured: "
                + there.stream().map(t -> t.label().toLowerCase(Locale.ROOT)).collect(Collectors.joining("; ")) + ".");
    }

    private List<Id> ofColumn(Column c) {
        List<Id> parts = new ArrayList<>();
        if (there.contains(PartAtHand.COLUMN)) {
            Stream.concat(
                            Stream.of(c.shafts().getFirst().id()),
                            c.bearings().stream().filter(b -> b.shaft() == 0).map(Bearing::id))
                    .forEach(parts::add);
        }
        if (there.contains(PartAtHand.JOINTS)) {
            c.joints().stream().map(Joint::id).forEach(parts::add);
        }
        return parts;
    }
}

package mildtilt.shop;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.build.PartAsFound;
import mildtilt.build.ShaftJoin;
import mildtilt.build.ShaftJoin.School;
import mildtilt.column.Column;
import mildtilt.column.Column.Stretch;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.id.Id;
import mildtilt.job.Job;

/**
 * Where a shaft is joined to another piece.
 *
 * <p>Both halves of a shaft that slides stay as they were found but for the end that is made new. Lengthened at its
 * wheel
 * end, its overlap stays where it is from the gear end, and the other way round: so where the halves meet follows from
 * which end is made new.
 *
 * @param along of the join, mm from the shaft's wheel-end centre
 * @param middle of the overlap then, mm from there; empty for a shaft that does not slide or was not found
 */
public record Lengthening(double along, Optional<Double> middle) {

    /** The best place, or none. @param shaft 0 the one at the wheel */
    public static Optional<Lengthening> of(Job job, int shaft, School school) {
        Column c = job.column().orElseThrow();
        Shaft s = c.shafts().get(shaft);
        Optional<PartAsFound> found = job.making().asFound().shaft(s.id());
        if (s.slide().isEmpty() || found.isEmpty()) {
            return JoinRoom.of(job, join(s, school), c.length(shaft))
                    .best()
                    .map(at -> new Lengthening(at, Optional.empty()));
        }
        double before = c.wheelEndFit(shaft).shortening();
        double onPart = s.slide()
                .flatMap(Slide::middle)
                .map(m -> m - before)
                .orElse(found.get().length() / 2);
        double atGear = before + onPart;
        double missing = c.cutLength(shaft) - found.get().length();
        double atWheel = atGear + missing;
        // What is made new is as long as what is missing at least.
        return Stream.of(
                        place(job, shaft, school, atWheel, new Stretch(before + Math.max(0, missing), atWheel)),
                        place(
                                job,
                                shaft,
                                school,
                                atGear,
                                new Stretch(atGear, before + c.cutLength(shaft) - Math.max(0, missing))))
                .flatMap(Optional::stream)
                .max(Comparator.comparingDouble(p -> p.room))
                .map(p -> p.it);
    }

    private record Place(double room, Lengthening it) {}

    /** The longest stretch within some, the overlap's middle being there. */
    private static Optional<Place> place(Job job, int shaft, School school, double middle, Stretch within) {
        if (middle <= 0) {
            return Optional.empty();
        }
        Job then = job.editColumn(
                c -> c.editShaft(shaft, s -> s.withSlide(s.slide().map(x -> x.withMiddle(Optional.of(middle))))));
        Column c = then.column().orElseThrow();
        JoinRoom room = JoinRoom.of(then, join(c.shafts().get(shaft), school), within.from(), within.to());
        Optional<Stretch> free = room.cool().or(room::any);
        return room.best()
                .map(at -> new Place(
                        free.map(s -> s.to() - s.from()).orElse(0.0)
                                + (room.cool().isPresent() ? c.length(shaft) : 0),
                        new Lengthening(at, Optional.of(middle))));
    }

    private static ShaftJoin join(Shaft s, School school) {
        return new ShaftJoin(Id.Kind.JOIN.first(), s.id(), 1, school);
    }

    /** The job with it done. */
    public Job apply(Job job, int shaft, School school) {
        Job joined = job.editMaking(
                m -> m.withJoin(job.column().orElseThrow().shafts().get(shaft).id(), along, school));
        return middle.isEmpty()
                ? joined
                : joined.editColumn(
                        c -> c.editShaft(shaft, s -> s.withSlide(s.slide().map(x -> x.withMiddle(middle)))));
    }
}

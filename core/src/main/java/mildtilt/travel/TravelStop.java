package mildtilt.travel;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;

/** A strap or a bump stop set for a travel, straight ahead with both wheels travelling as the axle has it. */
public final class TravelStop {

    private TravelStop() {}

    /** Whether something in the way is there to end the travel, on an axle that travels. */
    public static boolean is(Job job, Obstacle o) {
        return o.shape() instanceof TwoEnded t
                && t.endsTravel()
                && job.axle().isPresent()
                && job.axle().get().wheelTravel() != WheelTravel.NONE;
    }

    /** Whether it ends droop; else bump. */
    public static boolean endsDroop(Obstacle o) {
        return o.shape() instanceof TwoEnded.Strap;
    }

    /**
     * The travel it leaves, mm: all that is stated where it ends none of it, 0 where it is past at ride height. Empty
     * where
     * the wheels can't be turned.
     *
     * @param index among what is in the way
     */
    public static Optional<Double> left(Job job, int index) {
        SteeringTrain train = new SteeringTrain(job);
        if (train.locked().isPresent()) {
            return Optional.empty();
        }
        Bound bound = bound(job, train, index);
        if (bound.margin(train.pose(0, 0, 0)) < 0) {
            return Optional.of(0.0);
        }
        boolean droop = endsDroop(job.surroundings().obstacles().get(index));
        double stated = droop ? -job.vehicle().droop() : job.vehicle().bump();
        return Optional.of(Math.abs(HeldTravel.straightAhead(train, bound, stated)));
    }

    /**
     * The same job with the strap or bump stop as long as ends the travel there.
     *
     * @param travel wanted, mm
     * @throws ImpossibleGeometryException if the wheels can't be brought there
     */
    public static Job set(Job job, int index, double travel) {
        Obstacle o = job.surroundings().obstacles().get(index);
        double z = endsDroop(o) ? -travel : travel;
        SteeringTrain train = new SteeringTrain(job);
        AxlePose pose = train.pose(0, z, train.requireAxle().wheelTravel().rightWith(z));
        if (!(travel >= 0) || pose.assembled().isEmpty()) {
            throw new ImpossibleGeometryException("The wheels can't be brought to that travel.");
        }
        double length = bound(job, train, index).value().applyAsDouble(pose);
        return job.editSurroundings(s -> s.edit(
                index,
                x -> x.withShape(
                        switch (x.shape()) {
                            case TwoEnded.Strap strap -> strap.withLength(length);
                            case TwoEnded.BumpStop stop -> stop.withHeight(length);
                            default -> throw new IllegalArgumentException(x.name() + " does not end the travel");
                        })));
    }

    private static Bound bound(Job job, SteeringTrain train, int index) {
        return Bounds.of(job, train).stream()
                .filter(b -> b.element().equals(new Element.InTheWay(index)) && b.endsTravel())
                .findFirst()
                .orElseThrow();
    }
}

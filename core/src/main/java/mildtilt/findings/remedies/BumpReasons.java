package mildtilt.findings.remedies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.linkage.beam.WattLinkage;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.BumpSteer;
import mildtilt.steer.FrontView;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** The plain-geometry reasons for bump steer, in words a tape and an angle finder can check. */
public final class BumpReasons {

    private BumpReasons() {}

    public static List<Phrase> of(Job job, SteeringTrain train) {
        List<Phrase> all = new ArrayList<>();
        SteeredAxle axle = job.axle().orElseThrow();
        FrontView.of(axle, Side.LEFT).ifPresent(v -> {
            all.add(Phrase.of(
                    "Seen from the front, the left tie rod is at {0} to the lower arm (0° would be parallel).",
                    Quantity.angle(Math.abs(v.rodToLowerArmDeg()))));
            double high = v.innerAboveAim();
            all.add(Phrase.of(
                    "To point at the arms' instant centre its inner end would sit {0} "
                            + (high > 0 ? "lower" : "higher") + ".",
                    Quantity.length(Math.abs(high))));
            v.innerOutboardOfPivots()
                    .ifPresent(mm -> all.add(Phrase.of(
                            "Its inner pivot is {0} "
                                    + (mm > 0 ? "outboard" : "inboard")
                                    + " of the line through the arms' inner pivots; a rod that ends off it "
                                    + "is too " + (mm > 0 ? "short" : "long") + ".",
                            Quantity.length(Math.abs(mm)))));
        });
        trackBar(axle).ifPresent(all::add);
        turnedByTravel(job, train).ifPresent(all::add);
        Optional<Double> gain = BumpSteer.perMmOfGearHeight(job, train);
        gain.ifPresent(g -> all.add(Phrase.of(
                "Raising the gear {0} changes the left wheel's toe-in over the normal travel by {1}.",
                Quantity.length(1), Quantity.angle(g))));
        return all;
    }

    /** A gear on the axle is turned by the column as the axle moves under it. */
    private static Optional<Phrase> turnedByTravel(Job job, SteeringTrain train) {
        if (!train.requireAxle().gearOnAxle() || train.column().isEmpty()) {
            return Optional.empty();
        }
        double up = job.vehicle().normalBump();
        boolean rolls = train.requireAxle().wheelTravel() == WheelTravel.ROLL_ONLY;
        return Optional.of(Phrase.of(
                (rolls ? "With the axle rolled by {0}" : "With the axle up {0}")
                        + " and the steering wheel held, the column turns the gear's input by {1}.",
                Quantity.length(up),
                Quantity.angle(Math.abs(train.pose(0, up, rolls ? -up : up).gearInputDeg()))));
    }

    /** A drag link on a sprung beam should swing as the track bar does. */
    private static Optional<Phrase> trackBar(SteeredAxle axle) {
        if (!(axle.linkage() instanceof DragLink link)
                || !(axle.gear() instanceof ArmGear gear)
                || axle.beam().isEmpty()
                || axle.beam().get() instanceof Beam.CentrePin) {
            return Optional.empty();
        }
        Vector drag = BumpSteer.dragLink(axle, link, gear);
        if (!(axle.beam().get().sideways() instanceof TrackBar held)) {
            return Optional.of(Phrase.of(
                    "Seen from the front the drag link is {0} from level; as the axle rises it swings, and "
                            + (axle.beam().get().sideways() instanceof WattLinkage
                                    ? "a Watt linkage, which takes the axle straight up, does not."
                                    : "without a track bar nothing swings with it."),
                    Quantity.angle(Math.abs(FrontView.slopeDeg(drag)))));
        }
        Vector bar = held.axleEnd().minus(held.bodyEnd());
        return Optional.of(Phrase.of(
                "Seen from the front the drag link slopes {0} and the track bar {1}; parallel and of one length "
                        + "({2} and {3} now) they would swing alike.",
                Quantity.angle(FrontView.slopeDeg(drag)),
                Quantity.angle(FrontView.slopeDeg(bar)),
                Quantity.length(drag.norm()),
                Quantity.length(bar.norm())));
    }
}

package mildtilt.steer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.linkage.SteeredAxle;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * How a rack's width and height suit the arms, straight ahead: said of every rack, whether bump steer misses or not.
 *
 * @param apart its inner pivots, mm
 * @param wantedApart with each on the line through its arms' inner pivots, mm; empty for struts
 * @param raise of the rack with which both tie rods point at the arms' instant centres, the mean of both sides, mm
 */
public record RackPlace(double apart, Optional<Double> wantedApart, double raise) {

    private static final double NOTHING = 0.05;

    /** Empty without a rack, and where arms have no such line. */
    public static Optional<RackPlace> of(SteeredAxle axle) {
        if (!(axle.gear() instanceof RackAndPinion rack)) {
            return Optional.empty();
        }
        return FrontView.of(axle, Side.LEFT).flatMap(l -> FrontView.of(axle, Side.RIGHT)
                .map(r -> new RackPlace(
                        rack.pivotSpacing(),
                        l.innerOutboardOfPivots()
                                .flatMap(x -> r.innerOutboardOfPivots().map(y -> rack.pivotSpacing() - x - y)),
                        -(l.innerAboveAim() + r.innerAboveAim()) / 2)));
    }

    /** In words, a sentence each. */
    public List<Phrase> text() {
        List<Phrase> all = new ArrayList<>();
        wantedApart.ifPresent(wanted -> {
            double narrow = wanted - apart;
            all.add(
                    Math.abs(narrow) < NOTHING
                            ? Phrase.of(
                                    "Its inner pivots are {0} apart: each on the line through its arms' inner pivots.",
                                    Quantity.length(apart))
                            : Phrase.of(
                                    "Its inner pivots are {0} apart; {1} apart they would be on the lines through "
                                            + "the arms' inner pivots. It is {2} too "
                                            + (narrow > 0 ? "narrow" : "wide") + ".",
                                    Quantity.length(apart),
                                    Quantity.length(wanted),
                                    Quantity.length(Math.abs(narrow))));
        });
        all.add(
                Math.abs(raise) < NOTHING
                        ? Phrase.of("Both tie rods point at their arms' instant centres.")
                        : Phrase.of(
                                "{0} " + (raise > 0 ? "higher" : "lower")
                                        + ", both tie rods would point at their arms' instant centres.",
                                Quantity.length(Math.abs(raise))));
        return all;
    }
}

package mildtilt.linkage.beam;

import java.util.List;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Vector;
import mildtilt.withers.Withers;

/**
 * How far an end of a bar between frame and axle may tilt.
 *
 * @param part the bar
 * @param onAxle whether it is the end on the axle; else that on the frame
 * @param bolt along its bolt, fixed to what the end is on, in the design position
 * @param allowedDeg largest tilt from square to the bolt
 */
@Withers
public record BarTilt(BeamPart part, boolean onAxle, Direction bolt, double allowedDeg) implements BarTiltBuilder.With {

    /** @throws ImpossibleGeometryException if the tilt is none that an end can have */
    public BarTilt {
        if (!(allowedDeg > 0 && allowedDeg < 90)) {
            throw new ImpossibleGeometryException("The tilt that an end allows must be between 0° and 90°.");
        }
    }

    /**
     * Whether a bar has such an end: springs bend, a radius arm is clamped to the axle, and the bolts of Watt rods lie
     * as the crank's pin does.
     */
    public static boolean tilts(BeamPart part, boolean onAxle) {
        return switch (part) {
            case TRACK_BAR, AXLE_LINK_1, AXLE_LINK_2, AXLE_LINK_3, AXLE_LINK_4 -> true;
            case LEFT_RADIUS_ARM, RIGHT_RADIUS_ARM -> !onAxle;
            case LEFT_SPRING, RIGHT_SPRING, WATT_CRANK, LEFT_WATT_ROD, RIGHT_WATT_ROD -> false;
        };
    }

    /** Its bolt square to the bar, lying fore and aft through a track bar and across through any other. */
    public static BarTilt square(Bar bar, boolean onAxle, double allowedDeg) {
        Vector along = bar.axleEnd().minus(bar.bodyEnd());
        Vector about = bar.part() == BeamPart.TRACK_BAR ? Vector.X : Vector.Y;
        Vector square = about.minus(along.times(about.dot(along) / along.dot(along)));
        return new BarTilt(
                bar.part(),
                onAxle,
                square.norm() < 1e-6 ? along.direction().anySquare() : square.direction(),
                allowedDeg);
    }

    /** Those whose bars a beam has. */
    public static List<BarTilt> those(List<BarTilt> all, Beam beam) {
        List<BeamPart> parts = beam.bars().stream().map(Bar::part).toList();
        return all.stream().filter(t -> parts.contains(t.part)).toList();
    }

    /** What the bench calls it. */
    public String label() {
        return label(part, onAxle);
    }

    public static String label(BeamPart part, boolean onAxle) {
        return part.label() + (onAxle ? ", axle end" : ", frame end");
    }
}

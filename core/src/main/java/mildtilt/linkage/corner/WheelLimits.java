package mildtilt.linkage.corner;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * How far one wheel can be turned before something other than the linkage ends it, as steer angles from
 * straight ahead, degrees, if there is such a thing and it was set or measured.
 *
 * @param stopInner the knuckle's own lock stop, with this wheel on the inside of the turn
 * @param stopOuter the same on the outside
 * @param tyreInner where the tyre touches frame, arm or body, found by turning the bare wheel by hand
 * @param tyreOuter the same on the outside
 */
public record WheelLimits(
        Optional<Double> stopInner,
        Optional<Double> stopOuter,
        Optional<Double> tyreInner,
        Optional<Double> tyreOuter) {

    public static final WheelLimits NONE =
            new WheelLimits(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** @throws ImpossibleGeometryException if an angle is not between 0 and 90 */
    public WheelLimits {
        check(stopInner);
        check(stopOuter);
        check(tyreInner);
        check(tyreOuter);
    }

    private static void check(Optional<Double> deg) {
        if (deg.filter(d -> !(d > 0 && d < 90)).isPresent()) {
            throw new ImpossibleGeometryException(
                    "A wheel's lock stop or tyre limit must be between 0 and 90 degrees.");
        }
    }

    public Optional<Double> stop(boolean inner) {
        return inner ? stopInner : stopOuter;
    }

    public Optional<Double> tyre(boolean inner) {
        return inner ? tyreInner : tyreOuter;
    }

    public WheelLimits withStops(Optional<Double> inner, Optional<Double> outer) {
        return new WheelLimits(inner, outer, tyreInner, tyreOuter);
    }

    public WheelLimits withTyre(Optional<Double> inner, Optional<Double> outer) {
        return new WheelLimits(stopInner, stopOuter, inner, outer);
    }
}

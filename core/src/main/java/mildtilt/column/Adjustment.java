package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * How far the steering wheel can be set by its driver from where it is planned.
 *
 * @param reachIn toward the gear, mm
 * @param reachOut toward the driver, mm
 * @param tiltUpDeg degrees
 * @param tiltDownDeg degrees
 * @param pivot from the hub along the first shaft to the level, crosswise axis it tilts about, mm; at the first joint
 *     if empty. Whatever of the first shaft lies past it swings the other way
 */
public record Adjustment(
        double reachIn, double reachOut, double tiltUpDeg, double tiltDownDeg, Optional<Double> pivot) {

    public static final Adjustment NONE = new Adjustment(0, 0, 0, 0, Optional.empty());

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public Adjustment {
        if (!(reachIn >= 0 && reachOut >= 0)) {
            throw new ImpossibleGeometryException("The steering wheel's reach, in and out, can't be negative.");
        }
        if (!(tiltUpDeg >= 0 && tiltDownDeg >= 0 && tiltUpDeg <= 60 && tiltDownDeg <= 60)) {
            throw new ImpossibleGeometryException(
                    "The steering wheel's tilt, up and down, must be from 0 to 60 degrees.");
        }
        if (pivot.filter(p -> !(p >= 0)).isPresent()) {
            throw new ImpossibleGeometryException("The tilt pivot can't lie above the hub.");
        }
    }

    public Adjustment withReach(double in, double out) {
        return new Adjustment(in, out, tiltUpDeg, tiltDownDeg, pivot);
    }

    public Adjustment withTilt(double upDeg, double downDeg) {
        return new Adjustment(reachIn, reachOut, upDeg, downDeg, pivot);
    }

    public Adjustment withPivot(Optional<Double> mm) {
        return new Adjustment(reachIn, reachOut, tiltUpDeg, tiltDownDeg, mm);
    }
}

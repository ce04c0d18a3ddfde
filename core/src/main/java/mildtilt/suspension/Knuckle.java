package mildtilt.suspension;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * What turns with the wheel.
 *
 * @param wheelCentre mm
 * @param spinAxisPoint a second point on the wheel's spin axis, outboard of the centre, mm; it carries the
 *     static toe and camber
 * @param tieRodPoint where the tie rod meets the steering arm, mm
 */
public record Knuckle(Point wheelCentre, Point spinAxisPoint, Point tieRodPoint) {

    /** @throws ImpossibleGeometryException if the spin axis has no direction or points fore and aft */
    public Knuckle {
        double outboard = Math.abs(spinAxisPoint.y()) - Math.abs(wheelCentre.y());
        if (!(outboard > 0.5 * spinAxisPoint.distanceTo(wheelCentre)) || wheelCentre.y() * spinAxisPoint.y() <= 0) {
            throw new ImpossibleGeometryException(
                    "The second point on the wheel's spin axis must lie outboard of the wheel centre.");
        }
    }

    public Knuckle mirrored() {
        return new Knuckle(wheelCentre.mirrored(), spinAxisPoint.mirrored(), tieRodPoint.mirrored());
    }

    public Knuckle withTieRodPoint(Point p) {
        return new Knuckle(wheelCentre, spinAxisPoint, p);
    }

    /** The wheel moved as it stands: its spin axis moves with it, so toe and camber stay. */
    public Knuckle withWheelCentre(Point p) {
        return new Knuckle(p, spinAxisPoint.plus(p.minus(wheelCentre)), tieRodPoint);
    }
}

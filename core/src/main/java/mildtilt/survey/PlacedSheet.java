package mildtilt.survey;

import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.photograph.TargetSheet;
import mildtilt.withers.Withers;

/**
 * The printed sheet as it was used.
 *
 * @param bar how long its bar came out of the printer, mm; it tells the scale of all photographs
 * @param barSpread how well that was read, ± mm
 * @param laid where it lies, if that was measured; else other readings of points in the photographs say it
 */
@Withers
public record PlacedSheet(double bar, double barSpread, Optional<Laid> laid) implements PlacedSheetBuilder.With {

    /** Printed as drawn, its bar read with a steel rule. */
    public static final PlacedSheet AS_PRINTED = new PlacedSheet(TargetSheet.BAR, 0.2, Optional.empty());

    /** @throws ImpossibleGeometryException if no printer makes the bar so long */
    public PlacedSheet {
        if (!(Math.abs(bar / TargetSheet.BAR - 1) <= 0.2)) {
            throw new ImpossibleGeometryException("The sheet's bar is drawn " + (int) TargetSheet.BAR
                    + " mm long; a printer makes it a little longer or shorter, not " + bar + " mm.");
        }
        if (!(barSpread > 0 && barSpread <= 10)) {
            throw new ImpossibleGeometryException("The ± of the bar must be above 0, and 10 mm at most.");
        }
    }

    /**
     * Laid flat, face up.
     *
     * @param at the cross in its middle
     * @param turnedDeg how far its arrow points to the left of straight forward
     * @param spread of each coordinate, ± mm
     * @param spreadDeg of its direction, and of how level it lies, ± degrees
     */
    public record Laid(Point at, double turnedDeg, double spread, double spreadDeg) {

        /** On the floor grid by its lines: a millimetre each way, and half a degree. */
        public static final Laid BY_EYE = new Laid(Point.ORIGIN, 0, 1.5, 0.5);

        /** @throws ImpossibleGeometryException if a ± is not above 0 */
        public Laid {
            if (!(spread > 0 && spread <= 1000)
                    || !(spreadDeg > 0 && spreadDeg <= 90)
                    || !(Math.abs(turnedDeg) <= 360)) {
                throw new ImpossibleGeometryException(
                        "How well the sheet was laid must be above 0; its direction is within 360 degrees.");
            }
        }

        /** The sheet's own frame: to its right, up the page, out of it. */
        public Frame frame() {
            double t = Math.toRadians(turnedDeg);
            Vector forward = new Vector(Math.cos(t), Math.sin(t), 0);
            return new Frame(at, forward.cross(Vector.Z), forward, Vector.Z);
        }
    }

    /** By which a mark of the sheet is spoken of. @param mark its number */
    public static Id mark(int mark) {
        return new Id("sheet.mark_" + mark);
    }

    /** How much larger than drawn it is. */
    public double scale() {
        return bar / TargetSheet.BAR;
    }
}

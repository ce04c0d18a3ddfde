package mildtilt.drawing;

import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.measure.Quantity;

/** A figure written at a place on the drawing. */
public record Note(Element element, Point at, Quantity figure) {

    /** A steer angle lies in the ground plane and is only written where that is seen. */
    public boolean belongsIn(Elevation elevation) {
        return !(element instanceof Element.Tyres) || elevation == Elevation.PLAN;
    }
}

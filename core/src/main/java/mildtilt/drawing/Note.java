package mildtilt.drawing;

import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.measure.Quantity;

/** A figure written at a place on the drawing. */
public record Note(Element element, Point at, Quantity figure) {}

package mildtilt.app.bay;

import mildtilt.app.draw.SheetView;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;

/**
 * Dragging a point: a pure function from the job as it was, and how far the pointer went, to the job.
 *
 * @param start the job when the drag began
 * @param id the point dragged
 */
record PointDrag(Job start, PointId id) {

    /**
     * @param pixelsRight how far the pointer went on the sheet
     * @param pixelsDown how far the pointer went on the sheet
     * @param snap whole multiples of this are kept to in the directions moved, mm
     */
    Point target(SheetView view, double pixelsRight, double pixelsDown, double snap) {
        Vector by = view.elevation().inSpace(pixelsRight / view.pixelsPerMm(), -pixelsDown / view.pixelsPerMm());
        Point from = JobPoints.position(start, id);
        return new Point(snapped(from.x(), by.x(), snap), snapped(from.y(), by.y(), snap), snapped(from.z(), by.z(), snap));
    }

    Job moved(Job job, Point to) {
        return JobPoints.moved(job, id, to);
    }

    /** A coordinate that is not moved is not rounded either. */
    private static double snapped(double from, double by, double snap) {
        return by == 0 ? from : Math.rint((from + by) / snap) * snap;
    }
}

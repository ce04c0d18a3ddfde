package mildtilt.app.start;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import mildtilt.app.look.CanvasPane;
import mildtilt.app.look.Ink;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Stroke;
import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.steer.SteeringTrain;

/** A vehicle's steering from above, small: to know one kind from another. */
final class VehiclePicture extends CanvasPane {

    private static final double MARGIN = 6;

    private List<Stroke> strokes = List.of();

    VehiclePicture() {
        setMinSize(120, 84);
        setPrefSize(150, 96);
        setMouseTransparent(true);
    }

    /** What is drawn of a job. */
    static List<Stroke> of(Job job) {
        return Sketch.ofDesign(job, new SteeringTrain(job)).strokes().stream().filter(s -> s.element().filter(e -> !(e instanceof Element.InTheWay) && !(e instanceof Element.AtTheWheel)).isPresent()).toList();
    }

    void show(List<Stroke> s) {
        strokes = s;
        redraw();
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        double[] box = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (Stroke s : strokes) {
            for (Point p : s.points()) {
                double x = Elevation.PLAN.across(p);
                double y = Elevation.PLAN.up(p);
                box[0] = Math.min(box[0], x);
                box[1] = Math.max(box[1], x);
                box[2] = Math.min(box[2], y);
                box[3] = Math.max(box[3], y);
            }
        }
        double k = Math.min((w - 2 * MARGIN) / Math.max(1, box[1] - box[0]), (h - 2 * MARGIN) / Math.max(1, box[3] - box[2]));
        double midX = (box[0] + box[1]) / 2;
        double midY = (box[2] + box[3]) / 2;
        for (Stroke s : strokes) {
            boolean steers = s.element().filter(e -> !(e instanceof Element.Tyres) && !(e instanceof Element.BeamElement) && !(e instanceof Element.Knuckles)).isPresent();
            g.setStroke(ink(steers ? Ink.ACCENT : Ink.FAINT));
            g.setLineWidth(steers ? 1.6 : 1);
            double[] xs = s.points().stream().mapToDouble(p -> w / 2 + k * (Elevation.PLAN.across(p) - midX)).toArray();
            double[] ys = s.points().stream().mapToDouble(p -> h / 2 - k * (Elevation.PLAN.up(p) - midY)).toArray();
            g.strokePolyline(xs, ys, xs.length);
        }
    }
}

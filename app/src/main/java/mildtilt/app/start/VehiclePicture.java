package mildtilt.app.start;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.draw.PartPainter;
import mildtilt.app.draw.SheetView;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.LabelPlacer;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Yokes;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.steer.position.SteeringTrain;
import org.jspecify.annotations.Nullable;

/** A vehicle's steering, small, drawn as in the window: to know one kind from another. */
final class VehiclePicture extends CanvasPane {

    /** What is drawn of a job: its own parts, without what is in their way. */
    record Drawn(Elevation from, Extent extent, List<VehicleSolids.Part> parts, List<Yokes.Yoke> yokes) {

        static Drawn of(Job job, Elevation from) {
            Job bare = Job.of(job.title(), job.plan());
            SteeringTrain train = new SteeringTrain(bare);
            return new Drawn(
                    from,
                    Extent.of(Sketch.ofDesign(bare, train), from),
                    VehicleSolids.of(bare).at(train.axle().map(_ -> train.pose(0, 0, 0)), 0, 0).stream()
                            .filter(p -> !(p.element() instanceof Element.InTheWay))
                            .toList(),
                    train.column().map(c -> Yokes.of(c, 0)).orElse(List.of()));
        }

        /** What carries the wheels alone. */
        static Drawn ofAxle(Job job, Elevation from) {
            Drawn all = of(Job.of(job.title(), job.plan().withColumn(Optional.empty())), from);
            return new Drawn(
                    all.from,
                    all.extent,
                    all.parts.stream().filter(p -> carries(p.element())).toList(),
                    List.of());
        }

        private static boolean carries(Element e) {
            return e instanceof Element.Tyres
                    || e instanceof Element.Knuckles
                    || e instanceof Element.SteeringArms
                    || e instanceof Element.BeamElement;
        }
    }

    private @Nullable Drawn drawn;

    VehiclePicture() {
        setMinSize(56, 48);
        setPrefSize(88, 52);
        setMouseTransparent(true);
    }

    void show(Drawn d) {
        drawn = d;
        redraw();
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        if (drawn != null && w > 20 && h > 20) {
            SheetView v = SheetView.fitting(drawn.from, drawn.extent, w, h);
            new PartPainter(g, v, this::ink, Optional.empty(), _ -> true)
                    .draw(drawn.parts, drawn.yokes, new LabelPlacer(new LabelPlacer.Box(0, 0, w, h)));
        }
    }
}

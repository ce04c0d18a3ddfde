package mildtilt.app.view;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Circle;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;

/** One point of the selected part, to drag in the solid view. */
final class SolidHandle extends Circle {

    private static final double STEP = 1;
    private static final double FINE = 0.1;

    private final Workbench bench;
    private final PointId id;
    private final Supplier<List<double[]>> axes;
    private Optional<SolidDrag> drag = Optional.empty();
    private double pressedX;
    private double pressedY;

    /** @param axes how far one mm along each axis goes on the screen where the point is */
    SolidHandle(Workbench bench, PointId id, Supplier<List<double[]>> axes) {
        this.bench = bench;
        this.id = id;
        this.axes = axes;
        setRadius(5.5);
        getStyleClass().add("point-handle");
        String label = JobPoints.label(bench.job(), id);
        setId("solid-" + id.code());
        setAccessibleText(label);
        Tooltip.install(
                this,
                new Tooltip(label
                        + ": drag it. Looked at square it moves in the plane of the picture, askew along one axis."));
        setOnMousePressed(this::press);
        setOnMouseDragged(this::move);
        setOnMouseReleased(this::release);
        setOnMouseClicked(MouseEvent::consume);
    }

    PointId point() {
        return id;
    }

    private void press(MouseEvent e) {
        drag = Optional.of(new SolidDrag(JobPoints.position(bench.job(), id), axes.get()));
        pressedX = e.getSceneX();
        pressedY = e.getSceneY();
        bench.beginDrag();
        e.consume();
    }

    private void move(MouseEvent e) {
        drag.ifPresent(d -> {
            SolidDrag.Held to =
                    d.target(e.getSceneX() - pressedX, e.getSceneY() - pressedY, e.isShiftDown() ? FINE : STEP);
            bench.drag(start -> JobPoints.moved(start, id, to.at()));
            bench.say(PointMoves.describe(bench, id, d.from(), to.at()) + ", " + to.words());
        });
        e.consume();
    }

    private void release(MouseEvent e) {
        drag.filter(_ -> bench.dragging())
                .ifPresent(d ->
                        bench.endDrag(PointMoves.describe(bench, id, d.from(), JobPoints.position(bench.job(), id))));
        drag = Optional.empty();
        e.consume();
    }
}

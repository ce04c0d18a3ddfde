package mildtilt.app.view;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Circle;
import mildtilt.app.draw.SheetView;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.units.LengthText;
import org.jspecify.annotations.Nullable;

/** One point to drag with the mouse, or to nudge with the arrow keys while it has the focus. */
final class PointHandle extends Circle {

    private static final double COARSE = 10;
    private static final double STEP = 1;
    private static final double FINE = 0.1;

    private final Workbench bench;
    private final ElevationSheet sheet;
    private final PointId id;
    private final Tooltip tip = new Tooltip();
    private @Nullable PointDrag drag;
    private double pressedX;
    private double pressedY;

    PointHandle(Workbench bench, ElevationSheet sheet, PointId id) {
        this.bench = bench;
        this.sheet = sheet;
        this.id = id;
        setRadius(5.5);
        getStyleClass().add("point-handle");
        setId(sheet.getId() + "-" + id.code());
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        Tooltip.install(this, tip);
        setOnMousePressed(this::press);
        setOnMouseDragged(this::move);
        setOnMouseReleased(this::release);
        setOnMouseClicked(MouseEvent::consume);
        setOnKeyPressed(this::key);
    }

    void put(SheetView view, Point at) {
        setCenterX(view.x(at));
        setCenterY(view.y(at));
        String label = JobPoints.label(bench.job(), id);
        String place = "x " + LengthText.format(at.x(), bench.lengthUnit()) + "   y "
                + LengthText.format(at.y(), bench.lengthUnit()) + "   z "
                + LengthText.format(at.z(), bench.lengthUnit());
        tip.setText(label + "\n" + place);
        setAccessibleText(label + ", " + place);
    }

    private void press(MouseEvent e) {
        requestFocus();
        drag = new PointDrag(bench.job(), id);
        pressedX = e.getSceneX();
        pressedY = e.getSceneY();
        bench.beginDrag();
        PointMoves.selectOwner(bench, id);
        e.consume();
    }

    private void move(MouseEvent e) {
        PointDrag d = drag;
        if (d != null) {
            sheet.view().ifPresent(v -> {
                // With Shift it goes where it is drawn, to a tenth.
                PointDrag.Snapped to = e.isShiftDown()
                        ? new PointDrag.Snapped(
                                d.target(v, e.getSceneX() - pressedX, e.getSceneY() - pressedY, FINE), "")
                        : d.snapped(v, e.getSceneX() - pressedX, e.getSceneY() - pressedY, STEP);
                bench.drag(start -> d.moved(start, to.at()));
                sheet.say(to.words(), getCenterX(), getCenterY());
            });
        }
        e.consume();
    }

    private void release(MouseEvent e) {
        PointDrag d = drag;
        drag = null;
        sheet.say("", 0, 0);
        if (d != null && bench.dragging()) {
            bench.endDrag(PointMoves.describe(
                    bench, id, JobPoints.position(d.start(), id), JobPoints.position(bench.job(), id)));
        }
        e.consume();
    }

    private void key(KeyEvent e) {
        if (e.getCode() == KeyCode.ESCAPE && bench.dragging()) {
            drag = null;
            bench.cancelDrag();
            e.consume();
            return;
        }
        if (e.isAltDown()) {
            return;
        }
        double step = e.isShiftDown() ? COARSE : e.isShortcutDown() ? FINE : STEP;
        Vector by =
                switch (e.getCode()) {
                    case LEFT -> sheet.elevation().inSpace(-step, 0);
                    case RIGHT -> sheet.elevation().inSpace(step, 0);
                    case UP -> sheet.elevation().inSpace(0, step);
                    case DOWN -> sheet.elevation().inSpace(0, -step);
                    default -> new Vector(0, 0, 0);
                };
        if (by.norm() > 0) {
            Point from = JobPoints.position(bench.job(), id);
            Point to = from.plus(by);
            PointMoves.selectOwner(bench, id);
            bench.edit(PointMoves.describe(bench, id, from, to), job -> JobPoints.moved(job, id, to));
            e.consume();
        }
    }
}

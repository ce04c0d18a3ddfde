package mildtilt.app.view;

import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Polygon;
import mildtilt.app.draw.SheetView;
import mildtilt.app.workbench.Workbench;
import mildtilt.column.Column;
import mildtilt.columnrange.JointBend;
import mildtilt.job.Job;
import mildtilt.units.LengthText;
import mildtilt.units.Quantity;
import org.jspecify.annotations.Nullable;

/**
 * The operating angle of the selected joint, dragged round the joint as an angle; the joint moves square to its
 * neighbours' line.
 */
final class AngleHandle extends Polygon {

    private static final double OUT = 58;
    private static final double SHORTEST = 30;
    private static final double FINE = 0.1;
    private static final double COARSE = 5;
    private static final double WIDEST = 89;

    /**
     * The angle as seen on a sheet.
     *
     * @param x of the joint, pixels
     * @param y of the joint, pixels
     * @param straightOn where the shaft before would go on, rad, clockwise on the screen from the right
     * @param bent where the shaft after goes
     * @param radius of the arc between, pixels
     */
    record Seen(double x, double y, double straightOn, double bent, double radius) {

        double between() {
            return Math.IEEEremainder(bent - straightOn, 2 * Math.PI);
        }

        /** Empty where either shaft points too nearly at the viewer to show an angle. */
        static Optional<Seen> of(Column c, int joint, SheetView view) {
            double x = view.x(c.joints().get(joint).centre());
            double y = view.y(c.joints().get(joint).centre());
            double fromX = x - view.x(c.start(joint));
            double fromY = y - view.y(c.start(joint));
            double toX = view.x(c.end(joint + 1)) - x;
            double toY = view.y(c.end(joint + 1)) - y;
            double after = Math.hypot(toX, toY);
            return Math.hypot(fromX, fromY) < SHORTEST || after < SHORTEST
                    ? Optional.empty()
                    : Optional.of(
                            new Seen(x, y, Math.atan2(fromY, fromX), Math.atan2(toY, toX), Math.min(OUT, after * 0.6)));
        }
    }

    private final Workbench bench;
    private final ElevationSheet sheet;
    private final Tooltip tip = new Tooltip();
    private int joint;
    private double pressedAt;
    /** The joint moves while it is bent; the pointer goes round the place where it was. */
    private @Nullable Seen start;

    private double degAtStart;

    AngleHandle(Workbench bench, ElevationSheet sheet) {
        super(0, -8, 8, 0, 0, 8, -8, 0);
        this.bench = bench;
        this.sheet = sheet;
        setId(sheet.getId() + "-angle");
        getStyleClass().addAll("point-handle", "angle-handle");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        Tooltip.install(this, tip);
        setOnMousePressed(this::press);
        setOnMouseDragged(this::turn);
        setOnMouseReleased(this::release);
        setOnMouseClicked(MouseEvent::consume);
        setOnKeyPressed(this::key);
    }

    void put(int which, Seen seen) {
        joint = which;
        setTranslateX(seen.x + seen.radius * Math.cos(seen.bent));
        setTranslateY(seen.y + seen.radius * Math.sin(seen.bent));
        String text = "Angle of " + column().joints().get(joint).name() + ", "
                + Quantity.angle(degrees()).text(bench.lengthUnit());
        tip.setText(text + "\nDrag round the joint to set it");
        setAccessibleText(text);
    }

    private Column column() {
        return bench.job().column().orElseThrow();
    }

    private double degrees() {
        Column c = column();
        return Math.toDegrees(c.axis(joint).angleTo(c.axis(joint + 1)));
    }

    private Optional<Seen> seen() {
        return sheet.view().flatMap(v -> Seen.of(column(), joint, v));
    }

    private void press(MouseEvent e) {
        requestFocus();
        e.consume();
        seen().ifPresent(s -> {
            start = s;
            degAtStart = degrees();
            pressedAt = pointer(e, s);
            bench.beginDrag();
        });
    }

    private double pointer(MouseEvent e, Seen s) {
        // The event counts from the handle.
        return Math.atan2(getTranslateY() + e.getY() - s.y, getTranslateX() + e.getX() - s.x);
    }

    private void turn(MouseEvent e) {
        e.consume();
        Seen s = start;
        if (!bench.dragging() || s == null) {
            return;
        }
        double by = Math.IEEEremainder(pointer(e, s) - pressedAt, 2 * Math.PI);
        double step = e.isShiftDown() ? FINE : 1;
        double wanted = degAtStart + Math.toDegrees(Math.abs(s.between() + by) - Math.abs(s.between()));
        double deg = Math.clamp(Math.rint(wanted / step) * step, 0, WIDEST);
        int which = joint;
        bench.drag(start -> bent(start, which, deg));
    }

    private static Job bent(Job job, int joint, double deg) {
        return job.editColumn(c -> JointBend.withAngle(c, joint, deg));
    }

    private void release(MouseEvent e) {
        e.consume();
        if (bench.dragging()) {
            bench.endDrag(description(degrees()));
        }
    }

    private String description(double deg) {
        return "Bend " + column().joints().get(joint).name() + " to " + LengthText.trimmed(deg, 1) + "°";
    }

    private void key(KeyEvent e) {
        if (e.getCode() == KeyCode.ESCAPE && bench.dragging()) {
            bench.cancelDrag();
            e.consume();
            return;
        }
        int way = e.getCode() == KeyCode.RIGHT || e.getCode() == KeyCode.UP
                ? 1
                : e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.DOWN ? -1 : 0;
        if (way == 0 || e.isAltDown()) {
            return;
        }
        double step = e.isShiftDown() ? COARSE : e.isShortcutDown() ? FINE : 1;
        double deg = Math.clamp(degrees() + way * step, 0, WIDEST);
        int which = joint;
        bench.edit(description(deg), j -> bent(j, which, deg));
        e.consume();
    }
}

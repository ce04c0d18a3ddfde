package mildtilt.app.position;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.ArcType;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.Workbench;
import mildtilt.column.Column;
import mildtilt.column.HandBar;
import mildtilt.column.SteeringWheel;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.steer.position.SteeringInput;
import mildtilt.steer.range.LockLimits;
import mildtilt.units.LengthText;

/** The steering wheel as the driver sees it, to turn with the mouse, the scroll wheel or the arrow keys. */
final class WheelDial extends CanvasPane {

    private static final double KEY_STEP = 5;
    private static final double FINE_STEP = 1;

    private final Workbench bench;
    private final Tooltip tip = new Tooltip();
    private double grabbedAt;

    WheelDial(Workbench bench) {
        this.bench = bench;
        setId("wheel-dial");
        getStyleClass().add("wheel-dial");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        setMinSize(116, 120);
        bench.steeringInputProperty().addListener((_, _, _) -> redraw());
        bench.jobProperty().addListener((_, _, _) -> redraw());
        bench.analysisProperty().addListener((_, _, _) -> redraw());
        focusedProperty().addListener((_, _, _) -> redraw());
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            requestFocus();
            grabbedAt = pointerDeg(e);
        });
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::turn);
        addEventHandler(MouseEvent.MOUSE_CLICKED, e -> markAt(e.getX(), e.getY())
                .filter(_ -> e.isStillSincePress())
                .ifPresent(m -> bench.steerTo(new SteeringInput(
                        m.steeringWheelDeg,
                        bench.steeringInput().travelLeft(),
                        bench.steeringInput().travelRight()))));
        addEventHandler(MouseEvent.MOUSE_MOVED, e -> {
            Optional<Mark> mark = markAt(e.getX(), e.getY());
            setCursor(mark.isPresent() ? Cursor.HAND : Cursor.DEFAULT);
            tip.setText(mark.map(m -> m.words + "\nPress to turn there")
                    .orElse("Drag, scroll or arrow keys turn the wheel"));
        });
        Tooltip.install(this, tip);
        setOnScroll(e -> turnBy(Math.signum(e.getDeltaY()) * (e.isShiftDown() ? FINE_STEP : KEY_STEP)));
        setOnKeyPressed(this::key);
    }

    private double pointerDeg(MouseEvent e) {
        return Math.toDegrees(Math.atan2(e.getX() - getWidth() / 2, middle() - e.getY()));
    }

    private double middle() {
        return getHeight() / 2 - 8;
    }

    private void turn(MouseEvent e) {
        double now = pointerDeg(e);
        double by = now - grabbedAt;
        by -= 360 * Math.rint(by / 360);
        grabbedAt = now;
        turnBy(-by);
    }

    private void turnBy(double left) {
        SteeringInput h = bench.steeringInput();
        bench.steerTo(new SteeringInput(h.steeringWheelDeg() + left, h.travelLeft(), h.travelRight()));
    }

    private void key(KeyEvent e) {
        if (e.isAltDown() || e.isShortcutDown()) {
            return;
        }
        double step = e.isShiftDown() ? FINE_STEP : KEY_STEP;
        switch (e.getCode()) {
            case LEFT, DOWN -> turnBy(step);
            case RIGHT, UP -> turnBy(-step);
            case HOME, DIGIT0 ->
                bench.steerTo(new SteeringInput(
                        0,
                        bench.steeringInput().travelLeft(),
                        bench.steeringInput().travelRight()));
            default -> {
                return;
            }
        }
        e.consume();
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        double deg = bench.steeringInput().steeringWheelDeg();
        double r = Math.min(w, h - 18) / 2 - 12;
        double cx = w / 2;
        double cy = middle();
        limits(g, cx, cy, r + 7, deg);
        Optional<SteeringWheel> held = bench.job().column().map(Column::wheel);
        Optional<HandBar.Kind> bar = held.flatMap(SteeringWheel::bar).map(HandBar::kind);
        g.setStroke(isFocused() ? ink(ColorToken.ACCENT) : ink(ColorToken.LINE));
        g.setLineWidth(bar.isPresent() ? 1 : 7);
        g.strokeOval(cx - r, cy - r, 2 * r, 2 * r);
        g.setStroke(ink(ColorToken.LINE));
        g.setLineWidth(5);
        for (double spoke : spokes(bar)) {
            g.setStroke(spoke == 0 ? ink(ColorToken.ACCENT) : ink(ColorToken.LINE));
            g.setLineWidth(5);
            spoke(g, cx, cy, spoke - deg, 20, r - 3);
            if (bar.isPresent()) {
                g.setLineWidth(11);
                spoke(g, cx, cy, spoke - deg, 0.6 * r, r - 3);
            }
        }
        if (bar.isPresent()) {
            g.setLineWidth(5);
            g.setStroke(ink(ColorToken.ACCENT));
            spoke(g, cx, cy, -deg, r - 10, r);
        }
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.setFill(ink(ColorToken.LINE));
        g.setFont(Fonts.figure(16));
        String text = LengthText.decimal(Math.abs(deg), 0) + "°";
        String way = Math.abs(deg) < 0.5 ? "" : deg > 0 ? ", left" : ", right";
        g.fillText(text, cx, cy);
        g.setFont(Fonts.text(12));
        String name = Element.capital(held.map(SteeringWheel::label).orElse("steering wheel"));
        g.fillText(name + way, cx, h - 9);
        setAccessibleText(name + ", " + text + way);
    }

    /**
     * Where spokes, or grips, stand straight ahead, degrees clockwise from the top, as the driver looks down at them.
     */
    private static double[] spokes(Optional<HandBar.Kind> bar) {
        return switch (bar.orElse(null)) {
            case null -> new double[] {0, 120, 240};
            case HANDLEBAR, LEVERS -> new double[] {90, 270};
            case TILLER -> new double[] {180};
        };
    }

    private static void spoke(GraphicsContext g, double cx, double cy, double deg, double from, double to) {
        double a = Math.toRadians(deg);
        g.strokeLine(cx + Math.sin(a) * from, cy - Math.cos(a) * from, cx + Math.sin(a) * to, cy - Math.cos(a) * to);
    }

    /**
     * A place of the wheel where a limit is met.
     *
     * @param onRingDeg on the ring, counter-clockwise from the top: half a turn of it is the gear's whole travel
     * @param limits whether it ends the lock
     */
    private record Mark(double steeringWheelDeg, double onRingDeg, boolean limits, String words) {}

    private List<Mark> marks() {
        List<Mark> all = new ArrayList<>();
        bench.analysisProperty().get().flatMap(x -> x.now().steer()).ifPresent(s -> {
            for (Side way : Side.values()) {
                double end = Math.abs(s.reach(way).stopDeg());
                double lock = Math.abs(s.lock(way).turn().steeringWheelDeg());
                for (LockLimits.Hit hit : s.limits().toward(way)) {
                    double at = Math.abs(hit.steeringWheelDeg());
                    if (end > 0 && at / end < 0.995) {
                        all.add(new Mark(
                                way.sign() * at,
                                180 * way.sign() * at / end,
                                Math.abs(at - lock) < 0.5,
                                hit.limit().label() + " at " + LengthText.decimal(at, 0) + "°"));
                    }
                }
            }
        });
        return all;
    }

    /** The mark under the pointer. */
    private Optional<Mark> markAt(double x, double y) {
        double r = Math.min(getWidth(), getHeight() - 18) / 2 - 5;
        return marks().stream()
                .filter(m -> {
                    double a = Math.toRadians(90 + m.onRingDeg);
                    return Math.hypot(x - getWidth() / 2 - Math.cos(a) * r, y - middle() + Math.sin(a) * r) < 8;
                })
                .findFirst();
    }

    /** How much of the way to each end is used, as an arc; full at the end. */
    private void limits(GraphicsContext g, double cx, double cy, double r, double deg) {
        g.setLineWidth(3);
        g.setStroke(ink(ColorToken.GRID));
        g.strokeOval(cx - r, cy - r, 2 * r, 2 * r);
        double stop = bench.train().stopDeg(deg >= 0 ? Side.LEFT : Side.RIGHT).orElse(360.0);
        double part = stop == 0 ? 0 : deg / Math.abs(stop);
        boolean atEnd = Math.abs(part) > 0.999;
        g.setStroke(ink(atEnd ? ColorToken.STOP : ColorToken.ACCENT));
        g.strokeArc(cx - r, cy - r, 2 * r, 2 * r, 90, 180 * part, ArcType.OPEN);
        for (Mark m : marks()) {
            double a = Math.toRadians(90 + m.onRingDeg);
            g.setStroke(ink(m.limits ? ColorToken.STOP : ColorToken.LOOK));
            g.setLineWidth(3);
            g.strokeLine(
                    cx + Math.cos(a) * (r - 4),
                    cy - Math.sin(a) * (r - 4),
                    cx + Math.cos(a) * (r + 5),
                    cy - Math.sin(a) * (r + 5));
        }
        // The end of the gear's travel is drawn at the bottom, half way round to either side.
        g.setStroke(ink(ColorToken.LINE));
        g.setLineWidth(2);
        g.strokeLine(cx, cy + r - 4, cx, cy + r + 4);
    }
}

package mildtilt.app.column;

import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.StrokeLineCap;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.workbench.Workbench;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Column;
import mildtilt.column.ForkSetting;
import mildtilt.column.Socket;
import mildtilt.drawing.UnrolledColumn.Fork;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.units.LengthText;
import org.jspecify.annotations.Nullable;

/**
 * One fork as a clock seen from the wheel end. The fork at the gear end of a shaft is dragged round to clock it, and
 * clicks where the shaft's ends allow; the very first turns the whole train on.
 */
final class ForkDial extends CanvasPane {

    static final double SIZE = 46;
    private static final double FINE = 0.1;
    private static final double COARSE = 10;
    private static final int MOST_TICKS = 36;

    private final Workbench bench;
    private final Tooltip tip = new Tooltip();
    private @Nullable Column column;
    private @Nullable Fork fork;
    private double grabbedAt;
    private double turned;
    private double clockingAtStart;
    private ForkSetting settingAtStart = new ForkSetting.AnyAngle();

    ForkDial(Workbench bench, int index) {
        this.bench = bench;
        setId("fork-" + index);
        getStyleClass().add("fork-dial");
        setPrefSize(SIZE, SIZE);
        setMinSize(SIZE, SIZE);
        setMaxSize(SIZE, SIZE);
        resize(SIZE, SIZE);
        setAccessibleRole(AccessibleRole.SLIDER);
        Tooltip.install(this, tip);
        focusedProperty().addListener((_, _, _) -> redraw());
        hoverProperty().addListener((_, _, _) -> redraw());
        setOnMousePressed(this::press);
        setOnMouseDragged(this::turn);
        setOnMouseReleased(this::release);
        setOnMouseClicked(MouseEvent::consume);
        setOnKeyPressed(this::key);
    }

    void show(Column c, Fork f) {
        column = c;
        fork = f;
        boolean settable = settable(c, f);
        setFocusTraversable(settable);
        setCursor(settable ? Cursor.HAND : Cursor.DEFAULT);
        String text = text(c, f);
        tip.setText(text);
        setAccessibleText(text);
        redraw();
    }

    /** A fork at the gear end of a shaft; that at the wheel end is what it is measured from. */
    private static boolean settable(Column c, Fork f) {
        return f.atGearEnd() && !(setting(c, f) instanceof ForkSetting.Fixed);
    }

    private static ForkSetting setting(Column c, Fork f) {
        if (f.shaft() > 0) {
            return c.setting(f.shaft());
        }
        // The first fork goes round with its shaft in the hub.
        int ways = c.wheel().fit().socket().map(Socket::waysPerTurn).orElse(0);
        return ways == 0 ? new ForkSetting.AnyAngle() : new ForkSetting.Stepped(ways, c.firstForkDeg());
    }

    private static double clocking(Column c, Fork f) {
        return f.shaft() == 0 ? c.firstForkDeg() : c.shafts().get(f.shaft()).clockingDeg();
    }

    private static String text(Column c, Fork f) {
        String shaft = c.shafts().get(f.shaft()).name();
        if (!f.atGearEnd()) {
            return "Wheel-end fork of " + shaft
                    + (c.liesBetweenJoints(f.shaft()) ? ": its gear-end fork is measured from this one" : "");
        }
        String how = setting(c, f).label();
        return f.shaft() == 0
                ? "First fork: turns the whole train on against the steering wheel (" + how + ")"
                : "Gear-end fork of " + shaft + ": " + UnrolledStrip.clocking(clocking(c, f)) + " (" + how + ")";
    }

    private static Job clocked(Job job, int shaft, double deg) {
        return job.editColumn(c -> shaft == 0
                ? c.withFirstForkDeg(ForkMark.withinHalfTurn(deg))
                : c.editShaft(shaft, s -> s.withClockingDeg(ForkMark.withinHalfTurn(deg))));
    }

    private double pointer(MouseEvent e) {
        return Math.toDegrees(Math.atan2(e.getX() - SIZE / 2, SIZE / 2 - e.getY()));
    }

    private void press(MouseEvent e) {
        Column c = column;
        Fork f = fork;
        if (c == null || f == null) {
            return;
        }
        e.consume();
        bench.selectionProperty().set(Optional.of(new Element.ShaftAt(f.shaft())));
        if (!settable(c, f)) {
            bench.refuse(
                    f.atGearEnd()
                            ? "The forks of " + c.shafts().get(f.shaft()).name()
                                    + " are fixed to it: they can't be clocked."
                            : "Clocking is measured from this fork: drag the one at the gear end of the shaft.");
            return;
        }
        requestFocus();
        grabbedAt = pointer(e);
        turned = 0;
        clockingAtStart = clocking(c, f);
        settingAtStart = setting(c, f);
        bench.beginDrag();
    }

    private void turn(MouseEvent e) {
        Fork f = fork;
        if (!bench.dragging() || f == null) {
            return;
        }
        e.consume();
        double now = pointer(e);
        turned += Math.IEEEremainder(now - grabbedAt, 360);
        grabbedAt = now;
        double to = snapped(clockingAtStart + turned, e.isShiftDown() ? FINE : 1);
        bench.drag(start -> clocked(start, f.shaft(), to));
    }

    private double snapped(double deg, double step) {
        return switch (settingAtStart) {
            case ForkSetting.AnyAngle _ -> Math.rint(deg / step) * step;
            case ForkSetting.Stepped s -> s.nearest(deg);
            case ForkSetting.Fixed _ -> clockingAtStart;
        };
    }

    private void release(MouseEvent e) {
        e.consume();
        if (bench.dragging() && fork != null && column != null) {
            bench.endDrag(description(column, fork));
        }
    }

    private static String description(Column c, Fork f) {
        return f.shaft() == 0
                ? "Turn the whole train: first fork at " + LengthText.decimal(c.firstForkDeg(), 1) + "°"
                : "Clock " + c.shafts().get(f.shaft()).name() + ": " + UnrolledStrip.clocking(clocking(c, f));
    }

    private void key(KeyEvent e) {
        Column c = column;
        Fork f = fork;
        if (c == null || f == null || e.isAltDown()) {
            return;
        }
        if (e.getCode() == KeyCode.ESCAPE && bench.dragging()) {
            bench.cancelDrag();
            e.consume();
            return;
        }
        int way = e.getCode() == KeyCode.RIGHT || e.getCode() == KeyCode.UP
                ? 1
                : e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.DOWN ? -1 : 0;
        if (way == 0 || !settable(c, f)) {
            return;
        }
        double step = e.isShiftDown() ? COARSE : e.isShortcutDown() ? FINE : 1;
        double now = clocking(c, f);
        double to =
                switch (setting(c, f)) {
                    case ForkSetting.AnyAngle _ -> now + way * step;
                    case ForkSetting.Stepped s -> s.nearest(s.nearest(now) + way * 180.0 / s.settings().length);
                    case ForkSetting.Fixed _ -> now;
                };
        bench.edit(
                f.shaft() == 0
                        ? "Turn the whole train on"
                        : "Clock " + c.shafts().get(f.shaft()).name() + ": "
                                + UnrolledStrip.clocking(ForkMark.withinHalfTurn(to)),
                j -> clocked(j, f.shaft(), to));
        e.consume();
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        Column c = column;
        Fork f = fork;
        if (c == null || f == null) {
            return;
        }
        double m = SIZE / 2;
        double r = m - 6;
        boolean settable = settable(c, f);
        boolean strong = settable && (isFocused() || isHover());
        g.setLineCap(StrokeLineCap.BUTT);
        g.setFill(ink(ColorToken.PAPER));
        g.fillOval(m - r, m - r, 2 * r, 2 * r);
        g.setStroke(ink(settable ? strong ? ColorToken.ACCENT : ColorToken.LINE : ColorToken.GRID));
        g.setLineWidth(settable ? strong ? 2.5 : 1.5 : 1.2);
        if (settable) {
            g.strokeOval(m - r, m - r, 2 * r, 2 * r);
        } else {
            // What others are measured from has no ring to turn.
            g.strokeRect(m - r, m - r, 2 * r, 2 * r);
        }
        ticks(g, c, f, m, r);
        double a = Math.toRadians(f.clockDeg());
        double dx = Math.sin(a);
        double dy = -Math.cos(a);
        g.setStroke(ink(settable ? ColorToken.ACCENT : ColorToken.LINE));
        g.setLineWidth(5);
        g.strokeLine(m - dx * (r - 4), m - dy * (r - 4), m + dx * (r - 4), m + dy * (r - 4));
        // The ears stand square to the pin at its ends.
        g.setLineWidth(3);
        for (int end : new int[] {-1, 1}) {
            double ex = m + end * dx * (r - 4);
            double ey = m + end * dy * (r - 4);
            g.strokeLine(ex - dy * 5, ey + dx * 5, ex + dy * 5, ey - dx * 5);
        }
        g.setFill(ink(ColorToken.PAPER));
        g.fillOval(m - 3, m - 3, 6, 6);
    }

    /** Where the fork could be set instead; a mark at twelve where it can be set anywhere. */
    private void ticks(GraphicsContext g, Column c, Fork f, double m, double r) {
        g.setStroke(ink(ColorToken.FAINT));
        g.setLineWidth(1);
        if (f.atGearEnd() && setting(c, f) instanceof ForkSetting.Stepped s && s.settings().length <= MOST_TICKS) {
            for (double set : s.settings()) {
                tick(g, m, r, f.clockDeg() + set - clocking(c, f));
                tick(g, m, r, f.clockDeg() + set - clocking(c, f) + 180);
            }
        } else {
            tick(g, m, r, 0);
        }
    }

    private static void tick(GraphicsContext g, double m, double r, double deg) {
        double x = Math.sin(Math.toRadians(deg));
        double y = -Math.cos(Math.toRadians(deg));
        g.strokeLine(m + x * (r + 1), m + y * (r + 1), m + x * (r + 5), m + y * (r + 5));
    }
}

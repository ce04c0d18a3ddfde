package mildtilt.app.position;

import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthText;

/**
 * Moves one wheel between droop and bump, or both together where that is chosen; with Shift held the other of the two.
 */
final class TravelLever extends CanvasPane {

    private static final double TOP = 16;
    private static final double BOTTOM = 34;

    private final Workbench bench;
    private final Side side;

    TravelLever(Workbench bench, Side side) {
        this.bench = bench;
        this.side = side;
        setId("travel-" + side.label());
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        setMinSize(56, 120);
        setPrefWidth(56);
        bench.steeringInputProperty().addListener((_, _, _) -> redraw());
        bench.jobProperty().addListener((_, _, _) -> redraw());
        bench.lengthUnitProperty().addListener((_, _, _) -> redraw());
        focusedProperty().addListener((_, _, _) -> redraw());
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            requestFocus();
            to(travelAt(e.getY()), e.isShiftDown());
        });
        addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> to(travelAt(e.getY()), e.isShiftDown()));
        setOnScroll(e -> to(travel() + Math.signum(e.getDeltaY() + e.getDeltaX()) * 2, e.isShiftDown()));
        setOnKeyPressed(this::key);
    }

    private void key(KeyEvent e) {
        if (e.isAltDown() || e.isShortcutDown()) {
            return;
        }
        switch (e.getCode()) {
            case UP -> to(travel() + 5, e.isShiftDown());
            case DOWN -> to(travel() - 5, e.isShiftDown());
            case PAGE_UP -> to(bench.job().vehicle().bump(), e.isShiftDown());
            case PAGE_DOWN -> to(-bench.job().vehicle().droop(), e.isShiftDown());
            case HOME, DIGIT0 -> to(0, e.isShiftDown());
            default -> {
                return;
            }
        }
        e.consume();
    }

    private double travel() {
        return side == Side.LEFT
                ? bench.steeringInput().travelLeft()
                : bench.steeringInput().travelRight();
    }

    private void to(double mm, boolean shift) {
        SteeringInput h = bench.steeringInput();
        // Shift does the other of what is chosen.
        boolean both = shift != bench.travelTogetherProperty().get();
        bench.steerTo(new SteeringInput(
                h.steeringWheelDeg(),
                side == Side.LEFT || both ? mm : h.travelLeft(),
                side == Side.RIGHT || both ? mm : h.travelRight()));
    }

    private double yAt(double mm) {
        Vehicle v = bench.job().vehicle();
        double range = Math.max(1, v.bump() + v.droop());
        return TOP + (v.bump() - mm) / range * (getHeight() - TOP - BOTTOM);
    }

    private double travelAt(double y) {
        Vehicle v = bench.job().vehicle();
        double mm = v.bump() - (y - TOP) / (getHeight() - TOP - BOTTOM) * (v.bump() + v.droop());
        // Ride height is easy to find again.
        return Math.abs(mm) < (v.bump() + v.droop()) * 0.02 ? 0 : Math.rint(mm);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        Vehicle v = bench.job().vehicle();
        double x = w / 2;
        g.setStroke(ink(ColorToken.GRID));
        g.setLineWidth(4);
        g.strokeLine(x, yAt(v.bump()), x, yAt(-v.droop()));
        g.setStroke(ink(ColorToken.LINE));
        g.setLineWidth(1.5);
        g.strokeLine(x - 12, yAt(v.bump()), x + 12, yAt(v.bump()));
        g.strokeLine(x - 8, yAt(0), x + 8, yAt(0));
        g.strokeLine(x - 12, yAt(-v.droop()), x + 12, yAt(-v.droop()));
        if (bench.wheelTravel() == WheelTravel.NONE) {
            g.setFill(ink(ColorToken.FAINT));
            g.setFont(Fonts.text(12));
            g.setTextAlign(TextAlignment.CENTER);
            g.setTextBaseline(VPos.CENTER);
            g.fillText(side == Side.LEFT ? "left wheel" : "right wheel", x, h - BOTTOM + 12);
            g.fillText("on the frame", x, h - BOTTOM + 26, w - 2);
            setAccessibleText("The " + side.label() + " wheel is fixed to the frame and does not travel");
            return;
        }
        boolean atEnd = travel() >= v.bump() || travel() <= -v.droop();
        g.setFill(ink(isFocused() ? ColorToken.ACCENT : atEnd ? ColorToken.STOP : ColorToken.LINE));
        g.fillRoundRect(x - 17, yAt(travel()) - 6, 34, 12, 6, 6);
        g.setFill(ink(ColorToken.FAINT));
        g.setFont(Fonts.text(11));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.fillText("bump", x, 6);
        g.fillText("droop", x, h - BOTTOM + 10);
        g.setFill(ink(ColorToken.LINE));
        g.setFont(Fonts.text(13));
        String name = side == Side.LEFT ? "Left" : "Right";
        String figure = LengthText.format(travel(), bench.lengthUnit());
        g.fillText(name + " " + figure, x, h - 9, w - 2);
        setAccessibleText(name + " wheel travel, " + figure);
    }
}

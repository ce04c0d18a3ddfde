package mildtilt.app.view;

import java.util.Comparator;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.position.AxlePose;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.LengthText;

/**
 * The whole vehicle from above in a corner of the plan: where each wheel's axis meets the line of the rear axle. At
 * true
 * Ackermann both meet it in one place, the turning centre.
 */
final class TurnInset {

    private static final double WIDTH = 236;
    private static final double HEIGHT = 118;
    /** Nearer to straight ahead than this there is no turning centre to draw, degrees. */
    private static final double STRAIGHT = 1;

    private TurnInset() {}

    /**
     * Where it goes: of the places along the top, the bottom and the sides, the one that hides least of the drawing;
     * empty
     * while the wheels stand straight or can't stand at all.
     *
     * @param hidden how much of the drawing a place would hide
     */
    static Optional<Box> box(double w, double h, Workbench bench, ToDoubleFunction<Box> hidden) {
        boolean turned = bench.pose()
                .flatMap(AxlePose::assembled)
                .map(a -> Math.abs(a.left().steerDeg()) > STRAIGHT
                        && Math.abs(a.right().steerDeg()) > STRAIGHT)
                .orElse(false);
        if (!turned || w < 420 || h < 260) {
            return Optional.empty();
        }
        double low = h - HEIGHT - 26;
        double middle = (w - WIDTH) / 2;
        return Stream.of(
                        new Box(middle, low, WIDTH, HEIGHT),
                        new Box(middle, 24, WIDTH, HEIGHT),
                        new Box(w - WIDTH - 8, low, WIDTH, HEIGHT),
                        new Box(8, low - 4, WIDTH, HEIGHT),
                        new Box(w - WIDTH - 8, 24, WIDTH, HEIGHT),
                        new Box(8, 24, WIDTH, HEIGHT))
                .min(Comparator.comparingDouble(hidden));
    }

    static void draw(GraphicsContext g, Box box, Workbench bench, Function<ColorToken, Color> ink) {
        AxlePose.Assembled a = bench.pose().flatMap(AxlePose::assembled).orElseThrow();
        double wheelbase = bench.job().vehicle().wheelbase();
        double track = a.left().wheelCentre().y() - a.right().wheelCentre().y();
        TurnGeometry turn = TurnGeometry.of(
                0, a.left().steerDeg(), a.right().steerDeg(), bench.job().vehicle(), track, track);
        double about = turn.turnsAbout();
        double left = centreY(a.left(), about);
        double right = centreY(a.right(), about);
        g.save();
        g.setFill(ink.apply(ColorToken.PAPER));
        g.fillRect(box.x(), box.y(), box.w(), box.h());
        g.setStroke(ink.apply(ColorToken.GRID));
        g.setLineWidth(1);
        g.strokeRect(box.x(), box.y(), box.w(), box.h());
        g.beginPath();
        g.rect(box.x(), box.y(), box.w(), box.h());
        g.clip();
        double farthest = Math.max(Math.abs(left), Math.abs(right));
        double shown = Math.min(farthest, 5 * wheelbase) + track;
        double k = Math.min((box.w() - 24) / (shown + track / 2), (box.h() - 44) / (Math.max(wheelbase, about) * 1.25));
        double way = Math.signum(left + right);
        // The vehicle stands at the side away from the centre.
        double x0 = way > 0 ? box.x() + box.w() - 12 - track / 2 * k : box.x() + 12 + track / 2 * k;
        double y0 = box.y() + 20;
        g.setStroke(ink.apply(ColorToken.FAINT));
        g.setLineDashes(6, 3, 1, 3);
        double rear = y0 + wheelbase * k;
        double line = y0 + about * k;
        g.strokeLine(box.x(), line, box.x() + box.w(), line);
        g.setLineDashes();
        for (Side side : Side.values()) {
            KnucklePose p = a.knuckle(side);
            double wx = x0 - p.wheelCentre().y() * k;
            wheel(g, wx, y0, -Math.toRadians(p.steerDeg()), ink);
            wheel(g, wx, rear, Math.toRadians(turn.rearMeanDeg()), ink);
            double cx = x0 - (side == Side.LEFT ? left : right) * k;
            g.setStroke(ink.apply(side == Side.LEFT ? ColorToken.ACCENT : ColorToken.BEFORE));
            g.setLineWidth(1.2);
            g.strokeLine(wx, y0, cx, line);
            g.strokeOval(cx - 3, line - 3, 6, 6);
        }
        g.setFill(ink.apply(ColorToken.LINE));
        g.setFont(Fonts.text(12));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.BOTTOM);
        String apart = LengthText.format(Math.abs(left - right), bench.lengthUnit());
        g.fillText(
                (turn.rearSteer() == 0 ? "Wheel axes meet the rear axle " : "Wheel axes meet the turning line ") + apart
                        + " apart",
                box.x() + 6,
                box.y() + box.h() - 3,
                box.w() - 12);
        g.restore();
    }

    private static void wheel(GraphicsContext g, double x, double y, double angle, Function<ColorToken, Color> ink) {
        double dx = Math.sin(angle) * 8;
        double dy = Math.cos(angle) * 8;
        g.setStroke(ink.apply(ColorToken.LINE));
        g.setLineWidth(4);
        g.strokeLine(x - dx, y + dy, x + dx, y - dy);
    }

    /** Where a wheel's axis meets the line turned about: + to the left of the centreline, mm. */
    private static double centreY(KnucklePose k, double wheelbase) {
        Point c = k.wheelCentre();
        // A wheel steered left has its axis meet that line on the left.
        return c.y() + (c.x() + wheelbase) / Math.tan(Math.toRadians(k.steerDeg()));
    }
}

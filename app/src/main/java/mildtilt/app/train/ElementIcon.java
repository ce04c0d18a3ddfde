package mildtilt.app.train;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.ColoredPane;
import mildtilt.gear.RackAndPinion;
import mildtilt.job.Element;
import mildtilt.job.Job;

/** A small drawing of one kind of element, in ink. */
final class ElementIcon extends ColoredPane {

    static final double WIDTH = 46;
    static final double HEIGHT = 26;

    private final Canvas canvas = new Canvas(WIDTH, HEIGHT);
    private final Job job;
    private final Element element;

    /** @param job whose kind of gear decides how a gear is drawn */
    ElementIcon(Job job, Element element) {
        this.job = job;
        this.element = element;
        setMinSize(WIDTH, HEIGHT);
        setMaxSize(WIDTH, HEIGHT);
        getChildren().add(canvas);
        setMouseTransparent(true);
    }

    @Override
    protected void redraw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, WIDTH, HEIGHT);
        Color line = ink(ColorToken.LINE);
        g.setStroke(line);
        g.setFill(line);
        g.setLineCap(StrokeLineCap.ROUND);
        g.setLineWidth(2);
        switch (element) {
            case Element.Wheel _ -> wheel(g);
            case Element.ShaftAt _ -> {
                g.setLineWidth(5);
                g.strokeLine(6, 19, 40, 7);
            }
            case Element.JointAt _ -> joint(g);
            case Element.Tube _ -> {
                g.setLineWidth(1.5);
                g.strokePolygon(new double[] {8, 35, 39, 12}, new double[] {16, 3, 11, 24}, 4);
                g.setLineWidth(3);
                g.strokeLine(2, 24, 10, 20);
                g.strokeLine(37, 7, 44, 4);
            }
            case Element.BearingAt _ -> {
                g.setLineWidth(1.5);
                g.strokeOval(13, 1, 20, 20);
                g.strokePolyline(new double[] {8, 8, 38, 38}, new double[] {25, 19, 19, 25}, 4);
                g.setLineWidth(3);
                g.strokeOval(18, 6, 10, 10);
            }
            case Element.GearElement _ -> {
                if (job.axle().map(a -> a.gear() instanceof RackAndPinion).orElse(true)) {
                    rack(g);
                } else {
                    gearBox(g);
                }
            }
            case Element.GearArm _ -> {
                g.setLineWidth(4);
                g.strokeLine(14, 6, 30, 21);
                g.setLineWidth(1.5);
                g.strokeOval(9, 1, 10, 10);
                g.setFill(ink(ColorToken.PAPER));
                g.fillOval(27, 17, 7, 7);
                g.strokeOval(27, 17, 7, 7);
            }
            case Element.DrivenRod _ -> {
                g.setLineWidth(3);
                g.strokeLine(8, 19, 38, 8);
                g.setLineWidth(1.5);
                g.setFill(ink(ColorToken.PAPER));
                g.fillOval(3, 16, 8, 8);
                g.strokeOval(3, 16, 8, 8);
                g.fillOval(35, 3, 8, 8);
                g.strokeOval(35, 3, 8, 8);
            }
            case Element.Relay _ -> {
                g.strokePolygon(new double[] {23, 8, 38}, new double[] {4, 21, 21}, 3);
                g.setFill(ink(ColorToken.PAPER));
                g.fillOval(19, 1, 8, 8);
                g.strokeOval(19, 1, 8, 8);
            }
            case Element.BeamElement _ -> {
                g.setLineWidth(5);
                g.strokePolyline(new double[] {6, 14, 32, 40}, new double[] {9, 14, 14, 9}, 4);
                g.setLineWidth(2);
                g.strokeLine(5, 3, 7, 16);
                g.strokeLine(41, 3, 39, 16);
            }
            case Element.TieRods _ -> {
                g.strokeLine(7, 13, 39, 13);
                g.strokeOval(2, 9, 8, 8);
                g.strokeOval(36, 9, 8, 8);
            }
            case Element.SteeringArms _ -> {
                g.setLineWidth(5);
                g.strokePolyline(new double[] {9, 22, 40}, new double[] {6, 13, 19}, 3);
                g.setFill(ink(ColorToken.PAPER));
                g.fillOval(36.5, 15.5, 7, 7);
                g.setLineWidth(1.5);
                g.strokeOval(36.5, 15.5, 7, 7);
            }
            case Element.Knuckles _ -> {
                g.strokeLine(20, 2, 26, 24);
                g.setLineWidth(4);
                g.strokePolyline(new double[] {17, 28, 29}, new double[] {4, 12, 22}, 3);
                g.strokeLine(28, 12, 40, 12);
            }
            case Element.Tyres _ -> {
                g.strokeOval(11, 1, 24, 24);
                g.strokeOval(18, 8, 10, 10);
            }
            case Element.InTheWay _ -> g.strokeRect(8, 6, 28, 14);
            case Element.AtTheWheel _ -> g.strokePolyline(new double[] {6, 20, 34}, new double[] {12, 4, 22}, 3);
        }
    }

    private static void wheel(GraphicsContext g) {
        g.setLineWidth(3);
        g.strokeOval(11, 2, 23, 22);
        g.setLineWidth(2);
        g.strokeLine(12, 13, 33, 13);
        g.strokeLine(22.5, 13, 22.5, 23);
    }

    private void joint(GraphicsContext g) {
        g.setLineWidth(4);
        g.strokeLine(3, 21, 14, 16);
        g.strokeLine(32, 10, 43, 5);
        g.setLineWidth(2);
        g.strokePolyline(new double[] {25, 17, 14, 20, 28}, new double[] {8, 10, 16, 20, 18}, 5);
        g.strokePolyline(new double[] {19, 28, 32, 27, 20}, new double[] {7, 6, 10, 18, 19}, 5);
        g.setFill(ink(ColorToken.PAPER));
        g.fillOval(20, 10, 6, 6);
        g.strokeOval(20, 10, 6, 6);
    }

    private static void gearBox(GraphicsContext g) {
        g.setLineWidth(1.5);
        g.strokeRoundRect(10, 5, 26, 15, 5, 5);
        g.setLineWidth(3);
        g.strokeLine(1, 9, 10, 9);
        g.setLineWidth(2);
        g.strokeOval(18, 8, 10, 9);
        g.strokeLine(23, 20, 23, 25);
    }

    private static void rack(GraphicsContext g) {
        g.setLineWidth(1.5);
        g.strokeRect(6, 13, 34, 7);
        for (int x = 10; x < 38; x += 5) {
            g.strokeLine(x, 13, x + 2, 9);
        }
        g.setLineWidth(3);
        g.strokeLine(1, 16.5, 6, 16.5);
        g.strokeLine(40, 16.5, 45, 16.5);
        g.strokeLine(23, 10, 27, 2);
    }
}

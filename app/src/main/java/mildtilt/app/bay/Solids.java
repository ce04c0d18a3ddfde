package mildtilt.app.bay;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point3D;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import javafx.scene.paint.PhongMaterial;
import javafx.scene.shape.CullFace;
import javafx.scene.shape.Cylinder;
import javafx.scene.shape.Mesh;
import javafx.scene.shape.MeshView;
import javafx.scene.shape.Shape3D;
import javafx.scene.shape.Sphere;
import javafx.scene.transform.Affine;
import javafx.scene.transform.Rotate;
import javafx.scene.transform.Translate;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.drawing.ObstacleSketch;
import mildtilt.drawing.Pen;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Stroke;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.steer.AxlePose;
import mildtilt.steer.SteeringTrain;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KnucklePose;

/** The parts of the steering as solids: round bar along every line of the sketch, and the bulky parts. */
final class Solids {

    private static final double FORK_LENGTH = 34;
    private static final double FORK_SPREAD = 17;

    private final PhongMaterial metal;
    private final PhongMaterial dull;
    private final PhongMaterial chosen;
    private final Optional<Element> selected;
    private final List<Node> nodes = new ArrayList<>();

    Solids(Color line, Color faint, Color accent, Optional<Element> selected) {
        metal = new PhongMaterial(line);
        dull = new PhongMaterial(faint);
        chosen = new PhongMaterial(accent);
        this.selected = selected;
    }

    List<Node> of(Sketch sketch, Job job, SteeringTrain train, double steeringWheelDeg, Optional<AxlePose> pose) {
        for (Stroke s : sketch.strokes()) {
            PhongMaterial material = s.element().equals(selected) && selected.isPresent() ? chosen
                    : dullPen(s.pen()) ? dull : metal;
            double radius = radius(s.pen());
            if (s.pen() == Pen.STEERING_WHEEL && s.points().size() > 2) {
                continue;
            }
            if (s instanceof Stroke.Outline o) {
                block(o);
            }
            if (s instanceof Stroke.Line && radius > 0) {
                for (int i = 1; i < s.points().size(); i++) {
                    bar(s.points().get(i - 1), s.points().get(i), radius, material);
                }
            }
        }
        train.column().ifPresent(c -> {
            forks(c, steeringWheelDeg);
            ring(c.column().hub(), c.column().axis(0), c.column().wheel().diameter() / 2, radius(Pen.STEERING_WHEEL),
                    material(new Element.Wheel(), metal));
        });
        job.axle().ifPresent(a -> gear(new Element.GearElement(), a.gear()));
        pose.ifPresent(p -> {
            tyre(job, p.left());
            tyre(job, p.right());
        });
        return nodes;
    }

    private static double radius(Pen pen) {
        return switch (pen) {
            case GROUND, CENTRE_LINE, TYRE, FORK_PIN, LOCK_ARC, TURN_AXIS, GEAR_BOX, SHUTTLE, TUBE, BEARING, OBSTACLE, HOT, SWEPT, DRIVER, GAP -> 0;
            case GHOST -> 7;
            case STEERING_WHEEL -> 12;
            case SHAFT -> 10;
            case JOINT -> 6;
            case RACK -> 11;
            case TIE_ROD -> 8;
            case STEERING_ARM -> 13;
            case WISHBONE, TRACK_BAR, DRIVEN_ROD, GUIDE -> 10;
            case GEAR_ARM -> 12;
            case STRUT, SPINDLE -> 16;
            case BEAM -> 28;
            case STEER_AXIS -> 2.5;
        };
    }

    private PhongMaterial material(Element e, PhongMaterial usual) {
        return selected.isPresent() && selected.get().equals(e) ? chosen : usual;
    }

    /** Each fork as two ears beside its pin, so that the clocking is seen. */
    private void forks(ColumnTrain train, double steeringWheelDeg) {
        Column c = train.column();
        List<ColumnTrain.Pins> pins = train.pinsAt(-Math.toRadians(steeringWheelDeg));
        for (int i = 0; i < pins.size(); i++) {
            PhongMaterial m = material(new Element.JointAt(i), metal);
            Point centre = c.joints().get(i).centre();
            ears(centre, pins.get(i).wheelSide(), c.axis(i).times(-FORK_LENGTH), m);
            ears(centre, pins.get(i).gearSide(), c.axis(i + 1).times(FORK_LENGTH), m);
            Sphere cross = new Sphere(9);
            cross.setMaterial(dull);
            cross.getTransforms().add(new Translate(centre.x(), centre.y(), centre.z()));
            nodes.add(cross);
        }
    }

    private void ears(Point centre, Direction pin, Vector toShaft, PhongMaterial material) {
        for (int way : new int[] {-1, 1}) {
            Vector out = pin.times(way * FORK_SPREAD);
            bar(centre.plus(out), centre.plus(out).plus(toShaft), 6.5, material);
        }
        bar(centre.plus(pin.times(FORK_SPREAD + 7)).plus(toShaft), centre.plus(pin.times(-FORK_SPREAD - 7)).plus(toShaft), 8, material);
        bar(centre.plus(pin.times(FORK_SPREAD + 9)), centre.plus(pin.times(-FORK_SPREAD - 9)), 4, dull);
    }

    private static boolean dullPen(Pen pen) {
        return switch (pen) {
            case WISHBONE, STEER_AXIS, STRUT, SPINDLE, BEAM, TRACK_BAR, TUBE, OBSTACLE, HOT, SWEPT, DRIVER -> true;
            case GROUND, CENTRE_LINE, STEERING_WHEEL, SHAFT, JOINT, FORK_PIN, RACK, BEARING, TIE_ROD, STEERING_ARM, TYRE, GEAR_BOX, GEAR_ARM,
                    DRIVEN_ROD, GUIDE, SHUTTLE, GHOST, GAP, LOCK_ARC, TURN_AXIS -> false;
        };
    }

    /** What the sketch only outlines: a gear's housing, a shuttle's block, a bearing, the column's tube. */
    private void block(Stroke.Outline outline) {
        int half = outline.points().size() / 2;
        if (outline.pen() == Pen.SHUTTLE && half > 1) {
            bar(middle(outline.points().subList(0, half)), middle(outline.points().subList(half, 2 * half)), 24,
                    material(outline.element().orElseThrow(), metal));
        } else if (outline.pen() == Pen.BEARING || outline.pen() == Pen.TUBE) {
            Point from = middle(outline.points().subList(0, half - 1));
            bar(from, middle(outline.points().subList(half, 2 * half - 1)), outline.points().getFirst().distanceTo(from),
                    material(outline.element().orElseThrow(), outline.pen() == Pen.TUBE ? dull : metal));
        } else if (outline.pen() == Pen.GEAR_BOX) {
            // Its eight corners: the fifth lies along the shaft from the first.
            Vector along = outline.points().get(4).minus(outline.points().get(0)).times(0.5);
            Point centre = middle(outline.points());
            bar(centre.plus(along.negated()), centre.plus(along), along.norm(), material(outline.element().orElseThrow(), metal));
        }
    }

    private static Point middle(List<Point> points) {
        Vector sum = new Vector(0, 0, 0);
        for (Point p : points) {
            sum = sum.plus(p.minus(Point.ORIGIN));
        }
        return Point.ORIGIN.plus(sum.times(1.0 / points.size()));
    }

    private void gear(Element e, Gear gear) {
        switch (gear) {
            case ArmGear _ -> { }
            case RackAndPinion r -> bar(
                    r.centre().plus(r.axis().times(r.pivotSpacing() * 0.4)),
                    r.centre().plus(r.axis().times(-r.pivotSpacing() * 0.4)), 22, material(e, metal));
        }
    }

    private void tyre(Job job, CornerPose pose) {
        if (!(pose instanceof KnucklePose k)) {
            return;
        }
        double radius = job.axle().orElseThrow().corner(k.side()).knuckle().wheelCentre().z();
        Vector half = k.spin().times(job.vehicle().tyreWidth() / 2);
        PhongMaterial m = material(new Element.Tyres(), dull);
        // Two rings rather than a drum, so that the knuckle inside stays in sight.
        ring(k.wheelCentre().plus(half), k.spin().direction(), radius - 12, 12, m);
        ring(k.wheelCentre().plus(half.negated()), k.spin().direction(), radius - 12, 12, m);
        bar(k.wheelCentre(), k.wheelCentre().plus(half), 28, m);
    }

    /** What is in the way, where the hands hold the wheels, and the driver's legs. */
    List<Node> surroundings(Job job, Optional<AxlePose> pose, double travelLeft, double travelRight, Color inTheWay, Color hot, SkinMesh skins) {
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            Obstacle o = job.surroundings().obstacles().get(i);
            PhongMaterial m = material(new Element.InTheWay(i), new PhongMaterial(o.hot() ? hot : inTheWay));
            obstacle(o.shape(), ObstacleSketch.move(job, o, pose, travelLeft, travelRight, 0.5), m, skins);
        }
        job.surroundings().driver().ifPresent(d -> {
            for (Side side : Side.values()) {
                Point knee = d.knee(side);
                bar(d.hip().plus(new Vector(0, side.sign() * 90, 0)), knee, Driver.LEG_RADIUS, material(new Element.AtTheWheel(), dull));
                bar(knee, d.heel().plus(new Vector(0, side.sign() * 100, 0)), Driver.LEG_RADIUS * 0.85, material(new Element.AtTheWheel(), dull));
            }
        });
        return List.copyOf(nodes);
    }

    /** Round bars from point to point. */
    List<Node> bars(List<Point> points) {
        for (int i = 1; i < points.size(); i++) {
            bar(points.get(i - 1), points.get(i), 8, chosen);
        }
        return List.copyOf(nodes);
    }

    private void obstacle(Shape shape, RigidMove m, PhongMaterial material, SkinMesh skins) {
        switch (shape) {
            case Shape.Tube t -> {
                for (int i = 1; i < t.line().size(); i++) {
                    bar(m.moved(t.line().get(i - 1)), m.moved(t.line().get(i)), t.diameter() / 2, material);
                    ball(m.moved(t.line().get(i)), t.diameter() / 2, material);
                }
            }
            case Shape.Cylinder c -> bar(m.moved(c.from()), m.moved(c.to()), c.diameter() / 2, material);
            case Shape.Sphere s -> ball(m.moved(s.centre()), s.diameter() / 2, material);
            case Shape.Box _, Shape.Plate _, Shape.Scan _ -> mesh(skins.of(shape), m, material);
        }
    }

    private void mesh(Mesh mesh, RigidMove m, PhongMaterial material) {
        MeshView view = new MeshView(mesh);
        view.setCullFace(CullFace.NONE);
        view.setMaterial(material);
        view.getTransforms().add(new Affine(m.ex().x(), m.ey().x(), m.ez().x(), m.shift().x(), m.ex().y(), m.ey().y(), m.ez().y(), m.shift().y(),
                m.ex().z(), m.ey().z(), m.ez().z(), m.shift().z()));
        nodes.add(view);
    }

    private void ball(Point at, double radius, PhongMaterial material) {
        Sphere ball = new Sphere(radius, 12);
        ball.setMaterial(material);
        ball.getTransforms().add(new Translate(at.x(), at.y(), at.z()));
        nodes.add(ball);
    }

    private void ring(Point centre, Direction axis, double radius, double thickness, PhongMaterial m) {
        MeshView ring = new MeshView(RingMesh.of(radius, thickness));
        ring.setMaterial(m);
        put(ring, centre, axis.vector());
    }

    private void bar(Point from, Point to, double radius, PhongMaterial material) {
        Vector along = to.minus(from);
        double length = along.norm();
        if (length < 1e-6) {
            return;
        }
        Cylinder bar = new Cylinder(radius, length, 12);
        bar.setMaterial(material);
        put(bar, from.midwayTo(to), along);
    }

    /** Cylinders and rings stand along y: turns y onto a direction and puts the middle in place. */
    private void put(Shape3D shape, Point middle, Vector along) {
        Vector axis = Vector.Y.cross(along);
        double angle = Math.toDegrees(Vector.Y.angleTo(along));
        Point3D about = axis.norm() < 1e-9
                ? Rotate.X_AXIS
                : new Point3D(axis.x(), axis.y(), axis.z());
        shape.getTransforms().addAll(new Translate(middle.x(), middle.y(), middle.z()), new Rotate(angle, about));
        nodes.add(shape);
    }
}

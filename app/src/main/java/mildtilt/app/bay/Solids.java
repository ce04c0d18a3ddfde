package mildtilt.app.bay;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.geometry.Point3D;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import javafx.scene.paint.PhongMaterial;
import javafx.scene.shape.CullFace;
import javafx.scene.shape.Cylinder;
import javafx.scene.shape.MeshView;
import javafx.scene.shape.Shape3D;
import javafx.scene.shape.Sphere;
import javafx.scene.shape.TriangleMesh;
import javafx.scene.transform.Affine;
import javafx.scene.transform.Rotate;
import javafx.scene.transform.Translate;
import mildtilt.app.look.Ink;
import mildtilt.clearance.VehicleSolids;
import mildtilt.clearance.VehicleSolids.Kind;
import mildtilt.drawing.Yokes;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;

/**
 * The parts as solids to be looked at: the same that the elevations draw. What is large and hides what matters is of glass, and
 * comes last, so that what stands behind it is seen through it.
 */
final class Solids {

    private static final int ROUND = 20;
    private static final double GLASS = 0.34;
    private static final int[][] BOX_FACES = {{0, 1, 3, 2}, {4, 6, 7, 5}, {0, 4, 5, 1}, {2, 3, 7, 6}, {0, 2, 6, 4}, {1, 5, 7, 3}};

    private final Function<Ink, Color> ink;
    private final Optional<Element> selected;
    private final Predicate<Element> about;
    private final List<Node> opaque = new ArrayList<>();
    private final List<Node> glass = new ArrayList<>();

    Solids(Function<Ink, Color> ink, Optional<Element> selected, Predicate<Element> about) {
        this.ink = ink;
        this.selected = selected;
        this.about = about;
    }

    /** Opaque ones first. */
    List<Node> nodes() {
        List<Node> all = new ArrayList<>(opaque);
        all.addAll(glass);
        return all;
    }

    void draw(List<VehicleSolids.Part> parts, List<Yokes.Yoke> yokes) {
        for (VehicleSolids.Part p : parts) {
            if (p.kind() != Kind.JOINT_SWEEP && p.kind() != Kind.TYRE) {
                part(p);
            }
        }
        for (Yokes.Yoke y : yokes) {
            PhongMaterial fork = material(y.joint(), ink.apply(Ink.YOKE));
            y.wheelSide().forEach(c -> convex(y.joint(), c, fork, opaque));
            y.gearSide().forEach(c -> convex(y.joint(), c, fork, opaque));
            y.cross().forEach(c -> convex(y.joint(), c, material(y.joint(), ink.apply(Ink.TRAIN)), opaque));
        }
    }

    /** Round bars from point to point, of a route that is looked at. */
    void route(List<Point> points) {
        for (int i = 1; i < points.size(); i++) {
            bar(Optional.empty(), points.get(i - 1), points.get(i), 8, plain(ink.apply(Ink.ACCENT)), opaque);
        }
    }

    private void part(VehicleSolids.Part p) {
        boolean seeThrough = switch (p.kind()) {
            case DRIVER, OBSTACLE, HOT_OBSTACLE, TUBE -> true;
            // A wheel is looked through where the column is worked on.
            case TYRE, WHEEL_RING -> !about.test(p.element());
            case SUSPENSION, STEERING_ARM, ROD, GEAR, BEAM, STEERING_WHEEL, SHAFT, JOINT_SWEEP -> false;
        };
        boolean through = seeThrough && !selected.equals(Optional.of(p.element()));
        Color full = ink.apply(switch (p.kind()) {
            case SHAFT, STEERING_WHEEL, ROD, STEERING_ARM -> Ink.TRAIN;
            case GEAR, JOINT_SWEEP -> Ink.YOKE;
            case TUBE -> Ink.METAL;
            case SUSPENSION, BEAM -> Ink.SUSPENSION;
            case TYRE, WHEEL_RING -> Ink.FAINT;
            case OBSTACLE -> Ink.METAL;
            case HOT_OBSTACLE -> Ink.LOOK;
            case DRIVER -> Ink.FAINT;
        });
        Color faded = about.test(p.element()) ? full : full.interpolate(ink.apply(Ink.PAPER), 0.3);
        PhongMaterial m = material(p.element(), through ? glass(faded) : faded);
        List<Node> into = through ? glass : opaque;
        switch (p.solid()) {
            case Solid.Parts parts -> parts.parts().forEach(c -> convex(p.element(), c, m, into));
            case Solid.Ring r -> ring(p.element(), r, m, into);
            case Solid.Skin skin -> skin(p.element(), skin, m, into);
        }
    }

    /** The colour of a pane of it: what shines through is added as it is. */
    private static Color glass(Color c) {
        return new Color(c.getRed() * GLASS, c.getGreen() * GLASS, c.getBlue() * GLASS, GLASS);
    }

    private PhongMaterial material(Element e, Color usual) {
        return plain(selected.equals(Optional.of(e)) ? ink.apply(Ink.ACCENT) : usual);
    }

    private static PhongMaterial plain(Color c) {
        PhongMaterial m = new PhongMaterial(c);
        if (c.isOpaque()) {
            m.setSpecularColor(Color.gray(0.25));
            m.setSpecularPower(30);
        }
        return m;
    }

    private void convex(Element e, Convex c, PhongMaterial m, List<Node> into) {
        List<Point> core = c.core();
        if (c.isBar()) {
            bar(Optional.of(e), core.getFirst(), core.getLast(), c.rounding(), m, into);
            ball(e, core.getFirst(), c.rounding(), m, into);
            ball(e, core.getLast(), c.rounding(), m, into);
        } else if (c.isCylinder()) {
            Vector end = core.getLast().minus(core.getFirst());
            Vector over = end.norm() < 1e-9 ? end : end.direction().times(c.rounding());
            bar(Optional.of(e), core.getFirst().plus(over.negated()), core.getLast().plus(over), c.radius(), m, into);
        } else if (core.size() == 1) {
            ball(e, core.getFirst(), c.rounding(), m, into);
        } else if (core.size() == 8) {
            add(e, mesh(core, BOX_FACES), m, into);
        } else if (core.size() % 2 == 0) {
            add(e, plate(core), m, into);
        }
    }

    private void add(Element e, TriangleMesh mesh, PhongMaterial m, List<Node> into) {
        MeshView view = new MeshView(mesh);
        view.setCullFace(CullFace.NONE);
        view.setMaterial(m);
        view.setUserData(e);
        into.add(view);
    }

    private static TriangleMesh mesh(List<Point> corners, int[][] faces) {
        TriangleMesh mesh = empty(corners);
        for (int[] f : faces) {
            mesh.getFaces().addAll(f[0], 0, f[1], 0, f[2], 0, f[0], 0, f[2], 0, f[3], 0);
        }
        return mesh;
    }

    /** Two sides whose corners lie beside each other in pairs. */
    private static TriangleMesh plate(List<Point> core) {
        TriangleMesh mesh = empty(core);
        int n = core.size() / 2;
        for (int i = 1; i + 1 < n; i++) {
            mesh.getFaces().addAll(0, 0, 2 * i, 0, 2 * (i + 1), 0, 1, 0, 2 * (i + 1) + 1, 0, 2 * i + 1, 0);
        }
        for (int i = 0; i < n; i++) {
            int next = (i + 1) % n;
            mesh.getFaces().addAll(2 * i, 0, 2 * i + 1, 0, 2 * next + 1, 0, 2 * i, 0, 2 * next + 1, 0, 2 * next, 0);
        }
        return mesh;
    }

    private static TriangleMesh empty(List<Point> corners) {
        TriangleMesh mesh = new TriangleMesh();
        mesh.getTexCoords().addAll(0, 0);
        corners.forEach(p -> mesh.getPoints().addAll((float) p.x(), (float) p.y(), (float) p.z()));
        return mesh;
    }

    private void ring(Element e, Solid.Ring r, PhongMaterial m, List<Node> into) {
        MeshView view = new MeshView(TyreMesh.of(r.half(), r.inner(), r.outer()));
        // Of glass only the near side is drawn: the far one would show through it in pieces.
        view.setCullFace(into == glass ? CullFace.BACK : CullFace.NONE);
        view.setMaterial(m);
        view.setUserData(e);
        put(view, r.centre(), r.axis());
        into.add(view);
    }

    private void skin(Element e, Solid.Skin skin, PhongMaterial m, List<Node> into) {
        MeshView view = new MeshView(SkinMesh.of(skin.mesh()));
        view.setCullFace(CullFace.NONE);
        view.setMaterial(m);
        view.setUserData(e);
        RigidMove by = skin.place();
        view.getTransforms().add(new Affine(by.ex().x(), by.ey().x(), by.ez().x(), by.shift().x(), by.ex().y(), by.ey().y(), by.ez().y(), by.shift().y(),
                by.ex().z(), by.ey().z(), by.ez().z(), by.shift().z()));
        into.add(view);
    }

    private void ball(Element e, Point at, double radius, PhongMaterial material, List<Node> into) {
        Sphere ball = new Sphere(radius, 12);
        ball.setMaterial(material);
        ball.setUserData(e);
        ball.getTransforms().add(new Translate(at.x(), at.y(), at.z()));
        into.add(ball);
    }

    private void bar(Optional<Element> e, Point from, Point to, double radius, PhongMaterial material, List<Node> into) {
        Vector along = to.minus(from);
        double length = along.norm();
        if (length < 1e-6) {
            return;
        }
        Cylinder bar = new Cylinder(radius, length, ROUND);
        bar.setMaterial(material);
        e.ifPresent(bar::setUserData);
        put(bar, from.midwayTo(to), along);
        into.add(bar);
    }

    /** Cylinders stand along y: turns y onto a direction and puts the middle in place. */
    private static void put(Shape3D shape, Point middle, Vector along) {
        Vector axis = Vector.Y.cross(along);
        double angle = Math.toDegrees(Vector.Y.angleTo(along));
        Point3D about = axis.norm() < 1e-9 ? Rotate.X_AXIS : new Point3D(axis.x(), axis.y(), axis.z());
        shape.getTransforms().addAll(new Translate(middle.x(), middle.y(), middle.z()), new Rotate(angle, about));
    }
}

package mildtilt.app.view;

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
import javafx.scene.shape.MeshView;
import javafx.scene.shape.Shape3D;
import javafx.scene.transform.Affine;
import javafx.scene.transform.Rotate;
import javafx.scene.transform.Translate;
import mildtilt.app.controls.ColorToken;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.clearance.bodies.VehicleSolids.Kind;
import mildtilt.drawing.Yokes;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.solid.Convex;
import mildtilt.solid.Facets;
import mildtilt.solid.Solid;

/**
 * The parts as solids to be looked at: the same that the elevations draw. What is large and hides what matters is of
 * glass, and
 * comes last, so that what stands behind it is seen through it.
 */
final class Solids {

    private static final int ROUND = 20;
    /** While it moves. */
    private static final int COARSE_ROUND = 6;

    private static final double GLASS = 0.34;
    /** Thickness of an edge as a part of its box. */
    private static final double EDGE = 0.004;

    private static final int EDGE_ROUND = 4;
    private final Function<ColorToken, Color> ink;
    private final Optional<Element> selected;
    private final Predicate<Element> about;
    private final boolean coarse;
    private final Facets edges = new Facets();
    private final List<Node> opaque = new ArrayList<>();
    private final List<Node> glass = new ArrayList<>();

    /** @param coarse without edges and scans, and with fewer flats to what is round: to be drawn while it moves */
    Solids(Function<ColorToken, Color> ink, Optional<Element> selected, Predicate<Element> about, boolean coarse) {
        this.coarse = coarse;
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
            Facets forks = new Facets();
            y.wheelSide().forEach(c -> convex(c, forks));
            y.gearSide().forEach(c -> convex(c, forks));
            add(y.joint(), forks, material(y.joint(), ink.apply(ColorToken.YOKE)), opaque);
            Facets cross = new Facets();
            y.cross().forEach(c -> convex(c, cross));
            add(y.joint(), cross, material(y.joint(), ink.apply(ColorToken.TRAIN)), opaque);
        }
        if (!coarse) {
            add(edges, plain(ink.apply(ColorToken.FAINT)), opaque);
        }
    }

    /** Round bars from point to point, of a route that is looked at. */
    void route(List<Point> points) {
        Facets mesh = new Facets();
        for (int i = 1; i < points.size(); i++) {
            mesh.bar(points.get(i - 1), points.get(i), 8, round(8), true);
        }
        add(mesh, plain(ink.apply(ColorToken.ACCENT)), opaque);
    }

    private void part(VehicleSolids.Part p) {
        boolean seeThrough =
                switch (p.kind()) {
                    case DRIVER, OBSTACLE, HOT_OBSTACLE, TUBE -> true;
                    // A wheel is looked through where the column is worked on.
                    case TYRE, WHEEL_RING -> !about.test(p.element());
                    case SUSPENSION, STEERING_ARM, ROD, GEAR, BEAM, STEERING_WHEEL, SHAFT, JOINT_SWEEP -> false;
                };
        boolean through = seeThrough && !selected.equals(Optional.of(p.element()));
        Color full = ink.apply(
                switch (p.kind()) {
                    case SHAFT, STEERING_WHEEL, ROD, STEERING_ARM -> ColorToken.TRAIN;
                    case GEAR, JOINT_SWEEP -> ColorToken.YOKE;
                    case TUBE -> ColorToken.METAL;
                    case SUSPENSION, BEAM -> ColorToken.SUSPENSION;
                    case TYRE, WHEEL_RING -> ColorToken.FAINT;
                    case OBSTACLE -> ColorToken.METAL;
                    case HOT_OBSTACLE -> ColorToken.LOOK;
                    case DRIVER -> ColorToken.FAINT;
                });
        Color faded = about.test(p.element()) ? full : full.interpolate(ink.apply(ColorToken.PAPER), 0.3);
        PhongMaterial m = material(p.element(), through ? glass(faded) : faded);
        List<Node> into = through ? glass : opaque;
        switch (p.solid()) {
            case Solid.Parts parts -> {
                Facets mesh = new Facets();
                parts.parts().forEach(c -> convex(c, mesh));
                add(p.element(), mesh, m, into);
            }
            case Solid.Ring r -> ring(p.element(), r, m, into);
            case Solid.Skin skin -> {
                if (!coarse) {
                    skin(p.element(), skin, m, into);
                }
            }
        }
    }

    /** The colour of a pane of it: what shines through is added as it is. */
    private static Color glass(Color c) {
        return new Color(c.getRed() * GLASS, c.getGreen() * GLASS, c.getBlue() * GLASS, GLASS);
    }

    private PhongMaterial material(Element e, Color usual) {
        return plain(selected.equals(Optional.of(e)) ? ink.apply(ColorToken.ACCENT) : usual);
    }

    private static PhongMaterial plain(Color c) {
        PhongMaterial m = new PhongMaterial(c);
        if (c.isOpaque()) {
            m.setSpecularColor(Color.gray(0.25));
            m.setSpecularPower(30);
        }
        return m;
    }

    /** Flats round something of this radius, mm: thin things need fewer. */
    private int round(double radius) {
        return coarse ? COARSE_ROUND : (int) Math.clamp(8 + radius / 6, 10, ROUND);
    }

    private void convex(Convex c, Facets into) {
        into.add(c, this::round);
        if (!c.isBar() && !c.isCylinder() && c.core().size() == 8) {
            edges(c.core());
        }
    }

    /** The twelve edges of a box: without them one of glass has no shape. */
    private void edges(List<Point> corners) {
        double size = corners.getFirst().distanceTo(corners.getLast());
        for (int i = 0; i < 8; i++) {
            for (int bit = 1; bit < 8; bit <<= 1) {
                if ((i & bit) == 0) {
                    edges.bar(
                            corners.get(i), corners.get(i | bit), Math.clamp(size * EDGE, 0.6, 2.2), EDGE_ROUND, false);
                }
            }
        }
    }

    private static void add(Element e, Facets mesh, PhongMaterial m, List<Node> into) {
        add(mesh, m, into).ifPresent(v -> v.setUserData(e));
    }

    private static Optional<MeshView> add(Facets mesh, PhongMaterial m, List<Node> into) {
        if (mesh.isEmpty()) {
            return Optional.empty();
        }
        MeshView view = new MeshView(SolidMesh.of(mesh));
        view.setCullFace(CullFace.NONE);
        view.setMaterial(m);
        into.add(view);
        return Optional.of(view);
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
        view.getTransforms()
                .add(new Affine(
                        by.ex().x(),
                        by.ey().x(),
                        by.ez().x(),
                        by.shift().x(),
                        by.ex().y(),
                        by.ey().y(),
                        by.ez().y(),
                        by.shift().y(),
                        by.ex().z(),
                        by.ey().z(),
                        by.ez().z(),
                        by.shift().z()));
        into.add(view);
    }

    /** Cylinders stand along y: turns y onto a direction and puts the middle in place. */
    private static void put(Shape3D shape, Point middle, Vector along) {
        Vector axis = Vector.Y.cross(along);
        double angle = Math.toDegrees(Vector.Y.angleTo(along));
        Point3D about = axis.norm() < 1e-9 ? Rotate.X_AXIS : new Point3D(axis.x(), axis.y(), axis.z());
        shape.getTransforms().addAll(new Translate(middle.x(), middle.y(), middle.z()), new Rotate(angle, about));
    }
}

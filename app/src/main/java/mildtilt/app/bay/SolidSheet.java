package mildtilt.app.bay;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.scene.AmbientLight;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.PerspectiveCamera;
import javafx.scene.PointLight;
import javafx.scene.SceneAntialiasing;
import javafx.scene.SubScene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.transform.Affine;
import javafx.scene.transform.Rotate;
import javafx.scene.transform.Translate;
import mildtilt.app.look.Ink;
import mildtilt.app.look.InkedPane;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.Sketch;
import mildtilt.geometry.Point;

/** The steering as solids, to be looked at from any side. Where the machine can't, it says so. */
final class SolidSheet extends InkedPane {

    private static final double FIELD_OF_VIEW = 30;

    private final Workbench bench;
    private final Group world = new Group();
    private final Rotate swing = new Rotate(0, Rotate.Z_AXIS);
    private final Rotate tilt = new Rotate(0, Rotate.X_AXIS);
    private final Translate back = new Translate();
    private final Translate middle = new Translate();
    private final PerspectiveCamera camera = new PerspectiveCamera(true);
    private final PointLight lamp = new PointLight(Color.WHITE);
    private final boolean able = Platform.isSupported(ConditionalFeature.SCENE3D);
    private double heading = 52;
    private double height = 28;
    private double zoom = 1;
    private double pressedX;
    private double pressedY;
    /** The skins of what is in the way, made once each: a large scan is slow to make. */
    private final SkinMesh skins = new SkinMesh();

    SolidSheet(Workbench bench) {
        this.bench = bench;
        setId("sheet-solid");
        getStyleClass().add("solid");
        setMinSize(60, 40);
        setFocusTraversable(true);
        setAccessibleText("Solid view of the steering; arrow keys turn it, plus and minus zoom");
        if (able) {
            scene();
        } else {
            Label none = new Label("This machine can't draw solids. Side, plan and front show the same.");
            none.setWrapText(true);
            none.getStyleClass().add("hint");
            none.setLayoutX(16);
            none.setLayoutY(30);
            none.maxWidthProperty().bind(widthProperty().subtract(32));
            getChildren().add(none);
        }
        bench.jobProperty().addListener((_, _, _) -> redraw());
        bench.handsProperty().addListener((_, _, _) -> redraw());
        bench.selectionProperty().addListener((_, _, _) -> redraw());
        bench.stageProperty().addListener((_, _, _) -> redraw());
        bench.ghostProperty().addListener((_, _, _) -> redraw());
    }

    private void scene() {
        // The vehicle's z points up; the camera looks along its own +z with y downward.
        Affine upright = new Affine(1, 0, 0, 0, 0, 0, -1, 0, 0, 1, 0, 0);
        world.getTransforms().addAll(back, tilt, upright, swing, middle);
        AmbientLight ambient = new AmbientLight(Color.gray(0.55));
        Group root = new Group(world, ambient, lamp);
        SubScene sub = new SubScene(root, 100, 100, true, SceneAntialiasing.BALANCED);
        sub.widthProperty().bind(widthProperty());
        sub.heightProperty().bind(heightProperty());
        camera.setFieldOfView(FIELD_OF_VIEW);
        camera.setNearClip(10);
        camera.setFarClip(60_000);
        sub.setCamera(camera);
        getChildren().add(sub);
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            requestFocus();
            pressedX = e.getX();
            pressedY = e.getY();
        });
        addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> {
            look((e.getX() - pressedX) * 0.4, (e.getY() - pressedY) * 0.4);
            pressedX = e.getX();
            pressedY = e.getY();
        });
        setOnScroll(e -> zoomBy(Math.pow(1.1, Math.signum(e.getDeltaY()))));
        setOnKeyPressed(this::key);
    }

    void look(double dHeading, double dHeight) {
        heading += dHeading;
        height = Math.clamp(height + dHeight, -10, 90);
        redraw();
    }

    void zoomBy(double factor) {
        zoom = Math.clamp(zoom * factor, 0.3, 8);
        redraw();
    }

    private void key(KeyEvent e) {
        if (e.isAltDown() || e.isShortcutDown()) {
            return;
        }
        switch (e.getCode()) {
            case LEFT -> look(-5, 0);
            case RIGHT -> look(5, 0);
            case UP -> look(0, 5);
            case DOWN -> look(0, -5);
            case PLUS, EQUALS, ADD -> zoomBy(1.15);
            case MINUS, SUBTRACT -> zoomBy(1 / 1.15);
            default -> {
                return;
            }
        }
        e.consume();
    }

    @Override
    protected void redraw() {
        if (!able || getWidth() < 20 || getHeight() < 20) {
            return;
        }
        Sketch sketch = bench.sketch();
        Sketch about = StageParts.of(bench.stageProperty().get(), sketch);
        Extent side = Extent.of(about, Elevation.SIDE);
        Extent front = Extent.of(about, Elevation.FRONT);
        middle.setX(side.middleAcross());
        middle.setY(-front.middleAcross());
        middle.setZ(-side.middleUp());
        double size = Math.hypot(side.width(), Math.hypot(side.height(), front.width()));
        double aspect = Math.min(1, getWidth() / getHeight());
        back.setZ(size / 2 / Math.tan(Math.toRadians(FIELD_OF_VIEW / 2)) / aspect / zoom * 0.86);
        swing.setAngle(heading + 90);
        tilt.setAngle(-height);
        lamp.getTransforms().setAll(new Translate(-size, -size * 1.5, 0));
        Solids solids = new Solids(ink(Ink.LINE), ink(Ink.FAINT), ink(Ink.ACCENT), bench.selectionProperty().get());
        List<Node> all = new ArrayList<>(solids.of(sketch, bench.job(), bench.train(), bench.hands().steeringWheelDeg(), bench.pose()));
        bench.ghost().ifPresent(p -> all.addAll(ghost(p)));
        if (bench.stageProperty().get() != WorkStage.LINKAGE) {
            all.addAll(inTheWay());
        }
        world.getChildren().setAll(all);
    }

    private List<Node> ghost(List<Point> points) {
        return new Solids(ink(Ink.ACCENT), ink(Ink.ACCENT), ink(Ink.ACCENT), Optional.empty()).bars(points);
    }

    private List<Node> inTheWay() {
        return new Solids(ink(Ink.LINE), ink(Ink.FAINT), ink(Ink.ACCENT), bench.selectionProperty().get())
                .surroundings(bench.job(), bench.pose(), bench.hands().travelLeft(), bench.hands().travelRight(), ink(Ink.BEFORE), ink(Ink.LOOK), skins);
    }
}

package mildtilt.app.bay;

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
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.paint.Color;
import javafx.scene.transform.Affine;
import javafx.scene.transform.Rotate;
import javafx.scene.transform.Translate;
import mildtilt.app.look.InkedPane;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Yokes;
import mildtilt.geometry.Direction;
import mildtilt.job.Element;

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
    private final PointLight lamp = new PointLight(Color.gray(0.62));
    private final boolean able = Platform.isSupported(ConditionalFeature.SCENE3D);
    private double heading = 128;
    private double height = 24;
    private double zoom = 1;
    private double pressedX;
    private double pressedY;
    private final HBox presets = new HBox(4);

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
        sceneProperty().addListener((_, _, _) -> redraw());
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
        AmbientLight ambient = new AmbientLight(Color.gray(0.45));
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
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::select);
        presets.getChildren().addAll(preset("Quarter", "look-quarter", 128, 24), preset("Left", "look-left", 90, 0), preset("Front", "look-front", 180, 0), preset("Above", "look-above", 0, 89),
                button("Along the shaft", "look-along", this::along), button("Copy picture", "look-copy", this::copy));
        presets.setManaged(false);
        getChildren().add(presets);
        setOnScroll(e -> zoomBy(Math.pow(1.1, Math.signum(e.getDeltaY()))));
        setOnKeyPressed(this::key);
    }

    void look(double dHeading, double dHeight) {
        heading += dHeading;
        height = Math.clamp(height + dHeight, -60, 89);
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
        if (!able || getScene() == null || getWidth() < 20 || getHeight() < 20) {
            return;
        }
        Sketch sketch = bench.sketch();
        Sketch about = StageParts.inSight(bench.stageProperty().get(), sketch);
        Extent side = Extent.of(about, Elevation.SIDE);
        Extent front = Extent.of(about, Elevation.FRONT);
        middle.setX(side.middleAcross());
        middle.setY(-front.middleAcross());
        middle.setZ(-side.middleUp());
        double size = Math.hypot(side.width(), Math.hypot(side.height(), front.width()));
        double aspect = Math.min(1, getWidth() / getHeight());
        back.setZ(size / 2 / Math.tan(Math.toRadians(FIELD_OF_VIEW / 2)) / aspect / zoom * 0.68);
        swing.setAngle(heading + 90);
        tilt.setAngle(-height);
        lamp.getTransforms().setAll(new Translate(-size, -size * 1.5, 0));
        Solids solids = new Solids(this::ink, bench.selectionProperty().get(), e -> StageParts.about(bench.stageProperty().get(), e));
        boolean room = bench.stageProperty().get() != WorkStage.LINKAGE;
        solids.draw(bench.parts().stream().filter(p -> room || !(p.element() instanceof Element.InTheWay) && !(p.element() instanceof Element.AtTheWheel)).toList(),
                bench.train().column().map(c -> Yokes.of(c, bench.hands().steeringWheelDeg())).orElse(List.of()));
        bench.ghost().ifPresent(solids::route);
        world.getChildren().setAll(solids.nodes());
        presets.autosize();
        presets.relocate(8, getHeight() - presets.getHeight() - 6);
    }

    private Button preset(String text, String id, double heading, double height) {
        return button(text, id, () -> look(heading, height, true));
    }

    private static Button button(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.getStyleClass().add("preset-button");
        b.setOnAction(_ -> run.run());
        return b;
    }

    private void look(double toHeading, double toHeight, boolean afresh) {
        heading = toHeading;
        height = toHeight;
        zoom = afresh ? 1 : zoom;
        redraw();
    }

    /** Along the selected shaft, from the wheel toward the gear; along the first where none is selected. */
    private void along() {
        bench.job().column().ifPresent(c -> {
            int shaft = bench.selectionProperty().get().map(e -> e instanceof Element.ShaftAt s ? s.index() : 0).orElse(0);
            Direction a = c.axis(Math.min(shaft, c.shafts().size() - 1));
            look(Math.toDegrees(Math.atan2(-a.y(), a.x())), Math.toDegrees(Math.asin(Math.clamp(-a.z(), -1, 1))), false);
        });
    }

    private void copy() {
        ClipboardContent content = new ClipboardContent();
        content.putImage(snapshot(null, null));
        Clipboard.getSystemClipboard().setContent(content);
        bench.say("The picture is on the clipboard.");
    }

    private void select(MouseEvent e) {
        if (e.isStillSincePress() && e.getButton() == MouseButton.PRIMARY) {
            bench.showPart(Optional.ofNullable(e.getPickResult().getIntersectedNode()).map(Node::getUserData).filter(Element.class::isInstance).map(Element.class::cast));
        }
    }
}

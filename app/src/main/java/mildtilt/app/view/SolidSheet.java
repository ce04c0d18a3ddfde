package mildtilt.app.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.geometry.Point3D;
import javafx.geometry.Pos;
import javafx.scene.AmbientLight;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.PerspectiveCamera;
import javafx.scene.PointLight;
import javafx.scene.SceneAntialiasing;
import javafx.scene.SubScene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.scene.layout.HBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Shape3D;
import javafx.scene.transform.Affine;
import javafx.scene.transform.Rotate;
import javafx.scene.transform.Scale;
import javafx.scene.transform.Translate;
import javafx.util.Duration;
import mildtilt.app.controls.ColoredPane;
import mildtilt.app.controls.Copying;
import mildtilt.app.controls.Sliders;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Yokes;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;

/** The steering as solids, to be looked at from any side. Where the machine can't, it says so. */
final class SolidSheet extends ColoredPane {

    private static final double FIELD_OF_VIEW = 30;
    private static final double NEAREST = 10;
    private static final double COARSE = 2;

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
    private final Slider cut = Sliders.of(0, 1, 0);
    private final Consumer<Image> save;
    private final List<SolidHandle> handles = new ArrayList<>();
    private final PauseTransition rest = new PauseTransition(Duration.millis(450));
    private final Group root = new Group();
    /** What is drawn on; none where the machine can't draw solids. */
    private Optional<Surfaces> surfaces = Optional.empty();

    private boolean moving;
    private double size = 1;

    /**
     * @param smooth at rest
     * @param quick while it moves, one pixel drawn for several of the screen, without smooth edges
     */
    private record Surfaces(SubScene smooth, SubScene quick) {}

    /** @param save puts a picture into a file */
    SolidSheet(Workbench bench, Consumer<Image> save) {
        this.bench = bench;
        this.save = save;
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
        rest.setOnFinished(_ -> resting());
        sceneProperty().addListener((_, _, _) -> redraw());
        bench.jobProperty().addListener((_, _, _) -> follow(bench.dragging()));
        bench.steeringInputProperty().addListener((_, _, _) -> follow(true));
        bench.selectionProperty().addListener((_, _, _) -> redraw());
        bench.stageProperty().addListener((_, _, _) -> redraw());
        bench.ghostProperty().addListener((_, _, _) -> redraw());
    }

    private void scene() {
        // The vehicle's z points up; the camera looks along its own +z with y downward.
        Affine upright = new Affine(1, 0, 0, 0, 0, 0, -1, 0, 0, 1, 0, 0);
        world.getTransforms().addAll(back, tilt, upright, swing, middle);
        AmbientLight ambient = new AmbientLight(Color.gray(0.45));
        root.getChildren().setAll(world, ambient, lamp);
        camera.setFieldOfView(FIELD_OF_VIEW);
        camera.setNearClip(NEAREST);
        camera.setFarClip(60_000);
        Surfaces both = new Surfaces(
                new SubScene(new Group(), 100, 100, true, SceneAntialiasing.BALANCED),
                new SubScene(new Group(), 100, 100, true, SceneAntialiasing.DISABLED));
        both.smooth.setId("solid-smooth");
        fill(both.smooth, 1);
        fill(both.quick, COARSE);
        surfaces = Optional.of(both);
        show();
        getChildren().addAll(both.smooth, both.quick);
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
        presets.getChildren()
                .addAll(
                        preset("Quarter", "look-quarter", 128, 24),
                        preset("Left", "look-left", 90, 0),
                        preset("Front", "look-front", 180, 0),
                        preset("Above", "look-above", 0, 89),
                        button("Along the shaft", "look-along", this::along),
                        cutting(),
                        button("Copy picture", "look-copy", this::copy),
                        button("Save picture…", "look-save", () -> save.accept(picture())));
        presets.setAlignment(Pos.CENTER_LEFT);
        presets.setManaged(false);
        // The slider is dragged, not the vehicle behind it.
        presets.addEventHandler(MouseEvent.ANY, MouseEvent::consume);
        getChildren().add(presets);
        setOnScroll(e -> zoomBy(Math.pow(1.1, Math.signum(e.getDeltaY()))));
        setOnKeyPressed(this::key);
    }

    void look(double dHeading, double dHeight) {
        heading += dHeading;
        height = Math.clamp(height + dHeight, -60, 89);
        moving();
        aim();
    }

    void zoomBy(double factor) {
        zoom = Math.clamp(zoom * factor, 0.3, 8);
        moving();
        aim();
    }

    /**
     * While it moves it is drawn coarser and without edges: without a graphics card they would cost the frame rate.
     *
     * @return whether it begins to move, and is drawn anew already
     */
    private boolean moving() {
        rest.playFromStart();
        boolean begins = !moving;
        if (begins) {
            moving = true;
            show();
            redraw();
        }
        return begins;
    }

    /** @param moves whether more of the same is to be expected at once */
    private void follow(boolean moves) {
        if (moves && able && getScene() != null && moving()) {
            return;
        }
        redraw();
    }

    private void resting() {
        moving = false;
        show();
        redraw();
    }

    private void fill(SubScene sub, double coarse) {
        sub.widthProperty().bind(widthProperty().divide(coarse));
        sub.heightProperty().bind(heightProperty().divide(coarse));
        sub.getTransforms().add(new Scale(coarse, coarse));
    }

    /** The root of the solids goes from one surface to the other, as the view moves or rests. */
    private void show() {
        surfaces.ifPresent(s -> {
            SubScene on = moving ? s.quick : s.smooth;
            SubScene off = moving ? s.smooth : s.quick;
            off.setCamera(null);
            off.setRoot(new Group());
            off.setVisible(false);
            on.setRoot(root);
            on.setCamera(camera);
            on.setVisible(true);
        });
    }

    /** A slider that cuts away what is nearer than a plane parallel to the picture. */
    private HBox cutting() {
        cut.setId("look-cut");
        cut.setPrefWidth(84);
        cut.setTooltip(new Tooltip("Cuts away what is nearer than a plane across the view"));
        cut.setAccessibleText("Cut away what is near");
        cut.valueProperty().addListener((_, _, _) -> aim());
        HBox box = new HBox(3, new Label("Cut"), cut);
        box.setAlignment(Pos.CENTER_LEFT);
        box.getStyleClass().add("preset-button");
        return box;
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
        Solids solids = new Solids(
                this::ink,
                bench.selectionProperty().get(),
                e -> StageParts.about(bench.stageProperty().get(), e),
                moving);
        boolean room = bench.stageProperty().get() != WorkStage.LINKAGE;
        solids.draw(
                bench.parts().stream()
                        .filter(p -> room
                                || !(p.element() instanceof Element.InTheWay)
                                        && !(p.element() instanceof Element.AtTheWheel))
                        .toList(),
                bench.columnNow()
                        .map(c -> Yokes.of(c, bench.steeringInput().steeringWheelDeg()))
                        .orElse(List.of()));
        bench.ghost().ifPresent(solids::route);
        world.getChildren().setAll(solids.nodes());
        if (!bench.dragging()) {
            // The vehicle holds still under the pointer that drags a point.
            settle();
        }
        aim();
        presets.autosize();
        presets.relocate(8, getHeight() - presets.getHeight() - 6);
    }

    /** What the view turns about, and how large it is. */
    private void settle() {
        Sketch about = StageParts.inSight(bench.stageProperty().get(), bench.sketch());
        Extent side = Extent.of(about, Elevation.SIDE);
        Extent front = Extent.of(about, Elevation.FRONT);
        middle.setX(side.middleAcross());
        middle.setY(-front.middleAcross());
        middle.setZ(-side.middleUp());
        size = Math.hypot(side.width(), Math.hypot(side.height(), front.width()));
    }

    /** Points the camera; the solids stay as they are. */
    private void aim() {
        if (!able || getWidth() < 20 || getHeight() < 20) {
            return;
        }
        double aspect = Math.min(1, getWidth() / getHeight());
        double away = size / 2 / Math.tan(Math.toRadians(FIELD_OF_VIEW / 2)) / aspect / zoom * 0.68;
        back.setZ(away);
        swing.setAngle(heading + 90);
        tilt.setAngle(-height);
        lamp.getTransforms().setAll(new Translate(-size, -size * 1.5, 0));
        camera.setNearClip(Math.max(NEAREST, away + size * (cut.getValue() - 0.5) - (cut.getValue() == 0 ? size : 0)));
        handles();
    }

    /** The points of the selected part, to be dragged; with the wheels turned there are none, as in the other views. */
    private void handles() {
        List<PointId> wanted = bench.steeringInput().straightAhead()
                ? bench.selectionProperty()
                        .get()
                        .filter(Element.of(bench.job())::contains)
                        .map(e -> Element.points(bench.job(), e))
                        .orElse(List.of())
                : List.of();
        if (!handles.stream().map(SolidHandle::point).toList().equals(wanted)) {
            getChildren().removeAll(handles);
            handles.clear();
            wanted.forEach(
                    id -> handles.add(new SolidHandle(bench, id, () -> axes(JobPoints.position(bench.job(), id)))));
            getChildren().addAll(handles);
        }
        for (SolidHandle h : handles) {
            double[] at = onScreen(JobPoints.position(bench.job(), h.point()));
            h.setCenterX(at[0]);
            h.setCenterY(at[1]);
        }
    }

    /** How far one mm along each axis goes on the screen at a place of the vehicle. */
    private List<double[]> axes(Point at) {
        double[] here = onScreen(at);
        return Stream.of(Vector.X, Vector.Y, Vector.Z)
                .map(v -> onScreen(at.plus(v)))
                .map(p -> new double[] {p[0] - here[0], p[1] - here[1]})
                .toList();
    }

    private double[] onScreen(Point p) {
        Point3D seen = world.getLocalToParentTransform().transform(p.x(), p.y(), p.z());
        double perPart = getHeight() / 2 / Math.tan(Math.toRadians(FIELD_OF_VIEW / 2)) / seen.getZ();
        return new double[] {getWidth() / 2 + seen.getX() * perPart, getHeight() / 2 + seen.getY() * perPart};
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
        aim();
    }

    /** Along the selected shaft, from the wheel toward the gear; along the first where none is selected. */
    private void along() {
        bench.job().column().ifPresent(c -> {
            int shaft = bench.selectionProperty()
                    .get()
                    .map(e -> e instanceof Element.ShaftAt s ? s.index() : 0)
                    .orElse(0);
            Direction a = c.axis(Math.min(shaft, c.shafts().size() - 1));
            look(
                    Math.toDegrees(Math.atan2(-a.y(), a.x())),
                    Math.toDegrees(Math.asin(Math.clamp(-a.z(), -1, 1))),
                    false);
        });
    }

    private void copy() {
        Copying.picture(picture());
        bench.say("The picture is on the clipboard.");
    }

    /** The vehicle without buttons and handles. */
    private Image picture() {
        resting();
        List<Node> hidden = Stream.concat(Stream.of(presets), handles.stream()).toList();
        hidden.forEach(n -> n.setVisible(false));
        WritableImage image = snapshot(null, null);
        hidden.forEach(n -> n.setVisible(true));
        return image;
    }

    /** What was pressed, in the vehicle's axes, in which the root's own are; empty beside all solids. */
    private Optional<Point> place(PickResult pressed) {
        Node node = pressed.getIntersectedNode();
        if (!(node instanceof Shape3D)) {
            return Optional.empty();
        }
        Point3D p = pressed.getIntersectedPoint();
        // A solid's own transforms put it in the vehicle.
        for (int i = node.getTransforms().size() - 1; i >= 0; i--) {
            p = node.getTransforms().get(i).transform(p);
        }
        return Optional.of(new Point(p.getX(), p.getY(), p.getZ()));
    }

    private void select(MouseEvent e) {
        // A press on a button or a handle is not one on the vehicle.
        if (e.getTarget() instanceof Node n
                && (n == this || n instanceof SubScene || n instanceof Shape3D)
                && e.isStillSincePress()
                && e.getButton() == MouseButton.PRIMARY) {
            // Before what is selected: whoever shows the new part shows its place at once.
            bench.pressedPlaceProperty().set(place(e.getPickResult()));
            bench.showPart(Optional.ofNullable(e.getPickResult().getIntersectedNode())
                    .map(Node::getUserData)
                    .filter(Element.class::isInstance)
                    .map(Element.class::cast));
        }
    }
}

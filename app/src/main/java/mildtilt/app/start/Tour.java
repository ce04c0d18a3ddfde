package mildtilt.app.start;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.ViewChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.position.SteeringInput;

/**
 * A tour of the demo in five moves: select, drag, apply a remedy, undo, turn the wheel. Each step lights what it speaks
 * of and
 * waits until the user has done it; at the end the demo has no stop left.
 */
public final class Tour extends HBox {

    /** The joint the tour drags down, and how far, mm. */
    private static final PointId JOINT = new PointId.JointCentre(1);

    private static final Element LOWER_JOINT = new Element.JointAt(1);
    private static final double DOWN = -40;
    private static final double ROUND = 6;
    private static final Duration LOOK = Duration.millis(120);

    /**
     * One step.
     *
     * @param begin brings the window to where it is done
     * @param light the node it speaks of
     * @param done whether the user has done it
     * @param doIt does it for the user
     */
    private record Step(
            String words, Runnable begin, Supplier<Optional<Node>> light, BooleanSupplier done, Runnable doIt) {}

    private final Workbench bench;
    private final Label words = Wrap.text("", "walk-words");
    private final Label state = Wrap.whole("");
    private final Button next = new Button("Next");
    private final Button show = new Button("Do it for me");
    private final Region frame = new Region();
    private final Timeline watch = new Timeline(new KeyFrame(LOOK, _ -> look()));
    private final List<Step> steps;
    private int at;
    private boolean undone;

    /** @param over a pane over the whole window, in which the frame is drawn */
    public Tour(Workbench bench, Pane over) {
        this.bench = bench;
        setId("tour");
        getStyleClass().add("walk");
        setAlignment(Pos.CENTER_LEFT);
        words.setId("tour-words");
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        state.setId("tour-state");
        state.getStyleClass().add("tour-state");
        state.setMinWidth(52);
        next.setId("tour-next");
        next.getStyleClass().add("take-remedy");
        next.setMinWidth(USE_PREF_SIZE);
        next.setOnAction(_ -> go(at + 1));
        show.setId("tour-show");
        show.setMinWidth(USE_PREF_SIZE);
        show.setOnAction(_ -> step().doIt.run());
        Button end = new Button("End the tour");
        end.setId("tour-end");
        end.setMinWidth(USE_PREF_SIZE);
        end.setOnAction(_ -> end());
        getChildren().addAll(words, state, show, next, end);
        managedProperty().bind(visibleProperty());
        setVisible(false);
        frame.setId("tour-light");
        frame.getStyleClass().add("tour-light");
        frame.setMouseTransparent(true);
        frame.setManaged(false);
        frame.setVisible(false);
        over.getChildren().add(frame);
        watch.setCycleCount(Animation.INDEFINITE);
        steps = steps();
    }

    private List<Step> steps() {
        return List.of(
                new Step(
                        "Select. This strip holds every part from steering wheel to tyres, with its figure and its state: ● OK, ▲ check, ■ stop. Press Lower joint.",
                        () -> at(WorkStage.COLUMN, ViewChoice.SIDE, SideTab.FINDINGS),
                        () -> tile(LOWER_JOINT),
                        () -> selected(LOWER_JOINT),
                        () -> bench.showPart(Optional.of(LOWER_JOINT))),
                new Step(
                        "Drag. The lower joint bends 37.4° and allows 35°. Drag its ring about 40 mm straight down and watch the angle.",
                        () -> at(WorkStage.COLUMN, ViewChoice.SIDE, SideTab.PART),
                        () -> node("#sheet-side-joint-1"),
                        () -> !stopAt(LOWER_JOINT),
                        this::dragDown),
                new Step(
                        "Find. Findings lists what is wrong, gravest first. Press \"Column turns unevenly\" to see why, and what cures it.",
                        () -> at(WorkStage.COLUMN, ViewChoice.SIDE, SideTab.FINDINGS),
                        () -> row(Fault.RIPPLE),
                        () -> row(Fault.RIPPLE)
                                        .map(r -> !r.lookupAll(".finding-why").isEmpty())
                                        .orElse(false)
                                || cured(Fault.RIPPLE),
                        () -> open(Fault.RIPPLE)),
                new Step(
                        "Apply. The remedy says what each figure would become. Press Apply.",
                        () -> {},
                        () -> apply(Fault.RIPPLE),
                        () -> cured(Fault.RIPPLE),
                        () -> cure(Fault.RIPPLE, 0)),
                new Step(
                        "Undo. Every change can be taken back, without limit. Press ↶, then ↷ to have it again.",
                        () -> undone = false,
                        () -> node(undone ? "#redo" : "#undo"),
                        this::undoneAndBack,
                        () -> {
                            bench.undo();
                            undone = true;
                            bench.redo();
                        }),
                new Step(
                        "Turn. Drag the steering wheel to the left until it stops. The road wheels, the curve and the figures follow.",
                        () -> at(WorkStage.LINKAGE, ViewChoice.PLAN, SideTab.FINDINGS),
                        () -> node("#wheel-dial"),
                        this::atLeftStop,
                        () -> bench.steerTo(new SteeringInput(1e6, 0, 0))),
                new Step(
                        "A tyre hits a bracket at left lock. Press the finding: the window goes to the place. Then press Apply at \"Move tray bracket\".",
                        () -> bench.sideTabProperty().set(SideTab.FINDINGS),
                        () -> row(Fault.TOUCHES),
                        () -> cured(Fault.TOUCHES),
                        () -> cure(Fault.TOUCHES, 1)),
                new Step(
                        "The last stop: a tie-rod end rattles in its arm. Press the finding, then Apply at the way you would make it seat.",
                        () -> bench.sideTabProperty().set(SideTab.FINDINGS),
                        () -> row(Fault.STUD_DOES_NOT_SEAT),
                        () -> cured(Fault.STUD_DOES_NOT_SEAT),
                        () -> cure(Fault.STUD_DOES_NOT_SEAT, 0)),
                new Step(
                        "No stop is left: you know the five moves. Begin your own from the job's menu, Start page. "
                                + "F1 opens the guide, Ctrl+K finds anything. "
                                + "Nothing here approves a design: local rules and licensed practice come first.",
                        () -> at(WorkStage.COLUMN, ViewChoice.SIDE, SideTab.FINDINGS),
                        () -> node("#job-menu"),
                        () -> true,
                        () -> {}));
    }

    /** Begins, on the demo that is open. */
    public void begin() {
        setVisible(true);
        go(0);
        watch.playFromStart();
    }

    public boolean running() {
        return isVisible();
    }

    private void end() {
        watch.stop();
        frame.setVisible(false);
        setVisible(false);
    }

    private Step step() {
        return steps.get(at);
    }

    private void go(int to) {
        if (to >= steps.size()) {
            end();
            return;
        }
        at = to;
        words.setText((at + 1) + " of " + steps.size() + ".  " + step().words);
        next.setText(at == steps.size() - 1 ? "End" : "Next");
        step().begin.run();
        look();
    }

    /** Puts the frame round what is spoken of, and sees whether it is done. */
    private void look() {
        boolean done = step().done.getAsBoolean();
        next.setDisable(!done);
        show.setDisable(done);
        state.setText(done ? "Done ✓" : "");
        Optional<Bounds> there = step().light
                .get()
                .map(n -> n.localToScene(n.getBoundsInLocal()))
                .filter(b -> b.getWidth() > 0 && b.getHeight() > 0);
        frame.setVisible(there.isPresent());
        there.map(frame.getParent()::sceneToLocal)
                .ifPresent(b -> frame.resizeRelocate(
                        b.getMinX() - ROUND, b.getMinY() - ROUND, b.getWidth() + 2 * ROUND, b.getHeight() + 2 * ROUND));
    }

    private void at(WorkStage stage, ViewChoice view, SideTab tab) {
        bench.stageProperty().set(stage);
        bench.viewProperty().set(view);
        bench.sideTabProperty().set(tab);
        bench.dockFoldedProperty().set(false);
        bench.steerTo(SteeringInput.STRAIGHT_AHEAD);
    }

    private Optional<Node> node(String id) {
        Scene scene = getScene();
        return Optional.ofNullable(scene == null ? null : scene.lookup(id)).filter(Tour::seen);
    }

    private static boolean seen(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private Optional<Node> tile(Element e) {
        return node("#element-" + Element.trainOf(bench.job()).indexOf(e));
    }

    /** The row of the first finding of a kind, in the list. */
    private Optional<Node> row(Fault fault) {
        return getScene() == null
                ? Optional.empty()
                : getScene().getRoot().lookupAll(".finding-card").stream()
                        .filter(n -> fault.equals(n.getProperties().get(Fault.class))
                                && n.getId().startsWith("finding-")
                                && seen(n))
                        .findFirst();
    }

    /** The first button in the row, once it is open; the row until then. */
    private Optional<Node> apply(Fault fault) {
        return row(fault)
                .flatMap(r -> r.lookupAll(".take-remedy").stream().findFirst())
                .or(() -> row(fault));
    }

    private boolean selected(Element e) {
        return bench.selectionProperty().get().equals(Optional.of(e));
    }

    private Optional<Finding> stop(Fault fault) {
        return bench.analysisProperty().get().flatMap(w -> w.now().findings().stream()
                .filter(f -> f.fault() == fault && f.severity() == Severity.STOP)
                .findFirst());
    }

    /** Whether the figures of the job as it stands are there, without this stop. */
    private boolean cured(Fault fault) {
        return settled() && stop(fault).isEmpty();
    }

    private boolean settled() {
        return !bench.dragging()
                && bench.analysisProperty()
                        .get()
                        .map(w -> w.now().job() == bench.job())
                        .orElse(false);
    }

    private boolean stopAt(Element e) {
        return !settled()
                || bench.analysisProperty()
                        .get()
                        .map(w -> w.now().stateOf(e) == Severity.STOP)
                        .orElse(true);
    }

    private void dragDown() {
        bench.edit(
                "Move the lower joint 40 mm down",
                j -> JobPoints.moved(j, JOINT, JobPoints.position(j, JOINT).plus(new Vector(0, 0, DOWN))));
    }

    private void open(Fault fault) {
        stop(fault).ifPresent(f -> {
            bench.requestedFindingProperty().set(Optional.of(f));
            bench.requestedFindingProperty().set(Optional.empty());
        });
    }

    private void cure(Fault fault, int remedy) {
        stop(fault).filter(f -> f.remedies().size() > remedy).ifPresent(f -> {
            String action = f.remedies().get(remedy).action().text(bench.lengthUnit());
            bench.edit(
                    action,
                    f.what().text(bench.lengthUnit()),
                    f.remedies().get(remedy).edit());
        });
    }

    private boolean undoneAndBack() {
        undone = undone || bench.redoable().isPresent();
        return undone && bench.redoable().isEmpty();
    }

    private boolean atLeftStop() {
        return bench.train()
                .stopDeg(Side.LEFT)
                .map(stop -> bench.steeringInput().steeringWheelDeg() > 0.9 * stop)
                .orElse(true);
    }
}

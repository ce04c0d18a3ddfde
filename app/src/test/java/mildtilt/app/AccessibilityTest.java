package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.TrialSheetChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Without eyes for colour, without a mouse, without knowing the words. */
@ExtendWith(WindowExtension.class)
class AccessibilityTest {

    private AppWindow app;

    @Start
    void start(Stage stage) throws Exception {
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), AppWindow.temporary());
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private static Stream<Node> all(Node node) {
        Stream<Node> below = node instanceof Parent p
                ? p.getChildrenUnmodifiable().stream().filter(Node::isVisible).flatMap(AccessibilityTest::all)
                : Stream.empty();
        return Stream.concat(Stream.of(node), below);
    }

    private List<Node> shown() {
        return all(app.stage.getScene().getRoot()).toList();
    }

    /** What a screen reader has to say of a control. */
    private static boolean named(Node n, Set<Node> labelled) {
        return n.getAccessibleText() != null && !n.getAccessibleText().isBlank()
                || n instanceof Labeled l && l.getText() != null && !l.getText().isBlank()
                || labelled.contains(n);
    }

    private List<String> nameless(FxRobot robot) {
        List<String> found = new ArrayList<>();
        robot.interact(() -> {
            List<Node> nodes = shown();
            Set<Node> labelled = new LinkedHashSet<>();
            nodes.stream()
                    .filter(Label.class::isInstance)
                    .map(n -> ((Label) n).getLabelFor())
                    .forEach(labelled::add);
            nodes.stream()
                    .filter(n -> n.isFocusTraversable() && !(n instanceof ScrollPane))
                    .filter(n -> n instanceof ButtonBase
                            || n instanceof TextInputControl
                            || n instanceof ChoiceBox
                            || n.getId() != null)
                    .filter(n -> !named(n, labelled))
                    .forEach(n -> found.add(n.getClass().getSimpleName() + " #" + n.getId() + " in "
                            + n.getParent().getStyleClass()));
        });
        return found;
    }

    @Test
    void everyControlHasAnAccessibleName(FxRobot robot) {
        app.settle();
        List<String> found = new ArrayList<>();
        for (WorkStage stage : WorkStage.values()) {
            robot.interact(() -> app.bench.stageProperty().set(stage));
            List<Runnable> views =
                    switch (stage) {
                        case MAKE ->
                            Arrays.stream(MakeSheet.values())
                                    .<Runnable>map(s ->
                                            () -> app.bench.makeSheetProperty().set(s))
                                    .toList();
                        case TRIAL ->
                            Arrays.stream(TrialSheetChoice.values())
                                    .<Runnable>map(s ->
                                            () -> app.bench.trialSheetProperty().set(s))
                                    .toList();
                        case SURVEY, LINKAGE, COLUMN, CLEARANCE ->
                            Arrays.stream(SideTab.values())
                                    .filter(t -> t.belongsTo(stage))
                                    .<Runnable>map(t ->
                                            () -> app.bench.sideTabProperty().set(t))
                                    .toList();
                    };
            for (int i = 0; i < views.size(); i++) {
                robot.interact(views.get(i));
                WaitForAsyncUtils.waitForFxEvents();
                String where = stage + ", view " + i + ": ";
                nameless(robot).forEach(n -> found.add(where + n));
            }
        }
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.COLUMN);
            app.bench.sideTabProperty().set(SideTab.FINDINGS);
        });
        for (Element e : Element.of(app.bench.job())) {
            robot.interact(() -> app.bench.showPart(Optional.of(e)));
            nameless(robot).forEach(n -> found.add("sizes of " + e + ": " + n));
        }
        robot.interact(app.shell::showStart);
        nameless(robot).forEach(n -> found.add("start page: " + n));
        assertThat(found).isEmpty();
    }

    @Test
    void everythingIsReachableByKeyboard(FxRobot robot) {
        app.settleWhole();
        robot.interact(() -> robot.lookup("#element-0").query().requestFocus());
        Set<Node> reached = new LinkedHashSet<>();
        Node at = app.stage.getScene().getFocusOwner();
        while (reached.add(at) && reached.size() < 400) {
            robot.type(KeyCode.TAB);
            at = app.stage.getScene().getFocusOwner();
        }
        List<Node> controls = shown().stream()
                .filter(n -> (n instanceof ButtonBase || n instanceof TextField || n instanceof ChoiceBox)
                        && !n.isDisabled()
                        && n.isFocusTraversable()
                        && AppWindow.shownInTree(n))
                .toList();
        assertThat(controls).hasSizeGreaterThan(40);
        assertThat(controls.stream()
                        .filter(c -> !reached.contains(c))
                        .map(c -> c.getClass().getSimpleName() + " #" + c.getId()))
                .isEmpty();
        assertThat(reached)
                .extracting(Node::getId)
                .contains("wheel-dial", "travel-left", "travel-right", "sheet-side-joint-0", "side-divider");
    }

    @Test
    void everyTermHasAHint(FxRobot robot) {
        app.settle();
        Label meaning = robot.lookup("#finding-4 .label")
                .match((Label l) -> l.getText().startsWith("Ackermann"))
                .queryAs(Label.class);
        robot.interact(() -> meaning.fireEvent(new MouseEvent(
                MouseEvent.MOUSE_ENTERED_TARGET,
                1,
                1,
                1,
                1,
                null,
                0,
                false,
                false,
                false,
                false,
                false,
                false,
                false,
                false,
                false,
                true,
                null)));
        assertThat(meaning.getTooltip())
                .isNotNull()
                .extracting(Tooltip::getText)
                .asString()
                .startsWith("Ackermann: How much further")
                .contains("Usual: 60 to 110 %");
        // What the keyboard is at is what the glossary opens at.
        robot.moveTo("#message");
        robot.interact(() -> robot.lookup("#element-10").query().requestFocus());
        robot.type(KeyCode.F4);
        AppWindow.until(() -> robot.lookup("#glossary-search").tryQuery().isPresent());
        assertThat(robot.lookup("#glossary-search").queryAs(TextField.class).getText())
                .isEqualTo("Knuckle");
        AppWindow.answer(robot, ButtonData.CANCEL_CLOSE);
    }
}

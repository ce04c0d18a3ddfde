package mildtilt.app.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.look.StateMark;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.check.Severity;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.routing.TrainEdits;
import org.jspecify.annotations.Nullable;

/** Every element of the steering in order, each with its figure and its state. Selecting one selects it everywhere. */
public final class TrainStrip extends ScrollPane {

    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected-element");

    private static final double HEIGHT = 96;
    private static final double SCROLL_BAR = 12;

    private final Workbench bench;
    private final HBox row = new HBox();
    private final TrainMenu menu;
    private @Nullable List<Element> shown;
    private Optional<Class<?>> shownGear = Optional.empty();
    private final List<Tile> tiles = new ArrayList<>();

    public TrainStrip(Workbench bench) {
        this.bench = bench;
        menu = new TrainMenu(bench);
        getStyleClass().add("train-strip");
        row.getStyleClass().add("train-row");
        setContent(row);
        setFitToWidth(true);
        setFitToHeight(true);
        setVbarPolicy(ScrollBarPolicy.NEVER);
        // Where the train is too long for the window the scroll bar takes room of its own.
        prefHeightProperty().bind(Bindings.createDoubleBinding(
                () -> row.minWidth(-1) > getWidth() ? HEIGHT + SCROLL_BAR : HEIGHT, widthProperty(), row.widthProperty()));
        minHeightProperty().bind(prefHeightProperty());
        bench.jobProperty().addListener((_, _, _) -> rebuildIfChanged());
        bench.workedProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        bench.selectionProperty().addListener((_, _, _) -> refresh());
        // Where the train is too long for the window the part that the stage is about is brought into sight.
        bench.stageProperty().addListener((_, _, stage) -> setHvalue(stage == WorkStage.LINKAGE ? 1 : 0));
        row.addEventFilter(KeyEvent.KEY_PRESSED, this::walk);
        rebuildIfChanged();
    }

    private final class Tile extends ToggleButton {
        private final Element element;
        private final Label name = new Label();
        private final Label figure = new Label();
        private final Label meaning = new Label();
        private final StateMark state = new StateMark(Severity.FINE);
        /** A long name is cut off on the tile. */
        private final Tooltip whole = new Tooltip();

        Tile(Element element, int index) {
            this.element = element;
            setId("element-" + index);
            getStyleClass().setAll("element-tile");
            setTooltip(whole);
            name.getStyleClass().add("element-name");
            figure.getStyleClass().add("element-figure");
            meaning.getStyleClass().add("element-meaning");
            HBox top = new HBox(1, new ElementIcon(bench.job(), element), state);
            top.setAlignment(Pos.CENTER_LEFT);
            state.setVisible(false);
            HBox bottom = new HBox(meaning);
            if (TrainMenu.has(element)) {
                offer(bottom, index);
            }
            VBox box = new VBox(top, name, figure, bottom);
            box.getStyleClass().add("element-box");
            setGraphic(box);
            setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(this, Priority.ALWAYS);
            setOnAction(_ -> bench.selectionProperty().set(
                    bench.selectionProperty().get().equals(Optional.of(element)) ? Optional.empty() : Optional.of(element)));
        }

        /** What can be done to it, from a small button and by the other mouse button or the menu key. */
        private void offer(HBox row, int index) {
            MenuButton more = new MenuButton("");
            more.setId("element-menu-" + index);
            more.getStyleClass().add("tile-menu");
            more.setMinWidth(Region.USE_PREF_SIZE);
            more.setTooltip(new Tooltip("Split, swap, add, take out"));
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            row.getChildren().addAll(gap, more);
            // Filled when it is opened: the catalogue may have changed. A menu without items does not open.
            more.getItems().add(new MenuItem(""));
            more.showingProperty().addListener((_, _, showing) -> {
                if (showing) {
                    more.getItems().setAll(menu.of(element));
                }
            });
            more.setAccessibleText("Change " + Element.label(bench.job(), element));
            ContextMenu context = new ContextMenu();
            setOnContextMenuRequested(e -> {
                bench.selectionProperty().set(Optional.of(element));
                context.getItems().setAll(menu.of(element));
                context.show(this, e.getScreenX(), e.getScreenY());
                e.consume();
            });
        }

        void refresh() {
            boolean selected = bench.selectionProperty().get().equals(Optional.of(element));
            setSelected(selected);
            pseudoClassStateChanged(SELECTED, selected);
            String label = Element.label(bench.job(), element);
            name.setText(label);
            whole.setText(label);
            bench.workedProperty().get().map(w -> w.now()).filter(a -> Element.trainOf(a.job()).equals(shown)).ifPresent(a -> {
                figure.setText(ElementHeadline.of(a, element, bench.lengthUnit()));
                meaning.setText(ElementHeadline.meaning(a, element));
                state.show(a.stateOf(element));
                // Nothing is called fine before it is worked out.
                state.setVisible(true);
                setAccessibleText(label + ", " + meaning.getText() + " " + figure.getText() + ", " + state.getText());
            });
        }
    }

    private void rebuildIfChanged() {
        List<Element> train = Element.trainOf(bench.job());
        Optional<Class<?>> gear = bench.job().axle().map(a -> a.gear().getClass());
        if (!train.equals(shown) || !gear.equals(shownGear)) {
            shown = train;
            shownGear = gear;
            tiles.clear();
            for (int i = 0; i < train.size(); i++) {
                tiles.add(new Tile(train.get(i), i));
            }
            row.getChildren().setAll(tiles);
            if (tiles.isEmpty()) {
                Label none = new Label("The train of parts from steering wheel to tyres stands here once a job has some.");
                none.getStyleClass().add("hint");
                row.getChildren().add(none);
            }
            if (bench.job().column().isEmpty()) {
                row.getChildren().addFirst(begin());
            }
        }
        refresh();
    }

    /** A job without a column can be given one to begin with. */
    private HBox begin() {
        Button begin = new Button("Begin a column");
        begin.setId("begin-column");
        begin.setMinWidth(Region.USE_PREF_SIZE);
        begin.setOnAction(_ -> bench.catalogueProperty().get().joints().stream().findFirst().ifPresentOrElse(
                part -> bench.edit("Begin a column: a wheel, a shaft in a tube, a joint, a stub into the gear",
                        j -> j.withColumn(TrainEdits.begun(j.axle().map(_ -> JobPoints.position(j, new PointId.GearCentre())), part))),
                () -> bench.refuse("The catalogue in use has no joint to begin with.")));
        HBox box = new HBox(begin);
        box.getStyleClass().add("begin");
        return box;
    }

    private void refresh() {
        tiles.forEach(Tile::refresh);
    }

    /** Left and right go along the train. */
    private void walk(KeyEvent e) {
        int step = e.getCode() == KeyCode.RIGHT ? 1 : e.getCode() == KeyCode.LEFT ? -1 : 0;
        if (step == 0 || e.isAltDown() || e.isShortcutDown()) {
            return;
        }
        for (int i = 0; i < tiles.size(); i++) {
            if (tiles.get(i).isFocused()) {
                Tile next = tiles.get(Math.clamp(i + step, 0, tiles.size() - 1));
                next.requestFocus();
                bench.selectionProperty().set(Optional.of(next.element));
                e.consume();
                return;
            }
        }
    }
}

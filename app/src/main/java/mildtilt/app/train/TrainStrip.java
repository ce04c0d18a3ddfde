package mildtilt.app.train;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import mildtilt.app.controls.Fonts;
import mildtilt.app.controls.StateMark;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.columnrange.TrainEdits;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import org.jspecify.annotations.Nullable;

/**
 * Every part of the steering in order, from hands to tyres, each with its figure and its state. Selecting one selects
 * it everywhere.
 */
public final class TrainStrip extends Pane {

    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected-element");

    public static final double HEIGHT = 56;
    /** Below this width a tile leaves its drawing out. */
    private static final double WITH_DRAWING = 142;
    /** Below this width of a tile the groups that are not worked on are folded. */
    private static final double LEAST = 95;

    private static final double MOST = 170;
    /** Of the tile that a folded group is. */
    private static final double FOLDED = 84;

    private static final double GAP = 8;
    private static final double EDGE = 6;
    /** Of a tile's own padding and border. */
    private static final double INSIDE = 10;
    /** Type of names, pixels. */
    private static final double NAME = 11.5;

    private static final double LEAST_NAME = 9;

    private final Workbench bench;
    private final HBox row = new HBox();
    /** By how much a train that is too long is shifted to the left, pixels. */
    private double shifted;

    private Optional<HBox> begin = Optional.empty();
    private final TrainMenu menu;
    private @Nullable List<Element> shown;
    private Optional<Class<?>> shownGear = Optional.empty();
    private final List<Tile> tiles = new ArrayList<>();
    private final List<GroupBox> groups = new ArrayList<>();

    /** The parts that belong together. */
    private enum Group {
        COLUMN("Column"),
        GEAR("Gear"),
        LINKAGE("Linkage"),
        WHEELS("Wheels");

        private final String label;

        Group(String label) {
            this.label = label;
        }

        static Group of(Element e) {
            return switch (e) {
                case Element.Wheel _,
                        Element.ShaftAt _,
                        Element.JointAt _,
                        Element.Tube _,
                        Element.BearingAt _,
                        Element.InTheWay _,
                        Element.AtTheWheel _ -> COLUMN;
                case Element.GearElement _, Element.GearArm _ -> GEAR;
                case Element.DrivenRod _, Element.Relay _, Element.TieRods _, Element.SteeringArms _ -> LINKAGE;
                case Element.Knuckles _, Element.BeamElement _, Element.Tyres _ -> WHEELS;
            };
        }
    }

    public TrainStrip(Workbench bench) {
        this.bench = bench;
        menu = new TrainMenu(bench);
        getStyleClass().add("train-strip");
        setId("train");
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setMaxHeight(HEIGHT);
        setMinWidth(0);
        row.getStyleClass().add("train-row");
        row.setPrefHeight(HEIGHT);
        getChildren().add(row);
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        setOnScroll(e -> {
            shifted = Math.clamp(
                    shifted - Math.signum(e.getDeltaX() + e.getDeltaY()) * LEAST,
                    0,
                    Math.max(0, row.prefWidth(-1) - getWidth()));
            row.setTranslateX(-shifted);
        });
        bench.jobProperty().addListener((_, _, _) -> rebuildIfChanged());
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        bench.selectionProperty().addListener((_, _, _) -> refresh());
        bench.stageProperty().addListener((_, _, _) -> fold());
        widthProperty().addListener((_, _, _) -> fold());
        row.addEventFilter(KeyEvent.KEY_PRESSED, this::walk);
        rebuildIfChanged();
    }

    /** The tiles of a group, or one tile for all of them where there is no room. */
    private final class GroupBox extends HBox {
        private final Group group;
        private final List<Tile> own;
        private final ToggleButton folded = new ToggleButton();
        private final StateMark worst = StateMark.bare(Severity.FINE);

        GroupBox(Group group, List<Tile> own) {
            this.group = group;
            this.own = own;
            getStyleClass().add("train-group");
            folded.setId("group-" + group.name().toLowerCase(Locale.ROOT));
            folded.getStyleClass().setAll("element-tile");
            folded.setGraphic(new HBox(4, new VBox(Wrap.whole(group.label), Wrap.whole(own.size() + " parts")), worst));
            folded.setMinWidth(Region.USE_PREF_SIZE);
            folded.setOnAction(_ -> bench.selectionProperty().set(Optional.of(own.getFirst().element)));
        }

        /** @param each width of a tile, pixels */
        void lay(boolean fold, double each) {
            own.forEach(t -> {
                t.icon.setVisible(each >= WITH_DRAWING);
                // A button gives what it holds the width it likes best: said here, so that a long name wraps.
                double width = each - INSIDE - (each >= WITH_DRAWING ? ElementIcon.WIDTH + 3 : 0);
                t.words.setMinWidth(width);
                t.words.setPrefWidth(width);
                t.words.setMaxWidth(width);
                t.fitName(width);
            });
            List<Node> wanted = fold ? List.of(folded) : List.copyOf(own);
            if (!getChildren().equals(wanted)) {
                getChildren().setAll(wanted);
            }
            double width = fold ? FOLDED : own.size() * each;
            setMinWidth(width);
            setPrefWidth(width);
            setMaxWidth(width);
        }

        boolean holds(Optional<Element> e) {
            return e.isPresent() && own.stream().anyMatch(t -> t.element.equals(e.get()));
        }
    }

    private final class Tile extends ToggleButton {
        private final Element element;
        private final Label name = new Label();
        private final Label figure = new Label();
        private final StateMark state = StateMark.bare(Severity.FINE);
        private final ElementIcon icon;
        /** What the type of the name was chosen for: it is not measured anew at every step of a drag. */
        private String fitted = "";

        private double fittedTo;
        private final VBox words = new VBox();
        /** A long name is cut off on the tile. */
        private final Tooltip whole = new Tooltip();

        Tile(Element element, int index) {
            this.element = element;
            setId("element-" + index);
            getStyleClass().setAll("element-tile");
            setTooltip(whole);
            icon = new ElementIcon(bench.job(), element);
            icon.managedProperty().bind(icon.visibleProperty());
            name.getStyleClass().add("element-name");
            // What does not fit even in small type is cut; the tooltip has it whole.
            name.setEllipsisString("");
            figure.getStyleClass().add("element-figure");
            figure.setMinWidth(0);
            HBox line = new HBox(4, figure, state);
            line.setAlignment(Pos.CENTER_LEFT);
            state.setVisible(false);
            if (TrainMenu.has(element)) {
                offer();
            }
            words.getChildren().setAll(name, line);
            words.setAlignment(Pos.CENTER_LEFT);
            words.getStyleClass().add("element-box");
            HBox box = new HBox(3, icon, words);
            box.setAlignment(Pos.CENTER_LEFT);
            setGraphic(box);
            setMinWidth(0);
            setPrefWidth(100);
            setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(this, Priority.ALWAYS);
            setOnAction(_ -> bench.showPart(
                    // What was selected elsewhere, such as by its finding, is shown first; a second press lets go.
                    bench.selectionProperty().get().equals(Optional.of(element))
                                    && bench.sideTabProperty().get() == SideTab.PART
                            ? Optional.empty()
                            : Optional.of(element)));
        }

        /** What can be done to it, by the other mouse button or the menu key. */
        private void offer() {
            ContextMenu context = new ContextMenu();
            setOnContextMenuRequested(e -> {
                bench.showPart(Optional.of(element));
                context.getItems().setAll(menu.of(element));
                context.show(this, e.getScreenX(), e.getScreenY());
                e.consume();
            });
        }

        /** A name that is too long for its tile is written smaller. */
        void fitName(double width) {
            String label = Element.label(bench.job(), element);
            if (label.equals(fitted) && width == fittedTo) {
                return;
            }
            fitted = label;
            fittedTo = width;
            Text measured = new Text(label);
            measured.setFont(Fonts.text(NAME));
            double size = Math.clamp(
                    Math.floor(NAME * (width - 1) / measured.getLayoutBounds().getWidth() * 4) / 4, LEAST_NAME, NAME);
            name.setStyle("-fx-font-size: " + size + "px;");
        }

        void refresh() {
            boolean selected = bench.selectionProperty().get().equals(Optional.of(element));
            setSelected(selected);
            pseudoClassStateChanged(SELECTED, selected);
            String label = Element.label(bench.job(), element);
            name.setText(label);
            whole.setText(label);
            bench.analysisProperty()
                    .get()
                    .map(w -> w.now())
                    .filter(a -> Element.trainOf(a.job()).equals(shown))
                    .ifPresent(a -> {
                        String meaning = ElementHeadline.meaning(a, element);
                        figure.setText(ElementHeadline.of(a, element, bench.lengthUnit()));
                        state.show(a.stateOf(element));
                        // Nothing is called fine before it is worked out.
                        state.setVisible(true);
                        String description = meaning + " " + figure.getText() + ", "
                                + a.stateOf(element).label();
                        whole.setText(label + "\n" + description);
                        setAccessibleText(label + ", " + description);
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
            groups.clear();
            for (int i = 0; i < train.size(); i++) {
                tiles.add(new Tile(train.get(i), i));
            }
            for (Group g : Group.values()) {
                List<Tile> own =
                        tiles.stream().filter(t -> Group.of(t.element) == g).toList();
                if (!own.isEmpty()) {
                    groups.add(new GroupBox(g, own));
                }
            }
            row.getChildren().setAll(groups);
            if (tiles.isEmpty()) {
                Label none = new Label("The parts from steering wheel to tyres are shown here once a job has some.");
                none.getStyleClass().add("hint");
                row.getChildren().add(none);
            }
            begin = bench.job().column().isEmpty() ? Optional.of(begin()) : Optional.empty();
            begin.ifPresent(row.getChildren()::addFirst);
            fold();
        }
        refresh();
    }

    /**
     * Where the tiles would be too narrow to read, groups that are not worked on are folded to one tile each, the
     * largest first. A
     * train too long even so is shifted so that what is selected is in sight.
     */
    private void fold() {
        if (getWidth() <= 0 || groups.isEmpty()) {
            return;
        }
        double room = getWidth()
                - 2 * EDGE
                - GAP * (groups.size() - 1)
                - (begin.isPresent() ? begin.get().prefWidth(-1) : 0);
        Group about = bench.stageProperty().get() == WorkStage.LINKAGE ? Group.LINKAGE : Group.COLUMN;
        Optional<Element> selected = bench.selectionProperty().get();
        boolean selectedSomewhere = groups.stream().anyMatch(g -> g.holds(selected));
        List<GroupBox> open = new ArrayList<>(groups);
        List<GroupBox> mayFold = new ArrayList<>(groups.stream()
                .filter(g -> selectedSomewhere ? !g.holds(selected) : g.group != about)
                .sorted(Comparator.comparingInt((GroupBox g) -> -g.own.size()))
                .toList());
        while (each(open, room) < LEAST && !mayFold.isEmpty()) {
            open.remove(mayFold.removeFirst());
        }
        double each = Math.floor(Math.clamp(each(open, room), LEAST, MOST));
        groups.forEach(g -> g.lay(!open.contains(g), each));
        shift(each);
    }

    /** Width of a tile where these groups are open. */
    private double each(List<GroupBox> open, double room) {
        return (room - (groups.size() - open.size()) * FOLDED)
                / Math.max(1, open.stream().mapToInt(g -> g.own.size()).sum());
    }

    private void shift(double each) {
        double over = row.prefWidth(-1) - getWidth();
        if (over <= 0) {
            shifted = 0;
        } else {
            Optional<Element> selected = bench.selectionProperty().get();
            OptionalInt at = IntStream.range(0, tiles.size())
                    .filter(i -> Optional.of(tiles.get(i).element).equals(selected))
                    .findFirst();
            double left = at.isPresent() ? at.getAsInt() * each : 0;
            shifted = at.isEmpty()
                    ? Math.min(shifted, over)
                    : Math.clamp(
                            shifted,
                            Math.max(0, left + 2 * each - getWidth()),
                            Math.max(0, Math.min(over, left - each)));
        }
        row.setTranslateX(-shifted);
    }

    /** A job without a column can be given one to begin with. */
    private HBox begin() {
        Button begin = new Button("Begin a column");
        begin.setId("begin-column");
        begin.setMinWidth(Region.USE_PREF_SIZE);
        begin.setOnAction(_ -> bench.catalogueProperty().get().joints().stream()
                .findFirst()
                .ifPresentOrElse(
                        part -> bench.edit(
                                "Start a column: a wheel, a shaft in a tube, a joint, a stub into the gear",
                                j -> j.withColumn(TrainEdits.begun(
                                        j.axle().map(_ -> JobPoints.position(j, new PointId.GearCentre())), part))),
                        () -> bench.refuse("The catalogue in use has no joint to begin with.")));
        HBox box = new HBox(begin);
        box.getStyleClass().add("begin");
        return box;
    }

    private void refresh() {
        tiles.forEach(Tile::refresh);
        fold();
        bench.analysisProperty()
                .get()
                .ifPresent(w -> groups.forEach(g -> g.worst.show(
                        g.own.stream().map(t -> w.now().stateOf(t.element)).reduce(Severity.FINE, Severity::worse))));
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
                bench.showPart(Optional.of(next.element));
                e.consume();
                return;
            }
        }
    }
}

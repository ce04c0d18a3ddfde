package mildtilt.app.shell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.beans.property.ObjectProperty;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import mildtilt.app.controls.Wrap;
import mildtilt.app.guide.GuidePage;
import mildtilt.app.guide.GuideWindow;
import mildtilt.app.view.ViewPane;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.TrialSheetChoice;
import mildtilt.app.workbench.ViewChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthUnit;

/** Every command once: it feeds its menu entry, its keys and the sheet of shortcuts. */
final class Commands {

    /**
     * @param id what it is found by, whatever it is called
     * @param entry what the menu says just now; empty while there is nothing to do
     */
    private record Command(
            String id, String name, Optional<String> keys, Supplier<Optional<String>> entry, Runnable run) {}

    private record Group(String id, String name, List<Command> commands) {}

    /** Commands that a menu sets off with a line above. */
    private static final Set<String> STARTS_A_BLOCK =
            Set.of("stage-survey", "tab-findings", "tab-phasing", "tab-obstacles");

    private final Stage window;
    private final Workbench bench;
    private final Documents documents;
    private final List<Group> groups = new ArrayList<>();
    private Optional<GuideWindow> guide = Optional.empty();

    Commands(
            Stage window,
            Workbench bench,
            Documents documents,
            ViewPane bay,
            ObjectProperty<Theme> theme,
            Runnable start) {
        this.window = window;
        this.bench = bench;
        this.documents = documents;
        PaperSaving papers = documents.papers(window);
        groups.add(new Group(
                "job",
                "Job",
                List.of(
                        always("start", "Start page", "Shortcut+N", start),
                        always("open", "Open…", "Shortcut+O", () -> documents.open(window)),
                        always("save", "Save", "Shortcut+S", () -> documents.save(window)),
                        always("save-as", "Save as…", "Shortcut+Shift+S", () -> documents.saveAs(window)),
                        always("job-card", "Save the job card as PDF…", "Shortcut+P", papers::jobCard),
                        always("job-book", "Save the job book as PDF…", "Shortcut+Shift+P", papers::jobBook),
                        always("templates", "Save all templates…", "Shortcut+T", papers::templates),
                        unkeyed("check-sheets", "Save the check sheets of the set as PDF…", papers::checkSheets),
                        unkeyed("drawings", "Save all drawings for the machinist…", papers::drawings),
                        always("bench", "Save everything for the bench…", "Shortcut+Shift+E", papers::everything),
                        always("csv", "Save tables and curves as CSV…", "Shortcut+E", papers::csv),
                        unkeyed("trial-log", "Save the log of trials…", papers::log),
                        always("import-scan", "Import a scan…", "Shortcut+I", () -> documents.openScan(window)),
                        unkeyed("import-points", "Import points from a CSV…", () -> documents.openPoints(window)),
                        unkeyed("save-catalogue", "Save a copy of the catalogue…", () -> documents
                                .catalogue()
                                .saveCopy(window)),
                        unkeyed("open-catalogue", "Use a catalogue…", () -> documents
                                .catalogue()
                                .open(window)),
                        unkeyed("shipped-catalogue", "Use the built-in catalogue", () -> documents
                                .catalogue()
                                .useBuiltIn(window)),
                        always(
                                "quit",
                                "Quit",
                                "Shortcut+Q",
                                () -> window.fireEvent(new WindowEvent(window, WindowEvent.WINDOW_CLOSE_REQUEST))))));
        groups.add(new Group(
                "edit",
                "Edit",
                List.of(
                        new Command(
                                "undo",
                                "Undo",
                                Optional.of("Shortcut+Z"),
                                () -> bench.undoable().map(c -> "Undo: " + c),
                                bench::undo),
                        new Command(
                                "redo",
                                "Redo",
                                Optional.of("Shortcut+Shift+Z"),
                                () -> bench.redoable().map(c -> "Redo: " + c),
                                bench::redo),
                        always("mark", "Set a mark to compare with", "Shortcut+B", bench::pin),
                        tab("Findings", "Shortcut+Alt+1", SideTab.FINDINGS),
                        tab("Readings", "Shortcut+Alt+M", SideTab.READINGS),
                        tab("Uncertainty of the figures", "Shortcut+Alt+S", SideTab.UNCERTAINTY),
                        tab("Changes of the steering arms", "Shortcut+Alt+2", SideTab.ARMS),
                        tab("Solve for …", "Shortcut+Alt+3", SideTab.SOLVE),
                        tab("Part", "Shortcut+Alt+P", SideTab.PART),
                        tab("Variants", "Shortcut+Alt+4", SideTab.VARIANTS),
                        tab("Phasing", "Shortcut+Alt+5", SideTab.PHASING),
                        tab("Supports", "Shortcut+Alt+6", SideTab.SUPPORTS),
                        tab("Range", "Shortcut+Alt+7", SideTab.RANGE),
                        tab("Rules", "Shortcut+Alt+8", SideTab.RULES),
                        tab("Obstacles", "Shortcut+Alt+9", SideTab.OBSTACLES),
                        tab("Gaps", "Shortcut+Alt+0", SideTab.GAPS),
                        tab("What ends the travel", "Shortcut+Alt+E", SideTab.TRAVEL),
                        tab("Routes", "Shortcut+R", SideTab.ROUTES))));
        groups.add(new Group(
                "view",
                "View",
                List.of(
                        always("side", "Side", "Shortcut+1", () -> bench.viewProperty()
                                .set(ViewChoice.SIDE)),
                        always("plan", "Plan", "Shortcut+2", () -> bench.viewProperty()
                                .set(ViewChoice.PLAN)),
                        always("front", "Front", "Shortcut+3", () -> bench.viewProperty()
                                .set(ViewChoice.FRONT)),
                        always("solid", "3-D", "Shortcut+4", () -> bench.viewProperty()
                                .set(ViewChoice.SOLID)),
                        always("all-views", "All four views", "Shortcut+5", () -> bench.viewProperty()
                                .set(ViewChoice.ALL)),
                        always("dock", "Fold or open the dock", "Shortcut+J", () -> bench.dockFoldedProperty()
                                .set(!bench.dockFoldedProperty().get())),
                        always("show-all", "Show all", "Shortcut+0", bay::fit),
                        always("nearer", "Nearer", "Shortcut+Equals", () -> bay.zoom(1.15)),
                        always("farther", "Farther", "Shortcut+Minus", () -> bay.zoom(1 / 1.15)),
                        always("look-left", "Look left", "Shortcut+Shift+Left", () -> bay.pan(60, 0)),
                        always("look-right", "Look right", "Shortcut+Shift+Right", () -> bay.pan(-60, 0)),
                        always("look-up", "Look up", "Shortcut+Shift+Up", () -> bay.pan(0, 60)),
                        always("look-down", "Look down", "Shortcut+Shift+Down", () -> bay.pan(0, -60)),
                        always("stage-survey", "Survey stage", "Alt+0", () -> bench.stageProperty()
                                .set(WorkStage.SURVEY)),
                        always("stage-linkage", "Linkage stage", "Alt+1", () -> bench.stageProperty()
                                .set(WorkStage.LINKAGE)),
                        always("stage-column", "Column stage", "Alt+2", () -> bench.stageProperty()
                                .set(WorkStage.COLUMN)),
                        always("stage-clearance", "Clearance stage", "Alt+3", () -> bench.stageProperty()
                                .set(WorkStage.CLEARANCE)),
                        always("stage-make", "Make stage", "Alt+4", () -> bench.stageProperty()
                                .set(WorkStage.MAKE)),
                        always("stage-trial", "Trial stage", "Alt+5", () -> bench.stageProperty()
                                .set(WorkStage.TRIAL)),
                        always("next-sheet", "Next sheet of Make or Trial", "Shortcut+M", this::nextSheet),
                        always("next-unit", "Next unit of length", "Shortcut+U", this::nextUnit),
                        always(
                                "theme",
                                "Light or dark",
                                "Shortcut+D",
                                () -> theme.set(theme.get().other())))));
        groups.add(new Group(
                "turn",
                "Turn the wheel",
                List.of(
                        always("turn-left", "Steering wheel left", "Alt+Left", () -> turn(10)),
                        always("turn-right", "Steering wheel right", "Alt+Right", () -> turn(-10)),
                        always("bump", "Both wheels up", "Alt+Up", () -> travel(5)),
                        always("droop", "Both wheels down", "Alt+Down", () -> travel(-5)),
                        always("lock-left", "Full left lock", "Alt+Shift+Left", () -> turn(1e6)),
                        always("lock-right", "Full right lock", "Alt+Shift+Right", () -> turn(-1e6)),
                        always(
                                "straight-ahead",
                                "Back to straight ahead",
                                "Alt+Home",
                                () -> bench.steerTo(SteeringInput.STRAIGHT_AHEAD)))));
        groups.add(new Group(
                "help",
                "Help",
                List.of(
                        always("guide", "Guide", "F1", this::guide),
                        always("cautions", "Cautions", "F2", this::cautions),
                        always("practice", "Practice and its costs", "F3", this::practice),
                        always("glossary", "Glossary", "F4", () -> bench.glossaryTermProperty()
                                .set(Optional.of(""))),
                        always("shortcuts", "Shortcuts", "F5", this::shortcuts))));
    }

    private static Command always(String id, String name, String keys, Runnable run) {
        return new Command(id, name, Optional.of(keys), () -> Optional.of(name), run);
    }

    private static Command unkeyed(String id, String name, Runnable run) {
        return new Command(id, name, Optional.empty(), () -> Optional.of(name), run);
    }

    /** A use of the side, in a stage that has it: the present one if it has. */
    private Command tab(String name, String keys, SideTab tab) {
        return always("tab-" + tab.name().toLowerCase(Locale.ROOT), name, keys, () -> {
            if (!tab.belongsTo(bench.stageProperty().get())) {
                bench.stageProperty()
                        .set(Arrays.stream(WorkStage.values())
                                .filter(tab::belongsTo)
                                .findFirst()
                                .orElseThrow());
            }
            bench.sideTabProperty().set(tab);
        });
    }

    /** A menu with an entry for each demo vehicle. */
    private static Menu ofDemos(String id, String name, Function<DemoJob, String> entry, Consumer<DemoJob> run) {
        Menu menu = new Menu(name);
        menu.setId(id);
        for (DemoJob d : DemoJob.values()) {
            MenuItem item = new MenuItem(entry.apply(d));
            item.setId(id + "-" + d.file());
            item.setOnAction(_ -> run.accept(d));
            menu.getItems().add(item);
        }
        return menu;
    }

    /** The job's own commands, and below them every other one by what it is for. */
    MenuButton jobMenu() {
        MenuButton menu = new MenuButton();
        menu.setId("job-menu");
        menu.setMnemonicParsing(false);
        menu.getStyleClass().add("job-menu");
        menu.textProperty().bind(Bindings.createStringBinding(() -> bench.job().title(), bench.jobProperty()));
        menu.setAccessibleText("Job");
        Group job = groups.getFirst();
        for (Command c : job.commands) {
            if (c.id.equals("save")) {
                menu.getItems()
                        .add(ofDemos("new-like", "New job with", DemoJob::steering, d -> documents.newLike(window, d)));
                menu.getItems()
                        .add(ofDemos(
                                "demos",
                                "Demo vehicles",
                                d -> d.title() + ": " + d.steering(),
                                d -> documents.openDemo(window, d)));
            }
            if (c.id.equals("quit")) {
                menu.getItems().add(new SeparatorMenuItem());
                groups.stream().filter(g -> g != job && !g.id.equals("help")).forEach(g -> menu.getItems()
                        .add(menu(g)));
            }
            if (c.id.equals("quit") || c.id.equals("save-catalogue")) {
                menu.getItems().add(new SeparatorMenuItem());
            }
            menu.getItems().add(item(c));
        }
        return menu;
    }

    MenuButton helpMenu() {
        MenuButton menu = new MenuButton("Help");
        menu.setId("help-menu");
        menu.getStyleClass().add("job-menu");
        menu.setMinWidth(Region.USE_PREF_SIZE);
        groups.getLast().commands.forEach(c -> menu.getItems().add(item(c)));
        return menu;
    }

    private Menu menu(Group group) {
        Menu menu = new Menu(group.name);
        menu.setId("commands-" + group.id);
        for (Command c : group.commands) {
            if (STARTS_A_BLOCK.contains(c.id)) {
                menu.getItems().add(new SeparatorMenuItem());
            }
            menu.getItems().add(item(c));
        }
        return menu;
    }

    private MenuItem item(Command c) {
        MenuItem item = new MenuItem(c.name);
        item.setId("command-" + c.id);
        item.setMnemonicParsing(false);
        c.keys.ifPresent(k -> item.setAccelerator(KeyCombination.valueOf(k)));
        item.setOnAction((ActionEvent _) -> c.run.run());
        Runnable refresh = () -> {
            item.setText(c.entry.get().orElse(c.name));
            item.setDisable(c.entry.get().isEmpty());
        };
        bench.jobProperty().addListener((_, _, _) -> refresh.run());
        bench.messageProperty().addListener((_, _, _) -> refresh.run());
        refresh.run();
        return item;
    }

    /** Every command that can be run now, for the search field. */
    List<FindField.Found> found() {
        return groups.stream()
                .flatMap(g -> g.commands.stream())
                .filter(c -> c.entry.get().isPresent())
                .map(c -> new FindField.Found(
                        c.keys.map(k -> KeyCombination.valueOf(k).getDisplayText())
                                .orElse("command"),
                        c.name,
                        c.run))
                .toList();
    }

    /** Undo and redo before a text field takes them for itself: what is typed is not a change yet. */
    void installKeys(Scene scene, FindField find) {
        KeyCombination redoToo = KeyCombination.valueOf("Shortcut+Y");
        scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (redoToo.match(e)) {
                bench.redo();
                e.consume();
            } else if (scene.getFocusOwner() instanceof TextInputControl) {
                for (Command c : groups.get(1).commands) {
                    if (c.keys.map(KeyCombination::valueOf)
                            .filter(k -> k.match(e))
                            .isPresent()) {
                        c.run.run();
                        e.consume();
                    }
                }
            }
            if (KeyCombination.valueOf("Shortcut+K").match(e)) {
                find.requestFocus();
                find.selectAll();
                e.consume();
            }
            if (e.getCode() == KeyCode.ESCAPE && bench.dragging()) {
                bench.cancelDrag();
            }
        });
    }

    /** In either stage that has sheets; from another to the Make stage. */
    private void nextSheet() {
        if (bench.stageProperty().get() == WorkStage.TRIAL) {
            bench.trialSheetProperty()
                    .set(after(
                            TrialSheetChoice.values(),
                            bench.trialSheetProperty().get()));
        } else if (bench.stageProperty().get() == WorkStage.MAKE) {
            bench.makeSheetProperty()
                    .set(after(MakeSheet.values(), bench.makeSheetProperty().get()));
        } else {
            bench.stageProperty().set(WorkStage.MAKE);
        }
    }

    private static <E extends Enum<E>> E after(E[] all, E now) {
        return all[(now.ordinal() + 1) % all.length];
    }

    private void nextUnit() {
        LengthUnit[] all = LengthUnit.values();
        bench.lengthUnitProperty().set(all[(bench.lengthUnit().ordinal() + 1) % all.length]);
    }

    private void turn(double deg) {
        SteeringInput h = bench.steeringInput();
        bench.steerTo(new SteeringInput(h.steeringWheelDeg() + deg, h.travelLeft(), h.travelRight()));
    }

    private void travel(double mm) {
        SteeringInput h = bench.steeringInput();
        bench.steerTo(new SteeringInput(h.steeringWheelDeg(), h.travelLeft() + mm, h.travelRight() + mm));
    }

    /** At the page about the stage that is open. Made anew each time, so that it has the theme of now. */
    private void guide() {
        guide.ifPresent(GuideWindow::close);
        GuideWindow opened = new GuideWindow(window, window.getScene().getStylesheets());
        guide = Optional.of(opened);
        opened.open(GuidePage.of(bench.stageProperty().get()));
    }

    private void shortcuts() {
        HBox columns = new HBox(28);
        VBox column = new VBox(2);
        columns.getChildren().add(column);
        for (Group g : groups) {
            // Columns of much the same length.
            if (!g.id.equals("job") && !g.id.equals("help")) {
                column = new VBox(2);
                columns.getChildren().add(column);
            }
            Label head = new Label(g.name);
            head.getStyleClass().add("pane-head");
            GridPane keys = new GridPane();
            keys.setHgap(14);
            for (int i = 0; i < g.commands.size(); i++) {
                Command c = g.commands.get(i);
                keys.addRow(
                        i,
                        Wrap.whole(c.keys.map(k -> KeyCombination.valueOf(k).getDisplayText())
                                .orElse("")),
                        Wrap.whole(c.name));
            }
            column.getChildren().addAll(head, keys);
        }
        column.getChildren()
                .add(text(
                        "A point with the focus: arrow keys move it 1 mm, with Shift 10 mm, with Ctrl 0.1 mm. "
                                + "Dragging a point keeps to whole millimetres; with Shift to tenths. Escape cancels a drag. "
                                + "The diamond at a joint bends it by its angle, a degree a key. A fork's clock turns by a degree or a tooth; with Shift "
                                + "by ten degrees, with Ctrl by a tenth. The wheel and the levers take the arrow keys too, Home for the middle.",
                        300));
        show("Shortcuts", columns);
    }

    private static Label text(String text, double width) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMaxWidth(width);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private void cautions() {
        show("Cautions", text("""
                Steering that fails can kill. This program works out figures from the sizes you give it. It does not know \
                the metal, the welds, the bolts or the law where you are, and it never approves a design.

                Ask the authority that inspects vehicles where you are before you weld or join a steering shaft, a steering \
                arm or a knuckle. Some forbid it, some want it tested, some want it done by someone licensed.

                Tack, then turn from lock to lock at full bump and full droop, before the final weld. Keep heat off bearings, \
                joints and seals. Have the work looked at by someone other than yourself.""", 560));
    }

    /** Where practitioners differ, what each way costs, and what is not offered. */
    private void practice() {
        show("Practice and its costs", text("""
                Welded or one-piece shafts. A welded fork clocks to any angle and costs no length; the weld must be made and tested as the \
                authority where you are wants it, and some want none. Bolted forks come off again and need no test; they clock only as their \
                teeth or flats fall, and every bolt must be locked.

                Joints inside or outside the cabin. Inside they stay dry and are looked at, but feet, hoses and carpet come near. Outside they \
                want boots, and the bulkhead a sealed bearing.

                A collapsing column or a kink. A column that shortens keeps the wheel where it is, but needs a part made for it. A kinked one \
                folds aside with plain parts, and only as far as its bearings let it. A straight bar from gear to driver does neither.

                Single joints in pairs, or a double joint. Two single joints clocked to cancel are cheap and need the right angles; a double \
                joint is even at any angle, is long, and unless it centres itself wants a bearing on both sides.

                Joins in shafts. A sleeve shows what was done and costs no length, and wants two welds tested; a press fit with plug welds hides \
                them and wants a lathe; one piece has nothing to come apart and is made anew if it was wrong; a bolted coupling takes no heat, \
                is thick, weakens the shaft by its holes, and every nut must be locked.

                Two parallel shafts joined by a chain or a belt are not offered. When a chain jumps, a belt strips or either comes off, the wheel \
                turns and the vehicle does not: nothing is left that is positive between hands and gear. Route shafts and joints around \
                instead, or use a gear made for steering.""", 640));
    }

    private void show(String head, Node content) {
        Alert alert = new Alert(Alert.AlertType.INFORMATION);
        alert.initOwner(window);
        alert.setTitle("Mild Tilt");
        alert.setHeaderText(head);
        alert.getDialogPane().setContent(content);
        alert.setGraphic(null);
        Platform.runLater(() -> alert.getDialogPane().requestFocus());
        alert.showAndWait();
    }
}

package mildtilt.app.clearance;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.clearance.PairGap;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Sweep;
import mildtilt.obstacle.TwoEnded;
import mildtilt.travel.CarriedStart;
import mildtilt.units.Quantity;

/** What is in the way, one row each: put in, copied to the other side, taken out. */
public final class ObstaclesPane extends VBox {

    private final Workbench bench;
    private final Runnable takeScan;
    private final VBox list = new VBox();
    private final FreeSpaceBox space;
    private final ScanBox scan;

    /**
     * @param sizes of the selected one, to stand below the list
     * @param takeScan asks for a scan to import
     */
    public ObstaclesPane(Workbench bench, Region sizes, Runnable takeScan) {
        this.bench = bench;
        this.takeScan = takeScan;
        setId("obstacles-pane");
        getStyleClass().add("tab-pane-body");
        space = new FreeSpaceBox(bench);
        scan = new ScanBox(bench);
        VBox body = new VBox(adding(), list, scan, space, sizes);
        body.getStyleClass().add("tab-body");
        list.getStyleClass().add("obstacle-list");
        getChildren().add(Wrap.tall(body));
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        bench.selectionProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        visibleProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private Node adding() {
        MenuButton add = new MenuButton("Add an obstacle");
        add.setId("add-obstacle");
        add.getItems()
                .addAll(
                        item(
                                "Box: battery, engine, frame rail",
                                "add-box",
                                () -> put("box", new Shape.Box(spot(), 200, 150, 150))),
                        item(
                                "Tube: exhaust, hose, brace",
                                "add-tube",
                                () -> put(
                                        "tube",
                                        new Shape.Tube(List.of(spot(), spot().plus(new Vector(250, 0, 0))), 40))),
                        item(
                                "Cylinder: filter, motor",
                                "add-cylinder",
                                () -> put(
                                        "cylinder",
                                        new Shape.Cylinder(spot(), spot().plus(new Vector(0, 0, 150)), 90))),
                        item(
                                "Plate: bulkhead, floor, bracket",
                                "add-plate",
                                () -> put(
                                        "plate",
                                        new Shape.Plate(
                                                List.of(
                                                        spot(),
                                                        spot().plus(new Vector(0, 200, 0)),
                                                        spot().plus(new Vector(0, 200, 200)),
                                                        spot().plus(new Vector(0, 0, 200))),
                                                4))),
                        item(
                                "Sphere: anything round",
                                "add-sphere",
                                () -> put("sphere", new Shape.Sphere(spot(), 100))),
                        new SeparatorMenuItem());
        for (CarriedStart start : CarriedStart.values()) {
            add.getItems()
                    .add(item(
                            "Between ends: " + start.label(),
                            "add-" + start.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                            () -> putBetween(start)));
        }
        add.getItems()
                .addAll(
                        new SeparatorMenuItem(),
                        item("A scan, from STL, OBJ, PLY or GLB…", "add-scan", takeScan),
                        item("The driver", "add-driver", this::putDriver));
        HBox row = new HBox(8, add);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static MenuItem item(String text, String id, Runnable run) {
        MenuItem i = new MenuItem(text);
        i.setId(id);
        i.setOnAction(_ -> run.run());
        return i;
    }

    /** Beside the middle of the column, where it is seen and touches nothing at once. */
    private Point spot() {
        return bench.job()
                .column()
                .map(c -> c.hub().midwayTo(c.gearInput()).plus(new Vector(0, 300, 0)))
                .orElse(new Point(-400, 300, 500));
    }

    private void put(String name, Shape shape) {
        put(Obstacle.fixed(name, shape));
    }

    private void putBetween(CarriedStart start) {
        try {
            start.on(bench.job())
                    .ifPresentOrElse(
                            this::put,
                            () -> bench.refuse(
                                    "What is between ends needs an axle that can be turned for them to go along "
                                            + "with."));
        } catch (ImpossibleGeometryException e) {
            bench.refuse(String.valueOf(e.getMessage()));
        }
    }

    private void put(Obstacle o) {
        int index = bench.job().surroundings().obstacles().size();
        if (bench.edit("Add " + o.name(), j -> j.editSurroundings(s -> s.with(o.withName(s.free(o.name())))))) {
            bench.selectionProperty().set(Optional.of(new Element.InTheWay(index)));
        }
    }

    private void putDriver() {
        Point hub = bench.job().column().map(c -> c.hub()).orElse(new Point(-1000, 350, 1000));
        if (bench.job().surroundings().driver().isPresent()) {
            bench.refuse("There is a driver already: press it in the list to see the measures.");
        } else if (bench.edit(
                "Put the driver in the seat",
                j -> j.editSurroundings(s -> s.withDriver(Optional.of(Driver.behind(hub)))))) {
            bench.selectionProperty().set(Optional.of(new Element.AtTheWheel()));
        }
    }

    private void refresh() {
        if (!isVisible()) {
            return;
        }
        List<Node> rows = new ArrayList<>();
        Job job = bench.job();
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            rows.add(row(
                    new Element.InTheWay(i),
                    job.surroundings().obstacles().get(i).name(),
                    words(job.surroundings().obstacles().get(i))));
        }
        job.surroundings()
                .driver()
                .ifPresent(_ -> rows.add(row(new Element.AtTheWheel(), "Driver", "legs, and knuckles on the rim")));
        if (rows.isEmpty()) {
            rows.add(Wrap.text(
                    "No obstacles yet. Add what the column and the wheels must clear: frame rails, engine, battery, pedals, exhaust, the driver. "
                            + "The vehicle's own tyres, rims, arms, rods and shafts are checked without being added.",
                    "hint"));
        }
        if (!job.surroundings().meant().isEmpty()) {
            int n = job.surroundings().meant().size();
            Button again =
                    new Button("Look at the " + n + (n == 1 ? " pair that is" : " pairs that are") + " left out again");
            again.setId("look-again");
            again.setOnAction(
                    _ -> bench.edit("Check all pairs again", j -> j.editSurroundings(s -> s.leavingOutNone())));
            rows.add(again);
        }
        list.getChildren().setAll(rows);
        space.refresh();
        scan.refresh();
    }

    private String words(Obstacle o) {
        String on =
                switch (o.shape()) {
                    case TwoEnded t ->
                        " from the " + t.from().on().label() + " to the "
                                + t.to().on().label();
                    case AntiRollBar b -> " on the " + b.on().label();
                    default -> " on the " + o.carrier().label();
                };
        return o.shape().label()
                + (o.hot() ? ", hot" : "")
                + on
                + (o.sweep() instanceof Sweep.Still ? "" : ", " + o.sweep().label())
                + (o.takesBearings() ? ", takes bearings" : "");
    }

    private Node row(Element e, String name, String about) {
        Label title = Wrap.text(name, "obstacle-name");
        Label what = Wrap.text(about, "hint");
        VBox words = new VBox(title, what);
        HBox.setHgrow(words, Priority.ALWAYS);
        Label gap = new Label(gap(e));
        gap.getStyleClass().add("facts-figure");
        gap.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(8, words, gap);
        row.setAlignment(Pos.CENTER_LEFT);
        if (e instanceof Element.InTheWay i) {
            MenuButton more = new MenuButton("");
            more.getStyleClass().add("row-menu");
            more.setId("more-" + i.index());
            more.setAccessibleText("More for " + name);
            more.getItems()
                    .addAll(
                            item("Add the same on the other side", "mirror-" + i.index(), () -> mirror(i.index())),
                            item(
                                    "Delete it",
                                    "remove-" + i.index(),
                                    () -> takeOut(
                                            "Take out " + name, j -> j.editSurroundings(s -> s.without(i.index())))));
            row.getChildren().add(more);
        } else {
            MenuButton more = new MenuButton("");
            more.getStyleClass().add("row-menu");
            more.setId("more-driver");
            more.setAccessibleText("More for " + name);
            more.getItems()
                    .add(item(
                            "Delete the driver",
                            "remove-driver",
                            () -> takeOut(
                                    "Take the driver out",
                                    j -> j.editSurroundings(s -> s.withDriver(Optional.empty())))));
            row.getChildren().add(more);
        }
        row.getStyleClass().add("obstacle-row");
        if (bench.selectionProperty().get().equals(Optional.of(e))) {
            row.getStyleClass().add("chosen");
        }
        row.setId(e instanceof Element.InTheWay i ? "obstacle-" + i.index() : "obstacle-driver");
        row.setFocusTraversable(true);
        row.setAccessibleRole(AccessibleRole.BUTTON);
        row.setAccessibleText(name + ", " + about + ", gap " + gap.getText());
        row.setOnMouseClicked(_ -> bench.selectionProperty().set(Optional.of(e)));
        row.setOnKeyPressed(k -> {
            switch (k.getCode()) {
                case ENTER, SPACE -> bench.selectionProperty().set(Optional.of(e));
                default -> {}
            }
        });
        return row;
    }

    private void takeOut(String change, UnaryOperator<Job> edit) {
        bench.selectionProperty().set(Optional.empty());
        bench.edit(change, edit);
    }

    private void mirror(int index) {
        Obstacle o = bench.job().surroundings().obstacles().get(index);
        String as = o.name().contains("left")
                ? o.name().replace("left", "right")
                : o.name().contains("right") ? o.name().replace("right", "left") : o.name() + ", other side";
        bench.edit(
                "Put " + o.name() + " on the other side too",
                j -> j.editSurroundings(s -> s.with(o.mirrored(s.free(as)))));
    }

    /** The smallest gap anything has to it, or nothing where all is far away. */
    private String gap(Element e) {
        return bench.analysisProperty()
                .get()
                .flatMap(w -> w.now().clearance())
                .flatMap(c -> c.pairs().stream().filter(p -> p.has(e)).findFirst())
                .map(PairGap::gap)
                .map(g -> Quantity.length(g).text(bench.lengthUnit()))
                .orElse("clear");
    }
}

package mildtilt.app.start;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.VehicleScale;
import mildtilt.start.AxleChoice;
import mildtilt.start.GearChoice;
import mildtilt.start.PartAtHand;
import mildtilt.start.StartingVehicle;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** Asks in pictures what the user's own vehicle has, and for its three sizes. */
final class OwnVehicle extends VBox {

    /** A few cards are no wider than so many would be. */
    private static final int FEWEST_COLUMNS = 6;

    private final Workbench bench;
    private final Consumer<StartingVehicle> begin;
    private final Map<AxleChoice, ToggleButton> axles = new EnumMap<>(AxleChoice.class);
    private final Map<GearChoice, ToggleButton> gears = new EnumMap<>(GearChoice.class);
    private final Map<DemoJob, VehicleScale> shipped = new EnumMap<>(DemoJob.class);
    private final Set<PartAtHand> there = EnumSet.noneOf(PartAtHand.class);
    private final FlowPane sizes = new FlowPane(10, 6);
    private final Button go = new Button("Begin with these");
    private AxleChoice axle = AxleChoice.WISHBONES;
    private GearChoice gear = GearChoice.RACK_BEHIND;
    private double track;
    private double wheelbase;
    private double tyre;
    /** Sizes of the user's own are kept when another kind is pressed. */
    private boolean typed;

    private final GridPane axleRow = new GridPane(8, 8);
    private final GridPane gearRow = new GridPane(8, 8);
    private final FlowPane otherGears = new FlowPane(4, 4);

    OwnVehicle(Workbench bench, Consumer<StartingVehicle> begin) {
        super(6);
        this.bench = bench;
        this.begin = begin;
        getStyleClass().add("start-column");
        go.setId("start-own");
        go.getStyleClass().add("take-remedy");
        go.setOnAction(_ -> begin());
        sizes.setAlignment(Pos.BOTTOM_LEFT);
        cards(AxleChoice.values(), axles, AxleChoice::label, "start-axle-", "start-axle", this::chooseAxle);
        cards(GearChoice.values(), gears, GearChoice::label, "start-gear-", "start-gear", this::chooseGear);
        lay(axleRow, List.copyOf(axles.values()));
        otherGears.setAlignment(Pos.CENTER_LEFT);
        FlowPane parts = new FlowPane(16, 6);
        for (PartAtHand p : PartAtHand.values()) {
            parts.getChildren().add(box(p));
        }
        getChildren()
                .addAll(
                        StartPane.title("A vehicle of your own"),
                        step("1  What carries the wheels?"),
                        axleRow,
                        step("2  Which steering gear, and where does it sit?"),
                        gearRow,
                        otherGears,
                        step("3  What do you have already?"),
                        parts,
                        step("4  How large is it?"),
                        sizes,
                        Wrap.text(
                                "It begins as a vehicle that works. Then drag or type each point to where yours is.",
                                "hint"));
        bench.lengthUnitProperty().addListener((_, _, _) -> fields());
        show();
        draw();
    }

    /** The pictures and the sizes of the kinds are read beside: the window is there before all of them are known. */
    private void draw() {
        CompletableFuture.runAsync(() -> {
            for (DemoJob d : DemoJob.values()) {
                VehicleScale scale = VehicleScale.of(d.job()).orElseThrow();
                Platform.runLater(() -> {
                    shipped.put(d, scale);
                    show();
                });
            }
            axles.forEach((a, b) -> picture(
                    b,
                    VehiclePicture.Drawn.ofAxle(
                            a.example().job(),
                            // From the front trailing arms are seen end-on.
                            a == AxleChoice.TRAILING_ARMS ? Elevation.PLAN : Elevation.FRONT)));
            gears.forEach(
                    (g, b) -> picture(b, VehiclePicture.Drawn.of(g.example().job(), Elevation.PLAN)));
        });
    }

    private static void picture(ToggleButton card, VehiclePicture.Drawn drawn) {
        Platform.runLater(() -> ((VehiclePicture) card.getGraphic()).show(drawn));
    }

    private static Label step(String text) {
        Label l = new Label(text);
        l.getStyleClass().add("start-step");
        return l;
    }

    private static <C extends Enum<C>> void cards(
            C[] choices,
            Map<C, ToggleButton> into,
            Function<C, String> label,
            String id,
            String style,
            Consumer<C> choose) {
        ToggleGroup group = new ToggleGroup();
        for (C c : choices) {
            ToggleButton b = new ToggleButton(label.apply(c));
            b.setId(id + c.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            b.setGraphic(new VehiclePicture());
            b.setContentDisplay(ContentDisplay.TOP);
            b.setToggleGroup(group);
            b.getStyleClass().addAll("start-card", style);
            b.setOnAction(_ -> choose.accept(c));
            b.setMaxWidth(Double.MAX_VALUE);
            into.put(c, b);
        }
    }

    /** In one row, each as wide as the window leaves. */
    private static void lay(GridPane row, List<ToggleButton> cards) {
        row.getChildren().clear();
        row.getColumnConstraints().clear();
        for (ToggleButton card : cards) {
            ColumnConstraints wide = new ColumnConstraints();
            wide.setPercentWidth(100.0 / Math.max(FEWEST_COLUMNS, cards.size()));
            row.getColumnConstraints().add(wide);
            row.add(card, row.getChildren().size(), 0);
        }
    }

    /** Gears that can steer the chosen axle as cards, the others in a line of words below them. */
    private void layGears() {
        List<ToggleButton> cards = new ArrayList<>();
        otherGears.getChildren().setAll(new Label("With another axle:"));
        gears.forEach((g, b) -> {
            boolean suits = g.suits(axle);
            b.setContentDisplay(suits ? ContentDisplay.TOP : ContentDisplay.TEXT_ONLY);
            b.pseudoClassStateChanged(StartPane.OTHER, !suits);
            if (suits) {
                cards.add(b);
            } else {
                gearRow.getChildren().remove(b);
                otherGears.getChildren().add(b);
            }
        });
        lay(gearRow, cards);
    }

    private CheckBox box(PartAtHand p) {
        CheckBox box = new CheckBox(p.label());
        box.setId("start-there-" + p.name().toLowerCase(Locale.ROOT));
        box.setTooltip(
                new Tooltip(
                        "Measure it instead of buying it: it is written in the job, and on the list of what to buy it is marked as here."));
        box.setOnAction(_ -> {
            if (box.isSelected()) {
                there.add(p);
            } else {
                there.remove(p);
            }
        });
        return box;
    }

    /** The gear stays if it can steer such an axle; otherwise the first that can. */
    private void chooseAxle(AxleChoice a) {
        axle = a;
        if (!gear.suits(a)) {
            gear = List.of(GearChoice.values()).stream()
                    .filter(g -> g.suits(a))
                    .findFirst()
                    .orElse(gear);
        }
        show();
    }

    private void chooseGear(GearChoice g) {
        gear = g;
        if (!g.suits(axle)) {
            axle = g.usual();
        }
        show();
    }

    private void show() {
        layGears();
        axles.forEach((a, b) -> b.setSelected(a == axle));
        gears.forEach((g, b) -> {
            b.setSelected(g == gear);
            b.setTooltip(
                    g.suits(axle)
                            ? null
                            : new Tooltip("Goes with " + g.usual().label().toLowerCase(Locale.ROOT)
                                    + ": pressing it chooses that axle too."));
        });
        Optional<VehicleScale> scale = Optional.ofNullable(shipped.get(gear.example()));
        go.setDisable(scale.isEmpty());
        scale.filter(_ -> !typed).ifPresent(s -> {
            track = s.track();
            wheelbase = s.wheelbase();
            tyre = s.tyre();
        });
        fields();
    }

    private void fields() {
        sizes.getChildren()
                .setAll(
                        field("Track, wheel centre to wheel centre", "start-track", track, v -> track = v),
                        field("Wheelbase", "start-wheelbase", wheelbase, v -> wheelbase = v),
                        field("Tyre diameter", "start-tyre", tyre, v -> tyre = v),
                        unit(),
                        go);
        sizes.setDisable(go.isDisable());
    }

    private Node field(String label, String id, double mm, Consumer<Double> take) {
        MeasureField f = new MeasureField(
                LengthText.inField(mm, bench.lengthUnit()),
                t -> LengthText.parse(t, bench.lengthUnit()),
                v -> {
                    typed = true;
                    take.accept(v);
                },
                bench::refuse);
        f.setId(id);
        f.setAccessibleText(label);
        f.setPrefWidth(116);
        f.setMaxWidth(116);
        return named(label, f);
    }

    private Node unit() {
        ChoiceBox<LengthUnit> box = Choices.of(LengthUnit.class, LengthUnit::label, "start-unit", "Unit of lengths");
        box.setValue(bench.lengthUnit());
        box.setOnAction(_ -> bench.lengthUnitProperty().set(box.getValue()));
        return named("Your tape", box);
    }

    private static Node named(String label, Node control) {
        Label l = new Label(label);
        l.getStyleClass().add("hint");
        return new VBox(1, l, control);
    }

    private void begin() {
        try {
            begin.accept(new StartingVehicle(axle, gear, new VehicleScale(track, wheelbase, tyre), there));
        } catch (ImpossibleGeometryException e) {
            bench.refuse(e.getMessage());
        }
    }
}

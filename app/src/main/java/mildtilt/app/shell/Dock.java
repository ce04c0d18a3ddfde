package mildtilt.app.shell;

import java.util.Optional;
import javafx.beans.binding.BooleanBinding;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mildtilt.app.compare.CompareTable;
import mildtilt.app.controls.Sliders;
import mildtilt.app.controls.Wrap;
import mildtilt.app.plot.PlotPane;
import mildtilt.app.position.PositionPane;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthText;

/** The steering wheel and the travel of the wheels, the key figures and a curve; folded, a line with two sliders. */
final class Dock extends StackPane {

    private static final double NARROW = 860;

    private final Workbench bench;
    private final Slider steer = Sliders.of(0, 100, 0);
    private final Slider travel = Sliders.of(0, 100, 0);
    private final Label steerFigure = Wrap.whole("");
    private final Label travelFigure = Wrap.whole("");
    private boolean showing;

    Dock(Workbench bench) {
        this.bench = bench;
        setId("dock");
        HBox whole = whole();
        HBox line = line();
        whole.visibleProperty().bind(bench.dockFoldedProperty().not());
        whole.managedProperty().bind(whole.visibleProperty());
        line.visibleProperty().bind(bench.dockFoldedProperty());
        line.managedProperty().bind(line.visibleProperty());
        getChildren().addAll(whole, line);
        bench.steeringInputProperty().addListener((_, _, _) -> refresh());
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private HBox whole() {
        PlotPane plot = new PlotPane(bench);
        HBox.setHgrow(plot, Priority.ALWAYS);
        CompareTable figures = new CompareTable(bench);
        HBox.setHgrow(figures, Priority.SOMETIMES);
        // A narrow dock has room for the figures or the curve.
        BooleanBinding narrow = widthProperty().lessThan(NARROW);
        ToggleButton swap = new ToggleButton("⇄");
        swap.setId("dock-swap");
        swap.getStyleClass().add("sheet-button");
        swap.setMinWidth(Region.USE_PREF_SIZE);
        swap.setTooltip(new Tooltip("Figures or curve"));
        swap.setAccessibleText("Curve instead of the figures");
        swap.visibleProperty().bind(narrow);
        swap.managedProperty().bind(narrow);
        plot.visibleProperty().bind(narrow.not().or(swap.selectedProperty()));
        plot.managedProperty().bind(plot.visibleProperty());
        figures.visibleProperty().bind(narrow.not().or(swap.selectedProperty().not()));
        figures.managedProperty().bind(figures.visibleProperty());
        HBox whole = new HBox(
                new PositionPane(bench),
                figures,
                plot,
                new VBox(fold("▾", "fold-dock", "Fold the dock to one line", true), swap));
        whole.getStyleClass().add("dock");
        return whole;
    }

    private HBox line() {
        steer.setId("folded-steer");
        steer.setAccessibleText("Steering wheel");
        steer.valueProperty().addListener((_, _, v) -> {
            if (!showing) {
                // The slider's right end is the wheel turned right.
                bench.steerTo(new SteeringInput(
                        -Math.rint(v.doubleValue()),
                        bench.steeringInput().travelLeft(),
                        bench.steeringInput().travelRight()));
            }
        });
        travel.setId("folded-travel");
        travel.setAccessibleText("Travel of both wheels");
        travel.valueProperty().addListener((_, _, v) -> {
            if (!showing) {
                bench.steerTo(new SteeringInput(
                        bench.steeringInput().steeringWheelDeg(),
                        Math.rint(v.doubleValue()),
                        Math.rint(v.doubleValue())));
            }
        });
        HBox.setHgrow(steer, Priority.ALWAYS);
        steerFigure.setPrefWidth(74);
        travelFigure.setPrefWidth(74);
        HBox line = new HBox(
                10,
                Wrap.whole("Steering wheel"),
                steer,
                steerFigure,
                Wrap.whole("Travel"),
                travel,
                travelFigure,
                fold("▴", "unfold-dock", "Open the dock", false));
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add("folded-dock");
        return line;
    }

    private Button fold(String sign, String id, String words, boolean folded) {
        Button fold = new Button(sign);
        fold.setId(id);
        fold.getStyleClass().add("sheet-button");
        fold.setMinWidth(Region.USE_PREF_SIZE);
        fold.setTooltip(new Tooltip(words + " (Ctrl+J)"));
        fold.setAccessibleText(words);
        fold.setOnAction(_ -> bench.dockFoldedProperty().set(folded));
        return fold;
    }

    private void refresh() {
        showing = true;
        SteeringInput h = bench.steeringInput();
        Vehicle v = bench.job().vehicle();
        steer.setMin(-Math.abs(bench.train().stopDeg(Side.LEFT).orElse(360.0)));
        steer.setMax(Math.abs(bench.train().stopDeg(Side.RIGHT).orElse(-360.0)));
        steer.setValue(-h.steeringWheelDeg());
        travel.setMin(-v.droop());
        travel.setMax(v.bump());
        travel.setValue((h.travelLeft() + h.travelRight()) / 2);
        String way = Math.abs(h.steeringWheelDeg()) < 0.5 ? "" : h.steeringWheelDeg() > 0 ? " left" : " right";
        steerFigure.setText(LengthText.decimal(Math.abs(h.steeringWheelDeg()), 0) + "°" + way);
        travelFigure.setText(Optional.of(h)
                .filter(x -> x.travelLeft() == x.travelRight())
                .map(x -> LengthText.format(x.travelLeft(), bench.lengthUnit()))
                .orElse("each its own"));
        showing = false;
    }
}

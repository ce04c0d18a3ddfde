package mildtilt.app.position;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringInput;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.LengthText;

/** The position: a steering wheel to turn, a lever for each road wheel, and where the road wheels point. */
public final class PositionPane extends HBox {

    private final Workbench bench;
    private final Label left = new Label();
    private final Label right = new Label();
    private final Play player;
    private final Button centre = new Button("Straight ahead");

    public PositionPane(Workbench bench) {
        this.bench = bench;
        player = new Play(bench);
        getStyleClass().add("hands-pane");
        centre.setId("centre-hands");
        centre.setTooltip(new Tooltip("Back to straight ahead at ride height (Alt+Home)"));
        centre.setOnAction(_ -> {
            player.pause();
            bench.steerTo(SteeringInput.STRAIGHT_AHEAD);
        });
        left.getStyleClass().add("steer-angle");
        right.getStyleClass().add("steer-angle");
        left.setId("steer-left");
        right.setId("steer-right");
        HBox play = new HBox(
                2,
                toggle("▶ Steer", "play-steer", "Turn from lock to lock; press again to pause", player.steerProperty()),
                toggle(
                        "▶ Travel",
                        "play-travel",
                        "Cycle the travel of both wheels; press again to pause",
                        player.travelProperty()));
        ChoiceBox<Speed> speed = Choices.of(Speed.class, Speed::label, "play-speed", "Speed of playing");
        speed.setValue(Speed.ORDINARY);
        speed.setMaxWidth(Double.MAX_VALUE);
        speed.valueProperty().addListener((_, _, v) -> player.speed(v.times));
        centre.setMaxWidth(Double.MAX_VALUE);
        ToggleButton together = toggle(
                "Both wheels", "travel-together", "Either lever moves both wheels", bench.travelTogetherProperty());
        together.setMaxWidth(Double.MAX_VALUE);
        VBox angles = new VBox(-2, left, right);
        VBox reading = new VBox(3, angles, together, play, speed, centre);
        reading.getStyleClass().add("hands-reading");
        reading.setMinWidth(128);
        reading.setAlignment(Pos.CENTER_LEFT);
        setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        new WheelDial(bench),
                        new TravelLever(bench, Side.LEFT),
                        new TravelLever(bench, Side.RIGHT),
                        reading);
        bench.steeringInputProperty().addListener((_, _, _) -> refresh());
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private enum Speed {
        SLOW("slowly", 0.35),
        ORDINARY("at ease", 1),
        FAST("quickly", 2.2);

        private final String label;
        private final double times;

        Speed(String label, double times) {
            this.label = label;
            this.times = times;
        }

        String label() {
            return label;
        }
    }

    private static ToggleButton toggle(String text, String id, String words, BooleanProperty on) {
        ToggleButton b = new ToggleButton(text);
        b.setId(id);
        b.getStyleClass().add("play-button");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setTooltip(new Tooltip(words));
        b.setAccessibleText(words);
        b.selectedProperty().bindBidirectional(on);
        return b;
    }

    private void refresh() {
        Optional<AxlePose> pose = bench.pose();
        left.setText(pose.map(p -> reading("L", p.left())).orElse("no axle yet"));
        right.setText(pose.map(p -> reading("R", p.right())).orElse(""));
        left.setTooltip(pose.flatMap(AxlePose::obstacle)
                .map(c -> c.sentence(bench.lengthUnit()))
                .map(Tooltip::new)
                .orElse(null));
        centre.setDisable(bench.steeringInput().straightAhead());
    }

    private static String reading(String side, CornerPose pose) {
        return switch (pose) {
            case CannotAssemble _ -> side + " can't reach";
            case KnucklePose k -> {
                double deg = k.steerDeg();
                yield side + " " + LengthText.decimal(Math.abs(deg), 1) + "° "
                        + (Math.abs(deg) < 0.05 ? "" : deg > 0 ? "left" : "right");
            }
        };
    }
}

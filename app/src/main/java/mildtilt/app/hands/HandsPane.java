package mildtilt.app.hands;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mildtilt.app.workbench.HandsPosition;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.measure.LengthText;
import mildtilt.steer.AxlePose;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KnucklePose;

/** The hands: a wheel to turn, a lever for each road wheel, and where the road wheels point. */
public final class HandsPane extends HBox {

    private final Workbench bench;
    private final Label left = new Label();
    private final Label right = new Label();
    private final Button centre = new Button("Straight ahead");

    public HandsPane(Workbench bench) {
        this.bench = bench;
        getStyleClass().add("hands-pane");
        centre.setId("centre-hands");
        centre.setTooltip(new Tooltip("Back to straight ahead at ride height (Alt+Home)"));
        centre.setOnAction(_ -> bench.moveHands(HandsPosition.CENTRED));
        left.getStyleClass().add("steer-angle");
        right.getStyleClass().add("steer-angle");
        left.setId("steer-left");
        right.setId("steer-right");
        Label head = new Label("Road wheels");
        head.getStyleClass().add("pane-head");
        VBox reading = new VBox(4, head, left, right, centre);
        reading.getStyleClass().add("hands-reading");
        reading.setMinWidth(112);
        reading.setAlignment(Pos.CENTER_LEFT);
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(new WheelDial(bench), new TravelLever(bench, Side.LEFT), new TravelLever(bench, Side.RIGHT), reading);
        bench.handsProperty().addListener((_, _, _) -> refresh());
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void refresh() {
        Optional<AxlePose> pose = bench.pose();
        left.setText(pose.map(p -> reading("L", p.left())).orElse("no axle yet"));
        right.setText(pose.map(p -> reading("R", p.right())).orElse(""));
        left.setTooltip(pose.flatMap(AxlePose::obstacle).map(c -> c.sentence(bench.lengthUnit())).map(Tooltip::new).orElse(null));
        centre.setDisable(bench.hands().centred());
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

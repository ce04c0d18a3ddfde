package mildtilt.app.start;

import java.nio.file.Path;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.start.StartingVehicle;

/** Where to begin: a vehicle of one's own, the tour, a job from before, or a demo. */
public final class StartPane extends HBox {

    /** A choice that goes with another axle than the one chosen. */
    static final PseudoClass OTHER = PseudoClass.getPseudoClass("other");

    /** What can be begun. */
    public interface Begin {

        /** Refused in the message line where such a vehicle can't be. */
        void own(StartingVehicle vehicle);

        void demo(DemoJob demo);

        void tour();

        void open();

        void open(Path file);

        /** The jobs of before, the newest first, that are still there. */
        List<Path> recent();
    }

    public StartPane(Workbench bench, Begin begin) {
        setId("start-page");
        getStyleClass().add("start-page");
        Button tour = plain("Take the tour", "start-tour", begin::tour);
        tour.getStyleClass().add("take-remedy");
        RecentList recent = new RecentList(begin::open);
        VBox demos = new VBox(0);
        for (DemoJob d : DemoJob.values()) {
            Button demo = new Button(d.title());
            demo.setId("start-demo-" + d.file());
            demo.getStyleClass().add("where-link");
            demo.setTooltip(new Tooltip(d.steering()));
            demo.setOnAction(_ -> begin.demo(d));
            demos.getChildren().add(demo);
        }
        VBox side = new VBox(
                8,
                title("See it work"),
                Wrap.text(
                        "A made-up rescue carrier with faults in it. Nine steps, about three minutes: you find and cure them all.",
                        "hint"),
                tour,
                title("Go on"),
                plain("Open a job…", "start-open", begin::open),
                recent,
                title("Look at a demo"),
                demos);
        side.getStyleClass().addAll("start-column", "start-side");
        getChildren().addAll(Wrap.tall(new OwnVehicle(bench, begin::own)), Wrap.tall(side));
        HBox.setHgrow(getChildren().getFirst(), Priority.ALWAYS);
        getChildren().getLast().getStyleClass().add("start-side-scroll");
        visibleProperty().addListener((_, _, shown) -> {
            if (shown) {
                recent.show(begin.recent());
            }
        });
    }

    static Label title(String text) {
        Label l = new Label(text);
        l.getStyleClass().add("start-title");
        return l;
    }

    static Button plain(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(_ -> run.run());
        return b;
    }
}

package mildtilt.app.start;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mildtilt.app.look.Wrap;
import mildtilt.app.workbench.FitSheet;
import mildtilt.app.workbench.HandsPosition;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Element;

/** A short walk through the demo's planted faults: a line that says where to look and what to try, stop by stop. */
public final class Walk extends HBox {

    /** @param go takes the window there; what the user tries is his own */
    private record Stop(String words, Runnable go) {}

    private final Workbench bench;
    private final List<Stop> stops;
    private final Label words = Wrap.text("", "walk-words");
    private final Button next = new Button("Next");
    private int at;

    public Walk(Workbench bench) {
        this.bench = bench;
        setId("walk");
        getStyleClass().add("walk");
        setAlignment(Pos.CENTER_LEFT);
        stops = List.of(
                new Stop("Every part from hands to tyres stands in the strip above, with its figure and state. The lower joint is over its limit: the note at the right says by how much, and what would cure it.", () -> at(WorkStage.COLUMN, Optional.of(SideTab.NOTES), new Element.JointAt(1))),
                new Stop("The forks are clocked wrong, so the gear turns unevenly. Press \"Do it\" at \"Clock the gear-end fork\" and see the ripple fall in the table below. Ctrl+Z takes it back.", () -> at(WorkStage.COLUMN, Optional.of(SideTab.PHASING), new Element.ShaftAt(1))),
                new Stop("Someone misread a tape. More readings than are needed show which, and by how much; the axle stands a little askew, too.", () -> at(WorkStage.SURVEY, Optional.of(SideTab.MEASURED), new Element.GearElement())),
                new Stop("The steering arms give too little Ackermann. Drag the ring at an arm's end, or let \"Work it out\" find the fewest cuts that do.", () -> at(WorkStage.LINKAGE, Optional.of(SideTab.WORK_OUT), new Element.SteeringArms())),
                new Stop("At lock, in bump, a tyre meets a bracket. Press the first gap: the hands go to where it is tightest.", () -> at(WorkStage.CLEARANCE, Optional.of(SideTab.GAPS), new Element.Tyres())),
                new Stop("A tie-rod end's taper rattles in the right arm. Fits says why, and what makes it seat.", () -> {
                    bench.makeSheetProperty().set(MakeSheet.FITS);
                    at(WorkStage.MAKE, Optional.empty(), new Element.TieRods());
                }),
                new Stop("It was built and tried. The dots on the wall do not fit the plan: What fits names the cause, how surely, and the shim that cures it.", () -> {
                    bench.fitSheetProperty().set(FitSheet.DIAGNOSIS);
                    at(WorkStage.FIT, Optional.empty(), new Element.GearElement());
                }),
                new Stop("Now your own: Job, Start page. F1 lists every key, F4 explains every word. Nothing here approves a design: local rules and licensed practice come first.", () -> at(WorkStage.COLUMN, Optional.of(SideTab.NOTES), new Element.Wheel())));
        words.setId("walk-words");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        next.setId("walk-next");
        next.getStyleClass().add("take-remedy");
        next.setOnAction(_ -> go(at + 1));
        next.setMinWidth(USE_PREF_SIZE);
        Button back = new Button("Back");
        back.setId("walk-back");
        back.setMinWidth(USE_PREF_SIZE);
        back.setOnAction(_ -> go(at - 1));
        Button end = new Button("End the walk");
        end.setId("walk-end");
        end.setMinWidth(USE_PREF_SIZE);
        end.setOnAction(_ -> setVisible(false));
        getChildren().addAll(words, back, next, end);
        managedProperty().bind(visibleProperty());
        setVisible(false);
    }

    public void begin() {
        setVisible(true);
        go(0);
    }

    private void go(int to) {
        if (to >= stops.size()) {
            setVisible(false);
            return;
        }
        at = Math.max(0, to);
        words.setText((at + 1) + " of " + stops.size() + ".  " + stops.get(at).words);
        next.setText(at == stops.size() - 1 ? "Done" : "Next");
        stops.get(at).go.run();
    }

    private void at(WorkStage stage, Optional<SideTab> tab, Element element) {
        bench.stageProperty().set(stage);
        tab.ifPresent(t -> bench.sideTabProperty().set(t));
        if (stage != WorkStage.FIT) {
            bench.moveHands(HandsPosition.CENTRED);
        }
        if (Element.of(bench.job()).contains(element)) {
            bench.selectionProperty().set(Optional.of(element));
        }
    }
}

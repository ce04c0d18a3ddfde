package mildtilt.app.trial;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextInputDialog;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.stage.Window;
import mildtilt.app.controls.SheetRail;
import mildtilt.app.workbench.TrialSheetChoice;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.BuiltVehicle;
import mildtilt.trials.instruments.StandIn;
import mildtilt.units.LengthText;
import mildtilt.units.UnreadableMeasureException;

/** The Fit stage: its sheets in the order a trial goes, one shown. */
public final class TrialStagePane extends HBox implements AutoCloseable {

    /** What the stage asks files for. */
    public interface Files {

        /** Copies a photo beside the job, if one is chosen and can be; its name in the job. */
        Optional<String> photo();

        /** The file an instrument writes to, if one is chosen. */
        Optional<Path> readings();

        void inspection(BuiltVehicle vehicle);

        Window owner();
    }

    private final InstrumentLink link = new InstrumentLink();

    /** @param vehicle the vehicle to look at, beside the large figures */
    public TrialStagePane(Workbench bench, Clock clock, Files files, Region vehicle) {
        TrialDesk desk = new TrialDesk(bench, clock);
        SheetRail.fill(
                this,
                "fit",
                TrialSheetChoice.values(),
                TrialSheetChoice::label,
                bench.trialSheetProperty(),
                s -> switch (s) {
                    case BENCH -> measuring(bench, desk, files, vehicle);
                    case TRIALS ->
                        new TrialsPane(bench, desk, () -> files.photo().ifPresent(p -> TrialsPane.added(desk, p)));
                    case WALL -> new WallPane(bench, desk);
                    case PLATES -> new PlatesPane(bench, desk);
                    case RUN_OUT -> new RunOutPane(bench, desk);
                    case DIAGNOSIS -> new DiagnosisPane(bench, desk);
                    case LOG -> new LogPane(bench, desk);
                    case INSPECTION -> new InspectionPane(bench, desk, () -> files.inspection(desk.vehicle()));
                });
    }

    /** The vehicle beside the large figures. */
    private HBox measuring(Workbench bench, TrialDesk desk, Files files, Region view) {
        MeasurePane pane = new MeasurePane(
                bench,
                desk,
                link,
                MeasurePane.sources(List.of(
                        item("Stand-ins on a simulated vehicle", "trial-stand-ins", () -> desk.trial()
                                .ifPresentOrElse(
                                        t -> link.standIns(t.back(bench.job()), System.nanoTime()),
                                        () -> bench.refuse("Begin a trial first."))),
                        item("On a port of this machine…", "trial-port", () -> promptForPort(bench, files.owner())),
                        item("From a file an instrument writes…", "trial-file", () -> files.readings()
                                .ifPresent(link::file)),
                        item("None: I type", "trial-none", link::drop))));
        HBox both = new HBox(view, pane);
        both.setMinSize(0, 0);
        HBox.setHgrow(view, Priority.ALWAYS);
        HBox.setHgrow(pane, Priority.ALWAYS);
        return both;
    }

    private void promptForPort(Workbench bench, Window owner) {
        TextInputDialog ask = new TextInputDialog(Integer.toString(StandIn.USUAL_PORT));
        ask.initOwner(owner);
        ask.setTitle("Mild Tilt");
        ask.setHeaderText("Port on which the instruments answer, on this machine");
        ask.showAndWait().ifPresent(t -> {
            try {
                double port = LengthText.parseNumber(t);
                if (port != Math.rint(port) || port < 1 || port > 65_535) {
                    bench.refuse("A port is a whole number from 1 to 65535, not \"" + t + "\".");
                    return;
                }
                link.port((int) port);
            } catch (UnreadableMeasureException e) {
                bench.refuse(e.getMessage());
            }
        });
    }

    private static MenuItem item(String text, String id, Runnable run) {
        MenuItem i = new MenuItem(text);
        i.setId(id);
        i.setOnAction(_ -> run.run());
        return i;
    }

    @Override
    public void close() {
        link.close();
    }
}

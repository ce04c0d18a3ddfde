package mildtilt.app.trial;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mildtilt.analysis.Analysis;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.job.Trial;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.TurnGeometry;
import mildtilt.trials.compare.PlateAngles;
import mildtilt.trials.compare.TrialTables;

/**
 * Inner and outer wheel on turn plates against the plan, against rolling about one point, and against the wanted table.
 */
final class PlatesPane extends TrialPane {

    PlatesPane(Workbench bench, TrialDesk desk) {
        super(bench, desk, "trial-plates-sheet");
        refresh();
    }

    @Override
    protected void show(Trial t, TrialDesk.TrialResult result) {
        title(
                "Turn plates",
                "Both plates zeroed straight ahead. Dots off the plan the same way on both sides: both arms or the gear are elsewhere. Dots that cross it: the sides differ.");
        of(t);
        List<PlateAngles.Row> rows = result.figures().plates();
        if (rows.isEmpty()) {
            say("Nothing is read on turn plates yet. Choose \"Turn plates\" on the sheet \"Measure\".");
            return;
        }
        HBox both = new HBox(12);
        for (Side way : Side.values()) {
            List<PlateAngles.Row> of =
                    rows.stream().filter(r -> r.read().way() == way).toList();
            if (!of.isEmpty()) {
                ToeDrawing d = new ToeDrawing(new ToeDrawing.Sheet(
                        "Turned " + way.label(),
                        "inner wheel, °",
                        "outer, °",
                        lines(result.figures().then(), way),
                        of.stream()
                                .map(r -> new ToeDrawing.Point(
                                        r.read().inner(),
                                        r.read().outer(),
                                        r.read().spread()))
                                .toList(),
                        0,
                        0));
                HBox.setHgrow(d, Priority.ALWAYS);
                both.getChildren().add(d);
            }
        }
        add(both);
        boolean wanted = rows.stream().anyMatch(r -> r.wanted().isPresent());
        table(
                TrialTables.plates(desk.vehicle().name(), result.figures()),
                wanted
                        ? new String[] {
                            "turned",
                            "inner_deg",
                            "outer_deg",
                            "planned_outer_deg",
                            "off_deg",
                            "true_ackermann_outer_deg",
                            "wanted_outer_deg",
                            "ackermann_pct"
                        }
                        : new String[] {
                            "turned",
                            "inner_deg",
                            "outer_deg",
                            "planned_outer_deg",
                            "off_deg",
                            "true_ackermann_outer_deg",
                            "ackermann_pct"
                        });
    }

    /** Planned, true Ackermann, and the table if there is one. */
    private static List<ToeDrawing.Line> lines(Analysis a, Side way) {
        List<TurnGeometry> turns = a.steer()
                .map(s -> s.rows().stream()
                        .map(SteerRow::turn)
                        .flatMap(o -> o.stream())
                        .filter(x -> x.turned() == way && x.innerDeg() > 1)
                        .sorted((p, q) -> Double.compare(p.innerDeg(), q.innerDeg()))
                        .toList())
                .orElse(List.of());
        List<ToeDrawing.Line> all = new ArrayList<>();
        if (turns.size() > 1) {
            all.add(new ToeDrawing.Line(
                    "planned",
                    turns.stream()
                            .map(x -> new double[] {x.innerDeg(), x.outerDeg()})
                            .toList(),
                    false));
            all.add(new ToeDrawing.Line(
                    "true Ackermann",
                    turns.stream()
                            .map(x -> new double[] {x.innerDeg(), x.idealOuterDeg()})
                            .toList(),
                    true));
            a.job()
                    .targets()
                    .outerTable()
                    .ifPresent(o -> all.add(new ToeDrawing.Line(
                            "wanted",
                            turns.stream()
                                    .map(x -> new double[] {x.innerDeg(), o.outerAt(x.innerDeg())})
                                    .toList(),
                            true)));
        }
        return all;
    }
}

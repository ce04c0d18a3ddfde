package mildtilt.app.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.job.Trial;
import mildtilt.job.Vehicle;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.trials.Tolerances;
import mildtilt.trials.compare.Laser;
import mildtilt.trials.compare.TrialTables;
import mildtilt.trials.compare.WallTrace;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Bump steer as it is really checked: dots on the wall, turned into toe at the wheel, over the planned curve. */
final class WallPane extends TrialPane {

    private static final int STEPS_EACH_WAY = 12;

    WallPane(Workbench bench, TrialDesk desk) {
        super(bench, desk, "trial-wall-sheet");
        refresh();
    }

    @Override
    protected void show(Trial t, TrialDesk.TrialResult result) {
        title(
                "Wall trace",
                "Springs and bump stops off. The laser on the hub draws a dot on the wall ahead; how far it goes sideways with the rod on, less how far with the rod off and the hub held straight, is the hub turning.");
        of(t);
        if (result.figures().traces().isEmpty()) {
            say("No dot is read yet. Choose \"Wall trace\" on the sheet \"Measure\".");
            return;
        }
        Vehicle v = result.figures().then().job().vehicle();
        double scale = bench.lengthUnit() == LengthUnit.MM ? 1 : LengthUnit.INCH.mm();
        HBox both = new HBox(12);
        for (WallTrace w : result.figures().traces()) {
            ToeDrawing d = new ToeDrawing(new ToeDrawing.Sheet(
                    "Toe-in, " + w.wheel().label() + " wheel",
                    "travel, " + (scale == 1 ? "mm" : "in"),
                    "°",
                    List.of(new ToeDrawing.Line(
                            "planned",
                            planned(
                                    result.figures().then().train(),
                                    w.wheel(),
                                    v,
                                    t.sheet().setup().wall(),
                                    scale),
                            false)),
                    w.points().stream()
                            .map(p -> new ToeDrawing.Point(p.travel() / scale, p.toeIn(), p.sd()))
                            .toList(),
                    -v.normalDroop() / scale,
                    v.normalBump() / scale));
            HBox.setHgrow(d, Priority.ALWAYS);
            both.getChildren().add(d);
        }
        add(both);
        for (WallTrace w : result.figures().traces()) {
            double allowed = bench.job().log().tolerances().of(Tolerances.Kind.TOE_DEG);
            double target = result.figures().then().job().targets().bumpSteerDeg();
            Optional<Double> normal = w.peakToPeak(-v.normalDroop(), v.normalBump());
            say(
                    "The " + w.wheel().label() + " wheel: "
                            + normal.map(
                                            _ ->
                                                    "{0} of toe change over the normal travel (shaded), where no more than {1} is wanted; ")
                                    .orElse("")
                            + "{2} over all that was read; at most {3} from the plan"
                            + (w.worstOff() > allowed ? ", where {4} is allowed: not as planned." : "."),
                    Quantity.angle(normal.orElse(0.0)),
                    Quantity.angle(target),
                    Quantity.angle(w.peakToPeak(-1e4, 1e4).orElse(0.0)),
                    Quantity.angle(w.worstOff()),
                    Quantity.angle(allowed));
            if (!w.hubTraced()) {
                hint("The hub was not traced with the rod off: the plan's own sideways movement is taken out instead.");
            }
        }
        table(
                TrialTables.wall(desk.vehicle().name(), result.figures()),
                "wheel",
                "travel_mm",
                "toe_in_deg",
                "spread_deg",
                "planned_deg",
                "off_deg");
        double wall = t.sheet().setup().wall();
        double off = bench.lengthUnit() == LengthUnit.MM ? 1 : LengthUnit.INCH.mm() / 16;
        hint(Phrase.of(
                        "The wall stands {0} ahead of the wheel centres: a dot {1} off there is {2}. What caster and camber change between the beam's heading and the wheel's is taken from the plan.",
                        Quantity.length(wall), Quantity.length(off), Quantity.angle(Math.toDegrees(off / wall)))
                .text(bench.lengthUnit()));
    }

    private static List<double[]> planned(SteeringTrain train, Side wheel, Vehicle v, double wall, double scale) {
        List<double[]> all = new ArrayList<>();
        for (double z : Grid.spread(v.droop(), v.bump(), STEPS_EACH_WAY)) {
            Laser.dot(train, wheel, z, true, wall)
                    .ifPresent(d -> all.add(new double[] {z / scale, -wheel.sign() * d.steerDeg()}));
        }
        return all;
    }
}

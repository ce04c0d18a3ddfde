package mildtilt.app.column;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.forms.FactsPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.Workbench;
import mildtilt.column.Column;
import mildtilt.columnrange.AxleFollowing;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.ColumnRange.JointRange;
import mildtilt.columnrange.ColumnRange.ShaftRange;
import mildtilt.columnrange.FrontPush;
import mildtilt.columnrange.GearTilt;
import mildtilt.job.Job;
import mildtilt.rules.Rules;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * The column over all the wheel can be set and the frame moves, a rack turned in its clamps, and what a frontal push
 * does.
 */
public final class RangePane extends FactsPane {

    private final LatestTask<Optional<GearTilt>> tilts = new LatestTask<>(
            _ -> showAgain(),
            problem -> bench.refuse(
                    "How far the rack may be turned in its clamps could not be worked out: " + problem.getMessage()));

    public RangePane(Workbench bench) {
        super(bench, "range-pane");
        refresh();
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        Job job = worked.now().job();
        Column c = job.column().orElseThrow();
        ColumnFigures f = worked.now().column().orElseThrow();
        joints(c, f);
        shafts(c, f);
        f.following().ifPresent(this::following);
        // Too long for the interface thread; while this pane is open it comes with the analysis.
        if (f.tilt().isDone()) {
            f.tilt().get().ifPresent(this::tilt);
        } else {
            tilts.ask(f.tilt()::get);
        }
        push(c, f.push(), job.rules());
    }

    private void joints(Column c, ColumnFigures f) {
        head("Joint angles over " + range(f));
        List<List<String>> rows = new ArrayList<>();
        for (int j = 0; j < c.joints().size(); j++) {
            JointRange r = f.range().joints().get(j);
            rows.add(List.of(
                    c.joints().get(j).name() + (r.at().isEmpty() ? "" : ", " + r.at()),
                    text(Quantity.angle(f.jointAnglesDeg().get(j))),
                    text(Quantity.angle(r.worstDeg())),
                    text(Quantity.angle(f.limitsDeg().get(j)))));
        }
        table(List.of("", "now", "worst", "limit"), rows);
    }

    private void shafts(Column c, ColumnFigures f) {
        head("Lengths over " + range(f));
        List<List<String>> rows = new ArrayList<>();
        for (int s = 0; s < c.shafts().size(); s++) {
            ShaftRange r = f.range().shafts().get(s);
            rows.add(List.of(
                    c.shafts().get(s).name(), text(Quantity.length(r.shortest())), text(Quantity.length(r.longest()))));
        }
        table(List.of("between centres", "shortest", "longest"), rows);
        for (int s = 0; s < c.shafts().size(); s++) {
            ShaftRange r = f.range().shafts().get(s);
            if (r.leastOverlap().isPresent()) {
                say(
                        Phrase.name(c.shafts().get(s).name())
                                + " slides: overlap {0} as planned, {1} at the least; {2} free to close at the shortest.",
                        Quantity.length(c.shafts().get(s).slide().orElseThrow().overlap()),
                        Quantity.length(r.leastOverlap().get()),
                        Quantity.length(r.freeStroke().orElseThrow()));
            }
        }
        hint(
                "Tilt, reach and how far the frame moves are sizes of the steering wheel: press it in the strip above to see them.");
    }

    private static String range(ColumnFigures f) {
        return f.following().isPresent() ? "adjustment and travel" : "the adjustment";
    }

    private void following(AxleFollowing f) {
        head("The axle's travel");
        say(
                "The gear is on the axle. With the steering wheel held, the travel turns the gear's input by up to {0}.",
                Quantity.angle(f.inputTurnDeg()));
        f.worstRipplePct().ifPresent(v -> say("Ripple is {0} at the worst.", Quantity.percent(v)));
    }

    private void tilt(GearTilt tilt) {
        head("Rack turned in its clamps");
        add(new TiltDial(tilt));
        String suits = tilt.suits().stream()
                .map(s -> text(Quantity.angle(s.fromDeg())) + " to " + text(Quantity.angle(s.toDeg())))
                .collect(Collectors.joining(", "));
        say(
                suits.isEmpty()
                        ? "No angle within " + GearTilt.FARTHEST + "° either way keeps every joint inside its limit."
                        : "Every joint stays inside its limit from " + suits + ".");
        hint(
                "Seen from the vehicle's left; + tips the top of the input forward. Input and last joint go along; the tie rods stay where they are.");
        tilt.suits().stream()
                .max((a, b) -> Double.compare(a.spareDeg(), b.spareDeg()))
                .filter(s -> Math.abs(s.bestDeg()) > 0.5)
                .ifPresent(s -> change(
                        "Turn the rack " + text(Quantity.angle(s.bestDeg())) + ": most to spare, "
                                + text(Quantity.angle(s.spareDeg())),
                        "turn-rack",
                        "Turn the rack in its clamps by " + text(Quantity.angle(s.bestDeg())),
                        j -> GearTilt.tilted(j, s.bestDeg())));
        MeasureField by = new MeasureField(
                "0°",
                LengthText::parseDegrees,
                v -> bench.edit(
                        "Turn the rack in its clamps by " + LengthText.trimmed(v, 2) + "°", j -> GearTilt.tilted(j, v)),
                bench::refuse);
        by.setId("turn-rack-by");
        by.setAccessibleText("Turn the rack by");
        Label name = new Label("Turn it by");
        name.setLabelFor(by);
        HBox row = new HBox(8, name, by);
        row.setAlignment(Pos.CENTER_LEFT);
        add(row);
    }

    private void push(Column c, FrontPush p, Rules rules) {
        head("A push from the front (advice)");
        say(
                "Free stroke before the wheel is reached: {0}. Kink on the way: {1} in all. Joints are up to {2} off a straight line from gear to driver.",
                Quantity.length(p.stroke()), Quantity.angle(p.kinkDeg()), Quantity.length(p.standsOff()));
        for (int j = 0; j < c.joints().size(); j++) {
            say(
                    Phrase.name(c.joints().get(j).name()) + ": kink {0}"
                            + (p.inCabin().contains(j)
                                    ? ", inside the cabin"
                                    : c.installation().bulkhead().isPresent() ? ", ahead of the bulkhead" : ""),
                    Quantity.angle(Math.toDegrees(c.axis(j).angleTo(c.axis(j + 1)))));
        }
        if (p.stroke() == 0) {
            say("There is no collapsing or sliding part.");
        }
        Optional<Double> kink = rules.collapse().kinkDeg();
        say("The rule set \"" + rules.name() + "\" asks for "
                + (rules.collapse().stroke() == 0
                        ? "no free stroke."
                        : text(Quantity.length(rules.collapse().stroke())) + " of free stroke"
                                + kink.map(k -> ", or " + text(Quantity.angle(k)) + " of kink instead.")
                                        .orElse(".")));
        hint(
                "Two schools: a column that shortens keeps the wheel where it is but needs a part made for it; a kinked one folds aside with plain parts, and only as "
                        + "far as its bearings let it. Joints inside the cabin stay dry and in sight, but near feet; outside they want boots and a sealed bearing in the bulkhead. "
                        + "Geometry only: what a blow really does is not worked out here.");
    }
}

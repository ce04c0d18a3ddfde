package mildtilt.app.column;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import mildtilt.app.forms.FactsPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.bearings.BearingPlace;
import mildtilt.bearings.CoupleLoad;
import mildtilt.bearings.FixedAxes;
import mildtilt.bearings.ForcedBearing;
import mildtilt.bearings.OutOfLine;
import mildtilt.bearings.Span;
import mildtilt.column.Column;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.rules.Rules;
import mildtilt.shaftload.ShaftLoad;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/**
 * What holds the shafts and what they carry: floating shafts, places for bearings, spans, bearings out of line,
 * strength.
 */
public final class SupportsPane extends FactsPane {

    public SupportsPane(Workbench bench) {
        super(bench, "supports-pane");
        refresh();
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        Column c = worked.now().job().column().orElseThrow();
        ColumnFigures f = worked.now().column().orElseThrow();
        Rules rules = worked.now().job().rules();
        held(c, f);
        spans(c, f, rules);
        f.outOfLine().forEach(o -> outOfLine(c, o));
        f.forced().forEach(o -> forced(c, o));
        couples(c, f.couples());
        f.axes().ifPresent(this::axes);
        f.load()
                .ifPresentOrElse(
                        l -> strength(c, l, rules),
                        () -> say("A joint is locked, so the load on the shafts is not known."));
    }

    private void held(Column c, ColumnFigures f) {
        head("Held or floating");
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < c.shafts().size(); i++) {
            int places = c.supportsOn(i).size();
            rows.add(List.of(
                    c.shafts().get(i).name(),
                    i == c.joints().size() ? places + " and the gear's" : String.valueOf(places),
                    f.supports().held().get(i) ? "held" : "floats"));
        }
        table(List.of("", "own bearings", ""), rows);
        if (f.supports().missing() > 0) {
            say(f.supports().missing() + (f.supports().missing() == 1 ? " bearing is" : " bearings are")
                    + " still needed. Where one does most:");
            List<BearingPlace> places = BearingPlace.of(c);
            for (int i = 0; i < Math.min(3, places.size()); i++) {
                BearingPlace p = places.get(i);
                change(
                        c.shafts().get(p.shaft()).name() + ", " + text(Quantity.length(p.toJoint())) + " from "
                                + c.joints().get(p.joint()).name() + ": the joint moves "
                                + text(Quantity.times(p.gain())) + " the bearing's play",
                        "put-bearing-" + i,
                        "Put a support bearing on " + c.shafts().get(p.shaft()).name(),
                        j -> j.editColumn(p::putOn));
            }
            if (places.isEmpty() && f.supports().held().getFirst()) {
                hint("No shaft has room for a bearing near a joint: move the joints apart first.");
            }
        }
    }

    private void spans(Column c, ColumnFigures f, Rules rules) {
        head("Longest stretch that hangs free");
        List<List<String>> rows = new ArrayList<>();
        for (Span s : f.spans()) {
            rows.add(List.of(
                    c.shafts().get(s.shaft()).name(),
                    text(Quantity.length(s.length())),
                    text(Quantity.length(Span.longestFor(c.shafts().get(s.shaft()), rules.spanHz()))),
                    Unit.HERTZ.format(s.hertz(), bench.lengthUnit())));
        }
        table(List.of("", "is", "at most", "shakes at"), rows);
    }

    private void outOfLine(Column c, OutOfLine o) {
        say(
                Phrase.name(c.bearings().get(o.bearing()).name()) + " is {0} out of line; the shaft leans {1} in it"
                        + (o.sideLoad() > 0 ? " and presses on it with {2}." : "."),
                Quantity.length(o.off()),
                Quantity.angle(o.tiltDeg()),
                Quantity.force(o.sideLoad()));
    }

    private void forced(Column c, ForcedBearing f) {
        say(
                Phrase.name(c.bearings().get(f.bearing()).name())
                        + " is carried {0} off its shaft by the frame's movement and the wheel's tilt; the shaft leans {1} in it"
                        + (f.sideLoad() > 0 ? " and presses on it with {2}." : "."),
                Quantity.length(f.off()),
                Quantity.angle(f.tiltDeg()),
                Quantity.force(f.sideLoad()));
    }

    /** What bearings carry because joints stand at an angle. */
    private void couples(Column c, List<CoupleLoad> all) {
        if (!all.isEmpty()) {
            head("Bearings under a heavy pull, by the joints' angles");
            table(
                    List.of("", "presses with"),
                    all.stream()
                            .map(l -> List.of(l.label(c), text(Quantity.force(l.newtons()))))
                            .toList());
        }
    }

    private void axes(FixedAxes a) {
        head("Measured axes");
        a.firstOff().ifPresent(v -> say("First joint off the column's axis: {0}", Quantity.length(v)));
        a.lastOff().ifPresent(v -> say("Last joint off the gear's axis: {0}", Quantity.length(v)));
        a.crossing()
                .ifPresent(x -> say(
                        "The two axes miss each other by {0}, at {1} to each other.",
                        Quantity.length(x.miss()), Quantity.angle(x.angleDeg())));
    }

    private void strength(Column c, ShaftLoad.All load, Rules rules) {
        head("Under a heavy pull");
        say(
                "{0} at the rim is {1} at the wheel.",
                Quantity.force(rules.heavyPull()), Quantity.torque(load.wheelTorque()));
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < load.shafts().size(); i++) {
            ShaftLoad s = load.shafts().get(i);
            rows.add(List.of(
                    c.shafts().get(i).name(),
                    text(Quantity.torque(s.torque())),
                    text(Quantity.torque(s.bending())),
                    text(Quantity.times(s.margin()))));
        }
        table(List.of("", "torque", "bending", "margin"), rows);
        int weak = IntStream.range(0, load.shafts().size())
                .boxed()
                .min(Comparator.comparingDouble(i -> load.shafts().get(i).margin()))
                .orElseThrow();
        say(
                "Nearest to yielding: " + Phrase.name(c.shafts().get(weak).name()) + " "
                        + load.shafts().get(weak).weakest() + ", {0}.",
                Quantity.stress(load.shafts().get(weak).stressMpa()));
        for (int j = 0; j < load.joints().size(); j++) {
            ShaftLoad.JointLoad l = load.joints().get(j);
            say(Phrase.name(c.joints().get(j).name()) + ": up to " + text(Quantity.torque(l.torque())) + ", "
                    + l.margin().map(m -> "margin " + text(Quantity.times(m))).orElse("what it takes is not known"));
        }
        say(
                "All shafts together wind up {0}; the rule set takes {1}.",
                Quantity.angle(load.twistDeg()), Quantity.angle(rules.windUpDeg()));
        hint("At the worst place of a turn, joint angles included; the least margin wanted is "
                + text(Quantity.times(rules.strengthMargin())) + ". Welds, threads and worn parts have less.");
    }
}

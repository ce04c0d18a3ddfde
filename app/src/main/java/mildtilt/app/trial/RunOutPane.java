package mildtilt.app.trial;

import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Trial;
import mildtilt.trials.compare.RunOutFit;
import mildtilt.trials.compare.TrialTables;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Run-out at stations along each shaft, bent and eccentric told apart, against what the bearings tolerate. */
final class RunOutPane extends TrialPane {

    RunOutPane(Workbench bench, TrialDesk desk) {
        super(bench, desk, "trial-run-out-sheet");
        refresh();
    }

    @Override
    protected void show(Trial t, TrialDesk.TrialResult result) {
        title(
                "Run-out",
                "At each station the once-a-turn part of the dial is how far the shaft's middle stands off the axis it turns about. A straight shaft's middles lie on one straight line, however it is held; a bent one's do not.");
        of(t);
        if (result.figures().runOuts().isEmpty()) {
            say("No dial is read yet. Choose \"Run-out\" on the sheet \"Measure\".");
        }
        for (RunOutFit r : result.figures().runOuts()) {
            String shaft = result.figures().names().apply(r.shaft());
            head(shaft);
            say(Phrase.name(shaft) + ": " + r.verdict().label() + ".");
            r.bend()
                    .ifPresent(b -> say(
                            "Bent by {0} at {1} from its wheel end, standing out {2} there, high at {3} from the mark. Press it there, or make another; heat and a weld do not straighten a steering shaft.",
                            Quantity.angle(b.deg()),
                            Quantity.length(b.along()),
                            Quantity.fine(b.deep()),
                            Quantity.angle(b.highDeg())));
            for (RunOutFit.AtBearing b : r.bearings()) {
                String sentence = b.bearing()
                        + ": the dial would read {0} there, where {1} is the most; the shaft swings {2} in it each turn, and it stands {3}.";
                Quantity[] figures = {
                    Quantity.fine(b.reading()),
                    Quantity.fine(b.most()),
                    Quantity.angle(b.wobbleDeg()),
                    Quantity.angle(b.standsDeg())
                };
                if (b.tooMuch()) {
                    add(Wrap.text("! " + Phrase.of(sentence, figures).text(bench.lengthUnit()), "brings"));
                } else {
                    say(sentence, figures);
                }
            }
            if (r.stations().size() > 1) {
                add(new RunOutDrawing(r, bench.lengthUnit()));
            }
        }
        if (!result.figures().runOuts().isEmpty()) {
            table(
                    TrialTables.runOut(desk.vehicle().name(), result.figures()),
                    "shaft",
                    "along_mm",
                    "dial_mm",
                    "off_axis_mm",
                    "high_at_deg",
                    "out_of_round_mm");
        }
    }
}

package mildtilt.app.trial;

import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Trial;
import mildtilt.trials.compare.RunOutFit;
import mildtilt.trials.compare.TrialTables;
import mildtilt.units.Phrase;

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
            r.bend().ifPresent(b -> say(b.text().text(bench.lengthUnit())));
            for (RunOutFit.AtBearing b : r.bearings()) {
                String text = b.text().text(bench.lengthUnit());
                if (b.tooMuch()) {
                    add(Wrap.text("! " + text, "brings"));
                } else {
                    say(text);
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

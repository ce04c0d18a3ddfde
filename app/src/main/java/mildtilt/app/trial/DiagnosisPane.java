package mildtilt.app.trial;

import java.util.Optional;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.trials.diagnose.Cause;
import mildtilt.trials.diagnose.CauseTable;
import mildtilt.trials.diagnose.Correction;
import mildtilt.trials.diagnose.Diagnosis;
import mildtilt.units.Quantity;

/** Which causes fit the readings, how surely, and what to do at the bench. */
final class DiagnosisPane extends TrialPane {

    DiagnosisPane(Workbench bench, TrialDesk desk) {
        super(bench, desk, "trial-diagnosis");
        refresh();
    }

    @Override
    protected void show(Trial t, TrialDesk.TrialResult result) {
        title(
                "Diagnosis",
                "Every known cause, alone and in pairs, is fitted to the readings: gear high, low, to a side, forward or tilted; either arm or both, up, out or long; the arms swapped. It is assumed that the rods are set again afterwards.");
        of(t);
        Optional<Diagnosis> cause = result.cause();
        if (cause.isEmpty()) {
            say(
                    "There are too few readings that say where gear and arms are. A wall trace of both wheels and turn plates to both sides say most; rod lengths help to tell left from right.");
            return;
        }
        Diagnosis d = cause.get();
        Job plan = Job.of("", t.plan());
        Cause best = d.best();
        say("From " + d.basis() + ":");
        add(Wrap.text(
                best.asPlanned()
                        ? "These readings fit the plan as it is."
                        : "These readings fit " + best.describe(plan).text(bench.lengthUnit()) + ".",
                "trial-verdict"));
        say(
                "Confidence {0}" + (best.asPlanned() ? "" : ", with all that say the same and more")
                        + ". What is left unexplained is {1} the ± of the readings"
                        + (d.unexplained() ? "." : ": no more than chance."),
                Quantity.percent(100 * d.confidence()),
                Quantity.times(best.left()));
        if (d.unexplained()) {
            add(Wrap.text(
                    "! No known cause explains these readings. Look for what is not among them: something bent, loose or bound, the wrong side up, a dot taken on the wrong mark. Measure again before anything is cut.",
                    "brings"));
        }
        d.asLikely().stream()
                .limit(3)
                .forEach(c -> say(
                        "The readings can't tell that from " + c.describe(plan).text(bench.lengthUnit()) + " ("
                                + Quantity.percent(100 * c.confidence()).text(bench.lengthUnit()) + ")."));
        if (!best.asPlanned()) {
            head("At the bench");
            int n = 0;
            for (var p : Correction.of(best, result.figures().then().job())) {
                say(++n + ". " + p.text(bench.lengthUnit()));
            }
            row(small(
                    "Keep it as built: change the plan to match",
                    "trial-take-built",
                    () -> bench.edit(
                            "Plan changed to what was built",
                            "The readings of " + t.sheet().name() + " fit "
                                    + best.describe(plan).text(bench.lengthUnit()) + ".",
                            best::onto)));
            hint("That changes the plan, and with it every figure, the cut list and the findings. Undo takes it back.");
        }
        head("Best fits");
        table(CauseTable.of(t.sheet().name(), d, plan), "cause", "confidence_pct", "left_times_spread");
    }
}

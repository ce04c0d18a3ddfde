package mildtilt.app.clearance;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.FactsPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.LargestTyre;
import mildtilt.clearance.LockKept;
import mildtilt.clearance.Notch;
import mildtilt.clearance.PairGap;
import mildtilt.clearance.bodies.BodyPair;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * The smallest gaps, each of which moves the steering there when pressed; what the lock keeps, notches, the largest
 * tyre.
 */
public final class GapsPane extends FactsPane {

    private static final int SHOWN = 24;

    public GapsPane(Workbench bench) {
        super(bench, "gaps-pane");
        refresh();
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return worked.now().clearance().isEmpty()
                ? Optional.of("No gap could be worked out. Findings says why.")
                : Optional.empty();
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        ClearanceFigures f = worked.now().clearance().orElseThrow();
        head("Smallest gaps over the whole range");
        hint(f.looked() + " pairs checked in " + f.positions()
                + " positions of steering, travel and the wheel's adjustment. Press one to go there.");
        for (int i = 0; i < Math.min(SHOWN, f.pairs().size()); i++) {
            pair(f.pairs().get(i), i);
        }
        if (f.pairs().isEmpty()) {
            say("No gap comes within {0} of the least it needs.", Quantity.length(ClearanceFigures.NEAR));
        } else if (f.pairs().size() > SHOWN) {
            hint((f.pairs().size() - SHOWN) + " more leave still more room; gaps.csv has them all.");
        }
        f.lock().ifPresent(l -> lock(l, worked.now().job()));
        notches(f.notches());
        tyre(f);
        taken(f.assumed());
    }

    private void pair(PairGap p, int index) {
        String state = p.touches() ? "touches" : p.margin() < 0 ? "short" : "OK";
        String where = p.steered()
                ? p.where().words()
                : p.where().column().isEmpty() ? "always" : p.where().column();
        button(
                        p.label() + "\n" + text(Quantity.length(p.gap())) + " of " + text(Quantity.length(p.need()))
                                + " needed, " + where + ": " + state,
                        "gap-" + index,
                        () -> {
                            bench.selectionProperty().set(Optional.of(p.firstElement()));
                            bench.lookAt(p);
                        })
                .getStyleClass()
                .addAll("gap-row", "gap-" + state);
    }

    private void lock(LockKept l, Job job) {
        head("Steering range that the gaps leave");
        List<List<String>> rows = new ArrayList<>();
        for (double travel :
                new double[] {job.vehicle().bump(), 0, -job.vehicle().droop()}) {
            LockKept.Row r = l.at(travel);
            rows.add(List.of(
                    travel > 0 ? "full bump" : travel < 0 ? "full droop" : "ride height",
                    kept(r.left()),
                    kept(r.right())));
        }
        table(List.of("inner wheel, kept of lock", "left", "right"), rows);
        for (Side way : Side.values()) {
            l.stop(way)
                    .ifPresent(w -> say(
                            "Turning " + way.label()
                                    + ", the stop must act at {0} of the inner wheel ({1} of the outer) to keep the gap: "
                                    + Phrase.name(w.pair().map(BodyPair::label).orElse("")) + ".",
                            Quantity.angle(w.keptDeg()),
                            Quantity.angle(w.outerDeg())));
        }
        l.freeBumpAtLock()
                .ifPresent(z -> say(
                        "With full lock on, {0} of bump is free of the whole {1}.",
                        Quantity.length(z), Quantity.length(job.vehicle().bump())));
        l.freeDroopAtLock()
                .ifPresent(z -> say(
                        "With full lock on, {0} of droop is free of the whole {1}.",
                        Quantity.length(z), Quantity.length(job.vehicle().droop())));
        if (l.stop(Side.LEFT).isEmpty() && l.stop(Side.RIGHT).isEmpty()) {
            hint("No gap needs an earlier stop.");
        }
    }

    private String kept(LockKept.KeptLock w) {
        return text(Quantity.angle(w.keptDeg())) + (w.costs() ? " of " + text(Quantity.angle(w.lockDeg())) : "");
    }

    private void notches(List<Notch> notches) {
        if (notches.isEmpty()) {
            return;
        }
        head("Notches");
        for (Notch n : notches) {
            say(
                    Phrase.name(n.rail().name()) + ", " + n.face().label() + ", for " + Phrase.name(n.by().name())
                            + ": {0} deep, {1} along, {2} across. "
                            + (n.through()
                                    ? "That is more than half of it: a notch will not do, lead the rail or the column elsewhere."
                                    : "Boxing plate {3} long."),
                    Quantity.length(n.depth()),
                    Quantity.length(n.width()),
                    Quantity.length(n.height()),
                    Quantity.length(n.boxing()));
        }
        hint(
                "Measured with the needed gap round what passes. A notched rail is weaker: box it in, and keep notches away from where the suspension and the gear are fixed.");
    }

    /** Worked out beside: only this pane asks for it. */
    private void tyre(ClearanceFigures f) {
        head("Largest tyre");
        VBox place = new VBox(6);
        add(place);
        CompletableFuture.supplyAsync(f::tyre)
                .whenComplete((tyre, problem) -> Platform.runLater(() -> place.getChildren()
                        .setAll(
                                problem == null
                                        ? description(tyre)
                                        : List.of(Wrap.text(
                                                "The largest tyre could not be worked out: " + problem.getMessage(),
                                                "hint")))));
    }

    private List<Label> description(Optional<LargestTyre> tyre) {
        return tyre.map(t -> List.of(
                        Wrap.text(
                                Phrase.of(
                                                "At this width up to {0} across" + ends(t.diameterBy())
                                                        + "; at this diameter up to {1} wide" + ends(t.widthBy()) + ".",
                                                Quantity.length(t.diameter()),
                                                Quantity.length(t.width()))
                                        .text(bench.lengthUnit()),
                                "step"),
                        Wrap.text(
                                "With wheel spacers: "
                                        + t.spaced().stream()
                                                .map(s -> Phrase.of(
                                                                "{0} thick, up to {1} across or {2} wide",
                                                                Quantity.length(s.spacer()),
                                                                Quantity.length(s.diameter()),
                                                                Quantity.length(s.width()))
                                                        .text(bench.lengthUnit()))
                                                .collect(Collectors.joining("; "))
                                        + ". Each makes the scrub radius larger by its thickness.",
                                "step"),
                        Wrap.text(
                                "The wheel centre stays where it is. Makers' widths are nominal: measure the tyre on its rim.",
                                "hint")))
                .orElseGet(() -> List.of(Wrap.text("Nothing is close enough to the tyres to limit them.", "hint")));
    }

    private static String ends(String by) {
        return by.isEmpty() ? " at least" : ", ended by " + by;
    }

    private void taken(List<Phrase> assumed) {
        if (!assumed.isEmpty()) {
            head("Sizes assumed, not measured");
            say(assumed.stream().map(a -> a.text(bench.lengthUnit())).collect(Collectors.joining("; ")) + ".");
            hint("Type them in the fields above the list of obstacles, with nothing selected.");
        }
    }
}

package mildtilt.app.column;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mildtilt.app.forms.FactsPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.clocking.BestClocking;
import mildtilt.clocking.EvenFeel;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Column;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.ColumnFigures.Turning;
import mildtilt.units.LengthText;
import mildtilt.units.Quantity;

/**
 * How evenly the column turns, each joint's share in it, how it sits about straight ahead, and the best the forks can
 * be set to.
 */
public final class ClockingPane extends FactsPane {

    public ClockingPane(Workbench bench) {
        super(bench, "phasing-pane");
        refresh();
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        Column c = worked.now().job().column().orElseThrow();
        ColumnFigures figures = worked.now().column().orElseThrow();
        if (figures.turning().isEmpty()) {
            say("A joint is at so large an angle that the column can't turn at all. Findings says which.");
            return;
        }
        Turning t = figures.turning().get();
        double wanted = Math.min(
                worked.now().job().targets().ripplePct(),
                worked.now().job().rules().ripplePct());
        say(
                "Ripple {0}, wanted {1} at most. The gear is ahead of or behind the steering wheel by up to {2} in all.",
                Quantity.percent(t.transfer().ripplePct()),
                Quantity.percent(wanted),
                Quantity.angle(t.transfer().positionErrorDeg()));
        shares(c, figures, t);
        best(c, t);
        feel(t.feel());
    }

    private void shares(Column c, ColumnFigures figures, Turning t) {
        List<List<String>> rows = new ArrayList<>();
        for (int j = 0; j < c.joints().size(); j++) {
            rows.add(List.of(
                    c.joints().get(j).name(),
                    text(Quantity.angle(figures.jointAnglesDeg().get(j))),
                    text(Quantity.percent(t.shares().get(j).ownPct())),
                    text(Quantity.percent(t.shares().get(j).withoutPct()))));
        }
        if (!rows.isEmpty()) {
            head("Each joint's share of the ripple");
            table(List.of("", "angle", "by itself", "without it"), rows);
        }
    }

    private void best(Column c, Turning t) {
        BestClocking best = t.best();
        if (best.clockingDeg().isEmpty()) {
            hint("Clocking needs a shaft between two joints; this column has none.");
            return;
        }
        head("Best clocking the ends allow");
        for (int i = 0; i < best.clockingDeg().size(); i++) {
            int shaft = i + 1;
            ForkMark mark = ForkMark.of(c, shaft, best.clockingDeg().get(i));
            say(c.shafts().get(shaft).name() + " (" + c.setting(shaft).label() + "): " + marked(mark));
        }
        hint("Gear-end fork measured from the wheel-end fork, seen from the wheel end.");
        say(
                "Leaves a ripple of {0}"
                        + (best.proven()
                                ? ", and no other setting leaves less."
                                : "; others too many to try all may leave a little less."),
                Quantity.percent(best.ripplePct()));
        boolean there = t.transfer().ripplePct() - best.ripplePct() < 1e-6;
        button(
                        there ? "Applied" : "Apply to all forks",
                        "set-all-forks",
                        () -> bench.edit(
                                "Set all forks to the best clocking",
                                j -> j.editColumn(k -> {
                                    Column changed = k;
                                    for (int i = 0; i < best.clockingDeg().size(); i++) {
                                        double deg = best.clockingDeg().get(i);
                                        changed = changed.editShaft(i + 1, s -> s.withClockingDeg(deg));
                                    }
                                    return changed;
                                })))
                .setDisable(there);
    }

    private String marked(ForkMark m) {
        String teeth = m.teethText().isEmpty() ? "" : "; " + m.teethText();
        return ForkMark.isInLine(m.deg())
                ? m.way() + teeth
                : text(Quantity.angle(Math.abs(m.deg()))) + " " + m.way() + ", " + text(Quantity.fine(m.arc()))
                        + " of arc on " + text(Quantity.length(m.diameter())) + teeth;
    }

    private void feel(EvenFeel feel) {
        head("About straight ahead");
        String sides = feel.lopsided()
                ? "quicker to the " + (feel.leftRightPct() > 0 ? "left" : "right") + " by "
                        + text(Quantity.percent(Math.abs(feel.leftRightPct())))
                : "left and right alike";
        say("The gear turns " + LengthText.decimal(feel.ratioAhead(), 3) + " for 1 at the wheel: "
                + feel.middle().label() + ", " + sides + ".");
        if (feel.choices().isEmpty()) {
            hint("Too even for anyone to feel where it lies.");
            return;
        }
        hint(
                "Turning the whole train in hub and gear, with wheel and gear left in place, moves the ripple without changing its size:");
        for (EvenFeel.Choice choice : feel.choices()) {
            boolean there = Math.abs(choice.turnDeg()) < 0.05;
            String way = there
                    ? "as it is now"
                    : text(Quantity.angle(Math.abs(choice.turnDeg())))
                            + (choice.turnDeg() > 0 ? " clockwise" : " anticlockwise");
            String rest = Math.abs(choice.leftRightPct()) > 0.5
                    ? ", " + text(Quantity.percent(Math.abs(choice.leftRightPct())))
                            + " apart left to right as the hub's teeth fall"
                    : "";
            String label = Character.toUpperCase(choice.middle().label().charAt(0))
                    + choice.middle().label().substring(1);
            button(
                            label + ": " + way + rest,
                            "feel-" + choice.middle().name().toLowerCase(Locale.ROOT),
                            () -> bench.edit(
                                    "Turn the whole train: " + choice.middle().label(),
                                    j -> j.editColumn(k -> k.withFirstForkDeg(choice.firstForkDeg()))))
                    .setDisable(there);
        }
        Optional<EvenFeel.Middle> now = Optional.of(feel.middle());
        hint(
                now.get() == EvenFeel.Middle.QUICK
                        ? "Quicker in the middle is lively on the straight and slows toward lock."
                        : "Slower in the middle is calm on the straight and quickens toward lock.");
    }
}

package mildtilt.app.clearance;

import java.util.List;
import java.util.Optional;
import mildtilt.app.forms.FactsPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Element;
import mildtilt.steer.position.SteeringInput;
import mildtilt.travel.BoundUse;
import mildtilt.travel.HeldTravel;
import mildtilt.travel.TravelEnd;
import mildtilt.travel.TravelFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * How far the wheels may travel at both locks and straight ahead, and what ends it; how much of every length is used.
 */
public final class TravelPane extends FactsPane {

    public TravelPane(Workbench bench) {
        super(bench, "travel-pane");
        refresh();
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return worked.now().travel().isEmpty()
                ? Optional.of("No travel could be worked out. Findings says why.")
                : Optional.empty();
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        TravelFigures f = worked.now().travel().orElseThrow();
        head("Cycled at three locks");
        if (f.rows().isEmpty()) {
            hint("The wheels of this axle do not travel.");
        } else {
            hint("Usable travel from ride height, and what ends it. Press one to go there. In the dock the "
                    + "curve Usable travel shows "
                    + "it at every position of the steering, and the map where a part is at its end.");
            List<TravelFigures.Row> three = f.threeLocks();
            lock("Right lock", "right", three.get(0));
            lock("Straight ahead", "ahead", three.get(1));
            lock("Left lock", "left", three.get(2));
            held(f.held());
        }
        uses(f.uses());
    }

    private void lock(String name, String id, TravelFigures.Row row) {
        end(name + ", bump", id + "-bump", row.steeringWheelDeg(), row.bump(), 1);
        end(name + ", droop", id + "-droop", row.steeringWheelDeg(), row.droop(), -1);
    }

    private void end(String name, String id, double steeringWheelDeg, TravelEnd e, int way) {
        String by = e.cause().map(c -> Phrase.name(c.what())).orElse("the travel that is stated");
        String state = e.cause().isEmpty() || e.cause().get().meant() ? "OK" : "short";
        double z = way * e.mm();
        button(
                        name + ": " + text(Quantity.length(e.mm())) + "\n"
                                + Phrase.of(by).text(bench.lengthUnit()),
                        "travel-" + id,
                        () -> {
                            e.cause().ifPresent(c -> bench.selectionProperty().set(Optional.of(c.element())));
                            bench.steerTo(new SteeringInput(
                                    steeringWheelDeg, z, bench.wheelTravel().rightWith(z)));
                        })
                .getStyleClass()
                .addAll("gap-row", "gap-" + state);
    }

    private void held(HeldTravel held) {
        held.bumpBy()
                .ifPresent(by -> say(
                        Phrase.name(by) + " ends bump at {0}. All else is judged up to there.",
                        Quantity.length(held.bump())));
        held.droopBy()
                .ifPresent(by -> say(
                        Phrase.name(by) + " ends droop at {0}. All else is judged down to there.",
                        Quantity.length(held.droop())));
    }

    private void uses(List<BoundUse> uses) {
        head("Lengths and tilts over the whole range");
        if (uses.isEmpty()) {
            hint("No damper, spring, strap, bump stop, driven shaft or hose is given yet. Add them under "
                    + "Obstacles: each is fixed at "
                    + "both ends, and its length follows them.");
            return;
        }
        hint("Press one to go to where it is nearest to its limit.");
        for (int i = 0; i < uses.size(); i++) {
            BoundUse u = uses.get(i);
            boolean past = u.margin() < 0 && !u.bound().endsTravel();
            button(
                            Element.capital(u.bound().name()) + "\n"
                                    + text(u.bound().quantity(u.atRest()))
                                    + " at ride height, " + text(u.bound().quantity(u.farthest())) + " to "
                                    + text(u.bound().quantity(u.nearest())) + "; "
                                    + u.bound().kind().label() + " at "
                                    + text(u.bound().quantity(u.bound().limit())),
                            "bound-" + i,
                            () -> {
                                bench.selectionProperty()
                                        .set(Optional.of(u.bound().element()));
                                bench.steerTo(
                                        new SteeringInput(u.at().steeringWheelDeg(), u.at().left(), u.at().right()));
                            })
                    .getStyleClass()
                    .addAll("gap-row", past ? "gap-short" : "gap-OK");
        }
    }
}

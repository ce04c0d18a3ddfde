package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.column.HandBar;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Driver;
import mildtilt.steer.HandSwing;
import mildtilt.steer.SteerFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Whether hands can follow a handlebar, levers or a tiller to full lock. */
final class HandChecks {

    private static final double STEP = 10;
    private static final double FARTHEST = 300;

    private final Job job;
    private final SteerFigures figures;

    HandChecks(Job job, SteerFigures figures) {
        this.job = job;
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("How far the hands must go", new Element.Wheel(), all -> figures.hands()
                .ifPresent(s -> {
                    swing(s).ifPresent(all::add);
                    reach(s).ifPresent(all::add);
                }));
    }

    private Optional<Finding> swing(HandSwing s) {
        double most = s.bar().swingEachWayDeg();
        if (s.mostDeg() <= most) {
            return Optional.empty();
        }
        String label = s.bar().kind().label();
        return Optional.of(new Finding(
                Fault.HANDS_CAN_NOT_FOLLOW,
                Severity.STOP,
                new Element.Wheel(),
                Phrase.of(
                        "Full lock needs {0} of the " + label
                                + " to the left and {1} to the right; hands follow it to {2}.",
                        Quantity.angle(s.leftDeg()),
                        Quantity.angle(s.rightDeg()),
                        Quantity.angle(most)),
                "What lies beyond can't be steered with both hands on, and in a turn one hand pushes into the body or off "
                        + "the grip. A quicker gear, a longer arm on the column or shorter steering arms bring full lock nearer; "
                        + "each makes it heavier.",
                List.of()));
    }

    private Optional<Finding> reach(HandSwing s) {
        Optional<Driver> driver = job.surroundings().driver();
        if (driver.isEmpty()
                || s.reach().isEmpty()
                || s.reach().get().mm() <= driver.get().arm()) {
            return Optional.empty();
        }
        HandSwing.Reach far = s.reach().get();
        double by = far.mm() - driver.get().arm();
        return Optional.of(new Finding(
                        Fault.HANDS_CAN_NOT_REACH,
                        Severity.STOP,
                        new Element.Wheel(),
                        Phrase.of(
                                "With the " + s.bar().kind().label() + " turned {0} to the "
                                        + (far.turnedDeg() >= 0 ? "left" : "right") + " the "
                                        + far.side().label()
                                        + " hand is {1} short of its grip.",
                                Quantity.angle(Math.abs(far.turnedDeg())),
                                Quantity.length(by)),
                        "The driver would have to lean or let go in the middle of a turn. Grips further back or closer "
                                + "together, a seat further forward, or less swing help.",
                        closer(s, driver.get().arm()))
                .at(far.turnedDeg(), 0, 0));
    }

    /** The smallest changes of the bar that bring every grip within reach. */
    private List<Remedy> closer(HandSwing s, double arm) {
        List<Remedy> all = new ArrayList<>();
        first(s, arm, (b, mm) -> b.withBack(b.back() + mm))
                .ifPresent(
                        mm -> all.add(remedy("Bring the grips {0} further back", mm, b -> b.withBack(b.back() + mm))));
        first(s, arm, (b, mm) -> b.withBack(b.back() - mm))
                .ifPresent(
                        mm -> all.add(remedy("Put the grips {0} further forward", mm, b -> b.withBack(b.back() - mm))));
        first(s, arm, (b, mm) -> b.withApart(b.apart() - mm))
                .ifPresent(mm ->
                        all.add(remedy("Bring the grips {0} closer together", mm, b -> b.withApart(b.apart() - mm))));
        return all;
    }

    private static Remedy remedy(String words, double mm, UnaryOperator<HandBar> edit) {
        return new Remedy(
                Phrase.of(words, Quantity.length(mm)),
                j -> j.editColumn(
                        c -> c.withWheel(c.wheel().withBar(c.wheel().bar().map(edit)))));
    }

    private Optional<Double> first(HandSwing s, double arm, BiFunction<HandBar, Double, HandBar> by) {
        for (double mm = STEP; mm <= FARTHEST; mm += STEP) {
            try {
                if (s.withBar(job, by.apply(s.bar(), mm)).reach().orElseThrow().mm() <= arm) {
                    return Optional.of(mm);
                }
            } catch (ImpossibleGeometryException e) {
                return Optional.empty();
            }
        }
        return Optional.empty();
    }
}

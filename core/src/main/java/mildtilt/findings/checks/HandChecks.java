package mildtilt.findings.checks;

import java.util.List;
import java.util.Optional;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Driver;
import mildtilt.steer.HandSwing;
import mildtilt.steer.SteerFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Whether hands can follow a handlebar, levers or a tiller to full lock. */
final class HandChecks {

    private final Job job;
    private final SteerFigures figures;

    HandChecks(Job job, SteerFigures figures) {
        this.job = job;
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("How far the hands must go", new Element.Wheel(), all -> HandSwing.of(job, figures)
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
                        List.of(new Remedy(
                                Phrase.of("Bring the grips {0} further back", Quantity.length(Math.ceil(by / 5) * 5)),
                                j -> j.editColumn(c -> c.withWheel(c.wheel()
                                        .withBar(c.wheel()
                                                .bar()
                                                .map(b -> b.withBack(b.back() + Math.ceil(by / 5) * 5))))))))
                .at(far.turnedDeg(), 0, 0));
    }
}

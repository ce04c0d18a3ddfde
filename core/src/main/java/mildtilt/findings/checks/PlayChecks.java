package mildtilt.findings.checks;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.RodPlay;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What rods that give along their length let the wheels and the hands do by themselves. */
final class PlayChecks {

    /**
     * Free turn of the steering wheel from which it is called play: some 30 mm at the rim of a usual wheel, degrees.
     */
    private static final double FREE_TURN = 10;

    /** Times that much, and nobody keeps a lane with it. */
    private static final double GRAVE = 3;

    private final Job job;
    private final SteerFigures figures;

    PlayChecks(Job job, SteerFigures figures) {
        this.job = job;
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("What rods that give cost", new Element.TieRods(), all -> figures.play()
                .flatMap(this::finding)
                .ifPresent(all::add));
    }

    private Optional<Finding> finding(RodPlay p) {
        double toe = Math.max(p.leftDeg(), p.rightDeg());
        // Either way from where it is set, a wheel goes half of what it is free.
        boolean wander = toe / 2 > job.rules().geometry().toeDeg();
        if (!wander && p.steeringWheelDeg() <= FREE_TURN) {
            return Optional.empty();
        }
        String rods = p.rods().keySet().stream().sorted().map(Rod::label).collect(Collectors.joining(", "));
        return Optional.of(new Finding(
                Fault.FREE_PLAY,
                p.steeringWheelDeg() > GRAVE * FREE_TURN ? Severity.STOP : Severity.LOOK,
                Element.of(p.rods().keySet().stream().sorted().findFirst().orElseThrow()),
                Phrase.of(
                        "What gives in the rods (" + rods
                                + ") frees the left wheel by {0} and the right one by {1}; the " + held()
                                + " turns {2} before they follow.",
                        Quantity.angle(p.leftDeg()),
                        Quantity.angle(p.rightDeg()),
                        Quantity.angle(p.steeringWheelDeg())),
                "A wheel that is free by so much has no toe that could be set: it wanders, wears its tyre and may begin to shake. "
                        + "Springs in a rod take the blow off the gear and cost just this. Take the slack up, fit solid ends, or put "
                        + "what gives where the arms are longest.",
                List.of()));
    }

    private String held() {
        return job.column().map(c -> c.wheel().label()).orElse("steering wheel");
    }
}

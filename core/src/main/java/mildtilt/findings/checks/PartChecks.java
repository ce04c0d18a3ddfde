package mildtilt.findings.checks;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.build.Piece;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;
import mildtilt.shop.PartLoad;
import mildtilt.shop.PartLoad.Kind;
import mildtilt.shop.PartLoad.Load;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.RodLoad;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Arms, rod ends, studs, threads and rods that yield: parked, at a kerb or under a heavy pull. */
final class PartChecks {

    private static final double ROUND_UP = 1.02;

    private final Job job;
    private final List<PartLoad> parts;
    private final Optional<SteerFigures> steer;

    PartChecks(Job job, List<PartLoad> parts, Optional<SteerFigures> steer) {
        this.job = job;
        this.parts = parts;
        this.steer = steer;
    }

    void look(GuardedAnalysis w) {
        w.check("The strength of the linkage's parts", new Element.TieRods(), all -> parts.forEach(p -> part(p, all)));
        w.check(
                "The strength of the rods at the kerb",
                new Element.TieRods(),
                all -> steer.ifPresent(s -> s.rodLoads().forEach(l -> rod(s, l, all))));
    }

    /**
     * Nothing may yield at the kerb or under the heavy pull; parked, which is every day, the rule set's margin is kept.
     */
    private double wanted(Load load) {
        return load == Load.PARKED ? job.rules().strengthMargin() : 1;
    }

    private void part(PartLoad p, List<Finding> all) {
        Load worst = null;
        double least = 1;
        for (Load load : Load.values()) {
            double part = p.margin(load).map(m -> m / wanted(load)).orElse(Double.POSITIVE_INFINITY);
            if (part < least) {
                worst = load;
                least = part;
            }
        }
        if (worst == null) {
            return;
        }
        double force = p.force(worst).orElseThrow();
        double margin = p.margin(worst).orElseThrow();
        Severity severity = margin < 1 ? Severity.STOP : Severity.LOOK;
        Element at = plate(p).<Element>map(
                        a -> a.of() == Piece.ArmOf.GEAR_ARM ? new Element.GearArm() : new Element.SteeringArms())
                .orElseGet(() -> Element.of(p.rod()));
        all.add(new Finding(
                p.kind() == Kind.ARM_PLATE ? Fault.ARM_WEAK : Fault.ROD_END_WEAK,
                severity,
                at,
                p.id().text(),
                Phrase.of(
                        (p.kind() == Kind.ARM_PLATE ? "" : "The ") + Phrase.name(p.what()) + " "
                                + (margin < 1 ? "yields " : "has little strength in reserve ") + worst.label()
                                + ": {0} "
                                + (p.kind() == Kind.ARM_PLATE ? "at its end" : "in its rod")
                                + " give it {1}, and it yields at {2}; margin {3}, wanted {4}.",
                        Quantity.force(force),
                        Quantity.stress(p.stress(worst) * force),
                        Quantity.stress(p.yield()),
                        Quantity.times(margin),
                        Quantity.times(wanted(worst))),
                Phrase.of(why(p.kind())),
                thicker(p, least)));
    }

    /** The piece that an arm's plate is; empty for all else. */
    private Optional<Piece.ArmPlate> plate(PartLoad p) {
        return job.making().pieces().stream()
                .filter(_ -> p.kind() == Kind.ARM_PLATE)
                .filter(x -> x.id().equals(p.id()))
                .map(Piece.ArmPlate.class::cast)
                .findFirst();
    }

    private static String why(Kind kind) {
        return switch (kind) {
            case ARM_PLATE ->
                "An arm that bends changes every angle, and one that was bent back breaks. Calculated as plain structural steel plate with the root hole cut out. "
                        + "Thicker plate helps in proportion, more metal round the root hole with its square.";
            case SHANK -> "A shank that gives lets go of the wheel. Take a larger end, and a body to go with it.";
            case STUD ->
                "Held on one side only, a bolt bends: its ball stands off the arm. Hold it on both sides, or take a larger end.";
            case THREAD ->
                "Thread that shears lets go of the wheel. Screw the shank in further, or take a body of better steel.";
        };
    }

    /**
     * The same plate as thick as it has to be, up to three times what it is. @param part of what is wanted that it has
     */
    private List<Remedy> thicker(PartLoad p, double part) {
        return plate(p).stream()
                .flatMap(a -> {
                    double thick = Math.ceil(a.thickness() / part * ROUND_UP);
                    Piece.ArmPlate thicker = a.withThickness(thick);
                    return thick > 3 * a.thickness()
                            ? Stream.empty()
                            : Stream.of(new Remedy(
                                    Phrase.of(
                                            "Make " + Phrase.name(a.name()) + " of {0} plate", Quantity.length(thick)),
                                    j -> j.editMaking(m -> m.withPieces(m.pieces().stream()
                                            .map(x -> x.equals(a) ? thicker : x)
                                            .toList()))));
                })
                .toList();
    }

    /** A rod that buckles or yields at the kerb or under the heavy pull, though parked it has enough. */
    private void rod(SteerFigures s, RodLoad l, List<Finding> all) {
        Optional<RodTube> tube = job.axle().flatMap(a -> a.rodEnds(l.rod())).flatMap(RodEnds::tube);
        double kerb = l.kerbForce().orElse(0.0);
        double pull = l.pullForce().orElse(0.0);
        double force = Math.max(kerb, pull);
        if (tube.isEmpty() || force <= l.force()) {
            return;
        }
        double length = Objects.requireNonNull(s.lengths().get(l.rod()));
        double holds = tube.get().bucklingLoad(length);
        double stress = tube.get().stress(force, length);
        boolean buckles = holds < force;
        if (!buckles && stress <= tube.get().yield()) {
            return;
        }
        Load load = kerb > pull ? Load.KERB : Load.PULL;
        all.add(new Finding(
                buckles ? Fault.ROD_BUCKLES : Fault.ROD_BENDS,
                Severity.STOP,
                Element.of(l.rod()),
                l.rod() + "-" + load,
                buckles
                        ? Phrase.of(
                                "The " + l.rod().label() + " buckles " + load.label()
                                        + ": {0} push it, and it holds {1}.",
                                Quantity.force(force),
                                Quantity.force(holds))
                        : Phrase.of(
                                "The " + l.rod().label() + " stays bent " + load.label()
                                        + ": {0} give it {1}, and it yields at {2}.",
                                Quantity.force(force),
                                Quantity.stress(stress),
                                Quantity.stress(tube.get().yield())),
                Phrase.of(
                        "A rod that bends lets both wheels go their own way. Larger tube helps most: its stiffness grows with the third power of its diameter; a straight rod carries more than a "
                                + "cranked one."),
                List.of()));
    }
}

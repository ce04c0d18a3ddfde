package mildtilt.findings.checks;

import java.util.List;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Severity;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.RodLoad;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Raked rods, heavy steering, rods that could bend. */
final class LoadChecks {

    /** A rod with a smaller margin against buckling or yield is a stop. */
    private static final double STOP_MARGIN = 1.5;

    private final Job job;
    private final SteerFigures figures;

    LoadChecks(Job job, SteerFigures figures) {
        this.job = job;
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("How square the tie rods pull", new Element.TieRods(), this::rake);
        w.check("The force at the rim", new Element.Wheel(), all -> figures.effort()
                .ifPresent(e -> effort(e, all)));
        w.check("The strength of the rods", new Element.TieRods(), all -> figures.rodLoads()
                .forEach(l -> rod(l, all)));
    }

    private void rake(List<Finding> all) {
        for (Side side : Side.values()) {
            SteerFigures.Rake rake = figures.rake().get(side);
            if (rake == null || rake.worstDeg() <= job.targets().rakeDeg()) {
                continue;
            }
            all.add(new Finding(
                    Fault.RAKED_ROD,
                    Severity.LOOK,
                    new Element.TieRods(),
                    Phrase.of(
                            "The " + side.label()
                                    + " tie rod is raked up to {0} in plan, at {1} of steering wheel; wanted at most {2}.",
                            Quantity.angle(rake.worstDeg()),
                            Quantity.angle(rake.steeringWheelDeg()),
                            Quantity.angle(job.targets().rakeDeg())),
                    Phrase.of("A raked rod pulls partly sideways on the gear: ")
                            .then(rake.forceFactor()
                                    .map(f -> Phrase.of(
                                            "it carries {0} of the force a square one would, bends ",
                                            Quantity.percent(100 * f)))
                                    .orElse(Phrase.of("it all but pulls along where it should pull across, bends ")))
                            .then(
                                    "what its inner end sits on, and part of the gear's travel is lost. Move the gear fore or aft toward the arms' ends."),
                    List.of()));
            return;
        }
    }

    private void effort(Effort e, List<Finding> all) {
        double limit = job.targets().rimForce();
        if (e.worstParked() > limit) {
            all.add(new Finding(
                    Fault.HEAVY,
                    Severity.LOOK,
                    new Element.Wheel(),
                    Phrase.of(
                            "Parked, the " + held() + " up to {0}; the limit is {1}. At walking pace {2}.",
                            Quantity.force(e.worstParked()),
                            Quantity.force(limit),
                            Quantity.force(e.worstCreeping())),
                    "Longer knuckle arms, a slower gear, more radius in the hands, less scrub or narrower tyres ease it; each costs "
                            + "lock, turns or room. For dry ground, with the engine off.",
                    List.of()));
        }
    }

    private String held() {
        return job.column()
                .map(c -> c.wheel().held() + (c.wheel().held().endsWith("s") ? " need" : " needs"))
                .orElse("rim needs");
    }

    private void rod(RodLoad l, List<Finding> all) {
        Element where = Element.of(l.rod());
        double crank = crank(l.rod());
        double wanted = job.targets().bucklingMargin();
        l.bucklingMargin()
                .filter(m -> m < wanted)
                .ifPresent(m -> all.add(new Finding(
                        Fault.ROD_BUCKLES,
                        m < STOP_MARGIN ? Severity.STOP : Severity.LOOK,
                        where,
                        Phrase.of(
                                "The " + l.rod().label()
                                        + " carries {0} parked and buckles at {1} that load; {2} is wanted.",
                                Quantity.force(l.force()),
                                Quantity.times(m),
                                Quantity.times(wanted)),
                        "A rod that buckles lets both wheels go their own way. A kerb adds to the parked load. Larger tube helps "
                                + "most: its stiffness grows with the third power of its diameter.",
                        List.of())));
        l.yieldMargin().filter(_ -> crank > 0).ifPresent(m -> {
            if (m < 2) {
                all.add(new Finding(
                        Fault.ROD_BENDS,
                        m < STOP_MARGIN ? Severity.STOP : Severity.LOOK,
                        where,
                        Phrase.of(
                                "The cranked " + l.rod().label()
                                        + " is {0} off its line: parked, its stress is {1}, which leaves "
                                        + "{2} to yield.",
                                Quantity.length(crank),
                                Quantity.stress(l.stress().orElse(0.0)),
                                Quantity.times(m)),
                        "A cranked rod is bent by every push. A straight rod with a raised arm carries the same force with a "
                                + "fraction of the stress; a cranked one needs a heavier section.",
                        List.of()));
            }
        });
    }

    private double crank(Rod rod) {
        return job.axle()
                .flatMap(a -> a.rodEnds(rod))
                .flatMap(RodEnds::tube)
                .map(RodTube::crank)
                .orElse(0.0);
    }
}

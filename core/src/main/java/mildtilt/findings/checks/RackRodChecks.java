package mildtilt.findings.checks;

import java.util.List;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.shop.RackRodFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** A rack's own rods with the ends that are screwed onto them. */
final class RackRodChecks {

    private RackRodChecks() {}

    static void look(RackRodFigures f, List<Finding> all) {
        Element at = Element.of(f.rod());
        String name = "The " + f.rod().label();
        switch (f.verdict()) {
            case SHALLOW ->
                all.add(stop(
                        f,
                        "socket",
                        Phrase.of(
                                name + "'s outer end takes {0} of thread; at least {1} must hold.",
                                Quantity.length(f.it().endDeep()),
                                Quantity.length(f.least()))));
            case TOO_SHORT ->
                all.add(stop(
                        f,
                        "short",
                        Phrase.of(
                                name
                                        + ", the rack's own, is {0} too short: {1} of thread would be in its outer "
                                        + "end; at least {2} is wanted.",
                                Quantity.length(-f.longer()),
                                Quantity.length(Math.max(0, f.engaged())),
                                Quantity.length(f.least()))));
            case LACKS_THREAD ->
                all.add(stop(
                        f,
                        "thread",
                        Phrase.of(
                                name + ", the rack's own, lacks {0} of thread: its jam nut is on the end of the thread "
                                        + "before it is short enough.",
                                Quantity.length(-f.shorter()))));
            case GOES_ON, CUT -> {
                if (!f.canBeSet()) {
                    all.add(new Finding(
                            Fault.ROD_CAN_NOT_BE_SET,
                            Severity.LOOK,
                            at,
                            f.rod().label() + "own",
                            Phrase.of(
                                    name + ", the rack's own, can be set {0} longer and {1} shorter; {2} either way is "
                                            + "wanted.",
                                    Quantity.length(f.longer()),
                                    Quantity.length(f.shorter()),
                                    Quantity.length(RackRodFigures.SET)),
                            f.cure().orElse(Phrase.of("")),
                            List.of()));
                }
            }
        }
        if (f.it().jamNut() == 0) {
            double nut = f.it().thread().major() / 2;
            all.add(new Finding(
                    Fault.LOCK_NUT_MISSING,
                    Severity.STOP,
                    at,
                    f.rod().label() + "nut",
                    Phrase.of(name + " has no lock nut at its outer end."),
                    Phrase.of("An end that nothing locks screws itself out as the wheels shake: first the toe goes, "
                            + "then the rod comes apart. A clamp on a slit end serves as well; give its "
                            + "width as the nut's."),
                    List.of(new Remedy(
                            Phrase.of("Put a lock nut on it"),
                            j -> j.editMaking(m ->
                                    m.withRackRod(f.rod(), m.rackRod(f.rod()).map(r -> r.withJamNut(nut))))))));
        }
    }

    private static Finding stop(RackRodFigures f, String about, Phrase what) {
        return new Finding(
                Fault.ROD_SHORT_OF_THREAD,
                Severity.STOP,
                Element.of(f.rod()),
                f.rod().label() + about,
                what,
                f.cure().orElse(Phrase.of("")),
                List.of());
    }
}

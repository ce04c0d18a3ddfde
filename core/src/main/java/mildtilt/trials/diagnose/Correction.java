package mildtilt.trials.diagnose;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.shop.RodFigures;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.trials.diagnose.Cause.Amount;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What to do at the bench about a cause, in the bench's units: mm of shim, turns of a rod. */
public final class Correction {

    /** A rod off by less than this is not turned, mm. */
    private static final double NOT_WORTH = 0.1;

    private Correction() {}

    public static List<Phrase> of(Cause cause, Job plan) {
        List<Phrase> all = new ArrayList<>();
        if (cause.armsSwapped()) {
            all.add(Phrase.of(
                    "Take both steering arms off, and put each on the other side. Look how they are marked before."));
        }
        for (Amount a : cause.amounts()) {
            all.add(of(a, plan));
        }
        if (!cause.asPlanned()) {
            rods(all, cause, plan);
            all.add(Phrase.of("Then measure again: one trial finds a cause, the next shows whether it is gone."));
        }
        return List.copyOf(all);
    }

    private static Phrase of(Amount a, Job plan) {
        Quantity by = Quantity.length(Math.abs(a.mm()));
        boolean more = a.mm() > 0;
        String gear = a.what().part().label(plan);
        return switch (a.what()) {
            case GEAR_UP ->
                more
                        ? Phrase.of(
                                "Lower the " + gear + " by {0}: that much off its mounts, or off the shims under them.",
                                by)
                        : Phrase.of(
                                "Raise the " + gear + " by {0}: shims of that thickness under both its mounts.", by);
            case GEAR_LEFT ->
                Phrase.of("Move the " + gear + " {0} to the " + (more ? "right" : "left") + " in its mounts.", by);
            case GEAR_FORWARD ->
                Phrase.of("Move the " + gear + " {0} " + (more ? "back" : "forward") + " in its mounts.", by);
            case GEAR_TILT ->
                Phrase.of(
                        "Level the " + gear + ": its " + (more ? "right" : "left")
                                + " inner pivot up by {0} against the other; at a mount half as far out, shim half as much.",
                        by);
            case LEFT_ARM_UP, RIGHT_ARM_UP, BOTH_ARMS_UP ->
                Phrase.of(
                        "Bring the " + gear + " " + (more ? "down" : "up")
                                + " by {0}: a spacer between rod end and arm where the stud allows one (straight-through bolt in double shear), or another arm.",
                        by);
            case LEFT_ARM_OUT, RIGHT_ARM_OUT, BOTH_ARMS_OUT ->
                Phrase.of(
                        "Bring the " + gear + " " + (more ? "in" : "out")
                                + " by {0}: another hole is another arm; do not slot a tapered hole.",
                        by);
            case LEFT_ARM_LONG, RIGHT_ARM_LONG, BOTH_ARMS_LONG ->
                Phrase.of(
                        "Bring the " + gear + " {0} " + (more ? "nearer to" : "further from")
                                + " the steer axis: another arm, or one re-made to plan.",
                        by);
        };
    }

    private static void rods(List<Phrase> all, Cause cause, Job plan) {
        SteeringTrain now = new SteeringTrain(cause.built());
        SteeringTrain then = new SteeringTrain(plan);
        if (now.axle().isEmpty() || then.axle().isEmpty()) {
            return;
        }
        Map<Rod, Double> is = now.axle().get().lengths();
        List<RodFigures> made = RodFigures.of(plan, then.axle());
        new TreeMap<>(then.axle().get().lengths()).forEach((rod, wanted) -> {
            double longer = wanted - is.getOrDefault(rod, wanted);
            if (Math.abs(longer) > NOT_WORTH && cause.armsSwapped()) {
                all.add(Phrase.of(
                        "Set the " + rod.label() + " to {0} between centres again.", Quantity.length(wanted)));
            } else if (Math.abs(longer) > NOT_WORTH) {
                all.add(rod(
                        rod,
                        longer,
                        wanted,
                        made.stream().filter(r -> r.rod() == rod).findFirst()));
            }
        });
    }

    private static Phrase rod(Rod rod, double longer, double wanted, Optional<RodFigures> made) {
        String way = longer > 0 ? "longer" : "shorter";
        Phrase p = Phrase.of(
                "Set the " + rod.label() + " {0} " + way + ", to {1} between centres",
                Quantity.length(Math.abs(longer)),
                Quantity.length(wanted));
        return made.map(r -> r.perTurn() > 0 && !r.sameHand()
                        ? p.then(Phrase.of(": {0} of its body.", Quantity.turns(Math.abs(longer) / r.perTurn())))
                        : p.then(Phrase.of(
                                ": {0} of one end, off its arm.",
                                Quantity.turns(Math.abs(longer) / r.thread(true).pitch()))))
                .orElse(p.then("."));
    }
}

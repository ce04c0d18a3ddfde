package mildtilt.findings.checks;

import java.util.List;
import java.util.Optional;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Severity;
import mildtilt.findings.remedies.AckermannCause;
import mildtilt.findings.remedies.ArmMoves;
import mildtilt.findings.remedies.BumpReasons;
import mildtilt.findings.remedies.LinkageMoves;
import mildtilt.findings.remedies.StopMoves;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.OuterWheelTable;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LockLimits;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What falls short of the aims set for the job: Ackermann, lock, bump steer, what takes the blow at lock. */
final class AimChecks {

    /** A gear that uses less of its travel than this is a poor match for the arms. */
    private static final double POOR_MATCH = 0.85;

    private final Job job;
    private final SteeringTrain train;
    private final SteerFigures figures;
    private final Optional<ArmMatch> match;

    AimChecks(Job job, SteeringTrain train, SteerFigures figures, Optional<ArmMatch> match) {
        this.job = job;
        this.train = train;
        this.figures = figures;
        this.match = match;
    }

    void look(GuardedAnalysis w) {
        if (figures.sense() == SteerFigures.Sense.RIGHT_WAY) {
            w.check("Reversed Ackermann", new Element.SteeringArms(), this::reversedAckermann);
            w.check("Ackermann against what is wanted", new Element.SteeringArms(), all -> job.targets()
                    .outerTable()
                    .ifPresentOrElse(t -> outerTable(t, all), () -> ackermann(all)));
            w.check(
                    "How the gear suits the arms",
                    new Element.GearElement(),
                    all -> match.ifPresent(m -> match(m, all)));
            w.check("What takes the blow at full lock", new Element.GearElement(), this::blow);
        }
        w.check("Bump steer against what is wanted", new Element.TieRods(), this::bumpSteer);
    }

    /** What the linkage gives with the wheels straight, where toe beyond what is usual has a finding of its own. */
    private Optional<Double> ackermannAt20() {
        double toe = Math.max(
                Math.abs(figures.left().toeInDeg()), Math.abs(figures.right().toeInDeg()));
        return toe > job.rules().geometry().toeDeg() ? figures.ackermannWithoutToePct() : figures.ackermannAt20Pct();
    }

    private void reversedAckermann(List<Finding> all) {
        ackermannAt20().filter(pct -> pct < 0).ifPresent(pct -> {
            AckermannCause cause = AckermannCause.of(job);
            all.add(new Finding(
                    Fault.REVERSED_ACKERMANN,
                    Severity.LOOK,
                    new Element.SteeringArms(),
                    Phrase.of(
                            "Ackermann is REVERSED: {0} at 20° of inner wheel. The outer wheel turns further than the inner.",
                            Quantity.percent(pct)),
                    Phrase.of("In tight turns the tyres fight each other hard. " + cause.likely()),
                    cause.remedies()));
        });
    }

    private void ackermann(List<Finding> all) {
        Optional<Double> at20 = ackermannAt20();
        double min = job.targets().ackermannMinPct();
        double max = job.targets().ackermannMaxPct();
        if (at20.isEmpty() || at20.get() < 0 || at20.get() >= min && at20.get() <= max) {
            return;
        }
        double pct = at20.get();
        boolean little = pct < min;
        all.add(new Finding(
                Fault.ACKERMANN,
                Severity.LOOK,
                new Element.SteeringArms(),
                Phrase.of(
                        "Too " + (little ? "little" : "much")
                                + " Ackermann: {0} at 20° of inner wheel, wanted {1} to {2}.",
                        Quantity.percent(pct),
                        Quantity.percent(min),
                        Quantity.percent(max)),
                little
                        ? "In tight turns the tyres fight: the inner one is dragged outward, the steering is heavy and the "
                                + "circle wide. On loose or fast ground some builders choose this; then lower the target."
                        : "The inner tyre turns in further than its path: it scrubs and the circle widens again.",
                LinkageMoves.forAckermann(job, little ? min + (max - min) * 0.1 : max - (max - min) * 0.1)));
    }

    private void outerTable(OuterWheelTable table, List<Finding> all) {
        figures.worstMiss()
                .filter(m -> m > table.toleranceDeg())
                .ifPresent(miss -> all.add(new Finding(
                                Fault.ACKERMANN,
                                Severity.LOOK,
                                new Element.SteeringArms(),
                                Phrase.of(
                                        "The outer wheel misses the table of wanted angles by up to {0}; {1} is tolerated.",
                                        Quantity.angle(miss), Quantity.angle(table.toleranceDeg())),
                                "The table is this job's own target. Solve for … (at the side) looks for an arm that follows it.",
                                List.of())
                        .titled("Outer wheel misses its table of angles")));
    }

    private void match(ArmMatch m, List<Finding> all) {
        for (Side way : Side.values()) {
            ArmMatch.Toward w = m.toward(way);
            if (job.targets().lockDeg().isPresent() && w.lockUnused() > ArmMatch.FITS_DEG) {
                all.add(new Finding(
                        Fault.LOCK_SHORT,
                        Severity.LOOK,
                        new Element.GearElement(),
                        Phrase.of(
                                "Turning " + way.label() + ", the gear's end gives {0} of inner wheel; {1} is "
                                        + (w.limit().isEmpty() ? "wanted" : "free (" + Phrase.name(w.allowedBy()) + ")")
                                        + ". The gear is short by {2} of steering wheel.",
                                Quantity.angle(w.innerAtGearEnd()),
                                Quantity.angle(w.innerAllowed()),
                                Quantity.angle(w.steeringWheelDeg()
                                        - Math.abs(figures.reach(way).stopDeg()))),
                        "The knuckle-side arm is too long for what the gear gives. A shorter arm gives more lock and a quicker, "
                                + "heavier steering; a longer gear arm or more gear travel gives the lock without a shorter arm.",
                        ArmMoves.forMatch(job, m)));
                return;
            }
        }
        if (m.gearUsed() < POOR_MATCH) {
            Side way = m.left().gearUsed() <= m.right().gearUsed() ? Side.LEFT : Side.RIGHT;
            ArmMatch.Toward w = m.toward(way);
            Limit limit = w.limit().orElse(Limit.KNUCKLE_STOP);
            all.add(new Finding(
                    Fault.GEAR_OVERTRAVELS,
                    Severity.LOOK,
                    new Element.GearElement(),
                    Phrase.of(
                            "Turning " + way.label() + ", " + Phrase.name(ends(limit, w.where()))
                                    + " at {0} of inner wheel, with only {1} of the gear's travel used.",
                            Quantity.angle(w.innerAllowed()),
                            Quantity.percent(100 * w.gearUsed())),
                    cure(limit),
                    // What needs more of the gear one way can't have less of it the other way.
                    helpedByArms(limit)
                                    && Math.max(m.left().gearUsed(), m.right().gearUsed()) < 1
                            ? ArmMoves.forMatch(job, m)
                            : List.of()));
        }
    }

    /** What ends the lock, as it is. */
    private static String ends(Limit limit, String where) {
        return switch (limit) {
            case KNUCKLE_STOP -> "the knuckle stop acts";
            case TYRE -> "the " + where + " touches";
            case ROD_END -> "the " + where + " is at its tilt limit";
            case OVER_CENTRE -> "the " + where + " comes as close to over-centre as the limit allows";
            case SHUTTLE_END -> "the shuttle meets its mount";
            case LINKAGE_ENDS -> "the " + where + " has no more length";
            case GEAR_END -> "the gear is at its end";
            case PART_ENDS -> "the " + where + " is at its end";
        };
    }

    private static String cure(Limit limit) {
        return switch (limit) {
            case KNUCKLE_STOP, GEAR_END ->
                "The knuckle-side arm is short for this gear: the steering is quicker and heavier than it need be, and the gear would push on after "
                        + "the wheel has met its end.";
            case TYRE ->
                "The gear would push the tyre on into what it touches. Set a stop before that, make room, or fit a narrower tyre.";
            case ROD_END ->
                "The gear would push on and bend the rod end at its shank. Lean its stud to the middle of its movement, use an end with more tilt, or stop the lock before.";
            case OVER_CENTRE, LINKAGE_ENDS ->
                "The gear would push the linkage on toward over centre. Longer arms, another angle between rod and arm, or a stop that acts before "
                        + "keep away from it.";
            case PART_ENDS ->
                "The gear would push on against a part at its end. Stop the lock before, or give that part more "
                        + "length or tilt.";
            case SHUTTLE_END ->
                "The gear would push the shuttle on against its mount. Stop the gear before, or set the mounts farther apart.";
        };
    }

    private static boolean helpedByArms(Limit limit) {
        return switch (limit) {
            case KNUCKLE_STOP, GEAR_END, OVER_CENTRE, LINKAGE_ENDS, TYRE, SHUTTLE_END -> true;
            case ROD_END, PART_ENDS -> false;
        };
    }

    /** Who takes the blow when a wheel is driven to its lock from the ground. */
    private void blow(List<Finding> all) {
        for (Side way : Side.values()) {
            Optional<LockLimits.Hit> first = figures.limits().first(way);
            Optional<Double> stop =
                    job.axle().orElseThrow().corner(way).limits().stopInner();
            if (first.isPresent() && first.get().limit() == Limit.GEAR_END) {
                all.add(new Finding(
                        Fault.GEAR_TAKES_THE_BLOW,
                        Severity.LOOK,
                        new Element.Knuckles(),
                        Phrase.of(
                                "Turning " + way.label()
                                        + ", the gear's own end comes first, at {0} of steering wheel, with the inner "
                                        + "wheel at {1}; "
                                        + (stop.isPresent()
                                                ? "its knuckle stop at {2} is not reached."
                                                : "it has no knuckle stop."),
                                Quantity.angle(Math.abs(first.get().steeringWheelDeg())),
                                Quantity.angle(figures.reach(way).turn().innerDeg()),
                                Quantity.angle(stop.orElse(0.0))),
                        "A wheel driven against a kerb then hammers the gear's inside and every rod between. A stop on the knuckle, "
                                + "or limiters on the rack, that act a little earlier take that blow. Some builders rely on the "
                                + "gear's end; ask its maker whether it may take it.",
                        StopMoves.beforeEverything(job, figures)));
                return;
            }
        }
    }

    private void bumpSteer(List<Finding> all) {
        double deg = figures.worstNormalBumpSteerDeg();
        double wanted = job.targets().bumpSteerDeg();
        if (deg <= wanted) {
            return;
        }
        List<Phrase> reasons = BumpReasons.of(job, train);
        Phrase why = Phrase.of("The wheels steer themselves over every bump, and the vehicle wanders.");
        for (Phrase r : reasons) {
            why = why.then(" ").then(r);
        }
        all.add(new Finding(
                Fault.BUMP_STEER,
                Severity.LOOK,
                new Element.TieRods(),
                Phrase.of(
                        "Bump steer: toe changes by {0} over the normal travel, wanted {1} ({2} over the full travel).",
                        Quantity.angle(deg), Quantity.angle(wanted), Quantity.angle(figures.worstBumpSteerDeg())),
                why,
                LinkageMoves.forBumpSteer(job)));
    }
}

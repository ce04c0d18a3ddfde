package mildtilt.findings.checks;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.ShuttleBar;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.BarJam;
import mildtilt.steer.forces.DrivePull;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What the hands feel: whether the steering comes back, kicks, pulls, or jams on a shuttle's bar. */
final class FeelChecks {

    /** Turn of a wheel let go that one wheel's bump may cost: some 30 mm at the rim of a usual wheel, degrees. */
    private static final double TURNS_HANDS = 10;

    /** Friction wears, dries and rusts to so many times what it was. */
    private static final double FRICTION_GROWS = 2;

    /** Bushes are not set finer than that, mm. */
    private static final double BUSH_STEP = 10;

    private static final double WIDEST_BUSHES = 600;

    private final Job job;
    private final SteeringTrain train;
    private final SteerFigures figures;

    FeelChecks(Job job, SteeringTrain train, SteerFigures figures) {
        this.job = job;
        this.train = train;
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("Whether the shuttle slides on its bar", new Element.Relay(), all -> figures.barJam()
                .flatMap(this::jams)
                .ifPresent(all::add));
        w.check("Whether the wheels come back in a bend", new Element.Knuckles(), all -> figures.effort()
                .flatMap(this::furtherIn)
                .ifPresent(all::add));
        w.check("What one wheel alone does to the hands", new Element.Knuckles(), all -> figures.kickBack()
                .ifPresent(k -> {
                    bump(k).ifPresent(all::add);
                    blow(k).ifPresent(all::add);
                }));
        w.check("How drive pulls at the steering", new Element.Knuckles(), all -> figures.drivePull()
                .flatMap(this::drive)
                .ifPresent(all::add));
    }

    private Optional<Finding> jams(BarJam jam) {
        ShuttleBar bar = bar(job).orElseThrow();
        boolean jams = jam.friction() <= bar.friction();
        if (jam.friction() >= FRICTION_GROWS * bar.friction()) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                        Fault.SHUTTLE_JAMS,
                        jams ? Severity.STOP : Severity.LOOK,
                        new Element.Relay(),
                        Phrase.of(
                                (jams ? "The shuttle jams on its bar: " : "The shuttle is near to jamming on its bar: ")
                                        + "with its bushes {0} apart a friction of {1} is enough, at {2} of "
                                        + "steering wheel; {3} is given.",
                                Quantity.length(bar.span()),
                                Quantity.friction(jam.friction()),
                                Quantity.angle(jam.steeringWheelDeg()),
                                Quantity.friction(bar.friction())),
                        "The short link pulls beside the bar and so tips the shuttle: its bushes press on the bar "
                                + "and hold it, the "
                                + "harder the harder it is pulled. Dirt, rust and dry bushes double friction. "
                                + "Wider bushes, or a link "
                                + "that pulls nearer to the bar's line, cure it."
                                + (jams ? " The forces given are without this friction." : ""),
                        wider(bar))
                .at(jam.steeringWheelDeg(), 0, 0));
    }

    private static Optional<ShuttleBar> bar(Job job) {
        return job.axle().flatMap(a -> a.linkage() instanceof Shuttle s ? s.bar() : Optional.empty());
    }

    /** Wider bushes never jam sooner: what a tip presses with is shared by a longer lever. */
    private List<Remedy> wider(ShuttleBar bar) {
        double wanted = FRICTION_GROWS * bar.friction();
        int least = (int) (bar.span() / BUSH_STEP);
        int most = (int) (WIDEST_BUSHES / BUSH_STEP);
        if (!isEnough(bar, most, wanted)) {
            return List.of();
        }
        while (most - least > 1) {
            int half = (least + most) / 2;
            if (isEnough(bar, half, wanted)) {
                most = half;
            } else {
                least = half;
            }
        }
        double to = most * BUSH_STEP;
        return List.of(new Remedy(
                Phrase.of("Set the bushes {0} apart", Quantity.length(to)),
                j -> j.editAxle(
                        a -> a.linkage() instanceof Shuttle s ? a.withLinkage(s.withBushSpan(Optional.of(to))) : a)));
    }

    private boolean isEnough(ShuttleBar bar, int steps, double wanted) {
        return BarJam.of(
                        train,
                        bar.withSpan(steps * BUSH_STEP),
                        figures.lock(Side.RIGHT).turn().steeringWheelDeg(),
                        figures.lock(Side.LEFT).turn().steeringWheelDeg())
                .filter(j -> j.friction() >= wanted)
                .isPresent();
    }

    private Optional<Finding> furtherIn(Effort e) {
        boolean trailSaidSo =
                figures.left().mechanicalTrail() < 0 || figures.right().mechanicalTrail() < 0;
        if (e.leastInBend() >= 0 || trailSaidSo) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                        Fault.TURNS_FURTHER_IN,
                        Severity.LOOK,
                        new Element.Knuckles(),
                        Phrase.of(
                                "In a bend of 0.3 g the steering turns itself further in: at {0} of steering "
                                        + "wheel with {1} at the rim.",
                                Quantity.angle(e.leastInBendAt()), Quantity.force(-e.leastInBend())),
                        "Weight and trail together should bring the wheels back. So far round, the trail of one "
                                + "wheel has gone to the "
                                + "other side. More caster, or less lock, helps; on grip the tyre's own trail "
                                + "helps a little too.",
                        List.of())
                .at(e.leastInBendAt(), 0, 0));
    }

    private Optional<Finding> bump(KickBack k) {
        Side side = worse(k, w -> w.turn().map(Math::abs).orElse(0.0));
        KickBack.Wheel wheel = k.wheel(side);
        double turn = wheel.turn().orElse(0.0);
        if (Math.abs(turn) <= TURNS_HANDS) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                Fault.KICKS_BACK,
                Severity.LOOK,
                new Element.Knuckles(),
                "bump",
                Phrase.of(
                        "With the " + side.label()
                                + " wheel {0} higher than the other the steering wheel turns {1} to the "
                                + (turn > 0 ? "left" : "right") + " by itself.",
                        Quantity.length(wheel.rise()),
                        Quantity.angle(Math.abs(turn))),
                Phrase.of("The tyres hold both wheels on their way, so that what the travel does to the rods comes "
                        + "out at the hands. It has "
                        + "the same cause as bump steer or roll steer, and the same cure: rods whose ends "
                        + "swing as the wheels do."),
                List.of()));
    }

    private Optional<Finding> blow(KickBack k) {
        double limit = job.targets().rimForce();
        Side side = worse(k, w -> w.pull().map(KickBack.Pull::most).orElse(0.0));
        return k.wheel(side)
                .pull()
                .filter(p -> p.most() > limit)
                .map(p -> new Finding(
                        Fault.KICKS_BACK,
                        Severity.LOOK,
                        new Element.Knuckles(),
                        "blow",
                        Phrase.of(
                                "The " + side.label()
                                        + " wheel pushed back with its own load pulls {0} out of the hands; "
                                        + "braked alone with half of it, {1}. The limit is {2}.",
                                Quantity.force(Math.abs(p.blow())),
                                Quantity.force(Math.abs(p.braked())),
                                Quantity.force(limit)),
                        Phrase.of("A hole, a rut or a brake that grabs turns the steering wheel against the "
                                + "driver's thumbs. The lever is "
                                + "the distance of wheel centre (blow) or contact point (brake) from the "
                                + "steer axis; less of it, a "
                                + "slower gear or a steering damper eases it."),
                        List.of()));
    }

    private static Side worse(KickBack k, ToDoubleFunction<KickBack.Wheel> of) {
        return of.applyAsDouble(k.wheel(Side.LEFT)) >= of.applyAsDouble(k.wheel(Side.RIGHT)) ? Side.LEFT : Side.RIGHT;
    }

    private Optional<Finding> drive(DrivePull d) {
        double limit = job.targets().rimForce();
        DrivePull.Row worst = d.rows().stream()
                .reduce((a, b) -> Math.abs(a.pull()) >= Math.abs(b.pull()) ? a : b)
                .orElseThrow();
        if (Math.abs(worst.pull()) <= limit) {
            return Optional.empty();
        }
        Side most = worst.bentDeg().entrySet().stream()
                .reduce((a, b) -> a.getValue() >= b.getValue() ? a : b)
                .orElseThrow()
                .getKey();
        return Optional.of(new Finding(
                        Fault.DRIVE_PULLS,
                        Severity.LOOK,
                        new Element.Knuckles(),
                        Phrase.of(
                                "Under drive the rim pulls with {0} to the " + (worst.pull() > 0 ? "left" : "right")
                                        + " at {1} of steering wheel, where the " + most.label()
                                        + " shaft's joint is bent {2}; the limit is {3}.",
                                Quantity.force(Math.abs(worst.pull())),
                                Quantity.angle(worst.steeringWheelDeg()),
                                Quantity.angle(
                                        Objects.requireNonNull(worst.bentDeg().get(most))),
                                Quantity.force(limit)),
                        "Each driven wheel pulls with 0.3 of its load. A bent joint turns the knuckle as well as "
                                + "the wheel. Shafts "
                                + "nearer to straight, a steer axis nearer to the wheel's centre and less drive "
                                + "at lock ease it.",
                        List.of())
                .at(worst.steeringWheelDeg(), 0, 0));
    }
}

package mildtilt.findings.checks;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.findings.remedies.RodEndMoves;
import mildtilt.findings.remedies.StopMoves;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.SteeredAxle;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LockLimits;
import mildtilt.steer.range.TravelMap;
import mildtilt.steer.range.TravelMap.At;
import mildtilt.steer.range.TravelMap.NotAssembled;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Faults that keep gear, linkage and corners from going through their range, and steering the wrong way. */
final class AxleChecks {

    /** Rod and arm nearer in line than this are a stop: play and flex can carry them over centre, degrees. */
    private static final double TOGGLE_STOP = 12;

    private final Job job;
    private final SteerFigures figures;
    private final Optional<TravelMap> map;

    AxleChecks(Job job, SteerFigures figures, Optional<TravelMap> map) {
        this.job = job;
        this.figures = figures;
        this.map = map;
    }

    void look(GuardedAnalysis w) {
        w.check("Which way it steers", new Element.GearElement(), this::sense);
        w.check("The lock", new Element.GearElement(), this::range);
        map.ifPresent(m -> {
            w.check("The travel of the wheels", new Element.Knuckles(), all -> travel(m, all));
            w.check(
                    "How near the linkage comes to going over centre",
                    new Element.SteeringArms(),
                    all -> toggle(m, all));
            w.check("The tilt of the rod ends", new Element.TieRods(), all -> rodEnds(m, all));
        });
        w.check("The tyre's own stop", new Element.Knuckles(), this::tyre);
    }

    private void sense(List<Finding> all) {
        Element gear = new Element.GearElement();
        switch (figures.sense()) {
            case RIGHT_WAY -> {}
            case WRONG_WAY ->
                all.add(new Finding(
                        Fault.WRONG_WAY,
                        Severity.STOP,
                        gear,
                        Phrase.of(
                                "It steers the WRONG WAY: the steering wheel to the left turns the road wheels right."),
                        "Nobody can drive this. It happens when a gear or the arms are put on the other side of the axle, or a "
                                + "gear is turned over, without changing the way it drives. Do not move the vehicle.",
                        List.of(turnGearRound())));
            case AGAINST_EACH_OTHER ->
                all.add(new Finding(
                                Fault.WRONG_WAY,
                                Severity.STOP,
                                gear,
                                Phrase.of(
                                        "The road wheels turn AGAINST EACH OTHER: one to the left, one to the right."),
                                "One steering arm is on the wrong side of its steer axis. Look whether the left and right "
                                        + "knuckles are swapped or one tie-rod point is mistyped.",
                                List.of())
                        .titled("The wheels turn against each other"));
            case NONE ->
                all.add(new Finding(
                        Fault.WHEELS_DO_NOT_FOLLOW,
                        Severity.STOP,
                        gear,
                        Phrase.of("The road wheels do not follow the steering wheel."),
                        "The rods pull square to the way the arms can move, or lie in line with them.",
                        List.of()));
        }
    }

    private Remedy turnGearRound() {
        return new Remedy(
                Phrase.of(job.axle().orElseThrow().gear().howToReverse()),
                j -> j.editAxle(SteeredAxle::withGearReversed));
    }

    private void range(List<Finding> all) {
        for (Side way : Side.values()) {
            SteerFigures.Reach reach = figures.reach(way);
            if (reach.byToggle()) {
                LockLimits.Hit stop = figures.lock(way).hit();
                boolean stopped = stop.limit() == Limit.KNUCKLE_STOP;
                all.add(new Finding(
                                Fault.LOCK_NOT_REACHED,
                                stopped ? Severity.LOOK : Severity.STOP,
                                new Element.TieRods(),
                                Phrase.of(
                                        "Turning " + way.label()
                                                + ", the linkage is over centre at {0} of steering wheel and can't go past; the gear would go on to {1}."
                                                + (stopped
                                                        ? " Only the knuckle stop, at {2}, keeps it from there."
                                                        : ""),
                                        Quantity.angle(Math.abs(reach.reachedDeg())),
                                        Quantity.angle(Math.abs(reach.stopDeg())),
                                        Quantity.angle(Math.abs(stop.steeringWheelDeg()))),
                                "There a rod and its arm come into line. Forced further, the linkage can flip over "
                                        + "centre and stay there. A stop must come first.",
                                List.of())
                        .at(reach.reachedDeg(), 0, 0));
            }
        }
    }

    private void travel(TravelMap m, List<Finding> all) {
        boolean lockReached =
                !figures.leftReach().byToggle() && !figures.rightReach().byToggle();
        if (m.extremes().notReached().isEmpty() || !lockReached) {
            return;
        }
        NotAssembled first = m.extremes().notReached().getFirst();
        all.add(new Finding(
                        Fault.TRAVEL_NOT_REACHED,
                        Severity.STOP,
                        new Element.Knuckles(),
                        Phrase.of(
                                "The wheels can't reach the whole range: with {0} of travel the linkage stops at {1} of steering wheel.",
                                Quantity.length(first.at().travel()),
                                Quantity.angle(first.at().steeringWheelDeg())),
                        first.reason()
                                .phrase()
                                .then(" The travel given for this vehicle is more than its arms and rods allow."),
                        List.of())
                .at(
                        first.at().steeringWheelDeg(),
                        first.at().travel(),
                        first.at().travel()));
    }

    private void toggle(TravelMap m, List<Finding> all) {
        m.nearestCentre()
                .filter(e -> e.getValue().deg() < job.targets().toggleDeg())
                .ifPresent(near -> {
                    RodEnd end = near.getKey();
                    double deg = near.getValue().deg();
                    At at = near.getValue().at();
                    all.add(new Finding(
                                    Fault.NEAR_TOGGLE,
                                    deg < TOGGLE_STOP ? Severity.STOP : Severity.LOOK,
                                    end.atSteeringArm() ? new Element.SteeringArms() : Element.of(end.rod()),
                                    Phrase.of(
                                            (end.onSlide(job.axle().orElseThrow())
                                                            ? "The " + end.rod().label()
                                                                    + " comes within {0} of a right angle to what pushes it"
                                                            : "The " + end.rod().label() + " and the " + end.arm()
                                                                    + " come within {0} of being in line")
                                                    + " (limit {1}), at {2} of steering wheel with {3} of travel.",
                                            Quantity.angle(deg),
                                            Quantity.angle(job.targets().toggleDeg()),
                                            Quantity.angle(at.steeringWheelDeg()),
                                            Quantity.length(at.travel())),
                                    "Near there the rod has almost no leverage: the tyre's pull grows many times over in it, and play can let the arm go over "
                                            + "centre and stay there. Less lock, a longer arm or another angle between rod and arm keeps away from it. Measured "
                                            + "in the plane the arm turns in.",
                                    List.of())
                            .at(at.steeringWheelDeg(), at.travel(), at.travel()));
                });
    }

    private void rodEnds(TravelMap m, List<Finding> all) {
        m.extremes().tilts().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> rodEnd(e.getKey(), e.getValue(), all));
    }

    private void rodEnd(RodEnd end, TravelMap.Tilt tilt, List<Finding> all) {
        tilt.allowedDeg()
                .filter(allowed -> tilt.deg() > allowed)
                .ifPresent(allowed -> all.add(new Finding(
                                Fault.ROD_END_OVER_LIMIT,
                                Severity.STOP,
                                Element.of(end.rod()),
                                end.tiltKey(),
                                Phrase.of(
                                        "The " + end.rod().label() + "'s " + end.label()
                                                + " end tilts {0}, allowed {1}, at {2} of steering "
                                                + "wheel with {3} of travel.",
                                        Quantity.angle(tilt.deg()),
                                        Quantity.angle(allowed),
                                        Quantity.angle(tilt.at().steeringWheelDeg()),
                                        Quantity.length(tilt.at().travel())),
                                Phrase.of(
                                        "A rod end past its angle bends its shank every time, and breaks there. Lean its stud or bolt to the "
                                                + "middle of its movement, use one with more angle, or less travel."),
                                RodEndMoves.of(job, end, tilt.deg(), allowed))
                        .titled("%s's %s end over its tilt"
                                .formatted(Element.capital(end.rod().label()), end.label()))
                        .at(
                                tilt.at().steeringWheelDeg(),
                                tilt.at().travel(),
                                tilt.at().travel())));
    }

    private void tyre(List<Finding> all) {
        for (Side way : Side.values()) {
            Optional<LockLimits.Hit> first = figures.limits().first(way).filter(h -> h.limit() == Limit.TYRE);
            first.ifPresent(h -> all.add(new Finding(
                            Fault.TYRE_TOUCHES,
                            Severity.STOP,
                            new Element.Tyres(),
                            Phrase.of(
                                    "Turning " + way.label() + ", the tyre touches first (" + Phrase.name(h.where())
                                            + ") at {0} of steering wheel, " + "before any stop.",
                                    Quantity.angle(Math.abs(h.steeringWheelDeg()))),
                            "A tyre that ends the lock gets cut, and the driver feels no firm stop. A knuckle stop a little before it, or "
                                    + "less gear travel, keeps it clear.",
                            StopMoves.beforeEverything(job, figures))
                    .at(h.steeringWheelDeg(), 0, 0)));
        }
    }
}

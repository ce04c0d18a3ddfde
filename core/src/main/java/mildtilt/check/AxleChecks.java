package mildtilt.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.RodEnds;
import mildtilt.linkage.SteeredAxle;
import mildtilt.measure.Phrase;
import mildtilt.measure.Quantity;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.TravelMap;
import mildtilt.steer.TravelMap.At;
import mildtilt.steer.TravelMap.NotAssembled;
import org.jspecify.annotations.Nullable;

/** Faults of gear, linkage and corners. */
final class AxleChecks {

    /** Tie rod and arm nearer in line than this are a stop: play and flex can carry them over centre, degrees. */
    private static final double TOGGLE_STOP = 12;

    /** Nearer than this wants a look: the steering grows heavy and quick together, degrees. */
    private static final double TOGGLE_LOOK = 25;

    private final Job job;
    private final SteeredAxle axle;
    private final SteerFigures figures;
    private final Optional<TravelMap> map;

    AxleChecks(Job job, SteerFigures figures, Optional<TravelMap> map) {
        this.job = job;
        this.axle = job.axle().orElseThrow();
        this.figures = figures;
        this.map = map;
    }

    List<Finding> findings() {
        List<Finding> all = new ArrayList<>();
        sense(all);
        range(all);
        map.ifPresent(m -> {
            travel(m, all);
            toggle(m, all);
            rodEnds(m, all);
        });
        if (figures.sense() == SteerFigures.Sense.RIGHT_WAY) {
            ackermann(all);
        }
        bumpSteer(all);
        return all;
    }

    private void sense(List<Finding> all) {
        Element gear = new Element.GearElement();
        switch (figures.sense()) {
            case RIGHT_WAY -> { }
            case WRONG_WAY -> all.add(new Finding(Fault.WRONG_WAY, Severity.STOP, gear,
                    Phrase.of("It steers the WRONG WAY: the steering wheel to the left turns the road wheels right."),
                    "Nobody can drive this. It happens when a rack is put on the other side of the axle, or "
                            + "turned over, without changing the side its pinion sits on. Do not move the vehicle.",
                    List.of(turnGearRound())));
            case AGAINST_EACH_OTHER -> all.add(new Finding(Fault.WRONG_WAY, Severity.STOP, gear,
                    Phrase.of("The road wheels turn AGAINST EACH OTHER: one to the left, one to the right."),
                    "One steering arm is on the wrong side of its steer axis. Look whether the left and right "
                            + "knuckles are swapped or one tie-rod point is mistyped.",
                    List.of()));
            case NONE -> all.add(new Finding(Fault.WHEELS_DO_NOT_FOLLOW, Severity.STOP, gear,
                    Phrase.of("The road wheels do not follow the steering wheel."),
                    "The tie rods pull square to the way the arms can move, or stand in line with them.",
                    List.of()));
        }
    }

    private Remedy turnGearRound() {
        return new Remedy(
                Phrase.of("Use a rack whose pinion drives it the other way (pinion on its other side, rack turned over)"),
                j -> j.editAxle(a -> switch (a.gear()) {
                    case RackAndPinion r -> a.withGear(r.withTravelPerLeftTurn(-r.travelPerLeftTurn()));
                }));
    }

    private void range(List<Finding> all) {
        for (Side way : Side.values()) {
            SteerFigures.Reach reach = figures.reach(way);
            if (reach.byToggle()) {
                all.add(new Finding(Fault.LOCK_NOT_REACHED, Severity.STOP, new Element.TieRods(),
                        Phrase.of("Turning " + way.label() + ", the linkage runs out at {0} of steering wheel; the rack "
                                        + "would go on to {1}.",
                                Quantity.angle(Math.abs(reach.reachedDeg())), Quantity.angle(Math.abs(reach.stopDeg()))),
                        "There the tie rod and the arm come into line. Forced further, the wheel can flip over "
                                + "centre and stay there. The rack's end must come first.",
                        List.of()));
            }
        }
    }

    private void travel(TravelMap m, List<Finding> all) {
        boolean lockReached = !figures.leftReach().byToggle() && !figures.rightReach().byToggle();
        if (m.notAssembled().isEmpty() || !lockReached) {
            return;
        }
        NotAssembled first = m.notAssembled().getFirst();
        all.add(new Finding(Fault.TRAVEL_NOT_REACHED, Severity.STOP, new Element.Knuckles(),
                Phrase.of(m.notAssembled().size() + " of " + m.posesRequested() + " places in the range can't be reached, "
                                + "first at {0} of steering wheel with {1} of travel.",
                        Quantity.angle(first.at().steeringWheelDeg()), Quantity.length(first.at().travel())),
                first.reason().sentence() + " The travel given for this vehicle is more than its arms allow.",
                List.of()));
    }

    private void toggle(TravelMap m, List<Finding> all) {
        Optional<TravelMap.RodToArm> near = m.nearestToggle();
        if (near.isEmpty() || near.get().closestToToggle() >= TOGGLE_LOOK) {
            return;
        }
        double deg = near.get().closestToToggle();
        At at = near.get().closestAt();
        all.add(new Finding(Fault.NEAR_TOGGLE, deg < TOGGLE_STOP ? Severity.STOP : Severity.LOOK,
                new Element.SteeringArms(),
                Phrase.of("Tie rod and steering arm come within {0} of being in line, at {1} of steering wheel with "
                        + "{2} of travel.", Quantity.angle(deg), Quantity.angle(at.steeringWheelDeg()),
                        Quantity.length(at.travel())),
                "Near in line the tyre's pull grows many times over in the rod, and play can let the arm go over "
                        + "centre.",
                List.of()));
    }

    private void rodEnds(TravelMap m, List<Finding> all) {
        for (Side side : Side.values()) {
            RodEnds ends = axle.corner(side).rodEnds();
            if (ends.allowedDeg().isEmpty()) {
                continue;
            }
            rodEnd(side, "outer", m.outerTilt().get(side), ends.allowedDeg().get(), all);
            rodEnd(side, "inner", m.innerTilt().get(side), ends.allowedDeg().get(), all);
        }
    }

    private static void rodEnd(
            Side side, String end, TravelMap.@Nullable Tilt tilt, double allowed,
            List<Finding> all) {
        if (tilt == null || tilt.deg() <= allowed) {
            return;
        }
        all.add(new Finding(Fault.ROD_END_OVER_LIMIT, Severity.STOP, new Element.TieRods(),
                Phrase.of("The " + side.label() + " tie rod's " + end + " end tilts {0}, allowed {1}, at {2} of steering "
                        + "wheel with {3} of travel.", Quantity.angle(tilt.deg()), Quantity.angle(allowed),
                        Quantity.angle(tilt.at().steeringWheelDeg()), Quantity.length(tilt.at().travel())),
                "A rod end out of angle is bent at its shank each time, and breaks there.",
                List.of()));
    }

    private void ackermann(List<Finding> all) {
        Optional<Double> at20 = figures.ackermannAt20Pct();
        if (at20.isEmpty()) {
            return;
        }
        double pct = at20.get();
        double min = job.targets().ackermannMinPct();
        double max = job.targets().ackermannMaxPct();
        if (pct >= min && pct <= max) {
            return;
        }
        boolean little = pct < min;
        all.add(new Finding(Fault.ACKERMANN, Severity.LOOK, new Element.SteeringArms(),
                Phrase.of("Too " + (little ? "little" : "much") + " Ackermann: {0} at 20° of inner wheel, wanted {1} to {2}.",
                        Quantity.percent(pct), Quantity.percent(min), Quantity.percent(max)),
                little
                        ? "In tight turns the tyres fight: the inner one is dragged outward, the steering is heavy and the "
                                + "circle wide. On loose or fast ground some builders choose this; then lower the target."
                        : "The inner tyre turns in further than its path: it scrubs and the circle widens again.",
                LinkageMoves.forAckermann(job, little ? min + (max - min) * 0.1 : max - (max - min) * 0.1)));
    }

    private void bumpSteer(List<Finding> all) {
        double deg = figures.worstBumpSteerDeg();
        double wanted = job.targets().bumpSteerDeg();
        if (deg <= wanted) {
            return;
        }
        all.add(new Finding(Fault.BUMP_STEER, Severity.LOOK, new Element.TieRods(),
                Phrase.of("Bump steer: toe changes by {0} over the travel, wanted {1}.",
                        Quantity.angle(deg), Quantity.angle(wanted)),
                "The wheels steer themselves over every bump, and the vehicle wanders.",
                LinkageMoves.forBumpSteer(job)));
    }
}

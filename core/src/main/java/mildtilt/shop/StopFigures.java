package mildtilt.shop;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mildtilt.build.StopBolt;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * What ends the lock, and where straight ahead is, as a bench measures it: bolts and gaps instead of angles, collars
 * instead of a gear's travel.
 *
 * @param bolts of the knuckles' stops that are set
 * @param ends of the gear, a shuttle or a drop arm, either way
 * @param centre of a rack
 * @param back from either lock to straight ahead
 * @param even what makes both locks alike
 * @param straps of the suspension
 */
public record StopFigures(
        List<Bolt> bolts,
        List<End> ends,
        Optional<Centre> centre,
        List<Back> back,
        Optional<Even> even,
        List<Strap> straps) {

    /** A thinner one is not worth making, mm. */
    private static final double LEAST_COLLAR = 0.5;

    /** Locks are no nearer to each other than turn plates tell. */
    private static final double ALIKE_DEG = 0.25;

    public static final StopFigures NONE =
            new StopFigures(List.of(), List.of(), Optional.empty(), List.of(), Optional.empty(), List.of());

    /**
     * A knuckle's stop.
     *
     * @param inner whether it acts with this wheel on the inside of the turn
     * @param deg steer angle at which it acts
     * @param gap between bolt and pad straight ahead, mm: the chord that the bolt's head goes through about the steer
     *     axis. Exact on a kingpin; arms let the axis move as the wheel turns, by which it is up to 3 % off
     * @param standsOut of the bolt from the face it is screwed into, mm; below 0 where it can't act so late
     * @param perDeg of bolt for a degree of lock, there, mm
     */
    public record Bolt(Side side, boolean inner, double deg, double gap, Optional<Double> standsOut, double perDeg) {}

    /**
     * What the gear's part that moves has left to its own end where the lock ends.
     *
     * @param way the wheel is turned
     * @param moved from straight ahead to the lock, mm: of a rack or shuttle, or of a drop arm's end along its chord
     * @param left to the gear's own end, mm
     * @param what it is
     */
    public record End(Side way, Kind what, double moved, double left) {}

    /** Which part moves. */
    public enum Kind {
        RACK("rack", ": a collar that thick ends it there as well"),
        SHUTTLE("shuttle", ": a collar on the bar {0} from it, straight ahead, ends it there as well"),
        ARM("end of the gear's arm", ": a stop {0} from it, straight ahead, ends it there as well");

        private final String label;
        private final String stop;

        Kind(String label, String stop) {
            this.label = label;
            this.stop = stop;
        }

        public String label() {
            return label;
        }
    }

    /**
     * Where a rack stands straight ahead.
     *
     * @param left inner pivot left of the vehicle's middle, mm
     * @param right inner pivot right of it, mm
     * @param travel to either end, mm
     */
    public record Centre(double left, double right, double travel) {

        static Optional<Centre> of(Gear gear) {
            return switch (gear) {
                case RackAndPinion r ->
                    Optional.of(new Centre(
                            r.innerPivot(Side.LEFT, 0).y(),
                            -r.innerPivot(Side.RIGHT, 0).y(),
                            r.travelEachWay()));
                case ArmGear _ -> Optional.empty();
            };
        }
    }

    /** @param turns of the steering wheel from the lock to straight ahead */
    public record Back(Side way, double turns) {}

    /**
     * What makes both locks alike: the later one's stop acts as early as the other.
     *
     * @param lockDeg inner wheel at the lesser lock, which both can have
     * @param later the way whose lock goes further; empty where both are alike
     * @param furtherDeg by how much, degrees
     */
    public record Even(double lockDeg, Optional<Side> later, double furtherDeg) {}

    /** @param length between its ends where it is taut, mm */
    public record Strap(String name, double length) {}

    /** Of a job whose wheels turn. */
    public static StopFigures of(Job job, SteeringTrain train, Optional<SteerFigures> steer) {
        if (steer.isEmpty()) {
            return NONE;
        }
        return new StopFigures(
                bolts(job, train),
                Arrays.stream(Side.values())
                        .flatMap(w -> end(train, steer.get(), w).stream())
                        .toList(),
                Centre.of(train.requireAxle().gear()),
                Arrays.stream(Side.values())
                        .map(w -> new Back(w, Math.abs(lockAt(steer.get(), w)) / 360))
                        .toList(),
                Optional.of(even(steer.get())),
                job.surroundings().obstacles().stream()
                        .flatMap(o -> strap(o).stream())
                        .toList());
    }

    private static double lockAt(SteerFigures s, Side way) {
        return s.lock(way).turn().steeringWheelDeg();
    }

    private static Optional<Strap> strap(Obstacle o) {
        return o.shape() instanceof TwoEnded.Strap s ? Optional.of(new Strap(o.name(), s.taut())) : Optional.empty();
    }

    private static List<Bolt> bolts(Job job, SteeringTrain train) {
        StopBolt bolt = job.making().stopBolt();
        List<Bolt> all = new ArrayList<>();
        train.pose(0, 0, 0).assembled().ifPresent(ahead -> {
            for (Side side : Side.values()) {
                WheelLimits limits = train.requireAxle().corner(side).limits();
                for (boolean inner : new boolean[] {true, false}) {
                    limits.stop(inner)
                            .flatMap(deg -> bolt(ahead.knuckle(side), inner, deg, bolt))
                            .ifPresent(all::add);
                }
            }
        });
        return List.copyOf(all);
    }

    private static Optional<Bolt> bolt(KnucklePose ahead, boolean inner, double deg, StopBolt bolt) {
        double way = ahead.side() == Side.LEFT == inner ? 1 : -1;
        return turn(ahead, way * deg).map(turn -> {
            double gap = gap(bolt.radius(), turn);
            return new Bolt(
                    ahead.side(),
                    inner,
                    deg,
                    gap,
                    bolt.faceToPad().map(f -> f - gap),
                    perDegree(ahead, bolt.radius(), way * turn));
        });
    }

    /**
     * Between a bolt's head and its pad straight ahead, mm: the chord of the turn.
     *
     * @param turn about the steer axis, rad
     */
    public static double gap(double radius, double turn) {
        return 2 * radius * Math.sin(turn / 2);
    }

    /** How much more of the gap, mm, for a degree more of steer there. @param turn about the steer axis, rad, + left */
    public static double perDegree(KnucklePose ahead, double radius, double turn) {
        Direction axis = ahead.steerAxis().direction();
        return Math.toRadians(radius * Math.cos(turn / 2) / axis.headingPerTurn(axis.turn(ahead.spin(), turn)));
    }

    /**
     * How far a knuckle turns about its own axis until its wheel points so far to the left, seen from above, rad,
     * without sign. An axis that leans makes it another angle.
     */
    public static Optional<Double> turn(KnucklePose ahead, double toLeftDeg) {
        Direction axis = ahead.steerAxis().direction();
        Vector spin = ahead.spin();
        double low = 0;
        double high = Math.PI / 2;
        double way = Math.signum(toLeftDeg);
        if (way * heading(ahead, axis.turn(spin, way * high)) < Math.abs(toLeftDeg)) {
            return Optional.empty();
        }
        for (int i = 0; i < 60; i++) {
            double mid = (low + high) / 2;
            if (way * heading(ahead, axis.turn(spin, way * mid)) < Math.abs(toLeftDeg)) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return Optional.of((low + high) / 2);
    }

    private static double heading(KnucklePose k, Vector spin) {
        return Math.toDegrees(Math.atan2(-k.side().sign() * spin.x(), k.side().sign() * spin.y()));
    }

    private static Optional<End> end(SteeringTrain train, SteerFigures s, Side way) {
        AxlePose at = train.pose(lockAt(s, way), 0, 0);
        Optional<Mechanism> there = at.stance().mechanism();
        if (there.orElse(null) instanceof Mechanism.ShuttleAt m) {
            double moved = Math.abs(m.displacement());
            return m.shuttle().travelEachWay().map(t -> new End(way, Kind.SHUTTLE, moved, t - moved));
        }
        return switch (train.requireAxle().gear()) {
            case RackAndPinion r -> {
                double moved = Math.abs(r.displacementAt(Math.toRadians(at.gearInputDeg())));
                yield Optional.of(new End(way, Kind.RACK, moved, r.travelEachWay() - moved));
            }
            case ArmGear g ->
                there.flatMap(m ->
                                m instanceof Mechanism.ByArm a ? Optional.of(Math.abs(a.armAngle())) : Optional.empty())
                        .map(turn -> new End(
                                way,
                                Kind.ARM,
                                gap(g.armLength(), turn),
                                gap(g.armLength(), Math.toRadians(g.sweepEachWayDeg())) - gap(g.armLength(), turn)));
        };
    }

    private static Even even(SteerFigures s) {
        double left = s.lock(Side.LEFT).turn().innerDeg();
        double right = s.lock(Side.RIGHT).turn().innerDeg();
        double further = Math.abs(left - right);
        return new Even(
                Math.min(left, right),
                further < ALIKE_DEG ? Optional.empty() : Optional.of(left > right ? Side.LEFT : Side.RIGHT),
                further);
    }

    /** What is done at the bench, a sentence each. */
    public List<Phrase> orders() {
        List<Phrase> all = new ArrayList<>();
        for (Bolt b : bolts) {
            all.add(Phrase.of(
                    "Stop of the " + b.side.label() + " knuckle, its wheel " + (b.inner ? "inside" : "outside")
                            + " at {0}: {1} of gap straight ahead"
                            + b.standsOut
                                    .map(out -> out >= 0
                                            ? ", the bolt {3} out of its face"
                                            : ", which its pad does not leave: it stands {3} too near to the face")
                                    .orElse("")
                            + "; {2} of bolt for each degree.",
                    Quantity.angle(b.deg),
                    Quantity.length(b.gap),
                    Quantity.length(b.perDeg),
                    Quantity.length(Math.abs(b.standsOut.orElse(0.0)))));
        }
        for (End e : ends) {
            all.add(Phrase.of(
                    "Turned " + e.way.label() + " to the lock, the " + e.what.label()
                            + " has moved {0} and has {1} left"
                            + " to its own end"
                            + (e.left >= LEAST_COLLAR ? e.what.stop : "")
                            + ".",
                    Quantity.length(e.moved),
                    Quantity.length(Math.max(0, e.left))));
        }
        centre.ifPresent(c -> all.add(Phrase.of(
                "Centred, the rack's inner pivots stand {0} left and {1} right of the vehicle's middle, {2} from "
                        + "either end of its travel.",
                Quantity.length(c.left), Quantity.length(c.right), Quantity.length(c.travel))));
        for (Back b : back) {
            all.add(Phrase.of(
                    "Straight ahead is {0} of the steering wheel back from " + b.way.label() + " lock.",
                    Quantity.turns(b.turns)));
        }
        even.ifPresent(e -> all.add(e.later
                .map(way -> Phrase.of(
                        "The " + way.label()
                                + " lock goes {0} further: set its stop at {1} as well, and both are alike.",
                        Quantity.angle(e.furtherDeg),
                        Quantity.angle(e.lockDeg)))
                .orElseGet(
                        () -> Phrase.of("Both locks are alike: {0} of the inner wheel.", Quantity.angle(e.lockDeg)))));
        straps.forEach(s ->
                all.add(Phrase.of(Phrase.name(s.name) + ": {0} between its ends, taut.", Quantity.length(s.length))));
        return List.copyOf(all);
    }
}

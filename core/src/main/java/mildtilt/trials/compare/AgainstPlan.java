package mildtilt.trials.compare;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.clearance.PairGap;
import mildtilt.geometry.Side;
import mildtilt.linkage.AxleSolver;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.forces.Effort;
import mildtilt.trials.Measurand;
import mildtilt.trials.Tolerances;
import mildtilt.trials.TrialReading.Figure;
import mildtilt.units.Quantity;

/**
 * One figure as read against the plan.
 *
 * @param planned empty where the plan has no such part any more, or has nothing to say
 * @param tolerance how far it may be off
 * @param limit what it must not pass, if there is such a thing: a joint's angle and a force from above, a gap from
 * below
 */
public record AgainstPlan(
        Figure read, Optional<Double> planned, double tolerance, Optional<Double> limit, State state) {

    /** What to make of it. */
    public enum State {
        FINE("as planned"),
        UNSURE("can't tell: within its own ±"),
        /** Whatever was planned: what was read is more than the part, the gap or the chosen limit allows. */
        PAST_LIMIT("past its limit"),
        OUT("not as planned"),
        NO_PLAN("nothing to compare with");

        private final String label;

        State(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public static List<AgainstPlan> of(List<Figure> figures, Analysis plan, Tolerances tolerances) {
        return figures.stream()
                .map(f -> of(f, planned(f.what(), plan), tolerances.of(f.what()), limit(f.what(), plan)))
                .toList();
    }

    private static AgainstPlan of(Figure f, Optional<Double> planned, double tolerance, Optional<Double> limit) {
        State state = planned.map(p -> {
                    // A gap may be wider than planned; a force that is far lower was read on something else.
                    double off = f.what() instanceof Measurand.Gap ? p - f.value() : Math.abs(f.value() - p);
                    return off <= tolerance ? State.FINE : off <= tolerance + f.spread() ? State.UNSURE : State.OUT;
                })
                .orElse(State.NO_PLAN);
        boolean past = limit.filter(l -> f.what() instanceof Measurand.Gap ? f.value() < l : f.value() > l)
                .isPresent();
        return new AgainstPlan(f, planned, tolerance, limit, past ? State.PAST_LIMIT : state);
    }

    /** What a figure must not pass, in the gauge's unit; empty where nothing says so. */
    public static Optional<Double> limit(Measurand gauge, Analysis a) {
        return switch (gauge) {
            case Measurand.JointAngle g ->
                a.column().flatMap(c -> joint(a, g).map(i -> c.limitsDeg().get(i)));
            case Measurand.Gap g -> pair(g, a).map(PairGap::need);
            case Measurand.RimForce g ->
                g.onGround() ? Optional.of(a.job().targets().rimForce()) : Optional.empty();
            case Measurand.ShaftLength _,
                    Measurand.RodLength _,
                    Measurand.LockAngle _,
                    Measurand.TurnsTo _,
                    Measurand.GearOffCentre _,
                    Measurand.SpokesOffStraight _,
                    Measurand.RimPlay _,
                    Measurand.FreeReturn _ -> Optional.empty();
        };
    }

    private static Optional<Integer> joint(Analysis a, Measurand.JointAngle g) {
        return a.job().column().flatMap(c -> c.joint(g.joint()));
    }

    private static Optional<PairGap> pair(Measurand.Gap g, Analysis a) {
        return a.clearance().flatMap(c -> c.pairs().stream()
                .filter(p -> p.firstId().equals(g.first()) && p.secondId().equals(g.second()))
                .findFirst());
    }

    /** As read less as planned. */
    public Optional<Quantity> off() {
        return planned.map(p -> new Quantity(read.value() - p, read.what().unit()));
    }

    /** What the plan says should be read, in the gauge's unit. */
    public static Optional<Double> planned(Measurand gauge, Analysis a) {
        Optional<SteerFigures> steer = a.steer();
        return switch (gauge) {
            case Measurand.JointAngle g ->
                a.train().column().flatMap(t -> joint(a, g).map(t::jointAngleDeg));
            case Measurand.ShaftLength g ->
                a.job().column().flatMap(c -> c.shaft(g.shaft()).map(c::length));
            case Measurand.RodLength g ->
                a.train().axle().map(AxleSolver::lengths).map(l -> l.get(g.rod()));
            case Measurand.LockAngle g ->
                steer.map(s -> {
                    TurnGeometry t = s.lock(g.way()).turn();
                    return g.way().sign() * (g.wheel() == Side.LEFT ? t.leftDeg() : t.rightDeg());
                });
            case Measurand.Gap g -> pair(g, a).map(PairGap::gap);
            case Measurand.TurnsTo g ->
                steer.map(s -> Math.abs(s.lock(g.way()).turn().steeringWheelDeg()) / 360);
            case Measurand.RimForce g ->
                g.onGround() ? steer.flatMap(SteerFigures::effort).map(Effort::worstParked) : Optional.empty();
            case Measurand.GearOffCentre _,
                    Measurand.SpokesOffStraight _,
                    Measurand.RimPlay _,
                    Measurand.FreeReturn _ -> Optional.of(0.0);
        };
    }
}

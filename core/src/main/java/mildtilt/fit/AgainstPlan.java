package mildtilt.fit;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mildtilt.analysis.Analysis;
import mildtilt.column.Column;
import mildtilt.geometry.Side;
import mildtilt.linkage.AxleSolver;
import mildtilt.measure.Quantity;
import mildtilt.steer.Effort;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.Turn;
import mildtilt.trial.Gauge;
import mildtilt.trial.Tolerances;
import mildtilt.trial.TrialReading.Figure;

/**
 * One figure as read against the plan.
 *
 * @param planned empty where the plan has no such part any more, or has nothing to say
 * @param tolerance how far it may be off
 */
public record AgainstPlan(Figure read, Optional<Double> planned, double tolerance, State state) {

    /** What to make of it. */
    public enum State {
        FINE("as planned"),
        UNSURE("can't tell: within its own ±"),
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
        return figures.stream().map(f -> of(f, planned(f.what(), plan), tolerances.of(f.what()))).toList();
    }

    private static AgainstPlan of(Figure f, Optional<Double> planned, double tolerance) {
        return new AgainstPlan(f, planned, tolerance, planned.map(p -> {
            // A gap may be wider and a force lower than planned.
            double off = switch (f.what()) {
                case Gauge.Gap _ -> p - f.value();
                case Gauge.RimForce _ -> f.value() - p;
                default -> Math.abs(f.value() - p);
            };
            return off <= tolerance ? State.FINE : off <= tolerance + 2 * f.spread() ? State.UNSURE : State.OUT;
        }).orElse(State.NO_PLAN));
    }

    /** As read less as planned. */
    public Optional<Quantity> off() {
        return planned.map(p -> new Quantity(read.value() - p, read.what().unit()));
    }

    /** What the plan says should be read, in the gauge's unit. */
    public static Optional<Double> planned(Gauge gauge, Analysis a) {
        Optional<SteerFigures> steer = a.steer();
        return switch (gauge) {
            case Gauge.JointAngle g -> a.train().column().flatMap(t -> IntStream.range(0, t.column().joints().size()).boxed()
                    .filter(i -> t.column().joints().get(i).name().equals(g.joint())).findFirst().map(t::jointAngleDeg));
            case Gauge.ShaftLength g -> a.job().column().flatMap((Column c) -> IntStream.range(0, c.shafts().size()).boxed()
                    .filter(i -> c.shafts().get(i).name().equals(g.shaft())).findFirst().map(i -> c.start(i).distanceTo(c.end(i))));
            case Gauge.RodLength g -> a.train().axle().map(AxleSolver::lengths).map(l -> l.get(g.rod()));
            case Gauge.LockAngle g -> steer.map(s -> {
                Turn t = s.lock(g.way()).turn();
                return g.way().sign() * (g.wheel() == Side.LEFT ? t.leftDeg() : t.rightDeg());
            });
            case Gauge.Gap g -> a.clearance().flatMap(c -> c.pairs().stream().filter(p -> p.first().equals(g.first()) && p.second().equals(g.second())).findFirst()).map(p -> p.gap());
            case Gauge.TurnsTo g -> steer.map(s -> Math.abs(s.lock(g.way()).turn().steeringWheelDeg()) / 360);
            case Gauge.RimForce g -> g.onGround() ? steer.flatMap(SteerFigures::effort).map(Effort::worstParked) : Optional.empty();
            case Gauge.GearOffCentre _, Gauge.SpokesOffStraight _, Gauge.RimPlay _, Gauge.FreeReturn _ -> Optional.of(0.0);
        };
    }
}

package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.BarJam;
import mildtilt.steer.forces.DrivePull;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KickBack;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** What the hands and the gear have to give, and what comes back at the hands, as a table. */
public final class ForceTables {

    private ForceTables() {}

    static List<Table> of(Optional<SteerFigures> steer) {
        return steer.map(s -> List.of(forces(s))).orElse(List.of());
    }

    /** One row a figure. */
    public static Table forces(SteerFigures s) {
        List<List<Cell>> rows = new ArrayList<>();
        s.effort().ifPresent(e -> effort(rows, e));
        s.barJam()
                .filter(BarJam::canJam)
                .ifPresent(j -> row(
                        rows,
                        Phrase.of("Friction that jams the shuttle on its bar"),
                        Quantity.friction(j.friction()),
                        Optional.of(j.steeringWheelDeg())));
        s.kickBack().ifPresent(k -> kickBack(rows, k));
        s.drivePull().ifPresent(d -> drivePull(rows, d));
        return new Table(
                "steering-forces",
                "Forces and what comes back at the hands",
                List.of("what", "value", "steering_wheel_deg"),
                List.of("What", "Value", "At steering wheel"),
                rows);
    }

    private static void effort(List<List<Cell>> rows, Effort e) {
        row(rows, Phrase.of("Rim, parked, the most"), Quantity.force(e.worstParked()), Optional.empty());
        row(rows, Phrase.of("Rim, walking pace, the most"), Quantity.force(e.worstCreeping()), Optional.empty());
        row(
                rows,
                Phrase.of(
                        e.gear().unit() == Unit.FORCE
                                ? "Along the rack, parked, the most"
                                : "About the shaft of the gear's arm, parked, the most"),
                e.gear(),
                Optional.empty());
        if (!e.rows().isEmpty()) {
            for (Effort.Row lock : List.of(e.rows().getFirst(), e.rows().getLast())) {
                Optional<Double> at = Optional.of(lock.steeringWheelDeg());
                row(rows, Phrase.of("Weight turns the rim back"), Quantity.force(lock.returning()), at);
                row(
                        rows,
                        Phrase.of("Weight and trail turn it back in a bend of 0.3 g"),
                        Quantity.force(lock.inBend()),
                        at);
            }
        }
        if (e.barFactor() > 1 && Double.isFinite(e.barFactor())) {
            row(
                    rows,
                    Phrase.of("A shuttle's friction multiplies the push by, at the most"),
                    Quantity.times(e.barFactor()),
                    Optional.empty());
        }
    }

    private static void kickBack(List<List<Cell>> rows, KickBack k) {
        for (Side side : Side.values()) {
            KickBack.Wheel w = k.wheel(side);
            String wheel = "The " + side.label() + " wheel ";
            w.turn()
                    .ifPresent(deg -> row(
                            rows,
                            Phrase.of(
                                    wheel + "{0} higher turns the steering wheel, let go, to the " + way(deg),
                                    Quantity.length(w.rise())),
                            Quantity.angle(Math.abs(deg)),
                            Optional.of(0.0)));
            w.pull().ifPresent(p -> {
                row(
                        rows,
                        Phrase.of(wheel + "pushed back with its own load pulls the rim to the " + way(p.blow())),
                        Quantity.force(Math.abs(p.blow())),
                        Optional.of(0.0));
                row(
                        rows,
                        Phrase.of(wheel + "braked alone with half its load pulls the rim to the " + way(p.braked())),
                        Quantity.force(Math.abs(p.braked())),
                        Optional.of(0.0));
            });
        }
    }

    private static void drivePull(List<List<Cell>> rows, DrivePull d) {
        for (DrivePull.Row r : d.rows()) {
            row(
                    rows,
                    Phrase.of("Driven with 0.3 of the load, the rim pulls to the " + way(r.pull())),
                    Quantity.force(Math.abs(r.pull())),
                    Optional.of(r.steeringWheelDeg()));
            r.bentDeg()
                    .forEach((side, deg) -> row(
                            rows,
                            Phrase.of("The " + side.label() + " driven shaft's joint at the wheel is bent"),
                            Quantity.angle(deg),
                            Optional.of(r.steeringWheelDeg())));
        }
    }

    private static String way(double left) {
        return (left >= 0 ? Side.LEFT : Side.RIGHT).label();
    }

    private static void row(List<List<Cell>> rows, Phrase what, Quantity value, Optional<Double> at) {
        rows.add(List.of(Cell.of(what), Cell.of(value), Cell.of(at.map(Quantity::angle))));
    }
}

package mildtilt.app.piece;

import static mildtilt.app.piece.PieceField.angle;
import static mildtilt.app.piece.PieceField.length;
import static mildtilt.app.piece.PieceField.number;

import java.util.ArrayList;
import java.util.List;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Targets;
import mildtilt.job.Vehicle;

/** Which sizes, points apart, each element has to type. */
final class PieceFields {

    private PieceFields() {}

    static List<PieceField> ofVehicle(Job job) {
        Vehicle v = job.vehicle();
        List<PieceField> all = new ArrayList<>(List.of(
                length("Wheelbase", v.wheelbase(), (j, x) -> j.withVehicle(j.vehicle().withWheelbase(x))),
                length("Bump travel", v.bump(), (j, x) -> j.withVehicle(j.vehicle().withBump(x))),
                length("Droop travel", v.droop(), (j, x) -> j.withVehicle(j.vehicle().withDroop(x))),
                length("Normal bump travel", v.normalBump(),
                        (j, x) -> j.withVehicle(j.vehicle().withNormal(x, j.vehicle().normalDroop())))
                        .meaning("The part of the travel that everyday driving uses."),
                length("Normal droop travel", v.normalDroop(),
                        (j, x) -> j.withVehicle(j.vehicle().withNormal(j.vehicle().normalBump(), x)))
                        .meaning("The part of the travel that everyday driving uses.")));
        all.addAll(wanted(job.targets()));
        return all;
    }

    private static List<PieceField> wanted(Targets t) {
        return List.of(
                number("Most ripple wanted, %", t.ripplePct(), (j, v) -> j.withTargets(j.targets().withRipplePct(v))),
                number("Least Ackermann wanted, %", t.ackermannMinPct(),
                        (j, v) -> j.withTargets(j.targets().withAckermann(v, j.targets().ackermannMaxPct()))),
                number("Most Ackermann wanted, %", t.ackermannMaxPct(),
                        (j, v) -> j.withTargets(j.targets().withAckermann(j.targets().ackermannMinPct(), v))),
                angle("Most bump steer wanted", t.bumpSteerDeg(), (j, v) -> j.withTargets(j.targets().withBumpSteerDeg(v)))
                        .meaning("Over the normal travel, peak to peak."),
                PieceField.optional("Lock wanted, inner wheel", PieceField.Measure.ANGLE, t.lockDeg(),
                        (j, v) -> j.withTargets(j.targets().withLockDeg(v))),
                angle("Least to over-centre", t.toggleDeg(), (j, v) -> j.withTargets(j.targets().withToggleDeg(v)))
                        .meaning("Least angle between any rod and its arm and their being in line."),
                angle("Most rake of a rod", t.rakeDeg(), (j, v) -> j.withTargets(j.targets().withRakeDeg(v)))
                        .meaning("In plan, against the way its inner end moves."),
                number("Most rim force parked, N", t.rimForce(), (j, v) -> j.withTargets(j.targets().withRimForce(v))),
                number("Least buckling margin, times", t.bucklingMargin(), (j, v) -> j.withTargets(j.targets().withBucklingMargin(v))));
    }

    static List<PieceField> of(Job job, Element element) {
        return switch (element) {
            case Element.Wheel _, Element.ShaftAt _, Element.JointAt _, Element.Tube _, Element.BearingAt _ ->
                    new ColumnFields(job.column().orElseThrow()).of(element);
            case Element.InTheWay i -> ObstacleFields.of(job.surroundings().obstacles().get(i.index()), i.index());
            case Element.AtTheWheel _ -> ObstacleFields.driver(job.surroundings().driver().orElseThrow());
            case Element.GearElement _, Element.GearArm _, Element.DrivenRod _, Element.Relay _, Element.TieRods _,
                    Element.SteeringArms _, Element.Knuckles _, Element.BeamElement _, Element.Tyres _ -> AxleFields.of(job, element);
        };
    }
}

package mildtilt.app.piece;

import static mildtilt.app.piece.PieceField.angle;
import static mildtilt.app.piece.PieceField.length;
import static mildtilt.app.piece.PieceField.number;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import mildtilt.column.Column;
import mildtilt.column.ForkFit;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Targets;
import mildtilt.job.Vehicle;

/** Which sizes, points apart, each element has to type. */
final class PieceFields {

    private static final String TAKE_OFF = "From the joint centre to the face the shaft enters.";
    private static final String ENGAGEMENT = "How far the shaft goes in past that face.";

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
            case Element.Wheel _ -> wheel(job);
            case Element.ShaftAt s -> shaft(job.column().orElseThrow(), s.index());
            case Element.JointAt j -> joint(job.column().orElseThrow().joints().get(j.index()), j.index());
            case Element.GearElement _, Element.GearArm _, Element.DrivenRod _, Element.Relay _, Element.TieRods _,
                    Element.SteeringArms _, Element.Knuckles _, Element.BeamElement _, Element.Tyres _ -> AxleFields.of(job, element);
        };
    }

    private static List<PieceField> wheel(Job job) {
        Column c = job.column().orElseThrow();
        return List.of(
                length("Rim diameter", c.wheelDiameter(), (j, v) -> j.editColumn(k -> k.withWheelDiameter(v))),
                angle("First fork, straight ahead", c.firstForkDeg(), (j, v) -> j.editColumn(k -> k.withFirstForkDeg(v)))
                        .meaning("Where the first fork's pin stands, from square to the plane of the first two shafts."));
    }

    private static List<PieceField> shaft(Column c, int index) {
        Shaft s = c.shafts().get(index);
        List<PieceField> fields = new ArrayList<>();
        if (c.liesBetweenJoints(index)) {
            fields.add(angle("Clocking, + clockwise", s.clockingDeg(),
                    (j, v) -> j.editColumn(k -> k.withShaft(index, k.shafts().get(index).withClockingDeg(v))))
                    .meaning("From the wheel-end fork pin to the gear-end fork pin, + clockwise seen from the wheel end."));
        }
        fields.add(length("Diameter", s.diameter(),
                (j, v) -> j.editColumn(k -> k.withShaft(index, k.shafts().get(index).withDiameter(v)))));
        return fields;
    }

    private static List<PieceField> joint(Joint joint, int index) {
        ForkFit w = joint.wheelSide();
        ForkFit g = joint.gearSide();
        return List.of(
                angle("Largest angle allowed", joint.maxAngleDeg(), (j, v) -> withJoint(j, index, x -> x.withMaxAngleDeg(v))),
                length("Take-off, wheel side", w.takeOff(),
                        (j, v) -> withJoint(j, index, x -> x.withFits(new ForkFit(v, x.wheelSide().engagement()), x.gearSide()))).meaning(TAKE_OFF),
                length("Engagement, wheel side", w.engagement(),
                        (j, v) -> withJoint(j, index, x -> x.withFits(new ForkFit(x.wheelSide().takeOff(), v), x.gearSide()))).meaning(ENGAGEMENT),
                length("Take-off, gear side", g.takeOff(),
                        (j, v) -> withJoint(j, index, x -> x.withFits(x.wheelSide(), new ForkFit(v, x.gearSide().engagement())))).meaning(TAKE_OFF),
                length("Engagement, gear side", g.engagement(),
                        (j, v) -> withJoint(j, index, x -> x.withFits(x.wheelSide(), new ForkFit(x.gearSide().takeOff(), v)))).meaning(ENGAGEMENT));
    }

    private static Job withJoint(Job job, int index, UnaryOperator<Joint> edit) {
        return job.editColumn(c -> c.withJoint(index, edit.apply(c.joints().get(index))));
    }
}

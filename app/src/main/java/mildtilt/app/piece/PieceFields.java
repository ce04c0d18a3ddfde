package mildtilt.app.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.app.piece.PieceField.Measure;
import mildtilt.column.Column;
import mildtilt.column.ForkFit;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.gear.RackAndPinion;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Targets;

/** Which sizes, points apart, each element has to type. */
final class PieceFields {

    private static final String CLOCKING = "Clocking, + clockwise";
    private static final String TRAVEL_PER_TURN = "Travel per left turn";

    private PieceFields() {}

    static List<PieceField> ofVehicle(Job job) {
        Targets t = job.targets();
        return List.of(
                length("Wheelbase", job.vehicle().wheelbase(), (j, v) -> j.withVehicle(j.vehicle().withWheelbase(v))),
                length("Bump travel", job.vehicle().bump(), (j, v) -> j.withVehicle(j.vehicle().withBump(v))),
                length("Droop travel", job.vehicle().droop(), (j, v) -> j.withVehicle(j.vehicle().withDroop(v))),
                number("Most ripple wanted, %", t.ripplePct(), (j, v) -> j.withTargets(new Targets(
                        v, j.targets().ackermannMinPct(), j.targets().ackermannMaxPct(), j.targets().bumpSteerDeg()))),
                number("Least Ackermann wanted, %", t.ackermannMinPct(), (j, v) -> j.withTargets(new Targets(
                        j.targets().ripplePct(), v, j.targets().ackermannMaxPct(), j.targets().bumpSteerDeg()))),
                number("Most Ackermann wanted, %", t.ackermannMaxPct(), (j, v) -> j.withTargets(new Targets(
                        j.targets().ripplePct(), j.targets().ackermannMinPct(), v, j.targets().bumpSteerDeg()))),
                angle("Most bump steer wanted", t.bumpSteerDeg(), (j, v) -> j.withTargets(new Targets(
                        j.targets().ripplePct(), j.targets().ackermannMinPct(), j.targets().ackermannMaxPct(), v))));
    }

    static List<PieceField> of(Job job, Element element) {
        return switch (element) {
            case Element.Wheel _ -> wheel(job);
            case Element.ShaftAt s -> shaft(job.column().orElseThrow(), s.index());
            case Element.JointAt j -> joint(job.column().orElseThrow().joints().get(j.index()), j.index());
            case Element.GearElement _ -> switch (job.axle().orElseThrow().gear()) {
                case RackAndPinion r -> rack(r);
            };
            case Element.Tyres _ -> List.of(length("Tyre width", job.vehicle().tyreWidth(),
                    (j, v) -> j.withVehicle(j.vehicle().withTyreWidth(v))));
            case Element.TieRods _, Element.SteeringArms _, Element.Knuckles _ -> List.of();
        };
    }

    private static List<PieceField> wheel(Job job) {
        Column c = job.column().orElseThrow();
        return List.of(
                length("Rim diameter", c.wheelDiameter(), (j, v) -> j.editColumn(k -> k.withWheelDiameter(v))),
                angle("First fork, straight ahead", c.firstForkDeg(), (j, v) -> j.editColumn(k -> k.withFirstForkDeg(v))));
    }

    private static List<PieceField> shaft(Column c, int index) {
        Shaft s = c.shafts().get(index);
        List<PieceField> fields = new ArrayList<>();
        if (c.liesBetweenJoints(index)) {
            fields.add(angle(CLOCKING, s.clockingDeg(),
                    (j, v) -> j.editColumn(k -> k.withShaft(index, k.shafts().get(index).withClockingDeg(v)))));
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
                        (j, v) -> withJoint(j, index, x -> x.withFits(new ForkFit(v, x.wheelSide().engagement()), x.gearSide()))),
                length("Engagement, wheel side", w.engagement(),
                        (j, v) -> withJoint(j, index, x -> x.withFits(new ForkFit(x.wheelSide().takeOff(), v), x.gearSide()))),
                length("Take-off, gear side", g.takeOff(),
                        (j, v) -> withJoint(j, index, x -> x.withFits(x.wheelSide(), new ForkFit(v, x.gearSide().engagement())))),
                length("Engagement, gear side", g.engagement(),
                        (j, v) -> withJoint(j, index, x -> x.withFits(x.wheelSide(), new ForkFit(x.gearSide().takeOff(), v)))));
    }

    private static Job withJoint(Job job, int index, UnaryOperator<Joint> edit) {
        return job.editColumn(c -> c.withJoint(index, edit.apply(c.joints().get(index))));
    }

    private static List<PieceField> rack(RackAndPinion r) {
        return List.of(
                length("Inner pivot spacing", r.pivotSpacing(), (j, v) -> withRack(j, x -> x.withPivotSpacing(v))),
                length(TRAVEL_PER_TURN, r.travelPerLeftTurn(),
                        (j, v) -> withRack(j, x -> x.withTravelPerLeftTurn(v))),
                length("Travel each way", r.travelEachWay(), (j, v) -> withRack(j, x -> x.withTravelEachWay(v))));
    }

    private static Job withRack(Job job, UnaryOperator<RackAndPinion> edit) {
        return job.editAxle(a -> switch (a.gear()) {
            case RackAndPinion r -> a.withGear(edit.apply(r));
        });
    }

    private static PieceField length(String label, double mm, BiFunction<Job, Double, Job> set) {
        return new PieceField(label, meaning(label), Measure.LENGTH, mm, set);
    }

    private static PieceField angle(String label, double deg, BiFunction<Job, Double, Job> set) {
        return new PieceField(label, meaning(label), Measure.ANGLE, deg, set);
    }

    private static PieceField number(String label, double value, BiFunction<Job, Double, Job> set) {
        return new PieceField(label, meaning(label), Measure.NUMBER, value, set);
    }

    private static String meaning(String label) {
        return switch (label) {
            case CLOCKING -> "From the wheel-end fork pin to the gear-end fork pin, + clockwise seen from the wheel end.";
            case TRAVEL_PER_TURN -> "How far the rack moves to the left for one turn of the pinion to the left. "
                    + "Below 0 it moves to the right, as a rack behind the axle must.";
            case "First fork, straight ahead" -> "Where the first fork's pin stands, from square to the plane of the first two shafts.";
            default -> label.startsWith("Take-off") ? "From the joint centre to the face the shaft enters."
                    : label.startsWith("Engagement") ? "How far the shaft goes in past that face." : "";
        };
    }
}

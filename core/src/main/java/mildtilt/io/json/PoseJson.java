package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;
import static mildtilt.io.JsonTree.point;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import mildtilt.analysis.Analysis;
import mildtilt.column.ColumnTrain;
import mildtilt.geometry.Side;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.RodEndAngles;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringInput;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KnucklePose;

/** The whole pose at one position as JSON, or why there is none. */
final class PoseJson {

    private PoseJson() {}

    static ObjectNode tree(Analysis analysis, SteeringInput at) {
        ObjectNode o = object();
        number(o, "steering_wheel_deg", at.steeringWheelDeg());
        number(o, "travel_left_mm", at.travelLeft());
        number(o, "travel_right_mm", at.travelRight());
        if (analysis.train().axle().isEmpty()) {
            number(o, "gear_input_deg", analysis.train().gearInputDeg(at.steeringWheelDeg()));
            return o;
        }
        AxleSolver axle = analysis.train().axle().get();
        AxlePose pose = analysis.train().pose(at.steeringWheelDeg(), at.travelLeft(), at.travelRight());
        number(o, "gear_input_deg", pose.gearInputDeg());
        if (axle.axle().gearOnAxle()) {
            analysis.train().columnAt(pose.stance().gearMove()).ifPresent(c -> following(o, c));
        }
        SteerJson.mechanism(o, axle.axle(), pose.stance());
        o.put("assembles", pose.assembled().isPresent());
        o.set("left", corner(axle, Side.LEFT, pose.left()));
        o.set("right", corner(axle, Side.RIGHT, pose.right()));
        if (pose.assembled().isPresent()) {
            ObjectNode tilts = o.putObject("rod_end_misalignment");
            ObjectNode arms = o.putObject("rod_to_arm_angles");
            ObjectNode offCentre = o.putObject("over_centre_margins");
            axle.atRodEnds(pose.stance(), new RodEndAngles.Visitor() {
                @Override
                public void tilt(RodEnd end, double deg) {
                    number(tilts, end.tiltKey() + "_deg", deg);
                }

                @Override
                public void arm(RodEnd end, double deg) {
                    number(arms, end.armKey() + "_deg", deg);
                }

                @Override
                public void offCentre(RodEnd end, double deg) {
                    number(offCentre, end.armKey() + "_deg", deg);
                }
            });
        }
        return o;
    }

    /** A column that goes with the axle stands otherwise at each position. */
    private static void following(ObjectNode o, ColumnTrain now) {
        ArrayNode angles = o.putArray("joint_angles_deg");
        for (int i = 0; i < now.column().joints().size(); i++) {
            angles.add(now.jointAngleDeg(i));
        }
        ArrayNode lengths = o.putArray("shaft_lengths_mm");
        for (int i = 0; i < now.column().shafts().size(); i++) {
            lengths.add(now.column().length(i));
        }
    }

    private static ObjectNode corner(AxleSolver axle, Side side, CornerPose pose) {
        ObjectNode o = object();
        switch (pose) {
            case CannotAssemble c -> {
                o.put("why_not", c.sentence());
                number(
                        o,
                        switch (c.reason()) {
                            case JOINT_LOCKED -> "joint_angle_deg";
                            case GEAR_TURNED_OUT -> "gear_input_missing_deg";
                            case LINK, WHEEL_TRAVEL, GEAR_END -> "missing_mm";
                        },
                        c.amount());
            }
            case KnucklePose k -> {
                number(o, "delta_deg", k.steerDeg());
                number(o, "toe_in_deg", k.toeInDeg());
                number(o, "camber_deg", k.camberDeg());
                number(o, "kingpin_inclination_deg", k.kingpinInclinationDeg());
                number(o, "caster_deg", k.casterDeg());
                number(o, "scrub_radius_mm", k.scrubRadius());
                number(o, "mechanical_trail_mm", k.mechanicalTrail());
                number(
                        o,
                        "wheel_centre_" + side.code() + "_y_shift_mm",
                        k.wheelCentre().y()
                                - axle.axle()
                                        .corner(side)
                                        .knuckle()
                                        .wheelCentre()
                                        .y());
                number(o, "rod_to_arm_deg", k.rodToArmDeg());
                o.set("wheel_centre_mm", point(k.wheelCentre()));
                o.set("contact_point_mm", point(k.contactPoint()));
                o.set("steer_axis_low_mm", point(k.steerAxisLow()));
                o.set("steer_axis_high_mm", point(k.steerAxisHigh()));
                o.set("tie_rod_outer_mm", point(k.tieRodPoint()));
                o.set("tie_rod_inner_mm", point(k.tieRodInner()));
            }
        }
        return o;
    }
}

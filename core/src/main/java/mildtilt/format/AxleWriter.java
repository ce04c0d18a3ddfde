package mildtilt.format;

import static mildtilt.format.JobWriter.direction;
import static mildtilt.format.JobWriter.number;
import static mildtilt.format.JobWriter.object;
import static mildtilt.format.JobWriter.point;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.gear.ColumnArm;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.gear.SteeringBox;
import mildtilt.linkage.Beam;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.Corner;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.Linkage;
import mildtilt.linkage.RackTieRods;
import mildtilt.linkage.RodEnds;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.WheelLimits;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;

/** Gear, linkage, beam and corners as JSON, as {@link AxleReader} reads them. */
final class AxleWriter {

    private AxleWriter() {}

    static ObjectNode axle(SteeredAxle a) {
        ObjectNode o = object();
        o.set("gear", gear(a.gear()));
        o.set("linkage", linkage(a.linkage()));
        a.beam().ifPresent(b -> o.set("beam", beam(b)));
        o.set("left", corner(a.left()));
        a.ownRight().ifPresent(r -> o.set("right", corner(r)));
        return o;
    }

    private static ObjectNode gear(Gear gear) {
        ObjectNode g = object();
        switch (gear) {
            case RackAndPinion r -> {
                g.put("kind", "rack_and_pinion");
                g.set("centre_mm", point(r.centre()));
                g.set("axis", direction(r.axis()));
                number(g, "pivot_spacing_mm", r.pivotSpacing());
                number(g, "travel_per_left_turn_mm", r.travelPerLeftTurn());
                number(g, "travel_each_way_mm", r.travelEachWay());
            }
            case SteeringBox b -> {
                arm(g, "steering_box", b);
                number(g, "ratio", b.ratio());
            }
            case ColumnArm c -> arm(g, "column_arm", c);
        }
        return g;
    }

    private static void arm(ObjectNode g, String kind, ArmGear arm) {
        g.put("kind", kind);
        g.set("axis_point_mm", point(arm.axis().origin()));
        g.set("axis", direction(arm.axis().direction()));
        g.set("arm_end_mm", point(arm.armEnd()));
        number(g, "sweep_each_way_deg", arm.sweepEachWayDeg());
    }

    private static ObjectNode linkage(Linkage linkage) {
        ObjectNode o = object();
        switch (linkage) {
            case RackTieRods _ -> o.put("kind", "rack_tie_rods");
            case CentreLink c -> {
                o.put("kind", "centre_link");
                number(o, "left_fraction", c.leftFraction());
                number(o, "right_fraction", c.rightFraction());
                c.ownIdler().ifPresent(i -> {
                    ObjectNode idler = o.putObject("idler");
                    idler.set("axis_point_mm", point(i.axis().origin()));
                    idler.set("axis", direction(i.axis().direction()));
                    idler.set("end_mm", point(i.end()));
                });
            }
            case DragLink d -> {
                o.put("kind", "drag_link");
                switch (d.attachment()) {
                    case Attachment.OnKnuckle k -> {
                        o.put("knuckle_side", k.side().code());
                        o.set("knuckle_point_mm", point(k.point()));
                    }
                    case Attachment.OnTieRod t -> number(o, "tie_rod_fraction", t.fraction());
                }
                o.set("ends", rodEnds(d.ends()));
            }
            case BellCrank b -> {
                o.put("kind", "bell_crank");
                o.set("pivot_point_mm", point(b.pivot().origin()));
                o.set("pivot_axis", direction(b.pivot().direction()));
                o.set("drag_rod_point_mm", point(b.dragRodPoint()));
                o.set("left_tie_rod_point_mm", point(b.leftTieRodPoint()));
                b.ownRightTieRodPoint().ifPresent(p -> o.set("right_tie_rod_point_mm", point(p)));
                o.set("drag_rod_ends", rodEnds(b.dragRodEnds()));
            }
            case Shuttle s -> {
                o.put("kind", "shuttle");
                o.set("slide", direction(s.slide()));
                o.set("link_point_mm", point(s.linkPoint()));
                o.set("left_inner_mm", point(s.leftInner()));
                s.ownRightInner().ifPresent(p -> o.set("right_inner_mm", point(p)));
                s.travelEachWay().ifPresent(t -> number(o, "travel_each_way_mm", t));
                o.set("link_ends", rodEnds(s.linkEnds()));
            }
        }
        return o;
    }

    private static ObjectNode beam(Beam beam) {
        ObjectNode o = object();
        switch (beam) {
            case Beam.Sprung s -> {
                o.put("kind", "sprung");
                s.trackBar().ifPresent(t -> {
                    ObjectNode bar = o.putObject("track_bar");
                    bar.set("body_end_mm", point(t.bodyEnd()));
                    bar.set("axle_end_mm", point(t.axleEnd()));
                });
            }
            case Beam.CentrePin c -> {
                o.put("kind", "centre_pin");
                o.set("pin_point_mm", point(c.pin().origin()));
                o.set("pin_axis", direction(c.pin().direction()));
            }
        }
        return o;
    }

    private static ObjectNode corner(Corner c) {
        ObjectNode o = object();
        o.set("suspension", suspension(c.suspension()));
        Knuckle k = c.knuckle();
        ObjectNode kn = o.putObject("knuckle");
        kn.set("wheel_centre_mm", point(k.wheelCentre()));
        kn.set("spin_axis_point_mm", point(k.spinAxisPoint()));
        kn.set("tie_rod_point_mm", point(k.tieRodPoint()));
        o.set("rod_ends", rodEnds(c.rodEnds()));
        if (!c.limits().equals(WheelLimits.NONE)) {
            o.set("limits", limits(c.limits()));
        }
        return o;
    }

    private static ObjectNode suspension(Suspension suspension) {
        ObjectNode s = object();
        switch (suspension) {
            case DoubleWishbone w -> {
                s.put("kind", "double_wishbone");
                s.set("lower_inner_front_mm", point(w.lowerInnerFront()));
                s.set("lower_inner_rear_mm", point(w.lowerInnerRear()));
                s.set("lower_ball_joint_mm", point(w.lowerBallJoint()));
                s.set("upper_inner_front_mm", point(w.upperInnerFront()));
                s.set("upper_inner_rear_mm", point(w.upperInnerRear()));
                s.set("upper_ball_joint_mm", point(w.upperBallJoint()));
            }
            case Strut t -> {
                s.put("kind", "strut");
                s.set("lower_inner_front_mm", point(t.lowerInnerFront()));
                s.set("lower_inner_rear_mm", point(t.lowerInnerRear()));
                s.set("lower_ball_joint_mm", point(t.lowerBallJoint()));
                s.set("top_mount_mm", point(t.topMount()));
                s.set("strut_lower_point_mm", point(t.axisLowerPoint()));
            }
            case Kingpin k -> {
                s.put("kind", "kingpin");
                s.set("lower_point_mm", point(k.lower()));
                s.set("upper_point_mm", point(k.upper()));
            }
        }
        return s;
    }

    private static ObjectNode rodEnds(RodEnds r) {
        ObjectNode ends = object();
        r.outerBolt().ifPresent(d -> ends.set("outer_bolt", direction(d)));
        r.innerBolt().ifPresent(d -> ends.set("inner_bolt", direction(d)));
        optional(ends, "allowed_deg", r.allowedDeg());
        r.tube().ifPresent(t -> {
            ObjectNode tube = ends.putObject("tube");
            number(tube, "outside_mm", t.outside());
            number(tube, "wall_mm", t.wall());
            number(tube, "crank_mm", t.crank());
            number(tube, "yield_mpa", t.yield());
        });
        return ends;
    }

    private static ObjectNode limits(WheelLimits w) {
        ObjectNode o = object();
        optional(o, "stop_inner_deg", w.stopInner());
        optional(o, "stop_outer_deg", w.stopOuter());
        optional(o, "tyre_inner_deg", w.tyreInner());
        optional(o, "tyre_outer_deg", w.tyreOuter());
        return o;
    }

    private static void optional(ObjectNode o, String key, Optional<Double> value) {
        value.ifPresent(v -> number(o, key, v));
    }
}

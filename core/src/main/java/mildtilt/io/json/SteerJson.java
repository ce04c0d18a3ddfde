package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;
import static mildtilt.io.JsonTree.point;
import static mildtilt.io.json.AnalysisJson.optional;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.HandSwing;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerFigures.BumpRow;
import mildtilt.steer.SteerFigures.Reach;
import mildtilt.steer.SteerFigures.Sense;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.range.TravelMap;
import mildtilt.steer.range.TravelMap.At;
import mildtilt.suspension.KnucklePose;

/** The figures of gear, linkage and corners as JSON. */
final class SteerJson {

    private SteerJson() {}

    static ObjectNode tree(Analysis analysis, SteerFigures s) {
        ObjectNode o = object();
        ObjectNode lengths = o.putObject("lengths");
        for (Rod rod : Rod.values()) {
            if (s.lengths().containsKey(rod)) {
                number(lengths, rod.key(), s.lengths().get(rod));
            }
        }
        trackBar(analysis.job()).ifPresent(mm -> number(lengths, "track_bar_mm", mm));
        o.set("static_left", still(s.left(), s.axisSpacing()));
        o.set("static_right", still(s.right(), s.axisSpacing()));
        o.set("range", range(s));
        ArrayNode rows = o.putArray("steer_table");
        s.rows().forEach(r -> rows.add(steerRow(analysis.train().requireAxle(), r)));
        o.set("steering_ratio", ratio(s));
        ObjectNode lock = o.putObject("full_lock");
        lock.set("steering_wheel_left", lock(s.leftReach()));
        lock.set("steering_wheel_right", lock(s.rightReach()));
        number(o, "turns_lock_to_lock", s.turnsLockToLock());
        s.play().ifPresent(p -> {
            ObjectNode play = o.putObject("play");
            number(play, "left_wheel_deg", p.leftDeg());
            number(play, "right_wheel_deg", p.rightDeg());
            number(play, "steering_wheel_deg", p.steeringWheelDeg());
        });
        s.hands().ifPresent(h -> o.set("hands", hands(h)));
        ObjectNode at20 = o.putObject("ackermann_at_inner_20_deg");
        turnOrNull(at20, "steering_wheel_left", s.leftAtInner20());
        turnOrNull(at20, "steering_wheel_right", s.rightAtInner20());
        number(o, "bump_steer_left_peak_to_peak_deg", s.bumpSteerDeg(Side.LEFT));
        number(o, "bump_steer_right_peak_to_peak_deg", s.bumpSteerDeg(Side.RIGHT));
        ArrayNode bump = o.putArray("bump_steer_table");
        s.bump().forEach(b -> bump.add(bumpRow(s, b)));
        RangeJson.put(o, analysis, s);
        analysis.map().ifPresent(m -> map(o, m));
        return o;
    }

    private static ObjectNode hands(HandSwing h) {
        ObjectNode o = object();
        o.put("on", Id.of(h.bar().kind()).text());
        number(o, "radius_mm", h.radius());
        number(o, "turned_left_deg", h.leftDeg());
        number(o, "turned_right_deg", h.rightDeg());
        number(o, "grip_forward_mm", h.ahead());
        number(o, "grip_back_mm", h.back());
        optional(o, "farthest_from_shoulder_mm", h.reach().map(HandSwing.Reach::mm));
        return o;
    }

    private static ObjectNode still(KnucklePose k, double axisSpacing) {
        ObjectNode o = object();
        number(o, "toe_in_deg", k.toeInDeg());
        number(o, "camber_deg", k.camberDeg());
        number(o, "kingpin_inclination_deg", k.kingpinInclinationDeg());
        number(o, "caster_deg", k.casterDeg());
        number(o, "scrub_radius_mm", k.scrubRadius());
        number(o, "mechanical_trail_mm", k.mechanicalTrail());
        o.set("steer_axis_ground_point_mm", point(k.axisOnGround()));
        o.set("contact_point_mm", point(k.contactPoint()));
        number(o, "steer_axis_ground_separation_mm", axisSpacing);
        return o;
    }

    private static ObjectNode range(SteerFigures s) {
        ObjectNode o = object();
        number(o, "steering_wheel_stop_left_deg", s.leftReach().stopDeg());
        number(o, "steering_wheel_stop_right_deg", s.rightReach().stopDeg());
        number(
                o,
                "steering_wheel_stop_each_way_deg",
                Math.min(s.leftReach().stopDeg(), -s.rightReach().stopDeg()));
        number(o, "largest_reachable_steering_wheel_left_deg", s.leftReach().reachedDeg());
        o.put("limited_left_by", limit(s.leftReach()));
        number(o, "largest_reachable_steering_wheel_right_deg", s.rightReach().reachedDeg());
        o.put("limited_right_by", limit(s.rightReach()));
        return o;
    }

    private static String limit(Reach r) {
        return r.byToggle() ? "toggle" : "stop";
    }

    private static Optional<Double> trackBar(Job job) {
        return job.axle().flatMap(SteeredAxle::beam).flatMap(Beam::trackBar).map(TrackBar::length);
    }

    private static ObjectNode steerRow(SteeredAxle axle, SteerRow r) {
        ObjectNode o = object();
        number(o, "steering_wheel_deg", r.steeringWheelDeg());
        number(o, "gear_input_deg", r.gearInputDeg());
        o.put("assembles", r.turn().isPresent());
        optional(o, "delta_left_deg", r.turn().map(TurnGeometry::leftDeg));
        optional(o, "delta_right_deg", r.turn().map(TurnGeometry::rightDeg));
        optional(o, "ratio", r.ratio());
        optional(o, "ackermann_pct", r.turn().flatMap(TurnGeometry::ackermannPct));
        optional(o, "outer_wheel_error_deg", r.turn().flatMap(TurnGeometry::outerErrorDeg));
        mechanism(o, axle, r.pose().stance());
        return o;
    }

    /** Where the parts between gear and tie rods stand. */
    static void mechanism(ObjectNode o, SteeredAxle axle, AxleConfiguration stance) {
        String arm = axle.gear() instanceof ArmGear g && !g.boxed() ? "column_arm_angle_deg" : "pitman_angle_deg";
        switch (stance.mechanism().orElse(null)) {
            case null -> {}
            case Mechanism.RackAt m -> number(o, "rack_displacement_mm", m.displacement());
            case Mechanism.CentreLinkAt m -> {
                number(o, arm, Math.toDegrees(m.armAngle()));
                number(o, "idler_angle_deg", Math.toDegrees(m.idlerAngle()));
            }
            case Mechanism.ArmTieRodsAt m -> number(o, arm, Math.toDegrees(m.armAngle()));
            case Mechanism.DragLinkAt m -> {
                number(o, arm, Math.toDegrees(m.armAngle()));
                optional(o, "relay_arm_angle_deg", m.relayArm().map(r -> Math.toDegrees(r.angle())));
            }
            case Mechanism.BellCrankAt m -> {
                number(o, arm, Math.toDegrees(m.armAngle()));
                number(o, "bell_crank_angle_deg", Math.toDegrees(m.crankAngle()));
            }
            case Mechanism.ShuttleAt m -> {
                number(o, arm, Math.toDegrees(m.armAngle()));
                number(o, "shuttle_displacement_mm", m.displacement());
            }
            case Mechanism.Broken m -> number(o, arm, Math.toDegrees(m.armAngle()));
        }
        stance.beam()
                .filter(_ -> axle.beam().isPresent())
                .ifPresent(b -> number(
                        o,
                        "axle_y_shift_mm",
                        b.origin().y() - axle.beamDesign().origin().y()));
    }

    private static ObjectNode ratio(SteerFigures s) {
        ObjectNode o = object();
        optional(o, "at_centre", s.ratioAtCentre());
        optional(o, "average_to_steering_wheel_left_lock", s.averageRatio(Side.LEFT));
        optional(o, "average_to_steering_wheel_right_lock", s.averageRatio(Side.RIGHT));
        optional(o, "average_lock_to_lock", s.averageRatio());
        o.put("reversed", s.sense() == Sense.WRONG_WAY);
        return o;
    }

    private static ObjectNode lock(Reach r) {
        ObjectNode o = turn(r.turn());
        o.put("limited_by", limit(r));
        return o;
    }

    private static void turnOrNull(ObjectNode o, String key, Optional<TurnGeometry> turn) {
        turn.ifPresentOrElse(t -> o.set(key, turn(t)), () -> o.putNull(key));
    }

    static ObjectNode turn(TurnGeometry t) {
        ObjectNode o = object();
        number(o, "steering_wheel_deg", t.steeringWheelDeg());
        o.put("road_wheels_turned", t.turned().code());
        number(o, "delta_left_deg", t.leftDeg());
        number(o, "delta_right_deg", t.rightDeg());
        number(o, "mean_delta_deg", t.meanDeg());
        number(o, "inner_deg", t.innerDeg());
        number(o, "outer_deg", t.outerDeg());
        number(o, "ideal_outer_deg", t.idealOuterDeg());
        optional(o, "ackermann_pct", t.ackermannPct());
        optional(o, "turn_radius_mm", t.turnRadius());
        optional(o, "turning_circle_kerb_to_kerb_mm", t.turningCircle());
        if (t.rearSteer() != 0) {
            number(o, "turns_about_mm", t.turnsAbout());
            number(o, "rear_mean_deg", t.rearMeanDeg());
            optional(o, "rear_inner_deg", t.rearDeg(true));
            optional(o, "rear_outer_deg", t.rearDeg(false));
        }
        return o;
    }

    private static ObjectNode bumpRow(SteerFigures s, BumpRow b) {
        ObjectNode o = object();
        number(o, "travel_mm", b.travel());
        o.put("assembles", b.knuckles().isPresent());
        for (Side side : Side.values()) {
            Optional<KnucklePose> k = b.knuckles().map(a -> side == Side.LEFT ? a.left() : a.right());
            double design = s.knuckle(side).wheelCentre().y();
            optional(o, "toe_in_" + side.code() + "_deg", k.map(KnucklePose::toeInDeg));
            optional(o, "camber_" + side.code() + "_deg", k.map(KnucklePose::camberDeg));
            optional(
                    o,
                    "wheel_centre_" + side.code() + "_y_shift_mm",
                    k.map(p -> p.wheelCentre().y() - design));
            optional(
                    o,
                    "wheel_centre_" + side.code() + "_x_shift_mm",
                    k.map(p ->
                            p.wheelCentre().x() - s.knuckle(side).wheelCentre().x()));
            optional(o, "delta_" + side.code() + "_deg", k.map(KnucklePose::steerDeg));
        }
        return o;
    }

    private static void map(ObjectNode o, TravelMap m) {
        ObjectNode range = (ObjectNode) o.get("range");
        range.put("whole_requested_range_assembles", m.notAssembled().isEmpty());
        ArrayNode not = range.putArray("grid_poses_not_assembled");
        m.notAssembled().forEach(n -> {
            ObjectNode p = at(n.at());
            p.put("why", n.reason().sentence());
            not.add(p);
        });
        ObjectNode grid = o.putObject("grid");
        grid.put("poses_assembled", m.posesRequested() - m.notAssembled().size());
        grid.put("poses_requested", m.posesRequested());
        ObjectNode arms = o.putObject("rod_to_arm_angles_over_grid");
        m.rodToArm().forEach((end, r) -> {
            ObjectNode a = arms.putObject(end.armKey());
            number(a, "smallest_angle_deg", r.smallest());
            number(a, "largest_angle_deg", r.largest());
            number(a, "closest_to_toggle_deg", r.closestToToggle());
            a.set("closest_at", at(r.closestAt()));
        });
        optional(
                o,
                "tie_rod_to_steering_arm_closest_to_toggle_deg",
                m.rodToArm().entrySet().stream()
                        .filter(e -> e.getKey().atSteeringArm())
                        .map(e -> e.getValue().closestToToggle())
                        .min(Double::compare));
        ObjectNode tilts = o.putObject("rod_end_misalignment_max_over_grid");
        m.tilts().forEach((end, t) -> number(tilts, end.tiltKey() + "_deg", t.deg()));
        ObjectNode where = o.putObject("rod_end_misalignment_worst_at");
        m.tilts().forEach((end, t) -> where.set(end.tiltKey(), at(t.at())));
        ObjectNode offCentre = o.putObject("over_centre_margin");
        m.extremes().offCentre().forEach((end, c) -> {
            ObjectNode a = offCentre.putObject(end.armKey());
            number(a, "least_deg", c.deg());
            a.set("at", at(c.at()));
        });
        optional(o, "over_centre_margin_least_deg", m.nearestCentre().map(c -> c.getValue()
                .deg()));
        ObjectNode worst = o.putObject("rod_end_misalignment_in_reach");
        m.extremes().tilts().forEach((end, t) -> {
            ObjectNode a = worst.putObject(end.tiltKey());
            number(a, "most_deg", t.deg());
            optional(a, "allowed_deg", t.allowedDeg());
            a.set("at", at(t.at()));
        });
        ObjectNode margin = o.putObject("tightest_limit_over_grid");
        m.tightest().ifPresent(c -> {
            number(margin, "margin_deg", c.getValue().marginDeg());
            margin.put("limit", c.getValue().limit().label());
            margin.set("at", at(c.getKey()));
        });
    }

    private static ObjectNode at(At at) {
        ObjectNode o = object();
        number(o, "steering_wheel_deg", at.steeringWheelDeg());
        number(o, "travel_mm", at.travel());
        return o;
    }
}

package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;
import static mildtilt.io.json.AnalysisJson.optional;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import mildtilt.analysis.Analysis;
import mildtilt.geometry.Side;
import mildtilt.shop.PartLoad;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.RackPlace;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.BarJam;
import mildtilt.steer.forces.DrivePull;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.forces.RodLoad;
import mildtilt.steer.range.LockLimits;
import mildtilt.units.Unit;

/** What ends the lock, rim force and rod loads, how the arms match, as JSON. */
final class RangeJson {

    private RangeJson() {}

    static void put(ObjectNode o, Analysis analysis, SteerFigures s) {
        number(o, "normal_bump_steer_left_peak_to_peak_deg", s.normalBumpSteerDeg(Side.LEFT));
        number(o, "normal_bump_steer_right_peak_to_peak_deg", s.normalBumpSteerDeg(Side.RIGHT));
        optional(o, "roll_steer_deg_per_deg", s.rollSteer());
        optional(o, "brake_steer_deg_per_deg", s.brakeSteer());
        ObjectNode limits = o.putObject("lock_limits");
        for (Side way : Side.values()) {
            ArrayNode hits = limits.putArray("turning_" + way.code());
            s.limits().toward(way).forEach(h -> hits.add(hit(h)));
        }
        ObjectNode locks = o.putObject("lock_as_stopped");
        for (Side way : Side.values()) {
            SteerFigures.Lock lock = s.lock(way);
            ObjectNode at = SteerJson.turn(lock.turn());
            at.put("stopped_by", lock.hit().limit().label());
            at.put("stopped_at", lock.hit().where());
            locks.set("turning_" + way.code(), at);
        }
        number(o, "turns_lock_to_lock_as_stopped", s.turnsAvailable());
        ObjectNode rake = o.putObject("tie_rod_rake_in_plan");
        s.rake().forEach((side, r) -> {
            ObjectNode at = rake.putObject(side.code());
            number(at, "straight_ahead_deg", r.designDeg());
            number(at, "worst_deg", r.worstDeg());
            number(at, "worst_at_steering_wheel_deg", r.steeringWheelDeg());
            AnalysisJson.optional(at, "force_factor", r.forceFactor());
        });
        RackPlace.of(analysis.train().requireAxle()).ifPresent(p -> {
            ObjectNode place = o.putObject("rack_place");
            number(place, "inner_pivots_apart_mm", p.apart());
            AnalysisJson.optional(place, "apart_on_line_of_arm_pivots_mm", p.wantedApart());
            number(place, "raise_to_instant_centres_mm", p.raise());
        });
        s.effort().ifPresent(e -> o.set("effort", effort(e)));
        s.kickBack().ifPresent(k -> o.set("kick_back", kickBack(k)));
        s.drivePull().ifPresent(d -> o.set("drive_pull", drivePull(d)));
        s.barJam().filter(BarJam::canJam).ifPresent(j -> {
            ObjectNode jam = o.putObject("shuttle_jams");
            number(jam, "at_friction", j.friction());
            number(jam, "steering_wheel_deg", j.steeringWheelDeg());
        });
        ArrayNode loads = o.putArray("rod_loads");
        s.rodLoads().forEach(l -> loads.add(load(l)));
        ArrayNode parts = o.putArray("part_loads");
        analysis.parts().forEach(p -> parts.add(part(p)));
        analysis.match().ifPresent(m -> o.set("arm_match", match(m)));
    }

    private static ObjectNode hit(LockLimits.Hit h) {
        ObjectNode o = object();
        o.put("limit", h.limit().label());
        number(o, "steering_wheel_deg", h.steeringWheelDeg());
        number(o, "travel_mm", h.travel());
        o.put("at", h.where());
        return o;
    }

    private static ObjectNode effort(Effort e) {
        ObjectNode o = object();
        number(o, "parked_worst_n", e.worstParked());
        number(o, "creeping_worst_n", e.worstCreeping());
        number(o, "weight_returns_least_n", e.leastReturning());
        number(o, "returns_in_bend_least_n", e.leastInBend());
        boolean slides = e.gear().unit() == Unit.FORCE;
        number(
                o,
                slides ? "rack_parked_worst_n" : "gear_arm_parked_worst_nmm",
                e.gear().value());
        if (e.barFactor() > 1 && Double.isFinite(e.barFactor())) {
            number(o, "shuttle_friction_times", e.barFactor());
        }
        ArrayNode rows = o.putArray("rows");
        for (Effort.Row r : e.rows()) {
            ObjectNode row = rows.addObject();
            number(row, "steering_wheel_deg", r.steeringWheelDeg());
            number(row, "parked_n", r.parked());
            number(row, "creeping_n", r.creeping());
            number(row, "weight_returns_n", r.returning());
            number(row, "returns_in_bend_n", r.inBend());
        }
        return o;
    }

    private static ObjectNode kickBack(KickBack k) {
        ObjectNode o = object();
        for (Side side : Side.values()) {
            KickBack.Wheel w = k.wheel(side);
            ObjectNode at = o.putObject(side.code());
            number(at, "higher_mm", w.rise());
            optional(at, "turns_steering_wheel_deg", w.turn());
            optional(at, "blow_pulls_n", w.pull().map(KickBack.Pull::blow));
            optional(at, "brake_pulls_n", w.pull().map(KickBack.Pull::braked));
        }
        return o;
    }

    private static ObjectNode drivePull(DrivePull d) {
        ObjectNode o = object();
        ArrayNode rows = o.putArray("rows");
        for (DrivePull.Row r : d.rows()) {
            ObjectNode row = rows.addObject();
            number(row, "steering_wheel_deg", r.steeringWheelDeg());
            number(row, "pulls_n", r.pull());
            r.bentDeg().forEach((side, deg) -> number(row, side.code() + "_joint_bent_deg", deg));
        }
        return o;
    }

    private static ObjectNode load(RodLoad l) {
        ObjectNode o = object();
        o.put("rod", l.rod().label());
        number(o, "force_n", l.force());
        optional(o, "kerb_force_n", l.kerbForce());
        optional(o, "heavy_pull_force_n", l.pullForce());
        optional(o, "buckling_margin", l.bucklingMargin());
        optional(o, "stress_mpa", l.stress());
        optional(o, "yield_margin", l.yieldMargin());
        return o;
    }

    private static ObjectNode part(PartLoad p) {
        ObjectNode o = object();
        o.put("part", p.what());
        o.put("rod", p.rod().label());
        number(o, "stress_for_1_kn_mpa", 1000 * p.stress());
        number(o, "yield_mpa", p.yield());
        optional(o, "margin_parked", p.margin(PartLoad.Load.PARKED));
        optional(o, "margin_kerb", p.margin(PartLoad.Load.KERB));
        optional(o, "margin_heavy_pull", p.margin(PartLoad.Load.PULL));
        return o;
    }

    private static ObjectNode match(ArmMatch m) {
        ObjectNode o = object();
        number(o, "gear_gives_mm", m.gearGives());
        for (Side way : Side.values()) {
            ArmMatch.Toward w = m.toward(way);
            ObjectNode at = o.putObject("turning_" + way.code());
            number(at, "inner_at_gear_end_deg", w.innerAtGearEnd());
            number(at, "inner_allowed_deg", w.innerAllowed());
            at.put("allowed_by", w.allowedBy());
            number(at, "lock_unused_deg", w.lockUnused());
            number(at, "gear_unused_deg", w.gearUnusedDeg());
        }
        return o;
    }
}

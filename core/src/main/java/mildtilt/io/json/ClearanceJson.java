package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;
import static mildtilt.io.JsonTree.point;
import static mildtilt.io.json.AnalysisJson.optional;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.LockKept;
import mildtilt.clearance.Notch;
import mildtilt.clearance.PairGap;
import mildtilt.geometry.Side;
import mildtilt.units.LengthUnit;

/** The clearances of a job. */
final class ClearanceJson {

    private ClearanceJson() {}

    static ObjectNode tree(ClearanceFigures f) {
        ObjectNode o = object();
        o.put("pairs_looked_at", f.looked());
        o.put("positions", f.positions());
        ArrayNode pairs = o.putArray("pairs");
        f.pairs().forEach(p -> pairs.add(pair(p)));
        f.lock().ifPresent(l -> o.set("lock_kept", lock(l)));
        ArrayNode notches = o.putArray("notches");
        f.notches().forEach(n -> notches.add(notch(n)));
        f.tyre()
                .ifPresentOrElse(
                        t -> {
                            ObjectNode tyre = o.putObject("largest_tyre");
                            number(tyre, "diameter_mm", t.diameter());
                            tyre.put("diameter_ends_at", t.diameterBy());
                            number(tyre, "width_mm", t.width());
                            tyre.put("width_ends_at", t.widthBy());
                            ArrayNode spaced = tyre.putArray("with_wheel_spacers");
                            t.spaced().forEach(s -> {
                                ObjectNode line = spaced.addObject();
                                number(line, "spacer_mm", s.spacer());
                                number(line, "diameter_mm", s.diameter());
                                number(line, "width_mm", s.width());
                            });
                        },
                        () -> o.putNull("largest_tyre"));
        ArrayNode assumed = o.putArray("taken_sizes");
        f.assumed().forEach(a -> assumed.add(a.text(LengthUnit.MM)));
        return o;
    }

    private static ObjectNode pair(PairGap p) {
        ObjectNode o = object();
        o.put("first", p.first());
        o.put("second", p.second());
        number(o, "gap_mm", p.gap());
        number(o, "need_mm", p.need());
        number(o, "gap_at_rest_mm", p.atRest());
        o.put("by_guessed_sizes", p.guessed());
        number(o, "steering_wheel_deg", p.where().steeringWheelDeg());
        number(o, "travel_left_mm", p.where().travelLeft());
        number(o, "travel_right_mm", p.where().travelRight());
        o.put("wheel_set", p.where().column());
        o.set("on_first_mm", point(p.onFirst()));
        o.set("on_second_mm", point(p.onSecond()));
        return o;
    }

    private static ObjectNode lock(LockKept l) {
        ObjectNode o = object();
        for (Side way : Side.values()) {
            l.stop(way)
                    .ifPresentOrElse(
                            w -> o.set("stop_turning_" + way.code(), way(w)),
                            () -> o.putNull("stop_turning_" + way.code()));
        }
        optional(o, "free_bump_at_full_lock_mm", l.freeBumpAtLock());
        optional(o, "free_droop_at_full_lock_mm", l.freeDroopAtLock());
        ArrayNode rows = o.putArray("over_travel");
        for (LockKept.Row r : l.rows()) {
            ObjectNode row = rows.addObject();
            number(row, "travel_mm", r.travel());
            for (Side way : Side.values()) {
                row.set("turning_" + way.code(), way(r.way(way)));
            }
        }
        return o;
    }

    private static ObjectNode way(LockKept.KeptLock w) {
        ObjectNode o = object();
        number(o, "inner_lock_deg", w.lockDeg());
        number(o, "inner_kept_deg", w.keptDeg());
        number(o, "outer_kept_deg", w.outerDeg());
        number(o, "steering_wheel_deg", w.steeringWheelDeg());
        w.pair().ifPresentOrElse(p -> o.put("comes_too_near", p.label()), () -> o.putNull("comes_too_near"));
        return o;
    }

    private static ObjectNode notch(Notch n) {
        ObjectNode o = object();
        o.put("rail", n.rail().name());
        o.put("for", n.by().name());
        o.put("face", n.face().name().toLowerCase(Locale.ROOT));
        number(o, "depth_mm", n.depth());
        number(o, "along_mm", n.width());
        number(o, "across_mm", n.height());
        o.put("too_deep", n.through());
        number(o, "boxing_plate_mm", n.boxing());
        o.set("mouth_mm", point(n.middle()));
        return o;
    }
}

package mildtilt.rules;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import mildtilt.column.Socket.Hold;
import mildtilt.rules.Rules.Collapse;
import mildtilt.rules.Rules.VehicleClass;
import mildtilt.rules.Rules.Welding;

/** A rule set as a JSON tree. The schema says what must stand in it: no limit is left to a default but those that older sets did not know. */
public final class RulesJson {

    /** Of its own load, with which a wheel is pushed back, where a set does not say. */
    private static final double USUAL_KERB = 1;

    private RulesJson() {}

    /** @throws mildtilt.geometry.ImpossibleGeometryException naming the limit that can't be */
    public static Rules read(JsonNode o) {
        JsonNode collapse = o.get("collapse");
        List<VehicleClass> classes = new ArrayList<>();
        o.path("classes").forEach(c -> classes.add(new VehicleClass(c.path("name").asText(), c.path("wheelbase_min_mm").asDouble(),
                c.path("wheelbase_max_mm").asDouble(), c.path("width_max_mm").asDouble())));
        List<String> differ = new ArrayList<>();
        o.path("differ").forEach(d -> differ.add(d.asText()));
        Set<Hold> holds = EnumSet.noneOf(Hold.class);
        o.path("holds").forEach(h -> holds.add(Hold.valueOf(h.asText().toUpperCase(Locale.ROOT))));
        return new Rules(o.path("name").asText(), o.path("about").asText(""), o.get("joint_deg").asDouble(), o.get("ripple_pct").asDouble(),
                Welding.valueOf(o.get("welding").asText().toUpperCase(Locale.ROOT)),
                new Collapse(collapse.get("stroke_mm").asDouble(),
                        collapse.has("kink_deg") ? Optional.of(collapse.get("kink_deg").asDouble()) : Optional.empty(),
                        collapse.path("straight_forbidden").asBoolean(collapse.get("stroke_mm").asDouble() > 0)),
                o.get("engagement_times").asDouble(), o.get("overlap_mm").asDouble(), holds,
                o.path("locking").asText(""), o.get("joint_in_cabin").asBoolean(), o.get("heavy_pull_n").asDouble(),
                o.get("strength_margin").asDouble(), o.get("wind_up_deg").asDouble(), o.get("span_hz").asDouble(), o.get("out_of_line_mm").asDouble(),
                o.path("kerb_times").asDouble(USUAL_KERB), geometry(o.path("geometry")), classes, differ);
    }

    /** Sets written before it was asked for take what is usual. */
    private static WheelGeometry geometry(JsonNode g) {
        WheelGeometry u = WheelGeometry.USUAL;
        return new WheelGeometry(g.path("caster_min_deg").asDouble(u.casterMinDeg()), g.path("caster_max_deg").asDouble(u.casterMaxDeg()),
                g.path("trail_min_mm").asDouble(u.trailMin()), g.path("trail_max_mm").asDouble(u.trailMax()),
                g.path("kingpin_min_deg").asDouble(u.kingpinMinDeg()), g.path("kingpin_max_deg").asDouble(u.kingpinMaxDeg()),
                g.path("scrub_max_mm").asDouble(u.scrubMax()), g.path("toe_deg").asDouble(u.toeDeg()), g.path("apart_deg").asDouble(u.apartDeg()),
                g.path("roll_steer_deg").asDouble(u.rollSteer()), g.path("lock_apart_deg").asDouble(u.lockApartDeg()));
    }

    public static ObjectNode write(Rules r) {
        ObjectNode o = JsonNodeFactory.instance.objectNode();
        o.put("name", r.name());
        o.put("about", r.about());
        put(o, "joint_deg", r.jointDeg());
        put(o, "ripple_pct", r.ripplePct());
        o.put("welding", r.welding().name().toLowerCase(Locale.ROOT));
        ObjectNode collapse = o.putObject("collapse");
        put(collapse, "stroke_mm", r.collapse().stroke());
        r.collapse().kinkDeg().ifPresent(k -> put(collapse, "kink_deg", k));
        collapse.put("straight_forbidden", r.collapse().straightForbidden());
        put(o, "engagement_times", r.engagementTimes());
        put(o, "overlap_mm", r.overlap());
        ArrayNode holds = o.putArray("holds");
        Arrays.stream(Hold.values()).filter(r.holds()::contains).forEach(h -> holds.add(h.name().toLowerCase(Locale.ROOT)));
        o.put("locking", r.locking());
        o.put("joint_in_cabin", r.jointInCabin());
        put(o, "heavy_pull_n", r.heavyPull());
        put(o, "strength_margin", r.strengthMargin());
        put(o, "wind_up_deg", r.windUpDeg());
        put(o, "span_hz", r.spanHz());
        put(o, "out_of_line_mm", r.outOfLine());
        put(o, "kerb_times", r.kerbTimes());
        ObjectNode g = o.putObject("geometry");
        put(g, "caster_min_deg", r.geometry().casterMinDeg());
        put(g, "caster_max_deg", r.geometry().casterMaxDeg());
        put(g, "trail_min_mm", r.geometry().trailMin());
        put(g, "trail_max_mm", r.geometry().trailMax());
        put(g, "kingpin_min_deg", r.geometry().kingpinMinDeg());
        put(g, "kingpin_max_deg", r.geometry().kingpinMaxDeg());
        put(g, "scrub_max_mm", r.geometry().scrubMax());
        put(g, "toe_deg", r.geometry().toeDeg());
        put(g, "apart_deg", r.geometry().apartDeg());
        put(g, "roll_steer_deg", r.geometry().rollSteer());
        put(g, "lock_apart_deg", r.geometry().lockApartDeg());
        ArrayNode classes = o.putArray("classes");
        for (VehicleClass c : r.classes()) {
            ObjectNode k = classes.addObject();
            k.put("name", c.name());
            put(k, "wheelbase_min_mm", c.wheelbaseMin());
            put(k, "wheelbase_max_mm", c.wheelbaseMax());
            put(k, "width_max_mm", c.widthMax());
        }
        ArrayNode differ = o.putArray("differ");
        r.differ().forEach(differ::add);
        return o;
    }

    /** Whole numbers as a person would write them. */
    private static void put(ObjectNode o, String key, double v) {
        if (v == Math.rint(v) && Math.abs(v) < 1e15) {
            o.put(key, (long) v);
        } else {
            o.put(key, v);
        }
    }
}

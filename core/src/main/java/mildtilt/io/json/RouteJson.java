package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;
import static mildtilt.io.JsonTree.point;
import static mildtilt.io.json.AnalysisJson.optional;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import mildtilt.io.JsonTree;
import mildtilt.routes.Route;
import mildtilt.routes.RouteAnswer;
import mildtilt.units.LengthUnit;

/** What came of a search for routes. */
public final class RouteJson {

    private RouteJson() {}

    public static String write(RouteAnswer answer) {
        return JsonTree.print(tree(answer));
    }

    public static ObjectNode tree(RouteAnswer answer) {
        ObjectNode o = object();
        o.put("format", "mild-tilt-routes");
        o.put("version", 1);
        o.put("considered", answer.considered());
        ArrayNode routes = o.putArray("routes");
        answer.routes().forEach(r -> routes.add(route(r)));
        ArrayNode blocked = o.putArray("blocked_by");
        answer.blocked().forEach(b -> blocked.add(b.text(LengthUnit.MM)));
        return o;
    }

    private static ObjectNode route(Route r) {
        ObjectNode o = object();
        ArrayNode why = o.putArray("offered_for");
        r.why().forEach(why::add);
        o.put("joints", r.joints());
        ArrayNode points = o.putArray("hub_joints_input_mm");
        r.points().forEach(p -> points.add(point(p)));
        number(o, "widest_joint_deg", r.widestDeg());
        number(o, "least_spare_deg", r.spareDeg());
        number(o, "ripple_pct", r.ripplePct());
        optional(o, "spare_gap_mm", r.spareGap());
        o.put("tightest", r.tightest());
        number(o, "free_stroke_mm", r.stroke());
        number(o, "shafts_mm", r.length());
        number(o, "rack_turned_deg", r.tiltDeg());
        o.put("wheel_set", r.wheel().text(LengthUnit.MM));
        ArrayNode bearings = o.putArray("bearings");
        r.bearings().forEach(b -> bearings.add(b.text(LengthUnit.MM)));
        ArrayNode toGet = o.putArray("to_get");
        r.toGet().forEach(b -> toGet.add(b.text(LengthUnit.MM)));
        return o;
    }
}

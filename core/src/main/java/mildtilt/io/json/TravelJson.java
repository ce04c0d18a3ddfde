package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import mildtilt.travel.BoundUse;
import mildtilt.travel.TravelEnd;
import mildtilt.travel.TravelFigures;

/** How far the wheels may travel and what ends it. */
final class TravelJson {

    private TravelJson() {}

    static ObjectNode tree(TravelFigures f) {
        ObjectNode o = object();
        number(o, "bump_held_to_mm", f.held().bump());
        number(o, "droop_held_to_mm", f.held().droop());
        ArrayNode rows = o.putArray("usable");
        f.rows().forEach(r -> {
            ObjectNode row = rows.addObject();
            number(row, "steering_wheel_deg", r.steeringWheelDeg());
            end(row, "bump", r.bump());
            end(row, "droop", r.droop());
        });
        ArrayNode uses = o.putArray("limits");
        f.uses().forEach(u -> uses.add(use(u)));
        return o;
    }

    private static void end(ObjectNode o, String way, TravelEnd e) {
        number(o, way + "_mm", e.mm());
        e.cause().ifPresentOrElse(c -> o.put(way + "_ends_at", c.what()), () -> o.putNull(way + "_ends_at"));
    }

    private static ObjectNode use(BoundUse u) {
        ObjectNode o = object();
        String unit = u.bound().kind().isAngle() ? "_deg" : "_mm";
        o.put("part", u.bound().part().text());
        o.put("name", u.bound().name());
        o.put("kind", u.bound().kind().name().toLowerCase(Locale.ROOT));
        number(o, "limit" + unit, u.bound().limit());
        number(o, "at_ride_height" + unit, u.atRest());
        number(o, "nearest" + unit, u.nearest());
        number(o, "farthest" + unit, u.farthest());
        number(o, "left" + unit, u.margin());
        number(o, "steering_wheel_deg", u.at().steeringWheelDeg());
        number(o, "travel_left_mm", u.at().left());
        number(o, "travel_right_mm", u.at().right());
        return o;
    }
}

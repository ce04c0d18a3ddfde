package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Map;
import mildtilt.clearance.FreeSpace;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.io.JsonTree;
import mildtilt.obstacle.Obstacle;

/** Where obstacles could be put instead. */
public final class RoomJson {

    private RoomJson() {}

    /** @param rooms of each obstacle asked about, in order */
    public static String write(Map<Obstacle, FreeSpace> rooms) {
        ObjectNode o = object();
        o.put("format", "mild-tilt-room");
        o.put("version", 1);
        ArrayNode all = o.putArray("obstacles");
        rooms.forEach((thing, space) -> {
            ObjectNode at = all.addObject();
            at.put("id", thing.id().text());
            at.put("name", thing.name());
            at.put("is_free", space.isFree());
            ObjectNode ways = at.putObject("may_go");
            for (FreeSpace.Way w : FreeSpace.Way.values()) {
                ObjectNode way = ways.putObject(w.name().toLowerCase(Locale.ROOT));
                number(way, "mm", space.way(w).mm());
                space.way(w).endsAt().ifPresentOrElse(e -> way.put("ends_at", e), () -> way.putNull("ends_at"));
            }
            ArrayNode places = at.putArray("nearest_free_shifts_mm");
            space.places().forEach(p -> places.add(shift(p.shift())));
        });
        return JsonTree.print(o);
    }

    private static ArrayNode shift(Vector v) {
        return JsonTree.point(Point.ORIGIN.plus(v));
    }
}

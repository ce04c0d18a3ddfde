package mildtilt.format;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.linkage.Rod;
import mildtilt.making.EndPart;
import mildtilt.making.Hole;
import mildtilt.making.Making;
import mildtilt.making.Piece;
import mildtilt.making.RodMakeUp;
import mildtilt.making.ScrewThread;
import mildtilt.making.Section;
import mildtilt.making.Stud;
import mildtilt.making.WeldRecord;
import mildtilt.making.WorkPlan;
import mildtilt.making.Workshop;

/** How a job is made as JSON: maps by rising key, so that the same job is always the same text. */
final class MakingWriter {

    private MakingWriter() {}

    static ObjectNode making(Making m) {
        ObjectNode o = JobWriter.object();
        o.set("workshop", workshop(m.workshop()));
        if (!m.rods().isEmpty()) {
            ObjectNode rods = o.putObject("rods");
            for (Rod rod : Rod.values()) {
                m.rod(rod).ifPresent(r -> rods.set(word(rod), rod(r)));
            }
        }
        ArrayNode joins = o.putArray("joins");
        m.joins().forEach(j -> {
            ObjectNode n = joins.addObject();
            n.put("id", j.id().text());
            n.put("shaft", j.shaft().text());
            JobWriter.number(n, "along_mm", j.along());
            n.put("school", word(j.school()));
        });
        ArrayNode pieces = o.putArray("pieces");
        m.pieces().forEach(p -> pieces.add(piece(p)));
        if (!m.plan().equals(WorkPlan.NONE)) {
            o.set("plan", plan(m.plan()));
        }
        ArrayNode welds = o.putArray("welds");
        m.welds().forEach(w -> welds.add(weld(w)));
        return o;
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    private static ObjectNode workshop(Workshop w) {
        ObjectNode o = JobWriter.object();
        o.put("sets", w.sets());
        JobWriter.number(o, "kerf_mm", w.kerf());
        JobWriter.number(o, "facing_mm", w.facing());
        JobWriter.number(o, "root_gap_mm", w.rootGap());
        JobWriter.number(o, "usual_bar_mm", w.usualBar());
        JobWriter.number(o, "engagement_times", w.engagementTimes());
        o.put("paper", word(w.paper()));
        w.tubeWall().ifPresent(t -> JobWriter.number(o, "tube_wall_mm", t));
        ArrayNode stock = o.putArray("stock");
        w.stock().forEach(b -> {
            ObjectNode n = stock.addObject();
            n.set("section", section(b.section()));
            n.put("metal", word(b.metal()));
            JobWriter.number(n, "length_mm", b.length());
            n.put("count", b.count());
        });
        return o;
    }

    private static ObjectNode section(Section s) {
        ObjectNode o = JobWriter.object();
        switch (s) {
            case Section.Bar b -> JobWriter.number(o, "diameter_mm", b.diameter());
            case Section.Tube t -> {
                JobWriter.number(o, "outside_mm", t.outside());
                JobWriter.number(o, "wall_mm", t.wall());
            }
        }
        return o;
    }

    private static ObjectNode rod(RodMakeUp r) {
        ObjectNode o = JobWriter.object();
        o.set("outer", end(r.outer()));
        o.set("inner", end(r.inner()));
        ObjectNode body = o.putObject("body");
        body.put("kind", word(r.body().kind()));
        JobWriter.number(body, "threaded_mm", r.body().threaded());
        JobWriter.number(body, "drilled_mm", r.body().drilled());
        r.body().length().ifPresent(l -> JobWriter.number(body, "length_mm", l));
        r.body().outerTap().ifPresent(t -> body.set("outer_tap", thread(t)));
        r.body().innerTap().ifPresent(t -> body.set("inner_tap", thread(t)));
        return o;
    }

    private static ObjectNode end(RodMakeUp.End e) {
        ObjectNode o = JobWriter.object();
        o.set("part", endPart(e.part()));
        JobWriter.number(o, "jam_nut_mm", e.jamNut());
        e.hole().ifPresent(h -> o.set("hole", hole(h)));
        o.put("double_shear", e.doubleShear());
        return o;
    }

    private static ObjectNode hole(Hole hole) {
        ObjectNode o = JobWriter.object();
        switch (hole) {
            case Hole.Plain p -> JobWriter.number(o, "diameter_mm", p.diameter());
            case Hole.Tapered t -> {
                JobWriter.number(o, "large_mm", t.large());
                JobWriter.number(o, "small_mm", t.small());
            }
        }
        JobWriter.number(o, "thickness_mm", hole.thickness());
        return o;
    }

    static ObjectNode endPart(EndPart p) {
        ObjectNode o = JobWriter.object();
        o.put("name", p.name());
        switch (p.stud()) {
            case Stud.Bolt b -> JobWriter.number(o, "bore_mm", b.diameter());
            case Stud.OnGear _ -> o.put("on_gear", true);
            case Stud.Taper t -> {
                ObjectNode n = o.putObject("taper");
                JobWriter.number(n, "large_mm", t.large());
                JobWriter.number(n, "small_mm", t.small());
                JobWriter.number(n, "length_mm", t.length());
            }
        }
        JobWriter.number(o, "thread_mm", p.thread().major());
        JobWriter.number(o, "pitch_mm", p.thread().pitch());
        o.put("hand", word(p.thread().hand()));
        JobWriter.number(o, "to_thread_mm", p.toThread());
        JobWriter.number(o, "thread_length_mm", p.threadLength());
        JobWriter.number(o, "tilt_deg", p.tiltDeg());
        return o;
    }

    private static ObjectNode thread(ScrewThread t) {
        ObjectNode o = JobWriter.object();
        JobWriter.number(o, "thread_mm", t.major());
        JobWriter.number(o, "pitch_mm", t.pitch());
        o.put("hand", word(t.hand()));
        return o;
    }

    private static ObjectNode piece(Piece piece) {
        ObjectNode o = JobWriter.object();
        o.put("id", piece.id().text());
        switch (piece) {
            case Piece.Length p -> {
                o.put("kind", "length");
                o.put("name", p.name());
                o.set("section", section(p.section()));
                o.put("metal", word(p.metal()));
                JobWriter.number(o, "length_mm", p.length());
                o.put("left", p.left());
                o.put("right", p.right());
            }
            case Piece.ArmPlate p -> {
                o.put("kind", "arm_plate");
                o.put("name", p.name());
                o.put("arm", word(p.of()));
                JobWriter.number(o, "thickness_mm", p.thickness());
                JobWriter.number(o, "root_hole_mm", p.rootHole());
                JobWriter.number(o, "end_hole_mm", p.endHole());
                JobWriter.number(o, "margin_mm", p.margin());
            }
            case Piece.BearingBracket p -> {
                o.put("kind", "bearing_bracket");
                o.put("name", p.name());
                o.put("bearing", p.bearing().text());
                o.put("foot", p.foot().text());
                JobWriter.number(o, "thickness_mm", p.thickness());
                JobWriter.number(o, "foot_width_mm", p.footWidth());
                JobWriter.number(o, "hole_mm", p.hole());
                o.put("bolts", p.bolts());
                JobWriter.number(o, "bolt_circle_mm", p.boltCircle());
                JobWriter.number(o, "bolt_hole_mm", p.boltHole());
                JobWriter.number(o, "margin_mm", p.margin());
            }
            case Piece.CopedTube p -> {
                o.put("kind", "coped_tube");
                o.put("name", p.name());
                o.set("section", section(p.section()));
                o.put("metal", word(p.metal()));
                JobWriter.number(o, "length_mm", p.length());
                o.set("from", meeting(p.from()));
                o.set("to", meeting(p.to()));
                o.put("left", p.left());
                o.put("right", p.right());
            }
            case Piece.CentringJig p -> {
                o.put("kind", "centring_jig");
                o.put("name", p.name());
                JobWriter.number(o, "one_mm", p.one());
                JobWriter.number(o, "other_mm", p.other());
                JobWriter.number(o, "length_mm", p.length());
                JobWriter.number(o, "wall_mm", p.wall());
            }
        }
        return o;
    }

    private static ObjectNode meeting(Piece.Meeting m) {
        ObjectNode o = JobWriter.object();
        JobWriter.number(o, "into_mm", m.into());
        JobWriter.number(o, "angle_deg", m.angleDeg());
        JobWriter.number(o, "offset_mm", m.offset());
        JobWriter.number(o, "turn_deg", m.turnDeg());
        return o;
    }

    private static ObjectNode plan(WorkPlan p) {
        ObjectNode o = JobWriter.object();
        day(o, "wanted", p.wanted());
        JobWriter.number(o, "hours_per_week", p.hoursPerWeek());
        ArrayNode marks = o.putArray("marks");
        new TreeMap<>(p.marks()).forEach((key, m) -> {
            ObjectNode n = marks.addObject();
            n.put("step", key);
            day(n, "done", m.done());
            n.put("by", m.by());
            n.put("note", m.note());
            n.put("skipped", m.skipped());
            m.hours().ifPresent(h -> JobWriter.number(n, "hours", h));
        });
        ArrayNode own = o.putArray("own_steps");
        p.ownSteps().forEach(s -> own.addObject().put("key", s.key()).put("after", s.after()).put("title", s.title()));
        ArrayNode purchases = o.putArray("purchases");
        new TreeMap<>(p.purchases()).forEach((what, b) -> {
            ObjectNode n = purchases.addObject();
            n.put("what", what.text());
            b.price().ifPresent(x -> JobWriter.number(n, "price", x));
            b.leadDays().ifPresent(d -> n.put("lead_days", d));
            day(n, "ordered", b.ordered());
            day(n, "arrived", b.arrived());
        });
        ArrayNode ownPurchases = o.putArray("own_purchases");
        p.ownPurchases().forEach(x -> ownPurchases.addObject().put("id", x.id().text()).put("what", x.what()).put("step", x.step()));
        return o;
    }

    private static void day(ObjectNode o, String key, Optional<LocalDate> day) {
        day.ifPresent(d -> o.put(key, d.toString()));
    }

    private static ObjectNode weld(WeldRecord w) {
        ObjectNode o = JobWriter.object();
        o.put("id", w.id().text());
        o.put("piece", w.piece());
        o.put("metal", word(w.metal()));
        JobWriter.number(o, "preheat_c", w.preheat());
        JobWriter.number(o, "most_between_c", w.mostBetween());
        JobWriter.number(o, "cool_per_hour_c", w.coolPerHour());
        o.put("filler", w.filler());
        ArrayNode readings = o.putArray("readings");
        w.readings().forEach(r -> {
            ObjectNode n = readings.addObject();
            JobWriter.number(n, "minutes", r.minutes());
            JobWriter.number(n, "celsius", r.celsius());
            n.put("moment", word(r.moment()));
        });
        o.put("welded_by", w.weldedBy());
        o.put("inspected_by", w.inspectedBy());
        day(o, "day", w.day());
        return o;
    }
}

package mildtilt.format;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.linkage.Rod;
import mildtilt.making.EndPart;
import mildtilt.making.Hole;
import mildtilt.making.Making;
import mildtilt.making.Metal;
import mildtilt.making.Piece;
import mildtilt.making.RodMakeUp;
import mildtilt.making.ScrewThread;
import mildtilt.making.Section;
import mildtilt.making.ShaftJoin;
import mildtilt.making.Stud;
import mildtilt.making.WeldRecord;
import mildtilt.making.WeldedMetal;
import mildtilt.making.WorkPlan;
import mildtilt.making.Workshop;

/** How a job is made, from JSON that the schema has looked at. */
final class MakingReader {

    private MakingReader() {}

    static Making making(JsonNode o) {
        Map<Rod, RodMakeUp> rods = new EnumMap<>(Rod.class);
        for (Map.Entry<String, JsonNode> e : o.path("rods").properties()) {
            rods.put(JobReader.one(Rod.class, e.getKey()), JobReader.at("rods, " + e.getKey(), () -> rod(e.getValue())));
        }
        return new Making(JobReader.optional(o, "workshop").map(w -> JobReader.at("workshop", () -> workshop(w))).orElse(Workshop.USUAL), rods,
                all(o, "joins", j -> new ShaftJoin(JobReader.id(j, "id"), JobReader.id(j, "shaft"), number(j, "along_mm"), JobReader.one(ShaftJoin.School.class, j.path("school").asText()))),
                all(o, "pieces", MakingReader::piece), JobReader.optional(o, "plan").map(p -> JobReader.at("plan", () -> plan(p))).orElse(WorkPlan.NONE),
                all(o, "welds", MakingReader::weld));
    }

    /** Every part of an array; what is wrong with one says which it is. */
    static <T> List<T> all(JsonNode o, String key, Function<JsonNode, T> part) {
        List<T> all = new ArrayList<>();
        for (JsonNode n : o.path(key)) {
            all.add(JobReader.at(key + " number " + (all.size() + 1), () -> part.apply(n)));
        }
        return all;
    }

    private static double number(JsonNode o, String key) {
        return o.path(key).asDouble();
    }

    private static Optional<Double> maybe(JsonNode o, String key) {
        return JobReader.optional(o, key).map(JsonNode::asDouble);
    }

    private static Workshop workshop(JsonNode o) {
        Workshop usual = Workshop.USUAL;
        return new Workshop(o.path("sets").asInt(usual.sets()), JobReader.number(o, "kerf_mm", usual.kerf()), JobReader.number(o, "facing_mm", usual.facing()),
                JobReader.number(o, "root_gap_mm", usual.rootGap()), JobReader.number(o, "usual_bar_mm", usual.usualBar()),
                JobReader.number(o, "engagement_times", usual.engagementTimes()), o.has("paper") ? JobReader.one(Workshop.Paper.class, o.get("paper").asText()) : usual.paper(),
                maybe(o, "tube_wall_mm"), all(o, "stock", s -> new Workshop.StockBar(section(s.path("section")), metal(s), number(s, "length_mm"), s.path("count").asInt(1))));
    }

    private static Metal metal(JsonNode o) {
        return o.has("metal") ? JobReader.one(Metal.class, o.get("metal").asText()) : Metal.STEEL;
    }

    private static Section section(JsonNode o) {
        return o.has("diameter_mm") ? new Section.Bar(number(o, "diameter_mm")) : tube(o);
    }

    private static Section.Tube tube(JsonNode o) {
        return new Section.Tube(number(o, "outside_mm"), number(o, "wall_mm"));
    }

    private static RodMakeUp rod(JsonNode o) {
        JsonNode b = o.path("body");
        return new RodMakeUp(JobReader.at("outer", () -> end(o.path("outer"))), JobReader.at("inner", () -> end(o.path("inner"))),
                JobReader.at("body", () -> new RodMakeUp.Body(JobReader.one(RodMakeUp.BodyKind.class, b.path("kind").asText()), number(b, "threaded_mm"), number(b, "drilled_mm"),
                        maybe(b, "length_mm"), JobReader.optional(b, "outer_tap").map(MakingReader::thread), JobReader.optional(b, "inner_tap").map(MakingReader::thread))));
    }

    private static RodMakeUp.End end(JsonNode o) {
        return new RodMakeUp.End(endPart(o.path("part")), number(o, "jam_nut_mm"), JobReader.optional(o, "hole").map(MakingReader::hole), o.path("double_shear").asBoolean());
    }

    private static Hole hole(JsonNode o) {
        double thick = number(o, "thickness_mm");
        return o.has("diameter_mm") ? new Hole.Plain(number(o, "diameter_mm"), thick) : new Hole.Tapered(number(o, "large_mm"), number(o, "small_mm"), thick);
    }

    /** What an old catalogue does not say of a shank is taken as is usual: the coarse pitch, the neck 1.6 diameters, the thread two. */
    static EndPart endPart(JsonNode o) {
        double d = JobReader.number(o, "thread_mm", 10);
        JsonNode t = o.path("taper");
        Stud stud = o.path("on_gear").asBoolean() ? new Stud.OnGear() : o.has("taper") ? new Stud.Taper(number(t, "large_mm"), number(t, "small_mm"), number(t, "length_mm")) : new Stud.Bolt(JobReader.number(o, "bore_mm", 10));
        ScrewThread thread = new ScrewThread(d, JobReader.number(o, "pitch_mm", coarse(d)), hand(o));
        return new EndPart(o.path("name").asText(), stud, thread, JobReader.number(o, "to_thread_mm", 1.6 * d), JobReader.number(o, "thread_length_mm", 2 * d),
                JobReader.number(o, "tilt_deg", 12));
    }

    /** The coarse metric pitch of a diameter, mm. */
    private static double coarse(double d) {
        return d < 7 ? 1 : d < 9 ? 1.25 : d < 11 ? 1.5 : d < 13 ? 1.75 : d < 17 ? 2 : 2.5;
    }

    private static ScrewThread thread(JsonNode o) {
        return new ScrewThread(number(o, "thread_mm"), number(o, "pitch_mm"), hand(o));
    }

    private static ScrewThread.Hand hand(JsonNode o) {
        return o.has("hand") ? JobReader.one(ScrewThread.Hand.class, o.get("hand").asText()) : ScrewThread.Hand.RIGHT;
    }

    private static Piece piece(JsonNode o) {
        Id id = JobReader.id(o, "id");
        String name = o.path("name").asText();
        return switch (o.path("kind").asText()) {
            case "length" -> new Piece.Length(id, name, section(o.path("section")), metal(o), number(o, "length_mm"), o.path("left").asInt(1), o.path("right").asInt(0));
            case "arm_plate" -> new Piece.ArmPlate(id, name, JobReader.one(Piece.ArmOf.class, o.path("arm").asText()), number(o, "thickness_mm"), number(o, "root_hole_mm"),
                    number(o, "end_hole_mm"), number(o, "margin_mm"));
            case "bearing_bracket" -> new Piece.BearingBracket(id, name, JobReader.id(o, "bearing"), JobReader.id(o, "foot"), number(o, "thickness_mm"), number(o, "foot_width_mm"),
                    number(o, "hole_mm"), o.path("bolts").asInt(), number(o, "bolt_circle_mm"), number(o, "bolt_hole_mm"), number(o, "margin_mm"));
            case "coped_tube" -> new Piece.CopedTube(id, name, tube(o.path("section")), metal(o), number(o, "length_mm"), meeting(o.path("from")), meeting(o.path("to")),
                    o.path("left").asInt(1), o.path("right").asInt(0));
            case "centring_jig" -> new Piece.CentringJig(id, name, number(o, "one_mm"), number(o, "other_mm"), number(o, "length_mm"), number(o, "wall_mm"));
            default -> throw new ImpossibleGeometryException("There is no kind of piece \"" + o.path("kind").asText() + "\".");
        };
    }

    private static Piece.Meeting meeting(JsonNode o) {
        return new Piece.Meeting(JobReader.number(o, "into_mm", 0), JobReader.number(o, "angle_deg", 90), JobReader.number(o, "offset_mm", 0), JobReader.number(o, "turn_deg", 0));
    }

    private static WorkPlan plan(JsonNode o) {
        Map<String, WorkPlan.StepMark> marks = new LinkedHashMap<>();
        o.path("marks").forEach(m -> {
            marks.put(m.path("step").asText(), new WorkPlan.StepMark(day(m, "done"), m.path("by").asText(""), m.path("note").asText(""), m.path("skipped").asBoolean(), maybe(m, "hours")));
        });
        Map<Id, WorkPlan.Purchase> purchases = new LinkedHashMap<>();
        o.path("purchases").forEach(p -> {
            purchases.put(JobReader.id(p, "what"), new WorkPlan.Purchase(maybe(p, "price"), JobReader.optional(p, "lead_days").map(JsonNode::asInt), day(p, "ordered"), day(p, "arrived")));
        });
        List<WorkPlan.OwnPurchase> own = all(o, "own_purchases", p -> new WorkPlan.OwnPurchase(JobReader.id(p, "id"), p.path("what").asText(), p.path("step").asText()));
        return new WorkPlan(day(o, "wanted"), JobReader.number(o, "hours_per_week", WorkPlan.NONE.hoursPerWeek()), marks,
                all(o, "own_steps", s -> new WorkPlan.OwnStep(s.path("key").asText(), s.path("after").asText(), s.path("title").asText())), purchases, own);
    }

    private static WeldRecord weld(JsonNode o) {
        return new WeldRecord(JobReader.id(o, "id"), o.path("piece").asText(), JobReader.one(WeldedMetal.class, o.path("metal").asText()), number(o, "preheat_c"), number(o, "most_between_c"),
                number(o, "cool_per_hour_c"), o.path("filler").asText(""),
                all(o, "readings", r -> new WeldRecord.Reading(number(r, "minutes"), number(r, "celsius"), JobReader.one(WeldRecord.Moment.class, r.path("moment").asText()))),
                o.path("welded_by").asText(""), o.path("inspected_by").asText(""), day(o, "day"));
    }

    static Optional<LocalDate> day(JsonNode o, String key) {
        return JobReader.optional(o, key).map(d -> date(d.asText()));
    }

    /** @throws ImpossibleGeometryException if it is not a day */
    static LocalDate date(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new ImpossibleGeometryException("\"" + text + "\" is not a day: write it like 2026-03-28.");
        }
    }

    /** @throws ImpossibleGeometryException if it is not a day and time */
    static LocalDateTime moment(String text) {
        try {
            return LocalDateTime.parse(text);
        } catch (DateTimeException e) {
            throw new ImpossibleGeometryException("\"" + text + "\" is not a day and time: write it like 2026-03-28T14:05.");
        }
    }
}

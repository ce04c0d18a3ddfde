package mildtilt.format;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.job.Built;
import mildtilt.job.Plan;
import mildtilt.job.TrialLog;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.linkage.Rod;
import mildtilt.steer.SteeringTrain;
import mildtilt.trial.Gauge;
import mildtilt.trial.Inspection;
import mildtilt.trial.Setup;
import mildtilt.trial.Tolerances;
import mildtilt.trial.TrialReading;
import mildtilt.trial.TrialSheet;

/** The log of trials as JSON, both ways. */
final class LogJson {

    private LogJson() {}

    static ObjectNode write(TrialLog log) {
        ObjectNode o = JobWriter.object();
        if (!log.tolerances().equals(Tolerances.USUAL)) {
            ObjectNode n = o.putObject("tolerances");
            for (Tolerances.Kind k : Tolerances.Kind.values()) {
                JobWriter.number(n, key(k), log.tolerances().of(k));
            }
        }
        ArrayNode vehicles = o.putArray("vehicles");
        for (Built b : log.vehicles()) {
            ObjectNode v = vehicles.addObject();
            v.put("id", b.id().text());
            v.put("name", b.name());
            ArrayNode trials = v.putArray("trials");
            b.trials().forEach(t -> trials.add(trial(t)));
            if (!b.inspection().equals(Inspection.NONE)) {
                v.set("inspection", inspection(b.inspection()));
            }
        }
        return o;
    }

    private static ObjectNode trial(Trial t) {
        TrialSheet s = t.sheet();
        ObjectNode o = JobWriter.object();
        o.put("id", t.id().text());
        o.put("name", s.name());
        o.put("at", s.at().toString());
        o.put("by", s.by());
        o.put("changed", s.changed());
        ObjectNode u = o.putObject("setup");
        u.put("on_ground", s.setup().onGround());
        u.put("springs_off", s.setup().springsOff());
        u.put("stops_off", s.setup().stopsOff());
        JobWriter.number(u, "steering_wheel_deg", s.setup().steeringWheelDeg());
        JobWriter.number(u, "travel_left_mm", s.setup().travelLeft());
        JobWriter.number(u, "travel_right_mm", s.setup().travelRight());
        JobWriter.number(u, "wall_mm", s.setup().wall());
        ArrayNode readings = o.putArray("readings");
        s.readings().forEach(r -> readings.add(reading(r)));
        ArrayNode photos = o.putArray("photos");
        s.photos().forEach(photos::add);
        o.put("remarks", s.remarks());
        JobWriter.plan(o.putObject("plan"), t.plan());
        return o;
    }

    private static ObjectNode reading(TrialReading reading) {
        ObjectNode o = JobWriter.object();
        switch (reading) {
            case TrialReading.Figure r -> {
                o.put("kind", "figure");
                gauge(o, r.what());
                JobWriter.number(o, "value", r.value());
            }
            case TrialReading.WallDot r -> {
                o.put("kind", "wall_dot");
                o.put("wheel", r.wheel().code());
                o.put("rod_on", r.rodOn());
                JobWriter.number(o, "travel_mm", r.travel());
                JobWriter.number(o, "left_mm", r.left());
                JobWriter.number(o, "up_mm", r.up());
            }
            case TrialReading.PlatePair r -> {
                o.put("kind", "turn_plates");
                o.put("way", r.way().code());
                JobWriter.number(o, "inner_deg", r.inner());
                JobWriter.number(o, "outer_deg", r.outer());
            }
            case TrialReading.RunOut r -> {
                o.put("kind", "run_out");
                o.put("part", r.shaft().text());
                JobWriter.number(o, "along_mm", r.along());
                o.set("dial_mm", JobWriter.numbers(r.dial().stream().mapToDouble(Double::doubleValue).toArray()));
            }
        }
        JobWriter.number(o, "spread", reading.spread());
        o.put("by", reading.by());
        return o;
    }

    private static void gauge(ObjectNode o, Gauge gauge) {
        switch (gauge) {
            case Gauge.JointAngle g -> o.put("what", "joint_angle").put("part", g.joint().text());
            case Gauge.ShaftLength g -> o.put("what", "shaft_length").put("part", g.shaft().text());
            case Gauge.RodLength g -> o.put("what", "rod_length").put("part", g.rod().name().toLowerCase(Locale.ROOT));
            case Gauge.LockAngle g -> o.put("what", "lock_angle").put("way", g.way().code()).put("wheel", g.wheel().code());
            case Gauge.Gap g -> o.put("what", "gap").put("part", g.first().text()).put("other", g.second().text());
            case Gauge.TurnsTo g -> o.put("what", "turns_to").put("way", g.way().code());
            case Gauge.GearOffCentre _ -> o.put("what", "gear_off_centre");
            case Gauge.SpokesOffStraight _ -> o.put("what", "spokes_off_straight");
            case Gauge.RimForce g -> o.put("what", "rim_force").put("on_ground", g.onGround());
            case Gauge.RimPlay g -> o.put("what", "rim_play").put("on_ground", g.onGround());
            case Gauge.FreeReturn _ -> o.put("what", "free_return");
        }
    }

    private static ObjectNode inspection(Inspection i) {
        ObjectNode o = JobWriter.object();
        ArrayNode ticks = o.putArray("ticks");
        new TreeMap<>(i.ticks()).forEach((key, t) -> ticks.addObject().put("key", key.text()).put("found", t.found()).put("by", t.by()).put("day", t.day().toString()).put("note", t.note()));
        ArrayNode own = o.putArray("own");
        i.own().forEach(x -> own.addObject().put("id", x.id().text()).put("what", x.what()));
        i.driven().ifPresent(d -> o.put("driven", d.toString()));
        return o;
    }

    static TrialLog read(JsonNode o, Function<JsonNode, Plan> plan) {
        Tolerances tolerances = JobReader.at("tolerances", () -> tolerances(o.path("tolerances")));
        List<Built> vehicles = MakingReader.all(o, "vehicles", v -> new Built(JobReader.id(v, "id"), v.path("name").asText(), MakingReader.all(v, "trials", x -> trial(x, plan)),
                JobReader.optional(v, "inspection").map(i -> JobReader.at("inspection", () -> inspection(i))).orElse(Inspection.NONE)));
        return new TrialLog(vehicles, tolerances);
    }

    private static Tolerances tolerances(JsonNode o) {
        Tolerances all = Tolerances.USUAL;
        for (Tolerances.Kind k : Tolerances.Kind.values()) {
            all = all.with(k, JobReader.number(o, key(k), all.of(k)));
        }
        return all;
    }

    private static String key(Tolerances.Kind k) {
        return k.name().toLowerCase(Locale.ROOT);
    }

    private static Trial trial(JsonNode o, Function<JsonNode, Plan> plan) {
        JsonNode u = o.path("setup");
        Setup usual = Setup.RAISED;
        Setup setup = new Setup(u.path("on_ground").asBoolean(), u.path("springs_off").asBoolean(), u.path("stops_off").asBoolean(), u.path("steering_wheel_deg").asDouble(),
                u.path("travel_left_mm").asDouble(), u.path("travel_right_mm").asDouble(), JobReader.number(u, "wall_mm", usual.wall()));
        List<String> photos = new ArrayList<>();
        o.path("photos").forEach(p -> photos.add(p.asText()));
        Plan then = JobReader.at("plan", () -> {
            Plan p = plan.apply(o.path("plan"));
            new SteeringTrain(Job.of("", p));
            return p;
        });
        return new Trial(JobReader.id(o, "id"), new TrialSheet(o.path("name").asText(), MakingReader.moment(o.path("at").asText()), o.path("by").asText(""), o.path("changed").asText(""), setup,
                MakingReader.all(o, "readings", LogJson::reading), photos, o.path("remarks").asText("")), then);
    }

    private static TrialReading reading(JsonNode o) {
        double spread = o.path("spread").asDouble();
        String by = o.path("by").asText(TrialReading.TYPED);
        return switch (o.path("kind").asText()) {
            case "figure" -> new TrialReading.Figure(gauge(o), o.path("value").asDouble(), spread, by);
            case "wall_dot" -> new TrialReading.WallDot(JobReader.side(o, "wheel"), o.path("rod_on").asBoolean(true), o.path("travel_mm").asDouble(), o.path("left_mm").asDouble(), o.path("up_mm").asDouble(), spread, by);
            case "turn_plates" -> new TrialReading.PlatePair(JobReader.side(o, "way"), o.path("inner_deg").asDouble(), o.path("outer_deg").asDouble(), spread, by);
            case "run_out" -> {
                List<Double> dial = new ArrayList<>();
                o.path("dial_mm").forEach(d -> dial.add(d.asDouble()));
                yield new TrialReading.RunOut(JobReader.id(o, "part"), o.path("along_mm").asDouble(), dial, spread, by);
            }
            default -> throw new ImpossibleGeometryException("There is no kind of reading \"" + o.path("kind").asText() + "\".");
        };
    }

    private static Gauge gauge(JsonNode o) {
        return switch (o.path("what").asText()) {
            case "joint_angle" -> new Gauge.JointAngle(JobReader.id(o, "part"));
            case "shaft_length" -> new Gauge.ShaftLength(JobReader.id(o, "part"));
            case "rod_length" -> new Gauge.RodLength(JobReader.one(Rod.class, o.path("part").asText()));
            case "lock_angle" -> new Gauge.LockAngle(JobReader.side(o, "way"), JobReader.side(o, "wheel"));
            case "gap" -> new Gauge.Gap(JobReader.id(o, "part"), JobReader.id(o, "other"));
            case "turns_to" -> new Gauge.TurnsTo(JobReader.side(o, "way"));
            case "gear_off_centre" -> new Gauge.GearOffCentre();
            case "spokes_off_straight" -> new Gauge.SpokesOffStraight();
            case "rim_force" -> new Gauge.RimForce(o.path("on_ground").asBoolean());
            case "rim_play" -> new Gauge.RimPlay(o.path("on_ground").asBoolean());
            case "free_return" -> new Gauge.FreeReturn();
            default -> throw new ImpossibleGeometryException("Nothing is called \"" + o.path("what").asText() + "\" at a trial.");
        };
    }

    private static Inspection inspection(JsonNode o) {
        Map<Id, Inspection.Tick> ticks = new LinkedHashMap<>();
        o.path("ticks").forEach(t -> ticks.put(JobReader.id(t, "key"), new Inspection.Tick(t.path("found").asBoolean(), t.path("by").asText(""), MakingReader.date(t.path("day").asText()), t.path("note").asText(""))));
        List<Inspection.Own> own = new ArrayList<>();
        o.path("own").forEach(i -> own.add(new Inspection.Own(JobReader.id(i, "id"), i.path("what").asText())));
        return new Inspection(ticks, own, MakingReader.day(o, "driven"));
    }
}

package mildtilt.format;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.Writer;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.job.Plan;
import mildtilt.job.TrialLog;
import mildtilt.job.Job;
import mildtilt.job.Targets;
import mildtilt.job.Variant;
import mildtilt.job.Vehicle;
import mildtilt.making.Making;
import mildtilt.obstacle.Surroundings;
import mildtilt.rules.RulesJson;
import mildtilt.survey.Survey;

/** A job as JSON text: always the same text for the same job, every field written. */
public final class JobWriter {

    static final String FORMAT = "mild-tilt-job";
    /** 2 since linkages other than rack and tie rods, and variants; 3 since ends, bearings, sliding shafts and rule sets; 4 since what is in the way; 5 since how it is made, and its changes; 6 since the log of trials; 7 since own parts tell given sizes from guessed ones, obstacles what may be done with them, rule sets geometry and a kerb; 8 since everything is referred to by ids. {@link Migrations} brings older ones up. */
    static final int VERSION = 8;

    private static final JsonMapper MAPPER = new JsonMapper();

    private JobWriter() {}

    public static String write(Job job) {
        return print(tree(job));
    }

    /** JSON text with two-space indents and a line feed at the end, on every platform. */
    static String print(ObjectNode tree) {
        try {
            return MAPPER.writer(layout()).writeValueAsString(tree) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Writes the same layout piece by piece. */
    static JsonGenerator generator(Writer out) throws IOException {
        return MAPPER.writer(layout()).createGenerator(out).disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
    }

    private static DefaultPrettyPrinter layout() {
        return new DefaultPrettyPrinter().withObjectIndenter(new DefaultIndenter("  ", "\n"));
    }

    static ObjectNode tree(Job job) {
        ObjectNode root = object();
        root.put("format", FORMAT);
        root.put("version", VERSION);
        root.put("title", job.title());
        root.put("about", job.about());
        plan(root, job.plan());
        root.set("rules", RulesJson.write(job.rules()));
        if (!job.surroundings().equals(Surroundings.NONE)) {
            root.set("surroundings", SurroundingsWriter.surroundings(job.surroundings()));
        }
        if (!job.survey().equals(Survey.NONE)) {
            root.set("survey", SurveyJson.write(job.survey()));
        }
        if (!job.making().equals(Making.NONE)) {
            root.set("making", MakingWriter.making(job.making()));
        }
        if (!job.log().equals(TrialLog.NONE)) {
            root.set("log", LogJson.write(job.log()));
        }
        if (!job.changes().isEmpty()) {
            ArrayNode changes = root.putArray("changes");
            job.changes().forEach(c -> {
                ObjectNode o = changes.addObject().put("at", c.at().toString()).put("what", c.what());
                if (!c.why().isEmpty()) {
                    o.put("why", c.why());
                }
            });
        }
        if (!job.variants().isEmpty()) {
            ArrayNode variants = root.putArray("variants");
            for (Variant v : job.variants().all()) {
                ObjectNode o = variants.addObject();
                o.put("id", v.id().text());
                o.put("name", v.name());
                plan(o, v.plan());
            }
        }
        return root;
    }

    static void plan(ObjectNode o, Plan plan) {
        o.set("vehicle", vehicle(plan.vehicle()));
        plan.column().ifPresent(c -> o.set("column", ColumnWriter.column(c)));
        plan.axle().ifPresent(a -> o.set("axle", AxleWriter.axle(a)));
        o.set("targets", targets(plan.targets()));
    }

    private static ObjectNode vehicle(Vehicle vehicle) {
        ObjectNode v = object();
        number(v, "wheelbase_mm", vehicle.wheelbase());
        number(v, "bump_mm", vehicle.bump());
        number(v, "droop_mm", vehicle.droop());
        number(v, "normal_bump_mm", vehicle.normalBump());
        number(v, "normal_droop_mm", vehicle.normalDroop());
        number(v, "tyre_width_mm", vehicle.tyreWidth());
        vehicle.loads().ifPresent(l -> {
            ObjectNode o = v.putObject("loads");
            number(o, "front_axle_kg", l.frontAxleKg());
            number(o, "friction", l.friction());
            number(o, "rolling_resistance", l.rollingResistance());
            number(o, "efficiency", l.efficiency());
        });
        return v;
    }

    private static ObjectNode targets(Targets targets) {
        ObjectNode t = object();
        number(t, "ripple_pct", targets.ripplePct());
        number(t, "ackermann_min_pct", targets.ackermannMinPct());
        number(t, "ackermann_max_pct", targets.ackermannMaxPct());
        number(t, "bump_steer_deg", targets.bumpSteerDeg());
        targets.lockDeg().ifPresent(d -> number(t, "lock_deg", d));
        number(t, "toggle_deg", targets.toggleDeg());
        number(t, "rake_deg", targets.rakeDeg());
        number(t, "rim_force_n", targets.rimForce());
        number(t, "buckling_margin", targets.bucklingMargin());
        targets.outerTable().ifPresent(table -> {
            ObjectNode o = t.putObject("outer_table");
            ArrayNode rows = o.putArray("rows");
            table.rows().forEach(r -> rows.add(numbers(r.innerDeg(), r.outerDeg())));
            number(o, "tolerance_deg", table.toleranceDeg());
        });
        return t;
    }

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    static ArrayNode point(Point p) {
        return numbers(p.x(), p.y(), p.z());
    }

    static ArrayNode direction(Direction d) {
        return numbers(d.x(), d.y(), d.z());
    }

    static ArrayNode numbers(double... values) {
        ArrayNode a = JsonNodeFactory.instance.arrayNode();
        for (double v : values) {
            if (isWhole(v)) {
                a.add((long) v);
            } else {
                a.add(v);
            }
        }
        return a;
    }

    /** Whole numbers without ".0", as a person would write them; all others in the shortest exact form. */
    static void number(ObjectNode o, String key, double v) {
        if (isWhole(v)) {
            o.put(key, (long) v);
        } else {
            o.put(key, v);
        }
    }

    private static boolean isWhole(double v) {
        return v == Math.rint(v) && Math.abs(v) < 1e15;
    }
}

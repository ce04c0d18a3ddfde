package mildtilt.format;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.Change;
import mildtilt.job.Plan;
import mildtilt.job.TrialLog;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.job.OuterTable;
import mildtilt.job.Targets;
import mildtilt.job.Variant;
import mildtilt.job.Variants;
import mildtilt.job.Vehicle;
import mildtilt.making.Making;
import mildtilt.obstacle.Surroundings;
import mildtilt.rules.Rules;
import mildtilt.rules.RulesJson;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.SteeringTrain;
import mildtilt.survey.Survey;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Reads a job from JSON text: first as JSON, then against the schema that ships, then part by part into
 * records that refuse what can't exist. Every refusal names the place in the file.
 */
public final class JobReader {

    private static final double UNIT_LENGTH_TOLERANCE = 1e-12;

    private static final Logger LOG = LoggerFactory.getLogger(JobReader.class);

    private JobReader() {}

    /** @throws JobFileException if the text is not a job, saying what is wrong and where */
    public static Job read(String text) throws JobFileException {
        JsonNode root = JsonText.parse(text);
        mustBeJob(root);
        Migrations.bringUp((ObjectNode) root);
        SchemaCheck.mustBeJob(root);
        return build(root);
    }

    /** Reads a job that ships with the program, which the tests hold against the schema: a start need not wait for it. */
    static Job readShipped(String text) throws JobFileException {
        return build(JsonText.parse(text));
    }

    /** Makes the schema ready ahead of the first file, which else waits for it. */
    public static void prepare() {
        SchemaCheck.prepare();
    }

    private static Job build(JsonNode root) throws JobFileException {
        return built("job", () -> {
            Job job = job(root);
            at("axle", () -> new SteeringTrain(job));
            return job;
        });
    }

    private static void mustBeJob(JsonNode root) throws JobFileException {
        if (!root.isObject() || !JobWriter.FORMAT.equals(root.path("format").asText())) {
            throw new JobFileException("This is not a Mild Tilt job: a job begins with \"format\": \""
                    + JobWriter.FORMAT + "\".");
        }
        JsonNode version = root.path("version");
        if (version.isIntegralNumber() && version.asLong() > JobWriter.VERSION) {
            throw new JobFileException("This job was saved by a newer Mild Tilt (job version " + version.asLong()
                    + "; this one reads up to " + JobWriter.VERSION + "). Open it with the newer program.");
        }
    }

    /** Builds what a file says, or tells where it can't be. */
    static <T> T built(String what, Supplier<T> part) throws JobFileException {
        try {
            return part.get();
        } catch (Misfit m) {
            throw new JobFileException("This " + what + " can't exist as written. At " + m.place + ": " + m.getMessage());
        } catch (ImpossibleGeometryException e) {
            throw new JobFileException("This " + what + " can't exist as written. " + e.getMessage());
        } catch (RuntimeException e) {
            // Whatever was not thought of must still not end the program.
            LOG.error("a {} could not be read", what, e);
            throw new JobFileException("This " + what + " holds something that can't be read: Mild Tilt itself has a fault here.");
        }
    }

    private static final class Misfit extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final String place;

        Misfit(String place, String message) {
            super(message);
            this.place = place;
        }
    }

    static <T> T at(String place, Supplier<T> part) {
        try {
            return part.get();
        } catch (Misfit m) {
            throw m.place.startsWith(place) ? m : new Misfit(place + ", " + m.place, m.getMessage());
        } catch (ImpossibleGeometryException e) {
            throw new Misfit(place, e.getMessage());
        }
    }

    private static Job job(JsonNode root) {
        Rules rules = optional(root, "rules").map(r -> at("rules", () -> RulesJson.read(r))).orElseGet(ShippedRules.CAUTIOUS_ROAD::rules);
        Surroundings surroundings = optional(root, "surroundings").map(s -> at("surroundings", () -> SurroundingsReader.surroundings(s))).orElse(Surroundings.NONE);
        String title = root.path("title").asText();
        List<Variant> variants = MakingReader.all(root, "variants", v -> {
            Plan other = plan(v);
            new SteeringTrain(Job.of(title, other));
            return new Variant(id(v, "id"), v.path("name").asText(), other);
        });
        Job job = Job.of(title, plan(root)).withAbout(root.path("about").asText("")).withRules(rules).withSurroundings(surroundings)
                .withSurvey(optional(root, "survey").map(x -> at("survey", () -> SurveyJson.read(x))).orElse(Survey.NONE))
                .withMaking(optional(root, "making").map(m -> at("making", () -> MakingReader.making(m))).orElse(Making.NONE))
                .withLog(optional(root, "log").map(l -> at("log", () -> LogJson.read(l, JobReader::plan))).orElse(TrialLog.NONE)).withChanges(at("changes", () -> changes(root.path("changes"))));
        return at("variants", () -> job.withVariants(new Variants(variants)));
    }

    private static List<Change> changes(JsonNode all) {
        List<Change> changes = new ArrayList<>();
        all.forEach(c -> changes.add(new Change(MakingReader.moment(c.path("at").asText()), c.path("what").asText(), c.path("why").asText(""))));
        return changes;
    }

    private static Plan plan(JsonNode o) {
        return new Plan(at("vehicle", () -> vehicle(o.path("vehicle"))), optional(o, "column").map(ColumnReader::column),
                optional(o, "axle").map(a -> at("axle", () -> AxleReader.axle(a))), at("targets", () -> targets(o.path("targets"))));
    }

    private static Vehicle vehicle(JsonNode v) {
        Vehicle plain = new Vehicle(number(v, "wheelbase_mm", 0), number(v, "bump_mm", 50), number(v, "droop_mm", 50),
                number(v, "tyre_width_mm", 150));
        Vehicle vehicle = plain.withNormal(number(v, "normal_bump_mm", plain.normalBump()),
                number(v, "normal_droop_mm", plain.normalDroop()));
        return vehicle.withLoads(optional(v, "loads").map(l -> {
            Loads usual = Loads.of(number(l, "front_axle_kg", 0));
            return new Loads(usual.frontAxleKg(), number(l, "friction", usual.friction()),
                    number(l, "rolling_resistance", usual.rollingResistance()), number(l, "efficiency", usual.efficiency()));
        }));
    }

    private static Targets targets(JsonNode t) {
        Targets usual = Targets.USUAL;
        return new Targets(number(t, "ripple_pct", usual.ripplePct()), number(t, "ackermann_min_pct", usual.ackermannMinPct()),
                number(t, "ackermann_max_pct", usual.ackermannMaxPct()), number(t, "bump_steer_deg", usual.bumpSteerDeg()),
                optional(t, "lock_deg").map(JsonNode::asDouble), number(t, "toggle_deg", usual.toggleDeg()),
                number(t, "rake_deg", usual.rakeDeg()), number(t, "rim_force_n", usual.rimForce()),
                number(t, "buckling_margin", usual.bucklingMargin()), optional(t, "outer_table").map(JobReader::outerTable));
    }

    private static OuterTable outerTable(JsonNode o) {
        List<OuterTable.Row> rows = new ArrayList<>();
        o.path("rows").forEach(r -> rows.add(new OuterTable.Row(r.path(0).asDouble(), r.path(1).asDouble())));
        return new OuterTable(rows, number(o, "tolerance_deg", 1));
    }

    /**
     * The value of a kind that a word stands for.
     *
     * @throws ImpossibleGeometryException if it stands for none, naming those that there are
     */
    static <E extends Enum<E>> E one(Class<E> kind, String word) {
        return Arrays.stream(kind.getEnumConstants()).filter(e -> e.name().equals(word.toUpperCase(Locale.ROOT))).findFirst()
                .orElseThrow(() -> new ImpossibleGeometryException("\"" + SchemaWords.cut(word) + "\" is none of "
                        + Arrays.stream(kind.getEnumConstants()).map(e -> e.name().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", ")) + "."));
    }

    static Id id(JsonNode o, String key) {
        return new Id(o.path(key).asText());
    }

    /** Of a kind that no reader knows: the schema has refused it already, so this is the program's own slip. */
    static ImpossibleGeometryException unknown(String what, String kind) {
        return new ImpossibleGeometryException("There is no " + what + " of the kind \"" + SchemaWords.cut(kind) + "\".");
    }

    static Side side(JsonNode o, String key) {
        return one(Side.class, o.path(key).asText());
    }

    static Optional<JsonNode> optional(JsonNode o, String key) {
        return o.has(key) ? Optional.of(o.get(key)) : Optional.empty();
    }

    static double number(JsonNode o, String key, double ifAbsent) {
        return o.has(key) ? o.get(key).asDouble() : ifAbsent;
    }

    static Point point(JsonNode o, String key) {
        JsonNode a = o.path(key);
        return new Point(a.path(0).asDouble(), a.path(1).asDouble(), a.path(2).asDouble());
    }

    /** Any length will do, but one that is already one is kept to the last bit, so that saving changes nothing. */
    static Direction direction(JsonNode a) {
        double x = a.path(0).asDouble();
        double y = a.path(1).asDouble();
        double z = a.path(2).asDouble();
        return Math.abs(x * x + y * y + z * z - 1) < UNIT_LENGTH_TOLERANCE
                ? new Direction(x, y, z)
                : Direction.along(x, y, z);
    }
}

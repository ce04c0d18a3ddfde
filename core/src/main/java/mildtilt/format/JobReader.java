package mildtilt.format;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import mildtilt.column.Column;
import mildtilt.column.DoubleJoint;
import mildtilt.column.ForkFit;
import mildtilt.column.ForkSetting;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.SingleJoint;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.job.OuterTable;
import mildtilt.job.Targets;
import mildtilt.job.Variant;
import mildtilt.job.Vehicle;
import mildtilt.steer.SteeringTrain;

/**
 * Reads a job from JSON text: first as JSON, then against the schema that ships, then part by part into
 * records that refuse what can't exist. Every refusal names the place in the file.
 */
public final class JobReader {

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private static final int PROBLEMS_SHOWN = 5;
    private static final double UNIT_LENGTH_TOLERANCE = 1e-12;

    private JobReader() {}

    /** Compiled once, at the first file: a demo or a new job needs none. */
    private static final class Schema {
        static final JsonSchema JOB = load();

        private static JsonSchema load() {
            try (InputStream in = JobReader.class.getResourceAsStream("job.schema.json")) {
                return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(MAPPER.readTree(in));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** @throws JobFileException if the text is not a job, saying what is wrong and where */
    public static Job read(String text) throws JobFileException {
        JsonNode root = parse(text);
        mustBeJob(root);
        mustFitSchema(root);
        return build(root);
    }

    /** Reads a job that ships with the program, which the tests hold against the schema: a start need not wait for it. */
    static Job readShipped(String text) throws JobFileException {
        return build(parse(text));
    }

    /** Makes the schema ready ahead of the first file, which else waits for it. */
    public static void prepare() {
        Schema.JOB.initializeValidators();
    }

    private static Job build(JsonNode root) throws JobFileException {
        try {
            Job job = job(root);
            at("axle", () -> new SteeringTrain(job));
            return job;
        } catch (Misfit m) {
            throw new JobFileException("This job can't exist as written. At " + m.place + ": " + m.getMessage());
        }
    }

    private static JsonNode parse(String text) throws JobFileException {
        try {
            return MAPPER.readTree(text);
        } catch (JsonProcessingException e) {
            JsonLocation at = e.getLocation();
            String place = at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
            throw new JobFileException("The file is damaged or is not JSON: it can't be read" + place + " ("
                    + e.getOriginalMessage().lines().findFirst().orElse("") + ").");
        }
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

    private static void mustFitSchema(JsonNode root) throws JobFileException {
        List<ValidationMessage> problems = List.copyOf(Schema.JOB.validate(root));
        if (problems.isEmpty()) {
            return;
        }
        String shown = problems.stream().limit(PROBLEMS_SHOWN)
                .map(p -> place(p.getInstanceLocation().toString()) + ": "
                        + p.getMessage().replaceFirst("^\\Q" + p.getInstanceLocation() + "\\E:? *", ""))
                .collect(Collectors.joining("\n"));
        int more = problems.size() - PROBLEMS_SHOWN;
        throw new JobFileException("The file does not say a whole job. " + shown
                + (more > 0 ? "\n… and " + more + " more." : ""));
    }

    /** {@code $.column.joints[1].centre_mm} as {@code column, joints number 2, centre_mm}. */
    private static String place(String path) {
        StringBuilder said = new StringBuilder();
        for (String part : path.replaceAll("\\[(\\d+)]", ".#$1").split("[./]")) {
            if (part.startsWith("#")) {
                said.append(" number ").append(Integer.parseInt(part.substring(1)) + 1);
            } else if (!part.isEmpty() && !part.equals("$")) {
                said.append(said.isEmpty() ? "" : ", ").append(part);
            }
        }
        return said.isEmpty() ? "the file itself" : said.toString();
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
        Job plan = plan(root, root.path("title").asText(), root.path("about").asText(""));
        List<Variant> variants = new ArrayList<>();
        for (JsonNode v : root.path("variants")) {
            int number = variants.size() + 1;
            variants.add(at("variants number " + number, () -> {
                Job other = plan(v, plan.title(), plan.about());
                new SteeringTrain(other);
                return new Variant(v.path("name").asText(), other);
            }));
        }
        return at("variants", () -> plan.withVariants(variants));
    }

    private static Job plan(JsonNode o, String title, String about) {
        return new Job(title, about, at("vehicle", () -> vehicle(o.path("vehicle"))), optional(o, "column").map(JobReader::column),
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

    private static Column column(JsonNode c) {
        JsonNode wheel = c.path("steering_wheel");
        JsonNode input = c.path("gear_input");
        List<Shaft> shafts = new ArrayList<>();
        for (JsonNode s : c.path("shafts")) {
            shafts.add(at("column, shafts number " + (shafts.size() + 1), () -> shaft(s)));
        }
        List<Joint> joints = new ArrayList<>();
        for (JsonNode j : c.path("joints")) {
            joints.add(at("column, joints number " + (joints.size() + 1), () -> joint(j)));
        }
        return at("column", () -> new Column(number(wheel, "diameter_mm", 360), point(wheel, "hub_mm"), fit(wheel),
                shafts, joints, point(input, "point_mm"), fit(input), number(c, "first_fork_deg", 0)));
    }

    private static Shaft shaft(JsonNode s) {
        ForkSetting setting = switch (s.path("fork").asText("any")) {
            case "stepped" -> {
                if (!s.has("fork_step_deg")) {
                    throw new ImpossibleGeometryException("A stepped fork needs \"fork_step_deg\".");
                }
                yield new ForkSetting.Stepped(s.path("fork_step_deg").asDouble());
            }
            case "fixed" -> new ForkSetting.Fixed();
            default -> new ForkSetting.AnyAngle();
        };
        return new Shaft(s.path("name").asText(), number(s, "diameter_mm", 20), number(s, "clocking_deg", 0),
                setting, s.path("to_cut").asBoolean(true));
    }

    private static Joint joint(JsonNode j) {
        String name = j.path("name").asText();
        Point centre = point(j, "centre_mm");
        ForkFit wheelSide = fit(j.path("wheel_side"));
        ForkFit gearSide = fit(j.path("gear_side"));
        return j.path("kind").asText("single").equals("double")
                ? new DoubleJoint(name, centre, number(j, "max_angle_deg", 70), wheelSide, gearSide)
                : new SingleJoint(name, centre, number(j, "max_angle_deg", 35), wheelSide, gearSide);
    }

    private static ForkFit fit(JsonNode o) {
        return new ForkFit(number(o, "take_off_mm", 0), number(o, "engagement_mm", 0));
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

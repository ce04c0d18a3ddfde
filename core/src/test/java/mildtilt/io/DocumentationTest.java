package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.column.Bearing;
import mildtilt.describe.Range;
import mildtilt.describe.Ranges;
import mildtilt.describe.RefusalText;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.jobfile.SchemaMaker;
import mildtilt.io.json.AnalysisJson;
import mildtilt.io.json.RouteJson;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.parts.CatalogueParts;
import mildtilt.parts.JobParts;
import mildtilt.parts.RuleParts;
import mildtilt.routes.RouteFinder;
import mildtilt.routes.RouteProgress;
import mildtilt.routes.RouteQuestion;
import mildtilt.steer.position.SteeringInput;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What docs/ promises of files is what the program does. */
class DocumentationTest {

    private static final ObjectMapper MAPPER = new ObjectMapper();
    private static final Path DOCS = Path.of("..", "docs");

    private static String doc(String name) throws IOException {
        return Files.readString(DOCS.resolve(name));
    }

    /**
     * With {@code -Dmildtilt.renew=true} what is made of the descriptions is written to docs/ instead of being held
     * against it.
     */
    private static final boolean RENEW = Boolean.getBoolean("mildtilt.renew");

    private static JsonNode schema() throws IOException {
        return MAPPER.readTree(doc("job.schema.json"));
    }

    @Test
    void schemaMatchesDescriptions() throws Exception {
        String made = JsonTree.print(new SchemaMaker()
                .schema(
                        JobParts.JOB,
                        "urn:mild-tilt:job:" + JobParts.VERSION,
                        "Mild Tilt job, version " + JobParts.VERSION));
        if (RENEW) {
            Files.writeString(DOCS.resolve("job.schema.json"), made);
        }
        assertThat(doc("job.schema.json")).isEqualTo(made);
    }

    @Test
    void keysPageMatchesDescriptions() throws Exception {
        String made = KeysPage.of(JobParts.JOB);
        if (RENEW) {
            Files.writeString(DOCS.resolve("job-keys.md"), made);
        }
        assertThat(doc("job-keys.md")).isEqualTo(made);
    }

    @Test
    void figuresPageMatchesHeadlines() throws Exception {
        StringBuilder table =
                new StringBuilder("| name | called | what it is | usual | better |\n|---|---|---|---|---|\n");
        for (Headline h : Headline.values()) {
            table.append("| `")
                    .append(h.key())
                    .append("` | ")
                    .append(h.label())
                    .append(" | ")
                    .append(h.meaning())
                    .append(" | ")
                    .append(h.usual())
                    .append(" | ")
                    .append(h.better().name().toLowerCase(Locale.ROOT).replace('_', ' '))
                    .append(" |\n");
        }
        mustStandIn("figures.md", "| name | called |", table.toString());
    }

    /** A table of a page in docs/, known by how it begins. */
    private static void mustStandIn(String page, String begins, String table) throws IOException {
        Matcher there = Pattern.compile(Pattern.quote(begins) + ".*?\\n(?=\\n)", Pattern.DOTALL)
                .matcher(doc(page));
        if (RENEW) {
            Files.writeString(DOCS.resolve(page), there.replaceFirst(Matcher.quoteReplacement(table)));
            return;
        }
        assertThat(there.find()).isTrue();
        assertThat(there.group()).isEqualTo(table);
    }

    @Test
    void rangesPageMatchesDescriptions() throws Exception {
        SchemaMaker maker = new SchemaMaker();
        List.of(JobParts.JOB, RuleParts.FILE, CatalogueParts.FILE).forEach(p -> maker.schema(p, "", ""));
        StringBuilder table = new StringBuilder("| kind of size | range | keys |\n|---|---|---|\n");
        for (Range r : Ranges.all()) {
            Set<String> keys = maker.keysOfRanges().getOrDefault(r.name(), new TreeSet<>());
            table.append("| ")
                    .append(r.name())
                    .append(" | ")
                    .append(RefusalText.shown(r.least()))
                    .append(" to ")
                    .append(RefusalText.shown(r.most()))
                    .append(r.nearest() > 0 ? " (no nearer to 0 than " + RefusalText.shown(r.nearest()) + ")" : "")
                    .append(" | ")
                    .append(
                            keys.isEmpty()
                                    ? r.help()
                                    : keys.stream()
                                                    .limit(5)
                                                    .map(k -> "`" + k + "`")
                                                    .collect(Collectors.joining(", "))
                                            + (keys.size() > 5 ? " …" : ""))
                    .append(" |\n");
        }
        mustStandIn("job-format.md", "| kind of size |", table.toString());
    }

    @Test
    void documentedSmallestJobOpens() throws Exception {
        Matcher example = Pattern.compile("```json\\n(.*?)```", Pattern.DOTALL).matcher(doc("job-format.md"));
        assertThat(example.find()).isTrue();
        Job job = JobReader.read(example.group(1));
        assertThat(job.title()).isEqualTo("My carrier");
        assertThat(job.column()).isEmpty();
        assertThat(job.vehicle().bump())
                .as("what is left out is as the table says")
                .isEqualTo(50);
        assertThat(Analysis.of(job).findings()).isEmpty();
    }

    @Test
    void everySchemaKeyIsDescribed() throws Exception {
        String text = doc("job-keys.md") + doc("job-format.md") + doc("rules.md");
        Set<String> keys = new TreeSet<>();
        collectKeys(schema(), keys);
        assertThat(keys).hasSizeGreaterThan(45).contains("clocking_deg", "travel_per_left_turn_mm");
        assertThat(keys).allSatisfy(k -> assertThat(text).as(k).containsPattern("\\b" + Pattern.quote(k) + "\\b"));
    }

    private static void collectKeys(JsonNode node, Set<String> keys) {
        if (node.path("properties").isObject()) {
            node.get("properties").fieldNames().forEachRemaining(keys::add);
        }
        node.forEach(child -> collectKeys(child, keys));
    }

    @Test
    void writtenJobsMatchSchemaWithoutDuplicates() throws Exception {
        Set<String> keys = new TreeSet<>();
        collectKeys(schema(), keys);
        Set<String> written = new TreeSet<>();
        for (DemoJob demo : DemoJob.values()) {
            collectNames(JobWriter.tree(demo.job()), written);
        }
        assertThat(keys).containsAll(written);
    }

    private static void collectNames(JsonNode node, Set<String> names) {
        node.fieldNames().forEachRemaining(names::add);
        node.forEach(child -> collectNames(child, names));
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void demosMatchSchemaAndSavedForm(DemoJob demo) throws Exception {
        try (InputStream in = DemoJob.class.getResourceAsStream("/mildtilt/demo/" + demo.file() + ".tilt")) {
            String shipped = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            assertThat(JobReader.read(shipped)).isEqualTo(demo.job());
            assertThat(JobWriter.write(demo.job())).isEqualTo(shipped);
            assertThat(demo.job().title()).isEqualTo(demo.title());
        }
    }

    @Test
    void documentedFiguresArePrinted() throws Exception {
        Set<String> names = new TreeSet<>();
        Bearing askew = Bearing.planned(
                        Id.Kind.BEARING.first(), "Askew", Bearing.Kind.ROD_END, Bearing.Mount.FRAME, 1, 100, 19)
                .withOff(2, 1);
        collectNames(
                AnalysisJson.tree(
                        Analysis.of(DemoJob.MARSH_CARRIER.job().editColumn(c -> c.withBearings(List.of(askew)))),
                        List.of()),
                names);
        for (DemoJob demo : DemoJob.values()) {
            collectNames(
                    AnalysisJson.tree(
                            Analysis.of(demo.job()), List.of(new SteeringInput(30, 5, 5), new SteeringInput(20, 0, 0))),
                    names);
        }
        Obstacle rail = Obstacle.fixed("rail", new Shape.Box(new Point(-285, 215, 445), 900, 70, 140))
                .withMay(Optional.of(Obstacle.May.NOTCHED));
        Job railed = DemoJob.MARSH_CARRIER.job().editSurroundings(s -> s.with(rail));
        collectNames(AnalysisJson.tree(Analysis.of(railed), List.of()), names);
        collectNames(
                RouteJson.tree(RouteFinder.search(
                        DemoJob.MARSH_CARRIER.job(),
                        RouteQuestion.USUAL.withJoints(2, 2).withTilt(-40, 40),
                        RouteProgress.SILENT)),
                names);
        Matcher named = Pattern.compile("`([a-z][a-zA-Z0-9_.]*_(?:mm|deg|pct|percent))`")
                .matcher(doc("figures.md"));
        int n = 0;
        while (named.find()) {
            String name = named.group(1).substring(named.group(1).lastIndexOf('.') + 1);
            boolean input = Set.of("travel_left_mm", "steering_wheel_deg", "travel_right_mm", "missing_mm")
                    .contains(name);
            assertThat(names.contains(name) || names.contains(named.group(1)) || input)
                    .as(named.group(1))
                    .isTrue();
            n++;
        }
        assertThat(n).isGreaterThan(15);
        assertThat(names).noneMatch(k -> k.contains("delta") && !k.endsWith("_deg"));
    }
}

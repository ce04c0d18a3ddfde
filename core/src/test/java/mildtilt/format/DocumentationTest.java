package mildtilt.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mildtilt.analysis.Analysis;
import mildtilt.column.Bearing;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.routefinder.RouteFinder;
import mildtilt.routefinder.RouteProgress;
import mildtilt.routefinder.RouteQuestion;
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

    private static JsonNode schema() throws IOException {
        try (InputStream in = JobReader.class.getResourceAsStream("job.schema.json")) {
            return MAPPER.readTree(in);
        }
    }

    @Test
    void theSmallestJobOfTheDocumentationIsAJob() throws Exception {
        Matcher example = Pattern.compile("```json\\n(.*?)```", Pattern.DOTALL).matcher(doc("job-format.md"));
        assertThat(example.find()).isTrue();
        Job job = JobReader.read(example.group(1));
        assertThat(job.title()).isEqualTo("My carrier");
        assertThat(job.column()).isEmpty();
        assertThat(job.vehicle().bump()).as("what is left out is as the table says").isEqualTo(50);
        assertThat(Analysis.of(job).findings()).isEmpty();
    }

    @Test
    void everyKeyOfTheSchemaIsDescribed() throws Exception {
        String text = doc("job-format.md") + doc("rules.md");
        Set<String> keys = new TreeSet<>();
        collectKeys(schema(), keys);
        assertThat(keys).hasSizeGreaterThan(45).contains("clocking_deg", "travel_per_left_turn_mm");
        assertThat(keys).allSatisfy(k -> assertThat(text).as(k).containsPattern("\\b" + Pattern.quote(k) + "\\b"));
    }

    @Test
    void theRangeOfEverySizeIsInTheTable() throws Exception {
        String text = doc("job-format.md");
        int sizes = 0;
        for (var e : schema().get("$defs").properties()) {
            JsonNode d = e.getValue();
            if (d.path("type").asText().matches("number|integer")) {
                sizes++;
                assertThat(text).contains("| " + e.getKey().replace('_', ' ') + " | " + d.get("minimum").asText() + " to " + d.get("maximum").asText());
            }
        }
        assertThat(sizes).isGreaterThan(50);
    }

    private static void collectKeys(JsonNode node, Set<String> keys) {
        if (node.path("properties").isObject()) {
            node.get("properties").fieldNames().forEachRemaining(keys::add);
        }
        node.forEach(child -> collectKeys(child, keys));
    }

    @Test
    void everythingThatIsWrittenIsInTheSchemaAndNothingIsNamedTwice() throws Exception {
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
    void theDemosThatShipAreHeldAgainstTheSchemaAndAreAsTheyWouldBeSaved(DemoJob demo) throws Exception {
        try (InputStream in = DemoJob.class.getResourceAsStream("/mildtilt/demo/" + demo.file() + ".tilt")) {
            String shipped = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            assertThat(JobReader.read(shipped)).isEqualTo(demo.job());
            assertThat(JobWriter.write(demo.job())).isEqualTo(shipped);
            assertThat(demo.job().title()).isEqualTo(demo.title());
        }
    }

    @Test
    void theFiguresThatAreDocumentedArePrinted() throws Exception {
        Set<String> names = new TreeSet<>();
        Bearing askew = Bearing.planned(Id.Kind.BEARING.first(), "Askew", Bearing.Kind.ROD_END, Bearing.Mount.FRAME, 1, 100, 19).withOff(2, 1);
        collectNames(AnalysisJson.tree(Analysis.of(DemoJob.MARSH_CARRIER.job().editColumn(c -> c.withBearings(List.of(askew)))), List.of()), names);
        for (DemoJob demo : DemoJob.values()) {
            collectNames(AnalysisJson.tree(Analysis.of(demo.job()), List.of(new HandPosition(30, 5, 5), new HandPosition(20, 0, 0))), names);
        }
        Obstacle rail = Obstacle.fixed("rail", new Shape.Box(new Point(-285, 215, 445), 900, 70, 140)).withMay(Optional.of(Obstacle.May.NOTCHED));
        Job railed = DemoJob.MARSH_CARRIER.job().editSurroundings(s -> s.with(rail));
        collectNames(AnalysisJson.tree(Analysis.of(railed), List.of()), names);
        collectNames(RouteJson.tree(RouteFinder.search(DemoJob.MARSH_CARRIER.job(), RouteQuestion.USUAL.withJoints(2, 2).withTilt(-40, 40), RouteProgress.SILENT)), names);
        Matcher named = Pattern.compile("`([a-z][a-zA-Z0-9_.]*_(?:mm|deg|pct|percent))`").matcher(doc("figures.md"));
        int n = 0;
        while (named.find()) {
            String name = named.group(1).substring(named.group(1).lastIndexOf('.') + 1);
            boolean input = Set.of("travel_left_mm", "steering_wheel_deg", "travel_right_mm", "missing_mm").contains(name);
            assertThat(names.contains(name) || names.contains(named.group(1)) || input).as(named.group(1)).isTrue();
            n++;
        }
        assertThat(n).isGreaterThan(15);
        assertThat(names).noneMatch(k -> k.contains("delta") && !k.endsWith("_deg"));
    }
}

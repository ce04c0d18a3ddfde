package mildtilt.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.findings.Severity;
import mildtilt.io.AllThatIsSaid;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Every number of every demo put to extremes, one at a time: it is refused with a sentence, or everything is worked out
 * of it. A part of the numbers in every
 * test run; all, with what became of each written to target, with -Dmildtilt.extremes=1.
 */
class ExtremesTest {

    /** Every so manieth number is tried. */
    private static final int STEP = Integer.getInteger("mildtilt.extremes", 211);

    private static final List<Double> VALUES = List.of(0.0, -1.0, 1e-320, 1e-6, 1e6, 1e308);
    private static final List<Double> TIMES = List.of(-1.0, 0.1, 0.7, 1.5, 10.0);
    private static final Set<String> WRITTEN_DOWN = Set.of("log", "survey", "changes");
    private static final JsonMapper MAPPER = new JsonMapper();

    private record Place(List<Object> path, double is) {
        String text() {
            return path.stream()
                    .map(p -> p instanceof Integer ? "*" : p.toString())
                    .collect(Collectors.joining("/"));
        }
    }

    private static void gather(JsonNode node, List<Object> path, List<Place> all) {
        if (node.isNumber() && !path.contains("version")) {
            all.add(new Place(List.copyOf(path), node.asDouble()));
        }
        node.properties().forEach(e -> {
            if (!WRITTEN_DOWN.contains(e.getKey())) {
                path.add(e.getKey());
                gather(e.getValue(), path, all);
                path.removeLast();
            }
        });
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                path.add(i);
                gather(node.get(i), path, all);
                path.removeLast();
            }
        }
    }

    private static JsonNode with(JsonNode whole, List<Object> path, double v) {
        JsonNode root = whole.deepCopy();
        JsonNode at = root;
        for (Object p : path.subList(0, path.size() - 1)) {
            at = p instanceof Integer i ? at.get(i) : at.get((String) p);
        }
        switch (path.getLast()) {
            case Integer i -> ((ArrayNode) at).set(i, DoubleNode.valueOf(v));
            case Object key -> ((ObjectNode) at).put((String) key, v);
        }
        return root;
    }

    /** What comes of a job: the refusal, what was not worked out, or what stops it. */
    private static String outcome(JsonNode changed) {
        Job job;
        try {
            job = JobReader.read(changed.toString());
        } catch (JobFileException e) {
            assertThat(e.getMessage()).matches(m -> m.length() <= 300 && !m.contains("Mild Tilt itself"));
            return "refused: " + e.getMessage();
        }
        AllThatIsSaid said = AllThatIsSaid.of(job);
        if (!said.cannot().isEmpty()) {
            return "cannot: " + said.cannot();
        }
        List<String> open = said.analysisFailed();
        return open.isEmpty()
                ? "worked out: "
                        + said.findings().stream()
                                .filter(f -> f.severity() == Severity.STOP)
                                .map(f -> f.fault().name())
                                .distinct()
                                .toList()
                : "not worked out: " + open;
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void extremeValuesOfEveryNumberAreHandled(DemoJob demo) throws IOException {
        JsonNode whole = MAPPER.readTree(JobWriter.write(demo.job()));
        // What is in the way takes most of the time, and says little of other sizes.
        JsonNode clear = MAPPER.readTree(JobWriter.write(demo.job().editSurroundings(s -> s.withObstacles(List.of()))));
        List<Place> all = new ArrayList<>();
        gather(whole, new ArrayList<>(), all);
        Map<String, Set<String>> outcomes = new TreeMap<>();
        List<String> wrong = new ArrayList<>();
        int refused = 0;
        int tried = 0;
        for (int i = demo.ordinal() % STEP; i < all.size(); i += STEP) {
            Place p = all.get(i);
            double[] values = Stream.concat(VALUES.stream(), TIMES.stream().map(t -> t * p.is))
                    .mapToDouble(Double::doubleValue)
                    .distinct()
                    .filter(Double::isFinite)
                    .toArray();
            for (double v : values) {
                tried++;
                try {
                    String what = outcome(with(p.path.getFirst().equals("surroundings") ? whole : clear, p.path, v));
                    refused += what.startsWith("refused") ? 1 : 0;
                    outcomes.computeIfAbsent(p.text() + " = " + v, _ -> new TreeSet<>())
                            .add(what);
                } catch (Throwable e) {
                    wrong.add(p.path + " = " + v + ": " + e + " at "
                            + Arrays.stream(e.getStackTrace())
                                    .filter(s -> s.getClassName().startsWith("mildtilt"))
                                    .limit(4)
                                    .toList());
                }
            }
        }
        if (STEP == 1) {
            Files.write(
                    Path.of("target", "extremes-" + demo.file() + ".txt"),
                    outcomes.entrySet().stream()
                            .map(e -> e.getKey() + "\n    " + String.join("\n    ", e.getValue()))
                            .toList());
        }
        assertThat(wrong).isEmpty();
        assertThat(refused)
                .as("some of " + tried + " are sizes that no vehicle has")
                .isGreaterThan(tried / 10);
    }
}

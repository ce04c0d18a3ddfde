package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.drawing.Backdrop;
import mildtilt.drawing.Sketch;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.json.AnalysisJson;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.report.Table;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;

/** All that the program says and draws of a job, worked out and looked at for what no vehicle has. */
public record AllThatIsSaid(String cannot, List<Finding> findings) {

    private static final Grid GRID = new Grid(4, 3);
    private static final LocalDate DAY = LocalDate.of(2026, 11, 24);
    private static final List<SteeringInput> PLACES =
            List.of(new SteeringInput(0, 0, 0), new SteeringInput(90, 20, -20), new SteeringInput(-3600, 900, 900));

    /** No length, force or percentage of a vehicle has more figures before its point. */
    private static final double LARGEST = 1e9;

    private static final Pattern NO_WORDS = Pattern.compile(
            "java\\.|Exception|null found|StreamRead|Input length|\\bNaN\\b|Infinity|Mild Tilt itself has a fault");

    /**
     * @return why there can't be such a vehicle, empty if there can; and what was found
     * @throws AssertionError if anything fails, or is no number
     */
    public static AllThatIsSaid of(Job job) {
        return of(job, LARGEST);
    }

    /** @param largest that a figure may be; more than usual for sizes that no file may hold */
    public static AllThatIsSaid of(Job job, double largest) {
        Analysis a;
        try {
            a = Analysis.of(job, GRID);
        } catch (ImpossibleGeometryException e) {
            assertThat(e.getMessage()).as("a sentence").matches(AllThatIsSaid::isASentence);
            return new AllThatIsSaid(e.getMessage(), List.of());
        }
        for (Finding f : a.findings()) {
            assertThat(f.why().text(LengthUnit.MM))
                    .as(f.what().text(LengthUnit.MM))
                    .doesNotContain("Mild Tilt itself has a fault");
        }
        JsonNode json = AnalysisJson.tree(a, PLACES);
        numbers(json, "", largest);
        StringBuilder all = new StringBuilder();
        for (LengthUnit unit : LengthUnit.values()) {
            a.findings().forEach(f -> all.append(f.what().text(unit))
                    .append('\n')
                    .append(f.why().text(unit))
                    .append('\n'));
            a.findings().forEach(f -> f.remedies()
                    .forEach(r -> all.append(r.action().text(unit)).append('\n')));
            a.notJudged().forEach(n -> all.append(n.missing().text(unit)).append('\n'));
            for (Headline h : Headline.values()) {
                all.append(h.label())
                        .append(' ')
                        .append(a.headlines()
                                .get(h)
                                .map(v -> new Quantity(v, h.unit()).text(unit))
                                .orElse("-"))
                        .append('\n');
            }
        }
        for (Table t : Papers.of(a, DAY).tables()) {
            t.rows()
                    .forEach(row -> row.forEach(
                            c -> all.append(c.text(LengthUnit.INCH_FRACTION)).append('\n')));
        }
        Backdrop backdrop = Backdrop.of(job, a.train(), Optional.empty());
        for (SteeringInput h : PLACES) {
            Optional<AxlePose> pose =
                    a.train().axle().map(_ -> a.train().pose(h.steeringWheelDeg(), h.travelLeft(), h.travelRight()));
            Sketch.of(job, a.train(), h.steeringWheelDeg(), h.travelLeft(), h.travelRight(), pose, backdrop)
                    .notes()
                    .forEach(n -> all.append(n.figure().text(LengthUnit.MM)).append('\n'));
        }
        assertThat(all.toString())
                .doesNotContainPattern("\\bNaN\\b")
                .doesNotContain("Infinity")
                .doesNotContain("∞")
                .doesNotContain("E30");
        return new AllThatIsSaid("", a.findings());
    }

    /** Parts that could not be worked out, with why. */
    public List<String> analysisFailed() {
        return findings.stream()
                .filter(f -> f.fault() == Fault.NOT_WORKED_OUT)
                .map(f -> f.about() + ": " + f.why().text(LengthUnit.MM))
                .toList();
    }

    private static void numbers(JsonNode node, String place, double largest) {
        if (node.isNumber()) {
            assertThat(Math.abs(node.asDouble())).as(place).isFinite().isLessThan(largest);
        }
        node.properties().forEach(e -> numbers(e.getValue(), place + "/" + e.getKey(), largest));
        if (node.isArray()) {
            node.forEach(n -> numbers(n, place, largest));
        }
    }

    /** Whether a welder can read it. What is quoted from the file may be anything. */
    static boolean isASentence(String message) {
        return message.length() >= 8
                && message.length() <= 300
                && (message.endsWith(".") || message.endsWith("?"))
                && !NO_WORDS.matcher(message.replaceAll("\"[^\"]*\"", "")).find();
    }
}

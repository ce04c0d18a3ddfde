package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.report.SurveyTables;
import mildtilt.solve.Goal;
import mildtilt.solve.Progress;
import mildtilt.solve.SolveQuestion;
import mildtilt.solve.Solver;
import mildtilt.trials.diagnose.Diagnosis;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;
import org.junit.jupiter.api.Test;

/** The guide follows one vehicle: it quotes what the program says of that, and its links lead somewhere. */
class GuideTest {

    private static final Path DOCS = Path.of("..", "docs");
    private static final Pattern LINK = Pattern.compile("\\]\\(([^)#]+)(#[^)]*)?\\)");

    private static List<Path> pages() throws IOException {
        try (Stream<Path> all = Files.list(DOCS.resolve("guide"))) {
            return all.sorted().toList();
        }
    }

    /** Lines that begin with > are the program's own words of the demo. */
    @Test
    void quotesAreWhatTheProgramSays() throws Exception {
        String said = said(DemoJob.MARSH_CARRIER.job());
        int quotes = 0;
        for (Path page : pages()) {
            for (String line : Files.readAllLines(page)) {
                if (line.startsWith("> ")) {
                    quotes++;
                    assertThat(said).as(page.getFileName().toString()).contains(line.substring(2));
                }
            }
        }
        assertThat(quotes).isGreaterThan(15);
    }

    private static String said(Job job) {
        Analysis a = Analysis.of(job);
        List<String> all = new ArrayList<>();
        a.findings().forEach(f -> {
            all.add(f.what().text(LengthUnit.MM));
            all.add(f.why().text(LengthUnit.MM));
            f.remedies().forEach(r -> all.add(r.action().text(LengthUnit.MM)));
        });
        a.headlines()
                .values()
                .forEach((h, v) -> all.add(h.label() + ": " + new Quantity(v, h.unit()).text(LengthUnit.MM)));
        Solver.search(job, SolveQuestion.usual(Goal.LEAST_BUMP_STEER, job), Progress.SILENT)
                .forEach(s -> all.add(s.sentence().text(LengthUnit.MM)));
        for (BuiltVehicle vehicle : job.log().vehicles()) {
            for (Trial t : vehicle.trials()) {
                Job then = Job.of("", t.plan());
                Diagnosis.of(t.sheet(), then).ifPresent(d -> d.causes()
                        .forEach(c -> all.add(c.describe(then).text(LengthUnit.MM))));
            }
        }
        SurveyTables.of(job).forEach(t -> t.rows().forEach(r -> r.forEach(c -> all.add(c.text(LengthUnit.MM)))));
        return String.join("\n", all);
    }

    /** Also in the other pages of docs/, and in README. */
    @Test
    void linksLeadSomewhere() throws Exception {
        List<Path> all = new ArrayList<>(pages());
        try (Stream<Path> docs = Files.list(DOCS)) {
            docs.filter(p -> p.toString().endsWith(".md")).forEach(all::add);
        }
        for (String name : List.of("README.md", "CONTRIBUTING.md", "CHANGELOG.md")) {
            all.add(DOCS.resolveSibling(name));
        }
        for (Path page : all) {
            Matcher m = LINK.matcher(Files.readString(page));
            while (m.find()) {
                if (!m.group(1).contains("://")) {
                    assertThat(page.resolveSibling(m.group(1)))
                            .as("from " + page)
                            .exists();
                }
            }
        }
    }
}

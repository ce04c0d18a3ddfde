package mildtilt.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.Job;
import mildtilt.shop.FoundFigures;
import mildtilt.shop.RackRodFigures;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import org.junit.jupiter.api.Test;

/** The worked vehicle of the documentation: whatever the page says that the program says, it says. */
class PartsToPlanTest {

    private static final Path DOCS = Path.of("..", "docs");

    private static List<String> said(Job job) {
        Analysis a = Analysis.of(job);
        Papers p = Papers.of(a, LocalDate.EPOCH);
        List<Phrase> all = new ArrayList<>();
        for (Finding f : a.findings()) {
            all.add(f.what());
            f.remedies().forEach(r -> all.add(r.action()));
        }
        p.found().stream().map(FoundFigures::order).forEach(all::add);
        p.rackRods().stream().map(RackRodFigures::order).forEach(all::add);
        all.addAll(p.stops().orders());
        p.run().lines().forEach(l -> {
            all.add(Phrase.plain(l.step().title()));
            all.add(l.step().proof());
        });
        return all.stream().map(x -> x.text(LengthUnit.MM)).toList();
    }

    private static Job cured(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == fault)
                .findFirst()
                .orElseThrow()
                .remedies()
                .getFirst()
                .edit()
                .apply(job);
    }

    @Test
    void workedVehicleSaysWhatThePageSays() throws Exception {
        Job job = JobFile.open(DOCS.resolve("examples").resolve("parts-in-hand.tilt"));
        List<String> all = new ArrayList<>(said(job));
        Job after = cured(cured(job, Fault.FOUND_TOO_LONG), Fault.FOUND_TOO_SHORT);
        all.addAll(said(after));
        assertThat(Analysis.of(after).findings())
                .extracting(Finding::fault)
                .doesNotContain(Fault.FOUND_TOO_LONG, Fault.FOUND_TOO_SHORT, Fault.JOIN_LOST, Fault.HEAT_SPOILS);
        List<String> page = Files.readAllLines(DOCS.resolve("from-parts-to-plan.md")).stream()
                .filter(l -> l.startsWith("> "))
                .map(l -> l.substring(2))
                .toList();
        assertThat(page).hasSizeGreaterThan(10);
        assertThat(all).containsAll(page);
    }
}

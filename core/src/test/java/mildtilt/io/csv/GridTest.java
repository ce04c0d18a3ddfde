package mildtilt.io.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.json.AnalysisJson;
import mildtilt.job.Job;
import mildtilt.steer.position.Grid;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The grid is for tables and curves: no other figure, and no finding, hangs on it. */
class GridTest {

    /** The tables, and the figures that are named after the grid. */
    private static final Set<String> TABLES =
            Set.of("steer_table", "bump_steer_table", "roll_steer_table", "rows", "grid", "travel_table");

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void onlyTablesDependOnGrid(DemoJob demo) {
        Job job = demo.job();
        Analysis coarse = Analysis.of(job, new Grid(2, 2));
        Analysis fine = Analysis.of(job, new Grid(17, 9));
        same(demo.toString(), AnalysisJson.tree(coarse, List.of()), AnalysisJson.tree(fine, List.of()));
        assertThat(coarse.findings().stream().map(f -> f.what()).toList())
                .isEqualTo(fine.findings().stream().map(f -> f.what()).toList());
    }

    private static void same(String path, JsonNode a, JsonNode b) {
        if (a.isObject()) {
            assertThat(b.properties().size()).as(path).isEqualTo(a.size());
            a.properties().stream()
                    .filter(e -> !TABLES.contains(e.getKey())
                            && !e.getKey().contains("grid")
                            && !e.getKey().equals("closest_at")
                            && !e.getKey().equals("rod_end_misalignment_worst_at")
                            && !e.getKey().contains("closest_to_toggle"))
                    .forEach(e -> same(path + "/" + e.getKey(), e.getValue(), b.get(e.getKey())));
        } else if (a.isArray()) {
            assertThat(b.size()).as(path).isEqualTo(a.size());
            for (int i = 0; i < a.size(); i++) {
                same(path + "/" + i, a.get(i), b.get(i));
            }
        } else if (a.isNumber()) {
            assertThat(b.asDouble())
                    .as(path)
                    .isCloseTo(a.asDouble(), within(1e-9 * Math.max(1, Math.abs(a.asDouble()))));
        } else {
            assertThat(b).as(path).isEqualTo(a);
        }
    }
}

package mildtilt.io.json;

import static mildtilt.io.JsonTree.number;
import static mildtilt.io.JsonTree.object;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.Writer;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntConsumer;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.clocking.ForkMark;
import mildtilt.findings.Finding;
import mildtilt.findings.checks.NotJudged;
import mildtilt.io.JsonTree;
import mildtilt.report.Cell;
import mildtilt.report.Papers;
import mildtilt.report.Table;
import mildtilt.shop.BenchSheet;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthUnit;

/**
 * Every computed figure of a job as JSON at full precision. The names are described in docs/figures.md; an
 * absent figure is null, never NaN.
 */
public final class AnalysisJson {

    private static final Set<String> NOT_OF_MAKING =
            Set.of("joints", "shafts", "points", "changes", "buying", "run-sheet");

    private AnalysisJson() {}

    public static String write(Analysis analysis, List<SteeringInput> positions) {
        return JsonTree.print(tree(analysis, positions));
    }

    /**
     * The same, each position written as soon as it is worked out: a million of them take minutes and would fill the
     * memory.
     *
     * @param done called after each position with the count so far
     */
    public static void write(Analysis analysis, List<SteeringInput> positions, Writer out, IntConsumer done)
            throws IOException {
        ObjectNode root = tree(analysis, List.of());
        if (positions.isEmpty()) {
            out.write(JsonTree.print(root));
            return;
        }
        try (JsonGenerator to = JsonTree.generator(out)) {
            to.writeStartObject();
            for (Map.Entry<String, JsonNode> e : root.properties()) {
                to.writeFieldName(e.getKey());
                to.writeTree(e.getValue());
            }
            to.writeArrayFieldStart("positions");
            int n = 0;
            for (SteeringInput p : positions) {
                to.writeTree(PoseJson.tree(analysis, p));
                done.accept(++n);
            }
            to.writeEndArray();
            to.writeEndObject();
            to.writeRaw('\n');
        }
    }

    public static ObjectNode tree(Analysis analysis, List<SteeringInput> positions) {
        ObjectNode root = object();
        root.put("format", "mild-tilt-analysis");
        root.put("version", 1);
        root.put("title", analysis.job().title());
        ObjectNode figures = root.putObject("figures");
        for (Headline h : Headline.values()) {
            optional(figures, h.key(), analysis.headlines().get(h));
        }
        analysis.train().column().ifPresent(c -> analysis.column()
                .ifPresent(f -> root.set("column", ColumnJson.tree(c, f))));
        analysis.train().locked().ifPresent(l -> root.put("cannot_turn", l.sentence()));
        analysis.steer().ifPresent(s -> root.set("linkage", SteerJson.tree(analysis, s)));
        analysis.clearance().ifPresent(c -> root.set("clearance", ClearanceJson.tree(c)));
        analysis.travel().ifPresent(t -> root.set("travel", TravelJson.tree(t)));
        root.set("bench", bench(analysis.bench()));
        root.set("making", making(analysis));
        ArrayNode findings = root.putArray("findings");
        analysis.findings().forEach(f -> findings.add(finding(f)));
        ArrayNode open = root.putArray("not_judged");
        for (NotJudged n : analysis.notJudged()) {
            ObjectNode o = open.addObject();
            o.put("what", n.matter());
            o.put("missing", n.missing().text(LengthUnit.MM));
        }
        if (!positions.isEmpty()) {
            ArrayNode all = root.putArray("positions");
            positions.forEach(p -> all.add(PoseJson.tree(analysis, p)));
        }
        return root;
    }

    private static ObjectNode bench(BenchSheet bench) {
        ObjectNode o = object();
        ArrayNode shafts = o.putArray("shafts");
        for (BenchSheet.ShaftLine s : bench.shafts()) {
            ObjectNode line = shafts.addObject();
            line.put("name", s.name());
            number(line, "between_centres_mm", s.centres());
            optional(line, "cut_length_mm", s.cut());
            optional(line, "clocking_deg", s.mark().map(ForkMark::deg));
            optional(line, "clocking_arc_mm", s.mark().map(ForkMark::arc));
            s.mark().map(ForkMark::teethText).filter(t -> !t.isEmpty()).ifPresent(t -> line.put("clocking_teeth", t));
            line.put("typical_sizes", s.typical());
        }
        ArrayNode rods = o.putArray("rods");
        for (BenchSheet.RodLine r : bench.rods()) {
            ObjectNode line = rods.addObject();
            line.put("name", r.rod().label());
            number(line, "centre_to_centre_mm", r.length());
        }
        return o;
    }

    /**
     * The tables of the papers, without those that depend on the day or appear elsewhere: a list of rows each, under
     * the keys of the CSV.
     */
    private static ObjectNode making(Analysis analysis) {
        ObjectNode o = object();
        for (Table t : Papers.of(analysis, LocalDate.EPOCH).tables()) {
            if (!NOT_OF_MAKING.contains(t.file())) {
                ArrayNode rows = o.putArray(t.file().replace('-', '_'));
                t.rows().forEach(r -> rows.add(row(t, r)));
            }
        }
        return o;
    }

    private static ObjectNode row(Table t, List<Cell> cells) {
        ObjectNode o = object();
        for (int i = 0; i < cells.size(); i++) {
            switch (cells.get(i).raw()) {
                case Double d -> number(o, t.keys().get(i), d);
                case Long n -> o.put(t.keys().get(i), n);
                case Object words -> o.put(t.keys().get(i), words.toString());
            }
        }
        return o;
    }

    private static ObjectNode finding(Finding f) {
        ObjectNode o = object();
        o.put("fault", f.fault().code());
        o.put("severity", f.severity().word());
        o.put("what", f.what().text(LengthUnit.MM));
        o.put("why", f.why().text(LengthUnit.MM));
        ArrayNode remedies = o.putArray("remedies");
        f.remedies().forEach(r -> remedies.add(r.action().text(LengthUnit.MM)));
        return o;
    }

    static void optional(ObjectNode o, String key, Optional<Double> value) {
        value.filter(Double::isFinite).ifPresentOrElse(v -> number(o, key, v), () -> o.putNull(key));
    }
}

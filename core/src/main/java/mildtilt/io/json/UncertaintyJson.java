package mildtilt.io.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import mildtilt.analysis.Headline;
import mildtilt.io.JsonTree;
import mildtilt.uncertainty.UncertaintyReport;

/** How sure the figures are, as JSON. */
public final class UncertaintyJson {

    private UncertaintyJson() {}

    public static String write(UncertaintyReport s) {
        ObjectNode o = JsonTree.object();
        o.put("draws", s.draws());
        o.put("not_assembled", s.impossible());
        ObjectNode figures = o.putObject("figures");
        s.figures().forEach((h, f) -> {
            ObjectNode n = figures.putObject(key(h));
            JsonTree.number(n, "plan", f.plan());
            JsonTree.number(n, "spread", f.spread());
            JsonTree.number(n, "five_pct_below", f.least());
            JsonTree.number(n, "five_pct_above", f.most());
            n.put("draws", f.draws());
        });
        ArrayNode again = o.putArray("measure_again");
        s.again().forEach(a -> {
            ObjectNode n = again.addObject();
            n.put("what", a.what());
            ArrayNode gains = n.putArray("gains");
            a.gains().forEach(g -> {
                ObjectNode x = gains.addObject();
                x.put("figure", key(g.headline()));
                JsonTree.number(x, "spread", g.before());
                JsonTree.number(x, "spread_then", g.after());
            });
        });
        return JsonTree.print(o);
    }

    private static String key(Headline h) {
        return h.name().toLowerCase(Locale.ROOT);
    }
}

package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Effect;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.analysis.SolveOutcome;
import mildtilt.arms.CutAndMove;
import mildtilt.job.Job;
import mildtilt.job.Variant;
import mildtilt.linkage.KnuckleArm;
import mildtilt.solve.Goal;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Headline figures beside each other: of several jobs, of variants, before and after a change. */
public final class FigureTables {

    private FigureTables() {}

    /**
     * What stands in one column.
     *
     * @param key in a file
     * @param head for people
     */
    public record Column(String key, String head, Headlines figures) {}

    /** Every figure of a job's plan beside its variants; empty without any. @param plan of the job as it stands */
    public static Optional<Table> variants(Analysis plan) {
        Job job = plan.job();
        if (job.variants().all().isEmpty()) {
            return Optional.empty();
        }
        List<Column> columns = new ArrayList<>();
        columns.add(new Column("plan", "The plan", plan.headlines()));
        for (Variant v : job.variants().all()) {
            columns.add(
                    new Column(v.id().text(), v.name(), Headlines.of(job.as(v)).orElse(Headlines.NONE)));
        }
        return Optional.of(sideBySide("variants", "The plan and its variants", columns));
    }

    /** A row for every figure that any of them has. */
    public static Table sideBySide(String file, String title, List<Column> columns) {
        List<String> keys = new ArrayList<>(List.of("label"));
        List<String> heads = new ArrayList<>(List.of("Figure"));
        for (Column c : columns) {
            keys.add(c.key);
            heads.add(c.head);
        }
        List<List<Cell>> rows = new ArrayList<>();
        for (Headline h : Headline.values()) {
            if (columns.stream().allMatch(c -> c.figures.get(h).isEmpty())) {
                continue;
            }
            List<Cell> row = new ArrayList<>(List.of(Cell.of(h.label())));
            for (Column c : columns) {
                row.add(cell(h, c.figures.get(h)));
            }
            row.add(Cell.of(h.key()));
            rows.add(row);
        }
        keys.add("figure");
        heads.add("Key");
        return new Table(file, title, keys, heads, rows);
    }

    /**
     * What came of asking for something: of each answer the orders, what is not met, what it brings, what it changes.
     */
    public static Table answers(Goal asked, SolveOutcome outcome) {
        Rows rows = new Rows();
        outcome.notes().forEach(n -> rows.say("", "note", "", n));
        outcome.nothing(asked).ifPresent(n -> rows.say("", outcome.met() ? "met" : "nothing", "", Phrase.of(n)));
        int n = 0;
        for (SolveOutcome.Priced p : outcome.answers()) {
            String number = Integer.toString(++n);
            p.answer().orders().forEach(o -> rows.say(number, "do", "", o));
            p.answer().missing().forEach(m -> rows.say(number, "not met", "", m));
            rows.effect(number, p.effect());
        }
        return rows.table("answers", asked.label());
    }

    /** What is done to an arm, and what that changes. @param arms that were changed */
    public static Table knuckle(Job before, Job after, List<KnuckleArm> arms, Effect effect) {
        Rows rows = new Rows();
        for (KnuckleArm arm : arms) {
            CutAndMove.steps(arm, before, after).forEach(s -> rows.say("1", "do", "", s));
        }
        rows.effect("1", effect);
        // There is but one answer.
        return rows.table("knuckle", "Cut and move").without("answer");
    }

    private static Cell cell(Headline h, Optional<Double> value) {
        return Cell.of(value.map(v -> new Quantity(v, h.unit())));
    }

    private static final class Rows {
        private final List<List<Cell>> all = new ArrayList<>();

        void say(String number, String kind, String key, Phrase what) {
            all.add(List.of(Cell.of(number), Cell.of(kind), Cell.of(what), Cell.of(""), Cell.of(""), Cell.of(key)));
        }

        void effect(String number, Effect effect) {
            effect.brings().forEach(f -> say(number, "but then", f.fault().code(), f.what()));
            for (Headlines.Change c : effect.notable()) {
                Headline h = c.headline();
                all.add(List.of(
                        Cell.of(number),
                        Cell.of("changes"),
                        Cell.of(h.label()),
                        cell(h, c.before()),
                        cell(h, c.after()),
                        Cell.of(h.key())));
            }
        }

        Table table(String file, String title) {
            return new Table(
                    file,
                    title,
                    List.of("answer", "kind", "what", "before", "after", "key"),
                    List.of("Answer", "", "What", "Before", "After", "Key"),
                    all);
        }
    }

    /** How a job stands: how much stops it, how much is to be looked at, and the first of it. */
    public static Table standing(List<Standing> jobs) {
        return new Table(
                "jobs",
                "How they stand",
                List.of("file", "name", "stops", "to_check", "first", "first_fault"),
                List.of("File", "Job", "Stops", "To check", "First", "Key"),
                jobs.stream()
                        .map(j -> List.of(
                                Cell.of(j.file),
                                Cell.of(j.name),
                                Cell.of(j.stops),
                                Cell.of(j.toCheck),
                                Cell.of(j.first),
                                Cell.of(j.firstFault)))
                        .toList());
    }

    /** @param first finding, in words; empty where there is none */
    public record Standing(String file, String name, long stops, long toCheck, String firstFault, Phrase first) {}
}

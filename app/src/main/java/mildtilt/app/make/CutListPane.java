package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import javafx.scene.Node;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.Making;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.Section;
import mildtilt.build.Workshop;
import mildtilt.build.Workshop.StockBar;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.shop.CutList;
import mildtilt.shop.StockPlan;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Everything that is sawn, from which bar, and what the workshop saws with. */
final class CutListPane extends MakePane {

    CutListPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-cut-list");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        Making m = p.analysis().job().making();
        title(
                "Cut list",
                "Finished is what the piece is in the end; the saw is set to the longer figure, for facing. Lengths are of the plan: mock up before a shaft is cut.");
        p.table("cut-list")
                .ifPresentOrElse(
                        t -> table(
                                t,
                                "piece+section+material",
                                "finished_mm",
                                "saw_mm",
                                "ends",
                                "weld_gap_mm",
                                "left",
                                "right",
                                "sets",
                                "mass_kg"),
                        () -> hint(
                                "Nothing is cut yet: no shaft of the column is marked as cut here, and no rod has its ends chosen."));
        p.table("plates").ifPresent(t -> table(t, "piece", "thickness_mm", "how", "count", "mass_each_kg"));
        if (p.cuts().mass() > 0) {
            say(
                    "All of it {0}, sliding halves not counted.",
                    Quantity.mass(p.cuts().mass()));
        }
        for (CutList.CutLine l : p.cuts().lines()) {
            l.note()
                    .ifPresent(n ->
                            hint(Phrase.of(Phrase.name(l.name()) + ": ").then(n).text(bench.lengthUnit())));
        }
        p.cuts().open().forEach(o -> say("Open: " + o.text(bench.lengthUnit())));
        if (!p.cuts().asTheyCome().isEmpty()) {
            hint("Used as they come: " + String.join(", ", p.cuts().asTheyCome()) + ".");
        }
        workshop(m.workshop());
        stock(p);
        pieces(m);
    }

    private void workshop(Workshop w) {
        head("The workshop");
        row(
                number(
                        "Sets",
                        "make-sets",
                        w.sets(),
                        (j, v) -> j.editMaking(m -> m.editWorkshop(x -> x.withSets((int) Math.round(v))))),
                length(
                        "Saw kerf",
                        "make-kerf",
                        w.kerf(),
                        (j, v) -> j.editMaking(m -> m.editWorkshop(x -> x.withSaw(v, x.facing(), x.rootGap())))),
                length(
                        "Facing, each end",
                        "make-facing",
                        w.facing(),
                        (j, v) -> j.editMaking(m -> m.editWorkshop(x -> x.withSaw(x.kerf(), v, x.rootGap())))),
                length(
                        "Root gap",
                        "make-root-gap",
                        w.rootGap(),
                        (j, v) -> j.editMaking(m -> m.editWorkshop(x -> x.withSaw(x.kerf(), x.facing(), v)))),
                length(
                        "New bar",
                        "make-bar",
                        w.usualBar(),
                        (j, v) -> j.editMaking(m -> m.editWorkshop(x -> x.withUsualBar(v)))),
                maybeLength(
                        "Column tube's wall",
                        "make-tube-wall",
                        w.tubeWall(),
                        (j, v) -> j.editMaking(m -> m.editWorkshop(x -> x.withTubeWall(v)))));
    }

    private void stock(Papers p) {
        head("Stock plan");
        if (p.stock().bars().isEmpty()) {
            hint("Nothing to saw from bar.");
        } else {
            add(new StockDrawing(p.stock(), bench.lengthUnit()));
            table(
                    p.table("stock-plan").orElseThrow(),
                    "section+metal",
                    "bar",
                    "bars",
                    "length_mm",
                    "cuts_in_order",
                    "kerf_mm",
                    "left_over_mm",
                    "solve");
        }
        p.stock()
                .lostPart()
                .ifPresent(part ->
                        say("{0} of these bars becomes saw dust or is left over.", Quantity.percent(100 * part)));
        for (StockPlan.Cut c : p.stock().tooLong()) {
            say(
                    "No bar that is long enough is left for " + Phrase.name(c.name())
                            + ", {0}. Put a longer one on hand, or join it.",
                    Quantity.length(c.saw()));
        }
        List<StockBar> bars = p.analysis().job().making().workshop().stock();
        for (int i = 0; i < bars.size(); i++) {
            StockBar b = bars.get(i);
            int at = i;
            row(
                    named("On hand", Wrap.whole(CutList.text(b.section()).text(bench.lengthUnit()))),
                    length(
                            "Length",
                            "stock-length-" + i,
                            b.length(),
                            (j, v) -> stocked(j, at, new StockBar(b.section(), b.metal(), v, b.count()))),
                    number(
                            "How many",
                            "stock-count-" + i,
                            b.count(),
                            (j, v) -> stocked(
                                    j, at, new StockBar(b.section(), b.metal(), b.length(), (int) Math.round(v)))),
                    named(
                            " ",
                            small(
                                    "Used up",
                                    "stock-out-" + i,
                                    () -> make(
                                            "Bar used up",
                                            m -> m.editWorkshop(w -> {
                                                List<StockBar> left = new ArrayList<>(w.stock());
                                                left.remove(at);
                                                return w.withStock(left);
                                            })))));
        }
        List<StockBar> kinds = kinds(p);
        if (!kinds.isEmpty()) {
            row(named(
                    "Put a bar on hand",
                    choiceBox(
                            "stock-add",
                            kinds,
                            Optional.empty(),
                            k -> CutList.text(k.section()).text(bench.lengthUnit()) + ", "
                                    + k.metal().label(),
                            k -> make(
                                    "Bar on hand",
                                    m -> m.editWorkshop(w -> {
                                        List<StockBar> all = new ArrayList<>(w.stock());
                                        all.add(k);
                                        return w.withStock(all);
                                    })))));
        }
    }

    private static Job stocked(Job job, int at, StockBar bar) {
        return job.editMaking(m -> m.editWorkshop(w -> {
            List<StockBar> all = new ArrayList<>(w.stock());
            all.set(at, bar);
            return w.withStock(all);
        }));
    }

    /** One bar of each section that is sawn, a metre long. */
    private static List<StockBar> kinds(Papers p) {
        List<StockBar> all = new ArrayList<>();
        TreeSet<String> seen = new TreeSet<>();
        for (CutList.CutLine l : p.cuts().lines()) {
            l.section().ifPresent(s -> {
                if (seen.add(s + l.metal().name())) {
                    all.add(new StockBar(s, l.metal(), 1000, 1));
                }
            });
        }
        return all;
    }

    private void pieces(Making m) {
        head("Spacers, sleeves and other lengths");
        for (int i = 0; i < m.pieces().size(); i++) {
            int at = i;
            if (m.pieces().get(i) instanceof Piece.Length p) {
                boolean tube = p.section() instanceof Section.Tube;
                List<Node> fields = new ArrayList<>(List.of(
                        words("Name", "piece-name-" + i, p.name(), 150, (j, t) -> set(j, at, p.withName(t))),
                        length(
                                tube ? "Outside" : "Diameter",
                                "piece-outside-" + i,
                                tube ? ((Section.Tube) p.section()).outside() : ((Section.Bar) p.section()).diameter(),
                                (j, v) -> set(
                                        j,
                                        at,
                                        p.withSection(
                                                p.section() instanceof Section.Tube t
                                                        ? new Section.Tube(v, t.wall())
                                                        : new Section.Bar(v)))),
                        maybeLength(
                                "Wall",
                                "piece-wall-" + i,
                                p.section() instanceof Section.Tube t ? Optional.of(t.wall()) : Optional.empty(),
                                (j, v) -> {
                                    double out = p.section() instanceof Section.Tube t
                                            ? t.outside()
                                            : ((Section.Bar) p.section()).diameter();
                                    return set(
                                            j,
                                            at,
                                            p.withSection(v.<Section>map(w -> new Section.Tube(out, w))
                                                    .orElseGet(() -> new Section.Bar(out))));
                                }),
                        length("Length", "piece-length-" + i, p.length(), (j, v) -> set(j, at, p.withLength(v))),
                        choice(
                                "Metal",
                                "piece-metal-" + i,
                                List.of(Metal.values()),
                                p.metal(),
                                Metal::label,
                                (j, v) -> set(j, at, p.withMetal(v))),
                        number(
                                "Left",
                                "piece-left-" + i,
                                p.left(),
                                (j, v) -> set(j, at, p.withLeft((int) Math.round(v)))),
                        number(
                                "Right",
                                "piece-right-" + i,
                                p.right(),
                                (j, v) -> set(j, at, p.withRight((int) Math.round(v))))));
                fields.add(named(
                        " ",
                        small("Delete", "piece-out-" + i, () -> make("Take out " + p.name(), x -> without(x, at)))));
                row(fields.toArray(Node[]::new));
            }
        }
        row(small(
                "Add a length of bar or tube",
                "add-length",
                () -> make(
                        "Add a spacer",
                        x -> x.withPiece(new Piece.Length(
                                Id.Kind.PIECE.first(),
                                free(x, "Spacer"),
                                new Section.Tube(25, 3),
                                Metal.STEEL,
                                20,
                                1,
                                1)))));
    }

    static Job set(Job job, int at, Piece piece) {
        return job.editMaking(m -> m.editPiece(at, _ -> piece));
    }

    static Making without(Making m, int at) {
        List<Piece> left = new ArrayList<>(m.pieces());
        left.remove(at);
        return m.withPieces(left);
    }

    /** A name that no piece has yet. */
    static String free(Making m, String name) {
        String own = name;
        for (int n = 2; ; n++) {
            String tried = own;
            if (m.pieces().stream().noneMatch(p -> p.name().equals(tried))) {
                return own;
            }
            own = name + " " + n;
        }
    }
}

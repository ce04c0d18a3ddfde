package mildtilt.app.make;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.StateMark;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.EndPart;
import mildtilt.build.Hole;
import mildtilt.build.RodMakeUp;
import mildtilt.build.Stud;
import mildtilt.findings.Severity;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.report.Papers;
import mildtilt.shop.Fits;
import mildtilt.shop.SeatingResult;

/** Every place where a part goes into another, and the measured holes of the arms. */
final class FitsPane extends MakePane {

    FitsPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-fits");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        title(
                "Fits",
                "Measure the parts in hand: a taper with two gauge balls or a calliper at both faces. Sizes from the catalogue are typical. Try every taper with blue before it is trusted.");
        int n = 0;
        for (Fits.Fit f : p.fits()) {
            if (f.kind() == Fits.Kind.STUD) {
                card(f, n++);
                f.rod().ifPresent(place -> measured(p.analysis().job(), place));
            }
        }
        if (n == 0) {
            hint("No rod has ends chosen yet: choose them under Rods, then measure the arms here.");
        }
        head("Threads, shaft ends and bearings");
        for (Fits.Fit f : p.fits()) {
            if (f.kind() != Fits.Kind.STUD) {
                card(f, n++);
            }
        }
    }

    private static Severity severity(SeatingResult s) {
        return s.good() ? Severity.FINE : s.bad() ? Severity.STOP : Severity.LOOK;
    }

    private void card(Fits.Fit f, int n) {
        Label what = Wrap.text(
                f.what() + " " + f.seating().label()
                        + (f.seating() == SeatingResult.NOT_MEASURED
                                ? " against the "
                                : f.seating().good() ? " the " : " in the ")
                        + f.into(),
                "remedy-action");
        HBox.setHgrow(what, Priority.ALWAYS);
        VBox card = new VBox(
                new HBox(8, new StateMark(severity(f.seating())), what),
                Wrap.text(f.note().text(bench.lengthUnit()), "finding-why"));
        card.getStyleClass()
                .addAll(
                        "finding-card",
                        f.seating().good() ? "meets" : f.seating().bad() ? "stop" : "near");
        card.setId("fit-" + n);
        for (int i = 0; i < f.ways().size(); i++) {
            Fits.FitRemedy w = f.ways().get(i);
            String action = w.action().text(bench.lengthUnit());
            var take = small("Apply", "fit-" + n + "-way-" + i, () -> bench.edit(action, w.edit()));
            take.getStyleClass().add("take-remedy");
            take.setMinWidth(USE_PREF_SIZE);
            Label said = Wrap.text(action, "step");
            HBox.setHgrow(said, Priority.ALWAYS);
            said.setMaxWidth(Double.MAX_VALUE);
            card.getChildren().add(new HBox(8, said, take));
        }
        add(card);
    }

    private enum HoleKind {
        NOT_MEASURED("not measured"),
        TAPERED("tapered"),
        PLAIN("plain, for a bolt");

        private final String label;

        HoleKind(String label) {
            this.label = label;
        }
    }

    private void measured(Job job, Fits.RodPlace place) {
        Rod rod = place.rod();
        boolean outer = place.outer();
        RodMakeUp.End end = job.making().rod(rod).orElseThrow().end(outer);
        String id = rod.name().toLowerCase(Locale.ROOT).replace('_', '-') + (outer ? "-outer" : "-inner");
        HoleKind kind = end.hole()
                .map(h -> h instanceof Hole.Tapered ? HoleKind.TAPERED : HoleKind.PLAIN)
                .orElse(HoleKind.NOT_MEASURED);
        Node choose = choice(
                "Hole in the arm",
                "hole-" + id,
                List.of(HoleKind.values()),
                kind,
                k -> k.label,
                (j, k) -> edit(j, rod, outer, e -> e.withHole(first(k, e.part()))));
        Node shear = choice(
                "Bolt held",
                "shear-" + id,
                List.of(false, true),
                end.doubleShear(),
                b -> b ? "on both sides" : "on one side",
                (j, b) -> edit(j, rod, outer, e -> e.withDoubleShear(b)));
        Node[] stud =
                switch (end.part().stud()) {
                    case Stud.Taper t ->
                        new Node[] {
                            length(
                                    "Stud at the ball",
                                    "stud-large-" + id,
                                    t.large(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withPart(
                                                    e.part().withStud(new Stud.Taper(v, t.small(), t.length()))))),
                            length(
                                    "Stud at the thread",
                                    "stud-small-" + id,
                                    t.small(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withPart(
                                                    e.part().withStud(new Stud.Taper(t.large(), v, t.length()))))),
                            length(
                                    "Taper's length",
                                    "stud-length-" + id,
                                    t.length(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withPart(
                                                    e.part().withStud(new Stud.Taper(t.large(), t.small(), v)))))
                        };
                    case Stud.Bolt b ->
                        new Node[] {
                            length(
                                    "Bolt",
                                    "stud-bolt-" + id,
                                    b.diameter(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withPart(e.part().withStud(new Stud.Bolt(v))))),
                            shear
                        };
                    case Stud.OnGear _ -> new Node[0];
                };
        Node[] hole = end.hole()
                .map(h -> switch (h) {
                    case Hole.Tapered t ->
                        new Node[] {
                            length(
                                    "Hole, ball's side",
                                    "hole-large-" + id,
                                    t.large(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withHole(
                                                    Optional.of(new Hole.Tapered(v, t.small(), t.thickness()))))),
                            length(
                                    "Hole, nut's side",
                                    "hole-small-" + id,
                                    t.small(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withHole(
                                                    Optional.of(new Hole.Tapered(t.large(), v, t.thickness()))))),
                            length(
                                    "Arm's thickness",
                                    "hole-thick-" + id,
                                    t.thickness(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withHole(Optional.of(new Hole.Tapered(t.large(), t.small(), v)))))
                        };
                    case Hole.Plain q ->
                        new Node[] {
                            length(
                                    "Hole",
                                    "hole-plain-" + id,
                                    q.diameter(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withHole(Optional.of(new Hole.Plain(v, q.thickness()))))),
                            length(
                                    "Arm's thickness",
                                    "hole-thick-" + id,
                                    q.thickness(),
                                    (j, v) -> edit(
                                            j,
                                            rod,
                                            outer,
                                            e -> e.withHole(Optional.of(new Hole.Plain(q.diameter(), v)))))
                        };
                })
                .orElse(new Node[0]);
        Node[] all = new Node[1 + stud.length + hole.length];
        all[0] = choose;
        System.arraycopy(stud, 0, all, 1, stud.length);
        System.arraycopy(hole, 0, all, 1 + stud.length, hole.length);
        row(all);
    }

    /** A hole to begin with, as the part at hand would want it; then measured. */
    private static Optional<Hole> first(HoleKind kind, EndPart part) {
        return switch (kind) {
            case NOT_MEASURED -> Optional.empty();
            case TAPERED ->
                Optional.of(
                        part.stud() instanceof Stud.Taper t
                                ? new Hole.Tapered(t.large(), t.small(), t.length())
                                : new Hole.Tapered(16, 14, 20));
            case PLAIN ->
                Optional.of(new Hole.Plain(
                        part.stud() instanceof Stud.Bolt b
                                ? b.diameter()
                                : part.thread().major(),
                        16));
        };
    }

    private static Job edit(Job j, Rod rod, boolean outer, UnaryOperator<RodMakeUp.End> edit) {
        return j.editMaking(m -> m.withRod(rod, m.rod(rod).map(r -> r.withEnd(outer, edit.apply(r.end(outer))))));
    }
}

package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.StateMark;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.ShaftJoin;
import mildtilt.build.ShaftJoin.School;
import mildtilt.column.Shaft;
import mildtilt.findings.Severity;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.report.Papers;
import mildtilt.runsheet.Cautions;
import mildtilt.shop.JoinFigures;
import mildtilt.shop.Lengthening;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Joins in shafts: the schools side by side with their sizes, and what the rule set says of each. */
final class JoinsPane extends MakePane {

    JoinsPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-joins");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        Job job = p.analysis().job();
        title(
                "Sleeves and joins in shafts",
                "Judged by the rule set \"" + job.rules().name() + "\": welded steering shafts "
                        + job.rules().welding().label()
                        + ". Practice differs from place to place; ask the authority where you are before anything is cut.");
        List<ShaftJoin> joins = job.making().joins();
        for (int i = 0; i < joins.size(); i++) {
            join(job, i, joins.get(i));
        }
        List<Shaft> shafts = job.column()
                .map(c -> c.shafts().stream()
                        .filter(s -> s.toCut()
                                || job.making().asFound().shaft(s.id()).isPresent())
                        .toList())
                .orElse(List.of());
        if (shafts.isEmpty()) {
            hint("No shaft of this job is cut, so there is nothing to join. A shaft is marked as cut in the "
                    + "Column stage, or is there already (Parts as found).");
        } else {
            row(named(
                    "Join a shaft",
                    choiceBox(
                            "join-add",
                            shafts,
                            Optional.empty(),
                            Shaft::name,
                            s -> bench.edit("Join in " + s.name(), j -> added(j, s)))));
        }
        head("Before heat");
        say(Cautions.QUALIFIED);
        say(Cautions.HEAT);
        say(Cautions.CURRENT);
        say(Cautions.SEALED);
    }

    private static Job added(Job j, Shaft s) {
        int index = j.column().orElseThrow().shafts().indexOf(s);
        double length = j.column().orElseThrow().length(index);
        School school = JoinFigures.verdict(j.rules(), School.SLEEVE) == JoinFigures.Verdict.FORBIDDEN
                ? School.COUPLING
                : School.SLEEVE;
        return Lengthening.of(j, index, school)
                .orElse(new Lengthening(Math.rint(length / 2), Optional.empty()))
                .apply(j, index, school);
    }

    private void join(Job job, int i, ShaftJoin join) {
        String name = Names.of(job).apply(join.shaft());
        head("Join in " + name);
        row(
                length(
                        "Along, from its wheel-end centre",
                        "join-along-" + i,
                        join.along(),
                        (j, v) -> j.editMaking(m -> m.editJoin(i, x -> x.withAlong(v)))),
                named(
                        " ",
                        small(
                                "Delete",
                                "join-out-" + i,
                                () -> make("Take out the join in " + name, m -> {
                                    List<ShaftJoin> left = new ArrayList<>(m.joins());
                                    left.remove(i);
                                    return m.withJoins(left);
                                }))));
        HBox schools = new HBox(8);
        boolean found = false;
        for (School s : School.values()) {
            Optional<JoinFigures> f = JoinFigures.of(job, join.withSchool(s));
            found |= f.isPresent();
            f.ifPresent(x -> schools.getChildren().add(card(i, join, x)));
        }
        if (found) {
            add(schools);
        } else {
            say("That shaft no longer exists or is not cut, or the join lies too near its end.");
        }
    }

    private VBox card(int i, ShaftJoin join, JoinFigures f) {
        School s = f.join().school();
        Severity severity =
                switch (f.verdict()) {
                    case ALLOWED -> Severity.FINE;
                    case TESTED -> Severity.LOOK;
                    case FORBIDDEN -> Severity.STOP;
                };
        StateMark mark = new StateMark(severity);
        mark.setText(f.verdict().label());
        VBox card = new VBox(
                Wrap.text(Character.toUpperCase(s.label().charAt(0)) + s.label().substring(1), "remedy-action"), mark);
        card.setId("school-" + i + "-" + s.name().toLowerCase(Locale.ROOT));
        card.getStyleClass()
                .addAll(
                        "finding-card",
                        "join-card",
                        severity == Severity.STOP ? "stop" : severity == Severity.FINE ? "meets" : "near");
        f.dimensions().forEach(d -> card.getChildren().add(Wrap.text("– " + d.text(bench.lengthUnit()), "make-words")));
        if (s != School.ONE_PIECE) {
            card.getChildren()
                    .add(Wrap.text(
                            Phrase.of(
                                            "Run-out to hold: {0} beside the join, {1} at a bearing.",
                                            Quantity.fine(f.runOut()), Quantity.fine(f.runOutAtBearings()))
                                    .text(bench.lengthUnit()),
                            "make-words"));
        }
        f.noRoom().ifPresent(why -> card.getChildren()
                .add(Wrap.text("No room there. " + why.text(bench.lengthUnit()), "brings")));
        f.mayNotClose().ifPresent(why -> card.getChildren()
                .add(Wrap.text("If its halves meet in the middle: " + why.text(bench.lengthUnit()), "brings")));
        f.near().forEach(n -> card.getChildren()
                .add(Wrap.text("Heat: " + n.sentence().text(bench.lengthUnit()), "brings")));
        card.getChildren().add(Wrap.text(f.costs(), "hint"));
        if (join.school() == s) {
            card.getStyleClass().add("chosen");
            card.getChildren().add(Wrap.text("As planned", "sub-head"));
        } else {
            Button take = small(
                    "Apply",
                    "school-take-" + i + "-" + s.name().toLowerCase(Locale.ROOT),
                    () -> make(
                            "Join in " + f.shaftName() + ": " + s.label(), m -> m.editJoin(i, x -> x.withSchool(s))));
            take.getStyleClass().add("take-remedy");
            // Where the rule set forbids it there is no way to choose it.
            take.setDisable(f.verdict() == JoinFigures.Verdict.FORBIDDEN);
            card.getChildren().add(take);
        }
        HBox.setHgrow(card, Priority.ALWAYS);
        card.setPrefWidth(180);
        card.setMinWidth(0);
        return card;
    }
}
